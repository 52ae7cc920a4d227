package vividcrown.server.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** The file of a weather station, as stations write them: several in one file, gaps, inches and degrees Fahrenheit. */
@ExtendWith(Application.class)
class WeatherFileTest {

    private final Application.Running application;
    private Client crew;

    WeatherFileTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        crew = application.signedIn(application.demo().crewEmail());
    }

    private JsonNode yard(String name) {
        for (JsonNode yard : crew.get("/api/v1/yards").json()) {
            if (yard.path("name").asString().equals(name)) {
                return yard;
            }
        }
        throw new AssertionError("no yard " + name);
    }

    private JsonNode afternoon(String yard, String day) {
        for (JsonNode one : crew.get("/api/v1/yards/" + yard(yard).path("id").asString()).json().path("afternoons")) {
            if (one.path("day").asString().equals(day)) {
                return one;
            }
        }
        throw new AssertionError("no afternoon of " + day);
    }

    @Test
    void days_of_several_yards_are_noted_from_one_file() {
        String csv = """
                day,yard,high_c,high_f,wind_mph,bright,rain_in
                2026-06-07,Weir Bend,,77,4,sun,0
                2026-06-07,Larch Step,14.5,,,cloud,0.4
                2026-06-08,Weir Bend,11,,,,
                """;
        JsonNode preview = crew.post("/api/v1/imports/weather/preview", Map.of("csv", csv)).json();
        assertThat(preview.path("good").asInt()).as(preview.toString()).isEqualTo(3);
        UUID id = UUID.randomUUID();
        Map<String, Object> confirmed = Map.of("csv", csv, "skipBadRows", false);
        assertThat(crew.put("/api/v1/imports/weather/" + id, confirmed).json().path("days").asInt()).isEqualTo(3);
        assertThat(crew.put("/api/v1/imports/weather/" + id, confirmed).status()).as("sent twice").isEqualTo(200);
        JsonNode warm = afternoon("Weir Bend", "2026-06-07");
        assertThat(warm.path("by").asString()).isEqualTo("NOTED");
        assertThat(warm.path("airCelsius").asDouble()).as("77 °F (definition of the scale)").isEqualTo(25.0);
        assertThat(warm.path("fitness").asString()).isEqualTo("GOOD");
        assertThat(afternoon("Weir Bend", "2026-06-08").path("fitness").asString()).as("too cold to fly")
                .isNotEqualTo("GOOD");
        assertThat(afternoon("Larch Step", "2026-06-07").path("airCelsius").asDouble()).isEqualTo(14.5);
    }

    @Test
    void a_bad_day_says_what_to_change_and_the_good_ones_can_go_in() {
        String csv = """
                day,high_c,rain_mm,bright
                2026-06-07,24,0,0.8
                2026-06-07,25,0,0.8
                2026-06-31,20,0,0.8
                2026-07-01,20,0,0.8
                ,20,0,0.8
                2026-06-05,,0,0.8
                2026-06-04,warm,0,0.8
                2026-06-03,20,0,foggy
                2026-06-02,120,0,0.5
                """;
        Map<String, Object> of = Map.of("csv", csv, "yard", yard("Weir Bend").path("id").asString());
        JsonNode preview = crew.post("/api/v1/imports/weather/preview", of).json();
        assertThat(preview.path("good").asInt()).as(preview.toString()).isEqualTo(1);
        assertThat(preview.path("rows").toString()).contains("on line 2 already").contains("2026-06-31")
                .contains("lies ahead").contains("must not be empty").contains("warm").contains("sun, mixed, cloud");
        Client.Answer all = crew.put("/api/v1/imports/weather/" + UUID.randomUUID(), Map.of("csv", csv, "yard",
                yard("Weir Bend").path("id").asString(), "skipBadRows", false));
        assertThat(all.status()).isEqualTo(422);
        assertThat(all.findings()).hasSize(8);
        assertThat(crew.put("/api/v1/imports/weather/" + UUID.randomUUID(), Map.of("csv", csv, "yard",
                yard("Weir Bend").path("id").asString(), "skipBadRows", true)).json().path("days").asInt())
                .isEqualTo(1);
        assertThat(crew.post("/api/v1/imports/weather/preview", Map.of("csv", csv)).json().path("good").asInt())
                .as("whose weather?").isZero();
    }
}
