package vividcrown.core.odds;

import org.hipparchus.special.Beta;

/**
 * The operation's own share at a step, which all its days have in common, told apart from the luck of each day.
 *
 * <p>Nine operations in ten differ from one another a third as much as the days of one do, the tenth as much as days: an assumption of this
 * program that fits what good operations see (takes of 80–90 % where a poor day gives half; common practice). One poor day is then
 * mostly taken for the day's luck, and several that agree are believed at once (a mixture for a prior: Schmidli et al. 2014, Biometrics
 * 70:1023, from memory).
 */
final class OwnShare {

    private static final double LIKE_THE_REST = 0.9;
    /** Variance among those that are like the rest, to that of all days; those that are not like the rest differ as days do. */
    private static final double DIFFER = 1.0 / 9;
    private static final double COMMON = LIKE_THE_REST * DIFFER + (1 - LIKE_THE_REST);

    private final Rate likeTheRest;
    private final Rate unlike;

    /** @param day belief about a day of an operation of which nothing is known */
    OwnShare(Rate day) {
        this.likeTheRest = Rate.ofMeanAndVariance(day.mean(), DIFFER * day.variance());
        this.unlike = day;
    }

    /** Correlation of two cups of one batch by the luck of their day alone, 0–1. */
    static double likenessOfDays(Rate day) {
        return (1 - COMMON) / (day.successes() + day.failures() + 1);
    }

    /**
     * What is believed of it once {@code came} of {@code tried} were counted, in cups that share no luck, parts allowed: the Beta with the
     * mean and variance of the two, each weighed by how well it had foretold what came.
     */
    Rate after(double came, double tried) {
        Rate like = likeTheRest.updatedBy(came, tried);
        Rate other = unlike.updatedBy(came, tried);
        double foretold = foretold(unlike, other) - foretold(likeTheRest, like);
        double weight = 1 / (1 + (1 - LIKE_THE_REST) / LIKE_THE_REST * Math.exp(foretold));
        double mean = weight * like.mean() + (1 - weight) * other.mean();
        double square = weight * square(like) + (1 - weight) * square(other);
        return Rate.ofMeanAndVariance(mean, square - mean * mean);
    }

    private static double square(Rate rate) {
        return rate.variance() + rate.mean() * rate.mean();
    }

    /** Logarithm of the chance of what lies between the two beliefs. */
    private static double foretold(Rate before, Rate after) {
        return Beta.logBeta(after.successes(), after.failures()) - Beta.logBeta(before.successes(), before.failures());
    }
}
