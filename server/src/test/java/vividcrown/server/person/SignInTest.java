package vividcrown.server.person;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.demo.DemoOperation;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/**
 * Guessing from outside. Bounds after NIST SP 800-63B 5.2.2 (at most a hundred wrong ones in a row) and OWASP's Authentication
 * Cheat Sheet (waits by account and by source, known devices apart). Addresses are those of RFC 5737 and 3849, for examples.
 */
@ExtendWith(Application.class)
class SignInTest {

    private static final AtomicInteger SOURCES = new AtomicInteger();

    private final Application.Running application;

    SignInTest(Application.Running application) {
        this.application = application;
    }

    /** Somebody at an address that no other test comes from. */
    private Client from(String source) {
        return new Client(application.address()).passedOn("X-Forwarded-For", source);
    }

    private Client fromAnywhere() {
        return from("198.51.100." + SOURCES.incrementAndGet());
    }

    private static int guessesUntilSlowed(Client guesser, String email) {
        int guesses = 0;
        while (guesser.triesToSignIn(email, "no " + guesses).status() == 401) {
            guesses++;
            assertThat(guesses).isLessThan(50);
        }
        return guesses;
    }

    @Test
    void who_guesses_waits_and_the_owner_does_not() {
        Application.Demo demo = application.demo();
        Client guesser = fromAnywhere();
        assertThat(guessesUntilSlowed(guesser, demo.ownerEmail())).isEqualTo(5);
        Client.Answer slowed = guesser.triesToSignIn(demo.ownerEmail(), DemoOperation.PASSWORD);
        assertThat(slowed.status()).isEqualTo(429);
        assertThat(slowed.findings()).singleElement().asString().matches(".*Wait \\d+ seconds, then try again.*");
        assertThat(fromAnywhere().triesToSignIn(demo.ownerEmail(), DemoOperation.PASSWORD).status()).isEqualTo(200);
    }

    @Test
    void sixty_guesses_at_once_are_counted_in_time() throws InterruptedException {
        Application.Demo demo = application.demo();
        String source = "198.51.100." + SOURCES.incrementAndGet();
        List<Client> guessers = new ArrayList<>();
        for (int one = 0; one < 60; one++) {
            guessers.add(from(source));
        }
        CountDownLatch now = new CountDownLatch(1);
        List<Integer> answers = Collections.synchronizedList(new ArrayList<>());
        List<Thread> threads = guessers.stream().map(guesser -> Thread.ofVirtual().start(() -> {
            try {
                now.await();
                answers.add(guesser.triesToSignIn(demo.ownerEmail(), "no").status());
            } catch (InterruptedException interrupted) {
                Thread.currentThread().interrupt();
            }
        })).toList();
        now.countDown();
        for (Thread thread : threads) {
            thread.join();
        }
        assertThat(answers).hasSize(60);
        assertThat(answers.stream().filter(status -> status == 429)).hasSize(55);
    }

    @Test
    void on_a_device_of_ones_own_nobodys_guesses_count() {
        Application.Demo demo = application.demo();
        Client phone = fromAnywhere().signIn(demo.ownerEmail(), DemoOperation.PASSWORD);
        assertThat(phone.delete("/api/v1/session").status()).isEqualTo(204);
        for (int source = 0; source < 7; source++) {
            guessesUntilSlowed(fromAnywhere(), demo.ownerEmail());
        }
        assertThat(fromAnywhere().triesToSignIn(demo.ownerEmail(), DemoOperation.PASSWORD).status())
                .as("from a device that nobody knows").isEqualTo(429);
        assertThat(phone.triesToSignIn(demo.ownerEmail(), DemoOperation.PASSWORD).status()).isEqualTo(200);
    }

    @Test
    void a_device_of_one_person_opens_no_door_to_another() {
        Application.Demo demo = application.demo();
        Client phone = fromAnywhere().signIn(demo.crewEmail(), DemoOperation.PASSWORD);
        assertThat(guessesUntilSlowed(phone, demo.ownerEmail())).isEqualTo(5);
    }

    @Test
    void one_who_tries_a_password_at_every_address_is_slowed_too() {
        Client sprayer = fromAnywhere();
        int tries = 0;
        while (sprayer.triesToSignIn(UUID.randomUUID() + "@nobody.invalid", "summer").status() == 401) {
            tries++;
            assertThat(tries).isLessThan(100);
        }
        assertThat(tries).isEqualTo(40);
        assertThat(fromAnywhere().triesToSignIn(UUID.randomUUID() + "@nobody.invalid", "summer").status())
                .isEqualTo(401);
    }

    @Test
    void what_somebody_says_of_where_they_come_from_counts_nothing_but_what_the_proxy_says() {
        Application.Demo demo = application.demo();
        String real = "198.51.100." + SOURCES.incrementAndGet();
        int looked = 0;
        for (int guess = 0; guess < 12; guess++) {
            looked += from("203.0.113.%d, %s".formatted(guess, real)).triesToSignIn(demo.ownerEmail(), "no")
                    .status() == 401
                            ? 1
                            : 0;
        }
        assertThat(looked).isEqualTo(5);
    }

    @Test
    void a_household_with_a_network_of_version_six_is_one_source() {
        Application.Demo demo = application.demo();
        int looked = 0;
        for (int guess = 0; guess < 12; guess++) {
            looked += from("2001:db8:7::" + guess).triesToSignIn(demo.ownerEmail(), "no").status() == 401 ? 1 : 0;
        }
        assertThat(looked).isEqualTo(5);
    }

    @Test
    void the_owner_sees_who_came_in_and_who_tried_in_vain() {
        Application.Demo demo = application.demo();
        from("203.0.113.77").triesToSignIn(demo.crewEmail(), "no");
        Client owner = fromAnywhere().signIn(demo.ownerEmail(), DemoOperation.PASSWORD);
        String crew = owner.get("/api/v1/people").json().path("people").valueStream()
                .filter(one -> one.path("role").asString().equals("CREW")).findFirst().orElseThrow().path("id")
                .asString();
        assertThat(owner.put("/api/v1/people/" + crew + "/role", Map.of("role", "OWNER")).status()).isEqualTo(204);
        JsonNode lines = owner.list("/api/v1/people/access");
        assertThat(lines.valueStream().map(line -> line.path("what").asString()))
                .containsExactly("MADE_OWNER", "SIGNED_IN", "WRONG_PASSWORD");
        assertThat(lines.get(0).path("by").asString()).isEqualTo("Ilva Torrenz");
        assertThat(lines.get(0).path("person").asString()).isEqualTo("Jory Malcanten");
        assertThat(lines.get(2).path("source").asString()).isEqualTo("203.0.113.77");
        assertThat(application.signedIn(application.demo().ownerEmail()).get("/api/v1/people/access").text())
                .as("of another operation").doesNotContain("203.0.113.77");
        assertThat(application.signedIn(application.demo().crewEmail()).get("/api/v1/people/access").status())
                .isEqualTo(403);
    }

    @Test
    void behind_a_proxy_with_tls_nothing_goes_without_it() {
        Application.Demo demo = application.demo();
        Client safe = fromAnywhere();
        // this client speaks plainly to the proxy's side, and does not send back what is for TLS only
        safe.get("/api/v1/session");
        safe.passedOn("X-Forwarded-Proto", "https");
        Client.Answer in = safe.post("/api/v1/session",
                Map.of("email", demo.ownerEmail(), "password", DemoOperation.PASSWORD));
        assertThat(in.headers().allValues("Set-Cookie")).hasSizeGreaterThanOrEqualTo(2)
                .allMatch(cookie -> cookie.contains("Secure"));
        assertThat(in.headers().allValues("Set-Cookie")).filteredOn(cookie -> !cookie.startsWith("XSRF-TOKEN="))
                .allMatch(cookie -> cookie.contains("HttpOnly"));
        assertThat(in.header("Strict-Transport-Security")).contains("max-age=31536000")
                .doesNotContain("includeSubDomains");
        assertThat(in.header("Referrer-Policy")).isEqualTo("no-referrer");
        Client plain = fromAnywhere();
        Client.Answer there = plain.triesToSignIn(demo.ownerEmail(), DemoOperation.PASSWORD);
        assertThat(there.headers().allValues("Set-Cookie")).noneMatch(cookie -> cookie.contains("Secure"));
        assertThat(there.header("Strict-Transport-Security")).isEmpty();
    }
}
