package vividcrown.server.wire;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.RecordComponent;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.Annotated;
import tools.jackson.databind.introspect.AnnotatedParameter;
import tools.jackson.databind.introspect.NopAnnotationIntrospector;

/**
 * A part of a record that may not be null may not be missing in what is sent either: it is told where it is missing, instead of
 * being stumbled over later. Where it is left to the validation, that tells it, together with whatever else is wrong.
 */
final class NeededParts extends NopAnnotationIntrospector {

    private static final String OURS = "vividcrown.";

    @Override
    public JsonSetter.Value findSetterInfo(MapperConfig<?> config, Annotated annotated) {
        return annotated instanceof AnnotatedParameter part && isNeeded(part)
                ? JsonSetter.Value.construct(Nulls.FAIL, Nulls.FAIL)
                : JsonSetter.Value.empty();
    }

    private static boolean isNeeded(AnnotatedParameter part) {
        Class<?> whole = part.getOwner().getDeclaringClass();
        if (!whole.isRecord() || !whole.getName().startsWith(OURS)) {
            return false;
        }
        RecordComponent[] parts = whole.getRecordComponents();
        if (part.getOwner().getParameterCount() != parts.length) {
            return false;
        }
        RecordComponent one = parts[part.getIndex()];
        return !one.getType().isPrimitive() && one.getType() != Optional.class
                && !one.getAnnotatedType().isAnnotationPresent(Nullable.class) && !isValidated(one.getAnnotatedType())
                && !isValidated(one);
    }

    private static boolean isValidated(AnnotatedElement one) {
        return Stream.of(NotNull.class, NotBlank.class, NotEmpty.class).anyMatch(one::isAnnotationPresent);
    }
}
