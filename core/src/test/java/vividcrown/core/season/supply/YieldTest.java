package vividcrown.core.season.supply;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.assertj.core.data.Offset;
import org.hipparchus.distribution.continuous.BetaDistribution;
import org.hipparchus.distribution.discrete.BinomialDistribution;
import org.hipparchus.random.Well19937c;
import org.hipparchus.special.Beta;
import org.hipparchus.special.Gamma;
import org.junit.jupiter.api.Test;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;

class YieldTest {

    private static final Offset<Double> EXACT = Offset.offset(1e-9);

    /** Known shares: a belief of enormous weight is a binomial. Reference: Hipparchus' own binomial distribution. */
    @Test
    void with_shares_known_for_certain_it_is_a_binomial() {
        double weight = 1e8;
        Yield yield = Yield.ofBatch(45, List.of(Rate.of(0.85 * weight, 0.15 * weight)));
        BinomialDistribution binomial = new BinomialDistribution(45, 0.85);
        for (int finished = 0; finished <= 45; finished++) {
            assertThat(yield.chances()[finished]).isCloseTo(binomial.probability(finished), Offset.offset(1e-3));
        }
        Yield chained = Yield.ofBatch(45,
                List.of(Rate.of(0.8 * weight, 0.2 * weight), Rate.of(0.5 * weight, 0.5 * weight)));
        assertThat(chained.mean()).isCloseTo(45 * 0.4, Offset.offset(1e-3));
    }

    /** Uniform belief: every number is equally likely (Laplace's rule of succession). */
    @Test
    void with_nothing_known_every_number_is_alike() {
        Yield yield = Yield.ofBatch(10, List.of(Rate.of(1, 1)));
        assertThat(yield.chances()).hasSize(11);
        for (double chance : yield.chances()) {
            assertThat(chance).isCloseTo(1.0 / 11, EXACT);
        }
    }

    @Test
    void chances_make_one_and_the_mean_is_the_product_of_the_means() {
        List<Rate> steps = Product.MATED_QUEENS.losses().stream().map(LossStep::prior).toList();
        Yield yield = Yield.ofBatches(90, 2, steps);
        assertThat(yield.atLeast(0)).isCloseTo(1, EXACT);
        double share = steps.stream().mapToDouble(Rate::mean).reduce(1, (a, b) -> a * b);
        assertThat(yield.mean()).isCloseTo(90 * share, Offset.offset(1e-6));
    }

    /** Monte Carlo: 20,000 seasons drawn step by step. */
    @Test
    void it_agrees_with_drawn_seasons() {
        List<Rate> steps = List.of(LossStep.TAKE.prior(), LossStep.MATING.prior());
        Well19937c generator = new Well19937c(46);
        Random random = new Random(46);
        int seasons = 20_000;
        int met = 0;
        for (int season = 0; season < seasons; season++) {
            int left = 30;
            for (Rate step : steps) {
                double share = new BetaDistribution(step.successes(), step.failures())
                        .inverseCumulativeProbability(generator.nextDouble());
                int passed = 0;
                for (int one = 0; one < left; one++) {
                    passed += random.nextDouble() < share ? 1 : 0;
                }
                left = passed;
            }
            met += left >= 18 ? 1 : 0;
        }
        assertThat(Yield.ofBatch(30, steps).atLeast(18)).isCloseTo((double) met / seasons, Offset.offset(0.015));
    }

    @Test
    void the_smallest_number_does_and_one_less_does_not() {
        GraftsNeeded needed = GraftsNeeded.forDemand(Product.MATED_QUEENS, 40, 0.9, 3, Map.of());
        int grafts = needed.grafts().orElseThrow();
        List<Rate> steps = Product.MATED_QUEENS.losses().stream().map(LossStep::prior).toList();
        assertThat(Yield.ofBatches(grafts, 3, steps).atLeast(40)).isGreaterThanOrEqualTo(0.9);
        assertThat(Yield.ofBatches(grafts - 1, 3, steps).atLeast(40)).isLessThan(0.9);
        // 40 ÷ (0.85 × 0.925 × 0.925 × 0.775) = 71 on average; certainty costs more
        assertThat(grafts).isBetween(75, 140);
    }

    @Test
    void several_days_are_safer_than_one() {
        int oneDay = GraftsNeeded.forDemand(Product.MATED_QUEENS, 40, 0.95, 1, Map.of()).grafts().orElseThrow();
        int fourDays = GraftsNeeded.forDemand(Product.MATED_QUEENS, 40, 0.95, 4, Map.of()).grafts().orElseThrow();
        assertThat(fourDays).isLessThan(oneDay);
    }

    @Test
    void own_counts_narrow_it_and_the_weakest_step_is_named() {
        Map<LossStep, Rate> own = Map.of(LossStep.TAKE, LossStep.TAKE.prior().updatedBy(900, 1000),
                LossStep.SOUND, LossStep.SOUND.prior().updatedBy(940, 1000),
                LossStep.EMERGENCE, LossStep.EMERGENCE.prior().updatedBy(930, 1000),
                LossStep.MATING, LossStep.MATING.prior().updatedBy(700, 1000));
        GraftsNeeded needed = GraftsNeeded.forDemand(Product.MATED_QUEENS, 40, 0.9, 1, own);
        assertThat(needed.grafts().orElseThrow())
                .isLessThan(GraftsNeeded.forDemand(Product.MATED_QUEENS, 40, 0.9, 1, Map.of()).grafts().orElseThrow());
        assertThat(needed.steps().getFirst().step()).isEqualTo(LossStep.MATING);
        assertThat(needed.steps().getFirst().grafts().orElseThrow()).isLessThanOrEqualTo(needed.grafts().get());
    }

    @Test
    void what_cannot_be_reached_says_so_and_bad_input_what_to_change() {
        Map<LossStep, Rate> hopeless = Map.of(LossStep.MATING, Rate.of(0.01, 100));
        assertThat(GraftsNeeded.forDemand(Product.MATED_QUEENS, 40, 0.9, 1, hopeless).grafts()).isEmpty();
        assertThatThrownBy(() -> GraftsNeeded.forDemand(Product.VIRGINS, 0, 0.9, 1, Map.of()))
                .hasMessageContaining("between 1 and 1200");
        assertThatThrownBy(() -> GraftsNeeded.forDemand(Product.VIRGINS, 5, 1.0, 1, Map.of()))
                .hasMessageContaining("assurance");
    }

    /**
     * Hundreds of batches together: what cannot come is left out of the sums, and nothing is lost of what can. Reference:
     * means add, and so do the variances of what is independent.
     */
    @Test
    void many_batches_together_keep_mean_and_variance_though_what_cannot_come_is_left_out() {
        List<Rate> steps = List.of(Rate.of(30, 10), Rate.of(45, 5));
        Yield one = Yield.ofBatch(40, steps);
        Yield all = Yield.NOTHING;
        for (int batch = 0; batch < 200; batch++) {
            all = all.plus(one);
        }
        assertThat(all.chances()).hasSize(40 * 200 + 1);
        assertThat(all.atLeast(0)).isCloseTo(1, EXACT);
        assertThat(all.mean()).isCloseTo(200 * one.mean(), Offset.offset(1e-6));
        assertThat(variance(all)).isCloseTo(200 * variance(one), Offset.offset(1e-4));
    }

    private static double variance(Yield yield) {
        double sum = 0;
        for (int finished = 0; finished < yield.chances().length; finished++) {
            sum += yield.chances()[finished] * Math.pow(finished - yield.mean(), 2);
        }
        return sum;
    }

    /** The chance of both together is that of their sum: by the whole distribution, the long way. */
    @Test
    void the_chance_of_two_batches_together_needs_no_distribution_of_both() {
        Yield one = Yield.ofBatch(60, List.of(LossStep.TAKE.prior(), LossStep.MATING.prior()));
        Yield two = Yield.ofBatch(25, List.of(LossStep.SOUND.prior()));
        for (int wanted : new int[]{-3, 0, 1, 30, 55, 84, 85, 86, 200}) {
            assertThat(one.atLeast(wanted, two)).as("%d", wanted).isCloseTo(one.plus(two).atLeast(wanted), EXACT);
        }
    }

    /** The beta-binomial's own formula, from log-gamma functions (textbook), for few, many and hardly any. */
    @Test
    void a_step_is_beta_binomial_however_large_the_batch_and_however_strong_the_belief() {
        for (Rate step : List.of(Rate.of(14, 3), Rate.of(0.4, 7), Rate.of(9_000, 1_000), Rate.of(30, 30))) {
            for (int cups : new int[]{1, 7, 90, 400}) {
                double[] chances = Yield.ofBatch(cups, List.of(step)).chances();
                for (int passed = 0; passed <= cups; passed += Math.max(1, cups / 9)) {
                    double exact = Math.exp(logChoose(cups, passed)
                            + Beta.logBeta(passed + step.successes(),
                                    cups - passed + step.failures())
                            - Beta.logBeta(step.successes(), step.failures()));
                    assertThat(chances[passed]).as("%d of %d, %s", passed, cups, step).isCloseTo(exact,
                            Offset.offset(1e-9 + 1e-7 * exact));
                }
                assertThat(Arrays.stream(chances).sum()).isCloseTo(1, Offset.offset(1e-7));
            }
        }
    }

    private static double logChoose(int many, int of) {
        return Gamma.logGamma(many + 1.0) - Gamma.logGamma(of + 1.0)
                - Gamma.logGamma(many - of + 1.0);
    }
}
