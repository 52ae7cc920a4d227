package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.brood.BroodProver;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;

/**
 * Judges the state of a colony by Bayes' rule over time.
 *
 * <p>Problem: readings on several days, some events, nine states that turn into each other. Method: a hidden Markov
 * chain whose hidden part is the state <em>with its days</em> ({@link Phase}), so that "no eggs" means something else
 * three days and three weeks after a queen was lost. From reading to reading the belief runs forward day by day
 * ({@link Course}), events move it ({@link Happenings}), and every reading weighs it.
 *
 * <p>Dependence between signs: brood stages are independent given the days of the phase, which say what ages of brood
 * there are. All that concerns queen cells is weighed together. Behaviour and similar signs that say the same thing
 * stand in one group of the table ({@link Likelihoods}), and of each group only the sign that tells most counts.
 *
 * <p>Cost: about 350 phases a day; a month is well under a millisecond.
 */
public final class Judge {

    /** What lies before the first fact no longer matters; what was long ago is not followed day by day. */
    private static final int DAYS_FOLLOWED = 150;

    private final Assumptions assumptions;
    private final Season season;

    public Judge(Assumptions assumptions, Season season) {
        this.assumptions = assumptions;
        this.season = season;
    }

    /**
     * @param readings in any order; those after {@code asOf} are left out of account
     * @param events in any order; likewise
     */
    public Verdict judge(List<Reading> readings, List<ColonyEvent> events, LocalDate asOf) {
        return judge(readings, events, asOf, true);
    }

    /** The same without what would settle it, which takes most of the time: for lists of many colonies. */
    public Verdict atAGlance(List<Reading> readings, List<ColonyEvent> events, LocalDate asOf) {
        return judge(readings, events, asOf, false);
    }

    private Verdict judge(List<Reading> readings, List<ColonyEvent> events, LocalDate asOf, boolean lookAhead) {
        List<Reading> looks = readings.stream()
                .filter(reading -> !reading.day().isAfter(asOf)
                        && reading.day().isAfter(asOf.minusDays(DAYS_FOLLOWED)))
                .sorted(Comparator.comparing(Reading::day)).toList();
        List<ColonyEvent> happened = events.stream()
                .filter(event -> !event.day().isAfter(asOf) && event.day().isAfter(asOf.minusDays(DAYS_FOLLOWED)))
                .sorted(Comparator.comparing(ColonyEvent::day)).toList();
        Walk walk = walk(looks, happened, asOf);
        Map<Status, Double> odds = walk.belief.odds();
        Status leading = odds.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
        return new Verdict(asOf, odds, leading, weighed(walk, leading),
                lookAhead ? new LookAhead(season).best(walk.belief, asOf, toldOn(looks, asOf)) : List.of(),
                BroodProver.prove(readings, events, asOf, assumptions), kinds(walk.belief));
    }

    /** The belief on {@code asOf}, and the belief just before each reading. */
    private record Walk(Belief belief, Map<Reading, Belief> before, List<ColonyEvent> events) {
    }

    private Walk walk(List<Reading> readings, List<ColonyEvent> events, LocalDate asOf) {
        LocalDate day = firstDay(readings, events).orElse(asOf);
        Belief belief = Belief.before(day, season);
        Map<Reading, Belief> before = new LinkedHashMap<>();
        while (true) {
            // on one day what was seen comes before what was done about it
            for (Reading reading : readings) {
                if (reading.day().equals(day)) {
                    before.put(reading, belief);
                    belief = belief.given(likelihood(reading, events));
                    belief = reading.saw(Sign.CELLS_ON_TEST_FRAME) ? Happenings.cellsBegun(belief) : belief;
                }
            }
            for (ColonyEvent event : events) {
                if (event.day().equals(day)) {
                    belief = Happenings.apply(belief, event.kind());
                }
            }
            if (!day.isBefore(asOf)) {
                return new Walk(belief, before, events);
            }
            belief = belief.dayLater(day, season);
            day = day.plusDays(1);
        }
    }

    /** What was looked at on that day already: the same look once more would tell nothing new. */
    private static Set<BestLook.Kind> toldOn(List<Reading> readings, LocalDate day) {
        Set<BestLook.Kind> told = EnumSet.noneOf(BestLook.Kind.class);
        for (Reading reading : readings) {
            if (reading.day().equals(day)) {
                Map.of(BestLook.Kind.EGGS, Sign.EGGS, BestLook.Kind.SEALED_BROOD, Sign.SEALED_WORKER,
                        BestLook.Kind.CELLS, Sign.QUEEN_CELLS, BestLook.Kind.QUEEN, Sign.QUEEN)
                        .forEach((kind, sign) -> {
                            if (reading.saw(sign) || reading.missed(sign)) {
                                told.add(kind);
                            }
                        });
            }
        }
        return told;
    }

    private static Optional<LocalDate> firstDay(List<Reading> readings, List<ColonyEvent> events) {
        List<LocalDate> days = new ArrayList<>();
        readings.forEach(reading -> days.add(reading.day()));
        events.forEach(event -> days.add(event.day()));
        return days.stream().min(LocalDate::compareTo);
    }

    /** How likely each phase makes all that this reading says. */
    private ToDoubleFunction<Phase> likelihood(Reading reading, List<ColonyEvent> events) {
        List<BroodEvidence.Look> brood = BroodEvidence.told(reading, events);
        List<SignOdds> signs = strongest(reading);
        double layShare = season.layShare(reading.day());
        return phase -> {
            double chance = BroodEvidence.chance(phase, reading, brood, layShare)
                    * CellEvidence.chance(phase, reading);
            for (SignOdds line : signs) {
                chance *= line.chance(phase.status(), reading.saw(line.sign()));
            }
            return chance;
        };
    }

    /** Of the signs told in each group the one that tells the states apart most. */
    private static List<SignOdds> strongest(Reading reading) {
        Map<SignOdds.Group, SignOdds> best = new EnumMap<>(SignOdds.Group.class);
        for (SignOdds line : Likelihoods.table()) {
            if (isTold(line, reading)) {
                best.merge(line.group(), line, (one, other) -> spread(one, reading) >= spread(other, reading)
                        ? one
                        : other);
            }
        }
        if (reading.saw(Sign.EGGS_SINGLE) && reading.saw(Sign.EGGS_SEVERAL)) {
            best.put(SignOdds.Group.EGG_PATTERN, Likelihoods.EGGS_MIXED);
        }
        return List.copyOf(best.values());
    }

    /** An absence that follows from a more general absence says nothing of its own. */
    private static boolean isTold(SignOdds line, Reading reading) {
        if (reading.saw(line.sign())) {
            // who saw a virgin has seen a queen, and that says nothing further
            return Likelihoods.table().stream().noneMatch(other -> reading.saw(other.sign())
                    && other.sign().general().contains(line.sign()) && other.group() == line.group());
        }
        boolean implied = line.sign().general().stream().anyMatch(reading::missed);
        boolean ofEggs = line.group() == SignOdds.Group.EGG_PATTERN || line.group() == SignOdds.Group.EGG_WALLS;
        boolean needsBrood = ofEggs && !reading.saw(Sign.EGGS);
        return reading.missed(line.sign()) && !implied && !needsBrood;
    }

    /** How much further apart than any other the sign puts two states, in logarithms. */
    private static double spread(SignOdds line, Reading reading) {
        double least = Double.MAX_VALUE;
        double most = 0;
        for (Status status : Status.values()) {
            double chance = line.chance(status, reading.saw(line.sign()));
            least = Math.min(least, chance);
            most = Math.max(most, chance);
        }
        return Math.log(most / least);
    }

    // --- for and against ---------------------------------------------------------------------------------------------

    private List<Verdict.Weighed> weighed(Walk walk, Status leading) {
        List<Verdict.Weighed> weighed = new ArrayList<>();
        walk.before.forEach((reading, before) -> {
            for (BroodEvidence.Look look : BroodEvidence.told(reading, walk.events)) {
                double layShare = season.layShare(reading.day());
                weighed.add(weigh(before, reading, look.sign(), leading,
                        phase -> BroodEvidence.chance(phase, reading, List.of(look), layShare),
                        broodReason(look.sign())));
            }
            if (CellEvidence.isTold(reading)) {
                weighed.add(weigh(before, reading, Sign.QUEEN_CELLS, leading,
                        phase -> CellEvidence.chance(phase, reading),
                        Reason.of(Source.COMMON_PRACTICE, "like.QUEEN_CELLS")));
            }
            for (SignOdds line : strongest(reading)) {
                weighed.add(weigh(before, reading, line.sign(), leading,
                        phase -> line.chance(phase.status(), reading.saw(line.sign())),
                        Reason.of(Source.COMMON_PRACTICE, "like." + line.sign().name())));
            }
        });
        weighed.sort(Comparator.comparingDouble((Verdict.Weighed one) -> Math.abs(Math.log(one.factor())))
                .reversed());
        return weighed;
    }

    private Reason broodReason(Sign sign) {
        return Reason.of(assumptions.worker().source(), "like.broodStage", sign.sentence());
    }

    private static Verdict.Weighed weigh(Belief before, Reading reading, Sign sign, Status leading,
            ToDoubleFunction<Phase> likelihood, Reason reason) {
        double share = Objects.requireNonNull(before.odds().get(leading));
        double joint = before.chanceOf(phase -> phase.status() == leading ? likelihood.applyAsDouble(phase) : 0);
        double all = before.chanceOf(likelihood);
        double among = share > 0 ? joint / share : all;
        double elsewhere = share < 1 ? (all - joint) / (1 - share) : all;
        double factor = elsewhere <= 0 ? 1e6 : Math.clamp(among / elsewhere, 1e-6, 1e6);
        return new Verdict.Weighed(reading, sign, reading.saw(sign), factor, reason);
    }

    private static Map<Verdict.CellKind, Double> kinds(Belief belief) {
        Map<Phase.Cells, Double> kinds = belief.cellKinds();
        double all = kinds.values().stream().mapToDouble(Double::doubleValue).sum();
        Map<Verdict.CellKind, Double> odds = new EnumMap<>(Verdict.CellKind.class);
        if (all > 0) {
            for (Verdict.CellKind kind : Verdict.CellKind.values()) {
                odds.put(kind, kinds.getOrDefault(Phase.Cells.valueOf(kind.name()), 0.0) / all);
            }
        }
        return odds;
    }
}
