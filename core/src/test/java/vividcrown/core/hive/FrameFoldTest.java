package vividcrown.core.hive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static vividcrown.core.hive.Deeds.MAY_1;
import static vividcrown.core.hive.Deeds.ONE;
import static vividcrown.core.hive.Deeds.THREE;
import static vividcrown.core.hive.Deeds.TWO;
import static vividcrown.core.hive.Deeds.at;
import static vividcrown.core.hive.Deeds.box;
import static vividcrown.core.hive.Deeds.moved;
import static vividcrown.core.hive.Deeds.read;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividcrown.core.reading.Sign;

class FrameFoldTest {

    private static final UUID FRAME = box(ONE).frame(4);

    @Test
    void a_frame_moved_across_three_hives_keeps_its_history_and_what_was_seen_on_it_in_each() {
        Deeds deeds = Deeds.ofThreeHives().on(3, read(ONE, 4, Sign.EGGS_SINGLE, Sign.POLLEN))
                .on(5, moved(FRAME, at(ONE, 4), at(TWO, 1))).on(5, read(TWO, 1, Sign.YOUNG_LARVAE, Sign.POLLEN))
                .on(9, read(ONE, 4, Sign.FOUNDATION, Sign.FOUNDATION)).on(14, moved(FRAME, at(TWO, 1), at(THREE, 6)))
                .on(20, read(THREE, 6, Sign.SEALED_WORKER, Sign.SEALED_HONEY));
        List<FrameHistory.Stay> stays = FrameHistory.of(FRAME, deeds::of);
        assertThat(stays).extracting(stay -> stay.hive().orElseThrow()).containsExactly(ONE, TWO, THREE);
        assertThat(stays).extracting(FrameHistory.Stay::since).containsExactly(MAY_1, MAY_1.plusDays(5),
                MAY_1.plusDays(14));
        assertThat(stays).extracting(FrameHistory.Stay::until).containsExactly(Optional.of(MAY_1.plusDays(5)),
                Optional.of(MAY_1.plusDays(14)), Optional.empty());
        assertThat(stays.get(0).seen()).singleElement()
                .satisfies(sight -> assertThat(sight.near()).containsExactly(Sign.EGGS_SINGLE));
        assertThat(stays.get(1).seen()).as("on the day it came").singleElement()
                .satisfies(sight -> assertThat(sight.near()).containsExactly(Sign.YOUNG_LARVAE));
        assertThat(stays.get(2).seen()).singleElement()
                .satisfies(sight -> assertThat(sight.far()).containsExactly(Sign.SEALED_HONEY));
    }

    @Test
    void a_frame_follows_its_box_to_another_hive_and_into_the_store() {
        UUID honey = new UUID(3, 2);
        UUID frame = Box.frameOf(honey, 3);
        Box box = new Box(honey, BoxKind.HONEY, "Dadant", 10, 9);
        Deeds deeds = Deeds.ofThreeHives().on(5, new HiveDeed.BoxPutOn(ONE, box, 2))
                .on(20, new HiveDeed.BoxTakenOff(ONE, honey, "barn")).on(25, new HiveDeed.BoxPutOn(TWO, box, 2));
        List<FrameHistory.Stay> stays = FrameHistory.of(frame, deeds::of);
        assertThat(stays).extracting(FrameHistory.Stay::hive).containsExactly(Optional.of(ONE), Optional.empty(),
                Optional.of(TWO));
    }

    @Test
    void two_that_change_places_at_once_are_both_where_they_went() {
        UUID other = box(TWO).frame(7);
        Deeds deeds = Deeds.ofThreeHives().on(5, new HiveDeed.FramesMoved(List.of(
                new FrameMove(FRAME, at(ONE, 4), at(TWO, 7), Set.of(Sign.EGGS)),
                new FrameMove(other, at(TWO, 7), at(ONE, 4), Set.of()))));
        assertThat(FrameFold.fold(FRAME, deeds.of(FRAME)).last().orElseThrow().place()).isEqualTo(at(TWO, 7).place());
        FrameFold.Folded back = FrameFold.fold(other, deeds.of(other));
        assertThat(back.last().orElseThrow().place()).isEqualTo(at(ONE, 4).place());
        assertThat(back.contradictions()).isEmpty();
    }

    @Test
    void a_frame_taken_from_where_it_is_not_is_flagged_and_the_later_counts() {
        Deeds deeds = Deeds.ofThreeHives().on(5, moved(FRAME, at(ONE, 4), at(TWO, 1)))
                .on(6, moved(FRAME, at(ONE, 4), at(THREE, 1)));
        FrameFold.Folded folded = FrameFold.fold(FRAME, deeds.of(FRAME));
        assertThat(folded.contradictions()).singleElement().satisfies(one -> {
            assertThat(one.entry()).isEqualTo(deeds.last());
            assertThat(one.clash()).hasToString("By the record this frame was in slot 1 of a box since Wed 6 May. "
                    + "Choose the frame that hangs there, or correct the earlier move.");
        });
        assertThat(folded.last().orElseThrow().place()).isEqualTo(at(THREE, 1).place());
    }

    @Test
    void a_comb_in_the_freezer_has_a_place_and_a_melted_one_has_none() {
        Deeds deeds = Deeds.ofThreeHives().on(5, moved(FRAME, at(ONE, 4), new Spot.InStock("freezer")));
        assertThat(FrameFold.fold(FRAME, deeds.of(FRAME)).last().orElseThrow().place())
                .isEqualTo(new FramePlace.Stored("freezer"));
        deeds.on(9, moved(FRAME, new Spot.InStock("freezer"), new Spot.Away()));
        FrameFold.Folded folded = FrameFold.fold(FRAME, deeds.of(FRAME));
        assertThat(folded.last().orElseThrow().place()).isEqualTo(new FramePlace.Gone());
        assertThat(folded.contradictions()).isEmpty();
    }

    @Test
    void two_frames_to_one_slot_and_one_frame_twice_are_refused() {
        assertThatThrownBy(() -> new HiveDeed.FramesMoved(List.of(
                new FrameMove(FRAME, at(ONE, 4), at(TWO, 1), Set.of()),
                new FrameMove(box(ONE).frame(5), at(ONE, 5), at(TWO, 1), Set.of()))))
                .hasMessageContaining("choose another slot for one of them");
        assertThatThrownBy(() -> new HiveDeed.FramesMoved(List.of(
                new FrameMove(FRAME, at(ONE, 4), at(TWO, 1), Set.of()),
                new FrameMove(FRAME, at(ONE, 4), at(THREE, 1), Set.of()))))
                .hasMessageContaining("a frame is named twice");
    }
}
