package vividcrown.server.graft;

import java.time.ZonedDateTime;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
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
 * @param shares for whom it is, if the season's plan says so
 * @param fixed planned or moved by hand: it stays when the season is planned again; so it is if left out
 */
public record GraftPlanned(String code, UUID mother, UUID builder, String grafter, ZonedDateTime plannedFor,
        LarvaAge larvaAge, Placing placing, double incubatorCelsius, int bars, int cupsPerBar,
        @Nullable List<GraftShare> shares, @Nullable Boolean fixed) {
}
