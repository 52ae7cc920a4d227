package vividcrown.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.mating.MatingChance;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/** What may be done, and until when: common practice. */
class AdvisorTest {

    private static final LocalDate JUN_10 = LocalDate.of(2026, 6, 10);

    private static Advice advice(Set<Action> preferred, Reading reading) {
        Verdict verdict = new Judge(Assumptions.standard(), Season.NORTHERN).judge(List.of(reading), List.of(),
                reading.day());
        return new Advisor(Assumptions.standard(), MatingClimate.UPLAND_46_NORTH, preferred).advise(verdict,
                List.of(reading));
    }

    private static Reading layingWorkers(LocalDate day) {
        return Reading.of(day, Sign.EGGS_SEVERAL, Sign.EGGS_ON_WALLS, Sign.SEALED_DRONE_SCATTERED, Sign.BEES_OLD)
                .without(Sign.SEALED_WORKER);
    }

    @Test
    void a_costly_queen_straight_into_laying_workers_is_the_worst_of_the_options() {
        List<Option> options = advice(Set.of(), layingWorkers(JUN_10)).options();
        assertThat(options).extracting(Option::action).contains(Action.SHAKE_OUT, Action.SHAKE_OUT_FOR_A_NUC,
                Action.BROOD_WEEKLY, Action.BROOD_THEN_QUEEN, Action.UNITE, Action.GIVE_QUEEN, Action.GIVE_CELL);
        assertThat(
                options.stream().map(Option::action).filter(action -> action != Action.LOOK_AGAIN).toList().getLast())
                .isIn(Action.GIVE_QUEEN, Action.GIVE_CELL);
        assertThat(options).isSortedAccordingTo((a, b) -> Double.compare(b.value(), a.value()));
    }

    @Test
    void the_operations_own_school_stands_first_and_says_so() {
        Option first = advice(EnumSet.of(Action.BROOD_WEEKLY), layingWorkers(JUN_10)).options().getFirst();
        assertThat(first.action()).isEqualTo(Action.BROOD_WEEKLY);
        assertThat(first.reasons()).anySatisfy(
                reason -> assertThat(reason.fact().toString()).contains("this operation prefers"));
    }

    @Test
    void no_frame_moves_from_a_colony_under_suspicion() {
        Reading suspect = Reading.of(JUN_10, Sign.CAPS_SUNKEN, Sign.ROPY).without(Sign.EGGS, Sign.QUEEN_CELLS,
                Sign.LARVAE);
        Advice advice = advice(Set.of(), suspect);
        assertThat(advice.stop()).hasSize(2);
        assertThat(advice.options()).extracting(Option::action).doesNotContain(Action.TEST_FRAME, Action.UNITE,
                Action.BREAK_UP, Action.SHAKE_OUT);
    }

    @Test
    void choosing_a_test_frame_brings_its_day_and_its_meaning() {
        Advice advice = advice(Set.of(), Reading.of(JUN_10).without(Sign.BROOD, Sign.QUEEN_CELLS));
        Option test = advice.options().stream().filter(option -> option.action() == Action.TEST_FRAME).findFirst()
                .orElseThrow();
        Option.FollowUp read = test.followUps().getFirst();
        assertThat(read.days().earliest()).isEqualTo(JUN_10.plusDays(3));
        assertThat(read.days().latest()).isEqualTo(JUN_10.plusDays(7));
        assertThat(read.ifNot().toString()).contains("a queen or virgin is there");
    }

    @Test
    void long_queenless_bees_halve_the_odds_of_a_bought_queen() {
        LocalDate aug = LocalDate.of(2026, 7, 20);
        Reading reading = Reading.of(aug).without(Sign.BROOD, Sign.QUEEN_CELLS);
        List<ColonyEvent> events = List.of(new ColonyEvent(aug.minusDays(40), EventKind.QUEEN_REMOVED),
                new ColonyEvent(aug.minusDays(31), EventKind.CELLS_DESTROYED));
        Verdict verdict = new Judge(Assumptions.standard(), Season.NORTHERN).judge(List.of(reading), events, aug);
        Option bought = new Advisor(Assumptions.standard(), MatingClimate.UPLAND_46_NORTH, Set.of())
                .advise(verdict, List.of(reading)).options().stream()
                .filter(option -> option.action() == Action.GIVE_QUEEN).findFirst().orElseThrow();
        assertThat(bought.odds()).isBetween(0.45, 0.52);
    }

    @Test
    void late_in_the_year_a_virgin_is_a_gamble_and_uniting_leads() {
        LocalDate september = LocalDate.of(2026, 9, 20);
        Advice advice = advice(Set.of(), Reading.of(september).without(Sign.BROOD, Sign.QUEEN_CELLS));
        // a queen may rest in there: looked for once more, then united; nothing that rests on a virgin
        assertThat(advice.options().getFirst().action()).isIn(Action.LOOK_AGAIN, Action.UNITE);
        assertThat(advice.decide().orElseThrow()).satisfies(decision -> {
            assertThat(decision.tooLate()).isTrue();
            assertThat(decision.by()).isEqualTo(september);
        });
        MatingChance chance = new MatingChance(MatingClimate.UPLAND_46_NORTH);
        assertThat(chance.isSensible(september)).isFalse();
        assertThat(chance.of(JUN_10)).isGreaterThan(0.99);
        assertThat(chance.lastSensibleEmergence(JUN_10).orElseThrow())
                .isBetween(LocalDate.of(2026, 8, 15), LocalDate.of(2026, 9, 20));
    }

    /** By hand: three chances of one half make two or more in half of the cases (Pascal's triangle). */
    @Test
    void fit_afternoons_are_counted_exactly() {
        LocalDate emerged = LocalDate.of(2026, 6, 1);
        MatingChance three = new MatingChance(
                day -> day.isAfter(emerged.plusDays(4)) && day.isBefore(emerged.plusDays(8)) ? 0.5 : 0);
        assertThat(three.of(emerged)).isEqualTo(0.5);
        assertThat(three.expectedAfternoons(emerged)).isEqualTo(1.5);
        assertThat(new MatingChance(_ -> 0).lastSensibleEmergence(emerged)).isEmpty();
    }
}
