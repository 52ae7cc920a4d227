package vividcrown.core.hive.forecast;

import java.time.LocalDate;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.yard.Flow;

/**
 * What a forecast depends on besides the hive itself.
 *
 * @param flow what the bees find now; how long it lasts is not known
 * @param fed food is seen to: nobody starves
 * @param ownGrowth by the operation's own counts, its units grow so many times as fast as the trade's; 1 if nothing is known
 */
public record Surroundings(LocalDate today, BeeYear year, Flow flow, boolean fed, double ownGrowth,
        Assumptions assumptions) {

    public Surroundings with(boolean isFed) {
        return new Surroundings(today, year, flow, isFed, ownGrowth, assumptions);
    }

    public Surroundings on(LocalDate day) {
        return new Surroundings(day, year, flow, fed, ownGrowth, assumptions);
    }
}
