package vividcrown.server.hive;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import vividcrown.core.hive.BoxFold;
import vividcrown.core.hive.BoxKind;

/** A box: on a hive, or in the store. Its place in the stack is its hive's to say. */
@Entity(name = "HiveBox")
@Table(name = "box")
class HiveBoxRow implements HiveBox {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private @Nullable UUID hiveId;
    private String store;
    @Enumerated(EnumType.STRING)
    private BoxKind kind;
    private String format;
    private int slots;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected HiveBoxRow() {
    }

    HiveBoxRow(UUID id, BoxFold.Standing standing) {
        this.id = id;
        this.kind = standing.box().kind();
        this.format = standing.box().format();
        this.slots = standing.box().slots();
        this.store = "";
        switch (standing.where()) {
            case BoxFold.Where.OnHive(UUID hive) -> hiveId = hive;
            case BoxFold.Where.InStore(String where) -> store = where;
        }
    }

    @Override
    public UUID id() {
        return id;
    }

    @Override
    public Optional<UUID> hiveId() {
        return Optional.ofNullable(hiveId);
    }

    @Override
    public String store() {
        return store;
    }

    @Override
    public BoxKind kind() {
        return kind;
    }

    @Override
    public String format() {
        return format;
    }

    @Override
    public int slots() {
        return slots;
    }
}
