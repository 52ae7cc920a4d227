package vividcrown.server.archive;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
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

    private static final long HUNDRED = 100;

    private final ArchiveWriter writer;
    private final ArchiveUploads uploads;
    private final ArchiveImports imports;
    private final ArchiveSchema schema;
    private final WholeRecord record;
    private final LongJobs jobs;

    ArchiveController(ArchiveWriter writer, ArchiveUploads uploads, ArchiveImports imports, ArchiveSchema schema,
            WholeRecord record, LongJobs jobs) {
        this.writer = writer;
        this.uploads = uploads;
        this.imports = imports;
        this.schema = schema;
        this.record = record;
        this.jobs = jobs;
    }

    /**
     * Whether an archive can be brought back here, and how far one is that was sent in.
     *
     * @param empty nothing is recorded yet: only then
     * @param readPercent how much of it was read, while it is read; left out when none is
     * @param entries that it brought back; left out if none was read to its end
     * @param faults what is wrong with it, nothing of which was brought back then
     * @param made how many things have their rows already, while rows are made of an archive; left out when none is under way
     */
    record ArchiveState(boolean empty, @Nullable Integer readPercent, @Nullable Long entries,
            List<ArchiveFault> faults, @Nullable Integer made) {
    }

    /**
     * Something wrong with an archive.
     *
     * @param where line of the file, or name of the part; empty if it concerns the whole
     * @param message what is wrong and what to change
     */
    record ArchiveFault(String where, String message) {
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

    /** Whether an archive can be brought back, and how far one is that was sent in. */
    @GetMapping("/api/v1/imports/archive")
    ArchiveState state() {
        SignedIn.requireOwner();
        Optional<ArchiveUploads.Upload> last = uploads.last();
        return new ArchiveState(record.isEmpty(),
                last.filter(one -> !one.ended()).map(ArchiveController::percent).orElse(null),
                last.filter(one -> one.ended() && one.faults().isEmpty()).map(ArchiveUploads.Upload::entries)
                        .orElse(null),
                last.stream().flatMap(one -> one.faults().stream())
                        .map(fault -> new ArchiveFault(fault.field(), fault.message())).toList(),
                jobs.progress(LongJobs.ROWS).map(LongJobs.JobProgress::done).orElse(null));
    }

    private static int percent(ArchiveUploads.Upload upload) {
        return upload.size() == 0 ? 0 : (int) (HUNDRED * upload.read() / upload.size());
    }

    /**
     * Brings an archive back into an operation in which nothing is recorded yet: all of it, or nothing. It is read beside the
     * requests; the state tells how far it is, and what is wrong with it.
     */
    @PutMapping(value = "/api/v1/imports/archive", consumes = MediaType.APPLICATION_JSON_VALUE)
    ArchiveState in(HttpServletRequest request) throws IOException {
        SignedIn.requireOwner();
        imports.begin(request.getInputStream());
        return state();
    }
}
