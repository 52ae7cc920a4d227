package vividcrown.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import java.io.IOException;
import java.sql.SQLException;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

class LastResortTest {

    private static MockHttpServletResponse answerTo(RuntimeException failure) throws ServletException, IOException {
        MockHttpServletResponse response = new MockHttpServletResponse();
        FilterChain chain = (_, answer) -> {
            answer.getWriter().write("half an answer");
            throw failure;
        };
        new LastResort().doFilter(new MockHttpServletRequest(), response, chain);
        return response;
    }

    /** A phone sends again what was answered with 503, and shows what was answered with 500. */
    @Test
    void a_database_that_is_away_is_sent_to_again_and_a_fault_is_not() throws ServletException, IOException {
        MockHttpServletResponse away = answerTo(new IllegalStateException(new SQLException("connection refused")));
        assertThat(away.getStatus()).isEqualTo(503);
        assertThat(away.getHeader("Retry-After")).isEqualTo("5");
        assertThat(away.getContentAsString()).startsWith("{\"type\":\"urn:vividcrown:unavailable\"");
        MockHttpServletResponse fault = answerTo(new IllegalStateException("a fault of the program"));
        assertThat(fault.getStatus()).isEqualTo(500);
        assertThat(fault.getHeader("Retry-After")).isNull();
        assertThat(fault.getContentAsString()).contains("tell whoever keeps the program").doesNotContain("half");
    }

    /** The database went away between the refusal and its answer: the refusal alone is what the framework passes on. */
    @Test
    void a_refusal_that_could_not_be_told_is_sent_again() throws ServletException, IOException {
        assertThat(answerTo(Refusal.invalid("day", "It lies ahead.")).getStatus()).isEqualTo(503);
    }
}
