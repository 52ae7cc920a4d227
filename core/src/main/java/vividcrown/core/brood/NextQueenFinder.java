package vividcrown.core.brood;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.reading.CellsSeen;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Fact;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;
import vividcrown.core.time.Until;

/** Which queen comes next, and when: the first that can be out counts. */
final class NextQueenFinder {

    /** A ripe cell opens within about two days of being given. */
    private static final DaySpan CELL_GIVEN_EMERGES = DaySpan.ofDays(0, 1, 3);

    private final List<Reading> readings;
    private final List<ColonyEvent> events;
    private final LocalDate asOf;
    private final Assumptions assumptions;
    private final List<CellAge> cells;
    private final Optional<Until> queenlessSince;

    NextQueenFinder(List<Reading> readings, List<ColonyEvent> events, LocalDate asOf, Assumptions assumptions,
            List<CellAge> cells, Optional<Until> queenlessSince) {
        this.readings = readings;
        this.events = events;
        this.asOf = asOf;
        this.assumptions = assumptions;
        this.cells = cells;
        this.queenlessSince = queenlessSince;
    }

    Optional<NextQueen> find() {
        boolean layingGiven = events.stream().anyMatch(
                event -> event.kind() == EventKind.QUEEN_GIVEN || event.kind() == EventKind.UNITED);
        if (layingGiven) {
            return Optional.empty();
        }
        LocalDate destroyed = lastDay(EventKind.CELLS_DESTROYED).orElse(LocalDate.MIN);
        Optional<NextQueen> seen = Stream.concat(fromCells(destroyed), fromGifts())
                .min(Comparator.comparing(queen -> queen.emerges().earliest()));
        return seen.or(this::fromVirginSeen).or(() -> emergency(destroyed)).map(this::narrowed);
    }

    /** A later look without eggs moves her first egg behind it: days narrow with every look. */
    private NextQueen narrowed(NextQueen queen) {
        Optional<LocalDate> noEggs = readings.stream()
                .filter(reading -> reading.missed(Sign.EGGS) && !reading.day().isBefore(queen.emerges().earliest()))
                .map(Reading::day).max(LocalDate::compareTo);
        return noEggs.filter(day -> !day.isBefore(queen.firstEggs().earliest()))
                .map(day -> queen.withFirstEggs(queen.firstEggs().notBefore(day), assumptions,
                        day.isAfter(queen.firstEggs().latest()) ? lost(queen, day) : queen.reason()))
                .orElse(queen);
    }

    /** She should have laid by then. */
    private static Reason lost(NextQueen queen, LocalDate noEggs) {
        return Reason.of(Source.derived("first eggs by emergence, and none found later"), "brood.lateOrLost",
                queen.firstEggs().latest(), noEggs, queen.dronesOnly());
    }

    private Optional<LocalDate> lastDay(EventKind kind) {
        return events.stream().filter(event -> event.kind() == kind).map(ColonyEvent::day).max(LocalDate::compareTo);
    }

    /** Cells of the newest look at cells; an older look is superseded by a newer. */
    private Stream<NextQueen> fromCells(LocalDate destroyed) {
        Optional<LocalDate> newest = readings.stream()
                .filter(reading -> !reading.cells().isEmpty() || reading.missed(Sign.QUEEN_CELLS)).map(Reading::day)
                .max(LocalDate::compareTo);
        return cells.stream()
                .filter(cell -> cell.cells().look().isAlive() || cell.cells().look().provesVirgin())
                .filter(cell -> {
                    LocalDate day = readings.get(cell.reading()).day();
                    return newest.map(day::equals).orElse(true) && day.isAfter(destroyed);
                })
                .map(cell -> NextQueen.of(NextQueen.Origin.CELL_SEEN, cell.emerges(), assumptions,
                        Reason.of(Source.derived("age of the cell by its look; emergence 15–17 days after the egg"),
                                "brood.nextFromCell", name(cell.cells()), cell.emerges())));
    }

    private static Object name(CellsSeen cells) {
        return cells.look().sentence();
    }

    private Stream<NextQueen> fromGifts() {
        return events.stream().flatMap(event -> switch (event.kind()) {
            case CELL_GIVEN -> Stream.of(NextQueen.of(NextQueen.Origin.CELL_GIVEN,
                    CELL_GIVEN_EMERGES.from(event.day()), assumptions, because(event)));
            case VIRGIN_GIVEN -> Stream.of(NextQueen.of(NextQueen.Origin.VIRGIN_GIVEN,
                    event.virginDays().map(days -> DatedSpan.on(event.day().minusDays(days)))
                            .orElse(assumptions.span(Figure.VIRGIN_INTRODUCTION).negated().from(event.day())),
                    assumptions,
                    because(event)));
            case QUEEN_REMOVED, SPLIT_WITHOUT_QUEEN, SPLIT_WITHOUT_EGGS, SPLIT_WITH_QUEEN, SWARMED, CAST, QUEEN_GIVEN,
                    QUEEN_CAGED,
                    QUEEN_RELEASED, BROOD_GIVEN, BROOD_TAKEN, CELLS_DESTROYED, STARTED, UNITED ->
                Stream.empty();
        });
    }

    private static Reason because(ColonyEvent event) {
        return Reason.of(Source.COMMON_PRACTICE, "brood.nextFromGift",
                new Fact.Happened(0, event.day(), event.kind()).sentence());
    }

    private Optional<NextQueen> fromVirginSeen() {
        int longest = assumptions.span(Figure.FIRST_EGGS).latestDay();
        return readings.stream().filter(reading -> reading.saw(Sign.VIRGIN)).map(Reading::day).max(LocalDate::compareTo)
                .map(day -> NextQueen.of(NextQueen.Origin.VIRGIN_SEEN,
                        DatedSpan.ofClosed(day.minusDays(longest), day), assumptions,
                        Reason.of(Source.COMMON_PRACTICE, "brood.nextFromVirgin", day)));
    }

    /**
     * From larvae that were there when the queen was lost, or that were given since. Where cells were destroyed later,
     * only larvae count that were still young enough on that day.
     */
    private Optional<NextQueen> emergency(LocalDate destroyed) {
        Optional<DatedSpan> lost = queenlessSince.flatMap(Until::bounded);
        if (lost.isEmpty()) {
            return Optional.empty();
        }
        EmergencyQueen emergency = new EmergencyQueen(assumptions);
        LocalDate newestBrood = lastDay(EventKind.BROOD_GIVEN).filter(day -> day.isAfter(lost.get().latest()))
                .orElse(lost.get().latest());
        LocalDate noNewCells = newestBrood.plusDays(emergency.noNewCellsAfter());
        boolean searchedInVain = readings.stream()
                .anyMatch(reading -> reading.missed(Sign.QUEEN_CELLS) && !reading.day().isBefore(noNewCells));
        if (searchedInVain || !destroyed.isBefore(noNewCells)) {
            return Optional.empty();
        }
        DatedSpan begun = destroyed.isAfter(lost.get().latest()) ? DatedSpan.on(destroyed) : lost.get();
        DatedSpan first = emergency.fromOldestLarva(begun.earliest());
        DatedSpan emerges = new DatedSpan(first.earliest(), emergency.fromOldestLarva(begun.likely()).likely(),
                emergency.fromEgg(newestBrood).latest());
        return Optional.of(NextQueen.of(NextQueen.Origin.EMERGENCY_LARVA, emerges, assumptions,
                Reason.of(
                        Source.derived(
                                "emergence 15–17 days after the egg, less the age of the larva chosen (up to 6 days)"),
                        "brood.nextFromLarva", newestBrood, emerges)));
    }
}
