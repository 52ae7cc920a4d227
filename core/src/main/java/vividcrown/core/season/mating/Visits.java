package vividcrown.core.season.mating;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;
import vividcrown.core.demand.Product;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.supply.Supply;

/**
 * When one has to be at a yard for cells that stand there: to place them, to see that they are out, for the first look, to catch. The looks
 * have some days' time, so they go with another visit where that can be.
 */
final class Visits {

    /** After the ripe cell is placed, from memory of common practice: out within two days, looked at within the week. */
    private static final int EMERGED_FROM = 3;
    private static final int EMERGED_UNTIL = 6;
    private static final int LOOK_HAS_DAYS = 4;

    private final SeasonBrief brief;
    private final int firstEggs;

    Visits(SeasonBrief brief, Supply supply) {
        this.brief = brief;
        this.firstEggs = supply.soonest(Product.MATED_QUEENS);
    }

    /** On one of these days, both included. */
    record Visit(LocalDate from, LocalDate until) {

        boolean isMadeOn(LocalDate day) {
            return !day.isBefore(from) && !day.isAfter(until);
        }
    }

    /** Of cells grafted that day whose queens are caught on these days. */
    List<Visit> of(LocalDate graft, List<LocalDate> caught) {
        LocalDate ripe = graft.plusDays(brief.ripeAfter());
        List<Visit> visits = new ArrayList<>();
        visits.add(new Visit(ripe, ripe));
        LocalDate last = caught.stream().max(LocalDate::compareTo).orElse(ripe);
        within(ripe.plusDays(EMERGED_FROM), ripe.plusDays(EMERGED_UNTIL), last, visits);
        LocalDate look = graft.plusDays(firstEggs);
        within(look, look.plusDays(LOOK_HAS_DAYS), last, visits);
        caught.stream().distinct().forEach(day -> visits.add(new Visit(day, day)));
        return visits;
    }

    private static void within(LocalDate from, LocalDate until, LocalDate last, List<Visit> visits) {
        if (!from.isAfter(last)) {
            visits.add(new Visit(from, until.isAfter(last) ? last : until));
        }
    }

    /** Days of a visit on which somebody works; all of them if nobody does on any. */
    List<LocalDate> days(Visit visit) {
        List<LocalDate> all = visit.from().datesUntil(visit.until().plusDays(1)).toList();
        List<LocalDate> working = all.stream().filter(brief.means().crew()::works).toList();
        return working.isEmpty() ? all : working;
    }

    /**
     * As few days as will do for all of them: who must go first is seen to as late as he may, and whoever can goes with him, which is the
     * fewest there are (stabbing intervals; common knowledge of scheduling).
     */
    TreeSet<LocalDate> fewest(List<Visit> visits) {
        TreeSet<LocalDate> out = new TreeSet<>();
        visits.stream().sorted(Comparator.comparing((Visit one) -> days(one).getLast())).forEach(visit -> {
            List<LocalDate> days = days(visit);
            if (days.stream().noneMatch(out::contains)) {
                out.add(days.getLast());
            }
        });
        return out;
    }
}
