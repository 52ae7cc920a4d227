package vividcrown.core.split;

import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;

/**
 * What is to be done at a unit after it was made.
 *
 * @param when the days on which to do it
 */
public record Due(Work work, DatedSpan when) {

    /** What follows a split. */
    public enum Work {
        /** The entrance, forgotten more often than anything else. */
        OPEN, SHUT_IN, OPEN_AFTER,
        /** Bees by the cup into units without brood. */
        CUP, FEED, FEED_AGAIN,
        /** The old queen may have come along: eggs say so. */
        MAY_HOLD_HER,
        /** Her eggs say that she is still in the hive that gave. */
        STILL_THERE, REDUCE_CELLS, GIVE_CELL, EMERGED, GIVE_QUEEN, RELEASED, OLD_QUEEN, COUNT,
        /** From above: a virgin is about. */
        COUNT_OUTSIDE, EGGS, EGGS_OF_HERS, FALLBACK, HANDS_OFF;

        /** Whether a reading of the hive answers it. */
        public boolean isALook() {
            return switch (this) {
                case MAY_HOLD_HER, STILL_THERE, OLD_QUEEN, COUNT, COUNT_OUTSIDE, EGGS, EGGS_OF_HERS, EMERGED ->
                    true;
                case OPEN, SHUT_IN, OPEN_AFTER, CUP, FEED, FEED_AGAIN, REDUCE_CELLS, GIVE_CELL, GIVE_QUEEN, RELEASED,
                        FALLBACK, HANDS_OFF ->
                    false;
            };
        }

        /** Whether it concerns a queen to come: it is not done while the old one may be in there. */
        public boolean isForANewQueen() {
            return switch (this) {
                case GIVE_CELL, GIVE_QUEEN, EMERGED, RELEASED, REDUCE_CELLS, EGGS, EGGS_OF_HERS, FALLBACK, HANDS_OFF ->
                    true;
                default -> false;
            };
        }

        /** Whether it is done while the unit is being made, before anybody drives home. */
        public boolean isAtOnce() {
            return switch (this) {
                case OPEN, SHUT_IN, CUP, FEED -> true;
                default -> false;
            };
        }
    }

    public Sentence words() {
        return Sentence.of("split.step." + work.name(), when);
    }
}
