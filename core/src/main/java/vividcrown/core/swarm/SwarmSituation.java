package vividcrown.core.swarm;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vividcrown.core.reading.CellsSeen;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.Reading;

/**
 * What a swarm plan is made from.
 *
 * @param readings what was seen; the newest that tells of cells decides
 * @param queenRemovedOn the day the old queen was taken away, if she was; the plan then goes on from there
 * @param lastEggOn the day of her last egg, if she stopped laying before she was taken
 * @param cellsLeft cells that were left in the hive when she was taken
 * @param cellsLeftSeenOn the day on which those cells looked like that
 */
public record SwarmSituation(LocalDate today, List<Reading> readings, List<ColonyEvent> events,
        Optional<LocalDate> queenRemovedOn, Optional<LocalDate> lastEggOn, List<CellsSeen> cellsLeft,
        Optional<LocalDate> cellsLeftSeenOn, SwarmSchool school) {
    public SwarmSituation {
        readings = List.copyOf(readings);
        events = List.copyOf(events);
        cellsLeft = List.copyOf(cellsLeft);
    }
}
