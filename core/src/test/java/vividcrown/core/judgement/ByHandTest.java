package vividcrown.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Sentence;

/** Odds of small cases against exact enumeration of Bayes' rule, state by state. */
class ByHandTest {

    private static final LocalDate JUN_10 = LocalDate.of(2026, 6, 10);
    private static final Flows.AtPlace UPLAND = new Flows.AtPlace(Assumptions.standard(), Season.NORTHERN);
    private static final Map<Status, Double> PRIOR = Prior.on(JUN_10, Assumptions.standard(), Season.NORTHERN).odds();
    private static final Offset<Double> EXACT = Offset.offset(1e-9);

    private static Map<Status, Double> odds(Reading reading) {
        return new Judge(Assumptions.standard(), Season.NORTHERN).judge(List.of(reading), List.of(), JUN_10).odds();
    }

    /** posterior = prior × chance of the sign ÷ sum over the nine states. */
    private static void assertBayes(Map<Status, Double> posterior, Sign sign, boolean seen) {
        Map<Status, Double> prior = PRIOR;
        SignOdds line = Likelihoods.standard().of(sign);
        double sum = 0;
        for (Status status : Status.values()) {
            sum += prior.get(status) * line.chance(status, seen);
        }
        for (Status status : Status.values()) {
            assertThat(posterior.get(status)).as("%s given %s", status, sign)
                    .isCloseTo(orSlip(prior.get(status) * line.chance(status, seen) / sum, prior.get(status)), EXACT);
        }
    }

    /** One reading in some hundreds is a slip, and tells nothing. */
    private static double orSlip(double posterior, double prior) {
        return (1 - Evidence.SLIP) * posterior + Evidence.SLIP * prior;
    }

    @Test
    void one_sign_seen_or_absent() {
        for (Sign sign : List.of(Sign.MOANING, Sign.POLISHED_CELLS, Sign.BEES_OLD)) {
            assertBayes(odds(Reading.of(JUN_10, sign)), sign, true);
            assertBayes(odds(Reading.of(JUN_10).without(sign)), sign, false);
        }
    }

    /** Two signs of one group count once: the one that tells the states apart more. */
    @Test
    void signs_that_say_the_same_are_not_counted_twice() {
        assertBayes(odds(Reading.of(JUN_10, Sign.MOANING, Sign.DEFENSIVE)), Sign.MOANING, true);
    }

    /** Signs of different groups are independent given the state: their chances multiply. */
    @Test
    void signs_of_different_groups_multiply() {
        Map<Status, Double> prior = PRIOR;
        SignOdds moaning = Likelihoods.standard().of(Sign.MOANING);
        SignOdds old = Likelihoods.standard().of(Sign.BEES_OLD);
        double sum = 0;
        for (Status status : Status.values()) {
            sum += prior.get(status) * moaning.chance(status, true) * old.chance(status, true);
        }
        double byHand = prior.get(Status.LAYING_WORKERS) * moaning.chance(Status.LAYING_WORKERS, true)
                * old.chance(Status.LAYING_WORKERS, true) / sum;
        assertThat(odds(Reading.of(JUN_10, Sign.MOANING, Sign.BEES_OLD)).get(Status.LAYING_WORKERS))
                .isCloseTo(orSlip(byHand, PRIOR.get(Status.LAYING_WORKERS)), EXACT);
    }

    @Test
    void every_line_of_the_table_says_something_of_every_state() {
        assertThat(Likelihoods.standard().lines()).hasSizeGreaterThan(20)
                .allSatisfy(line -> {
                    assertThat(line.seen()).hasSize(Status.values().length);
                    assertThat(Sentence.of("like." + line.sign().name()).toString()).as("its reason").isNotBlank();
                });
    }

    /** A colony left alone is always in exactly one state: chances go on to sum to one. */
    @Test
    void chances_are_kept_over_the_days() {
        Belief belief = Prior.on(JUN_10, Assumptions.standard(), Season.NORTHERN);
        for (int day = 0; day < 120; day++) {
            belief = belief.dayLater(JUN_10.plusDays(day), UPLAND);
        }
        assertThat(belief.odds().values().stream().mapToDouble(Double::doubleValue).sum()).isCloseTo(1, EXACT);
    }

    /** A coin: one bit; nine alike: log2 9 (Shannon 1948). */
    @Test
    void doubt_is_counted_in_bits() {
        assertThat(Belief.bits(new double[]{0.5, 0.5})).isCloseTo(1, EXACT);
        assertThat(Belief.bits(new double[]{1, 0, 0})).isZero();
        assertThat(Belief.bits(new double[]{1, 1, 1, 1, 1, 1, 1, 1, 1})).isCloseTo(Math.log(9) / Math.log(2), EXACT);
    }
}
