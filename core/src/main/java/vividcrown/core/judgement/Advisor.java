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
import vividcrown.core.brood.NextQueen;
import vividcrown.core.judgement.act.Act;
import vividcrown.core.judgement.act.Acts;
import vividcrown.core.judgement.act.Circumstances;
import vividcrown.core.judgement.act.Gate;
import vividcrown.core.mating.MatingChance;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.odds.LossStep;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.reading.Suspicion;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.Until;

/**
 * Ranks what can be done by its expected worth <em>over all that may be in the hive</em>, not in the likeliest case alone.
 *
 * <p>Worth of an act = Σ chance(case) × worth in that case − cost ({@link Act}). A look is worth what the best act after each of
 * its findings is worth (value of information), less the days and the opening. An act that kills or gives away never stands
 * first while something good is in there with more than a small chance; nor does leaving be while a swarm or a queenless
 * colony is likely.
 */
public final class Advisor {

    private static final double DAY_LOST = 0.004;
    private static final double OPENED_IN_VAIN = 0.012;
    private static final int LOOK_WITHIN_DAYS = 9;
    private static final int SPRING_LOOK_DAYS = 21;
    private static final double KEPT_BESIDE_A_VIRGIN = 0.2;
    private static final double OWN_SCHOOL_AT_MOST_WORSE = 0.3;
    private static final double WORTH_SHOWING = 0.1;
    private static final double WORTH_SAYING = 0.005;
    private static final int SEARCH_HOLDS_DAYS = 3;
    private static final int LONG_QUEENLESS_DAYS = 27;
    /** Practice is to act two or three weeks earlier than one would like. */
    private static final int ACT_EARLIER_DAYS = 14;

    private final Assumptions assumptions;
    private final MatingChance mating;
    private final Season season;
    private final Set<Action> preferred;

    /** @param preferred the actions of the operation's own school */
    public Advisor(Assumptions assumptions, MatingClimate climate, Set<Action> preferred) {
        this(assumptions, climate, LossStep.MATING.prior().mean(), preferred);
    }

    /**
     * @param mates share of virgins that come to lay where the weather lets them, by the operation's own record
     * @param preferred the actions of the operation's own school
     */
    public Advisor(Assumptions assumptions, MatingClimate climate, double mates, Set<Action> preferred) {
        this.assumptions = assumptions;
        this.mating = new MatingChance(climate);
        this.season = new Season(false, climate, mates);
        this.preferred = preferred.isEmpty() ? EnumSet.noneOf(Action.class) : EnumSet.copyOf(preferred);
    }

    /** An act with its worth, and whether it may stand first. */
    private record Ranked(Option option, boolean mayLead) {
    }

    public Advice advise(Verdict verdict, List<Reading> readings) {
        List<Reason> stop = Suspicion.of(readings).standing().keySet().stream()
                .map(sign -> Reason.of(Source.COMMON_PRACTICE, "advice.stop", sign.sentence())).toList();
        Circumstances at = circumstances(verdict, readings);
        Optional<Worthwhile> look = bestLook(verdict, readings, at);
        AtStake atStake = AtStake.of(verdict, newestOfCells(readings), season, mating, assumptions);
        List<Ranked> ranked = new ArrayList<>();
        for (Act act : Acts.all()) {
            if (isShown(act, verdict) && (stop.isEmpty() || !act.movesFrames())) {
                ranked.add(new Ranked(option(act, verdict, readings, at, look), atStake.mayLead(act.action())));
            }
        }
        return new Advice(inOrder(ranked), stop, decide(verdict));
    }

    /** What may not stand first comes after the first that may; the own school first, unless it is much the worse. */
    private static List<Option> inOrder(List<Ranked> ranked) {
        double best = ranked.stream().filter(Ranked::mayLead).mapToDouble(one -> one.option().value()).max().orElse(0);
        Comparator<Ranked> byWorth = Comparator.comparingDouble((Ranked one) -> one.option().value()).reversed();
        Comparator<Ranked> ownFirst = Comparator.comparing((Ranked one) -> one.option().ownSchool()).reversed();
        Optional<Ranked> first = ranked.stream().filter(Ranked::mayLead)
                .filter(one -> one.option().ownSchool() && one.option().value() > best - OWN_SCHOOL_AT_MOST_WORSE)
                .min(byWorth).or(() -> ranked.stream().filter(Ranked::mayLead).min(byWorth));
        List<Option> options = new ArrayList<>();
        first.ifPresent(one -> options.add(one.option()));
        ranked.stream().filter(one -> first.isEmpty() || one != first.get()).sorted(ownFirst.thenComparing(byWorth))
                .forEach(one -> options.add(one.option()));
        return options;
    }

    // --- which -------------------------------------------------------------------------------------------------------

    /** Every school's actions for each state that is likely enough to think of. */
    private boolean isShown(Act act, Verdict verdict) {
        boolean always = act.action() == Action.LOOK_AGAIN || act.action() == Action.TEST_FRAME
                || act.action() == Action.LEAVE_ALONE && season.isWinter(verdict.asOf());
        if (always) {
            return true;
        }
        return verdict.odds().entrySet().stream().filter(one -> one.getValue() > WORTH_SHOWING)
                .anyMatch(one -> actions(one.getKey(), verdict).contains(act.action()));
    }

    private static List<Action> actions(Status status, Verdict verdict) {
        return switch (status) {
            case LAYING_QUEEN -> List.of(Action.LEAVE_ALONE);
            case TWO_QUEENS -> List.of(Action.MARK_BOTH, Action.LEAVE_ALONE);
            case VIRGIN -> List.of(Action.WAIT_FOR_YOUNG_QUEEN, Action.GIVE_CELL, Action.UNITE);
            case CELLS -> verdict.contents().chance(Case.KEPT_BESIDE_CELLS) > verdict.chance(Status.CELLS) / 2
                    ? List.of(Action.CUT_CELLS, Action.ARTIFICIAL_SWARM)
                    : cells(verdict);
            case JUST_SWARMED -> List.of(Action.REDUCE_TO_ONE_CELL, Action.WAIT_FOR_YOUNG_QUEEN, Action.GIVE_QUEEN);
            case DRONE_LAYER -> List.of(Action.REQUEEN, Action.UNITE, Action.BREAK_UP);
            case LAYING_WORKERS -> List.of(Action.SHAKE_OUT_FOR_A_NUC, Action.SHAKE_OUT, Action.BROOD_WEEKLY,
                    Action.BROOD_THEN_QUEEN, Action.UNITE, Action.GIVE_QUEEN, Action.GIVE_CELL);
            case HOPELESSLY_QUEENLESS ->
                List.of(Action.GIVE_CELL, Action.GIVE_FRAME_WITH_CELLS, Action.BROOD_THEN_QUEEN,
                        Action.GIVE_QUEEN, Action.UNITE, Action.BREAK_UP);
            case RECENTLY_QUEENLESS -> List.of(Action.GIVE_QUEEN, Action.GIVE_CELL, Action.WAIT_FOR_YOUNG_QUEEN,
                    Action.GIVE_FRAME_WITH_CELLS, Action.UNITE);
        };
    }

    private static List<Action> cells(Verdict verdict) {
        return switch (kind(verdict)) {
            case SWARM -> List.of(Action.ARTIFICIAL_SWARM, Action.REMOVE_CELLS, Action.REDUCE_TO_ONE_CELL);
            case SUPERSEDURE -> List.of(Action.WAIT_FOR_YOUNG_QUEEN, Action.ARTIFICIAL_SWARM);
            case EMERGENCY -> List.of(Action.REDUCE_TO_ONE_CELL, Action.WAIT_FOR_YOUNG_QUEEN, Action.GIVE_QUEEN);
        };
    }

    private static Verdict.CellKind kind(Verdict verdict) {
        return verdict.cellKind().entrySet().stream().max(Map.Entry.comparingByValue()).map(Map.Entry::getKey)
                .orElse(Verdict.CellKind.SWARM);
    }

    private static Optional<Reading> newestOfCells(List<Reading> readings) {
        return readings.stream().filter(reading -> reading.saw(Sign.QUEEN_CELLS) || reading.missed(Sign.QUEEN_CELLS))
                .max(Comparator.comparing(Reading::day));
    }

    // --- worth -------------------------------------------------------------------------------------------------------

    private Circumstances circumstances(Verdict verdict, List<Reading> readings) {
        boolean longCells = newestOfCells(readings).stream().flatMap(reading -> reading.cells().stream())
                .anyMatch(cells -> cells.look().isAlive() && cells.look().compareTo(CellLook.LONG) >= 0);
        return new Circumstances(verdict.asOf(), assumptions, mating, season.mates(), longQueenless(verdict, readings),
                longCells,
                verdict.proof().queenlessSince().isPresent()
                        || verdict.contents().chance(Case.KEPT_BESIDE_CELLS) > AtStake.QUEEN_MUST_BE_THERE
                                ? verdict.proof().noNewCellsFrom().map(Until::latest)
                                        .filter(day -> day.isAfter(verdict.asOf()))
                                : Optional.empty(),
                verdict.contents().emerges().or(() -> verdict.proof().next().map(NextQueen::emerges)));
    }

    private static double worth(Act act, Map<Case, Double> cases, Circumstances at) {
        double worth = -act.cost();
        for (Map.Entry<Case, Double> one : cases.entrySet()) {
            worth += one.getValue() == 0 ? 0 : one.getValue() * act.worth(one.getKey(), at);
        }
        return worth;
    }

    /** Whatever is found, the best is done then. */
    private double worthOf(BestLook look, Circumstances at, boolean stopped) {
        double worth = 0;
        for (BestLook.Outcome outcome : look.outcomes()) {
            double best = 0;
            for (Act act : Acts.all()) {
                if (!stopped || !act.movesFrames()) {
                    best = Math.max(best, worth(act, outcome.then(), at));
                }
            }
            worth += outcome.chance() * best;
        }
        long days = at.today().until(look.when().likely(), java.time.temporal.ChronoUnit.DAYS);
        return worth - DAY_LOST * days - OPENED_IN_VAIN;
    }

    /** @param worth what the colony is worth after it, whatever is found */
    private record Worthwhile(BestLook look, double worth) {
    }

    /** The look within days that is worth most; empty where none would tell anything. */
    private Optional<Worthwhile> bestLook(Verdict verdict, List<Reading> readings, Circumstances at) {
        boolean stopped = Suspicion.of(readings).stops();
        // beside a virgin a queen in a cage does not live a week
        boolean atOnce = verdict.contents().chance(Case.KEPT) > KEPT_BESIDE_A_VIRGIN && newestOfCells(readings)
                .flatMap(reading -> reading.cells().stream().filter(cells -> cells.look().provesVirgin()).findFirst())
                .isPresent();
        return verdict.looks().stream().filter(look -> look.kind() != BestLook.Kind.TEST_FRAME)
                .filter(look -> !look.when().earliest().isAfter(at.today().plusDays(atOnce ? 0 : LOOK_WITHIN_DAYS)))
                .map(look -> new Worthwhile(look, worthOf(look, at, stopped)))
                .max(Comparator.comparingDouble(Worthwhile::worth));
    }

    /** Another look is for what would tell most, on its day. */
    private List<Option.FollowUp> followUps(Act act, Circumstances at, Optional<Worthwhile> again) {
        return again.filter(_ -> act.action() == Action.LOOK_AGAIN).map(Worthwhile::look)
                .map(look -> List.of(new Option.FollowUp(look.when(), false,
                        Sentence.of("lookFor." + look.kind().name()), Sentence.of("ifNot.look"))))
                .or(() -> inSpring(act, at)).orElseGet(() -> act.followUps(at));
    }

    /** Late in the year no eggs say nothing: what is left alone then is looked at when queens lay again. */
    private Optional<List<Option.FollowUp>> inSpring(Act act, Circumstances at) {
        boolean changesNothing = act.action() == Action.LEAVE_ALONE || act.action() == Action.LOOK_AGAIN
                || act.action() == Action.MARK_BOTH;
        return season.year().mayRestUntil(at.today().plusDays(LOOK_WITHIN_DAYS)).filter(_ -> changesNothing)
                .map(spring -> List
                        .of(new Option.FollowUp(DatedSpan.ofClosed(spring, spring.plusDays(SPRING_LOOK_DAYS)),
                                false, Sentence.of("lookFor.eggs"), Sentence.of("ifNot.eggs"))));
    }

    private double value(Act act, Verdict verdict, List<Reading> readings, Circumstances at,
            Optional<Worthwhile> again) {
        double plain = worth(act, verdict.contents().cases(), at);
        boolean stopped = Suspicion.of(readings).stops();
        return switch (act.action()) {
            case LOOK_AGAIN -> again.map(Worthwhile::worth).stream().reduce(plain - OPENED_IN_VAIN, Math::max);
            case TEST_FRAME -> verdict.looks().stream().filter(look -> look.kind() == BestLook.Kind.TEST_FRAME)
                    .mapToDouble(look -> worthOf(look, at, stopped) - act.cost()).reduce(plain, Math::max);
            default -> plain;
        };
    }

    private Option option(Act act, Verdict verdict, List<Reading> readings, Circumstances at,
            Optional<Worthwhile> again) {
        double value = value(act, verdict, readings, at, again);
        double odds = odds(act, verdict, at);
        List<Reason> reasons = new ArrayList<>();
        reasons.add(new Reason(act.action().needs(), Source.COMMON_PRACTICE));
        reasons.add(new Reason(act.action().beware(), Source.COMMON_PRACTICE));
        if (preferred.contains(act.action())) {
            reasons.add(Reason.of(Source.COMMON_PRACTICE, "advice.ownSchool"));
        }
        if (at.longQueenless() && (act.action() == Action.GIVE_QUEEN || act.action() == Action.REQUEEN)) {
            reasons.add(Reason.of(Source.COMMON_PRACTICE, "advice.longQueenless"));
        }
        if (odds - value > WORTH_SAYING) {
            reasons.add(Reason.of(Source.COMMON_PRACTICE, joins(act.action()) ? "advice.costsAColony" : "advice.costs",
                    percent(odds), percent(odds - value)));
        }
        if (act.daysToVirgin() >= 0) {
            LocalDate out = at.today().plusDays(act.daysToVirgin());
            reasons.add(Reason.of(
                    Source.derived(
                            "chance of two fit afternoons, emergence + 5 to + 21, from the climate of the place"),
                    "advice.mating", percent(mating.of(out)), Math.round(mating.expectedAfternoons(out))));
        }
        Optional<LocalDate> lastSensible = act.daysToVirgin() < 0
                ? Optional.empty()
                : lastThisSeason(at.today().plusDays(act.daysToVirgin()))
                        .map(last -> last.minusDays(act.daysToVirgin())).filter(last -> !last.isBefore(at.today()));
        return new Option(act.action(), odds, value, Math.max(0, odds - value), preferred.contains(act.action()),
                lastSensible, gates(act, readings, at.today()), risk(act, verdict),
                followUps(act, at, again), act.cautions(),
                reasons);
    }

    private static boolean joins(Action action) {
        return action == Action.UNITE || action == Action.SHAKE_OUT || action == Action.BREAK_UP;
    }

    /** Chance that the bees end up under a sound laying queen, here or in the hive they are joined to. */
    private static double odds(Act act, Verdict verdict, Circumstances at) {
        if (joins(act.action())) {
            return act.action() == Action.UNITE ? 0.95 : 0.9;
        }
        double odds = 0;
        for (Map.Entry<Case, Double> one : verdict.contents().cases().entrySet()) {
            odds += one.getValue() * Math.min(1, act.worth(one.getKey(), at));
        }
        return Math.clamp(odds, 0, 1);
    }

    private static List<Option.Opens> gates(Act act, List<Reading> readings, LocalDate today) {
        return act.gates().stream().sorted()
                .map(gate -> new Option.Opens(gate.sentence(), isOpen(gate, readings, today)))
                .toList();
    }

    private static boolean isOpen(Gate gate, List<Reading> readings, LocalDate today) {
        List<Reading> lately = readings.stream()
                .filter(reading -> !reading.day().isBefore(today.minusDays(SEARCH_HOLDS_DAYS))).toList();
        return switch (gate) {
            case NO_QUEEN_FOUND -> lately.stream().anyMatch(reading -> reading.missed(Sign.QUEEN));
            case NO_CELLS -> lately.stream().anyMatch(reading -> reading.missed(Sign.QUEEN_CELLS));
            case NO_DISEASE -> !Suspicion.of(readings).stops()
                    && lately.stream().anyMatch(reading -> reading.missed(Sign.CAPS_SUNKEN));
            case QUEEN_IN_HAND, WARM_DAY -> false;
        };
    }

    /** The likeliest good thing that would be lost. */
    private static Optional<Sentence> risk(Act act, Verdict verdict) {
        if (!act.destroys()) {
            return Optional.empty();
        }
        return verdict.contents().cases().entrySet().stream()
                .filter(one -> one.getKey().isQueenright() || one.getKey().hasYoungQueen())
                .filter(one -> one.getValue() > WORTH_SAYING).max(Map.Entry.comparingByValue())
                .map(one -> Sentence.of("risk." + act.action().name(), Sentence.of("inside." + one.getKey().name()),
                        percent(one.getValue())));
    }

    /** More than four weeks without open brood, or old bees only: few nurses are left to accept a queen. */
    private static boolean longQueenless(Verdict verdict, List<Reading> readings) {
        boolean oldBees = readings.stream().max(Comparator.comparing(Reading::day))
                .map(reading -> reading.saw(Sign.BEES_OLD)).orElse(false);
        return oldBees || verdict.proof().queenlessSince()
                .map(since -> since.latest().isBefore(verdict.asOf().minusDays(LONG_QUEENLESS_DAYS))).orElse(false);
    }

    // --- until when --------------------------------------------------------------------------------------------------

    /** The last day of this season on which a virgin can sensibly come out; empty when none can any more, or not yet. */
    private Optional<LocalDate> lastThisSeason(LocalDate from) {
        return mating.firstSensibleEmergence(from).flatMap(mating::lastSensibleEmergence);
    }

    /** By when to decide on a colony that rests on a virgin, or may have nobody. */
    public Optional<Advice.Decision> decide(Verdict verdict) {
        LocalDate today = verdict.asOf();
        double sure = verdict.contents().chance(Case::isQueenright);
        if (sure > 1 - WORTH_SHOWING || AtStake.isSupersedure(verdict) || season.isWinter(today)) {
            return Optional.empty();
        }
        Sentence ifSo = Sentence.of("decide.lays");
        Optional<LocalDate> last = lastThisSeason(today);
        if (last.isEmpty()) {
            return Optional.of(new Advice.Decision(today, true, ifSo, Sentence.of("decide.tooLate")));
        }
        LocalDate by = last.get().minusDays(ACT_EARLIER_DAYS);
        boolean passed = by.isBefore(today);
        return Optional.of(new Advice.Decision(passed ? today : by, passed, ifSo,
                Sentence.of(passed ? "decide.unite" : "decide.giveOrUnite")));
    }

    private static String percent(double share) {
        return Math.round(share * 100) + " %";
    }
}
