package vividcrown.server.lineage;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Marks that people gave. */
interface ScoreTable extends JpaRepository<ScoreRow, UUID> {
    void deleteByQueenIdIn(Collection<UUID> queens);

    List<ScoreRow> findByQueenIdOrderByScoredOnDescIdDesc(UUID queen);
}
