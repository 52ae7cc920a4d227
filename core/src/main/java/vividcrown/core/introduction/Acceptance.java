package vividcrown.core.introduction;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.hive.Amount;
import vividcrown.core.introduction.method.Method;
import vividcrown.core.odds.Rate;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.yard.Flow;

/**
 * Chance that a queen is laying and kept: that nothing royal is in there already, times the way's odds in these conditions. Shifts
 * multiply odds; the ends are the 5 and 95 % quantiles of what is believed of the way.
 *
 * @param chance in all
 * @param empty chance that nothing royal is in there, after the search
 * @param ifEmpty chance if so
 */
public record Acceptance(Amount chance, double empty, Amount ifEmpty, List<Reason> reasons) {

    /** Who is overlooked by a search, by how she looks: one attentive look at both sides. Common practice, from memory. */
    private static final double QUEEN_MISSED = 0.25;
    private static final double VIRGIN_MISSED = 0.6;
    private static final double CELLS_MISSED = 0.1;
    private static final double CELLS_MISSED_UNSHAKEN = 0.35;
    /** What shares the hive with another is killed nine times in ten. */
    private static final double BESIDE_ANOTHER = 0.1;
    private static final double TAIL = 0.05;
    private static final double LAYING_WORKERS = 0.1;
    /** Among her own bees she is safer, though not safe. */
    private static final double LAYING_WORKERS_MEET_A_NUC = 0.3;
    private static final int DEFENSIVE = 4;
    private static final int LONG_CAGED = 7;
    /** New cells are begun on what larvae remain, unless they are cut again. */
    private static final double NEW_CELLS = 0.5;

    public Acceptance {
        reasons = List.copyOf(reasons);
    }

    /**
     * How it is done.
     *
     * @param goodReadings readings at the cage on which the bees were friendly, 0 and up, on different days
     * @param sprayed with syrup
     * @param willBeDisturbed somebody has to open it within five days of the release
     * @param secondCut no new cells are left: a second look through every frame once none can be begun any more
     */
    public record Handling(int goodReadings, boolean sprayed, boolean willBeDisturbed, boolean secondCut) {
        /** As the plan has it. */
        public static final Handling AS_PLANNED = new Handling(2, false, false, true);
    }

    /** @param believed of the way where nothing royal is in there: the trade's, or with the operation's own results */
    public static Acceptance of(Receiver receiver, Given given, Method method, Handling handling, Rate believed,
            LocalDate day) {
        List<Reason> reasons = new ArrayList<>();
        double empty = empty(receiver, handling, day, reasons);
        double shift = shift(receiver, given, method, handling, day, reasons);
        Amount plain = new Amount(believed.quantile(TAIL), believed.mean(), believed.quantile(1 - TAIL));
        Amount ifEmpty = plain.map(chance -> shifted(chance, shift));
        double ofWorkers = method == Method.WITH_HER_NUC ? LAYING_WORKERS_MEET_A_NUC : LAYING_WORKERS;
        Amount withWorkers = plain.map(chance -> shifted(chance, shift * ofWorkers));
        double workers = receiver.workersLay();
        Amount mixed = new Amount(mix(ifEmpty.least(), withWorkers.least(), workers),
                mix(ifEmpty.likely(), withWorkers.likely(), workers), mix(ifEmpty.most(), withWorkers.most(), workers));
        if (workers > 0.02) {
            reasons.add(Reason.of(Source.COMMON_PRACTICE, "accept.layingWorkers", percent(workers)));
        }
        Amount chance = mixed.map(one -> empty * one + (1 - empty) * BESIDE_ANOTHER * one);
        return new Acceptance(chance, empty, mixed, reasons);
    }

    private static double mix(double one, double other, double share) {
        return (1 - share) * one + share * other;
    }

    /** Odds, multiplied. */
    private static double shifted(double chance, double by) {
        double odds = chance / (1 - chance) * by;
        return odds / (1 + odds);
    }

    private static double empty(Receiver receiver, Handling handling, LocalDate day, List<Reason> reasons) {
        double passes = receiver.judgedSince() ? 0 : switch (receiver.search()) {
            case NOT -> 0;
            case IN_PART -> 0.5;
            case EVERY_FRAME -> 1;
            case TWICE -> 2;
        };
        double queen = left(receiver.queen(), Math.pow(QUEEN_MISSED, passes));
        double virgin = left(receiver.virgin(), Math.pow(VIRGIN_MISSED, passes));
        double cells = receiver.cellsCutOn().isPresent() && !receiver.judgedSince()
                ? left(receiver.cells(), CELLS_MISSED)
                : left(receiver.cells(), Math.pow(CELLS_MISSED_UNSHAKEN, passes));
        Optional<LocalDate> noNewCells = receiver.noNewCellsFrom().filter(day::isBefore);
        if (noNewCells.isPresent() && handling.secondCut()) {
            // every frame is shaken and searched once more
            cells = left(cells, CELLS_MISSED);
        } else if (noNewCells.isPresent()) {
            cells = 1 - (1 - cells) * (1 - NEW_CELLS);
            reasons.add(Reason.of(Source.COMMON_PRACTICE, "accept.newCells", noNewCells.get()));
        }
        double empty = (1 - queen) * (1 - virgin) * (1 - cells);
        reasons.add(Reason.of(Source.derived("chance before the search, times what a search overlooks"),
                "accept.empty", percent(empty), percent(queen), percent(virgin), percent(cells)));
        return empty;
    }

    private static double left(double before, double missed) {
        return before * missed / (before * missed + 1 - before);
    }

    private static double shift(Receiver receiver, Given given, Method method, Handling handling, LocalDate day,
            List<Reason> reasons) {
        double shift = 1;
        boolean nuc = method == Method.WITH_HER_NUC;
        if (receiver.hasFewNurses(day) && !nuc) {
            shift *= said(reasons, "accept.fewNurses", 0.3);
        }
        if (receiver.temper() >= DEFENSIVE) {
            shift *= said(reasons, "accept.defensive", 0.6);
        }
        if (receiver.flow() == Flow.DEARTH || receiver.robbing()) {
            shift *= said(reasons, "accept.dearth", 0.5);
        } else if (receiver.flow() == Flow.STRONG || receiver.flow() == Flow.GOOD) {
            shift *= said(reasons, "accept.flow", receiver.flow() == Flow.STRONG ? 1.3 : 1.15);
        }
        if (given.kind() == Given.Kind.MATED && !nuc) {
            if (given.cagedDays() > LONG_CAGED) {
                shift *= said(reasons, "accept.longCaged", 0.8);
            } else if (given.laidUntilYesterday()) {
                shift *= said(reasons, "accept.laidYesterday", 1.3);
            }
        }
        if (method.way().byHand() && handling.goodReadings() < 2) {
            shift *= said(reasons, "accept.oneReading", 0.6);
        }
        if (handling.willBeDisturbed()) {
            shift *= said(reasons, "accept.disturbed", 0.6);
        }
        if (handling.sprayed()) {
            shift *= said(reasons, "accept.sprayed", 1.05);
        }
        boolean today = receiver.lastEgg().filter(egg -> !egg.likely().isBefore(day)).isPresent();
        if (today && !method.way().byHand() && !nuc) {
            shift *= said(reasons, "accept.justQueenless", 0.7);
        }
        return shift;
    }

    private static double said(List<Reason> reasons, String key, double times) {
        reasons.add(Reason.of(Source.COMMON_PRACTICE, key, times));
        return times;
    }

    private static long percent(double chance) {
        return Math.round(100 * chance);
    }
}
