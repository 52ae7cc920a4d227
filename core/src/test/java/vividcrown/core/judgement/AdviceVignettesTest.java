package vividcrown.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.brood.BroodProver;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.CombPlace;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.swarm.SwarmPlanner;
import vividcrown.core.swarm.SwarmSchool;
import vividcrown.core.swarm.SwarmSituation;
import vividcrown.core.swarm.SwarmStep;
import vividcrown.core.time.DaySpan;

/**
 * Situations of the trade with what an experienced keeper would say, half of them about what must not be advised. Common
 * practice; written before the numbers were tuned.
 */
class AdviceVignettesTest {

    private static final LocalDate JUN_1 = LocalDate.of(2026, 6, 1);
    /** What kills or gives away. */
    private static final Set<Action> DESTROYS = EnumSet.of(Action.GIVE_QUEEN, Action.REQUEEN, Action.UNITE,
            Action.SHAKE_OUT,
            Action.SHAKE_OUT_FOR_A_NUC, Action.BREAK_UP, Action.BROOD_THEN_QUEEN);

    /** A colony that is asked about, with what is said to it. */
    private record Asked(Verdict verdict, Advice advice) {
        Action first() {
            return advice.options().getFirst().action();
        }

        double chance(Case... cases) {
            double sum = 0;
            for (Case one : cases) {
                sum += verdict.contents().chance(one);
            }
            return sum;
        }
    }

    private static LocalDate day(int days) {
        return JUN_1.plusDays(days);
    }

    private static Asked ask(Season season, List<ColonyEvent> events, LocalDate today, Reading... readings) {
        Verdict verdict = new Judge(Assumptions.standard(), season).judge(List.of(readings), events, today);
        return new Asked(verdict, new Advisor(Assumptions.standard(), season.climate(), Set.of())
                .advise(verdict, List.of(readings)));
    }

    private static Asked ask(List<ColonyEvent> events, LocalDate today, Reading... readings) {
        return ask(Season.NORTHERN, events, today, readings);
    }

    private static ColonyEvent event(int day, EventKind kind) {
        return new ColonyEvent(day(day), kind);
    }

    // --- what must not be advised --------------------------------------------------------------------------------------

    @Test
    void on_the_day_after_a_virgin_was_seen_nobody_gives_a_cell_or_a_queen() {
        Asked asked = ask(List.of(), day(1), Reading.of(day(0), Sign.VIRGIN));
        assertThat(asked.first()).isIn(Action.WAIT_FOR_YOUNG_QUEEN, Action.LOOK_AGAIN);
    }

    @Test
    void a_queen_in_her_cage_is_no_queenless_colony() {
        Asked asked = ask(List.of(event(0, EventKind.QUEEN_CAGED)), day(12), Reading.of(day(0), Sign.EGGS),
                Reading.of(day(12)).without(Sign.OPEN_BROOD));
        assertThat(asked.chance(Case.KEPT, Case.KEPT_BESIDE_CELLS)).isGreaterThan(0.9);
        assertThat(asked.chance(Case.KEPT)).isGreaterThan(0.7);
        assertThat(DESTROYS).doesNotContain(asked.first());
    }

    /** A virgin out of such a cell would kill her in her cage. */
    @Test
    void cells_beside_a_caged_queen_are_not_left_for_a_young_one() {
        Asked asked = ask(List.of(event(0, EventKind.QUEEN_CAGED)), day(6), Reading.of(day(6), Sign.OLD_LARVAE)
                .without(Sign.EGGS).with(CellLook.LONG, CombPlace.AMONG_WORKER_BROOD, 3));
        assertThat(asked.chance(Case.KEPT_BESIDE_CELLS)).isGreaterThan(0.8);
        assertThat(asked.first()).isEqualTo(Action.CUT_CELLS);
        assertThat(asked.advice().options()).extracting(Option::action).doesNotContain(Action.WAIT_FOR_YOUNG_QUEEN,
                Action.REDUCE_TO_ONE_CELL);
    }

    /** They were there before she was caged, and do not go for that. */
    @Test
    void swarm_cells_do_not_go_because_she_is_caged() {
        Asked asked = ask(List.of(event(0, EventKind.QUEEN_CAGED)), day(1),
                Reading.of(day(0), Sign.EGGS, Sign.QUEEN).with(CellLook.SEALED, CombPlace.BOTTOM_EDGE, 6));
        assertThat(asked.chance(Case.KEPT_BESIDE_CELLS)).isGreaterThan(0.9);
        assertThat(asked.first()).isEqualTo(Action.CUT_CELLS);
    }

    /** A queen given meets the cells that were begun for the old one; seen alive in her cage she is worth more than they are. */
    @Test
    void cells_beside_a_queen_that_was_given_are_cut_and_she_stays() {
        List<ColonyEvent> given = List.of(event(0, EventKind.QUEEN_REMOVED), event(1, EventKind.QUEEN_GIVEN));
        Asked seen = ask(given, day(4), Reading.of(day(4), Sign.LARVAE, Sign.QUEEN).without(Sign.EGGS)
                .with(CellLook.JELLY, CombPlace.AMONG_WORKER_BROOD, 3));
        assertThat(seen.chance(Case.KEPT_BESIDE_CELLS)).isGreaterThan(0.8);
        assertThat(seen.first()).isEqualTo(Action.CUT_CELLS);
        Option cut = seen.advice().options().getFirst();
        assertThat(cut.gates()).extracting(Option.Opens::open).containsExactly(false);
        assertThat(cut.followUps()).first()
                .satisfies(look -> assertThat(look.days().earliest()).isBetween(day(7), day(8)));
        Asked unseen = ask(given, day(6), Reading.of(day(6), Sign.SEALED_WORKER, Sign.OLD_LARVAE).without(Sign.EGGS)
                .with(CellLook.SEALED, CombPlace.AMONG_WORKER_BROOD, 3));
        assertThat(unseen.chance(Case.KEPT_BESIDE_CELLS)).isBetween(0.2, 0.6);
        assertThat(unseen.first()).isEqualTo(Action.LOOK_AGAIN);
        assertThat(unseen.advice().options().getFirst().followUps()).singleElement().satisfies(look -> {
            assertThat(look.days().earliest()).isEqualTo(day(6));
            assertThat(look.lookFor().toString()).contains("the queen");
        });
        assertThat(unseen.verdict().settle()).first().extracting(BestLook::kind).isEqualTo(BestLook.Kind.QUEEN);
    }

    /** No brood late in October is what most queens do; nothing is opened on cold days to see it once more. Common practice. */
    @Test
    void who_rests_at_the_end_of_october_is_left_alone() {
        for (LocalDate late : List.of(LocalDate.of(2026, 10, 26), LocalDate.of(2026, 11, 10),
                LocalDate.of(2027, 1, 20))) {
            Asked asked = ask(List.of(), late, Reading.of(late, Sign.CALM).without(Sign.BROOD));
            assertThat(asked.first()).as("%s", late).isEqualTo(Action.LEAVE_ALONE);
            assertThat(asked.advice().options().getFirst().followUps()).allSatisfy(
                    look -> assertThat(look.days().earliest()).isAfter(LocalDate.of(2027, 3, 1)));
        }
        LocalDate spring = LocalDate.of(2027, 3, 20);
        assertThat(ask(List.of(), spring, Reading.of(spring, Sign.CALM).without(Sign.BROOD)).first())
                .isIn(Action.LOOK_AGAIN, Action.TEST_FRAME);
    }

    /** Let out or given late in the year, many lay nothing before spring. Common practice. */
    @Test
    void a_queen_who_has_to_begin_in_october_may_rest() {
        LocalDate late = LocalDate.of(2026, 10, 26);
        Reading none = Reading.of(late, Sign.CALM).without(Sign.BROOD);
        Asked released = ask(List.of(new ColonyEvent(LocalDate.of(2026, 9, 10), EventKind.QUEEN_CAGED),
                new ColonyEvent(LocalDate.of(2026, 10, 5), EventKind.QUEEN_RELEASED)), late, none);
        assertThat(released.chance(Case.KEPT)).isGreaterThan(0.7);
        assertThat(DESTROYS).doesNotContain(released.first());
        Asked given = ask(List.of(new ColonyEvent(LocalDate.of(2026, 10, 4), EventKind.QUEEN_REMOVED),
                new ColonyEvent(LocalDate.of(2026, 10, 5), EventKind.QUEEN_GIVEN)), late,
                Reading.of(late, Sign.CALM).without(Sign.OPEN_BROOD));
        assertThat(given.chance(Case.KEPT)).isGreaterThan(0.5);
        assertThat(DESTROYS).doesNotContain(given.first());
        LocalDate summer = LocalDate.of(2026, 7, 26);
        assertThat(ask(List.of(new ColonyEvent(LocalDate.of(2026, 6, 10), EventKind.QUEEN_CAGED),
                new ColonyEvent(LocalDate.of(2026, 7, 5), EventKind.QUEEN_RELEASED)), summer,
                Reading.of(summer, Sign.CALM).without(Sign.BROOD)).chance(Case.KEPT)).isLessThan(0.2);
    }

    /** A queen in her cage for three weeks, nobody looked: she is looked for, not a young one waited for. */
    @Test
    void a_cage_that_nobody_looked_at_is_looked_at() {
        Asked asked = ask(List.of(event(0, EventKind.QUEEN_CAGED)), day(20));
        assertThat(asked.first()).isEqualTo(Action.LOOK_AGAIN);
        assertThat(asked.advice().options().getFirst().followUps().getFirst().days().earliest()).isEqualTo(day(20));
    }

    /** Nobody lets a swarm go to look once more; late in the year the old queen is kept. */
    @Test
    void sealed_swarm_cells_in_september_are_not_looked_at_three_days_on() {
        LocalDate late = LocalDate.of(2026, 9, 10);
        Reading crowded = Reading.of(late, Sign.EGGS, Sign.QUEEN, Sign.CROWDED, Sign.CUPS)
                .with(CellLook.SEALED, CombPlace.BOTTOM_EDGE, 8).with(CellLook.JELLY, CombPlace.SIDE_EDGE, 6);
        assertThat(ask(List.of(), late, crowded).first()).isEqualTo(Action.REMOVE_CELLS);
    }

    /** A virgin is out, and a queen may sit in her cage: she is looked for today. */
    @Test
    void beside_a_virgin_a_cage_is_not_looked_at_in_a_week() {
        Asked asked = ask(List.of(event(0, EventKind.QUEEN_CAGED)), day(12), Reading.of(day(12), Sign.SEALED_WORKER)
                .without(Sign.EGGS).with(CellLook.EMERGED, CombPlace.AMONG_WORKER_BROOD, 1));
        assertThat(asked.chance(Case.KEPT)).isGreaterThan(0.2);
        assertThat(asked.first()).isEqualTo(Action.LOOK_AGAIN);
        assertThat(asked.advice().options().getFirst().followUps()).singleElement()
                .satisfies(look -> assertThat(look.days().latest()).isEqualTo(day(12)));
    }

    /** Late in October no virgin mates any more: nobody waits for one. */
    @Test
    void nobody_waits_for_a_virgin_who_cannot_mate() {
        LocalDate late = LocalDate.of(2026, 10, 26);
        Reading none = Reading.of(late, Sign.CALM).without(Sign.BROOD);
        for (EventKind what : List.of(EventKind.STARTED, EventKind.SWARMED, EventKind.CELL_GIVEN)) {
            Asked asked = ask(List.of(new ColonyEvent(LocalDate.of(2026, 10, 5), what)), late, none);
            assertThat(asked.first()).as("%s", what).isNotEqualTo(Action.WAIT_FOR_YOUNG_QUEEN);
        }
    }

    @Test
    void a_queen_given_three_days_ago_is_not_given_again() {
        Asked asked = ask(List.of(event(0, EventKind.QUEEN_REMOVED), event(1, EventKind.QUEEN_GIVEN)), day(4),
                Reading.of(day(4)).without(Sign.EGGS));
        assertThat(asked.chance(Case.KEPT, Case.LAYING)).isGreaterThan(0.6);
        assertThat(DESTROYS).doesNotContain(asked.first());
    }

    @Test
    void a_swarm_hived_two_days_ago_has_no_brood_and_needs_nothing() {
        Asked asked = ask(List.of(event(0, EventKind.STARTED)), day(2), Reading.of(day(2)).without(Sign.BROOD));
        assertThat(asked.chance(Case.KEPT, Case.LAYING, Case.VIRGIN_IN_TIME)).isGreaterThan(0.7);
        assertThat(DESTROYS).doesNotContain(asked.first());
        assertThat(asked.verdict().proof().lastEgg()).isEmpty();
    }

    @Test
    void emergency_cells_of_a_queenless_colony_are_never_all_destroyed() {
        Asked asked = ask(List.of(event(0, EventKind.QUEEN_REMOVED)), day(5),
                Reading.of(day(5)).with(CellLook.LONG, CombPlace.AMONG_WORKER_BROOD, 6));
        assertThat(asked.first()).isIn(Action.REDUCE_TO_ONE_CELL, Action.WAIT_FOR_YOUNG_QUEEN);
        Option reduce = asked.advice().options().stream()
                .filter(option -> option.action() == Action.REDUCE_TO_ONE_CELL).findFirst().orElseThrow();
        // cells can be begun until day 7: the cut of day 5 is not the last
        assertThat(reduce.followUps().getFirst().days().contains(day(7))).isTrue();
    }

    @Test
    void open_swarm_cells_are_never_left_be() {
        for (CellLook look : List.of(CellLook.JELLY, CellLook.LONG, CellLook.SEALED)) {
            LocalDate may = LocalDate.of(2026, 5, 20);
            Reading reading = Reading.of(may, Sign.EGGS, Sign.LARVAE, Sign.SEALED_WORKER, Sign.CUPS)
                    .with(look, CombPlace.BOTTOM_EDGE, 6);
            Asked asked = ask(List.of(), may, reading);
            assertThat(asked.first()).as(look.name()).isIn(Action.REMOVE_CELLS, Action.ARTIFICIAL_SWARM);
            // the ladder says the same
            boolean takes = SwarmPlanner.plan(new SwarmSituation(may, List.of(reading), List.of(), Optional.empty(),
                    Optional.empty(), List.of(), Optional.empty(), SwarmSchool.DESTROY_AND_RETURN),
                    Assumptions.standard(), Season.NORTHERN).steps().stream()
                    .anyMatch(step -> step.kind() == SwarmStep.Kind.MAKE_NUC);
            assertThat(takes).as(look.name()).isEqualTo(asked.first() == Action.ARTIFICIAL_SWARM);
        }
    }

    @Test
    void two_cells_on_the_face_beside_a_laying_queen_are_not_cut() {
        LocalDate august = LocalDate.of(2026, 8, 5);
        Asked asked = ask(List.of(), august, Reading.of(august, Sign.EGGS, Sign.LARVAE, Sign.SEALED_WORKER)
                .with(CellLook.SEALED, CombPlace.FACE, 2));
        assertThat(asked.first()).isIn(Action.WAIT_FOR_YOUNG_QUEEN, Action.LOOK_AGAIN, Action.LEAVE_ALONE);
    }

    @Test
    void without_cells_on_the_test_frame_no_queen_is_bought() {
        Asked asked = ask(List.of(event(0, EventKind.BROOD_GIVEN)), day(5),
                Reading.of(day(0)).without(Sign.BROOD, Sign.QUEEN_CELLS),
                Reading.of(day(5)).without(Sign.CELLS_ON_TEST_FRAME));
        assertThat(asked.chance(Case.HOPELESS, Case.RECENTLY_QUEENLESS)).isLessThan(0.12);
        assertThat(DESTROYS).doesNotContain(asked.first());
    }

    @Test
    void a_tiny_nuc_with_doubled_eggs_is_not_shaken_out() {
        Asked asked = ask(List.of(event(-1, EventKind.STARTED), event(0, EventKind.CELL_GIVEN)), day(16),
                Reading.of(day(16), Sign.EGGS_SEVERAL, Sign.FEW_BEES).without(Sign.EGGS_ON_WALLS));
        assertThat(asked.chance(Case.LAYING)).isGreaterThan(0.5);
        assertThat(DESTROYS).doesNotContain(asked.first());
    }

    @Test
    void two_weeks_after_a_cell_no_eggs_are_no_reason_to_act() {
        Asked asked = ask(List.of(event(0, EventKind.CELL_GIVEN)), day(14), Reading.of(day(14)).without(Sign.EGGS));
        assertThat(asked.first()).isIn(Action.LOOK_AGAIN, Action.WAIT_FOR_YOUNG_QUEEN);
    }

    @Test
    void six_weeks_without_a_queen_and_old_bees_are_no_place_for_a_cell() {
        Asked asked = ask(List.of(event(0, EventKind.QUEEN_REMOVED), event(9, EventKind.CELLS_DESTROYED)), day(42),
                Reading.of(day(42), Sign.BEES_OLD).without(Sign.BROOD, Sign.QUEEN, Sign.QUEEN_CELLS));
        assertThat(asked.first()).isIn(Action.BROOD_THEN_QUEEN, Action.UNITE, Action.LOOK_AGAIN, Action.BREAK_UP);
    }

    @Test
    void on_the_day_after_her_release_no_eggs_are_no_alarm() {
        Asked asked = ask(List.of(event(-20, EventKind.QUEEN_CAGED), event(-1, EventKind.QUEEN_RELEASED)), day(0),
                Reading.of(day(-20), Sign.EGGS, Sign.QUEEN_MARKED), Reading.of(day(0)).without(Sign.OPEN_BROOD));
        assertThat(asked.chance(Case.KEPT, Case.LAYING)).isGreaterThan(0.85);
        assertThat(asked.first()).isIn(Action.LEAVE_ALONE, Action.LOOK_AGAIN);
    }

    @Test
    void the_old_queens_nuc_is_not_taken_for_a_virgins() {
        Asked asked = ask(List.of(event(0, EventKind.SPLIT_WITH_QUEEN)), day(2), Reading.of(day(2)).without(Sign.EGGS));
        assertThat(asked.verdict().contents().queen().get(Contents.QueenIs.VIRGIN)).isLessThan(0.15);
        assertThat(DESTROYS).doesNotContain(asked.first());
    }

    @Test
    void nothing_that_moves_frames_is_advised_under_suspicion() {
        Asked asked = ask(List.of(), day(0),
                Reading.of(day(0), Sign.ROPY).without(Sign.EGGS, Sign.LARVAE, Sign.QUEEN_CELLS));
        assertThat(asked.advice().options()).extracting(Option::action).doesNotContain(Action.TEST_FRAME, Action.UNITE,
                Action.BREAK_UP, Action.SHAKE_OUT, Action.SHAKE_OUT_FOR_A_NUC, Action.GIVE_FRAME_WITH_CELLS);
    }

    // --- what is there, and when -----------------------------------------------------------------------------------------

    @Test
    void a_prime_swarm_leaves_when_cells_are_sealed_so_a_virgin_is_out_in_five_to_nine_days() {
        Contents at = ask(List.of(event(0, EventKind.SWARMED)), day(0)).verdict().contents();
        assertThat(at.emerges().orElseThrow().earliest()).isBetween(day(3), day(6));
        assertThat(at.emerges().orElseThrow().latest()).isBetween(day(8), day(11));
        assertThat(at.queen().get(Contents.QueenIs.NONE)).isGreaterThan(0.9);
    }

    @Test
    void a_young_cell_given_opens_when_its_age_says_so() {
        Contents ripe = ask(List.of(event(0, EventKind.CELL_GIVEN)), day(0)).verdict().contents();
        Contents young = ask(List.of(new ColonyEvent(day(0), EventKind.CELL_GIVEN, Optional.of(CellLook.JELLY))),
                day(0))
                .verdict().contents();
        assertThat(ripe.emerges().orElseThrow().latest()).isBefore(day(4));
        assertThat(young.emerges().orElseThrow().earliest()).isAfter(day(8));
    }

    @Test
    void a_virgin_given_is_as_old_as_she_is_said_to_be() {
        var old = ask(List.of(new ColonyEvent(day(0), EventKind.VIRGIN_GIVEN, Optional.empty(), Optional.of(8))),
                day(0))
                .verdict();
        assertThat(old.proof().next().orElseThrow().emerges().likely()).isEqualTo(day(-8));
        var young = ask(List.of(new ColonyEvent(day(0), EventKind.VIRGIN_GIVEN, Optional.empty(), Optional.of(1))),
                day(0))
                .verdict();
        assertThat(old.contents().firstEggs().orElseThrow().likely())
                .isBefore(young.contents().firstEggs().orElseThrow().likely());
    }

    @Test
    void a_part_without_queen_and_without_eggs_cannot_raise_one() {
        Asked asked = ask(List.of(event(0, EventKind.SPLIT_WITHOUT_EGGS)), day(3));
        assertThat(asked.chance(Case.HOPELESS)).isGreaterThan(0.7);
        assertThat(asked.chance(Case.EMERGENCY_CELLS)).isLessThan(0.1);
    }

    @Test
    void swarm_cells_beside_a_laying_queen_are_said_as_two_things() {
        LocalDate may = LocalDate.of(2026, 5, 20);
        Contents at = ask(List.of(), may, Reading.of(may, Sign.EGGS, Sign.SEALED_WORKER, Sign.CROWDED)
                .with(CellLook.LONG, CombPlace.BOTTOM_EDGE, 5)).verdict().contents();
        assertThat(at.who().toString()).isEqualTo("A laying queen.");
        assertThat(at.underWay().toString()).startsWith("Swarm cells");
        assertThat(at.sealed().orElseThrow().latest()).isBeforeOrEqualTo(may.plusDays(4));
    }

    @Test
    void days_narrow_with_every_look() {
        List<ColonyEvent> given = List.of(event(0, EventKind.CELL_GIVEN));
        LocalDate july = LocalDate.of(2026, 7, 1);
        Reading none = Reading.of(july).without(Sign.EGGS);
        Asked asked = ask(given, july, none);
        assertThat(asked.verdict().proof().next().orElseThrow().firstEggs().earliest()).isAfterOrEqualTo(july);
        assertThat(asked.verdict().contents().firstEggs().orElseThrow().earliest()).isAfterOrEqualTo(july);
    }

    /** One set of figures: who lets virgins take longer is less alarmed by a nuc without eggs. */
    @Test
    void an_operations_own_day_counts_move_the_odds_too() {
        Assumptions slow = new Assumptions(Map.of(Figure.FIRST_EGGS, DaySpan.ofDays(12, 16, 22)));
        List<ColonyEvent> given = List.of(event(0, EventKind.CELL_GIVEN));
        List<Reading> none = List.of(Reading.of(day(16)).without(Sign.EGGS, Sign.LARVAE));
        double usual = new Judge(Assumptions.standard(), Season.NORTHERN).judge(none, given, day(16))
                .chance(Status.VIRGIN);
        double slowly = new Judge(slow, Season.NORTHERN).judge(none, given, day(16)).chance(Status.VIRGIN);
        assertThat(slowly).isGreaterThan(usual + 0.05);
    }

    /** Late, failed and hopeless are three things with three dates: emergence + 21, + 28, and the workers' clock. */
    @Test
    void three_dates_for_three_things() {
        var proof = ask(List.of(event(0, EventKind.QUEEN_REMOVED), event(4, EventKind.CELLS_DESTROYED)), day(5))
                .verdict()
                .proof();
        var next = proof.next().orElseThrow();
        assertThat(next.late().likely()).isEqualTo(next.emerges().likely().plusDays(21));
        assertThat(next.dronesOnly().likely()).isEqualTo(next.emerges().likely().plusDays(28));
        assertThat(proof.workersLay().orElseThrow().earliest()).isEqualTo(day(30));
        // cut on day 4: from day 7 no new cell can be begun, the next cut
        assertThat(proof.secondCut().orElseThrow().earliest()).isEqualTo(day(7));
    }

    /** Where half of the virgins are lost, one without eggs is given up sooner. */
    @Test
    void an_operations_own_losses_at_mating_move_the_odds() {
        List<ColonyEvent> given = List.of(event(0, EventKind.CELL_GIVEN));
        List<Reading> none = List.of(Reading.of(day(18)).without(Sign.EGGS));
        Season hard = new Season(false, Season.NORTHERN.climate(), 0.5);
        double usual = new Judge(Assumptions.standard(), Season.NORTHERN).judge(none, given, day(18)).contents()
                .chance(Case.HOPELESS);
        double hardly = new Judge(Assumptions.standard(), hard).judge(none, given, day(18)).contents()
                .chance(Case.HOPELESS);
        assertThat(hardly).isGreaterThan(usual + 0.08);
    }

    @Test
    void a_queen_who_should_have_laid_is_said_to_be_late_or_lost() {
        var proof = ask(List.of(event(0, EventKind.CELL_GIVEN)), day(25), Reading.of(day(25)).without(Sign.EGGS))
                .verdict()
                .proof();
        assertThat(proof.next().orElseThrow().reason().fact().toString()).contains("late, or lost");
    }

    // --- the year and the half of the world -------------------------------------------------------------------------------

    @Test
    void a_nuc_in_late_september_is_not_decided_next_year() {
        LocalDate september = LocalDate.of(2026, 9, 28);
        Advice.Decision decision = ask(List.of(new ColonyEvent(september.minusDays(23), EventKind.CELL_GIVEN)),
                september,
                Reading.of(september).without(Sign.EGGS)).advice().decide().orElseThrow();
        assertThat(decision.by()).isEqualTo(september);
        assertThat(decision.tooLate()).isTrue();
    }

    @Test
    void in_mid_january_nothing_is_opened_and_nothing_to_be_decided() {
        LocalDate january = LocalDate.of(2026, 1, 15);
        Asked asked = ask(List.of(), january, Reading.of(january, Sign.MOANING, Sign.BEES_OLD));
        assertThat(asked.first()).isEqualTo(Action.LEAVE_ALONE);
        assertThat(asked.verdict().settle()).isEmpty();
        assertThat(asked.advice().decide()).isEmpty();
        Asked hopeless = ask(List.of(new ColonyEvent(january.minusDays(80), EventKind.QUEEN_REMOVED),
                new ColonyEvent(january.minusDays(70), EventKind.CELLS_DESTROYED)), january);
        assertThat(hopeless.first()).isEqualTo(Action.LEAVE_ALONE);
    }

    @Test
    void october_in_the_south_is_spring_with_its_weather() {
        LocalDate october = LocalDate.of(2026, 10, 28);
        Season south = new Season(true);
        assertThat(south.isSwarmSeason(october)).isTrue();
        Advice.Decision decision = ask(south, List.of(), october, Reading.of(october, Sign.VIRGIN)).advice().decide()
                .orElseThrow();
        assertThat(decision.tooLate()).isFalse();
        assertThat(decision.by()).isAfter(october.plusMonths(2));
        LocalDate july = LocalDate.of(2026, 7, 10);
        assertThat(ask(south, List.of(), july, Reading.of(july).without(Sign.BROOD)).chance(Case.KEPT))
                .isGreaterThan(0.8);
    }

    @Test
    void laying_tapers_off_and_does_not_stop_on_a_date() {
        double[] shares = new double[9];
        for (int week = 0; week < shares.length; week++) {
            shares[week] = Season.NORTHERN.layShare(LocalDate.of(2026, 9, 25).plusWeeks(week));
        }
        for (int week = 1; week < shares.length; week++) {
            assertThat(shares[week]).isLessThan(shares[week - 1]).isGreaterThan(shares[week - 1] - 0.2);
        }
    }

    // --- what cannot be so ---------------------------------------------------------------------------------------------------

    @Test
    void two_queens_taken_out_of_a_hive_of_one_clash() {
        List<ColonyEvent> twice = List.of(event(0, EventKind.QUEEN_REMOVED), event(4, EventKind.QUEEN_REMOVED));
        assertThat(BroodProver.prove(List.of(), twice, day(4), Assumptions.standard()).clashes()).hasSize(1);
        assertThat(
                BroodProver.prove(List.of(Reading.of(day(0), Sign.TWO_QUEENS)), twice, day(4), Assumptions.standard())
                        .clashes())
                .isEmpty();
    }

    @Test
    void a_virgin_of_sixty_days_clashes() {
        assertThat(
                BroodProver.prove(List.of(Reading.of(day(60), Sign.VIRGIN)), List.of(event(0, EventKind.VIRGIN_GIVEN)),
                        day(60), Assumptions.standard()).clashes())
                .hasSize(1);
    }

    @Test
    void sealed_brood_of_unknown_kind_still_bounds_the_last_egg() {
        var last = BroodProver
                .prove(List.of(Reading.of(day(30), Sign.SEALED_BROOD).without(Sign.OPEN_BROOD)), List.of(),
                        day(30), Assumptions.standard())
                .lastEgg().orElseThrow();
        assertThat(last.earliest()).contains(day(6));
        assertThat(last.latest()).isEqualTo(day(21));
    }
}
