package vividcrown.core.judgement.act;

import java.util.List;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DaySpan;

/** Look again some days later: worth what is in there then, and what the look tells is added by the advisor. */
final class LookAgain implements Act {

    @Override
    public Action action() {
        return Action.LOOK_AGAIN;
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS -> 0.98;
            case KEPT, MATED -> 0.95;
            case SUPERSEDING -> 0.9;
            case SWARM_CELLS_OPEN -> 0.55;
            case SWARM_CELLS_SEALED -> 0.5;
            case SWARMED, EMERGENCY_CELLS -> 0.85 * at.lays(6);
            case CELL_GIVEN -> at.fromCell();
            case VIRGIN_IN_TIME -> at.lays(0);
            case VIRGIN_LATE -> 0.4 * at.lays(0);
            case RECENTLY_QUEENLESS -> 0.9 * at.raises();
            case FAILING -> 0.25;
            case UNMATED -> 0.1;
            case HOPELESS, LAYING_WORKERS -> 0.05;
        };
    }

    @Override
    public double cost() {
        return 0.01;
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(Act.look(DaySpan.ofDays(7, 7, 14).from(at.today()), "eggs"));
    }
}
