package vividcrown.server.trainer;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.core.trainer.Skill;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** The trainer over the API: exercises by a stranger, what a person practised, and who may see it. */
@ExtendWith(Application.class)
class TrainerTest {

    private final Application.Running application;
    private final Client stranger;
    private Application.Demo demo;
    private Client owner;

    TrainerTest(Application.Running application) {
        this.application = application;
        this.stranger = new Client(application.address());
    }

    @BeforeEach
    void signIn() {
        demo = application.demo();
        owner = application.signedIn(demo.ownerEmail());
    }

    private static Map<String, Object> exercise(String skill, int level, long seed) {
        return Map.of("skill", skill, "level", level, "season", "SUMMER", "seed", seed);
    }

    private static Map<String, Object> at(String kind, int slot, String side) {
        return kind.equals("COMB")
                ? Map.of("place", Map.of("slot", slot, "side", side))
                : Map.of("place", Map.of("kind", kind));
    }

    private Client.Answer look(Map<String, Object> exercise, List<Map<String, Object>> acts) {
        return stranger.post("/api/v1/reckon/trainer/look", Map.of("exercise", exercise, "acts", acts));
    }

    private Client.Answer answers(String id, Map<String, Object> exercise, String answer, String sureness) {
        return owner.post("/api/v1/trainer/done",
                Map.of("id", id, "exercise", exercise, "answer", answer, "sureness", sureness, "seconds", 12));
    }

    private static JsonNode task(JsonNode page, String task) {
        for (JsonNode one : page.path("tasks")) {
            if (one.path("task").asString().equals(task)) {
                return one;
            }
        }
        throw new AssertionError("no task " + task);
    }

    @Test
    void every_exercise_is_set_at_every_level() {
        for (Skill skill : Skill.values()) {
            for (int level = 1; level <= 3; level++) {
                JsonNode set = stranger.post("/api/v1/reckon/trainer/exercise", exercise(skill.name(), level, 5))
                        .json();
                assertThat(set.path("task").asString()).isEqualTo(skill.task().name());
                assertThat(set.has("hive")).isNotEqualTo(set.has("question"));
                if (set.has("question")) {
                    Set<String> answers = new TreeSet<>();
                    set.path("question").path("answers").forEach(one -> answers.add(one.path("skill").asString()));
                    assertThat(answers).contains(skill.name()).hasSize(Skill.of(skill.task()).size());
                }
            }
        }
    }

    @Test
    void a_side_is_shown_cell_by_cell_and_in_words_and_she_on_it_if_she_is() {
        Map<String, Object> hive = exercise("FIND_LAYING", 1, 3);
        int seen = 0;
        List<Map<String, Object>> acts = new ArrayList<>();
        for (int slot = 1; slot <= 5; slot++) {
            for (String side : List.of("NEAR", "FAR")) {
                acts.add(at("COMB", slot, side));
                JsonNode look = look(hive, acts).json();
                assertThat(look.path("rows")).hasSize(22).allSatisfy(row -> assertThat(row.asString()).hasSize(38));
                assertThat(look.path("said")).isNotEmpty();
                seen += look.has("queen") ? 1 : 0;
                assertThat(look.path("noticed").asBoolean() && !look.has("queen")).isFalse();
            }
        }
        assertThat(seen).as("she is somewhere, and hardly walks").isBetween(0, 3);
        acts.add(at("LID", 0, ""));
        assertThat(look(hive, acts).json().has("rows")).isFalse();
    }

    @Test
    void a_search_is_scored_step_by_step_and_kept_once() {
        Map<String, Object> hive = exercise("FIND_LAYING", 2, 9);
        List<Map<String, Object>> acts = List.of(at("COMB", 1, "NEAR"), at("COMB", 1, "FAR"), at("COMB", 2, "NEAR"),
                at("COMB", 2, "FAR"));
        String id = UUID.randomUUID().toString();
        Map<String, Object> done = Map.of("id", id, "exercise", hive, "acts", acts, "seconds", 60);
        JsonNode first = owner.post("/api/v1/trainer/done", done).json();
        assertThat(first.path("right").asBoolean()).isFalse();
        assertThat(first.path("search").path("lifts").asInt()).isEqualTo(2);
        JsonNode step = first.path("search").path("steps").get(1);
        assertThat(step.path("chance").asDouble()).isLessThan(step.path("betterChance").asDouble());
        assertThat(step.path("better").asString()).contains("Lift comb");
        assertThat(step.path("odds")).hasSize(10);
        // the same again: a phone that did not hear the answer
        assertThat(owner.post("/api/v1/trainer/done", done).json()).isEqualTo(first);
        assertThat(task(owner.get("/api/v1/trainer").json(), "FIND").path("points")).hasSize(1);
        // another exercise under the same id is no repetition
        Map<String, Object> other = new HashMap<>(done);
        other.put("exercise", exercise("FIND_OLD", 2, 9));
        assertThat(owner.post("/api/v1/trainer/done", other).status()).isEqualTo(422);
    }

    @Test
    void what_was_answered_wrongly_is_weak_and_comes_again() {
        JsonNode wrong = answers(UUID.randomUUID().toString(), exercise("SHOT_BROOD", 1, 2), "BETWEEN_CYCLES", "SURE")
                .json();
        assertThat(wrong.path("right").asBoolean()).isFalse();
        assertThat(wrong.path("truth").asString()).contains("Shot brood");
        assertThat(wrong.path("why").asString()).contains("gaps");
        JsonNode right = answers(UUID.randomUUID().toString(), exercise("DRONE_LAYER", 1, 2), "DRONE_LAYER", "SURE")
                .json();
        assertThat(right.path("points").asInt()).isEqualTo(100);
        JsonNode page = owner.get("/api/v1/trainer").json();
        assertThat(page.path("weak")).hasSize(1);
        assertThat(page.path("weak").get(0).path("skill").asString()).isEqualTo("SHOT_BROOD");
        JsonNode next = owner.post("/api/v1/trainer/exercises", Map.of("task", "PATTERN")).json();
        assertThat(next.path("exercise").path("skill").asString()).isEqualTo("SHOT_BROOD");
        assertThat(task(page, "PATTERN").path("points")).hasSize(2);
    }

    @Test
    void nobody_is_compared_who_does_not_wish_it() {
        Client crew = application.signedIn(demo.crewEmail());
        answers(UUID.randomUUID().toString(), exercise("CAGE_HOSTILE", 1, 2), "CAGE_HOSTILE", "SURE");
        crew.put("/api/v1/trainer/shown", Map.of("shown", true));
        JsonNode seen = crew.get("/api/v1/trainer").json();
        assertThat(seen.path("shown").asBoolean()).isTrue();
        assertThat(seen.path("crew")).as("the owner does not wish it").isEmpty();
        assertThat(owner.get("/api/v1/trainer").json().path("crew")).as("who hides sees nobody").isEmpty();

        owner.put("/api/v1/trainer/shown", Map.of("shown", true));
        owner.put("/api/v1/trainer/shown", Map.of("shown", true));
        seen = crew.get("/api/v1/trainer").json();
        assertThat(seen.path("crew")).hasSize(1);
        assertThat(task(seen.path("crew").get(0), "CAGE").path("points")).hasSize(1);

        owner.put("/api/v1/trainer/shown", Map.of("shown", false));
        assertThat(crew.get("/api/v1/trainer").json().path("crew")).isEmpty();
        // what was practised is in no record that others read
        assertThat(owner.get("/api/v1/exports/archive.json").text()).doesNotContain("CAGE_HOSTILE");
    }

    @Test
    void somebody_elses_exercise_is_not_overwritten_and_a_stranger_keeps_nothing() {
        String id = UUID.randomUUID().toString();
        answers(id, exercise("CAGE_BALLED", 1, 2), "CAGE_BALLED", "SURE");
        Client crew = application.signedIn(demo.crewEmail());
        assertThat(crew.post("/api/v1/trainer/done", Map.of("id", id, "exercise", exercise("CAGE_BALLED", 1, 2),
                "answer", "CAGE_FRIENDLY", "seconds", 3)).status()).isEqualTo(422);
        Client other = application.signedIn(application.demo().ownerEmail());
        assertThat(other.post("/api/v1/trainer/done", Map.of("id", id, "exercise", exercise("CAGE_BALLED", 1, 2),
                "answer", "CAGE_BALLED", "seconds", 3)).status()).as("another operation's ids say nothing")
                .isEqualTo(200);
        assertThat(stranger.get("/api/v1/trainer").status()).isEqualTo(401);
        assertThat(task(owner.get("/api/v1/trainer").json(), "CAGE").path("points")).hasSize(1);
    }

    @Test
    void the_same_sent_ten_times_at_once_counts_once() {
        String id = UUID.randomUUID().toString();
        List<Integer> statuses = IntStream.range(0, 10).parallel()
                .map(_ -> answers(id, exercise("CAGE_BALLED", 1, 2), "CAGE_BALLED", "SURE").status()).boxed().toList();
        assertThat(statuses).containsOnly(200);
        assertThat(task(owner.get("/api/v1/trainer").json(), "CAGE").path("points")).hasSize(1);
    }

    @Test
    void bad_input_gets_a_sentence() {
        Map<String, Object> hive = exercise("FIND_LAYING", 1, 3);
        assertThat(look(hive, List.of()).status()).isEqualTo(422);
        assertThat(look(hive, List.of(at("COMB", 9, "NEAR"))).text()).contains("comb 9");
        assertThat(look(exercise("SHOT_BROOD", 1, 3), List.of(at("COMB", 1, "NEAR"))).text())
                .contains("Ask for the question");
        assertThat(look(exercise("FIND_LAYING", 4, 3), List.of(at("COMB", 1, "NEAR"))).text())
                .contains("levels 1 to 3");
        assertThat(look(exercise("FIND_LAYING", 1, -3), List.of(at("COMB", 1, "NEAR"))).status()).isEqualTo(422);
        Map<String, Object> found = new HashMap<>(at("FLOOR", 0, ""));
        found.put("kind", "FOUND");
        assertThat(stranger.post("/api/v1/reckon/trainer/score", Map.of("exercise", hive, "acts", List.of(found)))
                .text()).contains("She was not there");
        assertThat(answers(UUID.randomUUID().toString(), exercise("SHOT_BROOD", 1, 2), "CAGE_BALLED", "SURE").status())
                .as("an answer to another question").isEqualTo(422);
        assertThat(owner.post("/api/v1/trainer/exercises", Map.of("task", "CAGE", "skill", "SHOT_BROOD")).status())
                .isEqualTo(422);
        assertThat(owner.post("/api/v1/trainer/done", Map.of("id", UUID.randomUUID().toString(), "exercise", hive,
                "seconds", 3)).text()).contains("Say what was looked at");
    }
}
