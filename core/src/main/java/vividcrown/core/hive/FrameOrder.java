package vividcrown.core.hive;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import vividcrown.core.reading.Sign;

/**
 * Whether frames came back as they were: compares what stands on each side with the last reading. Brood moves on within
 * days, so only what changes slowly is compared; the answer is a question to whoever stands there, never a fact.
 */
public final class FrameOrder {

    private static final Set<Sign> SLOW = Set.of(Sign.SEALED_HONEY, Sign.POLLEN, Sign.FOUNDATION, Sign.EMPTY_COMB,
            Sign.SEALED_WORKER, Sign.SEALED_DRONE, Sign.POLISHED_CELLS);

    /** Both sides of one frame, as they were read. */
    public record Frame(Set<Sign> near, Set<Sign> far) {
        public Frame {
            near = Set.copyOf(near);
            far = Set.copyOf(far);
        }

        Frame turned() {
            return new Frame(far, near);
        }

        /** How many slow signs differ, side by side. */
        int differs(Frame other) {
            return differs(near, other.near) + differs(far, other.far);
        }

        private static int differs(Set<Sign> one, Set<Sign> two) {
            Set<Sign> either = new HashSet<>(one);
            either.addAll(two);
            either.retainAll(SLOW);
            return (int) either.stream().filter(sign -> one.contains(sign) != two.contains(sign)).count();
        }
    }

    /** What it looks like. */
    public sealed interface Doubt {
        /** The lowest place it concerns, from 1. */
        int slot();

        /** The frame seems to face the other way round. */
        record Turned(int slot) implements Doubt {
        }

        /** Two neighbours seem to have changed places. */
        record Swapped(int slot, int other) implements Doubt {
        }
    }

    private FrameOrder() {
    }

    /**
     * @param before by slot, the last reading that has frames
     * @param now by slot
     * @return doubts about frames of which all sides concerned were read both times, by slot
     */
    public static List<Doubt> doubts(Map<Integer, Frame> before, Map<Integer, Frame> now) {
        Set<Integer> both = new TreeSet<>(before.keySet());
        both.retainAll(now.keySet());
        List<Doubt> doubts = new ArrayList<>();
        Set<Integer> swapped = new HashSet<>();
        for (int slot : both) {
            int next = slot + 1;
            if (both.contains(next) && !swapped.contains(slot)) {
                int asTheyWere = before.get(slot).differs(now.get(slot)) + before.get(next).differs(now.get(next));
                int exchanged = before.get(slot).differs(now.get(next)) + before.get(next).differs(now.get(slot));
                if (asTheyWere - exchanged >= 3) {
                    doubts.add(new Doubt.Swapped(slot, next));
                    swapped.add(slot);
                    swapped.add(next);
                }
            }
        }
        for (int slot : both) {
            if (!swapped.contains(slot)
                    && before.get(slot).differs(now.get(slot))
                            - before.get(slot).differs(now.get(slot).turned()) >= 2) {
                doubts.add(new Doubt.Turned(slot));
            }
        }
        doubts.sort(Comparator.comparingInt(Doubt::slot));
        return doubts;
    }
}
