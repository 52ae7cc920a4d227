package vividcrown.core.queen;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.odds.Rate;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.time.DatedSpan;

/**
 * What {@link QueenOutlook} will say of a queen on each day to come, as long as nothing more is recorded of her: made once
 * after each entry, so that a day's round need not ask of every living queen.
 *
 * <p>The outlook changes on few days only: when the first look is due, when she is late, when only drones are to be
 * expected. Between them it is the same.
 */
public final class QueenAgenda {

    /** Until something is recorded. */
    public static final LocalDate FOREVER = LocalDate.of(9999, 12, 31);

    /** Something that holds from one day to another, both included. */
    public sealed interface Line {
        LocalDate from();

        LocalDate until();

        /** @param window the days on which to do it */
        record IsDue(LocalDate from, LocalDate until, Work work, DatedSpan window) implements Line {
        }

        /** Her hive stays shut. */
        record StaysShut(LocalDate from, LocalDate until) implements Line {
        }

        /** She was looked at and has no eggs, or is late: whether she will still come good is a question. */
        record IsInDoubt(LocalDate from, LocalDate until) implements Line {
        }
    }

    private QueenAgenda() {
    }

    /** @param plan the graft she comes from; empty for a queen bought or found */
    public static List<Line> of(QueenLife life, Optional<GraftPlan> plan, Assumptions assumptions, Rate mating,
            MarkingScheme scheme) {
        if (!life.isAlive()) {
            return List.of();
        }
        LocalDate known = life.milestones().values().stream().max(LocalDate::compareTo).orElse(LocalDate.EPOCH);
        QueenOutlook first = QueenOutlook.of(life, plan, assumptions, mating, scheme, known);
        List<Line> lines = new ArrayList<>();
        first.handsOff().forEach(shut -> lines.add(new Line.StaysShut(shut.days().earliest(), shut.days().latest())));
        SortedSet<LocalDate> turns = turns(life, first, assumptions, known);
        LocalDate from = known;
        for (LocalDate turn : turns) {
            add(lines, QueenOutlook.of(life, plan, assumptions, mating, scheme, from), from, turn.minusDays(1));
            from = turn;
        }
        add(lines, QueenOutlook.of(life, plan, assumptions, mating, scheme, from), from, FOREVER);
        return lines;
    }

    /** The days after {@code known} on which the outlook turns. */
    private static SortedSet<LocalDate> turns(QueenLife life, QueenOutlook outlook, Assumptions assumptions,
            LocalDate known) {
        SortedSet<LocalDate> turns = new TreeSet<>();
        outlook.emergence().ifPresent(emergence -> {
            turns.add(emergence.likely().plusDays(assumptions.late()));
            turns.add(emergence.likely().plusDays(assumptions.dronesOnly()));
            turns.add(QueenOutlook.firstLook(life, emergence, assumptions).earliest());
        });
        turns.removeIf(day -> !day.isAfter(known));
        return turns;
    }

    private static void add(List<Line> lines, QueenOutlook outlook, LocalDate from, LocalDate until) {
        outlook.due().ifPresent(due -> lines.add(new Line.IsDue(from, until, due.work(), due.window())));
        outlook.comesGood().ifPresent(_ -> lines.add(new Line.IsInDoubt(from, until)));
    }
}
