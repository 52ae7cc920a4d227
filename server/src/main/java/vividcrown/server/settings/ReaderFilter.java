package vividcrown.server.settings;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.function.Supplier;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import vividcrown.core.reason.Measures;
import vividcrown.server.operation.CurrentOperation;

/** What is written for somebody signed in is written in the units and the days of their operation. */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class ReaderFilter extends OncePerRequestFilter {

    private final SettingsInForce settings;

    ReaderFilter(SettingsInForce settings) {
        this.settings = settings;
    }

    /** Asked once, and only if a day or a quantity is written. */
    private static final class Once implements Supplier<Measures> {
        private final Supplier<Measures> asked;
        private Measures known = Measures.USUAL;
        private boolean isKnown;

        Once(Supplier<Measures> asked) {
            this.asked = asked;
        }

        @Override
        public Measures get() {
            if (!isKnown) {
                known = asked.get();
                isKnown = true;
            }
            return known;
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (CurrentOperation.id().isEmpty()) {
            chain.doFilter(request, response);
            return;
        }
        try {
            Measures.in(new Once(() -> settings.current().measures()), () -> {
                chain.doFilter(request, response);
                return request;
            });
        } catch (ServletException | IOException | RuntimeException thrown) {
            throw thrown;
        } catch (Exception impossible) {
            throw new IllegalStateException("Impossible state: a filter throws only these", impossible);
        }
    }
}
