package vividcrown.server.person;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vividcrown.core.reason.Sentence;
import vividcrown.server.problem.Refusal;

/**
 * Slows down the guessing of passwords: after a few wrong ones an address must wait. Kept in the database, so that
 * every node counts the same.
 */
@Component
class SignInThrottle {
    private static final int WRONG_ALLOWED = 8;
    private static final Duration WITHIN = Duration.ofMinutes(10);

    private final JdbcClient jdbc;
    private final Clock clock;

    SignInThrottle(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** @throws Refusal if too many passwords were wrong for this address of late */
    void letThrough(String email) {
        int wrong = jdbc.sql("select count(*) from sign_in_failure where email = ? and failed_at > ?").param(email)
                .param(since()).query(Integer.class).single();
        if (wrong >= WRONG_ALLOWED) {
            throw Refusal.tooMany(Sentence.of("refusal.tooManyPasswords", wrong, (int) WITHIN.toMinutes()));
        }
    }

    void failed(String email) {
        jdbc.sql("delete from sign_in_failure where failed_at <= ?").param(since()).update();
        jdbc.sql("insert into sign_in_failure (email, failed_at) values (?, ?)").param(email)
                .param(Timestamp.from(clock.instant())).update();
    }

    void succeeded(String email) {
        jdbc.sql("delete from sign_in_failure where email = ?").param(email).update();
    }

    private Timestamp since() {
        Instant from = clock.instant().minus(WITHIN);
        return Timestamp.from(from);
    }
}
