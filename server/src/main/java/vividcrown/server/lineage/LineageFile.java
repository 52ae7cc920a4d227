package vividcrown.server.lineage;

import com.fasterxml.uuid.Generators;
import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.lineage.LineageDeed;
import vividcrown.core.merit.MeritDeed;
import vividcrown.core.merit.Trait;
import vividcrown.core.queen.Leaving;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.Stage;
import vividcrown.server.clock.Today;
import vividcrown.server.csv.CsvRow;
import vividcrown.server.csv.CsvTable;
import vividcrown.server.journal.Desk;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.Queens;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Descent and marks from files: of queens who are in the record and of those who come in with the file. */
@Service
class LineageFile {

    private static final List<String> PEDIGREE = List.of("queen", "name", "line", "born", "mother", "mated",
            "drone_mother",
            "sisters", "drones", "inbreeding", "alive");
    private static final List<String> MARKS = List.of("queen", "trait", "value", "yard", "year");
    private static final int USUAL_SISTERS = 8;
    private static final int USUAL_DRONES = 12;
    private static final int MIDSUMMER = 21;

    private final Queens queens;
    private final Yards yards;
    private final Desk desk;
    private final Today today;

    LineageFile(Queens queens, Yards yards, Desk desk, Today today) {
        this.queens = queens;
        this.yards = yards;
        this.desk = desk;
        this.today = today;
    }

    /**
     * A row of a file.
     *
     * @param line number in the file, the header is line 1
     * @param queen her code
     * @param what is read in it, in words
     * @param problems what is wrong with it, nothing if it can be taken in
     */
    record LineageRow(long line, String queen, String what, List<String> problems) {
    }

    /** @param deeds in the order in which they are told */
    private record Read(LineageRow row, List<Desk.Told> deeds) {
    }

    @Transactional(readOnly = true)
    public List<LineageRow> pedigreeRows(String csv) {
        return pedigree(UUID.randomUUID(), csv).stream().map(Read::row).toList();
    }

    @Transactional(readOnly = true)
    public List<LineageRow> scoreRows(String csv) {
        return scores(UUID.randomUUID(), csv).stream().map(Read::row).toList();
    }

    /** @return how many rows were taken in, or had been by the same import */
    @Transactional
    public int takePedigree(UUID id, String csv, boolean skipBadRows) {
        return take(pedigree(id, csv), skipBadRows);
    }

    /** @return how many marks were taken in, or had been by the same import */
    @Transactional
    public int takeScores(UUID id, String csv, boolean skipBadRows) {
        return take(scores(id, csv), skipBadRows);
    }

    private int take(List<Read> all, boolean skipBadRows) {
        CsvTable.refuseBad(all.stream().map(Read::row).toList(), LineageRow::line, LineageRow::problems, skipBadRows);
        List<Read> good = all.stream().filter(one -> one.row().problems().isEmpty()).toList();
        List<Desk.Told> told = good.stream().flatMap(one -> one.deeds().stream()).toList();
        if (!told.isEmpty()) {
            desk.take(told, false);
        }
        return good.size();
    }

    private Map<String, UUID> byCode(List<CsvRow> rows, String... columns) {
        List<String> codes = rows.stream().flatMap(row -> List.of(columns).stream().map(row::cell))
                .filter(code -> !code.isEmpty()).distinct().toList();
        return queens.findByCodeIn(codes).stream().collect(Collectors.toMap(Queen::code, Queen::id, (one, _) -> one));
    }

    /** Mothers come before their daughters, whatever the order of the file. */
    private List<Read> pedigree(UUID id, String csv) {
        List<CsvRow> rows = CsvTable.read(csv, PEDIGREE, List.of("queen")).stream().map(CsvRow::new).toList();
        Map<String, UUID> known = byCode(rows, "queen", "mother", "drone_mother");
        Map<String, UUID> all = new HashMap<>(known);
        Map<String, CsvRow> fresh = new LinkedHashMap<>();
        Map<String, Long> lines = new HashMap<>();
        rows.forEach(row -> {
            String code = row.cell("queen");
            if (code.isEmpty()) {
                row.say("import.nameless", "queen");
                return;
            }
            Long earlier = lines.putIfAbsent(code, row.line());
            if (earlier != null) {
                row.say("import.twice", code, earlier);
            } else if (!known.containsKey(code)) {
                all.put(code, Generators.nameBasedGenerator(id).generate("queen " + code));
                fresh.put(code, row);
            }
        });
        Map<String, Integer> depth = new HashMap<>();
        fresh.keySet().forEach(code -> depth(code, fresh, depth));
        return rows.stream().sorted((one, other) -> Integer.compare(depth.getOrDefault(one.cell("queen"), 0),
                depth.getOrDefault(other.cell("queen"), 0)))
                .map(row -> pedigreeRow(id, row, all, fresh.get(row.cell("queen")) == row, depth)).toList();
    }

    private static int depth(String code, Map<String, CsvRow> fresh, Map<String, Integer> depth) {
        List<String> down = new ArrayList<>();
        String at = code;
        while (fresh.containsKey(at) && !depth.containsKey(at) && !down.contains(at)) {
            down.add(at);
            at = Objects.requireNonNull(fresh.get(at)).cell("mother");
        }
        int from = down.contains(at) ? Integer.MIN_VALUE / 2 : depth.getOrDefault(at, 0);
        for (String one : down.reversed()) {
            depth.put(one, ++from);
        }
        return depth.getOrDefault(code, 0);
    }

    private Read pedigreeRow(UUID id, CsvRow row, Map<String, UUID> all, boolean isNew, Map<String, Integer> depth) {
        String code = row.cell("queen");
        List<Desk.Told> told = new ArrayList<>();
        if (depth.getOrDefault(code, 0) < 0) {
            row.say("refusal.ownAncestor", code);
        }
        Optional<UUID> mother = named(row, "mother", all);
        Optional<Integer> born = row.count("born");
        UUID queen = all.get(code);
        if (queen != null && isNew) {
            row.made(() -> new QueenDeed.Known(queen, code, row.cell("name"), false, mother, Stage.JUDGED,
                    born.orElse(0),
                    row.cell("line"), Optional.empty()))
                    .ifPresent(deed -> told.add(desk.now(entry(id, "known " + code), deed)));
            if (!row.isYes("alive")) {
                told.add(desk.now(entry(id, "gone " + code),
                        new QueenDeed.TakenOut(queen, "", Optional.of(Leaving.OTHER))));
            }
        }
        Optional<LineageDeed.How> how = row.choice("mated", LineageDeed.How.values());
        Optional<UUID> drones = named(row, "drone_mother", all);
        if (queen != null && how.isPresent()) {
            row.made(() -> new LineageDeed.Mated(queen, how.get(), drones,
                    how.get() == LineageDeed.How.STATION ? row.count("sisters").orElse(USUAL_SISTERS) : 1,
                    how.get() == LineageDeed.How.ONE_DRONE ? 1 : row.count("drones").orElse(USUAL_DRONES)))
                    .ifPresent(deed -> told.add(desk.now(entry(id, "mated " + code), deed)));
        }
        return new Read(new LineageRow(row.line(), code, row.cell("mother"), row.problems()), told);
    }

    private static Optional<UUID> named(CsvRow row, String column, Map<String, UUID> all) {
        Optional<String> code = row.text(column);
        Optional<UUID> found = code.map(all::get);
        if (code.isPresent() && found.isEmpty()) {
            row.say("import.noQueen", code.get(), column);
        }
        return found;
    }

    private List<Read> scores(UUID id, String csv) {
        List<CsvRow> rows = CsvTable.read(csv, MARKS, List.of("queen", "trait", "value")).stream().map(CsvRow::new)
                .toList();
        Map<String, UUID> known = byCode(rows, "queen");
        Map<String, Yard> places = new HashMap<>();
        yards.findAll().forEach(yard -> places.put(yard.name().toLowerCase(Locale.ROOT), yard));
        return rows.stream().map(row -> scoreRow(id, row, known, places)).toList();
    }

    private Read scoreRow(UUID id, CsvRow row, Map<String, UUID> known, Map<String, Yard> places) {
        Optional<UUID> queen = named(row, "queen", known);
        if (row.cell("queen").isEmpty()) {
            row.say("import.nameless", "queen");
        }
        Optional<Trait> trait = row.needed("trait", Trait.values());
        Optional<Double> value = row.number("value");
        if (row.cell("value").isEmpty()) {
            row.say("import.nameless", "value");
        }
        int year = row.count("year").orElse(today.day().getYear());
        if (year < 2000 || year > today.day().getYear()) {
            row.say("import.scoreYear", String.valueOf(year), String.valueOf(today.day().getYear()));
        }
        Optional<UUID> yard = row.text("yard")
                .flatMap(name -> Optional.ofNullable(places.get(name.toLowerCase(Locale.ROOT)))
                        .map(Yard::id));
        List<Desk.Told> told = new ArrayList<>();
        if (row.isGood()) {
            row.made(() -> new MeritDeed.Scored(queen.orElseThrow(), trait.orElseThrow(), value.orElseThrow(), yard,
                    Optional.empty()))
                    .ifPresent(deed -> told.add(at(entry(id, "score " + row.line()), year, deed)));
        }
        return new Read(new LineageRow(row.line(), row.cell("queen"),
                "%s %s".formatted(row.cell("trait"), row.cell("value")), row.problems()), told);
    }

    /** A mark of an earlier year is told for its summer. */
    private Desk.Told at(UUID entry, int year, MeritDeed.Scored deed) {
        Desk.Told now = desk.now(entry, deed);
        return year == today.day().getYear()
                ? now
                : new Desk.Told(entry, now.happenedAt().with(LocalDate.of(year, Month.JUNE, MIDSUMMER)), deed,
                        Optional.empty());
    }

    private static UUID entry(UUID id, String what) {
        return Generators.nameBasedGenerator(id).generate(what);
    }
}
