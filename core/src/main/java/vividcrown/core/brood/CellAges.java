package vividcrown.core.brood;

import java.time.LocalDate;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.DevelopmentClock;
import vividcrown.core.reading.CellLook;
import vividcrown.core.time.DatedSpan;

/**
 * Age of a queen cell from its look, in whole days from the egg. With the standard clock: egg in a cup 0–3, larva on
 * jelly 3–5, long and open 5–8, sealed 8–16, ripe 14–16; an empty cell is 15 or more. Common practice.
 */
final class CellAges {

    private static final int JELLY_DAYS = 2;
    /** Bees clear empty cells away within about a week, torn ones within about ten days. */
    private static final int EMPTY_CELL_STANDS = 7;
    private static final int TORN_CELL_STANDS = 10;
    private static final int RIPE_BEFORE_EMERGENCE = 2;

    private final DevelopmentClock queen;
    private final int hatches;

    CellAges(Assumptions assumptions) {
        queen = assumptions.queen();
        hatches = queen.hatches().likelyDay();
    }

    /** Days on which the egg can have been laid, for a cell seen on {@code day}. */
    DatedSpan laid(CellLook look, LocalDate day) {
        return DatedSpan.ofClosed(day.minusDays(oldest(look)), day.minusDays(youngest(look)));
    }

    DatedSpan sealed(DatedSpan laid, CellLook look, LocalDate seen) {
        DatedSpan span = laid.plus(queen.sealed());
        return switch (look) {
            case CUP_EMPTY, CUP_EGG, JELLY, LONG -> span.notBefore(seen);
            case SEALED, RIPE, EMERGED, TORN_SIDE, TORN_DOWN -> span.notAfter(seen);
        };
    }

    /** Days on which the virgin comes out, or came out. */
    DatedSpan emerges(DatedSpan laid, CellLook look, LocalDate seen) {
        return switch (look) {
            case EMERGED -> DatedSpan.ofClosed(seen.minusDays(EMPTY_CELL_STANDS), seen);
            // the one that tore it down was out by then
            case TORN_SIDE -> DatedSpan.ofClosed(seen.minusDays(EMPTY_CELL_STANDS), seen);
            case TORN_DOWN -> DatedSpan.ofClosed(seen.minusDays(TORN_CELL_STANDS), seen.minusDays(1));
            case CUP_EMPTY, CUP_EGG, JELLY, LONG, SEALED, RIPE -> laid.plus(queen.emerges()).notBefore(seen);
        };
    }

    /** The first day on which a virgin from such a cell can be out, not before the loss of the queen. */
    LocalDate emergedEarliest(CellLook look, LocalDate seen, LocalDate loss) {
        if (look == CellLook.CUP_EMPTY) {
            return LocalDate.MAX.minusYears(1);
        }
        LocalDate first = emerges(laid(look, seen), look, seen).earliest();
        return first.isBefore(loss) ? loss : first;
    }

    private int youngest(CellLook look) {
        return switch (look) {
            case CUP_EMPTY, CUP_EGG -> 0;
            case JELLY -> hatches;
            case LONG -> hatches + JELLY_DAYS;
            case SEALED -> wholeDaysUp(queen.sealed().earliestHours());
            case RIPE -> queen.emerges().likelyDay() - RIPE_BEFORE_EMERGENCE;
            case EMERGED, TORN_SIDE, TORN_DOWN -> queen.emerges().earliestDay();
        };
    }

    private int oldest(CellLook look) {
        return switch (look) {
            case CUP_EMPTY, CUP_EGG -> hatches;
            case JELLY -> hatches + JELLY_DAYS;
            case LONG -> queen.sealed().latestHours() / 24;
            case SEALED, RIPE -> queen.emerges().latestDay() - 1;
            case EMERGED, TORN_SIDE -> queen.emerges().latestDay() + EMPTY_CELL_STANDS;
            case TORN_DOWN -> queen.emerges().latestDay() + TORN_CELL_STANDS;
        };
    }

    private static int wholeDaysUp(int hours) {
        return -Math.floorDiv(-hours, 24);
    }
}
