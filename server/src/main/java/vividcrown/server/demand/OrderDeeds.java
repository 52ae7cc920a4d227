package vividcrown.server.demand;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vividcrown.core.demand.OrderDeed;
import vividcrown.core.demand.OrderState;
import vividcrown.core.demand.Product;
import vividcrown.core.queen.Stage;
import vividcrown.server.clock.Today;
import vividcrown.server.journal.Admission;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.Queens;

/** The deeds of orders, and what is checked before they are recorded. */
@Configuration
class OrderDeeds {

    private static final int FURTHEST_YEARS = 2;

    private final QueenOrders orders;
    private final PromisedQueens promised;
    private final Queens queens;
    private final Today today;

    OrderDeeds(QueenOrders orders, PromisedQueens promised, Queens queens, Today today) {
        this.orders = orders;
        this.promised = promised;
        this.queens = queens;
        this.today = today;
    }

    @Bean
    DeedKinds orderDeedKinds() {
        return DeedKinds.of(
                DeedKind.of("ORDER_TAKEN", OrderDeed.Taken.class).bringing(OrderDeed.ORDER).ofOwner()
                        .readByAll(
                                taken -> new OrderDeed.Taken(taken.order(), taken.code(), taken.terms().forTheYard()))
                        .through(this::taken),
                DeedKind.of("ORDER_MOVED_ON", OrderDeed.MovedOn.class).ofOwner(),
                DeedKind.of("QUEENS_PROMISED", OrderDeed.QueensPromised.class).through(this::promised),
                DeedKind.of("ORDER_DELIVERED", OrderDeed.Delivered.class).through(this::delivered));
    }

    private OrderDeed.Taken taken(OrderDeed.Taken asked, Admission admission) {
        Optional<QueenOrder> known = orders.findById(asked.order());
        if (known.isEmpty() && asked.terms().until().isBefore(admission.today())) {
            admission.refuse("until", "refusal.hasPassed", asked.terms().until().toString(),
                    admission.today().toString());
        }
        if (asked.terms().until().isAfter(admission.today().plusYears(FURTHEST_YEARS))) {
            admission.refuse("until", "refusal.farOff", asked.terms().until().toString(), FURTHEST_YEARS);
        }
        return asked.called(known.map(QueenOrder::code).orElseGet(() -> nextCode(admission)));
    }

    /** Numbers orders through the year: Q26-01, Q26-02 … */
    private String nextCode(Admission admission) {
        String prefix = String.format(Locale.ROOT, "Q%02d-", today.day().getYear() % 100);
        int last = orders.lastCode(prefix + "%").stream().findFirst()
                .map(code -> Integer.parseInt(code.substring(prefix.length()))).orElse(0);
        return String.format(Locale.ROOT, "%s%02d", prefix, last + 1 + admission.before(OrderDeed.Taken.class));
    }

    private OrderDeed.QueensPromised promised(OrderDeed.QueensPromised asked, Admission admission) {
        QueenOrder order = orders.findById(asked.order()).orElseThrow();
        requireOpen(order, admission);
        Map<UUID, Queen> known = queens.findAllById(asked.promised()).stream()
                .collect(Collectors.toMap(Queen::id, Function.identity()));
        Map<UUID, UUID> elsewhere = promised.findByQueenIdIn(asked.promised()).stream()
                .filter(one -> !one.orderId().equals(asked.order()) && one.deliveredOn().isEmpty())
                .collect(Collectors.toMap(PromisedQueen::queenId, PromisedQueen::orderId, (one, _) -> one));
        asked.promised().forEach(queen -> {
            Queen row = Objects.requireNonNull(known.get(queen));
            if (row.stage() != Stage.LAYING && row.stage() != Stage.JUDGED) {
                admission.refuse("promised." + queen, "refusal.doesNotLay", row.code());
            } else if (elsewhere.containsKey(queen)) {
                admission.refuse("promised." + queen, "refusal.promisedElsewhere", row.code(),
                        orders.findById(elsewhere.get(queen)).map(QueenOrder::code).orElse("?"));
            }
        });
        long kept = promised.findByOrderId(asked.order()).stream()
                .filter(one -> !asked.letGo().contains(one.queenId()) && !asked.promised().contains(one.queenId()))
                .count();
        int count = asked(order);
        if (kept + asked.promised().size() > count) {
            admission.refuse("promised", "refusal.promisesTooMany", order.code(), count,
                    kept + asked.promised().size());
        }
        return asked;
    }

    private OrderDeed.Delivered delivered(OrderDeed.Delivered asked, Admission admission) {
        QueenOrder order = orders.findById(asked.order()).orElseThrow();
        requireOpen(order, admission);
        boolean haveRecords = order.terms().isOfRecordedQueens();
        Set<UUID> set = promised.findByOrderId(asked.order()).stream().filter(one -> one.deliveredOn().isEmpty())
                .map(PromisedQueen::queenId).collect(Collectors.toSet());
        if (haveRecords && (asked.queens().size() != asked.count() || !set.containsAll(asked.queens()))) {
            admission.refuse("queens", "refusal.handOverPromised", order.code());
        }
        if (!haveRecords && !asked.queens().isEmpty()) {
            admission.refuse("queens", "refusal.noRecordsOfTheirOwn", order.code());
        }
        if (order.terms().product() == Product.JUDGED_QUEENS) {
            queens.findAllById(asked.queens()).stream().filter(queen -> queen.stage() != Stage.JUDGED)
                    .forEach(queen -> admission.refuse("queens", "refusal.notJudged", queen.code()));
        }
        int wanted = asked(order);
        if (order.delivered() + asked.count() > wanted) {
            admission.refuse("count", "refusal.deliversTooMany", order.code(), wanted, order.delivered(),
                    Math.max(0, wanted - order.delivered()));
        }
        return asked.completing(order.delivered() + asked.count() >= wanted);
    }

    private static void requireOpen(QueenOrder order, Admission admission) {
        if (!order.state().isOpen()) {
            admission.refuse("", "refusal.orderClosed", order.code(), order.state().sentence());
        }
    }

    private int asked(QueenOrder order) {
        return CountAsked.of(order, orders.findByStateInOrderByUntilDayAscCodeAsc(
                List.of(OrderState.ASKED, OrderState.PROMISED)));
    }
}
