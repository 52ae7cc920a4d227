package vividcrown.core.mating;

import java.time.LocalDate;
import java.util.List;
import vividcrown.core.reason.Wrong;
import vividcrown.core.time.Monthly;

/** How often a queen can fly to mate at a place: the chance of a fit afternoon on a day, from its climate. */
@FunctionalInterface
public interface MatingClimate {

    /** An upland valley near 46° N: chance of a fit afternoon in each month. Made up for want of a place of one's own. */
    MatingClimate UPLAND_46_NORTH = byMonth(
            List.of(0.0, 0.0, 0.03, 0.18, 0.42, 0.58, 0.66, 0.6, 0.25, 0.03, 0.0, 0.0));

    /** Chance of an afternoon fit for mating, 0–1. */
    double fitAfternoon(LocalDate day);

    /**
     * From twelve monthly chances, each taken for the middle of its month and straight in between.
     *
     * @throws IllegalArgumentException unless there are twelve, each between 0 and 1
     */
    static MatingClimate byMonth(List<Double> chances) {
        if (chances.size() != 12 || chances.stream().anyMatch(chance -> !(chance >= 0 && chance <= 1))) {
            throw Wrong.of("wrong.MatingClimate", chances);
        }
        return new Monthly(chances)::on;
    }
}
