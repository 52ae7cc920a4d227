package vividcrown.core.season.unfold;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.supply.Supply;

/** What becomes of the orders with what lives, if nothing more is grafted. */
final class NothingMore {

    private NothingMore() {
    }

    /**
     * If whoever is short on his day gets of what comes later only what those after him leave, unless he is served before them whenever they are
     * due; see {@link KeptBack}.
     *
     * @param stocks what lives
     * @return by the demand's id: chance of its whole number in time, 0–1
     */
    static Map<String, Double> chances(SeasonBrief brief, Supply supply, List<Stock> stocks, Draws draws) {
        Timing timing = new Timing(brief, supply);
        List<Wanted> all = timing.ordersAndWaiting();
        Map<String, Double> chances = new HashMap<>();
        brief.demands().stream().map(Demand::priority).distinct().forEach(priority -> {
            List<Wanted> before = all.stream().filter(one -> !one.late() || one.demand().priority() < priority)
                    .toList();
            Map<String, Double> with = chances(before, timing, stocks, draws);
            brief.demands().stream().filter(one -> one.priority() == priority)
                    .forEach(one -> chances.put(one.id(), with.getOrDefault(one.id(), 0.0)));
        });
        return chances;
    }

    /** The same, if whoever is short on his day waits, and gets what comes before those after him. */
    static Map<String, Double> chancesIfWaitingComeFirst(SeasonBrief brief, Supply supply, List<Stock> stocks,
            Draws draws) {
        Timing timing = new Timing(brief, supply);
        return chances(timing.ordersAndWaiting(), timing, stocks, draws);
    }

    private static Map<String, Double> chances(List<Wanted> orders, Timing timing, List<Stock> stocks, Draws draws) {
        List<Holding> holdings = stocks.stream().map(stock -> Holding.of(stock, draws, orders, timing)).toList();
        int[][] missing = HandedOut.of(orders, HandedOut.before(orders), holdings, draws.many()).missing();
        Map<String, Double> chances = new HashMap<>();
        for (int at = 0; at < missing.length; at++) {
            Wanted order = orders.get(at);
            if (!order.late()) {
                boolean inTime = !order.day().isAfter(order.demand().until());
                chances.put(order.demand().id(), inTime
                        ? (double) IntStream.of(missing[at]).filter(lacking -> lacking == 0).count() / draws.many()
                        : 0);
            }
        }
        return chances;
    }
}
