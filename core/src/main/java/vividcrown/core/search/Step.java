package vividcrown.core.search;

import vividcrown.core.hive.FrameSide;
import vividcrown.core.reason.Sentence;

/** One thing to do next in a search. */
public sealed interface Step {

    Sentence sentence();

    /**
     * Lift a comb and look over both its sides.
     *
     * @param first which side to look at first
     * @param forRoom it is lifted first because it gives room, and stands outside until the hive is closed
     * @param boxesOff boxes that must be taken off before, 0 or more
     */
    record Lift(int box, int slot, FrameSide first, boolean forRoom, int boxesOff) implements Step {
        @Override
        public Sentence sentence() {
            Sentence lift = Sentence.of(forRoom ? "search.step.room" : "search.step.lift", box, slot,
                    Sentence.of("search.side." + first));
            return boxesOff > 0 ? Sentence.of("search.step.boxesOff", boxesOff, lift) : lift;
        }
    }

    /** Look at the lid, the walls, an excluder or the floor. @param boxesOff as in {@link Lift} */
    record LookAt(Place place, int boxesOff) implements Step {
        @Override
        public Sentence sentence() {
            Sentence look = Sentence.of("search.step.look", place.sentence());
            return boxesOff > 0 ? Sentence.of("search.step.boxesOff", boxesOff, look) : look;
        }
    }
}
