package vividcrown.server.archive;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import vividcrown.core.journal.OfOperation;
import vividcrown.core.reason.Sentence;
import vividcrown.server.job.LongJobs;
import vividcrown.server.journal.DeedJson;
import vividcrown.server.journal.NewEntry;
import vividcrown.server.journal.WholeRecord;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.operation.Founding;
import vividcrown.server.problem.Misread;
import vividcrown.server.problem.Refusal;

/** Brings an archive back into an operation in which nothing is recorded yet: all of it, or nothing. */
@Service
class ArchiveReader {

    static final String FORMAT = "vivid-crown-archive";
    static final int VERSION = 1;

    private static final int AT_ONCE = 1_000;
    private static final int MOST_FINDINGS = 20;

    private final ArchiveUploads uploads;
    private final ArchiveSchema schema;
    private final WholeRecord record;
    private final Founding founding;
    private final LongJobs jobs;

    ArchiveReader(ArchiveUploads uploads, ArchiveSchema schema, WholeRecord record, Founding founding, LongJobs jobs) {
        this.uploads = uploads;
        this.schema = schema;
        this.record = record;
        this.founding = founding;
        this.jobs = jobs;
    }

    /** @throws Refusal if anything is recorded here */
    void requireEmpty() {
        if (!record.isEmpty()) {
            throw Refusal.invalid("", Sentence.of("refusal.archiveIntoUsed"));
        }
    }

    /**
     * Brings back what was sent in; the rows are still to be made. Another server may have been faster: nothing is done then.
     *
     * @throws Refusal if the operation is not empty, or anything is wrong with the archive
     */
    @Transactional
    public void read(UUID upload) {
        record.takeTheTurn();
        if (uploads.last().filter(last -> last.id().equals(upload) && !last.ended()).isEmpty()) {
            return;
        }
        requireEmpty();
        Reading reading = new Reading();
        try (JsonParser json = DeedJson.MAPPER
                .createParser(uploads.open(upload, read -> uploads.isAt(upload, read)))) {
            reading.all(json);
        } catch (JacksonException broken) {
            reading.say("line %d".formatted(broken.getLocation().getLineNr()), Sentence
                    .of("refusal.archiveBroken", Misread.of(broken).getFirst().message()).toString());
        }
        if (!reading.findings.isEmpty()) {
            throw Refusal.invalid(reading.findings);
        }
        uploads.broughtBack(upload, reading.count);
        jobs.ask(LongJobs.ROWS);
    }

    private final class Reading {
        private final List<Refusal.Finding> findings = new ArrayList<>();
        private final ObjectNode header = DeedJson.MAPPER.createObjectNode();
        private final List<NewEntry> waiting = new ArrayList<>();
        private final Set<UUID> people = new HashSet<>();
        private final Set<UUID> earlier = new HashSet<>();
        private long count;

        void say(String where, String what) {
            if (findings.size() < MOST_FINDINGS) {
                findings.add(new Refusal.Finding(where, what));
            }
        }

        void all(JsonParser json) {
            if (json.nextToken() != JsonToken.START_OBJECT) {
                say("", Sentence.of("refusal.noArchive").toString());
                return;
            }
            boolean ended = false;
            while (json.nextToken() == JsonToken.PROPERTY_NAME) {
                String name = json.currentName();
                json.nextToken();
                if (!name.equals("entries")) {
                    header.set(name, json.readValueAsTree());
                } else if (begins()) {
                    entries(json);
                    ended = true;
                } else {
                    return;
                }
            }
            if (!ended && findings.isEmpty()) {
                say("", Sentence.of("refusal.noArchive").toString());
            }
        }

        /** The people and the version must be known before the entries can be understood. */
        private boolean begins() {
            if (header.path("version").asInt(0) > VERSION) {
                say("version",
                        Sentence.of("refusal.archiveNewer", header.path("version").asInt(0), VERSION).toString());
                return false;
            }
            ObjectNode withoutEntries = header.deepCopy();
            withoutEntries.putArray("entries");
            schema.faultsOf(withoutEntries).forEach(fault -> say("", fault));
            if (!findings.isEmpty()) {
                return false;
            }
            header.path("people").forEach(person -> {
                UUID id = UUID.fromString(person.path("id").asString());
                people.add(id);
                founding.remember(id, CurrentOperation.require(), person.path("name").asString(),
                        person.path("role").asString());
            });
            return true;
        }

        private void entries(JsonParser json) {
            if (json.currentToken() != JsonToken.START_ARRAY) {
                say("entries", Sentence.of("refusal.noArchive").toString());
                json.skipChildren();
                return;
            }
            while (json.nextToken() != JsonToken.END_ARRAY) {
                String where = "line %d".formatted(json.currentTokenLocation().getLineNr());
                JsonNode entry = json.readValueAsTree();
                List<String> faults = schema.faultsOfEntry(entry);
                faults.forEach(fault -> say(where, fault));
                if (faults.isEmpty()) {
                    entry(where, entry);
                }
                count++;
            }
            append();
        }

        private void entry(String where, JsonNode entry) {
            UUID id = UUID.fromString(entry.path("id").asString());
            UUID by = UUID.fromString(entry.path("by").asString());
            Optional<UUID> corrects = entry.has("corrects")
                    ? Optional.of(UUID.fromString(entry.path("corrects").asString()))
                    : Optional.empty();
            if (!people.contains(by)) {
                say(where, Sentence.of("refusal.archiveNobody", by.toString()).toString());
            }
            if (corrects.isPresent() && !earlier.contains(corrects.get())) {
                say(where, Sentence.of("refusal.archiveCorrects", corrects.get().toString()).toString());
            }
            if (!earlier.add(id)) {
                say(where, Sentence.of("refusal.archiveEntryTwice", id.toString()).toString());
            }
            try {
                NewEntry read = record.entry(new WholeRecord.Line(id,
                        OffsetDateTime.parse(entry.path("happenedAt").asString())
                                .atZoneSameInstant(ZoneId.of(entry.path("zone").asString())),
                        Instant.parse(entry.path("recordedAt").asString()), by, entry.path("deed"), corrects));
                keep(here(read));
            } catch (DateTimeException unreadable) {
                say(where, String.valueOf(unreadable.getMessage()));
            } catch (Refusal unreadable) {
                unreadable.findings().forEach(finding -> say(where, finding.message()));
            }
        }

        /** What was decided for the operation it was, holds for the one it is now. */
        private NewEntry here(NewEntry read) {
            return read.deed() instanceof OfOperation whole
                    ? new NewEntry(read.id(), read.happenedAt(), read.recordedAt(), read.by(),
                            whole.in(CurrentOperation.require()), read.corrects())
                    : read;
        }

        private void keep(NewEntry entry) {
            waiting.add(entry);
            if (waiting.size() >= AT_ONCE) {
                append();
            }
        }

        /** What is wrong is looked for to the end; nothing is written after the first of it. */
        private void append() {
            if (findings.isEmpty() && !waiting.isEmpty()) {
                record.append(waiting);
            }
            waiting.clear();
        }
    }
}
