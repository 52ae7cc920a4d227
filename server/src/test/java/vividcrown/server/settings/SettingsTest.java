package vividcrown.server.settings;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.journal.Rebuild;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;
import vividcrown.server.support.ComputedRows;

@ExtendWith(Application.class)
class SettingsTest {

    private static final List<String> CODE = List.of("WHITE", "YELLOW", "RED", "GREEN", "BLUE");

    private static Map<String, Object> settings(List<Map<String, Object>> figures, List<String> marking) {
        return Map.of("figures", figures, "marking", marking, "units", "METRIC", "swarm", "DESTROY_AND_RETURN",
                "season",
                Map.of("hoursADay", 14, "daysOff", List.of("SUNDAY"), "cages", 60, "assurance", 0.9));
    }

    private static Map<String, Object> figure(String name, double earliest, double likely, double latest) {
        return Map.of("figure", name, "earliest", earliest, "likely", likely, "latest", latest);
    }

    @Test
    void an_own_figure_moves_every_date_that_rests_on_it(Application.Running running) {
        Client owner = running.signedIn(running.demo().ownerEmail());
        String before = firstLook(owner);
        Client.Answer changed = changes(owner,
                settings(List.of(figure("FIRST_LOOK", 16, 17, 22)), CODE));
        assertThat(changed.status()).isEqualTo(200);
        String after = firstLook(owner);
        assertThat(LocalDate.parse(after)).isEqualTo(LocalDate.parse(before).plusDays(2));
        assertThat(owner.get("/api/v1/settings").json().path("settings").path("figures").get(0).path("earliest")
                .asDouble()).isEqualTo(16);
    }

    @Test
    void living_queens_are_reckoned_again_beside_the_request(Application.Running running) throws InterruptedException {
        Application.Demo demo = running.demo();
        Client owner = running.signedIn(demo.ownerEmail());
        List<String> before = ComputedRows.of(running, demo.operation()).get("queen_agenda");
        changes(owner, settings(List.of(figure("FIRST_LOOK", 16, 17, 22)), CODE));
        for (int tries = 0; owner.get("/api/v1/settings").json().has("reckoning"); tries++) {
            assertThat(tries).as("it comes to an end").isLessThan(300);
            Thread.sleep(100);
        }
        List<String> after = ComputedRows.of(running, demo.operation()).get("queen_agenda");
        assertThat(after).isNotEqualTo(before);
        running.rebuild(demo.operation());
        assertThat(ComputedRows.of(running, demo.operation()).get("queen_agenda")).isEqualTo(after);
    }

    /** The first look of the next batch of a plan, through the door that a screen uses. */
    private static String firstLook(Client owner) {
        String builder = owner.get("/api/v1/builders").json().get(0).path("id").asString();
        Client.Answer preview = owner.post("/api/v1/grafts/calendar",
                Map.of("builder", builder, "plannedFor", "2026-06-20T10:00:00+02:00", "larvaAge", "FROM_12_TO_24_H",
                        "placing", "CELLS_TO_NUCS"));
        assertThat(preview.status()).as(preview.text()).isEqualTo(200);
        for (var step : preview.json().path("steps")) {
            if (step.path("kind").asString().equals("FIRST_LOOK")) {
                return step.path("when").path("earliest").asString();
            }
        }
        throw new AssertionError("no first look in " + preview.text());
    }

    @Test
    void own_colours_are_shown_for_the_year(Application.Running running) {
        Client owner = running.signedIn(running.demo().ownerEmail());
        String code = owner.list("/api/v1/queens?search=").get(0).path("code").asString();
        String before = owner.queen(code).path("colour").asString();
        changes(owner, settings(List.of(), List.of("BLUE", "GREEN", "WHITE", "YELLOW", "RED")));
        assertThat(owner.queen(code).path("colour").asString()).isNotEqualTo(before);
    }

    @Test
    void what_contradicts_itself_is_refused_with_what_to_change(Application.Running running) {
        Client owner = running.signedIn(running.demo().ownerEmail());
        assertThat(changes(owner, settings(List.of(figure("LATE", 40, 40, 40)), CODE)).findings())
                .singleElement().asString().contains("LATE (40 days)");
        assertThat(changes(owner, settings(List.of(figure("LATE", 22, 21, 21)), CODE)).findings())
                .singleElement().asString().contains("earliest ≤ likely ≤ latest");
        assertThat(changes(owner, settings(List.of(), List.of("WHITE", "WHITE", "RED", "GREEN", "BLUE")))
                .findings()).singleElement().asString().contains("one colour for each of five years, none twice");
    }

    @Test
    void crew_see_the_settings_and_leave_them(Application.Running running) {
        Client crew = running.signedIn(running.demo().crewEmail());
        assertThat(crew.get("/api/v1/settings").json().path("standard").size()).isGreaterThan(15);
        assertThat(changes(crew, settings(List.of(), CODE)).status()).isEqualTo(403);
    }

    private static Client.Answer changes(Client client, Map<String, Object> settings) {
        return client.tell("SETTINGS_CHANGED", "operation",
                client.get("/api/v1/settings").json().path("operation").asString(), "settings", settings);
    }
}
