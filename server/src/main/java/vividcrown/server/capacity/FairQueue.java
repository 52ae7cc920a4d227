package vividcrown.server.capacity;

import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.PriorityBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;
import vividcrown.core.reason.Sentence;
import vividcrown.server.problem.Refusal;

/**
 * Long reckoning takes its turn on few threads of its own, so that those that answer people stay free. Fair: whoever has
 * more in the queue already is served after those who have less, and otherwise in the order of asking.
 */
@Component
public class FairQueue implements DisposableBean {

    static final int MOST_WAITING = 60;
    /** Of one who asks, waiting and running together. */
    static final int MOST_OF_ONE = 4;

    private final ThreadPoolExecutor threads;
    private final Map<String, Integer> ofAsker = new HashMap<>();
    private long asked;

    FairQueue() {
        int atOnce = Math.max(1, Runtime.getRuntime().availableProcessors() / 2);
        threads = new ThreadPoolExecutor(atOnce, atOnce, 1, TimeUnit.MINUTES, new PriorityBlockingQueue<>(),
                Thread.ofPlatform().name("reckoning-", 0).daemon().factory());
    }

    /**
     * Takes work up, or refuses it if there is too much already.
     *
     * @param asker who asks; what one asker waits for stands back behind others
     * @param work sees that it is given up by its thread's interrupt
     */
    public synchronized <T> Turn<T> submit(String asker, Callable<T> work) {
        int before = ofAsker.getOrDefault(asker, 0);
        if (before >= MOST_OF_ONE || threads.getQueue().size() >= MOST_WAITING) {
            throw Refusal.busy(Sentence.of("refusal.busy"));
        }
        Turn<T> turn = new Turn<>(work, before, asked++, () -> ended(asker));
        ofAsker.put(asker, before + 1);
        threads.execute(turn);
        return turn;
    }

    /** Nobody waits for the answer any more: it is not begun, or its thread is interrupted. */
    public void giveUp(Turn<?> turn) {
        if (threads.remove(turn)) {
            turn.forget();
        } else {
            turn.interrupt();
        }
    }

    private synchronized void ended(String asker) {
        ofAsker.computeIfPresent(asker, (_, count) -> count > 1 ? count - 1 : null);
    }

    /** How much is waiting or running. */
    synchronized int size() {
        return ofAsker.values().stream().mapToInt(Integer::intValue).sum();
    }

    @Override
    public void destroy() {
        threads.shutdownNow();
    }
}
