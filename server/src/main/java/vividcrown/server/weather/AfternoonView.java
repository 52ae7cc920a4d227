package vividcrown.server.weather;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import vividcrown.core.mating.Afternoon;

/**
 * One afternoon for the band behind the threads.
 *
 * @param fitness as it was, if that is known of a past day or today
 * @param odds odds of an afternoon fit for mating, 0 to 1, where it is not known how it was
 * @param by where this is known from
 */
public record AfternoonView(LocalDate day, Afternoon.@Nullable Fitness fitness, @Nullable Double odds,
        @Nullable Double airCelsius, Weathers.By by) {

    /** Past days as they were if that is known, and the odds of all others. */
    public static List<AfternoonView> between(Weathers.AtYard weather, LocalDate first, LocalDate last,
            LocalDate today) {
        List<AfternoonView> views = new ArrayList<>();
        for (LocalDate day = first; !day.isAfter(last); day = day.plusDays(1)) {
            Optional<Weathers.Known> known = day.isAfter(today) ? Optional.empty() : weather.on(day);
            LocalDate asked = day;
            views.add(known
                    .map(was -> new AfternoonView(asked, was.fitness(), null, was.celsius().orElse(null), was.by()))
                    .orElseGet(() -> new AfternoonView(asked, null, weather.odds(asked), null, weather.oddsBy())));
        }
        return views;
    }
}
