package vividcrown.core.queen;

import static vividcrown.core.queen.YearColour.BLUE;
import static vividcrown.core.queen.YearColour.GREEN;
import static vividcrown.core.queen.YearColour.RED;
import static vividcrown.core.queen.YearColour.WHITE;
import static vividcrown.core.queen.YearColour.YELLOW;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import vividcrown.core.reason.Source;
import vividcrown.core.reason.Wrong;

/**
 * Which colour the queens of a year are marked with. The colour never overrides a known age.
 *
 * @param colours colours for years ending in 1 or 6, 2 or 7, 3 or 8, 4 or 9, 5 or 0, in this order; none if its colours say nothing of
 *     the year
 */
public record MarkingScheme(List<YearColour> colours) {

    /** White, yellow, red, green, blue. */
    public static final MarkingScheme INTERNATIONAL = new MarkingScheme(List.of(WHITE, YELLOW, RED, GREEN, BLUE));

    private static final int YEARS = 5;

    /** @throws IllegalArgumentException unless there is one colour for each of the five years, none twice, or none at all */
    public MarkingScheme {
        colours = List.copyOf(colours);
        if (!colours.isEmpty() && (colours.size() != YEARS || EnumSet.copyOf(colours).size() != YEARS)) {
            throw Wrong.of("wrong.MarkingScheme", colours);
        }
    }

    /** @return empty where colours say nothing of the year, or nobody knows it (0) */
    public Optional<YearColour> colourOf(int year) {
        return colours.isEmpty() || year == 0
                ? Optional.empty()
                : Optional.of(colours.get(Math.floorMod(year - 1, YEARS)));
    }

    /** The last year up to this one whose queens wear a colour; hardly any queen lives to the one before it. */
    public OptionalInt yearOf(YearColour colour, int upTo) {
        for (int year = upTo; year > upTo - YEARS; year--) {
            if (colourOf(year).equals(Optional.of(colour))) {
                return OptionalInt.of(year);
            }
        }
        return OptionalInt.empty();
    }

    public Source source() {
        return equals(INTERNATIONAL) ? Source.MARKING_CODE : new Source.OwnRecord("this operation's own colours");
    }
}
