package vividcrown.core.yard;

import java.util.Optional;

/** What bees find at a place. */
public enum Flow {
    DEARTH, LITTLE, GOOD, STRONG;

    /** Fewer hives say nothing of a place. */
    private static final int FEWEST_HIVES = 2;
    private static final double MOST = 0.6;
    private static final double SOME = 0.25;

    /**
     * What fresh nectar in the combs tells. Strong is never read from it: nectar looks the same in a good flow and in a great one.
     * Source: common practice.
     *
     * @param looked hives of the place in which nectar was looked for of late
     * @param found of these, with fresh nectar
     * @return empty if too few were looked at
     */
    public static Optional<Flow> ofNectar(int looked, int found) {
        if (looked < FEWEST_HIVES) {
            return Optional.empty();
        }
        double share = (double) found / looked;
        return Optional.of(share >= MOST ? GOOD : share >= SOME ? LITTLE : DEARTH);
    }
}
