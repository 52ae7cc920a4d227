package vividcrown.server.weather;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vividcrown.core.climate.ClimateOfPlace;
import vividcrown.core.mating.Afternoon;
import vividcrown.core.mating.MatingClimate;
import vividcrown.server.yard.Yard;

/** What is known of the weather at yards: what was noted, what the simulated station says, or what the climate is. */
@Component
public class Weathers {

    private final JdbcClient jdbc;

    Weathers(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Where a day's weather is known from. */
    public enum By {
        /** Somebody, or a station of theirs, noted it. */
        NOTED,
        /** The simulated station. */
        STATION,
        /** Nobody measured it: odds by the climate. */
        CLIMATE
    }

    /**
     * One day's weather.
     *
     * @param celsius highest temperature, if it was measured
     */
    public record Known(Afternoon.Fitness fitness, Optional<Double> celsius, By by) {
    }

    private record Noted(LocalDate day, @Nullable Double highCelsius, String fitness) {
    }

    /** @param from noted days before it are not asked for */
    public AtYard at(Yard yard, LocalDate from) {
        Map<LocalDate, Known> noted = new HashMap<>();
        jdbc.sql("select day, high_celsius, fitness from yard_weather where yard_id = ? and day >= ?")
                .params(yard.id(), from).query(Noted.class).list()
                .forEach(one -> noted.put(one.day(), new Known(Afternoon.Fitness.valueOf(one.fitness()),
                        Optional.ofNullable(one.highCelsius()), By.NOTED)));
        return new AtYard(noted, yard.stationOn()
                ? Optional.of(new WeatherStation(yard.id(), yard.elevationMetres()))
                : Optional.empty(), yard.climateOfPlace());
    }

    /** The weather of one yard. */
    public static final class AtYard {

        private final Map<LocalDate, Known> noted;
        private final Optional<WeatherStation> station;
        private final ClimateOfPlace climate;

        private AtYard(Map<LocalDate, Known> noted, Optional<WeatherStation> station, ClimateOfPlace climate) {
            this.noted = noted;
            this.station = station;
            this.climate = climate;
        }

        /** A day's weather, if anybody noted or measured it. */
        public Optional<Known> on(LocalDate day) {
            return Optional.ofNullable(noted.get(day)).or(() -> station.map(one -> {
                Afternoon afternoon = one.afternoon(day);
                return new Known(afternoon.fitness(), Optional.of(afternoon.airCelsius()), By.STATION);
            }));
        }

        /** Chance of an afternoon fit for mating on a day to come, 0–1. */
        public double odds(LocalDate day) {
            return station.map(one -> one.oddsOfMatingAfternoon(day)).orElseGet(() -> climate.fitAfternoon(day));
        }

        public By oddsBy() {
            return station.isPresent() ? By.STATION : By.CLIMATE;
        }

        /** Where past days are known from: a station answers for every day that nobody noted. */
        public By measuredBy() {
            return !noted.isEmpty() && station.isEmpty() ? By.NOTED : oddsBy();
        }

        /** Of days before today what is known of them, of all others the chance. */
        public MatingClimate asOf(LocalDate today) {
            // lives are lived on several hands at once, and all of them ask
            Map<LocalDate, Double> asked = new ConcurrentHashMap<>();
            return on -> asked.computeIfAbsent(on, day -> day.isBefore(today)
                    ? on(day).map(known -> known.fitness() == Afternoon.Fitness.UNFIT ? 0.0 : 1.0)
                            .orElseGet(() -> climate.fitAfternoon(day))
                    : odds(day));
        }
    }
}
