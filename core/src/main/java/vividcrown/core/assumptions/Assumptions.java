package vividcrown.core.assumptions;

import java.util.Map;
import vividcrown.core.reason.Source;
import vividcrown.core.reason.Wrong;
import vividcrown.core.time.DaySpan;

/**
 * The day-counts that everything is reckoned with: the trade's defaults, with an operation's own values laid over them.
 *
 * @param own values that take the place of the defaults
 */
public record Assumptions(Map<Figure, DaySpan> own) {

    private static final Assumptions STANDARD = new Assumptions(Map.of());
    private static final Source OWN_FIGURE = new Source.OwnRecord("this operation's own figure");
    /** No figure of the trade comes near it; longer ones are slips of the pen. */
    private static final int LONGEST_DAYS = 90;

    /**
     * @throws IllegalArgumentException if brood would emerge before it is sealed, an unmated queen be hopeless before
     *         she is late, or a figure is negative or longer than 90 days
     */
    public Assumptions {
        own = Map.copyOf(own);
        own.forEach((figure, span) -> {
            if (span.earliestHours() < 0 || span.latestDay() > LONGEST_DAYS) {
                throw Wrong.of("wrong.Assumptions", figure, LONGEST_DAYS, span);
            }
        });
        clock(own, DevelopmentClock.QUEEN, Figure.QUEEN_SEALED, Figure.QUEEN_EMERGES);
        clock(own, DevelopmentClock.WORKER, Figure.WORKER_SEALED, Figure.WORKER_EMERGES);
        clock(own, DevelopmentClock.DRONE, Figure.DRONE_SEALED, Figure.DRONE_EMERGES);
        int late = span(own, Figure.LATE).likelyDay();
        int dronesOnly = span(own, Figure.DRONES_ONLY).likelyDay();
        if (late > dronesOnly) {
            throw Wrong.of("wrong.Assumptions.2", late, dronesOnly);
        }
    }

    /** The trade's defaults alone. */
    public static Assumptions standard() {
        return STANDARD;
    }

    public DaySpan span(Figure figure) {
        return span(own, figure);
    }

    /** Where the value in force comes from. */
    public Source source(Figure figure) {
        return own.containsKey(figure) ? OWN_FIGURE : figure.source();
    }

    public DevelopmentClock queen() {
        return clock(own, DevelopmentClock.QUEEN, Figure.QUEEN_SEALED, Figure.QUEEN_EMERGES);
    }

    public DevelopmentClock worker() {
        return clock(own, DevelopmentClock.WORKER, Figure.WORKER_SEALED, Figure.WORKER_EMERGES);
    }

    public DevelopmentClock drone() {
        return clock(own, DevelopmentClock.DRONE, Figure.DRONE_SEALED, Figure.DRONE_EMERGES);
    }

    /** Days after emergence from which missing eggs are called late. */
    public int late() {
        return span(Figure.LATE).likelyDay();
    }

    /** Days after emergence from which an unmated queen will only lay drones. */
    public int dronesOnly() {
        return span(Figure.DRONES_ONLY).likelyDay();
    }

    private static DaySpan span(Map<Figure, DaySpan> own, Figure figure) {
        return own.getOrDefault(figure, figure.standard());
    }

    private static DevelopmentClock clock(Map<Figure, DaySpan> own, DevelopmentClock standard, Figure sealed,
            Figure emerges) {
        if (!own.containsKey(sealed) && !own.containsKey(emerges)) {
            return standard;
        }
        return new DevelopmentClock(standard.hatches(), span(own, sealed), span(own, emerges), OWN_FIGURE);
    }
}
