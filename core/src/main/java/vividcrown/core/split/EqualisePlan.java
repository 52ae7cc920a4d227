package vividcrown.core.split;

import java.util.List;
import java.util.Optional;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.odds.Interval;
import vividcrown.core.reason.Sentence;

/**
 * Who gives which frame, or how many bees, to whom.
 *
 * @param verdicts of every unit, in the order given
 * @param gifts fewest moves that bring most units to their target
 * @param pools weak units that nobody can help: better one that stands than two that do not
 * @param sample what the units not counted are likely to be
 * @param proven no plan is better
 * @param gap how far the best there can be may lie above it, 0–1
 */
public record EqualisePlan(List<Verdict> verdicts, List<Gift> gifts, List<Pool> pools, Optional<Sample> sample,
        int opened, boolean proven, double gap, double seconds) {

    public EqualisePlan {
        verdicts = List.copyOf(verdicts);
        gifts = List.copyOf(gifts);
        pools = List.copyOf(pools);
    }

    /** How a unit stands against its target. */
    public enum Stands {
        /** It has frames or bees to spare. */
        CAN_GIVE, RIGHT,
        /** It lacks something. */
        SHORT,
        /** Half its target or less: it was over-split. */
        OVER_SPLIT,
        /** Left alone for now: the queen is not settled, hands off, a sign of disease. */
        WAITS
    }

    public record Verdict(String code, Stands stands, int brood, double bees, Sentence words) {
    }

    /** What is given. */
    public enum What {
        BROOD_WITH_ITS_BEES, SHAKE_OF_NURSES
    }

    /**
     * @param frame which one of the giver's; empty for a shake
     * @param search both its sides are searched for the queen first
     * @param toSlot where it hangs in the unit that gets it: the side away from its queen; 0 for a shake
     */
    public record Gift(String from, String to, What what, Optional<FrameAt> frame, boolean search, int toSlot,
            Sentence because) {
    }

    /** @param into the unit that is kept */
    public record Pool(String weak, String into, Sentence because) {
    }

    /**
     * From those counted to all.
     *
     * @param counted units that were counted
     * @param inAll units there are
     * @param overSplit share of all that has half its target or less
     * @param likely how many of those not counted will be short, least and most with 90 %
     */
    public record Sample(int counted, int inAll, Interval overSplit, Interval likely, Sentence words) {
    }
}
