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
import vividcrown.server.journal.DeedJson;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** A split from the plan to the last look, over the API: gates, what the record knows afterwards, what is carried. */
@ExtendWith(Application.class)
class SplitMakingTest {

    private final Application.Running application;
    private Application.Demo demo;
    private Client owner;
    private LocalDate today;

    SplitMakingTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        demo = application.demo();
        owner = application.signedIn(demo.ownerEmail());
        today = LocalDate.parse(owner.get("/api/v1/session").json().path("today").asString());
    }

    private JsonNode plan(Object... parts) {
        Map<String, Object> ask = deed("", parts);
        ask.remove("kind");
        Client.Answer answer = owner.post("/api/v1/splits/plan", ask);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private JsonNode cellNucs() {
        return plan("recipe", "CELL_NUC", "most", 2);
    }

    private UUID begun(JsonNode plan) {
        UUID split = UUID.randomUUID();
        Client.Answer answer = tell(deed("SPLIT_BEGUN", "split", split, "sheet", plan.path("sheet")));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return split;
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

    private JsonNode making(UUID split) {
        return owner.get("/api/v1/splits/making/" + split).json();
    }

    private JsonNode step(UUID split, String kind, int which) {
        return making(split).path("steps").valueStream().filter(one -> one.path("kind").asString().equals(kind))
                .skip(which).findFirst().orElseThrow();
    }

    private Client.Answer done(UUID split, JsonNode step, String how) {
        List<Object> deeds = new ArrayList<>();
        deeds.add(deed("SPLIT_STEP_DONE", "split", split, "step", step.path("key").asString(), "how", how));
        step.path("choices").valueStream().filter(one -> one.path("how").asString().equals(how))
                .flatMap(one -> one.path("deeds").valueStream()).forEach(deeds::add);
        return tell(deeds.toArray());
    }

    /** Each step in its order, as the gates let it be done. */
    private void make(UUID split, String found, String frames) {
        int steps = making(split).path("steps").size();
        for (int at = 0; at < steps; at++) {
            JsonNode step = making(split).path("steps").get(at);
            String how = switch (step.path("kind").asString()) {
                case "FIND" -> found;
                case "FRAME" -> frames;
                case "SHAKE" -> frames.equals("DONE") ? "DONE" : "SEARCHED";
                default -> "DONE";
            };
            Client.Answer answer = done(split, step, how);
            assertThat(answer.status()).as("%s: %s", step.path("key"), answer.text()).isEqualTo(200);
        }
    }

    private JsonNode hive(String code) {
        return owner.get("/api/v1/hives").json().valueStream().filter(one -> one.path("code").asString().equals(code))
                .findFirst().orElseThrow();
    }

    private double inStore(String thing) {
        return owner.get("/api/v1/store").json().path("lots").valueStream()
                .filter(one -> one.path("thing").asString().equals(thing)).findFirst().orElseThrow().path("count")
                .asDouble(Double.NaN);
    }

    private List<JsonNode> stops() {
        return owner.get("/api/v1/round").json().path("yards").valueStream()
                .flatMap(yard -> yard.path("stops").valueStream()).filter(stop -> stop.has("split")).toList();
    }

    @Test
    void a_plan_taken_to_the_yard_is_on_the_round_with_what_to_carry() {
        UUID split = begun(cellNucs());
        assertThat(stops()).singleElement().satisfies(stop -> {
            assertThat(stop.path("job").asString()).isEqualTo("MAKE_SPLIT");
            assertThat(stop.path("subjectKind").asString()).isEqualTo("SPLIT");
            assertThat(stop.path("split").asString()).isEqualTo(split.toString());
        });
        JsonNode carry = owner.get("/api/v1/round").json().path("carry");
        assertThat(carry.path("NUC_BOXES").asInt()).isGreaterThanOrEqualTo(2);
        assertThat(carry.path("STRAPS").asInt()).isEqualTo(2);
        assertThat(tell(deed("SPLIT_DROPPED", "split", split)).status()).isEqualTo(200);
        assertThat(stops()).isEmpty();
        assertThat(owner.get("/api/v1/splits/making").json().size()).isZero();
    }

    @Test
    void nothing_leaves_before_the_queen_was_looked_for_and_what_was_done_all_the_same_is_kept_with_a_flag() {
        UUID split = begun(cellNucs());
        done(split, step(split, "SET_UP", 0), "DONE");
        done(split, step(split, "SET_UP", 1), "DONE");
        JsonNode frame = step(split, "FRAME", 0);
        assertThat(frame.path("gate").asString()).isEqualTo("FIND_HER_FIRST");
        Client.Answer refused = done(split, frame, "DONE");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.findings()).singleElement().asString().contains("looked for the queen");
        done(split, step(split, "FIND", 0), "SEEN_STAYS");
        assertThat(step(split, "FRAME", 0).path("gate").asString()).isEqualTo("OPEN");
        assertThat(done(split, step(split, "FRAME", 0), "DONE").status()).isEqualTo(200);
    }

    /** Common practice: a frame that was set aside is back before the lid is on, and she walks; caged she stays where she is. */
    @Test
    void what_was_seen_of_her_yesterday_opens_nothing_today_unless_she_is_caged() {
        UUID split = begun(cellNucs());
        String find = step(split, "FIND", 0).path("key").asString();
        for (String how : List.of("SEEN_STAYS", "IN_HAND")) {
            assertThat(owner.post("/api/v1/journal", Map.of("entries", List.of(entry(today.minusDays(1),
                    deed("SPLIT_STEP_DONE", "split", split, "step", find, "how", how))))).status()).isEqualTo(200);
            assertThat(step(split, "FRAME", 0).path("gate").asString()).as(how)
                    .isEqualTo(how.equals("IN_HAND") ? "OPEN" : "FIND_HER_FIRST");
            assertThat(step(split, "FIND", 0).path("how").asString("")).as(how)
                    .isEqualTo(how.equals("IN_HAND") ? "IN_HAND" : "");
        }
    }

    @Test
    void what_was_made_stands_in_the_record_hives_frames_store_and_judgement() {
        JsonNode page = cellNucs();
        String giver = page.path("sheet").path("givers").get(0).path("code").asString();
        JsonNode donor = page.path("plan").path("donors").valueStream()
                .filter(one -> one.path("code").asString().equals(giver)).findFirst().orElseThrow();
        assertThat(donor.path("keeps").asInt()).isLessThan(donor.path("ofBrood").asInt());
        assertThat(
                tell(deed("STORE_COUNTED", "operation", demo.operation(), "thing", "NUC_BOXES", "count", 9)).status())
                .isEqualTo(200);
        UUID split = begun(page);
        make(split, "SEEN_STAYS", "DONE");
        JsonNode made = making(split);
        assertThat(made.path("made").asBoolean()).isTrue();
        JsonNode unit = made.path("units").get(0);
        String code = unit.path("code").asString();
        assertThat(inStore("NUC_BOXES")).isEqualTo(7);
        JsonNode colony = owner.get("/api/v1/colonies/" + unit.path("hive").asString()).json();
        assertThat(colony.path("verdict").path("who").asString()).contains("No queen");
        assertThat(hive(code).path("purpose").asString()).isEqualTo("NUC");
        // a frame that was given away is not given again
        JsonNode again = plan("recipe", "CELL_NUC");
        int left = again.path("units").valueStream().filter(one -> one.path("code").asString().equals(giver))
                .findFirst().orElseThrow().path("broodFrames").asInt();
        assertThat(left).isEqualTo(donor.path("keeps").asInt());
        // and the new unit is known by what came into it, though nobody has read it
        JsonNode nucs = owner.get("/api/v1/splits/equalise?brood=1&bees=2").json().path("units");
        assertThat(nucs.valueStream().filter(one -> one.path("code").asString().equals(code)).findFirst().orElseThrow()
                .path("broodFrames").asInt()).isPositive();
    }

    @Test
    void ripe_cells_at_hand_are_each_meant_for_one_unit() {
        UUID split = begun(cellNucs());
        make(split, "SEEN_STAYS", "DONE");
        List<String> meant = making(split).path("units").valueStream()
                .flatMap(unit -> unit.path("ahead").valueStream())
                .filter(one -> one.path("key").asString().startsWith("give-cell "))
                .map(one -> one.path("choices").get(0).path("deeds").get(0).path("queen").asString()).toList();
        assertThat(meant).hasSize(2).doesNotHaveDuplicates().doesNotContain("");
    }

    @Test
    void a_unit_that_may_hold_the_queen_gets_nothing_before_the_look() {
        UUID split = begun(cellNucs());
        make(split, "NOT_FOUND", "UNSEARCHED");
        JsonNode unit = making(split).path("units").get(0);
        assertThat(unit.path("mayHoldHer").asBoolean()).isTrue();
        assertThat(unit.path("ahead").valueStream().map(one -> one.path("key").asString()))
                .anyMatch(one -> one.startsWith("may-hold-her ")).noneMatch(one -> one.startsWith("give-cell "));
        assertThat(making(split).path("still").size()).isPositive();
        String key = unit.path("ahead").valueStream()
                .filter(one -> one.path("key").asString().startsWith("may-hold-her ")).findFirst().orElseThrow()
                .path("key").asString();
        assertThat(tell(deed("SPLIT_STEP_DONE", "split", split, "step", key, "how", "NOT_FOUND")).status())
                .isEqualTo(200);
        assertThat(making(split).path("units").get(0).path("ahead").valueStream()
                .map(one -> one.path("key").asString())).anyMatch(one -> one.startsWith("give-cell "));
    }

    @Test
    void the_old_queens_nuc_takes_her_record_along_and_begins_the_swarm_path_of_her_hive() {
        JsonNode page = plan("recipe", "OLD_QUEEN_NUC", "most", 1);
        UUID split = begun(page);
        make(split, "IN_HAND", "DONE");
        String giver = page.path("sheet").path("givers").get(0).path("hive").asString();
        JsonNode left = owner.get("/api/v1/colonies/" + giver).json();
        assertThat(left.path("swarm").path("begun").asString()).isEqualTo(today.toString());
        String nuc = making(split).path("units").get(0).path("hive").asString();
        assertThat(owner.get("/api/v1/colonies/" + nuc).json().path("verdict").path("who").asString())
                .contains("laying queen");
    }

    @Test
    void sheets_come_as_pdf_on_either_paper() {
        UUID split = begun(cellNucs());
        for (String paper : List.of("A4", "LETTER")) {
            assertThat(owner.get("/api/v1/splits/making/" + split + "/sheet.pdf?paper=" + paper).text())
                    .startsWith("%PDF-");
        }
        String yard = owner.get("/api/v1/yards").json().get(0).path("id").asString();
        assertThat(owner.get("/api/v1/yards/" + yard + "/sheet.pdf").text()).startsWith("%PDF-");
        assertThat(owner.get("/api/v1/splits/making/" + UUID.randomUUID() + "/sheet.pdf").status()).isEqualTo(404);
        assertThat(owner.get("/api/v1/yards/" + yard + "/sheet.pdf?paper=SKIN").status()).isEqualTo(400);
    }

    @Test
    void what_cannot_be_is_refused_with_the_way_out() {
        JsonNode page = cellNucs();
        UUID split = begun(page);
        done(split, step(split, "SET_UP", 0), "DONE");
        assertThat(tell(deed("SPLIT_BEGUN", "split", UUID.randomUUID(), "sheet", page.path("sheet"))).findings())
                .hasSize(2).anyMatch(one -> one.contains("stands already: call the new one otherwise"))
                .anyMatch(one -> one.contains("Another split is to make a unit called"));
        assertThat(tell(deed("SPLIT_STEP_DONE", "split", split, "step", "fly away", "how", "DONE")).findings())
                .singleElement().asString().contains("take one of its sheet");
        assertThat(tell(deed("SPLIT_STEP_DONE", "split", UUID.randomUUID(), "step", "load", "how", "DONE")).status())
                .isEqualTo(422);
        assertThat(tell(deed("STORE_CHANGED", "operation", demo.operation(), "thing", "STRAPS", "by", 0, "why", "lost"))
                .findings()).singleElement().asString().contains("leave it out");
        assertThat(owner.get("/api/v1/splits/boost?unit=" + hive("H 5").path("id").asString()).findings())
                .singleElement().asString().contains("read it first");
        String h1 = hive("H 1").path("id").asString();
        assertThat(owner.get("/api/v1/splits/unite?one=" + h1 + "&other=" + h1).findings()).singleElement().asString()
                .contains("choose another");
    }

    @Test
    void a_recipe_of_ones_own_is_kept_and_planned_with() {
        JsonNode settings = owner.get("/api/v1/settings").json().path("settings");
        JsonNode trade = owner.get("/api/v1/splits/recipes").json().path("trade").valueStream()
                .filter(one -> one.path("kind").asString().equals("CELL_NUC")).findFirst().orElseThrow();
        String own = trade.toString().replace("\"slots\":5", "\"slots\":6");
        String changed = settings.toString().replace("\"recipes\":[]",
                "\"recipes\":[{\"name\":\"Six frames\",\"recipe\":" + own + "}]");
        assertThat(owner.tell("SETTINGS_CHANGED", "operation", demo.operation(), "settings",
                DeedJson.MAPPER.readTree(changed)).status()).isEqualTo(200);
        JsonNode page = plan("recipe", "CELL_NUC", "own", "Six frames", "most", 1);
        assertThat(page.path("sheet").path("units").get(0).path("slots").asInt()).isEqualTo(6);
        assertThat(owner.post("/api/v1/splits/plan", Map.of("recipe", "CELL_NUC", "own", "Seven")).findings())
                .singleElement().asString().contains("no recipe called Seven");
    }

    @Test
    void the_store_limits_what_is_planned() {
        tell(deed("STORE_COUNTED", "operation", demo.operation(), "thing", "NUC_BOXES", "count", 1));
        JsonNode page = plan("recipe", "CELL_NUC");
        assertThat(page.path("inStock").path("boxes").asInt()).isEqualTo(1);
        assertThat(page.path("plan").path("newUnits").size()).isEqualTo(1);
        // whoever says another number is believed
        assertThat(plan("recipe", "CELL_NUC", "boxes", 9).path("plan").path("newUnits").size()).isGreaterThan(1);
    }

    @Test
    void an_answer_says_where_the_weather_since_the_readings_is_from() {
        String yard = owner.get("/api/v1/colonies/" + hive("H 5").path("id").asString()).json().path("colony")
                .path("yard").asString();
        JsonNode with = owner.get("/api/v1/splits/equalise?brood=1&bees=2&yard=" + yard).json().path("with");
        assertThat(with.path("daysBy").asString()).isEqualTo("STATION");
        Client.Answer off = owner.post("/api/v1/journal", Map.of("entries",
                List.of(entry(today, deed("YARD_STATION_SWITCHED", "yard", yard, "on", false)))));
        assertThat(off.status()).as(off.text()).isEqualTo(200);
        assertThat(owner.get("/api/v1/splits/equalise?brood=1&bees=2&yard=" + yard).json().path("with").path("daysBy")
                .asString()).isEqualTo("CLIMATE");
    }
}
