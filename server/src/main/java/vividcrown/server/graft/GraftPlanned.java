package vividcrown.server.graft;

import java.time.ZonedDateTime;
import java.util.UUID;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;

/**
 * As recorded when a graft is planned.
 *
 * @param code year and number, as 26-06
 * @param mother the breeder queen
 * @param grafter who grafts
 * @param plannedFor day and hour
 * @param bars number of bars, from 1
 * @param cupsPerBar cups on each, from 1
 */
public record GraftPlanned(String code, UUID mother, UUID builder, String grafter, ZonedDateTime plannedFor,
        LarvaAge larvaAge, Placing placing, double incubatorCelsius, int bars, int cupsPerBar) {
}
