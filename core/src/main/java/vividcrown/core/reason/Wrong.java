package vividcrown.core.reason;

import java.util.Arrays;

/** A value that cannot be: what is wrong and what to change, in the catalogue. */
public final class Wrong extends IllegalArgumentException {

    private Wrong(Sentence why) {
        super(why.toString());
    }

    /** @param key without the full stop; values are written as they are, years without separators */
    public static Wrong of(String key, Object... values) {
        return new Wrong(Sentence.of(key, Arrays.stream(values).map(String::valueOf).toArray()));
    }
}
