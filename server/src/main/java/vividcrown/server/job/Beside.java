package vividcrown.server.job;

import java.util.UUID;
import java.util.concurrent.Semaphore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
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

    Beside(Founding founding) {
        this.founding = founding;
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
    public void startAll(String name, Runnable work) {
        founding.operations().forEach(operation -> start(name, operation, work));
    }
}
