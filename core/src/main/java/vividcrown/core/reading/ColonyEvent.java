package vividcrown.core.reading;

import java.time.LocalDate;

/** @param day when it happened */
public record ColonyEvent(LocalDate day, EventKind kind) {
}
