package vividcrown.server.weather;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** The station is invented; these hold it to what an upland valley near 46° N may do (common knowledge of climate). */
class WeatherStationTest {

    private static final LocalDate JAN_1 = LocalDate.of(2026, 1, 1);
    private static final LocalDate JUL_1 = LocalDate.of(2026, 7, 1);
    private static final UUID YARD = new UUID(4, 6);
    private final WeatherStation valley = new WeatherStation(YARD, 300);

    private static double meanCelsius(WeatherStation station, LocalDate month) {
        return IntStream.range(0, 30).mapToDouble(day -> station.afternoon(month.plusDays(day)).airCelsius()).average()
                .orElseThrow();
    }

    @Test
    void the_same_day_has_the_same_weather_on_every_run() {
        assertThat(valley.afternoon(JUL_1)).isEqualTo(new WeatherStation(YARD, 300).afternoon(JUL_1));
        assertThat(valley.afternoon(JUL_1)).isNotEqualTo(new WeatherStation(new UUID(4, 7), 300).afternoon(JUL_1));
    }

    @Test
    void july_is_warm_and_january_cold_and_it_is_cooler_higher_up() {
        assertThat(meanCelsius(valley, JUL_1)).isBetween(20.0, 32.0);
        assertThat(meanCelsius(valley, JAN_1)).isBetween(-5.0, 10.0);
        assertThat(meanCelsius(new WeatherStation(YARD, 1300), JUL_1)).isLessThan(meanCelsius(valley, JUL_1) - 5);
    }

    @Test
    void odds_of_a_mating_afternoon_are_good_in_july_and_none_in_january() {
        assertThat(valley.oddsOfMatingAfternoon(JUL_1)).isBetween(0.4, 1.0);
        assertThat(valley.oddsOfMatingAfternoon(JAN_1)).isZero();
    }
}
