package vividcrown.server.season;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.demand.Product;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.mating.MatingWeather;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.odds.StepOdds;
import vividcrown.core.rearing.BuilderRhythm;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;
import vividcrown.core.reason.Sentence;
import vividcrown.core.season.BatchLock;
import vividcrown.core.season.BreederQueen;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.Crew;
import vividcrown.core.season.DroneColony;
import vividcrown.core.season.DroneMother;
import vividcrown.core.season.Drones;
import vividcrown.core.season.Expectation;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.Means;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonRates;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.Underway;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.settings.OwnFigure;
import vividcrown.server.problem.Refusal;

/**
 * A season to plan, everything in the request.
 *
 * @param until the last day to plan; two weeks after the last demand if left out
 * @param assurance chance of meeting a demand that names none, 0.5–0.999; 0.9 if left out
 * @param nucs mating nucs that there are; 0 if {@code yards} says where they stand
 * @param nucsTaken of these, how many are taken on which days, wherever they stand
 * @param yards where mating nucs stand: the plan says which yard takes which cells, and counts the driving
 * @param cages places in the incubator; 60 if left out
 * @param drones none given: drones are taken to be there, and the answer says when their comb must be in
 * @param crew every day, 16 hours, if left out
 * @param droneMothers colonies that could be given drone comb: the plan says which, and when
 * @param counts own counts at each step of loss, laid over the trade's belief
 * @param history own batches with what surrounded them, for steps that have no count of their own: months, builders,
 *        mothers, people, yards and weather are learnt from them, each borrowing from the others
 * @param running cells, virgins and queens that are on their way
 * @param before grafts of an earlier plan: kept where that costs little, and the changes are told
 * @param locks grafts that stay as they are
 * @param worth what is worth how much, in minutes of work; the usual if left out
 * @param seconds time for the search, 0.5–10; 10 if left out
 */
public record SeasonAsked(@NotNull LocalDate today, @Nullable LocalDate until,
        @NotNull @Size(max = MOST_DEMANDS) List<@Valid DemandAsked> demands,
        @NotNull @Size(max = MOST_MOTHERS) List<@Valid BreederAsked> breeders,
        @NotNull @Size(max = MOST_BUILDERS) List<@Valid BuilderAsked> builders, @Min(0) @Max(MOST_NUCS) int nucs,
        @Nullable @Size(max = MOST_ENTRIES) List<@Valid TakenAsked> nucsTaken,
        @Nullable @Size(max = MOST_YARDS) List<@Valid MatingYardAsked> yards,
        @Nullable @Min(0) @Max(MOST_NUCS) Integer cages,
        @Nullable @Size(max = MOST_MOTHERS) List<@Valid DroneAsked> drones,
        @Nullable @Size(max = MOST_MOTHERS) List<@Valid DroneMotherAsked> droneMothers, @Nullable @Valid CrewAsked crew,
        @Nullable Double assurance, @Nullable @Size(max = MOST_MOTHERS) List<@Valid CountAsked> counts,
        @Nullable @Size(max = MOST_HISTORY) List<@Valid HistoryAsked> history,
        @Nullable @Size(max = MOST_ENTRIES) List<@Valid RunningAsked> running,
        @Nullable @Size(max = MOST_BATCHES) List<@Valid BatchAsked> before,
        @Nullable @Size(max = MOST_BATCHES) List<@Valid BatchAsked> locks, @Nullable LarvaAge larvaAge,
        @Nullable Placing placing, @Nullable List<Double> fitAfternoonsByMonth,
        @Nullable @Size(max = MOST_FIGURES) List<@Valid OwnFigure> figures, @Nullable SeasonWorth worth,
        @Nullable Double seconds) {

    static final int MOST_DEMANDS = 100;
    static final int MOST_MOTHERS = 200;
    static final int MOST_BUILDERS = 60;
    static final int MOST_NUCS = 20_000;
    static final int MOST_ENTRIES = 1_000;
    static final int MOST_YARDS = 30;
    static final int MOST_HISTORY = 5_000;
    static final int MOST_BATCHES = 200;
    static final int MOST_FIGURES = 60;
    static final int MOST_TRIED = 1_000_000;
    /** Of one batch. */
    static final int MOST_ALIVE = 1_000;
    static final int LONGEST_NAME = 60;
    /** Before today and after it, for every day that is given. */
    static final int FURTHEST_YEARS = 2;

    static final double MOST_SECONDS = 10;
    private static final double USUAL_ASSURANCE = 0.9;
    private static final int USUAL_CAGES = 60;

    /**
     * @param from the first day on which it may be had; four days before {@code until} if left out
     * @param until the last day on which it is in time; if it is past, by two weeks at most, its customer still waits
     * @param priority 1 first, 3 last; 2 if left out
     */
    public record DemandAsked(@NotBlank @Size(max = LONGEST_NAME) String id, @NotNull Product product, int count,
            @Nullable LocalDate from,
            @NotNull LocalDate until, @Nullable @Size(max = LONGEST_NAME) String line, @Nullable Integer priority,
            @Nullable Double assurance) {
    }

    /**
     * @param line her line; her own id if left out
     * @param daughters that are wished of her; as many as of the others if left out
     */
    public record BreederAsked(@NotBlank @Size(max = LONGEST_NAME) String id,
            @Nullable @Size(max = LONGEST_NAME) String line, @Nullable @Min(1) @Max(100_000) Integer daughters) {
    }

    /**
     * @param load cups that it brings up at a time; from its strength, or 30, if left out
     * @param framesOfBees its strength, instead of a load
     * @param readyFrom today if left out
     * @param grafts days of its grafts so far
     */
    public record BuilderAsked(@NotBlank @Size(max = LONGEST_NAME) String id, @Nullable BuilderSchool school,
            @Nullable Integer load,
            @Nullable Double framesOfBees, @Nullable LocalDate readyFrom,
            @Nullable @Size(max = MOST_BATCHES) List<LocalDate> grafts) {
    }

    /** So many nucs are taken from the one day to the other, both included. */
    public record TakenAsked(@NotNull LocalDate from, @NotNull LocalDate until,
            @Min(0) @Max(MOST_NUCS) int count) {
    }

    /**
     * A yard with mating nucs.
     *
     * @param id its name, the same as {@code yard} in {@code history} and {@code running}
     * @param nucs that stand there
     * @param nucsTaken of these, how many are taken on which days
     * @param fitAfternoonsByMonth chance of an afternoon fit for mating there, January first; that of the season if left out
     * @param lines whose virgins are to mate there. A line that some yard names mates only at yards that name it; a yard that names lines is
     *        kept for them
     * @param driveMinutes there and back, 0–600; 0 if left out
     */
    public record MatingYardAsked(@NotBlank @Size(max = LONGEST_NAME) String id, @Min(0) @Max(MOST_NUCS) int nucs,
            @Nullable @Size(max = MOST_ENTRIES) List<@Valid TakenAsked> nucsTaken,
            @Nullable List<Double> fitAfternoonsByMonth,
            @Nullable @Size(max = MOST_MOTHERS) List<@NotBlank @Size(max = LONGEST_NAME) String> lines,
            @Nullable Integer driveMinutes) {
        private MatingYard yard() {
            return new MatingYard(id, nucs, taken(nucsTaken),
                    Optional.ofNullable(fitAfternoonsByMonth).map(MatingClimate::byMonth),
                    new HashSet<>(orNone(lines)), Objects.requireNonNullElse(driveMinutes, 0));
        }
    }

    private static Means.NucsTaken taken(@Nullable List<TakenAsked> spans) {
        return day -> orNone(spans).stream().filter(one -> !day.isBefore(one.from()) && !day.isAfter(one.until()))
                .mapToInt(TakenAsked::count).sum();
    }

    /**
     * @param matureFrom first day with ripe drones; from {@code combIn} and the drone lead if left out
     * @param combIn the day its drone comb was put in
     * @param yards ids of mating yards that its drones reach; all if left out
     */
    public record DroneAsked(@NotBlank @Size(max = LONGEST_NAME) String id,
            @Nullable @Size(max = LONGEST_NAME) String mother, @Nullable LocalDate matureFrom,
            @Nullable LocalDate combIn,
            @Nullable @Size(max = MOST_YARDS) List<@NotBlank @Size(max = LONGEST_NAME) String> yards) {
    }

    /**
     * @param mother its queen; its own id if left out
     * @param yards ids of mating yards that its drones would reach; all if left out
     */
    public record DroneMotherAsked(@NotBlank @Size(max = LONGEST_NAME) String id,
            @Nullable @Size(max = LONGEST_NAME) String mother,
            @Nullable @Size(max = MOST_YARDS) List<@NotBlank @Size(max = LONGEST_NAME) String> yards) {
    }

    /** @param grafter who grafts, as named in {@code history} */
    public record CrewAsked(@Nullable Double hoursADay, @Nullable @Size(max = 7) List<DayOfWeek> daysOff,
            @Nullable @Size(max = MOST_ENTRIES) List<LocalDate> closed,
            @Nullable @Size(max = LONGEST_NAME) String grafter) {
    }

    /**
     * One batch at one step.
     *
     * @param weather of its mating days: fit afternoons 2–3 POOR, 4–7 FAIR, 8 and more FINE
     */
    public record HistoryAsked(@NotNull LossStep step, @Min(0) @Max(MOST_TRIED) int tried,
            @Min(0) @Max(MOST_TRIED) int succeeded, @Nullable LocalDate graftDay,
            @Nullable @Size(max = LONGEST_NAME) String builder, @Nullable @Size(max = LONGEST_NAME) String breeder,
            @Nullable @Size(max = LONGEST_NAME) String person, @Nullable @Size(max = LONGEST_NAME) String yard,
            @Nullable MatingWeather weather) {
        private StepOdds.Batch batch() {
            // of mating, the weather stands for the month
            Optional<String> month = Optional.ofNullable(graftDay).filter(_ -> step != LossStep.MATING)
                    .map(day -> day.getMonth().name());
            return new StepOdds.Batch(around(builder, breeder, person, yard).with(Circumstance.MONTH, month)
                    .with(Circumstance.WEATHER, Optional.ofNullable(weather).map(MatingWeather::name)),
                    new StepOdds.Count(tried, succeeded));
        }
    }

    private static Around around(@Nullable @Size(max = LONGEST_NAME) String builder,
            @Nullable @Size(max = LONGEST_NAME) String breeder, @Nullable @Size(max = LONGEST_NAME) String person,
            @Nullable @Size(max = LONGEST_NAME) String yard) {
        return Around.NOTHING_KNOWN.with(Circumstance.BUILDER, Optional.ofNullable(builder))
                .with(Circumstance.MOTHER, Optional.ofNullable(breeder))
                .with(Circumstance.PERSON, Optional.ofNullable(person))
                .with(Circumstance.YARD, Optional.ofNullable(yard));
    }

    public record CountAsked(@NotNull LossStep step, @Min(0) @Max(MOST_TRIED) int tried,
            @Min(0) @Max(MOST_TRIED) int succeeded) {
    }

    /** @param passed losses that lie behind them; none if they were only grafted */
    public record RunningAsked(@NotBlank @Size(max = LONGEST_NAME) String id,
            @Nullable @Size(max = LONGEST_NAME) String line, @NotNull LocalDate graftDay,
            @Min(0) @Max(MOST_ALIVE) int alive, @Nullable @Size(max = 20) List<LossStep> passed,
            @Nullable @Size(max = LONGEST_NAME) String builder, @Nullable @Size(max = LONGEST_NAME) String breeder,
            @Nullable @Size(max = LONGEST_NAME) String person, @Nullable @Size(max = LONGEST_NAME) String yard) {
    }

    public record BatchAsked(@NotBlank @Size(max = LONGEST_NAME) String builder, @NotNull LocalDate day,
            @Min(1) @Max(45) int cups,
            @Nullable @Size(max = LONGEST_NAME) String line) {
        private BatchLock lock() {
            return new BatchLock(builder, day, cups, Optional.ofNullable(line));
        }
    }

    double secondsOrUsual() {
        double asked = Objects.requireNonNullElse(seconds, MOST_SECONDS);
        if (!(asked >= 0.5 && asked <= MOST_SECONDS)) {
            throw Refusal.invalid("seconds", Sentence.of("refusal.seconds", String.valueOf(asked)));
        }
        return asked;
    }

    /** The brief, everything wrong with it said at once. */
    SeasonBrief brief() {
        Checked checked = new Checked();
        checked.one("", this::daysInReach);
        List<Demand> wanted = checked.each("demands", demands, this::demand);
        List<CellBuilder> boxes = checked.each("builders", builders, this::builder);
        List<RunningBatch> underway = checked.each("running", orNone(running), SeasonAsked::running);
        List<Map.Entry<LossStep, StepOdds.Batch>> learnFrom = checked.each("history", orNone(history),
                one -> Map.entry(one.step(), one.batch()));
        SeasonRates rates = checked.one("counts", () -> rates(learnFrom)).orElse(SeasonRates.OF_THE_TRADE);
        Optional<Crew> hands = checked.one("crew", this::hands);
        List<MatingYard> places = checked.each("yards", orNone(yards), MatingYardAsked::yard);
        checked.one("yards", this::yardsAgree);
        var assumptions = checked.one("figures", () -> OwnFigure.over(orNone(figures)));
        var climate = checked.one("fitAfternoonsByMonth", () -> fitAfternoonsByMonth == null
                ? MatingClimate.UPLAND_46_NORTH
                : MatingClimate.byMonth(fitAfternoonsByMonth));
        checked.refuse();
        var reckoned = assumptions.orElseThrow();
        int droneDays = reckoned.span(Figure.DRONE_LEAD).earliestDay();
        List<DroneColony> droneColonies = orNone(drones).stream()
                .map(one -> new DroneColony(one.id(), Objects.requireNonNullElse(one.mother(), one.id()),
                        one.matureFrom() != null
                                ? one.matureFrom()
                                : Objects.requireNonNullElse(one.combIn(), today).plusDays(droneDays),
                        new HashSet<>(orNone(one.yards()))))
                .toList();
        GraftPlan how = new GraftPlan(today, Objects.requireNonNullElse(larvaAge, LarvaAge.FROM_12_TO_24_H),
                BuilderSchool.STARTER_THEN_FINISHER, Objects.requireNonNullElse(placing, Placing.CELLS_TO_NUCS),
                GraftPlan.PROPER_INCUBATOR_CELSIUS);
        Means means = new Means(breeders.stream()
                .map(one -> new BreederQueen(one.id(), Objects.requireNonNullElse(one.line(), one.id()),
                        one.daughters() == null ? OptionalInt.empty() : OptionalInt.of(one.daughters())))
                .toList(),
                boxes, nucsOrThoseAtYards(),
                day -> taken(nucsTaken).on(day)
                        + places.stream().mapToInt(yard -> Math.min(yard.nucs(), yard.busy().on(day))).sum(),
                places, Objects.requireNonNullElse(cages, USUAL_CAGES), hands.orElseThrow());
        List<DroneMother> mothers = orNone(droneMothers).stream().map(
                one -> new DroneMother(one.id(), Objects.requireNonNullElse(one.mother(), one.id()), false,
                        new HashSet<>(orNone(one.yards()))))
                .toList();
        SeasonBrief brief = new SeasonBrief(today, untilOrUsual(), wanted, means, new Drones(droneColonies, mothers),
                new Underway(underway, orNone(before).stream().map(BatchAsked::lock).toList(),
                        orNone(locks).stream().map(BatchAsked::lock).toList()),
                new Expectation(rates, climate.orElseThrow(), how, reckoned,
                        Objects.requireNonNullElse(worth, SeasonWorth.USUAL)));
        List<Refusal.Finding> faults = brief.faults().stream()
                .map(fault -> new Refusal.Finding("", fault.toString())).toList();
        if (!faults.isEmpty()) {
            throw Refusal.invalid(faults);
        }
        return brief;
    }

    /** @throws IllegalArgumentException if one lies further off than anybody plans or remembers */
    private boolean daysInReach() {
        if (today.isBefore(LocalDate.of(2000, 1, 1)) || today.isAfter(LocalDate.of(2200, 1, 1))) {
            throw new IllegalArgumentException("today must lie between 2000 and 2200, but is " + today);
        }
        Stream<LocalDate> days = Stream.of(demands.stream().flatMap(one -> Stream.of(one.from(), one.until())),
                builders.stream()
                        .flatMap(one -> Stream.concat(Stream.of(one.readyFrom()), orNone(one.grafts()).stream())),
                Stream.concat(orNone(nucsTaken).stream(),
                        orNone(yards).stream().flatMap(one -> orNone(one.nucsTaken()).stream()))
                        .flatMap(one -> Stream.of(one.from(), one.until())),
                orNone(drones).stream().flatMap(one -> Stream.of(one.matureFrom(), one.combIn())),
                orNone(running).stream().map(RunningAsked::graftDay), orNone(before).stream().map(BatchAsked::day),
                orNone(locks).stream().map(BatchAsked::day),
                crew == null ? Stream.<LocalDate>of() : orNone(crew.closed()).stream()).flatMap(some -> some);
        days.filter(Objects::nonNull).filter(day -> day.isBefore(today.minusYears(FURTHEST_YEARS))
                || day.isAfter(today.plusYears(FURTHEST_YEARS))).findFirst().ifPresent(day -> {
                    throw new IllegalArgumentException(
                            "%s lies more than %d years from today (%s). Check the year, or leave it out"
                                    .formatted(day, FURTHEST_YEARS, today));
                });
        return true;
    }

    /** @throws IllegalArgumentException if what is said of yards contradicts itself */
    private boolean yardsAgree() {
        List<String> names = orNone(yards).stream().map(MatingYardAsked::id).toList();
        names.stream().filter(name -> names.indexOf(name) != names.lastIndexOf(name)).findFirst().ifPresent(twice -> {
            throw new IllegalArgumentException("%s is given twice. Give each yard once".formatted(twice));
        });
        if (nucs != 0 && !names.isEmpty() && nucs != nucsOrThoseAtYards()) {
            throw new IllegalArgumentException("nucs says %d, but %d stand at the yards. Leave nucs at 0"
                    .formatted(nucs, nucsOrThoseAtYards()));
        }
        Stream.concat(orNone(drones).stream().flatMap(one -> orNone(one.yards()).stream()),
                orNone(droneMothers).stream().flatMap(one -> orNone(one.yards()).stream()))
                .filter(name -> !names.contains(name)).findFirst().ifPresent(unknown -> {
                    throw new IllegalArgumentException("drones reach %s, which is not among the yards (%s)"
                            .formatted(unknown, String.join(", ", names)));
                });
        return true;
    }

    private int nucsOrThoseAtYards() {
        return yards == null || yards.isEmpty() ? nucs : yards.stream().mapToInt(MatingYardAsked::nucs).sum();
    }

    private LocalDate untilOrUsual() {
        LocalDate last = demands.stream().map(DemandAsked::until).max(LocalDate::compareTo).orElse(today).plusWeeks(2);
        LocalDate most = today.plusDays(SeasonBrief.LONGEST_DAYS);
        LocalDate usual = last.isAfter(most) ? most : last.isBefore(today) ? today.plusWeeks(2) : last;
        return Objects.requireNonNullElse(until, usual);
    }

    private Demand demand(DemandAsked one) {
        if (one.until().isBefore(today.minusDays(Demand.WAITS_DAYS))) {
            throw new IllegalArgumentException(
                    "%s: %s lies before today (%s) by more than %d days: nobody waits so long. Leave it out, or choose another day"
                            .formatted(one.id(), one.until(), today, Demand.WAITS_DAYS));
        }
        return new Demand(one.id(), one.product(), one.count(),
                Objects.requireNonNullElse(one.from(), one.until().minusDays(4)), one.until(),
                Optional.ofNullable(one.line()), Objects.requireNonNullElse(one.priority(), 2),
                one.assurance() != null ? one.assurance() : Objects.requireNonNullElse(assurance, USUAL_ASSURANCE));
    }

    private CellBuilder builder(BuilderAsked one) {
        int load = one.load() != null
                ? one.load()
                : one.framesOfBees() != null ? BuilderRhythm.load(one.framesOfBees()) : 30;
        return new CellBuilder(one.id(), Objects.requireNonNullElse(one.school(), BuilderSchool.STARTER_THEN_FINISHER),
                load, Objects.requireNonNullElse(one.readyFrom(), today), orNone(one.grafts()));
    }

    private static RunningBatch running(RunningAsked one) {
        return new RunningBatch(one.id(), Optional.ofNullable(one.line()), one.graftDay(), one.alive(),
                orNone(one.passed()), around(one.builder(), one.breeder(), one.person(), one.yard()));
    }

    private Crew hands() {
        if (crew == null) {
            return Crew.EVERY_DAY;
        }
        return new Crew(Objects.requireNonNullElse(crew.hoursADay(), Crew.EVERY_DAY.hoursADay()),
                new HashSet<>(orNone(crew.daysOff())), new HashSet<>(orNone(crew.closed())),
                Optional.ofNullable(crew.grafter()));
    }

    private SeasonRates rates(List<Map.Entry<LossStep, StepOdds.Batch>> learnFrom) {
        Map<LossStep, StepOdds> steps = new EnumMap<>(LossStep.class);
        learnFrom.stream().collect(Collectors.groupingBy(Map.Entry::getKey,
                Collectors.mapping(Map.Entry::getValue, Collectors.toList())))
                .forEach((step, batches) -> steps.put(step, StepOdds.learnt(step.prior(), batches)));
        orNone(counts).stream().collect(Collectors.groupingBy(CountAsked::step))
                .forEach((step, counted) -> steps.put(step, StepOdds.counted(step.prior(),
                        counted.stream().mapToInt(CountAsked::succeeded).sum(),
                        counted.stream().mapToInt(CountAsked::tried).sum())));
        return new SeasonRates(steps);
    }

    private static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }

    /** Collects what core refuses, so that everything is said at once. */
    private static final class Checked {
        private final List<Refusal.Finding> findings = new ArrayList<>();

        <T> Optional<T> one(String field, Supplier<T> make) {
            try {
                return Optional.of(make.get());
            } catch (IllegalArgumentException refused) {
                findings.add(new Refusal.Finding(field, refused.getMessage() + "."));
                return Optional.empty();
            }
        }

        <F, T> List<T> each(String field, List<F> all, Function<F, T> make) {
            List<T> made = new ArrayList<>();
            for (int index = 0; index < all.size(); index++) {
                F asked = all.get(index);
                one(field + "[" + index + "]", () -> make.apply(asked)).ifPresent(made::add);
            }
            return made;
        }

        void refuse() {
            if (!findings.isEmpty()) {
                throw Refusal.invalid(findings);
            }
        }
    }
}
