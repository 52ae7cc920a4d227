package vividcrown.core.split;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vividcrown.core.hive.forecast.Forecast;
import vividcrown.core.odds.Interval;
import vividcrown.core.reason.Sentence;

/**
 * What becomes of each unit before winter.
 *
 * @param fates the first to be decided first
 * @param splits what pooled autumn splits would bring
 * @param lastWarmDay the last day of this season on which bees can be put together
 */
public record LateSeasonPlan(List<Fate> fates, Splits splits, LocalDate lastWarmDay) {

    public LateSeasonPlan {
        fates = List.copyOf(fates);
    }

    /** The best use of a unit. */
    public enum Use {
        LEAVE, FEED,
        /** In a small box over a strong warm neighbour. */
        OVER_A_NEIGHBOUR, BOOST, GIVE_QUEEN,
        /** Wait for its young queen, with the day by which she must lay. */
        WAIT,
        /** Look for her first. */
        LOOK, UNITE, SHAKE_OUT,
        /** Nobody near can take it: bees shaken to neighbours, combs shared out or kept. */
        BREAK_UP, SETTLE_DISEASE
    }

    /**
     * @param decideBy the day, two weeks before the last warm one or earlier
     * @param into the hive it goes into or over
     * @param comesThrough chance that the unit is there in spring if it is used so, 0–1; 0 where it is given up
     * @param winter what it would go into winter with
     */
    public record Fate(String code, Use use, LocalDate decideBy, Optional<String> into, double comesThrough,
            Forecast.Winter winter, Sentence words) {
    }

    /**
     * @param made units that could be made
     * @param survive of them, expected in spring
     * @param survival share that comes through, with 90 %
     */
    public record Splits(int made, double survive, Interval survival, SplitPlan plan, Sentence words) {
    }
}
