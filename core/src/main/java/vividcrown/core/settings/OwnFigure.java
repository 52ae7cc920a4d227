package vividcrown.core.settings;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.reason.Wrong;
import vividcrown.core.time.DaySpan;

/** A day-count as an operation states it, in days and half days, 0–365. */
public record OwnFigure(Figure figure, double earliest, double likely, double latest) {

    /** @throws IllegalArgumentException unless 0 ≤ earliest ≤ likely ≤ latest ≤ 365 */
    public OwnFigure {
        if (!(earliest >= 0 && latest <= 365)) {
            throw Wrong.of("wrong.OwnFigure", figure, earliest, latest);
        }
        DaySpan.ofHours(hours(earliest), hours(likely), hours(latest));
    }

    /** The trade's value of a figure. */
    public static OwnFigure standard(Figure figure) {
        DaySpan span = figure.standard();
        return new OwnFigure(figure, span.earliestHours() / 24.0, span.likelyHours() / 24.0,
                span.latestHours() / 24.0);
    }

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
                throw Wrong.of("wrong.OwnFigure.2", one.figure());
            }
        }
        return new Assumptions(own);
    }
}
