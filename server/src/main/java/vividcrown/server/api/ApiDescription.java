package vividcrown.server.api;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.annotations.OpenAPIDefinition;
import io.swagger.v3.oas.annotations.info.Info;
import io.swagger.v3.oas.annotations.info.License;
import io.swagger.v3.oas.annotations.servers.Server;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import java.lang.reflect.RecordComponent;
import java.net.URI;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.util.StringUtils;

/** Title, and the rule that every value of a record is there unless it is marked nullable. */
@Configuration
@OpenAPIDefinition(info = @Info(title = "Vivid Crown", version = "1", license = @License(name = "Apache-2.0"), description = "Days are ISO 8601. Refusals are problem details (RFC 9457) with findings: field and what to change."), servers = @Server(url = "/"))
class ApiDescription {

    /** Named as the trade names it: the part of the job, then what is asked of it. */
    @Bean
    OperationCustomizer namedByFeature() {
        return (operation, method) -> {
            String controller = method.getBeanType().getSimpleName().replaceAll("Controller$", "");
            String feature = controller.endsWith("Reckon") ? "reckon" : StringUtils.uncapitalize(controller);
            var stated = method.getMethodAnnotation(io.swagger.v3.oas.annotations.Operation.class);
            if (stated == null || stated.operationId().isEmpty()) {
                operation.setOperationId(feature + "." + method.getMethod().getName());
            }
            operation.setTags(List.of(feature));
            return operation;
        };
    }

    /** What may be answered instead, everywhere the same: problem details from the message catalogue. */
    @Bean
    @Order(0)
    OpenApiCustomizer problems() {
        return api -> {
            api.getComponents().addSchemas("Problem", ModelConverters.getInstance()
                    .resolveAsResolvedSchema(new AnnotatedType(Problem.class)).schema);
            api.getComponents().addSchemas("Finding", ModelConverters.getInstance()
                    .resolveAsResolvedSchema(new AnnotatedType(Problem.Finding.class)).schema);
            api.getPaths().forEach((path, item) -> item.readOperationsMap().forEach((method, operation) -> {
                boolean open = path.startsWith("/api/v1/reckon/") || path.equals("/api/v1/founding")
                        || path.startsWith("/api/v1/people/invitations/");
                boolean writes = method != PathItem.HttpMethod.GET;
                if (!open) {
                    problem(operation, "401", "Nobody is signed in, or the session is over.");
                    problem(operation, "403", "This is the owner's to do.");
                }
                if (path.contains("{")) {
                    problem(operation, "404", "There is no such thing in the operation.");
                }
                if (writes) {
                    problem(operation, "413", "More was sent than is taken at once.");
                    problem(operation, "422", "Values are wrong: each finding says which, and what to change.");
                }
                if (path.equals("/api/v1/journal") && writes) {
                    problem(operation, "409", "Entries clash with what is known: send again with keepContradictions.");
                }
                problem(operation, "503", "Too much is asked, or the database is away: nothing was kept, ask again.");
            }));
        };
    }

    /** Last of all, when every schema stands. */
    @Bean
    @Order(Ordered.LOWEST_PRECEDENCE)
    OpenApiCustomizer explained() {
        return ApiWords.read()::explain;
    }

    private static void problem(Operation operation, String status, String when) {
        operation.getResponses().addApiResponse(status, new ApiResponse().description(when)
                .content(new Content().addMediaType("application/problem+json",
                        new MediaType().schema(new Schema<>().$ref("#/components/schemas/Problem")))));
    }

    /**
     * A refusal (RFC 9457).
     *
     * @param type which kind of refusal, as a URN; stays the same when words change
     * @param detail what is wrong and what to do
     * @param findings everything that is wrong with it, at once
     */
    record Problem(URI type, int status, String detail, List<Finding> findings) {

        /** @param field path of the value at fault, empty if it concerns the whole; @param message what to change */
        record Finding(String field, String message) {
        }
    }

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
