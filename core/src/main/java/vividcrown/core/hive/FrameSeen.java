package vividcrown.core.hive;

import vividcrown.core.reason.Wrong;

/**
 * A frame as it hangs in a hive.
 *
 * @param box from 1 at the bottom
 * @param slot from 1, as seen from the entrance
 * @param covered share of it that bees cover densely, both sides, 0–1.5
 * @param queen she was seen on it
 * @param searched both its sides were searched for her
 * @param cells queen cells with something in them stand on it
 */
public record FrameSeen(int box, int slot, Comb comb, double covered, boolean queen, boolean searched,
        boolean cells) {

    private static final double THREE_DEEP = 1.5;

    public FrameSeen {
        if (box < 1 || slot < 1 || slot > Box.MOST_SLOTS) {
            throw Wrong.of("wrong.FrameSeen", box, slot, Box.MOST_SLOTS);
        }
        if (!(covered >= 0 && covered <= THREE_DEEP)) {
            throw Wrong.of("wrong.FrameSeen.2", covered, THREE_DEEP);
        }
    }

    public static FrameSeen of(int slot, FrameKind kind, double covered) {
        return new FrameSeen(1, slot, kind.usual(), covered, false, false, false);
    }

    /** The same frame with so many bees on it. */
    public FrameSeen coveredBy(double share) {
        return new FrameSeen(box, slot, comb, share, queen, searched, cells);
    }

    /** Where it hangs: unlike any other of the same hive. */
    public FrameAt at() {
        return new FrameAt(box, slot);
    }

    /**
     * Where a frame hangs in its hive.
     *
     * @param box from 1 at the bottom
     * @param slot from 1, as seen from the entrance
     */
    public record FrameAt(int box, int slot) {
        @Override
        public String toString() {
            return box == 1 ? String.valueOf(slot) : box + "/" + slot;
        }
    }
}
