package vividcrown.core.rearing;

/** What becomes of the ripe cells. */
public enum Placing {
    /** Ripe cells go straight into mating nucs. */
    CELLS_TO_NUCS,
    /** Cells go into incubator cages, emerge there, and the virgins are introduced. More losses with virgins. */
    EMERGE_IN_INCUBATOR
}
