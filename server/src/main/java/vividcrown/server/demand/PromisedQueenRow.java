package vividcrown.server.demand;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** A queen that is promised to an order, or was handed over. */
@Entity(name = "PromisedQueen")
@Table(name = "order_queen")
@IdClass(PromisedQueenRow.Key.class)
class PromisedQueenRow implements PromisedQueen {

    record Key(UUID orderId, UUID queenId) implements Serializable {
    }

    @Id
    private UUID queenId;
    @TenantId
    private @Nullable UUID operationId;
    @Id
    private UUID orderId;
    private LocalDate promisedOn;
    private @Nullable LocalDate deliveredOn;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected PromisedQueenRow() {
    }

    PromisedQueenRow(UUID orderId, UUID queenId, LocalDate promisedOn, @Nullable LocalDate deliveredOn) {
        this.queenId = queenId;
        this.orderId = orderId;
        this.promisedOn = promisedOn;
        this.deliveredOn = deliveredOn;
    }

    @Override
    public UUID queenId() {
        return queenId;
    }

    @Override
    public UUID orderId() {
        return orderId;
    }

    @Override
    public Optional<LocalDate> deliveredOn() {
        return Optional.ofNullable(deliveredOn);
    }
}
