package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.brood.BroodProver;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;

/**
 * Judges what is in a hive by Bayes' rule over time.
 *
 * <p>Problem: readings on several days, some events, a queen and cells that come and go. Method: a hidden Markov chain whose
 * hidden part is what is in the hive <em>with its days</em> ({@link Phase}), so that "no eggs" means something else three days
 * and three weeks after a queen was lost. From reading to reading the belief runs forward day by day ({@link Course}), events
 * move it ({@link Happenings}), and every reading weighs it ({@link Evidence}). All days come from the operation's figures.
 *
 * <p>Dependence between signs: brood stages are independent given the days of the phase, which say what ages of brood there
 * are. All that concerns queen cells is weighed together. Behaviour and similar signs that say the same thing stand in one
 * group of the table ({@link Likelihoods}), and of each group only the sign that tells most counts; what bees did last week
 * already tells half. Looks of one day are one look.
 *
 * <p>Cost: some 6,000 phases, of which a few hundred are possible at a time; a season is a few milliseconds.
 */
public final class Judge {

    /** What lies before the first fact no longer matters; what was long ago is not followed day by day. */
    private static final int DAYS_FOLLOWED = 150;
    /** A test frame that nobody wrote down was given so many days before it was read. */
    private static final int TEST_FRAME_DAYS = 4;
    private static final int TEST_FRAME_AT_MOST_DAYS = 12;

    private final Assumptions assumptions;
    private final Season season;
    private final Clock clock;
    private final Flows.AtPlace place;
    private final Evidence evidence;
    private final Happenings happenings;
    private final LookAhead lookAhead;

    public Judge(Assumptions assumptions, Season season) {
        this(assumptions, season, OwnSigns.NONE);
    }

    /** @param own how often signs go with states in this operation's own settled cases */
    public Judge(Assumptions assumptions, Season season, OwnSigns own) {
        Likelihoods table = Likelihoods.standard().laidOver(own);
        this.assumptions = assumptions;
        this.season = season;
        this.clock = new Clock(assumptions);
        this.place = new Flows.AtPlace(assumptions, season);
        this.evidence = new Evidence(clock, season, table);
        this.happenings = new Happenings(clock);
        this.lookAhead = new LookAhead(clock, season, place);
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

    private Verdict judge(List<Reading> readings, List<ColonyEvent> events, LocalDate asOf, boolean withLooks) {
        List<Reading> looks = ofOneDay(readings.stream()
                .filter(reading -> !reading.day().isAfter(asOf)
                        && reading.day().isAfter(asOf.minusDays(DAYS_FOLLOWED)))
                .toList());
        List<ColonyEvent> happened = withTestFrames(events.stream()
                .filter(event -> !event.day().isAfter(asOf) && event.day().isAfter(asOf.minusDays(DAYS_FOLLOWED)))
                .sorted(Comparator.comparing(ColonyEvent::day)).toList(), looks);
        Walk walk = walk(looks, happened, asOf);
        Map<Status, Double> odds = walk.belief.odds();
        Status leading = odds.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
        Contents contents = Contents.of(walk.belief, asOf, clock, place, withLooks);
        return new Verdict(asOf, odds, leading, withLooks ? weighed(walk, leading) : List.of(),
                withLooks ? lookAhead.best(walk.belief, asOf, toldOn(looks, asOf)) : List.of(),
                BroodProver.prove(readings, events, asOf, assumptions), kinds(contents), contents);
    }

    /** Looks of one day are one look: what any of them saw was there, what none saw and some missed was not. */
    private static List<Reading> ofOneDay(List<Reading> readings) {
        Map<LocalDate, Reading> days = new TreeMap<>();
        readings.forEach(reading -> days.merge(reading.day(), reading, Reading::and));
        return List.copyOf(days.values());
    }

    /** Who reads a test frame has given one, though nobody wrote it down. */
    private static List<ColonyEvent> withTestFrames(List<ColonyEvent> events, List<Reading> looks) {
        List<ColonyEvent> all = new ArrayList<>(events);
        for (Reading look : looks) {
            boolean tells = look.saw(Sign.CELLS_ON_TEST_FRAME) || look.missed(Sign.CELLS_ON_TEST_FRAME);
            LocalDate longest = look.day().minusDays(TEST_FRAME_AT_MOST_DAYS);
            boolean written = all.stream().anyMatch(event -> event.kind() == EventKind.BROOD_GIVEN
                    && event.day().isAfter(longest) && event.day().isBefore(look.day()));
            if (tells && !written) {
                all.add(new ColonyEvent(look.day().minusDays(TEST_FRAME_DAYS), EventKind.BROOD_GIVEN));
            }
        }
        return all;
    }

    /**
     * What was weighed with one reading.
     *
     * @param before odds of the states before it
     * @param jointly chance of each state together with each piece, before it
     */
    private record Weighing(Reading reading, Map<Status, Double> before, List<Evidence.Piece> pieces,
            double[][] jointly) {
    }

    private record Walk(Belief belief, List<Weighing> weighings) {
    }

    private Walk walk(List<Reading> readings, List<ColonyEvent> events, LocalDate asOf) {
        LocalDate day = firstDay(readings, events).orElse(asOf);
        Belief belief = Prior.on(day, assumptions, season);
        List<Weighing> weighings = new ArrayList<>();
        List<Reading> earlier = new ArrayList<>();
        while (true) {
            // on one day what was seen comes before what was done about it
            for (Reading reading : readings) {
                if (reading.day().equals(day)) {
                    List<Evidence.Piece> pieces = evidence.of(reading, earlier, events);
                    double[][] jointly = Belief.roomFor(pieces.size());
                    weighings.add(new Weighing(reading, belief.odds(), pieces, jointly));
                    belief = Evidence.weigh(belief, pieces, jointly);
                    earlier.add(reading);
                }
            }
            for (ColonyEvent event : events) {
                if (event.day().equals(day)) {
                    belief = happenings.apply(belief, event);
                }
            }
            if (!day.isBefore(asOf)) {
                return new Walk(belief, weighings);
            }
            belief = belief.dayLater(day, place);
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

    // --- for and against ---------------------------------------------------------------------------------------------

    private List<Verdict.Weighed> weighed(Walk walk, Status leading) {
        List<Verdict.Weighed> weighed = new ArrayList<>();
        for (Weighing one : walk.weighings) {
            double share = Objects.requireNonNull(one.before.get(leading));
            for (int at = 0; at < one.pieces.size(); at++) {
                Evidence.Piece piece = one.pieces.get(at);
                Reason reason = piece.ofBrood()
                        ? Reason.of(assumptions.worker().source(), "like.broodStage", piece.sign().sentence())
                        : Reason.of(Source.COMMON_PRACTICE, "like." + piece.sign().name());
                weighed.add(new Verdict.Weighed(one.reading, piece.sign(), one.reading.saw(piece.sign()),
                        factor(share, one.jointly[at], leading), reason));
            }
        }
        weighed.sort(Comparator.comparingDouble((Verdict.Weighed one) -> Math.abs(Math.log(one.factor()))).reversed());
        return weighed;
    }

    private static double factor(double share, double[] joint, Status leading) {
        double all = 0;
        for (double one : joint) {
            all += one;
        }
        double mine = joint[leading.ordinal()];
        double among = share > 0 ? mine / share : all;
        double elsewhere = share < 1 ? (all - mine) / (1 - share) : all;
        return elsewhere <= 0 ? 1e6 : Math.clamp(among / elsewhere, 1e-6, 1e6);
    }

    private static Map<Verdict.CellKind, Double> kinds(Contents contents) {
        Map<Verdict.CellKind, Double> kinds = new EnumMap<>(Verdict.CellKind.class);
        for (Verdict.CellKind kind : Verdict.CellKind.values()) {
            kinds.put(kind, Objects.requireNonNull(contents.cells().get(Contents.CellsAre.valueOf(kind.name()))));
        }
        double all = kinds.values().stream().mapToDouble(Double::doubleValue).sum();
        kinds.replaceAll((_, chance) -> chance / all);
        return all > 0 ? kinds : Map.of();
    }
}
