package vividcrown.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.CombPlace;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/**
 * Twelve boxes and more, each with what an experienced keeper would say: common practice. Written before the table of
 * likelihoods was tuned; the verdict is checked by its lead and by bounds, not by its digits.
 */
class VignettesTest {

    private static final LocalDate JUN_10 = LocalDate.of(2026, 6, 10);
    private final Judge judge = new Judge(Assumptions.standard(), Season.NORTHERN);

    private static LocalDate day(int number) {
        return JUN_10.plusDays(number);
    }

    private Verdict verdict(Reading... readings) {
        return judge.judge(List.of(readings), List.of(), readings[readings.length - 1].day());
    }

    private Verdict verdict(List<ColonyEvent> events, int today, Reading... readings) {
        return judge.judge(List.of(readings), events, day(today));
    }

    @Test
    void v01_single_eggs_larvae_and_flat_brood_are_a_laying_queen_seen_or_not() {
        Verdict verdict = verdict(
                Reading.of(JUN_10, Sign.EGGS_SINGLE, Sign.LARVAE, Sign.SEALED_WORKER).without(Sign.QUEEN));
        assertThat(verdict.leading()).isEqualTo(Status.LAYING_QUEEN);
        assertThat(verdict.contents().queen().get(Contents.QueenIs.LAYING)).isGreaterThan(0.95);
    }

    @Test
    void v02_several_eggs_on_walls_and_bullet_caps_are_laying_workers() {
        Verdict verdict = verdict(Reading
                .of(JUN_10, Sign.EGGS_SEVERAL, Sign.EGGS_ON_WALLS, Sign.SEALED_DRONE_SCATTERED, Sign.BEES_OLD)
                .without(Sign.SEALED_WORKER));
        assertThat(verdict.leading()).isEqualTo(Status.LAYING_WORKERS);
        assertThat(verdict.chance(Status.LAYING_WORKERS)).isGreaterThan(0.9);
    }

    @Test
    void v03_single_eggs_under_domed_caps_in_worker_comb_are_a_drone_layer() {
        Verdict verdict = verdict(
                Reading.of(JUN_10, Sign.EGGS_SINGLE, Sign.SEALED_DRONE_SCATTERED).without(Sign.SEALED_WORKER));
        assertThat(verdict.leading()).isEqualTo(Status.DRONE_LAYER);
    }

    @Test
    void v04_no_brood_no_cells_a_virgin_and_queenless_both_stay_alive_until_tested() {
        Verdict verdict = verdict(Reading.of(JUN_10).without(Sign.BROOD, Sign.QUEEN_CELLS, Sign.QUEEN));
        assertThat(verdict.chance(Status.VIRGIN)).isGreaterThan(0.15);
        assertThat(verdict.chance(Status.HOPELESSLY_QUEENLESS)).isGreaterThan(0.1);
        assertThat(verdict.settle().getFirst().kind()).isEqualTo(BestLook.Kind.TEST_FRAME);
    }

    @Test
    void v05_a_calm_colony_without_brood_is_not_taken_for_queenright() {
        Verdict bare = verdict(Reading.of(JUN_10).without(Sign.BROOD));
        Verdict calm = verdict(Reading.of(JUN_10, Sign.CALM, Sign.POLLEN_COMING_IN).without(Sign.BROOD));
        assertThat(calm.chance(Status.LAYING_QUEEN)).isLessThan(0.1);
        assertThat(calm.chance(Status.LAYING_QUEEN) - bare.chance(Status.LAYING_QUEEN)).isLessThan(0.05);
    }

    @Test
    void v06_long_cells_on_the_bottom_edge_of_a_crowded_hive_in_may_are_swarm_cells() {
        Verdict verdict = verdict(Reading.of(LocalDate.of(2026, 5, 20), Sign.EGGS, Sign.CROWDED, Sign.SEALED_WORKER)
                .with(CellLook.LONG, CombPlace.BOTTOM_EDGE, 7));
        assertThat(verdict.leading()).isEqualTo(Status.CELLS);
        assertThat(verdict.cellKind().get(Verdict.CellKind.SWARM)).isGreaterThan(0.85);
    }

    @Test
    void v07_two_equal_cells_on_the_face_beside_a_good_nest_are_a_supersedure() {
        Verdict verdict = verdict(Reading.of(LocalDate.of(2026, 8, 5), Sign.EGGS, Sign.LARVAE, Sign.SEALED_WORKER)
                .with(CellLook.SEALED, CombPlace.FACE, 2));
        assertThat(verdict.leading()).isEqualTo(Status.CELLS);
        assertThat(verdict.cellKind().get(Verdict.CellKind.SUPERSEDURE)).isGreaterThan(0.6);
    }

    @Test
    void v08_many_cells_among_worker_brood_and_no_eggs_mean_that_the_queen_was_lost() {
        Verdict verdict = verdict(Reading.of(JUN_10, Sign.SEALED_WORKER, Sign.OLD_LARVAE).without(Sign.EGGS)
                .with(CellLook.LONG, CombPlace.AMONG_WORKER_BROOD, 8));
        assertThat(verdict.leading()).isEqualTo(Status.CELLS);
        assertThat(verdict.cellKind().get(Verdict.CellKind.EMERGENCY)).isGreaterThan(0.7);
    }

    @Test
    void v09_three_weeks_after_the_queen_was_removed_polished_cells_mean_a_young_queen() {
        List<ColonyEvent> events = List.of(new ColonyEvent(day(0), EventKind.QUEEN_REMOVED));
        Verdict verdict = verdict(events, 17,
                Reading.of(day(17), Sign.POLISHED_CELLS, Sign.SEALED_WORKER).without(Sign.OPEN_BROOD)
                        .with(CellLook.EMERGED, CombPlace.AMONG_WORKER_BROOD, 1));
        assertThat(verdict.leading()).isEqualTo(Status.VIRGIN);
        assertThat(verdict.chance(Status.VIRGIN)).isGreaterThan(0.8);
    }

    @Test
    void v10_cells_on_the_test_frame_settle_it() {
        Reading empty = Reading.of(day(0)).without(Sign.BROOD, Sign.QUEEN_CELLS);
        Verdict verdict = verdict(List.of(new ColonyEvent(day(0), EventKind.BROOD_GIVEN)), 4, empty,
                Reading.of(day(4), Sign.CELLS_ON_TEST_FRAME));
        assertThat(verdict.chance(Status.VIRGIN)).isLessThan(0.05);
        assertThat(verdict.chance(Status.LAYING_QUEEN)).isLessThan(0.05);
        Verdict none = verdict(List.of(new ColonyEvent(day(0), EventKind.BROOD_GIVEN)), 4, empty,
                Reading.of(day(4)).without(Sign.CELLS_ON_TEST_FRAME));
        assertThat(none.leading()).isEqualTo(Status.VIRGIN);
        // "none mean a queen or virgin is there"
        assertThat(none.chance(Status.HOPELESSLY_QUEENLESS) + none.chance(Status.LAYING_WORKERS)).isLessThan(0.1);
    }

    @Test
    void v11_half_the_bees_gone_sealed_cells_and_no_eggs_in_may_have_swarmed() {
        Verdict verdict = verdict(Reading.of(LocalDate.of(2026, 5, 20), Sign.FEW_BEES, Sign.LARVAE, Sign.SEALED_WORKER)
                .without(Sign.EGGS, Sign.QUEEN).with(CellLook.SEALED, CombPlace.BOTTOM_EDGE, 9));
        assertThat(verdict.leading()).isEqualTo(Status.JUST_SWARMED);
    }

    @Test
    void v12_the_day_after_the_queen_was_killed_it_is_recently_queenless() {
        Verdict verdict = verdict(List.of(new ColonyEvent(day(0), EventKind.QUEEN_REMOVED)), 1,
                Reading.of(day(1), Sign.EGGS, Sign.LARVAE, Sign.SEALED_WORKER, Sign.MOANING));
        assertThat(verdict.leading()).isIn(Status.RECENTLY_QUEENLESS, Status.CELLS);
        assertThat(verdict.chance(Status.RECENTLY_QUEENLESS) + verdict.chance(Status.CELLS)).isGreaterThan(0.8);
    }

    @Test
    void v13_seven_weeks_without_a_queen_and_old_bees_are_hopeless_or_worse() {
        Verdict verdict = verdict(List.of(new ColonyEvent(day(0), EventKind.QUEEN_REMOVED),
                new ColonyEvent(day(8), EventKind.CELLS_DESTROYED)), 49,
                Reading.of(day(49), Sign.BEES_OLD, Sign.NECTAR_IN_NEST).without(Sign.BROOD));
        assertThat(verdict.chance(Status.HOPELESSLY_QUEENLESS) + verdict.chance(Status.LAYING_WORKERS))
                .isGreaterThan(0.75);
    }

    @Test
    void v14_mother_and_daughter_seen_together_are_two_queens() {
        assertThat(verdict(Reading.of(JUN_10, Sign.TWO_QUEENS, Sign.EGGS_SINGLE, Sign.SEALED_WORKER)).leading())
                .isEqualTo(Status.TWO_QUEENS);
    }

    @Test
    void v15_no_brood_in_january_is_no_alarm() {
        Verdict verdict = verdict(Reading.of(LocalDate.of(2026, 1, 10)).without(Sign.BROOD));
        assertThat(verdict.leading()).isEqualTo(Status.LAYING_QUEEN);
        assertThat(new Judge(Assumptions.standard(), new Season(true))
                .judge(List.of(Reading.of(LocalDate.of(2026, 7, 10)).without(Sign.BROOD)), List.of(),
                        LocalDate.of(2026, 7, 10))
                .leading()).isEqualTo(Status.LAYING_QUEEN);
    }

    @Test
    void v16_an_egg_or_two_doubled_in_a_young_queens_first_week_is_no_alarm() {
        Verdict verdict = verdict(List.of(new ColonyEvent(day(0), EventKind.CELL_GIVEN)), 15,
                Reading.of(day(15), Sign.EGGS_SINGLE, Sign.EGGS_SEVERAL, Sign.POLISHED_CELLS)
                        .without(Sign.SEALED_BROOD, Sign.EGGS_ON_WALLS));
        assertThat(verdict.leading()).isEqualTo(Status.LAYING_QUEEN);
    }

    @Test
    void v17_a_virgin_seen_is_a_virgin() {
        assertThat(verdict(Reading.of(JUN_10, Sign.VIRGIN)).chance(Status.VIRGIN)).isGreaterThan(0.7);
    }

    @Test
    void v18_several_eggs_alone_are_a_doubt_and_on_walls_point_to_laying_workers() {
        assertThat(verdict(Reading.of(JUN_10, Sign.EGGS_SEVERAL)).chance(Status.LAYING_WORKERS)).isBetween(0.2, 0.8);
        assertThat(verdict(Reading.of(JUN_10, Sign.EGGS_SEVERAL, Sign.EGGS_ON_WALLS)).chance(Status.LAYING_WORKERS))
                .isGreaterThan(0.9);
        assertThat(verdict(Reading.of(JUN_10, Sign.EGGS_ON_WALLS)).leading()).isEqualTo(Status.LAYING_WORKERS);
    }

    @Test
    void v19_spotty_worker_brood_with_domed_caps_among_it_is_a_failing_queen() {
        assertThat(verdict(Reading.of(JUN_10, Sign.EGGS_SINGLE, Sign.SEALED_WORKER_SPOTTY,
                Sign.SEALED_DRONE_SCATTERED)).leading()).isEqualTo(Status.DRONE_LAYER);
    }

    @Test
    void v20_what_was_looked_at_today_is_not_proposed_for_today() {
        Verdict verdict = verdict(Reading.of(LocalDate.of(2026, 9, 18)).without(Sign.BROOD, Sign.QUEEN_CELLS));
        assertThat(verdict.settle()).allSatisfy(look -> assertThat(look.kind() == BestLook.Kind.QUEEN
                || look.when().earliest().isAfter(verdict.asOf())).as(look.toString()).isTrue());
    }

    @Test
    void a_queen_not_seen_weighs_little() {
        Map<Status, Double> before = verdict(Reading.of(JUN_10, Sign.EGGS)).odds();
        Map<Status, Double> after = verdict(Reading.of(JUN_10, Sign.EGGS).without(Sign.QUEEN)).odds();
        assertThat(before.get(Status.LAYING_QUEEN) - after.get(Status.LAYING_QUEEN)).isLessThan(0.1);
    }

    @Test
    void nothing_seen_is_nothing_learnt() {
        Map<Status, Double> prior = Prior.on(JUN_10, Assumptions.standard(), Season.NORTHERN).odds();
        verdict(Reading.of(JUN_10)).odds()
                .forEach((status, odds) -> assertThat(odds).as(status.name())
                        .isCloseTo(prior.get(status), org.assertj.core.data.Offset.offset(1e-9)));
    }

    @Test
    void odds_always_make_one() {
        for (Sign sign : Sign.values()) {
            double sum = verdict(Reading.of(JUN_10, sign)).odds().values().stream()
                    .mapToDouble(Double::doubleValue).sum();
            assertThat(sum).as(sign.name()).isCloseTo(1, org.assertj.core.data.Offset.offset(1e-9));
        }
    }
}
