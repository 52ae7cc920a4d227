package vividcrown.core.queen;

/** Why a queen leaves the operation for good. */
public enum Leaving {
    SOLD, GIVEN_AWAY,
    /** Her beekeeper put an end to her: old, poor, in the way of another. */
    KILLED, OTHER
}
