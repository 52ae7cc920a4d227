package vividcrown.core.climate;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.time.Monthly;

/**
 * The year of a colony at a place: how much of her full laying a queen does on a day, and how much the bees fly. Common practice
 * of an upland valley, turned by half a year south of the equator and moved by how warm the place is; laying tapers over weeks
 * and stops on no date.
 *
 * @param southern the place lies south of the equator
 * @param measured highest temperature, °C, of days on which somebody or a station measured it
 */
public record BeeYear(boolean southern, MatingClimate climate, Map<LocalDate, Double> measured) {

    public BeeYear {
        measured = Map.copyOf(measured);
    }

    /** As it usually is, every day. */
    public BeeYear(boolean southern, MatingClimate climate) {
        this(southern, climate, Map.of());
    }

    /** Of a queen's full laying, in an upland valley of the northern half. */
    private static final Monthly UPLAND_LAYING = new Monthly(
            List.of(0.02, 0.12, 0.45, 0.85, 0.99, 0.99, 0.95, 0.8, 0.5, 0.2, 0.04, 0.01));
    /** By so much the odds of full laying rise with each degree that a place is warmer than the upland valley. */
    private static final double ODDS_A_DEGREE = 0.25;
    private static final double HARDLY_FLY_CELSIUS = 8;
    private static final double FLY_FULLY_CELSIUS = 16;
    private static final int HALF_YEAR_MONTHS = 6;
    private static final int MONTH_DAYS = 30;
    private static final double REST = 0.12;
    private static final double MAY_REST = 0.3;
    private static final double LAYS_AGAIN = 0.45;
    /** A night in season is about so much colder than the day. */
    private static final double NIGHT_COLDER_CELSIUS = 10;

    /** The day of the northern year that it is like. */
    public LocalDate inTheNorth(LocalDate day) {
        return southern ? day.plusMonths(HALF_YEAR_MONTHS) : day;
    }

    /** Usual highest temperature of that day, °C. */
    public double usualHigh(LocalDate day) {
        return climate instanceof ClimateOfPlace place ? place.usualHigh(day) : uplandHigh(day);
    }

    /** Lowest of a usual night, °C: common practice, some ten degrees under the day. */
    public double usualNight(LocalDate day) {
        return usualHigh(day) - NIGHT_COLDER_CELSIUS;
    }

    /** By how much that day is warmer there than in an upland valley of the same season, °C. */
    public double degreesWarmer(LocalDate day) {
        return usualHigh(day) - uplandHigh(day);
    }

    private double uplandHigh(LocalDate day) {
        return new Monthly(Climate.UPLAND.highs()).on(inTheNorth(day));
    }

    /** Of her full laying, what a queen lays on that day, 0–1. */
    public double laying(LocalDate day) {
        double upland = UPLAND_LAYING.on(inTheNorth(day));
        double odds = upland / (1 - upland) * Math.exp(ODDS_A_DEGREE * degreesWarmer(day));
        return odds / (1 + odds);
    }

    /** How much of a summer day's flying there is, 0–1: as the day was where it was measured, as is usual otherwise. */
    public double flying(LocalDate day) {
        double high = Optional.ofNullable(measured.get(day)).orElseGet(() -> usualHigh(day));
        return Math.clamp((high - HARDLY_FLY_CELSIUS) / (FLY_FULLY_CELSIUS - HARDLY_FLY_CELSIUS), 0, 1);
    }

    /** Laying falls towards a rest: what is begun now goes into the cold or the dearth with what it has. */
    public boolean isAutumn(LocalDate day) {
        return laying(day.plusDays(MONTH_DAYS)) < laying(day) - 0.1 && laying(day) < 0.9
                || laying(day) < REST && laying(day.plusDays(MONTH_DAYS)) <= laying(day);
    }

    /**
     * Where a queen who has to begin on that day may lay nothing before spring: the day from which queens lay again.
     *
     * @return empty in season, and where they never rest
     */
    public Optional<LocalDate> mayRestUntil(LocalDate day) {
        if (laying(day) >= MAY_REST) {
            return Optional.empty();
        }
        return IntStream.rangeClosed(1, 365).mapToObj(day::plusDays).filter(later -> laying(later) >= LAYS_AGAIN)
                .findFirst();
    }

    /** The day after {@code from} on which laying has all but ended: what a colony has then it winters with. */
    public LocalDate restBegins(LocalDate from) {
        LocalDate day = from;
        LocalDate least = from;
        for (int ahead = 0; ahead < 365; ahead++) {
            if (laying(day) < REST) {
                return day;
            }
            least = laying(day) < laying(least) ? day : least;
            day = day.plusDays(1);
        }
        // where they never rest: the leanest day
        return least;
    }

    /** Days between this day and the longest of the year, 0–183. */
    public int daysFromMidsummer(LocalDate day) {
        LocalDate north = inTheNorth(day);
        LocalDate midsummer = LocalDate.of(north.getYear(), 6, 21);
        long days = Math.abs(ChronoUnit.DAYS.between(midsummer, north));
        return (int) Math.min(days, 365 - days);
    }
}
