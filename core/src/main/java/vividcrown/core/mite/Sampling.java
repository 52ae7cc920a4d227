package vividcrown.core.mite;

import org.hipparchus.distribution.continuous.BetaDistribution;
import org.hipparchus.distribution.discrete.HypergeometricDistribution;
import vividcrown.core.journal.Faults;

/** How many hives of a yard to look at. */
public final class Sampling {

    private static final int MOST_HIVES = 10_000;
    private static final double TAIL = 0.025;

    private Sampling() {
    }

    /**
     * So many that, if at least this share of the yard is over its threshold, one of them is found with this chance. Exact, drawn
     * without putting back (hypergeometric).
     *
     * @param hives in the yard, 1–10,000
     * @param share of them that would be over it, above 0, at most 1
     * @param chance of finding one, above 0, below 1
     */
    public static int toFind(int hives, double share, double chance) {
        new Faults().within("hives", hives, 1, MOST_HIVES).within("share", share, 0.001, 1)
                .within("chance", chance, 0.01, 0.9999).refuse();
        int over = Math.max(1, (int) Math.ceil(share * hives));
        for (int looked = 1; looked <= hives; looked++) {
            double none = new HypergeometricDistribution(hives, over, looked).probability(0);
            if (1 - none >= chance) {
                return looked;
            }
        }
        return hives;
    }

    /**
     * So many that the share over its threshold is known within this much either way, with 95 % (exact interval at the worst share,
     * one half, narrowed because the yard is finite).
     *
     * @param hives in the yard, 1–10,000
     * @param within share, 0.01–0.5
     */
    public static int toKnow(int hives, double within) {
        new Faults().within("hives", hives, 1, MOST_HIVES).within("within", within, 0.01, 0.5).refuse();
        for (int looked = 1; looked < hives; looked++) {
            double narrowed = Math.sqrt((hives - looked) / (hives - 1.0));
            if (halfWidth(looked) * narrowed <= within) {
                return looked;
            }
        }
        return hives;
    }

    private static double halfWidth(int looked) {
        int over = looked / 2;
        double low = over == 0 ? 0 : new BetaDistribution(over, looked - over + 1.0).inverseCumulativeProbability(TAIL);
        double high = new BetaDistribution(over + 1.0, looked - over).inverseCumulativeProbability(1 - TAIL);
        return (high - low) / 2;
    }
}
