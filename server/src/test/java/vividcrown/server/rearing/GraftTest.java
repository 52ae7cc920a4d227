package vividcrown.server.rearing;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.server.support.Client.deed;
import static vividcrown.server.support.Client.entry;
import static vividcrown.server.support.Client.withdrawal;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

@ExtendWith(Application.class)
class GraftTest {

    private static final LocalDate JUN_9 = LocalDate.of(2026, 6, 9);

    private final Application.Running application;
    private Client owner;

    GraftTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        owner = application.signedIn(application.demo().ownerEmail());
    }

    private Map<String, Object> plan(UUID id) {
        return deed("GRAFT_PLANNED", "graft", id, "code", "", "mother",
                owner.get("/api/v1/queens/breeders").json().get(0).path("id").asString(), "builder",
                owner.get("/api/v1/builders").json().get(0).path("id").asString(), "grafter", "Ilva", "plannedFor",
                "2026-06-09T14:00:00+02:00", "larvaAge", "FROM_12_TO_24_H", "placing", "CELLS_TO_NUCS",
                "incubatorCelsius", 34.5, "bars", 3, "cupsPerBar", 15, "fixed", true);
    }

    private UUID planned() {
        UUID id = UUID.randomUUID();
        assertThat(owner.record(entry(JUN_9, plan(id))).status()).isEqualTo(200);
        return id;
    }

    private JsonNode page(UUID id) {
        return owner.get("/api/v1/grafts/" + id).json();
    }

    @Test
    void every_cup_has_a_row_with_its_mother_and_the_next_code() {
        UUID id = UUID.randomUUID();
        assertThat(owner.record(List.of(entry(JUN_9, plan(id)), entry(JUN_9, deed("GRAFT_DONE", "graft", id))), false)
                .status()).isEqualTo(200);
        var page = page(id);
        assertThat(page.path("graft").path("code").asString()).isEqualTo("26-08");
        assertThat(page.path("cups")).hasSize(45);
        assertThat(page.path("cups").get(44).path("code").asString()).isEqualTo("26-08-315");
        assertThat(page.path("cups").get(0).path("mother").asString()).isEqualTo("Orla");
    }

    @Test
    void two_plans_in_one_go_have_codes_of_their_own_and_a_changed_plan_keeps_its_code() {
        UUID one = UUID.randomUUID();
        UUID two = UUID.randomUUID();
        owner.record(List.of(entry(JUN_9, plan(one)), entry(JUN_9, plan(two))), false);
        assertThat(page(one).path("graft").path("code").asString()).isEqualTo("26-08");
        assertThat(page(two).path("graft").path("code").asString()).isEqualTo("26-09");
        Map<String, Object> changed = plan(one);
        changed.put("bars", 2);
        owner.record(entry(JUN_9, changed));
        assertThat(page(one).path("graft").path("code").asString()).isEqualTo("26-08");
        assertThat(page(one).path("graft").path("bars").asInt()).isEqualTo(2);
    }

    @Test
    void a_plan_sent_twice_is_one_plan() {
        Map<String, Object> once = entry(JUN_9, plan(UUID.randomUUID()));
        owner.record(once);
        owner.record(once);
        assertThat(owner.list("/api/v1/grafts")).hasSize(8);
    }

    @Test
    void a_graft_that_lies_ahead_is_planned_but_not_done() {
        UUID id = planned();
        Client.Answer refused = owner.tell(JUN_9.plusDays(1), "GRAFT_DONE", "graft", id);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.findings())
                .containsExactly("2026-06-10 lies ahead; today is 2026-06-09. Change the day to one that has been.");
    }

    @Test
    void everything_wrong_with_a_plan_is_said_at_once() {
        Map<String, Object> plan = plan(UUID.randomUUID());
        plan.put("bars", 4);
        plan.put("cupsPerBar", 40);
        plan.put("incubatorCelsius", 60);
        assertThat(owner.record(entry(JUN_9, plan)).findings()).containsExactly(
                "incubatorCelsius must lie between 20 and 45, but is 60.",
                "cupsPerBar must lie between 1 and 30, but is 40.",
                "160 cups are more than 45, the most that an exceptional builder brings up: use fewer cups, or two "
                        + "builders.");
        Map<String, Object> lacking = plan(UUID.randomUUID());
        lacking.remove("larvaAge");
        lacking.put("mother", UUID.randomUUID());
        assertThat(owner.record(entry(JUN_9, lacking)).findings()).singleElement().asString().startsWith("larvaAge: ");
        lacking.put("larvaAge", "UNDER_12_H");
        assertThat(owner.record(entry(JUN_9, lacking)).findings()).singleElement().asString()
                .startsWith("There is no queen with the id");
        Map<String, Object> farOff = plan(UUID.randomUUID());
        farOff.put("plannedFor", "9999-01-01T10:00:00Z");
        assertThat(owner.record(entry(JUN_9, farOff)).findings()).singleElement().asString()
                .contains("more than 2 years off");
    }

    @Test
    void what_is_done_and_cancelled_at_once_is_one_of_the_two_and_the_other_is_told() {
        UUID id = planned();
        CompletableFuture<Client.Answer> done = CompletableFuture
                .supplyAsync(() -> owner.tell("GRAFT_DONE", "graft", id));
        CompletableFuture<Client.Answer> cancelled = CompletableFuture
                .supplyAsync(() -> owner.tell("GRAFT_CANCELLED", "graft", id));
        assertThat(List.of(done.join().status(), cancelled.join().status())).containsExactlyInAnyOrder(200, 409);
        JsonNode graft = page(id).path("graft");
        assertThat(graft.path("grafted").asBoolean()).isNotEqualTo(graft.path("cancelled").asBoolean());
    }

    @Test
    void a_cancelled_plan_is_not_grafted_unless_somebody_insists_and_a_graft_taken_back_takes_its_cups_along() {
        UUID id = planned();
        owner.tell("GRAFT_CANCELLED", "graft", id);
        Map<String, Object> done = entry(JUN_9, deed("GRAFT_DONE", "graft", id));
        assertThat(owner.record(done).findings()).singleElement().asString()
                .startsWith("This graft was cancelled before.");
        assertThat(owner.record(List.of(done), true).status()).isEqualTo(200);
        assertThat(page(id).path("cups")).hasSize(45);
        owner.record(withdrawal(done, JUN_9));
        assertThat(page(id).path("cups")).isEmpty();
        assertThat(page(id).path("graft").path("grafted").asBoolean()).isFalse();
    }

    @Test
    void the_rates_rest_on_own_counts() {
        var take = owner.get("/api/v1/grafts/rates").json().get(0);
        // five counted batches of the demo: 39 + 37 + 19 + 40 + 38 of 225
        assertThat(take.path("tried").asInt()).isEqualTo(225);
        assertThat(take.path("mean").asDouble()).isBetween(173.0 / 225 - 0.01, 173.0 / 225 + 0.01);
    }
}
