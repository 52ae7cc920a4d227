package vividcrown.server.operation;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** An operation: one producer with crew, yards and records. */
@Entity(name = "OperationRecord")
@Table(name = "operation")
class OperationRow implements OperationRecord {
    @Id
    private UUID id;
    private String name;
    private String zone;
    private @Nullable LocalDate demoToday;
    private byte @Nullable [] calendarKey;

    protected OperationRow() {
        this(new UUID(0, 0), "", "UTC");
    }

    OperationRow(UUID id, String name, String zone) {
        this.id = id;
        this.name = name;
        this.zone = zone;
    }

    @Override
    public UUID id() {
        return id;
    }

    @Override
    public String name() {
        return name;
    }

    @Override
    public ZoneId zone() {
        return ZoneId.of(zone);
    }

    @Override
    public Optional<LocalDate> demoToday() {
        return Optional.ofNullable(demoToday);
    }

    void setDemoToday(LocalDate day) {
        demoToday = day;
    }

    /** SHA-256 of the secret in the calendar link; the link itself is shown once and not kept. */
    void setCalendarKey(byte[] key) {
        calendarKey = key.clone();
    }

    @Override
    public boolean hasCalendarLink() {
        return calendarKey != null;
    }
}
