package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.time.Month;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.odds.StepOdds;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonRates;
import vividcrown.core.season.Underway;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;

/**
 * A season lived day by day, knowing nothing of any planner: the operation's own shares are drawn, around them every graft day's luck, every cup its own; takes are counted after
 * five days, ripe cells placed on the tenth where there is a nuc, virgins seen on the fourteenth, laying queens as they begin; a queen keeps
 * three weeks, a virgin four days, a cell its day. Whoever decides is asked every morning.
 */
final class LivedSeason {

    /** So much of what nobody knows of a day is its luck, the rest the operation's own in that season. */
    private static final double DAYS = 0.8;
    private static final int TAKE_SEEN = 5;
    private static final int RIPE = 10;
    private static final int EMERGED_SEEN = 14;
    private static final int EMERGES = 12;
    private static final int QUEEN_FROM = 24;
    private static final int QUEEN_UNTIL = 45;
    private static final int VIRGIN_UNTIL = 18;
    private static final int LOST_AFTER = 14;
    private static final double LOAD_MINUTES = 90;

    /** Who decides. */
    interface Keeper {
        /** What to graft this morning. */
        List<Ahead.Graft> grafts(LivedSeason season);

        /** Of ripe cells this morning, so many are placed in nucs. */
        int place(LivedSeason season, Batch batch, int ripe, int nucs);

        /** Of so many queens that are there for an order that they do not make whole on its day, so many are handed over this morning. */
        default int gives(LivedSeason season, Demand order, int there) {
            return there;
        }
    }

    /** Cups of one day for one line and kind, and what became of them. */
    static final class Batch {
        private final LocalDate graft;
        private final Optional<String> line;
        private final SupplyKind kind;
        private final int meant;
        private final int cups;
        private final int took;
        private final int ripe;
        private int placed = -1;
        private int virgins;
        private final List<Integer> laysOn = new ArrayList<>();
        private int given;

        private Batch(LocalDate graft, Ahead.Graft asked, int took, int ripe) {
            this.graft = graft;
            this.line = asked.line();
            this.kind = asked.kind();
            this.meant = asked.place();
            this.cups = asked.cups();
            this.took = took;
            this.ripe = ripe;
        }

        LocalDate graft() {
            return graft;
        }

        Optional<String> line() {
            return line;
        }

        SupplyKind kind() {
            return kind;
        }

        /** Cells that were meant to be placed of it when it was grafted. */
        int meant() {
            return meant;
        }
    }

    private final SeasonBrief brief;
    private final SplittableRandom random;
    private final boolean told;
    /** Of each step, on all days of this season. */
    private final double[] own = new double[Draws.WAY.size()];
    private final List<Batch> batches = new ArrayList<>();
    private final Map<LocalDate, double[]> luck = new HashMap<>();
    private final Map<String, Integer> open = new HashMap<>();
    private final Map<String, LocalDate> met = new HashMap<>();
    private final Map<String, List<LocalDate>> loaded = new HashMap<>();
    private LocalDate today;
    private int wasted;
    private double minutes;

    /** @param poorer quantile at which every rate lies instead of being drawn; 0 to draw it */
    LivedSeason(SeasonBrief brief, long seed, double poorer) {
        this(brief, seed, poorer, false);
    }

    /** @param told whether whoever decides knows the operation's own shares from the first day, and so only days are luck */
    LivedSeason(SeasonBrief brief, long seed, double poorer, boolean told) {
        this.brief = brief;
        this.told = told;
        this.random = new SplittableRandom(seed);
        this.today = brief.today();
        UniformRandomProvider source = random.split()::nextLong;
        for (int at = 0; at < own.length; at++) {
            Rate prior = Draws.WAY.get(at).prior();
            own[at] = poorer > 0
                    ? prior.quantile(poorer)
                    : Math.min(0.995, drawn(prior.mean(), (1 - DAYS) * prior.variance(), source));
        }
        brief.demands().forEach(one -> open.put(one.id(), one.count()));
    }

    /**
     * @param onTime orders that were whole on their last day
     * @param inTheEnd these, and those that were while their customer still waited
     */
    record Lived(int orders, int onTime, int inTheEnd, int wasted, double hours) {
    }

    Lived live(Keeper keeper) {
        LocalDate last = brief.demands().stream().map(Demand::until).max(LocalDate::compareTo).orElseThrow()
                .plusDays(LOST_AFTER);
        for (; !today.isAfter(last); today = today.plusDays(1)) {
            batches.forEach(batch -> morning(batch, keeper));
            handOver(keeper);
            if (brief.means().crew().works(today) && brief.means().crew().works(today.plusDays(RIPE))) {
                keeper.grafts(this).stream().filter(one -> one.cups() > 0).forEach(this::graft);
            }
        }
        batches.forEach(batch -> wasted += Math.max(0, batch.laysOn.size() - batch.given));
        return new Lived(brief.demands().size(), keptOrders().size(), met.size(), wasted, minutes / 60);
    }

    LocalDate today() {
        return today;
    }

    /** Orders that were whole on their last day. */
    Set<String> keptOrders() {
        return brief.demands().stream()
                .filter(one -> met.containsKey(one.id()) && !met.get(one.id()).isAfter(one.until())).map(Demand::id)
                .collect(Collectors.toSet());
    }

    boolean works(LocalDate day) {
        return brief.means().crew().works(day);
    }

    /** Cups that builders which are free today bring up. */
    int freeCups() {
        return brief.means().builders().stream()
                .filter(this::isFree).mapToInt(CellBuilder::load).sum();
    }

    /** So many days after its last load, and so many loads before it rests. */
    private boolean isFree(CellBuilder builder) {
        List<LocalDate> loads = loaded.getOrDefault(builder.id(), List.of());
        return loads.stream().noneMatch(day -> today.isBefore(day.plusDays(builder.rhythm().daysBetweenLoads())))
                && loads.stream().filter(day -> today.isBefore(day.plusDays(builder.rhythm().restStretchDays())))
                        .count() < builder.rhythm().loadsBeforeRest();
    }

    int freeNucs() {
        int taken = batches.stream().filter(one -> one.kind == SupplyKind.QUEENS && one.placed > 0)
                .mapToInt(this::nucsOf).sum();
        return Math.max(0, brief.means().nucs() - taken);
    }

    /** A nuc whose cell gave no virgin, whose virgin never laid or whose queen is too old to be sold gets the next cell. */
    private int nucsOf(Batch batch) {
        long age = ChronoUnit.DAYS.between(batch.graft, today);
        int there = age > QUEEN_UNTIL
                ? 0
                : age >= NEVER_LAYS ? batch.laysOn.size() : age > EMERGED_SEEN ? batch.virgins : batch.placed;
        return Math.max(0, there - batch.given);
    }

    /** What of a step's belief nobody can know, around such a share. */
    private static double unlike(Rate prior, double share) {
        return prior.variance() * share * (1 - share) / (prior.mean() * (1 - prior.mean()));
    }

    private static double drawn(double mean, double variance, UniformRandomProvider source) {
        double weight = mean * (1 - mean) / variance - 1;
        return BetaDistribution.of(mean * weight, (1 - mean) * weight).createSampler(source).sample();
    }

    private double share(LocalDate graft, LossStep step) {
        double[] day = luck.computeIfAbsent(graft, _ -> {
            UniformRandomProvider source = random.split()::nextLong;
            double[] drawn = new double[Draws.WAY.size()];
            for (int at = 0; at < drawn.length; at++) {
                drawn[at] = drawn(own[at], DAYS * unlike(Draws.WAY.get(at).prior(), own[at]), source);
            }
            return drawn;
        });
        return Math.min(0.999, day[Draws.WAY.indexOf(step)]);
    }

    private int through(int many, LocalDate graft, LossStep step) {
        UniformRandomProvider source = random.split()::nextLong;
        return many == 0 ? 0 : BinomialDistribution.of(many, share(graft, step)).createSampler(source).sample();
    }

    private void graft(Ahead.Graft asked) {
        int cups = 0;
        for (CellBuilder builder : brief.means().builders()) {
            boolean free = isFree(builder);
            if (cups < asked.cups() && (free || room.getOrDefault(builder.id() + today, 0) > 0)) {
                int there = room.getOrDefault(builder.id() + today, builder.load());
                int take = Math.min(asked.cups() - cups, there);
                if (free) {
                    minutes += LOAD_MINUTES;
                    loaded.computeIfAbsent(builder.id(), _ -> new ArrayList<>()).add(today);
                }
                room.put(builder.id() + today, there - take);
                cups += take;
            }
        }
        if (cups > 0) {
            minutes += cups;
            int took = through(cups, today, LossStep.TAKE);
            int ripe = through(took, today, LossStep.SOUND);
            batches.add(new Batch(today, new Ahead.Graft(asked.line(), asked.kind(), cups, asked.place()), took, ripe));
        }
    }

    private final Map<String, Integer> room = new HashMap<>();

    private void morning(Batch batch, Keeper keeper) {
        long age = ChronoUnit.DAYS.between(batch.graft, today);
        if (age == RIPE) {
            batch.placed = switch (batch.kind) {
                case CELLS -> batch.ripe;
                case VIRGINS -> Math.min(batch.ripe, batch.meant);
                case QUEENS -> Math.min(batch.ripe, Math.min(freeNucs(),
                        keeper.place(this, batch, batch.ripe, freeNucs())));
            };
            if (batch.kind == SupplyKind.QUEENS) {
                minutes += batch.placed * 11.0;
            }
            batch.virgins = batch.kind == SupplyKind.CELLS ? 0 : through(batch.placed, batch.graft, LossStep.EMERGENCE);
            int mated = batch.kind == SupplyKind.QUEENS ? through(batch.virgins, batch.graft, LossStep.MATING) : 0;
            for (int queen = 0; queen < mated; queen++) {
                batch.laysOn.add(laysAfter());
            }
            batch.laysOn.sort(Comparator.naturalOrder());
        }
        if (batch.kind == SupplyKind.QUEENS && age > RIPE) {
            minutes += 0.2 * Math.max(0, batch.placed - batch.given);
        }
    }

    /** Days from the graft: triangular 8, 11, 16 after emergence, one in ten up to 28, when only drones are to be expected. */
    private int laysAfter() {
        double u = random.nextDouble();
        if (u > 0.9) {
            return EMERGES + 16 + (int) Math.ceil((u - 0.9) / 0.1 * 12);
        }
        double v = u / 0.9;
        double days = v < 3.0 / 8 ? 8 + Math.sqrt(v * 8 * 3) : 16 - Math.sqrt((1 - v) * 8 * 5);
        return EMERGES + (int) Math.ceil(days);
    }

    private int there(Batch batch, Demand demand) {
        if (batch.placed < 0 || SupplyKind.of(demand.product()) != batch.kind
                || demand.line().isPresent() && !demand.line().equals(batch.line)) {
            return 0;
        }
        long age = ChronoUnit.DAYS.between(batch.graft, today);
        return switch (batch.kind) {
            case CELLS -> age == RIPE ? batch.ripe - batch.given : 0;
            case VIRGINS -> age > EMERGES && age <= VIRGIN_UNTIL ? batch.virgins - batch.given : 0;
            case QUEENS -> {
                int more = demand.product() == Product.JUDGED_QUEENS ? 9 : 0;
                yield age < QUEEN_FROM + more || age > QUEEN_UNTIL
                        ? 0
                        : (int) batch.laysOn.stream().filter(day -> day + more <= age).count() - batch.given;
            }
        };
    }

    /** On the last working day in its time whatever there is, and later what is still missing; cells as they ripen. */
    private void handOver(Keeper keeper) {
        if (!brief.means().crew().works(today)) {
            return;
        }
        List<Demand> due = brief.demands().stream()
                .filter(one -> open.get(one.id()) > 0 && !today.isBefore(one.from())
                        && !today.isAfter(one.until().plusDays(LOST_AFTER)))
                .sorted(Comparator.comparing(Demand::until).thenComparing(Demand::priority).thenComparing(Demand::id))
                .toList();
        for (Demand demand : due) {
            List<Batch> from = batches.stream().filter(one -> there(one, demand) > 0)
                    .sorted(Comparator.comparing((Batch one) -> one.line.isPresent()).thenComparing(one -> one.graft))
                    .toList();
            int all = from.stream().mapToInt(one -> there(one, demand)).sum();
            boolean lastDay = !brief.means().crew().lastWorkdayUntil(demand.until()).isAfter(today);
            boolean cells = SupplyKind.of(demand.product()) == SupplyKind.CELLS;
            int need = open.get(demand.id());
            if ((lastDay || cells) && all > 0) {
                boolean inTime = !demand.until().isBefore(today);
                boolean settled = cells || SupplyKind.of(demand.product()) != SupplyKind.QUEENS
                        || inTime && all >= need;
                int left = settled
                        ? Math.min(need, all)
                        : Math.min(Math.min(need, all), keeper.gives(this, demand.of(need), Math.min(need, all)));
                if (left == 0) {
                    continue;
                }
                minutes += 6.0 * left;
                open.merge(demand.id(), -left, Integer::sum);
                for (Batch batch : from) {
                    int take = Math.min(left, there(batch, demand));
                    batch.given += take;
                    left -= take;
                }
                if (open.get(demand.id()) == 0) {
                    met.put(demand.id(), today);
                }
            }
        }
    }

    /** What anybody can know this morning, as a planner is told it. */
    SeasonBrief known() {
        List<Demand> demands = brief.demands().stream()
                .filter(one -> open.get(one.id()) > 0 && !today.isAfter(one.until().plusDays(LOST_AFTER)))
                .map(one -> one.of(open.get(one.id())))
                .toList();
        List<CellBuilder> builders = brief.means().builders().stream()
                .map(one -> new CellBuilder(one.id(), one.school(), one.load(), one.readyFrom(),
                        Stream.concat(one.grafts().stream(),
                                loaded.getOrDefault(one.id(), List.of()).stream()).toList()))
                .toList();
        return new SeasonBrief(today, brief.until().isBefore(today) ? today : brief.until(), demands,
                brief.means().with(builders), brief.drones(),
                new Underway(stocks().stream().map(Stock::batch).toList(), List.of(),
                        List.of()),
                brief.expected().with(counted()));
    }

    private static final int MATED_SEEN = 36;
    /** Days from the graft: a virgin that does not lay by then never will, and whoever looks knows it. */
    private static final int NEVER_LAYS = 32;
    private final Map<Integer, SeasonRates> counted = new HashMap<>();

    /** What was counted so far of each step, as whoever keeps a record has it: by graft day, each with its own luck. */
    SeasonRates counted() {
        int seen = batches.stream()
                .mapToInt(batch -> (int) Math.min(MATED_SEEN, ChronoUnit.DAYS.between(batch.graft, today))).sum();
        return told
                ? counted.computeIfAbsent(0, _ -> asTold())
                : counted.computeIfAbsent(seen, _ -> reckoned());
    }

    /** As sure as a hundred counted batches of a thousand in each month make it. */
    private SeasonRates asTold() {
        Map<LossStep, StepOdds> steps = new EnumMap<>(LossStep.class);
        for (LossStep step : Draws.WAY) {
            int came = (int) Math.round(1_000 * own[Draws.WAY.indexOf(step)]);
            steps.put(step, StepOdds.learnt(step.prior(), Stream.of(Month.MAY, Month.JUNE, Month.JULY, Month.AUGUST)
                    .map(month -> new StepOdds.Batch(
                            Around.NOTHING_KNOWN.with(Circumstance.MONTH, month.name()),
                            new StepOdds.Count(1_000, came)))
                    .flatMap(batch -> Collections.nCopies(100, batch).stream()).toList()));
        }
        return new SeasonRates(steps);
    }

    private SeasonRates reckoned() {
        Map<LossStep, List<StepOdds.Batch>> counts = new EnumMap<>(LossStep.class);
        for (Batch batch : batches) {
            long age = ChronoUnit.DAYS.between(batch.graft, today);
            count(counts, LossStep.TAKE, batch, age >= TAKE_SEEN, batch.cups, batch.took);
            count(counts, LossStep.SOUND, batch, age >= RIPE, batch.took, batch.ripe);
            boolean placed = batch.placed > 0 && batch.kind != SupplyKind.CELLS;
            count(counts, LossStep.EMERGENCE, batch, placed && age >= EMERGED_SEEN, batch.placed, batch.virgins);
            count(counts, LossStep.MATING, batch, placed && batch.kind == SupplyKind.QUEENS && age >= MATED_SEEN,
                    batch.virgins, batch.laysOn.size());
        }
        Map<LossStep, StepOdds> steps = new EnumMap<>(LossStep.class);
        counts.forEach((step, of) -> steps.put(step, StepOdds.learnt(step.prior(), of)));
        return new SeasonRates(steps);
    }

    private static void count(Map<LossStep, List<StepOdds.Batch>> counts, LossStep step, Batch batch, boolean seen,
            int tried, int came) {
        if (seen && tried > 0) {
            counts.computeIfAbsent(step, _ -> new ArrayList<>()).add(new StepOdds.Batch(
                    Around.NOTHING_KNOWN.with(Circumstance.MONTH, batch.graft.getMonth().name()),
                    new StepOdds.Count(tried, came)));
        }
    }

    List<Stock> stocks() {
        List<Stock> stocks = new ArrayList<>();
        for (Batch batch : batches) {
            long age = ChronoUnit.DAYS.between(batch.graft, today);
            List<LossStep> passed = new ArrayList<>();
            int alive = batch.cups;
            if (age >= TAKE_SEEN) {
                passed.add(LossStep.TAKE);
                alive = batch.took;
            }
            if (age >= RIPE && batch.placed >= 0) {
                passed.add(LossStep.SOUND);
                alive = batch.kind == SupplyKind.CELLS ? 0 : batch.placed;
            }
            if (age >= EMERGED_SEEN) {
                passed.add(LossStep.EMERGENCE);
                alive = batch.virgins - (batch.kind == SupplyKind.VIRGINS ? batch.given : 0);
            }
            boolean over = batch.kind == SupplyKind.VIRGINS && age > VIRGIN_UNTIL
                    || batch.kind == SupplyKind.QUEENS && age > QUEEN_UNTIL;
            int laying = (int) batch.laysOn.stream().filter(day -> day <= age).count();
            if (batch.kind == SupplyKind.QUEENS && age >= QUEEN_FROM && !over) {
                if (laying > batch.given) {
                    stocks.add(stock(batch, "laying", laying - batch.given, Draws.WAY));
                }
                alive = Math.max(0, batch.virgins - laying);
                // of those that do not lay yet many never will; whoever has looked knows it
                alive = (int) Math.round(alive * stillComes(age));
            }
            if (alive > 0 && !over) {
                stocks.add(stock(batch, "", alive, passed));
            }
        }
        return stocks;
    }

    private static double stillComes(long age) {
        return Math.clamp((NEVER_LAYS - age) / 8.0, 0, 1);
    }

    private Stock stock(Batch batch, String more, int alive, List<LossStep> passed) {
        return new Stock(new RunningBatch(batch.graft + " " + batch.line.orElse("") + batch.kind + more, batch.line,
                batch.graft, alive, passed, Around.NOTHING_KNOWN), batch.kind, batch.meant, true);
    }
}
