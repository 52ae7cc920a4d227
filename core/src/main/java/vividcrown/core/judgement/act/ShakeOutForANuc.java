package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DaySpan;

/** Shake out far off and put a queenright nuc in the place. */
final class ShakeOutForANuc extends Act {

    ShakeOutForANuc() {
        super(Action.SHAKE_OUT_FOR_A_NUC, 0.17, NO_VIRGIN, Set.of(Trait.DESTROYS, Trait.MOVES_FRAMES, Trait.HEAVY),
                Gate.NO_QUEEN_FOUND, Gate.NO_DISEASE, Gate.WARM_DAY);
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS, KEPT, KEPT_BESIDE_CELLS, MATED, SUPERSEDING -> 0.35;
            case SWARM_CELLS_OPEN, SWARM_CELLS_SEALED -> 0.35;
            case SWARMED, EMERGENCY_CELLS, CELL_GIVEN, VIRGIN_IN_TIME -> 0.4;
            case VIRGIN_LATE, UNMATED, FAILING -> 0.7;
            case RECENTLY_QUEENLESS, HOPELESS -> 0.82;
            case LAYING_WORKERS -> 0.84;
        };
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(look(DaySpan.ofDays(7, 7, 9), at, "eggs"));
    }
}
