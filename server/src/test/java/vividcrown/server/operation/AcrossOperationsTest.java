package vividcrown.server.operation;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import vividcrown.server.support.AnyRequests;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;
import vividcrown.server.support.ComputedRows;

/** Somebody of one operation who knows every id of another asks every door for them: nothing comes out, nothing goes in. */
@ExtendWith(Application.class)
class AcrossOperationsTest {

    private static final int REQUESTS = Integer.getInteger("crown.across", 834);
    private static final String SECRET = "Hollow Mere";
    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    private final Application.Running application;

    AcrossOperationsTest(Application.Running application) {
        this.application = application;
    }

    private int entries(UUID operation) {
        return CurrentOperation.in(operation, () -> application.context().getBean(JdbcClient.class)
                .sql("select count(*) from journal_entry").query(Integer.class).single());
    }

    private static Client withSecrets(Application.Running application, Application.Demo demo) {
        Client owner = application.signedIn(demo.ownerEmail());
        LocalDate day = LocalDate.of(2026, 6, 9);
        UUID hive = owner.freeHive(0);
        assertThat(owner.tell(day, "HIVE_NOTED", "hive", hive, "text", SECRET + ": weak").status()).isEqualTo(200);
        assertThat(owner.tell(day, "ORDER_TAKEN", "order", UUID.randomUUID(), "code", "", "terms", Map.ofEntries(
                Map.entry("customer", SECRET), Map.entry("ownNeed", false), Map.entry("product", "LAYING_QUEENS"),
                Map.entry("count", 2), Map.entry("from", "2026-07-10"), Map.entry("until", "2026-07-14"),
                Map.entry("priority", 2), Map.entry("note", SECRET + " pays late"))).status()).isEqualTo(200);
        assertThat(owner
                .tell(day, "YARD_OPENED", "yard", UUID.randomUUID(), "name", SECRET, "prefix", "HM", "walkOrder", 9,
                        "latitude", 46.4, "longitude", 9.1, "elevationMetres", 640, "caution", SECRET + " has a dog")
                .status())
                .isEqualTo(200);
        return owner;
    }

    @Test
    void nothing_comes_out_and_nothing_goes_in() {
        Application.Demo other = application.demo();
        Client they = withSecrets(application, other);
        Set<UUID> ids = ComputedRows.ids(application, other.operation());
        Map<String, List<String>> rows = ComputedRows.of(application, other.operation());
        int recorded = entries(other.operation());
        String archive = they.get("/api/v1/exports/archive.json").json().path("entries").toString();

        Application.Demo own = application.demo();
        Client we = application.signedIn(own.ownerEmail());
        ids.removeAll(ComputedRows.ids(application, own.operation()));
        assertThat(ids).as("enough to ask for").hasSizeGreaterThan(500);
        AnyRequests any = new AnyRequests(we.get("/api/v1/openapi").json(), List.copyOf(ids),
                Long.getLong("crown.seed", 7));
        TreeSet<String> leaks = new TreeSet<>();
        int answered = 0;
        for (int number = 0; number < REQUESTS; number++) {
            AnyRequests.AnyRequest request = any.next(number);
            Client.Answer answer = we.ask(request.method(), request.path(), request.body());
            answered += answer.status() < 300 ? 1 : 0;
            String asked = request.path() + request.body().orElse("");
            if (answer.text().contains(SECRET)) {
                leaks.add(request.door() + ": a word of theirs");
            }
            ID.matcher(answer.text()).results().map(MatchResult::group).filter(id -> ids.contains(UUID.fromString(id)))
                    .filter(id -> !asked.contains(id)).forEach(id -> leaks.add(request.door() + ": " + id));
        }
        System.out.printf("%,d requests for what is another operation's, %,d of them answered: %d leaks%n", REQUESTS,
                answered,
                leaks.size());
        assertThat(leaks).isEmpty();
        assertThat(ComputedRows.of(application, other.operation())).isEqualTo(rows);
        assertThat(entries(other.operation())).isEqualTo(recorded);
        assertThat(they.get("/api/v1/exports/archive.json").json().path("entries").toString()).isEqualTo(archive);
    }

    /** Links are open to whoever holds them: one of theirs shows theirs and no more, and one that was made up shows nothing. */
    @Test
    void links_lead_to_what_they_were_made_for() {
        Application.Demo other = application.demo();
        Client they = withSecrets(application, other);
        String feed = they.post("/api/v1/calendar-link", Map.of()).json().path("path").asString();
        Client we = application.signedIn(application.demo().ownerEmail());
        String ourFeed = we.post("/api/v1/calendar-link", Map.of()).json().path("path").asString();
        Client nobody = new Client(application.address());
        assertThat(nobody.get(feed).status()).isEqualTo(200);
        assertThat(we.get(ourFeed).text()).doesNotContain(SECRET);
        assertThat(nobody.get(feed.replaceFirst("....\\.ics", "xxxx.ics")).status()).isEqualTo(404);
        String link = they.post("/api/v1/people/invitations", Map.of("name", "Sela", "role", "CREW")).json()
                .path("path")
                .asString().replace("/join/", "/api/v1/people/invitations/");
        assertThat(nobody.get(link).text()).contains("Sela").doesNotContain(SECRET);
        assertThat(nobody.get(link + "x").status()).isEqualTo(404);
    }
}
