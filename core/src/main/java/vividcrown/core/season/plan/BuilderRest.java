package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import vividcrown.core.rearing.BuilderRhythm;

/**
 * The limit of builders: no stretch of so many days holds more loads than that. One load in the days between two, and no
 * more than it bears before it rests.
 */
public record BuilderRest(Stretch betweenLoads, Stretch beforeRest) {

    /** @param days one after the other; @param loads that a builder may have in them */
    public record Stretch(int days, int loads) {

        /** Its first day, if this is its last. */
        public LocalDate begin(LocalDate end) {
            return end.minusDays(days - 1L);
        }

        /** Loads that so many builders may still have in the stretch, each with these grafts behind it. */
        public int left(int builders, Collection<LocalDate> grafts, LocalDate end) {
            long already = grafts.stream().filter(day -> !day.isBefore(begin(end)) && !day.isAfter(end)).count();
            return (int) Math.max(0, loads - already) * builders;
        }
    }

    public static BuilderRest of(BuilderRhythm rhythm) {
        return new BuilderRest(new Stretch(rhythm.daysBetweenLoads(), 1),
                new Stretch(rhythm.restStretchDays(), rhythm.loadsBeforeRest()));
    }

    public List<Stretch> stretches() {
        return List.of(betweenLoads, beforeRest);
    }
}
