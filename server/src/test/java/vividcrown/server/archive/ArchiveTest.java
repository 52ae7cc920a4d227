package vividcrown.server.archive;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.server.support.Client.deed;
import static vividcrown.server.support.Client.entry;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import vividcrown.server.journal.DeedJson;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.operation.Founding;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;
import vividcrown.server.support.ComputedRows;

/** The whole operation out as one file, and back into an empty one on another server. */
@ExtendWith(Application.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class ArchiveTest {

    private final Application.Running here;
    private Application.Running elsewhere;

    ArchiveTest(Application.Running here) {
        this.here = here;
    }

    @BeforeAll
    void startAnother() {
        elsewhere = Application.another();
    }

    @AfterAll
    void stopAnother() {
        elsewhere.close();
    }

    private Client foundElsewhere(UUID operation, String zone) {
        String email = "mira@%s.invalid".formatted(operation.toString().substring(0, 8));
        Founding founding = elsewhere.context().getBean(Founding.class);
        founding.found(operation, "Sallow Ridge", zone, Optional.of(LocalDate.of(2026, 6, 6)),
                List.of(new Founding.Newcomer(UUID.randomUUID(), "Mira", email, "upland valley", "OWNER")));
        return new Client(elsewhere.address()).signIn(email, "upland valley");
    }

    /** What is said of an archive once it was read, and its rows made. */
    private static JsonNode broughtBack(Client owner, String archive) {
        Client.Answer sent = owner.putText("/api/v1/imports/archive", archive);
        assertThat(sent.status()).as(sent.text()).isEqualTo(200);
        return atRest(owner);
    }

    private static JsonNode atRest(Client owner) {
        Instant late = Instant.now().plus(Duration.ofSeconds(60));
        JsonNode state = owner.get("/api/v1/imports/archive").json();
        while (state.path("made").isNumber() || state.path("readPercent").isNumber()) {
            assertThat(Instant.now()).as("read and made within a minute: %s", state).isBefore(late);
            Client.pause(100);
            state = owner.get("/api/v1/imports/archive").json();
        }
        return state;
    }

    private static List<String> faults(Client owner, String archive) {
        return broughtBack(owner, archive).path("faults").valueStream()
                .map(fault -> fault.path("where").asString() + ": " + fault.path("message").asString()).toList();
    }

    /** Entries are counted through all operations of a server; their order is what matters, and is the same. */
    private static List<String> withoutTheServersCount(List<String> rows) {
        return rows.stream().map(row -> row.replaceAll("\"\\w*sequence\": \\d+", "")).toList();
    }

    private static JsonNode everything(String archive) {
        return DeedJson.MAPPER.readTree(archive).path("entries");
    }

    @Test
    void an_archive_brought_back_gives_the_same_record_and_the_same_rows() throws Exception {
        Application.Demo demo = here.demo();
        Client owner = here.signedIn(demo.ownerEmail());
        UUID queen = owner.queenId("26-01-101");
        Map<String, Object> note = entry(LocalDate.of(2026, 6, 5), deed("QUEEN_NOTED", "queen", queen, "text", "calm"));
        owner.record(note);
        owner.record(Client.withdrawal(note, LocalDate.of(2026, 6, 6)));
        Client.Answer archive = owner.get("/api/v1/exports/archive.json");
        assertThat(archive.status()).isEqualTo(200);

        Client mira = foundElsewhere(demo.operation(), "Europe/Zurich");
        assertThat(mira.get("/api/v1/imports/archive").json().path("empty").asBoolean()).isTrue();
        JsonNode back = broughtBack(mira, archive.text());
        assertThat(back.path("entries").asInt()).as(back.toString()).isEqualTo(everything(archive.text()).size());
        assertThat(back.path("empty").asBoolean()).isFalse();

        String again = mira.get("/api/v1/exports/archive.json").text();
        assertThat(everything(again)).as("the same entries in the same order").isEqualTo(everything(archive.text()));
        Map<String, List<String>> rows = ComputedRows.of(here, demo.operation());
        ComputedRows.of(elsewhere, demo.operation()).forEach((table, made) -> assertThat(withoutTheServersCount(made))
                .as(table).containsExactlyElementsOf(withoutTheServersCount(rows.get(table))));
        JsonNode written = mira.list("/api/v1/journal?subject=" + queen);
        assertThat(written.get(0).path("by").asString()).as("who recorded it").startsWith("Ilva");
        assertThat(mira.get("/api/v1/people").json().path("people").size())
                .as("those of the archive are remembered, and cannot sign in").isEqualTo(1);

        Client.Answer twice = mira.putText("/api/v1/imports/archive", archive.text());
        assertThat(twice.findings()).as("nothing is put on top of what is there").singleElement().asString()
                .contains("empty one");
    }

    @Test
    void what_is_written_keeps_to_the_schema_that_ships_with_it() {
        Client owner = here.signedIn(here.demo().ownerEmail());
        JsonNode archive = DeedJson.MAPPER.readTree(owner.get("/api/v1/exports/archive.json").text());
        assertThat(archive.path("entries").size()).isGreaterThan(100);
        assertThat(new ArchiveSchema().faultsOf(archive)).isEmpty();
        JsonNode schema = DeedJson.MAPPER.readTree(owner.get("/api/v1/exports/archive.schema.json").text());
        assertThat(schema.path("$schema").asString()).isEqualTo("https://json-schema.org/draft/2020-12/schema");
    }

    @Test
    void an_operation_of_another_name_and_number_takes_it_too_with_its_settings() throws Exception {
        Application.Demo demo = here.demo();
        Client owner = here.signedIn(demo.ownerEmail());
        JsonNode settings = owner.get("/api/v1/settings").json().path("settings");
        assertThat(owner.tell("SETTINGS_CHANGED", "operation", demo.operation(), "settings",
                DeedJson.MAPPER.readTree(settings.toString().replace("\"METRIC\"", "\"US\""))).status()).isEqualTo(200);
        Client mira = foundElsewhere(UUID.randomUUID(), "Pacific/Auckland");
        broughtBack(mira, owner.get("/api/v1/exports/archive.json").text());
        assertThat(mira.get("/api/v1/settings").json().path("settings").path("units").asString()).isEqualTo("US");
        assertThat(mira.get("/api/v1/colonies").text()).as("an answer from the rows").contains("Weir Bend");
    }

    @Test
    void one_bad_line_is_named_and_nothing_is_brought_back() {
        Client owner = here.signedIn(here.demo().ownerEmail());
        String good = owner.get("/api/v1/exports/archive.json").text();
        List<String> lines = new ArrayList<>(List.of(good.split("\n")));
        int bad = lines.size() / 2;
        Client mira = foundElsewhere(UUID.randomUUID(), "Europe/Zurich");

        refused(mira, with(lines, bad, lines.get(bad).replace("\"kind\":\"", "\"kind\":\"NOT_")), bad, "NOT_");
        refused(mira, with(lines, bad, lines.get(bad).replaceFirst("\"by\":\"........", "\"by\":\"00000000")), bad,
                "among the people");
        refused(mira, with(lines, bad, lines.get(bad).replaceFirst("\"recordedAt\"", "\"recorded\"")), bad,
                "recordedAt");
        refused(mira, with(lines, bad, lines.get(bad - 1)), bad, "twice");
        refused(mira, with(lines, bad, "{" + lines.get(bad)), bad, "no JSON");
        assertThat(faults(mira, String.join("\n", lines.subList(0, bad)))).as("a file that ends too early")
                .isNotEmpty();
        assertThat(faults(mira, good.replace("\"version\":1,", "\"version\":2,"))).singleElement().asString()
                .contains("version 2");
        assertThat(faults(mira, "[]")).isNotEmpty();
        assertThat(faults(mira, "{}")).isNotEmpty();
        assertThat(faults(mira, "")).isNotEmpty();
        assertThat(mira.get("/api/v1/imports/archive").json().path("empty").asBoolean()).isTrue();
    }

    @Test
    void the_same_server_does_not_take_an_entry_a_second_time() {
        Application.Demo demo = here.demo();
        String archive = here.signedIn(demo.ownerEmail()).get("/api/v1/exports/archive.json").text();
        UUID operation = UUID.randomUUID();
        Founding founding = here.context().getBean(Founding.class);
        String email = "mira@%s.invalid".formatted(operation);
        founding.found(operation, "Sallow Ridge", "Europe/Zurich", Optional.empty(),
                List.of(new Founding.Newcomer(UUID.randomUUID(), "Mira", email, "upland valley", "OWNER")));
        Client mira = new Client(here.address()).signIn(email, "upland valley");
        assertThat(faults(mira, archive)).singleElement().asString().contains("another server");
        assertThat(mira.get("/api/v1/imports/archive").json().path("empty").asBoolean()).isTrue();
    }

    /** A file of the size that ten seasons have is read part by part; half-way the server dies, and another one takes it up. */
    @Test
    void what_one_server_left_unread_another_reads() throws Exception {
        Application.Demo demo = here.demo();
        String archive = here.signedIn(demo.ownerEmail()).get("/api/v1/exports/archive.json").text();
        int head = archive.indexOf("\"entries\"");
        String large = archive.substring(0, head) + " ".repeat(3 << 20) + archive.substring(head);
        UUID operation = UUID.randomUUID();
        Client mira = foundElsewhere(operation, "Europe/Zurich");
        ArchiveUploads uploads = elsewhere.context().getBean(ArchiveUploads.class);
        // as by a server that kept it and was killed before it began
        UUID kept = CurrentOperation.calling(operation,
                () -> uploads.keep(new ByteArrayInputStream(large.getBytes(StandardCharsets.UTF_8))));
        assertThat(mira.get("/api/v1/imports/archive").json().path("readPercent").isNumber()).isTrue();
        assertThat(mira.putText("/api/v1/imports/archive", archive).findings()).singleElement().asString()
                .contains("still being read");
        try (Application.Running third = Application.on(elsewhere.databaseUrl())) {
            JsonNode state = atRest(new Client(third.address()).signIn(
                    "mira@%s.invalid".formatted(operation.toString().substring(0, 8)), "upland valley"));
            assertThat(state.path("entries").asInt()).as(state.toString()).isEqualTo(everything(archive).size());
        }
        assertThat(CurrentOperation.in(operation, () -> elsewhere.context().getBean(JdbcClient.class)
                .sql("select count(*) from archive_part where upload_id = ?").param(kept).query(Integer.class)
                .single()))
                .as("the file is not kept any longer").isZero();
    }

    @Test
    void what_stops_for_no_fault_of_the_file_says_so_and_can_be_sent_again() {
        String archive = here.signedIn(here.demo().ownerEmail()).get("/api/v1/exports/archive.json").text();
        UUID operation = UUID.randomUUID();
        Client mira = foundElsewhere(operation, "Europe/Zurich");
        JdbcClient owner = JdbcClient.create(elsewhere.context().getBean("ownerDataSource", DataSource.class));
        owner.sql("create function full_disk() returns trigger language plpgsql as "
                + "$$ begin raise exception 'no space left' using errcode = '53100'; end $$").update();
        owner.sql("create trigger full_disk before insert on journal_entry for each row when (new.operation_id = '%s') "
                .formatted(operation) + "execute function full_disk()").update();
        assertThat(faults(mira, archive)).singleElement().asString().contains("not the file's")
                .contains("Send it again");
        owner.sql("drop trigger full_disk on journal_entry").update();
        assertThat(broughtBack(mira, archive).path("entries").asInt()).isEqualTo(everything(archive).size());
    }

    @Test
    void it_is_the_owners_alone() {
        Client crew = here.signedIn(here.demo().crewEmail());
        assertThat(crew.get("/api/v1/exports/archive.json").status()).isEqualTo(403);
        assertThat(crew.get("/api/v1/imports/archive").status()).isEqualTo(403);
        assertThat(crew.putText("/api/v1/imports/archive", "{}").status()).isEqualTo(403);
    }

    private static String with(List<String> lines, int index, String line) {
        List<String> changed = new ArrayList<>(lines);
        changed.set(index, line);
        return String.join("\n", changed);
    }

    private static void refused(Client owner, String archive, int index, String why) {
        assertThat(faults(owner, archive)).anySatisfy(
                fault -> assertThat(fault).startsWith("line " + (index + 1) + ":").contains(why));
    }
}
