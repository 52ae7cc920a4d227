package vividcrown.core.hive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

/** Imdorf et al. 1987; Delaplane, van der Steen and Guzman-Novoa 2013; values from memory. */
class StrengthTest {

    private final Strength deep = new Strength(FrameFormat.DEEP_LANGSTROTH.sideSquareDecimetres());

    @Test
    void a_full_deep_frame_both_sides_sealed_is_about_seven_thousand_cells() {
        assertThat(deep.cells(2)).isBetween(6_900, 7_200);
    }

    @Test
    void and_its_bees_cover_some_two_to_three_frames() {
        assertThat(deep.framesCoveredBy(deep.cells(2))).isBetween(2.0, 3.5);
    }

    @Test
    void a_big_colony_is_up_to_about_forty_thousand_workers() {
        assertThat(deep.isPlausible(16)).isTrue();
        assertThat(deep.isPlausible(30)).isFalse();
        assertThat(deep.isPlausible(-1)).isFalse();
        assertThatThrownBy(() -> new Strength(0)).hasMessageContaining("above 0");
    }
}
