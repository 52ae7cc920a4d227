package vividcrown.core.season;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.reason.Wrong;

/**
 * When there are hands.
 *
 * @param hoursADay hours that a working day has for queens, all people together; above 0
 * @param daysOff days of the week without work
 * @param closed single days without work
 * @param grafter who grafts, if it is always the same person
 */
public record Crew(double hoursADay, Set<DayOfWeek> daysOff, Set<LocalDate> closed, Optional<String> grafter) {

    public static final Crew EVERY_DAY = new Crew(16, Set.of(), Set.of());

    private static final double MOST_HOURS = 400;

    public Crew {
        if (!(hoursADay > 0 && hoursADay <= MOST_HOURS)) {
            throw Wrong.of("wrong.Crew", hoursADay);
        }
        daysOff = Set.copyOf(daysOff);
        closed = Set.copyOf(closed);
    }

    public Crew(double hoursADay, Set<DayOfWeek> daysOff, Set<LocalDate> closed) {
        this(hoursADay, daysOff, closed, Optional.empty());
    }

    /** The same hands for longer, as far as a day goes. @param more hours a day, 0 or more */
    public Crew withMore(int more) {
        return new Crew(Math.min(hoursADay + more, MOST_HOURS), daysOff, closed, grafter);
    }

    /** The same hands, working on every day. */
    public Crew withoutDaysOff() {
        return new Crew(hoursADay, Set.of(), closed, grafter);
    }

    public boolean works(LocalDate day) {
        return !daysOff.contains(day.getDayOfWeek()) && !closed.contains(day);
    }

    public int minutesADay() {
        return (int) Math.round(hoursADay * 60);
    }

    /** The first working day that is not before {@code day}, at most two weeks on; the day itself if there is none. */
    public LocalDate firstWorkdayFrom(LocalDate day) {
        for (int on = 0; on < 14; on++) {
            if (works(day.plusDays(on))) {
                return day.plusDays(on);
            }
        }
        return day;
    }

    /** The last working day that is not after {@code day}, at most two weeks back; the day itself if there is none. */
    public LocalDate lastWorkdayUntil(LocalDate day) {
        for (int back = 0; back < 14; back++) {
            if (works(day.minusDays(back))) {
                return day.minusDays(back);
            }
        }
        return day;
    }
}
