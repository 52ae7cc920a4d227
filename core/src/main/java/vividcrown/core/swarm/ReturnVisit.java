package vividcrown.core.swarm;

import java.time.LocalDate;
import java.util.Optional;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.brood.EmergencyQueen;
import vividcrown.core.time.DatedSpan;

/**
 * Why the return visit after an artificial swarm is on day 7–10.
 *
 * <p>From the day on which no new cell can be begun (the youngest brood is past three days of larval life: last egg + 7)
 * until the first virgin may be out (from the oldest larva that a cell is begun on: likely on day 10, on day 9 at the
 * earliest; sooner from a cell that was left). In between every cell that there will ever be is there, and none has
 * opened. Derived; common practice gives the same days.
 *
 * @param noNewCellsFrom the first day on which no cell can be begun any more
 * @param firstVirgin when the first virgin comes out
 */
record ReturnVisit(LocalDate noNewCellsFrom, DatedSpan firstVirgin) {

    /**
     * @param lastEgg the day of the last egg
     * @param cellsDestroyed the day on which every cell was destroyed
     * @param firstFromCellsLeft when the first virgin comes out of a cell that was left, if any
     */
    static ReturnVisit of(LocalDate lastEgg, LocalDate cellsDestroyed, Optional<DatedSpan> firstFromCellsLeft,
            Assumptions assumptions) {
        EmergencyQueen emergency = new EmergencyQueen(assumptions);
        DatedSpan fromNewCells = emergency.fromOldestLarva(cellsDestroyed);
        DatedSpan first = firstFromCellsLeft.filter(left -> left.earliest().isBefore(fromNewCells.earliest()))
                .orElse(fromNewCells);
        return new ReturnVisit(lastEgg.plusDays(emergency.noNewCellsAfter()), first);
    }

    /** The days to come back on; the last is the edge. Empty if a virgin may be out before the last cell is begun. */
    Optional<DatedSpan> days() {
        if (noNewCellsFrom.isAfter(firstVirgin.likely())) {
            return Optional.empty();
        }
        return Optional.of(DatedSpan.ofClosed(noNewCellsFrom, firstVirgin.likely()));
    }
}
