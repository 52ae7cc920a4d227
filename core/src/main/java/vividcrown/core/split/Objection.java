package vividcrown.core.split;

import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;

/**
 * Something that speaks against what was asked.
 *
 * @param refuses it is not done; otherwise it is done and said
 * @param words what is wrong and the way out
 */
public record Objection(boolean refuses, Sentence words, Source source) {

    public static Objection refuse(String key, Object... arguments) {
        return new Objection(true, Sentence.of(key, arguments), Source.COMMON_PRACTICE);
    }

    public static Objection warn(String key, Object... arguments) {
        return new Objection(false, Sentence.of(key, arguments), Source.COMMON_PRACTICE);
    }
}
