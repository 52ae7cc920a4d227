package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DaySpan;

/** Cage her, shake every frame, destroy every cell, put her back: while no cell is long. */
class RemoveCells extends Act {

    RemoveCells() {
        this(Action.REMOVE_CELLS);
    }

    /** Cells cut beside a queen who stays. */
    RemoveCells(Action action) {
        super(action, 0.02, NO_VIRGIN, Set.of(), Gate.QUEEN_IN_HAND);
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS, KEPT -> 0.96;
            case MATED, KEPT_BESIDE_CELLS -> 0.9;
            case SUPERSEDING -> 0.6;
            case SWARM_CELLS_OPEN -> at.longCells() ? 0.66 : 0.88;
            case SWARM_CELLS_SEALED -> 0.55;
            case SWARMED, EMERGENCY_CELLS, CELL_GIVEN -> 0.1;
            case VIRGIN_IN_TIME -> 0.9 * at.lays(0);
            case VIRGIN_LATE -> 0.3 * at.lays(0);
            case RECENTLY_QUEENLESS -> 0.3;
            case FAILING, UNMATED -> 0.15;
            case HOPELESS, LAYING_WORKERS -> 0.05;
        };
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(look(DaySpan.ofDays(4, 4, 5), at, "cells"));
    }
}
