package vividcrown.core.brood;

import java.util.List;
import vividcrown.core.reading.Fact;
import vividcrown.core.reason.Sentence;

/**
 * Facts that cannot all be true. None of them may be left out: the others then agree.
 *
 * @param facts the smallest set that clashes, the sight that does not fit first
 * @param explanations what could explain it, the likeliest first
 */
public record Clash(List<Fact> facts, List<Explanation> explanations) {

    public Clash {
        facts = List.copyOf(facts);
        explanations = List.copyOf(explanations);
    }

    /** What may lie behind facts that clash. */
    public enum Explanation {
        /** There were two queens, or the one removed was not the layer. */
        SECOND_QUEEN_MISSED, LAYING_WORKERS, WRONG_DATE,
        /** Brood was there and was overlooked. */
        BROOD_MISSED,
        /** A frame with brood came from another colony and was not written down. */
        BROOD_GIVEN,
        /** Brood was taken, eaten or chilled. */
        BROOD_LOST,
        /** A queen came or was raised sooner than expected: from a cell that was there already, or given. */
        EARLIER_CELL;

        public Sentence sentence() {
            return Sentence.of("explanation." + name());
        }
    }
}
