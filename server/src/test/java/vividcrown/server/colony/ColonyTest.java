package vividcrown.server.colony;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

@ExtendWith(Application.class)
class ColonyTest {

    private final Application.Running application;
    private Application.Demo demo;
    private Client owner;

    ColonyTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        demo = application.demo();
        owner = application.signedIn(demo.ownerEmail());
    }

    private JsonNode line(String code) {
        for (JsonNode line : owner.get("/api/v1/colonies").json()) {
            if (line.path("code").asString().equals(code)) {
                return line;
            }
        }
        throw new AssertionError("no colony " + code);
    }

    private String id(String code) {
        return line(code).path("id").asString();
    }

    private JsonNode page(String code) {
        return owner.get("/api/v1/colonies/" + id(code)).json();
    }

    private void later(int days) {
        for (int day = 0; day < days; day++) {
            owner.post("/api/v1/demo/step", Map.of());
        }
    }

    private Client.Answer reads(String code, String day, Map<String, Object> reading) {
        return owner.tell(LocalDate.parse(day), "HIVE_READ", "hive", id(code), "notes", reading);
    }

    @Test
    void the_list_puts_those_that_need_a_decision_first() {
        JsonNode lines = owner.get("/api/v1/colonies").json();
        assertThat(lines).hasSize(12);
        double before = Double.MAX_VALUE;
        for (JsonNode line : lines) {
            assertThat(line.path("need").asDouble()).isLessThanOrEqualTo(before);
            before = line.path("need").asDouble();
        }
        assertThat(lines.get(0).path("code").asString()).isEqualTo("H 12");
        assertThat(lines.get(0).path("stop").asBoolean()).isTrue();
        assertThat(line("H 10").path("clash").asBoolean()).isTrue();
        assertThat(lines.get(11).path("leading").asString()).isEqualTo("LAYING_QUEEN");
        assertThat(line("H 5").path("leading").asString()).isEqualTo("LAYING_WORKERS");
        assertThat(line("H 7").path("leading").asString()).isEqualTo("DRONE_LAYER");
    }

    @Test
    void a_reading_changes_the_verdict_and_a_preview_records_nothing() {
        Map<String, Object> reading = Map.of("seen", List.of("EGGS_SINGLE", "SEALED_WORKER"));
        JsonNode preview = owner.post("/api/v1/colonies/" + id("H 6") + "/preview", reading).json().path("verdict");
        assertThat(preview.path("leading").asString()).isEqualTo("LAYING_QUEEN");
        assertThat(page("H 6").path("readings")).hasSize(1);
        assertThat(reads("H 6", "2026-06-09", reading).status()).isEqualTo(200);
        assertThat(page("H 6").path("readings")).hasSize(2);
        assertThat(line("H 6").path("leading").asString()).isEqualTo("LAYING_QUEEN");
    }

    @Test
    void choosing_an_action_writes_its_follow_ups_and_a_later_reading_answers_them() {
        Client.Answer chosen = owner.tell("ACTION_CHOSEN", "hive", id("H 6"), "action", "TEST_FRAME");
        assertThat(chosen.status()).as(chosen.text()).isEqualTo(200);
        assertThat(page("H 6").path("open").get(0).path("days").path("earliest").asString()).isEqualTo("2026-06-12");
        assertThat(owner.tell("ACTION_CHOSEN", "hive", id("H 6"), "action", "MARK_BOTH").findings()).singleElement()
                .asString().contains("not advised");
        for (int day = 0; day < 4; day++) {
            owner.post("/api/v1/demo/step", Map.of());
        }
        assertThat(stop("H 6").path("reasons").get(0).path("text").asString()).contains("queen cells on the test");
        reads("H 6", "2026-06-13", Map.of("absent", List.of("CELLS_ON_TEST_FRAME")));
        assertThat(page("H 6").path("open")).hasSize(1);
    }

    private JsonNode stop(String code) {
        for (JsonNode yard : owner.get("/api/v1/round").json().path("yards")) {
            for (JsonNode stop : yard.path("stops")) {
                if (stop.path("code").asString().equals(code)) {
                    return stop;
                }
            }
        }
        throw new AssertionError("no stop at " + code);
    }

    @Test
    void a_colony_not_read_for_weeks_in_the_swarm_season_is_overdue_on_the_round() {
        assertThat(stop("H 8").path("overdue").asBoolean()).isTrue();
        assertThat(stop("H 8").path("job").asString()).isEqualTo("READ_COLONY");
        assertThat(stop("H 8").path("subjectKind").asString()).isEqualTo("HIVE");
    }

    @Test
    void swarm_cells_bring_a_plan_of_the_school_asked_for() {
        JsonNode own = page("H 2").path("swarm");
        assertThat(own.path("rung").asString()).isEqualTo("ARTIFICIAL_SWARM");
        assertThat(own.path("school").asString()).isEqualTo("DESTROY_AND_RETURN");
        JsonNode other = owner.get("/api/v1/colonies/" + id("H 2") + "?school=LEAVE_ONE_NOW").json().path("swarm");
        assertThat(other.path("school").asString()).isEqualTo("LEAVE_ONE_NOW");
        assertThat(page("H 1").path("swarm").isMissingNode()).isTrue();
        owner.tell("HAPPENED", "hive", id("H 2"), "event", "QUEEN_REMOVED");
        JsonNode after = page("H 2").path("swarm");
        assertThat(after.path("begun").asString()).isEqualTo("2026-06-09");
        assertThat(after.path("steps").get(0).path("done").asString()).isEqualTo("2026-06-09");
        assertThat(after.path("returnVisit").path("earliest").asString()).isEqualTo("2026-06-16");
    }

    private Client.Answer steps(String code, String day, String step) {
        return owner.tell(LocalDate.parse(day), "SWARM_STEP_DONE", "hive", id(code), "step", step, "school",
                "DESTROY_AND_RETURN");
    }

    /** She sits in her cage as a brood stop, and they raise another: the round says so, the page cuts them, and her cage goes back. */
    @Test
    void cells_beside_a_caged_queen_are_cut_and_none_is_left_for_a_young_one() {
        assertThat(owner.tell(LocalDate.parse("2026-05-31"), "HAPPENED", "hive", id("H 8"), "event", "QUEEN_CAGED")
                .status()).isEqualTo(200);
        assertThat(reads("H 8", "2026-06-09", Map.of("seen", List.of("SEALED_WORKER"), "absent",
                List.of("EGGS", "YOUNG_LARVAE"), "cells",
                List.of(Map.of("look", "SEALED", "place", "AMONG_WORKER_BROOD", "count", 4)))).status()).isEqualTo(200);
        assertThat(stop("H 8").path("text").asString()).contains("a queen in her cage beside cells");
        JsonNode swarm = page("H 8").path("swarm");
        assertThat(swarm.path("rung").asString()).isEqualTo("BESIDE_HER");
        assertThat(swarm.path("steps").findValuesAsString("step")).startsWith("SEE_HER_CAGED", "SHAKE_AND_DESTROY",
                "CAGE_BACK").doesNotContain("RETURN_AND_REDUCE");
        assertThat(steps("H 8", "2026-06-09", "SEE_HER_CAGED").status()).isEqualTo(200);
        assertThat(steps("H 8", "2026-06-09", "SHAKE_AND_DESTROY").status()).isEqualTo(200);
        assertThat(stop("H 8").path("text").asString()).isEqualTo("Hang her cage back, closed");
    }

    /** Who is in there, whatever is under way: a caged queen gives no comb, and beside a laying one nobody is given. */
    @Test
    void splits_and_introductions_know_a_queen_beside_cells() {
        assertThat(line("H 2").path("leading").asString()).isEqualTo("CELLS");
        JsonNode beside = owner.get("/api/v1/introductions/plan?hive=" + id("H 2")).json();
        assertThat(beside.path("verdict").asString()).as(beside.toString()).isEqualTo("DO_NOT");
        assertThat(beside.path("refusals").toString()).contains("queen");
        assertThat(owner.tell(LocalDate.parse("2026-06-08"), "HAPPENED", "hive", id("H 1"), "event", "QUEEN_CAGED")
                .status()).isEqualTo(200);
        JsonNode splits = owner.post("/api/v1/splits/plan", Map.of("recipe", "WALK_AWAY", "most", 1)).json();
        assertThat(splits.path("plan").path("leftOut").toString() + splits.path("leftOut"))
                .contains("H 1: its queen does not lay now");
    }

    @Test
    void the_days_of_a_swarm_path_come_on_the_round_and_move_on_as_steps_are_ticked() {
        assertThat(stop("H 2").path("job").asString()).as("cells found, nothing decided").isEqualTo("SWARM_STEP");
        assertThat(steps("H 2", "2026-06-09", "CATCH_QUEEN").status()).isEqualTo(200);
        assertThat(stop("H 2").path("text").asString()).isEqualTo("Make her nuc");
        steps("H 2", "2026-06-09", "MAKE_NUC");
        steps("H 2", "2026-06-09", "SHAKE_AND_DESTROY");
        assertThat(line("H 2").path("leading").asString()).as("the judgement knows that she is gone")
                .isEqualTo("RECENTLY_QUEENLESS");
        for (int day = 0; day < 7; day++) {
            owner.post("/api/v1/demo/step", Map.of());
        }
        JsonNode back = stop("H 2");
        assertThat(back.path("text").asString()).isEqualTo("Reduce to exactly one cell");
        assertThat(back.path("window").path("earliest").asString()).isEqualTo("2026-06-16");
        steps("H 2", "2026-06-16", "RETURN_AND_REDUCE");
        assertThat(stop("H 2").path("text").asString()).isEqualTo("Check the old queen's nuc");
    }

    @Test
    void cells_of_a_month_ago_ask_for_a_look_and_no_longer_for_a_decision() {
        for (int day = 0; day < 31; day++) {
            owner.post("/api/v1/demo/step", Map.of());
        }
        assertThat(stop("H 2").path("job").asString()).isEqualTo("READ_COLONY");
        assertThat(page("H 2").path("swarm").isMissingNode()).isTrue();
    }

    /** A queen among shaken bees is lost. Common practice. */
    @Test
    void nothing_is_shaken_before_she_is_in_hand() {
        JsonNode shake = step("H 2", "SHAKE_AND_DESTROY");
        assertThat(shake.path("opens").asBoolean()).isFalse();
        assertThat(steps("H 2", "2026-06-09", "SHAKE_AND_DESTROY").findings()).singleElement().asString()
                .contains("nothing says that the queen was caught");
        steps("H 2", "2026-06-09", "CATCH_QUEEN");
        steps("H 2", "2026-06-09", "MAKE_NUC");
        assertThat(step("H 2", "SHAKE_AND_DESTROY").path("opens").asBoolean()).isTrue();
        assertThat(steps("H 2", "2026-06-09", "SHAKE_AND_DESTROY").status()).isEqualTo(200);
    }

    private JsonNode step(String code, String step) {
        for (JsonNode one : page(code).path("swarm").path("steps")) {
            if (one.path("step").asString().equals(step)) {
                return one;
            }
        }
        throw new AssertionError("no step " + step);
    }

    private JsonNode lowest(String code) {
        return page(code).path("stack").get(0);
    }

    private Map<String, Object> spot(String code, int slot) {
        return Map.of("at", "HIVE", "hive", id(code), "box", lowest(code).path("id").asString(), "slot", slot);
    }

    private String frame(String code, int slot) {
        for (JsonNode frame : lowest(code).path("frames")) {
            if (frame.path("slot").asInt() == slot) {
                return frame.path("id").asString();
            }
        }
        throw new AssertionError("no frame in slot " + slot);
    }

    private Client.Answer exchange(String one, int slot, String other, int otherSlot, List<String> signs) {
        return owner.tell("FRAMES_MOVED", "moves", List.of(
                Map.of("frame", frame(one, slot), "from", spot(one, slot), "to", spot(other, otherSlot), "signs",
                        signs),
                Map.of("frame", frame(other, otherSlot), "from", spot(other, otherSlot), "to", spot(one, slot))));
    }

    @Test
    void frames_that_change_hives_are_known_at_both_and_their_eggs_count_there() {
        String given = frame("H 1", 5);
        Client.Answer moved = exchange("H 1", 5, "H 6", 10, List.of("EGGS_SINGLE", "SEALED_WORKER"));
        assertThat(moved.status()).as(moved.text()).isEqualTo(200);
        assertThat(frame("H 6", 10)).isEqualTo(given);
        JsonNode line = page("H 1").path("moves").get(0);
        assertThat(line.path("from").asString()).isEqualTo("H 1");
        assertThat(line.path("to").asString()).isEqualTo("H 6");
        assertThat(page("H 6").path("moves").get(0).path("signs")).hasSize(2);
        // what it carried proves nothing of the queen of its new hive
        assertThat(page("H 6").path("verdict").path("signs").findValuesAsString("sign")).doesNotContain("EGGS_SINGLE");
        JsonNode way = owner.get("/api/v1/frames/" + given).json();
        assertThat(way.path("now").asString()).isEqualTo("H 6, slot 10");
        assertThat(way.path("stays").findValuesAsString("hive")).containsExactly("H 6", "H 1");
        assertThat(way.path("stays").get(1).path("seen")).hasSize(2);
    }

    @Test
    void a_frame_in_two_places_is_refused_first_and_kept_flagged_on_request() {
        String frame = frame("H 1", 5);
        exchange("H 1", 5, "H 6", 10, List.of());
        Map<String, Object> again = Client.entry(LocalDate.of(2026, 6, 9), Client.deed("FRAMES_MOVED", "moves", List.of(
                Map.of("frame", frame, "from", spot("H 1", 5), "to", spot("H 7", 1)))));
        Client.Answer refused = owner.record(again);
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.findings()).singleElement().asString().contains("By the record this frame was in slot 10")
                .contains("Slot 1 of that box holds another frame already");
        assertThat(owner.record(List.of(again), true).status()).isEqualTo(200);
        assertThat(owner.get("/api/v1/frames/" + frame).json().path("now").asString()).isEqualTo("H 7, slot 1");
    }

    @Test
    void no_frame_leaves_a_hive_with_signs_of_disease_unless_it_did() {
        Client.Answer refused = exchange("H 12", 5, "H 6", 10, List.of("SEALED_WORKER"));
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.findings().getFirst()).contains("Signs of disease were seen in H 12");
        reads("H 12", "2026-06-09", Map.of("seen", List.of("EGGS_SINGLE", "SEALED_WORKER_SOLID")));
        assertThat(exchange("H 12", 5, "H 6", 10, List.of("SEALED_WORKER")).status()).as("a look at some")
                .isEqualTo(409);
        reads("H 12", "2026-06-09",
                Map.of("seen", List.of("EGGS_SINGLE", "SEALED_WORKER_SOLID"), "looked", "EVERY_FRAME"));
        assertThat(exchange("H 12", 5, "H 6", 10, List.of("SEALED_WORKER")).status()).isEqualTo(200);
    }

    @Test
    void a_hive_ended_while_a_queen_is_inside_is_asked_about_and_takes_nothing_after_its_end() {
        String hive = id("H 1");
        List<String> boxes = page("H 1").path("stack").findValuesAsString("id").stream().distinct().limit(1).toList();
        Map<String, Object> end = Client.entry(LocalDate.of(2026, 6, 9),
                Client.deed("HIVE_ENDED", "hive", hive, "why", "UNITED", "boxes", boxes, "store", "barn"));
        assertThat(owner.record(end).findings()).singleElement().asString().contains("R-24-03 is in it");
        assertThat(owner.record(List.of(end), true).status()).isEqualTo(200);
        assertThat(owner.get("/api/v1/colonies").json()).hasSize(11);
        assertThat(owner.tell("HIVE_READ", "hive", hive, "notes", Map.of("seen", List.of("EGGS"))).findings())
                .singleElement().asString().contains("Hive H 1 came to its end on Tue 9 June");
        assertThat(owner.get("/api/v1/stock").json().path("stored")).hasSize(1);
    }

    @Test
    void a_honey_box_goes_on_and_comes_off_with_its_frames() {
        UUID box = UUID.randomUUID();
        assertThat(owner.tell("BOX_PUT_ON", "hive", id("H 6"), "box", Map.of("id", box, "kind", "HONEY", "format",
                "Dadant", "slots", 10, "frames", 9), "level", 2).status()).isEqualTo(200);
        assertThat(page("H 6").path("stack")).hasSize(2);
        assertThat(page("H 6").path("stack").get(1).path("frames")).hasSize(9);
        reads("H 6", "2026-06-09",
                Map.of("boxes", List.of(Map.of("box", 1, "seams", 6.5), Map.of("box", 2, "seams", 3))));
        // 9.5 Dadant frames, 127.5 bees a dm² on both sides of 11.3 dm²
        assertThat(page("H 6").path("strength").path("bees").asInt()).isBetween(27_000, 27_700);
        owner.tell("BOX_TAKEN_OFF", "hive", id("H 6"), "box", box, "store", "barn");
        assertThat(page("H 6").path("stack")).hasSize(1);
        JsonNode stored = owner.get("/api/v1/stock").json().path("stored").get(0);
        assertThat(stored.path("store").asString()).isEqualTo("barn");
        assertThat(stored.path("frames")).hasSize(9);
    }

    @Test
    void a_nuc_is_judged_like_any_hive_by_what_was_seen_of_its_queen() {
        String nuc = owner.get("/api/v1/orders/free-queens").json().valueStream()
                .map(one -> owner.get("/api/v1/queens/" + one.path("id").asString()).json().path("queen")
                        .path("hiveId").asString(""))
                // one that lies in a cage is free too
                .filter(hive -> !hive.isEmpty()).findFirst().orElseThrow();
        JsonNode verdict = owner.get("/api/v1/colonies/" + nuc).json().path("verdict");
        assertThat(verdict.path("leading").asString()).isEqualTo("LAYING_QUEEN");
        assertThat(owner.tell("HIVE_READ", "hive", nuc, "notes", Map.of("seen", List.of("EGGS_SEVERAL", "EGGS_ON_WALLS",
                "SEALED_DRONE_SCATTERED"), "absent", List.of("SEALED_WORKER"), "framesOfBees", 1.5)).status())
                .isEqualTo(200);
        assertThat(owner.get("/api/v1/colonies/" + nuc).json().path("readings")).hasSize(1);
    }

    @Test
    void a_frame_read_the_other_way_round_is_asked_about_and_a_lift_gives_the_stores() {
        String colony = "/api/v1/colonies/" + id("H 8");
        List<Map<String, Object>> sides = List.of(
                Map.of("box", 1, "slot", 4, "side", "NEAR", "signs", List.of("SEALED_HONEY")),
                Map.of("box", 1, "slot", 4, "side", "FAR", "signs", List.of("POLLEN", "SEALED_WORKER")));
        List<Map<String, Object>> turned = List.of(
                Map.of("box", 1, "slot", 4, "side", "FAR", "signs", List.of("SEALED_HONEY")),
                Map.of("box", 1, "slot", 4, "side", "NEAR", "signs", List.of("POLLEN", "SEALED_WORKER")));
        reads("H 8", "2026-06-08", Map.of("sides", sides));
        JsonNode doubts = owner.post(colony + "/preview", Map.of("sides", turned)).json().path("frameDoubts");
        assertThat(doubts).singleElement().satisfies(one -> assertThat(one.path("slot").asInt()).isEqualTo(4));
        assertThat(owner.post(colony + "/preview", Map.of("sides", sides)).json().path("frameDoubts")).isEmpty();
        reads("H 8", "2026-06-09", Map.of("lift", "LIGHT", "weather", "SUN", "seen", List.of("EGGS")));
        JsonNode stores = page("H 8").path("stores");
        assertThat(stores.path("mostKg").asDouble()).isEqualTo(5);
        assertThat(stores.path("targetKg").asDouble()).isEqualTo(5);
        assertThat(stores.path("reasons")).isNotEmpty();
    }

    @Test
    void disease_stops_the_work_and_contradictions_are_named() {
        assertThat(page("H 12").path("verdict").path("stop").findValuesAsString("text")).anySatisfy(
                text -> assertThat(text).contains("tell the bee authority"));
        JsonNode clash = page("H 10").path("verdict").path("proof").path("contradictions").get(0);
        assertThat(clash.path("facts")).hasSize(2);
    }

    /** Nothing is divided, shaken or moved until a look lifts it: the swarm's steps wait too. */
    @Test
    void under_suspicion_there_are_no_swarm_steps_and_nothing_on_the_round() {
        assertThat(page("H 2").path("swarm").isMissingNode()).isFalse();
        assertThat(reads("H 2", "2026-06-09", Map.of("seen", List.of("CAPS_SUNKEN"))).status()).isEqualTo(200);
        assertThat(page("H 2").path("swarm").isMissingNode()).isTrue();
        assertThat(owner.get("/api/v1/round").text()).doesNotContain("\"code\":\"H 2\"");
    }

    @Test
    void a_chosen_test_frame_is_brood_given_and_its_cells_are_its_answer() {
        assertThat(owner.tell("ACTION_CHOSEN", "hive", id("H 6"), "action", "TEST_FRAME", "followUps", List.of())
                .status()).isEqualTo(200);
        later(4);
        JsonNode verdict = owner.post("/api/v1/colonies/" + id("H 6") + "/preview", Map.of("seen",
                List.of("LARVAE"), "absent", List.of("CELLS_ON_TEST_FRAME"))).json().path("verdict");
        assertThat(verdict.path("contents").path("queen").path("NONE").asDouble()).isLessThan(0.15);
        JsonNode cells = owner.post("/api/v1/colonies/" + id("H 6") + "/preview", Map.of("seen",
                List.of("CELLS_ON_TEST_FRAME"))).json().path("verdict");
        assertThat(cells.path("contents").path("cells").path("EMERGENCY").asDouble()).isGreaterThan(0.7);
    }

    @Test
    void a_reading_has_three_verdicts_and_the_page_says_who_is_there_and_what_is_under_way() {
        assertThat(reads("H 1", "2026-06-09", Map.of("seen", List.of("SEALED_WORKER_SPOTTY", "EGGS_SINGLE"),
                "framesOfBees", 3)).status()).isEqualTo(200);
        JsonNode page = page("H 1");
        assertThat(page.path("three").path("brood").asString()).startsWith("Spotty");
        assertThat(page.path("three").path("strength").asString()).startsWith("Weak");
        assertThat(page.path("verdict").path("who").asString()).isEqualTo("A laying queen.");
        assertThat(page("H 2").path("verdict").path("underWay").asString()).startsWith("Swarm cells");
    }

    @Test
    void what_was_said_is_held_against_what_is_found_later() {
        assertThat(reads("H 1", "2026-06-09", Map.of("seen", List.of("EGGS_SINGLE", "YOUNG_LARVAE"))).status())
                .isEqualTo(200);
        owner.get("/api/v1/colonies");
        int before = owner.get("/api/v1/colonies/track-record").json().path("settled").asInt();
        later(10);
        assertThat(reads("H 1", "2026-06-19", Map.of("seen", List.of("EGGS_SINGLE", "SEALED_WORKER"))).status())
                .isEqualTo(200);
        JsonNode track = owner.get("/api/v1/colonies/track-record").json();
        assertThat(track.path("settled").asInt()).isEqualTo(before + 1);
        assertThat(track.path("byState").get(0).path("state").asString()).isEqualTo("LAYING_QUEEN");
        assertThat(application.signedIn(application.demo().ownerEmail()).get("/api/v1/colonies/track-record").json()
                .path("settled").asInt()).isZero();
    }

    @Test
    void what_cannot_be_recorded_says_what_to_change() {
        assertThat(reads("H 1", "2026-06-09", Map.of("seen", List.of("YOUNG_LARVAE"), "absent", List.of("BROOD")))
                .findings()).singleElement().asString().contains("both seen and absent");
        assertThat(reads("H 1", "2026-06-10", Map.of("seen", List.of("EGGS"))).findings()).singleElement().asString()
                .contains("lies ahead");
        assertThat(setUp(UUID.randomUUID(), "H 1", "Dadant", 10).findings()).singleElement().asString()
                .isEqualTo("There is a hive H 1 already. Choose another code.");
        assertThat(setUp(UUID.randomUUID(), "H 30", "round", 10).findings()).singleElement().asString()
                .startsWith("There is no frame format \"round\".");
        assertThat(setUp(UUID.randomUUID(), "", "Dadant", 30).findings()).singleElement().asString()
                .contains("slots must lie between 1 and 24");
        assertThat(owner.get("/api/v1/colonies/" + UUID.randomUUID()).status()).isEqualTo(404);
    }

    @Test
    void a_new_colony_and_a_frame_format_of_ones_own() {
        owner.tell("SETTINGS_CHANGED", "operation",
                owner.get("/api/v1/settings").json().path("operation").asString(), "settings",
                Map.of("marking", List.of("WHITE", "YELLOW", "RED", "GREEN", "BLUE"), "units", "METRIC", "swarm",
                        "DESTROY_AND_RETURN", "season",
                        Map.of("hoursADay", 14, "daysOff", List.of(), "cages", 60, "assurance", 0.9), "formats",
                        List.of(Map.of("name", "Valley box", "sideSquareDecimetres", 9.5))));
        assertThat(setUp(UUID.randomUUID(), "H 20", "Valley box", 12).status()).isEqualTo(200);
        assertThat(line("H 20").path("frames").asInt()).isEqualTo(12);
        assertThat(line("H 20").path("lastRead").isMissingNode()).isTrue();
    }

    private Client.Answer setUp(UUID hive, String code, String format, int frames) {
        return owner.tell("HIVE_SET_UP", "hive", hive, "yard", line("H 2").path("yard").asString(), "code", code,
                "position", 99, "purpose", "PRODUCTION", "stack",
                List.of(Map.of("id", UUID.randomUUID(), "kind", "BROOD",
                        "format", format, "slots", frames, "frames", frames)));
    }

    @Test
    void two_people_at_one_hive_are_both_recorded() throws Exception {
        Client crew = application.signedIn(demo.crewEmail());
        String hive = id("H 8");
        Map<String, Object> first = reading(hive, List.of("EGGS_SINGLE"));
        Map<String, Object> second = reading(hive, List.of("LARVAE"));
        try (var pool = Executors.newFixedThreadPool(2)) {
            var one = pool.submit(() -> owner.record(first));
            var two = pool.submit(() -> crew.record(second));
            assertThat(one.get().status()).isEqualTo(200);
            assertThat(two.get().status()).isEqualTo(200);
        }
        JsonNode readings = page("H 8").path("readings");
        assertThat(readings).hasSize(4);
        assertThat(readings.findValuesAsString("by")).contains("Ilva Torrenz");
    }

    private static Map<String, Object> reading(String hive, List<String> seen) {
        return Client.entry(LocalDate.of(2026, 6, 9),
                Client.deed("HIVE_READ", "hive", hive, "notes", Map.of("seen", seen)));
    }

    @Test
    void a_reading_sent_twice_counts_once_and_one_taken_back_no_more() {
        Map<String, Object> wrong = reading(id("H 1"), List.of("EGGS_SEVERAL", "EGGS_ON_WALLS"));
        owner.record(wrong);
        owner.record(wrong);
        assertThat(page("H 1").path("readings")).hasSize(3);
        double with = line("H 1").path("chance").asDouble();
        Client.Answer back = owner.record(Client.withdrawal(wrong, LocalDate.of(2026, 6, 9)));
        assertThat(back.status()).as(back.text()).isEqualTo(200);
        assertThat(page("H 1").path("readings")).hasSize(2);
        assertThat(line("H 1").path("leading").asString()).isEqualTo("LAYING_QUEEN");
        assertThat(line("H 1").path("chance").asDouble()).isNotEqualTo(with);
    }

    @Test
    void an_event_changes_what_is_thought_of_the_colony() {
        assertThat(line("H 11").path("leading").asString()).isEqualTo("LAYING_QUEEN");
        owner.tell("HAPPENED", "hive", id("H 11"), "event", "QUEEN_REMOVED");
        JsonNode verdict = page("H 11").path("verdict");
        assertThat(verdict.path("leading").asString()).isEqualTo("RECENTLY_QUEENLESS");
        assertThat(verdict.path("proof").path("emergency").path("fromOldestLarva").path("earliest").asString())
                .isEqualTo("2026-06-18");
        assertThat(verdict.path("proof").path("noNewCellsFrom").path("latest").asString()).isEqualTo("2026-06-16");
    }

    @Test
    void crew_read_and_choose_and_another_operation_sees_nothing() {
        Client crew = application.signedIn(demo.crewEmail());
        assertThat(crew.get("/api/v1/colonies").json()).hasSize(12);
        Client stranger = application.signedIn(application.demo().ownerEmail());
        assertThat(stranger.get("/api/v1/colonies/" + id("H 1")).status()).isEqualTo(404);
        assertThat(stranger.record(reading(id("H 1"), List.of("EGGS"))).status()).isEqualTo(422);
    }

    @Test
    void a_hive_belongs_to_its_queen_and_counts_its_bees() {
        JsonNode page = page("H 1");
        assertThat(page.path("queens").get(0).path("name").asString()).isEqualTo("Runa");
        // nine Dadant frames, 127.5 bees a dm² on both sides of 11.3 dm²
        assertThat(page.path("strength").path("bees").asInt()).isBetween(25_000, 27_000);
        assertThat(page.path("strength").path("plausible").asBoolean()).isTrue();
        // between eight and nine sides full of sealed brood, 4,520 cells each
        assertThat(page.path("strength").path("sealedCells").asInt()).isBetween(36_000, 41_000);
        assertThat(page.path("strength").path("framesToCome").asDouble()).isBetween(12.5, 14.5);
    }
}
