package vividcrown.server.capacity;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import vividcrown.core.reason.Sentence;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.problem.Problems;
import vividcrown.server.problem.Refusal;

/**
 * Those who write into one operation take turns anyway: a few wait at the database, the others before it, in the order in which
 * they came. So however many phones one operation has, others' requests find a connection.
 */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class WritersOfOne extends OncePerRequestFilter {

    /** Of the sixteen connections. Not fewer: a phone with a poor line takes its time to send, and has its place meanwhile. */
    static final int AT_ONCE = 6;
    private static final int WITHIN_SECONDS = 10;

    private final Map<UUID, Semaphore> writers = new ConcurrentHashMap<>();

    /** Reading needs no turn; open questions have a queue of their own. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getMethod().equals("GET") || request.getMethod().equals("HEAD")
                || request.getRequestURI().startsWith("/api/v1/reckon/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        Optional<UUID> operation = CurrentOperation.id();
        if (operation.isEmpty()) {
            chain.doFilter(request, response);
            return;
        }
        Semaphore turn = writers.computeIfAbsent(operation.get(), _ -> new Semaphore(AT_ONCE, true));
        if (!has(turn)) {
            Problems.send(response, Refusal.busy(Sentence.of("refusal.busy")));
            return;
        }
        try {
            chain.doFilter(request, response);
        } finally {
            turn.release();
        }
    }

    private static boolean has(Semaphore turn) {
        try {
            return turn.tryAcquire(WITHIN_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException stopping) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
