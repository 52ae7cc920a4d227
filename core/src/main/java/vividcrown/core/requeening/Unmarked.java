package vividcrown.core.requeening;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import vividcrown.core.journal.Faults;
import vividcrown.core.reason.Sentence;

/**
 * An unmarked queen where a marked one was: one question, asked the same way everywhere. The old record is never closed by the
 * program; whoever looked says what became of her. Odds are common practice, from memory.
 *
 * @param odds together 1, of what became of the marked one
 * @param ask the question
 * @param settles what would tell
 */
public record Unmarked(Map<Was, Double> odds, Sentence ask, List<Sentence> settles) {

    /** What became of the marked one. */
    public enum Was {
        /** It is she: the mark came off. */
        MARK_LOST,
        /** Her daughter took her place. */
        SUPERSEDED,
        /** She left with a swarm, and a daughter stayed. */
        SWARMED,
        /** Both are there: a daughter lays beside her. */
        BOTH;

        public Sentence sentence() {
            return Sentence.of("unmarked.was." + name());
        }
    }

    /** Whether something was so; most often nobody looked. */
    public enum Seen {
        YES, NO, NOBODY_LOOKED;

        private double likelihood(double ifSo) {
            return switch (this) {
                case YES -> ifSo;
                case NO -> 1 - ifSo;
                case NOBODY_LOOKED -> 1;
            };
        }
    }

    /**
     * What is known.
     *
     * @param winters of the marked one, 0–10
     * @param monthsSinceSeen since the mark was last seen, 0–60
     * @param worn the mark was seen to wear off before
     * @param broodGap for a week or more there were no eggs since
     * @param cells queen cells, or their remains, were seen since
     * @param manyAtTheEdge of those cells most hung from the lower edge, and there were more than five
     * @param weaker it lost many bees at once
     * @param clipped the marked one had a clipped wing: is this one clipped?
     */
    public record Evidence(int winters, int monthsSinceSeen, Seen worn, Seen broodGap, Seen cells, Seen manyAtTheEdge,
            Seen weaker, Seen clipped) {
        public Evidence {
            new Faults().within("winters", winters, 0, 10).within("monthsSinceSeen", monthsSinceSeen, 0, 60).refuse();
        }
    }

    public Unmarked {
        odds = Map.copyOf(odds);
        settles = List.copyOf(settles);
    }

    /** A month: one mark in fifty comes off, more of those seen to wear. */
    private static final double LOST_A_MONTH = 0.02;
    private static final double BOTH_OF_SUPERSEDED = 0.1;

    /** Chance of a superseding or swarming within a year, by winters. */
    private static double superseded(int winters) {
        return winters == 0 ? 0.1 : winters == 1 ? 0.2 : 0.4;
    }

    private static double swarmed(int winters) {
        return winters == 0 ? 0.05 : winters == 1 ? 0.2 : 0.35;
    }

    public static Unmarked of(Evidence of) {
        double years = Math.max(1, of.monthsSinceSeen()) / 12.0;
        Map<Was, Double> odds = new EnumMap<>(Was.class);
        odds.put(Was.MARK_LOST, (1 - Math.pow(1 - LOST_A_MONTH, Math.max(1, of.monthsSinceSeen())))
                * (of.worn() == Seen.YES ? 4 : 1) * of.broodGap().likelihood(0.05) * of.cells().likelihood(0.1)
                * of.manyAtTheEdge().likelihood(0.2) * of.weaker().likelihood(0.05) * of.clipped().likelihood(0.99));
        double superseded = (1 - Math.pow(1 - superseded(of.winters()), years)) * of.cells().likelihood(0.6)
                * of.manyAtTheEdge().likelihood(0.1) * of.weaker().likelihood(0.05) * of.clipped().likelihood(0.002);
        odds.put(Was.SUPERSEDED, superseded * (1 - BOTH_OF_SUPERSEDED) * of.broodGap().likelihood(0.5));
        odds.put(Was.BOTH, superseded * BOTH_OF_SUPERSEDED * of.broodGap().likelihood(0.05));
        odds.put(Was.SWARMED, (1 - Math.pow(1 - swarmed(of.winters()), years)) * of.broodGap().likelihood(0.9)
                * of.cells().likelihood(0.8) * of.manyAtTheEdge().likelihood(0.85) * of.weaker().likelihood(0.85)
                * of.clipped().likelihood(0.002));
        double all = odds.values().stream().mapToDouble(Double::doubleValue).sum();
        odds.replaceAll((_, chance) -> chance / all);
        return new Unmarked(odds, Sentence.of("unmarked.ask"), List.of(Sentence.of("unmarked.settles.thorax"),
                Sentence.of("unmarked.settles.gap"), Sentence.of("unmarked.settles.other")));
    }
}
