package vividcrown.server.person;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import org.springframework.jdbc.core.simple.JdbcClient;
import vividcrown.server.demo.DemoOperation;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

@ExtendWith(Application.class)
@Isolated("it counts the sessions of all")
class PersonTest {

    private final Application.Running application;

    PersonTest(Application.Running application) {
        this.application = application;
    }

    @Test
    void a_wrong_password_and_an_unknown_address_are_told_alike() {
        Application.Demo demo = application.demo();
        Client client = new Client(application.address());
        client.get("/api/v1/session");
        Client.Answer wrong = client.post("/api/v1/session", Map.of("email", demo.ownerEmail(), "password", "wrong"));
        Client.Answer unknown = client.post("/api/v1/session", Map.of("email", "no@one.invalid", "password", "wrong"));
        assertThat(wrong.status()).isEqualTo(401);
        assertThat(wrong.json().path("detail").asString())
                .isEqualTo("This e-mail address and password do not belong together. Check both and try again.");
        assertThat(unknown.text()).isEqualTo(wrong.text());
    }

    @Test
    void without_signing_in_every_door_but_the_reckoning_is_shut() {
        Client stranger = new Client(application.address());
        for (String path : List.of("round", "yards", "grafts", "queens/breeders", "exports/queens.csv", "session")) {
            assertThat(stranger.get("/api/v1/" + path).status()).as(path).isEqualTo(401);
        }
        assertThat(stranger.post("/api/v1/reckon/graft-calendar", Map.of("graftDay", "2026-06-01")).status())
                .isEqualTo(200);
    }

    @Test
    void a_change_without_the_token_is_refused() {
        Client owner = application.signedIn(application.demo().ownerEmail());
        assertThat(owner.postWithoutToken("/api/v1/demo/step", Map.of()).status()).isEqualTo(403);
        assertThat(owner.post("/api/v1/demo/step", Map.of()).status()).isEqualTo(200);
    }

    @Test
    void passwords_are_kept_hashed() {
        Application.Demo demo = application.demo();
        JdbcClient database = application.context().getBean(JdbcClient.class);
        String kept = CurrentOperation.in(demo.operation(),
                () -> database.sql("select password from person limit 1").query(String.class).single());
        assertThat(kept).startsWith("{bcrypt}$2").doesNotContain("upland");
    }

    @Test
    void what_is_the_owners_to_do_is_refused_to_the_crew() {
        Client crew = application.signedIn(application.demo().crewEmail());
        Client.Answer link = crew.post("/api/v1/calendar-link", Map.of());
        assertThat(link.status()).isEqualTo(403);
        assertThat(link.json().path("detail").asString())
                .isEqualTo("Only the owner can do this. Ask the owner.");
        assertThat(crew.post("/api/v1/imports/apiary/preview", Map.of("csv", "code\n1")).status()).isEqualTo(403);
        assertThat(crew.get("/api/v1/round").status()).isEqualTo(200);
    }

    @Test
    void the_rows_of_another_operation_do_not_exist() {
        Client ours = application.signedIn(application.demo().ownerEmail());
        Client theirs = application.signedIn(application.demo().ownerEmail());
        UUID queen = theirs.queenId("26-01-101");
        assertThat(ours.get("/api/v1/queens/" + queen).status()).isEqualTo(404);
        assertThat(ours.list("/api/v1/journal?subject=" + queen)).isEmpty();
        assertThat(ours.tell("QUEEN_NOTED", "queen", queen, "text", "x")
                .status()).isEqualTo(422);
    }

    @Test
    void only_signing_in_begins_a_session() {
        int before = sessions();
        Client stranger = new Client(application.address());
        assertThat(stranger.get("/api/v1/session").status()).isEqualTo(401);
        assertThat(stranger.get("/api/v1/round").status()).isEqualTo(401);
        assertThat(sessions()).isEqualTo(before);
        application.signedIn(application.demo().ownerEmail());
        assertThat(sessions()).isEqualTo(before + 1);
    }

    private int sessions() {
        return application.context().getBean(JdbcClient.class).sql("select count(*) from spring_session")
                .query(Integer.class).single();
    }

    @Test
    void signing_out_ends_the_session() {
        Client owner = application.signedIn(application.demo().ownerEmail());
        assertThat(owner.delete("/api/v1/session").status()).isEqualTo(204);
        assertThat(owner.get("/api/v1/round").status()).isEqualTo(401);
    }
}
