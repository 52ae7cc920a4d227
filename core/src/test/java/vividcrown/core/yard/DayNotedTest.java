package vividcrown.core.yard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividcrown.core.mating.Afternoon.Fitness;
import vividcrown.core.yard.YardDeed.DayNoted;

/** Which afternoons queens fly on: Winston 1987 (from memory), common practice. */
class DayNotedTest {

    private static final LocalDate DAY = LocalDate.of(2026, 6, 9);

    private static DayNoted day(Double high, Double wind, Double bright, Double rain) {
        return new DayNoted(DAY, Optional.ofNullable(high), Optional.ofNullable(wind), Optional.ofNullable(bright),
                Optional.ofNullable(rain), Optional.empty());
    }

    @Test
    void what_was_not_measured_is_taken_for_calm_and_bright_unless_it_rained() {
        assertThat(day(22.0, null, null, null).fitness()).isEqualTo(Fitness.GOOD);
        assertThat(day(22.0, null, null, 0.4).fitness()).isEqualTo(Fitness.GOOD);
        assertThat(day(22.0, null, null, 8.0).fitness()).isEqualTo(Fitness.UNFIT);
        assertThat(day(22.0, null, 0.8, 8.0).fitness()).as("a shower in the night, then sun").isEqualTo(Fitness.GOOD);
        assertThat(day(22.0, 40.0, null, null).fitness()).isEqualTo(Fitness.UNFIT);
        assertThat(day(17.9, null, 1.0, 0.0).fitness()).isEqualTo(Fitness.UNFIT);
    }

    @Test
    void who_was_there_is_right() {
        assertThat(new DayNoted(DAY, Optional.of(12.0), Optional.empty(), Optional.empty(), Optional.empty(),
                Optional.of(Fitness.POSSIBLE)).fitness()).isEqualTo(Fitness.POSSIBLE);
    }

    @Test
    void a_day_that_says_nothing_and_a_degree_that_cannot_be_are_refused() {
        assertThatThrownBy(() -> day(null, 5.0, 0.5, 0.0)).hasMessageContaining("neither how warm");
        assertThatThrownBy(() -> new DayNoted(LocalDate.MAX, Optional.of(20.0), Optional.empty(), Optional.empty(),
                Optional.empty(), Optional.empty())).hasMessageContaining("between 1850 and 2200");
        assertThatThrownBy(() -> day(220.0, 5.0, 0.5, 0.0)).hasMessageContaining("between -60 and 60");
        assertThatThrownBy(() -> new YardDeed.WeatherNoted(UUID.randomUUID(), List.of()))
                .hasMessageContaining("1 to 367");
    }
}
