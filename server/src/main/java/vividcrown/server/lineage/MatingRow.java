package vividcrown.server.lineage;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import vividcrown.core.lineage.LineageDeed;
import vividcrown.core.lineage.Mating;

/** With whom a queen mated, as somebody said it last. */
@Entity
@Table(name = "queen_mating")
class MatingRow {
    @Id
    private UUID queenId;
    @TenantId
    private @Nullable UUID operationId;
    @Enumerated(EnumType.STRING)
    private LineageDeed.How how;
    private @Nullable UUID droneMotherId;
    private int sisters;
    private int drones;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected MatingRow() {
    }

    MatingRow(LineageDeed.Mated mated) {
        this.queenId = mated.queen();
        this.how = mated.how();
        this.droneMotherId = mated.droneMother().orElse(null);
        this.sisters = mated.sisters();
        this.drones = mated.drones();
    }

    UUID queenId() {
        return queenId;
    }

    LineageDeed.How how() {
        return how;
    }

    @Nullable
    UUID droneMother() {
        return droneMotherId;
    }

    int sisters() {
        return sisters;
    }

    int drones() {
        return drones;
    }

    /** By the ids in the record. */
    Mating mating() {
        return switch (how) {
            case ONE_DRONE -> new Mating.OneDrone(Objects.requireNonNull(droneMotherId).toString());
            case STATION -> new Mating.Sisters(Objects.requireNonNull(droneMotherId).toString(), sisters, drones);
            case OPEN -> new Mating.Flying(Map.of(), drones);
        };
    }
}
