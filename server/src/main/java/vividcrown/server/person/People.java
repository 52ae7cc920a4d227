package vividcrown.server.person;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** The people of an operation. */
@Component
public class People {

    private static final String SIGNING_IN = """
            select id, operation_id, name, password, role from person_signing_in(?)
            """;

    private final JdbcClient jdbc;
    private final PasswordEncoder encoder;
    /** Compared against where no such person exists, so that both answers take the same time. */
    private final String nobodysPassword;

    People(JdbcClient jdbc, PasswordEncoder encoder) {
        this.jdbc = jdbc;
        this.encoder = encoder;
        this.nobodysPassword = encoder.encode(UUID.randomUUID().toString());
    }

    private record Candidate(UUID id, UUID operationId, String name, String password, String role) {
    }

    Optional<SignedIn> withPassword(String email, String password) {
        Optional<Candidate> found = jdbc.sql(SIGNING_IN).param(email).query(Candidate.class).optional();
        boolean matches = encoder.matches(password, found.map(Candidate::password).orElse(nobodysPassword));
        return found.filter(_ -> matches)
                .map(one -> new SignedIn(one.id(), one.operationId(), one.name(), Role.valueOf(one.role())));
    }

    private record Named(UUID id, String name) {
    }

    /** Names of everybody in the operation, by id. */
    public Map<UUID, String> names() {
        return jdbc.sql("select id, name from person").query(Named.class).list().stream()
                .collect(Collectors.toMap(Named::id, Named::name));
    }
}
