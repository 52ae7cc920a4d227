package vividcrown.core.hive;

import java.util.Set;
import java.util.UUID;
import vividcrown.core.reading.Sign;

/**
 * One frame that went from one place to another.
 *
 * @param signs what was on it, as it was seen or last read; empty if nobody looked
 */
public record FrameMove(UUID frame, Spot from, Spot to, Set<Sign> signs) {

    public FrameMove {
        signs = Set.copyOf(signs);
        if (from.equals(to)) {
            throw new IllegalArgumentException(
                    "from and to must differ, but both are %s: leave this frame out".formatted(from));
        }
    }
}
