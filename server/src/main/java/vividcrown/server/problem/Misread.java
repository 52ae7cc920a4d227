package vividcrown.server.problem;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.InvalidNullException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import vividcrown.core.journal.Faults;
import vividcrown.core.reason.Sentence;

/** What was sent and cannot be read, said to whoever sent it: where, what is expected there, never how the program is built. */
public final class Misread {

    private static final int LONGEST_VALUE = 60;

    private Misread() {
    }

    /** Core's own words where it refused a value; the part and what belongs there in every other case. */
    public static List<Refusal.Finding> of(Throwable unreadable) {
        Throwable root = unreadable;
        JacksonException said = null;
        for (Throwable cause = unreadable; cause != null && cause != cause.getCause(); cause = cause.getCause()) {
            root = cause;
            if (said == null && cause instanceof JacksonException jackson) {
                said = jackson;
            }
        }
        if (root instanceof Faults.Found found) {
            return found.all().stream().map(one -> new Refusal.Finding("", one.toString())).toList();
        }
        if (root instanceof IllegalArgumentException own) {
            return List.of(new Refusal.Finding("", String.valueOf(own.getMessage())));
        }
        Sentence what = said == null ? Sentence.of("misread.empty") : expected(said);
        return List.of(
                new Refusal.Finding(said instanceof DatabindException databind ? path(databind) : "", what.toString()));
    }

    /** Whether it could be read, and only a value is missing: told like every other value that is wrong. */
    static boolean isMissing(Throwable unreadable) {
        return unreadable.getCause() instanceof InvalidNullException;
    }

    private static String path(DatabindException wrong) {
        String all = wrong.getPath().stream()
                .map(one -> one.getPropertyName() == null ? "[" + one.getIndex() + "]" : "." + one.getPropertyName())
                .collect(Collectors.joining());
        return all.startsWith(".") ? all.substring(1) : all;
    }

    private static Sentence expected(JacksonException wrong) {
        return switch (wrong) {
            case InvalidNullException _ -> Sentence.of("misread.nothing");
            case InvalidFormatException format when format.getTargetType() == String.class ->
                Sentence.of("misread.text");
            case InvalidFormatException format -> expected(format.getTargetType(), shortened(format.getValue()));
            case UnrecognizedPropertyException unknown -> Sentence.of("misread.unknown", unknown.getPropertyName());
            case MismatchedInputException other -> expected(other.getTargetType(), "");
            case StreamReadException broken -> broken(broken.getLocation());
            default -> Sentence.of("misread.other");
        };
    }

    private static Sentence broken(TokenStreamLocation at) {
        return Sentence.of("misread.json", Math.max(1, at.getLineNr()), Math.max(1, at.getColumnNr()));
    }

    private static String shortened(Object value) {
        String text = String.valueOf(value);
        return text.length() <= LONGEST_VALUE ? text : text.substring(0, LONGEST_VALUE) + "…";
    }

    private static Sentence expected(Class<?> type, String value) {
        if (type == null) {
            return Sentence.of("misread.other");
        }
        if (type.isEnum()) {
            return Sentence.of("misread.word", value,
                    Arrays.stream(type.getEnumConstants()).map(Object::toString).collect(Collectors.joining(", ")));
        }
        if (type == LocalDate.class) {
            return Sentence.of("misread.day", value);
        }
        if (type == Instant.class) {
            return Sentence.of("misread.moment", value);
        }
        if (type == UUID.class) {
            return Sentence.of("misread.id", value);
        }
        if (type == Boolean.class || type == boolean.class) {
            return Sentence.of("misread.truth", value);
        }
        if (Number.class.isAssignableFrom(type) || type.isPrimitive()) {
            return Sentence.of("misread.number", value);
        }
        if (Collection.class.isAssignableFrom(type)) {
            return Sentence.of("misread.list");
        }
        return Sentence.of(type.isRecord() || Map.class.isAssignableFrom(type) ? "misread.object" : "misread.other");
    }
}
