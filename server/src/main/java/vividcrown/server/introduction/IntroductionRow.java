package vividcrown.server.introduction;

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
import vividcrown.core.introduction.Introduction;
import vividcrown.core.introduction.IntroductionDeed.Cause;
import vividcrown.core.introduction.IntroductionDeed.Outcome;
import vividcrown.core.introduction.method.Method;

/** An introduction. What was seen and done is in its record. */
@Entity
@Table(name = "introduction")
class IntroductionRow {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private UUID hiveId;
    private @Nullable UUID queenId;
    @Enumerated(EnumType.STRING)
    private Method method;
    private LocalDate begunOn;
    private boolean sprayed;
    private @Nullable LocalDate closedOn;
    @Enumerated(EnumType.STRING)
    private @Nullable Outcome outcome;
    @Enumerated(EnumType.STRING)
    private @Nullable Cause cause;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected IntroductionRow() {
    }

    IntroductionRow(UUID id, Introduction one) {
        this.id = id;
        this.hiveId = one.hive();
        this.queenId = one.begun().queen().orElse(null);
        this.method = one.method();
        this.begunOn = one.since();
        this.sprayed = one.begun().sprayed();
        this.closedOn = one.closing().map(Introduction.Closing::day).orElse(null);
        this.outcome = one.closing().map(Introduction.Closing::outcome).orElse(null);
        this.cause = one.closing().map(Introduction.Closing::cause).orElse(null);
    }

    UUID id() {
        return id;
    }

    UUID hiveId() {
        return hiveId;
    }

    Optional<UUID> queenId() {
        return Optional.ofNullable(queenId);
    }

    Method method() {
        return method;
    }

    LocalDate begunOn() {
        return begunOn;
    }

    boolean sprayed() {
        return sprayed;
    }

    Optional<Outcome> outcome() {
        return Optional.ofNullable(outcome);
    }

    Optional<Cause> cause() {
        return Optional.ofNullable(cause);
    }
}
