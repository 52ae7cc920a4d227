package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.recipe.WorkTime;
import vividcrown.core.season.supply.Supply;

/**
 * The season ahead in many draws: what lives is handed out to the orders day by day, the oldest first, and a choice of today is weighed by
 * what it saves of orders that nothing later can help, and by the queens that nobody takes while they keep. An order that a later graft can
 * still help needs its expected number only: its safety is bought at its last graft, for what is missing then (rolling horizon; Birge &amp;
 * Louveaux, Introduction to Stochastic Programming, 2011, ch. 9; from memory).
 */
public final class Ahead {

    /** For one line on one day. */
    private static final int MOST_CUPS = 200;
    private static final int LEAST_CUPS = 12;
    private static final double TIMES_WANTED = 4;
    private static final int CUP_PRICES_TRIED = 6;
    /** The first cups of a graft save more than they do on average. */
    private static final double CUP_DEARER_THAN_AVERAGE = 3;
    private static final Choice NOTHING = new Choice(List.of(), Map.of());

    private final SeasonBrief brief;
    private final Supply supply;
    private final Timing timing;
    private final SeasonWorth worth;
    private final Draws draws;
    private final List<Wanted> orders;
    private final List<Holding> holdings = new ArrayList<>();
    private final List<Stock> stocks;
    private final int[] before;
    private final Map<Pool, Counted> ofToday = new HashMap<>();
    /** That builders take. */
    private int mostCups = MOST_CUPS;
    private final Map<Map<SupplyKind, LocalDate>, AfterToday> afterToday = new HashMap<>();

    /**
     * @param stocks what lives
     * @param many draws, 16–4,096
     */
    public Ahead(SeasonBrief brief, List<Stock> stocks, int many, long seed) {
        this(brief, new Supply(brief), stocks, many, seed);
    }

    private Ahead(SeasonBrief brief, Supply supply, List<Stock> stocks, int many, long seed) {
        this(brief, supply, new Timing(brief, supply).ordersAndLater(), stocks, new Draws(supply, many, seed));
    }

    /**
     * @param supply of the same season, that keeps what it reckoned
     * @param orders as they are served
     */
    Ahead(SeasonBrief brief, Supply supply, List<Wanted> orders, List<Stock> stocks, Draws draws) {
        this.brief = brief;
        this.supply = supply;
        this.timing = new Timing(brief, supply);
        this.worth = brief.expected().worth();
        this.draws = draws;
        this.orders = orders;
        this.before = HandedOut.before(orders);
        this.stocks = List.copyOf(stocks);
        stocks.forEach(
                stock -> holdings.add(Holding.of(stock, draws, orders, timing)));
    }

    /** @param place how many of its ripe cells are meant to be placed */
    public record Graft(Optional<String> line, SupplyKind kind, int cups, int place) {
        /** As the same, of one line. */
        boolean isLike(Graft other) {
            return kind == other.kind && line.equals(other.line);
        }
    }

    /**
     * What to graft today.
     *
     * @param next for each kind the next day on which a graft could be made instead; nothing is grafted today of a kind that is not in it
     * @param mostCups that builders take today
     * @param usualLoad cups of one builder
     * @return empty if nothing is to be grafted
     */
    public List<Graft> grafts(Map<SupplyKind, LocalDate> next, int mostCups, int usualLoad) {
        if (mostCups < 1) {
            return List.of();
        }
        this.mostCups = Math.min(mostCups, MOST_CUPS);
        List<Pool> pools = next.keySet().stream()
                .flatMap(kind -> lines(kind).stream().map(line -> new Pool(kind, line))).filter(this::isReached)
                .toList();
        Choice free = choose(pools, next, usualLoad, Limits.NONE);
        int kept = keptForCells();
        return (fits(free, kept) ? free : whereShort(pools, next, usualLoad, kept, free)).grafts();
    }

    /** Builders are short: a cup has a price, and what room is left at it then goes to what saves most for each cup. */
    private Choice whereShort(List<Pool> pools, Map<SupplyKind, LocalDate> next, int usualLoad, int kept, Choice free) {
        double dearest = free.worth().values().stream().mapToDouble(Double::doubleValue).max().orElse(0);
        Choice sure = free.grafts().size() > 1
                ? CupPrice.least(CUP_DEARER_THAN_AVERAGE * dearest, CUP_PRICES_TRIED,
                        price -> choose(pools, next, usualLoad, Limits.price(price)), one -> fits(one, kept), NOTHING)
                : NOTHING;
        List<Pool> byWorth = pools.stream().sorted(
                Comparator.comparingDouble((Pool pool) -> -free.worth().getOrDefault(pool, 0.0))).toList();
        return choose(byWorth, next, usualLoad, new Limits(mostCups, kept, sure.cups(), 0));
    }

    private boolean fits(Choice choice, int kept) {
        int all = choice.grafts().stream().mapToInt(Graft::cups).sum();
        boolean queens = choice.grafts().stream().anyMatch(one -> one.kind() == SupplyKind.QUEENS);
        return all + (queens ? kept : 0) <= mostCups;
    }

    /** Cups of builders that queens of today must not take. */
    int keptForCells() {
        return new CellsFirst(timing).kept(orders, new FreeBuilders(brief.means().builders()), this::missing);
    }

    private record Pool(SupplyKind kind, Optional<String> line) {
    }

    /**
     * @param together cups of all
     * @param kept of these, not for queens
     * @param sure that each pool gets at least if it wants them
     * @param price of a cup, beside its work
     */
    private record Limits(int together, int kept, Map<Pool, Integer> sure, double price) {

        static final Limits NONE = price(0);

        static Limits price(double price) {
            return new Limits(Integer.MAX_VALUE, 0, Map.of(), price);
        }

        int most(Pool pool, int used, List<Pool> later) {
            int theirs = later.stream().mapToInt(one -> sure.getOrDefault(one, 0)).sum();
            return together - used - theirs - (pool.kind() == SupplyKind.QUEENS ? kept : 0);
        }
    }

    /** @param worth minutes saved for each cup */
    private record Choice(List<Graft> grafts, Map<Pool, Double> worth) {
        Map<Pool, Integer> cups() {
            return grafts.stream().collect(Collectors.toMap(one -> new Pool(one.kind(), one.line()), Graft::cups));
        }
    }

    private boolean isReached(Pool pool) {
        return timing.hasMother(pool.line()) && orders.stream()
                .anyMatch(one -> one.kind() == pool.kind() && one.takes(pool.line())
                        && timing.reaches(one, brief.today())
                        && (pool.line().isPresent() || one.demand().line().isEmpty()));
    }

    /** One pool after the other, each in view of those before it. */
    private Choice choose(List<Pool> pools, Map<SupplyKind, LocalDate> next, int usualLoad, Limits limits) {
        List<Graft> grafts = new ArrayList<>();
        List<Holding> chosen = new ArrayList<>();
        Map<Pool, Double> worthACup = new HashMap<>();
        int used = 0;
        for (int nth = 0; nth < pools.size(); nth++) {
            Pool pool = pools.get(nth);
            int most = Math.min(limits.most(pool, used, pools.subList(nth + 1, pools.size())), mostOf(pool));
            if (most < 1) {
                continue;
            }
            SupplyKind kind = pool.kind();
            Counted drawn = cupsOfToday(pool, most);
            int nucs = Math.min(most, freeNucs(chosen, pool.line()));
            IntToDoubleFunction placing = y -> weigh(
                    Optional.of(Holding.of(pool.line(), drawn, most, y, orders, timing)), chosen,
                    next) + placing(drawn, most, y);
            int place = kind == SupplyKind.QUEENS ? Cheapest.of(nucs, placing) : most;
            // cups of which no cell is to get a nuc would only tell how takes are these days
            if (place == 0) {
                continue;
            }
            int before = used;
            IntToDoubleFunction cost = x -> weigh(
                    Optional.of(Holding.of(pool.line(), drawn, x, place, orders, timing)), chosen,
                    next)
                    + x * (WorkTime.GRAFT_A_CUP + limits.price()) + placing(drawn, x, place)
                    + WorkTime.LOAD * (Math.ceilDiv(before + x, usualLoad) - Math.ceilDiv(before, usualLoad));
            int cups = Cheapest.of(most, cost);
            double saved = cups == 0 ? 0 : cost.applyAsDouble(0) - cost.applyAsDouble(cups);
            if (saved > 0) {
                used += cups;
                worthACup.put(pool, saved / cups);
                chosen.add(Holding.of(pool.line(), drawn, cups, place, orders, timing));
                grafts.add(new Graft(pool.line(), kind, cups, place));
            }
        }
        return new Choice(grafts, worthACup);
    }

    /** Nucs that are free when what is grafted today is ripe: queens without a nuc are grafted for nothing. */
    private int freeNucs(List<Holding> chosen, Optional<String> line) {
        LocalDate ripe = brief.today().plusDays(brief.ripeAfter());
        int anywhere = brief.means().freeNucs(ripe) - taken(chosen, ripe, _ -> true);
        int where = brief.means().freeNucs(ripe, line) - taken(chosen, ripe, line::equals);
        return Math.max(0, line.isPresent() ? Math.min(anywhere, where) : anywhere);
    }

    /** By what was grafted in this reckoning only: what runs is taken off what is free. */
    private int taken(List<Holding> chosen, LocalDate ripe, Predicate<Optional<String>> line) {
        int planned = stocks.stream().filter(one -> one.planned() && one.kind() == SupplyKind.QUEENS
                && line.test(one.line()) && !ripe.isBefore(one.graft().plusDays(brief.ripeAfter()))
                && !ripe.isAfter(timing.keepsUntil(one.kind(), one.graft())))
                .mapToInt(one -> Math.min(one.meant(), one.batch().alive())).sum();
        return planned + chosen.stream().filter(one -> one.kind() == SupplyKind.QUEENS && line.test(one.line()))
                .mapToInt(Holding::place).sum();
    }

    /** Nobody grafts more than some times of what all that could be served by it want. */
    private int mostOf(Pool pool) {
        int wanted = orders.stream().filter(one -> one.kind() == pool.kind() && one.takes(pool.line())
                && timing.reaches(one, brief.today())).map(Wanted::demand).distinct().mapToInt(Demand::count).sum();
        return enoughFor(wanted, mostCups);
    }

    static int enoughFor(int queens, int mostCups) {
        return Math.min(mostCups, LEAST_CUPS + (int) Math.ceil(TIMES_WANTED * queens));
    }

    /** The same cups whenever it is asked: only the number of them is chosen. */
    private Counted cupsOfToday(Pool pool, int most) {
        Counted kept = ofToday.get(pool);
        if (kept == null || kept.cups() < most) {
            kept = new Counted(draws.of(brief.today(), most, List.of(), supply.usual(pool.line())), pool.kind());
            ofToday.put(pool, kept);
        }
        return kept;
    }

    /**
     * How many ripe cells of a batch are worth a nuc: no more are placed than somebody is to get.
     *
     * @param stock one of those that live
     * @param next the next day on which a graft could be made
     */
    public int place(Stock stock, LocalDate next) {
        int at = stocks.indexOf(stock);
        Holding itself = holdings.remove(at);
        int alive = stock.batch().alive();
        Counted drawn = Counted.of(stock, draws);
        int best = Cheapest.of(alive, y -> weigh(
                Optional.of(Holding.of(stock.line(), drawn, alive, y, orders, timing)), List.of(),
                Map.of(SupplyKind.QUEENS, next)) + timing.placing(worth) * y);
        holdings.add(at, itself);
        return best;
    }

    /**
     * What the orders cost, in minutes, if some of what lives is not there.
     *
     * @param fewer by stock, of those that live, what is left of it
     * @param next the next day on which a graft could be made
     */
    double costWith(Map<Stock, Stock> fewer, LocalDate next) {
        List<Holding> left = IntStream.range(0, holdings.size()).mapToObj(
                at -> Optional.ofNullable(fewer.get(stocks.get(at)))
                        .map(less -> Holding.of(less, draws, orders, timing)).orElseGet(() -> holdings.get(at)))
                .toList();
        return weigh(left, Map.of(SupplyKind.QUEENS, next));
    }

    /** Of a demand, so many are missing on its day with what lives alone, on average. */
    public double missing(Demand demand) {
        int[] missing = HandedOut.of(orders, before, holdings, draws.many()).missing()[indexOf(demand)];
        return IntStream.of(missing).average().orElse(0);
    }

    private int indexOf(Demand demand) {
        int at = 0;
        while (!orders.get(at).demand().equals(demand)) {
            at++;
        }
        return at;
    }

    private List<Optional<String>> lines(SupplyKind kind) {
        return orders.stream().filter(one -> one.kind() == kind).map(one -> one.demand().line()).distinct()
                .sorted(Comparator.comparing((Optional<String> one) -> one.isEmpty())
                        .thenComparing(one -> one.orElse("")))
                .toList();
    }

    /** Minutes for the cells that are placed, on average. */
    private double placing(Counted drawn, int cups, int place) {
        return drawn.kind() == SupplyKind.QUEENS
                ? timing.placing(worth) * IntStream.range(0, draws.many())
                        .map(draw -> drawn.placed(draw, cups, place)).average().orElse(0)
                : 0;
    }

    private double weigh(Optional<Holding> more, List<Holding> chosen, Map<SupplyKind, LocalDate> next) {
        List<Holding> all = new ArrayList<>(holdings);
        all.addAll(chosen);
        more.ifPresent(all::add);
        return weigh(all, next);
    }

    private double weigh(List<Holding> all, Map<SupplyKind, LocalDate> next) {
        HandedOut handed = HandedOut.of(orders, before, all, draws.many());
        double cost = afterToday.computeIfAbsent(next,
                then -> new AfterToday(timing, draws, orders, mostCups, then)).cost(handed.missing(), all);
        for (int one = 0; one < all.size(); one++) {
            if (handed.from().get(one).kind() != SupplyKind.CELLS) {
                cost += handed.left(one) * worth.wastedQueen();
            }
        }
        return cost / draws.many();
    }
}
