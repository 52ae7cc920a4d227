package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DaySpan;

/** Brood and nurses first, a queen some hours to a day later: for old bees. */
final class BroodThenQueen implements Act {

    @Override
    public Action action() {
        return Action.BROOD_THEN_QUEEN;
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS, KEPT -> 0.82;
            case MATED -> 0.75;
            case SUPERSEDING -> 0.75;
            case SWARM_CELLS_OPEN, SWARM_CELLS_SEALED -> 0.4;
            case SWARMED, EMERGENCY_CELLS -> 0.3 + 0.4 * at.lays(6);
            case CELL_GIVEN -> 0.3 + 0.4 * at.fromCell();
            case VIRGIN_IN_TIME -> 0.85 * at.lays(0);
            case VIRGIN_LATE -> 0.35 * at.lays(0);
            case RECENTLY_QUEENLESS, HOPELESS -> 0.85;
            case FAILING, UNMATED -> 0.15;
            case LAYING_WORKERS -> 0.6;
        };
    }

    @Override
    public double cost() {
        return 0.17;
    }

    @Override
    public boolean destroys() {
        return true;
    }

    @Override
    public boolean movesFrames() {
        return true;
    }

    @Override
    public Set<Gate> gates() {
        return Set.of(Gate.NO_QUEEN_FOUND, Gate.NO_CELLS, Gate.NO_DISEASE);
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(Act.look(DaySpan.ofDays(3, 4, 5).from(at.today()), "released"),
                Act.look(DaySpan.ofDays(7, 9, 10).from(at.today()), "eggs"));
    }
}
