package vividcrown.server.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

@ExtendWith(Application.class)
class SeasonPlanReckonTest {

    private final Client anybody;

    SeasonPlanReckonTest(Application.Running application) {
        this.anybody = new Client(application.address());
    }

    private static Map<String, Object> season() {
        Map<String, Object> asked = new HashMap<>();
        asked.put("today", "2026-05-01");
        asked.put("nucs", 100);
        asked.put("seconds", 3);
        asked.put("breeders", List.of(Map.of("id", "Runa")));
        asked.put("builders", List.of(Map.of("id", "B 1", "load", 45), Map.of("id", "B 2", "framesOfBees", 20)));
        asked.put("demands", List.of(Map.of("id", "forty", "product", "MATED_QUEENS", "count", 40, "until",
                "2026-06-12")));
        return asked;
    }

    @Test
    void can_i_promise_forty_queens_for_that_date() {
        Client.Answer answer = anybody.post("/api/v1/reckon/season-plan", season());
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        JsonNode promise = answer.json().path("promises").get(0);
        assertThat(promise.path("state").asString()).isEqualTo("HOLDS");
        assertThat(promise.path("chance").asDouble()).isGreaterThanOrEqualTo(0.9);
        assertThat(answer.json().path("search").path("gap").asDouble()).isLessThan(0.05);
        assertThat(answer.json().path("shopping").path("all").path("CELL_CUPS").asInt()).isPositive();
        assertThat(answer.json().path("drones").get(0).path("comb").path("earliest").asString()).isNotEmpty();
        Map<String, Object> check = Map.of("season", season(), "batches", answer.json().path("batches"));
        JsonNode checked = anybody.post("/api/v1/reckon/season-check", check).json();
        assertThat(checked.path("breaks")).isEmpty();
        assertThat(checked.path("chances").path("forty").asDouble()).isEqualTo(promise.path("chance").asDouble());
    }

    /** Who says what a nuc costs a day has it weighed in the plan as in the week ahead: dear nucs are filled late. */
    @Test
    void what_is_worth_how_much_weighs_in_the_plan() {
        assertThat(firstGraft(5)).isGreaterThan(firstGraft(0));
        Map<String, Object> senseless = season();
        senseless.put("worth", Map.of("lateQueen", 0, "lateOrder", 10, "wastedQueen", 10, "nucDay", 1));
        assertThat(anybody.post("/api/v1/reckon/season-plan", senseless).status()).isIn(400, 422);
    }

    private String firstGraft(double nucDay) {
        Map<String, Object> asked = season();
        asked.put("worth", Map.of("lateQueen", 60, "lateOrder", 2_400, "wastedQueen", 20, "nucDay", nucDay));
        asked.put("demands",
                List.of(Map.of("id", "twenty", "product", "MATED_QUEENS", "count", 20, "from", "2026-06-10",
                        "until", "2026-06-24")));
        JsonNode plan = anybody.post("/api/v1/reckon/season-plan", asked).json();
        assertThat(plan.path("holds").asBoolean()).as(plan.toString()).isTrue();
        return plan.path("batches").valueStream().map(batch -> batch.path("day").asString()).min(String::compareTo)
                .orElseThrow();
    }

    /** Nucs at three yards, one of them windy, one kept for a line: situations of the trade (common practice). */
    @Test
    void which_yard_takes_the_cells_and_how_far_one_drives_is_in_the_plan() {
        Map<String, Object> asked = season();
        asked.put("nucs", 0);
        asked.put("breeders", List.of(Map.of("id", "Runa", "line", "dark"), Map.of("id", "Tessa", "line", "grey")));
        asked.put("yards", List.of(
                Map.of("id", "Ridge", "nucs", 90, "fitAfternoonsByMonth",
                        List.of(0, 0, 0, 0.05, 0.1, 0.12, 0.12, 0.12, 0.05, 0, 0, 0)),
                Map.of("id", "Valley", "nucs", 60, "driveMinutes", 40),
                Map.of("id", "Station", "nucs", 50, "driveMinutes", 60, "lines", List.of("dark"), "nucsTaken",
                        List.of(Map.of("from", "2026-05-01", "until", "2026-05-05", "count", 50)))));
        asked.put("demands", List.of(
                Map.of("id", "dark", "product", "MATED_QUEENS", "count", 15, "until", "2026-06-16", "line", "dark"),
                Map.of("id", "any", "product", "MATED_QUEENS", "count", 20, "until", "2026-06-12")));
        JsonNode plan = anybody.post("/api/v1/reckon/season-plan", asked).json();
        assertThat(plan.path("holds").asBoolean()).as(plan.toString()).isTrue();
        Map<String, JsonNode> yards = new HashMap<>();
        plan.path("yards").forEach(yard -> yards.put(yard.path("yard").asString(), yard));
        assertThat(yards.get("Ridge").path("cells").asInt()).isZero();
        assertThat(yards.get("Valley").path("cells").asInt()).isBetween(1, 60);
        assertThat(yards.get("Station").path("hours").asDouble())
                .isEqualTo(yards.get("Station").path("trips").asDouble());
        plan.path("batches").forEach(batch -> batch.path("shares").forEach(share -> {
            if (share.path("demand").asString().equals("dark")) {
                assertThat(batch.path("at")).singleElement()
                        .satisfies(at -> assertThat(at.path("yard").asString()).isEqualTo("Station"));
            }
        }));
        JsonNode checked = anybody.post("/api/v1/reckon/season-check",
                Map.of("season", asked, "batches", plan.path("batches"))).json();
        assertThat(checked.path("breaks")).isEmpty();
        plan.path("promises").forEach(promise -> assertThat(
                checked.path("chances").path(promise.path("demand").asString()).asDouble())
                .isEqualTo(promise.path("chance").asDouble()));

        plan.path("batches").forEach(batch -> ((ObjectNode) batch).remove("at"));
        JsonNode open = anybody.post("/api/v1/reckon/season-check",
                Map.of("season", asked, "batches", plan.path("batches"))).json();
        assertThat(open.path("breaks")).isEmpty();
        assertThat(open.path("chances").path("dark").asDouble()).isGreaterThan(0.85);
        for (int batch = 0; batch < plan.path("batches").size(); batch++) {
            boolean isDark = plan.path("batches").path(batch).path("shares").path(0).path("demand").asString()
                    .equals("dark");
            assertThat(open.path("at").path(batch)).isNotEmpty().allSatisfy(at -> assertThat(
                    at.path("yard").asString().equals("Station")).isEqualTo(isDark));
        }
    }

    @Test
    void yards_that_contradict_themselves_are_refused_with_what_to_change() {
        Map<String, Object> twice = season();
        twice.put("nucs", 0);
        twice.put("yards", List.of(Map.of("id", "Home", "nucs", 50), Map.of("id", "Home", "nucs", 10)));
        assertThat(anybody.post("/api/v1/reckon/season-plan", twice).findings()).singleElement().asString()
                .contains("Give each yard once");
        Map<String, Object> sum = season();
        sum.put("yards", List.of(Map.of("id", "Home", "nucs", 50)));
        sum.put("drones", List.of(Map.of("id", "D 1", "yards", List.of("Home"))));
        assertThat(anybody.post("/api/v1/reckon/season-plan", sum).findings()).singleElement().asString()
                .contains("Leave nucs at 0");
        sum.put("nucs", 50);
        sum.put("drones", List.of(Map.of("id", "D 1", "yards", List.of("Elsewhere"))));
        assertThat(anybody.post("/api/v1/reckon/season-plan", sum).findings()).singleElement().asString()
                .contains("Elsewhere").contains("Home");
        sum.remove("drones");
        sum.put("yards", List.of(Map.of("id", "Home", "nucs", 50, "driveMinutes", 700, "fitAfternoonsByMonth",
                List.of(0.5))));
        assertThat(anybody.post("/api/v1/reckon/season-plan", sum).status()).isEqualTo(422);
    }

    /** A customer whose day is past waits still. */
    @Test
    void an_order_that_is_overdue_is_planned_for() {
        Map<String, Object> late = season();
        late.put("demands",
                List.of(Map.of("id", "late", "product", "MATED_QUEENS", "count", 5, "until", "2026-04-28")));
        assertThat(anybody.post("/api/v1/reckon/season-plan", late).status()).isEqualTo(200);
        assertThat(anybody.post("/api/v1/reckon/week-ahead", Map.of("season", late)).status()).isEqualTo(200);
    }

    /** Seven lay, twelve are due today and eight in six days, for whom three more begin to lay: by hand. */
    @Test
    void queens_that_make_another_order_whole_are_kept_from_one_that_they_do_not() {
        Map<String, Object> wanting = season();
        List<String> laying = List.of("TAKE", "SOUND", "EMERGENCE", "MATING");
        wanting.put("demands",
                List.of(Map.of("id", "due", "product", "MATED_QUEENS", "count", 12, "until", "2026-05-01"),
                        Map.of("id", "eight", "product", "MATED_QUEENS", "count", 8, "until", "2026-05-07")));
        wanting.put("running",
                List.of(Map.of("id", "old", "graftDay", "2026-04-01", "alive", 7, "passed", laying),
                        Map.of("id", "young", "graftDay", "2026-04-12", "alive", 3, "passed", laying)));
        JsonNode kept = anybody.post("/api/v1/reckon/week-ahead", Map.of("season", wanting)).json().path("keptBack");
        assertThat(kept).hasSize(1);
        assertThat(kept.get(0).path("demand").asString()).isEqualTo("due");
        assertThat(kept.get(0).path("there").asInt()).isEqualTo(7);
        assertThat(kept.get(0).path("give").asInt()).isEqualTo(2);
        assertThat(kept.get(0).path("others").get(0).asString()).isEqualTo("eight");
    }

    @Test
    void everything_wrong_is_said_at_once() {
        Map<String, Object> wrong = season();
        wrong.put("demands", List.of(Map.of("id", "old", "product", "VIRGINS", "count", 5, "until", "2026-04-01"),
                Map.of("id", "none", "product", "VIRGINS", "count", 0, "until", "2026-06-12")));
        wrong.put("counts", List.of(Map.of("step", "TAKE", "tried", 3, "succeeded", 5)));
        wrong.put("crew", Map.of("hoursADay", 0));
        assertThat(anybody.post("/api/v1/reckon/season-plan", wrong).findings()).hasSize(4)
                .anySatisfy(text -> assertThat(text).contains("lies before today"))
                .anySatisfy(text -> assertThat(text).contains("must lie between 1 and 300"))
                .anySatisfy(text -> assertThat(text).contains("between 0 and tried"))
                .anySatisfy(text -> assertThat(text).contains("hoursADay"));
    }

    @Test
    void zero_rates_no_workday_and_locks_that_overlap_say_what_to_do() {
        Map<String, Object> never = season();
        never.put("crew", Map.of("daysOff", List.of("MONDAY", "TUESDAY", "WEDNESDAY", "THURSDAY", "FRIDAY", "SATURDAY",
                "SUNDAY")));
        assertThat(anybody.post("/api/v1/reckon/season-plan", never).findings()).singleElement().asString()
                .contains("Take away days off");
        Map<String, Object> locks = season();
        locks.put("locks", List.of(Map.of("builder", "B 1", "day", "2026-05-10", "cups", 20),
                Map.of("builder", "B 1", "day", "2026-05-12", "cups", 20)));
        assertThat(anybody.post("/api/v1/reckon/season-plan", locks).findings()).singleElement().asString()
                .contains("is possible from Fri 15 May");
        Map<String, Object> hopeless = season();
        hopeless.put("counts", List.of(Map.of("step", "MATING", "tried", 5000, "succeeded", 0)));
        JsonNode none = anybody.post("/api/v1/reckon/season-plan", hopeless).json();
        assertThat(none.path("promises").get(0).path("state").asString()).isEqualTo("UNMET");
        assertThat(none.path("promises").get(0).path("reasons")).isNotEmpty();
    }

    @Test
    void more_queens_than_the_nucs_could_give_names_the_nucs() {
        Map<String, Object> few = season();
        few.put("nucs", 30);
        JsonNode answer = anybody.post("/api/v1/reckon/season-plan", few).json();
        assertThat(answer.path("promises").get(0).path("state").asString()).isNotEqualTo("HOLDS");
        assertThat(answer.path("waysOut").findValuesAsString("kind")).contains("NUCS");
    }

    /** Whoever cannot have everything is told what can be done about it, and what it costs the others. */
    @Test
    void a_way_out_says_whom_it_helps_whom_it_costs_and_how_much_work_it_is() {
        Map<String, Object> few = season();
        few.put("nucs", 30);
        JsonNode ways = plans(few).path("waysOut");
        assertThat(ways.findValuesAsString("kind")).contains("NUCS").containsAnyOf("BUY_IN", "LATER");
        ways.forEach(way -> {
            assertThat(way.path("helps")).isNotEmpty();
            assertThat(way.path("loses").isArray()).isTrue();
            assertThat(way.path("hours").isNumber()).isTrue();
            assertThat(way.path("text").asString()).endsWith(".");
        });
    }

    @Test
    void a_no_to_a_demand_says_what_it_frees_and_a_no_to_nobody_is_refused() {
        Map<String, Object> two = season();
        two.put("demands", List.of(Map.of("id", "A", "product", "MATED_QUEENS", "count", 20, "until", "2026-06-12"),
                Map.of("id", "B", "product", "MATED_QUEENS", "count", 10, "until", "2026-07-20")));
        two.put("seconds", 3);
        JsonNode freed = anybody.post("/api/v1/reckon/season-without", Map.of("season", two, "demand", "B")).json();
        assertThat(freed.path("cups").asInt()).isBetween(10, 45);
        assertThat(freed.path("hours").asDouble()).isPositive();
        assertThat(freed.path("others")).singleElement()
                .satisfies(one -> assertThat(one.path("demand").asString()).isEqualTo("A"));
        assertThat(anybody.post("/api/v1/reckon/season-without", Map.of("season", two, "demand", "C")).findings())
                .singleElement().asString().contains("no demand called C");
    }

    private JsonNode plans(Map<String, Object> asked) {
        Client.Answer answer = anybody.post("/api/v1/reckon/season-plan", asked);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    @Test
    void a_line_is_grafted_from_a_mother_of_that_line() {
        Map<String, Object> asked = season();
        asked.put("breeders", List.of(Map.of("id", "Runa", "line", "dark"), Map.of("id", "Tessa", "line", "grey")));
        asked.put("demands", List.of(Map.of("id", "grey ones", "product", "VIRGINS", "count", 10, "until", "2026-06-12",
                "line", "grey")));
        JsonNode plan = plans(asked);
        assertThat(plan.path("holds").asBoolean()).isTrue();
        plan.path("batches").forEach(batch -> assertThat(batch.path("breeder").asString()).isEqualTo("Tessa"));
    }

    @Test
    void what_is_on_its_way_and_nucs_that_are_taken_are_reckoned_with() {
        Map<String, Object> asked = season();
        asked.put("demands",
                List.of(Map.of("id", "ten", "product", "MATED_QUEENS", "count", 10, "until", "2026-05-12")));
        asked.put("running", List.of(Map.of("id", "26-01", "graftDay", "2026-04-10", "alive", 25, "passed",
                List.of("TAKE", "SOUND", "EMERGENCE"))));
        JsonNode plan = plans(asked);
        assertThat(plan.path("batches")).isEmpty();
        assertThat(plan.path("promises").get(0).path("state").asString()).isEqualTo("HOLDS");
        Map<String, Object> full = season();
        full.put("nucsTaken", List.of(Map.of("from", "2026-05-01", "until", "2026-08-01", "count", 80)));
        assertThat(plans(full).path("holds").asBoolean()).isFalse();
    }

    @Test
    void planned_again_the_changes_against_the_plan_before_are_told() {
        JsonNode first = plans(season());
        List<Map<String, Object>> before = new ArrayList<>();
        first.path("batches").forEach(batch -> before.add(Map.of("builder", batch.path("builder").asString(), "day",
                batch.path("day").asString(), "cups", batch.path("cups").asInt())));
        Map<String, Object> again = season();
        again.put("before", before);
        assertThat(plans(again).path("changes")).isEmpty();
        again.put("demands",
                List.of(Map.of("id", "forty", "product", "MATED_QUEENS", "count", 40, "until", "2026-06-12"),
                        Map.of("id", "cells", "product", "RIPE_CELLS", "count", 10, "from", "2026-07-01", "until",
                                "2026-07-02")));
        assertThat(plans(again).path("changes").findValuesAsString("kind")).containsOnly("ADDED");
    }

    @Test
    void closed_days_drones_and_own_counts_move_the_plan() {
        Map<String, Object> asked = season();
        asked.put("drones", List.of(Map.of("id", "D 1", "mother", "Runa", "combIn", "2026-04-20")));
        asked.put("crew", Map.of("closed", List.of("2026-05-16", "2026-05-17"), "hoursADay", 12));
        asked.put("counts", List.of(Map.of("step", "MATING", "tried", 400, "succeeded", 380)));
        JsonNode plan = plans(asked);
        plan.path("batches").forEach(
                batch -> assertThat(batch.path("day").asString()).isNotIn("2026-05-16", "2026-05-17"));
        int cups = plan.path("shopping").path("all").path("CELL_CUPS").asInt();
        assertThat(cups).isLessThan(plans(season()).path("shopping").path("all").path("CELL_CUPS").asInt());
        assertThat(plan.path("drones").findValuesAsString("text")).anySatisfy(
                text -> assertThat(text).contains("her sons would meet their sisters"));
    }

    /** Two boxes, ten counted batches each: in the one nearly all are taken, in the other hardly half. */
    @Test
    void own_batches_tell_builders_apart_and_drone_comb_is_planned() {
        List<Map<String, Object>> history = new ArrayList<>();
        for (int week = 1; week <= 10; week++) {
            history.add(Map.of("step", "TAKE", "tried", 40, "succeeded", 37 + week % 2, "builder", "B 1", "graftDay",
                    "2025-05-%02d".formatted(week)));
            history.add(Map.of("step", "TAKE", "tried", 40, "succeeded", 20 + week % 2, "builder", "B 2", "graftDay",
                    "2025-05-%02d".formatted(week)));
        }
        Map<String, Object> asked = season();
        asked.put("history", history);
        asked.put("droneMothers", List.of(Map.of("id", "H 1", "mother", "Orla"), Map.of("id", "H 2"),
                Map.of("id", "H 3", "mother", "Runa")));
        asked.put("demands",
                List.of(Map.of("id", "forty", "product", "MATED_QUEENS", "count", 40, "until", "2026-07-20")));
        JsonNode plan = plans(asked);
        Map<String, Integer> cups = new HashMap<>();
        plan.path("batches").forEach(
                batch -> cups.merge(batch.path("builder").asString(), batch.path("cups").asInt(), Integer::sum));
        assertThat(cups.getOrDefault("B 1", 0)).isGreaterThan(cups.getOrDefault("B 2", 0));
        assertThat(plan.path("batches").get(0).path("assumed").findValuesAsString("text"))
                .anySatisfy(text -> assertThat(text).contains("taken ("));
        // of several mothers, and not the graft's own
        assertThat(plan.path("droneStarts").findValuesAsString("colony")).containsExactlyInAnyOrder("H 1", "H 2");
        asked.put("history", List.of(Map.of("step", "TAKE", "tried", 3, "succeeded", 4)));
        Client.Answer refused = anybody.post("/api/v1/reckon/season-plan", asked);
        assertThat(refused.findings()).singleElement().asString().contains("between 0 and tried");
        assertThat(refused.text()).contains("history[0]");
    }

    @Test
    void seconds_and_horizon_outside_their_range_are_refused_with_the_range() {
        Map<String, Object> slow = season();
        slow.put("seconds", 60);
        assertThat(anybody.post("/api/v1/reckon/season-plan", slow).findings()).singleElement().asString()
                .contains("between 0.5 and 10");
        Map<String, Object> tooLong = season();
        tooLong.put("until", "2027-12-31");
        assertThat(anybody.post("/api/v1/reckon/season-plan", tooLong).findings()).singleElement().asString()
                .contains("last day to plan");
        Map<String, Object> nobody = season();
        nobody.put("breeders", List.of());
        nobody.put("builders", List.of());
        assertThat(anybody.post("/api/v1/reckon/season-plan", nobody).findings()).hasSize(2);
    }
}
