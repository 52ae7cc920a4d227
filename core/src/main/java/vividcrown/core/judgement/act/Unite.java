package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DaySpan;

/** Find the poor queen and remove her, then unite with a queenright colony: the bees are saved, the colony is not. */
final class Unite extends Act {

    Unite() {
        super(Action.UNITE, 0.02, NO_VIRGIN, Set.of(Trait.DESTROYS, Trait.MOVES_FRAMES, Trait.HEAVY),
                Gate.NO_QUEEN_FOUND, Gate.NO_DISEASE);
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS, KEPT, KEPT_BESIDE_CELLS, MATED, SUPERSEDING -> 0.5;
            case SWARM_CELLS_OPEN, SWARM_CELLS_SEALED -> 0.45;
            case SWARMED, EMERGENCY_CELLS, CELL_GIVEN, VIRGIN_IN_TIME -> 0.5;
            case VIRGIN_LATE, UNMATED, FAILING -> 0.58;
            case RECENTLY_QUEENLESS, HOPELESS -> 0.62;
            case LAYING_WORKERS -> 0.55;
        };
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(look(DaySpan.ofDays(1, 1, 3), at, "paper"),
                look(DaySpan.ofDays(7, 9, 10), at, "eggs"));
    }
}
