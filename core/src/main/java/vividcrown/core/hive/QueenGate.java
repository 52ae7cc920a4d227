package vividcrown.core.hive;

/** Why a comb could leave a hive without its queen: what was made sure of before it went. */
public enum QueenGate {
    /** She was seen elsewhere, within minutes, or sat safely in a cage. */
    SEEN_ELSEWHERE,
    /** Both sides of the comb were searched right before it went. */
    BOTH_SIDES_SEARCHED,
    /** No bee was left on it. */
    NO_BEES,
    /** There was no queen in that hive. */
    NO_QUEEN
}
