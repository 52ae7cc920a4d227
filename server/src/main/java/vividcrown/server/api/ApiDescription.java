package vividcrown.server.api;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.annotations.OpenAPIDefinition;
import io.swagger.v3.oas.annotations.info.Info;
import io.swagger.v3.oas.annotations.info.License;
import io.swagger.v3.oas.annotations.servers.Server;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Iterator;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Title, and the rule that every value of a record is there unless it is marked nullable. */
@Configuration
@OpenAPIDefinition(info = @Info(title = "Vivid Crown", version = "1", license = @License(name = "Apache-2.0"), description = "Days are ISO 8601. Refusals are problem details (RFC 9457) with findings: field and what to change."), servers = @Server(url = "/"))
class ApiDescription {

    @Bean
    ModelConverter requiredUnlessNullable() {
        return new RequiredUnlessNullable();
    }

    private static final class RequiredUnlessNullable implements ModelConverter {
        @Override
        public @Nullable Schema<?> resolve(AnnotatedType type, ModelConverterContext context,
                Iterator<ModelConverter> chain) {
            Schema<?> resolved = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
            JavaType javaType = Json.mapper().constructType(type.getType());
            if (resolved == null || javaType == null || !javaType.getRawClass().isRecord()) {
                return resolved;
            }
            Schema<?> model = resolved.get$ref() == null
                    ? resolved
                    : context.getDefinedModels().get(resolved.get$ref().substring("#/components/schemas/".length()));
            if (model != null && model.getProperties() != null) {
                Set<String> parts = Stream.of(javaType.getRawClass().getRecordComponents())
                        .map(RecordComponent::getName)
                        .collect(Collectors.toSet());
                // what a record reckons from its parts does not go over the wire
                model.getProperties().keySet().retainAll(parts);
                for (RecordComponent component : javaType.getRawClass().getRecordComponents()) {
                    boolean mayBeAbsent = component.getAnnotatedType().isAnnotationPresent(Nullable.class)
                            || component.getType() == Optional.class;
                    boolean listed = model.getRequired() != null && model.getRequired().contains(component.getName());
                    if (!mayBeAbsent && !listed && model.getProperties().containsKey(component.getName())) {
                        model.addRequiredItem(component.getName());
                    }
                }
            }
            return resolved;
        }
    }
}
