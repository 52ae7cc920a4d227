package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.odds.LossStep;
import vividcrown.core.time.DaySpan;

/** Find the poor queen, take her out, give a mated one. */
final class Requeen extends Act {

    Requeen() {
        super(Action.REQUEEN, 0.13, NO_VIRGIN, Set.of(Trait.DESTROYS), Gate.QUEEN_IN_HAND, Gate.NO_CELLS);
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS, KEPT -> 0.78;
            case MATED -> 0.6;
            case SUPERSEDING -> 0.75;
            case SWARM_CELLS_OPEN, SWARM_CELLS_SEALED, KEPT_BESIDE_CELLS -> 0.45;
            case SWARMED, EMERGENCY_CELLS -> 0.4;
            case CELL_GIVEN -> 0.4;
            case VIRGIN_IN_TIME -> 0.5;
            case VIRGIN_LATE -> 0.5;
            case RECENTLY_QUEENLESS, HOPELESS -> 0.8 * at.accepts();
            case FAILING -> 0.97 * LossStep.ACCEPTANCE.prior().mean();
            case UNMATED -> 0.95 * LossStep.ACCEPTANCE.prior().mean();
            case LAYING_WORKERS -> 0.22;
        };
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(look(DaySpan.ofDays(3, 4, 5), at, "released"),
                look(DaySpan.ofDays(7, 9, 10), at, "eggs"));
    }
}
