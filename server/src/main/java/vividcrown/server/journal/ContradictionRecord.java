package vividcrown.server.journal;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** An entry flagged as clashing with what was known. */
@Entity
@Table(name = "contradiction")
public class ContradictionRecord {
    @Id
    private UUID entryId;
    @TenantId
    private @Nullable UUID operationId;
    private UUID subjectId;
    private String clash;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected ContradictionRecord() {
    }

    public ContradictionRecord(UUID entryId, UUID subjectId, String clash) {
        this.entryId = entryId;
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
