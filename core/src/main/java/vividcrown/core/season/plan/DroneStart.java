package vividcrown.core.season.plan;

import java.time.LocalDate;
import vividcrown.core.time.DatedSpan;

/**
 * A colony that the plan makes a drone colony.
 *
 * @param colony as the caller knows it
 * @param mother its queen
 * @param combIn when drone comb is to be put in
 * @param firstGraft the graft whose virgins its drones are the first to meet
 */
public record DroneStart(String colony, String mother, DatedSpan combIn, LocalDate firstGraft) {
}
