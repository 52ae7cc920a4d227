package vividcrown.server.round;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

@ExtendWith(Application.class)
class RoundTest {

    private static final LocalDate JUN_9 = LocalDate.of(2026, 6, 9);
    private final Application.Running application;
    private Client owner;

    RoundTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        owner = application.signedIn(application.demo().ownerEmail());
    }

    private List<JsonNode> stops(String job) {
        List<JsonNode> stops = new ArrayList<>();
        for (JsonNode yard : owner.get("/api/v1/round").json().path("yards")) {
            for (JsonNode stop : yard.path("stops")) {
                if (stop.path("job").asString().equals(job)) {
                    stops.add(stop);
                }
            }
        }
        return stops;
    }

    @Test
    void yards_come_in_walking_order_and_overdue_boxes_first_in_each() {
        JsonNode round = owner.get("/api/v1/round").json();
        List<String> yards = new ArrayList<>();
        for (JsonNode yard : round.path("yards")) {
            yards.add(yard.path("name").asString());
            boolean due = false;
            for (JsonNode stop : yard.path("stops")) {
                assertThat(due && stop.path("overdue").asBoolean()).isFalse();
                due = !stop.path("overdue").asBoolean();
            }
        }
        assertThat(yards).containsExactly("Weir Bend", "Quarry Terrace", "Larch Step");
    }

    @Test
    void each_ripe_cell_is_given_one_empty_nuc_and_carried() {
        List<JsonNode> gives = stops("GIVE_CELL");
        assertThat(gives).extracting(stop -> stop.path("hive").asString()).doesNotHaveDuplicates();
        assertThat(gives).extracting(stop -> stop.path("subject").asString()).doesNotHaveDuplicates();
        // one nuc holds a drone layer to be replaced: that takes a cell along too
        int carried = owner.get("/api/v1/round").json().path("carry").path("RIPE_CELLS").asInt();
        assertThat(carried).isEqualTo(gives.size() + stops("REPLACE").size());
    }

    @Test
    void cells_whose_virgins_may_be_out_are_not_given_away() {
        // grafted on 30 May: ripe on 9 June, the first virgin on 10 June
        owner.post("/api/v1/demo/step", Map.of());
        assertThat(stops("GIVE_CELL")).isNotEmpty();
        owner.post("/api/v1/demo/step", Map.of());
        assertThat(stops("GIVE_CELL")).isEmpty();
    }

    @Test
    void what_was_not_possible_today_comes_back_tomorrow() {
        JsonNode stop = stops("CHECK_EMERGENCE").getFirst();
        UUID queen = UUID.fromString(stop.path("subject").asString());
        int before = stops("CHECK_EMERGENCE").size();
        owner.record(Client.entry(JUN_9, Client.deed("NOT_POSSIBLE", "putOff", UUID.randomUUID(), "subjectKind",
                "QUEEN", "subject", queen, "job", "CHECK_EMERGENCE")));
        assertThat(stops("CHECK_EMERGENCE")).hasSize(before - 1);
        owner.post("/api/v1/demo/step", Map.of());
        assertThat(stops("CHECK_EMERGENCE")).extracting(one -> one.path("subject").asString())
                .contains(queen.toString());
    }

    @Test
    void a_dud_empties_its_nuc_which_is_then_given_the_next_cell() {
        JsonNode stop = stops("CHECK_EMERGENCE").getFirst();
        String code = stop.path("code").asString();
        owner.record(Client.sight(UUID.fromString(stop.path("subject").asString()), JUN_9, "DUD"));
        assertThat(stops("GIVE_CELL")).extracting(one -> one.path("code").asString()).contains(code);
    }

    @Test
    void late_virgins_are_named_with_odds_and_a_day_to_decide() {
        JsonNode late = owner.get("/api/v1/round").json().path("late");
        assertThat(late).hasSize(3);
        assertThat(late.get(0).path("decideBy").asString()).isEqualTo("2026-06-15");
        assertThat(late.get(0).path("comesGood").asDouble()).isBetween(0.05, 0.95);
    }

    @Test
    void boxes_stay_shut_while_their_queens_may_fly() {
        for (int day = 0; day < 4; day++) {
            owner.post("/api/v1/demo/step", Map.of());
        }
        JsonNode weir = owner.get("/api/v1/round").json().path("yards").get(0);
        assertThat(weir.path("shut")).isNotEmpty();
        assertThat(weir.path("flightsFrom").asString()).startsWith("13:2");
    }

    @Test
    void the_step_into_the_finisher_is_asked_for_after_the_take_was_counted() {
        assertThat(stops("COUNT_TAKE")).hasSize(1);
        UUID graft = UUID.fromString(stops("COUNT_TAKE").getFirst().path("subject").asString());
        owner.tell("GRAFT_STEP_DONE", "graft", graft, "step", "COUNT_TAKE");
        assertThat(stops("COUNT_TAKE")).isEmpty();
        assertThat(stops("MOVE_TO_FINISHER")).hasSize(1);
    }
}
