package vividcrown.core.brood;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
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
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;
import vividcrown.core.time.Until;

/**
 * What brood proves: from sights on known days back to the days on which eggs were laid.
 *
 * <p>Problem: a queen laid on an unknown set of days. Each sight of brood says that she laid on at least one day of a
 * window; each absence, and each known loss of the queen, says that she laid on none of certain days. Answer: for each
 * run of days that is not ruled out and holds a proven laying, the span of her first and of her last day. No narrower
 * span is true in every case: for both ends of each span a laying exists that fits all facts.
 *
 * <p>Ages are counted in whole days, the day of laying being day 0. Sights of several eggs to a cell or on walls are not
 * taken for a queen's. Brood that may have come with a frame given proves nothing. Where facts cannot all be true, the
 * smallest set that clashes is named and the sight in it is left out of account.
 *
 * <p>Cost: proportional to the days covered times the facts.
 */
public final class BroodProver {

    private static final int JUST_SEALED_DAYS = 2;
    private static final int DRONES_NEAR_DAYS = 14;
    private static final int JUST_LOOKED_DAYS = 4;

    private final List<Reading> readings;
    private final List<ColonyEvent> events;
    private final LocalDate asOf;
    private final Assumptions assumptions;
    private final BroodAges workerAges;
    private final CellAges cellAges;
    private final EmergencyQueen emergency;
    private final LayingDays days;
    private final List<Reason> reasons = new ArrayList<>();
    private final List<Clash> clashes = new ArrayList<>();

    private BroodProver(List<Reading> readings, List<ColonyEvent> events, LocalDate asOf, Assumptions assumptions) {
        this.readings = readings;
        this.events = events;
        this.asOf = asOf;
        this.assumptions = assumptions;
        this.workerAges = new BroodAges(assumptions.worker());
        this.cellAges = new CellAges(assumptions);
        this.emergency = new EmergencyQueen(assumptions);
        this.days = new LayingDays(readings, events, asOf, workerAges, cellAges, assumptions);
    }

    /**
     * @param readings in any order; those after {@code asOf} are left out of account
     * @param events in any order; likewise
     * @param asOf the day for which the answer is given
     */
    public static BroodProof prove(List<Reading> readings, List<ColonyEvent> events, LocalDate asOf,
            Assumptions assumptions) {
        return new BroodProver(readings.stream().filter(reading -> !reading.day().isAfter(asOf)).toList(),
                events.stream().filter(event -> !event.day().isAfter(asOf)).toList(), asOf, assumptions).prove();
    }

    /** A sight of brood: she laid on at least one of these days. */
    private record Window(Fact fact, LocalDate first, LocalDate last) {
    }

    private BroodProof prove() {
        List<Window> windows = windows().stream().filter(this::isPossible).toList();
        List<Laying> layings = layings(windows);
        Optional<Until> lastEgg = lastEgg(windows);
        lastEgg.ifPresent(last -> sayLastEgg(last, windows));
        Optional<Until> queenlessSince = queenlessSince(lastEgg);
        clashes.addAll(QueenClashes.of(readings, events, assumptions));
        List<CellAge> cells = cells();
        Optional<Until> lastDrone = Optional.empty();
        Optional<Until> lastWorker = lastEgg.map(last -> last.plus(assumptions.worker().emerges()));
        if (lastEgg.isPresent()) {
            lastDrone = Optional.of(lastEgg.get().plus(assumptions.drone().emerges()));
            reasons.add(Reason.of(assumptions.source(Figure.WORKER_EMERGES), "brood.break",
                    assumptions.worker().emerges(), assumptions.drone().emerges()));
        }
        Optional<NextQueen> next = new NextQueenFinder(readings, events, asOf, assumptions, cells, queenlessSince)
                .find();
        next.ifPresent(queen -> reasons.add(queen.reason()));
        return new BroodProof(asOf, layings, lastEgg, queenlessSince,
                lastEgg.map(last -> last.plus(assumptions.worker().sealed())), lastWorker, lastDrone,
                lastEgg.map(last -> last.plus(DaySpan.ofDays(emergency.noNewCellsAfter()))),
                queenlessSince.flatMap(_ -> lastEgg).map(last -> BroodProof.WORKERS_LAY_AFTER.from(last.latest())),
                queenlessSince.flatMap(_ -> lastEgg).flatMap(this::secondCut), cells,
                queenlessSince.flatMap(Until::bounded).map(this::emergency), next,
                broodless(lastBrood(lastWorker, lastDrone), next), clashes, reasons);
    }

    // --- sights ------------------------------------------------------------------------------------------------------

    private List<Window> windows() {
        List<Window> windows = new ArrayList<>();
        for (int index = 0; index < readings.size(); index++) {
            Reading reading = readings.get(index);
            for (Sign sign : reading.seen().stream().sorted().toList()) {
                boolean shows = !LayingDays.shownBy(sign).isEmpty() || isSealedOfSomeKind(reading, sign);
                if (shows && isAQueens(reading, sign)) {
                    Window window = window(index, reading, sign);
                    if (!mayBeGiven(window, reading)) {
                        windows.add(window);
                    }
                }
            }
        }
        return windows;
    }

    /** Sealed, and nobody noted whether the caps were flat or domed: nine days to a drone's last. */
    private static boolean isSealedOfSomeKind(Reading reading, Sign sign) {
        return sign == Sign.SEALED_BROOD && !reading.saw(Sign.SEALED_WORKER) && !reading.saw(Sign.SEALED_DRONE)
                && !reading.saw(Sign.EMERGING_WORKERS);
    }

    private Window window(int index, Reading reading, Sign sign) {
        if (sign == Sign.SEALED_BROOD) {
            return new Window(new Fact.Seen(index, reading.day(), sign),
                    reading.day().minusDays(assumptions.drone().emerges().likelyDay()),
                    reading.day().minusDays(workerAges.youngest(BroodStage.SEALED)));
        }
        int youngest = Integer.MAX_VALUE;
        int oldest = 0;
        for (BroodStage stage : LayingDays.shownBy(sign)) {
            youngest = Math.min(youngest, workerAges.youngest(stage));
            oldest = Math.max(oldest, workerAges.oldest(stage));
        }
        if (sign == Sign.EGGS_STANDING) {
            oldest = youngest + 1;
        } else if (sign == Sign.EGGS_LYING) {
            youngest = oldest - 1;
        } else if (sign == Sign.SEALED_JUST) {
            oldest = workerAges.oldest(BroodStage.OLD_LARVA) + JUST_SEALED_DAYS;
        }
        if ((sign == Sign.LARVAE || sign == Sign.OLD_LARVAE) && hasDroneBrood(reading)) {
            // drone larvae are open for a day longer
            oldest = Math.max(oldest, assumptions.drone().sealed().latestHours() / 24);
        }
        return new Window(new Fact.Seen(index, reading.day(), sign), reading.day().minusDays(oldest),
                reading.day().minusDays(youngest));
    }

    private boolean hasDroneBrood(Reading reading) {
        return readings.stream().anyMatch(other -> other.saw(Sign.SEALED_DRONE)
                && Math.abs(ChronoUnit.DAYS.between(other.day(), reading.day())) <= DRONES_NEAR_DAYS);
    }

    /** Several eggs to a cell, eggs on walls and larvae that end under domed caps may be workers'. */
    private boolean isAQueens(Reading reading, Sign sign) {
        if (sign == Sign.SEALED_WORKER || sign == Sign.SEALED_JUST || sign == Sign.EMERGING_WORKERS) {
            return true;
        }
        boolean onlyDrones = reading.saw(Sign.SEALED_DRONE_SCATTERED) && reading.missed(Sign.SEALED_WORKER);
        if (reading.saw(Sign.EGGS_SINGLE) && !onlyDrones) {
            return true;
        }
        boolean workersEggs = reading.saw(Sign.EGGS_SEVERAL) || reading.saw(Sign.EGGS_ON_WALLS);
        if (workersEggs || onlyDrones) {
            reasons.add(Reason.of(Source.COMMON_PRACTICE, "brood.notAQueens", sign.sentence(), reading.day()));
        }
        return !workersEggs && !onlyDrones;
    }

    /** Brood of these ages was in a frame that came from elsewhere. */
    private boolean mayBeGiven(Window window, Reading reading) {
        for (ColonyEvent event : events) {
            int oldest = switch (event.kind()) {
                case BROOD_GIVEN -> workerAges.oldest(BroodStage.OLD_LARVA);
                case UNITED -> workerAges.oldestOnComb();
                case QUEEN_REMOVED, SPLIT_WITHOUT_QUEEN, SPLIT_WITHOUT_EGGS, SPLIT_WITH_QUEEN, SWARMED, CAST,
                        QUEEN_GIVEN, CELL_GIVEN,
                        VIRGIN_GIVEN, QUEEN_CAGED, QUEEN_RELEASED, BROOD_TAKEN, CELLS_DESTROYED, STARTED ->
                    -1;
            };
            if (oldest >= 0 && event.day().isBefore(reading.day()) && !window.first().isAfter(event.day())
                    && !window.last().isBefore(event.day().minusDays(oldest))) {
                reasons.add(Reason.of(Source.derived("its age fits the day of the gift"), "brood.given",
                        event.day(), reading.day()));
                return true;
            }
        }
        return false;
    }

    // --- layings -----------------------------------------------------------------------------------------------------

    private List<Laying> layings(List<Window> windows) {
        if (windows.isEmpty()) {
            return List.of();
        }
        LocalDate start = windows.stream().map(Window::first).min(LocalDate::compareTo).orElseThrow()
                .minusDays(workerAges.oldestOnComb() + 1L);
        for (ColonyEvent event : events) {
            LocalDate before = event.day().minusDays(workerAges.oldestOnComb() + 1L);
            start = before.isBefore(start) ? before : start;
        }
        List<Laying> layings = new ArrayList<>();
        LocalDate day = start;
        while (!day.isAfter(asOf)) {
            if (days.isRuledOut(day)) {
                day = day.plusDays(1);
                continue;
            }
            LocalDate first = day;
            while (!days.isRuledOut(day)) {
                day = day.plusDays(1);
            }
            laying(first, day.minusDays(1), first.equals(start), windows).ifPresent(layings::add);
        }
        return layings;
    }

    /** She laid in this run of days if some sight can only be explained by it. */
    private Optional<Laying> laying(LocalDate first, LocalDate last, boolean openStart, List<Window> windows) {
        LocalDate firstEggBy = last;
        LocalDate lastEggFrom = first;
        List<Fact> proofs = new ArrayList<>();
        for (Window window : windows) {
            if (isOnlyIn(window, first, last)) {
                proofs.add(window.fact());
                firstEggBy = earlier(firstEggBy, earlier(window.last(), last));
                lastEggFrom = later(lastEggFrom, later(window.first(), first));
            }
        }
        if (proofs.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Laying(new Until(openStart ? Optional.empty() : Optional.of(first), firstEggBy),
                new Until(Optional.of(lastEggFrom), last), proofs));
    }

    private boolean isOnlyIn(Window window, LocalDate first, LocalDate last) {
        boolean some = false;
        for (LocalDate day = window.first(); !day.isAfter(window.last()); day = day.plusDays(1)) {
            if (!days.isRuledOut(day)) {
                if (day.isBefore(first) || day.isAfter(last)) {
                    return false;
                }
                some = true;
            }
        }
        return some;
    }

    /** Whether any day of the window is left; if not, the facts clash. */
    private boolean isPossible(Window window) {
        for (LocalDate day = window.first(); !day.isAfter(window.last()); day = day.plusDays(1)) {
            if (!days.isRuledOut(day)) {
                return true;
            }
        }
        clashes.add(ClashFinder.of(window.fact(), window.first(), window.last(), days));
        return false;
    }

    /** Not after the last day that is left; not before the first day that each sight leaves. */
    private Optional<Until> lastEgg(List<Window> windows) {
        LocalDate day = asOf;
        while (days.isRuledOut(day)) {
            day = day.minusDays(1);
        }
        LocalDate latest = day;
        Optional<LocalDate> earliest = windows.stream().map(this::firstDayLeft).max(LocalDate::compareTo);
        if (earliest.isEmpty() && (latest.equals(asOf) || isFromBeforeItBegan(latest))) {
            return Optional.empty();
        }
        return Optional.of(new Until(earliest, latest));
    }

    /** In a box that never had brood nobody laid last. */
    private boolean isFromBeforeItBegan(LocalDate day) {
        return events.stream().anyMatch(event -> event.kind() == EventKind.STARTED && !day.isAfter(event.day()));
    }

    private LocalDate firstDayLeft(Window window) {
        LocalDate day = window.first();
        while (days.isRuledOut(day)) {
            day = day.plusDays(1);
        }
        return day;
    }

    private void sayLastEgg(Until last, List<Window> windows) {
        String key = last.latest().equals(asOf) ? "brood.laysNow" : "brood.laidLast";
        if (last.earliest().isEmpty()) {
            reasons.add(Reason.of(Source.derived("days of every stage looked for and absent"), "brood.noneSince",
                    last.latest()));
            return;
        }
        DatedSpan span = last.bounded().orElseThrow();
        LocalDate newest = last.earliest().get();
        windows.stream().filter(window -> !window.last().isBefore(newest)).forEach(window -> reasons
                .add(Reason.of(assumptions.worker().source(), "brood.because", window.fact().sentence())));
        reasons.add(Reason.of(Source.derived("day of the sight, less the age of the brood"), key, span));
    }

    /** Queenless for certain: every day since the last possible egg is ruled out up to today. */
    private Optional<Until> queenlessSince(Optional<Until> lastEgg) {
        Optional<LocalDate> lost = events.stream()
                .filter(event -> event.kind() == EventKind.QUEEN_REMOVED
                        || event.kind() == EventKind.SPLIT_WITHOUT_QUEEN || event.kind() == EventKind.SPLIT_WITHOUT_EGGS
                        || event.kind() == EventKind.SWARMED)
                .map(ColonyEvent::day).max(LocalDate::compareTo);
        boolean given = events.stream()
                .anyMatch(event -> (event.kind() == EventKind.QUEEN_GIVEN || event.kind() == EventKind.UNITED)
                        && lost.map(day -> !event.day().isBefore(day)).orElse(true));
        if (given) {
            return Optional.empty();
        }
        if (lost.isPresent()) {
            boolean laidSince = lastEgg.flatMap(Until::earliest).map(day -> day.isAfter(lost.get())).orElse(false);
            return laidSince ? Optional.empty() : Optional.of(new Until(lost, lost.get()));
        }
        return lastEgg.filter(last -> last.latest().isBefore(asOf))
                .map(last -> new Until(last.earliest().map(day -> day.plusDays(1)), last.latest().plusDays(1)));
    }

    // --- cells -------------------------------------------------------------------------------------------------------

    private List<CellAge> cells() {
        List<CellAge> found = new ArrayList<>();
        for (int index = 0; index < readings.size(); index++) {
            for (CellsSeen cells : readings.get(index).cells()) {
                found.add(cellAge(index, readings.get(index), cells));
            }
        }
        return found;
    }

    private CellAge cellAge(int index, Reading reading, CellsSeen cells) {
        DatedSpan byLook = cellAges.laid(cells.look(), reading.day());
        Optional<LocalDate> loss = events.stream()
                .filter(event -> event.kind() == EventKind.QUEEN_REMOVED
                        || event.kind() == EventKind.SPLIT_WITHOUT_QUEEN)
                .map(ColonyEvent::day).filter(day -> !day.isAfter(reading.day())).max(LocalDate::compareTo);
        CellAge.Begun begun = loss.map(day -> begun(byLook, day)).orElse(CellAge.Begun.NO_LOSS_KNOWN);
        DatedSpan laid = fromElsewhere(reading) ? byLook : narrowed(byLook, reading, loss, begun);
        Optional<LocalDate> gift = onlyFromGift(reading);
        if (gift.isPresent()) {
            LocalDate oldest = gift.get().minusDays(emergency.oldestLarva());
            laid = laid.latest().isBefore(oldest) ? DatedSpan.on(oldest) : laid.notBefore(oldest);
        }
        DatedSpan emerges = cellAges.emerges(laid, cells.look(), reading.day());
        DatedSpan narrower = laid.plus(assumptions.queen().emerges()).intersection(emerges).orElse(emerges);
        return new CellAge(index, cells, laid, cellAges.sealed(laid, cells.look(), reading.day()), narrower, begun,
                Reason.of(Source.COMMON_PRACTICE, "brood.cellLook", cells.look().sentence(), reading.day(), laid));
    }

    /** Cells that the bees began because of the loss were larvae of up to three days past hatching, or eggs, then. */
    private CellAge.Begun begun(DatedSpan laid, LocalDate loss) {
        DatedSpan fit = DatedSpan.ofClosed(loss.minusDays(emergency.oldestLarva()), loss);
        if (fit.encloses(laid)) {
            return CellAge.Begun.AFTER_LOSS;
        }
        return fit.overlaps(laid) ? CellAge.Begun.EITHER : CellAge.Begun.BEFORE_LOSS;
    }

    /** Not laid after the queen was gone; not older than larvae could be when no cell was there yet. */
    private DatedSpan narrowed(DatedSpan byLook, Reading reading, Optional<LocalDate> loss, CellAge.Begun begun) {
        DatedSpan laid = loss.filter(day -> !day.isBefore(byLook.earliest())).map(byLook::notAfter).orElse(byLook);
        Optional<LocalDate> noCells = readings.stream()
                .filter(other -> other.day().isBefore(reading.day()) && other.missed(Sign.QUEEN_CELLS))
                .map(Reading::day)
                .max(LocalDate::compareTo);
        Optional<LocalDate> destroyed = events.stream()
                .filter(event -> event.kind() == EventKind.CELLS_DESTROYED && event.day().isBefore(reading.day()))
                .map(ColonyEvent::day).max(LocalDate::compareTo);
        for (Optional<LocalDate> clean : List.of(noCells, destroyed)) {
            if (clean.isPresent()) {
                LocalDate oldest = clean.get().minusDays(emergency.oldestLarva());
                laid = laid.latest().isBefore(oldest) ? laid : laid.notBefore(oldest);
            }
        }
        return laid;
    }

    /** Where no larva of their own was young enough any more, cells are no older than the brood that was given. */
    private Optional<LocalDate> onlyFromGift(Reading reading) {
        Optional<LocalDate> gift = events.stream()
                .filter(event -> event.kind() == EventKind.BROOD_GIVEN && !event.day().isAfter(reading.day()))
                .map(ColonyEvent::day).max(LocalDate::compareTo);
        boolean others = events.stream().anyMatch(event -> !event.day().isAfter(reading.day())
                && (event.kind() == EventKind.CELL_GIVEN || event.kind() == EventKind.UNITED));
        return gift.filter(day -> !others && readings.stream()
                .anyMatch(other -> !other.day().isAfter(day) && other.day().isAfter(day.minusDays(JUST_LOOKED_DAYS))
                        && other.missed(Sign.QUEEN_CELLS) && other.missed(Sign.EGGS) && other.missed(Sign.LARVAE)));
    }

    private boolean fromElsewhere(Reading reading) {
        return events.stream()
                .anyMatch(event -> !event.day().isAfter(reading.day()) && (event.kind() == EventKind.CELL_GIVEN
                        || event.kind() == EventKind.BROOD_GIVEN || event.kind() == EventKind.UNITED));
    }

    private BroodProof.Emergency emergency(DatedSpan lost) {
        return new BroodProof.Emergency(
                emergency.fromOldestLarva(lost.earliest()).span(emergency.fromOldestLarva(lost.latest())),
                emergency.fromDayOldLarva(lost.earliest()).span(emergency.fromDayOldLarva(lost.latest())),
                emergency.fromEgg(lost.earliest()).span(emergency.fromEgg(lost.latest())));
    }

    /** Cells cut before no new one could be begun: from that day on, until the first virgin can be out. */
    private Optional<DatedSpan> secondCut(Until lastEgg) {
        LocalDate none = lastEgg.latest().plusDays(emergency.noNewCellsAfter());
        Optional<LocalDate> cut = events.stream().filter(event -> event.kind() == EventKind.CELLS_DESTROYED)
                .map(ColonyEvent::day).max(LocalDate::compareTo);
        return cut.filter(day -> day.isBefore(none)).map(day -> {
            LocalDate virgin = emergency.fromOldestLarva(day).earliest();
            LocalDate until = virgin.isBefore(none) ? none : virgin;
            reasons.add(Reason.of(Source.derived("last egg + 7; emergence of the oldest larva of that day"),
                    "brood.secondCut", day, none, until));
            return DatedSpan.ofClosed(none, until);
        });
    }

    /** Where drone brood was seen since, mites sit in it for three days longer. */
    private Optional<Until> lastBrood(Optional<Until> lastWorker, Optional<Until> lastDrone) {
        boolean drones = lastWorker.isPresent() && readings.stream().anyMatch(reading -> reading.saw(Sign.SEALED_DRONE)
                && reading.day()
                        .isAfter(lastWorker.get().latest().minusDays(assumptions.drone().emerges().latestDay() * 2L)));
        return drones ? lastDrone : lastWorker;
    }

    /** From the last worker's emergence to the day before the next queen's brood can be sealed. */
    private Optional<DatedSpan> broodless(Optional<Until> lastWorker, Optional<NextQueen> next) {
        Optional<LocalDate> from = lastWorker.map(Until::latest);
        Optional<LocalDate> to = next.map(queen -> queen.firstEggs().plus(assumptions.worker().sealed()).earliest());
        if (from.isEmpty() || to.isEmpty() || !from.get().isBefore(to.get())) {
            return Optional.empty();
        }
        reasons.add(Reason.of(Source.derived("last egg + worker emergence, to first egg + worker sealing"),
                "brood.broodless", from.get(), to.get().minusDays(1)));
        return Optional.of(DatedSpan.ofClosed(from.get(), to.get().minusDays(1)));
    }

    private static LocalDate earlier(LocalDate a, LocalDate b) {
        return a.isBefore(b) ? a : b;
    }

    private static LocalDate later(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }

    /** Finds the smallest set of facts that leaves no day for a sight. */
    private static final class ClashFinder {

        static Clash of(Fact sight, LocalDate first, LocalDate last, LayingDays days) {
            Set<Fact> chosen = new LinkedHashSet<>();
            for (LocalDate day = first; !day.isAfter(last); day = day.plusDays(1)) {
                days.why(day).stream().min(Comparator.comparingLong(facts -> added(facts, chosen)))
                        .ifPresent(chosen::addAll);
            }
            for (Fact fact : List.copyOf(chosen)) {
                Set<Fact> fewer = new LinkedHashSet<>(chosen);
                fewer.remove(fact);
                if (coversAll(fewer, first, last, days)) {
                    chosen.remove(fact);
                }
            }
            List<Fact> facts = new ArrayList<>();
            facts.add(sight);
            facts.addAll(chosen);
            return new Clash(facts, explanations(sight, chosen));
        }

        private static long added(Set<Fact> facts, Set<Fact> chosen) {
            return facts.stream().filter(fact -> !chosen.contains(fact)).count();
        }

        private static boolean coversAll(Set<Fact> facts, LocalDate first, LocalDate last, LayingDays days) {
            for (LocalDate day = first; !day.isAfter(last); day = day.plusDays(1)) {
                if (days.why(day).stream().noneMatch(facts::containsAll)) {
                    return false;
                }
            }
            return true;
        }

        private static List<Clash.Explanation> explanations(Fact sight, Set<Fact> against) {
            Set<Clash.Explanation> found = new LinkedHashSet<>();
            boolean event = against.stream().anyMatch(Fact.Happened.class::isInstance);
            boolean youngBrood = sight instanceof Fact.Seen seen && (seen.sign().general().contains(Sign.EGGS)
                    || seen.sign() == Sign.EGGS || seen.sign().general().contains(Sign.LARVAE)
                    || seen.sign() == Sign.LARVAE);
            if (event) {
                found.add(Clash.Explanation.SECOND_QUEEN_MISSED);
                if (youngBrood) {
                    found.add(Clash.Explanation.LAYING_WORKERS);
                }
                found.add(Clash.Explanation.EARLIER_CELL);
                found.add(Clash.Explanation.BROOD_GIVEN);
            }
            if (against.stream().anyMatch(Fact.Absent.class::isInstance)) {
                found.add(Clash.Explanation.BROOD_MISSED);
                found.add(Clash.Explanation.BROOD_GIVEN);
                found.add(Clash.Explanation.BROOD_LOST);
            }
            found.add(Clash.Explanation.WRONG_DATE);
            return List.copyOf(found);
        }
    }
}
