package vividcrown.server.demand;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

/** Queens that are promised to orders, or were handed over. */
public interface PromisedQueens extends Repository<PromisedQueenRow, PromisedQueenRow.Key> {
    List<PromisedQueen> findByOrderId(UUID order);

    List<PromisedQueen> findByOrderIdIn(Collection<UUID> orders);

    List<PromisedQueen> findByQueenIdIn(Collection<UUID> queens);

    /** Those that wait to be handed over. */
    List<PromisedQueen> findByDeliveredOnIsNull();

}
