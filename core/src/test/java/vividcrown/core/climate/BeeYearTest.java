package vividcrown.core.climate;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class BeeYearTest {

    private static final ClimateOfPlace UPLAND = new ClimateOfPlace(Climate.UPLAND, 550, false, List.of());
    private static final LocalDate JUN_8 = LocalDate.of(2026, 6, 8);

    /** Bees fly little under some eight degrees and fully from some sixteen on (common practice). */
    @Test
    void bees_fly_as_the_day_really_was_and_as_is_usual_where_nobody_measured() {
        BeeYear usual = new BeeYear(false, UPLAND);
        BeeYear cold = new BeeYear(false, UPLAND, Map.of(JUN_8, 7.0));
        assertThat(usual.flying(JUN_8)).isEqualTo(1);
        assertThat(cold.flying(JUN_8)).isZero();
        assertThat(cold.flying(JUN_8.plusDays(1))).isEqualTo(usual.flying(JUN_8.plusDays(1)));
        // one cold day ends no season
        assertThat(cold.laying(JUN_8)).isEqualTo(usual.laying(JUN_8));
    }
}
