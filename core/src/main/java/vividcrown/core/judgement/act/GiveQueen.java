package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DaySpan;

/** Give a mated queen. A virgin, a cell or laying workers inside kill her. */
class GiveQueen extends Act {

    GiveQueen() {
        this(Action.GIVE_QUEEN, 0.12, Set.of(Trait.DESTROYS), Gate.NO_QUEEN_FOUND, Gate.NO_CELLS);
    }

    /** Another way to give one. */
    GiveQueen(Action action, double cost, Set<Trait> traits, Gate... gates) {
        super(action, cost, NO_VIRGIN, traits, gates);
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS, KEPT -> 0.82;
            case MATED -> 0.75;
            case SUPERSEDING -> 0.75;
            case SWARM_CELLS_OPEN, SWARM_CELLS_SEALED, KEPT_BESIDE_CELLS -> 0.4;
            case SWARMED, EMERGENCY_CELLS -> 0.3 + 0.4 * at.lays(6);
            case CELL_GIVEN -> 0.3 + 0.4 * at.fromCell();
            case VIRGIN_IN_TIME -> 0.85 * at.lays(0);
            case VIRGIN_LATE -> 0.35 * at.lays(0);
            case RECENTLY_QUEENLESS -> at.accepts() * 0.97;
            case HOPELESS -> at.accepts();
            case FAILING, UNMATED -> 0.15;
            case LAYING_WORKERS -> 0.25;
        };
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(look(DaySpan.ofDays(3, 4, 5), at, "released"),
                look(DaySpan.ofDays(7, 9, 10), at, "eggs"));
    }
}
