package vividcrown.server.person;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Who is asked in, comes in, leaves; and what each may. */
@ExtendWith(Application.class)
class PeopleTest {

    private static final String PASSWORD = "a long enough one";

    private final Application.Running application;
    private Application.Demo demo;
    private Client owner;

    PeopleTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        demo = application.demo();
        owner = application.signedIn(demo.ownerEmail());
    }

    private static String email() {
        return UUID.randomUUID() + "@ridge.invalid";
    }

    private String invited(String role) {
        Client.Answer answer = owner.post("/api/v1/people/invitations", Map.of("name", "Tamsin", "role", role));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return "/api/v1/people/invitations" + answer.json().path("path").asString().substring("/join".length());
    }

    private Client stranger() {
        Client stranger = new Client(application.address());
        stranger.get("/api/v1/session");
        return stranger;
    }

    private Client.Answer joins(String link, String email) {
        return stranger().post(link, Map.of("name", "Tamsin", "email", email, "password", PASSWORD));
    }

    private String idOf(String email) {
        return owner.get("/api/v1/people").json().path("people").valueStream()
                .filter(one -> one.path("email").asString().equals(email)).findFirst().orElseThrow().path("id")
                .asString();
    }

    @Test
    void a_link_lets_one_person_in_and_works_once() {
        String link = invited("CREW");
        assertThat(stranger().get(link).json().path("operation").asString()).isEqualTo("Larch & Leat Queens");
        assertThat(owner.get("/api/v1/people").json().path("invited")).hasSize(1);
        String email = email();
        assertThat(joins(link, email).status()).isEqualTo(204);
        JsonNode session = new Client(application.address()).signIn(email, PASSWORD).get("/api/v1/session").json();
        assertThat(session.path("role").asString()).isEqualTo("CREW");
        assertThat(owner.get("/api/v1/people").json().path("invited")).isEmpty();
        assertThat(joins(link, email()).findings()).singleElement().asString().contains("was used already");
        assertThat(stranger().get(link).status()).isEqualTo(404);
        assertThat(stranger().get("/api/v1/people/invitations/made-up").status()).isEqualTo(404);
    }

    @Test
    void of_two_who_use_a_link_at_once_one_comes_in() {
        String link = invited("CREW");
        var both = Stream.of(email(), email())
                .map(email -> CompletableFuture.supplyAsync(() -> joins(link, email).status()))
                .toList();
        assertThat(both.stream().map(CompletableFuture::join)).containsExactlyInAnyOrder(204, 404);
    }

    @Test
    void an_address_that_is_taken_uses_no_link_up() {
        String link = invited("CREW");
        assertThat(joins(link, demo.crewEmail()).findings()).singleElement().asString().contains("signs in with this");
        assertThat(joins(link, email()).status()).isEqualTo(204);
    }

    @Test
    void a_link_is_too_old_after_a_week() {
        String link = invited("CREW");
        CurrentOperation.in(demo.operation(), () -> application.context().getBean(JdbcClient.class)
                .sql("update invitation set expires_at = now() - interval '1 second'").update());
        assertThat(joins(link, email()).status()).isEqualTo(404);
        assertThat(owner.get("/api/v1/people").json().path("invited")).isEmpty();
    }

    @Test
    void who_leaves_is_signed_out_at_once_and_what_they_recorded_keeps_their_name() {
        Client crew = application.signedIn(demo.crewEmail());
        UUID queen = owner.queenId("26-02-110");
        assertThat(crew.tell("QUEEN_NOTED", "queen", queen, "text", "quick on the comb").status()).isEqualTo(200);
        assertThat(owner.delete("/api/v1/people/" + idOf(demo.crewEmail())).status()).isEqualTo(204);
        assertThat(crew.get("/api/v1/round").status()).isEqualTo(401);
        assertThat(stranger().post("/api/v1/session", Map.of("email", demo.crewEmail(), "password", "upland valley"))
                .status())
                .isEqualTo(401);
        assertThat(owner.list("/api/v1/journal?subject=" + queen).get(0).path("by").asString()).startsWith("Jory");
    }

    @Test
    void the_last_owner_stays_and_of_two_that_send_each_other_away_one_does() {
        assertThat(owner.delete("/api/v1/people/" + idOf(demo.ownerEmail())).findings()).singleElement().asString()
                .contains("is the last owner");
        String email = email();
        joins(invited("OWNER"), email);
        Client other = new Client(application.address()).signIn(email, PASSWORD);
        String mine = idOf(demo.ownerEmail());
        String theirs = idOf(email);
        var both = Stream.of(
                CompletableFuture.supplyAsync(() -> owner.delete("/api/v1/people/" + theirs).status()),
                CompletableFuture.supplyAsync(() -> other.delete("/api/v1/people/" + mine).status())).toList();
        assertThat(both.stream().map(CompletableFuture::join)).containsOnlyOnce(204);
    }

    @Test
    void crew_ask_nobody_in_and_send_nobody_away() {
        Client crew = application.signedIn(demo.crewEmail());
        assertThat(crew.get("/api/v1/people").status()).isEqualTo(403);
        assertThat(crew.post("/api/v1/people/invitations", Map.of("name", "A", "role", "OWNER")).status())
                .isEqualTo(403);
        assertThat(crew.delete("/api/v1/people/" + idOf(demo.ownerEmail())).status()).isEqualTo(403);
    }

    @Test
    void ones_own_password_is_changed_and_ends_ones_other_sessions() {
        Client elsewhere = application.signedIn(demo.crewEmail());
        Client here = application.signedIn(demo.crewEmail());
        assertThat(here.post("/api/v1/people/me/password", Map.of("current", "wrong", "next", PASSWORD)).findings())
                .singleElement().asString().contains("not your password");
        assertThat(
                here.post("/api/v1/people/me/password", Map.of("current", "upland valley", "next", "short")).status())
                .isEqualTo(422);
        assertThat(
                here.post("/api/v1/people/me/password", Map.of("current", "upland valley", "next", PASSWORD)).status())
                .isEqualTo(204);
        assertThat(here.get("/api/v1/session").status()).isEqualTo(200);
        assertThat(elsewhere.get("/api/v1/session").status()).isEqualTo(401);
        assertThat(new Client(application.address()).signIn(demo.crewEmail(), PASSWORD).get("/api/v1/round").status())
                .isEqualTo(200);
    }

    @Test
    void nobody_of_another_operation_is_seen_or_sent_away() {
        Application.Demo others = application.demo();
        String theirs = application.signedIn(others.ownerEmail()).get("/api/v1/people").json().path("people").get(0)
                .path("id").asString();
        assertThat(owner.delete("/api/v1/people/" + theirs).status()).isEqualTo(404);
        assertThat(owner.get("/api/v1/people").json().path("people")).hasSize(2);
    }

    @Test
    void a_forgotten_password_is_chosen_anew_by_a_link_that_works_once() {
        Client jory = application.signedIn(demo.crewEmail());
        String path = owner.post("/api/v1/people/" + idOf(demo.crewEmail()) + "/password-link", Map.of()).json()
                .path("path").asString();
        String link = "/api/v1/people/invitations" + path.substring("/join".length());
        assertThat(stranger().get(link).json().path("email").asString()).isEqualTo(demo.crewEmail());
        assertThat(joins(link, email()).status()).isEqualTo(204);
        assertThat(jory.get("/api/v1/round").status()).as("signed out everywhere").isEqualTo(401);
        assertThat(new Client(application.address()).signIn(demo.crewEmail(), PASSWORD).get("/api/v1/round").status())
                .as("the address stays, whatever the form said").isEqualTo(200);
        assertThat(joins(link, email()).findings()).singleElement().asString().contains("was used already");
        assertThat(owner.get("/api/v1/people").json().path("people")).as("nobody new came in").hasSize(2);
        Client crew = new Client(application.address()).signIn(demo.crewEmail(), PASSWORD);
        assertThat(crew.post("/api/v1/people/" + idOf(demo.ownerEmail()) + "/password-link", Map.of()).status())
                .isEqualTo(403);
    }

    @Test
    void a_link_for_somebody_who_left_meanwhile_opens_nothing() {
        String path = owner.post("/api/v1/people/" + idOf(demo.crewEmail()) + "/password-link", Map.of()).json()
                .path("path").asString();
        owner.delete("/api/v1/people/" + idOf(demo.crewEmail()));
        assertThat(stranger().get("/api/v1/people/invitations" + path.substring("/join".length())).status())
                .isEqualTo(404);
    }

    @Test
    void a_role_is_changed_later_but_one_owner_stays() {
        Client jory = application.signedIn(demo.crewEmail());
        String crew = idOf(demo.crewEmail());
        assertThat(owner.put("/api/v1/people/" + idOf(demo.ownerEmail()) + "/role", Map.of("role", "CREW")).findings())
                .singleElement().asString().contains("last owner");
        assertThat(owner.put("/api/v1/people/" + crew + "/role", Map.of("role", "OWNER")).status()).isEqualTo(204);
        assertThat(jory.get("/api/v1/people").status()).as("signs in anew").isEqualTo(401);
        Client now = application.signedIn(demo.crewEmail());
        assertThat(now.get("/api/v1/people").status()).isEqualTo(200);
        assertThat(now.put("/api/v1/people/" + idOf(demo.ownerEmail()) + "/role", Map.of("role", "CREW")).status())
                .isEqualTo(204);
        assertThat(application.signedIn(demo.ownerEmail()).get("/api/v1/people").status()).isEqualTo(403);
    }

    @Test
    void a_lost_phone_is_signed_out_from_another() {
        Client phone = application.signedIn(demo.ownerEmail());
        assertThat(phone.get("/api/v1/round").status()).isEqualTo(200);
        assertThat(owner.delete("/api/v1/people/me/other-sessions").status()).isEqualTo(204);
        assertThat(phone.get("/api/v1/round").status()).isEqualTo(401);
        assertThat(owner.get("/api/v1/round").status()).isEqualTo(200);
    }
}
