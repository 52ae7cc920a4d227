package vividcrown.core.mating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MatingTest {

    private static final LocalDate JUN_9 = LocalDate.of(2026, 6, 9);

    @ParameterizedTest(name = "{0} °C, {1} km/h, bright {2}: {3} (Winston 1987 from memory; common practice)")
    @CsvSource({"20, 19, 0.5, GOOD", "19.9, 19, 0.5, POSSIBLE", "20, 20, 0.5, POSSIBLE", "20, 10, 0.4, POSSIBLE",
            "18, 24, 0.34, POSSIBLE", "17.9, 5, 1, UNFIT", "25, 25, 1, UNFIT", "25, 5, 0.2, UNFIT"})
    void an_afternoon_is_judged_by_warmth_wind_and_light(double celsius, double wind, double bright,
            Afternoon.Fitness fitness) {
        assertThat(new Afternoon(JUN_9, celsius, wind, bright).fitness()).isEqualTo(fitness);
    }

    @Test
    void a_share_above_one_is_refused() {
        assertThatThrownBy(() -> new Afternoon(JUN_9, 20, 5, 1.2))
                .hasMessage("brightShare must lie between 0 and 1, but is 1.2");
    }

    /** Equation of time from the almanac, from memory: −14.2 min on 11 February, +16.4 min on 3 November, near 0 on 15 April. */
    @ParameterizedTest(name = "sun noon at Greenwich on {0}: {1} UTC")
    @CsvSource({"2026-02-11, 12:14:12", "2026-11-03, 11:43:36", "2026-04-15, 12:00:00"})
    void flights_begin_at_the_suns_noon(LocalDate day, LocalTime noon) {
        LocalTime from = MatingHours.at(day, 51.48, 0, ZoneOffset.UTC).from().toLocalTime();
        assertThat(from).isCloseTo(noon, within(90, ChronoUnit.SECONDS));
    }

    @Test
    void in_summer_time_the_hours_lie_well_past_noon_by_the_clock() {
        MatingHours hours = MatingHours.at(JUN_9, 46.2, 8.9, ZoneId.of("Europe/Zurich"));
        assertThat(hours.from().toLocalTime()).isBetween(LocalTime.of(13, 15), LocalTime.of(13, 35));
        assertThat(Duration.between(hours.from(), hours.until())).isEqualTo(Duration.ofHours(5));
    }

    @Test
    void near_the_poles_there_is_no_answer() {
        assertThatThrownBy(() -> MatingHours.at(JUN_9, 70, 20, ZoneOffset.UTC))
                .hasMessage("latitude must lie between -66 and 66, but is 70.0");
    }

    /** With the same chance on each of seventeen days the fit afternoons are binomial: against a reference library. */
    @Test
    void the_kinds_of_weather_follow_the_binomial_where_every_day_is_alike() {
        for (double fit : new double[]{0.08, 0.3, 0.6}) {
            BinomialDistribution binomial = BinomialDistribution.of(17, fit);
            Map<MatingWeather, Double> kinds = new MatingChance(_ -> fit).weather(LocalDate.of(2026, 6, 1));
            assertThat(kinds.get(MatingWeather.NONE)).isCloseTo(binomial.cumulativeProbability(1), within(1e-9));
            assertThat(kinds.get(MatingWeather.POOR)).isCloseTo(binomial.probability(1, 3), within(1e-9));
            assertThat(kinds.get(MatingWeather.FAIR)).isCloseTo(binomial.probability(3, 7), within(1e-9));
            assertThat(kinds.get(MatingWeather.FINE)).isCloseTo(binomial.survivalProbability(7), within(1e-9));
        }
    }
}
