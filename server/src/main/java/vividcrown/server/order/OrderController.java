package vividcrown.server.order;

import com.fasterxml.uuid.Generators;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.odds.LossStep;
import vividcrown.core.queen.Stage;
import vividcrown.server.clock.Today;
import vividcrown.server.journal.Detail;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.Recorder;
import vividcrown.server.journal.SubjectKind;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;
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
    record OrderLine(UUID id, String code, OrderTaken order, OrderState state, int asked, int delivered, int left,
            List<QueenLine> promised) {
    }

    record QueenLine(UUID id, String code, boolean delivered) {
    }

    /** A laying queen that nobody was promised. */
    record FreeQueen(UUID id, String code, @Nullable String line, Stage stage) {
    }

    record Move(@NotNull OrderState state) {
    }

    /** @param let these queens are no longer promised; promise and let in one go */
    record Promise(@Nullable List<UUID> queens, @Nullable List<UUID> let) {
    }

    /** @param count how many were handed over where they have no record of their own, as ripe cells have not */
    record Handed(@Nullable List<UUID> queens, @Nullable @Min(1) @Max(300) Integer count) {
    }

    private final QueenOrders orders;
    private final PromisedQueens promised;
    private final Queens queens;
    private final Recorder recorder;
    private final Payloads payloads;
    private final Today today;
    private final OrderCodes codes;

    OrderController(QueenOrders orders, PromisedQueens promised, Queens queens, Recorder recorder, Payloads payloads,
            Today today, OrderCodes codes) {
        this.orders = orders;
        this.promised = promised;
        this.queens = queens;
        this.recorder = recorder;
        this.payloads = payloads;
        this.today = today;
        this.codes = codes;
    }

    /** By the day they are due. */
    @GetMapping
    List<OrderLine> all() {
        List<PromisedQueen> set = promised.findAll();
        Map<UUID, List<PromisedQueen>> byOrder = set.stream().collect(Collectors.groupingBy(PromisedQueen::orderId));
        Map<UUID, Queen> known = queens.findAllById(set.stream().map(PromisedQueen::queenId).toList()).stream()
                .collect(Collectors.toMap(Queen::id, Function.identity()));
        List<QueenOrder> all = orders.findAllByOrderByUntilDayAscCodeAsc();
        List<QueenOrder> open = all.stream().filter(order -> order.state().isOpen()).toList();
        return all.stream().map(order -> line(order, CountAsked.of(order, open),
                byOrder.getOrDefault(order.id(), List.of()), known)).toList();
    }

    private static OrderLine line(QueenOrder order, int asked, List<PromisedQueen> set, Map<UUID, Queen> known) {
        int waiting = (int) set.stream().filter(one -> one.deliveredOn().isEmpty()).count();
        return new OrderLine(order.id(), order.code(), order.taken(), order.state(), asked,
                order.delivered(), Math.max(0, asked - order.delivered() - waiting),
                set.stream().map(one -> new QueenLine(one.queenId(), known.get(one.queenId()).code(),
                        one.deliveredOn().isPresent())).toList());
    }

    /** Queens that lay and that nobody was promised. */
    @GetMapping("/free-queens")
    List<FreeQueen> free() {
        Set<UUID> spoken = promised.findAll().stream().map(PromisedQueen::queenId).collect(Collectors.toSet());
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

    /** Made or changed by the client's own id, so that an order sent twice is one order. */
    @PutMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void take(@PathVariable UUID id, @Valid @RequestBody OrderTaken asked) {
        SignedIn.requireOwner("take orders");
        recorder.takeTurn();
        List<Refusal.Finding> findings = asked.findings(!orders.existsById(id), today.day());
        if (!findings.isEmpty()) {
            throw Refusal.invalid(findings);
        }
        String code = orders.findById(id).map(QueenOrder::code).orElseGet(() -> codes.after(0));
        recorder.record(List.of(entry(SubjectKind.ORDER, id, EntryKind.ORDER_TAKEN,
                payloads.write(OrderDetail.ofTaken(code, asked)))), true);
    }

    @PostMapping("/{id}/state")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void move(@PathVariable UUID id, @Valid @RequestBody Move asked) {
        SignedIn.requireOwner("promise or decline orders");
        recorder.takeTurn();
        QueenOrder order = require(id);
        if (order.state() != asked.state()) {
            List<JournalEntry> entries = new ArrayList<>();
            List<UUID> waiting = promised.findByOrderId(id).stream().filter(one -> one.deliveredOn().isEmpty())
                    .map(PromisedQueen::queenId).toList();
            if (!asked.state().isOpen() && !waiting.isEmpty()) {
                entries.add(entry(SubjectKind.ORDER, id, EntryKind.QUEENS_LET_GO,
                        payloads.write(OrderDetail.ofQueens(waiting))));
            }
            entries.add(entry(SubjectKind.ORDER, id, EntryKind.ORDER_MOVED_ON,
                    payloads.write(OrderDetail.ofState(asked.state()))));
            recorder.record(entries, true);
        }
    }

    /** Which queens are promised to whom. */
    @PostMapping("/{id}/queens")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void promise(@PathVariable UUID id, @Valid @RequestBody Promise asked) {
        recorder.takeTurn();
        QueenOrder order = requireOpen(id);
        List<UUID> wanted = Objects.requireNonNullElse(asked.queens(), List.<UUID>of());
        List<UUID> let = Objects.requireNonNullElse(asked.let(), List.<UUID>of());
        List<Refusal.Finding> findings = new ArrayList<>();
        Map<UUID, Queen> known = queens.findAllById(wanted).stream()
                .collect(Collectors.toMap(Queen::id, Function.identity()));
        for (UUID queen : wanted) {
            refusalOf(queen, known, id).ifPresent(findings::add);
        }
        List<PromisedQueen> already = promised.findByOrderId(id);
        long kept = already.stream().filter(one -> !let.contains(one.queenId()) && !wanted.contains(one.queenId()))
                .count();
        int count = asked(order);
        if (kept + wanted.size() > count) {
            findings.add(new Refusal.Finding("queens", "%s asks for %d, but %d would be promised. Choose fewer."
                    .formatted(order.code(), count, kept + wanted.size())));
        }
        if (!findings.isEmpty()) {
            throw Refusal.invalid(findings);
        }
        List<JournalEntry> entries = new ArrayList<>();
        if (!let.isEmpty()) {
            entries.add(entry(SubjectKind.ORDER, id, EntryKind.QUEENS_LET_GO,
                    payloads.write(OrderDetail.ofQueens(let))));
        }
        if (!wanted.isEmpty()) {
            entries.add(entry(SubjectKind.ORDER, id, EntryKind.QUEENS_PROMISED,
                    payloads.write(OrderDetail.ofQueens(wanted))));
        }
        recorder.record(entries, true);
    }

    private Optional<Refusal.Finding> refusalOf(UUID queen, Map<UUID, Queen> known, UUID order) {
        Queen row = known.get(queen);
        if (row == null) {
            return Optional.of(new Refusal.Finding("queens." + queen,
                    "There is no queen with this id. Choose one from the list."));
        }
        if (!lays(row)) {
            return Optional.of(new Refusal.Finding("queens." + queen,
                    "%s does not lay yet, or is gone. Promise queens that were seen laying.".formatted(row.code())));
        }
        return promised.findById(queen).filter(one -> !one.orderId().equals(order)).map(
                one -> new Refusal.Finding("queens." + queen,
                        "%s is promised to %s. Choose another, or let her go there."
                                .formatted(row.code(),
                                        orders.findById(one.orderId()).map(QueenOrder::code).orElse("?"))));
    }

    /** Handed over: queens leave their nucs, and a full order is delivered. */
    @PostMapping("/{id}/delivered")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void deliver(@PathVariable UUID id, @Valid @RequestBody Handed asked) {
        recorder.takeTurn();
        QueenOrder order = requireOpen(id);
        List<UUID> going = Objects.requireNonNullElse(asked.queens(), List.<UUID>of());
        boolean haveRecords = order.taken().product().losses().contains(LossStep.MATING);
        Set<UUID> set = promised.findByOrderId(id).stream().filter(one -> one.deliveredOn().isEmpty())
                .map(PromisedQueen::queenId).collect(Collectors.toSet());
        if (haveRecords && (going.isEmpty() || !set.containsAll(going))) {
            throw Refusal.invalid("queens",
                    "Say which queens go: those that are promised to %s.".formatted(order.code()));
        }
        int count = haveRecords ? going.size() : Objects.requireNonNullElse(asked.count(), 0);
        int wanted = asked(order);
        if (count < 1 || order.delivered() + count > wanted) {
            throw Refusal.invalid("count", "%s asks for %d and has had %d: hand over between 1 and %d."
                    .formatted(order.code(), wanted, order.delivered(), wanted - order.delivered()));
        }
        List<JournalEntry> entries = new ArrayList<>();
        entries.add(entry(SubjectKind.ORDER, id, EntryKind.QUEENS_DELIVERED,
                payloads.write(OrderDetail.ofDelivered(going, count))));
        for (UUID queen : going) {
            entries.add(entry(SubjectKind.QUEEN, queen, EntryKind.TAKEN_OUT,
                    payloads.write(Detail.ofText("%s, %s".formatted(order.code(), order.taken().customer())))));
        }
        if (order.delivered() + count == wanted) {
            entries.add(entry(SubjectKind.ORDER, id, EntryKind.ORDER_MOVED_ON,
                    payloads.write(OrderDetail.ofState(OrderState.DELIVERED))));
        }
        recorder.record(entries, true);
    }

    private int asked(QueenOrder order) {
        return CountAsked.of(order, orders.findByStateInOrderByUntilDayAscCodeAsc(
                List.of(OrderState.ASKED, OrderState.PROMISED)));
    }

    private QueenOrder require(UUID id) {
        return orders.findById(id).orElseThrow(
                () -> Refusal.notFound("There is no order with this id. Go back to the list and choose again."));
    }

    private QueenOrder requireOpen(UUID id) {
        QueenOrder order = require(id);
        if (!order.state().isOpen()) {
            throw Refusal.invalid("", "%s is %s. Open it again first.".formatted(order.code(),
                    order.state().name().toLowerCase(Locale.ROOT)));
        }
        return order;
    }

    private JournalEntry entry(SubjectKind kind, UUID subject, EntryKind what, String detail) {
        return new JournalEntry(Generators.timeBasedEpochGenerator().generate(), today.now(), today.recordedAt(),
                SignedIn.require().id(), kind, subject, what, detail, null);
    }
}
