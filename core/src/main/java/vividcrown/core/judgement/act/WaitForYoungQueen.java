package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DatedSpan;

/** Leave it shut until the young queen lays, then look: whoever has none by then is found out. */
final class WaitForYoungQueen extends Act {

    WaitForYoungQueen() {
        super(Action.WAIT_FOR_YOUNG_QUEEN, 0, Circumstances.BROOD_TO_EMERGENCE, Set.of());
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS -> 0.96;
            case KEPT, MATED -> 0.95;
            case SUPERSEDING -> 0.92;
            case SWARM_CELLS_OPEN -> 0.52;
            case SWARM_CELLS_SEALED, KEPT_BESIDE_CELLS -> 0.5;
            case SWARMED -> at.orSaved(0.88 * at.lays(6));
            case EMERGENCY_CELLS -> at.orSaved(0.9 * at.lays(6));
            case CELL_GIVEN -> at.orSaved(at.fromCell());
            case VIRGIN_IN_TIME -> at.orSaved(at.lays(0));
            case VIRGIN_LATE -> at.orSaved(0.4 * at.lays(0));
            case RECENTLY_QUEENLESS -> at.orSaved(0.9 * at.raises());
            case FAILING, UNMATED -> 0.3;
            case HOPELESS -> 0.28;
            case LAYING_WORKERS -> 0.2;
        };
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        DatedSpan eggs = herFirstEggs(at);
        return List.of(shut(DatedSpan.ofClosed(at.today(), eggs.earliest())),
                look(DatedSpan.ofClosed(eggs.likely(), eggs.latest()), "eggs"));
    }
}
