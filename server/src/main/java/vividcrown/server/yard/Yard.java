package vividcrown.server.yard;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.climate.Climate;
import vividcrown.core.climate.ClimateOfPlace;
import vividcrown.core.mating.Distance;
import vividcrown.core.yard.SiteCondition;
import vividcrown.core.yard.YardDeed;
import vividcrown.core.yard.YardFold;

/** A place where hives stand. */
public interface Yard {
    UUID id();

    String name();

    /** Begins the codes of its hives, may be empty. */
    String prefix();

    int walkOrder();

    double latitude();

    double longitude();

    int elevationMetres();

    /** What to look out for here, empty if nothing. */
    String caution();

    Climate climate();

    /** Somebody said so; otherwise it is the likeliest for the place. */
    boolean climateSaid();

    /** Usual highest temperature of a day in each month, January first; empty if nobody knows. */
    List<Double> ownHighs();

    /** The simulated weather station is switched on here. */
    boolean stationOn();

    Set<SiteCondition> conditions();

    /** What is to be kept to here, empty if nothing. */
    String rules();

    /** Lines whose virgins are to mate here, empty if none in particular. */
    Set<String> matingLines();

    /** There and back, minutes, if somebody said. */
    Optional<Integer> driveMinutes();

    Optional<LocalDate> closedOn();

    /** What bees found there, as somebody said last. */
    Optional<YardFold.FlowNoted> flowSaid();

    /** As the bees fly. */
    default double kilometresTo(Yard other) {
        return Distance.metres(latitude(), longitude(), other.latitude(), other.longitude()) / 1000;
    }

    /**
     * There and back, minutes: as somebody said, or else reckoned from the distance to another yard, on roads half as long again at 40 km an hour
     * (from memory of upland roads).
     */
    default int driveMinutesFrom(Yard home) {
        return driveMinutes().orElseGet(() -> Math.min(YardDeed.LONGEST_DRIVE_MINUTES,
                (int) (5 * Math.round(2 * kilometresTo(home) * 1.5 / 40 * 60 / 5))));
    }

    /** Seasons are half a year apart from those of the north. */
    default boolean isSouthern() {
        return latitude() < 0;
    }

    default ClimateOfPlace climateOfPlace() {
        return new ClimateOfPlace(climate(), elevationMetres(), isSouthern(), ownHighs());
    }

    /** How colonies lay and fly there through the year. */
    default BeeYear year() {
        return new BeeYear(isSouthern(), climateOfPlace());
    }
}
