package vividcrown.core.demand;

import java.util.List;
import vividcrown.core.odds.LossStep;

/** What can be promised, with the losses between the graft and it. */
public enum Product {
    RIPE_CELLS(LossStep.TAKE, LossStep.SOUND), VIRGINS(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE),
    /** Queens that have begun to lay, on the day itself. */
    LAYING_QUEENS(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE, LossStep.MATING),
    /** Queens seen laying at the first look, and taken then. */
    MATED_QUEENS(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE, LossStep.MATING),
    /** Queens whose flat sealed brood was judged. */
    JUDGED_QUEENS(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE, LossStep.MATING),
    NUCS_WITH_QUEEN(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE, LossStep.MATING);

    private final List<LossStep> losses;

    Product(LossStep... losses) {
        this.losses = List.of(losses);
    }

    /** The losses on the way, in their order. */
    public List<LossStep> losses() {
        return losses;
    }
}
