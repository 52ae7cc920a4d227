package vividcrown.server.queen;

import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.settings.SettingsDeed;
import vividcrown.server.job.Beside;
import vividcrown.server.job.LongJobs;
import vividcrown.server.job.LongWork;
import vividcrown.server.journal.Rebuild;
import vividcrown.server.journal.Recorder;

/**
 * After the operation has changed its figures, what is due at its living queens and what clashes in their lives is
 * reckoned anew, beside the requests. A server that is killed meanwhile goes on with it when it starts again.
 */
@Component
class FiguresAgain implements LongWork {

    private final LongJobs jobs;
    private final Rebuild rebuild;
    private final Beside beside;
    private final JdbcClient jdbc;

    FiguresAgain(LongJobs jobs, Rebuild rebuild, Beside beside, JdbcClient jdbc) {
        this.jobs = jobs;
        this.rebuild = rebuild;
        this.beside = beside;
        this.jdbc = jdbc;
    }

    @TransactionalEventListener(phase = TransactionPhase.BEFORE_COMMIT)
    void ask(Recorder.Touched touched) {
        if (touched.kinds().contains(SettingsDeed.OPERATION)) {
            jobs.ask(LongJobs.FIGURES);
        }
    }

    @TransactionalEventListener
    void begin(Recorder.Touched touched) {
        if (touched.kinds().contains(SettingsDeed.OPERATION)) {
            beside.start(this);
        }
    }

    @Override
    public String name() {
        return "figures-again";
    }

    @Override
    public void goOn() {
        jobs.waiting(LongJobs.FIGURES).forEach(this::reckon);
    }

    private void reckon(UUID job) {
        List<UUID> alive = jdbc.sql("select id from queen where alive order by id").query(UUID.class).list();
        int done = 0;
        for (List<UUID> chunk : Rebuild.chunks(alive)) {
            if (!jobs.isAt(job, done, alive.size())) {
                return;
            }
            rebuild.again(QueenDeed.QUEEN, chunk);
            done += chunk.size();
        }
        jobs.end(job);
    }
}
