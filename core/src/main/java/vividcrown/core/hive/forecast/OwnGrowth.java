package vividcrown.core.hive.forecast;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import vividcrown.core.hive.Unit;

/**
 * How an operation's own units grow against the trade's figures: what was foreseen at one count is held against the next.
 *
 * <p>Each pair tells the logarithm of counted over foreseen, for four weeks; the belief is their mean, shrunk towards the trade's
 * figures as if eight pairs had been exactly right (a normal mean with a normal prior of that weight).
 *
 * @param factor units grow so many times as fast, 0.6–1.5; 1 if nothing is known
 * @param pairs that it rests on
 */
public record OwnGrowth(double factor, int pairs) {

    public static final OwnGrowth UNKNOWN = new OwnGrowth(1, 0);
    private static final double PRIOR_PAIRS = 8;
    private static final double FOUR_WEEKS = 28;
    private static final int SHORTEST_DAYS = 7;
    private static final int LONGEST_DAYS = 42;
    private static final double LEAST = 0.6;
    private static final double MOST = 1.5;
    /** A single pair further off than this is a swarm, a split nobody wrote down, or a slip. */
    private static final double OUTLIER = 0.9;

    /**
     * One unit counted twice, with nothing taken or given in between.
     *
     * @param before as it was counted first, at {@code there}'s day
     * @param counted frames of bees at the second count
     */
    public record Pair(Unit before, LocalDate on, double counted, Surroundings there) {

        /** Near enough in time to tell of growth, and not so near that it tells of the count alone. */
        public boolean tells() {
            long days = ChronoUnit.DAYS.between(before.readOn(), on);
            return days >= SHORTEST_DAYS && days <= LONGEST_DAYS && before.framesOfBees() > 0 && counted > 0;
        }
    }

    /** @param pairs those that tell nothing are left out */
    public static OwnGrowth of(List<Pair> pairs) {
        double sum = 0;
        int told = 0;
        for (Pair pair : pairs) {
            if (!pair.tells()) {
                continue;
            }
            int days = (int) ChronoUnit.DAYS.between(pair.before().readOn(), pair.on());
            double foreseen = Forecaster.of(pair.before(), pair.there().on(pair.before().readOn()), days).in(days)
                    .framesOfBees().likely();
            double off = Math.log(pair.counted() / Math.max(0.1, foreseen)) * FOUR_WEEKS / days;
            if (Math.abs(off) <= OUTLIER * FOUR_WEEKS / days) {
                sum += off;
                told++;
            }
        }
        return told == 0
                ? UNKNOWN
                : new OwnGrowth(Math.clamp(Math.exp(sum / (told + PRIOR_PAIRS)), LEAST, MOST), told);
    }
}
