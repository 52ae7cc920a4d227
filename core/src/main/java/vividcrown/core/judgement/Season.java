package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.List;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.odds.LossStep;
import vividcrown.core.time.Monthly;

/**
 * The time of year as bees have it at a place. Common practice for a temperate climate, turned by half a year south of the
 * equator, and moved by how warm the place is: the swarm season comes with the first afternoons fit to fly, drones go with
 * the last, and laying rests only where it is cold.
 *
 * @param southern the place lies south of the equator
 * @param climate how often an afternoon there is fit for flight
 * @param mates share of virgins that come to lay where the weather lets them, 0–1: the trade's, or the operation's own
 */
public record Season(boolean southern, MatingClimate climate, double mates) {

    public static final Season NORTHERN = new Season(false);

    /** Share of colonies with a mated queen that have brood, in an upland valley of the northern half. */
    private static final Monthly LAY_SHARE = new Monthly(
            List.of(0.3, 0.65, 0.92, 0.99, 0.998, 0.998, 0.998, 0.995, 0.985, 0.9, 0.5, 0.3));
    /** Swarm cells begun a day by a strong colony at the height of the season. */
    private static final double SWARM_AT_ITS_HEIGHT = 0.0075;
    private static final double SWARM_SEASON_FROM = 0.0024;
    /** By so much the odds of laying rise with each degree that a place is warmer than the upland valley. */
    private static final double ODDS_A_DEGREE = 0.35;
    private static final int HALF_YEAR_MONTHS = 6;
    private static final int MONTH_DAYS = 30;
    private static final double HARDLY = 0.015;
    private static final int SHUT_AHEAD_DAYS = 14;
    private static final double DRONES_FLY_FROM = 0.08;

    /** With the trade's losses at mating. */
    public Season(boolean southern, MatingClimate climate) {
        this(southern, climate, LossStep.MATING.prior().mean());
    }

    /** Of an upland valley near 46° N, or as far south. */
    public Season(boolean southern) {
        this(southern, uplandClimate(southern));
    }

    /** Of a place of which only the half of the world is known. */
    public static MatingClimate uplandClimate(boolean southern) {
        return southern
                ? day -> MatingClimate.UPLAND_46_NORTH.fitAfternoon(day.plusMonths(HALF_YEAR_MONTHS))
                : MatingClimate.UPLAND_46_NORTH;
    }

    /** How colonies grow and fly there through the year. */
    public BeeYear year() {
        return new BeeYear(southern, climate);
    }

    /** Share of colonies with a mated queen that have brood at this time; it tapers over weeks and stops on no date. */
    double layShare(LocalDate day) {
        BeeYear year = year();
        double upland = LAY_SHARE.on(year.inTheNorth(day));
        double odds = upland / (1 - upland) * Math.exp(ODDS_A_DEGREE * year.degreesWarmer(day));
        return odds / (1 + odds);
    }

    /** Chance a day that a strong colony begins swarm cells: with rising warmth, hardly once it falls. */
    double swarmShare(LocalDate day) {
        double fit = climate.fitAfternoon(day);
        double rising = climate.fitAfternoon(day.plusDays(MONTH_DAYS))
                - climate.fitAfternoon(day.minusDays(MONTH_DAYS));
        return SWARM_AT_ITS_HEIGHT * Math.min(1, fit / 0.4) * Math.clamp(0.4 + 1.9 * rising, 0.1, 1);
    }

    /** Whether colonies swarm at this time, so that weekly looks are due. */
    public boolean isSwarmSeason(LocalDate day) {
        return swarmShare(day) >= SWARM_SEASON_FROM;
    }

    /** No afternoon is warm, nor will be for weeks: hives stay shut. */
    public boolean isWinter(LocalDate day) {
        return climate.fitAfternoon(day) < HARDLY && climate.fitAfternoon(day.plusDays(SHUT_AHEAD_DAYS)) < HARDLY;
    }

    /** Whether drones for mating can be counted on. */
    public boolean hasDrones(LocalDate day) {
        return climate.fitAfternoon(day) >= DRONES_FLY_FROM;
    }
}
