package vividcrown.core.judgement.act;

import java.util.List;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DatedSpan;

/** Destroy every cell, with her alive in her cage: the first virgin out would kill her. */
final class CutCells extends RemoveCells {

    CutCells() {
        super(Action.CUT_CELLS);
    }

    /** Cells cut while larvae are young enough are begun again: a second cut when none can be any more, and only then is she let out. */
    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return at.newCellsUntil().map(last -> List.of(look(DatedSpan.on(last), "cellsBesideHer")))
                .orElseGet(() -> super.followUps(at));
    }
}
