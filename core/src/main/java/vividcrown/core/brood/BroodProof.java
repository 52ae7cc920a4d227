package vividcrown.core.brood;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vividcrown.core.reason.Reason;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;
import vividcrown.core.time.Until;

/**
 * What brood, cells and known events prove about the queen, as of a day. Everything here follows from the facts given;
 * what was not looked for proves nothing.
 *
 * @param layings the times in which a queen laid, the oldest first
 * @param lastEgg when a queen laid last; without a proof of any layer only a latest day. Empty if nothing is proven
 * @param queenlessSince the first day on which no queen laid, if none lays now for certain or by what was done
 * @param noOpenBroodFrom the first day with neither eggs nor larvae, if no more eggs are laid
 * @param lastWorkerEmerges when the last worker emerges, if no more eggs are laid: the first day with no sealed brood
 * @param lastDroneEmerges the same where there is drone comb
 * @param noNewCellsFrom from when no queen cell can be begun any more, if no more eggs are laid
 * @param workersLay from when laying workers are likely, if no queen lays: three to four weeks after the last open brood
 * @param secondCut when to search for cells once more, where they were cut while larvae were young enough for others
 * @param cells the age of every cell seen, in the order of the readings
 * @param emergency when the first virgin can come out of a cell begun because of the loss
 * @param next the queen to come, if one is on the way
 * @param broodless the days without any brood that mites could be in, from the last brood to the next queen's first
 *        sealed; empty if they overlap
 * @param clashes facts that cannot all be true
 */
public record BroodProof(LocalDate asOf, List<Laying> layings, Optional<Until> lastEgg,
        Optional<Until> queenlessSince, Optional<Until> noOpenBroodFrom, Optional<Until> lastWorkerEmerges,
        Optional<Until> lastDroneEmerges, Optional<Until> noNewCellsFrom, Optional<DatedSpan> workersLay,
        Optional<DatedSpan> secondCut, List<CellAge> cells,
        Optional<Emergency> emergency, Optional<NextQueen> next, Optional<DatedSpan> broodless, List<Clash> clashes,
        List<Reason> reasons) {

    /** Three to four weeks after the last open brood, which is sealed nine days after the last egg. Common practice. */
    public static final DaySpan WORKERS_LAY_AFTER = DaySpan.ofDays(30, 34, 37);

    public BroodProof {
        layings = List.copyOf(layings);
        cells = List.copyOf(cells);
        clashes = List.copyOf(clashes);
        reasons = List.copyOf(reasons);
    }

    /** By the age that the chosen larva had on the day of the loss. */
    public record Emergency(DatedSpan fromOldestLarva, DatedSpan fromDayOldLarva, DatedSpan fromEgg) {
    }

    /** The newest time of laying that is proven. */
    public Optional<Laying> newest() {
        return layings.isEmpty() ? Optional.empty() : Optional.of(layings.getLast());
    }
}
