package vividcrown.core.swarm;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.brood.BroodProver;
import vividcrown.core.judgement.Season;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.time.Until;

/**
 * A swarm plan that was begun at a colony. Its days stay counted from the day it was begun, however late the rest is done.
 *
 * @param school the way it was begun
 * @param begun the day from which its days count: that of the old queen's nuc, or else of the first step
 * @param done the steps that were done, the oldest first; never empty
 */
public record SwarmPath(SwarmSchool school, LocalDate begun, List<Done> done) {

    /** Longer than any path from the cells to the young queen's sealed brood. */
    private static final int LONGEST_DAYS = 90;

    private static final Set<SwarmStep.Kind> NOTHING_TO_DO = EnumSet.of(SwarmStep.Kind.LEAVE_SHUT,
            SwarmStep.Kind.LEAVE_ALONE);

    private static final Set<EventKind> GIVES_ANOTHER = EnumSet.of(EventKind.QUEEN_GIVEN, EventKind.VIRGIN_GIVEN,
            EventKind.CELL_GIVEN, EventKind.UNITED);
    private static final Set<SwarmStep.Kind> CUTS = EnumSet.of(SwarmStep.Kind.RETURN_AND_REDUCE,
            SwarmStep.Kind.CHECK_FOR_NEW_CELLS);

    public SwarmPath {
        done = List.copyOf(done);
        if (done.isEmpty()) {
            throw new IllegalArgumentException("a path is begun by its first step");
        }
    }

    /** A step that was done, its gate ticked. */
    public record Done(LocalDate day, SwarmStep.Kind step, SwarmSchool school) {
    }

    /**
     * The path that is being followed, if one is. Once the queen was taken, it goes on to its end; before, a newer look at
     * cells begins anew. Where another queen or cell was given nothing is left of it: no cell is kept for a young one then.
     *
     * @param all steps that were done
     * @param events a queen taken away after cells were found begins a path too, though no step was ticked
     * @param school the operation's own way, for a path that nobody ticked
     */
    public static Optional<SwarmPath> open(List<Done> all, List<Reading> readings, List<ColonyEvent> events,
            SwarmSchool school, LocalDate today) {
        List<Done> steps = new ArrayList<>(all);
        if (all.stream().noneMatch(one -> one.step() == SwarmStep.Kind.MAKE_NUC)) {
            steps.addAll(unticked(readings, events, school));
        }
        List<Done> done = new ArrayList<>();
        steps.stream().filter(one -> one.day().isAfter(today.minusDays(LONGEST_DAYS)))
                .sorted(Comparator.comparing(Done::day)).forEach(one -> {
                    if (begins(one.step()) && !done.isEmpty() && !done.getFirst().day().equals(one.day())) {
                        done.clear();
                    }
                    done.add(one);
                });
        if (done.isEmpty()) {
            return Optional.empty();
        }
        Optional<LocalDate> taken = dayOf(done, SwarmStep.Kind.MAKE_NUC);
        LocalDate begun = taken.orElse(done.getFirst().day());
        boolean another = events.stream()
                .anyMatch(event -> GIVES_ANOTHER.contains(event.kind()) && !event.day().isBefore(begun));
        boolean over = another || taken.isEmpty()
                && readings.stream().anyMatch(look -> tellsOfCells(look) && look.day().isAfter(begun));
        return over ? Optional.empty() : Optional.of(new SwarmPath(done.getLast().school(), begun, done));
    }

    private static boolean begins(SwarmStep.Kind step) {
        return step == SwarmStep.Kind.CATCH_QUEEN || step == SwarmStep.Kind.SEE_HER_CAGED
                || step == SwarmStep.Kind.GIVE_ROOM;
    }

    private static List<Done> unticked(List<Reading> readings, List<ColonyEvent> events, SwarmSchool school) {
        List<Done> done = new ArrayList<>();
        events.stream().filter(event -> event.kind() == EventKind.QUEEN_REMOVED)
                .filter(event -> readings.stream().anyMatch(look -> look.saw(Sign.QUEEN_CELLS)
                        && !look.day().isAfter(event.day()) && look.day().isAfter(event.day().minusDays(10))))
                .reduce((_, last) -> last).map(ColonyEvent::day).ifPresent(day -> {
                    done.add(new Done(day, SwarmStep.Kind.CATCH_QUEEN, school));
                    done.add(new Done(day, SwarmStep.Kind.MAKE_NUC, school));
                    if (events.contains(new ColonyEvent(day, EventKind.CELLS_DESTROYED))) {
                        done.add(new Done(day, SwarmStep.Kind.SHAKE_AND_DESTROY, school));
                    }
                });
        return done;
    }

    /** Whether a reading says anything about queen cells. */
    public static boolean tellsOfCells(Reading reading) {
        return !reading.cells().isEmpty() || reading.saw(Sign.CUPS)
                || reading.missed(Sign.QUEEN_CELLS);
    }

    /** What the steps did to the colony: the judgement of its state argues from it. */
    public static List<ColonyEvent> events(List<Done> done) {
        List<ColonyEvent> events = new ArrayList<>();
        for (Done one : done) {
            switch (one.step()) {
                case MAKE_NUC -> events.add(new ColonyEvent(one.day(), EventKind.QUEEN_REMOVED));
                case SHAKE_AND_DESTROY -> {
                    if (one.school() != SwarmSchool.LEAVE_ONE_NOW || dayOf(done, SwarmStep.Kind.SEE_HER_CAGED)
                            .filter(one.day()::equals).isPresent()) {
                        events.add(new ColonyEvent(one.day(), EventKind.CELLS_DESTROYED));
                    }
                }
                default -> {
                    // the others change nothing that a judgement argues from
                }
            }
        }
        return events;
    }

    /** Its steps with their days, as they stood when it was begun. */
    public SwarmPlan plan(List<Reading> readings, List<ColonyEvent> events, Assumptions assumptions, Season season) {
        List<Reading> until = readings.stream().filter(reading -> !reading.day().isAfter(begun)).toList();
        List<ColonyEvent> before = events.stream().filter(event -> event.day().isBefore(begun)).toList();
        SwarmPlan planned = plan(until, before, Optional.empty(), assumptions, season);
        boolean taken = dayOf(SwarmStep.Kind.MAKE_NUC).isPresent();
        boolean meantTo = planned.steps().stream().anyMatch(step -> step.kind() == SwarmStep.Kind.MAKE_NUC);
        return taken && !meantTo ? plan(until, before, Optional.of(begun), assumptions, season) : planned;
    }

    private SwarmPlan plan(List<Reading> readings, List<ColonyEvent> events, Optional<LocalDate> removed,
            Assumptions assumptions, Season season) {
        // what is known: she may have stopped before she was taken
        Optional<LocalDate> lastEgg = BroodProver.prove(readings, events, begun, assumptions).lastEgg()
                .map(Until::latest)
                .filter(day -> day.isBefore(begun));
        // cells that nobody cut are still there, and open sooner than any that is begun now
        Optional<Reading> found = removed.isPresent() && dayOf(SwarmStep.Kind.SHAKE_AND_DESTROY).isEmpty()
                && readings.stream()
                        .noneMatch(reading -> reading.missed(Sign.QUEEN_CELLS) && reading.day().equals(begun))
                                ? readings.stream().filter(SwarmPath::tellsOfCells).reduce((_, last) -> last)
                                : Optional.empty();
        return SwarmPlanner.plan(new SwarmSituation(begun, readings, events, removed, lastEgg,
                found.map(Reading::cells).orElse(List.of()), found.map(Reading::day), school), assumptions, season);
    }

    /** The day on which a step was done. */
    public Optional<LocalDate> dayOf(SwarmStep.Kind kind) {
        return dayOf(done, kind);
    }

    /** The steps that nobody has done yet, the soonest first; a look is answered by any later reading too. */
    public List<SwarmStep> left(SwarmPlan plan, List<Reading> readings) {
        return plan.steps().stream()
                .filter(step -> !NOTHING_TO_DO.contains(step.kind()) && dayOf(step.kind()).isEmpty())
                // a cell that opened: what is cut now may be their last hope, or hers
                .filter(step -> !CUTS.contains(step.kind()) || readings.stream().noneMatch(this::provesVirgin))
                .filter(step -> !step.kind().isLook()
                        || readings.stream().noneMatch(reading -> !reading.day().isBefore(step.when().earliest())
                                && reading.day().isAfter(begun)))
                .sorted(Comparator.comparing(step -> step.when().earliest())).toList();
    }

    private boolean provesVirgin(Reading reading) {
        return reading.day().isAfter(begun)
                && reading.cells().stream().anyMatch(cells -> cells.look().provesVirgin());
    }

    /** Whether the hive is to stay shut on that day. */
    public boolean isShut(SwarmPlan plan, LocalDate day) {
        return plan.steps().stream()
                .anyMatch(step -> step.kind() == SwarmStep.Kind.LEAVE_SHUT && step.when().contains(day));
    }

    private static Optional<LocalDate> dayOf(List<Done> done, SwarmStep.Kind kind) {
        return done.stream().filter(one -> one.step() == kind).map(Done::day).findFirst();
    }
}
