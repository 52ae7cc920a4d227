package vividcrown.core.trainer;

/** How well something was known, from nothing at all to at once: 0 to 5, as SM-2 counts. */
public enum Quality {
    /** Wrong, and sure of it. */
    NOTHING,
    /** Wrong. */
    WRONG,
    /** Wrong, and only guessed. */
    NEARLY,
    /** Right by a guess, or with great trouble. */
    HARDLY,
    /** Right, with some doubt. */
    WELL,
    /** Right and sure. */
    AT_ONCE;

    /** How sure somebody was of an answer. */
    public enum Sureness {
        GUESSED, FAIRLY, SURE
    }

    /** Of an answer that was chosen. */
    public static Quality of(boolean right, Sureness sureness) {
        return switch (sureness) {
            case GUESSED -> right ? HARDLY : NEARLY;
            case FAIRLY -> right ? WELL : WRONG;
            case SURE -> right ? AT_ONCE : NOTHING;
        };
    }
}
