package vividcrown.core.split.recipe;

import java.time.LocalDate;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.hive.forecast.Surroundings;
import vividcrown.core.yard.Flow;

/**
 * The place and the day on which increase is to be made.
 *
 * @param beetles small hive beetle is about
 * @param kilometres between the donors' yard and where the new units go
 */
public record Conditions(LocalDate day, BeeYear year, Flow flow, boolean beetles, double kilometres,
        Assumptions assumptions) {

    /** What a forecast depends on there; food is seen to. @param ownGrowth 1 if nothing is known */
    public Surroundings fed(double ownGrowth) {
        return new Surroundings(day, year, flow, true, ownGrowth, assumptions);
    }
}
