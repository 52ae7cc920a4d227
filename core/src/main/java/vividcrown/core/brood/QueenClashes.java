package vividcrown.core.brood;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Fact;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/** What was written down of queens and cannot all be so: two taken out of a hive of one, a virgin too old to be one. */
final class QueenClashes {

    /** A virgin of six weeks lays drones or is dead. Common practice. */
    private static final int VIRGIN_AT_MOST_DAYS = 42;

    private QueenClashes() {
    }

    static List<Clash> of(List<Reading> readings, List<ColonyEvent> events, Assumptions assumptions) {
        List<Clash> clashes = new ArrayList<>();
        twoTakenOut(readings, events, assumptions, clashes);
        virginTooOld(readings, events, clashes);
        return clashes;
    }

    /** Before another can have come out of a cell there is only one to take, unless two were seen or one was given. */
    private static void twoTakenOut(List<Reading> readings, List<ColonyEvent> events, Assumptions assumptions,
            List<Clash> clashes) {
        EmergencyQueen emergency = new EmergencyQueen(assumptions);
        for (int first = 0; first < events.size(); first++) {
            for (int second = 0; second < events.size(); second++) {
                ColonyEvent one = events.get(first);
                ColonyEvent other = events.get(second);
                boolean both = first != second && one.kind() == EventKind.QUEEN_REMOVED
                        && other.kind() == EventKind.QUEEN_REMOVED
                        && (one.day().isBefore(other.day()) || one.day().equals(other.day()) && first < second);
                if (both && other.day().isBefore(emergency.fromOldestLarva(one.day()).earliest())
                        && !mayHaveAnother(one.day(), other.day(), readings, events)) {
                    clashes.add(new Clash(
                            List.of(new Fact.Happened(second, other.day(), other.kind()),
                                    new Fact.Happened(first, one.day(), one.kind())),
                            List.of(Clash.Explanation.SECOND_QUEEN_MISSED, Clash.Explanation.EARLIER_CELL,
                                    Clash.Explanation.WRONG_DATE)));
                }
            }
        }
    }

    private static boolean mayHaveAnother(LocalDate from, LocalDate to, List<Reading> readings,
            List<ColonyEvent> events) {
        boolean came = events.stream().filter(event -> !event.day().isBefore(from) && !event.day().isAfter(to))
                .anyMatch(event -> switch (event.kind()) {
                    case QUEEN_GIVEN, CELL_GIVEN, VIRGIN_GIVEN, UNITED, STARTED -> true;
                    case QUEEN_REMOVED, SPLIT_WITHOUT_QUEEN, SPLIT_WITHOUT_EGGS, SPLIT_WITH_QUEEN, SWARMED, CAST,
                            QUEEN_CAGED,
                            QUEEN_RELEASED, BROOD_GIVEN, BROOD_TAKEN, CELLS_DESTROYED ->
                        false;
                });
        return came || readings.stream().filter(reading -> !reading.day().isAfter(to))
                .anyMatch(reading -> reading.saw(Sign.TWO_QUEENS) || reading.saw(Sign.QUEEN_CELLS)
                        || reading.cells().stream().anyMatch(cells -> cells.look().provesVirgin()));
    }

    private static void virginTooOld(List<Reading> readings, List<ColonyEvent> events, List<Clash> clashes) {
        for (int index = 0; index < events.size(); index++) {
            ColonyEvent given = events.get(index);
            if (given.kind() != EventKind.VIRGIN_GIVEN) {
                continue;
            }
            if (given.virginDays().filter(days -> days > VIRGIN_AT_MOST_DAYS).isPresent()) {
                clashes.add(new Clash(List.of(new Fact.Happened(index, given.day(), given.kind())),
                        List.of(Clash.Explanation.WRONG_DATE)));
            }
            for (int look = 0; look < readings.size(); look++) {
                Reading reading = readings.get(look);
                boolean later = reading.day().isAfter(given.day().plusDays(VIRGIN_AT_MOST_DAYS));
                if (later && reading.saw(Sign.VIRGIN)
                        && !mayHaveAnother(given.day().plusDays(1), reading.day(), readings, events)) {
                    clashes.add(new Clash(
                            List.of(new Fact.Seen(look, reading.day(), Sign.VIRGIN),
                                    new Fact.Happened(index, given.day(), given.kind())),
                            List.of(Clash.Explanation.EARLIER_CELL, Clash.Explanation.SECOND_QUEEN_MISSED,
                                    Clash.Explanation.WRONG_DATE)));
                }
            }
        }
    }
}
