package vividcrown.core.queen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static vividcrown.core.queen.Lives.day;
import static vividcrown.core.queen.Lives.grafted;
import static vividcrown.core.queen.Lives.placed;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.rearing.LarvaAge;

class LifeFoldTest {

    @Test
    void a_whole_life_is_folded_stage_by_stage() {
        Lives lives = grafted();
        assertThat(lives.life().stage()).isEqualTo(Stage.GRAFTED);
        assertThat(lives.on(1, new QueenEvent.Took()).life().stage()).isEqualTo(Stage.TAKEN);
        assertThat(lives.on(5, new QueenEvent.SealedSeen()).life().stage()).isEqualTo(Stage.SEALED);
        assertThat(lives.on(10, QueenEvent.Placed.cell(Lives.NUC)).life().where())
                .isEqualTo(new Whereabouts.InHive(Lives.NUC));
        assertThat(lives.on(13, new QueenEvent.Emerged()).life().stage()).isEqualTo(Stage.VIRGIN);
        assertThat(lives.on(24, new QueenEvent.EggsSeen()).life().stage()).isEqualTo(Stage.LAYING);
        assertThat(lives.on(33, new QueenEvent.SealedWorkerBroodSeen()).life().stage()).isEqualTo(Stage.JUDGED);
        lives.on(33, new QueenEvent.Marked(Optional.of(YearColour.WHITE), "14"));
        assertThat(lives.life().mark()).isEqualTo("WHITE 14");
        assertThat(lives.life().emergenceYear()).isEqualTo(2026);
        assertThat(lives.fold().contradictions()).isEmpty();
    }

    @Test
    void a_record_must_begin_somewhere() {
        assertThatThrownBy(() -> new Lives().on(3, new QueenEvent.EggsSeen()).fold())
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageStartingWith("A queen's record begins with a graft or a known queen, but it begins with");
    }

    /** Entries reach the server in any order: from two phones, or after a day without signal. */
    @Property(tries = 200)
    void the_order_of_arrival_does_not_matter(@ForAll long seed) {
        List<LifeEntry> entries = new ArrayList<>();
        QueenEvent[] events = {new QueenEvent.Grafted(new UUID(0, 1), 1, 1), new QueenEvent.Took(),
                QueenEvent.Placed.cell(Lives.NUC), new QueenEvent.Emerged(), new QueenEvent.NoEggsYet(),
                new QueenEvent.EggsSeen()};
        int[] days = {0, 1, 10, 13, 24, 31};
        for (int index = 0; index < events.length; index++) {
            entries.add(new LifeEntry(new UUID(9, index), day(days[index]), index, events[index]));
        }
        QueenLife inOrder = LifeFold.fold(entries, LarvaAge.FROM_12_TO_24_H, Assumptions.standard()).life();
        Collections.shuffle(entries, new Random(seed));
        assertThat(LifeFold.fold(entries, LarvaAge.FROM_12_TO_24_H, Assumptions.standard()).life())
                .isEqualTo(inOrder);
    }

    @Nested
    class What_cannot_be_true_together {

        @Test
        void emergence_before_nature_allows_it_is_kept_and_flagged() {
            LifeFold.Folded folded = placed().on(10, new QueenEvent.Emerged()).fold();
            assertThat(folded.life().stage()).isEqualTo(Stage.VIRGIN);
            assertThat(folded.contradictions()).singleElement()
                    .satisfies(one -> assertThat(one.clash()).hasToString("Emerged on Thu 11 June cannot be: the graft "
                            + "was on Mon 1 June, so virgins emerge 12–14 June. Change the day, or correct the graft."));
        }

        @Test
        void emergence_on_the_first_possible_day_is_not() {
            assertThat(placed().on(11, new QueenEvent.Emerged()).fold().contradictions()).isEmpty();
        }

        @Test
        void sealing_after_emergence_is_flagged() {
            assertThat(placed().on(12, new QueenEvent.Emerged()).on(13, new QueenEvent.SealedSeen()).fold()
                    .contradictions()).singleElement().satisfies(one -> assertThat(one.clash().toString())
                            .startsWith("A cell stage is recorded after her emergence."));
        }

        @Test
        void eggs_before_she_can_lay_are_another_queens() {
            // derived: emergence from graft + 11, first eggs from emergence + 8
            assertThat(placed().on(18, new QueenEvent.EggsSeen()).fold().contradictions()).hasSize(1);
            assertThat(placed().on(19, new QueenEvent.EggsSeen()).fold().contradictions()).isEmpty();
        }

        @Test
        void a_cell_in_two_hives_is_flagged_but_a_virgin_may_be_moved() {
            QueenEvent other = QueenEvent.Placed.cell(new UUID(0, 8));
            assertThat(placed().on(11, other).fold().contradictions()).singleElement()
                    .satisfies(one -> assertThat(one.clash().key()).isEqualTo("clash.cellInTwoHives"));
            assertThat(placed().on(12, new QueenEvent.Emerged()).on(14, other).fold().contradictions()).isEmpty();
        }

        @Test
        void one_says_dud_and_the_other_emerged() {
            LifeFold.Folded folded = placed().on(13, new QueenEvent.Dud()).on(13, new QueenEvent.Emerged()).fold();
            assertThat(folded.contradictions()).hasSize(1);
            assertThat(folded.life().stage()).isEqualTo(Stage.VIRGIN);
            assertThat(folded.life().isAlive()).isTrue();
        }

        @Test
        void two_who_see_the_same_do_not_contradict_each_other() {
            assertThat(placed().on(13, new QueenEvent.Dud()).on(13, new QueenEvent.Dud()).fold().contradictions())
                    .isEmpty();
            assertThat(placed().on(24, new QueenEvent.EggsSeen()).on(24, new QueenEvent.EggsSeen()).fold()
                    .contradictions()).isEmpty();
        }

        @Test
        void anything_but_a_note_after_her_end_is_flagged() {
            assertThat(placed().on(20, new QueenEvent.Dead()).on(24, new QueenEvent.EggsSeen()).fold()
                    .contradictions()).singleElement().satisfies(one -> assertThat(one.clash()).hasToString(
                            "Her record ended with \"dead\" on Sun 21 June. Correct that entry if it was wrong, or choose "
                                    + "another queen."));
            assertThat(placed().on(20, new QueenEvent.Dead()).on(24, new QueenEvent.Noted()).fold()
                    .contradictions()).isEmpty();
        }
    }

    @Test
    void not_found_ends_nothing() {
        assertThat(placed().on(13, new QueenEvent.Emerged()).on(24, new QueenEvent.NotFound()).life().isAlive())
                .isTrue();
    }

    @Test
    void a_known_queen_begins_where_she_is() {
        QueenLife known = LifeFold.fold(
                List.of(new LifeEntry(new UUID(0, 1), LocalDate.of(2026, 4, 1), 0,
                        new QueenEvent.Known(Stage.JUDGED, 2024, Optional.empty()))),
                LarvaAge.FROM_12_TO_24_H, Assumptions.standard()).life();
        assertThat(known.stage()).isEqualTo(Stage.JUDGED);
        assertThat(known.emergenceYear()).isEqualTo(2024);
        assertThat(known.has(Milestone.SEALED_BROOD_SEEN)).isTrue();
    }

    /** Eggs seen of an old queen say nothing of her year; those of a virgin do. */
    @Test
    void who_laid_already_is_not_made_young_by_being_seen_to_lay() {
        assertThat(yearOf(Stage.LAYING)).isZero();
        assertThat(yearOf(Stage.VIRGIN)).isEqualTo(2026);
    }

    private static int yearOf(Stage stage) {
        return LifeFold.fold(List.of(known(0, new QueenEvent.Known(stage, 0, Optional.empty())),
                known(25, new QueenEvent.SealedWorkerBroodSeen())), LarvaAge.FROM_12_TO_24_H, Assumptions.standard())
                .life().emergenceYear();
    }

    @Test
    void the_mark_she_came_with_wears_off_and_is_renewed() {
        List<LifeEntry> record = new ArrayList<>(List.of(
                known(0, new QueenEvent.Known(Stage.JUDGED, 0, Optional.of(YearColour.BLUE))),
                known(20, new QueenEvent.MarkWorn())));
        QueenLife worn = LifeFold.fold(record, LarvaAge.FROM_12_TO_24_H, Assumptions.standard()).life();
        assertThat(worn.mark()).isEqualTo("BLUE");
        assertThat(worn.has(Milestone.MARK_WORN)).isTrue();
        record.add(known(40, new QueenEvent.Marked(Optional.of(YearColour.BLUE), "7")));
        QueenLife renewed = LifeFold.fold(record, LarvaAge.FROM_12_TO_24_H, Assumptions.standard()).life();
        assertThat(renewed.mark()).isEqualTo("BLUE 7");
        assertThat(renewed.has(Milestone.MARK_WORN)).isFalse();
    }

    @Test
    void a_virgin_is_not_clipped_for_she_has_to_fly() {
        assertThat(LifeFold.fold(List.of(known(0, new QueenEvent.Known(Stage.VIRGIN, 2026, Optional.empty())),
                known(2, new QueenEvent.Clipped())), LarvaAge.FROM_12_TO_24_H, Assumptions.standard())
                .contradictions()).hasSize(1);
        assertThat(LifeFold.fold(List.of(known(0, new QueenEvent.Known(Stage.LAYING, 2026, Optional.empty())),
                known(2, new QueenEvent.Clipped())), LarvaAge.FROM_12_TO_24_H, Assumptions.standard())
                .contradictions()).isEmpty();
    }

    private static LifeEntry known(int day, QueenEvent event) {
        return new LifeEntry(new UUID(0, day), LocalDate.of(2026, 5, 1).plusDays(day), day, event);
    }
}
