package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntToDoubleFunction;
import vividcrown.core.odds.LossStep;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.supply.Supply;

/**
 * Queens that are there for an order which they do not make whole in time: whether its customer gets them, or whether they are kept for orders
 * that they do make whole. By what the operation says that it is worth: a queen late, and an order that is not whole.
 */
final class KeptBack {

    /** Of what an order is worth: for less nobody is kept waiting. */
    private static final double WORTH_WAITING = 0.1;
    /** As each queen is weighed that is missing of those who come after: on the day, and once nothing helps any more. */
    private static final int NOT_THERE_AND_STILL_MISSING = 2;
    /** As they are given: of no line in particular before those that somebody asks for, the oldest first. */
    private static final Comparator<Stock> FIRST_GIVEN = Comparator.comparing((Stock one) -> one.line().isPresent())
            .thenComparing(Stock::graft);

    private final SeasonBrief brief;
    private final Supply supply;
    private final Draws draws;
    private final LocalDate next;
    private final SeasonWorth worth;

    /**
     * @param brief of today
     * @param next the next day on which a graft for queens could be made
     */
    KeptBack(SeasonBrief brief, Supply supply, Draws draws, LocalDate next) {
        this.brief = brief;
        this.supply = supply;
        this.draws = draws;
        this.next = next;
        this.worth = brief.expected().worth();
    }

    /** Queens that could be handed over for an order today. */
    int there(Demand order, List<Stock> stocks) {
        return stocks.stream().filter(one -> suits(order, one)).mapToInt(one -> one.batch().alive()).sum();
    }

    private boolean suits(Demand order, Stock stock) {
        Wanted today = new Wanted(order, brief.today());
        return stock.kind() == SupplyKind.QUEENS && stock.batch().passed().contains(LossStep.MATING)
                && today.takes(stock.line()) && new Timing(brief, supply).ready(today, stock.graft()) > 0;
    }

    /**
     * How many of them are handed over today.
     *
     * @param order for queens, with what is missing of it still
     * @param stocks what lives, queens that lay apart from those that may
     */
    int given(Demand order, List<Stock> stocks) {
        int most = Math.min(order.count(), there(order, stocks));
        boolean whole = !order.until().isBefore(brief.today()) && most == order.count();
        List<Demand> others = brief.demands().stream()
                .filter(one -> !one.id().equals(order.id()) && !one.until().isBefore(brief.today()))
                // nobody waits for whoever matters less
                .filter(one -> one.priority() <= order.priority()).toList();
        if (most == 0 || whole || others.stream().noneMatch(one -> SupplyKind.of(one.product()) == SupplyKind.QUEENS)) {
            return most;
        }
        SeasonBrief theirs = brief.withDemands(others);
        Ahead ahead = new Ahead(theirs, supply, new Timing(theirs, supply).ordersAndLater(), stocks, draws);
        double each = NOT_THERE_AND_STILL_MISSING * worth.lateQueen() * Wanted.weightOf(order);
        IntToDoubleFunction cost = kept -> ahead.costWith(less(order, stocks, most - kept), next) + kept * each;
        // the fewest of those that save as much
        int kept = Cheapest.of(most, cost);
        double saved = cost.applyAsDouble(0) - cost.applyAsDouble(kept);
        return saved > WORTH_WAITING * worth.lateOrder() ? most - kept : most;
    }

    /** What lives when so many of them are given. */
    List<Stock> without(Demand order, List<Stock> stocks, int many) {
        Map<Stock, Stock> less = less(order, stocks, many);
        return stocks.stream().map(one -> less.getOrDefault(one, one)).filter(one -> one.batch().alive() > 0).toList();
    }

    private Map<Stock, Stock> less(Demand order, List<Stock> stocks, int many) {
        Map<Stock, Stock> less = new IdentityHashMap<>();
        int open = many;
        for (Stock one : stocks.stream().filter(stock -> suits(order, stock)).sorted(FIRST_GIVEN).toList()) {
            int take = Math.min(open, one.batch().alive());
            open -= take;
            if (take > 0) {
                less.put(one, one.with(one.batch().alive() - take));
            }
        }
        return less;
    }
}
