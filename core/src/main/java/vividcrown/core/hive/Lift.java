package vividcrown.core.hive;

/** How heavy a hive felt when lifted at the back. A hand's judgement, so it only widens or narrows a weighed span. */
public enum Lift {
    /** Comes up with two fingers. */
    LIGHT,
    /** Comes up with one hand. */
    FAIR,
    /** Wants a pull. */
    HEAVY,
    /** Will not come up. */
    FULL
}
