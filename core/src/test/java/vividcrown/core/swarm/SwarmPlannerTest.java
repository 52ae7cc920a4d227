package vividcrown.core.swarm;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.judgement.Season;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.CellsSeen;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.CombPlace;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.time.DatedSpan;

/** The ladder and its days: common practice, unless another source stands beside the check. */
class SwarmPlannerTest {

    private static final LocalDate MAY_20 = LocalDate.of(2026, 5, 20);

    private static LocalDate day(int number) {
        return MAY_20.plusDays(number);
    }

    private static Reading found(CellLook look, CombPlace place, int count) {
        return Reading.of(MAY_20, Sign.EGGS, Sign.SEALED_WORKER, Sign.CROWDED).with(look, place, count);
    }

    private static SwarmPlan plan(Reading reading, SwarmSchool school) {
        return SwarmPlanner.plan(new SwarmSituation(MAY_20, List.of(reading), List.of(), Optional.empty(),
                Optional.empty(), List.of(), Optional.empty(), school), Assumptions.standard(), Season.NORTHERN);
    }

    private static SwarmPlan removed(Optional<LocalDate> lastEgg, CellsSeen... left) {
        return SwarmPlanner.plan(new SwarmSituation(MAY_20, List.of(), List.of(), Optional.of(MAY_20), lastEgg,
                List.of(left), Optional.of(MAY_20), SwarmSchool.DESTROY_AND_RETURN), Assumptions.standard(),
                Season.NORTHERN);
    }

    private static List<SwarmStep.Kind> kinds(SwarmPlan plan) {
        return plan.steps().stream().map(SwarmStep::kind).toList();
    }

    @Test
    void the_return_visit_is_on_day_seven_to_ten() {
        assertThat(removed(Optional.empty()).returnVisit())
                .map(visit -> List.of(visit.earliest(), visit.latest())).contains(List.of(day(7), day(10)));
    }

    private static SwarmPlan plan(LocalDate today, List<ColonyEvent> events, Reading... readings) {
        return SwarmPlanner.plan(new SwarmSituation(today, List.of(readings), events, Optional.empty(),
                Optional.empty(), List.of(), Optional.empty(), SwarmSchool.DESTROY_AND_RETURN),
                Assumptions.standard(), Season.NORTHERN);
    }

    /** She left with the swarm: whoever shakes and destroys every cell then leaves them without any queen. */
    @Test
    void after_the_swarm_nobody_is_caught_and_not_every_cell_destroyed() {
        Reading sealed = Reading.of(MAY_20, Sign.SEALED_WORKER).without(Sign.EGGS, Sign.QUEEN)
                .with(CellLook.SEALED, CombPlace.BOTTOM_EDGE, 6);
        for (SwarmPlan plan : List.of(plan(MAY_20, List.of(), sealed), plan(MAY_20,
                List.of(new ColonyEvent(day(-2), EventKind.SWARMED)),
                found(CellLook.SEALED, CombPlace.BOTTOM_EDGE, 6)))) {
            assertThat(plan.rung()).isEqualTo(Rung.SWARMED);
            assertThat(kinds(plan)).startsWith(SwarmStep.Kind.RETURN_AND_REDUCE)
                    .doesNotContain(SwarmStep.Kind.CATCH_QUEEN, SwarmStep.Kind.SHAKE_AND_DESTROY);
        }
    }

    /** A virgin kills a caged queen through the wires, or the bees leave her for the virgin: common practice. */
    @Test
    void a_queen_caged_or_given_is_seen_alive_and_every_cell_beside_her_destroyed() {
        Reading cells = Reading.of(MAY_20, Sign.SEALED_WORKER, Sign.OLD_LARVAE).without(Sign.EGGS)
                .with(CellLook.SEALED, CombPlace.AMONG_WORKER_BROOD, 3);
        SwarmPlan caged = plan(MAY_20, List.of(new ColonyEvent(day(-6), EventKind.QUEEN_CAGED)), cells);
        SwarmPlan given = plan(MAY_20, List.of(new ColonyEvent(day(-6), EventKind.QUEEN_REMOVED),
                new ColonyEvent(day(-5), EventKind.QUEEN_GIVEN)), cells);
        for (SwarmPlan plan : List.of(caged, given)) {
            assertThat(plan.rung()).isEqualTo(Rung.BESIDE_HER);
            assertThat(plan.departs()).isEmpty();
            assertThat(plan.isUrgent()).isTrue();
            assertThat(kinds(plan)).startsWith(SwarmStep.Kind.SEE_HER_CAGED, SwarmStep.Kind.SHAKE_AND_DESTROY,
                    SwarmStep.Kind.CAGE_BACK).doesNotContain(SwarmStep.Kind.RETURN_AND_REDUCE);
        }
        SwarmPlan open = plan(MAY_20, List.of(new ColonyEvent(day(-12), EventKind.QUEEN_CAGED)), Reading.of(MAY_20,
                Sign.SEALED_WORKER, Sign.QUEEN).without(Sign.OPEN_BROOD)
                .with(CellLook.EMERGED, CombPlace.AMONG_WORKER_BROOD, 1));
        assertThat(open.rung()).isEqualTo(Rung.VIRGIN_OUT);
        assertThat(kinds(open)).startsWith(SwarmStep.Kind.SEE_HER_CAGED);
        SwarmPlan lost = plan(MAY_20, List.of(new ColonyEvent(day(-6), EventKind.QUEEN_REMOVED)), cells);
        assertThat(lost.rung()).isEqualTo(Rung.EMERGENCY);
    }

    /** In an upland valley no virgin out late in September mates: common practice. */
    @Test
    void in_september_the_old_queen_is_kept() {
        LocalDate late = LocalDate.of(2026, 9, 10);
        SwarmPlan plan = plan(late, List.of(), Reading.of(late, Sign.EGGS, Sign.QUEEN)
                .with(CellLook.SEALED, CombPlace.BOTTOM_EDGE, 6));
        assertThat(kinds(plan)).contains(SwarmStep.Kind.QUEEN_BACK).doesNotContain(SwarmStep.Kind.MAKE_NUC);
        assertThat(plan.warnings().getFirst().toString()).contains("hardly mates");
        LocalDate spring = LocalDate.of(2026, 4, 20);
        assertThat(kinds(plan(spring, List.of(), Reading.of(spring, Sign.EGGS, Sign.QUEEN)
                .with(CellLook.SEALED, CombPlace.BOTTOM_EDGE, 6)))).contains(SwarmStep.Kind.MAKE_NUC);
        SwarmPlan south = SwarmPlanner.plan(new SwarmSituation(late.plusMonths(1), List.of(Reading.of(
                late.plusMonths(1), Sign.EGGS, Sign.QUEEN).with(CellLook.SEALED, CombPlace.BOTTOM_EDGE, 6)), List.of(),
                Optional.empty(), Optional.empty(), List.of(), Optional.empty(), SwarmSchool.DESTROY_AND_RETURN),
                Assumptions.standard(), new Season(true));
        assertThat(kinds(south)).contains(SwarmStep.Kind.MAKE_NUC);
    }

    @Test
    void it_is_sooner_where_she_had_stopped_laying() {
        SwarmPlan plan = removed(Optional.of(day(-3)));
        assertThat(plan.returnVisit().orElseThrow().earliest()).isEqualTo(day(4));
        assertThat(plan.returnVisit().orElseThrow().latest()).isEqualTo(day(10));
    }

    @Test
    void a_cell_of_known_age_that_was_left_ends_it_sooner() {
        // long and open, 5–8 days from the egg: the virgin comes out 7–12 days later, likely on day 9 or 10
        SwarmPlan plan = removed(Optional.empty(), new CellsSeen(CellLook.LONG, CombPlace.FACE, 1));
        assertThat(plan.returnVisit().orElseThrow().earliest()).isEqualTo(day(7));
        assertThat(plan.returnVisit().orElseThrow().latest()).isBeforeOrEqualTo(day(10)).isAfterOrEqualTo(day(8));
    }

    @Test
    void with_a_ripe_cell_left_no_single_visit_is_safe() {
        SwarmPlan plan = removed(Optional.empty(), new CellsSeen(CellLook.RIPE, CombPlace.FACE, 2));
        assertThat(plan.returnVisit()).isEmpty();
        assertThat(kinds(plan)).contains(SwarmStep.Kind.CHECK_FOR_NEW_CELLS);
        assertThat(plan.warnings()).anySatisfy(
                warning -> assertThat(warning.fact().toString()).contains("No single visit is safe"));
    }

    @Test
    void the_oldest_cell_decides_the_rung() {
        assertThat(plan(Reading.of(MAY_20, Sign.CUPS).without(Sign.QUEEN_CELLS), SwarmSchool.DESTROY_AND_RETURN)
                .rung()).isEqualTo(Rung.CUPS_ONLY);
        assertThat(plan(found(CellLook.JELLY, CombPlace.BOTTOM_EDGE, 6), SwarmSchool.DESTROY_AND_RETURN).rung())
                .isEqualTo(Rung.YOUNG_CELLS);
        assertThat(plan(found(CellLook.JELLY, CombPlace.BOTTOM_EDGE, 6).with(CellLook.LONG, CombPlace.BOTTOM_EDGE, 1),
                SwarmSchool.DESTROY_AND_RETURN).rung()).isEqualTo(Rung.ARTIFICIAL_SWARM);
        assertThat(plan(found(CellLook.SEALED, CombPlace.BOTTOM_EDGE, 6).with(CellLook.EMERGED, CombPlace.SIDE_EDGE,
                1), SwarmSchool.DESTROY_AND_RETURN).rung()).isEqualTo(Rung.VIRGIN_OUT);
        assertThat(plan(found(CellLook.SEALED, CombPlace.FACE, 2), SwarmSchool.DESTROY_AND_RETURN).rung())
                .isEqualTo(Rung.SUPERSEDURE);
    }

    @Test
    void nothing_is_shaken_before_the_queen_is_in_hand() {
        SwarmPlan plan = plan(found(CellLook.LONG, CombPlace.BOTTOM_EDGE, 6), SwarmSchool.DESTROY_AND_RETURN);
        assertThat(kinds(plan)).containsSubsequence(SwarmStep.Kind.CATCH_QUEEN, SwarmStep.Kind.MAKE_NUC,
                SwarmStep.Kind.SHAKE_AND_DESTROY, SwarmStep.Kind.RETURN_AND_REDUCE, SwarmStep.Kind.LEAVE_SHUT,
                SwarmStep.Kind.LOOK_FOR_EGGS, SwarmStep.Kind.JUDGE_BROOD);
        assertThat(plan.steps()).extracting(SwarmStep::gate).containsSubsequence(SwarmStep.Gate.QUEEN_IN_HAND,
                SwarmStep.Gate.ALL_FRAMES_SHAKEN, SwarmStep.Gate.EXACTLY_ONE_LEFT);
        assertThat(plan.kind().get(Verdict.CellKind.SWARM)).isGreaterThan(0.8);
    }

    @Test
    void leaving_one_cell_now_warns_of_a_cast_and_gives_the_later_check() {
        SwarmPlan plan = plan(found(CellLook.LONG, CombPlace.BOTTOM_EDGE, 6), SwarmSchool.LEAVE_ONE_NOW);
        assertThat(plan.returnVisit()).isEmpty();
        assertThat(plan.warnings()).anySatisfy(warning -> assertThat(warning.fact().toString()).contains("cast"));
        assertThat(plan.steps()).filteredOn(step -> step.kind() == SwarmStep.Kind.CHECK_FOR_NEW_CELLS).singleElement()
                .satisfies(step -> assertThat(step.when().earliest()).isEqualTo(day(7)));
    }

    @Test
    void removing_cells_of_a_far_advanced_swarm_is_advised_against() {
        SwarmPlan far = plan(found(CellLook.SEALED, CombPlace.BOTTOM_EDGE, 6), SwarmSchool.REMOVE_AND_REPEAT);
        assertThat(far.warnings()).anySatisfy(
                warning -> assertThat(warning.fact().toString()).contains("artificial swarm is surer"));
        SwarmPlan young = plan(found(CellLook.CUP_EGG, CombPlace.BOTTOM_EDGE, 6), SwarmSchool.REMOVE_AND_REPEAT);
        assertThat(young.steps()).filteredOn(step -> step.kind() == SwarmStep.Kind.CHECK_AGAIN).singleElement()
                .satisfies(step -> assertThat(step.when()).isEqualTo(new DatedSpan(day(4), day(4), day(5))));
    }

    @Test
    void before_cells_the_old_queen_goes_and_drawn_comb_comes() {
        SwarmPlan plan = plan(Reading.of(MAY_20, Sign.CUPS).without(Sign.QUEEN_CELLS), SwarmSchool.BEFORE_CELLS);
        assertThat(kinds(plan)).contains(SwarmStep.Kind.CATCH_QUEEN, SwarmStep.Kind.DRAWN_COMB_IN_GAP);
        assertThat(plan.returnVisit()).isPresent();
    }

    @Test
    void the_swarm_leaves_about_when_the_first_cell_is_sealed() {
        assertThat(plan(found(CellLook.JELLY, CombPlace.BOTTOM_EDGE, 6), SwarmSchool.DESTROY_AND_RETURN).departs())
                .hasValueSatisfying(span -> {
                    assertThat(span.earliest()).isEqualTo(day(2));
                    assertThat(span.latest()).isEqualTo(day(6));
                });
        assertThat(plan(found(CellLook.SEALED, CombPlace.BOTTOM_EDGE, 6), SwarmSchool.DESTROY_AND_RETURN).departs())
                .contains(DatedSpan.on(MAY_20));
    }

    @Test
    void the_hive_stays_shut_until_the_young_queen_can_lay() {
        SwarmPlan plan = removed(Optional.empty());
        DatedSpan eggs = plan.youngQueen().orElseThrow().firstEggs();
        assertThat(eggs.earliest()).isEqualTo(day(17));
        SwarmStep look = plan.steps().stream().filter(step -> step.kind() == SwarmStep.Kind.LOOK_FOR_EGGS).findFirst()
                .orElseThrow();
        assertThat(look.when().earliest()).isBetween(day(28), day(38));
    }

    @ParameterizedTest
    @EnumSource(SwarmSchool.class)
    void every_path_that_can_throw_a_cast_says_so_and_ends_at_sealed_brood(SwarmSchool school) {
        SwarmPlan plan = plan(found(CellLook.LONG, CombPlace.BOTTOM_EDGE, 5), school);
        assertThat(plan.warnings()).isNotEmpty();
        if (school != SwarmSchool.REMOVE_AND_REPEAT) {
            assertThat(kinds(plan)).endsWith(SwarmStep.Kind.JUDGE_BROOD);
        }
        assertThat(plan.steps()).allSatisfy(step -> assertThat(step.reasons()).isNotEmpty());
    }

    @Test
    void where_she_stopped_laying_long_before_no_queen_can_be_raised() {
        SwarmPlan plan = removed(Optional.of(day(-9)));
        assertThat(plan.returnVisit().orElseThrow().earliest()).isEqualTo(day(0));
        assertThat(plan.warnings()).anySatisfy(
                warning -> assertThat(warning.fact().toString()).contains("cannot raise a queen"));
        assertThat(plan.rung()).isEqualTo(Rung.ARTIFICIAL_SWARM);
    }

    @Test
    void an_empty_situation_still_gets_an_answer() {
        SwarmPlan plan = plan(new Reading(MAY_20, Set.of(), Set.of(), List.of()), SwarmSchool.DESTROY_AND_RETURN);
        assertThat(plan.rung()).isEqualTo(Rung.CUPS_ONLY);
        assertThat(plan.departs()).isEmpty();
    }
}
