package vividcrown.server.wire;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import vividcrown.core.reason.Sentence;
import vividcrown.server.problem.Problems;
import vividcrown.server.problem.Refusal;

/** Refuses what is asked for behind the question mark with a character that the database cannot compare with anything. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 3)
class PlainQuery extends OncePerRequestFilter {

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getQueryString() == null;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        if (request.getQueryString().contains("%00")) {
            Problems.send(response, Refusal.invalid("", Sentence.of("misread.text")));
        } else {
            chain.doFilter(request, response);
        }
    }
}
