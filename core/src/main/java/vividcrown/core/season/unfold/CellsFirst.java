package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.supply.Supply;

/**
 * Cells and virgins keep no time: whoever wants them has one day, or few, on which he can be grafted for, and on the last of them builders are his before they
 * are anybody's for queens.
 */
record CellsFirst(Timing timing) {

    /** Of the cups that would do on average. */
    private static final double SAFELY = 1.3;
    /** For which nobody would load a builder: they are there already more often than not. */
    private static final double HARDLY_ANY = 0.5;

    /**
     * Cups of whole builders that queens of today must not take, for they would be busy still on the last day of such an order.
     *
     * @param missing of each order, on average, with what lives already
     */
    int kept(List<Wanted> orders, FreeBuilders builders, ToDoubleFunction<Demand> missing) {
        LocalDate today = timing.brief().today();
        // for whom a graft of today does as well, it is today's cups that are shared
        Stream<Wanted> whileBusy = theirs(orders).filter(order -> !timing.reaches(order, today))
                .filter(order -> lastGraft(order).filter(day -> builders.isBusy(today, day)).isPresent());
        return builders.usualLoad() * loads(whileBusy, builders, missing).values().stream().mapToInt(Integer::intValue)
                .sum();
    }

    /** Days on which they are loaded with such orders all of them, or nearly: what room is left there is all that queens get in those days. */
    Set<LocalDate> takeAll(List<Wanted> orders, FreeBuilders builders) {
        Map<LocalDate, Integer> loads = loads(theirs(orders), builders, Demand::count);
        loads.values().removeIf(many -> many < builders.many());
        return loads.keySet();
    }

    /** Orders for cells and virgins that can be grafted for at all. */
    Stream<Wanted> theirs(List<Wanted> orders) {
        return orders.stream().filter(order -> order.kind() != SupplyKind.QUEENS && !order.late()
                && timing.hasMother(order.demand().line()));
    }

    /** The last day on which an order is grafted for; empty if nobody grafts on any day that would do. */
    Optional<LocalDate> lastGraft(Wanted order) {
        LocalDate last = order.day().minusDays(timing.supply().soonest(order.product()));
        return Stream.iterate(last, day -> !day.isBefore(timing.brief().today()) && timing.reaches(order, day),
                day -> day.minusDays(1)).filter(timing.brief()::isGraftDay).findFirst();
    }

    /** Builders that are wanted on the last day of each: what is for several orders hangs in the same. */
    private Map<LocalDate, Integer> loads(Stream<Wanted> orders, FreeBuilders builders,
            ToDoubleFunction<Demand> missing) {
        Map<LocalDate, Double> cups = new HashMap<>();
        orders.forEach(order -> lastGraft(order)
                .ifPresent(day -> cups.merge(day, cups(order, missing.applyAsDouble(order.demand())), Double::sum)));
        Map<LocalDate, Integer> loads = new HashMap<>();
        cups.forEach((day, wanted) -> loads.put(day, (int) Math.ceil(wanted / builders.usualLoad())));
        return loads;
    }

    private double cups(Wanted order, double cells) {
        double through = timing.supply().through(order.product(),
                Supply.Virgins.of(order.demand().line(), order.demand().count()), timing.brief().today(), order.day());
        return cells < HARDLY_ANY ? 0 : SAFELY * cells / through;
    }
}
