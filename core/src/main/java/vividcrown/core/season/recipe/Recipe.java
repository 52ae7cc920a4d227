package vividcrown.core.season.recipe;

import java.time.LocalDate;
import java.util.List;

/**
 * One way to meet a group of demands: how many cups on which days, and when they are delivered.
 *
 * @param grafts the days and their cups, the earliest first; empty if what is running is enough
 * @param delivery the day on which all are handed over
 * @param daysLate how far that lies after the day promised, 0 if in time
 * @param assurance chance of the whole number that this recipe was reckoned for
 * @param chance of the whole number with it
 * @param minutes work of it without the builders' set-up
 */
public record Recipe(List<Graft> grafts, LocalDate delivery, int daysLate, double assurance, double chance,
        int minutes) {

    /**
     * @param cups larvae grafted on that day for this group
     * @param placed cells or virgins that want a nuc or cage, on average: not whole ones
     */
    public record Graft(LocalDate day, int cups, double placed) {
    }

    public Recipe {
        grafts = List.copyOf(grafts);
    }

    /** Grafted on the same days for the same day. */
    public boolean isLike(Recipe other) {
        return delivery.equals(other.delivery) && Math.abs(assurance - other.assurance) < 1e-9
                && grafts.stream().map(Graft::day).toList().equals(other.grafts.stream().map(Graft::day).toList());
    }

    /** Larvae grafted on a day. */
    public int cupsOn(LocalDate day) {
        return grafts.stream().filter(graft -> graft.day().equals(day)).mapToInt(Graft::cups).sum();
    }

    int cups() {
        return grafts.stream().mapToInt(Graft::cups).sum();
    }
}
