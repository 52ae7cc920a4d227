package vividcrown.core.swarm;

/** Ways to make an artificial swarm. Each path is followed to its end. */
public enum SwarmSchool {
    /** Destroy all cells, come back on day 7–10, leave exactly one. */
    DESTROY_AND_RETURN,
    /** Leave one good open cell at once, no return: less work, may throw a cast. */
    LEAVE_ONE_NOW,
    /** Remove all cells, keep the old queen in the hive, repeat every five days; only where not far advanced. */
    REMOVE_AND_REPEAT,
    /** Act before there are cells: take the old queen away, drawn comb into the gap. */
    BEFORE_CELLS
}
