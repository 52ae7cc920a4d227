package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.queen.Sight;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.CellsSeen;
import vividcrown.core.reading.CombPlace;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/** What was seen of a queen in her hive, as a look at the hive: who taps "eggs" at a nuc has read it, if only for that. */
public final class SeenOfHer {

    private SeenOfHer() {
    }

    /** @return empty if the sight tells nothing of the colony */
    public static Optional<Reading> reading(Sight sight, LocalDate day) {
        return switch (sight) {
            case EMERGED -> Optional.of(new Reading(day, Set.of(), Set.of(),
                    List.of(new CellsSeen(CellLook.EMERGED, CombPlace.NOT_RECORDED, 1))));
            case VIRGIN -> Optional.of(Reading.of(day, Sign.VIRGIN));
            case NO_EGGS_YET -> Optional.of(Reading.of(day).without(Sign.EGGS));
            case EGGS -> Optional.of(Reading.of(day, Sign.EGGS_SINGLE));
            case SEALED_WORKER_BROOD -> Optional.of(Reading.of(day, Sign.SEALED_WORKER_SOLID));
            case DRONE_BROOD_ONLY ->
                Optional.of(Reading.of(day, Sign.SEALED_DRONE_SCATTERED).without(Sign.SEALED_WORKER));
            case NOT_FOUND -> Optional.of(Reading.of(day).without(Sign.QUEEN));
            case MARK_WORN -> Optional.of(Reading.of(day, Sign.QUEEN_MARKED));
            case CLIPPED -> Optional.of(Reading.of(day, Sign.QUEEN));
            case SEALED, DUD, DEAD, MARK_LOST -> Optional.empty();
        };
    }

    /** What it did to the colony, if anything. */
    public static Optional<EventKind> event(Sight sight) {
        return sight == Sight.DEAD ? Optional.of(EventKind.QUEEN_REMOVED) : Optional.empty();
    }
}
