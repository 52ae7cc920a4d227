package vividcrown.core.season.supply;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.demand.Product;
import vividcrown.core.mating.MatingChance;
import vividcrown.core.mating.MatingWeather;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.LateOdds;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Backward;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.time.DaySpan;

/**
 * What a graft of one day gives by another: its losses, with what surrounds it, the weather of its mating days and the
 * time its queens have had. What was reckoned once is kept; several may ask at once.
 */
public final class Supply {

    private static final double HARDLY_ANY = 0.002;

    private final SeasonBrief brief;
    private final boolean evenly;
    /** Of whom nothing is known. */
    private final Virgins most;
    private final OwnShares ownShares;
    private final LateOdds late;
    private final int emergence;
    private final int flatBrood;
    private final Map<Flights, Map<MatingWeather, Double>> weatherOf = new ConcurrentHashMap<>();
    private final Map<Bound, List<Map.Entry<String, Double>>> where = new ConcurrentHashMap<>();
    private final Map<Placed, Rate> rates = new ConcurrentHashMap<>();
    private final Map<Asked, Yield> yields = new ConcurrentHashMap<>();
    private final Map<Begun, Yield> beforeLast = new ConcurrentHashMap<>();

    /** @param yard where its virgins fly; the season's own weather if nobody knows */
    private record Flights(LocalDate graft, Optional<String> yard) {
    }

    private record Placed(LossStep step, LocalDate graft, Around around, List<Map.Entry<String, Double>> where) {
    }

    private record Bound(Virgins virgins, LocalDate graft, Around around) {
    }

    private record Begun(LocalDate graft, int cups, int steps, List<Map.Entry<String, Double>> where) {
    }

    private record Asked(Product product, LocalDate graft, LocalDate delivery, int cups,
            List<Map.Entry<String, Double>> where) {
    }

    /**
     * Virgins to come of which nobody has said yet where they mate.
     *
     * @param line that is asked for, which may say where
     * @param many how many about want a nuc at a time
     */
    public record Virgins(Optional<String> line, int many) {

        /** Of queens that are wanted, so many times cells are placed, about. */
        private static final double CELLS_A_QUEEN = 1.5;

        public static Virgins of(PromiseGroup group) {
            return of(group.line(), group.count());
        }

        public static Virgins of(Optional<String> line, int queens) {
            return new Virgins(line, (int) Math.ceil(CELLS_A_QUEEN * queens));
        }
    }

    /** What shares its luck. */
    private record Together(LocalDate graft, List<LossStep> passed, LocalDate handedOver) {
    }

    /** So many cups of a day with the same things around them. */
    record Part(int cups, Around around) {

        /** Some cups of a batch: of queens, as many for each yard as its cells go there. */
        static List<Part> of(PlannedBatch batch, int cups, SupplyKind kind) {
            if (kind != SupplyKind.QUEENS || batch.at().isEmpty()) {
                return List.of(new Part(cups, batch.around()));
            }
            return batch.sharedOut(cups).stream().map(
                    here -> new Part(here.getValue(), batch.around().with(Circumstance.YARD, here.getKey()))).toList();
        }
    }

    /** Virgins are taken to go to the best yards that have nucs for them. */
    public Supply(SeasonBrief brief) {
        this(brief, false);
    }

    private Supply(SeasonBrief brief, boolean evenly) {
        this.brief = brief;
        this.evenly = evenly;
        this.most = Virgins.of(Optional.empty(), mostAsked(brief));
        this.ownShares = new OwnShares(brief.expected().rates());
        this.late = new LateOdds(LossStep.MATING.prior(), brief.expected().assumptions());
        this.emergence = Backward.fromGraft(Product.VIRGINS, brief.expected().how(), brief.expected().assumptions())
                .likelyDay();
        this.flatBrood = brief.expected().assumptions()
                .span(Figure.FLAT_SEALED_BROOD).likelyDay();
    }

    /** What its days have in common. */
    public OwnShares ownShares() {
        return ownShares;
    }

    static int mostAsked(SeasonBrief brief) {
        return brief.demands().stream().filter(one -> SupplyKind.of(one.product()) == SupplyKind.QUEENS)
                .mapToInt(Demand::count).max().orElse(1);
    }

    /** Days from the graft to the first day on which it can be had. */
    public int soonest(Product product) {
        DaySpan length = Backward.fromGraft(product, brief.expected().how(), brief.expected().assumptions());
        return switch (product) {
            case RIPE_CELLS -> length.likelyDay();
            case VIRGINS -> length.latestDay();
            case LAYING_QUEENS, MATED_QUEENS, JUDGED_QUEENS, NUCS_WITH_QUEEN -> length.earliestDay();
        };
    }

    /** Days from the graft to the last day on which it is still good to hand over. */
    public int longest(Product product) {
        return switch (product) {
            case RIPE_CELLS -> soonest(product);
            case VIRGINS -> soonest(product) + 4;
            case LAYING_QUEENS, MATED_QUEENS, JUDGED_QUEENS, NUCS_WITH_QUEEN -> soonest(product) + 21;
        };
    }

    /** Chance that virgins of this graft find the weather to mate, 0–1, at the best yard for them. */
    public double matingWeather(LocalDate graft) {
        return matingWeather(graft, Optional.empty());
    }

    /** The same for virgins of a line, where they may mate. */
    public double matingWeather(LocalDate graft, Optional<String> line) {
        return brief.means().yardsFor(line).stream().filter(yard -> yard.nucs() > 0)
                .mapToDouble(yard -> matingWeatherAt(yard.id(), graft)).max()
                .orElseGet(() -> matingWeather(new Flights(graft, Optional.empty())));
    }

    /** The same at one yard. */
    public double matingWeatherAt(String yard, LocalDate graft) {
        return matingWeather(new Flights(graft, Optional.of(yard)));
    }

    private double matingWeather(Flights flights) {
        return 1 - Objects.requireNonNull(weatherOf(flights).get(MatingWeather.NONE));
    }

    private Map<MatingWeather, Double> weatherOf(Flights flights) {
        return weatherOf.computeIfAbsent(flights, one -> new MatingChance(one.yard().flatMap(brief.means()::yard)
                .flatMap(MatingYard::climate).orElse(brief.expected().climate()))
                .weather(one.graft().plusDays(emergence)));
    }

    /** Nothing known of a graft to come but who makes it. */
    public Around usual() {
        return Around.NOTHING_KNOWN.with(Circumstance.PERSON, brief.means().crew().grafter());
    }

    /** The same of virgins of a line that may mate at one yard only. */
    public Around usual(Optional<String> line) {
        List<MatingYard> where = brief.means().yardsFor(line);
        return where.size() == 1 ? usual().with(Circumstance.YARD, where.getFirst().id()) : usual();
    }

    /** The same season, if virgins go wherever nucs are: what orders that want the same yards count on. */
    public Supply evenly() {
        return new Supply(brief, true);
    }

    /** Belief about one step of a graft, without the time its queens have. */
    public Rate rate(LossStep step, LocalDate graft, Around around) {
        return rate(step, graft, around, step == LossStep.MATING ? where(most, graft, around) : List.of());
    }

    private Rate rate(LossStep step, LocalDate graft, Around around, List<Map.Entry<String, Double>> where) {
        return rates.computeIfAbsent(new Placed(step, graft, around, where), _ -> {
            Around known = around.with(Circumstance.MONTH, graft.getMonth().name());
            return step == LossStep.MATING ? mating(graft, known, where) : brief.expected().rates().at(step, known);
        });
    }

    /**
     * Where virgins will mate of which nobody has said it, each yard with its share: the best yards first, as far as nucs are free there when
     * their cells are ripe. Empty if it is known, or if nobody asks.
     */
    private List<Map.Entry<String, Double>> where(Virgins virgins, LocalDate graft, Around around) {
        return brief.means().yards().isEmpty() || around.get(Circumstance.YARD).isPresent()
                ? List.of()
                : where.computeIfAbsent(new Bound(virgins, graft, around), _ -> bestFirst(virgins, graft, around));
    }

    private List<Map.Entry<String, Double>> bestFirst(Virgins virgins, LocalDate graft, Around around) {
        List<MatingYard> open = brief.means().yardsFor(virgins.line()).stream().filter(yard -> yard.nucs() > 0)
                .toList();
        LocalDate ripe = graft.plusDays(brief.ripeAfter());
        boolean allTaken = open.stream().allMatch(yard -> yard.freeNucs(ripe) == 0);
        ToIntFunction<MatingYard> room = yard -> allTaken ? yard.nucs() : yard.freeNucs(ripe);
        int all = open.stream().mapToInt(room).sum();
        List<MatingYard> best = evenly || open.size() < 2
                ? open
                : open.stream().sorted(Comparator.comparingDouble(
                        yard -> -mating(graft, around, List.of(Map.entry(yard.id(), 1.0))).mean())).toList();
        int together = evenly ? all : Math.min(all, Math.max(1, virgins.many()));
        List<Map.Entry<String, Double>> shares = new ArrayList<>();
        int left = together;
        for (MatingYard yard : best) {
            int here = Math.min(left, room.applyAsInt(yard));
            if (here > 0) {
                shares.add(Map.entry(yard.id(), (double) here / together));
            }
            left -= here;
        }
        return shares;
    }

    /**
     * In each kind of weather it has its own belief, and so at each yard; together they are a Beta with the same mean and variance.
     *
     * @param where the yards where they mate; empty if it is known of what surrounds them, or nobody asks
     */
    private Rate mating(LocalDate graft, Around around, List<Map.Entry<String, Double>> where) {
        double mean = 0;
        double square = 0;
        List<Map.Entry<Around, Double>> places = where.isEmpty()
                ? List.of(Map.entry(around, 1.0))
                : where.stream()
                        .map(one -> Map.entry(around.with(Circumstance.YARD, one.getKey()), one.getValue())).toList();
        for (Map.Entry<Around, Double> place : places) {
            Flights flights = new Flights(graft, place.getKey().get(Circumstance.YARD));
            for (Map.Entry<MatingWeather, Double> kind : weatherOf(flights).entrySet()) {
                if (kind.getKey() != MatingWeather.NONE) {
                    Rate rate = brief.expected().rates().at(LossStep.MATING,
                            place.getKey().with(Circumstance.WEATHER, kind.getKey().name()));
                    double weight = place.getValue() * kind.getValue();
                    mean += weight * rate.mean();
                    square += weight * (rate.variance() + rate.mean() * rate.mean());
                }
            }
        }
        double inside = Math.clamp(mean, HARDLY_ANY, 1 - HARDLY_ANY);
        return Rate.ofMeanAndVariance(inside, Math.max(square - mean * mean, inside * (1 - inside) * HARDLY_ANY));
    }

    /** Beliefs about its losses, those that are passed left out. */
    public List<Rate> steps(Product product, LocalDate graft, LocalDate delivery, List<LossStep> passed,
            Around around) {
        return steps(product, graft, delivery, passed, around, where(most, graft, around));
    }

    private List<Rate> steps(Product product, LocalDate graft, LocalDate delivery, List<LossStep> passed,
            Around around, List<Map.Entry<String, Double>> where) {
        List<Rate> steps = new ArrayList<>();
        for (LossStep step : product.losses()) {
            if (!passed.contains(step)) {
                Rate rate = rate(step, graft, around, where);
                steps.add(step == LossStep.MATING ? scaled(rate, laying(product, graft, delivery)) : rate);
            }
        }
        return steps;
    }

    /** Of those that will lay, the share that does by the day they are handed over, 0–1. */
    public double laying(Product product, LocalDate graft, LocalDate delivery) {
        long days = ChronoUnit.DAYS.between(graft, delivery) - emergence
                - (product == Product.JUDGED_QUEENS ? flatBrood : 0);
        return late.layingBy(days);
    }

    private static Rate scaled(Rate rate, double factor) {
        double weight = rate.successes() + rate.failures();
        double mean = Math.clamp(rate.mean() * factor, HARDLY_ANY, 1 - HARDLY_ANY);
        return Rate.of(mean * weight, (1 - mean) * weight);
    }

    /** Of a graft of which nothing is known but its day, and for whom it is. */
    public Yield yield(Product product, Virgins virgins, LocalDate graft, LocalDate delivery, int cups) {
        List<Map.Entry<String, Double>> where = where(virgins, graft, usual());
        return yields.computeIfAbsent(new Asked(product, graft, delivery, cups, where), _ -> {
            List<Rate> steps = steps(product, graft, delivery, List.of(), usual(), where);
            // up to the virgin it is the same for every day of delivery
            Yield early = beforeLast.computeIfAbsent(new Begun(graft, cups, steps.size() - 1, where),
                    _ -> Yield.ofBatch(cups, steps.subList(0, steps.size() - 1)));
            return early.through(steps.getLast());
        });
    }

    /** Of all that is grafted on one day: the parts share the day's luck, each with its own chances. */
    public Yield yield(Product product, LocalDate graft, LocalDate delivery, List<Part> parts) {
        return together(parts, part -> steps(product, graft, delivery, List.of(), part.around()));
    }

    /** Parts of one day: the chance of each, weighed by its size, and one luck for all. */
    private static Yield together(List<Part> parts, Function<Part, List<Rate>> stepsOf) {
        int cups = parts.stream().mapToInt(Part::cups).sum();
        List<List<Rate>> each = parts.stream().map(stepsOf).toList();
        List<Rate> steps = new ArrayList<>();
        for (int step = 0; cups > 0 && step < each.getFirst().size(); step++) {
            double mean = 0;
            double weight = 0;
            for (int part = 0; part < each.size(); part++) {
                Rate rate = each.get(part).get(step);
                double share = (double) parts.get(part).cups() / cups;
                mean += share * rate.mean();
                weight += share * (rate.successes() + rate.failures());
            }
            steps.add(Rate.of(mean * weight, (1 - mean) * weight));
        }
        return Yield.ofBatch(cups, steps);
    }

    /** How many virgins a cup gives against one of which nothing is known, in steps of 5 %. */
    public int percent(Around around) {
        double ratio = 1;
        for (LossStep step : List.of(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE)) {
            ratio *= rate(step, brief.today(), around).mean() / rate(step, brief.today(), usual()).mean();
        }
        return (int) Math.clamp(Math.round(ratio * 20) * 5, 20, 300);
    }

    /** Share of so many cups that comes through to that delivery, on average. */
    public double through(Product product, Virgins virgins, LocalDate graft, LocalDate delivery) {
        return steps(product, graft, delivery, List.of(), usual(), where(virgins, graft, usual())).stream()
                .mapToDouble(Rate::mean).reduce(1,
                        (one, two) -> one * two);
    }

    /** Cells that are ripe and sound out of so many cups, on average, rounded up. */
    public int ripe(LocalDate graft, int cups) {
        return (int) Math.ceil(ripeOnAverage(graft, cups, usual()) - 1e-9);
    }

    public double ripeOnAverage(LocalDate graft, int cups, Around around) {
        return cups * rate(LossStep.TAKE, graft, around).mean() * rate(LossStep.SOUND, graft, around).mean();
    }

    /**
     * The day in the group's time on which what is running can be handed over, the latest that is; empty if there is none.
     * Ripe cells go on the day they are ripe, virgins within days, queens keep for long.
     */
    Optional<LocalDate> handOver(RunningBatch batch, PromiseGroup group) {
        Product product = group.product();
        if (batch.passed().size() > product.losses().size()) {
            return Optional.empty();
        }
        LocalDate soonest = batch.graftDay().plusDays(soonest(product));
        boolean keeps = SupplyKind.of(product) == SupplyKind.QUEENS;
        LocalDate latest = keeps ? group.until() : batch.graftDay().plusDays(longest(product));
        LocalDate day = latest.isBefore(group.until()) ? latest : group.until();
        return day.isBefore(soonest) || day.isBefore(group.from()) ? Optional.empty() : Optional.of(day);
    }

    /** What comes of shares of what is running, in the group's time: those of one graft day share its luck, however they are written. */
    Yield ofRunning(List<RunningShares.Share> shares, PromiseGroup group) {
        Map<Together, List<RunningShares.Share>> days = new LinkedHashMap<>();
        shares.forEach(share -> days.computeIfAbsent(new Together(share.batch().graftDay(), share.batch().passed(),
                handOver(share.batch(), group).orElse(group.until())), _ -> new ArrayList<>()).add(share));
        Yield all = Yield.NOTHING;
        for (Map.Entry<Together, List<RunningShares.Share>> one : days.entrySet()) {
            all = all.plus(together(
                    one.getValue().stream().map(share -> new Part(share.alive(), share.batch().around()))
                            .toList(),
                    part -> steps(group.product(), one.getKey().graft(), one.getKey().handedOver(),
                            one.getKey().passed(), part.around())));
        }
        return all;
    }

    Yield ofRunning(RunningBatch batch, int alive, Product product, LocalDate delivery) {
        return Yield.ofBatch(alive, steps(product, batch.graftDay(), delivery, batch.passed(), batch.around()));
    }
}
