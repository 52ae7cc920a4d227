package vividcrown.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ReadingTest {

    private static final LocalDate JUN_10 = LocalDate.of(2026, 6, 10);

    @Test
    void the_particular_brings_the_general_with_it() {
        Reading reading = Reading.of(JUN_10, Sign.EGGS_SEVERAL);
        assertThat(reading.seen()).containsExactlyInAnyOrder(Sign.EGGS_SEVERAL, Sign.EGGS, Sign.OPEN_BROOD, Sign.BROOD);
        assertThat(reading.absent()).isEmpty();
    }

    @Test
    void the_absence_of_the_general_takes_the_particular_along() {
        Reading reading = Reading.of(JUN_10).without(Sign.OPEN_BROOD);
        assertThat(reading.absent()).contains(Sign.EGGS, Sign.EGGS_SINGLE, Sign.YOUNG_LARVAE, Sign.OLD_LARVAE)
                .doesNotContain(Sign.BROOD, Sign.SEALED_WORKER);
    }

    @Test
    void what_was_not_looked_for_is_neither() {
        Reading reading = Reading.of(JUN_10, Sign.EGGS);
        assertThat(reading.saw(Sign.EGGS_SINGLE)).isFalse();
        assertThat(reading.missed(Sign.EGGS_SINGLE)).isFalse();
        assertThat(reading.missed(Sign.SEALED_BROOD)).isFalse();
    }

    @Test
    void one_particular_may_be_there_while_another_is_not() {
        Reading reading = Reading.of(JUN_10, Sign.EGGS_SINGLE).without(Sign.EGGS_ON_WALLS);
        assertThat(reading.saw(Sign.EGGS)).isTrue();
        assertThat(reading.missed(Sign.EGGS_ON_WALLS)).isTrue();
    }

    @Test
    void both_at_once_is_refused_by_name() {
        assertThatThrownBy(() -> Reading.of(JUN_10, Sign.YOUNG_LARVAE).without(Sign.BROOD))
                .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("YOUNG_LARVAE")
                .hasMessageContaining("both seen and absent");
        assertThatThrownBy(() -> Reading.of(JUN_10).with(CellLook.SEALED, CombPlace.FACE, 1).without(Sign.QUEEN_CELLS))
                .hasMessageContaining("QUEEN_CELLS");
    }

    @Test
    void living_cells_are_queen_cells_and_empty_ones_are_not() {
        assertThat(Reading.of(JUN_10).with(CellLook.CUP_EGG, CombPlace.FACE, 1).saw(Sign.QUEEN_CELLS)).isTrue();
        assertThat(Reading.of(JUN_10).with(CellLook.EMERGED, CombPlace.FACE, 1).saw(Sign.QUEEN_CELLS)).isFalse();
        assertThatThrownBy(() -> new CellsSeen(CellLook.SEALED, CombPlace.FACE, 0)).hasMessageContaining("at least 1");
    }

    @ParameterizedTest
    @EnumSource(Sign.class)
    void no_sign_stands_above_itself(Sign sign) {
        Set<Sign> above = EnumSet.noneOf(Sign.class);
        sign.general().forEach(general -> above.addAll(general.upwards()));
        assertThat(above).doesNotContain(sign);
        assertThat(sign.downwards()).contains(sign);
        above.forEach(general -> assertThat(general.downwards()).contains(sign));
    }

    /** Sunken, greasy, ropy, foul means stop and report (common practice). */
    @Test
    void signs_of_brood_disease_stop_the_work_and_pests_do_not() {
        assertThat(Sign.ROPY.stopsTheWork()).isTrue();
        assertThat(Sign.CAPS_SUNKEN.stopsTheWork()).isTrue();
        assertThat(Sign.WAX_MOTH.stopsTheWork()).isFalse();
        assertThat(Sign.CHALK.stopsTheWork()).isFalse();
    }
}
