package vividcrown.core.judgement.act;

import java.util.List;
import java.util.Set;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Case;
import vividcrown.core.judgement.Option;
import vividcrown.core.time.DaySpan;

/** Give a frame with eggs and young larvae, and read it some days later. It tells, it adds young bees, and it is a second chance. */
final class TestFrame extends Act {

    TestFrame() {
        super(Action.TEST_FRAME, 0.03, Circumstances.BROOD_TO_EMERGENCE, Set.of(Trait.MOVES_FRAMES), Gate.NO_DISEASE);
    }

    @Override
    public double worth(Case in, Circumstances at) {
        return switch (in) {
            case LAYING, TWO_QUEENS -> 0.97;
            case KEPT, MATED -> 0.95;
            case SUPERSEDING -> 0.9;
            case SWARM_CELLS_OPEN, SWARM_CELLS_SEALED, KEPT_BESIDE_CELLS -> 0.5;
            case SWARMED, EMERGENCY_CELLS -> 0.85 * at.lays(6);
            case CELL_GIVEN -> at.fromCell();
            case VIRGIN_IN_TIME -> at.orSaved(at.lays(0));
            case VIRGIN_LATE -> at.orSaved(0.5 * at.lays(0));
            case RECENTLY_QUEENLESS, HOPELESS -> at.orSaved(at.oldBees(at.raises()));
            case FAILING, UNMATED -> 0.3;
            case LAYING_WORKERS -> 0.35;
        };
    }

    @Override
    public List<Option.FollowUp> followUps(Circumstances at) {
        return List.of(look(DaySpan.ofDays(3, 4, 7), at, "testFrame"),
                look(DaySpan.ofDays(28, 30, 35), at, "eggs"));
    }
}
