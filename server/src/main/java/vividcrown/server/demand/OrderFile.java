package vividcrown.server.demand;

import com.fasterxml.uuid.Generators;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.demand.OrderDeed;
import vividcrown.core.demand.OrderTerms;
import vividcrown.core.demand.Product;
import vividcrown.server.clock.Today;
import vividcrown.server.csv.CsvRow;
import vividcrown.server.csv.CsvTable;
import vividcrown.server.journal.Desk;
import vividcrown.server.journal.Recorder;
import vividcrown.server.operation.CurrentOperation;

/** Orders as CSV, out and in. What was written can be read again; state and what was handed over are for reading only. */
@Service
class OrderFile {

    static final List<String> COLUMNS = List.of("for", "own_need", "product", "count", "share_percent", "from", "until",
            "line", "priority", "assurance", "deposit", "note", "code", "state", "delivered");
    private static final List<String> NEEDED = List.of("for", "product", "count", "until");
    private static final int USUAL_PRIORITY = 2;
    private static final int USUAL_DAYS = 4;

    private final QueenOrders orders;
    private final Desk desk;
    private final Today today;

    OrderFile(QueenOrders orders, Desk desk, Today today) {
        this.orders = orders;
        this.desk = desk;
        this.today = today;
    }

    /**
     * A row of a file.
     *
     * @param customer for whom it is
     * @param problems what is wrong with it, nothing if it can be imported
     */
    record OrderCsvLine(long line, String customer, String product, String count, String until, List<String> problems) {
    }

    /** @param code of an order that is known already; it is changed, not taken again */
    record Read(OrderCsvLine row, String code, Optional<OrderTerms> terms) {
    }

    @Transactional(readOnly = true)
    public String write() {
        return CsvTable.write(COLUMNS, orders.findAllByOrderByUntilDayAscCodeAsc().stream().map(order -> {
            OrderTerms taken = order.terms();
            return Stream.<Object>of(taken.customer(), taken.ownNeed() ? "yes" : "no", taken.product(),
                    taken.count(), or(taken.sharePercent()), taken.from(), taken.until(), or(taken.line()),
                    taken.priority(), or(taken.assurance()), or(taken.deposit()), or(taken.note()), order.code(),
                    order.state(), order.delivered()).toList();
        }).toList());
    }

    List<Read> read(String csv) {
        Map<String, String> customers = orders.findAll().stream()
                .collect(Collectors.toMap(QueenOrder::code, order -> order.terms().customer(), (one, _) -> one));
        return CsvTable.read(csv, COLUMNS, NEEDED).stream().map(record -> read(new CsvRow(record), customers)).toList();
    }

    /** @return how many orders were taken; empty if this very import was confirmed before */
    @Transactional
    public Optional<Integer> confirm(UUID id, String csv, boolean skipBadRows) {
        List<Read> rows = read(csv);
        CsvTable.refuseBad(rows.stream().map(Read::row).toList(), OrderCsvLine::line, OrderCsvLine::problems,
                skipBadRows);
        List<Desk.Told> told = new ArrayList<>();
        Map<String, UUID> known = orders.findAll().stream()
                .collect(Collectors.toMap(QueenOrder::code, QueenOrder::id, (one, _) -> one));
        rows.stream().filter(row -> row.terms().isPresent()).forEach(row -> {
            int index = told.size();
            // a code from elsewhere is given anew here, but its order stays the same one however often it is read
            UUID order = known.getOrDefault(row.code(), row.code().isEmpty()
                    ? id(id, "order " + index)
                    : id(CurrentOperation.require(),
                            "order " + row.code() + " of " + row.terms().orElseThrow().customer()));
            told.add(desk.now(id(id, "entry " + index), new OrderDeed.Taken(order, "", row.terms().orElseThrow())));
        });
        Recorder.Recorded recorded = desk.take(told, true);
        return recorded.fresh().isEmpty() ? Optional.empty() : Optional.of(recorded.fresh().size());
    }

    private static Object or(Optional<?> value) {
        return value.isPresent() ? value.get() : "";
    }

    private static UUID id(UUID imported, String name) {
        return Generators.nameBasedGenerator(imported).generate(name);
    }

    private Read read(CsvRow row, Map<String, String> customers) {
        Optional<Product> product = row.needed("product", Product.values());
        Optional<Integer> count = row.count("count");
        Optional<LocalDate> until = row.day("until");
        Optional<LocalDate> from = row.day("from");
        Optional<Integer> share = row.count("share_percent");
        Optional<Integer> priority = row.value("priority", Integer::valueOf, "import.like.priority");
        Optional<Double> assurance = row.value("assurance", Double::valueOf, "import.like.share");
        Optional<BigDecimal> deposit = row.value("deposit", BigDecimal::new, "import.like.amount");
        if (row.cell("count").isEmpty()) {
            row.say("import.noCount");
        }
        if (row.cell("until").isEmpty()) {
            row.say("import.noDay");
        }
        Optional<OrderTerms> terms = row.isGood()
                ? row.made(() -> new OrderTerms(row.cell("for"), row.isYes("own_need"), product.orElseThrow(),
                        count.orElseThrow(), share, from.orElse(until.orElseThrow().minusDays(USUAL_DAYS)),
                        until.orElseThrow(), row.text("line"), priority.orElse(USUAL_PRIORITY), assurance, deposit,
                        row.text("note")))
                : Optional.empty();
        terms.filter(one -> row.cell("code").isEmpty() && one.until().isBefore(today.day()))
                .ifPresent(one -> row.say("refusal.hasPassed", one.until().toString(), today.day().toString()));
        String ofOther = customers.getOrDefault(row.cell("code"), row.cell("for"));
        if (!ofOther.equals(row.cell("for"))) {
            row.say("refusal.orderOfAnother", row.cell("code"));
        }
        return new Read(new OrderCsvLine(row.line(), row.cell("for"), row.cell("product"), row.cell("count"),
                row.cell("until"), row.problems()), row.cell("code"), row.isGood() ? terms : Optional.empty());
    }
}
