package vividcrown.server.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

@ExtendWith(Application.class)
@Isolated("it fills the whole queue")
class SeasonTest {

    private final Application.Running application;
    private Application.Demo demo;
    private Client owner;

    SeasonTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        demo = application.demo();
        owner = application.signedIn(demo.ownerEmail());
    }

    private JsonNode season() {
        Client.Answer answer = owner.get("/api/v1/season");
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    @Test
    void a_day_of_no_hours_is_refused_with_its_bounds() {
        Client.Answer none = owner.post("/api/v1/season/searches", Map.of("whatIf", Map.of("hoursADay", 0)));
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.text()).as(none.text()).contains("whatIf.hoursADay").doesNotContain("400");
    }

    private String begins(Object search) {
        Client.Answer begun = owner.post("/api/v1/season/searches", search);
        assertThat(begun.status()).as(begun.text()).isEqualTo(200);
        return begun.json().path("id").asString();
    }

    private JsonNode ends(String id) {
        for (int turn = 0; turn < 1_200; turn++) {
            JsonNode progress = owner.get("/api/v1/season/searches/" + id).json();
            if (!List.of("WAITING", "RUNNING").contains(progress.path("state").asString())) {
                assertThat(progress.path("state").asString()).as(progress.toString()).isEqualTo("DONE");
                return progress;
            }
            try {
                Thread.sleep(50);
            } catch (InterruptedException interrupted) {
                throw new AssertionError(interrupted);
            }
        }
        throw new AssertionError("the search did not end");
    }

    private static Map<String, Double> chances(JsonNode season) {
        Map<String, Double> chances = new HashMap<>();
        season.path("standings")
                .forEach(one -> chances.put(one.path("demand").asString(), one.path("chance").asDouble()));
        return chances;
    }

    @Test
    void what_stands_ready_counts_and_what_has_no_graft_yet_has_no_hope() {
        JsonNode season = season();
        assertThat(chances(season).get("Q26-01")).as("laying queens are there").isGreaterThan(0.9);
        assertThat(chances(season).get("Q26-05")).as("line Scree, nothing grafted for it").isLessThan(0.6);
        assertThat(season.path("planned")).as("planned by hand").hasSize(1);
        assertThat(season.path("rates").get(0).path("by").path("BUILDER")).isNotEmpty();
        assertThat(season.path("bands")).isNotEmpty();
    }

    @Test
    void a_plan_is_searched_adopted_lands_in_the_grafts_and_the_promises_rise() {
        JsonNode done = ends(begins(Map.of("seconds", 4)));
        JsonNode plan = done.path("plan");
        assertThat(plan.path("batches")).isNotEmpty();
        assertThat(done.path("plans").asInt()).isPositive();
        Client.Answer adopted = owner.post("/api/v1/season/searches/" + done.path("id").asString() + "/adopt",
                Map.of());
        assertThat(adopted.status()).as(adopted.text()).isEqualTo(200);
        assertThat(adopted.json().path("kept").asInt()).as("the graft planned by hand").isEqualTo(1);
        JsonNode after = season();
        assertThat(after.path("planned")).hasSize(plan.path("batches").size());
        plan.path("promises").forEach(promise -> {
            if (promise.path("state").asString().equals("HOLDS")) {
                assertThat(chances(after).get(promise.path("demand").asString())).as(promise.toString())
                        .isGreaterThanOrEqualTo(promise.path("assurance").asDouble() - 0.005);
            }
        });
        assertThat(owner.list("/api/v1/grafts")).anySatisfy(
                graft -> assertThat(graft.path("grafted").asBoolean()).isFalse());
    }

    private void plansAndAdopts() {
        JsonNode done = ends(begins(Map.of("seconds", 3)));
        owner.post("/api/v1/season/searches/" + done.path("id").asString() + "/adopt", Map.of());
    }

    private void stepsTo(String day) {
        for (int step = 0; step < 60 && !owner.get("/api/v1/round").json().path("day").asString().equals(day); step++) {
            owner.post("/api/v1/demo/step", Map.of());
        }
    }

    @Test
    void a_planned_graft_comes_on_the_round_and_a_bad_take_lowers_its_promise() {
        // of a line that nothing else is grafted from, so that this graft alone can serve it
        takes(Map.of("customer", "Fell Side", "ownNeed", false, "product", "RIPE_CELLS", "count", 12, "from",
                "2026-07-08", "until", "2026-07-09", "line", "Birch", "priority", 1));
        plansAndAdopts();
        String demand = "Q26-10";
        JsonNode line = null;
        for (JsonNode one : season().path("planned")) {
            if (one.path("batch").path("shares").findValuesAsString("demand").contains(demand)) {
                line = one;
            }
        }
        assertThat(line).as("a graft for it").isNotNull();
        String graft = line.path("graft").asString();
        String day = line.path("batch").path("day").asString();
        stepsTo(day);
        List<String> jobs = new ArrayList<>();
        owner.get("/api/v1/round").json().path("yards").forEach(yard -> yard.path("stops").forEach(stop -> jobs
                .add(stop.path("job").asString() + " " + stop.path("subject").asString())));
        assertThat(jobs).contains("GRAFT " + graft);
        owner.tell(LocalDate.parse(day), "GRAFT_DONE", "graft", graft);
        double before = chances(season()).get(demand);
        assertThat(before).isGreaterThan(0.85);
        owner.post("/api/v1/demo/step", Map.of());
        List<String> took = new ArrayList<>();
        List<String> didNot = new ArrayList<>();
        for (JsonNode cup : owner.get("/api/v1/grafts/" + graft).json().path("cups")) {
            ((took.size() + didNot.size()) % 3 == 0 ? took : didNot).add(cup.path("id").asString());
        }
        Client.Answer take = owner.tell(LocalDate.parse(day).plusDays(1), "TAKE_COUNTED", "graft", graft, "took", took,
                "didNotTake", didNot);
        assertThat(take.status()).as(take.text()).isEqualTo(200);
        assertThat(chances(season()).get(demand)).isLessThan(before - 0.2);
    }

    @Test
    void hours_and_days_off_of_the_settings_hold_for_the_plan() {
        JsonNode settings = owner.get("/api/v1/settings").json().path("settings");
        Map<String, Object> changed = new HashMap<>();
        settings.propertyStream().forEach(one -> changed.put(one.getKey(), one.getValue()));
        changed.put("season", Map.of("hoursADay", 9, "daysOff", List.of("WEDNESDAY", "SATURDAY"), "cages", 20,
                "assurance", 0.8));
        assertThat(owner.tell("SETTINGS_CHANGED", "operation", demo.operation(), "settings", changed).status())
                .isEqualTo(200);
        JsonNode plan = ends(begins(Map.of("seconds", 3))).path("plan");
        plan.path("batches").forEach(batch -> {
            LocalDate day = LocalDate.parse(batch.path("day").asString());
            if (!batch.path("locked").asBoolean()) {
                assertThat(List.of(day.getDayOfWeek(), day.plusDays(10).getDayOfWeek()))
                        .doesNotContain(DayOfWeek.WEDNESDAY, DayOfWeek.SATURDAY);
            }
        });
        assertThat(plan.path("promises").get(0).path("assurance").asDouble()).isEqualTo(0.8);
    }

    @Test
    void spares_are_a_share_of_the_queens_that_others_ask_for() {
        int before = wanted("Q26-07");
        takes(Map.of("customer", "Fell Side", "ownNeed", false, "product",
                "MATED_QUEENS", "count", 50, "from", "2026-07-20", "until", "2026-07-25", "priority", 2));
        assertThat(wanted("Q26-07")).isEqualTo(before + 5);
    }

    private int wanted(String demand) {
        for (JsonNode one : season().path("standings")) {
            if (one.path("demand").asString().equals(demand)) {
                return one.path("count").asInt();
            }
        }
        throw new AssertionError("no demand " + demand);
    }

    @Test
    void asked_again_at_once_the_plan_stays_as_it_is() {
        plansAndAdopts();
        JsonNode again = ends(begins(Map.of("seconds", 4)));
        // bars are filled evenly, so a graft may have a cup or two more than was reckoned; the days stay
        again.path("plan").path("changes").forEach(
                change -> assertThat(change.path("kind").asString()).as(change.toString()).isEqualTo("RESIZED"));
    }

    @Test
    void a_graft_dragged_to_another_day_is_checked_before_and_stays_fixed_after() {
        plansAndAdopts();
        JsonNode season = season();
        List<Map<String, Object>> moved = new ArrayList<>();
        JsonNode last = season.path("planned").get(season.path("planned").size() - 1);
        season.path("planned").forEach(line -> {
            Map<String, Object> batch = new HashMap<>();
            line.path("batch").propertyStream().forEach(one -> batch.put(one.getKey(), one.getValue()));
            if (line == last) {
                batch.put("day", "2026-09-20");
            }
            moved.add(batch);
        });
        JsonNode check = owner.post("/api/v1/season/check", moved).json();
        assertThat(check.path("breaks")).isNotEmpty();
        assertThat(chances(season())).as("nothing is kept").isEqualTo(chances(season));
        String day = last.path("batch").path("day").asString();
        String later = LocalDate.parse(day).plusDays(1).toString();
        Client.Answer move = owner.post("/api/v1/season/grafts/" + last.path("graft").asString() + "/move",
                Map.of("request", UUID.randomUUID(), "day", later));
        assertThat(move.status()).as(move.text()).isEqualTo(204);
        JsonNode lines = season().path("planned");
        assertThat(lines).anySatisfy(line -> {
            assertThat(line.path("batch").path("day").asString()).isEqualTo(later);
            assertThat(line.path("batch").path("locked").asBoolean()).isTrue();
        });
        assertThat(owner.post("/api/v1/season/grafts/" + last.path("graft").asString() + "/move",
                Map.of("request", UUID.randomUUID(), "day", later)).findings()).singleElement().asString()
                .contains("Reload");
    }

    @Test
    void a_what_if_with_a_builder_that_is_not_there_is_shown_but_not_adopted() {
        for (int number = 0; number < 3; number++) {
            takes(Map.of("customer", "Big " + number, "ownNeed", false, "product", "RIPE_CELLS", "count", 60, "from",
                    "2026-06-24", "until", "2026-06-25", "priority", 1));
        }
        JsonNode done = ends(begins(Map.of("seconds", 5, "whatIf", Map.of("moreBuilders", 6))));
        assertThat(done.path("plan").path("batches").findValuesAsString("builder")).anySatisfy(
                builder -> assertThat(builder).startsWith("+"));
        assertThat(owner.post("/api/v1/season/searches/" + done.path("id").asString() + "/adopt", Map.of()).findings())
                .singleElement().asString().contains("what-if");
    }

    @Test
    void a_search_can_be_stopped_and_crew_cannot_adopt() {
        String id = begins(Map.of("seconds", 10));
        assertThat(owner.post("/api/v1/season/searches/" + id + "/stop", Map.of()).status()).isEqualTo(204);
        JsonNode done = ends(id);
        assertThat(done.path("plan").isMissingNode()).isFalse();
        Client crew = application.signedIn(demo.crewEmail());
        assertThat(crew.post("/api/v1/season/searches/" + id + "/adopt", Map.of()).status()).isEqualTo(403);
        Client stranger = application.signedIn(application.demo().ownerEmail());
        assertThat(stranger.get("/api/v1/season/searches/" + id).status()).isEqualTo(404);
    }

    @Test
    void a_search_whose_server_was_killed_says_so() {
        UUID id = UUID.randomUUID();
        JdbcClient database = application.context().getBean(JdbcClient.class);
        CurrentOperation.in(demo.operation(), () -> database.sql("""
                insert into season_search (id, operation_id, asked_by, state, stop, seen_at, plans, seconds)
                values (?, ?, ?, 'RUNNING', false, now() - interval '5 minutes', 3, 2)""")
                .params(id, demo.operation(), UUID.randomUUID()).update());
        JsonNode progress = owner.get("/api/v1/season/searches/" + id).json();
        assertThat(progress.path("state").asString()).isEqualTo("INTERRUPTED");
        assertThat(progress.path("refusal").asString()).contains("Ask again");
        assertThat(owner.post("/api/v1/season/searches/" + id + "/adopt", Map.of()).status()).isEqualTo(422);
    }

    @Test
    void drone_comb_that_the_plan_wants_lands_on_the_round_and_is_ticked_off() {
        List<JsonNode> kept = new ArrayList<>();
        owner.get("/api/v1/colonies").json().forEach(kept::add);
        kept.forEach(this::takeDroneCombOut);
        takes(Map.of("customer", "Fell Side", "ownNeed", false, "product",
                "MATED_QUEENS", "count", 20, "from", "2026-08-20", "until", "2026-08-25", "priority", 1));
        JsonNode done = ends(begins(Map.of("seconds", 4)));
        JsonNode starts = done.path("plan").path("droneStarts");
        assertThat(starts.size()).as("of several mothers").isGreaterThanOrEqualTo(2);
        owner.post("/api/v1/season/searches/" + done.path("id").asString() + "/adopt", Map.of());
        assertThat(season().path("droneCombs")).hasSize(starts.size());
        JsonNode first = starts.get(0);
        String day = first.path("combIn").path("earliest").asString();
        stepsTo(day);
        JsonNode stop = droneStops().stream()
                .filter(one -> one.path("code").asString().equals(first.path("colony").asString())).findFirst()
                .orElseThrow();
        assertThat(stop.path("subjectKind").asString()).isEqualTo("HIVE");
        int before = droneStops().size();
        Client.Answer ticked = owner.tell(LocalDate.parse(day), "DRONE_COMB_IN", "hive",
                stop.path("subject").asString());
        assertThat(ticked.status()).as(ticked.text()).isEqualTo(200);
        assertThat(droneStops()).hasSize(before - 1);
        JsonNode colony = owner.get("/api/v1/colonies/" + stop.path("subject").asString()).json();
        assertThat(colony.path("droneCombOn").asString()).isEqualTo(day);
    }

    private void takeDroneCombOut(JsonNode colony) {
        JsonNode page = owner.get("/api/v1/colonies/" + colony.path("id").asString()).json();
        if (page.path("droneCombOn").isString()) {
            assertThat(owner.tell("DRONE_COMB_OUT", "hive", colony.path("id").asString()).status()).isEqualTo(200);
        }
    }

    private List<JsonNode> droneStops() {
        List<JsonNode> stops = new ArrayList<>();
        owner.get("/api/v1/round").json().path("yards").forEach(yard -> yard.path("stops").forEach(stop -> {
            if (stop.path("job").asString().equals("DRONE_COMB")) {
                stops.add(stop);
            }
        }));
        return stops;
    }

    @Test
    void whoever_is_named_grafts_and_it_is_reckoned_with_their_take() {
        JsonNode done = ends(begins(Map.of("seconds", 3, "whatIf", Map.of("grafter", "Jory"))));
        assertThat(done.path("plan").path("batches")).filteredOn(batch -> !batch.path("locked").asBoolean())
                .isNotEmpty().allSatisfy(batch -> {
                    assertThat(batch.path("grafter").asString()).isEqualTo("Jory");
                    assertThat(batch.path("assumed")).isNotEmpty();
                });
        owner.post("/api/v1/season/searches/" + done.path("id").asString() + "/adopt", Map.of());
        assertThat(season().path("planned").findValuesAsString("grafter")).contains("Jory");
        assertThat(season().path("rates").get(0).path("by").path("PERSON").findValuesAsString("group"))
                .contains("Ilva", "Jory");
    }

    private void takes(Map<String, Object> terms) {
        Client.Answer taken = owner.tell("ORDER_TAKEN", "order", UUID.randomUUID(), "code", "", "terms", terms);
        assertThat(taken.status()).as(taken.text()).isEqualTo(200);
    }

    /** Searches of one operation take turns; one that asks for too many at once is told to wait. */
    @Test
    void searches_take_turns_and_too_many_are_refused() {
        List<String> begun = new ArrayList<>();
        Client.Answer refused = owner.post("/api/v1/season/searches", Map.of("seconds", 2));
        while (refused.status() == 200 && begun.size() < 10) {
            begun.add(refused.json().path("id").asString());
            refused = owner.post("/api/v1/season/searches", Map.of("seconds", 2));
        }
        assertThat(refused.status()).as("after %d", begun.size()).isEqualTo(503);
        assertThat(refused.findings())
                .containsExactly("Too much is asked at the moment. Wait a little, then ask again.");
        assertThat(begun).hasSizeGreaterThanOrEqualTo(4);
        assertThat(owner.get("/api/v1/season/searches/" + begun.getLast()).json().path("state").asString())
                .isEqualTo("WAITING");
        begun.forEach(id -> assertThat(ends(id).path("state").asString()).isEqualTo("DONE"));
    }
}
