package vividcrown.server.demand;

import com.fasterxml.uuid.Generators;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.demand.OrderDeed;
import vividcrown.core.demand.OrderTerms;
import vividcrown.core.demand.Product;
import vividcrown.core.journal.Faults;
import vividcrown.core.reason.Sentence;
import vividcrown.server.clock.Today;
import vividcrown.server.csv.CsvTable;
import vividcrown.server.journal.Desk;
import vividcrown.server.journal.Recorder;
import vividcrown.server.problem.Refusal;

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

    /** A row of a file with what is wrong with it, nothing if it can be imported. */
    record Row(long line, String customer, String product, String count, String until, List<String> problems) {
    }

    /** @param code of an order that is known already; it is changed, not taken again */
    record Read(Row row, String code, Optional<OrderTerms> terms) {
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
        return CsvTable.read(csv, COLUMNS, NEEDED).stream().map(record -> new Reading(record).read()).toList();
    }

    /** @return how many orders were taken; empty if this very import was confirmed before */
    @Transactional
    public Optional<Integer> confirm(UUID id, String csv, boolean skipBadRows) {
        List<Read> rows = read(csv);
        List<Refusal.Finding> findings = rows.stream().filter(row -> row.terms().isEmpty())
                .map(row -> new Refusal.Finding("line " + row.row().line(), String.join(" ", row.row().problems())))
                .toList();
        if (!findings.isEmpty() && (findings.size() == rows.size() || !skipBadRows)) {
            throw Refusal.invalid(findings);
        }
        List<Desk.Told> told = new ArrayList<>();
        Map<String, UUID> known = orders.findAll().stream()
                .collect(Collectors.toMap(QueenOrder::code, QueenOrder::id, (one, _) -> one));
        rows.stream().filter(row -> row.terms().isPresent()).forEach(row -> {
            int index = told.size();
            UUID order = known.getOrDefault(row.code(), id(id, "order " + index));
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

    /** Reads one row; collects everything that is wrong with it. */
    private final class Reading {
        private final CSVRecord record;
        private final List<String> problems = new ArrayList<>();

        Reading(CSVRecord record) {
            this.record = record;
        }

        Read read() {
            Optional<Product> product = Arrays.stream(Product.values())
                    .filter(one -> one.name().equalsIgnoreCase(cell("product").replace(' ', '_'))).findFirst();
            if (product.isEmpty()) {
                say("import.noProduct", cell("product"), String.join(", ", Arrays.stream(Product.values())
                        .map(one -> one.name().toLowerCase(Locale.ROOT)).toList()));
            }
            Optional<Integer> count = value("count", Integer::valueOf, "import.like.number");
            Optional<LocalDate> until = value("until", LocalDate::parse, "import.like.day");
            Optional<LocalDate> from = value("from", LocalDate::parse, "import.like.day");
            Optional<Integer> share = value("share_percent", Integer::valueOf, "import.like.number");
            Optional<Integer> priority = value("priority", Integer::valueOf, "import.like.priority");
            Optional<Double> assurance = value("assurance", Double::valueOf, "import.like.share");
            Optional<BigDecimal> deposit = value("deposit", BigDecimal::new, "import.like.amount");
            if (count.isEmpty() && cell("count").isEmpty()) {
                say("import.noCount");
            }
            if (until.isEmpty() && cell("until").isEmpty()) {
                say("import.noDay");
            }
            Optional<OrderTerms> terms = Optional.empty();
            if (problems.isEmpty()) {
                try {
                    terms = Optional.of(new OrderTerms(cell("for"), isYes(cell("own_need")), product.orElseThrow(),
                            count.orElseThrow(), share, from.orElse(until.orElseThrow().minusDays(USUAL_DAYS)),
                            until.orElseThrow(), text("line"), priority.orElse(USUAL_PRIORITY), assurance, deposit,
                            text("note")));
                } catch (Faults.Found wrong) {
                    wrong.all().forEach(fault -> problems.add(fault + "."));
                }
            }
            terms.filter(one -> cell("code").isEmpty() && one.until().isBefore(today.day()))
                    .ifPresent(one -> say("refusal.hasPassed", one.until().toString(), today.day().toString()));
            return new Read(new Row(CsvTable.line(record), cell("for"), cell("product"), cell("count"), cell("until"),
                    problems), cell("code"), problems.isEmpty() ? terms : Optional.empty());
        }

        private Optional<String> text(String column) {
            return cell(column).isEmpty() ? Optional.empty() : Optional.of(cell(column));
        }

        private <T> Optional<T> value(String column, Function<String, T> parse, String like) {
            if (cell(column).isEmpty()) {
                return Optional.empty();
            }
            try {
                return Optional.of(parse.apply(cell(column)));
            } catch (NumberFormatException | DateTimeParseException unreadable) {
                say("import.notLike", column, cell(column), Sentence.of(like));
                return Optional.empty();
            }
        }

        private void say(String key, Object... arguments) {
            problems.add(Sentence.of(key, arguments).toString());
        }

        private String cell(String column) {
            return CsvTable.cell(record, column);
        }
    }

    private static boolean isYes(String cell) {
        return List.of("yes", "true", "1").contains(cell.toLowerCase(Locale.ROOT));
    }
}
