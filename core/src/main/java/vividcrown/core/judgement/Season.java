package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;

/**
 * The time of year as bees have it. Common practice for a temperate climate; half a year apart south of the equator.
 *
 * @param southern the place lies south of the equator
 */
public record Season(boolean southern) {

    public static final Season NORTHERN = new Season(false);

    private static final double[] LAY_SHARE = {0.3, 0.65, 0.92, 0.995, 0.999, 0.999, 0.998, 0.995, 0.992, 0.9, 0.5,
            0.3};
    private static final double[] SWARM_SHARE = {0, 0, 0.0005, 0.003, 0.007, 0.006, 0.003, 0.001, 0.0004, 0, 0, 0};

    /** Month as in the northern half of the world, from 1. */
    private int month(LocalDate day) {
        return southern ? Math.floorMod(day.getMonthValue() + 5, 12) + 1 : day.getMonthValue();
    }

    /** Share of colonies with a laying queen that have brood at this time. */
    double layShare(LocalDate day) {
        return LAY_SHARE[month(day) - 1];
    }

    /** Chance a day that a strong colony begins swarm cells. */
    double swarmShare(LocalDate day) {
        return SWARM_SHARE[month(day) - 1];
    }

    /** Whether colonies swarm at this time, so that weekly looks are due. */
    public boolean isSwarmSeason(LocalDate day) {
        return swarmShare(day) >= 0.003;
    }

    /** Whether drones for mating can be counted on. */
    public boolean hasDrones(LocalDate day) {
        int month = month(day);
        return month >= 4 && month <= 9;
    }

    /** What is thought of any colony before anything is known of it. */
    Map<Status, Double> prior(LocalDate day) {
        Map<Status, Double> prior = new EnumMap<>(Status.class);
        boolean rearing = hasDrones(day);
        prior.put(Status.CELLS, 0.01 + 8 * swarmShare(day));
        prior.put(Status.JUST_SWARMED, 0.002 + 1.5 * swarmShare(day));
        prior.put(Status.VIRGIN, rearing ? 0.05 : 0.012);
        prior.put(Status.DRONE_LAYER, 0.018);
        prior.put(Status.LAYING_WORKERS, 0.014);
        prior.put(Status.HOPELESSLY_QUEENLESS, 0.02);
        prior.put(Status.TWO_QUEENS, 0.008);
        prior.put(Status.RECENTLY_QUEENLESS, 0.012);
        double others = prior.values().stream().mapToDouble(Double::doubleValue).sum();
        prior.put(Status.LAYING_QUEEN, 1 - others);
        return prior;
    }
}
