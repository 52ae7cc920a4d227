package vividcrown.server.command;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.VividCrown;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** The command as it is run: a process of its own, the password on its standard input. */
@ExtendWith(Application.class)
class FoundTest {

    private record Outcome(int exit, String said) {
    }

    private static Outcome found(Application.Running running, String email, String password)
            throws IOException, InterruptedException {
        Process process = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1", "-cp", System.getProperty("java.class.path"), VividCrown.class.getName(),
                "--server.port=0", "--crown.database-url=" + running.databaseUrl(), "found", "Sallow Ridge",
                "Europe/Zurich", "Mira", email).redirectErrorStream(true).start();
        process.getOutputStream().write((password + "\n").getBytes(StandardCharsets.UTF_8));
        process.getOutputStream().close();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Outcome(process.waitFor(), said);
    }

    @Test
    void a_founded_owner_signs_in_and_begins_with_an_empty_book(Application.Running running) throws Exception {
        String email = "mira@%s.invalid".formatted(UUID.randomUUID().toString().substring(0, 8));
        Outcome outcome = found(running, email, "a long enough one");
        assertThat(outcome.exit()).as(outcome.said()).isZero();
        Client owner = new Client(running.address()).signIn(email, "a long enough one");
        assertThat(owner.get("/api/v1/session").json().path("operation").asString()).isEqualTo("Sallow Ridge");
        assertThat(owner.list("/api/v1/queens?search=").size()).isZero();
    }

    @Test
    void a_short_password_is_refused_and_nobody_is_admitted(Application.Running running) throws Exception {
        String email = "short@%s.invalid".formatted(UUID.randomUUID().toString().substring(0, 8));
        Outcome outcome = found(running, email, "short");
        assertThat(outcome.exit()).isNotZero();
        assertThat(outcome.said()).contains("at least 10 characters");
        assertThat(new Client(running.address()).post("/api/v1/session",
                Map.of("email", email, "password", "short")).status()).isIn(401, 403);
    }
}
