package vividcrown.server.reckon;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Open questions about giving queens, mites and brood breaks. What is expected is common practice. */
@ExtendWith(Application.class)
class IntroductionReckonTest {

    private static final String DAY = "2026-06-20";
    private final Client stranger;

    IntroductionReckonTest(Application.Running application) {
        this.stranger = new Client(application.address());
    }

    private static Map<String, Object> colony(Object... more) {
        Map<String, Object> colony = new HashMap<>(
                Map.of("code", "H 4", "queen", 0, "virgin", 0, "cells", 0, "workersLay",
                        0, "search", "TWICE", "lastEgg", List.of("2026-06-12")));
        for (int at = 0; at < more.length; at += 2) {
            colony.put((String) more[at], more[at + 1]);
        }
        return colony;
    }

    private static final Map<String, Object> CAGED = Map.of("code", "26-01-104", "kind", "MATED", "cagedDays", 2,
            "cost",
            40);

    private JsonNode give(Map<String, Object> colony, Map<String, Object> queen) {
        return stranger.post("/api/v1/reckon/introduction", Map.of("day", DAY, "colony", colony, "queen", queen))
                .json();
    }

    @Test
    void a_clean_colony_gets_her_in_a_cage_and_plan_b_is_dated() {
        JsonNode answer = give(colony(), CAGED);
        assertThat(answer.path("verdict").asString()).isEqualTo("GIVE");
        assertThat(answer.path("ways").get(0).path("method").asString()).isEqualTo("PUSH_IN_CAGE");
        assertThat(answer.path("ways").findValuesAsString("method")).doesNotContain("WITH_HER_NUC");
        assertThat(answer.path("ways").get(0).path("planBOn").asString()).isGreaterThan("2026-07-01");
        assertThat(answer.path("after").path("all").path("likely").asString()).startsWith("2026-08");
    }

    @Test
    void a_colony_that_may_lay_gets_none_and_is_told_what_to_look_for() {
        JsonNode answer = give(colony("queen", 0.3, "search", "NOT"), CAGED);
        assertThat(answer.path("verdict").asString()).isEqualTo("DO_NOT");
        assertThat(answer.path("refusals").toString()).contains("look for eggs and search every frame");
        assertThat(answer.path("ways")).isEmpty();
        assertThat(give(colony("suspect", true), CAGED).path("verdict").asString()).isEqualTo("DO_NOT");
    }

    @Test
    void what_nobody_said_is_assumed_and_said() {
        JsonNode answer = give(Map.of("code", "H 4"), CAGED);
        assertThat(answer.path("assumed").toString()).contains("nobody said what may be in there")
                .contains("nobody said that it was searched");
        assertThat(answer.path("verdict").asString()).isEqualTo("FIRST");
    }

    @Test
    void at_the_cage_biting_waits_and_two_friendly_days_want_a_second_look() {
        Map<String, Object> bites = Map.of("since", "2026-06-17", "readings",
                List.of(Map.of("day", DAY, "seen", List.of("BITING", "FEEDING"), "minutes", 4)));
        Map<String, Object> friendly = Map.of("since", "2026-06-16", "readings",
                List.of(Map.of("day", "2026-06-19", "seen", List.of("FEEDING", "BRUSHES_OFF"), "minutes", 4),
                        Map.of("day", DAY, "seen", List.of("LOOSE"), "minutes", 3)));
        Map<String, Object> asked = new HashMap<>(Map.of("day", DAY, "colony", colony(), "queen", CAGED));
        asked.put("cage", bites);
        assertThat(stranger.post("/api/v1/reckon/introduction", asked).json().path("cage").path("act").asString())
                .isEqualTo("WAIT");
        asked.put("cage", friendly);
        assertThat(stranger.post("/api/v1/reckon/introduction", asked).json().path("cage").path("act").asString())
                .isEqualTo("SECOND_LOOK");
        asked.put("cage", Map.of("since", "2026-06-25", "readings", List.of()));
        assertThat(stranger.post("/api/v1/reckon/introduction", asked).findings()).singleElement().asString()
                .contains("mend one of the two");
    }

    @Test
    void own_results_move_the_odds_and_impossible_ones_are_refused() {
        Map<String, Object> asked = new HashMap<>(
                Map.of("day", DAY, "method", "CAGE_CANDY", "colony", colony(), "queen",
                        CAGED));
        double trade = stranger.post("/api/v1/reckon/acceptance", asked).json().path("chance").path("likely")
                .asDouble();
        asked.put("own", List.of(Map.of("method", "CAGE_CANDY", "given", 40, "kept", 20)));
        double own = stranger.post("/api/v1/reckon/acceptance", asked).json().path("chance").path("likely").asDouble();
        assertThat(own).isLessThan(trade - 0.1);
        asked.put("own", List.of(Map.of("method", "CAGE_CANDY", "given", 4, "kept", 20)));
        assertThat(stranger.post("/api/v1/reckon/acceptance", asked).findings()).singleElement().asString()
                .contains("count again");
        asked.remove("own");
        asked.put("method", "RIPE_CELL");
        assertThat(stranger.post("/api/v1/reckon/acceptance", asked).findings()).singleElement().asString()
                .contains("Choose another way");
    }

    @Test
    void queens_go_where_they_bring_most_and_none_sits_in_two_cages() {
        Map<String, Object> second = new HashMap<>(CAGED);
        second.put("code", "26-01-105");
        Map<String, Object> asked = new HashMap<>(Map.of("day", DAY, "queens", List.of(CAGED, second), "colonies",
                List.of(colony(), colony("code", "H 5", "queen", 0.9), colony("code", "H 6", "worth", 300))));
        JsonNode answer = stranger.post("/api/v1/reckon/assignment", asked).json();
        assertThat(answer.path("proven").asBoolean()).isTrue();
        assertThat(answer.path("pairs").get(0).path("colony").asString()).isEqualTo("H 6");
        assertThat(answer.path("waiting").get(0).path("why").asString()).contains("A queen is in there");
        asked.put("queens", List.of(CAGED, CAGED));
        assertThat(stranger.post("/api/v1/reckon/assignment", asked).findings()).singleElement().asString()
                .contains("sits in one cage");
    }

    private Client.Answer mites(Object... more) {
        Map<String, Object> count = new HashMap<>(
                Map.of("kind", "WASH", "bees", 300, "mites", 2, "second", 0, "queenSafe",
                        true, "openBrood", true));
        Map<String, Object> asked = new HashMap<>(Map.of("day", "2026-04-20"));
        for (int at = 0; at < more.length; at += 2) {
            (more[at].equals("day") || more[at].equals("until") || more[at].equals("yardHives")
                    || more[at].equals("winterTreatment") ? asked : count).put((String) more[at], more[at + 1]);
        }
        asked.put("count", count);
        return stranger.post("/api/v1/reckon/mites", asked);
    }

    @Test
    void two_in_three_hundred_in_spring_two_rules_disagree() {
        JsonNode answer = mites("until", "2026-08-01", "yardHives", 12).json();
        assertThat(answer.path("percent").path("likely").asDouble()).isEqualTo(0.67);
        assertThat(answer.path("disagree").asBoolean()).isTrue();
        assertThat(answer.path("rules").findValuesAsString("says")).containsExactly("ACT", "LET_BE");
        assertThat(answer.path("course").path("percent").path("likely").asDouble()).isGreaterThan(3);
        assertThat(answer.path("sampling").path("toFind").asInt()).isBetween(5, 9);
        assertThat(answer.path("objections")).isEmpty();
    }

    @Test
    void a_wash_whose_queen_is_not_accounted_for_is_flagged_and_mites_in_no_bees_are_refused() {
        assertThat(mites("queenSafe", false).json().path("objections").toString())
                .contains("before its bees are taken");
        assertThat(mites("bees", 0).findings()).singleElement().asString().contains("bees must lie between 1");
        assertThat(mites("until", "2026-01-01").findings()).singleElement().asString().contains("days later");
    }

    @Test
    void what_is_let_be_for_a_treatment_to_come_is_not_without_it() {
        JsonNode waits = mites("day", "2026-09-20", "mites", 3, "winterTreatment", true).json();
        assertThat(waits.path("rules").get(0).path("says").asString()).isEqualTo("LET_BE");
        assertThat(mites("day", "2026-09-20", "mites", 3).json().path("rules").get(0).path("says").asString())
                .isEqualTo("ACT");
    }

    @Test
    void a_caged_queen_opens_a_window_drone_brood_included() {
        JsonNode answer = stranger.post("/api/v1/reckon/brood-break",
                Map.of("plan", "QUEEN_CAGED", "day", "2026-07-01", "begins", "2026-07-26")).json();
        assertThat(answer.path("none").path("likelyFrom").asString()).isEqualTo("2026-07-25");
        assertThat(answer.path("worker").path("likelyFrom").asString()).isEqualTo("2026-07-22");
        assertThat(answer.path("assumed").toString()).contains("drone brood");
        assertThat(answer.path("cautions").toString()).contains("No dose is given here");
        assertThat(stranger.post("/api/v1/reckon/brood-break",
                Map.of("plan", "QUEEN_CAGED", "day", "2026-07-01", "begins", "2026-06-01")).status()).isEqualTo(422);
    }
}
