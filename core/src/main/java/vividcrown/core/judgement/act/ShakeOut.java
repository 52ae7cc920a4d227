package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.round.Caution;
import vividcrown.core.time.DaySpan;

/** Shake the bees out before queenright neighbours on a warm day. */
final class ShakeOut implements Act {

    @Override
    public Action action() {
        return Action.SHAKE_OUT;
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS, KEPT, MATED, SUPERSEDING -> 0.3;
            case SWARM_CELLS_OPEN, SWARM_CELLS_SEALED -> 0.3;
            case SWARMED, EMERGENCY_CELLS, CELL_GIVEN, VIRGIN_IN_TIME -> 0.35;
            case VIRGIN_LATE, UNMATED, FAILING -> 0.5;
            case RECENTLY_QUEENLESS, HOPELESS -> 0.56;
            case LAYING_WORKERS -> 0.57;
        };
    }

    @Override
    public double cost() {
        return 0.02;
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
        return Set.of(Gate.NO_QUEEN_FOUND, Gate.NO_DISEASE, Gate.WARM_DAY);
    }

    @Override
    public List<Caution> cautions() {
        return List.of(Caution.STINGS, Caution.DISEASE, Caution.LIFTING);
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(Act.look(DaySpan.ofDays(1).from(at.today()), "outside"));
    }
}
