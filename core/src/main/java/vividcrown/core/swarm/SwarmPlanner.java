package vividcrown.core.swarm;

import static vividcrown.core.swarm.SwarmStep.Gate.ALL_FRAMES_SHAKEN;
import static vividcrown.core.swarm.SwarmStep.Gate.EXACTLY_ONE_LEFT;
import static vividcrown.core.swarm.SwarmStep.Gate.NONE;
import static vividcrown.core.swarm.SwarmStep.Gate.QUEEN_IN_HAND;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.brood.BroodProof;
import vividcrown.core.brood.BroodProver;
import vividcrown.core.brood.CellAge;
import vividcrown.core.brood.EmergencyQueen;
import vividcrown.core.brood.NextQueen;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Contents;
import vividcrown.core.judgement.Judge;
import vividcrown.core.judgement.Season;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.mating.MatingChance;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.CellsSeen;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;
import vividcrown.core.time.Until;

/**
 * From the cells found to the steps with their days and gates. The oldest cell decides the rung; the school decides the
 * path. Every path is followed to the young queen's sealed brood.
 */
public final class SwarmPlanner {

    /** An egg of three days that was overlooked is a sealed cell on the fifth day. Derived: sealed at 8 days. */
    private static final DaySpan LOOK_AGAIN = DaySpan.ofDays(4, 4, 5);
    /** Where no cell was begun yet, only cups. */
    private static final DaySpan CUPS_AGAIN = DaySpan.ofDays(5, 6, 7);
    /** "Leave it shut for four to five weeks." Common practice. */
    private static final DaySpan SHUT_DAYS = DaySpan.ofDays(28, 28, 35);
    /** With this chance she is looked for in her cage first: it takes a minute. */
    private static final double MAY_BE_THERE = 0.2;
    private static final DaySpan NUC_CHECK = DaySpan.ofDays(7, 8, 10);

    private final SwarmSituation asked;
    private final Assumptions assumptions;
    private final LocalDate today;
    private final LocalDate removed;
    private final LocalDate lastEgg;
    private final List<SwarmStep> steps = new ArrayList<>();
    private final List<Reason> warnings = new ArrayList<>();
    private final List<Sentence> materials = new ArrayList<>();
    private Optional<DatedSpan> returnVisit = Optional.empty();
    private Optional<NextQueen> youngQueen = Optional.empty();

    private SwarmPlanner(SwarmSituation asked, Assumptions assumptions) {
        this.asked = asked;
        this.assumptions = assumptions;
        this.today = asked.today();
        this.removed = asked.queenRemovedOn().orElse(today);
        this.lastEgg = asked.lastEggOn().filter(day -> day.isBefore(removed)).orElse(removed);
    }

    public static SwarmPlan plan(SwarmSituation asked, Assumptions assumptions, Season season) {
        return new SwarmPlanner(asked, assumptions).plan(season);
    }

    private SwarmPlan plan(Season season) {
        Verdict verdict = new Judge(assumptions, season).atAGlance(asked.readings(), asked.events(), today);
        List<CellsSeen> cells = newestCells();
        boolean anyLiving = cells.stream().anyMatch(cell -> cell.look().isAlive());
        Map<Verdict.CellKind, Double> kind = anyLiving ? verdict.cellKind() : Map.of();
        Rung found = rung(cells, kind, verdict.contents());
        boolean made = asked.queenRemovedOn().isPresent();
        Rung rung = made && found == Rung.CUPS_ONLY ? Rung.ARTIFICIAL_SWARM : found;
        if (made) {
            afterRemoval();
        } else {
            climb(rung, season, verdict.contents());
        }
        return new SwarmPlan(kind, rung, departs(rung, cells), returnVisit, steps, youngQueen, warnings, materials);
    }

    // --- where it stands ---------------------------------------------------------------------------------------------

    private List<CellsSeen> newestCells() {
        return asked.readings().stream().filter(reading -> !reading.day().isAfter(today))
                .filter(reading -> !reading.cells().isEmpty() || reading.missed(Sign.QUEEN_CELLS))
                .max(Comparator.comparing(Reading::day)).map(Reading::cells).orElse(List.of());
    }

    private static Rung rung(List<CellsSeen> cells, Map<Verdict.CellKind, Double> kind, Contents contents) {
        if (cells.stream().anyMatch(cell -> cell.look().provesVirgin())) {
            return Rung.VIRGIN_OUT;
        }
        Optional<CellLook> oldest = cells.stream().map(CellsSeen::look).filter(CellLook::isAlive)
                .max(Comparator.naturalOrder());
        if (oldest.isEmpty()) {
            return Rung.CUPS_ONLY;
        }
        if (contents.chance(Case.KEPT_BESIDE_CELLS) > MAY_BE_THERE) {
            return Rung.BESIDE_HER;
        }
        if (contents.chance(Case.SWARMED) > 0.5) {
            return Rung.SWARMED;
        }
        Verdict.CellKind leading = kind.entrySet().stream().max(Map.Entry.comparingByValue()).map(Map.Entry::getKey)
                .orElse(Verdict.CellKind.EMERGENCY);
        return switch (leading) {
            case SUPERSEDURE -> Rung.SUPERSEDURE;
            case EMERGENCY -> Rung.EMERGENCY;
            case SWARM -> switch (oldest.get()) {
                case CUP_EMPTY, CUP_EGG, JELLY -> Rung.YOUNG_CELLS;
                case LONG, SEALED, RIPE, EMERGED, TORN_SIDE, TORN_DOWN -> Rung.ARTIFICIAL_SWARM;
            };
        };
    }

    /** A swarm leaves about when the first cell is sealed; from then on it can leave on any fine day. */
    private Optional<DatedSpan> departs(Rung rung, List<CellsSeen> cells) {
        // who is replaced, has left or sits in a cage leaves with none
        if (rung == Rung.SUPERSEDURE || rung == Rung.SWARMED || rung == Rung.BESIDE_HER) {
            return Optional.empty();
        }
        BroodProof proof = BroodProver.prove(asked.readings(), asked.events(), today, assumptions);
        return proof.cells().stream().filter(cell -> cell.cells().look().isAlive() && cells.contains(cell.cells()))
                .map(CellAge::sealed).min(Comparator.comparing(DatedSpan::earliest))
                .map(sealed -> sealed.notBefore(today));
    }

    // --- the ladder --------------------------------------------------------------------------------------------------

    private void climb(Rung rung, Season season, Contents contents) {
        switch (rung) {
            case CUPS_ONLY -> {
                if (asked.school() == SwarmSchool.BEFORE_CELLS) {
                    beforeCells();
                } else {
                    step(SwarmStep.Kind.GIVE_ROOM, DatedSpan.on(today), NONE, "swarm.giveRoom");
                    step(SwarmStep.Kind.KNOCK_DOWN_CUPS, DatedSpan.on(today), NONE, "swarm.knockDown");
                    step(SwarmStep.Kind.CHECK_AGAIN, CUPS_AGAIN.windowFrom(today), NONE, "swarm.cupsAgain");
                    if (season.isSwarmSeason(today)) {
                        warn("swarm.weekly");
                    }
                }
            }
            case YOUNG_CELLS -> removeAndRepeat();
            case ARTIFICIAL_SWARM -> {
                if (hardlyMates(season)) {
                    warn("swarm.hardlyMates");
                    removeAndRepeat();
                    return;
                }
                switch (asked.school()) {
                    case DESTROY_AND_RETURN, BEFORE_CELLS -> destroyAndReturn();
                    case LEAVE_ONE_NOW -> leaveOneNow();
                    case REMOVE_AND_REPEAT -> {
                        warn("swarm.tooFarForRemoving");
                        removeAndRepeat();
                    }
                }
            }
            case VIRGIN_OUT -> {
                if (contents.chance(Case.KEPT) + contents.chance(Case.KEPT_BESIDE_CELLS) > MAY_BE_THERE
                        && (happened(EventKind.QUEEN_CAGED) || happened(EventKind.QUEEN_GIVEN))) {
                    step(SwarmStep.Kind.SEE_HER_CAGED, DatedSpan.on(today), NONE, "swarm.virginBesideHer");
                }
                step(SwarmStep.Kind.LEAVE_SHUT, DaySpan.ofDays(0, 14, 21).from(today), NONE, "swarm.virginOut");
                step(SwarmStep.Kind.LOOK_FOR_EGGS, DaySpan.ofDays(14, 14, 21).from(today), NONE, "swarm.lookForEggs");
                warn("swarm.castVirginOut");
            }
            case SUPERSEDURE -> {
                step(SwarmStep.Kind.LEAVE_ALONE, DatedSpan.on(today), NONE, "swarm.supersedure");
                step(SwarmStep.Kind.LOOK_FOR_EGGS, DaySpan.ofDays(28, 30, 35).from(today), NONE, "swarm.lookForEggs");
                warn("swarm.castSupersedure");
                if (hardlyMates(season)) {
                    warn("swarm.supersedureLate");
                }
            }
            case BESIDE_HER -> besideHer();
            case SWARMED, EMERGENCY -> {
                step(SwarmStep.Kind.RETURN_AND_REDUCE, DatedSpan.on(today), EXACTLY_ONE_LEFT,
                        rung == Rung.SWARMED ? "swarm.left" : "swarm.emergency");
                warn("swarm.castEmergency");
                if (hardlyMates(season)) {
                    warn("swarm.raisedTooLate");
                }
                LocalDate last = secondCut(EXACTLY_ONE_LEFT, "swarm.checkNewCells").orElse(today);
                toSealedBrood(fromCells().orElse(new EmergencyQueen(assumptions).fromOldestLarva(lastEgg)), last);
            }
        }
    }

    /** She is seen alive, every cell is destroyed, and she stays in her cage. */
    private void besideHer() {
        step(SwarmStep.Kind.SEE_HER_CAGED, DatedSpan.on(today), QUEEN_IN_HAND, "swarm.seeHerInHerCage");
        step(SwarmStep.Kind.SHAKE_AND_DESTROY, DatedSpan.on(today), ALL_FRAMES_SHAKEN, "swarm.shakeBesideHer");
        step(SwarmStep.Kind.CAGE_BACK, DatedSpan.on(today), NONE, "swarm.cageBack");
        if (secondCut(NONE, "swarm.checkBesideHer").isEmpty()) {
            step(SwarmStep.Kind.CHECK_AGAIN, LOOK_AGAIN.windowFrom(today), NONE, "swarm.again");
        }
        warn("swarm.besideHerDead");
    }

    /** In autumn; a virgin of a cold spring comes into better days. */
    private boolean hardlyMates(Season season) {
        LocalDate out = fromCells().map(DatedSpan::likely).orElse(today);
        return new MatingChance(season.climate()).firstSensibleEmergence(out).isEmpty();
    }

    private boolean happened(EventKind kind) {
        return asked.events().stream().anyMatch(event -> event.kind() == kind && !event.day().isAfter(today));
    }

    /** Cells cut while larvae are young enough are begun again: once more when none can be. The day of the last cut. */
    private Optional<LocalDate> secondCut(SwarmStep.Gate gate, String why) {
        Optional<LocalDate> none = BroodProver.prove(asked.readings(), asked.events(), today, assumptions)
                .noNewCellsFrom()
                .map(Until::latest).filter(day -> day.isAfter(today));
        none.ifPresent(day -> step(SwarmStep.Kind.CHECK_FOR_NEW_CELLS, DatedSpan.on(day), gate, why));
        return none;
    }

    private void removeAndRepeat() {
        step(SwarmStep.Kind.CATCH_QUEEN, DatedSpan.on(today), QUEEN_IN_HAND, "swarm.cageQueen");
        step(SwarmStep.Kind.SHAKE_AND_DESTROY, DatedSpan.on(today), ALL_FRAMES_SHAKEN, "swarm.shake");
        step(SwarmStep.Kind.QUEEN_BACK, DatedSpan.on(today), NONE, "swarm.queenBack");
        step(SwarmStep.Kind.CHECK_AGAIN, LOOK_AGAIN.windowFrom(today), NONE, "swarm.again");
        carry("material.queenCage");
        warn("swarm.castCellMissed");
    }

    private void destroyAndReturn() {
        takeQueen("swarm.catchQueen");
        step(SwarmStep.Kind.SHAKE_AND_DESTROY, DatedSpan.on(today), ALL_FRAMES_SHAKEN, "swarm.shakeAll");
        afterRemoval();
    }

    private void takeQueen(String why) {
        step(SwarmStep.Kind.CATCH_QUEEN, DatedSpan.on(today), QUEEN_IN_HAND, why);
        step(SwarmStep.Kind.MAKE_NUC, DatedSpan.on(today), NONE, "swarm.makeNuc");
        carry("material.queenCage");
        carry("material.nucBox");
        carry("material.syrup");
    }

    private void leaveOneNow() {
        takeQueen("swarm.catchQueen");
        step(SwarmStep.Kind.MARK_ONE_CELL, DatedSpan.on(today), NONE, "swarm.markOne");
        step(SwarmStep.Kind.SHAKE_AND_DESTROY, DatedSpan.on(today), EXACTLY_ONE_LEFT, "swarm.shakeButOne");
        LocalDate noNewCells = lastEgg.plusDays(new EmergencyQueen(assumptions).noNewCellsAfter());
        DatedSpan virgin = fromCells().orElse(new EmergencyQueen(assumptions).fromOldestLarva(removed));
        warn("swarm.castLeftOne", noNewCells, virgin);
        LocalDate lastSafe = virgin.earliest().isBefore(noNewCells) ? noNewCells : virgin.earliest();
        step(SwarmStep.Kind.CHECK_FOR_NEW_CELLS, DatedSpan.ofClosed(noNewCells, lastSafe), EXACTLY_ONE_LEFT,
                "swarm.checkNewCells");
        checkNuc();
        toSealedBrood(virgin, lastSafe);
    }

    private void beforeCells() {
        takeQueen("swarm.takeBeforeCells");
        step(SwarmStep.Kind.DRAWN_COMB_IN_GAP, DatedSpan.on(today), NONE, "swarm.drawnComb");
        carry("material.drawnComb");
        warn("swarm.giveOrRaise");
        afterRemoval();
    }

    /** From the day the queen was taken: come back, reduce to one, leave shut, look. */
    private void afterRemoval() {
        ReturnVisit visit = ReturnVisit.of(lastEgg, removed, fromCellsLeft(), assumptions);
        returnVisit = visit.days().map(days -> days.notBefore(removed));
        if (!visit.noNewCellsFrom().isAfter(removed) && asked.cellsLeft().isEmpty()) {
            warn("swarm.noLarvae", lastEgg);
        }
        if (returnVisit.isPresent()) {
            steps.add(new SwarmStep(SwarmStep.Kind.RETURN_AND_REDUCE, returnVisit.get(), EXACTLY_ONE_LEFT,
                    List.of(because("swarm.noNewCells", visit.noNewCellsFrom()),
                            because("swarm.firstVirgin", visit.firstVirgin()),
                            because("swarm.reduce"), because("swarm.reduceLate", visit.firstVirgin().earliest()))));
            warn("swarm.castReturn", visit.firstVirgin());
        } else {
            steps.add(new SwarmStep(SwarmStep.Kind.RETURN_AND_REDUCE,
                    DatedSpan.on(visit.firstVirgin().earliest().minusDays(1)).notBefore(today), EXACTLY_ONE_LEFT,
                    List.of(because("swarm.reduceBefore", visit.firstVirgin()))));
            steps.add(new SwarmStep(SwarmStep.Kind.CHECK_FOR_NEW_CELLS, DatedSpan.on(visit.noNewCellsFrom()),
                    EXACTLY_ONE_LEFT, List.of(because("swarm.noNewCells", visit.noNewCellsFrom()))));
            warn("swarm.castTwoVisits", visit.firstVirgin(), visit.noNewCellsFrom());
        }
        checkNuc();
        DatedSpan virgin = new DatedSpan(visit.firstVirgin().earliest(), visit.firstVirgin().likely(), later(
                visit.firstVirgin().latest(), new EmergencyQueen(assumptions).fromEgg(lastEgg).latest()));
        toSealedBrood(virgin, returnVisit.map(DatedSpan::latest).orElse(visit.noNewCellsFrom()));
    }

    private void checkNuc() {
        step(SwarmStep.Kind.CHECK_NUC, NUC_CHECK.windowFrom(removed), NONE, "swarm.checkNuc");
    }

    /** The dates of the young queen: shut until she lays, then eggs, then flat sealed brood. */
    private void toSealedBrood(DatedSpan emerges, LocalDate lastVisit) {
        Reason reason = because("swarm.youngQueen", emerges);
        NextQueen queen = NextQueen.of(NextQueen.Origin.CELL_SEEN, emerges, assumptions, reason);
        youngQueen = Optional.of(queen);
        LocalDate look = later(queen.firstEggs().likely(), lastVisit.plusDays(SHUT_DAYS.earliestDay()));
        LocalDate lookBy = later(queen.firstEggs().latest(), lastVisit.plusDays(SHUT_DAYS.latestDay()));
        step(SwarmStep.Kind.LEAVE_SHUT, DatedSpan.ofClosed(lastVisit.plusDays(1), look.minusDays(1)), NONE,
                "swarm.leaveShut");
        step(SwarmStep.Kind.LOOK_FOR_EGGS, new DatedSpan(look, look, lookBy), NONE, "swarm.lookForEggs");
        step(SwarmStep.Kind.JUDGE_BROOD, queen.flatSealed().notBefore(look), NONE, "swarm.judge");
        warn("swarm.workersLay", BroodProof.WORKERS_LAY_AFTER.from(lastEgg));
    }

    // --- cells -------------------------------------------------------------------------------------------------------

    private Optional<DatedSpan> fromCellsLeft() {
        LocalDate seen = asked.cellsLeftSeenOn().orElse(removed);
        return firstOf(new Reading(seen, Set.of(), Set.of(), asked.cellsLeft()));
    }

    private Optional<DatedSpan> fromCells() {
        return firstOf(new Reading(today, Set.of(), Set.of(), newestCells()));
    }

    private Optional<DatedSpan> firstOf(Reading reading) {
        return BroodProver.prove(List.of(reading), List.of(), reading.day(), assumptions).cells().stream()
                .filter(cell -> cell.cells().look().isAlive()).map(CellAge::emerges)
                .min(Comparator.comparing(DatedSpan::earliest));
    }

    private void step(SwarmStep.Kind kind, DatedSpan when, SwarmStep.Gate gate, String why) {
        steps.add(new SwarmStep(kind, when, gate, List.of(because(why))));
    }

    private void warn(String key, Object... arguments) {
        warnings.add(because(key, arguments));
    }

    private void carry(String key) {
        materials.add(Sentence.of(key));
    }

    private static Reason because(String key, Object... arguments) {
        return Reason.of(Source.COMMON_PRACTICE, key, arguments);
    }

    private static LocalDate later(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }
}
