package vividcrown.core.season.plan;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutionException;

/**
 * Waits for what other threads do. A thread that waits does not look interrupted to them until it waits no more: so it says itself that it was,
 * and who works looks at that and comes to an end.
 */
final class Awaiting {

    private volatile boolean interrupted;

    /** Whether whoever waits was interrupted. */
    boolean isInterrupted() {
        return interrupted;
    }

    /** What they came to, with the thread as interrupted as it was. */
    <T> T of(CompletableFuture<T> work) {
        try {
            return work.get();
        } catch (InterruptedException givenUp) {
            interrupted = true;
            T done = work.join();
            Thread.currentThread().interrupt();
            return done;
        } catch (ExecutionException failed) {
            throw new CompletionException(failed.getCause());
        }
    }
}
