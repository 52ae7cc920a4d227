package vividcrown.server.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** The week ahead over the API: the operation's own, and for whoever asks without a record. Common practice. */
@ExtendWith(Application.class)
class WeekAheadApiTest {

    private final Application.Running application;
    private Client anybody;

    WeekAheadApiTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        anybody = new Client(application.address());
    }

    private static Map<String, Object> season(Object... more) {
        Map<String, Object> season = new HashMap<>(Map.of("today", "2026-05-04", "nucs", 100, "breeders",
                List.of(Map.of("id", "Runa", "line", "dark")), "builders",
                List.of(Map.of("id", "B 1", "load", 45), Map.of("id", "B 2", "load", 45)), "demands", List.of(
                        Map.of("id", "forty", "product", "MATED_QUEENS", "count", 40, "until", "2026-06-05"))));
        for (int at = 0; at < more.length; at += 2) {
            season.put(String.valueOf(more[at]), more[at + 1]);
        }
        return season;
    }

    private JsonNode week(Map<String, Object> season) {
        Client.Answer answer = anybody.post("/api/v1/reckon/week-ahead", Map.of("season", season));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private static int cups(JsonNode week) {
        return week.path("grafts").valueStream().mapToInt(one -> one.path("cups").asInt()).sum();
    }

    @Test
    void a_season_asked_without_a_record_gets_its_week_with_reasons() {
        JsonNode week = week(season());
        assertThat(cups(week)).isBetween(60, 150);
        week.path("grafts").forEach(one -> assertThat(one.path("reasons").size()).isGreaterThanOrEqualTo(3));
        assertThat(week.path("orders").get(0).path("ifNothingMore").asDouble()).isZero();
        assertThat(LocalDate.parse(week.path("orders").get(0).path("helpsUntil").asString()))
                .isBetween(LocalDate.parse("2026-05-04"), LocalDate.parse("2026-05-12"));
    }

    @Test
    void situations_that_would_embarrass_it() {
        assertThat(cups(week(season("demands", List.of())))).as("no order").isZero();
        assertThat(cups(week(season("demands", List.of(Map.of("id", "late", "product", "MATED_QUEENS", "count", 10,
                "until", "2026-05-12")))))).as("no graft helps any more").isZero();
        assertThat(cups(week(season("running",
                List.of(Map.of("id", "r", "graftDay", "2026-05-03", "alive", 45, "passed",
                        List.of("TAKE")),
                        Map.of("id", "r", "graftDay", "2026-05-03", "alive", 45, "passed",
                                List.of("TAKE")))))))
                .as("ninety taken of one day, written twice under one name").isLessThan(15);
        assertThat(cups(week(season("running", List.of(Map.of("id", "old", "graftDay", "2026-04-10", "alive", 60,
                "passed", List.of("TAKE", "SOUND", "EMERGENCE", "MATING")))))))
                .as("laying since April: too old by June").isGreaterThan(40);
        assertThat(week(season("crew", Map.of("daysOff", List.of("SATURDAY", "SUNDAY", "MONDAY"))))
                .path("grafts").valueStream().map(one -> LocalDate.parse(one.path("day").asString()).getDayOfWeek()
                        .name()))
                .as("neither the graft nor its ripe cells fall on a day off").isNotEmpty()
                .allMatch("TUESDAY"::equals);
        JsonNode boxless = week(season("nucs", 0));
        assertThat(cups(boxless)).as("nothing is grafted for no box").isZero();
        assertThat(boxless.path("notes").get(0).path("text").asString()).contains("0 nucs are free");
        assertThat(week(season()).path("notes").size()).isZero();
        assertThat(cups(week(season("demands", List.of(Map.of("id", "a", "product", "MATED_QUEENS", "count", 1, "until",
                "2026-06-02")))))).as("a single queen: at most a bar of fifteen, common practice").isBetween(1, 15);
        assertThat(cups(week(season("demands", List.of(Map.of("id", "a", "product", "MATED_QUEENS", "count", 300,
                "until", "2026-06-02")))))).as("no more than the builders bring up in a week").isLessThanOrEqualTo(200);
        assertThat(
                cups(week(season("demands", List.of(Map.of("id", "d", "product", "MATED_QUEENS", "count", 20, "until",
                        "2026-06-04", "line", "grey"))))))
                .as("a line of which there is no mother").isNotNegative();
    }

    /** Whoever has no orders in here grafts for something else: nobody tells them that their cells are over. */
    @Test
    void without_an_order_for_queens_no_cell_is_said_to_be_over() {
        List<Map<String, Object>> ripe = List.of(
                Map.of("id", "r", "graftDay", "2026-04-26", "alive", 28, "passed", List.of("TAKE")));
        assertThat(week(season("demands", List.of(), "running", ripe)).path("placings").size()).isZero();
        assertThat(week(season("running", ripe)).path("placings").size()).isEqualTo(1);
    }

    @Test
    void what_stands_in_the_way_is_said() {
        JsonNode autumn = week(season("today", "2026-10-01", "demands", List.of(
                Map.of("id", "a", "product", "MATED_QUEENS", "count", 20, "until", "2026-11-02"))));
        assertThat(cups(autumn)).as("no mating weather in October at 46 north").isZero();
        assertThat(autumn.path("notes").get(0).path("text").asString()).contains("mating weather");
        assertThat(autumn.path("orders").get(0).has("helpsUntil")).isFalse();
        JsonNode grey = week(
                season("demands", List.of(Map.of("id", "a", "product", "MATED_QUEENS", "count", 20, "until",
                        "2026-06-02", "line", "grey"))));
        assertThat(cups(grey)).isZero();
        assertThat(grey.path("notes").get(0).path("text").asString()).contains("grey");
        JsonNode many = week(season("demands", List.of(
                Map.of("id", "a", "product", "MATED_QUEENS", "count", 150, "until", "2026-06-03"))));
        assertThat(many.path("notes").valueStream().map(one -> one.path("text").asString()))
                .anyMatch(text -> text.contains("builders that are free"));
    }

    /** The same day's luck, but not the same chances: a yard in which few mate is not taken for one in which most do. */
    @Test
    void each_batch_is_reckoned_by_what_surrounds_it_whatever_stands_before_it() {
        List<Map<String, Object>> history = new ArrayList<>();
        for (int day = 1; day <= 8; day++) {
            history.add(Map.of("step", "MATING", "tried", 40, "succeeded", 38, "yard", "good", "graftDay",
                    "2025-06-0" + day));
            history.add(Map.of("step", "MATING", "tried", 40, "succeeded", 8, "yard", "bad", "graftDay",
                    "2025-06-0" + day));
        }
        Map<String, Object> bad = virgins("b", 40, "bad");
        double alone = nothingMore(week(season("history", history, "running", List.of(bad))));
        double afterAGoodOne = nothingMore(
                week(season("history", history, "running", List.of(virgins("a", 1, "good"), bad))));
        double good = nothingMore(week(season("history", history, "running", List.of(virgins("a", 45, "good")))));
        assertThat(afterAGoodOne).isLessThan(alone + 0.05);
        assertThat(good).isGreaterThan(alone + 0.1);
    }

    private static double nothingMore(JsonNode week) {
        return week.path("orders").get(0).path("ifNothingMore").asDouble();
    }

    private static Map<String, Object> virgins(String id, int alive, String yard) {
        return Map.of("id", id, "graftDay", "2026-05-01", "alive", alive, "yard", yard, "passed",
                List.of("TAKE", "SOUND", "EMERGENCE"));
    }

    @Test
    void what_a_nuc_costs_a_day_counts() {
        Map<String, Object> dear = Map.of("lateQueen", 60, "lateOrder", 0, "wastedQueen", 20, "nucDay", 100);
        JsonNode week = anybody.post("/api/v1/reckon/week-ahead", Map.of("season", season(), "worth", dear)).json();
        assertThat(cups(week)).as("a queen is not worth eighteen such days").isZero();
    }

    @Test
    void what_makes_no_sense_is_refused_with_what_to_change() {
        assertThat(anybody.post("/api/v1/reckon/week-ahead", Map.of("season", season(), "worth",
                Map.of("lateQueen", 0, "lateOrder", 10, "wastedQueen", 10, "nucDay", 1))).status()).isIn(400, 422);
        Client.Answer none = anybody.post("/api/v1/reckon/week-ahead", Map.of("season", season("builders", List.of())));
        assertThat(none.status()).isEqualTo(422);
        assertThat(anybody.post("/api/v1/reckon/week-ahead", Map.of()).status()).isIn(400, 422);
    }

    @Test
    void the_operations_own_week_and_its_odds_with_planning_again() {
        Client owner = application.signedIn(application.demo().ownerEmail());
        JsonNode week = owner.get("/api/v1/season/week").json();
        assertThat(week.path("orders").size()).isPositive();
        JsonNode odds = owner.get("/api/v1/season/week/odds").json();
        assertThat(odds.size()).isEqualTo(week.path("orders").size());
        Map<String, Double> again = new HashMap<>();
        odds.forEach(one -> again.put(one.path("demand").asString(), one.path("chance").asDouble()));
        double more = week.path("orders").valueStream().mapToDouble(
                one -> again.get(one.path("demand").asString()) - one.path("ifNothingMore").asDouble()).sum();
        assertThat(more).as("going on planning keeps more than doing nothing more").isPositive();
    }
}
