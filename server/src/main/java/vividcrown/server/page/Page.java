package vividcrown.server.page;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A part of a long list.
 *
 * @param items in the order of the list
 * @param next what to ask with as {@code page} for those that follow; left out at the end
 */
public record Page<T>(List<T> items, @Nullable String next) {

    private static final LocalDate LONG_AGO = LocalDate.of(1900, 1, 1);

    public Page {
        items = List.copyOf(items);
    }

    /** @param next what to ask with for those that follow, if there are any */
    public static <T> Page<T> of(List<T> items, Optional<?> next) {
        return new Page<>(items, next.map(Object::toString).orElse(null));
    }

    /** A day to list backwards from: no later than today, and none that the calendar of the database does not know. */
    public static LocalDate backFrom(LocalDate asked, LocalDate today) {
        return asked.isAfter(today) ? today : asked.isBefore(LONG_AGO) ? LONG_AGO : asked;
    }
}
