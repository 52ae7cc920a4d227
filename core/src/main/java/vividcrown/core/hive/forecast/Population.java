package vividcrown.core.hive.forecast;

/**
 * A colony by the day of age: brood from the egg, bees in the hive, foragers. Advanced in place, one day at a time.
 *
 * <p>Closed form of its steady state, against which it is tested: with E bees emerging a day, hive bees E·(1−(1−μ)ⁿ)/μ and
 * foragers E·(1−μ)ⁿ/m, where n is the days in the hive, μ and m the daily losses.
 */
final class Population {

    /** Day of age at which brood emerges. */
    static final int BROOD_DAYS = 21;
    private static final int SEALED = 9;
    /** Of brood that nobody keeps warm, what is lost a day. */
    private static final double CHILLED = 0.3;
    private static final double MORE_THAN_THEY_CAN = 1.5;
    /** Bees that rear no brood grow old more slowly: common knowledge of winter bees and of long queenless colonies. */
    private static final double BROODLESS_WORK = 0.4;
    /** Brood for each bee from which they have all the work there is. */
    private static final double BROOD_A_BEE = 0.5;
    /** A forager feeds brood in need, but worse. */
    private static final double FORAGER_NURSES = 0.5;

    private final Growth growth;
    private final double[] brood = new double[BROOD_DAYS];
    private final double[] inHive = new double[Growth.NURSE_DAYS];
    private double foragers;

    Population(Growth growth) {
        this.growth = growth;
    }

    void brood(int age, double cells) {
        brood[age] += cells;
    }

    void bees(int age, double bees) {
        inHive[age] += bees;
    }

    void foragers(double bees) {
        foragers += bees;
    }

    double bees() {
        return hiveBees() + foragers;
    }

    double hiveBees() {
        return sum(inHive, 0, inHive.length);
    }

    double foragers() {
        return foragers;
    }

    double broodCells() {
        return sum(brood, 0, BROOD_DAYS);
    }

    double open() {
        return sum(brood, 0, SEALED);
    }

    private static double sum(double[] all, int from, int to) {
        double sum = 0;
        for (int age = from; age < to; age++) {
            sum += all[age];
        }
        return sum;
    }

    /** Of all bees, those young enough to feed brood, 0–1. */
    double nurseShare() {
        double all = bees();
        return all <= 0 ? 0 : hiveBees() / all;
    }

    /** What they can rear of open brood. */
    double canRear() {
        return growth.openCellsABee() * (hiveBees() + FORAGER_NURSES * foragers);
    }

    /**
     * One day later.
     *
     * @param eggs laid today, as the queen, the bees and the comb let her
     * @param flying of a full day's flying, 0–1
     */
    void next(double eggs, double flying) {
        double work = BROODLESS_WORK
                + (1 - BROODLESS_WORK) * Math.min(1, broodCells() / (BROOD_A_BEE * Math.max(1, bees())));
        double emerging = brood[BROOD_DAYS - 1] * growth.survival();
        double more = open() - MORE_THAN_THEY_CAN * canRear();
        if (more > 0) {
            double kept = 1 - CHILLED * more / open();
            for (int age = 0; age < SEALED; age++) {
                brood[age] *= kept;
            }
        }
        System.arraycopy(brood, 0, brood, 1, BROOD_DAYS - 1);
        brood[0] = eggs;
        double loss = growth.restLoss() + flying * Math.max(0, work * growth.hiveBeeLoss() - growth.restLoss());
        int last = Growth.NURSE_DAYS - 1;
        // where nobody flies the oldest stay what they are
        double leaving = inHive[last] * (1 - loss) * flying * work;
        double staying = inHive[last] * (1 - loss) - leaving;
        for (int age = last; age > 0; age--) {
            inHive[age] = inHive[age - 1] * (1 - loss);
        }
        inHive[last] += staying;
        inHive[0] = emerging;
        double lost = growth.restLoss() + flying * Math.max(0, work * growth.foragerLoss() - growth.restLoss());
        foragers = foragers * (1 - lost) + leaving;
    }

    /** Hunger: bees die and brood is given up. */
    void starve(double share) {
        for (int age = 0; age < SEALED; age++) {
            brood[age] *= 1 - share;
        }
        leave(share);
    }

    /** Bees leave for other hives. */
    void leave(double share) {
        for (int age = 0; age < inHive.length; age++) {
            inHive[age] *= 1 - share;
        }
        foragers *= 1 - share;
    }
}
