package vividcrown.server.files;

import com.fasterxml.uuid.Generators;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Deed;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.yard.YardDeed;
import vividcrown.server.clock.Today;
import vividcrown.server.csv.CsvRow;
import vividcrown.server.csv.CsvTable;
import vividcrown.server.files.ApiaryFileController.ApiaryLine;
import vividcrown.server.files.ApiaryFileController.Preview;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.journal.NewEntry;
import vividcrown.server.journal.Recorder;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.Queens;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Reads a file of a whole apiary, says what is wrong row by row, and turns good rows into journal entries. */
@Service
class ApiaryImport {

    private static final List<String> NEEDED = List.of("hive");
    private static final UUID NOBODYS = new UUID(0, 0);
    /** A chain of mothers, each of whose rows is bad, is no longer than this. */
    private static final int MOST_PASSES = 20;

    private final Yards yards;
    private final Hives hives;
    private final Queens queens;
    private final Recorder recorder;
    private final Today today;
    private final SettingsInForce settings;

    ApiaryImport(Yards yards, Hives hives, Queens queens, Recorder recorder, Today today, SettingsInForce settings) {
        this.yards = yards;
        this.hives = hives;
        this.queens = queens;
        this.recorder = recorder;
        this.today = today;
        this.settings = settings;
    }

    @Transactional(readOnly = true)
    public Preview preview(String csv) {
        List<ApiaryLine> rows = read(NOBODYS, csv).stream().map(ApiaryImport::row).toList();
        int bad = (int) rows.stream().filter(row -> !row.problems().isEmpty()).count();
        return new Preview(rows, rows.size() - bad, bad);
    }

    private static ApiaryLine row(ApiaryRows.Made made) {
        Map<String, String> cells = new LinkedHashMap<>();
        ApiarySheet.COLUMNS.forEach(column -> made.row().text(column).ifPresent(cell -> cells.put(column, cell)));
        return new ApiaryLine(made.row().line(), cells, made.row().problems());
    }

    /** Rows that can be imported, as a file of their own. */
    record Good(String csv, int rows) {
    }

    /**
     * The rows to import.
     *
     * @throws Refusal if rows are bad and none is to be left out, or no row is good
     */
    @Transactional(readOnly = true)
    public Good good(String csv, boolean skipBadRows) {
        List<CsvRow> rows = read(NOBODYS, csv).stream().map(ApiaryRows.Made::row).toList();
        CsvTable.refuseBad(rows, CsvRow::line, CsvRow::problems, skipBadRows);
        List<List<Object>> good = rows.stream().filter(CsvRow::isGood)
                .map(row -> ApiarySheet.COLUMNS.stream().<Object>map(row::cell).toList()).toList();
        return new Good(CsvTable.write(ApiarySheet.COLUMNS, good), good.size());
    }

    /** @param yards that were opened; @param hives that were set up; @param queens that came in */
    record Counted(int yards, int hives, int queens) {
    }

    /** Entries of some rows, ready to be recorded together. */
    record Part(int rows, List<NewEntry> entries) {
    }

    /**
     * The entries of the good rows, yards first, then hives, then queens, in parts of some rows each. Their ids follow from the
     * import's and from what they are about, so that twice is once; what is here already by now adds nothing.
     */
    @Transactional(readOnly = true)
    public List<Part> parts(UUID importId, UUID by, String csv, int rowsAtOnce) {
        List<ApiaryRows.Made> made = read(importId, csv);
        List<ApiaryRows.Made> inTurn = Stream.of(ApiaryKnown.Kind.values())
                .flatMap(kind -> made.stream().filter(one -> one.kind().equals(Optional.of(kind)))).toList();
        List<Part> parts = new ArrayList<>();
        for (int from = 0; from < inTurn.size(); from += rowsAtOnce) {
            List<ApiaryRows.Made> some = inTurn.subList(from, Math.min(from + rowsAtOnce, inTurn.size()));
            parts.add(new Part(some.size(),
                    some.stream().flatMap(one -> entries(importId, by, one).stream()).toList()));
        }
        return parts;
    }

    private List<NewEntry> entries(UUID importId, UUID by, ApiaryRows.Made made) {
        List<NewEntry> entries = new ArrayList<>();
        made.deeds().forEach((what, deed) -> entries.add(new NewEntry(
                Generators.nameBasedGenerator(importId).generate("entry: " + what),
                made.day().equals(today.day()) ? today.now() : made.day().atTime(LocalTime.NOON).atZone(today.zone()),
                today.recordedAt(), by, deed, Optional.empty())));
        return entries;
    }

    @Transactional
    public Counted record(Part part) {
        Set<UUID> fresh = new HashSet<>(recorder.record(part.entries(), true).fresh());
        List<Deed> recorded = part.entries().stream().filter(entry -> fresh.contains(entry.id())).map(NewEntry::deed)
                .toList();
        return new Counted(count(recorded, YardDeed.Opened.class), count(recorded, HiveDeed.SetUp.class),
                count(recorded, QueenDeed.Known.class));
    }

    private static int count(List<Deed> deeds, Class<? extends Deed> kind) {
        return (int) deeds.stream().filter(kind::isInstance).count();
    }

    /** What hangs on a bad row is bad too: looked at again without the bad ones, until nothing changes any more. */
    private List<ApiaryRows.Made> read(UUID importId, String csv) {
        List<CSVRecord> records = CsvTable.read(csv, ApiarySheet.COLUMNS, NEEDED);
        Set<String> codes = new HashSet<>();
        records.stream().map(CsvRow::new).forEach(row -> {
            Stream.of("code", "mother").flatMap(column -> row.text(column).stream())
                    .forEach(code -> codes.addAll(
                            List.of(code, code.toUpperCase(Locale.ROOT), code.toLowerCase(Locale.ROOT))));
        });
        List<Yard> allYards = yards.findAll();
        List<Hive> allHives = hives.findByEndedOnIsNullOrderByCode();
        List<Queen> allQueens = queens.findByCodeIn(codes);
        Set<String> formats = settings.current().frameFormats().keySet();
        Set<Long> bad = Set.of();
        for (int pass = 1;; pass++) {
            List<CsvRow> rows = records.stream().map(CsvRow::new).toList();
            List<ApiaryRows.Made> made = new ApiaryRows(new ApiaryKnown(importId, allYards, allHives, allQueens),
                    formats, settings.scheme(), today.day()).all(rows, bad);
            Set<Long> nowBad = rows.stream().filter(row -> !row.isGood()).map(CsvRow::line).collect(Collectors.toSet());
            if (nowBad.equals(bad) || pass == MOST_PASSES) {
                return made;
            }
            bad = nowBad;
        }
    }
}
