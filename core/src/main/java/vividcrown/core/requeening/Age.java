package vividcrown.core.requeening;

import java.time.LocalDate;
import java.time.Month;
import java.util.Optional;
import java.util.OptionalInt;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.journal.Faults;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.YearColour;
import vividcrown.core.reason.Sentence;

/**
 * How old a queen is, in winters that she has behind her: what counts for whether she swarms, fails or is kept. Unknown is a proper
 * value: then it is a wide span.
 *
 * @param least 0–10
 * @param most at least as many
 * @param known somebody knows the year
 */
public record Age(int least, int most, boolean known) {

    /** A queen that nobody marked and whose year nobody knows. */
    public static final Age UNKNOWN = new Age(0, 4, false);

    public Age {
        new Faults().within("least", least, 0, 10).within("most", most, least, 10).refuse();
    }

    /**
     * By the year in which she came out. North of the equator bees rest around New Year, so a year is one season; in the south the
     * rest falls into the middle of the year, and a year has queens of two seasons.
     *
     * @param year in which she emerged; 0 if nobody knows
     */
    public static Age of(int year, LocalDate day, BeeYear bees) {
        if (year == 0) {
            return UNKNOWN;
        }
        int years = Math.clamp(day.getYear() - (long) year, 0, 10);
        if (!bees.southern()) {
            return new Age(years, years, true);
        }
        int winter = day.getMonthValue() >= Month.JULY.getValue() ? 1 : 0;
        return new Age(Math.max(0, years + winter - 1), Math.min(10, years + winter), true);
    }

    /**
     * By the year in which she came out; where nobody knows it, by the mark she came with, if its colour tells the year. Taken for the
     * last year of that colour: hardly any queen lives to wear it for five more. This year's paint tells nothing, for queens found without a
     * mark get it too.
     *
     * @param year in which she emerged; 0 if nobody knows
     * @param wears the mark she came with
     */
    public static Age of(int year, Optional<YearColour> wears, MarkingScheme scheme, LocalDate day, BeeYear bees) {
        if (year != 0) {
            return of(year, day, bees);
        }
        OptionalInt told = wears.map(colour -> scheme.yearOf(colour, day.getYear())).orElse(OptionalInt.empty());
        return told.isEmpty() || told.getAsInt() == day.getYear() ? UNKNOWN : of(told.getAsInt(), day, bees);
    }

    /** By the day on which she came out. */
    public static Age ofDay(LocalDate born, LocalDate day, BeeYear bees) {
        int winters = 0;
        LocalDate rest = LocalDate.of(born.getYear(), bees.southern() ? Month.JULY : Month.JANUARY, 1);
        for (LocalDate one = rest; !one.isAfter(day) && winters < 10; one = one.plusYears(1)) {
            winters += one.isAfter(born) ? 1 : 0;
        }
        return new Age(winters, winters, true);
    }

    Optional<Integer> sure() {
        return least == most ? Optional.of(least) : Optional.empty();
    }

    public Sentence sentence() {
        if (!known) {
            return Sentence.of("age.unknown");
        }
        return sure().map(winters -> Sentence.of("age.winters", winters))
                .orElseGet(() -> Sentence.of("age.between", least, most));
    }
}
