package vividcrown.server.queen;

import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionPhase;
import org.springframework.transaction.event.TransactionalEventListener;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.settings.SettingsDeed;
import vividcrown.server.job.LongJobs;
import vividcrown.server.journal.Rebuild;
import vividcrown.server.journal.Recorder;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.operation.Founding;

/**
 * After the operation has changed its figures, what is due at its living queens and what clashes in their lives is
 * reckoned anew, beside the requests. A server that is killed meanwhile goes on with it when it starts again.
 */
@Component
class FiguresAgain {

    private static final Logger LOG = LoggerFactory.getLogger(FiguresAgain.class);

    private final LongJobs jobs;
    private final Rebuild rebuild;
    private final Founding founding;
    private final JdbcClient jdbc;

    FiguresAgain(LongJobs jobs, Rebuild rebuild, Founding founding, JdbcClient jdbc) {
        this.jobs = jobs;
        this.rebuild = rebuild;
        this.founding = founding;
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
            goOn(CurrentOperation.require());
        }
    }

    @EventListener(ApplicationReadyEvent.class)
    void goOnAfterAStart() {
        founding.operations().forEach(this::goOn);
    }

    private void goOn(UUID operation) {
        Thread.ofVirtual().name("figures-again").start(() -> CurrentOperation.in(operation, () -> {
            try {
                jobs.waiting(LongJobs.FIGURES).forEach(this::reckon);
            } catch (RuntimeException failed) {
                LOG.error("Queens could not be reckoned with the new figures; it is tried again at the next start",
                        failed);
            }
            return operation;
        }));
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
