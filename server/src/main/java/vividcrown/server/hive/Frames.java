package vividcrown.server.hive;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Frames of the operation. */
interface Frames extends JpaRepository<Frame, UUID> {

    List<Frame> findByBoxIdInOrderBySlot(Collection<UUID> boxes);

    /** In no box, and not gone: the comb stock. */
    @Query("select f from Frame f where f.boxId is null and f.store is not null order by f.store, f.since limit 2000")
    List<Frame> stock();
}
