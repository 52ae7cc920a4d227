package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;
import vividcrown.core.demand.Product;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;

/**
 * A demand on the day on which it is handed over.
 *
 * @param day the last working day on which it is in time
 * @param late what is missing of it then, later
 */
record Wanted(Demand demand, LocalDate day, boolean late) {

    /** Who is due first is served first, and who waits since longest before whoever is due that day. */
    static final Comparator<Wanted> AS_SERVED = Comparator.comparing(Wanted::day)
            .thenComparing(one -> one.late() ? one.demand().until() : LocalDate.MAX)
            .thenComparing(one -> one.demand().priority()).thenComparing(one -> one.demand().id());

    /** In time. */
    Wanted(Demand demand, LocalDate day) {
        this(demand, day, false);
    }

    /** What an order weighs: of the first priority half as much again, of the third half. */
    static double weightOf(Demand demand) {
        return (4 - demand.priority()) / 2.0;
    }

    SupplyKind kind() {
        return SupplyKind.of(demand.product());
    }

    Product product() {
        return demand.product();
    }

    /** Whether queens of a line may be handed over for it. */
    boolean takes(Optional<String> line) {
        return demand.line().isEmpty() || demand.line().equals(line);
    }
}
