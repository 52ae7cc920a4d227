package vividcrown.server.reckon;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Open questions about descent, matings, merit and requeening. Values: Hamilton 1964, Crow &amp; Roberts 1950 (from memory). */
@ExtendWith(Application.class)
class LineageReckonTest {

    private final Client stranger;

    LineageReckonTest(Application.Running application) {
        this.stranger = new Client(application.address());
    }

    private Client.Answer ask(String what, Map<String, Object> body) {
        return stranger.post("/api/v1/reckon/" + what, body);
    }

    private static final List<Map<String, Object>> SISTERS = List.of(
            Map.of("id", "q", "mating", Map.of("kind", "ONE_DRONE", "droneMother", "f")),
            Map.of("id", "a", "mother", "q"), Map.of("id", "b", "mother", "q"));

    @Test
    void full_sisters_share_three_quarters_and_a_founder_without_a_line_is_told() {
        Client.Answer answer = ask("kinship", Map.of("queens", SISTERS, "of", List.of("a", "b")));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        assertThat(answer.json().path("relatedness").get(0).get(1).asDouble()).isEqualTo(0.75);
        assertThat(answer.json().path("flags").get(0).asString()).contains("f").contains("founder");
    }

    @Test
    void a_mating_with_her_own_brothers_is_kept_apart() {
        JsonNode answer = ask("mating", Map.of("queens", SISTERS, "queen", "q", "daughter", true, "with",
                Map.of("kind", "ONE_DRONE", "droneMother", "q"))).json().path("mating");
        assertThat(answer.path("inbreeding").asDouble()).isEqualTo(0.25);
        assertThat(answer.path("advice").asString()).isEqualTo("APART");
        assertThat(answer.path("loss").path("shows").asBoolean()).isTrue();
        JsonNode strangers = ask("mating", Map.of("queens", SISTERS, "queen", "a", "with", Map.of("kind", "OPEN")))
                .json().path("mating");
        assertThat(strangers.path("advice").asString()).isEqualTo("WELL");
        assertThat(strangers.path("workers").asDouble()).isCloseTo(0.25 + 0.5 / 12, within(0.001));
        assertThat(strangers.path("reasons").toString()).contains("strangers");
    }

    @Test
    void what_cannot_be_is_refused_with_the_way_out() {
        assertThat(ask("kinship", Map.of("queens", List.of(Map.of("id", "d", "father", "x")), "of", List.of("d")))
                .findings()).singleElement().asString().contains("a drone has none");
        assertThat(ask("kinship", Map.of("queens", List.of(Map.of("id", "a", "mother", "b"), Map.of("id", "b", "mother",
                "a")), "of", List.of("a"))).findings()).singleElement().asString().contains("own ancestor");
        assertThat(ask("kinship", Map.of("queens", SISTERS, "of", List.of("nobody"))).findings()).singleElement()
                .asString().contains("no queen nobody");
        assertThat(ask("mating", Map.of("queens", SISTERS, "queen", "a", "with", Map.of("kind", "STATION"))).findings())
                .singleElement().asString().contains("whose drones");
        assertThat(ask("merit", Map.of("queens", SISTERS, "trait", "TEMPER", "scores",
                List.of(Map.of("queen", "a", "value", 4.3, "year", 2026)))).findings()).singleElement().asString()
                .contains("4");
        assertThat(ask("breeders", Map.of("queens", SISTERS, "candidates", List.of(Map.of("queen", "a", "merit", 1),
                Map.of("queen", "a", "merit", 2)), "daughters", 10, "kinship", 0.5)).findings()).singleElement()
                .asString().contains("twice");
        assertThat(ask("requeening", Map.of("day", "2026-06-20", "colonies",
                List.of(Map.of("code", "H 1", "born", 2031)))).findings()).singleElement().asString()
                .contains("yet to come");
        Map<String, Object> nothing = new HashMap<>();
        nothing.put("queens", null);
        nothing.put("of", List.of());
        assertThat(ask("kinship", nothing).status()).isEqualTo(422);
        assertThat(ask("kinship", Map.of("queens", Collections.singletonList(null), "of", List.of("a")))
                .status()).isEqualTo(422);
    }

    @Test
    void a_closed_stock_of_two_mothers_fills_with_holes() {
        JsonNode all = ask("stock-forecast", Map.of("mothers", 2, "droneMothers", 2, "generations", 8, "runs", 100))
                .json().path("generations");
        assertThat(all.size()).isEqualTo(9);
        assertThat(all.get(8).path("solid").path("likely").asDouble())
                .isLessThan(all.get(0).path("solid").path("likely").asDouble() - 0.03);
    }

    @Test
    void too_little_to_judge_is_told_instead_of_a_number() {
        JsonNode merit = ask("merit", Map.of("queens", SISTERS, "trait", "CROP", "scores",
                List.of(Map.of("queen", "a", "value", 4, "year", 2026)))).json().path("merit");
        assertThat(merit.path("way").asString()).isEqualTo("TOO_LITTLE");
        assertThat(merit.path("queens").size()).isZero();
    }

    @Test
    void breeders_keep_their_bounds_or_say_what_stands_in_the_way() {
        List<Map<String, Object>> queens = new ArrayList<>();
        List<Map<String, Object>> candidates = new ArrayList<>();
        for (int queen = 0; queen < 5; queen++) {
            queens.add(Map.of("id", "q" + queen));
            candidates.add(Map.of("queen", "q" + queen, "merit", queen, "reliability", 0.5));
        }
        JsonNode found = ask("breeders", Map.of("queens", queens, "candidates", candidates, "daughters", 60, "kinship",
                0.2)).json().path("found");
        assertThat(found.path("chosen").valueStream().mapToInt(one -> one.path("daughters").asInt()).sum())
                .isEqualTo(60);
        assertThat(found.path("kinship").asDouble()).isLessThanOrEqualTo(0.2005);
        assertThat(found.path("gap").asDouble()).isZero();
        assertThat(ask("breeders", Map.of("queens", queens, "candidates", candidates, "daughters", 60, "kinship", 0.05))
                .json().path("why").asString()).contains("allow more kinship");
    }

    @Test
    void requeening_says_what_was_assumed() {
        JsonNode answer = ask("requeening", Map.of("day", "2026-06-20", "policy", "EVERY_YEAR", "colonies",
                List.of(Map.of("code", "H 1", "born", 2025), Map.of("code", "H 2")))).json();
        assertThat(answer.path("colonies").get(0).path("requeening").path("action").asString()).isEqualTo("AFTER_FLOW");
        assertThat(answer.path("colonies").get(1).path("requeening").path("action").asString()).isEqualTo("WATCH");
        assertThat(answer.path("wanted").asInt()).isEqualTo(2);
        assertThat(answer.path("assumed").toString()).contains("H 2");
    }
}
