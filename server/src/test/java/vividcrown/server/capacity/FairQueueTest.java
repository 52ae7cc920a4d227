package vividcrown.server.capacity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import vividcrown.server.problem.Refusal;

class FairQueueTest {

    private static final Duration LONG = Duration.ofSeconds(20);

    private final FairQueue queue = new FairQueue();
    private final CountDownLatch gate = new CountDownLatch(1);

    @AfterEach
    void stop() {
        gate.countDown();
        queue.destroy();
    }

    /** Work that holds every thread until the gate opens. */
    private void holdAllThreads() throws InterruptedException {
        int threads = Math.max(1, Runtime.getRuntime().availableProcessors() / 2);
        CountDownLatch held = new CountDownLatch(threads);
        for (int thread = 0; thread < threads; thread++) {
            queue.submit("holder " + thread, () -> {
                held.countDown();
                return gate.await(20, TimeUnit.SECONDS);
            });
        }
        assertThat(held.await(20, TimeUnit.SECONDS)).isTrue();
    }

    @Test
    void who_asks_once_is_not_kept_waiting_behind_who_asks_often() throws Exception {
        holdAllThreads();
        List<String> served = Collections.synchronizedList(new ArrayList<>());
        List<Turn<Boolean>> turns = new ArrayList<>();
        for (int time = 0; time < FairQueue.MOST_OF_ONE; time++) {
            turns.add(queue.submit("often", () -> served.add("often")));
        }
        turns.add(queue.submit("once", () -> served.add("once")));
        gate.countDown();
        for (Turn<Boolean> turn : turns) {
            assertThat(turn.within(LONG)).isPresent();
        }
        assertThat(served.indexOf("once")).isLessThanOrEqualTo(1);
    }

    @Test
    void one_who_asks_too_much_is_refused_and_may_ask_again_when_served() throws Exception {
        holdAllThreads();
        List<Turn<Boolean>> turns = new ArrayList<>();
        for (int time = 0; time < FairQueue.MOST_OF_ONE; time++) {
            turns.add(queue.submit("often", () -> true));
        }
        assertThatThrownBy(() -> queue.submit("often", () -> true)).isInstanceOf(Refusal.class)
                .hasMessage("Too much is asked at the moment. Wait a little, then ask again.");
        queue.submit("somebody else", () -> true);
        gate.countDown();
        for (Turn<Boolean> turn : turns) {
            turn.within(LONG);
        }
        while (queue.size() > 0) {
            Thread.sleep(5);
        }
        assertThat(queue.submit("often", () -> true).within(LONG)).contains(true);
    }

    @Test
    void the_queue_has_an_end() throws Exception {
        holdAllThreads();
        for (int asker = 0; asker < FairQueue.MOST_WAITING; asker++) {
            queue.submit("asker " + asker, () -> true);
        }
        assertThatThrownBy(() -> queue.submit("one more", () -> true)).isInstanceOf(Refusal.class);
    }

    @Test
    void what_is_given_up_is_not_begun_and_leaves_its_place() throws Exception {
        holdAllThreads();
        int before = queue.size();
        List<String> served = Collections.synchronizedList(new ArrayList<>());
        Turn<Boolean> waiting = queue.submit("gone", () -> served.add("gone"));
        queue.giveUp(waiting);
        assertThat(queue.size()).isEqualTo(before);
        assertThatThrownBy(() -> waiting.within(LONG)).isInstanceOf(CancellationException.class);
        gate.countDown();
        queue.submit("next", () -> served.add("next")).within(LONG);
        assertThat(served).containsExactly("next");
    }

    @Test
    void what_runs_is_interrupted_and_the_thread_goes_on_with_the_next() throws Exception {
        CountDownLatch running = new CountDownLatch(1);
        Turn<Boolean> endless = queue.submit("gone", () -> {
            running.countDown();
            Thread.sleep(20_000);
            return true;
        });
        running.await();
        queue.giveUp(endless);
        assertThatThrownBy(() -> endless.within(LONG)).hasCauseInstanceOf(InterruptedException.class);
        assertThat(queue.submit("next", () -> !Thread.currentThread().isInterrupted()).within(LONG)).contains(true);
    }
}
