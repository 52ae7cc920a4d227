package vividcrown.server.split;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.server.support.Client.deed;
import static vividcrown.server.support.Client.entry;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Strength that is moved, and hives that are united, from the plan to the record (common practice). */
@ExtendWith(Application.class)
class MoveSheetTest {

    private final Application.Running application;
    private Client owner;
    private LocalDate today;

    MoveSheetTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        owner = application.signedIn(application.demo().ownerEmail());
        today = LocalDate.parse(owner.get("/api/v1/session").json().path("today").asString());
    }

    private Client.Answer tell(Object... deeds) {
        List<Map<String, Object>> entries = new ArrayList<>();
        for (Object deed : deeds) {
            @SuppressWarnings("unchecked")
            Map<String, Object> one = deed instanceof JsonNode node
                    ? JsonMapper.shared().convertValue(node, Map.class)
                    : (Map<String, Object>) deed;
            entries.add(entry(today, one));
        }
        return owner.post("/api/v1/journal", Map.of("entries", entries));
    }

    private UUID begun(JsonNode sheet) {
        UUID id = UUID.randomUUID();
        Client.Answer answer = tell(deed("MOVES_BEGUN", "split", id, "sheet", sheet));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return id;
    }

    private JsonNode sheet(UUID id) {
        return owner.get("/api/v1/splits/making/" + id).json();
    }

    private JsonNode step(UUID id, String kind) {
        return sheet(id).path("steps").valueStream().filter(one -> one.path("kind").asString().equals(kind)).findFirst()
                .orElseThrow();
    }

    private Client.Answer done(UUID id, JsonNode step, String how) {
        List<Object> deeds = new ArrayList<>();
        deeds.add(deed("SPLIT_STEP_DONE", "split", id, "step", step.path("key").asString(), "how", how));
        step.path("choices").valueStream().filter(one -> one.path("how").asString().equals(how))
                .flatMap(one -> one.path("deeds").valueStream()).forEach(deeds::add);
        return tell(deeds.toArray());
    }

    private void all(UUID id, Map<String, String> hows) {
        int steps = sheet(id).path("steps").size();
        for (int at = 0; at < steps; at++) {
            JsonNode step = sheet(id).path("steps").get(at);
            Client.Answer answer = done(id, step, hows.getOrDefault(step.path("kind").asString(), "DONE"));
            assertThat(answer.status()).as("%s: %s", step.path("key"), answer.text()).isEqualTo(200);
        }
    }

    private String hive(String code) {
        return owner.get("/api/v1/hives").json().valueStream().filter(one -> one.path("code").asString().equals(code))
                .findFirst().orElseThrow().path("id").asString();
    }

    private JsonNode stack(String hive) {
        return owner.get("/api/v1/colonies/" + hive).json().path("stack");
    }

    private JsonNode equalise() {
        return owner.get("/api/v1/splits/equalise?brood=2&bees=2").json();
    }

    private List<String> jobs(UUID id) {
        return owner.get("/api/v1/round").json().path("yards").valueStream()
                .flatMap(yard -> yard.path("stops").valueStream())
                .filter(stop -> stop.path("split").asString("").equals(id.toString()))
                .map(stop -> stop.path("job").asString()).toList();
    }

    @Test
    void an_equalising_plan_is_on_the_round_and_the_frame_hangs_where_it_was_meant_with_the_nest_together() {
        UUID id = begun(equalise().path("sheet"));
        assertThat(jobs(id)).containsExactly("MAKE_SPLIT");
        assertThat(done(id, step(id, "FRAME"), "DONE").status()).isEqualTo(409);
        all(id, Map.of("FIND", "SEEN_STAYS"));
        JsonNode gift = equalise().path("sheet");
        assertThat(gift.isMissingNode()).as("what was given is not asked for again").isTrue();
        assertThat(sheet(id).path("made").asBoolean()).isTrue();
        JsonNode box = stack(hive("K 2")).get(0);
        List<Integer> slots = box.path("frames").valueStream().map(one -> one.path("slot").asInt()).toList();
        assertThat(slots).doesNotHaveDuplicates().hasSizeLessThanOrEqualTo(box.path("slots").asInt());
        assertThat(stack(hive("K 1")).get(0).path("frames").size()).as("comb came into the gap")
                .isEqualTo(box.path("frames").size());
        assertThat(owner.get("/api/v1/splits/making/" + id + "/sheet.pdf").text()).startsWith("%PDF-");
    }

    @Test
    void frames_that_a_sheet_is_to_take_are_taken_by_no_split() {
        JsonNode sheet = owner.get("/api/v1/splits/boost?unit=" + hive("K 3")).json().path("sheets").get(0)
                .path("sheet");
        begun(sheet);
        JsonNode goes = sheet.path("gifts").get(0).path("frame");
        JsonNode split = owner.post("/api/v1/splits/plan", Map.of("recipe", "WALK_AWAY")).json();
        assertThat(split.path("framesMeant").asInt()).isEqualTo(sheet.path("gifts").size());
        assertThat(split.path("sheet").toString()).doesNotContain(goes.path("frame").asString());
    }

    @Test
    void a_boost_asks_where_the_units_own_queen_is_and_tells_what_went_unsearched() {
        JsonNode page = owner.get("/api/v1/splits/boost?unit=" + hive("K 2")).json();
        UUID id = begun(page.path("sheets").get(0).path("sheet"));
        assertThat(sheet(id).path("steps").get(0).path("kind").asString()).isEqualTo("OWN_QUEEN");
        all(id, Map.of("OWN_QUEEN", "SEEN_STAYS", "FIND", "NOT_FOUND", "FRAME", "UNSEARCHED"));
        assertThat(sheet(id).path("still").valueStream().map(one -> one.path("key").asString()))
                .contains("two-queens K 2", "queen K 2", "emerged K 2");
        assertThat(jobs(id)).contains("SPLIT_AFTER_TWO_QUEENS");
    }

    @Test
    void over_paper_the_poorer_queen_is_out_first_and_then_the_two_are_one_in_the_record() {
        JsonNode page = owner.get("/api/v1/splits/unite?one=%s&other=%s&metres=2".formatted(hive("K 1"), hive("K 2")))
                .json();
        String keeps = hive(page.path("plan").path("keeps").asString());
        String gives = hive(page.path("plan").path("gives").asString());
        int before = stack(keeps).size();
        UUID id = begun(page.path("sheets").get(0).path("sheet"));
        assertThat(step(id, "JOIN").path("gate").asString()).isEqualTo("NO_QUEEN_FIRST");
        assertThat(done(id, step(id, "JOIN"), "DONE").status()).isEqualTo(409);
        assertThat(done(id, step(id, "TAKE_OUT"), "NOT_FOUND").status()).isEqualTo(200);
        assertThat(done(id, step(id, "JOIN"), "DONE").status()).isEqualTo(409);
        assertThat(done(id, step(id, "TAKE_OUT"), "KILLED").status()).isEqualTo(200);
        Client.Answer joined = done(id, step(id, "JOIN"), "DONE");
        assertThat(joined.status()).as(joined.text()).isEqualTo(200);
        assertThat(stack(keeps).size()).isGreaterThan(before);
        assertThat(stack(keeps).valueStream().filter(box -> box.path("kind").asString().equals("BROOD")).toList())
                .hasSize(2).allSatisfy(box -> assertThat(box.path("frames").size()).isPositive());
        assertThat(owner.get("/api/v1/hives").json().valueStream().map(one -> one.path("id").asString()))
                .contains(keeps).doesNotContain(gives);
        assertThat(owner.get("/api/v1/colonies/" + keeps).json().path("verdict").path("who").asString())
                .contains("laying queen");
        assertThat(sheet(id).path("still").valueStream().map(one -> one.path("key").asString()))
                .containsExactly("paper " + page.path("plan").path("keeps").asString(),
                        "her-eggs " + page.path("plan").path("keeps").asString());
        assertThat(
                tell(deed("MOVES_BEGUN", "split", UUID.randomUUID(), "sheet", page.path("sheets").get(0).path("sheet")))
                        .findings())
                .singleElement().asString().contains("is no more");
    }

    @Test
    void a_suspect_neither_gives_nor_gets_nor_is_united() {
        JsonNode page = equalise();
        UUID id = begun(page.path("sheet"));
        tell(deed("HIVE_READ", "hive", hive("K 2"), "notes",
                Map.of("sides", List.of(Map.of("box", 1, "slot", 2, "side", "NEAR", "signs", List.of("ROPY"))))));
        done(id, step(id, "FIND"), "SEEN_STAYS");
        Client.Answer refused = done(id, step(id, "FRAME"), "DONE");
        assertThat(refused.status()).as(refused.text()).isEqualTo(422);
        assertThat(refused.findings()).anyMatch(one -> one.contains("K 2"));
    }

    /** Common practice: a frame that was set aside goes back before the lid is on. */
    @Test
    void a_queen_seen_yesterday_is_looked_for_again_before_a_frame_leaves_today() {
        UUID id = begun(equalise().path("sheet"));
        String find = step(id, "FIND").path("key").asString();
        Client.Answer seen = owner.post("/api/v1/journal", Map.of("entries", List.of(entry(today.minusDays(1),
                deed("SPLIT_STEP_DONE", "split", id, "step", find, "how", "SEEN_STAYS")))));
        assertThat(seen.status()).as(seen.text()).isEqualTo(200);
        assertThat(step(id, "FIND").path("how").isMissingNode()).isTrue();
        assertThat(step(id, "FRAME").path("gate").asString()).isEqualTo("FIND_HER_FIRST");
        assertThat(done(id, step(id, "FRAME"), "DONE").status()).isEqualTo(409);
        assertThat(done(id, step(id, "FIND"), "SEEN_STAYS").status()).isEqualTo(200);
        assertThat(done(id, step(id, "FRAME"), "DONE").status()).isEqualTo(200);
    }
}
