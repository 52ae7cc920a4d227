package vividcrown.server.rearing;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.RearingDeed;

/** How a hive is run as a cell builder. Stays behind when it is kept for something else. */
@Entity
@Table(name = "builder")
class Builder {
    @Id
    private UUID hiveId;
    @TenantId
    private @Nullable UUID operationId;
    @Enumerated(EnumType.STRING)
    private BuilderSchool school;
    private int load;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected Builder() {
    }

    Builder(RearingDeed.BuilderRun run) {
        this.hiveId = run.hive();
        this.school = run.school();
        this.load = run.cups();
    }

    UUID hiveId() {
        return hiveId;
    }

    BuilderSchool school() {
        return school;
    }

    int load() {
        return load;
    }
}
