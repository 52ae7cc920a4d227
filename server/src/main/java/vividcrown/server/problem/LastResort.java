package vividcrown.server.problem;

import jakarta.persistence.PersistenceException;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Around everything, sessions too: what fails before a controller is reached, or after it. It is answered without the
 * database. Where the database failed, the answer is to send it again, so that a phone keeps its entries; a fault of the
 * program would come again, and is called one.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class LastResort extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(LastResort.class);
    private static final int DEEPEST = 20;
    /** Classes of PostgreSQL's errors, appendix A of its manual. */
    private static final String CONNECTION = "08";
    private static final String STOPPED = "57P";
    private static final byte[] UNAVAILABLE = answer("unavailable", 503, ProblemAdvice.UNAVAILABLE);
    private static final byte[] FAILED = answer("failed", 500, ProblemAdvice.FAILED);

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        try {
            chain.doFilter(request, response);
        } catch (RuntimeException | ServletException failed) {
            if (response.isCommitted()) {
                throw failed;
            }
            // a refusal that got here could not be written down to its end, the session with it: it is said when it is sent again
            boolean comesAgain = !ofDatabase(failed) && causes(failed).noneMatch(Refusal.class::isInstance);
            note(LOG, "A request failed outside of any controller", failed);
            response.reset();
            response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
            if (comesAgain) {
                response.setStatus(HttpServletResponse.SC_INTERNAL_SERVER_ERROR);
            } else {
                response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
                response.setHeader(HttpHeaders.RETRY_AFTER, Problems.COME_AGAIN_SECONDS);
            }
            response.getOutputStream().write(comesAgain ? FAILED : UNAVAILABLE);
        }
    }

    /** Whether it is the database that failed, and not the program. */
    static boolean ofDatabase(Throwable failed) {
        return causes(failed)
                .anyMatch(one -> one instanceof SQLException || one instanceof DataAccessException
                        || one instanceof TransactionException || one instanceof PersistenceException);
    }

    /** Every request fails while the database is away: a line each is enough. What else fails is somebody's fault, with where. */
    static void note(Logger log, String what, Throwable failed) {
        Optional<SQLException> away = causes(failed).filter(SQLException.class::isInstance)
                .map(SQLException.class::cast)
                .filter(one -> one instanceof SQLTransientConnectionException
                        || Stream.of(CONNECTION, STOPPED)
                                .anyMatch(Optional.ofNullable(one.getSQLState()).orElse("")::startsWith))
                .findFirst();
        if (away.isPresent()) {
            log.error("{}: the database is away: {}", what, away.get().getMessage());
        } else {
            log.error(what, failed);
        }
    }

    private static Stream<Throwable> causes(Throwable failed) {
        return Stream.iterate(failed, Objects::nonNull, Throwable::getCause).limit(DEEPEST);
    }

    private static byte[] answer(String type, int status, String detail) {
        return """
                {"type":"urn:vividcrown:%s","status":%d,"detail":"%s","findings":[]}""".formatted(type, status, detail)
                .getBytes(StandardCharsets.UTF_8);
    }
}
