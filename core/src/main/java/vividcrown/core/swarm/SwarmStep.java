package vividcrown.core.swarm;

import java.util.List;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;

/**
 * One step of a swarm plan.
 *
 * @param when the days on which to do it
 * @param gate what must be so before the next step may begin
 * @param reasons why, and why then; never empty
 */
public record SwarmStep(Kind kind, DatedSpan when, Gate gate, List<Reason> reasons) {

    public SwarmStep {
        reasons = List.copyOf(reasons);
    }

    /** What is done. */
    public enum Kind {
        GIVE_ROOM, KNOCK_DOWN_CUPS, CATCH_QUEEN, MAKE_NUC, DRAWN_COMB_IN_GAP, SHAKE_AND_DESTROY, MARK_ONE_CELL,
        QUEEN_BACK,
        /** She stays in her cage: it is set aside, and hung back. */
        SEE_HER_CAGED, CAGE_BACK, CHECK_AGAIN, RETURN_AND_REDUCE, CHECK_FOR_NEW_CELLS, LEAVE_SHUT, LOOK_FOR_EGGS,
        JUDGE_BROOD,
        CHECK_NUC, LEAVE_ALONE;

        /** The verb, as said to whoever does it. */
        public Sentence sentence() {
            return Sentence.of("swarmStep." + name());
        }

        /** Done by reading the colony, on the pad. */
        public boolean isLook() {
            return switch (this) {
                case CHECK_AGAIN, CHECK_FOR_NEW_CELLS, LOOK_FOR_EGGS, JUDGE_BROOD -> true;
                case GIVE_ROOM, KNOCK_DOWN_CUPS, CATCH_QUEEN, MAKE_NUC, DRAWN_COMB_IN_GAP, SHAKE_AND_DESTROY,
                        MARK_ONE_CELL, QUEEN_BACK, SEE_HER_CAGED, CAGE_BACK, RETURN_AND_REDUCE, LEAVE_SHUT, CHECK_NUC,
                        LEAVE_ALONE ->
                    false;
            };
        }
    }

    /** A condition that must be ticked, not assumed. */
    public enum Gate {
        NONE,
        /** Nothing is shaken before she is caged or in the nuc. */
        QUEEN_IN_HAND,
        /** Each frame of the hive was shaken free of bees and both sides searched. */
        ALL_FRAMES_SHAKEN,
        /** One living cell is left in the hive, no more, no less. */
        EXACTLY_ONE_LEFT
    }
}
