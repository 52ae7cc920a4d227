package vividcrown.server.matingyard;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
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

    private Map<String, Object> builder(String code) {
        return new HashMap<>(
                Map.of("yard", owner.get("/api/v1/yards").json().get(0).path("id").asString(), "code", code,
                        "position", 9, "school", "STARTER_FINISHER"));
    }

    private JsonNode line(String code) {
        for (JsonNode line : owner.get("/api/v1/builders").json()) {
            if (line.path("code").asString().equals(code)) {
                return line;
            }
        }
        throw new AssertionError("no builder " + code);
    }

    /** 15–20 cups in a strong queenless builder, up to 45 in an exceptional one: common practice. */
    @Test
    void a_builder_is_set_up_by_its_strength_and_the_season_reckons_with_it() {
        Map<String, Object> fresh = builder("B 9");
        fresh.put("framesOfBees", 9);
        assertThat(owner.put("/api/v1/builders/" + UUID.randomUUID(), fresh).status()).isEqualTo(204);
        assertThat(line("B 9").path("load").asInt()).isEqualTo(20);
        assertThat(line("B 9").path("rhythm").path("daysBetweenLoads").asInt()).isEqualTo(7);
        assertThat(owner.get("/api/v1/season").json().path("builders")).anySatisfy(
                sheet -> assertThat(sheet.path("builder").asString()).isEqualTo("B 9"));
    }

    @Test
    void a_changed_load_keeps_the_builder_and_its_grafts() {
        JsonNode before = line("B 1");
        Map<String, Object> changed = builder("B 1");
        changed.put("load", 25);
        changed.put("yard", before.path("yardId").asString());
        assertThat(owner.put("/api/v1/builders/" + before.path("id").asString(), changed).status()).isEqualTo(204);
        assertThat(line("B 1").path("load").asInt()).isEqualTo(25);
        assertThat(owner.get("/api/v1/grafts").json()).anySatisfy(
                graft -> assertThat(graft.path("builder").asString()).isEqualTo("B 1"));
    }

    @Test
    void what_cannot_be_is_said_at_once() {
        Map<String, Object> weak = builder("B 1");
        weak.put("framesOfBees", 3);
        weak.put("yard", UUID.randomUUID());
        assertThat(owner.put("/api/v1/builders/" + UUID.randomUUID(), weak).findings()).hasSize(3)
                .anySatisfy(text -> assertThat(text).contains("strengthen it"))
                .anySatisfy(text -> assertThat(text).contains("a builder B 1 already"));
        Map<String, Object> heavy = builder("B 8");
        heavy.put("load", 60);
        assertThat(owner.put("/api/v1/builders/" + UUID.randomUUID(), heavy).status()).isEqualTo(422);
        assertThat(application.signedIn(demo.crewEmail()).put("/api/v1/builders/" + UUID.randomUUID(), builder("B 7"))
                .status()).isEqualTo(403);
    }
}
