package vividcrown.server.weather;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import vividcrown.core.mating.Afternoon;

/**
 * One afternoon for the band behind the threads.
 *
 * @param fitness as it was, for past days and today
 * @param odds odds of an afternoon fit for mating, 0 to 1, for days to come
 */
public record AfternoonView(LocalDate day, Afternoon.@Nullable Fitness fitness, @Nullable Double odds,
        @Nullable Double airCelsius) {

    /** Past days as they were, days to come as odds. */
    public static List<AfternoonView> between(WeatherStation station, LocalDate first, LocalDate last,
            LocalDate today) {
        List<AfternoonView> views = new ArrayList<>();
        for (LocalDate day = first; !day.isAfter(last); day = day.plusDays(1)) {
            if (day.isAfter(today)) {
                views.add(new AfternoonView(day, null, station.oddsOfMatingAfternoon(day), null));
            } else {
                Afternoon was = station.afternoon(day);
                views.add(new AfternoonView(day, was.fitness(), null, was.airCelsius()));
            }
        }
        return views;
    }
}
