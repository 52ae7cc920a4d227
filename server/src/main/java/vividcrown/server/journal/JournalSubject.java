package vividcrown.server.journal;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;
import vividcrown.core.journal.Role;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.journal.Touch;

/** Which things an entry touches, and as what. */
@Entity
@Immutable
@Table(name = "journal_subject")
@IdClass(JournalSubject.Key.class)
class JournalSubject implements Persistable<JournalSubject.Key> {

    record Key(UUID entryId, UUID subjectId, String role) implements Serializable {
    }

    @Id
    private UUID entryId;
    @Id
    private UUID subjectId;
    @Id
    private String role;
    @TenantId
    private @Nullable UUID operationId;
    private String subjectKind;
    private long sequence;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected JournalSubject() {
    }

    JournalSubject(UUID entryId, Touch touch, long sequence) {
        this.entryId = entryId;
        this.subjectId = touch.id();
        this.role = touch.role().name();
        this.subjectKind = touch.kind().name();
        this.sequence = sequence;
    }

    @Override
    public Key getId() {
        return new Key(entryId, subjectId, role);
    }

    /** Only ever made anew. */
    @Override
    public boolean isNew() {
        return true;
    }

    UUID entryId() {
        return entryId;
    }

    Touch touch() {
        return new Touch(new SubjectKind(subjectKind), subjectId, new Role(role));
    }
}
