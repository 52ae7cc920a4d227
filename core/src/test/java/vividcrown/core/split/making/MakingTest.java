package vividcrown.core.split.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.Faults;
import vividcrown.core.split.Due;
import vividcrown.core.split.Place;
import vividcrown.core.split.SplitPlan.Filled;
import vividcrown.core.split.making.Making.Gate;
import vividcrown.core.split.making.SplitDeed.How;
import vividcrown.core.split.making.SplitSheet.Comes;
import vividcrown.core.split.making.SplitSheet.Giver;
import vividcrown.core.split.making.SplitSheet.Hangs;
import vividcrown.core.split.making.SplitSheet.NewHive;
import vividcrown.core.split.making.SplitSheet.Shake;
import vividcrown.core.split.recipe.Gets;
import vividcrown.core.split.recipe.RecipeKind;
import vividcrown.core.split.recipe.SplitRecipe.Target;
import vividcrown.core.time.DatedSpan;

/** Gates of the trade: no comb and no bee leaves a hive before its queen was seen to stay, or was looked for (common practice). */
class MakingTest {

    private static final LocalDate JUN_8 = LocalDate.of(2026, 6, 8);
    private static final UUID SPLIT = new UUID(0, 1);
    private static final Giver H_1 = new Giver(new UUID(1, 1), "H 1", List.of());
    private static final Giver H_2 = new Giver(new UUID(1, 2), "H 2", List.of());
    private static final String FIND_H1 = "find H 1";

    private static Hangs comb(int slot, Giver from, int at) {
        return new Hangs(slot, Filled.A_FRAME,
                Optional.of(new Comes(new UUID(at, from.hive().getLeastSignificantBits()), from.hive(), new UUID(5, 5),
                        new FrameAt(1, at), Set.of())));
    }

    private static final NewHive N_1 = new NewHive(new UUID(2, 1), new UUID(3, 1), "N 1", 7, 5,
            List.of(comb(1, H_1, 4), comb(2, H_2, 5), new Hangs(3, Filled.DRAWN, Optional.empty())),
            List.of(new Shake(H_1.hive(), 1, false), new Shake(H_2.hive(), 1, true)), 1, new Target(0.6, 2.2),
            List.of(new Due(Due.Work.OPEN, DatedSpan.on(JUN_8)),
                    new Due(Due.Work.GIVE_CELL, DatedSpan.on(JUN_8.plusDays(1))),
                    new Due(Due.Work.HANDS_OFF, DatedSpan.on(JUN_8.plusDays(6))),
                    new Due(Due.Work.COUNT_OUTSIDE, DatedSpan.on(JUN_8.plusDays(10)))));

    private static SplitSheet sheet(Gets gets, NewHive... units) {
        return new SplitSheet(RecipeKind.CELL_NUC, gets, Place.AWAY, JUN_8, new UUID(4, 1), "Dadant", List.of(H_1, H_2),
                List.of(units));
    }

    private final List<Entry> record = new ArrayList<>();

    private Making made(Gets gets, Object... stepsAndHow) {
        record.clear();
        note(new SplitDeed.Begun(SPLIT, sheet(gets, N_1)));
        for (int at = 0; at < stepsAndHow.length; at += 2) {
            note(new SplitDeed.StepDone(SPLIT, (String) stepsAndHow[at], (How) stepsAndHow[at + 1]));
        }
        return Making.fold(record).orElseThrow();
    }

    private void note(Deed deed) {
        record.add(new Entry(new UUID(9, record.size()), JUN_8, record.size(), deed));
    }

    private static Gate gate(Making making, String key) {
        return gate(making, key, JUN_8);
    }

    private static Gate gate(Making making, String key, LocalDate day) {
        return making.gate(step(making, key), day);
    }

    /** Done the day after. */
    private Making nextDay(Object... stepsAndHow) {
        for (int at = 0; at < stepsAndHow.length; at += 2) {
            record.add(new Entry(new UUID(9, record.size()), JUN_8.plusDays(1), record.size(),
                    new SplitDeed.StepDone(SPLIT, (String) stepsAndHow[at], (How) stepsAndHow[at + 1])));
        }
        return Making.fold(record).orElseThrow();
    }

    private static MakingStep step(Making making, String key) {
        return MakingStep.of(making.sheet()).stream().filter(one -> one.key().equals(key)).findFirst().orElseThrow();
    }

    @Test
    void boxes_first_then_hive_by_hive_each_with_its_queen_first_then_what_a_unit_gets() {
        assertThat(MakingStep.of(sheet(Gets.RIPE_CELL, N_1))).extracting(MakingStep::key).containsExactly("set-up N 1",
                FIND_H1, "frame H 1 4", "shake H 1 N 1", "close H 1", "find H 2", "frame H 2 5", "shake H 2 N 1",
                "close H 2", "comb N 1", "load", "open N 1");
    }

    @Test
    void nothing_leaves_a_hive_before_somebody_looked_for_its_queen() {
        Making making = made(Gets.RIPE_CELL);
        assertThat(gate(making, "frame H 1 4")).isEqualTo(Gate.FIND_HER_FIRST);
        assertThat(gate(making, "shake H 1 N 1")).isEqualTo(Gate.FIND_HER_FIRST);
        // above an excluder she cannot be
        assertThat(gate(making, "shake H 2 N 1")).isEqualTo(Gate.OPEN);
    }

    @Test
    void a_queen_seen_to_stay_in_one_hive_opens_that_hive_and_no_other() {
        Making making = made(Gets.RIPE_CELL, FIND_H1, How.SEEN_STAYS);
        assertThat(gate(making, "frame H 1 4")).isEqualTo(Gate.OPEN);
        assertThat(gate(making, "shake H 1 N 1")).isEqualTo(Gate.OPEN);
        assertThat(gate(making, "frame H 2 5")).isEqualTo(Gate.FIND_HER_FIRST);
        assertThat(making.ahead(H_1)).isEmpty();
    }

    @Test
    void not_found_each_frame_is_searched_and_no_bees_are_shaken_from_where_she_may_be() {
        Making making = made(Gets.RIPE_CELL, FIND_H1, How.NOT_FOUND);
        assertThat(gate(making, "frame H 1 4")).isEqualTo(Gate.SEARCH_BOTH_SIDES);
        assertThat(gate(making, "shake H 1 N 1")).isEqualTo(Gate.NOT_FROM_THESE);
        assertThat(made(Gets.RIPE_CELL, FIND_H1, How.NOT_FOUND, "frame H 1 4", How.SEARCHED, "shake H 1 N 1",
                How.SEARCHED).contradictions()).isEmpty();
        assertThat(made(Gets.RIPE_CELL, FIND_H1, How.NOT_FOUND, "shake H 1 N 1", How.DONE).contradictions())
                .hasSize(1);
    }

    @Test
    void passing_a_gate_is_kept_and_said() {
        assertThat(made(Gets.RIPE_CELL, "frame H 1 4", How.DONE).contradictions()).singleElement()
                .satisfies(clash -> assertThat(clash.clash().toString()).contains("looked for the queen"));
        // leaving a frame where it is needs no gate
        assertThat(made(Gets.RIPE_CELL, "frame H 1 4", How.LEFT).contradictions()).isEmpty();
    }

    @Test
    void a_frame_that_went_unsearched_may_have_her_and_is_looked_into_until_she_is_seen_elsewhere() {
        Making making = made(Gets.RIPE_CELL, "set-up N 1", How.DONE, FIND_H1, How.NOT_FOUND, "frame H 1 4",
                How.UNSEARCHED);
        assertThat(making.mayHoldHer(N_1)).isTrue();
        assertThat(making.contradictions()).isEmpty();
        // a queen cannot hide longer than her eggs take to hatch: day 3–5
        assertThat(making.ahead(N_1)).filteredOn(due -> due.work() == Due.Work.MAY_HOLD_HER).singleElement()
                .satisfies(due -> assertThat(due.when().likely()).isEqualTo(JUN_8.plusDays(4)));
        assertThat(made(Gets.RIPE_CELL, "set-up N 1", How.DONE, FIND_H1, How.NOT_FOUND, "frame H 1 4",
                How.UNSEARCHED, FIND_H1, How.SEEN_STAYS).mayHoldHer(N_1)).isFalse();
        // another frame than the planned one was taken, and nobody said that it was searched
        assertThat(made(Gets.RIPE_CELL, FIND_H1, How.NOT_FOUND, "frame H 1 4", How.OTHERWISE).mayHoldHer(N_1)).isTrue();
    }

    @Test
    void a_gate_passed_over_and_a_word_taken_back_leave_a_unit_that_may_hold_her() {
        assertThat(made(Gets.RIPE_CELL, "set-up N 1", How.DONE, "frame H 1 4", How.DONE).mayHoldHer(N_1)).isTrue();
        Making mistaken = made(Gets.RIPE_CELL, "set-up N 1", How.DONE, FIND_H1, How.SEEN_STAYS, "frame H 1 4", How.DONE,
                FIND_H1, How.NOT_FOUND);
        assertThat(mistaken.mayHoldHer(N_1)).isTrue();
        assertThat(mistaken.ahead(N_1)).extracting(Due::work).doesNotContain(Due.Work.GIVE_CELL);
        assertThat(made(Gets.RIPE_CELL, "set-up N 1", How.DONE, FIND_H1, How.NOT_FOUND, "frame H 1 4", How.SEARCHED)
                .mayHoldHer(N_1)).isFalse();
    }

    /** A cell or a queen given beside a laying queen is lost, or she is: nothing is given before the look (common practice). */
    @Test
    void nothing_is_given_to_a_unit_that_may_hold_a_queen_before_the_look_and_all_of_it_begins_with_the_look() {
        Making waits = made(Gets.RIPE_CELL, "set-up N 1", How.DONE, FIND_H1, How.NOT_FOUND, "frame H 1 4",
                How.UNSEARCHED);
        assertThat(waits.ahead(N_1)).extracting(Due::work).containsExactly(Due.Work.MAY_HOLD_HER,
                Due.Work.COUNT_OUTSIDE);
        record.add(new Entry(new UUID(9, 90), JUN_8.plusDays(4), 90,
                new SplitDeed.StepDone(SPLIT, "may-hold-her N 1", How.NOT_FOUND)));
        assertThat(Making.fold(record).orElseThrow().ahead(N_1)).filteredOn(due -> due.work() == Due.Work.GIVE_CELL)
                .singleElement().satisfies(due -> assertThat(due.when().likely()).isEqualTo(JUN_8.plusDays(5)));
        record.removeLast();
        record.add(new Entry(new UUID(9, 91), JUN_8.plusDays(4), 91,
                new SplitDeed.StepDone(SPLIT, "may-hold-her N 1", How.SEEN_STAYS)));
        assertThat(Making.fold(record).orElseThrow().ahead(N_1)).extracting(Due::work)
                .containsExactly(Due.Work.COUNT_OUTSIDE);
    }

    @Test
    void her_fresh_eggs_in_the_hive_that_gave_say_that_she_is_in_no_unit() {
        Making making = made(Gets.RIPE_CELL, "set-up N 1", How.DONE, FIND_H1, How.NOT_FOUND, "frame H 1 4",
                How.UNSEARCHED, "close H 1", How.DONE, "still-there H 1", How.SEEN_STAYS);
        assertThat(making.mayHoldHer(N_1)).isFalse();
        assertThat(making.ahead(N_1)).extracting(Due::work).contains(Due.Work.GIVE_CELL);
    }

    /** The frame that was set aside is back in the hive, and she walks; in a cage she stays where she was put. */
    @Test
    void a_queen_seen_yesterday_is_looked_for_again_before_more_leaves_and_a_caged_one_is_not() {
        Making seen = made(Gets.RIPE_CELL, FIND_H1, How.SEEN_STAYS, "frame H 1 4", How.DONE);
        LocalDate next = JUN_8.plusDays(1);
        assertThat(gate(seen, "shake H 1 N 1", next)).isEqualTo(Gate.FIND_HER_FIRST);
        assertThat(seen.standing(step(seen, FIND_H1), JUN_8)).isPresent();
        assertThat(seen.standing(step(seen, FIND_H1), next)).isEmpty();
        Making caged = made(Gets.RIPE_CELL, FIND_H1, How.IN_HAND);
        assertThat(gate(caged, "frame H 1 4", next)).isEqualTo(Gate.OPEN);
    }

    @Test
    void what_left_the_day_after_she_was_seen_may_have_taken_her_along_and_what_left_that_day_did_not() {
        made(Gets.RIPE_CELL, "set-up N 1", How.DONE, FIND_H1, How.SEEN_STAYS, "frame H 1 4", How.DONE);
        Making later = nextDay("shake H 1 N 1", How.DONE, "close H 1", How.DONE);
        assertThat(later.contradictions()).hasSize(1);
        assertThat(later.mayHoldHer(N_1)).isTrue();
        assertThat(later.ahead(H_1)).isPresent();
        assertThat(later.ahead(N_1)).extracting(Due::work).doesNotContain(Due.Work.GIVE_CELL);
        // nothing else leaves: what was seen stands, and was in the past
        made(Gets.RIPE_CELL, "set-up N 1", How.DONE, FIND_H1, How.SEEN_STAYS, "frame H 1 4", How.DONE);
        Making left = nextDay("shake H 1 N 1", How.LEFT, "close H 1", How.DONE);
        assertThat(left.mayHoldHer(N_1)).isFalse();
        assertThat(left.ahead(H_1)).isEmpty();
        assertThat(left.standing(step(left, FIND_H1), JUN_8.plusDays(1))).isPresent();
    }

    @Test
    void a_look_in_vain_takes_back_what_was_seen_that_day_and_not_what_was_seen_the_day_before() {
        made(Gets.RIPE_CELL, "set-up N 1", How.DONE, FIND_H1, How.SEEN_STAYS, "frame H 1 4", How.DONE);
        assertThat(nextDay(FIND_H1, How.NOT_FOUND, "shake H 1 N 1", How.LEFT).mayHoldHer(N_1)).isFalse();
        made(Gets.RIPE_CELL, "set-up N 1", How.DONE, FIND_H1, How.SEEN_STAYS, "frame H 1 4", How.DONE, FIND_H1,
                How.NOT_FOUND);
        assertThat(Making.fold(record).orElseThrow().mayHoldHer(N_1)).isTrue();
    }

    /** Written down in the evening, or by a phone that was without a signal. */
    @Test
    void a_look_of_yesterday_that_is_written_down_late_takes_nothing_from_the_look_of_today() {
        made(Gets.RIPE_CELL, "set-up N 1", How.DONE);
        nextDay(FIND_H1, How.SEEN_STAYS, "frame H 1 4", How.DONE);
        note(new SplitDeed.StepDone(SPLIT, FIND_H1, How.NOT_FOUND));
        assertThat(Making.fold(record).orElseThrow().mayHoldHer(N_1)).isFalse();
        record.removeLast();
        note(new SplitDeed.StepDone(SPLIT, FIND_H1, How.SEEN_STAYS));
        Making late = Making.fold(record).orElseThrow();
        assertThat(late.mayHoldHer(N_1)).isFalse();
        assertThat(gate(late, "shake H 1 N 1", JUN_8.plusDays(1))).isEqualTo(Gate.OPEN);
    }

    @Test
    void where_the_old_queen_goes_along_she_is_in_hand_before_anything_else_moves() {
        assertThat(gate(made(Gets.THE_OLD_QUEEN, FIND_H1, How.NOT_FOUND), "frame H 1 4"))
                .isEqualTo(Gate.TAKE_HER_FIRST);
        assertThat(gate(made(Gets.THE_OLD_QUEEN, FIND_H1, How.SEEN_STAYS), "frame H 1 4"))
                .isEqualTo(Gate.TAKE_HER_FIRST);
        Making making = made(Gets.THE_OLD_QUEEN, FIND_H1, How.IN_HAND);
        assertThat(gate(making, "frame H 1 4")).isEqualTo(Gate.OPEN);
        assertThat(making.mayHoldHer(N_1)).isFalse();
    }

    @Test
    void a_hive_whose_queen_nobody_saw_is_looked_at_for_her_eggs_once_it_is_closed() {
        assertThat(made(Gets.RIPE_CELL, FIND_H1, How.NOT_FOUND).ahead(H_1)).isEmpty();
        Making closed = made(Gets.RIPE_CELL, FIND_H1, How.NOT_FOUND, "close H 1", How.DONE);
        assertThat(closed.ahead(H_1).orElseThrow().when().likely()).isEqualTo(JUN_8.plusDays(4));
        assertThat(made(Gets.RIPE_CELL, FIND_H1, How.NOT_FOUND, "close H 1", How.DONE, "still-there H 1", How.DONE)
                .ahead(H_1)).isEmpty();
    }

    @Test
    void made_two_days_late_everything_at_the_unit_is_two_days_later() {
        record.clear();
        note(new SplitDeed.Begun(SPLIT, sheet(Gets.RIPE_CELL, N_1)));
        record.add(new Entry(new UUID(9, 9), JUN_8.plusDays(2), 9,
                new SplitDeed.StepDone(SPLIT, "set-up N 1", How.DONE)));
        Making making = Making.fold(record).orElseThrow();
        assertThat(making.ahead(N_1)).extracting(Due::work).containsExactly(Due.Work.GIVE_CELL,
                Due.Work.COUNT_OUTSIDE);
        assertThat(making.ahead(N_1)).extracting(due -> due.when().likely()).containsExactly(JUN_8.plusDays(3),
                JUN_8.plusDays(12));
    }

    @Test
    void a_unit_that_was_never_made_stands_nowhere_and_the_split_is_made_once_each_step_was_done_or_left() {
        assertThat(made(Gets.RIPE_CELL, "set-up N 1", How.LEFT).stands(N_1)).isFalse();
        List<Object> all = new ArrayList<>();
        MakingStep.of(sheet(Gets.RIPE_CELL, N_1)).forEach(step -> all.addAll(List.of(step.key(), How.LEFT)));
        assertThat(made(Gets.RIPE_CELL, all.toArray()).isMade()).isTrue();
        assertThat(made(Gets.RIPE_CELL, all.subList(2, all.size()).toArray()).isMade()).isFalse();
    }

    @Test
    void a_beginning_that_was_withdrawn_leaves_no_split_whatever_was_said_of_its_steps() {
        record.clear();
        note(new SplitDeed.StepDone(SPLIT, FIND_H1, How.SEEN_STAYS));
        assertThat(Making.fold(record)).isEmpty();
    }

    @Test
    void a_frame_cannot_go_twice_and_two_units_cannot_bear_one_name() {
        assertThatThrownBy(() -> sheet(Gets.RIPE_CELL, N_1, N_1)).isInstanceOf(Faults.Found.class)
                .hasMessageContaining("Two units are called N 1").hasMessageContaining("goes into two units");
        assertThatThrownBy(() -> new SplitSheet(RecipeKind.CELL_NUC, Gets.RIPE_CELL, Place.AWAY, JUN_8, new UUID(4, 1),
                "Dadant", List.of(H_1), List.of(N_1))).hasMessageContaining("hive that gives nothing");
    }
}
