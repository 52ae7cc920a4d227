package vividcrown.core.judgement;

import vividcrown.core.reason.Sentence;

/** What can be so with the queen of a colony. Exactly one holds at a time. */
public enum Status {
    /** A mated queen lays. */
    LAYING_QUEEN,
    /** A young queen is out and does not lay yet: unmated, or mated a few days ago. */
    VIRGIN,
    /** Queen cells are under way: for a swarm, a supersedure, or because the queen was lost. */
    CELLS,
    /** The old queen left with a swarm within the last days; sealed cells stay behind. */
    JUST_SWARMED,
    /** A queen lays, but only or mostly drones: unmated, poorly mated, failing. */
    DRONE_LAYER,
    LAYING_WORKERS,
    /** No queen, no cell, and no larva young enough to raise one from. */
    HOPELESSLY_QUEENLESS,
    /** Mother and daughter lay side by side. */
    TWO_QUEENS,
    /** The queen was lost within the last days; larvae are there to raise one from. */
    RECENTLY_QUEENLESS;

    public Sentence sentence() {
        return Sentence.of("status." + name());
    }
}
