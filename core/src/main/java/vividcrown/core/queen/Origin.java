package vividcrown.core.queen;

import vividcrown.core.journal.Faults;

/**
 * Where a queen comes from who was not grafted here.
 *
 * @param from whom, or which hive or swarm, in words; may be empty, at most 200 characters
 */
public record Origin(Kind kind, String from) {

    /** In which way she came. */
    public enum Kind {
        BOUGHT,
        /** She came with a swarm; whose daughter she is nobody knows. */
        SWARM,
        /** Bees of the operation raised her by themselves. */
        OWN_CELL, UNKNOWN
    }

    public Origin {
        new Faults().text("from", from, 0, 200).refuse();
    }
}
