package vividcrown.core.judgement;

import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.time.DaySpan;

/**
 * The operation's day-counts as chances a day: a span "earliest, likely, latest" becomes the chance that it happens on a
 * day, if it has not happened before. One set of figures for the odds and for the proof.
 *
 * @param assumptions the figures in force
 */
record Clock(Assumptions assumptions) {

    /** An egg hatches on day three, and bees begin cells on larvae of up to three days. Winston 1987; common practice. */
    static final int OLDEST_LARVA_DAYS = 6;
    /** Of all that has a span, this share happens on its first day, and this by its likely day. */
    private static final double ON_THE_FIRST_DAY = 0.15;
    private static final double BY_THE_LIKELY_DAY = 0.65;

    /** Chance that it happens on day {@code day} of the span, given that it has not happened before, 0–1. */
    static double hazard(DaySpan span, int day) {
        double before = share(span, day - 1);
        return before >= 1 ? 1 : (share(span, day) - before) / (1 - before);
    }

    /** Share of cases in which it has happened by that day. */
    private static double share(DaySpan span, int day) {
        int earliest = span.earliestDay();
        int likely = span.likelyDay();
        int latest = span.latestDay();
        if (day < earliest) {
            return 0;
        }
        if (day >= latest) {
            return 1;
        }
        if (day < likely) {
            return ON_THE_FIRST_DAY + (BY_THE_LIKELY_DAY - ON_THE_FIRST_DAY) * (day - earliest) / (likely - earliest);
        }
        return latest == likely
                ? 1
                : BY_THE_LIKELY_DAY + (1 - BY_THE_LIKELY_DAY) * (day - likely) / (double) (latest - likely);
    }

    /** A queen cell of that age opens on that day. */
    double opens(int cellDays) {
        return hazard(assumptions.queen().emerges(), cellDays);
    }

    /** Age in days at which a queen cell is sealed. */
    int sealedAt() {
        return assumptions.queen().sealed().likelyDay();
    }

    int emergesAt() {
        return assumptions.queen().emerges().likelyDay();
    }

    /** Age in days from the egg of worker brood that is sealed, and of the last that has emerged. */
    int workerSealedAt() {
        return assumptions.worker().sealed().likelyDay();
    }

    int workerGoneAfter() {
        return assumptions.worker().emerges().latestDay();
    }

    int droneSealedAt() {
        return assumptions.drone().sealed().likelyDay();
    }

    int hatchesAt() {
        return assumptions.worker().hatches().likelyDay();
    }

    /** How ready a virgin of that age is to fly, 0–1. */
    double mature(int virginDays) {
        return share(assumptions.span(Figure.MATURITY), virginDays);
    }

    /** From this age on she mates less and less, and then no more. */
    int matesUntil() {
        return assumptions.late();
    }

    int laysDronesFrom() {
        return assumptions.dronesOnly();
    }

    /** From the mating flight to her first egg, by the operation's own first eggs and flights. */
    double beginsToLay(int daysMated) {
        int lag = Math.clamp(
                assumptions.span(Figure.FIRST_EGGS).earliestDay()
                        - assumptions.span(Figure.MATING_FLIGHTS).earliestDay(),
                1, Phase.MATED_DAYS - 1);
        return hazard(DaySpan.ofDays(Math.max(1, lag - 1), lag, lag + 1), daysMated);
    }
}
