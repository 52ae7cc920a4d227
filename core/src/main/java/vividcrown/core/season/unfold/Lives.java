package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.LossStep;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Underway;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.plan.Deadline;
import vividcrown.core.season.supply.Supply;

/**
 * The rest of the season lived through many times, asked again on every graft day and before cells are placed: how often each order is whole
 * on its day if one goes on planning.
 */
public final class Lives {

    private static final int TAKES_SEEN_DAYS = 5;
    private static final int DRAWS = 32;
    /** Of no line in particular before those that somebody asks for, the oldest first. */
    private static final Comparator<Living> FIRST_GIVEN = Comparator
            .comparing((Living one) -> one.batch.line().isPresent())
            .thenComparing(one -> one.batch.graftDay());

    private final SeasonBrief brief;
    private final Supply supply;
    private final Timing timing;
    private final List<Wanted> orders;
    private final int ripeAfter;
    private final int emergedAfter;
    /** Days after emergence when whoever does not lay is given up. */
    private final int late;
    private final GraftDays days;
    /** What whoever plans on a day draws is the same in every life. */
    private final Map<LocalDate, Map<LocalDate, double[][]>> lucks = new HashMap<>();

    private Lives(SeasonBrief brief) {
        this.brief = brief;
        this.supply = new Supply(brief);
        this.timing = new Timing(brief, supply);
        this.orders = timing.orders();
        this.ripeAfter = brief.ripeAfter();
        this.emergedAfter = supply.soonest(Product.VIRGINS);
        this.late = brief.expected().assumptions().span(Figure.LATE).latestDay();
        this.days = GraftDays.of(timing);
    }

    private Draws draws(LocalDate day) {
        return new Draws(supply, DRAWS, day.toEpochDay(), lucks.computeIfAbsent(day, _ -> new HashMap<>()));
    }

    /**
     * @param chances by the demand's id: share of the lives in which its whole number was there in time
     * @param lives how many these were
     */
    public record Odds(Map<String, Double> chances, int lives) {
    }

    /**
     * @param lives how often, 8–2,000
     * @throws IllegalArgumentException if it is senseless to plan; see {@link SeasonBrief#refuse()}
     */
    public static Odds odds(SeasonBrief brief, int lives) {
        return odds(brief, lives, lives, 0);
    }

    /**
     * As many lives as the time allows: the more there are, the less luck is in what is said.
     *
     * @param least so many in any case, 8 or more
     * @param most 2,000 at most
     * @param seconds after which none is begun any more
     * @throws IllegalArgumentException if it is senseless to plan; see {@link SeasonBrief#refuse()}
     */
    public static Odds odds(SeasonBrief brief, int least, int most, double seconds) {
        brief.refuse();
        Deadline deadline = new Deadline(seconds);
        List<Stock> stocks = Stocks.of(brief);
        int hands = Runtime.getRuntime().availableProcessors();
        // what each hand reckons it keeps for itself
        List<Set<String>> met = IntStream.range(0, hands).parallel().mapToObj(hand -> {
            Lives own = new Lives(brief);
            return IntStream
                    .iterate(hand, life -> life < least || life < most && !deadline.isOver(), life -> life + hands)
                    .mapToObj(life -> own.new Life(stocks, brief.today().toEpochDay() * 10_007 + life).live()).toList();
        }).flatMap(List::stream).toList();
        Map<String, Double> chances = new HashMap<>();
        brief.demands().forEach(one -> chances.put(one.id(),
                (double) met.stream().filter(whole -> whole.contains(one.id())).count() / met.size()));
        return new Odds(chances, met.size());
    }

    /** A batch in one life. */
    private final class Living {
        private final RunningBatch batch;
        private final SupplyKind kind;
        private final Counted truth;
        private final boolean isNew;
        private int meant;
        private int given;
        private boolean placed;

        Living(Stock stock, boolean isNew, Draws luck) {
            this.isNew = isNew;
            this.batch = stock.batch();
            this.kind = stock.kind();
            this.meant = stock.meant();
            this.placed = batch.passed().contains(LossStep.SOUND);
            this.truth = new Counted(luck.of(batch.graftDay(), batch.alive(), batch.passed(), batch.around()), kind);
        }

        private int took() {
            return truth.took(0, batch.alive());
        }

        private int ripe() {
            return truth.ripe(0, batch.alive());
        }

        /** Those placed that come out, or, of queens, that lay with so much of the time behind them. */
        private int came(double share) {
            return truth.come(share)[0][Math.min(meant, ripe())];
        }

        /** A nuc whose cell gave no virgin, or whose virgin is late and never lays, gets the next cell. */
        private int nucs(LocalDate day) {
            long age = ChronoUnit.DAYS.between(batch.graftDay(), day);
            int there = age >= emergedAfter + late
                    ? came(1)
                    : age >= emergedAfter ? came(Draws.NEVER) : Math.min(meant, ripe());
            return Math.max(0, there - given);
        }

        /** Of those that are there for an order on its day, so many that nobody has got. */
        private int had(Wanted order) {
            boolean suits = order.kind() == kind && order.takes(batch.line());
            double share = suits ? timing.ready(order, batch.graftDay()) : -1;
            if (share < 0) {
                return 0;
            }
            return (kind == SupplyKind.CELLS ? ripe() : came(share)) - given;
        }

        /** The same, once it was looked who of them lays: those that an order can have apart from those that may lay still. */
        private List<Stock> seen(Wanted order) {
            int lay = Math.max(0, had(order));
            Optional<Stock> known = known(order.day());
            if (lay == 0 || known.isEmpty()) {
                return known.stream().toList();
            }
            double share = timing.ready(order, batch.graftDay());
            double mate = supply.rate(LossStep.MATING, batch.graftDay(), batch.around()).mean();
            int others = came(Draws.NEVER) - came(share);
            // of whom most would lay by now if they ever did
            int alive = (int) Math.round(others * (1 - share) / (1 - mate * share));
            List<Stock> seen = new ArrayList<>(List.of(new Stock(new RunningBatch(batch.id(), batch.line(),
                    batch.graftDay(), lay, Draws.WAY, batch.around()), kind, meant, isNew)));
            if (alive > 0) {
                seen.add(known.get().with(alive));
            }
            return seen;
        }

        /** As anybody can know it that morning; empty if nothing is left of it. */
        private Optional<Stock> known(LocalDate day) {
            long age = ChronoUnit.DAYS.between(batch.graftDay(), day);
            if (day.isAfter(timing.keepsUntil(kind, batch.graftDay())) || kind == SupplyKind.CELLS && age > ripeAfter) {
                return Optional.empty();
            }
            List<LossStep> passed = new ArrayList<>(batch.passed());
            int alive = batch.alive();
            if (!passed.contains(LossStep.TAKE) && age >= TAKES_SEEN_DAYS) {
                passed.add(LossStep.TAKE);
                alive = took();
            }
            if (!passed.contains(LossStep.SOUND) && age >= ripeAfter && placed) {
                passed.add(LossStep.SOUND);
                alive = Math.min(meant, ripe());
            }
            if (!passed.contains(LossStep.EMERGENCE) && age >= emergedAfter && placed) {
                passed.add(LossStep.EMERGENCE);
                alive = came(Draws.NEVER);
            }
            return alive - given > 0
                    ? Optional.of(new Stock(new RunningBatch(batch.id(), batch.line(), batch.graftDay(), alive - given,
                            passed, batch.around()), kind, meant, isNew))
                    : Optional.empty();
        }
    }

    private final class Life {
        private final Draws luck;
        private final List<Living> living = new ArrayList<>();
        private final Set<String> whole = new HashSet<>();
        /** What is missing of each order that is neither whole nor given up. */
        private final Map<String, Integer> missing = new HashMap<>();
        private final FreeBuilders builders = new FreeBuilders(brief.means().builders());
        private final NucsForCells hanging = new NucsForCells(brief.means());

        Life(List<Stock> stocks, long seed) {
            this.luck = new Draws(supply, 1, seed);
            stocks.forEach(stock -> living.add(new Living(stock, false, luck)));
            orders.forEach(order -> missing.put(order.demand().id(), order.demand().count()));
        }

        Set<String> live() {
            LocalDate last = orders.isEmpty() ? brief.today() : orders.getLast().day();
            for (LocalDate day = brief.today(); !day.isAfter(last); day = day.plusDays(1)) {
                place(day);
                handOver(day);
                graft(day);
            }
            return whole;
        }

        private SeasonBrief on(LocalDate day) {
            return new SeasonBrief(day, brief.until().isBefore(day) ? day : brief.until(),
                    brief.demands().stream().filter(one -> missing.containsKey(one.id()))
                            .map(one -> one.of(Objects.requireNonNull(missing.get(one.id())))).toList(),
                    brief.means(), brief.drones(), Underway.NOTHING, brief.expected());
        }

        private List<Wanted> wanted(SeasonBrief then) {
            return new Timing(then, supply).ordersAndLater();
        }

        private List<Stock> stocks(LocalDate day) {
            return living.stream().flatMap(one -> one.known(day).stream()).toList();
        }

        private void place(LocalDate day) {
            for (Living one : living) {
                if (one.placed || ChronoUnit.DAYS.between(one.batch.graftDay(), day) < ripeAfter) {
                    continue;
                }
                one.placed = true;
                if (one.kind == SupplyKind.QUEENS && !missing.isEmpty()) {
                    int ripe = one.ripe();
                    Stock itself = new Stock(
                            new RunningBatch(one.batch.id(), one.batch.line(), one.batch.graftDay(), ripe,
                                    Timing.RIPE, one.batch.around()),
                            SupplyKind.QUEENS, ripe, one.isNew);
                    List<Stock> all = new ArrayList<>(living.stream().filter(other -> other != one)
                            .flatMap(other -> other.known(day).stream()).toList());
                    all.add(itself);
                    SeasonBrief then = on(day);
                    one.meant = Math.min(freeNucs(one, day),
                            new Ahead(then, supply, wanted(then), all, draws(day)).place(itself, day));
                    if (!one.isNew) {
                        hanging.place(day, Math.min(one.meant, ripe));
                    }
                }
            }
        }

        /** Of what hung on the bars when this began the season's nucs that are taken tell already, from the day on which it is ripe. */
        private int freeNucs(Living itself, LocalDate day) {
            int taken = living.stream().filter(one -> one.isNew && one.kind == SupplyKind.QUEENS && one.placed
                    && one != itself && !day.isAfter(timing.keepsUntil(one.kind, one.batch.graftDay())))
                    .mapToInt(one -> one.nucs(day)).sum();
            return Math.max(0, (itself.isNew ? brief.means().freeNucs(day) : hanging.left(day)) - taken);
        }

        /** So many are handed over today, if there are as many. */
        private int given(Wanted now, int need) {
            int there = living.stream().mapToInt(one -> Math.max(0, one.had(now))).sum();
            boolean whole = there >= need && !now.day().isAfter(now.demand().until());
            if (there == 0 || whole || now.kind() != SupplyKind.QUEENS) {
                return need;
            }
            return new KeptBack(on(now.day()), supply, draws(now.day()), days.nextForQueens(now.day(), builders))
                    .given(now.demand().of(need), living.stream().flatMap(one -> one.seen(now).stream()).toList());
        }

        /** Each on its day, and what is missing of it then as it comes, while the customer waits and others do not become whole by it. */
        private void handOver(LocalDate day) {
            for (Wanted order : orders) {
                String id = order.demand().id();
                if (!missing.containsKey(id) || day.isBefore(order.day()) || !brief.means().crew().works(day)) {
                    continue;
                }
                if (timing.isGivenUp(order.demand(), day)) {
                    missing.remove(id);
                    continue;
                }
                Wanted now = new Wanted(order.demand(), day);
                int need = Objects.requireNonNull(missing.get(id));
                int open = given(now, need);
                for (Living one : living.stream().sorted(FIRST_GIVEN).toList()) {
                    int take = Math.clamp(one.had(now), 0, open);
                    one.given += take;
                    need -= take;
                    open -= take;
                }
                if (need > 0) {
                    missing.put(id, need);
                    continue;
                }
                missing.remove(id);
                if (!day.isAfter(order.demand().until())) {
                    whole.add(id);
                }
            }
        }

        private void graft(LocalDate day) {
            if (!brief.isGraftDay(day) || missing.isEmpty()) {
                return;
            }
            SeasonBrief then = on(day);
            List<Wanted> wanted = wanted(then);
            Map<SupplyKind, LocalDate> next = new EnumMap<>(days.next(day, builders));
            next.keySet().removeIf(kind -> wanted.stream()
                    .noneMatch(one -> one.kind() == kind && timing.reaches(one, day)));
            int free = builders.cups(day);
            if (next.isEmpty() || free < 1) {
                return;
            }
            List<Ahead.Graft> grafts = new Ahead(then, supply, wanted, stocks(day), draws(day))
                    .grafts(next, free, builders.usualLoad());
            builders.load(day, grafts.stream().mapToInt(Ahead.Graft::cups).sum());
            grafts.forEach(graft -> living.add(new Living(new Stock(new RunningBatch(day + " " + graft.kind()
                    + graft.line().orElse(""), graft.line(), day, graft.cups(), List.of(),
                    Around.NOTHING_KNOWN), graft.kind(), graft.place(), true), true, luck)));
        }
    }
}
