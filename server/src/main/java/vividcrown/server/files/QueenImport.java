package vividcrown.server.files;

import com.fasterxml.uuid.Generators;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.hive.Box;
import vividcrown.core.hive.FrameFormat;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.Purpose;
import vividcrown.core.journal.Deed;
import vividcrown.core.queen.GivenAs;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.Stage;
import vividcrown.core.reason.Sentence;
import vividcrown.server.clock.Today;
import vividcrown.server.csv.CsvTable;
import vividcrown.server.files.QueenFileController.Preview;
import vividcrown.server.files.QueenFileController.Row;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.journal.NewEntry;
import vividcrown.server.journal.Recorder;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.Queens;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Reads a file of queens and nucs, says what is wrong row by row, and turns good rows into journal entries. */
@Service
class QueenImport {

    private static final List<String> COLUMNS = List.of("code", "name", "yard", "hive", "stage", "year", "mark");
    private static final Set<Stage> STAGES = Set.of(Stage.VIRGIN, Stage.LAYING, Stage.JUDGED, Stage.DRONE_LAYER);
    private static final int FIRST_YEAR = 2000;

    private static final String USUAL_FORMAT = FrameFormat.DADANT.label();
    private static final int USUAL_FRAMES = 4;

    private final Yards yards;
    private final Hives hives;
    private final Queens queens;
    private final Recorder recorder;
    private final Today today;
    private final SettingsInForce settings;

    QueenImport(Yards yards, Hives hives, Queens queens, Recorder recorder, Today today, SettingsInForce settings) {
        this.yards = yards;
        this.hives = hives;
        this.queens = queens;
        this.recorder = recorder;
        this.today = today;
        this.settings = settings;
    }

    @Transactional(readOnly = true)
    public Preview preview(String csv) {
        List<Row> rows = read(csv);
        int bad = (int) rows.stream().filter(row -> !row.problems().isEmpty()).count();
        return new Preview(rows, rows.size() - bad, bad);
    }

    /**
     * The rows to import.
     *
     * @throws Refusal if rows are bad and none is to be left out, or no row is good
     */
    @Transactional(readOnly = true)
    public List<Row> good(String csv, boolean skipBadRows) {
        List<Row> rows = read(csv);
        List<Refusal.Finding> findings = rows.stream().filter(row -> !row.problems().isEmpty())
                .map(row -> new Refusal.Finding("line " + row.line(), String.join(" ", row.problems()))).toList();
        boolean nothingGood = findings.size() == rows.size();
        if (!findings.isEmpty() && (nothingGood || !skipBadRows)) {
            throw Refusal.invalid(findings);
        }
        return rows.stream().filter(row -> row.problems().isEmpty()).toList();
    }

    /**
     * Records some good rows. Their entries' ids follow from the import's and their codes, so that twice is once.
     *
     * @param rows of the file, in its order
     */
    @Transactional
    public Counted record(UUID importId, UUID by, List<Row> rows) {
        List<NewEntry> entries = new Importing(importId, by).entries(rows);
        Set<UUID> fresh = Set.copyOf(recorder.record(entries, true).fresh());
        List<NewEntry> recorded = entries.stream().filter(entry -> fresh.contains(entry.id())).toList();
        return new Counted(count(recorded, QueenDeed.Known.class), count(recorded, HiveDeed.SetUp.class));
    }

    /** @param queens that came in; @param hives that were set up for them */
    record Counted(int queens, int hives) {
    }

    private static int count(List<NewEntry> entries, Class<? extends Deed> kind) {
        return (int) entries.stream().filter(one -> kind.isInstance(one.deed())).count();
    }

    /** Rows as a file of their own. */
    static String csv(List<Row> rows) {
        return CsvTable.write(COLUMNS, rows.stream().map(row -> List.<Object>of(row.code(), row.name(), row.yard(),
                row.hive(), row.stage(), row.year(), row.mark())).toList());
    }

    /** The rows of a file as they are written, without a look at what is there. */
    static List<Row> written(String csv) {
        return CsvTable.read(csv, COLUMNS, COLUMNS.subList(0, 5)).stream().map(QueenImport::written).toList();
    }

    private static Row written(CSVRecord record) {
        return new Row(CsvTable.line(record), CsvTable.cell(record, "code"), CsvTable.cell(record, "name"),
                CsvTable.cell(record, "yard"), CsvTable.cell(record, "hive"), CsvTable.cell(record, "stage"),
                CsvTable.cell(record, "year"), CsvTable.cell(record, "mark"), List.of());
    }

    private List<Row> read(String csv) {
        List<CSVRecord> records = CsvTable.read(csv, COLUMNS, COLUMNS.subList(0, 5));
        return new Checking(records).rows(records);
    }

    /** Knows what the operation has, and what earlier rows of the file bring. */
    private final class Checking {
        private final Map<String, Yard> yardsByName = yards.findAll().stream()
                .collect(Collectors.toMap(yard -> lower(yard.name()), yard -> yard));
        private final Map<String, Hive> hivesByCode = hives.findByEndedOnIsNullOrderByCode().stream()
                .collect(Collectors.toMap(hive -> lower(hive.code()), hive -> hive, (one, _) -> one));
        private final Set<String> codesKnown;
        private final Map<String, Long> lineOfCode = new HashMap<>();
        private final Map<String, Long> lineOfHive = new HashMap<>();

        Checking(List<CSVRecord> records) {
            codesKnown = queens.codesAmong(records.stream().map(record -> CsvTable.cell(record, "code"))
                    .filter(code -> !code.isEmpty()).collect(Collectors.toSet()));
        }

        List<Row> rows(List<CSVRecord> records) {
            return records.stream().map(record -> {
                Row row = written(record);
                return new Row(row.line(), row.code(), row.name(), row.yard(), row.hive(), row.stage(), row.year(),
                        row.mark(), problems(row));
            }).toList();
        }

        private List<String> problems(Row row) {
            List<String> problems = new ArrayList<>();
            if (row.code().isEmpty() && row.hive().isEmpty()) {
                problems.add(Sentence.of("import.nothing").toString());
            }
            hive(row, problems);
            if (!row.code().isEmpty()) {
                queen(row, problems);
            }
            return problems;
        }

        private void hive(Row row, List<String> problems) {
            if (row.hive().isEmpty()) {
                return;
            }
            Hive known = hivesByCode.get(lower(row.hive()));
            if (known == null && !yardsByName.containsKey(lower(row.yard()))) {
                problems.add(Sentence.of("import.noYard", row.hive(), row.yard(),
                        yardsByName.values().stream().map(Yard::name).sorted().collect(Collectors.joining(", ")))
                        .toString());
            }
            if (known != null && known.queenId().isPresent() && !row.code().isEmpty()) {
                problems.add(Sentence.of("import.hiveHeld", row.hive()).toString());
            }
            once(lineOfHive, row.hive(), row.line(), "import.hiveTwice", problems);
        }

        private void queen(Row row, List<String> problems) {
            if (codesKnown.contains(row.code())) {
                problems.add(Sentence.of("import.queenKnown", row.code()).toString());
            }
            once(lineOfCode, row.code(), row.line(), "import.codeTwice", problems);
            if (stage(row).isEmpty()) {
                problems.add(Sentence.of("import.noStage", row.stage()).toString());
            }
            if (!row.year().isEmpty() && year(row).isEmpty()) {
                problems.add(Sentence.of("import.noYear", row.year(), String.valueOf(FIRST_YEAR),
                        String.valueOf(today.day().getYear())).toString());
            }
        }

        private void once(Map<String, Long> lines, String value, long line, String key, List<String> problems) {
            Long earlier = lines.putIfAbsent(lower(value), line);
            if (earlier != null) {
                problems.add(Sentence.of(key, value, earlier).toString());
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

    /** Turns good rows into deeds with ids that follow from the import's, so that twice is once. */
    private final class Importing {

        private final UUID importId;
        private final UUID by;
        private final ZonedDateTime now = today.now();
        private final MarkingScheme scheme = settings.scheme();
        private final Map<String, UUID> yardsByName = yards.findAll().stream()
                .collect(Collectors.toMap(yard -> lower(yard.name()), Yard::id, (one, _) -> one));
        private final Map<String, UUID> hivesByCode = new HashMap<>();
        private final Map<UUID, Integer> lastPosition = new HashMap<>();
        private final List<NewEntry> entries = new ArrayList<>();

        Importing(UUID importId, UUID by) {
            this.importId = importId;
            this.by = by;
            hives.findByEndedOnIsNullOrderByCode().forEach(hive -> {
                hivesByCode.put(lower(hive.code()), hive.id());
                lastPosition.merge(hive.yardId(), hive.position(), Math::max);
            });
        }

        List<NewEntry> entries(List<Row> rows) {
            rows.forEach(this::row);
            return entries;
        }

        private void row(Row row) {
            if (!row.hive().isEmpty() && !hivesByCode.containsKey(lower(row.hive()))) {
                setUpHive(row);
            }
            if (!row.code().isEmpty()) {
                queen(row);
            }
        }

        private void setUpHive(Row row) {
            UUID yard = Objects.requireNonNull(yardsByName.get(lower(row.yard())), row.yard());
            UUID hive = id("hive " + lower(row.hive()));
            hivesByCode.put(lower(row.hive()), hive);
            int position = lastPosition.merge(yard, 1, Integer::sum);
            add("set up " + lower(row.hive()), new HiveDeed.SetUp(hive, yard, row.hive(), position, Purpose.MATING_NUC,
                    List.of(Box.brood(id("box " + lower(row.hive())), USUAL_FORMAT, USUAL_FRAMES))));
        }

        private void queen(Row row) {
            UUID queen = id("queen " + row.code());
            int year = year(row).orElse(0);
            Stage stage = stage(row).orElseThrow();
            add("known " + row.code(),
                    new QueenDeed.Known(queen, row.code(), row.name(), false, Optional.empty(), stage, year, ""));
            if (!row.hive().isEmpty()) {
                add("placed " + row.code(),
                        new QueenDeed.Placed(queen, Objects.requireNonNull(hivesByCode.get(lower(row.hive()))),
                                stage == Stage.VIRGIN ? GivenAs.VIRGIN : GivenAs.LAYING_QUEEN, Optional.empty(),
                                false));
            }
            if (!row.mark().isEmpty() && year != 0) {
                add("marked " + row.code(), new QueenDeed.Marked(queen, scheme.colourOf(year), row.mark()));
            }
        }

        private void add(String what, Deed deed) {
            entries.add(new NewEntry(id("entry: " + what), now, today.recordedAt(), by, deed, Optional.empty()));
        }

        private UUID id(String name) {
            return Generators.nameBasedGenerator(importId).generate(name);
        }
    }
}
