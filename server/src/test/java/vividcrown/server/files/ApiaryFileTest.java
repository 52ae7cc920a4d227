package vividcrown.server.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.job.Beside;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

@ExtendWith(Application.class)
class ApiaryFileTest {

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

    ApiaryFileTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        owner = application.signedIn(application.demo().ownerEmail());
    }

    private JsonNode preview(String csv) {
        return owner.post("/api/v1/imports/apiary/preview", Map.of("csv", csv)).json();
    }

    private Client.Answer confirm(UUID id, String csv, boolean skip) {
        return owner.put("/api/v1/imports/apiary/" + id, Map.of("csv", csv, "skipBadRows", skip));
    }

    private JsonNode imported(UUID id) throws InterruptedException {
        long until = System.currentTimeMillis() + 120_000;
        JsonNode progress = owner.get("/api/v1/imports/apiary/" + id).json();
        while (!progress.path("ended").asBoolean() && System.currentTimeMillis() < until) {
            Thread.sleep(50);
            progress = owner.get("/api/v1/imports/apiary/" + id).json();
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
                .contains("X-1 is on line 2 already").contains("stage \\\"flying\\\" is not known");
        assertThat(preview.path("rows").get(2).path("problems").get(0).asString())
                .isEqualTo("There is a queen 26-01-101 already. Change the code.");
        assertThat(preview.path("rows").get(3).path("problems").get(0).asString())
                .startsWith("Hive W 39 holds a queen already");
    }

    /** Common practice: a hive has one queen, whichever way its code was typed. */
    @Test
    void a_hive_gets_one_queen_however_its_code_is_written() {
        JsonNode preview = preview("""
                code,hive,yard,stage
                X-8,L 98,Larch Step,laying
                X-9,l 98,Larch Step,laying
                """);
        assertThat(preview.path("rows").get(1).path("problems").toString()).contains("l 98 is on line 2 already");
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
        application.context().getBean(Beside.class).goOnAfterAStart();
        JsonNode imported = imported(id);
        assertThat(imported.path("queens").asInt()).isEqualTo(1_000);
        assertThat(imported.path("hives").asInt()).isEqualTo(1_000);
        assertThat(owner.queen("L-1000").path("hive").asString()).isEqualTo("Z 1000");
    }

    @Test
    void a_file_that_is_none_is_refused_with_what_to_do() {
        assertThat(owner.post("/api/v1/imports/apiary/preview", Map.of("csv", "a;b\n1;2")).findings().getFirst())
                .startsWith("The first line must name the columns row, yard");
        assertThat(owner.post("/api/v1/imports/apiary/preview",
                Map.of("csv", "code,name,yard,hive,stage\n\"open,x,y,z,laying")).status()).isEqualTo(422);
    }

    private static final String WHOLE = """
            row,yard,latitude,longitude,elevation,climate,hive,purpose,format,boxes,code,name,stage,year,mark,mother,line,\
            breeder,origin,from,day
            queen,,,,,,P 1,,,,Q-2,,laying,,white 7,Q-1,,,own_cell,P 9,2026-04-11
            queen,,,,,,P 2,,,,Q-1,Mira,judged,2024,,,Larch,yes,bought,a breeder in the south,
            hive,Sallow Bank,,,,,P 1,production,Langstroth deep,brood 10 + brood 10 + excluder + honey 9,,,,,,,,,,,2026-04-10
            hive,Sallow Bank,,,,,P 2,bank,,,,,,,,,,,,,
            yard,Sallow Bank,46.1,8.7,900,upland,,,,,,,,,,,,,,,2026-04-01
            queen,,,,,,,,,,Q-3,,laying,,12,,,,swarm,,
            """
            .replace("\\\n", "");

    @Test
    void one_file_brings_a_whole_apiary_whatever_the_order_of_its_rows() throws InterruptedException {
        JsonNode preview = preview(WHOLE);
        assertThat(preview.path("bad").asInt()).as(preview.toString()).isZero();
        UUID id = UUID.randomUUID();
        assertThat(confirm(id, WHOLE, false).status()).isEqualTo(200);
        JsonNode imported = imported(id);
        assertThat(imported.path("yards").asInt()).isEqualTo(1);
        assertThat(imported.path("hives").asInt()).isEqualTo(2);
        assertThat(imported.path("queens").asInt()).isEqualTo(3);
        JsonNode own = owner.get("/api/v1/queens/" + owner.queenId("Q-2")).json();
        assertThat(own.path("queen").path("mother").asString()).as("her mother stands below her in the file")
                .isEqualTo("Mira");
        assertThat(own.path("queen").path("mark").asString()).as("a mark of a queen whose year nobody knows")
                .isEqualTo("WHITE 7");
        assertThat(own.path("origin").path("kind").asString()).isEqualTo("OWN_CELL");
        assertThat(owner.queen("Q-3").path("mark").asString()).as("a number without a colour").isEqualTo("12");
        assertThat(owner.get("/api/v1/queens/breeders").text()).contains("Q-1");
        String written = owner.get("/api/v1/exports/apiary.csv").text();
        assertThat(written).contains("brood 10 + brood 10 + excluder + honey 9").contains("a breeder in the south")
                .contains("yard,Sallow Bank,46.1,8.7,900,upland").contains("2026-04-10");
        assertThat(preview(written).path("good").asInt()).as("what is here already is not brought twice").isZero();
    }

    /** What it writes it can read: the whole apiary once more, in another operation. */
    @Test
    void what_is_written_here_is_read_elsewhere_and_written_the_same() throws InterruptedException {
        String written = owner.get("/api/v1/exports/apiary.csv").text();
        Client other = application.signedIn(application.empty());
        Client.Answer asked = other.put("/api/v1/imports/apiary/" + UUID.randomUUID(),
                Map.of("csv", written, "skipBadRows", false));
        assertThat(asked.status()).as(asked.text()).isEqualTo(200);
        owner = other;
        imported(UUID.fromString(asked.json().path("id").asString()));
        assertThat(other.get("/api/v1/exports/apiary.csv").text()).isEqualTo(written);
        assertThat(written).contains("starter_finisher");
        assertThat(other.get("/api/v1/builders").text()).as("run as they were").contains("STARTER_FINISHER");
    }

    @Test
    void what_hangs_on_a_bad_row_is_bad_too_and_says_why() {
        JsonNode preview = preview("""
                row,yard,latitude,longitude,hive,boxes,code,stage,mother,day,year,school
                yard,Nowhere Bank,190,8,,,,,,,
                hive,Nowhere Bank,,,P 1,brood 10,,,,,
                queen,,,,P 1,,Q-1,laying,,,
                queen,,,,,,Q-2,laying,Q-1,,
                hive,Larch Step,,,P 2,brood ten,,,,,
                hive,Larch Step,,,P 3,excluder,,,,,
                hive,Larch Step,,,P 4,brood 40,,,,,
                hive,Larch Step,,,W 39,,,,,,
                hive,Larch Step,,,P 5,,,,,2031-01-01,
                bird,Larch Step,,,P 6,,,,,,
                queen,,,,,,Q-7,laying,,,2031
                hive,Larch Step,,,,,,,,,
                hive,Larch Step,,,P 8,,,,,2026-05-01,
                queen,,,,P 8,,Q-8,laying,,2026-04-01,
                queen,,,,W 01,,Q-9,laying,,2020-04-01,
                queen,,,,B 1,,Q-10,virgin,,,
                queen,,,,,,r-24-03,laying,,,
                """);
        assertThat(preview.path("good").asInt()).as("only the hive P 8: " + preview).isEqualTo(1);
        assertThat(problem(preview, 13)).as("she cannot be in a hive before it is there").contains("2026-05-01");
        assertThat(problem(preview, 14)).contains("2020-04-01");
        assertThat(problem(preview, 15)).as("she tears down the cells").contains("B 1");
        assertThat(problem(preview, 16)).as("the same code in other letters").contains("r-24-03");
        assertThat(problem(preview, 0)).contains("latitude must lie between -90 and 90");
        assertThat(problem(preview, 1)).contains("no yard \"Nowhere Bank\"");
        assertThat(problem(preview, 2)).contains("P 1 is new");
        assertThat(problem(preview, 3)).contains("no queen Q-1");
        assertThat(problem(preview, 4)).contains("\"brood ten\" is no box");
        assertThat(problem(preview, 5)).isNotBlank();
        assertThat(problem(preview, 6)).contains("24");
        assertThat(problem(preview, 7)).contains("W 39 is here already");
        assertThat(problem(preview, 8)).contains("2031-01-01");
        assertThat(problem(preview, 9)).contains("\"bird\" is not known");
        assertThat(problem(preview, 10)).contains("2031");
        assertThat(problem(preview, 11)).contains("\"hive\" must not be empty");
    }

    private static String problem(JsonNode preview, int row) {
        return preview.path("rows").get(row).path("problems").toString().replace("\\\"", "\"");
    }
}
