package vividcrown.server.archive;

import java.io.OutputStream;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JsonGenerator;
import vividcrown.server.clock.Today;
import vividcrown.server.journal.DeedJson;
import vividcrown.server.journal.WholeRecord;
import vividcrown.server.operation.OperationRecord;
import vividcrown.server.operation.Operations;

/** Writes everything that was recorded, as of one moment, an entry a line. */
@Service
class ArchiveWriter {

    private final WholeRecord record;
    private final Operations operations;
    private final JdbcClient jdbc;
    private final Today today;

    ArchiveWriter(WholeRecord record, Operations operations, JdbcClient jdbc, Today today) {
        this.record = record;
        this.operations = operations;
        this.jdbc = jdbc;
        this.today = today;
    }

    private record Person(String id, String name, String role) {
    }

    /** A stream that breaks off is no archive: the end is missing, and a reader says so. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void write(OutputStream out) {
        OperationRecord operation = operations.current();
        try (JsonGenerator json = DeedJson.MAPPER.createGenerator(out)) {
            json.writeStartObject();
            json.writeStringProperty("format", ArchiveReader.FORMAT);
            json.writeNumberProperty("version", ArchiveReader.VERSION);
            json.writeStringProperty("writtenAt", today.recordedAt().truncatedTo(ChronoUnit.SECONDS).toString());
            json.writeObjectPropertyStart("operation");
            json.writeStringProperty("id", operation.id().toString());
            json.writeStringProperty("name", operation.name());
            json.writeStringProperty("zone", operation.zone().getId());
            json.writeEndObject();
            json.writeArrayPropertyStart("people");
            jdbc.sql("select id, name, role from person order by id").query(Person.class).list().forEach(person -> {
                json.writeRaw('\n');
                json.writePOJO(person);
            });
            json.writeEndArray();
            json.writeArrayPropertyStart("entries");
            record.each(line -> write(json, line));
            json.writeEndArray();
            json.writeEndObject();
        }
    }

    private static void write(JsonGenerator json, WholeRecord.Line line) {
        json.writeRaw('\n');
        json.writeStartObject();
        json.writeStringProperty("id", line.id().toString());
        json.writeStringProperty("happenedAt", DateTimeFormatter.ISO_OFFSET_DATE_TIME.format(line.happenedAt()));
        json.writeStringProperty("zone", line.happenedAt().getZone().getId());
        json.writeStringProperty("recordedAt", line.recordedAt().toString());
        json.writeStringProperty("by", line.by().toString());
        line.corrects().ifPresent(corrected -> json.writeStringProperty("corrects", corrected.toString()));
        json.writePOJOProperty("deed", line.deed());
        json.writeEndObject();
    }
}
