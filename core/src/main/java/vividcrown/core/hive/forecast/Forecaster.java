package vividcrown.core.hive.forecast;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import org.hipparchus.distribution.continuous.NormalDistribution;
import vividcrown.core.hive.Amount;
import vividcrown.core.hive.Stores;
import vividcrown.core.hive.Strength;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.hive.forecast.Forecast.Milestone;
import vividcrown.core.hive.forecast.Forecast.What;
import vividcrown.core.hive.forecast.Forecast.Wintering;
import vividcrown.core.hive.forecast.Run.Luck;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.reason.Wrong;
import vividcrown.core.time.DatedSpan;

/**
 * Follows a hive from its last reading to today and on: three runs, poor, likely and good, each day by day of age. Where the
 * runs part, the answer is a span.
 *
 * <p>Cost: some 20 µs for each hive and each eight weeks.
 */
public final class Forecaster {

    /** Eight weeks. */
    public static final int DAYS = 56;
    /** What is older says little of today. */
    private static final int OLD_READING_DAYS = 21;
    private static final int OLDEST_READING_DAYS = 120;
    /** So far ahead the winter is told; before that it is another season. */
    private static final int WINTER_WITHIN_DAYS = 240;
    private static final double SUGAR_IN_A_LITRE_KG = 0.62;
    private static final double NEVER_LESS_THAN_KG = 0.5;
    private static final double WINTERS_WELL_FRAMES = 6;
    private static final double OVER_A_NEIGHBOUR_FRAMES = 4;
    /** A colony strong enough comes through so often, one at the edge half the time. Common practice. */
    private static final double STRONG_COMES_THROUGH = 0.92;
    private static final double SPREAD_FRAMES = 1.6;
    private static final double MILD_WINTER_NIGHTS = 0;

    private static final Source KHOURY = new Source.Published(
            "Khoury, Myerscough & Barron 2011, PLoS ONE 6(4) e18491", true);

    private Forecaster() {
    }

    /**
     * @param days to follow, 1–120
     * @throws IllegalArgumentException if the reading lies in the future, or is so old that nothing can be said
     */
    public static Forecast of(Unit unit, Surroundings at, int days) {
        long old = at.today().toEpochDay() - unit.readOn().toEpochDay();
        if (old < 0 || old > OLDEST_READING_DAYS) {
            throw Wrong.of("wrong.Forecast", unit.code(), unit.readOn(), at.today(), OLDEST_READING_DAYS);
        }
        LaysFrom lays = LaysFrom.of(unit, at.assumptions());
        LocalDate rest = at.year().restBegins(at.today());
        boolean winterIsNear = rest.isBefore(at.today().plusDays(WINTER_WITHIN_DAYS));
        LocalDate until = winterIsNear ? rest : at.today();
        LocalDate last = at.today().plusDays(Math.max(days, Run.FEED_FOR_DAYS));
        Days there = new Days(at.year(), unit.readOn(), until.isAfter(last) ? until : last);
        Map<Luck, Run> runs = new EnumMap<>(Luck.class);
        Map<Luck, Run> fed = new EnumMap<>(Luck.class);
        for (Luck luck : Luck.values()) {
            runs.put(luck, new Run(unit, at, there, luck, lays.in(luck)).followed(days, at.today()));
            // what it winters with is told of one who is kept from hunger
            fed.put(luck, new Run(unit, at.with(true), there, luck, lays.in(luck)).followed(0, until));
        }
        List<Forecast.Day> course = new ArrayList<>();
        for (int day = 0; day <= days; day++) {
            course.add(day(at.today().plusDays(day), runs, day, unit.side()));
        }
        List<Sentence> assumed = new ArrayList<>(lays.assumed());
        if (old >= OLD_READING_DAYS) {
            assumed.add(Sentence.of("forecast.assumed.old", (int) old));
        }
        if (unit.flyers().isEmpty() && unit.framesOfBees() <= 0) {
            assumed.add(Sentence.of("forecast.assumed.noBees"));
        }
        return new Forecast((int) old, course, milestones(runs, lays, at, unit), feed(unit, at, there, lays),
                winter(fed, until, unit, at),
                assumed, reasons(unit, at));
    }

    private static Forecast.Day day(LocalDate on, Map<Luck, Run> runs, int at, Strength side) {
        double fullFrame = side.cells(2);
        return new Forecast.Day(on, amount(runs, run -> run.course().get(at).bees()),
                amount(runs, run -> side.framesCoveredBy((int) run.course().get(at).bees())),
                amount(runs, run -> run.course().get(at).brood() / fullFrame),
                amount(runs, run -> run.course().get(at).nurses()), amount(runs, run -> run.course().get(at).food()));
    }

    /** The runs in order: a good one may have fewer of something than a poor one. */
    private static Amount amount(Map<Luck, Run> runs, ToDoubleFunction<Run> of) {
        double likely = of.applyAsDouble(run(runs, Luck.LIKELY));
        double poor = of.applyAsDouble(run(runs, Luck.POOR));
        double good = of.applyAsDouble(run(runs, Luck.GOOD));
        return new Amount(Math.min(likely, Math.min(poor, good)), likely, Math.max(likely, Math.max(poor, good)));
    }

    private static Run run(Map<Luck, Run> runs, Luck luck) {
        return Objects.requireNonNull(runs.get(luck));
    }

    private static List<Milestone> milestones(Map<Luck, Run> runs, LaysFrom lays, Surroundings at, Unit unit) {
        List<Milestone> all = new ArrayList<>();
        LocalDate last = at.today().plusDays(run(runs, Luck.LIKELY).course().size() - 1L);
        lays.span().filter(span -> !span.latest().isBefore(at.today())).ifPresent(span -> {
            all.add(milestone(What.LAYS, span.notBefore(at.today()), lays.inAPoorRun()));
        });
        lays.span().map(span -> span.plus(at.assumptions().worker().emerges()))
                .filter(span -> !span.latest().isBefore(at.today()))
                .ifPresent(span -> all.add(milestone(What.YOUNG_BEES, span.notBefore(at.today()), lays.inAPoorRun())));
        add(all, What.COLLAPSES, runs, Run::collapses);
        if (!at.fed()) {
            add(all, What.STARVES, runs, Run::starves);
        }
        add(all, What.NEEDS_ROOM, runs, run -> run.room().filter(day -> !day.isAfter(last)));
        add(all, What.FULL_BOX, runs, Run::fullBox);
        List<LocalDate> fewest = runs.values().stream().map(Run::fewestOn).sorted().toList();
        LocalDate likely = run(runs, Luck.LIKELY).fewestOn();
        double frames = unit.side().framesCoveredBy((int) run(runs, Luck.LIKELY).course().stream()
                .mapToDouble(Run.Stand::bees).min().orElse(0));
        if (likely.isAfter(at.today()) && likely.isBefore(last)) {
            all.add(new Milestone(What.FEWEST, new DatedSpan(fewest.getFirst(), likely, fewest.getLast()), true,
                    Sentence.of("forecast.fewest", likely, rounded(frames))));
        }
        all.sort(Comparator.comparing((Milestone one) -> one.when().likely()));
        return all;
    }

    private static void add(List<Milestone> all, What what, Map<Luck, Run> runs,
            Function<Run, Optional<LocalDate>> of) {
        List<LocalDate> days = runs.values().stream().map(of).flatMap(Optional::stream).sorted().toList();
        if (days.isEmpty()) {
            return;
        }
        LocalDate likely = of.apply(run(runs, Luck.LIKELY)).orElse(days.getLast());
        all.add(milestone(what, new DatedSpan(days.getFirst(), likely, days.getLast()),
                days.size() == Luck.values().length));
    }

    private static Milestone milestone(What what, DatedSpan when, boolean sure) {
        return new Milestone(what, when, sure,
                sure
                        ? Sentence.of("forecast.sure." + what.name(), when)
                        : Sentence.of("forecast.maybe." + what.name(), when));
    }

    /** What keeps even a poor run from hunger for the next weeks. */
    private static double feed(Unit unit, Surroundings at, Days there, LaysFrom lays) {
        double missing = new Run(unit, at.with(true), there, Luck.POOR, lays.in(Luck.POOR))
                .followed(Run.FEED_FOR_DAYS, at.today())
                .missingKg();
        return missing <= 0
                ? 0
                : rounded((missing + NEVER_LESS_THAN_KG) / Stores.STORES_PER_KG_OF_SUGAR / SUGAR_IN_A_LITRE_KG);
    }

    private static Forecast.Winter winter(Map<Luck, Run> runs, LocalDate on, Unit unit, Surroundings at) {
        Amount frames = amount(runs, run -> unit.side().framesCoveredBy((int) Math.max(0, run.atRest())));
        // frames of another format are counted as so many of the one the rule is for
        double deep = unit.side().sideSquareDecimetres() / 8.8;
        double likely = frames.likely() * deep;
        Wintering verdict = likely >= WINTERS_WELL_FRAMES
                ? Wintering.WELL
                : likely >= OVER_A_NEIGHBOUR_FRAMES ? Wintering.OVER_A_NEIGHBOUR : Wintering.NOT_ALONE;
        boolean willLay = runs.values().stream().filter(run -> run.lays().isPresent()).count() > 1;
        double chance = willLay
                ? STRONG_COMES_THROUGH * new NormalDistribution(OVER_A_NEIGHBOUR_FRAMES, SPREAD_FRAMES)
                        .cumulativeProbability(likely)
                : 0;
        boolean mild = at.year().usualNight(on.plusDays(60)) > MILD_WINTER_NIGHTS;
        double share = Math.min(1, Math.max(0.5, likely / 8));
        Amount stores = mild
                ? new Amount(12 * share, 15 * share, 18 * share)
                : new Amount(18 * share, 21 * share, 25 * share);
        return new Forecast.Winter(on, frames, willLay ? verdict : Wintering.NOT_ALONE, chance,
                stores.map(Forecaster::rounded));
    }

    private static List<Reason> reasons(Unit unit, Surroundings at) {
        List<Reason> reasons = new ArrayList<>();
        reasons.add(Reason.of(Source.COMMON_PRACTICE, "forecast.because.start", unit.readOn(),
                rounded(unit.framesOfBees()), rounded(unit.broodCells() / unit.side().cells(2))));
        reasons.add(Reason.of(Source.COMMON_PRACTICE, "forecast.because.laying"));
        reasons.add(Reason.of(KHOURY, "forecast.because.loss"));
        reasons.add(Reason.of(Source.COMMON_PRACTICE, "forecast.because.flow." + at.flow().name()));
        if (at.ownGrowth() != 1) {
            reasons.add(Reason.of(new Source.OwnRecord(Sentence.of("forecast.own").toString()), "forecast.because.own",
                    Math.round(at.ownGrowth() * 100)));
        }
        if (unit.is(UnitTrait.ROBBED)) {
            reasons.add(Reason.of(Source.COMMON_PRACTICE, "forecast.because.robbed"));
        }
        return reasons;
    }

    private static double rounded(double value) {
        return Math.round(value * 10) / 10.0;
    }
}
