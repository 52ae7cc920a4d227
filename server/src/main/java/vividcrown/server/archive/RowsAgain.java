package vividcrown.server.archive;

import java.util.UUID;
import org.springframework.stereotype.Component;
import vividcrown.server.job.Beside;
import vividcrown.server.job.LongJobs;
import vividcrown.server.job.LongWork;
import vividcrown.server.journal.Rebuild;

/** Makes the rows of a record that was brought back. A server that is killed meanwhile begins with it when it starts again. */
@Component
class RowsAgain implements LongWork {

    private final Beside beside;
    private final LongJobs jobs;
    private final Rebuild rebuild;

    RowsAgain(Beside beside, LongJobs jobs, Rebuild rebuild) {
        this.beside = beside;
        this.jobs = jobs;
        this.rebuild = rebuild;
    }

    void begin() {
        beside.start(this);
    }

    @Override
    public String name() {
        return "rows-again";
    }

    @Override
    public void goOn() {
        for (UUID job : jobs.waiting(LongJobs.ROWS)) {
            rebuild.all(done -> jobs.isAt(job, (int) done, 0));
            jobs.end(job);
        }
    }
}
