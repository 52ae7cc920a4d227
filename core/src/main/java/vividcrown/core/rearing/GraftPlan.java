package vividcrown.core.rearing;

import java.time.LocalDate;
import vividcrown.core.reason.Wrong;

/**
 * A graft as it is asked for.
 *
 * @param graftDay day 0 of the calendar
 * @param larvaAge age of the larvae at the graft
 * @param school how the builder is run
 * @param placing where the ripe cells go
 * @param incubatorCelsius temperature of the incubator, used only where cells emerge in it
 */
public record GraftPlan(LocalDate graftDay, LarvaAge larvaAge, BuilderSchool school, Placing placing,
        double incubatorCelsius) {

    /** Incubator temperature for sealed queen cells, °C (Büchler et al. 2013, from memory). */
    public static final double PROPER_INCUBATOR_CELSIUS = 34.5;

    public GraftPlan {
        if (!(incubatorCelsius >= 20 && incubatorCelsius <= 45)) {
            throw Wrong.of("wrong.GraftPlan", incubatorCelsius);
        }
    }

    /** The trade's usual graft: larvae of 12–24 h, incubator at its proper warmth. */
    public static GraftPlan usual(LocalDate graftDay, BuilderSchool school, Placing placing) {
        return new GraftPlan(graftDay, LarvaAge.FROM_12_TO_24_H, school, placing, PROPER_INCUBATOR_CELSIUS);
    }

    /** The same on another day. */
    public GraftPlan on(LocalDate day) {
        return new GraftPlan(day, larvaAge, school, placing, incubatorCelsius);
    }
}
