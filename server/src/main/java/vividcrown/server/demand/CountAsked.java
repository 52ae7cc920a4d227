package vividcrown.server.demand;

import java.util.List;
import vividcrown.core.demand.OrderTerms;

/** How many an order asks for: a share follows what the other open orders ask for. */
public final class CountAsked {

    private CountAsked() {
    }

    /** @param open all orders that are not delivered or declined */
    public static int of(QueenOrder order, List<QueenOrder> open) {
        int others = open.stream().map(QueenOrder::terms)
                .filter(one -> !one.ownNeed() && one.isOfRecordedQueens())
                .mapToInt(OrderTerms::count).sum();
        return order.sharePercent().map(share -> Math.ceilDiv(others * share, 100)).orElse(order.terms().count());
    }
}
