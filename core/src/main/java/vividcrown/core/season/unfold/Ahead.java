package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
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

    /**
     * What a queen of an order's expected number is worth while a later graft can still bring her: what raising her takes, and that later
     * grafts have less room and one day's luck instead of two. Tuned on seasons lived through; see docs/season.md.
     */
    private static final double EXPECTED_QUEEN_MINUTES = 60;
    /** By how many take: few, about as many as usual, many. */
    private static final int TOLD_APART = 4;
    /** For one line on one day. */
    private static final int MOST_CUPS = 200;
    private static final int LEAST_CUPS = 12;
    private static final double TIMES_WANTED = 4;
    /** Of the cups that the whole of an order takes on average. */
    private static final double NARROW = 2.5;
    /** Whatever the days off, within a week there is a graft day. */
    private static final int SURELY_AGAIN_DAYS = 7;
    private static final int PRICES_TRIED = 10;
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
    private final Map<Map<SupplyKind, LocalDate>, Then> thens = new HashMap<>();

    /**
     * What is known of the days after today's graft.
     *
     * @param nextFor the next graft, by the orders for queens that it is the last to help, or that want more than one graft
     * @param againForQueens by order: whether queens that it lacks are grafted for again
     * @param costs by order and how many it lacks
     */
    private record Then(Map<Integer, NextGraft> nextFor, boolean[] againForQueens,
            double[][] costs) {
    }

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

    /** Builders are short: a cup has a price, the least at which they are enough, and what room is left then goes to what saves most for each cup. */
    private Choice whereShort(List<Pool> pools, Map<SupplyKind, LocalDate> next, int usualLoad, int kept, Choice free) {
        Choice enough = free.grafts().size() > 1 ? priced(pools, next, usualLoad, kept, free) : NOTHING;
        List<Pool> byWorth = pools.stream().sorted(
                Comparator.comparingDouble((Pool pool) -> -free.worth().getOrDefault(pool, 0.0))).toList();
        return choose(byWorth, next, usualLoad, new Limits(mostCups, kept, enough.cups(), 0));
    }

    /** What is worth a price at which all fits. */
    private Choice priced(List<Pool> pools, Map<SupplyKind, LocalDate> next, int usualLoad, int kept, Choice free) {
        double low = 0;
        double high = CUP_DEARER_THAN_AVERAGE
                * free.worth().values().stream().mapToDouble(Double::doubleValue).max().orElse(0);
        Choice enough = NOTHING;
        for (int step = 0; step < CUP_PRICES_TRIED; step++) {
            double price = (low + high) / 2;
            Choice priced = choose(pools, next, usualLoad, Limits.price(price));
            if (fits(priced, kept)) {
                enough = priced;
                high = price;
            } else {
                low = price;
            }
        }
        return enough;
    }

    private boolean fits(Choice choice, int kept) {
        int all = choice.grafts().stream().mapToInt(Graft::cups).sum();
        boolean queens = choice.grafts().stream().anyMatch(one -> one.kind() == SupplyKind.QUEENS);
        return all + (queens ? kept : 0) <= mostCups;
    }

    /** Cups of builders that queens of today must not take. */
    int keptForCells() {
        return new CellsFirst(timing).kept(orders, new FreeBuilders(brief.means().builders()));
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
                && timing.reaches(one, brief.today())).mapToInt(one -> one.demand().count()).sum();
        return enoughFor(wanted);
    }

    private int enoughFor(int queens) {
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
        Then then = thens.computeIfAbsent(next, this::then);
        HandedOut handed = HandedOut.of(orders, before, all, draws.many());
        double cost = 0;
        boolean[] againForQueens = new boolean[draws.many()];
        for (int at = 0; at < orders.size(); at++) {
            if (then.nextFor().containsKey(at)) {
                continue;
            }
            int[] missing = handed.missing()[at];
            double[] costs = then.costs()[at];
            for (int draw = 0; draw < missing.length; draw++) {
                cost += costs[missing[draw]];
                againForQueens[draw] |= missing[draw] > 0 && then.againForQueens()[at];
            }
        }
        // whoever has all he needs makes up no builder again: much for a small unit, nothing where somebody always wants more
        for (boolean again : againForQueens) {
            cost += again ? WorkTime.LOAD : 0;
        }
        for (int one = 0; one < all.size(); one++) {
            if (handed.from().get(one).kind() != SupplyKind.CELLS) {
                cost += handed.left(one) * worth.wastedQueen();
            }
        }
        for (int[] alike : then.nextFor().isEmpty() ? List.<int[]>of() : alike(all)) {
            cost += alike.length * ofNext(then, handed.missing(), alike);
        }
        return cost / draws.many();
    }

    /** Draws in which about as many larvae take of what is not counted yet: by the next graft they are, and more is not known then. */
    private List<int[]> alike(List<Holding> all) {
        int[] took = new int[draws.many()];
        all.forEach(one -> Arrays.setAll(took, draw -> took[draw] + one.took()[draw]));
        int[] byTakes = IntStream.range(0, took.length).boxed().sorted(Comparator.comparingInt(draw -> took[draw]))
                .mapToInt(Integer::intValue).toArray();
        List<int[]> alike = new ArrayList<>();
        int from = 0;
        for (int part = 1; part <= TOLD_APART; part++) {
            int until = Math.max(from, part * byTakes.length / TOLD_APART);
            while (until > from && until < byTakes.length && took[byTakes[until]] == took[byTakes[until - 1]]) {
                until++;
            }
            if (until > from) {
                alike.add(Arrays.copyOfRange(byTakes, from, until));
            }
            from = until;
        }
        return alike;
    }

    /** What the next graft and all that stays missing of the orders that it is for cost, on average of these draws. */
    private double ofNext(Then then, int[][] left, int[] alike) {
        double without = 0;
        for (int at : then.nextFor().keySet()) {
            double[] costs = then.costs()[at];
            without += IntStream.of(alike).mapToDouble(draw -> costs[left[at][draw]]).average().orElse(0);
        }
        return Math.min(without, WorkTime.LOAD + shared(then, left, alike));
    }

    /** Builders take no more than they take: where more is wanted a cup has a price, the least at which they are enough. */
    private double shared(Then then, int[][] left, int[] alike) {
        NextGraft.Least all = priced(0, then, left, alike);
        double low = 0;
        double high = worth.lateOrder() + worth.lateQueen();
        if (all.cups() > mostCups) {
            all = priced(high, then, left, alike);
            for (int step = 0; step < PRICES_TRIED; step++) {
                double price = (low + high) / 2;
                NextGraft.Least one = priced(price, then, left, alike);
                low = one.cups() > mostCups ? price : low;
                high = one.cups() > mostCups ? high : price;
                all = one.cups() > mostCups ? all : one;
            }
        }
        return all.cost();
    }

    /** Of all the orders that it is for. */
    private NextGraft.Least priced(double price, Then then, int[][] left, int[] alike) {
        double cost = 0;
        int cups = 0;
        for (Map.Entry<Integer, NextGraft> one : then.nextFor().entrySet()) {
            NextGraft.Least least = one.getValue().least(alike, left[one.getKey()], then.costs()[one.getKey()], price);
            cost += least.cost();
            cups += least.cups();
        }
        return new NextGraft.Least(cost, cups);
    }

    private Then then(Map<SupplyKind, LocalDate> next) {
        Map<Integer, NextGraft> nextFor = new HashMap<>();
        boolean[] againForQueens = new boolean[orders.size()];
        double[][] costs = new double[orders.size()][];
        for (int at = 0; at < costs.length; at++) {
            Wanted order = orders.get(at);
            LocalDate day = next.getOrDefault(order.kind(), brief.today());
            boolean helpedStill = !order.late() && timing.helpsStill(order, day);
            boolean queensAgain = helpedStill && order.kind() == SupplyKind.QUEENS
                    && next.containsKey(SupplyKind.QUEENS);
            againForQueens[at] = helpedStill && order.kind() == SupplyKind.QUEENS;
            LocalDate afterIt = day.plusDays(ChronoUnit.DAYS.between(brief.today(), day));
            // what its last graft leaves to be wanted nothing helps any more
            boolean isLast = queensAgain && !timing.helpsStill(order, afterIt);
            costs[at] = costs(order, helpedStill && !isLast);
            if (isLast) {
                nextFor.put(at, nextGraft(order, day));
            } else if (queensAgain && isNarrow(order) && timing.helpsStill(order, day.plusDays(SURELY_AGAIN_DAYS))) {
                NextGraft last = nextGraft(order, lastDay(order));
                double[] lacking = costs(order, false);
                Arrays.setAll(costs[at], missing -> last.alone(missing, lacking));
                nextFor.put(at, nextGraft(order, day));
            }
        }
        return new Then(nextFor, againForQueens, costs);
    }

    /** One graft of all that builders take hardly brings the whole of it: two grafts share in it, and each leaves less room for others. */
    private boolean isNarrow(Wanted order) {
        return mostCups < NARROW * order.demand().count() / supply.through(order.product(),
                Supply.Virgins.of(order.demand().line(), order.demand().count()), brief.today(), order.day());
    }

    /** The last day on which a graft helps it. */
    private LocalDate lastDay(Wanted order) {
        LocalDate day = order.day().minusDays(supply.soonest(order.product()));
        while (!timing.helpsStill(order, day)) {
            day = day.minusDays(1);
        }
        return day;
    }

    /** By how many it lacks. */
    private double[] costs(Wanted order, boolean helpedStill) {
        return IntStream.rangeClosed(0, order.demand().count())
                .mapToDouble(missing -> costOf(order, missing, helpedStill)).toArray();
    }

    private NextGraft nextGraft(Wanted order, LocalDate day) {
        return new NextGraft(
                new Counted(draws.of(day, enoughFor(order.demand().count()), List.of(),
                        supply.usual(order.demand().line())), SupplyKind.QUEENS),
                timing.ready(order, day), timing.placing(worth), isAfter(order, day) ? 0 : worth.wastedQueen());
    }

    /** Whether somebody after it takes, while they keep, what a graft of that day brings too many. */
    private boolean isAfter(Wanted order, LocalDate graft) {
        return orders.stream().anyMatch(
                other -> other.kind() == SupplyKind.QUEENS && !other.late() && other.day().isAfter(order.day())
                        && !other.day().isAfter(timing.keepsUntil(SupplyKind.QUEENS, graft))
                        && other.takes(order.demand().line()));
    }

    private double costOf(Wanted order, int missing, boolean helpedStill) {
        if (missing == 0) {
            return 0;
        }
        if (order.late()) {
            return missing * worth.lateQueen() * weightOf(order);
        }
        if (helpedStill) {
            return missing * EXPECTED_QUEEN_MINUTES;
        }
        return (missing * worth.lateQueen() + worth.lateOrder()) * weightOf(order);
    }

    /** Half as much again for the first priority, half for the third. */
    private static double weightOf(Wanted order) {
        return (4 - order.demand().priority()) / 2.0;
    }
}
