package vividcrown.core.odds;

import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.distribution.continuous.BetaDistribution;
import vividcrown.core.reason.Wrong;

/**
 * What is believed about a share of successes, as a Beta distribution. Counts are added to it as they come in.
 *
 * <p>Example: from {@code Rate.of(17, 3)} (mean 85 %), 38 takes out of 45 give mean (17 + 38) / (20 + 45) = 84.6 %.
 *
 * @param successes alpha: prior weight plus successes counted, above 0
 * @param failures beta: prior weight plus failures counted, above 0
 */
public record Rate(double successes, double failures) {

    private static final double LEAST_WEIGHT = 0.2;
    private static final int PARTS = 1000;

    public Rate {
        if (!(successes > 0) || !(failures > 0)) {
            throw Wrong.of("wrong.Rate", successes, failures);
        }
    }

    public static Rate of(double successes, double failures) {
        return new Rate(successes, failures);
    }

    /**
     * The belief with this mean whose 5 % quantile is the share of a poor day: a good operation most of the time, a
     * poor day one time in twenty. The weight is solved for.
     *
     * @param mean usual share, above {@code poorDay}, below 1
     * @param poorDay share on a poor day, above 0
     */
    public static Rate fromUsualAndPoorDay(double mean, double poorDay) {
        if (!(0 < poorDay && poorDay < mean && mean < 1)) {
            throw Wrong.of("wrong.Rate.2", poorDay, mean);
        }
        double weight = new BrentSolver(1e-9).solve(200,
                candidate -> of(mean * candidate, (1 - mean) * candidate).quantile(0.05) - poorDay, 0.5, 5000);
        return of(mean * weight, (1 - mean) * weight);
    }

    /**
     * The belief with this mean and variance: its weight is m(1 − m)/v − 1.
     *
     * @param mean between 0 and 1
     * @param variance above 0; less than m(1 − m), or it is taken to be nearly that
     */
    public static Rate ofMeanAndVariance(double mean, double variance) {
        double weight = Math.max(LEAST_WEIGHT, mean * (1 - mean) / variance - 1);
        return of(mean * weight, (1 - mean) * weight);
    }

    /** The belief after counting {@code succeeded} out of {@code tried} more, parts allowed. */
    public Rate updatedBy(double succeeded, double tried) {
        if (!(succeeded >= 0 && succeeded <= tried)) {
            throw Wrong.of("wrong.Rate.3", number(tried), number(succeeded));
        }
        return new Rate(successes + succeeded, failures + tried - succeeded);
    }

    private static String number(double count) {
        return count == Math.rint(count) ? String.valueOf((long) count) : String.valueOf(count);
    }

    public double mean() {
        return successes / (successes + failures);
    }

    public double variance() {
        return mean() * (1 - mean()) / (successes + failures + 1);
    }

    /** The share below which the true one lies with probability {@code probability} (0 to 1). */
    public double quantile(double probability) {
        return distribution().inverseCumulativeProbability(probability);
    }

    /** The interval with equal tails: 0.9 leaves 5 % on either side. */
    public Interval credible(double probability) {
        double tail = (1 - probability) / 2;
        return new Interval(quantile(tail), quantile(1 - tail), probability);
    }

    /**
     * Chance that the true share is above that of another, 0–1: the mean of the other's cumulative distribution over this
     * belief, by the midpoints of equally likely parts.
     */
    public double chanceAbove(Rate other) {
        BetaDistribution its = other.distribution();
        double sum = 0;
        for (int part = 0; part < PARTS; part++) {
            sum += its.cumulativeProbability(quantile((part + 0.5) / PARTS));
        }
        return sum / PARTS;
    }

    private BetaDistribution distribution() {
        return new BetaDistribution(successes, failures);
    }
}
