package vividcrown.core.assumptions;

import vividcrown.core.reason.Source;
import vividcrown.core.time.DaySpan;

/**
 * Days from the laying of the egg (day 0) to each change that can be seen.
 *
 * @param hatches the egg becomes a larva
 * @param sealed the cell is closed with wax
 * @param emerges the adult leaves the cell
 * @param source where the days come from
 */
public record DevelopmentClock(DaySpan hatches, DaySpan sealed, DaySpan emerges, Source source) {

    /** 3 · 7.5 ~8 8.5 · 15 ~16 17 days. Winston 1987; Büchler et al. 2013 (values from memory). */
    public static final DevelopmentClock QUEEN = new DevelopmentClock(DaySpan.ofDays(3), DaySpan.ofHours(180, 192, 204),
            DaySpan.ofDays(15, 16, 17), Source.WINSTON_1987);
    /** 3 · 8.5 ~9 9.5 · 20 ~21 22 days. Winston 1987 (values from memory). */
    public static final DevelopmentClock WORKER = new DevelopmentClock(DaySpan.ofDays(3),
            DaySpan.ofHours(204, 216, 228), DaySpan.ofDays(20, 21, 22), Source.WINSTON_1987);
    /** 3 · 9.5 ~10 10.5 · 23 ~24 25 days. Winston 1987 (values from memory). */
    public static final DevelopmentClock DRONE = new DevelopmentClock(DaySpan.ofDays(3), DaySpan.ofHours(228, 240, 252),
            DaySpan.ofDays(23, 24, 25), Source.WINSTON_1987);

    public DevelopmentClock {
        if (hatches.latestHours() > sealed.earliestHours() || sealed.latestHours() > emerges.earliestHours()) {
            throw new IllegalArgumentException(
                    "Brood hatches, then is sealed, then emerges; got hatching %s, sealing %s, "
                            .formatted(hatches, sealed) + "emergence %s".formatted(emerges));
        }
    }
}
