package vividcrown.server.capacity;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import vividcrown.core.reason.Sentence;
import vividcrown.server.problem.Problems;
import vividcrown.server.problem.Refusal;

/** Refuses a request that is larger than anybody needs, before it is read. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class BodyLimit extends OncePerRequestFilter {

    private static final Set<String> WITH_BODY = Set.of("POST", "PUT", "PATCH");
    private static final int KILOBYTE = 1_000;
    /** A file of some ten thousand rows. */
    static final int MOST_KILOBYTES = 4_000;
    /** Ten seasons of two hundred hives, everything that was recorded in them. */
    static final int MOST_KILOBYTES_ARCHIVE = 1_000_000;
    /** A season's plan with all its history. */
    static final int MOST_KILOBYTES_OPEN = 1_000;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        int most = most(request.getRequestURI());
        long length = request.getContentLengthLong();
        boolean lengthUnknown = length < 0 && request.getHeader("Transfer-Encoding") != null;
        if (WITH_BODY.contains(request.getMethod()) && (lengthUnknown || length > (long) most * KILOBYTE)) {
            Problems.send(response, Refusal.tooLarge(lengthUnknown
                    ? Sentence.of("refusal.lengthUnknown")
                    : Sentence.of("refusal.tooLarge", (int) (length / KILOBYTE), most)));
        } else {
            chain.doFilter(request, response);
        }
    }

    private static int most(String path) {
        if (path.equals("/api/v1/imports/archive")) {
            return MOST_KILOBYTES_ARCHIVE;
        }
        return path.startsWith("/api/v1/reckon/") ? MOST_KILOBYTES_OPEN : MOST_KILOBYTES;
    }
}
