package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DaySpan;

/** Shake the bees out before queenright neighbours on a warm day. */
final class ShakeOut extends Act {

    ShakeOut() {
        super(Action.SHAKE_OUT, 0.02, NO_VIRGIN, Set.of(Trait.DESTROYS, Trait.MOVES_FRAMES, Trait.HEAVY),
                Gate.NO_QUEEN_FOUND, Gate.NO_DISEASE, Gate.WARM_DAY);
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS, KEPT, KEPT_BESIDE_CELLS, MATED, SUPERSEDING -> 0.3;
            case SWARM_CELLS_OPEN, SWARM_CELLS_SEALED -> 0.3;
            case SWARMED, EMERGENCY_CELLS, CELL_GIVEN, VIRGIN_IN_TIME -> 0.35;
            case VIRGIN_LATE, UNMATED, FAILING -> 0.5;
            case RECENTLY_QUEENLESS, HOPELESS -> 0.56;
            case LAYING_WORKERS -> 0.57;
        };
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(look(DaySpan.ofDays(1), at, "outside"));
    }
}
