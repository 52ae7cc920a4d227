package vividcrown.core.split;

import vividcrown.core.hive.Amount;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;

/**
 * Which share of the bees taken flies home. Common practice: within three fine days nearly all foragers, 25–40 % of the bees on
 * mixed frames, 10–15 % of bees shaken from open brood; about half of that if shut in for three days or with a turned, screened
 * entrance; beyond five kilometres none.
 *
 * @param fromFrames of bees that came on their frames, 0–1
 * @param fromShakes of nurses shaken from open brood, 0–1
 */
public record Drift(Amount fromFrames, Amount fromShakes, Reason because) {

    /** Bees know the land so far around, km: beyond, none return. */
    public static final double NONE_RETURN_KM = 5;
    /** Nearer than this they all know the way. */
    private static final double ALL_KNOW_KM = 2;
    private static final Amount FRAMES = new Amount(0.25, 0.32, 0.4);
    private static final Amount SHAKES = new Amount(0.1, 0.12, 0.15);
    private static final double HALF = 0.5;
    private static final double MOST = 0.95;

    /** @param kilometres between the two yards; of no matter within one yard; 0 where nobody said how far: far enough */
    public static Drift of(Place place, double kilometres) {
        double share = switch (place) {
            case SAME_YARD -> 1;
            case TURNED_ENTRANCE, SHUT_IN -> HALF;
            case AWAY -> kilometres <= 0
                    ? 0
                    : Math.clamp((NONE_RETURN_KM - kilometres) / (NONE_RETURN_KM - ALL_KNOW_KM), 0, 1);
        };
        String key = switch (place) {
            case SAME_YARD -> "drift.SAME_YARD";
            case TURNED_ENTRANCE -> "drift.TURNED_ENTRANCE";
            case SHUT_IN -> "drift.SHUT_IN";
            case AWAY -> share == 0 ? "drift.AWAY" : "drift.near";
        };
        return new Drift(FRAMES.map(one -> one * share), SHAKES.map(one -> one * share),
                Reason.of(Source.COMMON_PRACTICE, key, Math.round(kilometres * 10) / 10.0));
    }

    /** The same where so many times the usual share flies home; never all. */
    public Drift times(double factor) {
        return factor == 1
                ? this
                : new Drift(fromFrames.map(one -> Math.min(MOST, one * factor)),
                        fromShakes.map(one -> Math.min(MOST, one * factor)), because);
    }

    /** Share of bees on frames that stays, most likely. */
    double stayOnFrames() {
        return 1 - fromFrames.likely();
    }

    double stayOfShakes() {
        return 1 - fromShakes.likely();
    }
}
