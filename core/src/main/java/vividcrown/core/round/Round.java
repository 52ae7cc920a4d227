package vividcrown.core.round;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;

/**
 * A day's walk: every job that may be done today or should have been done, yard after yard. In each yard the overdue
 * boxes come first, then the others, both as they stand in the yard.
 *
 * @param stops in walking order
 * @param kit the sum of what they take
 */
public record Round(List<Stop> stops, Kit kit) {

    public Round {
        stops = List.copyOf(stops);
    }

    public static Round of(List<Stop> jobs, LocalDate today) {
        List<Stop> due = jobs.stream().filter(stop -> !stop.window().earliest().isAfter(today))
                .sorted(Comparator.comparingInt((Stop stop) -> stop.box().yardOrder())
                        .thenComparing(stop -> !stop.window().isOverBy(today))
                        .thenComparingInt(stop -> stop.box().position()).thenComparing(Stop::job)
                        .thenComparing(Stop::subject))
                .toList();
        return new Round(due, due.stream().map(Stop::kit).reduce(Kit.NOTHING, Kit::plus));
    }
}
