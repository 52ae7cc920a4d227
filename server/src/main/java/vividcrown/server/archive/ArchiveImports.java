package vividcrown.server.archive;

import java.io.IOException;
import java.io.InputStream;
import java.util.Optional;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import vividcrown.server.job.Beside;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.problem.Refusal;

/** Reads archives beside the requests, then makes their rows. A server that is killed meanwhile begins anew when it starts again. */
@Component
class ArchiveImports {

    private static final String NAME = "archive";

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
        uploads.keep(in);
        beside.start(NAME, CurrentOperation.require(), this::goOn);
    }

    @EventListener(ApplicationReadyEvent.class)
    void goOnAfterAStart() {
        beside.startAll(NAME, this::goOn);
    }

    private void goOn() {
        Optional<ArchiveUploads.Upload> waiting = uploads.last().filter(last -> !last.ended());
        if (waiting.isPresent()) {
            try {
                reader.read(waiting.get().id());
                rows.begin();
            } catch (Refusal refused) {
                uploads.refused(waiting.get().id(), refused.findings());
            }
        }
    }
}
