package vividcrown.server.person;

import com.fasterxml.uuid.Generators;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.reason.Sentence;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.operation.Founding;
import vividcrown.server.operation.LinkSecret;
import vividcrown.server.problem.Refusal;

/** Links that let somebody into the operation, each once and for a week. The database knows only what they hash to. */
@Component
class Invitations {

    private static final Duration GOOD_FOR = Duration.ofDays(7);

    private final JdbcClient jdbc;
    private final Founding founding;
    private final People people;
    private final Devices devices;
    private final AccessLog log;
    private final Clock clock;

    Invitations(JdbcClient jdbc, Founding founding, People people, Devices devices, AccessLog log, Clock clock) {
        this.jdbc = jdbc;
        this.founding = founding;
        this.people = people;
        this.devices = devices;
        this.log = log;
        this.clock = clock;
    }

    /**
     * A link that can be used.
     *
     * @param operation what it is called
     * @param personId who chooses a new password by it, if it asks nobody new in
     * @param email of that person
     */
    record Open(UUID operationId, String operation, String name, String role, @Nullable UUID personId,
            @Nullable String email) {
    }

    /** One that nobody used yet. */
    record Waiting(String name, Role role, Instant expiresAt) {
    }

    /** @param secret shown once, kept nowhere */
    record Made(String secret, Instant expiresAt) {
    }

    /** @param person who is to choose a new password; empty to ask somebody new in */
    @Transactional
    public Made make(String name, Role role, Optional<UUID> person) {
        LinkSecret secret = LinkSecret.fresh();
        Instant until = clock.instant().plus(GOOD_FOR);
        jdbc.sql(
                """
                        insert into invitation (key, operation_id, name, role, made_by, expires_at, person_id)
                        values (?, ?, ?, ?, ?, ?, ?)""")
                .param(secret.hash()).param(CurrentOperation.require()).param(name).param(role.name())
                .param(SignedIn.require().id()).param(Timestamp.from(until)).param(person.orElse(null))
                .update();
        log.note(person.isPresent() ? AccessLog.AccessKind.PASSWORD_LINK_MADE : AccessLog.AccessKind.INVITED, person,
                Optional.of(SignedIn.require().id()), name);
        return new Made(secret.text(), until);
    }

    List<Waiting> waiting() {
        return jdbc
                .sql("""
                        select name, role, expires_at from invitation
                        where used_at is null and expires_at > ? and person_id is null order by expires_at""")
                .param(now()).query((row, _) -> new Waiting(row.getString("name"), Role.valueOf(row.getString("role")),
                        row.getTimestamp("expires_at").toInstant()))
                .list();
    }

    /** @throws Refusal if it was used, is too old, or never was */
    Open open(String secret) {
        return find(secret).orElseThrow(Invitations::gone);
    }

    private Optional<Open> find(String secret) {
        return jdbc.sql("select * from invitation_for(?, ?)")
                .params(new LinkSecret(secret).hash(), now()).query(Open.class).optional();
    }

    /** Lets the one person in that comes first. */
    void accept(String secret, String name, String email, String password) {
        Open invitation = open(secret);
        int first = CurrentOperation.in(invitation.operationId(), () -> jdbc
                .sql("update invitation set used_at = ? where key = ? and used_at is null")
                .params(now(), new LinkSecret(secret).hash())
                .update());
        if (first == 0) {
            throw gone();
        }
        if (invitation.personId() != null) {
            founding.changePassword(invitation.personId(), invitation.operationId(), password);
            people.signsOut(invitation.personId(), Optional.empty());
            noted(AccessLog.AccessKind.PASSWORD_BY_LINK, invitation.personId(), invitation.operationId());
            return;
        }
        try {
            UUID person = Generators.timeBasedEpochGenerator().generate();
            founding.admit(invitation.operationId(),
                    new Founding.Newcomer(person, name, email, password, invitation.role()));
            noted(AccessLog.AccessKind.JOINED, person, invitation.operationId());
        } catch (DuplicateKeyException taken) {
            CurrentOperation.in(invitation.operationId(), () -> jdbc
                    .sql("update invitation set used_at = null where key = ?").param(new LinkSecret(secret).hash())
                    .update());
            throw Refusal.invalid("email", Sentence.of("refusal.emailTaken"));
        }
    }

    private void noted(AccessLog.AccessKind what, UUID person, UUID operation) {
        CurrentOperation.in(operation, () -> {
            devices.forget(person);
            log.note(what, person, person);
            return person;
        });
    }

    private static Refusal gone() {
        return Refusal.notFound(Sentence.of("refusal.invitationGone"));
    }

    private Timestamp now() {
        return Timestamp.from(clock.instant());
    }
}
