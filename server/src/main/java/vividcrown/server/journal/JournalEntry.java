package vividcrown.server.journal;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Generated;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;
import vividcrown.core.journal.Corrections;

/** One entry of the journal. Written once, never changed. */
@Entity
@Table(name = "journal_entry")
public class JournalEntry implements Corrections.Correctable, Persistable<UUID> {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private Instant happenedAt;
    private LocalDate happenedOn;
    private String zone;
    private Instant recordedAt;
    private UUID recordedBy;
    @Enumerated(EnumType.STRING)
    private SubjectKind subjectKind;
    private UUID subjectId;
    @Enumerated(EnumType.STRING)
    private EntryKind kind;
    @JdbcTypeCode(SqlTypes.JSON)
    private String detail;
    private @Nullable UUID corrects;
    @Generated
    private long sequence;
    @Transient
    private boolean isNew;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected JournalEntry() {
    }

    /**
     * @param id made by whoever recorded it
     * @param happened when, by the clock of the place
     * @param detail JSON
     */
    public JournalEntry(UUID id, ZonedDateTime happened, Instant recordedAt, UUID recordedBy, SubjectKind subjectKind,
            UUID subjectId, EntryKind kind, String detail, @Nullable UUID corrects) {
        this.id = id;
        this.happenedAt = happened.toInstant();
        this.happenedOn = happened.toLocalDate();
        this.zone = happened.getZone().getId();
        this.recordedAt = recordedAt;
        this.recordedBy = recordedBy;
        this.subjectKind = subjectKind;
        this.subjectId = subjectId;
        this.kind = kind;
        this.detail = detail;
        this.corrects = corrects;
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

    public ZonedDateTime happenedAt() {
        return happenedAt.atZone(ZoneId.of(zone));
    }

    public LocalDate happenedOn() {
        return happenedOn;
    }

    public Instant recordedAt() {
        return recordedAt;
    }

    public UUID recordedBy() {
        return recordedBy;
    }

    public SubjectKind subjectKind() {
        return subjectKind;
    }

    public UUID subjectId() {
        return subjectId;
    }

    public EntryKind kind() {
        return kind;
    }

    /** As JSON. */
    public String detail() {
        return detail;
    }

    @Override
    public Optional<UUID> corrects() {
        return Optional.ofNullable(corrects);
    }

    @Override
    public boolean isWithdrawal() {
        return kind == EntryKind.WITHDRAWN;
    }

    @Override
    public long sequence() {
        return sequence;
    }
}
