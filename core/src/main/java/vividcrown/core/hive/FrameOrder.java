package vividcrown.core.hive;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
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

    /** By so many signs more alike the other way round that it is asked about. */
    private static final int PLAINLY = 3;
    private static final int RATHER = 2;

    private FrameOrder() {
    }

    /**
     * @param before by slot, the last reading that has frames
     * @param now by slot
     * @return doubts about frames of which all sides concerned were read both times, by slot
     */
    public static List<Doubt> doubts(Map<Integer, Frame> before, Map<Integer, Frame> now) {
        TreeMap<Integer, Twice> both = new TreeMap<>();
        before.forEach((slot, frame) -> Optional.ofNullable(now.get(slot))
                .ifPresent(again -> both.put(slot, new Twice(frame, again))));
        List<Doubt> doubts = new ArrayList<>();
        Set<Integer> swapped = new HashSet<>();
        both.forEach((slot, here) -> Optional.ofNullable(both.get(slot + 1)).filter(_ -> !swapped.contains(slot))
                .filter(next -> here.differs() + next.differs() - here.before().differs(next.now())
                        - next.before().differs(here.now()) >= PLAINLY)
                .ifPresent(_ -> {
                    doubts.add(new Doubt.Swapped(slot, slot + 1));
                    swapped.add(slot);
                    swapped.add(slot + 1);
                }));
        both.forEach((slot, here) -> {
            if (!swapped.contains(slot) && here.differs() - here.before().differs(here.now().turned()) >= RATHER) {
                doubts.add(new Doubt.Turned(slot));
            }
        });
        doubts.sort(Comparator.comparingInt(Doubt::slot));
        return doubts;
    }

    /** A frame that was read both times. */
    private record Twice(Frame before, Frame now) {
        int differs() {
            return before.differs(now);
        }
    }
}
