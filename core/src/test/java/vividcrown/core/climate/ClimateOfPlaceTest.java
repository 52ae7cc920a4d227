package vividcrown.core.climate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class ClimateOfPlaceTest {

    private static final LocalDate MID_JULY = LocalDate.of(2026, 7, 16);
    private static final LocalDate MID_JANUARY = LocalDate.of(2026, 1, 16);

    private static ClimateOfPlace at(Climate climate, int metres, boolean southern) {
        return new ClimateOfPlace(climate, metres, southern, List.of());
    }

    /** ICAO standard atmosphere: 6.5 °C colder for each thousand metres. */
    @Test
    void it_is_colder_higher_up_by_the_standard_lapse() {
        assertThat(at(Climate.UPLAND, 550, false).usualHigh(MID_JULY)).isCloseTo(24, within(0.1));
        assertThat(at(Climate.UPLAND, 1_550, false).usualHigh(MID_JULY)).isCloseTo(17.5, within(0.1));
    }

    /** Common practice: mating months of the south lie half a year apart; near the equator the year has no summer. */
    @Test
    void the_south_has_its_summer_in_january_but_the_tropics_have_none() {
        for (Climate climate : Climate.values()) {
            double north = at(climate, climate.elevationMetres(), false).fitAfternoon(MID_JANUARY);
            double south = at(climate, climate.elevationMetres(), true).fitAfternoon(MID_JANUARY);
            if (climate == Climate.TROPICAL_HIGHLAND) {
                assertThat(south).isEqualTo(north).isGreaterThan(0.4);
            } else {
                assertThat(south).as(climate.name()).isGreaterThan(north + 0.3);
            }
        }
    }

    /**
     * Winston 1987 (from memory): no flights under 18 °C. An upland summer has about every other afternoon, an autumn few, a
     * winter none (common practice).
     */
    @Test
    void upland_afternoons_are_fit_in_summer_and_not_in_winter() {
        ClimateOfPlace valley = at(Climate.UPLAND, 550, false);
        assertThat(valley.fitAfternoon(MID_JULY)).isBetween(0.55, 0.75);
        assertThat(valley.fitAfternoon(LocalDate.of(2026, 5, 5))).isBetween(0.15, 0.45);
        assertThat(valley.fitAfternoon(LocalDate.of(2026, 10, 20))).isLessThan(0.1);
        assertThat(valley.fitAfternoon(MID_JANUARY)).isLessThan(0.001);
    }

    @Test
    void ones_own_highs_are_taken_as_they_are() {
        List<Double> own = IntStream.rangeClosed(1, 12).mapToObj(month -> month * 2.0).toList();
        ClimateOfPlace place = new ClimateOfPlace(Climate.UPLAND, 2_000, true, own);
        assertThat(place.usualHigh(MID_JULY)).isCloseTo(14, within(0.1));
        assertThatThrownBy(() -> new ClimateOfPlace(Climate.UPLAND, 0, false, Collections.nCopies(11, 1.0)))
                .hasMessageContaining("twelve");
    }

    @Test
    void where_nobody_said_it_the_likeliest_is_taken() {
        assertThat(Climate.likelyAt(46.3, 780)).isEqualTo(Climate.UPLAND);
        assertThat(Climate.likelyAt(-1.3, 1_700)).isEqualTo(Climate.TROPICAL_HIGHLAND);
        assertThat(Climate.likelyAt(-33.9, 50)).isEqualTo(Climate.HUMID_SUBTROPICAL);
        assertThat(Climate.likelyAt(38.5, 20)).isEqualTo(Climate.WARM_DRY_SUMMER);
        assertThat(Climate.likelyAt(52.2, 100)).isEqualTo(Climate.CONTINENTAL);
    }

    @Property
    void a_chance_is_one_and_never_grows_with_the_height(@ForAll Climate climate, @ForAll boolean southern,
            @ForAll @IntRange(min = -400, max = 5_000) int metres,
            @ForAll @IntRange(min = 1, max = 365) int dayOfYear) {
        LocalDate day = LocalDate.ofYearDay(2026, dayOfYear);
        double here = at(climate, metres, southern).fitAfternoon(day);
        assertThat(here).isBetween(0.0, 1.0);
        assertThat(at(climate, metres + 300, southern).fitAfternoon(day)).isLessThanOrEqualTo(here);
    }
}
