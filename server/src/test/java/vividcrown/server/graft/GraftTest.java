package vividcrown.server.graft;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

@ExtendWith(Application.class)
class GraftTest {

    private final Application.Running application;
    private Client owner;

    GraftTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        owner = application.signedIn(application.demo().ownerEmail());
    }

    private Map<String, Object> plan() {
        Map<String, Object> plan = new HashMap<>();
        plan.put("mother", owner.get("/api/v1/queens/breeders").json().get(0).path("id").asString());
        plan.put("builder", owner.get("/api/v1/builders").json().get(0).path("id").asString());
        plan.put("grafter", "Ilva");
        plan.put("plannedFor", "2026-06-09T14:00:00+02:00");
        plan.put("larvaAge", "FROM_12_TO_24_H");
        plan.put("placing", "CELLS_TO_NUCS");
        plan.put("bars", 3);
        plan.put("cupsPerBar", 15);
        plan.put("done", true);
        return plan;
    }

    private Client.Answer put(UUID id, Map<String, Object> plan) {
        return owner.put("/api/v1/grafts/" + id, plan);
    }

    @Test
    void every_cup_has_a_row_with_its_mother_and_the_next_code() {
        UUID id = UUID.randomUUID();
        assertThat(put(id, plan()).status()).isEqualTo(204);
        var page = owner.get("/api/v1/grafts/" + id).json();
        assertThat(page.path("graft").path("code").asString()).isEqualTo("26-08");
        assertThat(page.path("cups")).hasSize(45);
        assertThat(page.path("cups").get(44).path("code").asString()).isEqualTo("26-08-315");
        assertThat(page.path("cups").get(0).path("mother").asString()).isEqualTo("Orla");
    }

    @Test
    void a_plan_sent_twice_is_one_plan() {
        UUID id = UUID.randomUUID();
        put(id, plan());
        put(id, plan());
        assertThat(owner.get("/api/v1/grafts").json()).hasSize(8);
    }

    @Test
    void a_graft_that_lies_ahead_is_planned_but_not_done() {
        Map<String, Object> tomorrow = plan();
        tomorrow.put("plannedFor", "2026-06-10T14:00:00+02:00");
        UUID id = UUID.randomUUID();
        Client.Answer refused = put(id, tomorrow);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.findings()).containsExactly(
                "A graft on 2026-06-10 lies ahead; today is 2026-06-09. Plan it instead, or change the day.");
        tomorrow.put("done", false);
        assertThat(put(id, tomorrow).status()).isEqualTo(204);
        assertThat(owner.post("/api/v1/grafts/" + id + "/done", Map.of("graftedAt", "2026-06-10T14:00:00+02:00"))
                .status()).isEqualTo(422);
    }

    @Test
    void everything_wrong_with_a_plan_is_said_at_once() {
        Map<String, Object> plan = plan();
        plan.put("bars", 4);
        plan.put("cupsPerBar", 20);
        plan.put("mother", UUID.randomUUID());
        assertThat(put(UUID.randomUUID(), plan).findings()).containsExactly(
                "80 cups are more than 45, the most that an exceptional builder brings up. Use fewer cups, or two "
                        + "builders.",
                "Choose the breeder queen from the list.");
        plan.remove("larvaAge");
        assertThat(put(UUID.randomUUID(), plan).findings()).containsExactly("larvaAge must not be null.");
    }

    @Test
    void a_cancelled_plan_is_not_grafted_and_a_done_graft_not_cancelled() {
        UUID id = UUID.randomUUID();
        Map<String, Object> plan = plan();
        plan.put("done", false);
        put(id, plan);
        owner.post("/api/v1/grafts/" + id + "/cancel", Map.of());
        assertThat(owner.post("/api/v1/grafts/" + id + "/done", Map.of("graftedAt", "2026-06-09T14:00:00+02:00"))
                .findings()).containsExactly("Graft 26-08 was cancelled. Plan a new one.");
        UUID done = UUID.randomUUID();
        put(done, plan());
        assertThat(owner.post("/api/v1/grafts/" + done + "/cancel", Map.of()).findings().getFirst())
                .startsWith("Graft 26-09 was done");
    }

    @Test
    void the_rates_rest_on_own_counts() {
        var take = owner.get("/api/v1/grafts/rates").json().get(0);
        // five counted batches of the demo: 39 + 37 + 19 + 40 + 38 of 225
        assertThat(take.path("tried").asInt()).isEqualTo(225);
        assertThat(take.path("mean").asDouble()).isBetween(173.0 / 225 - 0.01, 173.0 / 225 + 0.01);
    }
}
