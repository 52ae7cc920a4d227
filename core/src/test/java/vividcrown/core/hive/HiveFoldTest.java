package vividcrown.core.hive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static vividcrown.core.hive.Deeds.MAY_1;
import static vividcrown.core.hive.Deeds.ONE;
import static vividcrown.core.hive.Deeds.TWO;
import static vividcrown.core.hive.Deeds.YARD;
import static vividcrown.core.hive.Deeds.at;
import static vividcrown.core.hive.Deeds.box;
import static vividcrown.core.hive.Deeds.everyFrame;
import static vividcrown.core.hive.Deeds.moved;
import static vividcrown.core.hive.Deeds.saw;
import static vividcrown.core.hive.Deeds.setUp;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Faults;
import vividcrown.core.reading.Sign;
import vividcrown.core.time.DatedSpan;

class HiveFoldTest {

    private static HiveState state(Deeds deeds) {
        return HiveFold.fold(ONE, deeds.of(ONE)).state().orElseThrow();
    }

    private static List<String> clashes(Deeds deeds) {
        return HiveFold.fold(ONE, deeds.of(ONE)).contradictions().stream().map(Contradiction::clash)
                .map(clash -> clash.key()).toList();
    }

    @Test
    void a_nuc_that_grows_becomes_a_production_hive_in_another_yard_and_stays_the_same_hive() {
        UUID home = new UUID(0, 2);
        Deeds deeds = Deeds.ofThreeHives().on(20, new HiveDeed.Repurposed(ONE, Purpose.BUILDER))
                .on(21, new HiveDeed.Moved(ONE, home, 7)).on(22, new HiveDeed.Renamed(ONE, "B 1"));
        HiveState state = state(deeds);
        assertThat(state.purpose()).isEqualTo(Purpose.BUILDER);
        assertThat(state.yard()).isEqualTo(home).isNotEqualTo(YARD);
        assertThat(state.position()).isEqualTo(7);
        assertThat(state.code()).isEqualTo("B 1");
        assertThat(state.setUp()).isEqualTo(MAY_1);
        assertThat(clashes(deeds)).isEmpty();
    }

    @Test
    void boxes_go_on_at_their_level_and_come_off() {
        Box excluder = new Box(new UUID(3, 1), BoxKind.EXCLUDER, "", 0, 0);
        Box honey = new Box(new UUID(3, 2), BoxKind.HONEY, "Dadant", 10, 9);
        Deeds deeds = Deeds.ofThreeHives().on(5, new HiveDeed.BoxPutOn(ONE, honey, 2))
                .on(6, new HiveDeed.BoxPutOn(ONE, excluder, 2));
        assertThat(state(deeds).stack()).extracting(Box::id).containsExactly(box(ONE).id(), excluder.id(), honey.id());
        deeds.on(40, new HiveDeed.BoxTakenOff(ONE, honey.id(), "barn"));
        assertThat(state(deeds).stack()).extracting(Box::id).containsExactly(box(ONE).id(), excluder.id());
        assertThat(BoxFold.fold(honey.id(), deeds.of(honey.id())).standing().orElseThrow().where())
                .isEqualTo(new BoxFold.Where.InStore("barn"));
        deeds.on(41, new HiveDeed.BoxTakenOff(ONE, honey.id(), "barn"));
        assertThat(clashes(deeds)).containsExactly("clash.boxNotHere");
    }

    @Test
    void whatever_is_said_of_a_hive_after_its_end_is_asked_about_and_kept() {
        Deeds deeds = Deeds.ofThreeHives()
                .on(30, new HiveDeed.Ended(ONE, HiveEnd.UNITED, List.of(box(ONE).id()), "barn"))
                .on(31, saw(ONE, Sign.EGGS));
        assertThat(clashes(deeds)).containsExactly("clash.hiveEnded");
        assertThat(state(deeds).end().orElseThrow().why()).isEqualTo(HiveEnd.UNITED);
        assertThat(state(deeds).stack()).isEmpty();
        assertThat(state(deeds).lastRead()).contains(MAY_1.plusDays(31));
    }

    @Test
    void what_is_recorded_late_comes_in_where_it_happened() {
        Deeds deeds = Deeds.ofThreeHives()
                .on(30, new HiveDeed.Ended(ONE, HiveEnd.SOLD, List.of(box(ONE).id()), "barn"))
                .on(12, saw(ONE, Sign.EGGS));
        assertThat(clashes(deeds)).isEmpty();
    }

    @Test
    void a_second_set_up_is_flagged_and_changes_nothing() {
        Deeds deeds = new Deeds().on(0, setUp(ONE)).on(3, new HiveDeed.SetUp(ONE, YARD, "other", 9, Purpose.NUC,
                List.of(box(ONE))));
        assertThat(clashes(deeds)).containsExactly("clash.setUpTwice");
        assertThat(state(deeds).code()).isEqualTo("H 11");
    }

    /** Combs of a suspect hive stay where they are. Common practice. */
    @Test
    void no_frame_leaves_after_signs_of_disease_until_a_reading_without_them() {
        UUID frame = box(ONE).frame(4);
        Deeds deeds = Deeds.ofThreeHives().on(9, saw(ONE, Sign.CAPS_SUNKEN))
                .on(10, moved(frame, at(ONE, 4), at(TWO, 4)));
        assertThat(clashes(deeds)).containsExactly("clash.diseaseSeen");
        Deeds healthy = Deeds.ofThreeHives().on(9, saw(ONE, Sign.CAPS_SUNKEN))
                .on(10, everyFrame(ONE, Sign.SEALED_WORKER_SOLID))
                .on(11, moved(frame, at(ONE, 4), at(TWO, 4)));
        assertThat(clashes(healthy)).isEmpty();
        Deeds within = Deeds.ofThreeHives().on(9, saw(ONE, Sign.CAPS_SUNKEN))
                .on(10, new HiveDeed.FramesMoved(List.of(new FrameMove(frame, at(ONE, 4), at(ONE, 5), Set.of()),
                        new FrameMove(box(ONE).frame(5), at(ONE, 5), at(ONE, 4), Set.of()))));
        assertThat(clashes(within)).as("two that change places in it").isEmpty();
    }

    /** Sealed brood in the other box says nothing of the comb with the signs; nor does a hive without brood. Common practice. */
    @Test
    void a_look_at_part_of_the_hive_or_at_no_brood_opens_no_gate() {
        UUID frame = box(ONE).frame(4);
        for (HiveDeed.Read look : List.of(saw(ONE, Sign.SEALED_WORKER_SOLID), everyFrame(ONE, Sign.EGGS))) {
            assertThat(clashes(Deeds.ofThreeHives().on(9, saw(ONE, Sign.CAPS_SUNKEN)).on(12, look)
                    .on(13, moved(frame, at(ONE, 4), at(TWO, 4))))).containsExactly("clash.diseaseSeen");
        }
    }

    /** A quick look at eggs does not take a suspicion away. Common practice. */
    @Test
    void a_look_that_did_not_reach_the_sealed_brood_opens_no_gate() {
        UUID frame = box(ONE).frame(4);
        Deeds deeds = Deeds.ofThreeHives().on(9, saw(ONE, Sign.ROPY)).on(12, saw(ONE, Sign.EGGS, Sign.QUEEN))
                .on(13, moved(frame, at(ONE, 4), at(TWO, 4)));
        assertThat(clashes(deeds)).containsExactly("clash.diseaseSeen");
    }

    /** Neither a box of combs nor the combs of a hive that ends go from a suspect hive into the store. Common practice. */
    @Test
    void no_box_of_combs_leaves_a_suspect_hive_either() {
        Box honey = new Box(new UUID(3, 2), BoxKind.HONEY, "Dadant", 10, 9);
        Deeds off = Deeds.ofThreeHives().on(2, new HiveDeed.BoxPutOn(ONE, honey, 2)).on(9, saw(ONE, Sign.CAPS_SUNKEN))
                .on(10, new HiveDeed.BoxTakenOff(ONE, honey.id(), "barn"));
        assertThat(clashes(off)).containsExactly("clash.diseaseSeen");
        Deeds ended = Deeds.ofThreeHives().on(9, saw(ONE, Sign.CAPS_SUNKEN))
                .on(10, new HiveDeed.Ended(ONE, HiveEnd.DIED_OUT, List.of(box(ONE).id()), "barn"));
        assertThat(clashes(ended)).containsExactly("clash.diseaseSeen");
    }

    @Test
    void a_comb_with_signs_on_it_goes_nowhere_but_away() {
        UUID frame = box(ONE).frame(4);
        assertThat(
                clashes(Deeds.ofThreeHives().on(9, moved(frame, at(ONE, 4), new Spot.InStock("freezer"), Sign.ROPY))))
                .containsExactly("clash.diseaseOnFrame");
        assertThat(
                clashes(Deeds.ofThreeHives().on(9, moved(frame, new Spot.InStock("freezer"), at(ONE, 4), Sign.ROPY))))
                .containsExactly("clash.diseaseOnFrame");
        assertThat(clashes(Deeds.ofThreeHives().on(9, moved(frame, at(ONE, 4), new Spot.Away(), Sign.ROPY)))).isEmpty();
    }

    @Test
    void what_happened_before_the_hive_was_there_is_asked_about() {
        Deeds deeds = new Deeds().on(5, setUp(ONE)).on(3, saw(ONE, Sign.EGGS));
        assertThat(clashes(deeds)).containsExactly("clash.beforeSetUp");
        assertThat(state(deeds).lastRead()).contains(MAY_1.plusDays(3));
    }

    @Test
    void a_hive_that_ends_says_what_became_of_each_of_its_boxes() {
        Deeds deeds = Deeds.ofThreeHives().on(9, new HiveDeed.Ended(ONE, HiveEnd.EMPTIED, List.of(), "barn"));
        assertThat(clashes(deeds)).containsExactly("clash.otherBoxes");
    }

    @Test
    void a_box_from_the_store_makes_up_another_hive_and_brings_its_combs_as_they_are() {
        UUID nuc = new UUID(0, 14);
        UUID taken = box(ONE).frame(4);
        Deeds deeds = Deeds.ofThreeHives().on(5, moved(taken, at(ONE, 4), at(TWO, 1)))
                .on(9, new HiveDeed.Ended(ONE, HiveEnd.EMPTIED, List.of(box(ONE).id()), "barn"))
                .on(20, new HiveDeed.SetUp(nuc, YARD, "N 1", 1, Purpose.NUC, List.of(box(ONE))));
        BoxFold.Folded folded = BoxFold.fold(box(ONE).id(), deeds.of(box(ONE).id()));
        assertThat(folded.standing().orElseThrow().where()).isEqualTo(new BoxFold.Where.OnHive(nuc));
        assertThat(folded.contradictions()).isEmpty();
        FrameFold.Folded frame = FrameFold.fold(taken, deeds.of(taken));
        assertThat(frame.last().orElseThrow().place()).as("it hangs where it was moved").isEqualTo(at(TWO, 1).place());
        assertThat(frame.contradictions()).isEmpty();
    }

    @Test
    void a_box_cannot_stand_on_two_hives() {
        Deeds deeds = Deeds.ofThreeHives().on(5, new HiveDeed.BoxPutOn(TWO, box(ONE), 2));
        assertThat(BoxFold.fold(box(ONE).id(), deeds.of(box(ONE).id())).contradictions()).singleElement()
                .satisfies(one -> assertThat(one.clash().key()).isEqualTo("clash.boxOnAnother"));
    }

    @Test
    void drone_comb_that_is_in_is_not_meant_any_more_and_can_be_taken_out() {
        DatedSpan days = DatedSpan.ofClosed(MAY_1.plusDays(10), MAY_1.plusDays(12));
        Deeds deeds = Deeds.ofThreeHives().on(2, new HiveDeed.DroneCombMeant(ONE, days));
        assertThat(state(deeds).droneCombMeant()).contains(days);
        deeds.on(11, new HiveDeed.DroneCombIn(ONE));
        assertThat(state(deeds).droneCombMeant()).isEmpty();
        assertThat(state(deeds).droneComb()).contains(MAY_1.plusDays(11));
        deeds.on(50, new HiveDeed.DroneCombOut(ONE));
        assertThat(state(deeds).droneComb()).isEmpty();
    }

    @Test
    void what_cannot_be_a_hive_says_everything_that_is_wrong_at_once() {
        assertThatThrownBy(() -> new HiveDeed.SetUp(ONE, YARD, " ", 0, Purpose.NUC,
                List.of(new Box(new UUID(3, 1), BoxKind.LID, "", 0, 0))))
                .isInstanceOfSatisfying(Faults.Found.class,
                        found -> assertThat(found.all()).map(Object::toString).containsExactly(
                                "code must be 1 to 20 characters, but has 0",
                                "position must lie between 1 and 10000, but is 0",
                                "stack must have a box that holds frames: add one"));
        assertThatThrownBy(() -> new Box(ONE, BoxKind.BROOD, "Dadant", 10, 11))
                .hasMessage("frames must lie between 0 and slots (10), but is 11");
    }
}
