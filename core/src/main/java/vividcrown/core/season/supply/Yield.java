package vividcrown.core.season.supply;

import java.util.Arrays;
import java.util.List;
import org.hipparchus.special.Gamma;
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

    /**
     * What is left of it after one step more, in the same batch. Of n that reach it, k pass with the chance C(n, k) B(k + α, n − k + β) / B(α, β), which is
     * a[k] b[n − k] / c[n] with a[k] = (α)ₖ / k!, b[m] = (β)ₘ / m! and c[n] = (α + β)ₙ / n!, (x)ₖ being x (x + 1) … (x + k − 1): so all of them come from one
     * convolution. Each is taken so many times the k-th power of a scale that none becomes too large to be written.
     */
    Yield through(Rate step) {
        int most = chances.length - 1;
        double scale = 1 / perFactor(step.successes() + step.failures(), most);
        double[] passing = rising(step.successes(), most, scale);
        double[] lost = rising(step.failures(), most, scale);
        double[] reaching = rising(step.successes() + step.failures(), most, scale);
        // lost from the end: both run the same way
        double[] lostFromEnd = new double[chances.length];
        for (int many = 0; many <= most; many++) {
            lostFromEnd[most - many] = lost[many];
        }
        double[] next = new double[chances.length];
        for (int reached = 0; reached <= most; reached++) {
            double weight = chances[reached] / reaching[reached];
            if (chances[reached] > NEGLIGIBLE) {
                int end = most - reached;
                for (int passed = 0; passed <= reached; passed++) {
                    next[passed] += weight * lostFromEnd[end + passed];
                }
            }
        }
        for (int passed = 0; passed <= most; passed++) {
            next[passed] *= passing[passed];
        }
        return new Yield(next);
    }

    /** (x)ₖ / k! times the k-th power of the scale, for k up to the most. */
    private static double[] rising(double x, int most, double scale) {
        double[] rising = new double[most + 1];
        rising[0] = 1;
        for (int many = 0; many < most; many++) {
            rising[many + 1] = rising[many] * (x + many) / (many + 1) * scale;
        }
        return rising;
    }

    /** By how much each factor of (x)ₙ / n! makes it larger, on average. */
    private static double perFactor(double x, int most) {
        return most == 0
                ? 1
                : Math.exp((Gamma.logGamma(x + most) - Gamma.logGamma(x) - Gamma.logGamma(most + 1)) / most);
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
