package vividcrown.server.reckon;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

@ExtendWith(Application.class)
class ColonyReckonTest {

    private final Client stranger;

    ColonyReckonTest(Application.Running application) {
        this.stranger = new Client(application.address());
    }

    private static Map<String, Object> reading(String day, List<String> seen, List<String> absent) {
        return Map.of("day", day, "seen", seen, "absent", absent);
    }

    /** The example in the API's own description. */
    @Test
    void one_look_at_brood_gives_the_days_of_the_last_egg() {
        JsonNode proof = stranger.post("/api/v1/reckon/brood",
                Map.of("readings", List.of(reading("2026-06-30", List.of("SEALED_WORKER"), List.of("OPEN_BROOD")))))
                .json();
        assertThat(proof.path("lastEgg").path("earliest").asString()).isEqualTo("2026-06-08");
        assertThat(proof.path("lastEgg").path("latest").asString()).isEqualTo("2026-06-21");
        assertThat(proof.path("reasons")).isNotEmpty();
    }

    @Test
    void facts_that_cannot_all_be_true_come_back_with_what_could_explain_them() {
        JsonNode proof = stranger.post("/api/v1/reckon/brood",
                Map.of("readings", List.of(reading("2026-06-10", List.of("EGGS"), List.of())), "events",
                        List.of(Map.of("day", "2026-05-31", "what", "QUEEN_REMOVED"))))
                .json();
        JsonNode clash = proof.path("contradictions").get(0);
        assertThat(clash.path("facts")).hasSize(2);
        assertThat(clash.path("explanations").findValuesAsString("explanation")).contains("SECOND_QUEEN_MISSED",
                "LAYING_WORKERS", "WRONG_DATE");
    }

    /** The example in the API's own description. */
    @Test
    void no_brood_and_no_cells_ask_for_a_test_frame() {
        JsonNode verdict = stranger.post("/api/v1/reckon/judgement", Map.of("readings",
                List.of(reading("2026-06-10", List.of(), List.of("BROOD", "QUEEN_CELLS"))))).json();
        assertThat(verdict.path("settle").get(0).path("look").asString()).isEqualTo("TEST_FRAME");
        double sum = 0;
        for (JsonNode odds : verdict.path("odds")) {
            sum += odds.path("chance").asDouble();
        }
        assertThat(sum).isCloseTo(1, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(verdict.path("options")).isNotEmpty();
        assertThat(verdict.path("proof").path("lastEgg").path("latest").asString()).isEqualTo("2026-05-21");
    }

    @Test
    void a_school_of_ones_own_goes_first_but_never_at_the_cost_of_a_queen() {
        Map<String, Object> workers = reading("2026-06-10", List.of("EGGS_SEVERAL", "EGGS_ON_WALLS",
                "SEALED_DRONE_SCATTERED", "BEES_OLD"), List.of("SEALED_WORKER"));
        JsonNode verdict = stranger.post("/api/v1/reckon/judgement", Map.of("preferred", List.of("BROOD_WEEKLY"),
                "readings", List.of(workers))).json();
        assertThat(verdict.path("options").get(0).path("action").asString()).isEqualTo("BROOD_WEEKLY");
        assertThat(verdict.path("options").get(0).path("ownSchool").asBoolean()).isTrue();
        // a virgin may be in there, and would be lost
        JsonNode doubtful = stranger.post("/api/v1/reckon/judgement", Map.of("preferred", List.of("UNITE"), "readings",
                List.of(reading("2026-06-10", List.of(), List.of("BROOD", "QUEEN_CELLS"))))).json();
        assertThat(doubtful.path("options").get(0).path("action").asString()).isNotEqualTo("UNITE");
        JsonNode unite = doubtful.path("options").valueStream()
                .filter(option -> option.path("action").asString().equals("UNITE")).findFirst().orElseThrow();
        assertThat(unite.path("ownSchool").asBoolean()).isTrue();
        assertThat(unite.path("risk").asString()).contains("virgin");
    }

    /** The example in the API's own description. */
    @Test
    void the_return_visit_is_on_day_seven_to_ten() {
        JsonNode plan = stranger.post("/api/v1/reckon/swarm-plan", Map.of("queenRemovedOn", "2026-05-20")).json();
        assertThat(plan.path("returnVisit").path("earliest").asString()).isEqualTo("2026-05-27");
        assertThat(plan.path("returnVisit").path("latest").asString()).isEqualTo("2026-05-30");
        assertThat(plan.path("warnings")).isNotEmpty();
    }

    @Test
    void cells_alone_are_enough_for_a_rung() {
        JsonNode plan = stranger.post("/api/v1/reckon/swarm-plan",
                Map.of("readings", List.of(Map.of("day", "2026-05-20", "cells",
                        List.of(Map.of("look", "LONG", "place", "BOTTOM_EDGE", "count", 6))))))
                .json();
        assertThat(plan.path("rung").asString()).isEqualTo("ARTIFICIAL_SWARM");
        assertThat(plan.path("steps").get(0).path("gate").asString()).isEqualTo("QUEEN_IN_HAND");
    }

    @Test
    void bad_input_says_what_to_change() {
        assertThat(stranger.post("/api/v1/reckon/brood", Map.of()).findings())
                .containsExactly("Say for which day, or what was seen: give today, readings or events.");
        assertThat(stranger.post("/api/v1/reckon/brood",
                Map.of("readings", List.of(reading("2026-06-10", List.of("YOUNG_LARVAE"), List.of("LARVAE")))))
                .findings()).singleElement().asString().contains("both seen and absent", "Take one of the two back");
        assertThat(stranger.post("/api/v1/reckon/judgement",
                Map.of("today", "2026-06-01", "readings",
                        List.of(reading("2026-06-10", List.of("EGGS"), List.of()))))
                .findings()).containsExactly("2026-06-10 lies after today (2026-06-01). Change one of the two.");
        assertThat(stranger.post("/api/v1/reckon/judgement",
                Map.of("today", "2026-06-01", "fitAfternoonsByMonth", List.of(0.5))).findings()).singleElement()
                .asString().contains("twelve chances");
        assertThat(stranger.post("/api/v1/reckon/brood",
                Map.of("readings", List.of(reading("2026-06-10", List.of("BEES"), List.of())))).status())
                .isEqualTo(400);
    }
}
