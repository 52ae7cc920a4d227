package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DatedSpan;

/** Give a ripe cell. A queen or a virgin who is in there tears it down. */
class GiveCell extends Act {

    GiveCell() {
        this(Action.GIVE_CELL, 0.04, Set.of(), Gate.NO_CELLS);
    }

    /** Another way to give one. */
    GiveCell(Action action, double cost, Set<Trait> traits, Gate... gates) {
        super(action, cost, Circumstances.CELL_TO_EMERGENCE, traits, gates);
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS, KEPT -> 0.95;
            case MATED -> 0.93;
            case SUPERSEDING -> 0.85;
            case SWARM_CELLS_OPEN, SWARM_CELLS_SEALED, KEPT_BESIDE_CELLS -> 0.48;
            case SWARMED, EMERGENCY_CELLS -> at.orSaved(0.85 * at.lays(6));
            case CELL_GIVEN -> at.orSaved(at.fromCell());
            case VIRGIN_IN_TIME -> at.orSaved(at.lays(0));
            case VIRGIN_LATE -> at.orSaved(0.4 * at.lays(0));
            case RECENTLY_QUEENLESS, HOPELESS -> at.orSaved(at.oldBees(at.fromCell()));
            case FAILING, UNMATED -> 0.2;
            case LAYING_WORKERS -> 0.35 * at.fromCell();
        };
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(look(at.assumptions().span(Figure.EMERGENCE_CHECK), at, "roundLid"),
                shut(DatedSpan.ofClosed(at.today().plusDays(5), at.today().plusDays(13))),
                look(at.assumptions().span(Figure.FIRST_LOOK), at, "eggs"));
    }
}
