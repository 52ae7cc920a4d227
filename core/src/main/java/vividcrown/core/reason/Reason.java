package vividcrown.core.reason;

/**
 * One step of an argument: what is so, and on what authority.
 *
 * @param fact the fact or rule, as a sentence
 * @param source where it comes from
 */
public record Reason(Sentence fact, Source source) {

    public static Reason of(Source source, String key, Object... arguments) {
        return new Reason(Sentence.of(key, arguments), source);
    }
}
