package vividcrown.core.split.moving;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.Faults;
import vividcrown.core.split.SplitPlan.Filled;
import vividcrown.core.split.UnitePlan;
import vividcrown.core.split.making.Making.Gate;
import vividcrown.core.split.making.SplitDeed;
import vividcrown.core.split.making.SplitDeed.How;
import vividcrown.core.split.moving.MoveSheet.Act;
import vividcrown.core.split.moving.MoveSheet.Gift;
import vividcrown.core.split.moving.MoveSheet.Goes;
import vividcrown.core.split.moving.MoveSheet.Stand;
import vividcrown.core.split.moving.MoveSheet.Union;
import vividcrown.core.split.moving.Moving.After;

/**
 * Strength that is moved never carries a queen along unseen, and two hives become one only when the poorer queen is out or the better
 * one's door is guarded (common practice).
 */
class MovingTest {

    private static final LocalDate JUN_8 = LocalDate.of(2026, 6, 8);
    private static final UUID SHEET = new UUID(0, 1);
    private static final Stand STRONG = new Stand(new UUID(1, 1), "H 1", Filled.DRAWN);
    private static final Stand WEAK = new Stand(new UUID(1, 2), "N 1", Filled.FOUNDATION);
    private static final Gift FRAME = new Gift(STRONG.hive(), WEAK.hive(),
            Optional.of(new Goes(new UUID(2, 1), new UUID(3, 1), new FrameAt(1, 4), new UUID(3, 2), 3,
                    Optional.empty(), Set.of())),
            1.5, false);
    private static final Gift SHAKE = new Gift(STRONG.hive(), WEAK.hive(), Optional.empty(), 0.8, false);
    private static final Gift SHAKE_ABOVE = new Gift(STRONG.hive(), WEAK.hive(), Optional.empty(), 0.8, true);

    private static MoveSheet sheet(Act act, Gift... gifts) {
        return new MoveSheet(act, JUN_8, List.of(STRONG, WEAK), List.of(gifts), Optional.empty());
    }

    private static MoveSheet union(UnitePlan.How how, boolean takesPlace) {
        return new MoveSheet(Act.UNITE, JUN_8, List.of(STRONG, WEAK), List.of(),
                Optional.of(new Union(STRONG.hive(), WEAK.hive(), how, takesPlace)));
    }

    private static Moving moved(MoveSheet sheet, Object... stepsAndHow) {
        List<Entry> record = new ArrayList<>();
        note(record, new SplitDeed.MovesBegun(SHEET, sheet));
        for (int at = 0; at < stepsAndHow.length; at += 2) {
            note(record, new SplitDeed.StepDone(SHEET, (String) stepsAndHow[at], (How) stepsAndHow[at + 1]));
        }
        return Moving.fold(record).orElseThrow();
    }

    private static void note(List<Entry> record, Deed deed) {
        record.add(new Entry(new UUID(9, record.size()), JUN_8, record.size(), deed));
    }

    private static Gate gate(Moving moving, String key) {
        return moving.gate(moving.step(key).orElseThrow(), JUN_8);
    }

    @Test
    void nothing_leaves_before_the_queen_was_looked_for() {
        MoveSheet sheet = sheet(Act.EQUALISE, FRAME, SHAKE);
        assertThat(gate(moved(sheet), "frame H 1 4")).isEqualTo(Gate.FIND_HER_FIRST);
        assertThat(moved(sheet, "frame H 1 4", How.DONE).contradictions()).hasSize(1);
        Moving seen = moved(sheet, "find H 1", How.SEEN_STAYS, "frame H 1 4", How.DONE);
        assertThat(seen.contradictions()).isEmpty();
        assertThat(seen.ahead()).extracting(Moving.Look::after).containsExactly(After.COUNT);
    }

    @Test
    void not_found_a_frame_is_searched_and_no_bee_is_shaken_off_it() {
        Moving not = moved(sheet(Act.EQUALISE, FRAME, SHAKE), "find H 1", How.NOT_FOUND);
        assertThat(gate(not, "frame H 1 4")).isEqualTo(Gate.SEARCH_BOTH_SIDES);
        assertThat(gate(not, "shake H 1 N 1")).isEqualTo(Gate.NOT_FROM_THESE);
        assertThat(gate(moved(sheet(Act.BOOST_WITH_BEES, SHAKE_ABOVE)), "shake H 1 N 1")).isEqualTo(Gate.OPEN);
    }

    @Test
    void what_went_unsearched_may_have_brought_a_second_queen_and_both_hives_are_looked_at() {
        Moving moving = moved(sheet(Act.BOOST, FRAME), "find H 1", How.NOT_FOUND, "frame H 1 4", How.UNSEARCHED);
        assertThat(moving.mayHoldTwo(WEAK)).isTrue();
        assertThat(moving.ahead()).extracting(Moving.Look::after).startsWith(After.TWO_QUEENS)
                .contains(After.STILL_THERE, After.QUEEN, After.EMERGED);
        Moving found = moved(sheet(Act.BOOST, FRAME), "find H 1", How.NOT_FOUND, "frame H 1 4", How.UNSEARCHED,
                "still-there H 1", How.SEEN_STAYS);
        assertThat(found.mayHoldTwo(WEAK)).isFalse();
    }

    /** The frame that was set aside is back in the hive, and she walks. */
    @Test
    void a_queen_seen_yesterday_is_looked_for_again_before_more_leaves() {
        LocalDate next = JUN_8.plusDays(1);
        Moving seen = moved(sheet(Act.EQUALISE, FRAME, SHAKE), "find H 1", How.SEEN_STAYS, "frame H 1 4", How.DONE);
        MoveStep shake = seen.step("shake H 1 N 1").orElseThrow();
        assertThat(seen.gate(shake, next)).isEqualTo(Gate.FIND_HER_FIRST);
        assertThat(seen.standing(seen.step("find H 1").orElseThrow(), next)).isEmpty();
        assertThat(seen.mayHoldTwo(WEAK)).isFalse();
        List<Entry> record = new ArrayList<>();
        note(record, new SplitDeed.MovesBegun(SHEET, sheet(Act.EQUALISE, FRAME, SHAKE)));
        note(record, new SplitDeed.StepDone(SHEET, "find H 1", How.SEEN_STAYS));
        record.add(new Entry(new UUID(9, 9), next, 9, new SplitDeed.StepDone(SHEET, shake.key(), How.DONE)));
        assertThat(Moving.fold(record).orElseThrow().mayHoldTwo(WEAK)).isTrue();
    }

    @Test
    void searched_frames_bring_nobody_and_what_was_left_is_not_followed() {
        Moving searched = moved(sheet(Act.BOOST, FRAME), "find H 1", How.NOT_FOUND, "frame H 1 4", How.SEARCHED);
        assertThat(searched.mayHoldTwo(WEAK)).isFalse();
        assertThat(moved(sheet(Act.BOOST, FRAME), "frame H 1 4", How.LEFT).ahead()).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(value = UnitePlan.How.class, names = {"PAPER", "NUC_INTO_HIVE"})
    void box_comes_to_box_only_when_the_poorer_queen_is_out(UnitePlan.How how) {
        MoveSheet sheet = union(how, false);
        assertThat(gate(moved(sheet), "join N 1")).isEqualTo(Gate.NO_QUEEN_FIRST);
        assertThat(gate(moved(sheet, "take-out N 1", How.NOT_FOUND), "join N 1")).isEqualTo(Gate.NO_QUEEN_FIRST);
        for (How out : List.of(How.KILLED, How.IN_HAND, How.SEARCHED)) {
            Moving moving = moved(sheet, "take-out N 1", out, "join N 1", How.DONE);
            assertThat(moving.contradictions()).isEmpty();
            assertThat(moving.ahead()).extracting(Moving.Look::after).containsExactly(After.PAPER, After.HER_EGGS);
        }
    }

    @Test
    void a_shake_out_wants_the_door_guarded_and_the_guard_taken_away_again() {
        MoveSheet sheet = union(UnitePlan.How.SHAKE_OUT_GUARDED, false);
        assertThat(gate(moved(sheet), "join N 1")).isEqualTo(Gate.GUARD_FIRST);
        Moving moving = moved(sheet, "guard H 1", How.DONE, "join N 1", How.DONE);
        assertThat(moving.contradictions()).isEmpty();
        assertThat(moving.ahead()).extracting(Moving.Look::after)
                .containsExactly(After.ALL_IN, After.GUARD_OFF, After.HER_EGGS);
        assertThat(gate(moved(union(UnitePlan.How.SHAKE_OUT_FAR, true)), "join N 1")).isEqualTo(Gate.OPEN);
    }

    @Test
    void looks_are_counted_from_the_day_on_which_it_was_done() {
        Moving moving = moved(sheet(Act.BOOST, FRAME), "find H 1", How.SEEN_STAYS, "frame H 1 4", How.DONE);
        assertThat(moving.ahead().getFirst().when().earliest()).isEqualTo(JUN_8.plusDays(2));
        assertThat(moving.ahead().getLast().when().latest()).isEqualTo(JUN_8.plusDays(14));
    }

    @Test
    void a_sheet_that_cannot_be_says_all_that_is_wrong() {
        assertThatThrownBy(() -> new MoveSheet(Act.EQUALISE, JUN_8, List.of(STRONG),
                List.of(FRAME, FRAME, new Gift(STRONG.hive(), STRONG.hive(), Optional.empty(), 1, false)),
                Optional.empty())).isInstanceOfSatisfying(Faults.Found.class,
                        found -> assertThat(found.all()).extracting(one -> one.key()).contains("fault.moves.noSuchHive",
                                "fault.moves.toItself", "fault.moves.frameTwice"));
        assertThatThrownBy(() -> sheet(Act.BOOST)).isInstanceOf(Faults.Found.class);
    }
}
