package vividcrown.core.rearing;

/**
 * How old the grafted larvae are, in hours since hatching. Under 24 h is wanted (Büchler et al. 2013, from memory).
 *
 * <p>The trade counts a graft as development day 4, which is the older end of 12–24 h. Two dates use different ends on
 * purpose: sealing is counted from the <em>youngest</em> larva, because one wants to find the cells sealed; emergence
 * from the <em>oldest</em>, because the first virgin out kills the rest. This gives the trade's graft + 4 to 5 for
 * sealing and graft + 11 to 13 for emergence.
 */
public enum LarvaAge {
    UNDER_12_H(0, 12), FROM_12_TO_24_H(12, 24), FROM_24_TO_36_H(24, 36);

    private static final int HATCHING_HOURS = 72;
    private final int youngestHours;
    private final int oldestHours;

    LarvaAge(int youngestHours, int oldestHours) {
        this.youngestHours = youngestHours;
        this.oldestHours = oldestHours;
    }

    /** Hours since the egg was laid, of the youngest larva grafted. */
    public int youngestSinceEggHours() {
        return HATCHING_HOURS + youngestHours;
    }

    /** Hours since the egg was laid, of the oldest larva grafted. */
    public int oldestSinceEggHours() {
        return HATCHING_HOURS + oldestHours;
    }

    boolean isOlderThanWanted() {
        return oldestHours > 24;
    }
}
