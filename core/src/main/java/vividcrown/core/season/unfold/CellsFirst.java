package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.supply.Supply;

/**
 * Cells and virgins keep no time: whoever wants them has one day, or few, on which he can be grafted for, and on the last of them builders are his before they
 * are anybody's for queens.
 */
record CellsFirst(Timing timing) {

    /** Of the cups that would do on average. */
    private static final double SAFELY = 1.3;

    /** Cups of whole builders that queens of today must not take, for they would be busy still on the last day of such an order. */
    int kept(List<Wanted> orders, FreeBuilders builders) {
        LocalDate today = timing.brief().today();
        return theirs(orders).stream()
                .filter(order -> lastGraft(order).isAfter(today) && builders.isBusy(today, lastGraft(order)))
                .mapToInt(order -> loads(order, builders) * builders.usualLoad()).sum();
    }

    /** Days on which they are loaded with such orders all of them, or nearly: what room is left there is all that queens get in those days. */
    Set<LocalDate> takeAll(List<Wanted> orders, FreeBuilders builders) {
        return theirs(orders).stream()
                .collect(Collectors.groupingBy(this::lastGraft,
                        Collectors.summingInt(order -> loads(order, builders))))
                .entrySet().stream().filter(day -> day.getValue() >= builders.many())
                .map(Map.Entry::getKey).collect(Collectors.toSet());
    }

    private List<Wanted> theirs(List<Wanted> orders) {
        return orders.stream().filter(
                order -> order.kind() != SupplyKind.QUEENS && !order.late() && timing.hasMother(order.demand().line()))
                .toList();
    }

    private LocalDate lastGraft(Wanted order) {
        return order.day().minusDays(timing.supply().soonest(order.product()));
    }

    private int loads(Wanted order, FreeBuilders builders) {
        double cups = SAFELY * order.demand().count()
                / timing.supply().through(order.product(),
                        Supply.Virgins.of(order.demand().line(), order.demand().count()), timing.brief().today(),
                        order.day());
        return (int) Math.ceil(cups / builders.usualLoad());
    }
}
