package vividcrown.server.journal;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;
import vividcrown.core.reason.Sentence;

/** An entry flagged as clashing with what was known, as key and arguments. */
@Entity
@Table(name = "contradiction")
@IdClass(ContradictionRecord.Key.class)
class ContradictionRecord implements Persistable<ContradictionRecord.Key> {

    record Key(UUID entryId, UUID subjectId, String foundIn) implements Serializable {
    }

    @Id
    private UUID entryId;
    @Id
    private UUID subjectId;
    @Id
    private String foundIn;
    @TenantId
    private @Nullable UUID operationId;
    @JdbcTypeCode(SqlTypes.JSON)
    private String clash;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected ContradictionRecord() {
    }

    ContradictionRecord(UUID entryId, UUID subjectId, String foundIn, Sentence clash) {
        this.entryId = entryId;
        this.subjectId = subjectId;
        this.foundIn = foundIn;
        this.clash = DeedJson.MAPPER.writeValueAsString(clash);
    }

    @Override
    public Key getId() {
        return new Key(entryId, subjectId, foundIn);
    }

    /** Those before are cleared, and all made anew. */
    @Override
    public boolean isNew() {
        return true;
    }

    UUID entryId() {
        return entryId;
    }

    Sentence clash() {
        return DeedJson.MAPPER.readValue(clash, Sentence.class);
    }
}
