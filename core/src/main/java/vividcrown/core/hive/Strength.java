package vividcrown.core.hive;

import vividcrown.core.reason.Wrong;

/**
 * Brood and bees from counted comb sides. Worker comb holds about 400 cells per dm² of one side, and a side densely
 * covered holds about 125–130 bees per dm² (Imdorf et al. 1987; Delaplane, van der Steen &amp; Guzman-Novoa 2013, values
 * from memory). A big colony is up to about forty thousand workers (common practice): more is a slip.
 *
 * @param sideSquareDecimetres comb area of one frame side, dm²
 */
public record Strength(double sideSquareDecimetres) {

    private static final int CELLS_PER_SQUARE_DECIMETRE = 400;
    private static final double BEES_PER_SQUARE_DECIMETRE = 127.5;
    private static final int BIGGEST_COLONY = 40_000;

    public Strength {
        if (!(sideSquareDecimetres > 0)) {
            throw Wrong.of("wrong.Strength", sideSquareDecimetres);
        }
    }

    /** @param fullSides comb sides full of brood, in parts of a side */
    public int cells(double fullSides) {
        return (int) Math.round(fullSides * sideSquareDecimetres * CELLS_PER_SQUARE_DECIMETRE);
    }

    /** @param framesCovered frames densely covered on both sides */
    public int bees(double framesCovered) {
        return (int) Math.round(framesCovered * 2 * sideSquareDecimetres * BEES_PER_SQUARE_DECIMETRE);
    }

    /** Frames that the bees emerging from so many cells will cover on both sides. */
    public double framesCoveredBy(int cells) {
        return cells / (2 * sideSquareDecimetres * BEES_PER_SQUARE_DECIMETRE);
    }

    /** Whether a count of frames covered can be true. */
    public boolean isPlausible(double framesCovered) {
        return framesCovered >= 0 && bees(framesCovered) <= BIGGEST_COLONY;
    }
}
