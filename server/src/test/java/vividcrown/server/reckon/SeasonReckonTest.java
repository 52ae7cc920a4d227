package vividcrown.server.reckon;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

@ExtendWith(Application.class)
class SeasonReckonTest {

    private final Client stranger;

    SeasonReckonTest(Application.Running application) {
        this.stranger = new Client(application.address());
    }

    /** The example in the API's own description. */
    @Test
    void forty_queens_say_how_many_grafts_and_what_holds_them_back() {
        JsonNode needed = stranger.post("/api/v1/reckon/grafts-needed",
                Map.of("product", "MATED_QUEENS", "wanted", 40, "assurance", 0.9, "batches", 3)).json();
        assertThat(needed.path("grafts").asInt()).isBetween(75, 140);
        assertThat(needed.path("chance").asDouble()).isGreaterThanOrEqualTo(0.9);
        assertThat(needed.path("quantiles").path("0.5").asInt()).isGreaterThan(40);
        assertThat(needed.path("steps")).hasSize(4);
        JsonNode given = stranger.post("/api/v1/reckon/grafts-needed",
                Map.of("product", "MATED_QUEENS", "wanted", 40, "batches", 3, "grafts", 60)).json();
        assertThat(given.path("chance").asDouble()).isLessThan(0.5);
    }

    /** The example in the API's own description. */
    @Test
    void an_order_is_counted_back_to_its_graft() {
        JsonNode back = stranger.post("/api/v1/reckon/backward",
                Map.of("product", "LAYING_QUEENS", "delivery", "2026-07-12")).json();
        assertThat(back.path("graft").path("earliest").asString()).isEqualTo("2026-06-13");
        assertThat(back.path("graft").path("likely").asString()).isEqualTo("2026-06-19");
        assertThat(back.path("graft").path("latest").asString()).isEqualTo("2026-06-22");
        assertThat(back.path("calendar").path("steps")).isNotEmpty();
        assertThat(back.path("feasible").asBoolean()).isTrue();
    }

    @Test
    void bad_input_says_what_to_change() {
        assertThat(stranger.post("/api/v1/reckon/grafts-needed", Map.of("product", "VIRGINS", "wanted", 0)).findings())
                .singleElement().asString().contains("wanted must lie between 1 and 1200");
        assertThat(stranger.post("/api/v1/reckon/grafts-needed", Map.of("product", "VIRGINS", "wanted", 5, "counts",
                List.of(Map.of("step", "TAKE", "tried", 3, "succeeded", 4)))).findings()).singleElement().asString()
                .contains("succeeded must lie between 0 and tried (3)");
        assertThat(stranger.post("/api/v1/reckon/backward",
                Map.of("product", "VIRGINS", "delivery", "2026-06-01", "today", "2026-06-02")).findings())
                .singleElement().asString().contains("has passed; today is");
    }
}
