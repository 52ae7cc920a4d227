package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DaySpan;

/** Mother and daughter: mark both, let them be. */
final class MarkBoth extends Act {

    MarkBoth() {
        super(Action.MARK_BOTH, 0, NO_VIRGIN, Set.of());
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case TWO_QUEENS -> 0.99;
            case LAYING, KEPT, MATED, SUPERSEDING -> 0.9;
            case SWARM_CELLS_OPEN, SWARM_CELLS_SEALED, KEPT_BESIDE_CELLS -> 0.45;
            case VIRGIN_IN_TIME, CELL_GIVEN, EMERGENCY_CELLS, SWARMED, RECENTLY_QUEENLESS, VIRGIN_LATE, UNMATED,
                    FAILING, LAYING_WORKERS, HOPELESS ->
                0.05;
        };
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(look(DaySpan.ofDays(7, 9, 14), at, "eggs"));
    }
}
