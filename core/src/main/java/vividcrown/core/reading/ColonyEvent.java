package vividcrown.core.reading;

import java.time.LocalDate;
import java.util.Optional;

/**
 * @param day when it happened
 * @param cell how far a cell that was given had come; a ripe one if nothing is said
 */
public record ColonyEvent(LocalDate day, EventKind kind, Optional<CellLook> cell) {

    public ColonyEvent(LocalDate day, EventKind kind) {
        this(day, kind, Optional.empty());
    }
}
