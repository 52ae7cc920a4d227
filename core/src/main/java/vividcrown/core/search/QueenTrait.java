package vividcrown.core.search;

import vividcrown.core.reason.Sentence;

/** What makes a queen easier or harder to see and to follow. Nothing said: an unmarked laying queen. */
public enum QueenTrait {
    MARKED, MARK_WORN, RUNNER, SMALL, VIRGIN, OLD;

    public Sentence sentence() {
        return Sentence.of("search.trait." + name());
    }
}
