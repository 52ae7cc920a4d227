package vividcrown.server.files;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.hive.BoxKind;
import vividcrown.core.hive.Purpose;
import vividcrown.core.queen.Origin;
import vividcrown.server.csv.CsvTable;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.HiveBox;
import vividcrown.server.hive.HiveBoxes;
import vividcrown.server.hive.Hives;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.Queens;
import vividcrown.server.rearing.CellBuilders;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/**
 * A whole apiary as one CSV (RFC 4180): rows of yards, of hives and of queens, told apart by the column {@code row}. What it
 * writes it can read.
 */
@Component
class ApiarySheet {

    /** All that are understood. */
    static final List<String> COLUMNS = List.of("row", "yard", "latitude", "longitude", "elevation", "climate",
            "prefix",
            "walk", "caution", "hive", "purpose", "format", "boxes", "position", "school", "load", "code", "name",
            "stage", "year",
            "mark",
            "mother", "line", "breeder", "origin", "from", "day");

    private static final String BETWEEN_BOXES = " + ";

    private final Yards yards;
    private final Hives hives;
    private final HiveBoxes boxes;
    private final Queens queens;
    private final CellBuilders builders;

    ApiarySheet(Yards yards, Hives hives, HiveBoxes boxes, Queens queens, CellBuilders builders) {
        this.yards = yards;
        this.hives = hives;
        this.boxes = boxes;
        this.queens = queens;
        this.builders = builders;
    }

    /** Everything that stands and lives. */
    @Transactional(readOnly = true)
    public String write() {
        List<Yard> open = yards.findAll().stream().filter(yard -> yard.closedOn().isEmpty()).toList();
        Map<UUID, String> yardNames = open.stream().collect(Collectors.toMap(Yard::id, Yard::name));
        List<Hive> standing = hives.findByEndedOnIsNullOrderByCode();
        Map<UUID, String> hiveCodes = standing.stream().collect(Collectors.toMap(Hive::id, Hive::code));
        Map<UUID, List<HiveBox>> stacks = boxes.findByHiveIdIn(standing.stream().map(Hive::id).toList()).stream()
                .collect(Collectors.groupingBy(box -> box.hiveId().orElseThrow()));
        List<Map<String, Object>> rows = new ArrayList<>();
        open.forEach(yard -> rows.add(of(yard)));
        Map<UUID, CellBuilders.CellBuilder> run = builders.of(standing.stream()
                .filter(hive -> hive.purpose() == Purpose.BUILDER).map(Hive::id).toList());
        standing.forEach(hive -> rows.add(of(hive, yardNames.getOrDefault(hive.yardId(), ""),
                stacks.getOrDefault(hive.id(), List.of()), Optional.ofNullable(run.get(hive.id())))));
        List<Queen> living = queens.findAllByOrderByCode().stream()
                .filter(queen -> !queen.stage().isEnd() && !queen.stage().isCell()).toList();
        Map<UUID, String> mothers = queens.findAllById(living.stream().flatMap(queen -> queen.motherId().stream())
                .collect(Collectors.toSet())).stream().collect(Collectors.toMap(Queen::id, Queen::code));
        living.forEach(queen -> rows.add(of(queen, mothers, hiveCodes)));
        return CsvTable.write(COLUMNS, rows.stream()
                .map(row -> COLUMNS.stream().map(column -> row.getOrDefault(column, "")).toList()).toList());
    }

    private static Map<String, Object> of(Yard yard) {
        return Map.of("row", "yard", "yard", yard.name(), "latitude", yard.latitude(), "longitude", yard.longitude(),
                "elevation", yard.elevationMetres(), "climate", yard.climateSaid() ? word(yard.climate()) : "",
                "prefix", yard.prefix(), "walk", yard.walkOrder(), "caution", yard.caution());
    }

    private static Map<String, Object> of(Hive hive, String yard, List<HiveBox> stack,
            Optional<CellBuilders.CellBuilder> run) {
        Map<UUID, HiveBox> byId = stack.stream().collect(Collectors.toMap(HiveBox::id, Function.identity()));
        List<HiveBox> fromBelow = hive.stack().stream().filter(byId::containsKey).map(byId::get).toList();
        Map<String, Object> row = new HashMap<>();
        run.ifPresent(builder -> {
            row.put("school", word(builder.school()));
            row.put("load", builder.load());
        });
        row.putAll(Map.of("row", "hive", "hive", hive.code(), "yard", yard, "purpose", word(hive.purpose()), "format",
                fromBelow.stream().filter(box -> box.kind().hasFrames()).map(HiveBox::format).findFirst().orElse(""),
                "boxes", fromBelow.stream().map(ApiarySheet::said).collect(Collectors.joining(BETWEEN_BOXES)),
                "position", hive.position(), "day", hive.setUpOn()));
        return row;
    }

    private static String said(HiveBox box) {
        return box.kind().hasFrames() ? word(box.kind()) + " " + box.slots() : word(box.kind());
    }

    private static Map<String, Object> of(Queen queen, Map<UUID, String> mothers, Map<UUID, String> hiveCodes) {
        Map<String, Object> row = new HashMap<>(Map.of("row", "queen", "code", queen.code(), "name",
                queen.name(), "stage", word(queen.stage()), "mark", queen.life().mark().toLowerCase(Locale.ROOT),
                "line", queen.line(), "breeder", queen.breeder() ? "yes" : ""));
        row.put("year", queen.life().emergenceYear() == 0 ? "" : queen.life().emergenceYear());
        row.put("mother", queen.motherId().map(mother -> mothers.getOrDefault(mother, "")).orElse(""));
        row.put("hive", queen.hiveId().map(hive -> hiveCodes.getOrDefault(hive, "")).orElse(""));
        row.put("origin", queen.origin().map(Origin::kind).map(ApiarySheet::word).orElse(""));
        row.put("from", queen.origin().map(Origin::from).orElse(""));
        return row;
    }

    /** Whatever stands between the boxes of a stack, from below. */
    static List<String> boxes(String cell) {
        return List.of(cell.split("\\s*\\+\\s*"));
    }

    /** @throws IllegalArgumentException if it is none; the caller says so */
    static BoxKind kind(String word) {
        return BoxKind.valueOf(word.toUpperCase(Locale.ROOT));
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT);
    }
}
