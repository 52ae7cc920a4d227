package vividcrown.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import vividcrown.core.odds.Pooling.Count;

class PoolingTest {

    /**
     * The worked example of partial pooling: Efron &amp; Morris 1975, Data analysis using Stein's estimator, JASA 70:311,
     * table 1 (from memory): eighteen batters, hits in their first 45 at-bats, and their share over the rest of 1970. The
     * paper's estimates had less than a third of the squared error of the plain shares.
     */
    @Test
    void the_batters_of_1970_are_guessed_far_better_together_than_each_alone() {
        int[] hits = {18, 17, 16, 15, 14, 14, 13, 12, 11, 11, 10, 10, 10, 10, 10, 9, 8, 7};
        double[] rest = {.346, .298, .276, .222, .273, .270, .263, .210, .269, .230, .264, .256, .303, .264, .226, .286,
                .316, .200};
        Map<Integer, Count> counts = new LinkedHashMap<>();
        for (int batter = 0; batter < hits.length; batter++) {
            counts.put(batter, new Count(45, hits[batter]));
        }
        Pooling<Integer> pooled = Pooling.of(Rate.of(0.5, 0.5), counts);
        double alone = 0;
        double together = 0;
        for (int batter = 0; batter < hits.length; batter++) {
            alone += Math.pow(hits[batter] / 45.0 - rest[batter], 2);
            together += Math.pow(pooled.of(batter).mean() - rest[batter], 2);
        }
        // the paper's own total for the plain shares is 0.077
        assertThat(alone).isCloseTo(0.077, within(0.002));
        assertThat(together / alone).isLessThan(1.0 / 3);
        assertThat(pooled.of(0).mean()).isBetween(0.26, 0.34);
    }

    @Test
    void a_group_with_few_counts_is_drawn_to_the_others_and_one_with_many_is_not() {
        Pooling<String> pooled = Pooling.of(LossStep.TAKE.prior(), Map.of("Ilva", new Count(900, 810), "Jory",
                new Count(10, 4), "Nela", new Count(600, 420)));
        assertThat(pooled.of("Ilva").mean()).isCloseTo(0.9, within(0.02));
        assertThat(pooled.of("Nela").mean()).isCloseTo(0.7, within(0.02));
        assertThat(pooled.of("Jory").mean()).isBetween(0.45, 0.8);
        assertThat(pooled.of("a new hand").mean()).isCloseTo(pooled.overall().mean(), within(1e-9));
    }

    @Test
    void groups_that_differ_only_by_chance_are_taken_nearly_as_one() {
        SplittableRandom random = new SplittableRandom(3);
        double alone = 0;
        double together = 0;
        for (int season = 0; season < 200; season++) {
            Map<Integer, Count> counts = new LinkedHashMap<>();
            for (int group = 0; group < 12; group++) {
                int passed = 0;
                for (int cup = 0; cup < 45; cup++) {
                    passed += random.nextDouble() < 0.85 ? 1 : 0;
                }
                counts.put(group, new Count(45, passed));
            }
            Pooling<Integer> pooled = Pooling.of(LossStep.TAKE.prior(), counts);
            for (int group = 0; group < 12; group++) {
                alone += Math.pow(counts.get(group).succeeded() / 45.0 - 0.85, 2);
                together += Math.pow(pooled.of(group).mean() - 0.85, 2);
            }
        }
        assertThat(together / alone).isLessThan(0.25);
    }

    @Test
    void no_counts_leave_the_trades_belief() {
        Pooling<String> none = Pooling.of(LossStep.MATING.prior(), Map.of());
        assertThat(none.overall()).isEqualTo(LossStep.MATING.prior());
        assertThat(none.of("May").mean()).isCloseTo(LossStep.MATING.prior().mean(), within(1e-9));
    }

    @Test
    void several_groupings_add_on_the_log_odds() {
        // by hand: log-odds 0.8 → 1.386; 0.9 → 2.197; 0.7 → 0.847; sum 1.386 + 0.811 − 0.539 = 1.658 → 0.840
        Rate both = Pooling.together(Rate.of(80, 20), List.of(Rate.of(90, 10), Rate.of(35, 15)));
        assertThat(both.mean()).isCloseTo(0.840, within(0.001));
        assertThat(both.successes() + both.failures()).isCloseTo(50, within(1e-6));
        assertThat(Pooling.together(Rate.of(80, 20), List.of()).mean()).isCloseTo(0.8, within(1e-9));
    }

    @Test
    void counts_that_cannot_be_are_refused() {
        assertThatThrownBy(() -> new Count(3, 4)).hasMessageContaining("between 0 and tried");
    }
}
