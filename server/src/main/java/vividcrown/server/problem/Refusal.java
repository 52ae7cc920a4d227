package vividcrown.server.problem;

import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.reason.Sentence;

/** A request that is refused, with everything that is wrong with it at once. Sent as problem details. */
public class Refusal extends RuntimeException {
    private final transient HttpStatus status;
    private final String type;
    private final transient List<Finding> findings;

    /**
     * @param field path of the value at fault, empty if it concerns the whole
     * @param message what is wrong and what to change
     */
    public record Finding(String field, String message) {
    }

    private Refusal(HttpStatus status, String type, List<Finding> findings) {
        super(findings.getFirst().message());
        this.status = status;
        this.type = type;
        this.findings = List.copyOf(findings);
    }

    /** The values are wrong: change them. */
    public static Refusal invalid(List<Finding> findings) {
        return new Refusal(HttpStatus.UNPROCESSABLE_CONTENT, "invalid", findings);
    }

    /** What core refuses in a value is told with the field it came in. */
    public static <T> T checked(Supplier<T> made, String field) {
        try {
            return made.get();
        } catch (IllegalArgumentException wrong) {
            throw invalid(field, String.valueOf(wrong.getMessage()));
        }
    }

    public static Refusal invalid(String field, String message) {
        return invalid(List.of(new Finding(field, message)));
    }

    /** @param why what is wrong and what to change, in the catalogue */
    public static Refusal invalid(String field, Sentence why) {
        return invalid(field, why.toString());
    }

    /** The entries clash with what is known: change them, or send again with keepContradictions. */
    public static Refusal contradiction(List<Finding> findings) {
        return new Refusal(HttpStatus.CONFLICT, "contradiction", findings);
    }

    public static Refusal notFound(Sentence why) {
        return new Refusal(HttpStatus.NOT_FOUND, "not-found", List.of(new Finding("", why.toString())));
    }

    /** There is no such thing in the operation. */
    public static Refusal notHere(SubjectKind kind, UUID id) {
        return notFound(Sentence.of("refusal.notHere", Sentence.of("subject." + kind.name()), id.toString()));
    }

    /** There is too much to do at the moment: come again. */
    public static Refusal busy(Sentence why) {
        return new Refusal(HttpStatus.SERVICE_UNAVAILABLE, "busy", List.of(new Finding("", why.toString())));
    }

    /** More was sent than anybody needs: send less at once. */
    public static Refusal tooLarge(Sentence why) {
        return new Refusal(HttpStatus.CONTENT_TOO_LARGE, "too-large", List.of(new Finding("", why.toString())));
    }

    public static Refusal forbidden(Sentence why) {
        return new Refusal(HttpStatus.FORBIDDEN, "forbidden", List.of(new Finding("", why.toString())));
    }

    public static Refusal signInFailed(Sentence why) {
        return new Refusal(HttpStatus.UNAUTHORIZED, "sign-in-failed", List.of(new Finding("", why.toString())));
    }

    public static Refusal tooMany(Sentence why) {
        return new Refusal(HttpStatus.TOO_MANY_REQUESTS, "too-many", List.of(new Finding("", why.toString())));
    }

    HttpStatus status() {
        return status;
    }

    String type() {
        return type;
    }

    public List<Finding> findings() {
        return findings;
    }
}
