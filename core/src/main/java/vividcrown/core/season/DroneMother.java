package vividcrown.core.season;

/**
 * A colony that could be given drone comb.
 *
 * @param colony as the caller knows it
 * @param mother its queen
 * @param meant the plan before wanted its drones
 */
public record DroneMother(String colony, String mother, boolean meant) {
}
