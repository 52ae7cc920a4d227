package vividcrown.server.weather;

import java.time.LocalDate;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import vividcrown.core.mating.Afternoon;

/**
 * A stand-in for the yard's weather station: daily afternoon weather of an upland valley near 46° N, invented, the same
 * on every run. Yearly course of normals with day-to-day noise that carries over, so that fine spells and wet weeks
 * follow one another.
 */
public final class WeatherStation {

    private static final int WARMEST_DAY_OF_YEAR = 205;
    private static final double LAPSE_CELSIUS_PER_METRE = 0.0065;
    private static final int NORMALS_ELEVATION_METRES = 500;

    private final long seed;
    private final int elevationMetres;
    private final Map<LocalDate, Boolean> fitSoFar = new ConcurrentHashMap<>();

    public WeatherStation(UUID yard, int elevationMetres) {
        this.seed = yard.getMostSignificantBits() ^ yard.getLeastSignificantBits();
        this.elevationMetres = elevationMetres;
    }

    /** The weather as it was. */
    public Afternoon afternoon(LocalDate day) {
        double spell = 0.6 * noise(day, 1) + 0.5 * noise(day.minusDays(1), 1) + 0.35 * noise(day.minusDays(2), 1);
        double celsius = normalCelsius(day) + 3.2 * spell + 0.8 * noise(day, 2);
        double wind = Math.max(2, 12 - 3 * spell + 5 * noise(day, 3));
        double bright = Math.clamp(0.6 + 0.3 * spell + 0.1 * noise(day, 4), 0, 1);
        return new Afternoon(day, Math.round(celsius * 10) / 10.0, Math.round(wind), bright);
    }

    /** Odds of an afternoon fit for mating on a day to come: the share of the same week in the last twenty years. */
    public double oddsOfMatingAfternoon(LocalDate day) {
        int fit = 0;
        int seen = 0;
        for (int year = 1; year <= 20; year++) {
            for (int offset = -3; offset <= 3; offset++) {
                seen++;
                // neighbouring days ask for nearly the same weeks
                if (fitSoFar.computeIfAbsent(day.minusYears(year).plusDays(offset),
                        past -> afternoon(past).fitness() != Afternoon.Fitness.UNFIT)) {
                    fit++;
                }
            }
        }
        return (double) fit / seen;
    }

    private double normalCelsius(LocalDate day) {
        double yearAngle = 2 * Math.PI * (day.getDayOfYear() - WARMEST_DAY_OF_YEAR) / 365.25;
        return 14.5 + 10.5 * Math.cos(yearAngle)
                - LAPSE_CELSIUS_PER_METRE * (elevationMetres - NORMALS_ELEVATION_METRES);
    }

    private double noise(LocalDate day, int stream) {
        return new Random(seed * 31 + day.toEpochDay() * 1_000_003L + stream * 7919L).nextGaussian();
    }
}
