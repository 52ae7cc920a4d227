package vividcrown.server.api;

import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.core.converter.ResolvedSchema;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.media.Discriminator;
import io.swagger.v3.oas.models.media.Schema;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.GlobalOpenApiCustomizer;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.Spot;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.Deeds;

/** Describes every kind of deed, and the union of them all: told apart by {@code kind}. */
@Component
class DeedSchemas implements GlobalOpenApiCustomizer {

    private static final String REF = "#/components/schemas/";

    private final Deeds deeds;

    DeedSchemas(Deeds deeds) {
        this.deeds = deeds;
    }

    @Override
    public void customise(OpenAPI api) {
        Schema<?> union = new Schema<>()
                .description("What was seen or done: its kind, then the parts that its kind needs.");
        Discriminator kinds = new Discriminator().propertyName("kind");
        for (DeedKind<?> kind : deeds.kinds()) {
            String name = nameOf(kind);
            api.getComponents().addSchemas(name, described(api, kind));
            union.addOneOfItem(new Schema<>().$ref(REF + name));
            kinds.mapping(kind.name(), REF + name);
        }
        union.setDiscriminator(kinds);
        api.getComponents().addSchemas("Deed", union);
        api.getComponents().addSchemas("Spot", spot(api));
        api.getComponents().addSchemas("SubjectKind", string("Kind of thing: HIVE, QUEEN, GRAFT …"));
        api.getComponents().addSchemas("Sentence", sentence());
    }

    /** HIVE_SET_UP is called HiveSetUpDeed. */
    private static String nameOf(DeedKind<?> kind) {
        return Arrays.stream(kind.name().split("_"))
                .map(word -> word.charAt(0) + word.substring(1).toLowerCase(Locale.ROOT))
                .collect(Collectors.joining()) + "Deed";
    }

    private static Schema<?> described(OpenAPI api, DeedKind<?> kind) {
        Schema<?> schema = resolved(api, kind.type());
        schema.setName(nameOf(kind));
        schema.addProperty("kind", string(null)._enum(List.of(kind.name())));
        schema.addRequiredItem("kind");
        schema.setDescription("Version %d. Recorded by %s.".formatted(kind.version(),
                kind.hand() == DeedKind.Hand.OWNER ? "the owner" : "anybody"));
        return schema;
    }

    private static Schema<?> resolved(OpenAPI api, Class<?> type) {
        ResolvedSchema resolved = ModelConverters.getInstance(true)
                .resolveAsResolvedSchema(new AnnotatedType(type).resolveAsRef(false));
        resolved.referencedSchemas.forEach((name, schema) -> {
            if (!name.equals(type.getSimpleName()) && !api.getComponents().getSchemas().containsKey(name)) {
                pointToSpots(schema);
                api.getComponents().addSchemas(name, schema);
            }
        });
        Schema<?> schema = resolved.schema;
        if (schema.getProperties() == null) {
            schema.setType("object");
            schema.setTypes(Set.of("object"));
        }
        return schema;
    }

    /** The library lists the kinds of place at every frame that goes from one to another. */
    @SuppressWarnings("rawtypes") // the library's setters are raw
    private static void pointToSpots(Schema<?> schema) {
        if (schema.getProperties() != null) {
            schema.getProperties().replaceAll((_, property) -> property.getOneOf() == null
                    ? property
                    : new Schema<>().$ref(REF + "Spot"));
        }
    }

    private static Schema<?> spot(OpenAPI api) {
        return new Schema<>().description("Where a frame is: at a hive, in the comb stock, or gone for good.")
                .addOneOfItem(variant(api, "InHive", "HIVE")).addOneOfItem(variant(api, "InStock", "STOCK"))
                .addOneOfItem(variant(api, "Away", "AWAY")).discriminator(
                        new Discriminator().propertyName("at").mapping("HIVE", REF + "InHive")
                                .mapping("STOCK", REF + "InStock").mapping("AWAY", REF + "Away"));
    }

    private static Schema<?> variant(OpenAPI api, String name, String at) {
        Class<?> type = Arrays.stream(Spot.class.getPermittedSubclasses())
                .filter(one -> one.getSimpleName().equals(name)).findFirst().orElseThrow();
        Schema<?> schema = resolved(api, type);
        schema.addProperty("at", string(null)._enum(List.of(at)));
        schema.addRequiredItem("at");
        api.getComponents().addSchemas(name, schema);
        return new Schema<>().$ref(REF + name);
    }

    @SuppressWarnings({"unchecked", "rawtypes"}) // the library's setters are raw
    private static Schema sentence() {
        Schema<Object> parts = new Schema<>();
        parts.setTypes(Set.of("array"));
        parts.setItems(new Schema<>());
        Schema<Object> schema = new Schema<>();
        schema.setTypes(Set.of("object"));
        schema.addProperty("key", string("Key in the catalogue"));
        schema.addProperty("with", parts);
        schema.setRequired(List.of("key", "with"));
        return schema;
    }

    @SuppressWarnings("rawtypes") // the library's setters are raw
    private static Schema string(@Nullable String description) {
        Schema<String> schema = new Schema<>();
        schema.setTypes(Set.of("string"));
        schema.setType("string");
        schema.setDescription(description);
        return schema;
    }
}
