package vividcrown.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

@ExtendWith(Application.class)
class ApiDescriptionTest {

    private final Application.Running application;

    ApiDescriptionTest(Application.Running application) {
        this.application = application;
    }

    /** The web client's types are generated from this file, so a drift here is a drift there. */
    @Test
    void the_description_kept_for_the_web_client_is_the_one_served() throws IOException {
        Path file = Application.projectRoot().resolve("web/openapi.json");
        JsonNode served = new Client(application.address()).get("/api/v1/openapi").json();
        if (Boolean.getBoolean("crown.writeApi")) {
            Files.writeString(file, served.toPrettyString() + "\n");
        }
        assertThat(served).as("run ./crown types and commit web/openapi.json")
                .isEqualTo(JsonMapper.shared().readTree(Files.readString(file)));
    }
}
