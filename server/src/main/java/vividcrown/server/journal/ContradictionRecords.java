package vividcrown.server.journal;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** Flags on entries. */
interface ContradictionRecords extends JpaRepository<ContradictionRecord, ContradictionRecord.Key> {

    List<ContradictionRecord> findByEntryIdIn(Collection<UUID> entries);

    // Rows made again under the same id must not be taken for rows that are still there.
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("delete from ContradictionRecord c where c.foundIn = :foundIn and c.subjectId in :subjects")
    void clear(String foundIn, Collection<UUID> subjects);
}
