package vividcrown.core.season;

import java.util.Set;

/**
 * A colony that could be given drone comb.
 *
 * @param colony as the caller knows it
 * @param mother its queen
 * @param meant the plan before wanted its drones
 * @param reaches mating yards that its drones would reach; none given: all
 */
public record DroneMother(String colony, String mother, boolean meant, Set<String> reaches) {

    public DroneMother {
        reaches = Set.copyOf(reaches);
    }

    public DroneMother(String colony, String mother, boolean meant) {
        this(colony, mother, meant, Set.of());
    }
}
