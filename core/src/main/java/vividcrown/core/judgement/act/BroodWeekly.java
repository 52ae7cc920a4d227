package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DaySpan;

/** Open brood every week for three weeks, then a queen or what they raise. */
final class BroodWeekly extends Act {

    BroodWeekly() {
        super(Action.BROOD_WEEKLY, 0.09, NO_VIRGIN, Set.of(Trait.MOVES_FRAMES), Gate.NO_DISEASE);
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS, KEPT -> 0.95;
            case MATED -> 0.93;
            case SUPERSEDING -> 0.88;
            case SWARM_CELLS_OPEN, SWARM_CELLS_SEALED, KEPT_BESIDE_CELLS -> 0.48;
            case SWARMED, EMERGENCY_CELLS -> at.orSaved(0.85 * at.lays(6));
            case CELL_GIVEN -> at.orSaved(at.fromCell());
            case VIRGIN_IN_TIME -> at.orSaved(at.lays(0));
            case VIRGIN_LATE -> at.orSaved(0.5 * at.lays(0));
            case RECENTLY_QUEENLESS, HOPELESS -> at.orSaved(at.oldBees(at.raises()));
            case FAILING, UNMATED -> 0.3;
            case LAYING_WORKERS -> 0.55;
        };
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(look(DaySpan.ofDays(7), at, "testFrame"),
                look(DaySpan.ofDays(14), at, "testFrame"),
                look(DaySpan.ofDays(21), at, "testFrame"));
    }
}
