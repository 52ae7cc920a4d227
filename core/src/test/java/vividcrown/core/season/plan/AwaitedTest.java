package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;

/** Whoever waits and is interrupted says so to those who work; that a waiting thread does not look it, is how Java's futures wait. */
class AwaitedTest {

    @Test
    void whoever_works_hears_of_it_at_once_and_whoever_waited_is_interrupted_still() throws InterruptedException {
        AtomicBoolean interrupted = new AtomicBoolean();
        AtomicBoolean stillInterrupted = new AtomicBoolean();
        CompletableFuture<String> work = CompletableFuture.supplyAsync(() -> {
            while (!interrupted.get()) {
                Thread.onSpinWait();
            }
            return "given up";
        }).completeOnTimeout("not told", 20, TimeUnit.SECONDS);
        CompletableFuture<String> came = new CompletableFuture<>();
        Thread waits = new Thread(() -> {
            String answer = Awaited.of(work, interrupted);
            stillInterrupted.set(Thread.currentThread().isInterrupted());
            came.complete(answer);
        });
        waits.start();
        waits.interrupt();
        waits.join();
        assertThat(came).isCompletedWithValue("given up");
        assertThat(stillInterrupted).isTrue();
    }

    @Test
    void what_fails_there_fails_here() {
        CompletableFuture<String> work = CompletableFuture.failedFuture(new IllegalStateException("no plan"));
        assertThatThrownBy(() -> Awaited.of(work, new AtomicBoolean())).isInstanceOf(CompletionException.class)
                .hasRootCauseMessage("no plan");
    }
}
