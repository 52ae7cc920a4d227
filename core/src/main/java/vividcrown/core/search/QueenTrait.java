package vividcrown.core.search;

/** What makes a queen easier or harder to see and to follow. Nothing said: an unmarked laying queen. */
public enum QueenTrait {
    MARKED, MARK_WORN, RUNNER, SMALL, VIRGIN, OLD
}
