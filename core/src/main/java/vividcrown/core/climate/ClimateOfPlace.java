package vividcrown.core.climate;

import java.time.LocalDate;
import java.util.List;
import org.hipparchus.special.Erf;
import vividcrown.core.mating.Afternoon;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.reason.Wrong;
import vividcrown.core.time.Monthly;

/**
 * The usual weather of a place: the normals of its climate, moved by elevation (6.5 °C for a thousand metres, the standard
 * atmosphere) and by half a year in the south, or its own monthly highs as they are.
 *
 * @param elevationMetres of the place above the sea
 * @param southern it lies south of the equator
 * @param ownHighs usual highest temperature of a day in each month there, January first, °C; empty if nobody knows
 */
public record ClimateOfPlace(Climate climate, int elevationMetres, boolean southern, List<Double> ownHighs)
        implements
            MatingClimate {

    private static final double LAPSE_CELSIUS_PER_METRE = 0.0065;

    public ClimateOfPlace {
        ownHighs = List.copyOf(ownHighs);
        if (!ownHighs.isEmpty() && ownHighs.size() != 12) {
            throw Wrong.of("wrong.ClimateOfPlace", ownHighs.size());
        }
    }

    /** Usual highest temperature of that day, °C. */
    public double usualHigh(LocalDate day) {
        if (!ownHighs.isEmpty()) {
            return new Monthly(ownHighs).on(day);
        }
        return new Monthly(climate.highs()).on(turned(day))
                - LAPSE_CELSIUS_PER_METRE * (elevationMetres - climate.elevationMetres());
    }

    /** {@inheritDoc} Warm enough, and light enough with little wind; the one is taken to say nothing of the other. */
    @Override
    public double fitAfternoon(LocalDate day) {
        double missing = (Afternoon.LEAST_CELSIUS - usualHigh(day)) / climate.spreadCelsius();
        double warm = Erf.erfc(missing / Math.sqrt(2)) / 2;
        return warm * new Monthly(climate.brightAndCalm()).on(turned(day));
    }

    private LocalDate turned(LocalDate day) {
        return southern && climate.isTurnedInTheSouth() ? day.plusMonths(6) : day;
    }
}
