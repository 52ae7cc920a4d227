package vividcrown.core.search;

import java.util.BitSet;

/**
 * How she walks on while one searches: some 4 in a hundred a minute leave their side on brood with little smoke, 15 if smoked heavily or a runner, common
 * practice from memory; away from the light, which falls in where a comb was just lifted. From a comb in the hand she only goes over its edge.
 */
final class Wandering {

    /** Before any comb is lifted. */
    static final int NONE = -1;

    private static final double CALM_A_MINUTE = 0.04;
    private static final double RUNS_A_MINUTE = 0.15;
    private static final double VIRGIN_A_MINUTE = 0.12;
    private static final double OLD = 0.7;
    private static final double UNEASY = 1.5;
    private static final double FROM_THE_LIGHT = 1.4;
    private static final double TOWARDS_THE_LIGHT = 0.6;
    private static final double SMOKE_DRIVES = 2;

    private final Ways ways;
    private final double aMinute;
    /** For each place and way from it, how gladly she takes it where no light falls in. */
    private final double[][] gladly;

    Wandering(Ways ways, Circumstances under) {
        this.ways = ways;
        boolean runs = under.muchSmoke() || under.is(QueenTrait.RUNNER);
        double usual = runs ? RUNS_A_MINUTE : under.is(QueenTrait.VIRGIN) ? VIRGIN_A_MINUTE : CALM_A_MINUTE;
        this.aMinute = usual * (under.uneasy() ? UNEASY : 1) * (under.is(QueenTrait.OLD) ? OLD : 1);
        this.gladly = new double[ways.size()][];
        for (int at = 0; at < gladly.length; at++) {
            gladly[at] = ways.gladly(at).clone();
            for (int way = 0; way < gladly[at].length; way++) {
                if (under.muchSmoke() && isHidden(ways.at(ways.to(at)[way]))) {
                    gladly[at][way] *= SMOKE_DRIVES;
                }
            }
        }
    }

    private static boolean isHidden(Place place) {
        return switch (place) {
            case Place.Walls _,Place.Floor _,Place.InHole _ -> true;
            case Place.OnComb _,Place.Lid _,Place.Excluder _ -> false;
        };
    }

    /**
     * @param odds for each place
     * @param lifted the comb that is in the hand or was last; {@link #NONE} if none was
     * @param out combs that stand outside
     * @param inHand a comb that is in the hand meanwhile; {@link #NONE} if none is
     */
    double[] after(double[] odds, double minutes, int lifted, BitSet out, int inHand) {
        double leaves = 1 - Math.exp(-aMinute * minutes);
        double[] next = new double[odds.length];
        double[] share = new double[odds.length];
        for (int at = 0; at < odds.length; at++) {
            int[] to = ways.to(at);
            double sum = 0;
            for (int way = 0; way < to.length; way++) {
                share[way] = gladly[at][way] * open(at, to[way], lifted, out, inHand);
                sum += share[way];
            }
            next[at] += odds[at] * (sum == 0 ? 1 : 1 - leaves);
            for (int way = 0; sum > 0 && way < to.length; way++) {
                next[to[way]] += odds[at] * leaves * share[way] / sum;
            }
        }
        return next;
    }

    private double open(int from, int to, int lifted, BitSet out, int inHand) {
        int combFrom = ways.comb(from);
        int combTo = ways.comb(to);
        if (combFrom == combTo) {
            return 1;
        }
        if (isOut(combFrom, out, inHand) || isOut(combTo, out, inHand)) {
            return 0;
        }
        if (lifted < 0 || combFrom < 0 || combTo < 0 || ways.boxOfComb(combFrom) != ways.boxOfComb(lifted)
                || ways.boxOfComb(combTo) != ways.boxOfComb(lifted)) {
            return 1;
        }
        // combs of a box are numbered in a row
        int away = Math.abs(combTo - lifted) - Math.abs(combFrom - lifted);
        return away > 0 ? FROM_THE_LIGHT : away < 0 ? TOWARDS_THE_LIGHT : 1;
    }

    private static boolean isOut(int comb, BitSet out, int inHand) {
        return comb >= 0 && (comb == inHand || out.get(comb));
    }
}
