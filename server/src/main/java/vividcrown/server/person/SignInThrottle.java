package vividcrown.server.person;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import vividcrown.core.reason.Sentence;
import vividcrown.server.problem.Refusal;

/**
 * Slows down the guessing of passwords, by whom is guessed and from where, as OWASP's Authentication Cheat Sheet advises
 * (waits that double, known devices apart) and NIST SP 800-63B 5.2.2 (at most a hundred wrong ones in a row). Nobody who signs
 * in on a device of theirs is kept out by what is guessed elsewhere. Kept in the database, so that every node counts the
 * same; each try is counted before its password is looked at. The hundred is NIST's; the other bounds are common practice, from
 * memory.
 */
@Component
class SignInThrottle {

    /** So many may be wrong of one address from one source before the waits begin. */
    private static final int FREE = 5;
    private static final Duration FIRST_WAIT = Duration.ofSeconds(10);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
    /** Of one address from everywhere within an hour: then one a minute is let through. */
    private static final int OF_ADDRESS = 30;
    private static final Duration BETWEEN = Duration.ofMinutes(1);
    /** NIST: no more in a row; counted within a day. */
    private static final int OF_ADDRESS_IN_A_DAY = 100;
    /** Of all addresses from one source within an hour. */
    private static final int OF_SOURCE = 40;
    /** On a device of theirs, within a quarter of an hour. */
    private static final int ON_KNOWN_DEVICE = 20;
    private static final Duration HOUR = Duration.ofHours(1);
    private static final Duration DAY = Duration.ofDays(1);

    private final JdbcClient jdbc;
    private final TransactionTemplate transactions;
    private final Clock clock;

    SignInThrottle(JdbcClient jdbc, TransactionTemplate transactions, Clock clock) {
        this.jdbc = jdbc;
        this.transactions = transactions;
        this.clock = clock;
    }

    private record Tries(int count, Instant last, Instant first) {
    }

    /**
     * Counts a try, as if it were wrong.
     *
     * @throws Refusal with how long to wait, if there were too many; such a one is not counted
     */
    void letThrough(String email, Asker asker) {
        Duration wait = transactions.execute(_ -> {
            // in this order always, so that two never wait for each other
            lock("source " + asker.source());
            lock("address " + email);
            Optional<byte[]> device = asker.device().map(secret -> secret.hash())
                    .filter(key -> jdbc.sql("select is_known_device(?, ?)").params(key, email).query(Boolean.class)
                            .single());
            Duration asked = device.map(this::onKnownDevice).orElseGet(() -> elsewhere(email, asker.source()));
            if (asked.isZero()) {
                jdbc.sql("delete from sign_in_try where tried_at < ?").param(Timestamp.from(clock.instant().minus(DAY)))
                        .update();
                jdbc.sql("insert into sign_in_try (email, source, device, tried_at) values (?, ?, ?, ?)").param(email)
                        .param(asker.source()).param(device.orElse(null)).param(Timestamp.from(clock.instant()))
                        .update();
            }
            return asked;
        });
        if (!wait.isZero()) {
            throw Refusal.tooMany(wait.compareTo(FIRST_WAIT.multipliedBy(12)) <= 0
                    ? Sentence.of("refusal.tooManyPasswordsSeconds", (int) wait.toSeconds() + 1)
                    : Sentence.of("refusal.tooManyPasswords", (int) wait.toMinutes() + 1));
        }
    }

    private Duration onKnownDevice(byte[] device) {
        Tries tries = tries("device = ?", LONGEST_WAIT, device);
        return tries.count() < ON_KNOWN_DEVICE ? Duration.ZERO : left(tries.first(), LONGEST_WAIT);
    }

    private Duration elsewhere(String email, String source) {
        Tries both = tries("device is null and email = ? and source = ?", HOUR, email, source);
        Tries ofSource = tries("device is null and source = ?", HOUR, source);
        Tries ofAddress = tries("device is null and email = ?", HOUR, email);
        Tries ofAddressInADay = tries("device is null and email = ?", DAY, email);
        Duration wait = both.count() < FREE ? Duration.ZERO : left(both.last(), doubling(both.count() - FREE));
        if (ofSource.count() >= OF_SOURCE) {
            wait = longer(wait, left(ofSource.first(), HOUR));
        }
        if (ofAddress.count() >= OF_ADDRESS) {
            wait = longer(wait, left(ofAddress.last(), BETWEEN));
        }
        if (ofAddressInADay.count() >= OF_ADDRESS_IN_A_DAY) {
            wait = longer(wait, left(ofAddressInADay.first(), DAY));
        }
        return wait;
    }

    private static Duration doubling(int times) {
        Duration wait = FIRST_WAIT;
        for (int time = 0; time < times && wait.compareTo(LONGEST_WAIT) < 0; time++) {
            wait = wait.multipliedBy(2);
        }
        return wait.compareTo(LONGEST_WAIT) < 0 ? wait : LONGEST_WAIT;
    }

    private static Duration longer(Duration one, Duration other) {
        return one.compareTo(other) > 0 ? one : other;
    }

    private Duration left(Instant from, Duration wait) {
        Duration left = Duration.between(clock.instant(), from.plus(wait));
        return left.isNegative() ? Duration.ZERO : left;
    }

    private Tries tries(String which, Duration within, Object... values) {
        Instant now = clock.instant();
        return jdbc
                .sql("select count(*), max(tried_at), min(tried_at) from sign_in_try where " + which
                        + " and tried_at > ?")
                .params(values).param(Timestamp.from(now.minus(within)))
                .query((row, _) -> new Tries(row.getInt(1), at(row.getTimestamp(2), now), at(row.getTimestamp(3), now)))
                .single();
    }

    private static Instant at(@Nullable Timestamp moment, Instant otherwise) {
        return moment == null ? otherwise : moment.toInstant();
    }

    private void lock(String name) {
        jdbc.sql("select pg_advisory_xact_lock(hashtextextended(?, 1))").param(name).query((row, _) -> row).list();
    }

    /** The password was right: what was wrong before in a row is forgotten. */
    void succeeded(String email) {
        jdbc.sql("delete from sign_in_try where email = ?").param(email).update();
    }
}
