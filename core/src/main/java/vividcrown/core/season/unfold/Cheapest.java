package vividcrown.core.season.unfold;

import java.util.function.IntToDoubleFunction;

/** The cheapest of many numbers, found in few steps: costs that fall and then rise, give or take the draws' luck. */
final class Cheapest {

    private static final int PARTS = 10;
    private static final int FINER = 3;

    private Cheapest() {
    }

    /** In coarse steps first, then in finer ones around the best, down to one. @param most 0 or more */
    static int of(int most, IntToDoubleFunction cost) {
        int best = 0;
        double least = cost.applyAsDouble(0);
        int from = 0;
        int until = most;
        for (int step = Math.max(1, most / PARTS); step >= 1; step = step == 1 ? 0 : Math.max(1, step / FINER)) {
            for (int many = from; many <= until; many += step) {
                double one = many == best ? least : cost.applyAsDouble(many);
                if (one < least) {
                    least = one;
                    best = many;
                }
            }
            from = Math.max(0, best - step + 1);
            until = Math.min(most, best + step - 1);
        }
        return best;
    }
}
