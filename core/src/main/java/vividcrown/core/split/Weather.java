package vividcrown.core.split;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.core.yard.Flow;

/**
 * The weather in which it is to be done.
 *
 * @param celsius of the afternoon
 * @param rain it rains, or is about to
 */
public record Weather(double celsius, boolean rain) {

    /** Bees that fall to cold ground do not rise. Common practice. */
    static final double SHAKE_CELSIUS = 14;
    private static final double OPEN_CELSIUS = 10;

    /** As it usually is at a place on that day. */
    public static Weather usual(Conditions at) {
        return new Weather(at.year().usualHigh(at.day()), false);
    }

    /** What speaks against bees of several hives being put together now. */
    List<Objection> againstMixing(Flow flow) {
        List<Objection> all = new ArrayList<>();
        if (rain) {
            all.add(Objection.refuse("weather.rain"));
        }
        tooColdToOpen().ifPresent(all::add);
        if (flow == Flow.DEARTH) {
            all.add(Objection.warn("weather.dearth"));
        }
        return all;
    }

    Optional<Objection> tooColdToOpen() {
        return celsius < OPEN_CELSIUS
                ? Optional.of(Objection.refuse("weather.cold", Math.round(celsius), Math.round(OPEN_CELSIUS)))
                : Optional.empty();
    }

    boolean isFitToShake() {
        return !rain && celsius >= SHAKE_CELSIUS;
    }
}
