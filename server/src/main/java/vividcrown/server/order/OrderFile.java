package vividcrown.server.order;

import com.fasterxml.uuid.Generators;
import jakarta.validation.Validator;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.season.Product;
import vividcrown.server.clock.Today;
import vividcrown.server.csv.CsvTable;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.Journal;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.Recorder;
import vividcrown.server.journal.SubjectKind;
import vividcrown.server.person.SignedIn;
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
    private final OrderCodes codes;
    private final Recorder recorder;
    private final Journal journal;
    private final Payloads payloads;
    private final Today today;
    private final Validator validator;

    OrderFile(QueenOrders orders, OrderCodes codes, Recorder recorder, Journal journal, Payloads payloads,
            Today today, Validator validator) {
        this.orders = orders;
        this.codes = codes;
        this.recorder = recorder;
        this.journal = journal;
        this.payloads = payloads;
        this.today = today;
        this.validator = validator;
    }

    /** A row of a file with what is wrong with it, nothing if it can be imported. */
    record Row(long line, String customer, String product, String count, String until, List<String> problems) {
    }

    record Read(Row row, Optional<OrderTaken> taken) {
    }

    @Transactional(readOnly = true)
    public String write() {
        return CsvTable.write(COLUMNS, orders.findAllByOrderByUntilDayAscCodeAsc().stream().map(order -> {
            OrderTaken taken = order.taken();
            return Stream.<@Nullable Object>of(taken.customer(), taken.ownNeed() ? "yes" : "no", taken.product(),
                    taken.count(), taken.sharePercent(), taken.from(), taken.until(), taken.line(), taken.priority(),
                    taken.assurance(), taken.deposit(), taken.note(), order.code(), order.state(), order.delivered())
                    .map(cell -> cell == null ? (Object) "" : cell).toList();
        }).toList());
    }

    List<Read> read(String csv) {
        return CsvTable.read(csv, COLUMNS, NEEDED).stream().map(record -> new Reading(record).read()).toList();
    }

    /** @return how many orders were taken; empty if this very import was confirmed before */
    @Transactional
    public Optional<Integer> confirm(UUID id, String csv, boolean skipBadRows) {
        recorder.takeTurn();
        if (journal.existsById(id(id, "entry 0"))) {
            return Optional.empty();
        }
        List<Read> rows = read(csv);
        List<Refusal.Finding> findings = rows.stream().filter(row -> row.taken().isEmpty())
                .map(row -> new Refusal.Finding("line " + row.row().line(), String.join(" ", row.row().problems())))
                .toList();
        if (!findings.isEmpty() && (findings.size() == rows.size() || !skipBadRows)) {
            throw Refusal.invalid(findings);
        }
        List<OrderTaken> good = rows.stream().flatMap(row -> row.taken().stream()).toList();
        List<JournalEntry> entries = new ArrayList<>();
        for (OrderTaken taken : good) {
            int index = entries.size();
            entries.add(new JournalEntry(id(id, "entry " + index), today.now(), today.recordedAt(),
                    SignedIn.require().id(), SubjectKind.ORDER, id(id, "order " + index), EntryKind.ORDER_TAKEN,
                    payloads.write(OrderDetail.ofTaken(codes.after(index), taken)), null));
        }
        recorder.record(entries, true);
        return Optional.of(good.size());
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
                problems.add("Product \"%s\" is not known. Write one of: %s.".formatted(cell("product"),
                        String.join(", ", Arrays.stream(Product.values())
                                .map(one -> one.name().toLowerCase(Locale.ROOT)).toList())));
            }
            Optional<Integer> count = value("count", Integer::valueOf, "a whole number");
            Optional<LocalDate> until = value("until", LocalDate::parse, "a day like 2026-06-12");
            Optional<LocalDate> from = value("from", LocalDate::parse, "a day like 2026-06-12");
            Optional<Integer> share = value("share_percent", Integer::valueOf, "a whole number");
            Optional<Integer> priority = value("priority", Integer::valueOf, "1, 2 or 3");
            Optional<Double> assurance = value("assurance", Double::valueOf, "a share like 0.9");
            Optional<BigDecimal> deposit = value("deposit", BigDecimal::new, "an amount like 120.50");
            if (count.isEmpty() && cell("count").isEmpty()) {
                problems.add("The count is missing. Say how many.");
            }
            if (until.isEmpty() && cell("until").isEmpty()) {
                problems.add("The day \"until\" is missing. Say by when.");
            }
            Optional<OrderTaken> taken = problems.isEmpty()
                    ? Optional.of(new OrderTaken(cell("for"), isYes(cell("own_need")), product.orElseThrow(),
                            count.orElseThrow(), share.orElse(null), from.orElse(until.orElseThrow()
                                    .minusDays(USUAL_DAYS)),
                            until.orElseThrow(), orNull(cell("line")), priority.orElse(USUAL_PRIORITY),
                            assurance.orElse(null), deposit.orElse(null), orNull(cell("note"))))
                    : Optional.empty();
            taken.ifPresent(this::check);
            return new Read(new Row(CsvTable.line(record), cell("for"), cell("product"), cell("count"), cell("until"),
                    problems), problems.isEmpty() ? taken : Optional.empty());
        }

        private void check(OrderTaken taken) {
            validator.validate(taken).stream()
                    .map(wrong -> "%s %s.".formatted(wrong.getPropertyPath(), wrong.getMessage())).sorted()
                    .forEach(problems::add);
            taken.findings(true, today.day()).forEach(finding -> problems.add(finding.message()));
        }

        private <T> Optional<T> value(String column, Function<String, T> parse, String like) {
            if (cell(column).isEmpty()) {
                return Optional.empty();
            }
            try {
                return Optional.of(parse.apply(cell(column)));
            } catch (NumberFormatException | DateTimeParseException unreadable) {
                problems.add("%s \"%s\" is not %s. Correct it.".formatted(column, cell(column), like));
                return Optional.empty();
            }
        }

        private String cell(String column) {
            return CsvTable.cell(record, column);
        }
    }

    private static boolean isYes(String cell) {
        return List.of("yes", "true", "1").contains(cell.toLowerCase(Locale.ROOT));
    }

    private static @Nullable String orNull(String cell) {
        return cell.isEmpty() ? null : cell;
    }
}
