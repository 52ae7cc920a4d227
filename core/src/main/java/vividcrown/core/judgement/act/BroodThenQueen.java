package vividcrown.core.judgement.act;

import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;

/** Brood and nurses first, a queen some hours to a day later: for old bees. */
final class BroodThenQueen extends GiveQueen {

    BroodThenQueen() {
        super(Action.BROOD_THEN_QUEEN, 0.17, Set.of(Trait.DESTROYS, Trait.MOVES_FRAMES), Gate.NO_QUEEN_FOUND,
                Gate.NO_CELLS, Gate.NO_DISEASE);
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case RECENTLY_QUEENLESS, HOPELESS -> 0.85;
            case LAYING_WORKERS -> 0.6;
            case LAYING, KEPT, KEPT_BESIDE_CELLS, TWO_QUEENS, SWARM_CELLS_OPEN, SWARM_CELLS_SEALED, SUPERSEDING,
                    SWARMED,
                    EMERGENCY_CELLS,
                    CELL_GIVEN, VIRGIN_IN_TIME, VIRGIN_LATE, MATED, UNMATED, FAILING ->
                super.worth(in, at);
        };
    }
}
