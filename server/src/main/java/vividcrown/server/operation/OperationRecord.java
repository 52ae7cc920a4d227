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
@Entity
@Table(name = "operation")
public class OperationRecord {
    @Id
    private UUID id;
    private String name;
    private String zone;
    private @Nullable LocalDate demoToday;
    private byte @Nullable [] calendarKey;

    protected OperationRecord() {
        this(new UUID(0, 0), "", "UTC");
    }

    OperationRecord(UUID id, String name, String zone) {
        this.id = id;
        this.name = name;
        this.zone = zone;
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }

    public ZoneId zone() {
        return ZoneId.of(zone);
    }

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

    public boolean hasCalendarLink() {
        return calendarKey != null;
    }
}
