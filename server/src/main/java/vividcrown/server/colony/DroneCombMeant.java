package vividcrown.server.colony;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * As recorded when the season's plan means a colony to be given drone comb.
 *
 * @param from the first day on which to put it in; left out if the plan means it no longer
 * @param until the last
 */
public record DroneCombMeant(@Nullable LocalDate from, @Nullable LocalDate until) {
}
