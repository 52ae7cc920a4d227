package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DaySpan;

/** Take the old queen away with a nuc: the swarm that would have left. */
final class ArtificialSwarm implements Act {

    @Override
    public Action action() {
        return Action.ARTIFICIAL_SWARM;
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS -> 0.85;
            case KEPT -> 0.7;
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
    public double cost() {
        return 0.03;
    }

    @Override
    public boolean movesFrames() {
        return true;
    }

    @Override
    public Set<Gate> gates() {
        return Set.of(Gate.QUEEN_IN_HAND, Gate.NO_DISEASE);
    }

    @Override
    public int daysToVirgin() {
        return Circumstances.BROOD_TO_EMERGENCE;
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(Act.look(DaySpan.ofDays(7, 8, 10).from(at.today()), "cells"),
                Act.look(DaySpan.ofDays(28, 30, 35).from(at.today()), "eggs"));
    }
}
