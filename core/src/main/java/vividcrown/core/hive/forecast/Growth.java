package vividcrown.core.hive.forecast;

/**
 * What a colony grows and shrinks by. Ranges are common practice and those of Khoury, Myerscough &amp; Barron 2011 and the studies
 * they cite (PLoS ONE 6(4) e18491), from memory.
 *
 * @param eggsADay what a settled queen lays in full season
 * @param openCellsABee open brood that a bee of the hive keeps fed and warm: one to one and a half frame sides for a frame of bees
 * @param survival of an egg that was laid to the young bee, 0–1
 * @param hiveBeeLoss of the bees in the hive, a day, 0–1
 * @param foragerLoss of the foragers, on a full day's flying, 0–1
 * @param restLoss of all bees on a day without flight, 0–1
 * @param counted what was counted times this is taken to be there: a count by eye is off
 */
public record Growth(double eggsADay, double openCellsABee, double survival, double hiveBeeLoss, double foragerLoss,
        double restLoss, double counted) {

    /** A poor run of it. */
    public static final Growth LEAST = new Growth(1200, 1.45, 0.85, 0.010, 0.18, 0.0075, 0.87);
    public static final Growth LIKELY = new Growth(1600, 1.85, 0.9, 0.0075, 0.14, 0.0055, 1);
    /** A good run of it. */
    public static final Growth MOST = new Growth(1950, 2.3, 0.94, 0.005, 0.1, 0.004, 1.13);

    /** As a worker becomes a forager at 18–21 days: common practice. */
    public static final int NURSE_DAYS = 20;

    /**
     * The same as an operation's own counts have it.
     *
     * @param factor its units grow so many times as fast as the trade's, about 1
     */
    public Growth times(double factor) {
        return new Growth(eggsADay * factor, openCellsABee * factor, survival, hiveBeeLoss / factor,
                Math.min(0.5, foragerLoss / factor), restLoss / factor, counted);
    }
}
