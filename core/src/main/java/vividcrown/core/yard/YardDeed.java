package vividcrown.core.yard;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import vividcrown.core.climate.Climate;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Faults;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.journal.Touch;
import vividcrown.core.mating.Afternoon;

/** What is known of yards. */
public sealed interface YardDeed extends Deed {

    SubjectKind YARD = new SubjectKind("YARD");

    /** Which yard it is about. */
    UUID yard();

    @Override
    default List<Touch> touches() {
        return List.of(Touch.itself(YARD, yard()));
    }

    /**
     * A yard is opened, or described anew: the last to speak is right.
     *
     * @param name 1–60 characters
     * @param prefix begins the codes of its hives, may be empty
     * @param walkOrder place in the day's walk, from 1
     * @param latitude degrees north, −90 to 90
     * @param longitude degrees east, −180 to 180
     * @param elevationMetres above the sea, −430 to 6000
     * @param caution what to look out for here, empty if nothing
     */
    record Opened(UUID yard, String name, String prefix, int walkOrder, double latitude, double longitude,
            int elevationMetres, String caution) implements YardDeed {
        public Opened {
            new Faults().text("name", name, 1, 60).text("prefix", prefix, 0, 10).text("caution", caution, 0, 500)
                    .within("walkOrder", walkOrder, 1, 10_000).within("latitude", latitude, -90, 90)
                    .within("longitude", longitude, -180, 180).within("elevationMetres", elevationMetres, -430, 6_000)
                    .refuse();
        }
    }

    /**
     * What the weather usually is at a yard; the last to speak is right.
     *
     * @param ownHighs usual highest temperature of a day in each month there, January first, −60 to 60 °C; empty if nobody
     *                 knows
     */
    record ClimateSaid(UUID yard, Climate climate, List<Double> ownHighs) implements YardDeed {
        public ClimateSaid {
            ownHighs = List.copyOf(ownHighs);
            Faults faults = new Faults();
            faults.unless(ownHighs.isEmpty() || ownHighs.size() == 12, "fault.twelveMonths", ownHighs.size());
            ownHighs.forEach(high -> faults.within("ownHighs", high, -60, 60));
            faults.refuse();
        }
    }

    /**
     * The simulated weather station is switched on or off at a yard: for trying out, never for real weather.
     */
    record StationSwitched(UUID yard, boolean on) implements YardDeed {
    }

    /** The weather of past days, as somebody or a station noted it; of one day the last to speak is right. */
    record WeatherNoted(UUID yard, List<DayNoted> days) implements YardDeed {
        public WeatherNoted {
            days = List.copyOf(days);
            new Faults().unless(!days.isEmpty() && days.size() <= MOST_DAYS, "fault.daysNoted", MOST_DAYS, days.size())
                    .refuse();
        }
    }

    /**
     * What a place is like to work at; the last to speak is right.
     *
     * @param rules what is to be kept to there: keys, gates, times, distance to neighbours; at most 1,000 characters
     */
    record SiteDescribed(UUID yard, Set<SiteCondition> conditions, String rules) implements YardDeed {
        public SiteDescribed {
            conditions = Set.copyOf(conditions);
            new Faults().text("rules", rules, 0, 1_000).refuse();
        }
    }

    /**
     * How a yard serves for mating; the last to speak is right.
     *
     * @param lines whose virgins are to mate there, at most 20 of 1–60 characters; none: no line in particular
     * @param driveMinutes there and back, 0–600; left out if nobody measured it
     */
    record MatingSaid(UUID yard, Set<String> lines, Optional<Integer> driveMinutes) implements YardDeed {
        public MatingSaid {
            lines = lines.stream().map(String::strip).collect(Collectors.toUnmodifiableSet());
            Faults faults = new Faults().unless(lines.size() <= MOST_LINES, "fault.matingLines", MOST_LINES,
                    lines.size());
            lines.forEach(line -> faults.text("lines", line, 1, 60));
            driveMinutes.ifPresent(
                    minutes -> faults.within("driveMinutes", minutes, 0, LONGEST_DRIVE_MINUTES));
            faults.refuse();
        }

        private static final int MOST_LINES = 20;
    }

    /** What bees find here now, as somebody saw it; it is believed for some days. */
    record FlowSaid(UUID yard, Flow flow) implements YardDeed {
    }

    /** No hive is kept here any more. */
    record Closed(UUID yard) implements YardDeed {
    }

    /** Nobody drives further to a yard and back. */
    int LONGEST_DRIVE_MINUTES = 600;

    /** A year and a day, at once. */
    int MOST_DAYS = 367;

    /**
     * One day's weather, as far as it is known.
     *
     * @param day of the years 1850 to 2200
     * @param highCelsius highest temperature, −60 to 60 °C
     * @param windKmh mean wind of the afternoon, 0–200 km/h
     * @param brightShare share of the afternoon with sun or bright cloud, 0–1
     * @param rainMillimetres 0–1,000 mm
     * @param seemed how the afternoon seemed to somebody who was there; goes before the figures
     */
    record DayNoted(LocalDate day, Optional<Double> highCelsius, Optional<Double> windKmh, Optional<Double> brightShare,
            Optional<Double> rainMillimetres, Optional<Afternoon.Fitness> seemed) {
        public DayNoted {
            Faults faults = new Faults().within("year", day.getYear(), 1850, 2200);
            highCelsius.ifPresent(high -> faults.within("highCelsius", high, -60, 60));
            windKmh.ifPresent(wind -> faults.within("windKmh", wind, 0, 200));
            brightShare.ifPresent(bright -> faults.within("brightShare", bright, 0, 1));
            rainMillimetres.ifPresent(rain -> faults.within("rainMillimetres", rain, 0, 1_000));
            faults.unless(highCelsius.isPresent() || seemed.isPresent(), "fault.dayWithout", day);
            faults.refuse();
        }

        /**
         * Whether queens could fly. Without wind or light noted they are taken for calm and bright unless it rained; a high
         * under 18 °C settles it alone.
         */
        public Afternoon.Fitness fitness() {
            boolean rained = rainMillimetres.map(rain -> rain >= WET_MILLIMETRES).orElse(false);
            return seemed.orElseGet(() -> new Afternoon(day, highCelsius.orElseThrow(), windKmh.orElse(10.0),
                    brightShare.orElse(rained ? 0.0 : 0.6)).fitness());
        }

        /** A day with so much rain is a wet one, mm (common practice of weather services). */
        private static final double WET_MILLIMETRES = 1;
    }
}
