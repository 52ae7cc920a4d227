package vividcrown.core.trainer;

import java.time.LocalDate;

/**
 * When something is drilled again: SM-2 (Wozniak 1990, "Application of a computer to improve the results obtained in working with the SuperMemo method", from memory):
 * next after 1 day, then after 6, then each time the ease longer, rounded up; an answer below 3 begins anew without changing the ease; one below 4 is asked again
 * the same day until it is known, which changes nothing more.
 *
 * @param ease by how much the wait grows, 1.3 and more; 2.5 at first
 * @param days until the next time, 1 or more
 * @param times known in a row
 * @param on the day on which it was drilled last
 * @param due the day from which it is to be drilled again
 */
public record Repetition(double ease, int days, int times, LocalDate on, LocalDate due) {

    private static final double EASE_AT_FIRST = 2.5;
    private static final double LEAST_EASE = 1.3;
    private static final int FIRST_WAIT_DAYS = 1;
    private static final int SECOND_WAIT_DAYS = 6;
    /** Whatever was known for so long is asked again all the same once a year: seasons are a year apart. */
    private static final int LONGEST_WAIT_DAYS = 365;

    /** After it was drilled for the first time. */
    public static Repetition first(Quality quality, LocalDate day) {
        return next(EASE_AT_FIRST, 0, 0, quality, day);
    }

    /** After it was drilled on a day, which is not before the last. */
    public Repetition after(Quality quality, LocalDate day) {
        if (!day.equals(on) || !isKnown(quality)) {
            return next(ease, days, times, quality, day);
        }
        return new Repetition(ease, days, times, on, isSure(quality) ? on.plusDays(days) : day);
    }

    private static boolean isKnown(Quality quality) {
        return quality.compareTo(Quality.HARDLY) >= 0;
    }

    private static boolean isSure(Quality quality) {
        return quality.compareTo(Quality.WELL) >= 0;
    }

    private static Repetition next(double ease, int days, int times, Quality quality, LocalDate day) {
        int missing = Quality.AT_ONCE.ordinal() - quality.ordinal();
        double next = isKnown(quality)
                ? Math.max(LEAST_EASE, ease + 0.1 - missing * (0.08 + missing * 0.02))
                : ease;
        int row = isKnown(quality) ? times + 1 : 0;
        int until = switch (row) {
            case 0, 1 -> FIRST_WAIT_DAYS;
            case 2 -> SECOND_WAIT_DAYS;
            default -> (int) Math.min(LONGEST_WAIT_DAYS, Math.ceil(days * next));
        };
        return new Repetition(next, until, row, day, isSure(quality) ? day.plusDays(until) : day);
    }
}
