package vividcrown.core.season.plan;

import java.util.Arrays;
import java.util.BitSet;
import java.util.stream.IntStream;

/**
 * What each graft of each recipe is to be charged for its share in the loads of its day, so that groups that look for the cheapest recipe by
 * themselves and days that look for the best company by themselves come as near to a plan as prices can bring them. The sum of both costs no more
 * than any plan does: Lagrangian relaxation (Geoffrion, Mathematical Programming Study 2, 1974), its prices by subgradients (Held, Wolfe and
 * Crowder, Mathematical Programming 6, 1974); from memory.
 */
final class GraftPrices {

    private static final double KEEPS_ITS_WAY = 0.7;
    private static final int PATIENCE = 20;
    private static final double SHORTER = 1.5;
    private static final double SHORTEST = 0.001;

    /** So many rounds on, recipes that cost too much are left out. */
    private static final int LOOKED_THROUGH_EVERY = 50;

    private OfferedGrafts grafts;
    private final double known;
    private final double[] price;
    private double[] best;
    private double bound = Double.NEGATIVE_INFINITY;
    /** Where both sides of the bound take a graft differently. */
    private final double[] apart;
    private final double[][][] gains;
    private final int[][][] taken;

    private GraftPrices(OfferedGrafts grafts, double known) {
        this.grafts = grafts;
        this.known = known;
        this.price = new double[grafts.cups().length];
        this.apart = new double[price.length];
        this.gains = Arrays.stream(grafts.onDay()).map(one -> new double[one.length + 1][]).toArray(double[][][]::new);
        this.taken = Arrays.stream(grafts.onDay()).map(one -> new int[one.length][]).toArray(int[][][]::new);
        for (int day = 0; day < gains.length; day++) {
            int cups = grafts.dayCost()[day].length;
            Arrays.setAll(gains[day], _ -> new double[cups]);
            Arrays.setAll(taken[day], _ -> new int[cups]);
        }
        for (int graft = 0; graft < price.length; graft++) {
            double[] costs = grafts.dayCost()[grafts.dayOf()[graft]];
            // by volume, as if a day's loads were always full
            price[graft] = grafts.cups()[graft] * IntStream.range(1, costs.length)
                    .mapToDouble(cups -> (costs[cups] - costs[0]) / cups).min().orElse(0);
        }
        this.best = price.clone();
    }

    /**
     * @param known cost of a plan: what must cost more is left out
     * @param rounds at most
     */
    static GraftPrices of(OfferedGrafts grafts, double known, int rounds) {
        GraftPrices prices = new GraftPrices(grafts, known);
        prices.seek(rounds);
        prices.leaveOut();
        return prices;
    }

    /** No plan costs less, or not less than the one that is known. */
    double bound() {
        return Math.min(bound, known);
    }

    /** Those that may still be in a plan that costs less than the one that is known. */
    OfferedGrafts left() {
        return grafts;
    }

    double of(int graft) {
        return best[graft];
    }

    /** A recipe with what its grafts are charged. */
    double ofRecipe(int recipe) {
        return charged(recipe, best);
    }

    /** What a day costs at the least, less what its grafts are charged. */
    double ofDay(int day) {
        return least(day, best);
    }

    private double charged(int recipe, double[] prices) {
        double sum = grafts.cost()[recipe];
        for (int graft : grafts.graftsOf()[recipe]) {
            sum += prices[graft];
        }
        return sum;
    }

    private void seek(int rounds) {
        double[] way = new double[price.length];
        double length = 1;
        int vain = 0;
        for (int round = 0; round < rounds && length > SHORTEST; round++) {
            if (round % LOOKED_THROUGH_EVERY == LOOKED_THROUGH_EVERY - 1) {
                leaveOut();
            }
            double now = reckon();
            if (now > bound) {
                bound = now;
                best = price.clone();
                vain = 0;
            } else if (++vain > PATIENCE) {
                vain = 0;
                length /= SHORTER;
                System.arraycopy(best, 0, price, 0, price.length);
                Arrays.fill(way, 0);
                continue;
            }
            double square = 0;
            for (int graft = 0; graft < way.length; graft++) {
                way[graft] = apart[graft] + KEEPS_ITS_WAY * way[graft];
                square += way[graft] * way[graft];
            }
            if (square == 0) {
                // both sides agree: this is a plan, and none is cheaper
                return;
            }
            double step = length * Math.max(1, known - now) / square;
            for (int graft = 0; graft < way.length; graft++) {
                price[graft] += step * way[graft];
            }
        }
    }

    /** A recipe that costs so much more than its group's cheapest is in no plan that costs less than the one that is known. */
    private void leaveOut() {
        BitSet kept = new BitSet();
        for (int group = 0; group < grafts.groups(); group++) {
            double most = known - bound + IntStream.of(grafts.recipesOf()[group]).mapToDouble(this::ofRecipe)
                    .reduce(grafts.withoutGraft()[group], Math::min);
            IntStream.of(grafts.recipesOf()[group]).filter(recipe -> ofRecipe(recipe) <= most).forEach(kept::set);
        }
        grafts = grafts.only(kept);
    }

    private double reckon() {
        Arrays.fill(apart, 0);
        double sum = 0;
        for (int group = 0; group < grafts.groups(); group++) {
            double least = grafts.withoutGraft()[group];
            int chosen = -1;
            for (int recipe : grafts.recipesOf()[group]) {
                double costs = charged(recipe, price);
                if (costs < least) {
                    least = costs;
                    chosen = recipe;
                }
            }
            sum += least;
            if (chosen >= 0) {
                for (int graft : grafts.graftsOf()[chosen]) {
                    apart[graft]++;
                }
            }
        }
        for (int day = 0; day < gains.length; day++) {
            sum += least(day, price);
            takenOn(day);
        }
        return sum;
    }

    /** Which grafts a day would like to have: one a group, by their prices against its loads (a knapsack with a choice in each group). */
    private double least(int day, double[] prices) {
        int[][] groups = grafts.onDay()[day];
        double[][] gain = gains[day];
        Arrays.fill(gain[0], Double.NEGATIVE_INFINITY);
        gain[0][0] = 0;
        for (int group = 0; group < groups.length; group++) {
            double[] before = gain[group];
            double[] after = gain[group + 1];
            int[] took = taken[day][group];
            System.arraycopy(before, 0, after, 0, before.length);
            Arrays.fill(took, -1);
            for (int graft : groups[group]) {
                int cups = grafts.cups()[graft];
                for (int all = cups; prices[graft] > 0 && all < after.length; all++) {
                    if (before[all - cups] + prices[graft] > after[all]) {
                        after[all] = before[all - cups] + prices[graft];
                        took[all] = graft;
                    }
                }
            }
        }
        double[] costs = grafts.dayCost()[day];
        double least = Double.POSITIVE_INFINITY;
        for (int all = 0; all < costs.length; all++) {
            least = Math.min(least, costs[all] - gain[groups.length][all]);
        }
        return least;
    }

    private void takenOn(int day) {
        int last = grafts.onDay()[day].length;
        double[] costs = grafts.dayCost()[day];
        int at = 0;
        for (int all = 1; all < costs.length; all++) {
            at = costs[all] - gains[day][last][all] < costs[at] - gains[day][last][at] ? all : at;
        }
        for (int group = last - 1; group >= 0; group--) {
            int graft = taken[day][group][at];
            if (graft >= 0) {
                apart[graft]--;
                at -= grafts.cups()[graft];
            }
        }
    }
}
