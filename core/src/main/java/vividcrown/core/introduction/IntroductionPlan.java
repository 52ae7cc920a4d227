package vividcrown.core.introduction;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.introduction.Acceptance.Handling;
import vividcrown.core.introduction.Receiver.Search;
import vividcrown.core.introduction.method.HerEggs;
import vividcrown.core.introduction.method.Method;
import vividcrown.core.introduction.method.Way;
import vividcrown.core.mite.BroodBreak;
import vividcrown.core.odds.Rate;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.Objection;
import vividcrown.core.time.DatedSpan;

/**
 * How one queen is given to one colony.
 *
 * @param objections what speaks against it today; one that refuses leaves nothing to be given
 * @param ways the best first; those of whoever is given only
 * @param worth what one more step would bring: a day, a search, a shake of nurses
 */
public record IntroductionPlan(Verdict verdict, List<Objection> objections, List<Planned> ways, List<Gain> worth,
        Optional<LocalDate> noNewCellsFrom) {

    /** Whether to give her. */
    public enum Verdict {
        GIVE,
        /** Something is to be done before. */
        FIRST,
        /** Not here, or not so. */
        DO_NOT
    }

    /**
     * One way of doing it.
     *
     * @param opens the days on which she is free; not before no new cell can be begun
     * @param planB what to do if no eggs are found, by its day
     * @param expected worth of her there times the chance, less what she costs
     */
    public record Planned(Method method, Acceptance acceptance, List<Way.Step> steps, DatedSpan opens,
            LocalDate planBOn,
            Sentence planB, double expected) {

        /**
         * Days without sealed brood that it opens, from the last egg that was laid in there to her first that is sealed.
         *
         * @return empty where nobody knows when the last egg was laid
         */
        public Optional<BroodBreak> broodBreak(Receiver receiver, Given given, BeeYear year, Assumptions assumptions) {
            BroodBreak.Plan plan = switch (method.way().gives()) {
                case CELL -> BroodBreak.Plan.CELL_GIVEN;
                case VIRGIN -> BroodBreak.Plan.VIRGIN_GIVEN;
                case MATED -> BroodBreak.Plan.QUEEN_GIVEN;
            };
            return receiver.lastEgg()
                    .filter(egg -> ChronoUnit.DAYS.between(egg.earliest(), opens.earliest()) <= LONGEST_KNOWN_DAYS)
                    .map(egg -> BroodBreak.of(plan, egg, opens.earliest(), given.virginDays(),
                            true, false, year, assumptions));
        }
    }

    /** @param more so much higher is the chance, 0–1 */
    public record Gain(Sentence what, double more) {
    }

    /** Longer ago there is nothing sealed in any case, and no season to reckon with. */
    private static final int LONGEST_KNOWN_DAYS = 180;
    /** More than this, and there may well be one. */
    private static final double MAY_LAY = 0.15;
    private static final double MAY_BE_VIRGIN = 0.05;
    private static final double MAY_HAVE_CELLS = 0.05;
    private static final double WORKERS_LAY = 0.3;
    private static final int BOILS_OVER = 5;
    private static final double TELLS = 0.005;
    /** Below this a queen is thrown away rather than given. */
    private static final double HARDLY_EMPTY = 0.75;
    private static final double OPENS_CELSIUS = 10;
    private static final double MATES_CELSIUS = 17;
    private static final int MATES_IN_DAYS = 12;
    /** Past four weeks a virgin hardly mates any more. Common practice. */
    private static final int OLD_VIRGIN_DAYS = 28;

    public IntroductionPlan {
        objections = List.copyOf(objections);
        ways = List.copyOf(ways);
        worth = List.copyOf(worth);
    }

    /**
     * @param year of the bees at the place: no box is opened in the cold, and what must mate needs flying weather
     * @param own what the operation's own results say of a way; the trade's where there is none
     */
    public static IntroductionPlan of(Receiver receiver, Given given, LocalDate day, BeeYear year,
            Map<Method, Rate> own) {
        List<Objection> objections = new ArrayList<>(objections(receiver, given, day));
        objections.addAll(season(given, day, year));
        LocalDate notBefore = receiver.noNewCellsFrom().filter(day::isBefore).orElse(day);
        List<Planned> open = ways(receiver, given, day, notBefore, year, own);
        // before the search the answer is to search
        open.stream().findFirst().filter(_ -> isSearched(receiver))
                .filter(way -> way.acceptance().empty() < HARDLY_EMPTY)
                .ifPresent(way -> objections.add(Objection.refuse("introduction.no.somebody",
                        Math.round(100 * (1 - way.acceptance().empty())))));
        boolean refused = objections.stream().anyMatch(Objection::refuses);
        List<Planned> ways = refused ? List.of() : open;
        boolean first = objections.stream().anyMatch(one -> !one.refuses()
                && (one.words().key().startsWith("introduction.first.")));
        Verdict verdict = refused || ways.isEmpty() ? Verdict.DO_NOT : first ? Verdict.FIRST : Verdict.GIVE;
        return new IntroductionPlan(verdict, objections, ways,
                ways.isEmpty() ? List.of() : worth(receiver, given, ways.getFirst().method(), day, own),
                receiver.noNewCellsFrom().filter(day::isBefore));
    }

    private static boolean isSearched(Receiver receiver) {
        return receiver.search() == Search.EVERY_FRAME || receiver.search() == Search.TWICE;
    }

    private static List<Objection> season(Given given, LocalDate day, BeeYear year) {
        List<Objection> all = new ArrayList<>();
        if (year.usualHigh(day) < OPENS_CELSIUS) {
            all.add(Objection.refuse("introduction.no.cold", Math.round(year.usualHigh(day))));
        }
        boolean mustMate = given.kind() != Given.Kind.MATED;
        if (mustMate && year.usualHigh(day.plusDays(MATES_IN_DAYS)) < MATES_CELSIUS) {
            all.add(Objection.refuse("introduction.no.mating"));
        }
        if (given.kind() == Given.Kind.VIRGIN && given.virginDays() > OLD_VIRGIN_DAYS) {
            all.add(Objection.refuse("introduction.no.oldVirgin", given.virginDays()));
        }
        return all;
    }

    private static List<Objection> objections(Receiver receiver, Given given, LocalDate day) {
        List<Objection> all = new ArrayList<>();
        if (receiver.suspect()) {
            all.add(Objection.refuse("introduction.no.suspect", receiver.code()));
        }
        boolean searched = isSearched(receiver);
        if (receiver.queen() > MAY_LAY && !searched) {
            all.add(Objection.refuse("introduction.no.mayLay", Math.round(100 * receiver.queen())));
        } else if (receiver.queen() > 0.5) {
            all.add(Objection.refuse("introduction.no.lays", Math.round(100 * receiver.queen())));
        }
        if (!searched) {
            all.add(Objection.warn("introduction.first.search"));
        }
        if (receiver.queen() > MAY_LAY && receiver.search() == Search.EVERY_FRAME) {
            all.add(Objection.warn("introduction.first.twice", Math.round(100 * receiver.queen())));
        }
        if (receiver.virgin() > MAY_BE_VIRGIN && receiver.search() != Search.TWICE) {
            all.add(Objection.warn("introduction.first.virgin", Math.round(100 * receiver.virgin())));
        }
        boolean cutOut = receiver.cellsCutOn().isPresent();
        if (receiver.cells() > MAY_HAVE_CELLS && !cutOut) {
            all.add(Objection.warn("introduction.first.cells"));
        }
        receiver.noNewCellsFrom().filter(day::isBefore)
                .ifPresent(from -> all.add(Objection.warn("introduction.secondCut", from)));
        if (receiver.workersLay() > WORKERS_LAY) {
            all.add(given.withNuc()
                    ? Objection.warn("introduction.layingWorkersNuc")
                    : Objection.refuse("introduction.layingWorkers"));
        }
        if (receiver.robbing()) {
            all.add(Objection.refuse("introduction.no.robbing"));
        }
        if (receiver.hasFewNurses(day)) {
            all.add(Objection.warn(given.cost() > 0 ? "introduction.oldBeesCost" : "introduction.oldBees"));
        }
        if (receiver.temper() >= BOILS_OVER) {
            all.add(Objection.warn("introduction.defensive"));
        }
        return all;
    }

    private static List<Planned> ways(Receiver receiver, Given given, LocalDate day, LocalDate notBefore,
            BeeYear year, Map<Method, Rate> own) {
        return Stream.of(Method.values()).filter(method -> fits(method, given, receiver))
                .map(method -> planned(method, receiver, given, day, notBefore, year, own))
                .sorted(Comparator.comparingDouble((Planned one) -> -one.acceptance().chance().likely())).toList();
    }

    private static boolean fits(Method method, Given given, Receiver receiver) {
        if (method.way().gives() != given.kind()) {
            return false;
        }
        if (method == Method.WITH_HER_NUC && !given.withNuc()) {
            return false;
        }
        // where workers lay no single queen stands a chance: only one among her own bees
        boolean workers = receiver.workersLay() > WORKERS_LAY && method != Method.WITH_HER_NUC;
        boolean virgin = method == Method.NEW_VIRGIN && given.virginDays() > 1
                || method == Method.CAGED_VIRGIN && given.virginDays() <= 1;
        return !workers && !virgin;
    }

    private static Planned planned(Method method, Receiver receiver, Given given, LocalDate day, LocalDate notBefore,
            BeeYear year, Map<Method, Rate> own) {
        Way way = method.way();
        // candy opens by itself: it is given only once no new cell can be begun any more
        LocalDate gives = way.byHand() || method == Method.WITH_HER_NUC ? day : later(day, notBefore);
        Acceptance acceptance = Acceptance.of(receiver, given, method, Handling.AS_PLANNED, rate(method, own), gives);
        List<Way.Step> steps = new ArrayList<>(way.on(gives, notBefore, year));
        if (notBefore.isAfter(day)) {
            steps.addFirst(new Way.Step(DatedSpan.on(notBefore), Sentence.of("introduction.step.secondCut")));
            steps.sort(Comparator.comparing(step -> step.when().earliest()));
        }
        DatedSpan opens = way.releasedOn(gives, notBefore);
        LocalDate young = opens.latest().plusDays(28);
        Optional<HerEggs> eggs = way.herEggs(opens, year);
        double expected = receiver.worth() * acceptance.chance().likely()
                - given.cost() * (1 - acceptance.chance().likely());
        return new Planned(method, acceptance, steps, opens, eggs.map(HerEggs::planBOn).orElse(young),
                eggs.map(HerEggs::planB).orElseGet(() -> Sentence.of("introduction.planB.young", young)), expected);
    }

    private static LocalDate later(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }

    private static Rate rate(Method method, Map<Method, Rate> own) {
        return own.getOrDefault(method, method.way().prior());
    }

    private static List<Gain> worth(Receiver receiver, Given given, Method method, LocalDate day,
            Map<Method, Rate> own) {
        double now = chance(receiver, given, method, Handling.AS_PLANNED, day, own);
        List<Gain> gains = new ArrayList<>();
        if (receiver.search() != Search.TWICE) {
            gains.add(new Gain(Sentence.of("introduction.gain.search"), chance(searched(receiver), given, method,
                    Handling.AS_PLANNED, day, own) - now));
        }
        if (receiver.hasFewNurses(day)) {
            gains.add(new Gain(Sentence.of("introduction.gain.nurses"), chance(nursed(receiver), given, method,
                    Handling.AS_PLANNED, day, own) - now));
        }
        receiver.noNewCellsFrom().filter(day::isBefore).ifPresent(_ -> gains.add(new Gain(
                Sentence.of("introduction.gain.secondCut"),
                now - chance(receiver, given, method, new Handling(2, false, false, false), day, own))));
        if (method.way().byHand()) {
            gains.add(new Gain(Sentence.of("introduction.gain.reading"),
                    now - chance(receiver, given, method, new Handling(1, false, false, true), day, own)));
        }
        gains.removeIf(gain -> gain.more() < TELLS);
        gains.sort(Comparator.comparingDouble(gain -> -gain.more()));
        return gains;
    }

    private static double chance(Receiver receiver, Given given, Method method, Handling handling, LocalDate day,
            Map<Method, Rate> own) {
        return Acceptance.of(receiver, given, method, handling, rate(method, own), day).chance().likely();
    }

    private static Receiver searched(Receiver one) {
        // once more, where the chances know of the last search
        Search more = one.judgedSince() ? Search.EVERY_FRAME : Search.TWICE;
        return new Receiver(one.code(), one.queen(), one.virgin(), one.cells(), one.workersLay(), more,
                one.cellsCutOn(), one.lastEgg(), one.nurses(), one.flow(), one.temper(), one.robbing(), one.suspect(),
                one.worth(), one.wishes());
    }

    /** Emerging brood with its bees given first. */
    private static Receiver nursed(Receiver one) {
        return new Receiver(one.code(), one.queen(), one.virgin(), one.cells(), one.workersLay(), one.search(),
                one.cellsCutOn(), Optional.empty(), Receiver.Nurses.MANY, one.flow(), one.temper(), one.robbing(),
                one.suspect(), one.worth(), one.wishes(), one.judgedSince());
    }
}
