package vividcrown.core.hive;

import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Wrong;

/**
 * One frame that went from one place to another.
 *
 * @param signs what was on it, as it was seen or last read; empty if nobody looked
 * @param gate why it could leave without the queen; empty if nobody said
 */
public record FrameMove(UUID frame, Spot from, Spot to, Set<Sign> signs, Optional<QueenGate> gate) {

    /** Of which nobody said where the queen was. */
    public FrameMove(UUID frame, Spot from, Spot to, Set<Sign> signs) {
        this(frame, from, to, signs, Optional.empty());
    }

    public FrameMove {
        signs = Set.copyOf(signs);
        if (from.equals(to)) {
            throw Wrong.of("wrong.FrameMove", from);
        }
    }
}
