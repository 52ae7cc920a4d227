package vividcrown.core.search;

import java.util.List;
import java.util.Optional;
import vividcrown.core.hive.Box;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Wrong;

/**
 * A comb as it hangs in the hive that is searched.
 *
 * @param slot from 1, as seen from the entrance
 * @param near what stood on the side towards slot 1 when it was last read, the largest part first; empty if nobody looked
 * @param far what stood on the other side
 * @param bees share of it that bees cover densely, 0–1.5; empty if nobody looked
 * @param holes it has a hole in which she could stand
 */
public record CombThere(int slot, List<Sign> near, List<Sign> far, Optional<Double> bees, boolean holes) {

    private static final double THREE_DEEP = 1.5;

    public CombThere {
        near = List.copyOf(near);
        far = List.copyOf(far);
        if (slot < 1 || slot > Box.MOST_SLOTS) {
            throw Wrong.of("wrong.FramePlace", Box.MOST_SLOTS, slot);
        }
        bees.ifPresent(covered -> {
            if (!(covered >= 0 && covered <= THREE_DEEP)) {
                throw Wrong.of("wrong.FrameSeen.2", covered, THREE_DEEP);
            }
        });
    }

    /** Of which nothing is known. */
    public static CombThere unread(int slot) {
        return new CombThere(slot, List.of(), List.of(), Optional.empty(), false);
    }

    List<Sign> on(FrameSide side) {
        return side == FrameSide.NEAR ? near : far;
    }
}
