package vividcrown.core.settings;

import java.time.DayOfWeek;
import java.util.Set;
import vividcrown.core.journal.Faults;

/**
 * What there is to plan a season with.
 *
 * @param hoursADay hours that a working day has for queens, all people together, 0.5–400
 * @param daysOff days of the week without work
 * @param cages places in the incubator, 0–10,000
 * @param assurance chance of meeting an order that is wanted where the order names none, 0.5–0.999
 */
public record SeasonHands(double hoursADay, Set<DayOfWeek> daysOff, int cages, double assurance) {

    /** Two people, Sundays off. */
    public static final SeasonHands USUAL = new SeasonHands(14, Set.of(DayOfWeek.SUNDAY), 60, 0.9);

    public SeasonHands {
        daysOff = Set.copyOf(daysOff);
        new Faults().within("hoursADay", hoursADay, 0.5, 400).within("cages", cages, 0, 10_000)
                .within("assurance", assurance, 0.5, 0.999)
                .unless(daysOff.size() < 7, "fault.noWorkday")
                .refuse();
    }
}
