package vividcrown.server.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

@ExtendWith(Application.class)
class QueenFileTest {

    private static final String GOOD = """
            code,name,yard,hive,stage,year,mark
            X-1,"Mira, the dark one",Larch Step,L 90,laying,2025,14
            X-2,,,,judged,,
            ,,Larch Step,L 91,,,
            """;
    private static final String BAD = """
            code,name,yard,hive,stage,year,mark
            X-1,,Larch Step,L 90,laying,2025,14
            X-1,,Nowhere,L 92,flying,1820,
            26-01-101,,,,laying,,
            Y-1,,,W 39,laying,2025,
            """;

    private final Application.Running application;
    private Client owner;

    QueenFileTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        owner = application.signedIn(application.demo().ownerEmail());
    }

    private JsonNode preview(String csv) {
        return owner.post("/api/v1/imports/queens/preview", Map.of("csv", csv)).json();
    }

    private Client.Answer confirm(UUID id, String csv, boolean skip) {
        return owner.put("/api/v1/imports/queens/" + id, Map.of("csv", csv, "skipBadRows", skip));
    }

    private JsonNode imported(UUID id) throws InterruptedException {
        long until = System.currentTimeMillis() + 120_000;
        JsonNode progress = owner.get("/api/v1/imports/queens/" + id).json();
        while (!progress.path("ended").asBoolean() && System.currentTimeMillis() < until) {
            Thread.sleep(50);
            progress = owner.get("/api/v1/imports/queens/" + id).json();
        }
        return progress;
    }

    @Test
    void a_good_file_is_shown_first_and_imported_once() throws InterruptedException {
        assertThat(preview(GOOD).path("bad").asInt()).isZero();
        assertThat(owner.list("/api/v1/queens?search=X-1")).isEmpty();
        UUID id = UUID.randomUUID();
        assertThat(confirm(id, GOOD, false).json().path("total").asInt()).isEqualTo(3);
        JsonNode imported = imported(id);
        assertThat(imported.path("queens").asInt()).isEqualTo(2);
        assertThat(imported.path("hives").asInt()).isEqualTo(2);
        assertThat(confirm(id, GOOD, false).json()).isEqualTo(imported);
        JsonNode mira = owner.queen("X-1");
        assertThat(mira.path("name").asString()).isEqualTo("Mira, the dark one");
        assertThat(mira.path("hive").asString()).isEqualTo("L 90");
        assertThat(mira.path("mark").asString()).isEqualTo("BLUE 14");
    }

    @Test
    void each_bad_row_says_why_and_what_to_change() {
        JsonNode preview = preview(BAD);
        assertThat(preview.path("good").asInt()).isEqualTo(1);
        assertThat(preview.path("rows").get(1).path("problems").toString()).contains("there is no yard \\\"Nowhere\\\"")
                .contains("Code X-1 is on line 2 already").contains("Stage \\\"flying\\\" is not known")
                .contains("Year \\\"1820\\\"");
        assertThat(preview.path("rows").get(2).path("problems").get(0).asString())
                .isEqualTo("There is a queen 26-01-101 already. Change the code.");
        assertThat(preview.path("rows").get(3).path("problems").get(0).asString())
                .startsWith("Hive W 39 holds a queen already");
    }

    @Test
    void bad_rows_are_left_out_only_when_asked() throws InterruptedException {
        assertThat(confirm(UUID.randomUUID(), BAD, false).status()).isEqualTo(422);
        assertThat(owner.list("/api/v1/queens?search=X-1")).isEmpty();
        UUID id = UUID.randomUUID();
        confirm(id, BAD, true);
        assertThat(imported(id).path("queens").asInt()).isEqualTo(1);
    }

    /** Thousands of rows are no request: others record meanwhile, and a server that died goes on with them. */
    @Test
    void a_long_file_goes_in_part_by_part_and_is_taken_up_again_after_a_death() throws InterruptedException {
        StringBuilder csv = new StringBuilder("code,name,yard,hive,stage,year,mark\n");
        for (int row = 1; row <= 1_000; row++) {
            csv.append("L-").append(row).append(",,Larch Step,Z ").append(row).append(",laying,2025,\n");
        }
        UUID id = UUID.randomUUID();
        assertThat(confirm(id, csv.toString(), false).json().path("ended").asBoolean()).isFalse();
        assertThat(owner.tell("QUEEN_NOTED", "queen", owner.queenId("R-24-03"), "text", "meanwhile").status())
                .isEqualTo(200);
        application.context().getBean(QueenImports.class).goOnAfterAStart();
        JsonNode imported = imported(id);
        assertThat(imported.path("queens").asInt()).isEqualTo(1_000);
        assertThat(imported.path("hives").asInt()).isEqualTo(1_000);
        assertThat(owner.queen("L-1000").path("hive").asString()).isEqualTo("Z 1000");
    }

    @Test
    void a_file_that_is_none_is_refused_with_what_to_do() {
        assertThat(owner.post("/api/v1/imports/queens/preview", Map.of("csv", "a;b\n1;2")).findings().getFirst())
                .startsWith("The first line must name the columns code, name");
        assertThat(owner.post("/api/v1/imports/queens/preview",
                Map.of("csv", "code,name,yard,hive,stage\n\"open,x,y,z,laying")).status()).isEqualTo(422);
    }
}
