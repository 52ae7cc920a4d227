package vividcrown.core.judgement.act;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DatedSpan;

/** Leave exactly one cell, so that no cast leaves. */
final class ReduceToOneCell extends Act {

    ReduceToOneCell() {
        super(Action.REDUCE_TO_ONE_CELL, 0.02, Circumstances.BROOD_TO_EMERGENCE, Set.of());
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS, KEPT, MATED -> 0.95;
            case SUPERSEDING -> 0.85;
            case SWARM_CELLS_OPEN, SWARM_CELLS_SEALED, KEPT_BESIDE_CELLS -> 0.45;
            case SWARMED, EMERGENCY_CELLS -> at.orSaved(0.97 * at.lays(6));
            case CELL_GIVEN -> 0.8 * at.fromCell();
            case VIRGIN_IN_TIME -> 0.95 * at.lays(0);
            case VIRGIN_LATE -> 0.3 * at.lays(0);
            case RECENTLY_QUEENLESS -> 0.8 * at.raises();
            case FAILING, UNMATED -> 0.15;
            case HOPELESS, LAYING_WORKERS -> 0.05;
        };
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        DatedSpan eggs = herFirstEggs(at);
        // cells cut while larvae are young enough are begun again: a second cut when none can be any more
        if (at.newCellsUntil().isPresent()) {
            LocalDate last = at.newCellsUntil().get();
            return List.of(look(DatedSpan.on(last), "newCells"),
                    shut(DatedSpan.ofClosed(last.plusDays(1), later(eggs.earliest(), last.plusDays(1)))),
                    look(DatedSpan.ofClosed(eggs.likely(), eggs.latest()).notBefore(last.plusDays(2)), "eggs"));
        }
        return List.of(shut(DatedSpan.ofClosed(at.today(), eggs.earliest())),
                look(DatedSpan.ofClosed(eggs.likely(), eggs.latest()), "eggs"));
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }
}
