package vividcrown.server.archive;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.server.job.LongJobs;
import vividcrown.server.journal.WholeRecord;
import vividcrown.server.person.SignedIn;

/** The whole operation as one JSON file. The owner's alone. */
@RestController
class ArchiveController {

    private final ArchiveWriter writer;
    private final ArchiveReader reader;
    private final ArchiveSchema schema;
    private final RowsAgain rows;
    private final WholeRecord record;
    private final LongJobs jobs;

    ArchiveController(ArchiveWriter writer, ArchiveReader reader, ArchiveSchema schema, RowsAgain rows,
            WholeRecord record, LongJobs jobs) {
        this.writer = writer;
        this.reader = reader;
        this.schema = schema;
        this.rows = rows;
        this.record = record;
        this.jobs = jobs;
    }

    /**
     * Whether an archive can be brought back here.
     *
     * @param empty nothing is recorded yet: only then
     * @param made how many things have their rows already, while rows are made of an archive; left out when none is under way
     */
    record ArchiveState(boolean empty, @Nullable Integer made) {
    }

    /** @param entries that were brought back; their rows follow */
    record BroughtBack(long entries) {
    }

    /** Everything that was ever recorded, with who recorded it. */
    @GetMapping("/api/v1/exports/archive.json")
    void out(HttpServletResponse response) throws IOException {
        SignedIn.requireOwner();
        response.setContentType(MediaType.APPLICATION_JSON_VALUE);
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment().filename("vivid-crown-archive.json").build().toString());
        writer.write(response.getOutputStream());
    }

    /** What an archive looks like, as a JSON Schema. */
    @GetMapping(value = "/api/v1/exports/archive.schema.json", produces = "application/schema+json")
    String schema() {
        return schema.text();
    }

    /** Whether an archive can be brought back, and how far one is that was. */
    @GetMapping("/api/v1/imports/archive")
    ArchiveState state() {
        SignedIn.requireOwner();
        return new ArchiveState(record.isEmpty(),
                jobs.progress(LongJobs.ROWS).map(LongJobs.JobProgress::done).orElse(null));
    }

    /** Brings an archive back into an operation in which nothing is recorded yet: all of it, or nothing. */
    @PutMapping(value = "/api/v1/imports/archive", consumes = MediaType.APPLICATION_JSON_VALUE)
    BroughtBack in(HttpServletRequest request) throws IOException {
        SignedIn.requireOwner();
        long entries = reader.read(request.getInputStream());
        rows.begin();
        return new BroughtBack(entries);
    }
}
