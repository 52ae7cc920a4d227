package vividcrown.core.reading;

import java.time.LocalDate;
import java.util.Optional;

/**
 * @param day when it happened
 * @param cell how far a cell that was given had come; a ripe one if nothing is said
 * @param virginDays how old a virgin that was given was, in days from her emergence; one to five if nothing is said
 */
public record ColonyEvent(LocalDate day, EventKind kind, Optional<CellLook> cell, Optional<Integer> virginDays) {

    public ColonyEvent(LocalDate day, EventKind kind) {
        this(day, kind, Optional.empty(), Optional.empty());
    }

    public ColonyEvent(LocalDate day, EventKind kind, Optional<CellLook> cell) {
        this(day, kind, cell, Optional.empty());
    }
}
