package vividcrown.core.queen;

import java.util.EnumSet;
import java.util.List;
import vividcrown.core.reason.Source;
import vividcrown.core.reason.Wrong;

/**
 * Which colour the queens of a year are marked with. The colour never overrides a known age.
 *
 * @param colours colours for years ending in 1 or 6, 2 or 7, 3 or 8, 4 or 9, 5 or 0, in this order
 */
public record MarkingScheme(List<YearColour> colours) {

    /** White, yellow, red, green, blue. */
    public static final MarkingScheme INTERNATIONAL = new MarkingScheme(List.of(YearColour.values()));

    private static final int YEARS = 5;

    /** @throws IllegalArgumentException unless there is one colour for each of the five years, none twice */
    public MarkingScheme {
        colours = List.copyOf(colours);
        if (colours.size() != YEARS || EnumSet.copyOf(colours).size() != YEARS) {
            throw Wrong.of("wrong.MarkingScheme", colours);
        }
    }

    public YearColour colourOf(int year) {
        return colours.get(Math.floorMod(year - 1, YEARS));
    }

    public Source source() {
        return equals(INTERNATIONAL) ? Source.MARKING_CODE : new Source.OwnRecord("this operation's own colours");
    }
}
