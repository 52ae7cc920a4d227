package vividcrown.server.lineage;

import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.ReadingNotes;
import vividcrown.core.journal.Entry;
import vividcrown.core.merit.Merit;
import vividcrown.core.merit.MeritDeed;
import vividcrown.core.merit.Observed;
import vividcrown.core.merit.Score;
import vividcrown.core.merit.Trait;
import vividcrown.core.mite.MiteRecord;
import vividcrown.core.queen.Milestone;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.CombPlace;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Sign;
import vividcrown.server.colony.ColonyBook;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.queen.Queens;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Marks of colonies: those that people gave, and those that follow from what was recorded anyway. */
@Component
class Marks {

    /** So long after she was given the bees are still another's: their temper says nothing of her. */
    static final int NOT_YET_HERS_DAYS = 56;
    private static final int MANY_CELLS = 3;
    private static final int LONGEST_WINTER_MONTHS = 8;
    private static final int FOUND_DEAD_TOGETHER_DAYS = 14;
    private static final Set<EventKind> CHANGES = EnumSet.of(EventKind.QUEEN_GIVEN, EventKind.CELL_GIVEN,
            EventKind.VIRGIN_GIVEN, EventKind.SWARMED, EventKind.QUEEN_REMOVED);

    private final ScoreTable table;
    private final Hives hives;
    private final Yards yards;
    private final Queens queens;
    private final ColonyBook book;

    Marks(ScoreTable table, Hives hives, Yards yards, Queens queens, ColonyBook book) {
        this.table = table;
        this.hives = hives;
        this.yards = yards;
        this.queens = queens;
        this.book = book;
    }

    List<Score> all(Stocks.Stock stock, LocalDate today) {
        Map<UUID, Yard> places = yards.byId();
        List<Hive> kept = hives.keptFor(Purpose.PRODUCTION, Purpose.DRONE_COLONY, Purpose.NUC).stream()
                .filter(hive -> hive.queenId().filter(stock::knows).isPresent()).toList();
        Map<UUID, UUID> yardOf = new HashMap<>();
        kept.forEach(hive -> yardOf.put(hive.queenId().orElseThrow(), hive.yardId()));
        List<Score> scores = new ArrayList<>();
        table.findAll().stream().filter(row -> stock.knows(row.queenId())).forEach(row -> scores.add(new Score(
                row.queenId().toString(), row.trait(), row.value(),
                row.yardId().or(() -> Optional.ofNullable(yardOf.get(row.queenId()))).map(places::get).map(Yard::name)
                        .orElse(""),
                row.scoredOn().getYear())));
        Map<UUID, ColonyBook.Facts> facts = book.facts(kept, today);
        kept.forEach(hive -> scores.addAll(observed(hive.queenId().orElseThrow(),
                Objects.requireNonNull(places.get(hive.yardId())).name(),
                Objects.requireNonNull(facts.get(hive.id())))));
        scores.addAll(Observed.crops(kept.stream().flatMap(hive -> crops(hive.queenId().orElseThrow(),
                Objects.requireNonNull(places.get(hive.yardId())).name(),
                Objects.requireNonNull(facts.get(hive.id())))).toList()));
        List<Observed.Winter> winters = new ArrayList<>(kept.stream().flatMap(hive -> winter(
                hive.queenId().orElseThrow(), Objects.requireNonNull(places.get(hive.yardId())),
                Objects.requireNonNull(facts.get(hive.id())), today).stream()).toList());
        winters.addAll(lost(stock, places, today));
        scores.addAll(Observed.winters(winters));
        return scores;
    }

    /** Honey by year, from when she was in it: a colony's own crop of the years before says nothing of her. */
    private static Stream<Observed.Crop> crops(UUID queen, String yard, ColonyBook.Facts facts) {
        Optional<LocalDate> given = changed(facts);
        Map<Integer, Double> kilograms = new TreeMap<>();
        facts.harvests().stream()
                .filter(entry -> given.filter(day -> entry.day().isBefore(day.plusDays(NOT_YET_HERS_DAYS))).isEmpty())
                .forEach(entry -> kilograms.merge(entry.day().getYear(),
                        ((MeritDeed.Harvested) entry.deed()).kilograms(), Double::sum));
        return kilograms.entrySet().stream()
                .map(one -> new Observed.Crop(queen.toString(), yard, one.getKey(), one.getValue()));
    }

    /** From the last count of frames in autumn to the first in spring, under the same queen. */
    private static Optional<Observed.Winter> winter(UUID queen, Yard yard, ColonyBook.Facts facts, LocalDate today) {
        BeeYear year = yard.year();
        Optional<LocalDate> given = changed(facts);
        Optional<Entry> spring = counts(facts, year, Month.MARCH, Month.APRIL).filter(
                entry -> entry.day().isAfter(today.minusYears(1))).findFirst();
        return spring.flatMap(after -> counts(facts, year, Month.SEPTEMBER, Month.NOVEMBER)
                .filter(entry -> entry.day().isBefore(after.day())
                        && entry.day().isAfter(after.day().minusMonths(LONGEST_WINTER_MONTHS)))
                .reduce((_, last) -> last)
                .filter(before -> given.filter(day -> day.isAfter(before.day())).isEmpty())
                .map(before -> new Observed.Winter(queen.toString(), yard.name(), after.day().getYear(),
                        ColonyBook.notes(before).framesOfBees(), ColonyBook.notes(after).framesOfBees(), false)));
    }

    private static Stream<Entry> counts(ColonyBook.Facts facts, BeeYear year, Month from, Month until) {
        return facts.reads().stream().filter(entry -> ColonyBook.notes(entry).framesOfBees().isPresent())
                .filter(entry -> {
                    Month month = year.inTheNorth(entry.day()).getMonth();
                    return month.compareTo(from) >= 0 && month.compareTo(until) <= 0;
                });
    }

    /** Colonies that died between autumn and spring, with the queen that was in them to the end. */
    private List<Observed.Winter> lost(Stocks.Stock stock, Map<UUID, Yard> places, LocalDate today) {
        Map<UUID, Hive> died = new HashMap<>();
        hives.diedSince(today.minusYears(1)).forEach(hive -> died.put(hive.id(), hive));
        if (died.isEmpty()) {
            return List.of();
        }
        List<Observed.Winter> winters = new ArrayList<>();
        queens.inHives(died.keySet(), today.minusYears(1)).stream().filter(one -> stock.knows(one.queen()))
                .forEach(one -> {
                    Hive hive = Objects.requireNonNull(died.get(one.hive()));
                    Yard yard = Objects.requireNonNull(places.get(hive.yardId()));
                    LocalDate end = hive.endedOn().orElseThrow();
                    Month month = yard.year().inTheNorth(end).getMonth();
                    boolean winter = month.compareTo(Month.APRIL) <= 0 || month.compareTo(Month.NOVEMBER) >= 0;
                    boolean hers = queens.findById(one.queen()).flatMap(queen -> queen.life().on(Milestone.ENDED))
                            .filter(day -> day.isBefore(end.minusDays(FOUND_DEAD_TOGETHER_DAYS))).isEmpty();
                    if (winter && hers) {
                        winters.add(new Observed.Winter(one.queen().toString(), yard.name(),
                                !yard.isSouthern() && month.compareTo(Month.NOVEMBER) >= 0
                                        ? end.getYear() + 1
                                        : end.getYear(),
                                Optional.empty(), Optional.empty(), true));
                    }
                });
        return winters;
    }

    /** Of one: what people gave, the newest first. */
    List<ScoreRow> given(UUID queen) {
        return table.findByQueenIdOrderByScoredOnDescIdDesc(queen);
    }

    private static List<Score> observed(UUID queen, String yard, ColonyBook.Facts facts) {
        Optional<LocalDate> given = changed(facts);
        List<Observed.Look> looks = facts.reads().stream()
                .filter(entry -> given.filter(day -> entry.day().isBefore(day)).isEmpty())
                .map(entry -> look(entry, given)).toList();
        List<Observed.Mites> mites = facts.mites().counts().stream()
                .filter(one -> given.filter(day -> one.day().isBefore(day.plusDays(NOT_YET_HERS_DAYS))).isEmpty())
                .flatMap(one -> percent(one).stream()).toList();
        return Observed.of(queen.toString(), yard, looks, mites);
    }

    /** When another queen came, or hers left: what was seen before says nothing of who is there now. */
    static Optional<LocalDate> changed(ColonyBook.Facts facts) {
        return facts.events().stream().filter(event -> CHANGES.contains(event.kind())).map(event -> event.day())
                .max(LocalDate::compareTo);
    }

    private static Optional<Observed.Mites> percent(MiteRecord.Counted one) {
        return one.as().bees().filter(bees -> bees > 0)
                .map(bees -> new Observed.Mites(one.day(), 100.0 * one.count().mites() / bees));
    }

    private static Observed.Look look(Entry entry, Optional<LocalDate> given) {
        ReadingNotes notes = ColonyBook.notes(entry);
        boolean hers = given.filter(day -> entry.day().isBefore(day.plusDays(NOT_YET_HERS_DAYS))).isEmpty();
        Observed.Brood brood = notes.seen().contains(Sign.SEALED_WORKER_SOLID)
                ? Observed.Brood.SOLID
                : notes.seen().contains(Sign.SEALED_WORKER_SPOTTY)
                        ? Observed.Brood.SPOTTY
                        : Observed.Brood.NOT_LOOKED_AT;
        return new Observed.Look(entry.day(), hers ? notes.temper() : Optional.empty(), brood, swarmCells(notes),
                !notes.cells().isEmpty() || notes.absent().contains(Sign.QUEEN_CELLS));
    }

    /** More than a supersedure has, or at the edge, with something in them. */
    static boolean swarmCells(ReadingNotes notes) {
        int living = notes.cells().stream().filter(one -> one.look() != CellLook.CUP_EMPTY).mapToInt(one -> one.count())
                .sum();
        return living > MANY_CELLS || notes.cells().stream()
                .anyMatch(one -> one.look().isAlive() && one.place() == CombPlace.BOTTOM_EDGE);
    }

    /** Of every trait that was marked at all. */
    static Map<Trait, Merit> merits(Stocks.Stock stock, List<Score> scores) {
        Map<Trait, Merit> all = new EnumMap<>(Trait.class);
        for (Trait trait : Trait.values()) {
            if (scores.stream().anyMatch(score -> score.trait() == trait)) {
                all.put(trait, Merit.of(stock.kinship(), trait, scores, trait.heritability()));
            }
        }
        return all;
    }

    /**
     * Over all traits: the mean of what is expected of each, weighed by how sure it is; in marks.
     *
     * @return empty where nothing is known of her
     */
    static Optional<Merit.Estimate> together(Map<Trait, Merit> merits, UUID queen) {
        List<Merit.Estimate> known = merits.values().stream()
                .flatMap(merit -> Optional.ofNullable(merit.of().get(queen.toString())).stream()).toList();
        double sure = known.stream().mapToDouble(Merit.Estimate::reliability).sum();
        if (sure <= 0) {
            return Optional.empty();
        }
        return Optional.of(new Merit.Estimate(
                known.stream().mapToDouble(one -> one.value() * one.reliability()).sum() / sure, sure / known.size(),
                known.stream().mapToInt(Merit.Estimate::own).max().orElse(0),
                known.stream().mapToInt(Merit.Estimate::daughters).max().orElse(0)));
    }
}
