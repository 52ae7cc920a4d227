package vividcrown.core.hive;

/** What a part of the stack is. */
public enum BoxKind {
    BROOD, HONEY, FEEDER, EXCLUDER, LID;

    /** Whether frames hang in it. */
    public boolean hasFrames() {
        return this == BROOD || this == HONEY;
    }
}
