package vividcrown.server.yard;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import vividcrown.core.rearing.BuilderSchool;

/** A cell builder. */
@Entity
@Table(name = "builder")
public class Builder {
    private static final int USUAL_LOAD = 30;

    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private UUID yardId;
    private String code;
    private int position;
    @Enumerated(EnumType.STRING)
    private BuilderSchool school;
    private @Nullable Integer load;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected Builder() {
    }

    Builder(UUID id, BoxSetUp setUp, BuilderSchool school) {
        this.id = id;
        this.yardId = setUp.yard();
        this.code = setUp.code();
        this.position = setUp.position();
        this.school = school;
        this.load = setUp.load();
    }

    /** Cups that it brings up at a time. */
    public int load() {
        return load == null ? USUAL_LOAD : load;
    }

    public UUID id() {
        return id;
    }

    public UUID yardId() {
        return yardId;
    }

    public String code() {
        return code;
    }

    public int position() {
        return position;
    }

    public BuilderSchool school() {
        return school;
    }
}
