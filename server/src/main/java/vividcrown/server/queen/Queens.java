package vividcrown.server.queen;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

public interface Queens extends JpaRepository<Queen, UUID> {
    List<Queen> findByGraftIdOrderByBarAscCupAsc(UUID graft);

    List<Queen> findByGraftIdIn(Collection<UUID> grafts);

    List<Queen> findByBreederTrueAndAliveTrueOrderByCode();

    Optional<Queen> findByCode(String code);

    /** Living cells and queens in mating nucs or in the incubator: whoever the round may concern. */
    @Query("select q from Queen q where q.alive and q.whereabouts in (NUC, INCUBATOR)")
    List<Queen> atWork();

    /** Living cells that still hang on their bar. */
    @Query("select q from Queen q where q.graftId in :grafts and q.alive and q.whereabouts = BAR")
    List<Queen> onTheBar(Collection<UUID> grafts);

    @Query("""
            select q from Queen q where lower(q.code) like :pattern or lower(q.name) like :pattern
            order by q.alive desc, q.code desc limit 50
            """)
    List<Queen> search(String pattern);

    @Query("select q from Queen q where q.motherId = :mother order by q.code limit 500")
    List<Queen> daughters(UUID mother);
}
