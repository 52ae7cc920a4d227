package vividcrown.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Requests that cannot be read: each gets a sentence with what belongs there, and none says how the program is built. */
@ExtendWith(Application.class)
class MisreadTest {

    private static final String SEARCH = "/api/v1/reckon/search";
    private static final String EXERCISE = "/api/v1/reckon/trainer/exercise";

    private final Client stranger;
    private final Application.Running application;

    MisreadTest(Application.Running application) {
        this.application = application;
        this.stranger = new Client(application.address());
    }

    private Client.Answer search(Object day, Object boxes) {
        return stranger.post(SEARCH, Map.of("day", day, "boxes", boxes));
    }

    private static void says(Client.Answer answer, String field, String words) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(400);
        assertThat(answer.json().path("findings").get(0).path("field").asString()).isEqualTo(field);
        assertThat(answer.findings()).singleElement().asString().contains(words);
        assertThat(answer.text()).doesNotContain("vividcrown.", "java.", "tools.jackson", "Token", "deserialize");
    }

    @Test
    void the_field_and_what_belongs_there_are_said() {
        List<Map<String, Integer>> box = List.of(Map.of("frames", 3));
        says(search("12 June", box), "day", "\"12 June\" is no day");
        says(search("2026-13-45", box), "day", "is no day");
        says(search(20_260_612, box), "day", "is no day");
        says(search("+999999999-12-31", box), "day", "is no day");
        says(search("2026-06-12", Map.of()), "boxes", "A list is expected");
        says(search("2026-06-12", List.of(5)), "boxes[0]", "An object");
        says(search("2026-06-12", List.of(Map.of("combs", List.of(Map.of("near", List.of("EGGZ")))))),
                "boxes[0].combs[0].near[0]", "\"EGGZ\" is not known here. Known are: BROOD, OPEN_BROOD, EGGS");
        says(stranger.post(EXERCISE, Map.of("skill", 5)), "skill", "is not known here. Known are: FIND_LAYING");
        says(stranger.post(EXERCISE, Map.of("skill", "FIND_OLD", "seed", "x")), "seed", "\"x\" is no number");
        says(stranger.post(EXERCISE, Map.of("skill", "FIND_OLD", "level", true)), "level", "no number");
        says(stranger.post(EXERCISE, List.of()), "", "An object");
        says(stranger.post(SEARCH, Map.of("day", "2026-06-12", "boxes", List.of(Map.of("honey", "perhaps")))),
                "boxes[0].honey", "neither true nor false");
    }

    @Test
    void what_is_no_json_is_told_where() {
        Client owner = application.signedIn(application.demo().ownerEmail());
        says(owner.putText("/api/v1/trainer/shown", "{\"shown\": "), "", "This is no JSON: look at line 1, column");
        says(owner.putText("/api/v1/trainer/shown", ""), "", "Nothing was sent");
        says(owner.putText("/api/v1/trainer/shown", "{\"shown\": {}}"), "shown", "neither true nor false");
    }

    @Test
    void a_deed_that_cannot_be_read_is_told_the_same_way() {
        Client owner = application.signedIn(application.demo().ownerEmail());
        Client.Answer refused = owner.tell(LocalDate.of(2026, 6, 9), "QUEEN_SEARCHED", "hive", "no id at all", "why",
                "SHOW");
        assertThat(refused.findings().toString()).contains("hive: \"no id at all\" is no id")
                .doesNotContain("java.");
    }

    private static void misses(Client.Answer answer, String field) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(422);
        assertThat(answer.json().path("findings").get(0).path("field").asString()).isEqualTo(field);
        assertThat(answer.findings()).singleElement().asString().contains("There is nothing in this place");
    }

    @Test
    void what_is_left_out_and_what_is_empty_in_a_list_are_told_by_their_place() {
        misses(stranger.post("/api/v1/reckon/brood", Map.of("today", "2026-06-12", "figures",
                List.of(Map.of("earliest", 3, "likely", 6, "latest", 9)))), "figures[0].figure");
        misses(stranger.post("/api/v1/reckon/equalise", Map.of("day", "2026-06-12", "unitsInAll", 3, "hives",
                List.of(Map.of("code", "H 1", "queenLays", Map.of("latest", "2026-06-01"))))),
                "hives[0].queenLays.earliest");
        Client owner = application.signedIn(application.demo().ownerEmail());
        misses(owner.ask("POST", "/api/v1/journal", Optional.of("{\"entries\":[null]}")), "entries[0]");
        misses(owner.ask("POST", "/api/v1/season/check", Optional.of("[null]")), "[0]");
    }

    @Test
    void half_a_hive_and_text_that_nobody_can_keep_are_told() {
        says(search("2026-06-12", List.of(Map.of("frames", 2.5))), "boxes[0].frames",
                "no number that can be used here");
        Client owner = application.signedIn(application.demo().ownerEmail());
        for (String odd : List.of("a\\u0000b", "\\uD800")) {
            says(owner.ask("POST", "/api/v1/people/invitations",
                    Optional.of("{\"name\":\"" + odd + "\",\"role\":\"CREW\"}")),
                    "name", "a character in it that no text has");
        }
        assertThat(owner.get("/api/v1/queens?search=a%00b").findings()).singleElement().asString()
                .contains("a character in it that no text has");
        assertThat(owner.post("/api/v1/people/invitations", Map.of("name", "\uD83D\uDC1D", "role", "CREW")).status())
                .as("a whole one is welcome").isEqualTo(200);
    }

    @Test
    void half_a_count_in_a_deed_and_a_kind_by_its_number_are_refused() {
        Client owner = application.signedIn(application.demo().ownerEmail());
        Map<String, Object> terms = new HashMap<>(
                Map.of("customer", "Moss End", "ownNeed", false, "product", "LAYING_QUEENS",
                        "count", 2.5, "from", "2026-07-10", "until", "2026-07-14", "priority", 2));
        Client.Answer half = owner.tell("ORDER_TAKEN", "order", UUID.randomUUID(), "code", "", "terms", terms);
        assertThat(half.status()).isEqualTo(422);
        assertThat(half.findings()).singleElement().asString().contains("no number that can be used here");
        terms.put("count", 2);
        terms.put("product", 1);
        assertThat(owner.tell("ORDER_TAKEN", "order", UUID.randomUUID(), "code", "", "terms", terms).findings())
                .singleElement().asString().contains("is not known here. Known are: RIPE_CELLS");
    }
}
