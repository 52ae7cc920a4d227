package vividcrown.core.time;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/**
 * A span on the calendar: the first day something can happen, the likely day, the last day. Both ends count.
 *
 * @param earliest first possible day, included
 * @param likely most likely day
 * @param latest last possible day, included
 */
public record DatedSpan(LocalDate earliest, LocalDate likely, LocalDate latest) {

    public DatedSpan {
        if (earliest.isAfter(likely) || likely.isAfter(latest)) {
            throw new IllegalArgumentException(
                    "A span runs earliest ≤ likely ≤ latest, but got %s, %s, %s".formatted(earliest, likely, latest));
        }
    }

    /** A single known day. */
    public static DatedSpan on(LocalDate day) {
        return new DatedSpan(day, day, day);
    }

    /** Both ends included; the likely day is the middle, the earlier one of two. */
    public static DatedSpan ofClosed(LocalDate firstInclusive, LocalDate lastInclusive) {
        long days = ChronoUnit.DAYS.between(firstInclusive, lastInclusive);
        return new DatedSpan(firstInclusive, firstInclusive.plusDays(Math.floorDiv(days, 2)), lastInclusive);
    }

    /**
     * This, then a further length of time. Ends are rounded outwards to whole days (a half day earlier counts as the
     * day before, a half day later as the day after), so the true day always lies inside; the likely day is rounded
     * half up.
     */
    public DatedSpan plus(DaySpan length) {
        return new DatedSpan(earliest.plusDays(length.earliestDay()), likely.plusDays(length.likelyDay()),
                latest.plusDays(length.latestDay()));
    }

    public DatedSpan plusDays(int days) {
        return new DatedSpan(earliest.plusDays(days), likely.plusDays(days), latest.plusDays(days));
    }

    public boolean contains(LocalDate day) {
        return !day.isBefore(earliest) && !day.isAfter(latest);
    }

    /** Every day of {@code other} is one of these days. */
    public boolean encloses(DatedSpan other) {
        return contains(other.earliest) && contains(other.latest);
    }

    /** At least one day in common. */
    public boolean overlaps(DatedSpan other) {
        return !latest.isBefore(other.earliest) && !other.latest.isBefore(earliest);
    }

    /** The days in common, if any; the likely day of this, moved into them if it lies outside. */
    public Optional<DatedSpan> intersection(DatedSpan other) {
        if (!overlaps(other)) {
            return Optional.empty();
        }
        return Optional.of(clamped(later(earliest, other.earliest), earlier(latest, other.latest)));
    }

    /** The shortest span that holds both; the likely day stays this one's. */
    public DatedSpan span(DatedSpan other) {
        return new DatedSpan(earlier(earliest, other.earliest), likely, later(latest, other.latest));
    }

    /**
     * What is left when it is known not to have happened before {@code day}. If that rules out every day, the whole
     * span moves to {@code day}: it is late, not impossible.
     */
    public DatedSpan notBefore(LocalDate day) {
        return latest.isBefore(day) ? on(day) : clamped(later(earliest, day), latest);
    }

    /** What is left when it is known to have happened by {@code day}. If that rules out every day, {@code day}. */
    public DatedSpan notAfter(LocalDate day) {
        return earliest.isAfter(day) ? on(day) : clamped(earliest, earlier(latest, day));
    }

    public boolean isOverBy(LocalDate day) {
        return latest.isBefore(day);
    }

    /** Number of days, both ends counted: at least 1. */
    public int lengthInDays() {
        return (int) ChronoUnit.DAYS.between(earliest, latest) + 1;
    }

    private DatedSpan clamped(LocalDate first, LocalDate last) {
        return new DatedSpan(first, earlier(later(likely, first), last), last);
    }

    private static LocalDate earlier(LocalDate a, LocalDate b) {
        return a.isBefore(b) ? a : b;
    }

    private static LocalDate later(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }
}
