package vividcrown.server.journal;

import org.springframework.data.jpa.repository.JpaRepository;

/** What entries touch. */
interface JournalSubjects extends JpaRepository<JournalSubject, JournalSubject.Key> {
}
