package vividcrown.server.demand;

import java.util.Optional;
import java.util.UUID;
import vividcrown.core.demand.OrderState;
import vividcrown.core.demand.OrderTerms;

/** An order or an own need, as its entries leave it. */
public interface QueenOrder {
    /** As it was agreed. */
    OrderTerms terms();

    UUID id();

    String code();

    OrderState state();

    /** How many have been handed over. */
    int delivered();

    Optional<Integer> sharePercent();
}
