package vividcrown.server.demand;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** Queens that are promised to orders, or were handed over. */
public interface PromisedQueens extends JpaRepository<PromisedQueen, PromisedQueen.Key> {

    List<PromisedQueen> findByOrderId(UUID order);

    List<PromisedQueen> findByOrderIdIn(Collection<UUID> orders);

    List<PromisedQueen> findByQueenIdIn(Collection<UUID> queens);

    /** Those that wait to be handed over. */
    List<PromisedQueen> findByDeliveredOnIsNull();

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("delete from PromisedQueen p where p.orderId in :orders")
    void deleteByOrderIdIn(Collection<UUID> orders);
}
