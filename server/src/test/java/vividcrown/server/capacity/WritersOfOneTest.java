package vividcrown.server.capacity;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.FilterChain;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import vividcrown.server.operation.CurrentOperation;

class WritersOfOneTest {

    private final WritersOfOne writers = new WritersOfOne();

    private MockHttpServletResponse asked(UUID operation, String method, FilterChain chain) {
        MockHttpServletResponse response = new MockHttpServletResponse();
        CurrentOperation.in(operation, () -> {
            try {
                writers.doFilter(new MockHttpServletRequest(method, "/api/v1/journal"), response, chain);
            } catch (Exception failed) {
                throw new IllegalStateException(failed);
            }
            return response;
        });
        return response;
    }

    /** Fills every place of an operation until it is told to go. */
    private List<Thread> holds(UUID operation, CountDownLatch go) throws InterruptedException {
        CountDownLatch inside = new CountDownLatch(WritersOfOne.AT_ONCE);
        List<Thread> holding = new ArrayList<>();
        for (int one = 0; one < WritersOfOne.AT_ONCE; one++) {
            holding.add(Thread.ofVirtual().start(() -> asked(operation, "POST", (_, _) -> {
                inside.countDown();
                try {
                    go.await();
                } catch (InterruptedException interrupted) {
                    Thread.currentThread().interrupt();
                }
            })));
        }
        assertThat(inside.await(10, TimeUnit.SECONDS)).isTrue();
        return holding;
    }

    @Test
    void those_of_one_operation_wait_before_the_database_and_others_go_past_them() throws InterruptedException {
        UUID busy = UUID.randomUUID();
        CountDownLatch go = new CountDownLatch(1);
        List<Thread> holding = holds(busy, go);
        List<String> past = new ArrayList<>();
        asked(UUID.randomUUID(), "POST", (_, _) -> past.add("another operation"));
        asked(busy, "GET", (_, _) -> past.add("one who reads"));
        assertThat(past).containsExactly("another operation", "one who reads");
        CountDownLatch later = new CountDownLatch(1);
        Thread next = Thread.ofVirtual().start(() -> asked(busy, "POST", (_, _) -> later.countDown()));
        while (next.getState() != Thread.State.TIMED_WAITING && next.isAlive()) {
            Thread.onSpinWait();
        }
        assertThat(later.getCount()).as("it waits").isEqualTo(1);
        go.countDown();
        assertThat(later.await(10, TimeUnit.SECONDS)).as("its turn comes").isTrue();
        next.join();
        for (Thread thread : holding) {
            thread.join();
        }
    }

    @Test
    void who_waits_too_long_is_told_to_come_again() throws InterruptedException {
        UUID busy = UUID.randomUUID();
        CountDownLatch go = new CountDownLatch(1);
        holds(busy, go);
        MockHttpServletResponse answer = asked(busy, "POST", (_, _) -> {
            throw new AssertionError("there is no place");
        });
        assertThat(answer.getStatus()).isEqualTo(503);
        assertThat(answer.getHeader("Retry-After")).isNotNull();
        go.countDown();
    }
}
