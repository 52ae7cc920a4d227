package vividcrown.core.split;

/** Where a unit stands after it was made, seen from the hives its bees come from. */
public enum Place {
    /** In the same yard: flyers go home. */
    SAME_YARD,
    /** In the same yard, the entrance turned the other way and screened with a branch. */
    TURNED_ENTRANCE,
    /** In the same yard, shut in for three days. */
    SHUT_IN,
    /** In another yard. */
    AWAY
}
