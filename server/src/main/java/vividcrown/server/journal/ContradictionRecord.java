package vividcrown.server.journal;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** An entry flagged as clashing with what was known. */
@Entity
@Table(name = "contradiction")
@IdClass(ContradictionRecord.Key.class)
public class ContradictionRecord {

    /** @param foundIn {@link FoundIn} */
    public record Key(UUID entryId, FoundIn foundIn) implements Serializable {
    }

    /** Within one queen's record, or between two queens in one nuc. */
    public enum FoundIn {
        LIFE, NUC
    }

    @Id
    private UUID entryId;
    @Id
    @Enumerated(EnumType.STRING)
    private FoundIn foundIn;
    @TenantId
    private @Nullable UUID operationId;
    private UUID subjectId;
    private String clash;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected ContradictionRecord() {
    }

    public ContradictionRecord(UUID entryId, FoundIn foundIn, UUID subjectId, String clash) {
        this.entryId = entryId;
        this.foundIn = foundIn;
        this.subjectId = subjectId;
        this.clash = clash;
    }

    public UUID entryId() {
        return entryId;
    }

    public String clash() {
        return clash;
    }
}
