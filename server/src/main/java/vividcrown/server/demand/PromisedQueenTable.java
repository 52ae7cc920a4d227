package vividcrown.server.demand;

import java.util.Collection;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** The rows themselves, for their own feature to write. */
interface PromisedQueenTable extends JpaRepository<PromisedQueenRow, PromisedQueenRow.Key> {

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("delete from PromisedQueen p where p.orderId in :orders")
    void deleteByOrderIdIn(Collection<UUID> orders);
}
