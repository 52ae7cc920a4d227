package vividcrown.core.judgement;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/**
 * How much a colony needs a decision: the chance that it is in trouble, more if its state is in doubt, more if a look is
 * late. Only an order for a list, so no unit.
 */
public final class Need {

    /** In the swarm season a gap of more than nine days between looks lets a swarm go. */
    static final int WEEKLY_LOOK_DAYS = 9;

    /** Signs of disease come before everything else. */
    public static final double STOP = 3;

    private Need() {
    }

    /** @param overdue a look that was to be is late */
    public static double of(Verdict verdict, Optional<LocalDate> lastRead, boolean overdue, Season season) {
        double trouble = 1 - verdict.chance(Status.LAYING_QUEEN) - verdict.chance(Status.TWO_QUEENS);
        double doubt = 1 - verdict.chance(verdict.leading());
        double late = (overdue ? 1 : 0) + (verdict.proof().clashes().isEmpty() ? 0 : 0.5);
        double unread = isLookLate(lastRead, verdict.asOf(), season) ? 0.5 : 0;
        return trouble + doubt + late + unread;
    }

    static boolean isLookLate(Optional<LocalDate> lastRead, LocalDate today, Season season) {
        return season.isSwarmSeason(today)
                && lastRead.map(day -> ChronoUnit.DAYS.between(day, today) > WEEKLY_LOOK_DAYS).orElse(true);
    }
}
