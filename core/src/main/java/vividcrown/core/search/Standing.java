package vividcrown.core.search;

import java.util.BitSet;

/**
 * How the hive stands open at one moment of a search, and where she may be.
 *
 * @param odds for each place, she not being seen there so far; together the chance that she is here
 * @param open the lowest box whose combs can be reached
 * @param room boxes in which there is room to lift a comb
 * @param out combs that stand outside for room
 * @param lifted the comb that was lifted last; {@link Wandering#NONE} if none was
 * @param rests for each place off the combs, how many combs are lifted before it is worth another glance: a second one at once sees no more than the first
 */
record Standing(double[] odds, int open, BitSet room, BitSet out, int lifted, int[] rests) {

    private static final int RESTS_COMBS = 6;

    /** @param box whose comb was lifted; the first in a box without room stays outside */
    Standing lifting(int box, int comb, double[] next) {
        int lowest = Math.min(open, box);
        int[] still = comb == lifted ? rests : rests.clone();
        for (int place = 0; comb != lifted && place < still.length; place++) {
            still[place] = Math.max(0, still[place] - 1);
        }
        if (room.get(box)) {
            return new Standing(next, lowest, room, out, comb, still);
        }
        BitSet roomy = (BitSet) room.clone();
        BitSet outside = (BitSet) out.clone();
        roomy.set(box);
        outside.set(comb);
        return new Standing(next, lowest, roomy, outside, comb, still);
    }

    Standing with(double[] next) {
        return new Standing(next, open, room, out, lifted, rests);
    }

    /** With so many boxes taken off, and a glance at a place off the combs. */
    Standing glanced(int place, int boxes, double[] next) {
        int[] now = rests.clone();
        now[place] = RESTS_COMBS;
        return new Standing(next, Math.max(1, open - boxes), room, out, lifted, now);
    }

    double chanceHere() {
        double sum = 0;
        for (double one : odds) {
            sum += one;
        }
        return sum;
    }
}
