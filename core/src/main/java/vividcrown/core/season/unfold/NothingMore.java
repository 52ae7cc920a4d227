package vividcrown.core.season.unfold;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.supply.Supply;

/** What becomes of the orders with what lives, if nothing more is grafted. Whoever is short on his day waits, and gets what comes before those after him. */
final class NothingMore {

    private NothingMore() {
    }

    /**
     * @param stocks what lives
     * @return by the demand's id: chance of its whole number in time, 0–1
     */
    static Map<String, Double> chances(SeasonBrief brief, Supply supply, List<Stock> stocks, Draws draws) {
        Timing timing = new Timing(brief, supply);
        return chances(timing.ordersAndWaiting(), timing, stocks, draws);
    }

    /** The same, if whoever is short on his day gets nothing of what comes later. */
    static Map<String, Double> chancesIfNobodyWaits(SeasonBrief brief, Supply supply, List<Stock> stocks,
            Draws draws) {
        Timing timing = new Timing(brief, supply);
        return chances(timing.orders(), timing, stocks, draws);
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
