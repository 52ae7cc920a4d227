package vividcrown.server.wire;

import com.fasterxml.jackson.annotation.JsonAutoDetect;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Core's records go over the wire as they are: their parts, and nothing that is reckoned from them. */
@Configuration
class WireJson {

    @Bean
    JsonMapperBuilderCustomizer partsOnly() {
        return builder -> builder
                .changeDefaultVisibility(seen -> seen.withIsGetterVisibility(JsonAutoDetect.Visibility.NONE));
    }
}
