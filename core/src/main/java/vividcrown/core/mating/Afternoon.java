package vividcrown.core.mating;

import java.time.LocalDate;
import vividcrown.core.reason.Wrong;

/**
 * The weather of one afternoon, 12 to 17 h sun time.
 *
 * @param day which day
 * @param airCelsius warmest air temperature in the shade, °C
 * @param windKmh mean wind, km/h
 * @param brightShare share of the hours with sun or bright cloud, 0 to 1
 */
public record Afternoon(LocalDate day, double airCelsius, double windKmh, double brightShare) {

    /** Below it no queen flies to mate. */
    public static final double LEAST_CELSIUS = 18;

    public Afternoon {
        if (!(brightShare >= 0 && brightShare <= 1)) {
            throw Wrong.of("wrong.Afternoon", brightShare);
        }
    }

    /**
     * Good: air 20 °C or more, wind under 20 km/h, bright at least half the time. Possible: from 18 °C, under 25 km/h,
     * bright for a third. Temperature from Winston 1987 (from memory), wind and light common practice.
     */
    public Fitness fitness() {
        if (airCelsius >= 20 && windKmh < 20 && brightShare >= 0.5) {
            return Fitness.GOOD;
        }
        return airCelsius >= LEAST_CELSIUS && windKmh < 25 && brightShare >= 1.0 / 3 ? Fitness.POSSIBLE : Fitness.UNFIT;
    }

    /** Whether queens fly to mate. */
    public enum Fitness {
        GOOD, POSSIBLE, UNFIT
    }
}
