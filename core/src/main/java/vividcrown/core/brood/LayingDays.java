package vividcrown.core.brood;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.reading.CellsSeen;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Fact;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/**
 * The days on which no queen of this colony can have laid, each with the facts that rule it out. A day is ruled out by a
 * look (every stage that its brood could be in by then was looked for and absent) or by an event (the queen was gone).
 */
final class LayingDays {

    /** A virgin is given at most this many days after she emerged. */
    private final int virginAtMostDaysOld;
    private final int firstEggsEarliest;
    private final int rearingEarliest;
    private final BroodAges ages;
    private final CellAges cellAges;
    private final LocalDate asOf;
    private final List<Reading> readings;
    private final List<ColonyEvent> events;
    /** For each day ruled out, the alternatives: each a set of facts that together rule it out. */
    private final Map<LocalDate, List<Set<Fact>>> ruledOut = new HashMap<>();

    LayingDays(List<Reading> readings, List<ColonyEvent> events, LocalDate asOf, BroodAges ages, CellAges cellAges,
            Assumptions assumptions) {
        this.readings = readings;
        this.events = events;
        this.asOf = asOf;
        this.ages = ages;
        this.cellAges = cellAges;
        this.virginAtMostDaysOld = assumptions.span(Figure.VIRGIN_INTRODUCTION).latestDay();
        this.firstEggsEarliest = assumptions.span(Figure.FIRST_EGGS).earliestDay();
        EmergencyQueen emergency = new EmergencyQueen(assumptions);
        this.rearingEarliest = assumptions.queen().emerges().earliestDay() - emergency.oldestLarva();
        for (int index = 0; index < readings.size(); index++) {
            ruleOutByLook(index, readings.get(index));
        }
        for (int index = 0; index < events.size(); index++) {
            ruleOutByEvent(index, events.get(index));
        }
    }

    boolean isRuledOut(LocalDate day) {
        return day.isAfter(asOf) || ruledOut.containsKey(day);
    }

    /** The ways in which a day is ruled out. */
    List<Set<Fact>> why(LocalDate day) {
        return ruledOut.getOrDefault(day, List.of());
    }

    /** Ruled out by what was done, not only by looking. */
    boolean isRuledOutByEvent(LocalDate day) {
        return why(day).stream().anyMatch(facts -> facts.stream().anyMatch(Fact.Happened.class::isInstance));
    }

    private void ruleOutByLook(int index, Reading reading) {
        for (int age = 0; age <= ages.oldestOnComb(); age++) {
            LocalDate laid = reading.day().minusDays(age);
            if (!broodTakenBetween(laid, reading.day())) {
                absenceOf(index, reading, age).ifPresent(facts -> add(laid, facts));
            }
        }
    }

    /** The absent signs that cover every stage brood of this age can be in; empty if one was not looked for. */
    private Optional<Set<Fact>> absenceOf(int index, Reading reading, int age) {
        Set<Fact> facts = new LinkedHashSet<>();
        for (BroodStage stage : ages.at(age)) {
            Optional<Sign> absent = signs(stage).stream().filter(reading::missed).findFirst();
            if (absent.isEmpty()) {
                return Optional.empty();
            }
            facts.add(new Fact.Absent(index, reading.day(), absent.get()));
        }
        return Optional.of(facts);
    }

    /** The signs whose absence means that no worker brood of this stage was there, the most general first. */
    private static List<Sign> signs(BroodStage stage) {
        return switch (stage) {
            case EGG -> List.of(Sign.BROOD, Sign.OPEN_BROOD, Sign.EGGS);
            case YOUNG_LARVA -> List.of(Sign.BROOD, Sign.OPEN_BROOD, Sign.LARVAE, Sign.YOUNG_LARVAE);
            case OLD_LARVA -> List.of(Sign.BROOD, Sign.OPEN_BROOD, Sign.LARVAE, Sign.OLD_LARVAE);
            case SEALED -> List.of(Sign.BROOD, Sign.SEALED_BROOD, Sign.SEALED_WORKER);
            case EMERGING -> List.of(Sign.BROOD, Sign.SEALED_BROOD, Sign.EMERGING_WORKERS, Sign.SEALED_WORKER);
            case GONE -> List.of();
        };
    }

    private boolean broodTakenBetween(LocalDate laid, LocalDate read) {
        return events.stream().anyMatch(event -> event.kind() == EventKind.BROOD_TAKEN
                && !event.day().isBefore(laid) && !event.day().isAfter(read));
    }

    private void ruleOutByEvent(int index, ColonyEvent event) {
        Set<Fact> fact = Set.of(new Fact.Happened(index, event.day(), event.kind()));
        switch (event.kind()) {
            case SPLIT_WITHOUT_EGGS -> {
                // what is sealed came along, what is open did not
                ruleOut(event.day().minusDays(ages.oldest(BroodStage.OLD_LARVA) - 1L), event.day().plusDays(1), fact);
                ruleOut(event.day().plusDays(1), resumes(event.day(), rearingEarliest + firstEggsEarliest), fact);
            }
            case QUEEN_REMOVED, SPLIT_WITHOUT_QUEEN ->
                ruleOut(event.day().plusDays(1), resumes(event.day(), rearingEarliest + firstEggsEarliest), fact);
            // a prime swarm leaves sealed cells behind: a virgin may be out at once
            case SWARMED -> ruleOut(event.day().plusDays(1), resumes(event.day(), firstEggsEarliest), fact);
            case QUEEN_CAGED -> ruleOut(event.day().plusDays(1), released(event.day()), fact);
            case STARTED -> ruleOut(event.day().minusDays(ages.oldestOnComb() + 1L), event.day(), fact);
            case CAST, QUEEN_GIVEN, CELL_GIVEN, VIRGIN_GIVEN, QUEEN_RELEASED, BROOD_GIVEN, BROOD_TAKEN,
                    CELLS_DESTROYED, UNITED, SPLIT_WITH_QUEEN -> {
                // rule no day out
            }
        }
    }

    /** First day on which a queen can lay again after the loss on {@code loss}. */
    private LocalDate resumes(LocalDate loss, int daysWithoutHelp) {
        LocalDate first = loss.plusDays(daysWithoutHelp);
        for (ColonyEvent event : events) {
            if (event.day().isBefore(loss)) {
                continue;
            }
            first = switch (event.kind()) {
                case QUEEN_GIVEN, UNITED -> earlier(first, event.day());
                case CELL_GIVEN -> earlier(first, event.day().plusDays(firstEggsEarliest));
                case VIRGIN_GIVEN ->
                    earlier(first, event.day()
                            .plusDays(Math.max(1, firstEggsEarliest - event.virginDays().orElse(virginAtMostDaysOld))));
                case QUEEN_REMOVED, SPLIT_WITHOUT_QUEEN, SPLIT_WITHOUT_EGGS, SPLIT_WITH_QUEEN, SWARMED, CAST,
                        QUEEN_CAGED, QUEEN_RELEASED,
                        BROOD_GIVEN, BROOD_TAKEN, CELLS_DESTROYED, STARTED ->
                    first;
            };
        }
        for (Reading reading : readings) {
            if (reading.saw(Sign.VIRGIN)) {
                first = earlier(first, latestOf(loss, reading.day()).plusDays(1));
            }
            for (CellsSeen cells : reading.cells()) {
                first = earlier(first, cellAges.emergedEarliest(cells.look(), reading.day(), loss)
                        .plusDays(firstEggsEarliest));
            }
        }
        return first;
    }

    private LocalDate released(LocalDate caged) {
        return events.stream()
                .filter(event -> event.kind() == EventKind.QUEEN_RELEASED || event.kind() == EventKind.QUEEN_GIVEN
                        || event.kind() == EventKind.UNITED)
                .map(ColonyEvent::day).filter(day -> !day.isBefore(caged)).min(LocalDate::compareTo)
                .orElse(asOf.plusDays(1));
    }

    private void ruleOut(LocalDate first, LocalDate untilExclusive, Set<Fact> facts) {
        for (LocalDate day = first; day.isBefore(untilExclusive) && !day.isAfter(asOf); day = day.plusDays(1)) {
            add(day, facts);
        }
    }

    private void add(LocalDate day, Set<Fact> facts) {
        ruledOut.computeIfAbsent(day, _ -> new ArrayList<>()).add(facts);
    }

    private static LocalDate earlier(LocalDate a, LocalDate b) {
        return a.isBefore(b) ? a : b;
    }

    private static LocalDate latestOf(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }

    /** Stages of worker brood that a sign shows, empty if it shows none for certain. */
    static Set<BroodStage> shownBy(Sign sign) {
        return switch (sign) {
            case EGGS, EGGS_SINGLE, EGGS_STANDING, EGGS_LYING -> EnumSet.of(BroodStage.EGG);
            case YOUNG_LARVAE -> EnumSet.of(BroodStage.YOUNG_LARVA);
            case OLD_LARVAE -> EnumSet.of(BroodStage.OLD_LARVA);
            case LARVAE -> EnumSet.of(BroodStage.YOUNG_LARVA, BroodStage.OLD_LARVA);
            case SEALED_WORKER -> EnumSet.of(BroodStage.SEALED);
            case SEALED_JUST -> EnumSet.of(BroodStage.SEALED);
            case EMERGING_WORKERS -> EnumSet.of(BroodStage.EMERGING);
            default -> EnumSet.noneOf(BroodStage.class);
        };
    }
}
