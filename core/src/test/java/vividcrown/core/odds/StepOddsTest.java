package vividcrown.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.junit.jupiter.api.Test;

class StepOddsTest {

    private static final Rate TAKE = LossStep.TAKE.prior();
    private final UniformRandomProvider random = new SplittableRandom(17)::nextLong;

    private static StepOdds.Batch batch(int tried, int came, Circumstance kind, String group) {
        return new StepOdds.Batch(Around.NOTHING_KNOWN.with(kind, group), new StepOdds.Count(tried, came));
    }

    /**
     * Crowder 1978, Appl. Statist. 27:34, table 3: seeds that germinated on 21 plates, two kinds of seed on two extracts.
     * Breslow &amp; Clayton 1993, JASA 88:9, section 6.1, fit log-odds of −0.542, 0.797, −0.465 and 0.049 for the four, and
     * plates that differ with a standard deviation of 0.313 on the log-odds. Values from memory.
     */
    @Test
    void plates_of_seeds_come_out_as_in_the_published_analysis() {
        int[] came = {10, 23, 23, 26, 17, 5, 53, 55, 32, 46, 10, 8, 10, 8, 23, 0, 3, 22, 15, 32, 3};
        int[] sown = {39, 62, 81, 51, 39, 6, 74, 72, 51, 79, 13, 16, 30, 28, 45, 4, 12, 41, 30, 51, 7};
        int[] upTo = {5, 11, 16, 21};
        double[] published = {-0.542, 0.797, -0.465, 0.049};
        List<StepOdds.Batch> plates = new ArrayList<>();
        int kind = 0;
        for (int plate = 0; plate < came.length; plate++) {
            kind = plate == upTo[kind] ? kind + 1 : kind;
            plates.add(batch(sown[plate], came[plate], Circumstance.BUILDER, "kind " + kind));
        }
        Rate believed = Rate.of(20, 20);
        StepOdds odds = StepOdds.learnt(believed, plates);
        for (int each = 0; each < published.length; each++) {
            double share = 1 / (1 + Math.exp(-published[each]));
            // theirs are not drawn to one another, so ours lie a little further in
            assertThat(odds.group(Circumstance.BUILDER, "kind " + each).mean()).isCloseTo(share, within(0.05));
        }
        // a variance of s² on the log-odds is a correlation of about s² p (1 − p); believed beforehand: as ten plates
        double chance = 0.51 * 0.49;
        double theirs = 0.313 * 0.313 * chance;
        double believedLikeness = 1.0 / 41;
        assertThat(odds.likeness()).isCloseTo((10 * believedLikeness + 21 * theirs) / 31, within(0.01));
    }

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
        List<StepOdds.Batch> batters = new ArrayList<>();
        for (int batter = 0; batter < hits.length; batter++) {
            batters.add(batch(45, hits[batter], Circumstance.PERSON, "batter " + batter));
        }
        StepOdds pooled = StepOdds.learnt(Rate.of(30, 70), batters);
        double alone = 0;
        double together = 0;
        for (int batter = 0; batter < hits.length; batter++) {
            alone += Math.pow(hits[batter] / 45.0 - rest[batter], 2);
            together += Math.pow(pooled.group(Circumstance.PERSON, "batter " + batter).mean() - rest[batter], 2);
        }
        // the paper's own total for the plain shares is 0.077
        assertThat(alone).isCloseTo(0.077, within(0.002));
        assertThat(together / alone).isLessThan(1.0 / 3);
        assertThat(pooled.group(Circumstance.PERSON, "batter 0").mean()).isBetween(0.26, 0.34);
    }

    @Test
    void a_group_with_few_counts_is_drawn_to_the_others_and_one_with_many_is_not() {
        List<StepOdds.Batch> batches = new ArrayList<>();
        for (int day = 0; day < 20; day++) {
            batches.add(batch(45, 40 + day % 2, Circumstance.PERSON, "Ilva"));
            batches.add(batch(45, 31 + day % 2, Circumstance.PERSON, "Nela"));
        }
        batches.add(batch(10, 4, Circumstance.PERSON, "Jory"));
        StepOdds odds = StepOdds.learnt(TAKE, batches);
        assertThat(odds.group(Circumstance.PERSON, "Ilva").mean()).isCloseTo(0.9, within(0.02));
        assertThat(odds.group(Circumstance.PERSON, "Nela").mean()).isCloseTo(0.7, within(0.02));
        assertThat(odds.group(Circumstance.PERSON, "Jory").mean()).isBetween(0.5, 0.8);
        assertThat(odds.group(Circumstance.PERSON, "a new hand").mean())
                .isCloseTo(odds.overall().mean(), within(1e-9));
    }

    @Test
    void counts_that_cannot_be_are_refused() {
        assertThatThrownBy(() -> new StepOdds.Count(3, 4)).hasMessageContaining("between 0 and tried");
    }

    @Test
    void nothing_counted_leaves_the_trades_belief_whatever_surrounds_a_batch() {
        assertThat(StepOdds.learnt(TAKE, List.of()).at(Around.graftOf(LocalDate.of(2026, 6, 1)))).isEqualTo(TAKE);
        assertThat(StepOdds.of(Rate.of(3, 1)).at(Around.NOTHING_KNOWN)).isEqualTo(Rate.of(3, 1));
        StepOdds none = StepOdds.learnt(TAKE, List.of(batch(0, 0, Circumstance.YARD, "Alm")));
        assertThat(none.at(Around.NOTHING_KNOWN)).isEqualTo(TAKE);
        assertThat(none.overall().mean()).isCloseTo(TAKE.mean(), within(1e-9));
    }

    /** Good operations take 80–90 %, and one day in twenty only half (common practice): one such day is luck, a row of them is not. */
    @Test
    void one_poor_day_is_luck_and_six_of_them_are_the_operations_own() {
        Rate before = StepOdds.of(TAKE).overall();
        assertThat(Math.sqrt(before.variance())).as("about what good operations lie apart").isBetween(0.05, 0.08);
        double afterOne = afterPoorDays(1).mean();
        double afterSix = afterPoorDays(6).mean();
        assertThat(afterOne).isBetween(0.79, 0.845);
        assertThat(afterSix).isBetween(0.5, 0.6);
    }

    private static Rate afterPoorDays(int days) {
        List<StepOdds.Batch> poor = Collections.nCopies(days,
                new StepOdds.Batch(Around.NOTHING_KNOWN, new StepOdds.Count(30, 15)));
        return StepOdds.learnt(TAKE, poor).overall();
    }

    /**
     * Operations drawn as they differ, days drawn around them: of batches to come as many lie below each tenth of what is said as it says,
     * whether none was counted, one or a few.
     */
    @Test
    void the_next_batch_is_foretold_as_well_after_a_few_counts_as_before_any() {
        Rate mating = LossStep.MATING.prior();
        int operations = 3000;
        for (int counted : new int[]{0, 1, 3, 8}) {
            int[] below = new int[10];
            for (int operation = 0; operation < operations; operation++) {
                double own = drawn(mating.mean(), 0.2 * mating.variance());
                double luck = 0.8 * mating.variance() * own * (1 - own) / (mating.mean() * (1 - mating.mean()));
                List<StepOdds.Batch> batches = new ArrayList<>();
                for (int day = 0; day < counted; day++) {
                    batches.add(new StepOdds.Batch(Around.NOTHING_KNOWN, new StepOdds.Count(30,
                            BinomialDistribution.of(30, drawn(own, luck)).createSampler(random).sample())));
                }
                Rate said = StepOdds.learnt(mating, batches).at(Around.NOTHING_KNOWN);
                double foretold = BetaDistribution.of(said.successes(), said.failures())
                        .cumulativeProbability(drawn(own, luck));
                below[(int) Math.min(9, 10 * foretold)]++;
            }
            int sum = 0;
            for (int tenth = 1; tenth < 10; tenth++) {
                sum += below[tenth - 1];
                assertThat((double) sum / operations).as("%d counted, tenth %d", counted, tenth)
                        .isCloseTo(tenth / 10.0, within(0.035));
            }
        }
    }

    private double drawn(double mean, double variance) {
        Rate rate = Rate.ofMeanAndVariance(mean, variance);
        return Math.clamp(BetaDistribution.of(rate.successes(), rate.failures()).createSampler(random).sample(), 1e-6,
                1 - 1e-6);
    }

    /** The best grafter always works the worst box: one by one both look middling. */
    @Test
    void a_good_hand_in_a_poor_box_is_told_apart() {
        List<StepOdds.Batch> batches = new ArrayList<>();
        double[][] share = {{0.60, 0.85}, {0.40, 0.70}};
        int[][] often = {{18, 4}, {4, 18}};
        String[] people = {"Ilva", "Jory"};
        String[] boxes = {"B 1", "B 2"};
        for (int person = 0; person < 2; person++) {
            for (int box = 0; box < 2; box++) {
                for (int number = 0; number < often[person][box]; number++) {
                    batches.add(new StepOdds.Batch(Around.NOTHING_KNOWN.with(Circumstance.PERSON, people[person])
                            .with(Circumstance.BUILDER, boxes[box]),
                            new StepOdds.Count(40, (int) Math.round(40 * share[person][box]))));
                }
            }
        }
        StepOdds odds = StepOdds.learnt(TAKE, batches);
        double plainIlva = (18 * 0.60 + 4 * 0.85) / 22;
        double plainJory = (4 * 0.40 + 18 * 0.70) / 22;
        assertThat(plainIlva).as("one by one both look alike").isCloseTo(plainJory, within(0.01));
        assertThat(odds.group(Circumstance.PERSON, "Ilva").mean())
                .isGreaterThan(odds.group(Circumstance.PERSON, "Jory").mean() + 0.1);
        assertThat(odds.group(Circumstance.BUILDER, "B 2").mean())
                .isGreaterThan(odds.group(Circumstance.BUILDER, "B 1").mean() + 0.15);
        Around best = Around.NOTHING_KNOWN.with(Circumstance.PERSON, "Ilva").with(Circumstance.BUILDER, "B 2");
        assertThat(odds.at(best).mean()).isCloseTo(0.85, within(0.04));
    }

    @Test
    void what_is_not_known_makes_it_vaguer_and_moves_nothing() {
        List<StepOdds.Batch> batches = new ArrayList<>();
        for (int number = 0; number < 30; number++) {
            batches.add(batch(40, number % 2 == 0 ? 36 : 26, Circumstance.MOTHER, number % 2 == 0 ? "Runa" : "Selva"));
        }
        StepOdds odds = StepOdds.learnt(TAKE, batches);
        Rate any = odds.at(Around.NOTHING_KNOWN);
        Rate runa = odds.at(Around.NOTHING_KNOWN.with(Circumstance.MOTHER, Optional.of("Runa")));
        assertThat(any.variance()).isGreaterThan(runa.variance());
        assertThat(odds.at(Around.NOTHING_KNOWN.with(Circumstance.MOTHER, "a new mother"))).isEqualTo(any);
        assertThat(any.mean()).isCloseTo(odds.overall().mean(), within(1e-9));
        assertThat(runa.mean()).isBetween(0.83, 0.9);
        assertThat(odds.at(Around.NOTHING_KNOWN.with(Circumstance.YARD, "Alm"))).isEqualTo(any);
    }

    /** Nine batches in ten must fall into the interval that says so, however many were counted before. */
    @Test
    void batches_to_come_fall_where_it_says_with_their_days_luck() {
        Map<String, Double> boxes = Map.of("B 1", 0.9, "B 2", 0.8, "B 3", 0.65);
        double luck = 12;
        List<StepOdds.Batch> counted = new ArrayList<>();
        for (int number = 0; number < 240; number++) {
            String box = "B " + (1 + number % 3);
            counted.add(batch(40, came(boxes.get(box), luck), Circumstance.BUILDER, box));
        }
        StepOdds odds = StepOdds.learnt(TAKE, counted);
        // of a Beta of weight 12 the cups of a batch are correlated by 1/13
        assertThat(odds.likeness()).isCloseTo(1.0 / 13, within(0.02));
        int inside = 0;
        int tried = 3000;
        for (int number = 0; number < tried; number++) {
            String box = "B " + (1 + number % 3);
            Interval interval = odds.at(Around.NOTHING_KNOWN.with(Circumstance.BUILDER, box)).credible(0.9);
            double share = BetaDistribution.of(boxes.get(box) * luck, (1 - boxes.get(box)) * luck)
                    .createSampler(random).sample();
            inside += share >= interval.low() && share <= interval.high() ? 1 : 0;
        }
        assertThat((double) inside / tried).isCloseTo(0.9, within(0.03));
    }

    private int came(double mean, double luck) {
        double share = BetaDistribution.of(mean * luck, (1 - mean) * luck).createSampler(random).sample();
        return BinomialDistribution.of(40, share).createSampler(random).sample();
    }

    /** What is learnt rests on what was counted, not on the order in which it was written down. */
    @Test
    void the_order_of_the_record_teaches_nothing() {
        List<StepOdds.Batch> counted = new ArrayList<>();
        for (int number = 0; number < 300; number++) {
            int came = 18 + (number * 7) % 13 + (number % 3 == 0 ? 6 : 0);
            counted.add(new StepOdds.Batch(
                    Around.NOTHING_KNOWN.with(Circumstance.BUILDER, "B " + number % 3)
                            .with(Circumstance.MOTHER, "M " + number % 7).with(Circumstance.PERSON, "P " + number % 2),
                    new StepOdds.Count(40, came)));
        }
        StepOdds once = StepOdds.learnt(TAKE, counted);
        StepOdds again = StepOdds.learnt(TAKE, counted.reversed());
        assertThat(again.overall().mean()).isCloseTo(once.overall().mean(), within(1e-4));
        assertThat(again.likeness()).isCloseTo(once.likeness(), within(1e-4));
        for (Circumstance kind : List.of(Circumstance.BUILDER, Circumstance.MOTHER, Circumstance.PERSON)) {
            for (int group = 0; group < 7; group++) {
                String name = kind.name().charAt(0) + " " + group;
                assertThat(again.group(kind, name).mean()).as(name).isCloseTo(once.group(kind, name).mean(),
                        within(1e-3));
            }
        }
        assertThat(once.group(Circumstance.BUILDER, "B 0").mean()).as("the builder that gets six more of forty")
                .isGreaterThan(once.group(Circumstance.BUILDER, "B 1").mean() + 0.05);
    }
}
