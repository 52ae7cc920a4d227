package vividcrown.server.rearing;

import static org.assertj.core.api.Assertions.assertThat;

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
class BuilderTest {

    private final Application.Running application;
    private Application.Demo demo;
    private Client owner;

    BuilderTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        demo = application.demo();
        owner = application.signedIn(demo.ownerEmail());
    }

    private UUID setUp(String code) {
        UUID hive = UUID.randomUUID();
        assertThat(owner.tell("HIVE_SET_UP", "hive", hive, "yard",
                owner.get("/api/v1/yards").json().get(0).path("id").asString(), "code", code, "position", 9, "purpose",
                "BUILDER", "stack",
                List.of(Map.of("id", UUID.randomUUID(), "kind", "BROOD", "format", "Dadant", "slots",
                        10, "frames", 10)))
                .status()).isEqualTo(200);
        return hive;
    }

    private JsonNode line(String code) {
        for (JsonNode line : owner.get("/api/v1/builders").json()) {
            if (line.path("code").asString().equals(code)) {
                return line;
            }
        }
        throw new AssertionError("no builder " + code);
    }

    @Test
    void a_hive_is_run_as_a_builder_and_the_season_reckons_with_it() {
        UUID hive = setUp("B 9");
        assertThat(line("B 9").path("load").asInt()).as("until somebody says").isEqualTo(20);
        assertThat(owner.tell("BUILDER_RUN", "hive", hive, "school", "STARTER_FINISHER", "load", 30).status())
                .isEqualTo(200);
        assertThat(line("B 9").path("load").asInt()).isEqualTo(30);
        assertThat(line("B 9").path("rhythm").path("daysBetweenLoads").asInt()).isEqualTo(7);
        assertThat(owner.get("/api/v1/season").json().path("builders")).anySatisfy(
                sheet -> assertThat(sheet.path("builder").asString()).isEqualTo("B 9"));
    }

    @Test
    void the_load_follows_from_the_strength_and_a_weak_hive_is_no_builder() {
        UUID hive = setUp("B 9");
        owner.tell("BUILDER_RUN", "hive", hive, "school", "STARTER_FINISHER", "framesOfBees", 9);
        assertThat(line("B 9").path("load").asInt()).isEqualTo(20);
        assertThat(owner.tell("BUILDER_RUN", "hive", hive, "school", "STARTER_FINISHER", "framesOfBees", 4).findings())
                .containsExactly("4 frames of bees cannot be crowded with nurses: strengthen it to five or more.");
        assertThat(owner.tell("BUILDER_RUN", "hive", hive, "school", "STARTER_FINISHER").findings())
                .containsExactly("Say the load in cups or the strength in frames of bees, one of the two.");
        assertThat(line("B 9").path("load").asInt()).isEqualTo(20);
    }

    @Test
    void a_changed_load_keeps_the_builder_and_its_grafts() {
        String hive = line("B 1").path("id").asString();
        owner.tell("BUILDER_RUN", "hive", hive, "school", "STARTER_FINISHER", "load", 25);
        assertThat(line("B 1").path("load").asInt()).isEqualTo(25);
        assertThat(owner.list("/api/v1/grafts")).anySatisfy(
                graft -> assertThat(graft.path("builder").asString()).isEqualTo("B 1"));
    }

    @Test
    void a_builder_kept_for_something_else_is_no_builder_and_its_grafts_stay_readable() {
        String hive = line("B 1").path("id").asString();
        owner.tell("HIVE_REPURPOSED", "hive", hive, "purpose", "PRODUCTION");
        assertThat(owner.get("/api/v1/builders").json()).noneSatisfy(
                line -> assertThat(line.path("code").asString()).isEqualTo("B 1"));
        assertThat(owner.get("/api/v1/colonies").json()).anySatisfy(
                line -> assertThat(line.path("code").asString()).isEqualTo("B 1"));
        assertThat(owner.list("/api/v1/grafts")).anySatisfy(
                graft -> assertThat(graft.path("builder").asString()).isEqualTo("B 1"));
    }

    @Test
    void what_cannot_be_is_refused_and_crew_leave_builders_as_they_are() {
        UUID hive = setUp("B 8");
        assertThat(owner.tell("BUILDER_RUN", "hive", hive, "school", "STARTER_FINISHER", "load", 60).findings())
                .containsExactly("load must lie between 1 and 45, but is 60.");
        assertThat(application.signedIn(demo.crewEmail())
                .tell("BUILDER_RUN", "hive", hive, "school", "STARTER_FINISHER", "load", 20).status()).isEqualTo(403);
    }
}
