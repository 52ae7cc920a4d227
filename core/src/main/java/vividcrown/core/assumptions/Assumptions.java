package vividcrown.core.assumptions;

import vividcrown.core.brood.DevelopmentClock;
import vividcrown.core.time.DaySpan;

/**
 * The day-counts of the trade from cell to laying queen. An operation may lay its own values over the defaults.
 *
 * @param queen development of a queen, from the egg
 * @param drone development of a drone, from the egg
 * @param untouchable development days in which a sealed cell is easily hurt: do not jar, tilt or chill
 * @param emergenceCheck from placing a ripe cell to looking whether the virgin is out
 * @param virginIntroduction from emergence in an incubator cage to giving the virgin to a nuc
 * @param maturity from emergence to sexual maturity
 * @param matingFlights from emergence to the days on which she may fly
 * @param firstEggs from emergence to her first eggs
 * @param firstLook from placing a ripe cell to the first look for eggs
 * @param late days after emergence from which missing eggs are called late
 * @param dronesOnly days after emergence from which an unmated queen will only lay drones
 * @param flatSealedBrood from her first eggs to a patch of flat sealed worker brood
 * @param lookAgain from a look without eggs to the next
 * @param droneMaturity from a drone's emergence to his first mating
 * @param droneLead from drone comb laid up to the first mating flights
 */
public record Assumptions(DevelopmentClock queen, DevelopmentClock drone, DaySpan untouchable, DaySpan emergenceCheck,
        DaySpan virginIntroduction, DaySpan maturity, DaySpan matingFlights, DaySpan firstEggs, DaySpan firstLook,
        int late, int dronesOnly, DaySpan flatSealedBrood, DaySpan lookAgain, DaySpan droneMaturity,
        DaySpan droneLead) {

    private static final Assumptions STANDARD = new Assumptions(DevelopmentClock.QUEEN, DevelopmentClock.DRONE,
            DaySpan.ofDays(9, 11, 13), DaySpan.ofDays(2, 3, 4), DaySpan.ofDays(1, 1, 3), DaySpan.ofDays(5, 6, 7),
            DaySpan.ofDays(5, 9, 14), DaySpan.ofDays(8, 11, 16), DaySpan.ofDays(14, 14, 21), 21, 28, DaySpan.ofDays(9),
            DaySpan.ofDays(5, 7, 7), DaySpan.ofDays(12, 14, 16), DaySpan.ofDays(38, 39, 40));

    /** The trade's defaults; each figure's source stands beside the step that uses it. */
    public static Assumptions standard() {
        return STANDARD;
    }
}
