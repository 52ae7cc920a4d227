package vividcrown.core.split;

import java.util.List;
import java.util.Optional;
import vividcrown.core.hive.forecast.Forecast;
import vividcrown.core.reason.Sentence;

/**
 * How two hives become one without putting the better queen at risk.
 *
 * @param keeps the hive whose queen stays; empty if nothing is united
 * @param gives the hive that is given up
 * @param because why she
 * @param ways the safest first; a way whose gates are not met stands last with what it wants
 * @param combs what becomes of the combs of the other
 * @param united what the two are together
 * @param alone what the better one is without
 */
public record UnitePlan(Optional<String> keeps, Optional<String> gives, List<Sentence> because, List<Way> ways,
        List<Sentence> combs, List<Objection> objections, Optional<Forecast> united, Optional<Forecast> alone) {

    public UnitePlan {
        because = List.copyOf(because);
        ways = List.copyOf(ways);
        combs = List.copyOf(combs);
        objections = List.copyOf(objections);
    }

    /** How it is done. */
    public enum How {
        /** The poorer queen is out: over paper. */
        PAPER,
        /** A nuc with its laying queen into the middle of a queenless box, over paper or between its combs. */
        NUC_INTO_HIVE,
        /** She was not found: the box carried off, shaken out before the good hive, an excluder guarding it. */
        SHAKE_OUT_GUARDED,
        /** Shaken out far off; bees beg in where they like, laying workers stay behind. */
        SHAKE_OUT_FAR
    }

    /**
     * @param mayBeDone every gate is met today
     * @param wants what is not met, with the way out
     * @param queenSafe chance that the better queen comes to no harm, 0–1
     * @param takesPlace the hive that stays is put on the other's place
     */
    public record Way(How how, boolean mayBeDone, List<Sentence> wants, List<Sentence> steps, List<Sentence> done,
            List<SplitPlan.Step> looks, double queenSafe, boolean takesPlace) {
    }
}
