package vividcrown.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Set;
import java.util.TreeSet;
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

    @Test
    void every_question_has_a_name_of_its_own_says_what_it_is_and_what_may_be_answered_instead() {
        JsonNode paths = new Client(application.address()).get("/api/v1/openapi").json().path("paths");
        Set<String> names = new HashSet<>();
        Set<String> unexplained = new HashSet<>();
        paths.properties().forEach(path -> path.getValue().properties().forEach(one -> {
            JsonNode operation = one.getValue();
            String name = operation.path("operationId").asString();
            assertThat(names.add(name)).as("the name %s stands once", name).isTrue();
            assertThat(name).doesNotContain("_").doesNotContain("ontroller");
            if ((operation.path("summary").asString("") + operation.path("description").asString("")).isBlank()) {
                unexplained.add(name);
            }
            assertThat(operation.path("responses").path("503").path("content").has("application/problem+json"))
                    .as("problems of %s", name).isTrue();
        }));
        assertThat(names).hasSizeGreaterThan(40);
        assertThat(unexplained).isEmpty();
    }

    @Test
    void every_word_of_the_api_is_explained_and_every_explanation_is_needed() {
        JsonNode schemas = new Client(application.address()).get("/api/v1/openapi").json().path("components")
                .path("schemas");
        ApiWords words = ApiWords.read();
        Set<String> needed = new TreeSet<>();
        Set<String> unexplained = new TreeSet<>();
        schemas.properties().forEach(schema -> schema.getValue().path("properties").properties().forEach(property -> {
            String description = property.getValue().path("description").asString("");
            words.entryFor(schema.getKey(), property.getKey()).filter(word -> words.meaning(word).equals(description))
                    .ifPresent(needed::add);
            if (description.isBlank() || description.contains("{@")) {
                unexplained.add(schema.getKey() + "." + property.getKey());
            }
        }));
        assertThat(unexplained).isEmpty();
        assertThat(words.entries()).containsExactlyInAnyOrderElementsOf(needed);
    }

    @Test
    void what_is_described_is_used() {
        JsonNode served = new Client(application.address()).get("/api/v1/openapi").json();
        String text = served.toString();
        assertThat(served.path("components").path("schemas").propertyNames())
                .allSatisfy(name -> assertThat(text).contains("\"#/components/schemas/" + name + "\""));
    }
}
