package vividcrown.server.journal;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.journal.Role;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.journal.Touch;
import vividcrown.server.problem.Refusal;

/**
 * The one way into the record: writes entries and, in the same transaction, the rows computed from them. Writers of one
 * operation take turns, so that two people at one hive cannot both be first.
 */
@Service
public class Recorder {

    /** PostgreSQL takes 65,535 parameters; rows of a thing take a few each. */
    static final int AT_ONCE = 1_000;

    private final Journal journal;
    private final JournalSubjects subjects;
    private final Records records;
    private final Contradictions contradictions;
    private final Deeds deeds;
    private final List<Projector> projectors;
    private final Turns turns;
    private final EntityManager entities;
    private final ApplicationEventPublisher events;

    Recorder(Journal journal, JournalSubjects subjects, Records records, Contradictions contradictions, Deeds deeds,
            List<Projector> projectors, Turns turns, EntityManager entities, ApplicationEventPublisher events) {
        this.journal = journal;
        this.subjects = subjects;
        this.records = records;
        this.contradictions = contradictions;
        this.deeds = deeds;
        this.projectors = List.copyOf(projectors);
        this.turns = turns;
        this.entities = entities;
        this.events = events;
    }

    /** @param fresh entries that were new; @param known those that had been recorded before */
    public record Recorded(List<UUID> fresh, List<UUID> known) {
    }

    /** Entries went in and the rows follow; said in their transaction. @param kinds of the things that they touch */
    public record Touched(Set<SubjectKind> kinds) {
    }

    /** Which of these things are known. */
    public Set<UUID> existing(SubjectKind kind, Collection<UUID> things) {
        return projectors.stream().filter(one -> one.subjectKind().equals(kind))
                .map(one -> one.existing(things)).flatMap(Set::stream).collect(Collectors.toSet());
    }

    /** Whether anybody keeps rows of such things. */
    boolean isKept(SubjectKind kind) {
        return projectors.stream().anyMatch(one -> one.subjectKind().equals(kind));
    }

    /**
     * Adds entries; those whose id is known already are passed over, so sending twice records once.
     *
     * @param keepContradictions keep and flag entries that clash with what is known, instead of refusing all
     */
    @Transactional
    public Recorded record(List<NewEntry> entries, boolean keepContradictions) {
        turns.take();
        Set<UUID> known = known(entries.stream().map(NewEntry::id).toList());
        Set<UUID> taken = new HashSet<>(known);
        List<NewEntry> fresh = entries.stream().filter(entry -> taken.add(entry.id())).toList();
        if (!fresh.isEmpty()) {
            List<Touch> touched = save(fresh);
            project(touched);
            events.publishEvent(new Touched(touched.stream().map(Touch::kind).collect(Collectors.toSet())));
            if (!keepContradictions) {
                refuseContradictions(fresh);
            }
        }
        return new Recorded(fresh.stream().map(NewEntry::id).toList(), List.copyOf(known));
    }

    /** Which of these ids are in the record already. */
    Set<UUID> known(List<UUID> ids) {
        return journal.findAllById(ids).stream().map(JournalEntry::id).collect(Collectors.toSet());
    }

    /** What an entry touches, and what is touched by the one it corrects: both are to be made anew. */
    List<Touch> save(List<NewEntry> fresh) {
        List<Long> sequences = journal.nextSequences(fresh.size());
        Map<UUID, List<Touch>> corrected = corrected(fresh);
        List<JournalEntry> rows = new ArrayList<>();
        List<JournalSubject> touches = new ArrayList<>();
        List<Touch> all = new ArrayList<>();
        for (int index = 0; index < fresh.size(); index++) {
            NewEntry entry = fresh.get(index);
            long sequence = sequences.get(index);
            DeedKind<?> kind = deeds.kindOf(entry.deed());
            rows.add(new JournalEntry(entry.id(), entry.happenedAt(), entry.recordedAt(), entry.by(), kind.name(),
                    kind.version(), deeds.write(entry.deed()), entry.corrects(), sequence));
            Set<Touch> touched = new LinkedHashSet<>(entry.deed().touches());
            entry.corrects().ifPresent(one -> corrected.getOrDefault(one, List.of()).stream()
                    .filter(touch -> touched.stream().noneMatch(own -> own.id().equals(touch.id())
                            && !own.role().equals(Role.CONTEXT)))
                    .forEach(touch -> touched.add(new Touch(touch.kind(), touch.id(), Role.CORRECTED))));
            touched.forEach(touch -> touches.add(new JournalSubject(entry.id(), touch, sequence)));
            corrected.put(entry.id(), List.copyOf(touched));
            all.addAll(touched);
        }
        journal.saveAllAndFlush(rows);
        subjects.saveAllAndFlush(touches);
        entities.clear();
        return all;
    }

    private Map<UUID, List<Touch>> corrected(List<NewEntry> fresh) {
        List<UUID> ids = fresh.stream().flatMap(entry -> entry.corrects().stream()).toList();
        Map<UUID, List<Touch>> corrected = new LinkedHashMap<>();
        if (!ids.isEmpty()) {
            journal.subjectsOf(ids).stream().filter(one -> !one.touch().role().equals(Role.CONTEXT))
                    .forEach(one -> corrected.computeIfAbsent(one.entryId(), _ -> new ArrayList<>()).add(one.touch()));
        }
        return corrected;
    }

    private void project(List<Touch> touched) {
        Map<SubjectKind, Set<UUID>> byKind = new LinkedHashMap<>();
        touched.stream().filter(touch -> !touch.role().equals(Role.CONTEXT))
                .forEach(touch -> byKind.computeIfAbsent(touch.kind(), _ -> new LinkedHashSet<>()).add(touch.id()));
        for (Projector projector : projectors) {
            Set<UUID> things = byKind.getOrDefault(projector.subjectKind(), Set.of());
            chunks(List.copyOf(things), projector.atOnce())
                    .forEach(chunk -> projector.project(records.standing(chunk)));
        }
    }

    static List<List<UUID>> chunks(List<UUID> all, int atOnce) {
        List<List<UUID>> chunks = new ArrayList<>();
        for (int from = 0; from < all.size(); from += atOnce) {
            chunks.add(all.subList(from, Math.min(from + atOnce, all.size())));
        }
        return chunks;
    }

    private void refuseContradictions(List<NewEntry> fresh) {
        Map<UUID, String> clashes = contradictions.of(fresh.stream().map(NewEntry::id).toList());
        List<Refusal.Finding> findings = fresh.stream().filter(entry -> clashes.containsKey(entry.id()))
                .map(entry -> new Refusal.Finding("entries." + entry.id(),
                        Objects.requireNonNull(clashes.get(entry.id()))))
                .toList();
        if (!findings.isEmpty()) {
            throw Refusal.contradiction(findings);
        }
    }
}
