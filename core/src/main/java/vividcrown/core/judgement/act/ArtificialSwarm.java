package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DaySpan;

/** Take the old queen away with a nuc: the swarm that would have left. */
final class ArtificialSwarm extends Act {

    ArtificialSwarm() {
        super(Action.ARTIFICIAL_SWARM, 0.03, Circumstances.BROOD_TO_EMERGENCE, Set.of(Trait.MOVES_FRAMES),
                Gate.QUEEN_IN_HAND, Gate.NO_DISEASE);
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS -> 0.85;
            case KEPT, KEPT_BESIDE_CELLS -> 0.7;
            case MATED -> 0.5;
            case SUPERSEDING -> 0.75;
            case SWARM_CELLS_OPEN -> at.longCells() ? 0.92 : 0.86;
            case SWARM_CELLS_SEALED -> 0.9;
            // she is looked for first: not found, one cell is left
            case SWARMED -> 0.9 * at.lays(6);
            case EMERGENCY_CELLS, CELL_GIVEN -> 0.5 * at.lays(6);
            case VIRGIN_IN_TIME -> 0.5 * at.lays(0);
            case VIRGIN_LATE -> 0.2 * at.lays(0);
            case RECENTLY_QUEENLESS -> 0.4;
            case FAILING, UNMATED -> 0.15;
            case HOPELESS, LAYING_WORKERS -> 0.05;
        };
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(look(DaySpan.ofDays(7, 8, 10), at, "cells"),
                look(DaySpan.ofDays(28, 30, 35), at, "eggs"));
    }
}
