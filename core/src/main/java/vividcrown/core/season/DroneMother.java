package vividcrown.core.season;

/**
 * A colony that could be given drone comb.
 *
 * @param colony as the caller knows it
 * @param mother its queen
 */
public record DroneMother(String colony, String mother) {
}
