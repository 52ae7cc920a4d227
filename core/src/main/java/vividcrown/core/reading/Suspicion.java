package vividcrown.core.reading;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * How long signs of disease hold. A look that did not reach the sealed worker brood proves nothing: the signs stand until somebody
 * looked at it again and saw none of them. What is to be done meanwhile is the authority's to say. Source: common
 * practice.
 */
public final class Suspicion {

    private Suspicion() {
    }

    /**
     * @param before the day on which signs were seen last, if they stood until this reading
     * @return the same after it
     */
    public static Optional<LocalDate> after(Optional<LocalDate> before, Reading next) {
        if (next.seen().stream().anyMatch(Sign::stopsTheWork)) {
            return Optional.of(next.day());
        }
        return next.saw(Sign.SEALED_WORKER) ? Optional.empty() : before;
    }

    /** @param readings the oldest first @return the day on which signs were seen last, if they still stand */
    public static Optional<LocalDate> of(List<Reading> readings) {
        Optional<LocalDate> seen = Optional.empty();
        for (Reading reading : readings) {
            seen = after(seen, reading);
        }
        return seen;
    }
}
