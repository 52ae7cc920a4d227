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
 */
record Standing(double[] odds, int open, BitSet room, BitSet out, int lifted) {

    /** @param box whose comb was lifted; the first in a box without room stays outside */
    Standing lifting(int box, int comb, double[] next) {
        int lowest = Math.min(open, box);
        if (room.get(box)) {
            return new Standing(next, lowest, room, out, comb);
        }
        BitSet roomy = (BitSet) room.clone();
        BitSet outside = (BitSet) out.clone();
        roomy.set(box);
        outside.set(comb);
        return new Standing(next, lowest, roomy, outside, comb);
    }

    Standing with(double[] next) {
        return new Standing(next, open, room, out, lifted);
    }

    /** With so many boxes taken off. */
    Standing without(int boxes, double[] next) {
        return new Standing(next, Math.max(1, open - boxes), room, out, lifted);
    }

    double chanceHere() {
        double sum = 0;
        for (double one : odds) {
            sum += one;
        }
        return sum;
    }
}
