package vividcrown.core.split;

import java.util.List;

/**
 * How many bees fly home from this operation's own splits against the trade's figures: what was put in is held against what was
 * counted a few days later.
 *
 * <p>The shares lost are summed over all pairs, and as if eight splits in the yard had lost exactly what the trade says.
 *
 * @param factor so many times the trade's share flies home, 0.3–2.5; 1 if nothing is known
 * @param pairs that it rests on
 */
public record OwnDrift(double factor, int pairs) {

    public static final OwnDrift UNKNOWN = new OwnDrift(1, 0);
    private static final double PRIOR_PAIRS = 8;
    /** Where hardly any fly home a count says nothing of drift. */
    private static final double TELLS = 0.05;
    private static final double LEAST = 0.3;
    private static final double MOST = 2.5;
    private static final double MOST_LOST = 0.9;

    /**
     * A unit as it was made, and counted once its flyers had gone. One in another yard tells nothing: how far it was is not known any
     * more.
     *
     * @param put frames of bees that went in
     * @param stayed frames of bees at the count, two to six days later
     */
    public record Pair(Place place, double put, double stayed) {
        private double expected() {
            return Drift.of(place, 0).fromFrames().likely();
        }

        private boolean tells() {
            return put > 0 && expected() >= TELLS;
        }

        private double lost() {
            return Math.clamp((put - stayed) / put, 0, MOST_LOST);
        }
    }

    /** @param pairs those that tell nothing are left out */
    public static OwnDrift of(List<Pair> pairs) {
        List<Pair> telling = pairs.stream().filter(Pair::tells).toList();
        double usual = PRIOR_PAIRS * Drift.of(Place.SAME_YARD, 0).fromFrames().likely();
        double lost = telling.stream().mapToDouble(Pair::lost).sum();
        double expected = telling.stream().mapToDouble(Pair::expected).sum();
        return telling.isEmpty()
                ? UNKNOWN
                : new OwnDrift(Math.clamp((lost + usual) / (expected + usual), LEAST, MOST), telling.size());
    }
}
