package vividcrown.core.hive;

/** Why a hive is no more. */
public enum HiveEnd {
    UNITED, BROKEN_UP, DIED_OUT, SOLD, EMPTIED
}
