package vividcrown.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.apache.commons.statistics.distribution.BetaDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class RateTest {

    /** Two libraries by different people; they agree to 1e-6, wide of what either promises. */
    @ParameterizedTest(name = "Beta({0}, {1}) against commons-statistics-distribution 1.3, inverseCumulativeProbability")
    @CsvSource({"17, 3", "0.5, 0.5", "3.4, 0.6", "55, 10", "400, 600", "1, 1"})
    void quantiles_agree_with_a_reference_library(double successes, double failures) {
        BetaDistribution reference = BetaDistribution.of(successes, failures);
        for (double probability : new double[]{0.01, 0.05, 0.25, 0.5, 0.75, 0.95, 0.99}) {
            assertThat(Rate.of(successes, failures).quantile(probability))
                    .isCloseTo(reference.inverseCumulativeProbability(probability), within(1e-6));
        }
    }

    /** Closed forms: Beta(1, 1) is uniform, Beta(n, 1) has distribution function x^n. */
    @Test
    void quantiles_agree_with_closed_forms() {
        assertThat(Rate.of(1, 1).quantile(0.3)).isCloseTo(0.3, within(1e-9));
        assertThat(Rate.of(4, 1).quantile(0.05)).isCloseTo(Math.pow(0.05, 0.25), within(1e-9));
    }

    @Test
    void counts_are_added_to_the_belief() {
        // the example in the documentation: (17 + 38) / (20 + 45)
        assertThat(Rate.of(17, 3).updatedBy(38, 45).mean()).isCloseTo(55.0 / 65, within(1e-12));
    }

    @Test
    void more_counts_make_surer() {
        Interval few = Rate.of(8, 2).credible(0.9);
        Interval many = Rate.of(8, 2).updatedBy(80, 100).credible(0.9);
        assertThat(many.high() - many.low()).isLessThan(few.high() - few.low());
    }

    @ParameterizedTest(name = "{0}: usual mean, and one day in twenty as poor as the trade says (common practice)")
    @EnumSource(LossStep.class)
    void priors_hold_the_usual_share_and_the_poor_day(LossStep step) {
        double poorDay = switch (step) {
            case TAKE, MATING, ACCEPTANCE -> 0.50;
            case SOUND -> 0.75;
            case EMERGENCE -> 0.80;
        };
        assertThat(step.prior().quantile(0.05)).isCloseTo(poorDay, within(1e-6));
        double mean = switch (step) {
            case TAKE -> 0.85;
            case SOUND, EMERGENCE -> 0.925;
            case MATING -> 0.775;
            case ACCEPTANCE -> 0.875;
        };
        assertThat(step.prior().mean()).isCloseTo(mean, within(1e-9));
    }

    @Test
    void nonsense_is_refused() {
        assertThatThrownBy(() -> Rate.of(0, 3))
                .hasMessage("A rate needs successes and failures above 0, but got 0.0 and 3.0");
        assertThatThrownBy(() -> Rate.of(2, 3).updatedBy(5, 4))
                .hasMessage("succeeded must lie between 0 and tried (4), but is 5");
        assertThatThrownBy(() -> Rate.fromUsualAndPoorDay(0.5, 0.8))
                .hasMessage("Needs 0 < poorDay < mean < 1, but got poorDay 0.8 and mean 0.5");
    }

    /** P(X > Y) of Beta(a, 1) and Beta(b, 1) is a / (a + b): the integral of a·x^(a−1)·x^b over 0–1 (textbook identity). */
    @Test
    void the_chance_that_one_share_is_above_another_is_that_of_the_closed_form() {
        assertThat(Rate.of(2, 1).chanceAbove(Rate.of(1, 1))).isCloseTo(2.0 / 3, within(1e-4));
        assertThat(Rate.of(7, 1).chanceAbove(Rate.of(3, 1))).isCloseTo(0.7, within(1e-4));
        assertThat(Rate.of(5, 4).chanceAbove(Rate.of(5, 4))).isCloseTo(0.5, within(1e-4));
    }
}
