package vividcrown.core.queen;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.DevelopmentClock;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/**
 * Folds a queen's entries, in the order in which they happened, into her life. Entries that clash with earlier ones are
 * applied all the same where they can be (the later sight counts) and reported.
 *
 * <p>Cost: sorts the entries of one queen, then one pass.
 */
public final class LifeFold {

    /**
     * @param life the facts
     * @param contradictions entries that clash with earlier ones, in order
     */
    public record Folded(QueenLife life, List<Contradiction> contradictions) {
    }

    private final Assumptions assumptions;
    private final LarvaAge larvaAge;
    private final Map<Milestone, LocalDate> milestones = new EnumMap<>(Milestone.class);
    private final List<Contradiction> contradictions = new ArrayList<>();
    private Stage stage = Stage.GRAFTED;
    private Whereabouts where = new Whereabouts.Elsewhere();
    private int emergenceYear;
    private String mark = "";

    private LifeFold(Assumptions assumptions, LarvaAge larvaAge) {
        this.assumptions = assumptions;
        this.larvaAge = larvaAge;
    }

    /**
     * @param entries in any order; the entry that begins her life is a graft or a queen already known
     * @throws IllegalArgumentException if the record does not begin with such an entry
     */
    public static Folded fold(List<LifeEntry> entries, LarvaAge larvaAge, Assumptions assumptions) {
        List<LifeEntry> ordered = entries.stream()
                .sorted(Comparator.comparingInt(LifeFold::beginningsFirst).thenComparing(LifeEntry::day)
                        .thenComparing(LifeEntry::sequence))
                .toList();
        if (ordered.isEmpty() || beginningsFirst(ordered.getFirst()) != 0) {
            throw new IllegalArgumentException(
                    "A queen's record begins with a graft or a known queen, but it begins with %s"
                            .formatted(ordered.isEmpty() ? "nothing" : ordered.getFirst()));
        }
        LifeFold fold = new LifeFold(assumptions, larvaAge);
        ordered.forEach(fold::apply);
        return new Folded(
                new QueenLife(fold.stage, fold.where, fold.milestones, fold.emergenceYear, fold.mark),
                List.copyOf(fold.contradictions));
    }

    private static int beginningsFirst(LifeEntry entry) {
        return entry.event() instanceof QueenEvent.Grafted || entry.event() instanceof QueenEvent.Known ? 0 : 1;
    }

    private void apply(LifeEntry entry) {
        checkBeforeBeginning(entry);
        checkAfterEnd(entry);
        LocalDate day = entry.day();
        switch (entry.event()) {
            case QueenEvent.Grafted _ -> {
                milestones.put(Milestone.GRAFTED, day);
                where = new Whereabouts.OnTheBar();
            }
            case QueenEvent.Known(Stage known, int year, Optional<YearColour> wears) -> {
                stage = known;
                emergenceYear = year;
                mark = wears.map(YearColour::name).orElse("");
                stated(known, day);
            }
            case QueenEvent.Took _ -> cellStage(entry, Stage.TAKEN, Milestone.TAKE_COUNTED);
            case QueenEvent.SealedSeen _ -> {
                tooEarly(entry, DevelopmentClock::sealed, "clash.sealedTooEarly");
                cellStage(entry, Stage.SEALED, Milestone.SEALED_SEEN);
            }
            case QueenEvent.DidNotTake _ -> {
                milestones.put(Milestone.TAKE_COUNTED, day);
                ends(entry, Stage.NOT_TAKEN);
            }
            case QueenEvent.Culled _ -> ends(entry, Stage.CULLED);
            case QueenEvent.Dud _ -> {
                if (has(Milestone.EMERGED_SEEN) || has(Milestone.EGGS_SEEN)) {
                    clash(entry, "clash.dudAfterEmergence");
                }
                ends(entry, Stage.DUD);
            }
            case QueenEvent.Dead _ -> ends(entry, Stage.DEAD);
            case QueenEvent.TakenOut _ -> {
                ends(entry, Stage.TAKEN_OUT);
                where = new Whereabouts.Elsewhere();
            }
            case QueenEvent.CagedInIncubator(int cage) -> {
                milestones.put(Milestone.CAGED, day);
                where = new Whereabouts.InIncubator(cage);
            }
            case QueenEvent.Placed(var hive, GivenAs given, _) -> {
                placedTwice(entry);
                placedAs(entry, given);
                where = new Whereabouts.InHive(hive);
            }
            case QueenEvent.Emerged _ -> emerged(entry, Milestone.EMERGED_SEEN);
            case QueenEvent.VirginSeen _ -> emerged(entry, Milestone.VIRGIN_SEEN);
            case QueenEvent.NoEggsYet _ -> {
                milestones.merge(Milestone.LAST_LOOK_WITHOUT_EGGS, day, LifeFold::later);
            }
            case QueenEvent.EggsSeen _ -> lays(entry, Stage.LAYING, Milestone.EGGS_SEEN);
            case QueenEvent.SealedWorkerBroodSeen _ -> lays(entry, Stage.JUDGED, Milestone.SEALED_BROOD_SEEN);
            case QueenEvent.DroneBroodOnly _ -> {
                milestones.putIfAbsent(Milestone.DRONE_BROOD_SEEN, day);
                if (stage == Stage.JUDGED) {
                    clash(entry, "clash.dronesAfterJudged");
                }
                advance(Stage.DRONE_LAYER);
            }
            case QueenEvent.NotFound _ -> milestones.merge(Milestone.NOT_FOUND, day, LifeFold::later);
            case QueenEvent.Marked(Optional<YearColour> colour, String number) -> {
                milestones.put(Milestone.MARKED, day);
                milestones.remove(Milestone.MARK_LOST);
                milestones.remove(Milestone.MARK_WORN);
                mark = Stream.concat(colour.map(YearColour::name).stream(), Stream.of(number.strip()))
                        .filter(part -> !part.isEmpty()).collect(Collectors.joining(" "));
                if (stage.isCell()) {
                    clash(entry, "clash.markedCell");
                }
            }
            case QueenEvent.MarkLost _ -> {
                if (mark.isEmpty()) {
                    clash(entry, "clash.noMarkToLose");
                }
                milestones.put(Milestone.MARK_LOST, day);
                milestones.remove(Milestone.MARK_WORN);
                mark = "";
            }
            case QueenEvent.MarkWorn _ -> {
                if (mark.isEmpty()) {
                    clash(entry, "clash.noMarkToLose");
                } else {
                    milestones.putIfAbsent(Milestone.MARK_WORN, day);
                }
            }
            case QueenEvent.Clipped _ -> {
                if (stage.isCell() || stage == Stage.VIRGIN) {
                    clash(entry, "clash.clippedBeforeFlight");
                }
                milestones.putIfAbsent(Milestone.CLIPPED, day);
            }
            case QueenEvent.Noted _ -> {
                // a note changes nothing that is reckoned with
            }
        }
    }

    /** Whoever puts a virgin or a laying queen into a hive has seen what she is. */
    private void placedAs(LifeEntry entry, GivenAs given) {
        switch (given) {
            case CELL -> {
                if (stage.isCell()) {
                    milestones.putIfAbsent(Milestone.PLACED_AS_CELL, entry.day());
                } else if (stage == Stage.VIRGIN) {
                    milestones.putIfAbsent(Milestone.PLACED_AS_VIRGIN, entry.day());
                }
            }
            case VIRGIN -> {
                if (stage.isCell()) {
                    emerged(entry, Milestone.VIRGIN_SEEN);
                }
                if (stage == Stage.VIRGIN) {
                    milestones.putIfAbsent(Milestone.PLACED_AS_VIRGIN, entry.day());
                }
            }
            case LAYING_QUEEN -> {
                if (stage.isCell() || stage == Stage.VIRGIN) {
                    lays(entry, Stage.LAYING, Milestone.EGGS_SEEN);
                }
            }
        }
    }

    private void stated(Stage known, LocalDate day) {
        switch (known) {
            case LAYING -> milestones.put(Milestone.EGGS_SEEN, day);
            case JUDGED -> {
                milestones.put(Milestone.EGGS_SEEN, day);
                milestones.put(Milestone.SEALED_BROOD_SEEN, day);
            }
            case VIRGIN -> milestones.put(Milestone.EMERGED_SEEN, day);
            case DRONE_LAYER -> milestones.put(Milestone.DRONE_BROOD_SEEN, day);
            case GRAFTED, TAKEN, SEALED -> throw new IllegalArgumentException(
                    "A known queen is a virgin or older, but her stage is %s".formatted(known));
            case NOT_TAKEN, CULLED, DUD, DEAD, TAKEN_OUT -> milestones.put(Milestone.ENDED, day);
        }
    }

    private void cellStage(LifeEntry entry, Stage reached, Milestone milestone) {
        milestones.put(milestone, entry.day());
        if (!stage.isCell() && !stage.isEnd()) {
            clash(entry, "clash.cellAfterEmergence");
        } else if (stage.isCell() && reached.compareTo(stage) > 0) {
            stage = reached;
        } else if (stage == Stage.NOT_TAKEN) {
            stage = reached;
            milestones.remove(Milestone.ENDED);
        }
    }

    private void emerged(LifeEntry entry, Milestone milestone) {
        tooEarly(entry, DevelopmentClock::emerges, "clash.emergedTooEarly");
        milestones.putIfAbsent(milestone, entry.day());
        emergenceYear = emergenceYear == 0 ? entry.day().getYear() : emergenceYear;
        if (stage.isCell() || stage == Stage.DUD) {
            stage = Stage.VIRGIN;
            milestones.remove(Milestone.ENDED);
        }
    }

    private void lays(LifeEntry entry, Stage reached, Milestone milestone) {
        earliestEggs(entry);
        milestones.putIfAbsent(milestone, entry.day());
        if (reached == Stage.JUDGED) {
            milestones.putIfAbsent(Milestone.EGGS_SEEN, entry.day());
        }
        // one who laid already when she came into the record stays as old as nobody knows
        if (emergenceYear == 0 && (stage.isCell() || stage == Stage.VIRGIN)) {
            emergenceYear = entry.day().getYear();
        }
        if (stage == Stage.DRONE_LAYER) {
            clash(entry, "clash.workerBroodAfterDrones");
        }
        advance(reached);
    }

    /** A queen that lays has emerged, whether or not somebody saw it. */
    private void advance(Stage reached) {
        if (stage.isEnd()) {
            return;
        }
        if (reached == Stage.DRONE_LAYER || stage == Stage.DRONE_LAYER || reached.compareTo(stage) > 0) {
            stage = reached;
        }
    }

    private void ends(LifeEntry entry, Stage end) {
        if (!stage.isEnd()) {
            stage = end;
            milestones.put(Milestone.ENDED, entry.day());
        }
    }

    private void checkBeforeBeginning(LifeEntry entry) {
        Optional<LocalDate> grafted = Optional.ofNullable(milestones.get(Milestone.GRAFTED));
        if (grafted.isPresent() && entry.day().isBefore(grafted.get())) {
            clash(entry, "clash.beforeGraft", entry.day(), grafted.get());
        }
    }

    private void checkAfterEnd(LifeEntry entry) {
        boolean revives = stage == Stage.NOT_TAKEN || stage == Stage.DUD;
        if (stage.isEnd() && !(entry.event() instanceof QueenEvent.Noted)) {
            boolean same = entry.event() instanceof QueenEvent.Dud && stage == Stage.DUD
                    || entry.event() instanceof QueenEvent.Dead && stage == Stage.DEAD
                    || entry.event() instanceof QueenEvent.DidNotTake && stage == Stage.NOT_TAKEN
                    || entry.event() instanceof QueenEvent.Culled && stage == Stage.CULLED;
            if (!same) {
                clash(entry, revives ? "clash.afterDud" : "clash.afterEnd",
                        Sentence.of("stage." + stage.name()), Objects.requireNonNull(milestones.get(Milestone.ENDED)));
            }
        }
    }

    /** Seen before nature allows it, counted from the graft. */
    private void tooEarly(LifeEntry entry, Function<DevelopmentClock, DaySpan> of, String key) {
        LocalDate grafted = milestones.get(Milestone.GRAFTED);
        if (grafted == null) {
            return;
        }
        DatedSpan possible = of.apply(assumptions.queen()).shiftedByHours(-larvaAge.oldestSinceEggHours())
                .from(grafted);
        if (entry.day().isBefore(possible.earliest())) {
            clash(entry, key, entry.day(), grafted, possible);
        }
    }

    private void earliestEggs(LifeEntry entry) {
        LocalDate grafted = milestones.get(Milestone.GRAFTED);
        if (grafted == null) {
            return;
        }
        LocalDate earliest = assumptions.queen().emerges().shiftedByHours(-larvaAge.oldestSinceEggHours())
                .plus(assumptions.span(Figure.FIRST_EGGS)).from(grafted).earliest();
        if (entry.day().isBefore(earliest)) {
            clash(entry, "clash.eggsTooEarly", entry.day(), earliest);
        }
    }

    private void placedTwice(LifeEntry entry) {
        if (where instanceof Whereabouts.InHive && stage.isCell()) {
            clash(entry, "clash.cellInTwoHives");
        }
    }

    private boolean has(Milestone milestone) {
        return milestones.containsKey(milestone);
    }

    private void clash(LifeEntry entry, String key, Object... arguments) {
        contradictions.add(new Contradiction(entry.id(), Sentence.of(key, arguments)));
    }

    private static LocalDate later(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }
}
