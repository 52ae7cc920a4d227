package vividcrown.core.season;

import java.util.List;

/**
 * Drones for the season's matings.
 *
 * @param colonies none given: drones are taken to be there, and the plan says when their comb must be in
 * @param mothers colonies that could be given drone comb
 */
public record Drones(List<DroneColony> colonies, List<DroneMother> mothers) {

    public static final Drones TAKEN_TO_BE_THERE = new Drones(List.of(), List.of());

    public Drones {
        colonies = List.copyOf(colonies);
        mothers = List.copyOf(mothers);
    }
}
