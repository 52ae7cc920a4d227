package vividcrown.server.files;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividcrown.core.climate.Climate;
import vividcrown.core.hive.Box;
import vividcrown.core.hive.BoxKind;
import vividcrown.core.hive.FrameFormat;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.Purpose;
import vividcrown.core.journal.Deed;
import vividcrown.core.queen.GivenAs;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.Origin;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.Stage;
import vividcrown.core.queen.YearColour;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.RearingDeed;
import vividcrown.core.yard.YardDeed;
import vividcrown.server.csv.CsvRow;
import vividcrown.server.files.ApiaryKnown.Kind;

/** Turns rows of a file into deeds, and says of each row what is wrong with it. */
final class ApiaryRows {

    private static final Stage[] STAGES = {Stage.VIRGIN, Stage.LAYING, Stage.JUDGED, Stage.DRONE_LAYER};
    private static final String USUAL_FORMAT = FrameFormat.DADANT.label();
    private static final int USUAL_NUC_FRAMES = 4;
    private static final int USUAL_FRAMES = 10;
    /** Cups at a time. Common practice: 15–20. */
    private static final int USUAL_LOAD = 15;

    private final ApiaryKnown known;
    private final Set<String> formats;
    private final MarkingScheme scheme;
    private final LocalDate today;
    private final Map<String, Long> queenOfHive = new LinkedHashMap<>();
    private final Map<String, LocalDate> setUpOn = new LinkedHashMap<>();
    private final Map<String, Purpose> purposes = new LinkedHashMap<>();

    ApiaryRows(ApiaryKnown known, Set<String> formats, MarkingScheme scheme, LocalDate today) {
        this.known = known;
        this.formats = formats;
        this.scheme = scheme;
        this.today = today;
    }

    /**
     * What a row comes to.
     *
     * @param kind of the thing, if the row says one
     * @param day on which it was so
     * @param deeds by what they are, from which the ids of their entries follow; empty if something is wrong with the row
     */
    record Made(CsvRow row, Optional<Kind> kind, LocalDate day, Map<String, Deed> deeds) {
    }

    /**
     * Yards first, then hives, then queens, whatever their order in the file.
     *
     * @param rows in its order
     * @param bad lines that bring nothing, for something was wrong with them
     */
    List<Made> all(List<CsvRow> rows, Set<Long> bad) {
        Map<CsvRow, Optional<Kind>> kinds = new LinkedHashMap<>();
        rows.forEach(row -> kinds.put(row, Kind.of(row)));
        kinds.forEach((row, kind) -> kind.filter(_ -> !bad.contains(row.line())).ifPresent(one -> bring(one, row)));
        kinds.forEach((row, kind) -> kind.filter(_ -> bad.contains(row.line())).ifPresent(one -> compare(one, row)));
        Map<CsvRow, Made> made = new LinkedHashMap<>();
        for (Kind kind : Kind.values()) {
            rows.stream().filter(row -> kinds.getOrDefault(row, Optional.empty()).equals(Optional.of(kind)))
                    .forEach(row -> made.put(row, made(row, kind)));
        }
        return rows.stream().map(row -> made.getOrDefault(row, new Made(row, Optional.empty(), today, Map.of())))
                .toList();
    }

    private void bring(Kind kind, CsvRow row) {
        compare(kind, row);
        if (row.isGood()) {
            known.bring(kind, row.cell(kind.named()), row.line());
        }
    }

    private void compare(Kind kind, CsvRow row) {
        String name = row.cell(kind.named());
        if (name.isEmpty()) {
            row.say("import.nameless", kind.named());
        } else {
            known.lineOf(kind, name).ifPresent(other -> row.say("import.twice", name, other));
        }
    }

    private Made made(CsvRow row, Kind kind) {
        LocalDate day = row.day("day").orElse(today);
        if (kind == Kind.HIVE) {
            setUpOn.put(ApiaryKnown.lower(row.cell("hive")), day);
        }
        if (day.isAfter(today)) {
            row.say("refusal.liesAhead", day.toString(), today.toString());
        }
        Map<String, Deed> deeds = switch (kind) {
            case YARD -> yard(row);
            case HIVE -> hive(row);
            case QUEEN -> queen(row);
        };
        return new Made(row, Optional.of(kind), day, row.isGood() ? deeds : Map.of());
    }

    private Map<String, Deed> yard(CsvRow row) {
        String name = row.cell("yard");
        if (known.isHere(Kind.YARD, name)) {
            row.say("import.here", name);
        }
        if (row.cell("latitude").isEmpty() || row.cell("longitude").isEmpty()) {
            row.say("import.noPlace");
        }
        Optional<Double> latitude = row.value("latitude", Double::valueOf, "import.like.degrees");
        Optional<Double> longitude = row.value("longitude", Double::valueOf, "import.like.degrees");
        Optional<Integer> elevation = row.count("elevation");
        Optional<Integer> walk = row.count("walk");
        Optional<Climate> climate = row.choice("climate", Climate.values());
        UUID yard = known.idOf(Kind.YARD, name);
        Map<String, Deed> deeds = new LinkedHashMap<>();
        if (row.isGood()) {
            row.made(() -> new YardDeed.Opened(yard, name, row.cell("prefix"), walk.orElse(known.nextInWalk()),
                    latitude.orElseThrow(), longitude.orElseThrow(), elevation.orElse(0), row.cell("caution")))
                    .ifPresent(opened -> deeds.put("opened " + name, opened));
            climate.ifPresent(
                    one -> deeds.put("climate " + name, new YardDeed.ClimateSaid(yard, one, List.of())));
        }
        return deeds;
    }

    private Map<String, Deed> hive(CsvRow row) {
        if (known.isHere(Kind.HIVE, row.cell("hive"))) {
            row.say("import.here", row.cell("hive"));
        }
        boolean plain = row.cell("row").isEmpty();
        Optional<BuilderSchool> school = row.choice("school", BuilderSchool.values());
        Optional<Integer> load = row.count("load");
        Purpose purpose = row.choice("purpose", Purpose.values()).or(() -> school.map(_ -> Purpose.BUILDER))
                .orElse(plain ? Purpose.MATING_NUC : Purpose.PRODUCTION);
        if (school.isPresent() && purpose != Purpose.BUILDER) {
            row.say("import.schoolOfNone", row.cell("hive"));
        }
        Map<String, Deed> deeds = new LinkedHashMap<>(setUp(row, purpose));
        if (row.isGood() && school.isPresent()) {
            row.made(() -> new RearingDeed.BuilderRun(known.idOf(Kind.HIVE, row.cell("hive")), school.orElseThrow(),
                    Optional.of(load.orElse(USUAL_LOAD)), Optional.empty()))
                    .ifPresent(run -> deeds.put("run " + row.cell("hive"), run));
        }
        return deeds;
    }

    private Map<String, Deed> setUp(CsvRow row, Purpose purpose) {
        String code = row.cell("hive");
        purposes.put(ApiaryKnown.lower(code), purpose);
        if (!known.isHere(Kind.YARD, row.cell("yard")) && !known.isBrought(Kind.YARD, row.cell("yard"))) {
            row.say("import.noYard", code, row.cell("yard"), known.yardNames());
        }
        List<Box> stack = stack(row, purpose);
        Optional<Integer> position = row.count("position");
        if (!row.isGood()) {
            return Map.of();
        }
        UUID yard = known.idOf(Kind.YARD, row.cell("yard"));
        Map<String, Deed> deeds = new LinkedHashMap<>();
        row.made(() -> new HiveDeed.SetUp(known.idOf(Kind.HIVE, code), yard, code,
                position.orElseGet(() -> known.nextPosition(yard)), purpose, stack))
                .ifPresent(setUp -> deeds.put("set up " + code, setUp));
        return deeds;
    }

    private List<Box> stack(CsvRow row, Purpose purpose) {
        String format = row.text("format").orElse(USUAL_FORMAT);
        if (!formats.contains(format)) {
            row.say("refusal.noSuchFormat", format, String.join(", ", formats));
        }
        int usual = switch (purpose) {
            case MATING_NUC, MINI_NUC, NUC -> USUAL_NUC_FRAMES;
            case PRODUCTION, BUILDER, DRONE_COLONY, BANK -> USUAL_FRAMES;
        };
        List<Box> stack = new ArrayList<>();
        for (String said : ApiarySheet.boxes(row.text("boxes").orElse("brood " + usual))) {
            UUID id = known.id("box " + row.cell("hive") + " " + stack.size());
            box(row, id, format, said.strip().split("\\s+")).ifPresent(stack::add);
        }
        return stack;
    }

    private static Optional<Box> box(CsvRow row, UUID id, String format, String[] words) {
        try {
            BoxKind kind = ApiarySheet.kind(words[0]);
            int frames = words.length > 1 ? Integer.parseInt(words[1]) : 0;
            return row.made(() -> new Box(id, kind, kind.hasFrames() ? format : "", frames, frames));
        } catch (IllegalArgumentException unreadable) {
            row.say("import.noBox", String.join(" ", words));
            return Optional.empty();
        }
    }

    private Map<String, Deed> queen(CsvRow row) {
        String code = row.cell("code");
        if (known.isHere(Kind.QUEEN, code)) {
            row.say("import.queenKnown", code);
        }
        Map<String, Deed> deeds = new LinkedHashMap<>(hiveOf(row));
        Optional<Stage> stage = row.needed("stage", STAGES);
        Optional<Integer> year = row.count("year");
        Optional<Origin.Kind> origin = row.choice("origin", Origin.Kind.values());
        Optional<String> mother = row.text("mother");
        mother.filter(one -> !known.isHere(Kind.QUEEN, one) && !known.isBrought(Kind.QUEEN, one))
                .ifPresent(one -> row.say("import.noMother", one));
        year.filter(one -> one > today.getYear())
                .ifPresent(one -> row.say("refusal.emergenceAhead", String.valueOf(one),
                        String.valueOf(today.getYear())));
        if (stage.equals(Optional.of(Stage.VIRGIN)) && !bearsVirgin(row.cell("hive"))) {
            row.say("import.virginThere", row.cell("hive"));
        }
        UUID queen = known.idOf(Kind.QUEEN, code);
        if (row.isGood()) {
            row.made(() -> new QueenDeed.Known(queen, code, row.cell("name"), row.isYes("breeder"),
                    mother.map(one -> known.idOf(Kind.QUEEN, one)), stage.orElseThrow(), year.orElse(0),
                    row.cell("line"), origin.map(kind -> new Origin(kind, row.cell("from"))),
                    row.text("mark").flatMap(mark -> colour(mark.strip().split("\\s+")[0]))))
                    .ifPresent(one -> deeds.put("known " + code, one));
            row.text("hive").ifPresent(hive -> deeds.put("placed " + code,
                    new QueenDeed.Placed(queen, known.idOf(Kind.HIVE, hive),
                            stage.orElseThrow() == Stage.VIRGIN ? GivenAs.VIRGIN : GivenAs.LAYING_QUEEN,
                            Optional.empty(), false)));
            row.text("mark").flatMap(mark -> row.made(() -> marked(queen, mark, year)))
                    .ifPresent(one -> deeds.put("marked " + code, one));
        }
        return deeds;
    }

    /** A hive that nobody wrote down yet is a mating nuc, for it was enough to name it beside its queen. */
    private Map<String, Deed> hiveOf(CsvRow row) {
        String hive = row.cell("hive");
        if (hive.isEmpty()) {
            return Map.of();
        }
        LocalDate day = row.day("day").orElse(today);
        known.setUpOn(hive).or(() -> Optional.ofNullable(setUpOn.get(ApiaryKnown.lower(hive))))
                .filter(day::isBefore).ifPresent(later -> row.say("import.beforeHive", hive, later.toString(),
                        day.toString()));
        if (known.holdsQueen(hive)) {
            row.say("import.hiveHeld", hive);
        }
        Optional.ofNullable(queenOfHive.putIfAbsent(ApiaryKnown.lower(hive), row.line()))
                .ifPresent(earlier -> row.say("import.twice", hive, earlier));
        return known.isHere(Kind.HIVE, hive) || known.isBrought(Kind.HIVE, hive)
                ? Map.of()
                : setUp(row, Purpose.MATING_NUC);
    }

    private boolean bearsVirgin(String hive) {
        return known.purposeOf(hive).or(() -> Optional.ofNullable(purposes.get(ApiaryKnown.lower(hive))))
                .map(Purpose::bearsVirgin).orElse(true);
    }

    private static Optional<YearColour> colour(String word) {
        return Arrays.stream(YearColour.values()).filter(one -> one.name().equalsIgnoreCase(word)).findFirst();
    }

    /** A colour, a number, or both; a number alone has the colour of her year, where that is known. */
    private QueenDeed.Marked marked(UUID queen, String mark, Optional<Integer> year) {
        List<String> words = new ArrayList<>(List.of(mark.strip().split("\\s+")));
        Optional<YearColour> colour = colour(words.getFirst());
        if (colour.isPresent()) {
            words.removeFirst();
        }
        return new QueenDeed.Marked(queen, colour.or(() -> year.flatMap(scheme::colourOf)), String.join(" ", words));
    }
}
