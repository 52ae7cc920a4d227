package vividcrown.core.season.plan;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.atomic.AtomicBoolean;

/** Waits for what other threads do. */
final class Awaited {

    private Awaited() {
    }

    /**
     * A thread that waits does not look interrupted to the others until it waits no more: so it says itself that it was.
     *
     * @param interrupted set as soon as whoever waits is interrupted; who works looks at it and comes to an end
     * @return what they came to, with the thread as interrupted as it was
     */
    static <T> T of(CompletableFuture<T> work, AtomicBoolean interrupted) {
        try {
            return work.get();
        } catch (InterruptedException givenUp) {
            interrupted.set(true);
            T done = work.join();
            Thread.currentThread().interrupt();
            return done;
        } catch (ExecutionException failed) {
            throw new CompletionException(failed.getCause());
        }
    }
}
