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
class ReckonTest {

    private final Client stranger;

    ReckonTest(Application.Running application) {
        this.stranger = new Client(application.address());
    }

    /** The example in the API's own description. */
    @Test
    void the_calendar_of_a_graft_carries_spans_reasons_and_sources() {
        JsonNode steps = stranger.post("/api/v1/reckon/graft-calendar", Map.of("graftDay", "2026-06-01")).json()
                .path("steps");
        JsonNode place = step(steps, "PLACE_CELLS");
        assertThat(place.path("when").path("earliest").asString()).isEqualTo("2026-06-11");
        assertThat(place.path("reasons").get(0).path("authority").asString()).isEqualTo("PUBLISHED");
        assertThat(place.path("reasons").get(0).path("fromMemory").asBoolean()).isTrue();
        assertThat(step(steps, "EMERGENCE").path("when").path("latest").asString()).isEqualTo("2026-06-14");
        assertThat(step(steps, "HANDS_OFF_CELLS").path("handsOff").asBoolean()).isTrue();
    }

    private static JsonNode step(JsonNode steps, String kind) {
        for (JsonNode step : steps) {
            if (step.path("kind").asString().equals(kind)) {
                return step;
            }
        }
        throw new AssertionError("no step " + kind);
    }

    /** The example in the API's own description. */
    @Test
    void the_life_of_a_queen_says_what_is_due() {
        JsonNode life = stranger.post("/api/v1/reckon/queen-life",
                Map.of("today", "2026-06-26", "graft", Map.of("graftDay", "2026-06-01"), "events",
                        List.of(Map.of("day", "2026-06-11", "what", "PLACED_IN_NUC"))))
                .json();
        assertThat(life.path("due").path("work").asString()).isEqualTo("LOOK_FOR_EGGS");
        assertThat(life.path("due").path("window").path("earliest").asString()).isEqualTo("2026-06-25");
        assertThat(life.path("due").path("window").path("latest").asString()).isEqualTo("2026-07-02");
    }

    @Test
    void contradictions_are_named_by_their_place_in_the_list() {
        JsonNode life = stranger.post("/api/v1/reckon/queen-life",
                Map.of("today", "2026-06-26", "graft", Map.of("graftDay", "2026-06-01"), "events",
                        List.of(Map.of("day", "2026-06-02", "what", "TOOK"),
                                Map.of("day", "2026-06-05", "what", "EMERGED"))))
                .json();
        assertThat(life.path("contradictions")).hasSize(1);
        assertThat(life.path("contradictions").get(0).path("event").asInt()).isEqualTo(1);
    }

    @Test
    void bad_input_says_what_to_change() {
        assertThat(stranger.post("/api/v1/reckon/queen-life", Map.of("today", "2026-06-26")).findings())
                .containsExactly("Say how her record begins: give graft, or known.");
        assertThat(stranger.post("/api/v1/reckon/graft-calendar", Map.of("larvaAge", "UNDER_12_H")).findings())
                .containsExactly("graftDay must not be null.");
        assertThat(stranger.post("/api/v1/reckon/graft-calendar",
                Map.of("graftDay", "2026-06-01", "incubatorCelsius", 70)).findings())
                .containsExactly("incubatorCelsius must lie between 20 and 45 °C, but is 70.0");
        assertThat(stranger.post("/api/v1/reckon/graft-calendar", Map.of("graftDay", "1 June")).status())
                .isEqualTo(400);
        assertThat(stranger.post("/api/v1/reckon/queen-life",
                Map.of("today", "2026-06-01", "graft", Map.of("graftDay", "2026-06-01"), "events",
                        List.of(Map.of("day", "2026-06-05", "what", "TOOK"))))
                .findings()).containsExactly("2026-06-05 lies after today (2026-06-01). Change one of the two.");
    }
}
