package vividcrown.core.brood;

import java.time.LocalDate;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.DevelopmentClock;
import vividcrown.core.time.DatedSpan;

/**
 * When the first virgin comes out of a colony that lost its queen, by the age of the larva that the bees choose.
 *
 * <p>With the standard clock: larvae three days past hatching 9 ~10 11 days after the loss, day-old larvae 11–13, an egg
 * laid on the day of the loss 15–17. [Derived: emergence 15–17 days after the egg, less the age on the day of loss.]
 */
public final class EmergencyQueen {

    private static final int DAY_OLD_LARVA = 4;
    private final DevelopmentClock queen;
    private final int oldestLarva;

    public EmergencyQueen(Assumptions assumptions) {
        queen = assumptions.queen();
        oldestLarva = queen.hatches().likelyDay() + BroodAges.YOUNG_LARVA_DAYS;
    }

    /** From the oldest larvae that bees begin cells on: the first virgin that can be. */
    public DatedSpan fromOldestLarva(LocalDate loss) {
        return after(loss, oldestLarva);
    }

    public DatedSpan fromDayOldLarva(LocalDate loss) {
        return after(loss, DAY_OLD_LARVA);
    }

    public DatedSpan fromEgg(LocalDate loss) {
        return after(loss, 0);
    }

    /** Days after the last egg from which no larva is young enough for a new cell: seven with the standard clock. */
    public int noNewCellsAfter() {
        return oldestLarva + 1;
    }

    /** Age in days of the oldest larva that a cell is begun on. */
    int oldestLarva() {
        return oldestLarva;
    }

    private DatedSpan after(LocalDate loss, int ageAtLoss) {
        return queen.emerges().shiftedByHours(-24 * ageAtLoss).from(loss);
    }
}
