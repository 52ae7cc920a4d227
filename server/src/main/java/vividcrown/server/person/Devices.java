package vividcrown.server.person;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.operation.LinkSecret;

/** The devices on which people signed in. What a device carries lets nobody in; it only keeps others' wrong guesses apart. */
@Component
class Devices {

    /** As long as browsers keep a cookie. */
    static final Duration KEPT = Duration.ofDays(400);

    private final JdbcClient jdbc;
    private final Clock clock;

    Devices(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Somebody signed in. @return what the device is to carry */
    LinkSecret knows(UUID person, Optional<LinkSecret> carries) {
        LinkSecret secret = carries.orElseGet(LinkSecret::fresh);
        Timestamp now = Timestamp.from(clock.instant());
        jdbc.sql("delete from known_device where last_used_at < ?")
                .param(Timestamp.from(clock.instant().minus(KEPT))).update();
        jdbc.sql("""
                insert into known_device (key, operation_id, person_id, last_used_at) values (?, ?, ?, ?)
                on conflict (key, person_id) do update set last_used_at = excluded.last_used_at""")
                .params(secret.hash(), CurrentOperation.require(), person, now).update();
        return secret;
    }

    /** All of theirs: somebody else may have them now. */
    void forget(UUID person) {
        jdbc.sql("delete from known_device where person_id = ?").param(person).update();
    }
}
