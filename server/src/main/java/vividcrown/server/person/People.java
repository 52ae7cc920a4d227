package vividcrown.server.person;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import vividcrown.core.reason.Sentence;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.operation.Founding;
import vividcrown.server.problem.Refusal;

/** The people of an operation. */
@Component
public class People {

    private static final String SIGNING_IN = """
            select id, operation_id, name, password, role from person_signing_in(?)
            """;
    private static final int HASHING_WITHIN_SECONDS = 3;

    private final JdbcClient jdbc;
    private final PasswordEncoder encoder;
    private final Founding founding;
    /** Compared against where no such person exists, so that both answers take the same time. */
    private final String nobodysPassword;
    private final Semaphore hashing = new Semaphore(Math.max(1, Runtime.getRuntime().availableProcessors() / 2), true);
    private final Devices devices;
    private final AccessLog log;

    People(JdbcClient jdbc, PasswordEncoder encoder, Founding founding, Devices devices, AccessLog log) {
        this.jdbc = jdbc;
        this.encoder = encoder;
        this.founding = founding;
        this.devices = devices;
        this.log = log;
        this.nobodysPassword = encoder.encode(UUID.randomUUID().toString());
    }

    private record Candidate(UUID id, UUID operationId, String name, String password, String role) {
    }

    /** @throws Refusal if so many sign in at once that the machine has its hands full with passwords */
    Optional<SignedIn> withPassword(String email, String password) {
        Optional<Candidate> found = jdbc.sql(SIGNING_IN).param(email).query(Candidate.class).optional();
        boolean matches = matches(password, found.map(Candidate::password).orElse(nobodysPassword));
        if (!matches) {
            found.ifPresent(one -> CurrentOperation.in(one.operationId(), () -> {
                log.note(AccessLog.AccessKind.WRONG_PASSWORD, Optional.of(one.id()), Optional.empty(), "");
                return one;
            }));
        }
        return found.filter(_ -> matches)
                .map(one -> new SignedIn(one.id(), one.operationId(), one.name(), Role.valueOf(one.role())));
    }

    /** A password takes a tenth of a second of a processor on purpose: strangers are not to have all of them. */
    private boolean matches(String password, String kept) {
        try {
            if (!hashing.tryAcquire(HASHING_WITHIN_SECONDS, TimeUnit.SECONDS)) {
                throw Refusal.busy(Sentence.of("refusal.busy"));
            }
        } catch (InterruptedException stopping) {
            Thread.currentThread().interrupt();
            throw Refusal.busy(Sentence.of("refusal.busy"));
        }
        try {
            return encoder.matches(password, kept);
        } finally {
            hashing.release();
        }
    }

    private record Named(UUID id, String name) {
    }

    /** Somebody of the operation. */
    record Member(UUID id, String name, String email, Role role) {
    }

    List<Member> members() {
        return jdbc.sql("select id, name, email, role from person where left_at is null order by role desc, name")
                .query(Member.class).list();
    }

    Member member(UUID person) {
        return members().stream().filter(one -> one.id().equals(person)).findFirst()
                .orElseThrow(() -> Refusal.notFound(Sentence.of("refusal.nobodyHere")));
    }

    /** Signed out everywhere at once. @throws Refusal if it is the last owner: nobody could let anybody in any more */
    void leaves(UUID person) {
        Member leaving = member(person);
        if (!founding.leaves(person, CurrentOperation.require())) {
            throw Refusal.invalid("", Sentence.of("refusal.lastOwner", leaving.name()));
        }
        signsOut(person, Optional.empty());
        devices.forget(person);
        log.note(AccessLog.AccessKind.LEFT, person, SignedIn.require().id());
    }

    /** Signed out everywhere, so that what they may do is what they were made. @throws Refusal as for leaving */
    void becomes(UUID person, Role role) {
        Member changing = member(person);
        if (changing.role() != role) {
            if (!founding.becomes(person, CurrentOperation.require(), role.name())) {
                throw Refusal.invalid("role", Sentence.of("refusal.lastOwner", changing.name()));
            }
            signsOut(person, Optional.empty());
            log.note(role == Role.OWNER ? AccessLog.AccessKind.MADE_OWNER : AccessLog.AccessKind.MADE_CREW, person,
                    SignedIn.require().id());
        }
    }

    /** @param but a session that goes on */
    void signsOut(UUID person, Optional<String> but) {
        jdbc.sql("delete from spring_session where principal_name = ? and session_id <> ?")
                .params(person.toString(), but.orElse("")).update();
    }

    /** Ends every other session of theirs. @return false if the current one is wrong */
    boolean changePassword(UUID person, String current, String next, String session) {
        String known = jdbc.sql("select password from person where id = ?").param(person).query(String.class).single();
        if (!matches(current, known)) {
            log.note(AccessLog.AccessKind.WRONG_PASSWORD, person, person);
            return false;
        }
        founding.changePassword(person, CurrentOperation.require(), next);
        signsOut(person, Optional.of(session));
        devices.forget(person);
        log.note(AccessLog.AccessKind.PASSWORD_CHANGED, person, person);
        return true;
    }

    /** Those who are owners of the operation, or were when they left. */
    public Set<UUID> owners() {
        return Set.copyOf(jdbc.sql("select id from person where role = 'OWNER'").query(UUID.class).list());
    }

    /** Names of everybody who is or was in the operation, by id. */
    public Map<UUID, String> names() {
        return jdbc.sql("select id, name from person").query(Named.class).list().stream()
                .collect(Collectors.toMap(Named::id, Named::name));
    }
}
