package vividcrown.server.job;

import java.util.UUID;
import java.util.concurrent.Semaphore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.operation.Founding;

/** Work beside the requests, for an operation. What fails is said in the log, and tried again at the next start. */
@Component
public class Beside {

    private static final Logger LOG = LoggerFactory.getLogger(Beside.class);

    /** So many at once, or those of a thousand operations would have every connection when a server starts. */
    private static final int HANDS = 3;

    private final Semaphore hands = new Semaphore(HANDS, true);
    private final Founding founding;
    private final ObjectProvider<LongWork> works;

    Beside(Founding founding, ObjectProvider<LongWork> works) {
        this.founding = founding;
        this.works = works;
    }

    /** For the current operation. */
    public void start(LongWork work) {
        start(work.name(), CurrentOperation.require(), work::goOn);
    }

    /** @param name of the work, as the log calls it */
    public void start(String name, UUID operation, Runnable work) {
        Thread.ofVirtual().name(name).start(() -> CurrentOperation.in(operation, () -> {
            hands.acquireUninterruptibly();
            try {
                work.run();
            } catch (RuntimeException failed) {
                LOG.error("{} could not be brought to its end; it is tried again at the next start", name, failed);
            } finally {
                hands.release();
            }
            return operation;
        }));
    }

    /** For every operation, one beside the other: what a server that was killed left undone. */
    @EventListener(ApplicationReadyEvent.class)
    public void goOnAfterAStart() {
        works.forEach(
                work -> founding.operations().forEach(operation -> start(work.name(), operation, work::goOn)));
    }
}
