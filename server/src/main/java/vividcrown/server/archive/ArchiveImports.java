package vividcrown.server.archive;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Optional;
import org.springframework.stereotype.Component;
import vividcrown.core.reason.Sentence;
import vividcrown.server.job.Beside;
import vividcrown.server.job.LongWork;
import vividcrown.server.problem.Refusal;

/** Reads archives beside the requests, then makes their rows. A server that is killed meanwhile begins anew when it starts again. */
@Component
class ArchiveImports implements LongWork {

    private final ArchiveUploads uploads;
    private final ArchiveReader reader;
    private final RowsAgain rows;
    private final Beside beside;

    ArchiveImports(ArchiveUploads uploads, ArchiveReader reader, RowsAgain rows, Beside beside) {
        this.uploads = uploads;
        this.reader = reader;
        this.rows = rows;
        this.beside = beside;
    }

    void begin(InputStream in) throws IOException {
        reader.requireEmpty();
        // a slow line holds a file, not a connection to the database
        Path file = Files.createTempFile("archive", ".json");
        try {
            Files.copy(in, file, StandardCopyOption.REPLACE_EXISTING);
            try (InputStream whole = Files.newInputStream(file)) {
                uploads.keep(whole);
            }
        } finally {
            Files.delete(file);
        }
        beside.start(this);
    }

    @Override
    public String name() {
        return "archive";
    }

    @Override
    public void goOn() {
        Optional<ArchiveUploads.Upload> waiting = uploads.last().filter(last -> !last.ended());
        if (waiting.isPresent()) {
            try {
                reader.read(waiting.get().id());
                rows.begin();
            } catch (Refusal refused) {
                uploads.refused(waiting.get().id(), refused.findings());
            } catch (RuntimeException failed) {
                // nobody waits for what will not go on; if this cannot be written down either, the next start begins anew
                uploads.refused(waiting.get().id(),
                        Refusal.invalid("", Sentence.of("refusal.archiveStopped")).findings());
                throw failed;
            }
        }
    }
}
