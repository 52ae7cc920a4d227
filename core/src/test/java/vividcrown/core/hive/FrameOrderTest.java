package vividcrown.core.hive;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.core.reading.Sign.EGGS_SINGLE;
import static vividcrown.core.reading.Sign.EMPTY_COMB;
import static vividcrown.core.reading.Sign.FOUNDATION;
import static vividcrown.core.reading.Sign.POLLEN;
import static vividcrown.core.reading.Sign.SEALED_HONEY;
import static vividcrown.core.reading.Sign.SEALED_WORKER;
import static vividcrown.core.reading.Sign.YOUNG_LARVAE;

import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vividcrown.core.hive.FrameOrder.Doubt;
import vividcrown.core.hive.FrameOrder.Frame;
import vividcrown.core.reading.Sign;

class FrameOrderTest {

    private static final Frame HONEY_AND_POLLEN = new Frame(Set.of(SEALED_HONEY), Set.of(POLLEN, EGGS_SINGLE));
    private static final Frame BROOD = new Frame(Set.of(SEALED_WORKER), Set.of(SEALED_WORKER));
    private static final Frame NEW_COMB = new Frame(Set.of(FOUNDATION), Set.of(FOUNDATION, EMPTY_COMB));

    @Test
    void a_frame_whose_sides_changed_places_was_turned() {
        assertThat(FrameOrder.doubts(Map.of(4, HONEY_AND_POLLEN, 5, BROOD),
                Map.of(4, new Frame(Set.of(POLLEN), Set.of(SEALED_HONEY)), 5, BROOD)))
                .containsExactly(new Doubt.Turned(4));
    }

    @Test
    void two_neighbours_that_carry_each_others_combs_were_swapped() {
        assertThat(FrameOrder.doubts(Map.of(1, HONEY_AND_POLLEN, 2, NEW_COMB, 3, BROOD),
                Map.of(1, NEW_COMB, 2, HONEY_AND_POLLEN, 3, BROOD))).containsExactly(new Doubt.Swapped(1, 2));
    }

    @Test
    void brood_that_grew_or_was_laid_anew_is_no_doubt() {
        Frame older = new Frame(Set.of(EGGS_SINGLE), Set.of(YOUNG_LARVAE));
        Frame sealed = new Frame(Set.of(SEALED_WORKER), Set.of(SEALED_WORKER));
        assertThat(FrameOrder.doubts(Map.of(5, older), Map.of(5, sealed))).isEmpty();
    }

    @Test
    void a_frame_read_only_once_says_nothing() {
        assertThat(FrameOrder.doubts(Map.of(4, HONEY_AND_POLLEN), Map.of(6, HONEY_AND_POLLEN))).isEmpty();
        Set<Sign> same = Set.of(SEALED_HONEY);
        assertThat(FrameOrder.doubts(Map.of(1, new Frame(same, same)), Map.of(1, new Frame(same, same)))).isEmpty();
    }
}
