package vividcrown.server.journal;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** Flags on entries. */
public interface Contradictions extends JpaRepository<ContradictionRecord, UUID> {
    List<ContradictionRecord> findBySubjectId(UUID subject);

    @Modifying(flushAutomatically = true)
    @Query("delete from ContradictionRecord c where c.subjectId = :subject")
    void clear(UUID subject);
}
