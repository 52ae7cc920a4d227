package vividcrown.server.demand;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.demand.OrderState;
import vividcrown.core.demand.OrderTerms;
import vividcrown.core.queen.Stage;
import vividcrown.server.clock.Today;
import vividcrown.server.page.Page;
import vividcrown.server.person.Role;
import vividcrown.server.person.SignedIn;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.Queens;

/** Orders: taking, changing, promising queens to them, handing over. */
@RestController
@RequestMapping("/api/v1/orders")
class OrderController {

    /**
     * @param asked how many it asks for; a share follows what the other open orders ask for
     * @param promised queens of the yard that are set aside for it
     * @param left how many are still to come, set-aside queens not among them
     */
    record OrderLine(UUID id, String code, OrderTerms order, OrderState state, int asked, int delivered, int left,
            List<QueenLine> promised) {
    }

    record QueenLine(UUID id, String code, boolean delivered) {
    }

    /** A laying queen that nobody was promised. */
    record FreeQueen(UUID id, String code, @Nullable String line, Stage stage) {
    }

    private final QueenOrders orders;
    private final PromisedQueens promised;
    private final Queens queens;
    private final Today today;

    OrderController(QueenOrders orders, PromisedQueens promised, Queens queens, Today today) {
        this.orders = orders;
        this.promised = promised;
        this.queens = queens;
        this.today = today;
    }

    /**
     * By the day they are due; each page has the closed ones of one year more. Crew hand over what is open: they see neither
     * closed orders nor deposits and remarks.
     */
    @GetMapping
    @Operation(operationId = "orders", summary = "Open orders, and those closed in the last year, by the day they are due")
    public Page<OrderLine> all(@RequestParam Optional<LocalDate> page) {
        LocalDate until = page.map(day -> Page.backFrom(day, today.day())).orElse(today.day());
        if (SignedIn.require().role() != Role.OWNER) {
            return Page.of(page.isPresent()
                    ? List.of()
                    : lines(orders.since(today.day()).stream()
                            .filter(order -> order.state().isOpen()).toList()),
                    Optional.empty());
        }
        LocalDate from = until.minusYears(1);
        List<QueenOrder> all = page.isPresent() ? orders.closed(from, until) : orders.since(from);
        return Page.of(lines(all), orders.lastClosedBefore(from));
    }

    private List<OrderLine> lines(List<QueenOrder> all) {
        List<QueenOrder> open = all.stream().filter(order -> order.state().isOpen()).toList();
        List<PromisedQueen> set = promised.findByOrderIdIn(all.stream().map(QueenOrder::id).toList());
        Map<UUID, List<PromisedQueen>> byOrder = set.stream().collect(Collectors.groupingBy(PromisedQueen::orderId));
        Map<UUID, Queen> known = queens.findAllById(set.stream().map(PromisedQueen::queenId).toList()).stream()
                .collect(Collectors.toMap(Queen::id, Function.identity()));
        return all.stream().map(order -> line(order, CountAsked.of(order, open),
                byOrder.getOrDefault(order.id(), List.of()), known)).toList();
    }

    private static OrderLine line(QueenOrder order, int asked, List<PromisedQueen> set, Map<UUID, Queen> known) {
        int waiting = (int) set.stream().filter(one -> one.deliveredOn().isEmpty()).count();
        return new OrderLine(order.id(), order.code(), seen(order.terms()), order.state(), asked,
                order.delivered(), Math.max(0, asked - order.delivered() - waiting),
                set.stream()
                        .map(one -> new QueenLine(one.queenId(),
                                Objects.requireNonNull(known.get(one.queenId())).code(),
                                one.deliveredOn().isPresent()))
                        .toList());
    }

    private static OrderTerms seen(OrderTerms terms) {
        return SignedIn.require().role() == Role.OWNER ? terms : terms.forTheYard();
    }

    /** Queens that lay and that nobody was promised. */
    @GetMapping("/free-queens")
    @Operation(summary = "Queens that lay and are promised to nobody")
    List<FreeQueen> free() {
        Set<UUID> spoken = promised.findByDeliveredOnIsNull().stream().map(PromisedQueen::queenId)
                .collect(Collectors.toSet());
        List<Queen> laying = queens.atWork().stream().filter(OrderController::lays)
                .filter(queen -> !spoken.contains(queen.id()) && !queen.breeder()).toList();
        Map<UUID, Queen> mothers = queens
                .findAllById(laying.stream().flatMap(queen -> queen.motherId().stream()).distinct().toList()).stream()
                .collect(Collectors.toMap(Queen::id, Function.identity()));
        return laying.stream().map(queen -> new FreeQueen(queen.id(), queen.code(),
                queen.motherId().map(mothers::get).map(Queen::line).orElse(null), queen.stage()))
                .sorted(Comparator.comparing(FreeQueen::code)).toList();
    }

    private static boolean lays(Queen queen) {
        return queen.stage() == Stage.LAYING || queen.stage() == Stage.JUDGED;
    }
}
