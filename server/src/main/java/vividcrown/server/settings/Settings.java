package vividcrown.server.settings;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.YearColour;
import vividcrown.core.time.DaySpan;

/**
 * What an operation does its own way, as recorded and as sent.
 *
 * @param figures day-counts that take the place of the trade's; none twice
 * @param marking colours for years ending in 1 or 6, 2 or 7, 3 or 8, 4 or 9, 5 or 0
 */
public record Settings(@NotNull List<@Valid OwnFigure> figures, @NotNull List<YearColour> marking,
        @NotNull Units units) {

    static final Settings STANDARD = new Settings(List.of(), MarkingScheme.INTERNATIONAL.colours(), Units.METRIC);

    /** @throws IllegalArgumentException if the figures contradict each other, with what to change */
    public Assumptions assumptions() {
        Map<Figure, DaySpan> own = new EnumMap<>(Figure.class);
        for (OwnFigure one : figures) {
            if (own.put(one.figure(), one.span()) != null) {
                throw new IllegalArgumentException("%s is given twice".formatted(one.figure()));
            }
        }
        return new Assumptions(own);
    }

    /** @throws IllegalArgumentException unless each of five years has a colour of its own */
    public MarkingScheme scheme() {
        return new MarkingScheme(marking);
    }
}
