package vividcrown.server.archive;

import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaLocation;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** What an archive looks like, as a JSON Schema (2020-12) that ships with the application. */
@Component
class ArchiveSchema {

    private static final String ID = "urn:vivid-crown:archive:1";

    private final String text;
    private final Schema whole;
    private final Schema entry;

    ArchiveSchema() {
        text = shipped();
        SchemaRegistry registry = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12,
                builder -> builder.schemas(Map.of(ID, text)));
        whole = registry.getSchema(SchemaLocation.of(ID));
        entry = registry.getSchema(SchemaLocation.of(ID + "#/$defs/entry"));
    }

    private static String shipped() {
        String file = "/vividcrown/server/archive/archive.schema.json";
        try (InputStream shipped = Objects.requireNonNull(ArchiveSchema.class.getResourceAsStream(file), file)) {
            return new String(shipped.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    String text() {
        return text;
    }

    /** What is wrong with an archive, or with all of it but its entries. Empty if nothing is. */
    List<String> faultsOf(JsonNode archive) {
        return faults(whole, archive);
    }

    List<String> faultsOfEntry(JsonNode one) {
        return faults(entry, one);
    }

    private static List<String> faults(Schema schema, JsonNode node) {
        return schema.validate(node, context -> context.executionConfig(config -> config.formatAssertionsEnabled(true)))
                .stream().map(Error::toString).toList();
    }
}
