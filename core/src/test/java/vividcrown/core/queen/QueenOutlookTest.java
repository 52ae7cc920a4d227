package vividcrown.core.queen;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.core.queen.Lives.day;
import static vividcrown.core.queen.Lives.placed;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.odds.Rate;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.time.DatedSpan;

class QueenOutlookTest {

    private static Due due(QueenOutlook outlook) {
        return outlook.due().orElseThrow();
    }

    @Nested
    class A_cell_in_a_nuc {

        @Test
        void is_looked_at_two_to_four_days_after_placing() {
            // common practice
            Due check = due(placed().outlookOn(10));
            assertThat(check.work()).isEqualTo(Work.CHECK_EMERGENCE);
            assertThat(check.window()).isEqualTo(new DatedSpan(day(12), day(13), day(14)));
            assertThat(check.isOverdueOn(day(14))).isFalse();
            assertThat(check.isOverdueOn(day(15))).isTrue();
        }

        @Test
        void placed_on_day_ten_had_not_emerged_before() {
            assertThat(placed().outlookOn(10).emergence()).contains(new DatedSpan(day(11), day(12), day(13)));
        }

        @Test
        void placed_a_day_late_narrows_her_emergence() {
            QueenOutlook outlook = Lives.grafted().on(1, new QueenEvent.Took())
                    .on(12, QueenEvent.Placed.cell(Lives.NUC)).outlookOn(12);
            assertThat(outlook.emergence()).contains(new DatedSpan(day(12), day(12), day(13)));
        }

        @Test
        void that_nobody_checked_is_settled_by_the_look_for_eggs() {
            assertThat(due(placed().outlookOn(23)).work()).isEqualTo(Work.CHECK_EMERGENCE);
            assertThat(due(placed().outlookOn(24)).work()).isEqualTo(Work.LOOK_FOR_EGGS);
        }
    }

    @Nested
    class A_virgin {

        private Lives virgin() {
            return placed().on(13, new QueenEvent.Emerged());
        }

        @Test
        void is_first_looked_at_fourteen_days_after_the_cell_was_placed_and_not_later_than_twenty_one() {
            // common practice
            assertThat(due(virgin().outlookOn(13)).window()).isEqualTo(new DatedSpan(day(24), day(24), day(31)));
        }

        @Test
        void is_left_alone_while_she_may_fly() {
            List<HandsOff> shut = virgin().outlookOn(13).handsOff();
            assertThat(shut).singleElement().satisfies(one -> {
                assertThat(one.days().earliest()).isEqualTo(day(16));
                assertThat(one.days().latest()).isEqualTo(day(23));
            });
        }

        @Test
        void without_eggs_is_looked_at_again_within_a_week_with_odds() {
            QueenOutlook outlook = virgin().on(24, new QueenEvent.NoEggsYet()).outlookOn(24);
            assertThat(due(outlook).work()).isEqualTo(Work.LOOK_AGAIN);
            assertThat(due(outlook).window()).isEqualTo(new DatedSpan(day(29), day(31), day(31)));
            assertThat(outlook.comesGood()).hasValueSatisfying(odds -> assertThat(odds).isBetween(0.5, 0.775));
        }

        @Test
        void is_late_from_twenty_one_days_after_emergence() {
            // common practice; emergence likely on day 12
            assertThat(virgin().outlookOn(12 + 20).isLate()).isFalse();
            assertThat(virgin().outlookOn(12 + 21).isLate()).isTrue();
        }

        @Test
        void is_given_up_after_twenty_eight_days_without_eggs() {
            // common practice: an unmated queen will only lay drones
            Lives looked = virgin().on(39, new QueenEvent.NoEggsYet());
            assertThat(due(looked.outlookOn(12 + 27)).work()).isEqualTo(Work.LOOK_AGAIN);
            assertThat(due(looked.outlookOn(12 + 28)).work()).isEqualTo(Work.REPLACE);
        }

        @Test
        void is_never_given_up_unseen() {
            // she may have begun to lay since: on the day of the decision somebody looks once more
            Lives lookedLongAgo = virgin().on(30, new QueenEvent.NoEggsYet());
            Due decide = due(lookedLongAgo.outlookOn(12 + 28));
            assertThat(decide.work()).isEqualTo(Work.LOOK_AGAIN);
            assertThat(decide.window().earliest()).isEqualTo(day(12 + 28));
            assertThat(decide.reasons().getFirst().fact().toString()).contains("Look once more");
            assertThat(due(lookedLongAgo.on(41, new QueenEvent.NoEggsYet()).outlookOn(41)).work())
                    .isEqualTo(Work.REPLACE);
            assertThat(due(lookedLongAgo.on(41, new QueenEvent.EggsSeen()).outlookOn(41)).work())
                    .isEqualTo(Work.JUDGE_BROOD);
        }

        @Test
        void not_found_is_looked_for_again_in_one_to_two_weeks() {
            Due again = due(virgin().on(25, new QueenEvent.NotFound()).outlookOn(25));
            assertThat(again.work()).isEqualTo(Work.FIND_AGAIN);
            assertThat(again.window()).isEqualTo(new DatedSpan(day(32), day(32), day(39)));
        }
    }

    @Nested
    class A_layer {

        @Test
        void is_judged_nine_days_after_her_first_eggs() {
            // derived: worker brood is sealed on day 9
            QueenOutlook outlook = placed().on(13, new QueenEvent.Emerged()).on(24, new QueenEvent.EggsSeen())
                    .outlookOn(24);
            assertThat(outlook.firstEggs()).contains(new DatedSpan(day(19), day(23), day(24)));
            assertThat(due(outlook).work()).isEqualTo(Work.JUDGE_BROOD);
            assertThat(due(outlook).window().earliest()).isEqualTo(day(32));
        }

        @Test
        void judged_sound_is_marked_and_then_left_in_peace() {
            Lives judged = placed().on(13, new QueenEvent.Emerged()).on(24, new QueenEvent.EggsSeen()).on(33,
                    new QueenEvent.SealedWorkerBroodSeen());
            assertThat(due(judged.outlookOn(33)).work()).isEqualTo(Work.MARK);
            assertThat(due(judged.outlookOn(33)).reasons().getFirst().fact())
                    .hasToString("Laying is judged sound. Mark her white, the colour of 2026.");
            assertThat(judged.on(33, new QueenEvent.Marked(Optional.of(YearColour.WHITE), "")).outlookOn(34).due())
                    .isEmpty();
        }

        @Test
        void of_drones_only_is_replaced() {
            assertThat(due(placed().on(13, new QueenEvent.Emerged()).on(30, new QueenEvent.DroneBroodOnly())
                    .outlookOn(30)).work()).isEqualTo(Work.REPLACE);
        }
    }

    @Test
    void nothing_is_due_at_an_ended_life() {
        assertThat(placed().on(13, new QueenEvent.Dud()).outlookOn(20).due()).isEmpty();
        assertThat(placed().on(13, new QueenEvent.Dud()).outlookOn(20).handsOff()).isEmpty();
    }

    @Test
    void in_the_incubator_she_is_watched_and_then_given_to_a_nuc() {
        Lives caged = Lives.grafted().on(1, new QueenEvent.Took()).on(10, new QueenEvent.CagedInIncubator(3));
        assertThat(due(caged.outlookOn(11)).work()).isEqualTo(Work.CHECK_EMERGENCE);
        caged.on(12, new QueenEvent.Emerged());
        assertThat(due(caged.outlookOn(12)).work()).isEqualTo(Work.INTRODUCE_VIRGIN);
        caged.on(13, QueenEvent.Placed.cell(Lives.NUC));
        assertThat(due(caged.outlookOn(14)).window().earliest()).isEqualTo(day(12 + 14));
    }

    /** Whenever she really emerged and began to lay, an honest record never excludes the true days. */
    @Property(tries = 500)
    void the_true_days_always_lie_inside_the_spans(@ForAll @IntRange(min = 11, max = 13) int emerged,
            @ForAll @IntRange(min = 8, max = 16) int eggsAfter, @ForAll @IntRange(max = 5) int checkedAfter,
            @ForAll @IntRange(max = 8) int seenAfter, @ForAll boolean lookedBefore) {
        int eggs = emerged + eggsAfter;
        Lives lives = placed().on(Math.max(emerged, 10) + checkedAfter, new QueenEvent.Emerged());
        if (lookedBefore) {
            lives.on(eggs - 1, new QueenEvent.NoEggsYet());
        }
        QueenOutlook outlook = lives.on(eggs + seenAfter, new QueenEvent.EggsSeen()).outlookOn(eggs + seenAfter);
        assertThat(outlook.emergence().orElseThrow().contains(day(emerged))).isTrue();
        assertThat(outlook.firstEggs().orElseThrow().contains(day(eggs))).isTrue();
    }

    @Test
    void own_record_moves_the_odds() {
        Lives waiting = placed().on(13, new QueenEvent.Emerged()).on(26, new QueenEvent.NoEggsYet());
        double good = waiting.outlookOn(26, Rate.of(95, 5)).comesGood().orElseThrow();
        double poor = waiting.outlookOn(26, Rate.of(40, 60)).comesGood().orElseThrow();
        assertThat(good).isGreaterThan(poor);
    }

    @Test
    void a_queen_of_unknown_graft_has_no_invented_dates() {
        QueenLife known = LifeFold.fold(List.of(
                new LifeEntry(new UUID(0, 1), day(0), 0, new QueenEvent.Known(Stage.JUDGED, 2025, Optional.empty())),
                new LifeEntry(new UUID(0, 2), day(0), 1, QueenEvent.Placed.cell(Lives.NUC))),
                LarvaAge.FROM_12_TO_24_H, Assumptions.standard()).life();
        QueenOutlook outlook = QueenOutlook.of(known, Optional.empty(), Assumptions.standard(), Rate.of(8, 2),
                MarkingScheme.INTERNATIONAL, day(5));
        assertThat(outlook.emergence()).isEmpty();
        assertThat(outlook.flights()).isEmpty();
        assertThat(due(outlook).work()).isEqualTo(Work.MARK);
    }

    @Test
    void a_lost_mark_is_a_question_not_a_lost_queen() {
        Lives lives = Lives.placed().on(12, new QueenEvent.Emerged()).on(25, new QueenEvent.EggsSeen())
                .on(34, new QueenEvent.SealedWorkerBroodSeen())
                .on(34, new QueenEvent.Marked(Optional.of(YearColour.WHITE), "7"))
                .on(50, new QueenEvent.MarkLost());
        assertThat(lives.life().isAlive()).isTrue();
        assertThat(lives.life().mark()).isEmpty();
        Due due = lives.outlookOn(51).due().orElseThrow();
        assertThat(due.work()).isEqualTo(Work.CHECK_MARK);
        assertThat(due.reasons().getFirst().fact().toString()).contains("wear off", "superseded");
        assertThat(lives.on(52, new QueenEvent.Marked(Optional.of(YearColour.WHITE), "7")).outlookOn(52).due())
                .isEmpty();
    }
}
