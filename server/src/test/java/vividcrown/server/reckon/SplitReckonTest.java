package vividcrown.server.reckon;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Open questions about splits and strength. What is expected is common practice. */
@ExtendWith(Application.class)
class SplitReckonTest {

    private static final String DAY = "2026-06-10";
    private final Client stranger;

    SplitReckonTest(Application.Running application) {
        this.stranger = new Client(application.address());
    }

    private static Map<String, Object> frames(String kind, int count) {
        return Map.of("kind", kind, "count", count);
    }

    private static Map<String, Object> hive(String code, String queen, Object... frames) {
        return Map.of("code", code, "queen", queen, "frames", List.of(frames));
    }

    private static Map<String, Object> strong(String code) {
        return hive(code, "LAYING", frames("HONEY", 2), frames("BROOD", 6), frames("EGGS", 1),
                frames("SEALED_BROOD", 2),
                frames("POLLEN", 2));
    }

    private JsonNode plan(Map<String, Object> asked) {
        return stranger.post("/api/v1/reckon/split-plan", asked).json().path("plan");
    }

    /** The example in the API's own description. */
    @Test
    void a_split_names_every_frame_that_goes() {
        JsonNode plan = plan(Map.of("day", DAY, "place", Map.of("flow", "GOOD"), "recipes",
                List.of(Map.of("recipe", "MATED_QUEEN_SPLIT", "most", 1)), "hives", List.of(strong("H 1"))));
        assertThat(plan.path("newUnits")).hasSize(1);
        assertThat(plan.path("newUnits").get(0).path("layout").findValuesAsString("fromHive")).contains("H 1");
        assertThat(plan.path("donors").get(0).path("keeps").asInt()).isEqualTo(7);
        assertThat(plan.path("proven").asBoolean()).isTrue();
    }

    /** A sign of disease tapped on one side of one frame stops the hive, though nobody said so of the whole. */
    @Test
    void a_sign_on_one_side_stops_the_hive() {
        Map<String, Object> sick = hive("H 1", "LAYING", frames("HONEY", 2), frames("BROOD", 8),
                Map.of("near", List.of("SEALED_WORKER", "CAPS_SUNKEN"), "far", List.of("SEALED_WORKER")));
        JsonNode plan = plan(Map.of("day", DAY, "place", Map.of("flow", "GOOD"), "recipes",
                List.of(Map.of("recipe", "WALK_AWAY")), "hives", List.of(sick)));
        assertThat(plan.path("newUnits")).isEmpty();
        assertThat(plan.path("leftOut").get(0).path("why").asString()).contains("sign of disease");
    }

    @Test
    void what_was_not_said_is_said_to_be_assumed() {
        JsonNode answer = stranger.post("/api/v1/reckon/split-plan", Map.of("day", DAY, "hives",
                List.of(Map.of("code", "H 1", "frames", List.of(frames("HONEY", 2), frames("BROOD", 9)))))).json();
        assertThat(answer.path("assumed").toString()).contains("What comes in was not said", "No recipe was named",
                "no bees were noted");
        assertThat(answer.path("plan").path("newUnits")).hasSize(1);
    }

    /** The example in the API's own description. */
    @Test
    void a_nuc_is_foreseen_with_its_milestones() {
        JsonNode hive = stranger
                .post("/api/v1/reckon/forecast", Map.of("day", DAY, "hives", List.of(hive("N 1", "LAYING",
                        frames("HONEY", 1), Map.of("kind", "BROOD", "count", 2, "bees", 1), frames("DRAWN", 2)))))
                .json()
                .path("hives").get(0);
        assertThat(hive.path("course")).hasSize(57);
        assertThat(hive.path("milestones").findValuesAsString("what")).contains("NEEDS_ROOM");
    }

    /** The example in the API's own description. */
    @Test
    void one_frame_goes_from_the_strong_to_the_weak() {
        JsonNode plan = stranger.post("/api/v1/reckon/equalise", Map.of("day", DAY, "targetBroodFrames", 2, "hives",
                List.of(hive("N 1", "LAYING", frames("BROOD", 4)), hive("N 2", "LAYING", frames("BROOD", 1)))))
                .json().path("plan");
        assertThat(plan.path("gifts").get(0).path("from").asString()).isEqualTo("N 1");
        assertThat(plan.path("gifts").get(0).path("to").asString()).isEqualTo("N 2");
    }

    /** The examples in the API's own description. */
    @Test
    void boosting_uniting_and_the_late_season_answer_their_examples() {
        JsonNode boost = stranger.post("/api/v1/reckon/boost", Map.of("day", DAY, "unit",
                hive("N 1", "LAYING", Map.of("kind", "BROOD", "bees", 1)), "donors",
                List.of(hive("H 1", "LAYING", frames("SEALED_BROOD", 8))))).json().path("plan");
        assertThat(boost.path("ways").get(0).path("how").asString()).isEqualTo("SEALED_BROOD_WITH_NURSES");
        JsonNode unite = stranger.post("/api/v1/reckon/unite-plan", Map.of("day", "2026-08-20", "metres", 1, "one",
                hive("H 1", "LAYING", frames("BROOD", 5)), "other",
                hive("H 2", "NONE", Map.of("kind", "DRAWN", "count", 6, "bees", 0.5)))).json().path("plan");
        assertThat(unite.path("keeps").asString()).isEqualTo("H 1");
        // a box in which none was found may hold a virgin
        assertThat(unite.path("ways").get(0).path("how").asString()).isEqualTo("SHAKE_OUT_GUARDED");
        JsonNode late = stranger
                .post("/api/v1/reckon/late-season", Map.of("day", "2026-09-01", "matedQueens", 2, "hives",
                        List.of(hive("H 1", "LAYING", frames("HONEY", 3), frames("BROOD", 5)))))
                .json().path("plan");
        assertThat(late.path("fates").get(0).path("use").asString()).isIn("LEAVE", "FEED");
    }

    @Test
    void bad_input_says_what_to_change_all_at_once() {
        List<String> findings = stranger.post("/api/v1/reckon/forecast", Map.of("day", DAY, "hives",
                List.of(Map.of("code", "H 1", "readOn", "2026-07-01", "frames", List.of(Map.of("slot", 1))),
                        Map.of("code", "H 2", "frames", List.of(Map.of("eggs", 0.8, "honey", 0.5))),
                        Map.of("code", "H 3", "frames",
                                List.of(Map.of("slot", 2, "kind", "BROOD"), Map.of("slot", 2, "kind", "HONEY"))))))
                .findings();
        assertThat(findings.toString()).contains("after the day asked for", "Say what is on the frame", "130 %",
                "two frames hang in box 1, slot 2");
        assertThat(stranger.post("/api/v1/reckon/forecast", Map.of("day", DAY, "hives",
                List.of(Map.of("code", "H 1", "readOn", "2025-06-01", "frames", List.of(frames("BROOD", 3))))))
                .findings()).singleElement().asString().contains("Read it again");
        assertThat(stranger.post("/api/v1/reckon/split-plan", Map.of("day", DAY, "hives", List.of())).status())
                .isIn(400, 422);
        assertThat(stranger.post("/api/v1/reckon/split-plan",
                Map.of("day", DAY, "hives", List.of(strong("H 1")), "recipes",
                        List.of(Map.of("recipe", "CELL_NUC", "broodLeast", 4, "broodBest", 2))))
                .findings()).isNotEmpty();
    }
}
