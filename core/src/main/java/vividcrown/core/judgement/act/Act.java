package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.reason.Sentence;
import vividcrown.core.round.Caution;
import vividcrown.core.time.DatedSpan;

/** One thing that can be done. */
public interface Act {

    Action action();

    /**
     * What the colony is worth afterwards if this is what is in there: 1 for a sound colony with a laying queen, 0.6 for bees
     * that are saved in another hive, 0 for all lost. Costs are not taken off.
     */
    double worth(Case in, Circumstances at);

    /** What it costs in bees, queens and work, in parts of a colony. */
    double cost();

    /** Something good that is in there would be killed or lost by it. */
    default boolean destroys() {
        return false;
    }

    /** Frames or bees go to or come from another hive. */
    default boolean movesFrames() {
        return false;
    }

    /** What must be true first. */
    default Set<Gate> gates() {
        return Set.of();
    }

    /** What must happen afterwards, in order, with what each answer means. */
    List<Option.FollowUp> followUps(Circumstances at);

    default List<Caution> cautions() {
        return movesFrames() ? List.of(Caution.STINGS, Caution.DISEASE) : List.of(Caution.STINGS);
    }

    /** Days from today until a virgin comes out, where it rests on one; negative where it does not. */
    default int daysToVirgin() {
        return -1;
    }

    static Option.FollowUp look(DatedSpan days, String what) {
        return new Option.FollowUp(days, false, Sentence.of("lookFor." + what), Sentence.of("ifNot." + what));
    }

    static Option.FollowUp shut(DatedSpan days) {
        return new Option.FollowUp(days, true, Sentence.of("lookFor.nothing"), Sentence.of("ifNot.nothing"));
    }
}
