package vividcrown.server.demand;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import vividcrown.core.demand.OrderFold;
import vividcrown.core.demand.OrderState;
import vividcrown.core.demand.OrderTerms;
import vividcrown.core.demand.Product;

/** An order or an own need, as its entries leave it. */
@Entity(name = "QueenOrder")
@Table(name = "queen_order")
class QueenOrderRow implements QueenOrder {
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
    protected QueenOrderRow() {
    }

    QueenOrderRow(UUID id, OrderFold.Standing standing) {
        OrderTerms terms = standing.terms();
        this.id = id;
        this.code = standing.code();
        this.customer = terms.customer();
        this.ownNeed = terms.ownNeed();
        this.product = terms.product();
        this.count = terms.count();
        this.sharePercent = terms.sharePercent().orElse(null);
        this.fromDay = terms.from();
        this.untilDay = terms.until();
        this.line = terms.line().orElse(null);
        this.priority = terms.priority();
        this.assurance = terms.assurance().orElse(null);
        this.deposit = terms.deposit().orElse(null);
        this.note = terms.note().orElse("");
        this.state = standing.state();
        this.delivered = standing.delivered();
    }

    @Override
    public OrderTerms terms() {
        return new OrderTerms(customer, ownNeed, product, count, Optional.ofNullable(sharePercent), fromDay, untilDay,
                Optional.ofNullable(line), priority, Optional.ofNullable(assurance), Optional.ofNullable(deposit),
                note.isEmpty() ? Optional.empty() : Optional.of(note));
    }

    @Override
    public UUID id() {
        return id;
    }

    @Override
    public String code() {
        return code;
    }

    @Override
    public OrderState state() {
        return state;
    }

    @Override
    public int delivered() {
        return delivered;
    }

    @Override
    public Optional<Integer> sharePercent() {
        return Optional.ofNullable(sharePercent);
    }
}
