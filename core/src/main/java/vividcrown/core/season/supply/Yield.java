package vividcrown.core.season.supply;

import java.util.Arrays;
import java.util.List;
import org.hipparchus.special.Beta;
import org.hipparchus.util.CombinatoricsUtils;
import vividcrown.core.odds.Rate;
import vividcrown.core.reason.Wrong;

/**
 * How many come through all steps, from so many grafts: the whole distribution, exact.
 *
 * <p>Each step lets each through with a share that is itself only believed in (a Beta), the same for a whole batch: a bad
 * day is bad for every cup of it. So of k that reach a step, the number that pass is beta-binomial, and steps follow one
 * another by summing over k. Several batches are independent of each other: their numbers add, by convolution.
 *
 * <p>Cost: steps × grafts² for a batch.
 *
 * @param chances chance of exactly 0, 1, 2, … finished; together 1
 */
public record Yield(double[] chances) {

    static final Yield NOTHING = new Yield(new double[]{1});
    private static final double NEGLIGIBLE = 1e-15;
    /** Below this, what is reckoned from it would lose its digits. */
    private static final double TINY = 1e-250;

    /** @param steps belief about each step, in order; with none everything comes through */
    public static Yield ofBatch(int grafts, List<Rate> steps) {
        if (grafts < 0) {
            throw Wrong.of("wrong.Yield", grafts);
        }
        double[] chances = new double[grafts + 1];
        chances[grafts] = 1;
        Yield yield = new Yield(chances);
        for (Rate step : steps) {
            yield = yield.through(step);
        }
        return yield;
    }

    /** What is left of it after one step more, in the same batch. */
    Yield through(Rate step) {
        double[] next = new double[chances.length];
        double none = 1;
        for (int reached = 0; reached < chances.length; reached++) {
            if (chances[reached] > NEGLIGIBLE && none > TINY) {
                addUpwards(next, chances[reached], reached, step, none);
            } else if (chances[reached] > NEGLIGIBLE) {
                addBetaBinomial(next, chances[reached], reached, step);
            }
            none *= (reached + step.failures()) / (reached + step.successes() + step.failures());
        }
        return new Yield(next);
    }

    /** The grafts shared out evenly over so many batches on different days. */
    public static Yield ofBatches(int grafts, int batches, List<Rate> steps) {
        Yield all = ofBatch(0, steps);
        for (int batch = 0; batch < batches; batch++) {
            int share = grafts / batches + (batch < grafts % batches ? 1 : 0);
            all = all.plus(ofBatch(share, steps));
        }
        return all;
    }

    /** Together with another, independent of it. */
    public Yield plus(Yield other) {
        double[] sum = new double[chances.length + other.chances.length - 1];
        int first = other.edge(0, 1);
        int last = other.edge(other.chances.length - 1, -1);
        int end = edge(chances.length - 1, -1);
        for (int one = edge(0, 1); one <= end; one++) {
            for (int two = first; two <= last; two++) {
                sum[one + two] += chances[one] * other.chances[two];
            }
        }
        return new Yield(sum);
    }

    /** The first number from an end that may well come: of hundreds of queens, none and all are out of the question. */
    private int edge(int from, int step) {
        int at = from;
        while (chances[at] <= NEGLIGIBLE) {
            at += step;
        }
        return at;
    }

    /** What is left once so many were taken, or as many as there are. */
    public Yield over(int taken) {
        double[] left = new double[Math.max(1, chances.length - taken)];
        for (int finished = 0; finished < chances.length; finished++) {
            left[Math.max(0, finished - taken)] += chances[finished];
        }
        return new Yield(left);
    }

    /** Chance of this many or more, 0–1. */
    public double atLeast(int wanted) {
        double sum = 0;
        for (int finished = Math.max(0, wanted); finished < chances.length; finished++) {
            sum += chances[finished];
        }
        return Math.min(1, sum);
    }

    /** Chance of this many or more together with another, independent of it, 0–1; without the whole distribution of both. */
    public double atLeast(int wanted, Yield other) {
        double[] orMore = new double[other.chances.length + 1];
        for (int finished = other.chances.length - 1; finished >= 0; finished--) {
            orMore[finished] = orMore[finished + 1] + other.chances[finished];
        }
        double sum = 0;
        for (int finished = 0; finished < chances.length; finished++) {
            int missing = Math.max(0, wanted - finished);
            sum += missing < orMore.length ? chances[finished] * orMore[missing] : 0;
        }
        return Math.min(1, sum);
    }

    public double mean() {
        double sum = 0;
        for (int finished = 0; finished < chances.length; finished++) {
            sum += finished * chances[finished];
        }
        return sum;
    }

    /** The smallest number that is not exceeded with at least this probability. */
    public int quantile(double probability) {
        double sum = 0;
        for (int finished = 0; finished < chances.length; finished++) {
            sum += chances[finished];
            if (sum >= probability) {
                return finished;
            }
        }
        return chances.length - 1;
    }

    /** The same from none upwards, where that is no vanishing number: without any logarithm. @param none chance that none passes */
    private static void addUpwards(double[] next, double weight, int reached, Rate step, double none) {
        double alpha = step.successes();
        double beta = step.failures();
        double chance = weight * none;
        for (int passed = 0; passed < reached; passed++) {
            next[passed] += chance;
            chance *= (reached - passed) * (passed + alpha) / ((passed + 1) * (reached - passed - 1 + beta));
        }
        next[reached] += chance;
    }

    /**
     * Adds weight × C(n, k) B(k + α, n − k + β) / B(α, β) for every k: one value near the middle by the formula, its
     * neighbours by their ratio (n − k)(k + α) / ((k + 1)(n − k − 1 + β)).
     */
    private static void addBetaBinomial(double[] next, double weight, int reached, Rate step) {
        double alpha = step.successes();
        double beta = step.failures();
        int middle = (int) Math.round(reached * step.mean());
        double there = weight * Math.exp(CombinatoricsUtils.binomialCoefficientLog(reached, middle)
                + Beta.logBeta(middle + alpha, reached - middle + beta) - Beta.logBeta(alpha, beta));
        double chance = there;
        for (int passed = middle; passed <= reached; passed++) {
            next[passed] += chance;
            chance *= (reached - passed) * (passed + alpha) / ((passed + 1) * (reached - passed - 1 + beta));
        }
        chance = there;
        for (int passed = middle; passed > 0; passed--) {
            chance *= passed * (reached - passed + beta) / ((reached - passed + 1) * (passed - 1 + alpha));
            next[passed - 1] += chance;
        }
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Yield yield && Arrays.equals(chances, yield.chances);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(chances);
    }

    @Override
    public String toString() {
        return "Yield of %d at most, %.1f on average".formatted(chances.length - 1, mean());
    }
}
