package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.recipe.WorkTime;
import vividcrown.core.season.supply.Supply;

/** What orders cost after today's graft: those that nothing later can help, those that the next graft is for, and those that have time. */
final class AfterToday {

    /**
     * What a queen of an order's expected number is worth while a later graft can still bring her: what raising her takes, and that later
     * grafts have less room and one day's luck instead of two. Tuned on seasons lived through; see docs/season.md.
     */
    private static final double EXPECTED_QUEEN_MINUTES = 60;
    /** By how many take: few, about as many as usual, many. */
    private static final int TOLD_APART = 4;
    /** Of the cups that the whole of an order takes on average. */
    private static final double NARROW = 2.5;
    /** Whatever the days off, within a week there is a graft day. */
    private static final int SURELY_AGAIN_DAYS = 7;
    private static final int PRICES_TRIED = 10;

    private final Supply supply;
    private final Timing timing;
    private final SeasonWorth worth;
    private final Draws draws;
    private final List<Wanted> orders;
    private final LocalDate today;
    private final int mostCups;
    /** The next graft, by the orders for queens that it is the last to help, or that want more than one graft. */
    private final Map<Integer, NextGraft> nextFor = new HashMap<>();
    /** By order: whether queens that it lacks are grafted for again. */
    private final boolean[] againForQueens;
    /** By order and how many it lacks. */
    private final double[][] costs;

    /**
     * @param mostCups that builders take on a day
     * @param next for each kind the next day on which a graft could be made
     */
    AfterToday(Timing timing, Draws draws, List<Wanted> orders, int mostCups,
            Map<SupplyKind, LocalDate> next) {
        this.supply = timing.supply();
        this.timing = timing;
        this.worth = timing.brief().expected().worth();
        this.draws = draws;
        this.orders = orders;
        this.today = timing.brief().today();
        this.mostCups = mostCups;
        this.againForQueens = new boolean[orders.size()];
        this.costs = new double[orders.size()][];
        boolean[] servedAgain = new boolean[costs.length];
        int[] before = HandedOut.before(orders);
        for (int at = 0; at < costs.length; at++) {
            servedAgain[before[at]] |= before[at] < at;
        }
        for (int at = 0; at < costs.length; at++) {
            Wanted order = orders.get(at);
            boolean waitsOn = order.late() && servedAgain[at];
            if (waitsOn) {
                costs[at] = new double[order.demand().count() + 1];
                continue;
            }
            LocalDate day = next.getOrDefault(order.kind(), today);
            boolean helpedStill = !order.late() && timing.helpsStill(order, day);
            boolean queensAgain = helpedStill && order.kind() == SupplyKind.QUEENS
                    && next.containsKey(SupplyKind.QUEENS);
            againForQueens[at] = helpedStill && order.kind() == SupplyKind.QUEENS;
            LocalDate afterIt = day.plusDays(ChronoUnit.DAYS.between(today, day));
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
    }

    /**
     * Minutes of all draws together.
     *
     * @param missing by order and draw
     * @param all that lives then: what of it is counted by the next graft is known there
     */
    double cost(int[][] missing, List<Holding> all) {
        double cost = 0;
        boolean[] again = new boolean[draws.many()];
        for (int at = 0; at < costs.length; at++) {
            if (nextFor.containsKey(at)) {
                continue;
            }
            for (int draw = 0; draw < again.length; draw++) {
                cost += costs[at][missing[at][draw]];
                again[draw] |= missing[at][draw] > 0 && againForQueens[at];
            }
        }
        // whoever has all he needs makes up no builder again: much for a small unit, nothing where somebody always wants more
        for (boolean once : again) {
            cost += once ? WorkTime.LOAD : 0;
        }
        for (int[] alike : nextFor.isEmpty() ? List.<int[]>of() : alike(all)) {
            cost += alike.length * ofNext(missing, alike);
        }
        return cost;
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
    private double ofNext(int[][] left, int[] alike) {
        double without = 0;
        for (int at : nextFor.keySet()) {
            without += IntStream.of(alike).mapToDouble(draw -> costs[at][left[at][draw]]).average().orElse(0);
        }
        return Math.min(without, WorkTime.LOAD + shared(left, alike));
    }

    /** Builders take no more than they take. */
    private double shared(int[][] left, int[] alike) {
        NextGraft.Least all = priced(0, left, alike);
        if (all.cups() <= mostCups) {
            return all.cost();
        }
        double high = worth.lateOrder() + worth.lateQueen();
        return CupPrice.least(high, PRICES_TRIED, price -> priced(price, left, alike), one -> one.cups() <= mostCups,
                priced(high, left, alike)).cost();
    }

    /** Of all the orders that it is for. */
    private NextGraft.Least priced(double price, int[][] left, int[] alike) {
        double cost = 0;
        int cups = 0;
        for (Map.Entry<Integer, NextGraft> one : nextFor.entrySet()) {
            NextGraft.Least least = one.getValue().least(alike, left[one.getKey()], costs[one.getKey()], price);
            cost += least.cost();
            cups += least.cups();
        }
        return new NextGraft.Least(cost, cups);
    }

    /** One graft of all that builders take hardly brings the whole of it: two grafts share in it, and each leaves less room for others. */
    private boolean isNarrow(Wanted order) {
        return mostCups < NARROW * order.demand().count() / supply.through(order.product(),
                Supply.Virgins.of(order.demand().line(), order.demand().count()), today, order.day());
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
                new Counted(draws.of(day, Ahead.enoughFor(order.demand().count(), mostCups), List.of(),
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
            return missing * worth.lateQueen() * Wanted.weightOf(order.demand());
        }
        if (helpedStill) {
            return missing * EXPECTED_QUEEN_MINUTES;
        }
        return (missing * worth.lateQueen() + worth.lateOrder()) * Wanted.weightOf(order.demand());
    }
}
