package vividcrown.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import vividcrown.core.store.Store;
import vividcrown.server.journal.DeedJson;

/** An operation's store; the id is the operation's. */
@Entity
@Table(name = "store")
class StoreRecord {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    @JdbcTypeCode(SqlTypes.JSON)
    private String detail;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected StoreRecord() {
    }

    StoreRecord(UUID id, Store store) {
        this.id = id;
        this.detail = DeedJson.MAPPER.writeValueAsString(store);
    }

    Store store() {
        return DeedJson.MAPPER.readValue(detail, Store.class);
    }
}
