package vividcrown.core.judgement;

import java.util.List;
import java.util.Map;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;

/**
 * A look or test, and what it would be worth.
 *
 * @param when the days to do it, or to read it
 * @param bits by how much it is expected to lessen the doubt about the state
 * @param outcomes what may be found, how likely that is, and what it would mean
 */
public record BestLook(Kind kind, DatedSpan when, double bits, List<Outcome> outcomes) {

    public BestLook {
        outcomes = List.copyOf(outcomes);
    }

    /** What can be looked for. */
    public enum Kind {
        /** Look for eggs and how they lie. */
        EGGS,
        /** Look whether sealed brood is flat or domed. */
        SEALED_BROOD,
        /** Search every frame for queen cells and empty ones. */
        CELLS,
        /** Search for the queen. */
        QUEEN,
        /** Give a frame with eggs and young larvae, and read it some days later. */
        TEST_FRAME;

        public Sentence sentence() {
            return Sentence.of("look." + name());
        }
    }

    /**
     * @param found what is found, in words
     * @param chance how likely that is
     * @param leading the state that would then lead
     * @param odds the chance it would then have
     * @param then what would then be thought of what is in there, on the day of the look; together 1
     */
    public record Outcome(Sentence found, double chance, Status leading, double odds, Map<Case, Double> then) {
        public Outcome {
            then = Map.copyOf(then);
        }
    }
}
