package vividcrown.server.journal;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import vividcrown.core.journal.Corrections;

/** The entries of the operation. */
public interface Journal extends JpaRepository<JournalEntry, UUID> {

    List<JournalEntry> findBySubjectIdOrderBySequence(UUID subject);

    List<JournalEntry> findBySubjectIdInOrderBySequence(Collection<UUID> subjects);

    @Query("""
            select e from JournalEntry e where e.happenedOn = :day and e.kind = :kind
            and not exists (select c from JournalEntry c where c.corrects = e.id)
            """)
    List<JournalEntry> standingOn(LocalDate day, EntryKind kind);

    @Query("""
            select e.subjectId from JournalEntry e where e.subjectKind = :kind
            group by e.subjectId order by min(e.sequence)
            """)
    List<UUID> subjects(SubjectKind kind);

    /** What stands of a subject's record after corrections. */
    default List<JournalEntry> standing(UUID subject) {
        return Corrections.standing(findBySubjectIdOrderBySequence(subject));
    }
}
