package vividcrown.server.journal;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;

/** The entries of the operation. */
interface Journal extends JpaRepository<JournalEntry, UUID> {

    /** An entry beside one thing that it touches, and as what. */
    record OfSubject(UUID subject, String role, JournalEntry entry) {
    }

    /** What bears on these things, in order of recording; what merely mentions them is left out. */
    @Query("""
            select new vividcrown.server.journal.Journal$OfSubject(s.subjectId, s.role, e)
            from JournalSubject s join JournalEntry e on e.id = s.entryId
            where s.subjectId in :subjects and s.role <> 'CONTEXT' and e.happenedOn >= :since
            """)
    List<OfSubject> bearingOn(Collection<UUID> subjects, LocalDate since);

    /** The newest that touch a thing and were recorded before, mentions too. */
    @Query("""
            select e from JournalEntry e where e.id in (select s.entryId from JournalSubject s where s.subjectId = :subject)
                and e.sequence < :before
            order by e.sequence desc
            """)
    List<JournalEntry> newest(UUID subject, long before, Limit limit);

    boolean existsByKindNot(String kind);

    /** From the first on, a page at a time. */
    @Query("select e from JournalEntry e where e.sequence > :after order by e.sequence")
    List<JournalEntry> following(long after, Limit limit);

    @Query("select s from JournalSubject s where s.entryId in :entries")
    List<JournalSubject> subjectsOf(Collection<UUID> entries);

    /** Which of these things a standing entry touches, apart from some entries; mentions count. */
    @Query("""
            select distinct s.subjectId from JournalSubject s join JournalEntry e on e.id = s.entryId
            where s.subjectId in :subjects and s.role <> 'CORRECTED' and e.kind <> 'WITHDRAWN' and e.id not in :but
                and not exists (select 1 from JournalEntry c where c.corrects = e.id)
            """)
    List<UUID> stillTouched(Collection<UUID> subjects, Collection<UUID> but);

    @Query("select e.corrects from JournalEntry e where e.corrects in :entries")
    List<UUID> corrected(Collection<UUID> entries);

    /** Things of a kind, a page at a time. */
    @NativeQuery("""
            select distinct subject_id from journal_subject
            where operation_id = current_operation() and subject_kind = :kind and role <> 'CONTEXT' and subject_id > :after
            order by subject_id limit :most
            """)
    List<UUID> subjects(String kind, UUID after, int most);

    @NativeQuery("select nextval('journal_sequence') from generate_series(1, :count)")
    List<Long> nextSequences(int count);
}
