package vividcrown.server.api;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.media.Schema;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.support.PropertiesLoaderUtils;

/**
 * Says what a word of the API means wherever its record does not say so itself. The trade's words mean the same in every
 * answer, so each stands once in {@code words.properties}; {@code Schema.word} stands there where it means something else.
 */
final class ApiWords {

    private final Properties words;

    private ApiWords(Properties words) {
        this.words = words;
    }

    static ApiWords read() {
        try {
            return new ApiWords(
                    PropertiesLoaderUtils.loadProperties(new ClassPathResource("words.properties", ApiWords.class)));
        } catch (IOException e) {
            throw new UncheckedIOException("The words of the API are missing from the application", e);
        }
    }

    /** Every entry. */
    Set<String> entries() {
        return words.stringPropertyNames();
    }

    /** The entry that explains this word of this schema. */
    Optional<String> entryFor(String schema, String word) {
        return Stream.of(schema + "." + word, word).filter(words::containsKey).findFirst();
    }

    String meaning(String entry) {
        return words.getProperty(entry);
    }

    void explain(OpenAPI api) {
        @SuppressWarnings("rawtypes") // the library's own
        Map<String, Schema> schemas = api.getComponents().getSchemas();
        schemas.forEach(this::explain);
    }

    private void explain(String name, Schema<?> schema) {
        if (schema.getProperties() == null) {
            return;
        }
        schema.getProperties().forEach((word, property) -> {
            if (property.getDescription() == null) {
                entryFor(name, word).map(this::meaning).ifPresent(property::setDescription);
            }
        });
    }
}
