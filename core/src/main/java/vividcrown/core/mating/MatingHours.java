package vividcrown.core.mating;

import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import org.shredzone.commons.suncalc.SunTimes;
import vividcrown.core.reason.Wrong;

/**
 * The clock hours in which queens fly at a place: 12:00 to 17:00 by the sun (common practice), which in summer time far
 * west in a zone is well past noon by the clock.
 *
 * @param from sun noon, by the clock of the place
 * @param until five hours later
 */
public record MatingHours(ZonedDateTime from, ZonedDateTime until) {

    private static final Duration FLIGHT_HOURS = Duration.ofHours(5);

    /**
     * @param latitude degrees, north positive, −66 to 66 (nearer the poles the sun has no plain noon all year)
     * @param longitude degrees, east positive
     */
    public static MatingHours at(LocalDate day, double latitude, double longitude, ZoneId zone) {
        if (Math.abs(latitude) > 66) {
            throw Wrong.of("wrong.MatingHours", latitude);
        }
        ZonedDateTime noon = SunTimes.compute().on(day).at(latitude, longitude).timezone(zone).execute().getNoon();
        return new MatingHours(noon, noon.plus(FLIGHT_HOURS));
    }
}
