package vividcrown.core.time;

import java.time.LocalDate;

/**
 * A length of time that is not known exactly: earliest, likely and latest, counted in whole hours from some event.
 *
 * <p>The trade counts in days and half days ("sealed on day 7.5 to 8.5"), so hours hold every value exactly; nothing is
 * ever kept as a fraction. A span may be negative: a step nine days <em>before</em> the graft is {@code ofDays(-9)}.
 * The order earliest ≤ likely ≤ latest is kept by every operation.
 *
 * @param earliestHours hours until the first moment at which it can be
 * @param likelyHours hours until the most likely moment
 * @param latestHours hours until the last moment at which it can be
 */
public record DaySpan(int earliestHours, int likelyHours, int latestHours) {

    private static final int HOURS_A_DAY = 24;

    public DaySpan {
        if (earliestHours > likelyHours || likelyHours > latestHours) {
            throw new IllegalArgumentException("A span runs earliest ≤ likely ≤ latest, but got %d, %d, %d hours"
                    .formatted(earliestHours, likelyHours, latestHours));
        }
    }

    /** Whole days: {@code ofDays(15, 16, 17)} is 15 to 17 days, most likely 16. */
    public static DaySpan ofDays(int earliest, int likely, int latest) {
        return new DaySpan(earliest * HOURS_A_DAY, likely * HOURS_A_DAY, latest * HOURS_A_DAY);
    }

    /** An exact number of days. */
    public static DaySpan ofDays(int days) {
        return ofDays(days, days, days);
    }

    public static DaySpan ofHours(int earliest, int likely, int latest) {
        return new DaySpan(earliest, likely, latest);
    }

    public static DaySpan ofHours(int hours) {
        return new DaySpan(hours, hours, hours);
    }

    /** One step after another: each end is added to the same end, which is the widest the two can make together. */
    public DaySpan plus(DaySpan next) {
        return new DaySpan(earliestHours + next.earliestHours, likelyHours + next.likelyHours,
                latestHours + next.latestHours);
    }

    /** The likely moment alone, for a plan that is made for the likely case. */
    public DaySpan likelyOnly() {
        return ofHours(likelyHours);
    }

    /** The same span, all of it this many hours later (earlier if negative). */
    public DaySpan shiftedByHours(int hours) {
        return new DaySpan(earliestHours + hours, likelyHours + hours, latestHours + hours);
    }

    /**
     * The same step counted back from its end: if A happens {@code this} before B, then B + {@code negated()} is A.
     * Earliest and latest change places.
     */
    public DaySpan negated() {
        return new DaySpan(-latestHours, -likelyHours, -earliestHours);
    }

    /** Laid on the calendar from {@code day}, see {@link DatedSpan#plus(DaySpan)}. */
    public DatedSpan from(LocalDate day) {
        return DatedSpan.on(day).plus(this);
    }

    /**
     * The days on which to <em>act</em>: ends rounded inwards to whole days, so that no planned day lies outside the
     * span. "Graft + 9.5 to 10.5" becomes day 10 alone. A span with no whole day in it becomes its likely day.
     */
    public DatedSpan windowFrom(LocalDate day) {
        int first = -Math.floorDiv(-earliestHours, HOURS_A_DAY);
        int last = Math.floorDiv(latestHours, HOURS_A_DAY);
        if (first > last) {
            return DatedSpan.on(day.plusDays(likelyDay()));
        }
        int likely = Math.clamp(likelyDay(), first, last);
        return new DatedSpan(day.plusDays(first), day.plusDays(likely), day.plusDays(last));
    }

    /** Whole days to the earliest end, half days rounded down, so that nothing possible falls outside. */
    public int earliestDay() {
        return Math.floorDiv(earliestHours, HOURS_A_DAY);
    }

    /** Whole days to the likely moment; a half day counts as the next day. */
    public int likelyDay() {
        return Math.floorDiv(likelyHours + HOURS_A_DAY / 2, HOURS_A_DAY);
    }

    /** Whole days to the latest end, half days rounded up, so that nothing possible falls outside. */
    public int latestDay() {
        return -Math.floorDiv(-latestHours, HOURS_A_DAY);
    }
}
