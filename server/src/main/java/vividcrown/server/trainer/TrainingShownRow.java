package vividcrown.server.trainer;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** Somebody wishes to be compared with others who wish it too. */
@Entity
@Table(name = "training_shown")
class TrainingShownRow {
    @Id
    private UUID personId;
    @TenantId
    private @Nullable UUID operationId;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected TrainingShownRow() {
    }

    TrainingShownRow(UUID personId) {
        this.personId = personId;
    }

    UUID personId() {
        return personId;
    }
}
