package vividcrown.server.mite;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.server.support.Client.deed;
import static vividcrown.server.support.Client.entry;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Mites counted, treatments in and out, brood stops, over the API. */
@ExtendWith(Application.class)
class MiteTest {

    private final Application.Running application;
    private Client owner;
    private LocalDate today;

    MiteTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        owner = application.signedIn(application.demo().ownerEmail());
        today = LocalDate.parse(owner.get("/api/v1/session").json().path("today").asString());
    }

    private Client.Answer tell(Map<String, Object> deed) {
        return owner.post("/api/v1/journal", Map.of("entries", List.of(entry(today, deed))));
    }

    private String hive(String code) {
        return owner.get("/api/v1/hives").json().valueStream().filter(one -> one.path("code").asString().equals(code))
                .findFirst().orElseThrow().path("id").asString();
    }

    private JsonNode mites(String code) {
        return owner.get("/api/v1/mites").json().path("hives").valueStream()
                .filter(one -> one.path("code").asString().equals(code)).findFirst().orElseThrow();
    }

    private Map<String, Object> wash(String code, int mites, int bees, boolean queenSafe) {
        return deed("MITES_COUNTED", "hive", hive(code), "way", "WASH", "mites", mites, "second", 0, "bees", bees,
                "estimated", false, "queenSafe", queenSafe, "openBrood", true);
    }

    /** Nine of 300: three per cent, exact interval 1.4–5.6 (Clopper & Pearson 1934). */
    @Test
    void a_wash_is_a_percentage_with_its_interval_what_rules_say_and_what_becomes_of_it() {
        assertThat(tell(wash("H 3", 9, 300, true)).status()).isEqualTo(200);
        JsonNode found = mites("H 3");
        JsonNode percent = found.path("counts").get(0).path("percent");
        assertThat(percent.path("likely").asDouble()).isEqualTo(3);
        assertThat(percent.path("least").asDouble()).isBetween(1.36, 1.40);
        assertThat(percent.path("most").asDouble()).isBetween(5.60, 5.65);
        assertThat(found.path("rules").valueStream().map(one -> one.path("says").asString())).containsOnly("ACT");
        assertThat(found.path("course").path("percent").path("likely").asDouble()).isGreaterThan(6);
    }

    @Test
    void the_operations_own_rule_stands_beside_the_trades() {
        tell(wash("H 3", 4, 300, true));
        assertThat(mites("H 3").path("rules")).hasSize(2);
        JsonNode page = owner.get("/api/v1/settings").json();
        Map<String, Object> settings = new HashMap<>(
                JsonMapper.shared().convertValue(page.path("settings"), Map.class));
        settings.put("mitePercent", 1.2);
        settings.put("authority", "Bee inspector of the valley, 000 11 22");
        Client.Answer answer = tell(
                deed("SETTINGS_CHANGED", "operation", owner.get("/api/v1/store").json().path("operation").asString(),
                        "settings", settings));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        assertThat(mites("H 3").path("rules").valueStream().map(one -> one.path("school").asString())).contains("OWN");
        assertThat(mites("H 3").path("disagree").asBoolean()).isTrue();
        assertThat(owner.get("/api/v1/settings").json().path("settings").path("authority").asString())
                .startsWith("Bee inspector");
    }

    @Test
    void what_cannot_be_is_refused_and_an_unseen_queen_is_told() {
        Client.Answer none = tell(wash("H 3", 10, 0, true));
        assertThat(none.status()).as(none.text()).isIn(400, 422);
        assertThat(none.text()).contains("bees");
        assertThat(tell(wash("H 3", 2, 300, false)).status()).isEqualTo(200);
        assertThat(mites("H 3").path("counts").get(0).path("cautions").toString()).contains("may have been washed")
                .contains(String.valueOf(today.plusDays(4).getDayOfMonth()));
    }

    @Test
    void a_count_that_is_corrected_counts_once_and_both_are_kept() {
        Map<String, Object> first = entry(today, wash("H 3", 90, 300, true));
        owner.post("/api/v1/journal", Map.of("entries", List.of(first)));
        Map<String, Object> mended = new HashMap<>(entry(today, wash("H 3", 9, 300, true)));
        mended.put("corrects", first.get("id"));
        Client.Answer answer = owner.post("/api/v1/journal", Map.of("entries", List.of(mended)));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        assertThat(mites("H 3").path("counts")).hasSize(1);
        assertThat(mites("H 3").path("counts").get(0).path("mites").asInt()).isEqualTo(9);
    }

    /** Combs of a hive under treatment, or whose honey is held, go nowhere (common practice; label and law decide). */
    @Test
    void a_treated_hive_gives_nothing_until_the_label_lets_it() {
        assertThat(donors()).contains("H 1");
        tell(deed("TREATMENT_IN", "hive", hive("H 1"), "what", "strips", "honeyUntil", today.plusDays(30).toString()));
        assertThat(mites("H 1").path("treatment").asString()).isEqualTo("strips");
        assertThat(donors()).doesNotContain("H 1");
        tell(deed("TREATMENT_OUT", "hive", hive("H 1")));
        assertThat(mites("H 1").path("treatment").isMissingNode()).isTrue();
        assertThat(donors()).as("its honey is held still").doesNotContain("H 1");
    }

    private List<String> donors() {
        return owner.post("/api/v1/splits/plan", Map.of("recipe", "CELL_NUC", "queens", 10)).json().path("plan")
                .path("donors").valueStream().map(one -> one.path("code").asString()).toList();
    }

    @Test
    void a_planned_treatment_is_kept_until_it_is_planned_no_longer() {
        assertThat(mites("H 9").has("planned")).isTrue();
        tell(deed("TREATMENT_NOT_PLANNED", "hive", hive("H 9")));
        assertThat(mites("H 9").has("planned")).isFalse();
        // a board tells of the colony, not of its bees
        assertThat(mites("H 9").path("counts").get(0).has("percent")).isFalse();
        assertThat(mites("H 9").path("counts").get(0).path("inAll").path("likely").asDouble()).isPositive();
    }

    /** Sealed worker brood is gone 21 days after the last egg, drone brood after 24 (common practice). */
    @Test
    void a_brood_stop_says_its_days_worker_and_drone_apart_and_its_cost() {
        JsonNode stop = owner.get("/api/v1/mites/brood-stop?days=28&hive=" + hive("H 1")).json();
        assertThat(stop.path("release").asString()).isEqualTo(today.plusDays(28).toString());
        LocalDate worker = LocalDate.parse(stop.path("brood").path("worker").path("likelyFrom").asString());
        LocalDate drone = LocalDate.parse(stop.path("brood").path("drone").path("likelyFrom").asString());
        assertThat(worker).isEqualTo(today.plusDays(21));
        assertThat(drone).isEqualTo(today.plusDays(24));
        assertThat(stop.path("brood").path("bees").path("likely").asDouble()).isGreaterThan(20_000);
        assertThat(stop.path("brood").path("acts").toString()).contains("Honey boxes off");
        assertThat(stop.has("caution")).isFalse();
        assertThat(owner.get("/api/v1/mites/brood-stop?days=28&hive=" + hive("H 6")).json().path("caution").asString())
                .contains("no queen lays");
        assertThat(owner.get("/api/v1/mites/brood-stop?days=90&hive=" + hive("H 1")).status()).isEqualTo(400);
    }

    @Test
    void a_queen_caged_as_a_brood_stop_is_let_out_on_the_round_and_lays_no_eggs_meanwhile_without_fault() {
        String hive = hive("H 8");
        assertThat(tell(deed("BROOD_STOPPED", "hive", hive, "release", today.toString())).text())
                .contains("choose a later day");
        Client.Answer caged = owner.post("/api/v1/journal", Map.of("entries",
                List.of(entry(today.minusDays(10), deed("BROOD_STOPPED", "hive", hive, "release", today.toString())))));
        assertThat(caged.status()).as(caged.text()).isEqualTo(200);
        assertThat(mites("H 8").path("release").asString()).isEqualTo(today.toString());
        assertThat(owner.get("/api/v1/round").text()).contains("RELEASE_QUEEN");
        tell(deed("HIVE_READ", "hive", hive, "notes", Map.of("absent", List.of("EGGS"))));
        assertThat(owner.get("/api/v1/colonies/" + hive).json().path("verdict").path("leading").asString())
                .isEqualTo("LAYING_QUEEN");
        tell(deed("HAPPENED", "hive", hive, "event", "QUEEN_RELEASED"));
        assertThat(mites("H 8").has("release")).isFalse();
        assertThat(owner.get("/api/v1/round").text()).doesNotContain("RELEASE_QUEEN");
    }

    private JsonNode hiveMites(String code) {
        return owner.get("/api/v1/mites/" + hive(code)).json();
    }

    private void happened(String code, String event) {
        Client.Answer answer = tell(deed("HAPPENED", "hive", hive(code), "event", event));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    /** The last worker is out 20–22 days after the last egg, the last drone 23–25 (Winston 1987, from memory). */
    @Test
    void the_page_of_a_hive_draws_the_days_without_sealed_brood_as_soon_as_something_stops_it() {
        assertThat(hiveMites("H 11").has("brood")).as("a queen who lays").isFalse();
        happened("H 11", "QUEEN_REMOVED");
        JsonNode removed = hiveMites("H 11");
        assertThat(removed.path("why").asString()).startsWith("No brood is laid");
        LocalDate lastEgg = LocalDate.parse(removed.path("brood").path("lastEgg").path("latest").asString());
        assertThat(lastEgg).isBetween(today.minusDays(1), today);
        assertThat(LocalDate.parse(removed.path("brood").path("worker").path("sureFrom").asString()))
                .isEqualTo(lastEgg.plusDays(22));
        assertThat(LocalDate.parse(removed.path("brood").path("drone").path("sureFrom").asString()))
                .isEqualTo(lastEgg.plusDays(25));
    }

    @Test
    void a_brood_stop_counts_from_the_day_she_was_caged_and_ends_when_she_lays_again() {
        String h3 = hive("H 3");
        Client.Answer caged = tell(deed("BROOD_STOPPED", "hive", h3, "release", today.plusDays(25).toString()));
        assertThat(caged.status()).as(caged.text()).isEqualTo(200);
        JsonNode stopped = hiveMites("H 3");
        assertThat(stopped.path("why").asString()).contains("caged since");
        assertThat(stopped.path("brood").path("lastEgg").path("likely").asString()).isEqualTo(today.toString());
        assertThat(stopped.path("brood").path("firstEgg").path("earliest").asString())
                .isEqualTo(today.plusDays(26).toString());
    }

    /** Drone brood goes on under a drone layer: no treatment window opens (common practice). */
    @Test
    void under_a_drone_layer_there_is_no_day_without_sealed_brood() {
        String layer = owner.get("/api/v1/colonies").json().valueStream()
                .filter(one -> one.path("leading").asString().equals("DRONE_LAYER")
                        || one.path("leading").asString().equals("LAYING_WORKERS"))
                .findFirst().orElseThrow().path("code").asString();
        JsonNode found = hiveMites(layer);
        assertThat(found.has("brood")).isFalse();
        assertThat(found.path("why").asString()).contains("Drone brood goes on");
    }

    @Test
    void a_hive_weaker_than_the_code_of_the_place_allows_is_told_so() {
        JsonNode counted = owner.get("/api/v1/colonies").json().valueStream()
                .map(one -> owner.get("/api/v1/colonies/" + one.path("id").asString()).json())
                .filter(page -> page.has("strength")).findFirst().orElseThrow();
        String id = counted.path("colony").path("id").asString();
        assertThat(counted.path("strength").has("weak")).isFalse();
        @SuppressWarnings("unchecked")
        Map<String, Object> settings = new HashMap<>(JsonMapper.shared()
                .convertValue(owner.get("/api/v1/settings").json().path("settings"), Map.class));
        double frames = counted.path("strength").path("framesOfBees").asDouble();
        settings.put("weakFrames", Math.min(10, frames + 0.5));
        Client.Answer answer = tell(deed("SETTINGS_CHANGED", "operation",
                owner.get("/api/v1/store").json().path("operation").asString(), "settings", settings));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        assertThat(owner.get("/api/v1/colonies/" + id).json().path("strength").path("weak").asString())
                .contains("has to be managed");
    }
}
