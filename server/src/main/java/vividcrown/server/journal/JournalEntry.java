package vividcrown.server.journal;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;
import vividcrown.core.journal.Corrections;

/** One entry of the record: a deed, when and by whom. Written once, never changed. */
@Entity
@Immutable
@Table(name = "journal_entry")
class JournalEntry implements Corrections.Correctable, Persistable<UUID> {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private Instant happenedAt;
    private LocalDate happenedOn;
    private String zone;
    private Instant recordedAt;
    private UUID recordedBy;
    private String kind;
    private int version;
    @JdbcTypeCode(SqlTypes.JSON)
    private String payload;
    private @Nullable UUID corrects;
    private long sequence;
    @Transient
    private boolean isNew;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected JournalEntry() {
    }

    /**
     * @param id made by whoever recorded it
     * @param happened when, by the clock of the place
     * @param payload JSON
     * @param sequence order of recording
     */
    JournalEntry(UUID id, ZonedDateTime happened, Instant recordedAt, UUID recordedBy, String kind, int version,
            String payload, Optional<UUID> corrects, long sequence) {
        this.id = id;
        this.happenedAt = happened.toInstant();
        this.happenedOn = happened.toLocalDate();
        this.zone = happened.getZone().getId();
        this.recordedAt = recordedAt;
        this.recordedBy = recordedBy;
        this.kind = kind;
        this.version = version;
        this.payload = payload;
        this.corrects = corrects.orElse(null);
        this.sequence = sequence;
        this.isNew = true;
    }

    @Override
    public UUID id() {
        return id;
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return isNew;
    }

    ZonedDateTime happenedAt() {
        return happenedAt.atZone(ZoneId.of(zone));
    }

    LocalDate happenedOn() {
        return happenedOn;
    }

    Instant recordedAt() {
        return recordedAt;
    }

    UUID recordedBy() {
        return recordedBy;
    }

    String kind() {
        return kind;
    }

    int version() {
        return version;
    }

    String payload() {
        return payload;
    }

    @Override
    public Optional<UUID> corrects() {
        return Optional.ofNullable(corrects);
    }

    @Override
    public boolean isWithdrawal() {
        return kind.equals(Deeds.WITHDRAWN);
    }

    @Override
    public long sequence() {
        return sequence;
    }
}
