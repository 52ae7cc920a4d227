package vividcrown.server.colony;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import vividcrown.server.journal.DeedJson;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** What moving a hive would do, and what a colony wants carried, over the API; in the units of whoever asks. */
@ExtendWith(Application.class)
class MoveTest {

    private final Application.Running application;
    private Application.Demo demo;
    private Client owner;

    MoveTest(Application.Running application) {
        this.application = application;
    }

    @BeforeEach
    void signIn() {
        demo = application.demo();
        owner = application.signedIn(demo.ownerEmail());
    }

    private JsonNode hive(String code) {
        return owner.get("/api/v1/hives").json().valueStream().filter(one -> one.path("code").asString().equals(code))
                .findFirst().orElseThrow();
    }

    private JsonNode move(String code, String yard) {
        String to = owner.get("/api/v1/yards").json().valueStream()
                .filter(one -> one.path("name").asString().equals(yard)).findFirst().orElseThrow().path("id")
                .asString();
        return owner.get("/api/v1/hives/" + hive(code).path("id").asString() + "/move?yard=" + to).json();
    }

    private void readsUsUnits() {
        JsonNode settings = owner.get("/api/v1/settings").json().path("settings");
        assertThat(owner.tell("SETTINGS_CHANGED", "operation", demo.operation(), "settings",
                DeedJson.MAPPER.readTree(settings.toString().replace("\"METRIC\"", "\"US\""))).status()).isEqualTo(200);
    }

    @Test
    void a_hive_that_goes_far_keeps_its_field_bees() {
        JsonNode far = move("B 1", "Larch Step");
        assertThat(far.path("metres").asLong()).isGreaterThan(5_000);
        assertThat(far.path("verdict").asString()).isEqualTo("GOOD");
        assertThat(far.path("reasons").toString()).contains("8 km: beyond 5 km");
        JsonNode here = move("B 1", "Weir Bend");
        assertThat(here.path("metres").asLong()).isZero();
        assertThat(here.path("verdict").asString()).isEqualTo("WITH_CARE");
    }

    @Test
    void sentences_are_in_the_units_of_the_operation() {
        readsUsUnits();
        assertThat(move("B 1", "Larch Step").path("reasons").toString()).contains("5 mi: beyond 3.1 mi")
                .doesNotContain(" km");
    }

    @Test
    void a_hive_or_a_yard_that_is_not_there_is_told() {
        assertThat(owner.get("/api/v1/hives/" + UUID.randomUUID() + "/move?yard=" + UUID.randomUUID()).status())
                .isEqualTo(404);
        assertThat(owner.get("/api/v1/hives/" + hive("H 1").path("id").asString() + "/move?yard=" + UUID.randomUUID())
                .status()).isEqualTo(404);
    }
}
