package vividcrown.server.split;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** A split that was taken to the yard. What was planned and done is in its record. */
@Entity
@Table(name = "split")
class SplitRow {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private LocalDate day;
    private boolean dropped;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected SplitRow() {
    }

    SplitRow(UUID id, LocalDate day, boolean dropped) {
        this.id = id;
        this.day = day;
        this.dropped = dropped;
    }

    UUID id() {
        return id;
    }
}
