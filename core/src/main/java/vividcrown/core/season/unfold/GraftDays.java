package vividcrown.core.season.unfold;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.SupplyKind;

/**
 * On which days it is grafted: for queens on the first working day of a week and on one three days later, so that a second day's luck joins
 * the first and takes are known in between; for cells and virgins on any, for they keep no time. Where these take all builders, queens get what
 * room is left on that very day.
 *
 * @param shared days on which cells or virgins take all builders
 */
record GraftDays(SeasonBrief brief, Set<LocalDate> shared) {

    private static final int WEEK = 7;
    private static final int APART_DAYS = 3;

    static GraftDays of(Timing timing) {
        return new GraftDays(timing.brief(), new CellsFirst(timing).takeAll(timing.orders(),
                new FreeBuilders(timing.brief().means().builders())));
    }

    /** For each kind that may be grafted that day, the next day on which it could be as well, or instead: a builder is free then. */
    Map<SupplyKind, LocalDate> next(LocalDate day, FreeBuilders builders) {
        Map<SupplyKind, LocalDate> next = new EnumMap<>(SupplyKind.class);
        LocalDate following = workday(day.plusDays(1));
        while (!builders.isFreeAfter(day, following) && ChronoUnit.DAYS.between(day, following) < 2 * WEEK) {
            following = workday(following.plusDays(1));
        }
        next.put(SupplyKind.CELLS, following);
        next.put(SupplyKind.VIRGINS, following);
        if (isForQueens(day)) {
            next.put(SupplyKind.QUEENS, nextForQueens(day, builders));
        }
        return next;
    }

    /** The first day after this one on which it could be grafted for queens. */
    LocalDate nextForQueens(LocalDate day, FreeBuilders builders) {
        LocalDate later = day.plusDays(1);
        while (!(isForQueens(later) && builders.isFreeAfter(day, later))
                && ChronoUnit.DAYS.between(day, later) < 2 * WEEK) {
            later = later.plusDays(1);
        }
        return later;
    }

    private boolean isForQueens(LocalDate day) {
        if (shared.contains(day)) {
            return true;
        }
        LocalDate monday = day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
        return Optional.of(workday(monday)).filter(first -> first.equals(day)
                || workday(first.plusDays(APART_DAYS)).equals(day)).isPresent();
    }

    /** The first day on which one works, and again when its cells are ripe. */
    private LocalDate workday(LocalDate from) {
        LocalDate day = from;
        while (ChronoUnit.DAYS.between(from, day) < WEEK && !(brief.means().crew().works(day)
                && brief.means().crew().works(day.plusDays(brief.ripeAfter())))) {
            day = day.plusDays(1);
        }
        return day;
    }
}
