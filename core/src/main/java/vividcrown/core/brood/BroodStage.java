package vividcrown.core.brood;

/** What worker brood looks like on the comb, by its age. */
public enum BroodStage {
    EGG, YOUNG_LARVA, OLD_LARVA, SEALED, EMERGING, GONE
}
