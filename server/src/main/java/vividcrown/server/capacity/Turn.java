package vividcrown.server.capacity;

import java.time.Duration;
import java.util.Comparator;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.jspecify.annotations.Nullable;

/** A piece of work in the queue, and its answer. */
public final class Turn<T> implements Runnable, Comparable<Turn<?>> {

    private static final Comparator<Turn<?>> ORDER = Comparator.<Turn<?>>comparingInt(turn -> turn.rank)
            .thenComparingLong(turn -> turn.sequence);

    private final Callable<T> work;
    private final int rank;
    private final long sequence;
    private final Runnable ended;
    private final CompletableFuture<T> answer = new CompletableFuture<>();
    private boolean givenUp;
    private @Nullable Thread runner;

    Turn(Callable<T> work, int rank, long sequence, Runnable ended) {
        this.work = work;
        this.rank = rank;
        this.sequence = sequence;
        this.ended = ended;
    }

    @Override
    public void run() {
        try {
            if (begin()) {
                T worked = work.call();
                end();
                answer.complete(worked);
            } else {
                answer.cancel(false);
            }
        } catch (Throwable failed) {
            end();
            answer.completeExceptionally(failed);
        } finally {
            ended.run();
        }
    }

    private synchronized boolean begin() {
        runner = givenUp ? null : Thread.currentThread();
        return !givenUp;
    }

    /** From here on nobody interrupts the thread, which goes on with other work. */
    private synchronized void end() {
        runner = null;
        Thread.interrupted();
    }

    /** It was taken out of the queue. */
    void forget() {
        answer.cancel(false);
        ended.run();
    }

    /** It is given up while it runs, or just before it begins. */
    synchronized void interrupt() {
        givenUp = true;
        if (runner != null) {
            runner.interrupt();
        }
    }

    /**
     * Waits a while.
     *
     * @return empty if there is no answer yet
     * @throws ExecutionException with the cause why the work failed
     * @throws CancellationException if it was given up before it began
     */
    public Optional<T> within(Duration atMost) throws ExecutionException, InterruptedException {
        try {
            return Optional.of(answer.get(atMost.toMillis(), TimeUnit.MILLISECONDS));
        } catch (TimeoutException notYet) {
            return Optional.empty();
        }
    }

    @Override
    public int compareTo(Turn<?> other) {
        return ORDER.compare(this, other);
    }
}
