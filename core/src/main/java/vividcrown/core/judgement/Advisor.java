package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.brood.NextQueen;
import vividcrown.core.mating.MatingChance;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.odds.LossStep;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.reading.Suspicion;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.round.Caution;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/**
 * What can be done in each state: the actions of all schools with their odds, dates and follow-ups. Odds are the losses
 * of the trade multiplied along the way (cell to virgin, virgin to laying, caged queen accepted), the mating step by the
 * chance that the place still has two fit afternoons in her time.
 */
public final class Advisor {

    private static final int CELL_TO_EMERGENCE = 1;
    /** From open brood given to the virgin out of the cell they begin on it. */
    private static final int BROOD_TO_EMERGENCE = 12;
    private static final double BEGIN_CELLS = 0.85;
    private static final double UNITED = 0.95;
    private static final double SHAKEN_OUT = 0.9;
    /** Bees joined to another hive are saved, the colony is not. */
    private static final double GIVEN_UP = 0.6;
    /** Practice is to act two or three weeks earlier than one would like. */
    private static final int ACT_EARLIER_DAYS = 14;

    private final Assumptions assumptions;
    private final MatingChance mating;
    private final Set<Action> preferred;

    /** @param preferred the actions of the operation's own school */
    public Advisor(Assumptions assumptions, MatingClimate climate, Set<Action> preferred) {
        this.assumptions = assumptions;
        this.mating = new MatingChance(climate);
        this.preferred = preferred.isEmpty() ? EnumSet.noneOf(Action.class) : EnumSet.copyOf(preferred);
    }

    public Advice advise(Verdict verdict, List<Reading> readings) {
        LocalDate today = verdict.asOf();
        List<Reason> stop = Suspicion.of(readings).standing().keySet().stream()
                .map(sign -> Reason.of(Source.COMMON_PRACTICE, "advice.stop", sign.sentence())).toList();
        boolean longQueenless = longQueenless(verdict, readings);
        List<Option> options = new ArrayList<>();
        for (Action action : actions(verdict)) {
            boolean movesBrood = movesFrames(action) && !stop.isEmpty();
            if (!movesBrood) {
                options.add(option(action, verdict, today, longQueenless));
            }
        }
        options.sort(Comparator.comparing(Option::ownSchool).reversed()
                .thenComparing(Comparator.comparingDouble(Option::value).reversed()));
        return new Advice(options, stop, decideBy(verdict, today));
    }

    /** Every school's actions for a state. */
    private static List<Action> actions(Verdict verdict) {
        return switch (verdict.leading()) {
            case LAYING_QUEEN -> List.of(Action.LEAVE_ALONE, Action.LOOK_AGAIN);
            case TWO_QUEENS -> List.of(Action.MARK_BOTH, Action.LEAVE_ALONE);
            case VIRGIN -> List.of(Action.WAIT_FOR_YOUNG_QUEEN, Action.TEST_FRAME, Action.GIVE_CELL, Action.UNITE);
            case CELLS -> switch (kind(verdict)) {
                case SWARM -> List.of(Action.ARTIFICIAL_SWARM, Action.REDUCE_TO_ONE_CELL);
                case SUPERSEDURE -> List.of(Action.WAIT_FOR_YOUNG_QUEEN, Action.ARTIFICIAL_SWARM);
                case EMERGENCY -> List.of(Action.REDUCE_TO_ONE_CELL, Action.WAIT_FOR_YOUNG_QUEEN, Action.GIVE_QUEEN);
            };
            case JUST_SWARMED -> List.of(Action.REDUCE_TO_ONE_CELL, Action.WAIT_FOR_YOUNG_QUEEN, Action.GIVE_QUEEN);
            case DRONE_LAYER -> List.of(Action.REQUEEN, Action.UNITE, Action.GIVE_CELL, Action.BREAK_UP);
            case LAYING_WORKERS -> List.of(Action.SHAKE_OUT_FOR_A_NUC, Action.SHAKE_OUT, Action.BROOD_WEEKLY,
                    Action.BROOD_THEN_QUEEN, Action.UNITE, Action.GIVE_QUEEN, Action.GIVE_CELL);
            case HOPELESSLY_QUEENLESS -> List.of(Action.TEST_FRAME, Action.GIVE_CELL, Action.GIVE_FRAME_WITH_CELLS,
                    Action.BROOD_THEN_QUEEN, Action.GIVE_QUEEN, Action.UNITE, Action.BREAK_UP);
            case RECENTLY_QUEENLESS -> List.of(Action.GIVE_QUEEN, Action.GIVE_CELL, Action.WAIT_FOR_YOUNG_QUEEN,
                    Action.GIVE_FRAME_WITH_CELLS, Action.UNITE);
        };
    }

    private static Verdict.CellKind kind(Verdict verdict) {
        return verdict.cellKind().entrySet().stream().max(Map.Entry.comparingByValue()).map(Map.Entry::getKey)
                .orElse(Verdict.CellKind.SWARM);
    }

    /** Odds less what it costs, in parts of a colony. Common practice put into numbers. */
    private static double value(Action action, double odds) {
        return switch (action) {
            case UNITE, SHAKE_OUT, BREAK_UP -> GIVEN_UP * odds;
            case GIVE_QUEEN, REQUEEN -> odds - 0.1;
            case BROOD_THEN_QUEEN, SHAKE_OUT_FOR_A_NUC -> odds - 0.15;
            case BROOD_WEEKLY -> odds - 0.08;
            case GIVE_CELL, GIVE_FRAME_WITH_CELLS, TEST_FRAME -> odds - 0.03;
            case LEAVE_ALONE, LOOK_AGAIN, WAIT_FOR_YOUNG_QUEEN, REDUCE_TO_ONE_CELL, ARTIFICIAL_SWARM, MARK_BOTH -> odds;
        };
    }

    private Option option(Action action, Verdict verdict, LocalDate today, boolean longQueenless) {
        double odds = odds(action, verdict, today, longQueenless);
        List<Reason> reasons = new ArrayList<>();
        reasons.add(new Reason(action.needs(), Source.COMMON_PRACTICE));
        reasons.add(new Reason(action.beware(), Source.COMMON_PRACTICE));
        if (preferred.contains(action)) {
            reasons.add(Reason.of(Source.COMMON_PRACTICE, "advice.ownSchool"));
        }
        if (longQueenless && (action == Action.GIVE_QUEEN || action == Action.REQUEEN)) {
            reasons.add(Reason.of(Source.COMMON_PRACTICE, "advice.longQueenless"));
        }
        Optional<Integer> emergesIn = daysToEmergence(action);
        emergesIn.ifPresent(days -> reasons.add(Reason.of(
                Source.derived("chance of two fit afternoons, emergence + 5 to"
                        + " + 21, from the climate of the place"),
                "advice.mating",
                percent(mating.of(today.plusDays(days))),
                Math.round(mating.expectedAfternoons(today.plusDays(days))))));
        return new Option(action, odds, value(action, odds), preferred.contains(action),
                emergesIn.flatMap(days -> mating.lastSensibleEmergence(today).map(last -> last.minusDays(days)))
                        .filter(last -> !last.isBefore(today)),
                followUps(action, verdict, today), cautions(action), reasons);
    }

    private double odds(Action action, Verdict verdict, LocalDate today, boolean longQueenless) {
        double matesFromCell = LossStep.EMERGENCE.prior().mean() * mates(today.plusDays(CELL_TO_EMERGENCE));
        double raises = BEGIN_CELLS * matesFromCell(today.plusDays(BROOD_TO_EMERGENCE));
        boolean workers = verdict.leading() == Status.LAYING_WORKERS;
        double accepted = workers ? 0.25 : longQueenless ? 0.5 : LossStep.ACCEPTANCE.prior().mean();
        return switch (action) {
            case LEAVE_ALONE, MARK_BOTH, LOOK_AGAIN ->
                verdict.chance(Status.LAYING_QUEEN) + verdict.chance(Status.TWO_QUEENS);
            case TEST_FRAME -> {
                double virgin = verdict.chance(Status.VIRGIN);
                yield virgin * mates(today) + (1 - virgin) * raises;
            }
            case WAIT_FOR_YOUNG_QUEEN -> verdict.proof().next()
                    .map(next -> mates(next.emerges().likely()))
                    .orElse(mates(today))
                    * (verdict.leading() == Status.VIRGIN
                            ? verdict.chance(Status.VIRGIN)
                            : LossStep.EMERGENCE.prior().mean());
            case REDUCE_TO_ONE_CELL, ARTIFICIAL_SWARM -> LossStep.EMERGENCE.prior().mean()
                    * mates(today.plusDays(BROOD_TO_EMERGENCE));
            // a virgin that is there already tears the cell down
            case GIVE_CELL -> workers
                    ? 0.35 * matesFromCell
                    : verdict.chance(Status.VIRGIN) * mates(today)
                            + (1 - verdict.chance(Status.VIRGIN)) * matesFromCell;
            case GIVE_FRAME_WITH_CELLS -> matesFromCell;
            case GIVE_QUEEN, REQUEEN -> accepted;
            case BROOD_THEN_QUEEN -> workers ? 0.6 : LossStep.ACCEPTANCE.prior().mean() * 0.95;
            case BROOD_WEEKLY -> 0.55;
            case UNITE -> UNITED;
            case SHAKE_OUT, BREAK_UP -> SHAKEN_OUT;
            case SHAKE_OUT_FOR_A_NUC -> 0.92;
        };
    }

    private double mates(LocalDate emerged) {
        return LossStep.MATING.prior().mean() * mating.of(emerged);
    }

    private double matesFromCell(LocalDate emerged) {
        return LossStep.EMERGENCE.prior().mean() * mates(emerged);
    }

    /** Days from today until the virgin is out, for actions that rest on one. */
    private static Optional<Integer> daysToEmergence(Action action) {
        return switch (action) {
            case GIVE_CELL, GIVE_FRAME_WITH_CELLS -> Optional.of(CELL_TO_EMERGENCE);
            case TEST_FRAME, REDUCE_TO_ONE_CELL, ARTIFICIAL_SWARM, WAIT_FOR_YOUNG_QUEEN ->
                Optional.of(BROOD_TO_EMERGENCE);
            case LEAVE_ALONE, LOOK_AGAIN, GIVE_QUEEN, BROOD_THEN_QUEEN, REQUEEN, UNITE, SHAKE_OUT, SHAKE_OUT_FOR_A_NUC,
                    BROOD_WEEKLY, BREAK_UP, MARK_BOTH ->
                Optional.empty();
        };
    }

    private List<Option.FollowUp> followUps(Action action, Verdict verdict, LocalDate today) {
        return switch (action) {
            case LEAVE_ALONE, MARK_BOTH -> List.of(look(DaySpan.ofDays(7, 9, 14).from(today), "eggs"));
            case LOOK_AGAIN -> List.of(look(DaySpan.ofDays(7, 7, 14).from(today), "eggs"));
            case TEST_FRAME -> List.of(look(DaySpan.ofDays(3, 4, 7).from(today), "testFrame"),
                    look(DaySpan.ofDays(28, 30, 35).from(today), "eggs"));
            case GIVE_CELL, GIVE_FRAME_WITH_CELLS -> List.of(
                    look(assumptions.span(Figure.EMERGENCE_CHECK).from(today), "roundLid"),
                    shut(DatedSpan.ofClosed(today.plusDays(5), today.plusDays(13))),
                    look(assumptions.span(Figure.FIRST_LOOK).from(today), "eggs"));
            case WAIT_FOR_YOUNG_QUEEN, REDUCE_TO_ONE_CELL, ARTIFICIAL_SWARM -> {
                DatedSpan emerges = verdict.proof().next().map(NextQueen::emerges)
                        .orElse(DaySpan.ofDays(0, 6, BROOD_TO_EMERGENCE).from(today)).notBefore(today);
                DatedSpan eggs = emerges.plus(assumptions.span(Figure.FIRST_EGGS));
                yield List.of(shut(DatedSpan.ofClosed(emerges.earliest(), eggs.earliest())),
                        look(DatedSpan.ofClosed(eggs.likely(), eggs.latest()), "eggs"));
            }
            case GIVE_QUEEN, REQUEEN, BROOD_THEN_QUEEN -> List.of(
                    look(DaySpan.ofDays(3, 4, 5).from(today), "released"),
                    look(DaySpan.ofDays(7, 9, 10).from(today), "eggs"));
            case UNITE -> List.of(look(DaySpan.ofDays(1, 1, 3).from(today), "paper"),
                    look(DaySpan.ofDays(7, 9, 10).from(today), "eggs"));
            case SHAKE_OUT, BREAK_UP -> List.of(look(DaySpan.ofDays(1, 1, 1).from(today), "outside"));
            case SHAKE_OUT_FOR_A_NUC -> List.of(look(DaySpan.ofDays(7, 7, 9).from(today), "eggs"));
            case BROOD_WEEKLY -> List.of(look(DaySpan.ofDays(7).from(today), "testFrame"),
                    look(DaySpan.ofDays(14).from(today), "testFrame"),
                    look(DaySpan.ofDays(21).from(today), "testFrame"));
        };
    }

    private static Option.FollowUp look(DatedSpan days, String what) {
        return new Option.FollowUp(days, false, Sentence.of("lookFor." + what), Sentence.of("ifNot." + what));
    }

    private static Option.FollowUp shut(DatedSpan days) {
        return new Option.FollowUp(days, true, Sentence.of("lookFor.nothing"), Sentence.of("ifNot.nothing"));
    }

    private static List<Caution> cautions(Action action) {
        List<Caution> cautions = new ArrayList<>(List.of(Caution.STINGS));
        if (movesFrames(action)) {
            cautions.add(Caution.DISEASE);
        }
        if (action == Action.UNITE || action == Action.SHAKE_OUT || action == Action.BREAK_UP
                || action == Action.SHAKE_OUT_FOR_A_NUC) {
            cautions.add(Caution.LIFTING);
        }
        return cautions;
    }

    /** Nothing moves from or to a colony with disease suspicion. */
    private static boolean movesFrames(Action action) {
        return switch (action) {
            case TEST_FRAME, GIVE_FRAME_WITH_CELLS, BROOD_THEN_QUEEN, BROOD_WEEKLY, UNITE, SHAKE_OUT,
                    SHAKE_OUT_FOR_A_NUC, BREAK_UP, ARTIFICIAL_SWARM ->
                true;
            case LEAVE_ALONE, LOOK_AGAIN, WAIT_FOR_YOUNG_QUEEN, REDUCE_TO_ONE_CELL, GIVE_CELL, GIVE_QUEEN, REQUEEN,
                    MARK_BOTH ->
                false;
        };
    }

    /** More than four weeks without open brood, or old bees only: few nurses are left to accept a queen. */
    private static boolean longQueenless(Verdict verdict, List<Reading> readings) {
        boolean oldBees = readings.stream().max(Comparator.comparing(Reading::day))
                .map(reading -> reading.saw(Sign.BEES_OLD)).orElse(false);
        return oldBees || verdict.proof().queenlessSince()
                .map(since -> since.latest().isBefore(verdict.asOf().minusDays(27))).orElse(false);
    }

    /** For a colony that rests on a virgin: two weeks before the last day on which one can sensibly come out. */
    private Optional<LocalDate> decideBy(Verdict verdict, LocalDate today) {
        return switch (verdict.leading()) {
            case LAYING_QUEEN, TWO_QUEENS -> Optional.empty();
            case VIRGIN, CELLS, JUST_SWARMED, DRONE_LAYER, LAYING_WORKERS, HOPELESSLY_QUEENLESS,
                    RECENTLY_QUEENLESS ->
                mating.lastSensibleEmergence(today).map(last -> last.minusDays(ACT_EARLIER_DAYS))
                        .map(by -> by.isBefore(today) ? today : by);
        };
    }

    private static String percent(double share) {
        return Math.round(share * 100) + " %";
    }
}
