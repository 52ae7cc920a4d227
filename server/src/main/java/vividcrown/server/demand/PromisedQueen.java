package vividcrown.server.demand;

import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;

/** A queen that is promised to an order, or was handed over. */
public interface PromisedQueen {
    UUID queenId();

    UUID orderId();

    Optional<LocalDate> deliveredOn();
}
