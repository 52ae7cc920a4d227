package vividcrown.server.yard;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** Yards, what they are like and what their weather was. The demo's day is 9 June 2026. */
@ExtendWith(Application.class)
class YardTest {

    private final Application.Running application;
    private Application.Demo demo;
    private Client owner;

    YardTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        demo = application.demo();
        owner = application.signedIn(demo.ownerEmail());
    }

    private String opened(double latitude, int metres) {
        String id = UUID.randomUUID().toString();
        assertThat(
                owner.tell("YARD_OPENED", "yard", id, "name", "New ground", "prefix", "N", "walkOrder", 9, "latitude",
                        latitude, "longitude", 9.0, "elevationMetres", metres, "caution", "").status())
                .isEqualTo(200);
        return id;
    }

    private JsonNode page(String yard) {
        return owner.get("/api/v1/yards/" + yard).json();
    }

    private JsonNode afternoon(String yard, String day) {
        return page(yard).path("afternoons").valueStream().filter(one -> one.path("day").asString().equals(day))
                .findFirst().orElseThrow();
    }

    @Test
    void nobody_measured_so_nothing_is_said_of_the_weather_but_the_odds_of_the_climate() {
        JsonNode yesterday = afternoon(opened(46.2, 600), "2026-06-08");
        assertThat(yesterday.path("by").asString()).isEqualTo("CLIMATE");
        assertThat(yesterday.has("fitness")).isFalse();
        assertThat(yesterday.has("airCelsius")).isFalse();
        assertThat(yesterday.path("odds").asDouble()).isBetween(0.4, 0.7);
    }

    /** Common practice: June is winter in the south. */
    @Test
    void the_south_has_its_own_season() {
        assertThat(afternoon(opened(-38, 100), "2026-06-12").path("odds").asDouble()).isLessThan(0.25);
        assertThat(afternoon(opened(38, 100), "2026-06-12").path("odds").asDouble()).isGreaterThan(0.75);
    }

    @Test
    void a_climate_that_was_not_said_is_the_likeliest_and_own_highs_go_before_it() {
        String yard = opened(52, 80);
        assertThat(page(yard).path("place").path("climate").asString()).isEqualTo("CONTINENTAL");
        assertThat(page(yard).path("place").path("climateSaid").asBoolean()).isFalse();
        assertThat(owner.tell("YARD_CLIMATE_SAID", "yard", yard, "climate", "COOL_MARITIME", "ownHighs",
                List.of(9, 9, 11, 12, 14, 15, 15, 15, 15, 13, 11, 9)).status()).isEqualTo(200);
        assertThat(page(yard).path("place").path("climateSaid").asBoolean()).isTrue();
        assertThat(afternoon(yard, "2026-06-12").path("odds").asDouble()).as("never over 15 degrees").isLessThan(0.15);
        assertThat(owner.tell("YARD_CLIMATE_SAID", "yard", yard, "climate", "UPLAND", "ownHighs", List.of(1, 2))
                .findings()).singleElement().asString().contains("twelve");
    }

    @Test
    void what_was_noted_goes_before_the_station_and_can_be_taken_back() {
        String yard = owner.get("/api/v1/yards").json().get(0).path("id").asString();
        assertThat(afternoon(yard, "2026-06-08").path("by").asString()).isEqualTo("STATION");
        Map<String, Object> noted = Client.entry(LocalDate.of(2026, 6, 9),
                Client.deed("YARD_WEATHER_NOTED", "yard", yard,
                        "days", List.of(Map.of("day", "2026-06-08", "highCelsius", 24.5, "rainMillimetres", 12))));
        JsonNode before = afternoon(yard, "2026-06-08");
        assertThat(owner.record(noted).status()).isEqualTo(200);
        JsonNode after = afternoon(yard, "2026-06-08");
        assertThat(after.path("by").asString()).isEqualTo("NOTED");
        assertThat(after.path("fitness").asString()).as("it rained").isEqualTo("UNFIT");
        assertThat(after.path("airCelsius").asDouble()).isEqualTo(24.5);
        assertThat(owner.record(Client.withdrawal(noted, LocalDate.of(2026, 6, 9))).status()).isEqualTo(200);
        assertThat(afternoon(yard, "2026-06-08")).isEqualTo(before);
    }

    @Test
    void nobody_notes_the_weather_of_tomorrow_nor_of_a_day_that_no_calendar_has() {
        String yard = owner.get("/api/v1/yards").json().get(0).path("id").asString();
        assertThat(owner.tell("YARD_WEATHER_NOTED", "yard", yard, "days",
                List.of(Map.of("day", "2026-06-09", "seemed", "GOOD"), Map.of("day", "2026-06-10", "seemed", "GOOD")))
                .findings()).singleElement().asString().contains("2026-06-10 lies ahead");
        assertThat(owner.tell("YARD_WEATHER_NOTED", "yard", yard, "days",
                List.of(Map.of("day", "+999999999-12-31", "seemed", "GOOD"))).status()).isEqualTo(422);
    }

    @Test
    void two_taps_are_enough_and_the_round_says_who_says_so() {
        JsonNode stops = owner.get("/api/v1/round").json().path("yards").get(0);
        String yard = stops.path("yard").asString();
        assertThat(stops.path("weatherBy").asString()).isEqualTo("STATION");
        owner.tell("YARD_STATION_SWITCHED", "yard", yard, "on", false);
        JsonNode byClimate = owner.get("/api/v1/round").json().path("yards").get(0);
        assertThat(byClimate.path("weatherBy").asString()).isEqualTo("CLIMATE");
        assertThat(byClimate.has("airCelsius")).as("a degree that nobody measured").isFalse();
        owner.tell("YARD_WEATHER_NOTED", "yard", yard, "days", List.of(Map.of("day", "2026-06-09", "seemed", "GOOD")));
        JsonNode tapped = owner.get("/api/v1/round").json().path("yards").get(0);
        assertThat(tapped.path("weather").asString()).isEqualTo("GOOD");
        assertThat(tapped.path("weatherBy").asString()).isEqualTo("NOTED");
    }

    @Test
    void a_yard_is_closed_when_nothing_stands_in_it_and_opened_again() {
        String demos = owner.get("/api/v1/yards").json().get(0).path("id").asString();
        assertThat(owner.tell("YARD_CLOSED", "yard", demos).findings()).singleElement().asString()
                .contains("hives stand there: ").contains("Move or end them first");
        String yard = opened(46, 500);
        assertThat(owner.tell("YARD_CLOSED", "yard", yard).status()).isEqualTo(200);
        assertThat(page(yard).path("place").path("closedOn").asString()).isEqualTo("2026-06-09");
        // no hive with a sign of disease goes to another yard
        String hive = owner.get("/api/v1/colonies").json().valueStream().filter(one -> !one.path("stop").asBoolean())
                .findFirst().orElseThrow().path("id").asString();
        assertThat(owner.tell("HIVE_MOVED", "hive", hive, "yard", yard, "position", 1).findings()).singleElement()
                .asString().contains("New ground is closed");
        owner.tell("YARD_OPENED", "yard", yard, "name", "New ground", "prefix", "N", "walkOrder", 9, "latitude", 46,
                "longitude", 9.0, "elevationMetres", 500, "caution", "");
        assertThat(page(yard).path("place").has("closedOn")).isFalse();
        assertThat(owner.tell("HIVE_MOVED", "hive", hive, "yard", yard, "position", 1).status()).isEqualTo(200);
    }

    @Test
    void crew_note_weather_and_site_but_open_and_close_nothing() {
        Client crew = application.signedIn(demo.crewEmail());
        String yard = owner.get("/api/v1/yards").json().get(0).path("id").asString();
        assertThat(crew.tell("YARD_SITE_DESCRIBED", "yard", yard, "conditions", List.of("LIVESTOCK"), "rules",
                "Shut the gate.").status()).isEqualTo(200);
        assertThat(page(yard).path("place").path("rules").asString()).isEqualTo("Shut the gate.");
        assertThat(crew.tell("YARD_CLOSED", "yard", yard).status()).isEqualTo(403);
        assertThat(crew.tell("YARD_CLIMATE_SAID", "yard", yard, "climate", "UPLAND", "ownHighs", List.of()).status())
                .isEqualTo(403);
    }

    @Test
    void the_owner_says_whose_virgins_mate_at_a_yard_and_how_far_it_is() {
        Client crew = application.signedIn(demo.crewEmail());
        String yard = owner.get("/api/v1/yards").json().valueStream()
                .filter(one -> one.path("name").asString().equals("Larch Step")).findFirst().orElseThrow().path("id")
                .asString();
        assertThat(page(yard).path("place").path("driveSaid").asBoolean()).isFalse();
        assertThat(page(yard).path("place").path("driveMinutes").asInt()).as("7 km from Weir Bend as the bees fly")
                .isBetween(25, 45);
        assertThat(crew.tell("YARD_MATING_SAID", "yard", yard, "lines", List.of("Larch")).status()).isEqualTo(403);
        assertThat(owner.tell("YARD_MATING_SAID", "yard", yard, "lines", List.of("Scree"), "driveMinutes", 50)
                .status()).isEqualTo(200);
        assertThat(page(yard).path("place").path("matingLines").get(0).asString()).isEqualTo("Scree");
        assertThat(page(yard).path("place").path("driveMinutes").asInt()).isEqualTo(50);
        assertThat(owner.tell("YARD_MATING_SAID", "yard", yard, "lines", List.of(""), "driveMinutes", 900).findings())
                .hasSize(2);
        // the season knows it: what is kept for one line is not there for the others
        JsonNode yards = owner.get("/api/v1/season").json().path("yards");
        assertThat(yards.valueStream().map(one -> one.path("yard").asString()))
                .containsExactly("Weir Bend", "Quarry Terrace", "Larch Step");
        assertThat(yards.get(2).path("reasons").get(0).path("text").asString()).startsWith("Kept for Scree");
    }

    @Test
    void what_bees_find_is_said_by_somebody_or_read_from_fresh_nectar() {
        JsonNode yards = owner.get("/api/v1/yards").json();
        String quarry = yards.valueStream().filter(one -> one.path("name").asString().equals("Quarry Terrace"))
                .findFirst().orElseThrow().path("id").asString();
        JsonNode read = page(quarry).path("place").path("flow");
        assertThat(read.path("by").asString()).as("the demo's hives there were read frame by frame")
                .isEqualTo("NECTAR");
        assertThat(owner.tell("YARD_FLOW_SAID", "yard", quarry, "flow", "DEARTH").status()).isEqualTo(200);
        JsonNode said = page(quarry).path("place").path("flow");
        assertThat(said.path("flow").asString()).isEqualTo("DEARTH");
        assertThat(said.path("by").asString()).isEqualTo("SAID");
        assertThat(page(opened(46.2, 600)).path("place").has("flow")).as("nobody knows").isFalse();
    }

    @Test
    void what_was_said_of_the_flow_is_believed_for_some_days_only() {
        String yard = opened(46.2, 600);
        assertThat(owner.tell(LocalDate.of(2026, 5, 20), "YARD_FLOW_SAID", "yard", yard, "flow", "STRONG").status())
                .isEqualTo(200);
        assertThat(page(yard).path("place").has("flow")).isFalse();
        assertThat(owner.tell(LocalDate.of(2026, 6, 2), "YARD_FLOW_SAID", "yard", yard, "flow", "GOOD").status())
                .isEqualTo(200);
        assertThat(page(yard).path("place").path("flow").path("on").asString()).isEqualTo("2026-06-02");
    }
}
