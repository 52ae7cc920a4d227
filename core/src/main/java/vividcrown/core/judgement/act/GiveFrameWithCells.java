package vividcrown.core.judgement.act;

import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;

/** Give a frame with good sealed cells: young bees come with them, and weeks are saved against eggs. */
final class GiveFrameWithCells extends GiveCell {

    GiveFrameWithCells() {
        super(Action.GIVE_FRAME_WITH_CELLS, 0.06, Set.of(Trait.MOVES_FRAMES), Gate.NO_CELLS, Gate.NO_DISEASE);
    }

    @Override
    public double worth(Case in, Circumstances at) {
        // several cells fail less often than one
        boolean restsOnIt = in == Case.RECENTLY_QUEENLESS || in == Case.HOPELESS;
        return restsOnIt ? at.orSaved(at.oldBees(1.02 * at.fromCell())) : super.worth(in, at);
    }
}
