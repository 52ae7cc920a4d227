package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DaySpan;

/** Leave her be. */
class LeaveAlone extends Act {

    LeaveAlone() {
        this(Action.LEAVE_ALONE, 0);
    }

    /** Something else that changes nothing in there. */
    LeaveAlone(Action action, double cost) {
        super(action, cost, NO_VIRGIN, Set.of());
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS -> 0.98;
            case KEPT, MATED -> 0.95;
            case SUPERSEDING -> 0.9;
            case SWARM_CELLS_OPEN -> 0.55;
            case SWARM_CELLS_SEALED, KEPT_BESIDE_CELLS -> 0.5;
            case SWARMED, EMERGENCY_CELLS -> 0.85 * at.lays(6);
            case CELL_GIVEN -> at.fromCell();
            case VIRGIN_IN_TIME -> at.lays(0);
            case VIRGIN_LATE -> 0.4 * at.lays(0);
            case RECENTLY_QUEENLESS -> 0.9 * at.raises();
            case FAILING -> 0.25;
            case UNMATED -> 0.1;
            case HOPELESS, LAYING_WORKERS -> 0.05;
        };
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(look(DaySpan.ofDays(7, 9, 14), at, "eggs"));
    }
}
