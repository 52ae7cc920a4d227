package vividcrown.server.reckon;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.climate.Climate;
import vividcrown.core.climate.ClimateOfPlace;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.Weather;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.core.yard.Flow;

/**
 * The place, and the weather.
 *
 * @param latitude degrees north, −90 to 90: tells the climate and the half of the world where nothing else does
 * @param southern the place lies south of the equator
 * @param climate UPLAND (46° N, 550 m) if nothing is said
 * @param elevationMetres above the sea; as usual for the climate if left out
 * @param highsByMonth usual highest temperature of a day in each month, January first, °C
 * @param flow what the bees find now; LITTLE if left out
 * @param beetles small hive beetle is about
 * @param kilometres from the hives that give to where the new units go
 * @param celsius of the afternoon on which it is done; as usual if left out
 * @param rain it rains, or is about to
 */
record PlaceInput(@Nullable @Min(-90) @Max(90) Double latitude, @Nullable Boolean southern, @Nullable Climate climate,
        @Nullable @Min(-430) @Max(6000) Integer elevationMetres,
        @Nullable @Size(min = 12, max = 12) List<Double> highsByMonth,
        @Nullable Flow flow, @Nullable Boolean beetles, @Nullable @Min(0) @Max(500) Double kilometres,
        @Nullable @Min(-40) @Max(55) Double celsius, @Nullable Boolean rain) {

    static final PlaceInput NOT_SAID = new PlaceInput(null, null, null, null, null, null, null, null, null, null);
    private static final int LOWLAND_METRES = 100;

    /** @param assumed receives what was taken for granted */
    Conditions conditions(LocalDate day, List<String> assumed) {
        boolean south = southern != null ? southern : latitude != null && latitude < 0;
        int metres = elevationMetres == null ? LOWLAND_METRES : elevationMetres;
        Climate kind = climate != null
                ? climate
                : latitude != null ? Climate.likelyAt(latitude, metres) : Climate.UPLAND;
        ClimateOfPlace place = new ClimateOfPlace(kind,
                elevationMetres == null ? kind.elevationMetres() : elevationMetres,
                south, highsByMonth == null ? List.of() : highsByMonth);
        if (flow == null) {
            assumed.add(Sentence.of("split.assumed.flow").toString());
        }
        return new Conditions(day, new BeeYear(south, place), flow == null ? Flow.LITTLE : flow,
                Boolean.TRUE.equals(beetles), kilometres == null ? 0 : kilometres, Assumptions.standard());
    }

    Weather weather(Conditions at) {
        Weather usual = Weather.usual(at);
        return new Weather(celsius == null ? usual.celsius() : celsius, Boolean.TRUE.equals(rain));
    }
}
