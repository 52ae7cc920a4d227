package vividcrown.server.journal;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.problem.Refusal;

/**
 * The one way into the journal: writes entries and, in the same transaction, the rows computed from them. Writers of one
 * operation take turns, so that two people at one box cannot both be first.
 */
@Service
public class Recorder {

    private final Journal journal;
    private final Contradictions contradictions;
    private final Map<SubjectKind, Projector> projectors;
    private final JdbcClient jdbc;
    private final EntityManager entities;

    Recorder(Journal journal, Contradictions contradictions, List<Projector> projectors, JdbcClient jdbc,
            EntityManager entities) {
        this.journal = journal;
        this.contradictions = contradictions;
        this.projectors = new EnumMap<>(
                projectors.stream().collect(Collectors.toMap(Projector::subjectKind, Function.identity())));
        this.jdbc = jdbc;
        this.entities = entities;
    }

    /** Waits until no other writer of this operation is at work, until the transaction ends. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void takeTurn() {
        jdbc.sql("select pg_advisory_xact_lock(hashtextextended(?, 0))").param(CurrentOperation.require().toString())
                .query((row, _) -> row).list();
    }

    public boolean exists(SubjectKind kind, UUID subject) {
        return projectors.get(kind).exists(subject);
    }

    /**
     * Adds entries; those whose id is known already are passed over, so sending twice records once.
     *
     * @param keepContradictions keep and flag entries that clash with what is known, instead of refusing all
     * @return the ids of the entries that were new
     */
    @Transactional
    public List<UUID> record(List<JournalEntry> entries, boolean keepContradictions) {
        takeTurn();
        Set<UUID> known = journal.findAllById(entries.stream().map(JournalEntry::id).toList()).stream()
                .map(JournalEntry::id).collect(Collectors.toSet());
        List<JournalEntry> fresh = entries.stream().filter(entry -> known.add(entry.id())).toList();
        journal.saveAllAndFlush(fresh);
        // The order of recording is given by the database.
        entities.clear();
        projectSubjects(fresh);
        if (!keepContradictions) {
            refuseContradictions(fresh);
        }
        return fresh.stream().map(JournalEntry::id).toList();
    }

    private void projectSubjects(Collection<JournalEntry> entries) {
        for (SubjectKind kind : SubjectKind.values()) {
            Set<UUID> subjects = entries.stream().filter(entry -> entry.subjectKind() == kind)
                    .map(JournalEntry::subjectId).collect(Collectors.toCollection(LinkedHashSet::new));
            if (!subjects.isEmpty()) {
                projectors.get(kind).projectAll(new ArrayList<>(subjects));
            }
        }
    }

    private void refuseContradictions(List<JournalEntry> fresh) {
        List<UUID> ids = fresh.stream().map(JournalEntry::id).toList();
        List<Refusal.Finding> findings = contradictions.findByEntryIdIn(ids).stream()
                .map(flag -> new Refusal.Finding("entries." + flag.entryId(), flag.clash())).toList();
        if (!findings.isEmpty()) {
            throw Refusal.contradiction(findings);
        }
    }

    /** Throws every computed row of the operation away and makes it again from the journal. */
    @Transactional
    public void rebuild() {
        takeTurn();
        for (String table : List.of("contradiction", "order_queen", "queen_order", "settings", "graft_tally", "colony",
                "nuc", "queen", "graft",
                "builder",
                "yard")) {
            jdbc.sql("delete from " + table).update();
        }
        entities.clear();
        for (SubjectKind kind : SubjectKind.values()) {
            projectors.get(kind).projectAll(journal.subjects(kind));
            entities.flush();
        }
    }
}
