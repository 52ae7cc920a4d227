package vividcrown.server.settings;

import jakarta.validation.constraints.NotNull;
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
}
