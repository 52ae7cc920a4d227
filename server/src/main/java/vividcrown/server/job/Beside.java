package vividcrown.server.job;

import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.operation.Founding;

/** Work beside the requests, for an operation. What fails is said in the log, and tried again at the next start. */
@Component
public class Beside {

    private static final Logger LOG = LoggerFactory.getLogger(Beside.class);

    private final Founding founding;

    Beside(Founding founding) {
        this.founding = founding;
    }

    /** @param name of the work, as the log calls it */
    public void start(String name, UUID operation, Runnable work) {
        Thread.ofVirtual().name(name).start(() -> CurrentOperation.in(operation, () -> {
            try {
                work.run();
            } catch (RuntimeException failed) {
                LOG.error("{} could not be brought to its end; it is tried again at the next start", name, failed);
            }
            return operation;
        }));
    }

    /** For every operation, one beside the other: what a server that was killed left undone. */
    public void startAll(String name, Runnable work) {
        founding.operations().forEach(operation -> start(name, operation, work));
    }
}
