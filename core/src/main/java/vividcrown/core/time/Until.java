package vividcrown.core.time;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A day that is known not to be later than some day, and perhaps not earlier than another: "the last egg was laid on 4
 * June at the latest".
 *
 * @param earliest first possible day, empty if nothing bounds it
 * @param latest last possible day
 */
public record Until(Optional<LocalDate> earliest, LocalDate latest) {

    public Until {
        if (earliest.isPresent() && earliest.get().isAfter(latest)) {
            throw new IllegalArgumentException(
                    "A span runs earliest ≤ latest, but got %s, %s".formatted(earliest.get(), latest));
        }
    }

    /** Bounded on both sides: a span with its middle as the likely day. */
    public Optional<DatedSpan> bounded() {
        return earliest.map(first -> DatedSpan.ofClosed(first, latest));
    }

    /** The same, each end moved by the same end of {@code length}, rounded outwards to whole days. */
    public Until plus(DaySpan length) {
        return new Until(earliest.map(day -> day.plusDays(length.earliestDay())),
                latest.plusDays(length.latestDay()));
    }

    public boolean contains(LocalDate day) {
        return !day.isAfter(latest) && earliest.map(first -> !day.isBefore(first)).orElse(true);
    }
}
