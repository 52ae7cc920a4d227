package vividcrown.server.journal;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import vividcrown.core.reason.Sentence;
import vividcrown.server.problem.Refusal;

/** The record from its first entry to its last, for whoever carries it away or brings it back. */
@Component
public class WholeRecord {

    private final Journal journal;
    private final Deeds deeds;
    private final Recorder recorder;
    private final Turns turns;
    private final EntityManager entities;

    WholeRecord(Journal journal, Deeds deeds, Recorder recorder, Turns turns, EntityManager entities) {
        this.journal = journal;
        this.deeds = deeds;
        this.recorder = recorder;
        this.turns = turns;
        this.entities = entities;
    }

    /** An entry outside of the database. @param deed as the API knows it, in the version of today */
    public record Line(UUID id, ZonedDateTime happenedAt, Instant recordedAt, UUID by, JsonNode deed,
            Optional<UUID> corrects) {
    }

    /** Nothing was ever recorded in this operation, but how it does things. */
    public boolean isEmpty() {
        return !journal.existsByKindNot("SETTINGS_CHANGED");
    }

    /** In order of recording; within the caller's transaction, which sees one moment of the record. */
    @Transactional(readOnly = true, propagation = Propagation.MANDATORY)
    public void each(Consumer<Line> reader) {
        long after = 0;
        for (;;) {
            List<JournalEntry> page = journal.following(after, Limit.of(Recorder.AT_ONCE));
            page.forEach(entry -> reader.accept(new Line(entry.id(), entry.happenedAt(), entry.recordedAt(),
                    entry.recordedBy(), deeds.view(deeds.read(entry.kind(), entry.version(), entry.payload())),
                    entry.corrects())));
            if (page.size() < Recorder.AT_ONCE) {
                return;
            }
            after = page.getLast().sequence();
            entities.clear();
        }
    }

    /**
     * An entry as it is brought back.
     *
     * @throws Refusal if its deed cannot be read
     */
    public NewEntry entry(Line line) {
        try {
            return new NewEntry(line.id(), line.happenedAt(), line.recordedAt(), line.by(), deeds.asked(line.deed()),
                    line.corrects());
        } catch (Deeds.Unreadable unreadable) {
            throw Refusal.invalid(unreadable.faults().stream()
                    .map(fault -> new Refusal.Finding("deed", fault.toString())).toList());
        }
    }

    /** Nobody else writes while the caller's transaction brings entries back. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void takeTheTurn() {
        turns.take();
    }

    /**
     * Brings entries back as they were, after those brought before. Makes no rows: a rebuild does.
     *
     * @throws Refusal if this database has one of them already
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void append(List<NewEntry> entries) {
        try {
            recorder.save(entries);
        } catch (DataIntegrityViolationException twice) {
            throw Refusal.invalid("entries", Sentence.of("refusal.archiveTwice"));
        }
    }
}
