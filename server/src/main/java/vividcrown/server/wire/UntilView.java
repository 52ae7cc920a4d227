package vividcrown.server.wire;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import vividcrown.core.time.Until;

/** A day that is not later than {@code latest}, and not earlier than {@code earliest} where anything bounds it. */
public record UntilView(@Nullable LocalDate earliest, LocalDate latest) {
    public static UntilView of(Until until) {
        return new UntilView(until.earliest().orElse(null), until.latest());
    }
}
