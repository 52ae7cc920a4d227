package vividcrown.core.brood;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.CombPlace;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;
import vividcrown.core.time.Until;

/** The days behind each check: Winston 1987 (values from memory) and, for cells and the return visit, common practice. */
class BroodProverTest {

    private static final LocalDate JUN_1 = LocalDate.of(2026, 6, 1);

    private static LocalDate day(int number) {
        return JUN_1.plusDays(number);
    }

    private static Until between(int first, int last) {
        return new Until(Optional.of(day(first)), day(last));
    }

    private static Until notAfter(int last) {
        return new Until(Optional.empty(), day(last));
    }

    private static ColonyEvent on(int number, EventKind kind) {
        return new ColonyEvent(day(number), kind);
    }

    private static BroodProof proof(int asOf, List<Reading> readings, ColonyEvent... events) {
        return BroodProver.prove(readings, List.of(events), day(asOf), Assumptions.standard());
    }

    @Nested
    class OneLook {

        @Test
        void eggs_prove_a_layer_within_three_days() {
            BroodProof proof = proof(30, List.of(Reading.of(day(30), Sign.EGGS)));
            assertThat(proof.lastEgg()).contains(between(27, 30));
            assertThat(proof.queenlessSince()).isEmpty();
            assertThat(proof.clashes()).isEmpty();
        }

        @Test
        void larvae_without_eggs_none_for_three_days_but_one_within_nine() {
            BroodProof proof = proof(30, List.of(Reading.of(day(30), Sign.LARVAE).without(Sign.EGGS)));
            assertThat(proof.lastEgg()).contains(between(21, 27));
        }

        @Test
        void only_sealed_brood_none_for_nine_days_but_one_within_twenty_two() {
            BroodProof proof = proof(30, List.of(Reading.of(day(30), Sign.SEALED_WORKER).without(Sign.OPEN_BROOD)));
            assertThat(proof.lastEgg()).contains(between(8, 21));
            assertThat(proof.queenlessSince()).contains(between(9, 22));
        }

        @Test
        void no_worker_brood_at_all_none_for_twenty_days_and_no_end_to_it() {
            BroodProof proof = proof(30, List.of(Reading.of(day(30)).without(Sign.BROOD)));
            assertThat(proof.lastEgg()).contains(notAfter(10));
            assertThat(proof.layings()).isEmpty();
        }

        @Test
        void what_was_not_looked_for_is_not_absent() {
            BroodProof proof = proof(30, List.of(Reading.of(day(30), Sign.LARVAE)));
            assertThat(proof.lastEgg()).contains(between(21, 30));
            assertThat(proof(30, List.of(Reading.of(day(30), Sign.CALM))).lastEgg()).isEmpty();
        }

        @Test
        void upright_and_flat_eggs_tell_their_day() {
            assertThat(proof(30, List.of(Reading.of(day(30), Sign.EGGS_STANDING))).lastEgg())
                    .contains(between(29, 30));
            assertThat(proof(30, List.of(Reading.of(day(30), Sign.EGGS_LYING))).layings().getFirst().lastEgg())
                    .isEqualTo(between(27, 30));
        }

        @Test
        void eggs_alone_date_the_beginning_of_a_new_queen() {
            BroodProof proof = proof(30,
                    List.of(Reading.of(day(30), Sign.EGGS).without(Sign.LARVAE, Sign.SEALED_BROOD)));
            assertThat(proof.newest().orElseThrow().firstEgg()).isEqualTo(between(27, 30));
        }

        @Test
        void several_eggs_to_a_cell_are_no_proof_of_a_queen() {
            BroodProof proof = proof(30, List.of(Reading.of(day(30), Sign.EGGS_SEVERAL, Sign.EGGS_ON_WALLS)));
            assertThat(proof.layings()).isEmpty();
            assertThat(proof.reasons()).anySatisfy(
                    reason -> assertThat(reason.fact().toString()).contains("not counted as a queen's"));
        }

        @Test
        void eggs_doubled_beside_single_ones_are_a_queens() {
            BroodProof proof = proof(30, List.of(Reading.of(day(30), Sign.EGGS_SINGLE, Sign.EGGS_SEVERAL)));
            assertThat(proof.lastEgg()).contains(between(27, 30));
        }
    }

    @Nested
    class SeveralLooks {

        @Test
        void two_looks_bracket_the_beginning_of_laying() {
            BroodProof proof = proof(40, List.of(Reading.of(day(30)).without(Sign.EGGS),
                    Reading.of(day(40), Sign.EGGS, Sign.LARVAE).without(Sign.SEALED_BROOD)));
            // larvae on day 40: laid by day 37; no eggs on day 30: none on 28–30; nothing sealed on 40: none on 18–30
            assertThat(proof.newest().orElseThrow().firstEgg()).isEqualTo(between(31, 37));
        }

        @Test
        void brood_of_the_old_queen_and_of_the_new_are_told_apart() {
            BroodProof proof = proof(50, List.of(Reading.of(day(0), Sign.EGGS, Sign.SEALED_WORKER),
                    Reading.of(day(28)).without(Sign.BROOD), Reading.of(day(50), Sign.EGGS, Sign.SEALED_WORKER)));
            assertThat(proof.layings()).hasSize(2);
            assertThat(proof.layings().getFirst().lastEgg()).isEqualTo(between(-3, 8));
            assertThat(proof.layings().getLast().firstEgg()).isEqualTo(between(29, 41));
        }

        @Test
        void the_last_brood_and_the_first_of_the_next_queen_frame_the_broodless_days() {
            BroodProof proof = proof(10, List.of(Reading.of(day(0), Sign.EGGS)), on(0, EventKind.QUEEN_REMOVED),
                    on(10, EventKind.CELL_GIVEN));
            assertThat(proof.lastEgg()).contains(between(-3, 0));
            // the last worker emerges by day 22; a cell given on day 10: eggs from day 18, sealed from day 26
            assertThat(proof.lastWorkerEmerges().orElseThrow().latest()).isEqualTo(day(22));
            assertThat(proof.broodless()).contains(DatedSpan.ofClosed(day(22), day(25)));
        }

        @Test
        void drone_comb_holds_mites_three_days_longer() {
            BroodProof proof = proof(0, List.of(Reading.of(day(0), Sign.EGGS_STANDING)),
                    on(0, EventKind.QUEEN_REMOVED));
            assertThat(proof.lastWorkerEmerges()).contains(between(-1 + 20, 22));
            assertThat(proof.lastDroneEmerges()).contains(between(-1 + 23, 25));
        }
    }

    @Nested
    class Queenless {

        @Test
        void the_earliest_emergency_queen_depends_on_the_larva_chosen() {
            BroodProof.Emergency emergency = proof(0, List.of(), on(0, EventKind.QUEEN_REMOVED)).emergency()
                    .orElseThrow();
            assertThat(emergency.fromOldestLarva()).isEqualTo(new DatedSpan(day(9), day(10), day(11)));
            assertThat(emergency.fromDayOldLarva()).isEqualTo(new DatedSpan(day(11), day(12), day(13)));
            assertThat(emergency.fromEgg()).isEqualTo(new DatedSpan(day(15), day(16), day(17)));
        }

        @Test
        void no_cell_can_be_begun_from_day_seven() {
            BroodProof proof = proof(0, List.of(Reading.of(day(0), Sign.EGGS_STANDING)),
                    on(0, EventKind.QUEEN_REMOVED));
            assertThat(proof.noNewCellsFrom().orElseThrow().latest()).isEqualTo(day(7));
        }

        @Test
        void the_young_queens_dates_follow_from_her_cell() {
            NextQueen next = proof(0, List.of(), on(0, EventKind.QUEEN_REMOVED)).next().orElseThrow();
            assertThat(next.origin()).isEqualTo(NextQueen.Origin.EMERGENCY_LARVA);
            assertThat(next.emerges()).isEqualTo(new DatedSpan(day(9), day(10), day(17)));
            assertThat(next.firstEggs()).isEqualTo(new DatedSpan(day(17), day(21), day(33)));
            assertThat(next.flatSealed().earliest()).isEqualTo(day(26));
        }

        @Test
        void with_all_cells_gone_after_day_seven_there_is_none_to_come() {
            assertThat(proof(8, List.of(), on(0, EventKind.QUEEN_REMOVED), on(8, EventKind.CELLS_DESTROYED)).next())
                    .isEmpty();
            assertThat(proof(8, List.of(), on(0, EventKind.QUEEN_REMOVED), on(4, EventKind.CELLS_DESTROYED)).next())
                    .map(NextQueen::emerges).contains(new DatedSpan(day(13), day(14), day(17)));
        }

        @Test
        void a_given_test_frame_explains_brood_seen_later() {
            BroodProof proof = proof(15, List.of(Reading.of(day(15), Sign.SEALED_WORKER)),
                    on(-30, EventKind.QUEEN_REMOVED), on(8, EventKind.BROOD_GIVEN));
            assertThat(proof.clashes()).isEmpty();
            assertThat(proof.layings()).isEmpty();
        }
    }

    @Nested
    class Cells {

        private CellAge only(BroodProof proof) {
            assertThat(proof.cells()).hasSize(1);
            return proof.cells().getFirst();
        }

        private Reading cell(int number, CellLook look) {
            return Reading.of(day(number)).with(look, CombPlace.FACE, 1);
        }

        @Test
        void the_look_of_a_cell_tells_its_age() {
            Map<CellLook, int[]> ages = Map.of(CellLook.CUP_EGG, new int[]{0, 3}, CellLook.JELLY, new int[]{3, 5},
                    CellLook.LONG, new int[]{5, 8}, CellLook.SEALED, new int[]{8, 16}, CellLook.RIPE,
                    new int[]{14, 16});
            ages.forEach((look, age) -> {
                DatedSpan laid = only(proof(30, List.of(cell(30, look)))).laid();
                assertThat(laid.earliest()).as(look.name()).isEqualTo(day(30 - age[1]));
                assertThat(laid.latest()).as(look.name()).isEqualTo(day(30 - age[0]));
            });
        }

        @Test
        void a_ripe_cell_opens_within_three_days() {
            assertThat(only(proof(30, List.of(cell(30, CellLook.RIPE)))).emerges())
                    .isEqualTo(new DatedSpan(day(30), day(31), day(33)));
        }

        @Test
        void sealed_four_days_after_the_loss_was_begun_before_it() {
            assertThat(only(proof(4, List.of(cell(4, CellLook.RIPE)), on(0, EventKind.QUEEN_REMOVED))).begun())
                    .isEqualTo(CellAge.Begun.BEFORE_LOSS);
            assertThat(only(proof(4, List.of(cell(4, CellLook.LONG)), on(0, EventKind.QUEEN_REMOVED))).begun())
                    .isEqualTo(CellAge.Begun.AFTER_LOSS);
            assertThat(only(proof(4, List.of(cell(4, CellLook.LONG)))).begun())
                    .isEqualTo(CellAge.Begun.NO_LOSS_KNOWN);
        }

        @Test
        void a_look_without_cells_makes_later_ones_younger() {
            CellAge cell = only(proof(9, List.of(Reading.of(day(0)).without(Sign.QUEEN_CELLS),
                    cell(9, CellLook.SEALED))));
            // by its look the egg is from day −7 to 1; a cell begun after day 0 was on a larva of 6 days at most
            assertThat(cell.laid()).isEqualTo(DatedSpan.ofClosed(day(-7), day(1)).notBefore(day(-6)));
        }

        @Test
        void an_empty_cell_means_that_a_virgin_is_out() {
            NextQueen next = proof(30, List.of(cell(30, CellLook.EMERGED))).next().orElseThrow();
            assertThat(next.emerges().latest()).isEqualTo(day(30));
            assertThat(next.emerges().earliest()).isEqualTo(day(23));
        }
    }

    @Nested
    class Contradictions {

        @Test
        void eggs_ten_days_after_the_queen_was_removed_clash_with_nothing_else() {
            BroodProof proof = proof(10, List.of(Reading.of(day(2), Sign.LARVAE), Reading.of(day(10), Sign.EGGS)),
                    on(0, EventKind.QUEEN_REMOVED));
            assertThat(proof.clashes()).hasSize(1);
            Clash clash = proof.clashes().getFirst();
            assertThat(clash.facts()).extracting(fact -> fact.sentence().toString()).containsExactly(
                    "Thu 11 June: eggs seen", "Mon 1 June: queen removed or lost");
            assertThat(clash.explanations()).contains(Clash.Explanation.SECOND_QUEEN_MISSED,
                    Clash.Explanation.LAYING_WORKERS, Clash.Explanation.WRONG_DATE);
        }

        @Test
        void eggs_of_a_queen_raised_in_the_box_are_no_clash() {
            assertThat(proof(21, List.of(Reading.of(day(21), Sign.EGGS)), on(0, EventKind.QUEEN_REMOVED)).clashes())
                    .isEmpty();
        }

        @Test
        void sealed_brood_that_nobody_can_have_laid_names_the_looks() {
            BroodProof proof = proof(40, List.of(Reading.of(day(30)).without(Sign.BROOD),
                    Reading.of(day(33), Sign.SEALED_WORKER)));
            assertThat(proof.clashes()).singleElement().satisfies(clash -> {
                assertThat(clash.explanations()).contains(Clash.Explanation.BROOD_MISSED);
                assertThat(clash.facts()).hasSize(2);
            });
        }

        @Test
        void a_gift_that_was_written_down_resolves_it() {
            assertThat(proof(40, List.of(Reading.of(day(30)).without(Sign.BROOD),
                    Reading.of(day(33), Sign.SEALED_WORKER)), on(31, EventKind.BROOD_GIVEN)).clashes()).isEmpty();
        }
    }

    @Test
    void an_operations_own_clock_moves_the_proof() {
        Assumptions slow = new Assumptions(Map.of(Figure.WORKER_EMERGES, DaySpan.ofDays(21, 22, 24)));
        BroodProof proof = BroodProver.prove(List.of(Reading.of(day(30)).without(Sign.BROOD)), List.of(), day(30),
                slow);
        assertThat(proof.lastEgg()).contains(notAfter(9));
    }
}
