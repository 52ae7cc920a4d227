package vividcrown.server.operation;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;

/** An operation: one producer with crew, yards and records. */
public interface OperationRecord {
    UUID id();

    String name();

    ZoneId zone();

    Optional<LocalDate> demoToday();

    boolean hasCalendarLink();
}
