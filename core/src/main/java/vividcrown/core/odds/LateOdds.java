package vividcrown.core.odds;

import org.hipparchus.distribution.continuous.TriangularDistribution;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;

/**
 * Will a virgin without eggs still come good? By Bayes: she is either one that will mate, and then begins to lay on a
 * day after emergence, or one that never will.
 *
 * <p>Of those that come good, nine in ten begin within the usual span (triangular between its earliest, likely and
 * latest day); the last tenth, held up by weather, spread evenly until the day from which she can only lay drones. The
 * split of nine to one is an assumption of this program, not a published figure.
 *
 * @param mating belief about virgins that mate and lay
 * @param assumptions for the usual first-egg span and the last day
 */
public record LateOdds(Rate mating, Assumptions assumptions) {

    private static final double IN_USUAL_SPAN = 0.9;

    /**
     * The share of such virgins that will still lay worker eggs.
     *
     * @param daysSinceEmergence days since she emerged at which a look found no eggs; 0 or less gives the mating rate
     */
    public double stillComesGood(double daysSinceEmergence) {
        double stillWaiting = mating.mean() * (1 - layingBy(daysSinceEmergence));
        double neverLays = 1 - mating.mean();
        return stillWaiting / (stillWaiting + neverLays);
    }

    /** Share, of those that come good, that lay by this many days after emergence, 0–1. */
    public double layingBy(double daysSinceEmergence) {
        double first = assumptions.span(Figure.FIRST_EGGS).earliestHours() / 24.0;
        double likely = assumptions.span(Figure.FIRST_EGGS).likelyHours() / 24.0;
        double last = assumptions.span(Figure.FIRST_EGGS).latestHours() / 24.0;
        double usual = new TriangularDistribution(first, likely, last).cumulativeProbability(daysSinceEmergence);
        double heldUp = Math.clamp((daysSinceEmergence - last) / (assumptions.dronesOnly() - last), 0, 1);
        return IN_USUAL_SPAN * usual + (1 - IN_USUAL_SPAN) * heldUp;
    }
}
