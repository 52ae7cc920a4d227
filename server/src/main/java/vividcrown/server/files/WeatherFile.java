package vividcrown.server.files;

import com.fasterxml.uuid.Generators;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.reason.Sentence;
import vividcrown.core.yard.YardDeed;
import vividcrown.server.clock.Today;
import vividcrown.server.csv.CsvRow;
import vividcrown.server.csv.CsvTable;
import vividcrown.server.journal.Desk;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** The weather of past days from the file of a station: a day a row, of one yard or of several. */
@Service
class WeatherFile {

    private static final List<String> COLUMNS = List.of("day", "yard", "high_c", "high_f", "wind_kmh", "wind_mph",
            "bright",
            "rain_mm", "rain_in");
    private static final List<String> NEEDED = List.of("day");
    private static final double KILOMETRES = 1.609344;
    private static final double MILLIMETRES = 25.4;

    /** How much of the afternoon was bright, where a word says it. */
    private enum Sky {
        SUN(0.9), MIXED(0.5), CLOUD(0.1);

        private final double bright;

        Sky(double bright) {
            this.bright = bright;
        }
    }

    private final Yards yards;
    private final Desk desk;
    private final Today today;

    WeatherFile(Yards yards, Desk desk, Today today) {
        this.yards = yards;
        this.desk = desk;
        this.today = today;
    }

    /**
     * A day of a file.
     *
     * @param line number in the file, the header is line 1
     * @param day as it stands there
     * @param yard whose weather it is
     * @param problems what is wrong with it, nothing if it can be noted
     */
    record WeatherRow(long line, String day, String yard, List<String> problems) {
    }

    private record Read(WeatherRow row, Optional<Yard> yard, Optional<YardDeed.DayNoted> noted) {
    }

    @Transactional(readOnly = true)
    public List<WeatherRow> rows(@Nullable UUID yard, String csv) {
        return read(yard, csv).stream().map(Read::row).toList();
    }

    /** @return how many days were noted, or had been by the same import */
    @Transactional
    public int note(UUID id, @Nullable UUID yard, String csv, boolean skipBadRows) {
        List<Read> all = read(yard, csv);
        CsvTable.refuseBad(all.stream().map(Read::row).toList(), WeatherRow::line, WeatherRow::problems, skipBadRows);
        Map<UUID, List<YardDeed.DayNoted>> byYard = all.stream().filter(one -> one.noted().isPresent())
                .collect(Collectors.groupingBy(one -> one.yard().orElseThrow().id(), LinkedHashMap::new,
                        Collectors.mapping(one -> one.noted().orElseThrow(), Collectors.toList())));
        List<Desk.Told> told = new ArrayList<>();
        byYard.forEach((place, days) -> {
            for (int from = 0; from < days.size(); from += YardDeed.MOST_DAYS) {
                List<YardDeed.DayNoted> part = days.subList(from, Math.min(from + YardDeed.MOST_DAYS, days.size()));
                told.add(desk.now(Generators.nameBasedGenerator(id).generate(place + " " + from),
                        new YardDeed.WeatherNoted(place, part)));
            }
        });
        desk.take(told, true);
        return byYard.values().stream().mapToInt(List::size).sum();
    }

    private List<Read> read(@Nullable UUID yard, String csv) {
        Map<String, Yard> byName = new HashMap<>();
        yards.findAll().forEach(one -> byName.put(one.name().toLowerCase(Locale.ROOT), one));
        Optional<Yard> usual = Optional.ofNullable(yard).flatMap(yards::findById);
        Map<String, Long> lines = new HashMap<>();
        return CsvTable.read(csv, COLUMNS, NEEDED).stream().map(CsvRow::new)
                .map(row -> read(row, byName, usual, lines)).toList();
    }

    private Read read(CsvRow row, Map<String, Yard> byName, Optional<Yard> usual, Map<String, Long> lines) {
        Optional<Yard> yard = row.text("yard")
                .map(name -> Optional.ofNullable(byName.get(name.toLowerCase(Locale.ROOT))))
                .orElse(usual);
        if (yard.isEmpty()) {
            row.say("import.weatherOfNoYard", row.cell("yard"), byName.values().stream().map(Yard::name).sorted()
                    .collect(Collectors.joining(", ")));
        }
        Optional<LocalDate> day = row.day("day");
        if (row.cell("day").isEmpty()) {
            row.say("import.nameless", "day");
        }
        day.filter(one -> one.isAfter(today.day()))
                .ifPresent(one -> row.say("refusal.liesAhead", one.toString(), today.day().toString()));
        Optional<Double> high = row.number("high_c").or(() -> row.number("high_f").map(f -> (f - 32) / 1.8));
        Optional<Double> wind = row.number("wind_kmh").or(() -> row.number("wind_mph").map(mph -> mph * KILOMETRES));
        Optional<Double> rain = row.number("rain_mm")
                .or(() -> row.number("rain_in").map(inches -> inches * MILLIMETRES));
        Optional<Double> bright = bright(row);
        if (row.isGood()) {
            Long earlier = lines.putIfAbsent(yard.orElseThrow().id() + " " + day.orElseThrow(), row.line());
            if (earlier != null) {
                row.say("import.twice", day.orElseThrow().toString(), earlier);
            }
        }
        Optional<YardDeed.DayNoted> noted = row.isGood()
                ? row.made(() -> new YardDeed.DayNoted(day.orElseThrow(), high, wind, bright, rain, Optional.empty()))
                : Optional.empty();
        return new Read(new WeatherRow(row.line(), row.cell("day"), yard.map(Yard::name).orElse(row.cell("yard")),
                row.problems()), yard, noted);
    }

    /** A share from 0 to 1, or a word. */
    private static Optional<Double> bright(CsvRow row) {
        return row.cell("bright").matches("[A-Za-z ]+")
                ? row.choice("bright", Sky.values()).map(sky -> sky.bright)
                : row.number("bright");
    }
}
