package vividcrown.server.order;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import vividcrown.core.season.Product;

/** An order or an own need, as its entries leave it. */
@Entity
@Table(name = "queen_order")
public class QueenOrder {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private String code;
    private String customer;
    private boolean ownNeed;
    @Enumerated(EnumType.STRING)
    private Product product;
    private int count;
    private @Nullable Integer sharePercent;
    @Column(name = "from_day")
    private LocalDate fromDay;
    @Column(name = "until_day")
    private LocalDate untilDay;
    private @Nullable String line;
    private int priority;
    private @Nullable Double assurance;
    private @Nullable BigDecimal deposit;
    private String note;
    @Enumerated(EnumType.STRING)
    private OrderState state;
    private int delivered;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected QueenOrder() {
    }

    QueenOrder(UUID id, String code, OrderTaken taken, OrderState state, int delivered) {
        this.id = id;
        this.code = code;
        this.customer = taken.customer();
        this.ownNeed = taken.ownNeed();
        this.product = taken.product();
        this.count = taken.count();
        this.sharePercent = taken.sharePercent();
        this.fromDay = taken.from();
        this.untilDay = taken.until();
        this.line = taken.line();
        this.priority = taken.priority();
        this.assurance = taken.assurance();
        this.deposit = taken.deposit();
        this.note = Objects.requireNonNullElse(taken.note(), "");
        this.state = state;
        this.delivered = delivered;
    }

    /** As it was agreed. */
    public OrderTaken taken() {
        return new OrderTaken(customer, ownNeed, product, count, sharePercent, fromDay, untilDay, line, priority,
                assurance, deposit, note.isEmpty() ? null : note);
    }

    public UUID id() {
        return id;
    }

    public String code() {
        return code;
    }

    public OrderState state() {
        return state;
    }

    /** How many have been handed over. */
    public int delivered() {
        return delivered;
    }

    public Optional<Integer> sharePercent() {
        return Optional.ofNullable(sharePercent);
    }
}
