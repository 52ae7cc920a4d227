package vividcrown.server.lineage;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import vividcrown.core.journal.Entry;
import vividcrown.core.merit.MeritDeed;
import vividcrown.core.merit.Trait;

/** A mark that somebody gave, on the usual scale. */
@Entity
@Table(name = "queen_score")
class ScoreRow {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private UUID queenId;
    @Enumerated(EnumType.STRING)
    private Trait trait;
    private double value;
    private @Nullable UUID yardId;
    private LocalDate scoredOn;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected ScoreRow() {
    }

    ScoreRow(Entry entry, MeritDeed.Scored scored) {
        this.id = entry.id();
        this.queenId = scored.queen();
        this.trait = scored.trait();
        this.value = scored.usual();
        this.yardId = scored.yard().orElse(null);
        this.scoredOn = entry.day();
    }

    UUID queenId() {
        return queenId;
    }

    Trait trait() {
        return trait;
    }

    double value() {
        return value;
    }

    Optional<UUID> yardId() {
        return Optional.ofNullable(yardId);
    }

    LocalDate scoredOn() {
        return scoredOn;
    }
}
