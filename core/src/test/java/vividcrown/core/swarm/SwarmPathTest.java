package vividcrown.core.swarm;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.core.swarm.SwarmSchool.DESTROY_AND_RETURN;
import static vividcrown.core.swarm.SwarmSchool.REMOVE_AND_REPEAT;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.judgement.Season;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.CombPlace;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.swarm.SwarmPath.Done;

/** A plan begun keeps its days; the days themselves are checked in {@link SwarmPlannerTest}. */
class SwarmPathTest {

    private static final LocalDate MAY_20 = LocalDate.of(2026, 5, 20);

    private static LocalDate day(int number) {
        return MAY_20.plusDays(number);
    }

    private static Reading cells(int day, CellLook look) {
        return Reading.of(day(day), Sign.EGGS, Sign.SEALED_WORKER, Sign.CROWDED).with(look, CombPlace.BOTTOM_EDGE, 5);
    }

    private static Done done(int day, SwarmStep.Kind step) {
        return new Done(day(day), step, DESTROY_AND_RETURN);
    }

    private static Optional<SwarmPath> open(List<Done> done, List<Reading> readings, LocalDate today) {
        return SwarmPath.open(done, readings, List.of(), DESTROY_AND_RETURN, today);
    }

    private static List<SwarmStep.Kind> left(SwarmPath path, List<Reading> readings) {
        return path.left(path.plan(readings, List.of(), Assumptions.standard(), Season.NORTHERN), readings).stream()
                .map(SwarmStep::kind).toList();
    }

    @Test
    void the_return_visit_counts_from_the_day_of_the_nuc_not_from_today() {
        List<Reading> readings = List.of(cells(0, CellLook.LONG));
        SwarmPath path = open(List.of(done(1, SwarmStep.Kind.CATCH_QUEEN), done(1, SwarmStep.Kind.MAKE_NUC)),
                readings, day(6)).orElseThrow();
        SwarmPlan plan = path.plan(readings, List.of(), Assumptions.standard(), Season.NORTHERN);
        assertThat(plan.returnVisit()).hasValueSatisfying(visit -> {
            assertThat(visit.earliest()).isEqualTo(day(8));
            assertThat(visit.latest()).isEqualTo(day(11));
        });
        assertThat(left(path, readings)).startsWith(SwarmStep.Kind.SHAKE_AND_DESTROY,
                SwarmStep.Kind.RETURN_AND_REDUCE);
    }

    @Test
    void cells_seen_on_the_return_visit_do_not_begin_a_new_plan() {
        List<Reading> readings = List.of(cells(0, CellLook.LONG), cells(8, CellLook.SEALED));
        List<Done> done = List.of(done(0, SwarmStep.Kind.CATCH_QUEEN), done(0, SwarmStep.Kind.MAKE_NUC),
                done(0, SwarmStep.Kind.SHAKE_AND_DESTROY), done(8, SwarmStep.Kind.RETURN_AND_REDUCE));
        SwarmPath path = open(done, readings, day(9)).orElseThrow();
        assertThat(path.begun()).isEqualTo(day(0));
        assertThat(left(path, readings)).containsExactly(SwarmStep.Kind.CHECK_NUC, SwarmStep.Kind.LOOK_FOR_EGGS,
                SwarmStep.Kind.JUDGE_BROOD);
        assertThat(path.isShut(path.plan(readings, List.of(), Assumptions.standard(), Season.NORTHERN), day(15)))
                .isTrue();
    }

    /** Whoever gives a queen in place of the old one keeps no cell: the virgin out of it would kill her. */
    @Test
    void where_another_queen_was_given_no_cell_is_left_for_a_young_one() {
        List<Reading> readings = List.of(cells(0, CellLook.LONG));
        List<Done> done = List.of(done(0, SwarmStep.Kind.CATCH_QUEEN), done(0, SwarmStep.Kind.MAKE_NUC),
                done(0, SwarmStep.Kind.SHAKE_AND_DESTROY));
        for (EventKind given : List.of(EventKind.QUEEN_GIVEN, EventKind.VIRGIN_GIVEN, EventKind.UNITED)) {
            assertThat(SwarmPath.open(done, readings, List.of(new ColonyEvent(day(1), given)), DESTROY_AND_RETURN,
                    day(7))).as("%s", given).isEmpty();
        }
        assertThat(SwarmPath.open(done, readings, List.of(new ColonyEvent(day(-30), EventKind.QUEEN_GIVEN)),
                DESTROY_AND_RETURN, day(7))).isPresent();
    }

    /** Too late to reduce: a cell has opened. What is cut then may be the last queen they can have. */
    @Test
    void once_a_virgin_is_out_nothing_is_cut_any_more() {
        List<Reading> readings = List.of(cells(0, CellLook.LONG),
                Reading.of(day(11), Sign.SEALED_WORKER).with(CellLook.EMERGED, CombPlace.BOTTOM_EDGE, 1));
        List<Done> done = List.of(done(0, SwarmStep.Kind.CATCH_QUEEN), done(0, SwarmStep.Kind.MAKE_NUC),
                done(0, SwarmStep.Kind.SHAKE_AND_DESTROY));
        assertThat(left(open(done, readings, day(12)).orElseThrow(), readings))
                .doesNotContain(SwarmStep.Kind.RETURN_AND_REDUCE, SwarmStep.Kind.CHECK_FOR_NEW_CELLS)
                .contains(SwarmStep.Kind.LOOK_FOR_EGGS);
    }

    @Test
    void a_later_reading_answers_a_look() {
        Reading eggs = Reading.of(day(45), Sign.EGGS_SINGLE, Sign.SEALED_WORKER);
        List<Reading> readings = List.of(cells(0, CellLook.LONG), eggs);
        List<Done> done = List.of(done(0, SwarmStep.Kind.CATCH_QUEEN), done(0, SwarmStep.Kind.MAKE_NUC),
                done(0, SwarmStep.Kind.SHAKE_AND_DESTROY), done(8, SwarmStep.Kind.RETURN_AND_REDUCE),
                done(8, SwarmStep.Kind.CHECK_NUC));
        assertThat(left(open(done, readings, day(46)).orElseThrow(), readings)).isEmpty();
    }

    @Test
    void where_the_queen_stays_a_newer_look_at_cells_begins_anew() {
        List<Done> done = List.of(new Done(day(0), SwarmStep.Kind.CATCH_QUEEN, REMOVE_AND_REPEAT),
                new Done(day(0), SwarmStep.Kind.SHAKE_AND_DESTROY, REMOVE_AND_REPEAT));
        List<Reading> first = List.of(cells(0, CellLook.JELLY));
        assertThat(open(done, first, day(3))).isPresent();
        assertThat(open(done, List.of(cells(0, CellLook.JELLY), cells(5, CellLook.JELLY)), day(5))).isEmpty();
    }

    @Test
    void the_steps_done_are_events_that_the_judgement_argues_from() {
        assertThat(SwarmPath.events(List.of(done(0, SwarmStep.Kind.MAKE_NUC),
                done(0, SwarmStep.Kind.SHAKE_AND_DESTROY), done(8, SwarmStep.Kind.RETURN_AND_REDUCE))))
                .extracting(event -> event.kind())
                .containsExactly(EventKind.QUEEN_REMOVED, EventKind.CELLS_DESTROYED);
    }

    @Test
    void a_path_of_last_year_is_over() {
        assertThat(open(List.of(done(-300, SwarmStep.Kind.MAKE_NUC)), List.of(), MAY_20)).isEmpty();
        assertThat(open(List.of(), List.of(), MAY_20)).isEmpty();
    }

    @Test
    void a_queen_taken_away_after_cells_were_found_begins_a_path_though_nobody_ticked_a_step() {
        List<Reading> readings = List.of(cells(0, CellLook.LONG));
        ColonyEvent taken = new ColonyEvent(day(0), EventKind.QUEEN_REMOVED);
        SwarmPath path = SwarmPath.open(List.of(), readings, List.of(taken), DESTROY_AND_RETURN, day(3)).orElseThrow();
        assertThat(left(path, readings)).startsWith(SwarmStep.Kind.SHAKE_AND_DESTROY,
                SwarmStep.Kind.RETURN_AND_REDUCE);
        assertThat(SwarmPath.open(List.of(), List.of(), List.of(taken), DESTROY_AND_RETURN, day(3)))
                .as("no cells: she died").isEmpty();
    }

    @Test
    void a_queen_taken_where_the_plan_did_not_say_so_still_gets_her_return_visit() {
        List<Reading> cups = List.of(Reading.of(day(0), Sign.EGGS, Sign.CUPS));
        SwarmPath path = open(List.of(done(0, SwarmStep.Kind.MAKE_NUC)), cups, day(1)).orElseThrow();
        assertThat(left(path, cups)).contains(SwarmStep.Kind.RETURN_AND_REDUCE);
    }
}
