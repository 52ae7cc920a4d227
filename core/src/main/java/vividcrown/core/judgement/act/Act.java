package vividcrown.core.judgement.act;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.reason.Sentence;
import vividcrown.core.round.Caution;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/** One thing that can be done. */
public abstract class Act {

    /** What it may do besides what it is for. */
    enum Trait {
        /** Something good that is in there would be killed or lost by it. */
        DESTROYS,
        /** Frames or bees go to or come from another hive. */
        MOVES_FRAMES,
        /** Full boxes are lifted. */
        HEAVY
    }

    /** It rests on no virgin. */
    static final int NO_VIRGIN = -1;

    private final Action action;
    private final double cost;
    private final int daysToVirgin;
    private final Set<Trait> traits;
    private final Set<Gate> gates;

    /**
     * @param cost in bees, queens and work, in parts of a colony
     * @param daysToVirgin days from today until a virgin comes out, where it rests on one, or {@link #NO_VIRGIN}
     */
    Act(Action action, double cost, int daysToVirgin, Set<Trait> traits, Gate... gates) {
        this.action = action;
        this.cost = cost;
        this.daysToVirgin = daysToVirgin;
        this.traits = Set.copyOf(traits);
        this.gates = Set.of(gates);
    }

    public final Action action() {
        return action;
    }

    /**
     * What the colony is worth afterwards if this is what is in there: 1 for a sound colony with a laying queen, 0.6 for bees
     * that are saved in another hive, 0 for all lost. Costs are not taken off.
     */
    public abstract double worth(Case in, Circumstances at);

    /** What must happen afterwards, in order, with what each answer means. */
    public abstract List<Option.FollowUp> followUps(Circumstances at);

    /** What it costs in bees, queens and work, in parts of a colony. */
    public final double cost() {
        return cost;
    }

    public final boolean destroys() {
        return traits.contains(Trait.DESTROYS);
    }

    public final boolean movesFrames() {
        return traits.contains(Trait.MOVES_FRAMES);
    }

    /** What must be true first. */
    public final Set<Gate> gates() {
        return gates;
    }

    public final List<Caution> cautions() {
        EnumSet<Caution> cautions = EnumSet.of(Caution.STINGS);
        if (movesFrames()) {
            cautions.add(Caution.DISEASE);
        }
        if (traits.contains(Trait.HEAVY)) {
            cautions.add(Caution.LIFTING);
        }
        return List.copyOf(cautions);
    }

    /** Days from today until a virgin comes out, where it rests on one; negative where it does not. */
    public final int daysToVirgin() {
        return daysToVirgin;
    }

    static Option.FollowUp look(DatedSpan days, String what) {
        return new Option.FollowUp(days, false, Sentence.of("lookFor." + what), Sentence.of("ifNot." + what));
    }

    static Option.FollowUp look(DaySpan days, Circumstances at, String what) {
        return look(days.from(at.today()), what);
    }

    static Option.FollowUp shut(DatedSpan days) {
        return new Option.FollowUp(days, true, Sentence.of("lookFor.nothing"), Sentence.of("ifNot.nothing"));
    }

    /** When a young queen on the way begins to lay. */
    static DatedSpan herFirstEggs(Circumstances at) {
        return at.emerges().orElse(DaySpan.ofDays(0, 6, Circumstances.BROOD_TO_EMERGENCE).from(at.today()))
                .plus(at.assumptions().span(Figure.FIRST_EGGS)).notBefore(at.today());
    }
}
