package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.odds.Rate;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/**
 * Whether the judgement was right: what it said on a day, held against what was found later.
 *
 * <p>Only findings that leave no doubt settle anything: flat sealed worker brood on day D was laid by a mated queen nine days
 * and more before; several eggs on walls together with domed caps are workers'; and only if nothing was done in between that
 * would have brought it about.
 */
public final class TrackRecord {

    /** Worker brood is sealed after nine days and gone after twenty-two. Winston 1987 (from memory). */
    private static final int SEALED_FROM_DAYS = 9;
    private static final int SEALED_UNTIL_DAYS = 21;
    private static final int SAME_WEEK_DAYS = 7;
    private static final double JEFFREYS = 0.5;
    private static final double LOW = 0.025;

    private TrackRecord() {
    }

    /**
     * One answer that was settled.
     *
     * @param said when it was given
     * @param state the state that was asked about
     * @param chance the chance it was given, 0–1
     * @param so whether it was so
     */
    public record Settled(LocalDate said, Status state, double chance, boolean so) {
    }

    /**
     * Answers of one chance, in tens.
     *
     * @param from said at least this, 0–0.9
     * @param so how often it was so
     * @param low lower end of the 95 % interval of that share (Jeffreys; Brown, Cai and DasGupta 2001)
     */
    public record Line(double from, int answers, int so, double low, double high) {
    }

    /**
     * What was the case on a day, as far as later findings of the same colony settle it beyond doubt.
     *
     * @return empty if nothing settles it
     */
    public static Optional<Status> settledOn(LocalDate day, List<Reading> readings, List<ColonyEvent> events) {
        List<Reading> later = readings.stream().filter(reading -> reading.day().isAfter(day))
                .sorted(Comparator.comparing(Reading::day)).toList();
        for (Reading look : later) {
            boolean touched = events.stream().anyMatch(event -> !event.day().isBefore(day)
                    && event.day().isBefore(look.day()) && changesTheQueen(event.kind()));
            if (touched) {
                return Optional.empty();
            }
            long days = look.day().toEpochDay() - day.toEpochDay();
            boolean domedOnly = look.saw(Sign.SEALED_DRONE_SCATTERED) && look.missed(Sign.SEALED_WORKER);
            if (look.saw(Sign.SEALED_WORKER) && look.saw(Sign.EGGS_SINGLE) && !domedOnly && days >= SEALED_FROM_DAYS
                    && days <= SEALED_UNTIL_DAYS && noBroodOlder(day, readings)) {
                return Optional.of(Status.LAYING_QUEEN);
            }
            if (days <= SAME_WEEK_DAYS && look.saw(Sign.EGGS_SEVERAL) && look.saw(Sign.EGGS_ON_WALLS) && domedOnly) {
                return Optional.of(Status.LAYING_WORKERS);
            }
            if (days <= SAME_WEEK_DAYS && look.saw(Sign.EGGS_SINGLE) && domedOnly) {
                return Optional.of(Status.DRONE_LAYER);
            }
        }
        return Optional.empty();
    }

    /** She laid on that day, and not only before: eggs or young larvae were there then. */
    private static boolean noBroodOlder(LocalDate day, List<Reading> readings) {
        return readings.stream().anyMatch(reading -> reading.day().equals(day)
                && (reading.saw(Sign.EGGS) || reading.saw(Sign.YOUNG_LARVAE)));
    }

    private static boolean changesTheQueen(EventKind kind) {
        return switch (kind) {
            case QUEEN_REMOVED, SPLIT_WITHOUT_QUEEN, SPLIT_WITHOUT_EGGS, SWARMED, CAST, QUEEN_GIVEN, CELL_GIVEN,
                    VIRGIN_GIVEN,
                    UNITED, STARTED, BROOD_GIVEN, BROOD_TAKEN ->
                true;
            case SPLIT_WITH_QUEEN, QUEEN_CAGED, QUEEN_RELEASED, CELLS_DESTROYED -> false;
        };
    }

    /** In tens, of answers of every state or of one. */
    public static List<Line> lines(List<Settled> settled) {
        List<Line> lines = new ArrayList<>();
        for (int ten = 0; ten < 10; ten++) {
            double from = ten / 10.0;
            List<Settled> of = settled.stream()
                    .filter(one -> Math.min(9,
                            (int) Math.floor(one.chance() * 10 + 1e-9)) == (int) Math.round(from * 10))
                    .toList();
            if (!of.isEmpty()) {
                int so = (int) of.stream().filter(Settled::so).count();
                lines.add(line(from, of.size(), so));
            }
        }
        return lines;
    }

    /** How often each state was said to lead, and was so. */
    public static Map<Status, Line> byState(List<Settled> settled) {
        Map<Status, Line> lines = new EnumMap<>(Status.class);
        for (Status status : Status.values()) {
            List<Settled> of = settled.stream().filter(one -> one.state() == status && one.chance() > 0.5).toList();
            if (!of.isEmpty()) {
                int so = (int) of.stream().filter(Settled::so).count();
                lines.put(status, line(0.5, of.size(), so));
            }
        }
        return lines;
    }

    private static Line line(double from, int answers, int so) {
        Rate share = Rate.of(so + JEFFREYS, answers - so + JEFFREYS);
        return new Line(from, answers, so, share.quantile(LOW), share.quantile(1 - LOW));
    }
}
