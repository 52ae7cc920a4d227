package vividcrown.core.judgement.act;

import java.time.LocalDate;
import java.util.Optional;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.mating.MatingChance;
import vividcrown.core.odds.LossStep;
import vividcrown.core.time.DatedSpan;

/**
 * What an act's worth and dates depend on besides what is in the hive.
 *
 * @param mating whether the place still has the weather
 * @param mates share of virgins that come to lay where the weather lets them
 * @param longQueenless few nurses are left to accept a queen
 * @param longCells the oldest cell seen is long or sealed
 * @param newCellsUntil the first day on which no cell can be begun any more, if that is still to come
 * @param emerges when a virgin that is on the way comes out, if one is
 */
public record Circumstances(LocalDate today, Assumptions assumptions, MatingChance mating, double mates,
        boolean longQueenless,
        boolean longCells, Optional<LocalDate> newCellsUntil, Optional<DatedSpan> emerges) {

    /** From open brood given to the virgin out of the cell they begin on it. */
    static final int BROOD_TO_EMERGENCE = 12;
    static final int CELL_TO_EMERGENCE = 1;
    /** So long one waits before it is found to have come to nothing. */
    private static final int WAITED_DAYS = 10;
    private static final double BEGIN_CELLS = 0.88;

    /** A virgin who comes out in so many days is laying in the end, 0–1. */
    double lays(int daysToVirgin) {
        return mates * mating.of(today.plusDays(daysToVirgin));
    }

    /** A ripe cell given today ends in a laying queen. */
    double fromCell() {
        return LossStep.EMERGENCE.prior().mean() * lays(CELL_TO_EMERGENCE);
    }

    /** They raise one on brood that they have or are given. */
    double raises() {
        return BEGIN_CELLS * LossStep.EMERGENCE.prior().mean() * lays(BROOD_TO_EMERGENCE);
    }

    /** A mated queen is accepted where nothing royal is in there. */
    double accepts() {
        return longQueenless ? 0.5 : LossStep.ACCEPTANCE.prior().mean();
    }

    /** Old bees are gone before a young queen's brood emerges: what rests on one comes right less often. */
    double oldBees(double chance) {
        return longQueenless ? 0.55 * chance : chance;
    }

    /** What is saved when it came to nothing and is united in the end: little once it is cold. */
    double orSaved(double chance) {
        double stillWarm = mating.of(today.plusDays(WAITED_DAYS));
        return chance + (1 - chance) * (0.1 + 0.25 * stillWarm);
    }
}
