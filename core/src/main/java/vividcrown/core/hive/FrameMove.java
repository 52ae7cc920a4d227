package vividcrown.core.hive;

import java.util.Set;
import java.util.UUID;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Wrong;

/**
 * One frame that went from one place to another.
 *
 * @param signs what was on it, as it was seen or last read; empty if nobody looked
 */
public record FrameMove(UUID frame, Spot from, Spot to, Set<Sign> signs) {

    public FrameMove {
        signs = Set.copyOf(signs);
        if (from.equals(to)) {
            throw Wrong.of("wrong.FrameMove", from);
        }
    }
}
