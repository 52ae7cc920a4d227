package vividcrown.server.capacity;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;
import vividcrown.core.reason.Sentence;
import vividcrown.server.problem.Problems;
import vividcrown.server.problem.Refusal;

/**
 * Open questions are reckoned in turn: the request is read and the answer sent by the thread that serves the client, which
 * may be slow; what lies between has a turn in the {@link FairQueue}. Who leaves is forgotten, and the reckoning with him.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class ReckonFilter extends OncePerRequestFilter {

    private static final Duration LOOK_AFTER = Duration.ofMillis(200);
    /** In the queue and at work together. */
    private static final Duration LONGEST = Duration.ofSeconds(40);

    private final FairQueue queue;

    ReckonFilter(FairQueue queue) {
        this.queue = queue;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/v1/reckon/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        HttpServletRequest read = new ReadRequest(request, request.getInputStream().readAllBytes());
        ContentCachingResponseWrapper answer = new ContentCachingResponseWrapper(response);
        try {
            Turn<Boolean> turn = queue.submit(request.getRemoteAddr(), () -> {
                chain.doFilter(read, answer);
                return true;
            });
            if (isDone(turn, request)) {
                answer.copyBodyToResponse();
            } else {
                Problems.send(response, Refusal.busy(Sentence.of("refusal.tookTooLong")));
            }
        } catch (Refusal busy) {
            Problems.send(response, busy);
        }
    }

    /** Waits to the end even of what is given up: what still runs holds the request. */
    private boolean isDone(Turn<Boolean> turn, HttpServletRequest request) throws ServletException {
        long until = System.nanoTime() + LONGEST.toNanos();
        boolean givenUp = false;
        try {
            while (turn.within(LOOK_AFTER).isEmpty()) {
                if (!givenUp && (System.nanoTime() > until || ClientThere.isGone(request))) {
                    givenUp = true;
                    queue.giveUp(turn);
                }
            }
            return !givenUp;
        } catch (CancellationException neverBegun) {
            throw Refusal.busy(Sentence.of("refusal.busy"));
        } catch (ExecutionException failed) {
            if (givenUp) {
                return false;
            }
            throw new ServletException(failed.getCause());
        } catch (InterruptedException stopping) {
            queue.giveUp(turn);
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /** A request whose body lies in memory. */
    private static final class ReadRequest extends HttpServletRequestWrapper {
        private final byte[] body;

        ReadRequest(HttpServletRequest request, byte[] body) {
            super(request);
            this.body = body;
        }

        @Override
        public ServletInputStream getInputStream() {
            ByteArrayInputStream bytes = new ByteArrayInputStream(body);
            return new ServletInputStream() {
                @Override
                public int read() {
                    return bytes.read();
                }

                @Override
                public int read(byte[] into, int from, int most) {
                    return bytes.read(into, from, most);
                }

                @Override
                public boolean isFinished() {
                    return bytes.available() == 0;
                }

                @Override
                public boolean isReady() {
                    return true;
                }

                @Override
                public void setReadListener(ReadListener listener) {
                    throw new UnsupportedOperationException("the body is read already");
                }
            };
        }

        @Override
        public BufferedReader getReader() {
            return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
        }
    }
}
