package vividcrown.server.settings;

import jakarta.validation.constraints.NotNull;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.time.DaySpan;

/** A day-count as an operation states it, in days and half days. */
public record OwnFigure(@NotNull Figure figure, double earliest, double likely, double latest) {

    static OwnFigure of(Figure figure, DaySpan span) {
        return new OwnFigure(figure, span.earliestHours() / 24.0, span.likelyHours() / 24.0,
                span.latestHours() / 24.0);
    }

    /** @throws IllegalArgumentException unless earliest ≤ likely ≤ latest */
    DaySpan span() {
        return DaySpan.ofHours(hours(earliest), hours(likely), hours(latest));
    }

    private static int hours(double days) {
        return (int) Math.round(days * 24);
    }

    /**
     * The trade's values with these laid over them.
     *
     * @throws IllegalArgumentException if one is given twice or they contradict each other
     */
    public static Assumptions over(List<OwnFigure> figures) {
        Map<Figure, DaySpan> own = new EnumMap<>(Figure.class);
        for (OwnFigure one : figures) {
            if (own.put(one.figure(), one.span()) != null) {
                throw new IllegalArgumentException("%s is given twice".formatted(one.figure()));
            }
        }
        return new Assumptions(own);
    }
}
