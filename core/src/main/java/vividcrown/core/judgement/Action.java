package vividcrown.core.judgement;

import java.util.Optional;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reason.Sentence;
import vividcrown.core.search.WhySearch;

/** What can be done about the queen of a colony; the schools of the trade between them. */
public enum Action {
    LEAVE_ALONE, LOOK_AGAIN, TEST_FRAME, WAIT_FOR_YOUNG_QUEEN, REDUCE_TO_ONE_CELL,
    /** Cage her, shake every frame, destroy every cell, come back in five to seven days. */
    REMOVE_CELLS,
    /** Destroy every cell beside a queen who waits in her cage. */
    CUT_CELLS, ARTIFICIAL_SWARM, GIVE_CELL,
    GIVE_QUEEN,
    /** Brood and nurses first, a queen some hours to a day later. */
    BROOD_THEN_QUEEN,
    /** A frame with good swarm cells: weeks are saved against eggs. */
    GIVE_FRAME_WITH_CELLS,
    /** Remove the poor queen, then give a better one. */
    REQUEEN,
    /** Find the poor queen and remove her first, then unite. */
    UNITE, SHAKE_OUT,
    /** Shake out far off and put a queenright nuc in the place. */
    SHAKE_OUT_FOR_A_NUC,
    /** Open brood every week for three weeks, then a queen. */
    BROOD_WEEKLY, BREAK_UP, MARK_BOTH;

    /** What it does to the colony at once: choosing a test frame is giving brood. Empty where it does nothing of the kind. */
    public Optional<EventKind> does() {
        return switch (this) {
            case TEST_FRAME, BROOD_WEEKLY, BROOD_THEN_QUEEN -> Optional.of(EventKind.BROOD_GIVEN);
            case GIVE_CELL -> Optional.of(EventKind.CELL_GIVEN);
            case LEAVE_ALONE, LOOK_AGAIN, WAIT_FOR_YOUNG_QUEEN, REDUCE_TO_ONE_CELL, REMOVE_CELLS, CUT_CELLS,
                    ARTIFICIAL_SWARM,
                    GIVE_QUEEN,
                    GIVE_FRAME_WITH_CELLS, REQUEEN, UNITE, SHAKE_OUT, SHAKE_OUT_FOR_A_NUC, BREAK_UP, MARK_BOTH ->
                Optional.empty();
        };
    }

    /** What the queen must be found for before anything else is done, if one may be in there: empty where nothing hangs on it. */
    public Optional<WhySearch> findsHerFor() {
        return switch (this) {
            // in the hive that is joined she would meet the better one: a search in vain leaves it undone
            case REQUEEN, UNITE -> Optional.of(WhySearch.TAKE_OUT);
            case REMOVE_CELLS -> Optional.of(WhySearch.CAGE);
            case MARK_BOTH -> Optional.of(WhySearch.MARK);
            // whether she is worth keeping is seen when she is in hand
            case CUT_CELLS, ARTIFICIAL_SWARM, BREAK_UP, SHAKE_OUT, SHAKE_OUT_FOR_A_NUC ->
                Optional.of(WhySearch.KEEP_SAFE);
            case LEAVE_ALONE, LOOK_AGAIN, TEST_FRAME, WAIT_FOR_YOUNG_QUEEN, REDUCE_TO_ONE_CELL, GIVE_CELL, GIVE_QUEEN,
                    BROOD_THEN_QUEEN, GIVE_FRAME_WITH_CELLS, BROOD_WEEKLY ->
                Optional.empty();
        };
    }

    public Sentence sentence() {
        return Sentence.of("action." + name());
    }

    /** What it needs: bees, brood, a cell, a queen, days. */
    public Sentence needs() {
        return Sentence.of("needs." + name());
    }

    /** What it costs, and what must not be done. */
    public Sentence beware() {
        return Sentence.of("beware." + name());
    }
}
