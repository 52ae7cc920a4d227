package vividcrown.server.importing;

import com.fasterxml.uuid.Generators;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.Stage;
import vividcrown.server.clock.Today;
import vividcrown.server.csv.CsvTable;
import vividcrown.server.importing.ImportController.Imported;
import vividcrown.server.importing.ImportController.Preview;
import vividcrown.server.importing.ImportController.Row;
import vividcrown.server.journal.Detail;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.Journal;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.Recorder;
import vividcrown.server.journal.SubjectKind;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.KnownQueen;
import vividcrown.server.queen.Queens;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.yard.BoxSetUp;
import vividcrown.server.yard.Nuc;
import vividcrown.server.yard.Nucs;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Reads a file of queens and nucs, says what is wrong row by row, and turns good rows into journal entries. */
@Service
class QueenImport {

    private static final List<String> COLUMNS = List.of("code", "name", "yard", "nuc", "stage", "year", "mark");
    private static final Set<Stage> STAGES = Set.of(Stage.VIRGIN, Stage.LAYING, Stage.JUDGED, Stage.DRONE_LAYER);
    private static final int FIRST_YEAR = 2000;

    private final Yards yards;
    private final Nucs nucs;
    private final Queens queens;
    private final Recorder recorder;
    private final Journal journal;
    private final Payloads payloads;
    private final Today today;
    private final SettingsInForce settings;

    QueenImport(Yards yards, Nucs nucs, Queens queens, Recorder recorder, Journal journal, Payloads payloads,
            Today today, SettingsInForce settings) {
        this.yards = yards;
        this.nucs = nucs;
        this.queens = queens;
        this.recorder = recorder;
        this.journal = journal;
        this.payloads = payloads;
        this.today = today;
        this.settings = settings;
    }

    @Transactional(readOnly = true)
    public Preview preview(String csv) {
        List<Row> rows = read(csv);
        int bad = (int) rows.stream().filter(row -> !row.problems().isEmpty()).count();
        return new Preview(rows, rows.size() - bad, bad);
    }

    @Transactional
    public Imported confirm(UUID id, String csv, boolean skipBadRows) {
        recorder.takeTurn();
        Importing importing = new Importing(id);
        if (journal.existsById(importing.entryId(0))) {
            return new Imported(0, 0, true);
        }
        List<Row> rows = read(csv);
        List<Refusal.Finding> findings = rows.stream().filter(row -> !row.problems().isEmpty())
                .map(row -> new Refusal.Finding("line " + row.line(), String.join(" ", row.problems()))).toList();
        boolean nothingGood = findings.size() == rows.size();
        if (!findings.isEmpty() && (nothingGood || !skipBadRows)) {
            throw Refusal.invalid(findings);
        }
        List<JournalEntry> entries = importing
                .entries(rows.stream().filter(row -> row.problems().isEmpty()).toList());
        recorder.record(entries, true);
        return new Imported(count(entries, EntryKind.KNOWN), count(entries, EntryKind.NUC_SET_UP),
                false);
    }

    private static int count(List<JournalEntry> entries, EntryKind kind) {
        return (int) entries.stream().filter(entry -> entry.kind() == kind).count();
    }

    private List<Row> read(String csv) {
        return new Checking().rows(CsvTable.read(csv, COLUMNS, COLUMNS.subList(0, 5)));
    }

    /** Knows what the operation has, and what earlier rows of the file bring. */
    private final class Checking {
        private final Map<String, Yard> yardsByName = yards.findAll().stream()
                .collect(Collectors.toMap(yard -> lower(yard.name()), yard -> yard));
        private final Map<String, Nuc> nucsByCode = nucs.findAll().stream()
                .collect(Collectors.toMap(nuc -> lower(nuc.code()), nuc -> nuc));
        private final Map<String, Long> lineOfCode = new HashMap<>();
        private final Map<String, Long> lineOfNuc = new HashMap<>();

        List<Row> rows(List<CSVRecord> records) {
            return records.stream().map(record -> {
                Row row = new Row(CsvTable.line(record), CsvTable.cell(record, "code"), CsvTable.cell(record, "name"),
                        CsvTable.cell(record, "yard"), CsvTable.cell(record, "nuc"), CsvTable.cell(record, "stage"),
                        CsvTable.cell(record, "year"),
                        CsvTable.cell(record, "mark"), List.of());
                return new Row(row.line(), row.code(), row.name(), row.yard(), row.nuc(), row.stage(), row.year(),
                        row.mark(), problems(row));
            }).toList();
        }

        private List<String> problems(Row row) {
            List<String> problems = new ArrayList<>();
            if (row.code().isEmpty() && row.nuc().isEmpty()) {
                problems.add("Neither a queen's code nor a nuc: give one of them.");
            }
            nuc(row, problems);
            if (!row.code().isEmpty()) {
                queen(row, problems);
            }
            return problems;
        }

        private void nuc(Row row, List<String> problems) {
            if (row.nuc().isEmpty()) {
                return;
            }
            Nuc known = nucsByCode.get(lower(row.nuc()));
            if (known == null && !yardsByName.containsKey(lower(row.yard()))) {
                problems.add("Nuc %s is new, and there is no yard \"%s\". Give one of: %s.".formatted(row.nuc(),
                        row.yard(),
                        yardsByName.values().stream().map(Yard::name).sorted().collect(Collectors.joining(", "))));
            }
            if (known != null && known.queenId().isPresent() && !row.code().isEmpty()) {
                problems.add("Nuc %s holds a queen already. Choose a free nuc, or record first what became of her."
                        .formatted(row.nuc()));
            }
            once(lineOfNuc, row.nuc(), row.line(), "Nuc", problems);
        }

        private void queen(Row row, List<String> problems) {
            if (queens.findByCode(row.code()).isPresent()) {
                problems.add("There is a queen %s already. Change the code.".formatted(row.code()));
            }
            once(lineOfCode, row.code(), row.line(), "Code", problems);
            if (stage(row).isEmpty()) {
                problems.add("Stage \"%s\" is not known. Write virgin, laying, judged or drone_layer."
                        .formatted(row.stage()));
            }
            if (!row.year().isEmpty() && year(row).isEmpty()) {
                problems.add("Year \"%s\" is not one from %d to %d. Correct it, or leave it empty."
                        .formatted(row.year(), FIRST_YEAR, today.day().getYear()));
            }
        }

        private void once(Map<String, Long> lines, String value, long line, String what, List<String> problems) {
            Long earlier = lines.putIfAbsent(lower(value), line);
            if (earlier != null) {
                problems.add("%s %s is on line %d already. Keep one of the two.".formatted(what, value, earlier));
            }
        }
    }

    private Optional<Integer> year(Row row) {
        try {
            return Optional.of(Integer.parseInt(row.year()))
                    .filter(year -> year >= FIRST_YEAR && year <= today.day().getYear());
        } catch (NumberFormatException notANumber) {
            return Optional.empty();
        }
    }

    private static Optional<Stage> stage(Row row) {
        return Arrays.stream(Stage.values()).filter(STAGES::contains)
                .filter(stage -> stage.name().equalsIgnoreCase(row.stage().replace(' ', '_'))).findFirst();
    }

    private static String lower(String text) {
        return text.toLowerCase(Locale.ROOT);
    }

    /** Turns good rows into entries with ids that follow from the import's, so that twice is once. */
    private final class Importing {
        private final UUID importId;
        private final ZonedDateTime now = today.now();
        private final UUID by = SignedIn.require().id();
        private final MarkingScheme scheme = settings.scheme();
        private final Map<String, UUID> yardsByName = yards.findAll().stream()
                .collect(Collectors.toMap(yard -> lower(yard.name()), Yard::id));
        private final Map<String, UUID> nucsByCode = nucs.findAll().stream()
                .collect(Collectors.toMap(nuc -> lower(nuc.code()), Nuc::id));
        private final Map<UUID, Integer> lastPosition = new HashMap<>();
        private final List<JournalEntry> entries = new ArrayList<>();

        Importing(UUID importId) {
            this.importId = importId;
            nucs.findAll().forEach(nuc -> lastPosition.merge(nuc.yardId(), nuc.position(), Math::max));
        }

        List<JournalEntry> entries(List<Row> rows) {
            rows.forEach(this::row);
            return entries;
        }

        private void row(Row row) {
            if (!row.nuc().isEmpty() && !nucsByCode.containsKey(lower(row.nuc()))) {
                setUpNuc(row);
            }
            if (!row.code().isEmpty()) {
                queen(row);
            }
        }

        private void setUpNuc(Row row) {
            UUID yard = yardsByName.get(lower(row.yard()));
            UUID nuc = id("nuc " + row.nuc());
            nucsByCode.put(lower(row.nuc()), nuc);
            int position = lastPosition.merge(yard, 1, Integer::sum);
            add(SubjectKind.NUC, nuc, EntryKind.NUC_SET_UP,
                    payloads.write(new BoxSetUp(yard, row.nuc(), position, null, null)));
        }

        private void queen(Row row) {
            UUID queen = id("queen " + row.code());
            int year = year(row).orElse(0);
            add(SubjectKind.QUEEN, queen, EntryKind.KNOWN, payloads
                    .write(new KnownQueen(row.code(), row.name(), false, null, stage(row).orElseThrow(), year, null)));
            if (!row.nuc().isEmpty()) {
                add(SubjectKind.QUEEN, queen, EntryKind.PLACED_IN_NUC,
                        payloads.write(Detail.ofNuc(nucsByCode.get(lower(row.nuc())))));
            }
            if (!row.mark().isEmpty() && year != 0) {
                add(SubjectKind.QUEEN, queen, EntryKind.MARKED,
                        payloads.write(Detail.ofMark(scheme.colourOf(year), row.mark())));
            }
        }

        private void add(SubjectKind subjectKind, UUID subject, EntryKind kind, String detail) {
            entries.add(new JournalEntry(entryId(entries.size()), now, today.recordedAt(), by, subjectKind,
                    subject, kind, detail, null));
        }

        UUID entryId(int index) {
            return id("entry " + index);
        }

        private UUID id(String name) {
            return Generators.nameBasedGenerator(importId).generate(name);
        }
    }
}
