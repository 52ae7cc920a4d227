package vividcrown.core.judgement;

import vividcrown.core.judgement.Phase.Cells;
import vividcrown.core.reading.EventKind;

/** What an event does to the belief: each phase goes over into what it becomes. Common practice put into numbers. */
final class Happenings {

    /** The one removed was not the only queen, or not the queen. */
    private static final double MISSED_ONE = 0.03;
    private static final double QUEEN_ACCEPTED = 0.87;
    private static final double CELL_EMERGES = 0.92;
    private static final double CELL_AMONG_LAYING_WORKERS = 0.35;
    private static final double VIRGIN_ACCEPTED = 0.6;
    /** Cells and virgins are given where somebody has made sure that no queen is; now and then wrongly. */
    private static final double GIVEN_FOR_A_REASON = 0.9;

    private Happenings() {
    }

    static Belief apply(Belief belief, EventKind kind) {
        return switch (kind) {
            case QUEEN_REMOVED, SPLIT_WITHOUT_QUEEN -> belief.after(Happenings::queenLost);
            case SPLIT_WITH_QUEEN -> belief.after((at, phase, weight, next) -> move(at, phase, weight, next,
                    Status.LAYING_QUEEN, Phase.cap(Status.LAYING_QUEEN), Cells.NONE, 0.95));
            case SWARMED -> belief.after((at, phase, weight, next) -> move(at, phase, weight, next,
                    Status.JUST_SWARMED, 0, Cells.SWARM, 0.97));
            case CAST -> belief.after((at, phase, weight, next) -> move(at, phase, weight, next, Status.VIRGIN, 1,
                    Cells.SWARM, 0.95));
            case QUEEN_GIVEN, UNITED -> belief.after((at, phase, weight, next) -> move(at, phase, weight, next,
                    Status.LAYING_QUEEN, kind == EventKind.UNITED ? Phase.cap(Status.LAYING_QUEEN) : 0, Cells.NONE,
                    phase.status() == Status.LAYING_WORKERS ? 0.4 : QUEEN_ACCEPTED));
            case CELL_GIVEN -> belief.after((at, phase, weight, next) -> young(at, phase, weight, next, 0,
                    phase.status() == Status.LAYING_WORKERS ? CELL_AMONG_LAYING_WORKERS : CELL_EMERGES));
            case VIRGIN_GIVEN ->
                belief.after((at, phase, weight, next) -> young(at, phase, weight, next, 2, VIRGIN_ACCEPTED));
            case CELLS_DESTROYED -> belief.after(Happenings::cellsDestroyed);
            case STARTED -> belief.after((at, phase, weight, next) -> move(at, phase, weight, next,
                    Status.LAYING_QUEEN, 0, Cells.NONE, 0.75));
            case QUEEN_CAGED, QUEEN_RELEASED, BROOD_TAKEN, BROOD_GIVEN -> belief;
        };
    }

    private static void queenLost(int at, Phase phase, double weight, double[] next) {
        switch (phase.status()) {
            case LAYING_QUEEN -> move(at, phase, weight, next, Status.RECENTLY_QUEENLESS, 0, Cells.NONE,
                    1 - MISSED_ONE);
            case TWO_QUEENS -> move(at, phase, weight, next, Status.LAYING_QUEEN, Phase.cap(Status.LAYING_QUEEN),
                    Cells.NONE, 1);
            case CELLS -> move(at, phase, weight, next, Status.JUST_SWARMED, 0, Cells.SWARM,
                    phase.cells() == Cells.EMERGENCY ? 0 : 1 - MISSED_ONE);
            case DRONE_LAYER, VIRGIN -> move(at, phase, weight, next, Status.HOPELESSLY_QUEENLESS, 0, Cells.NONE,
                    1 - MISSED_ONE);
            case JUST_SWARMED, RECENTLY_QUEENLESS, HOPELESSLY_QUEENLESS, LAYING_WORKERS -> next[at] += weight;
        }
    }

    /** A young queen on the way or out, where there is no laying queen to stop her. */
    private static void young(int at, Phase phase, double weight, double[] next, int days, double share) {
        boolean queenright = phase.status() == Status.LAYING_QUEEN || phase.status() == Status.TWO_QUEENS
                || phase.status() == Status.DRONE_LAYER;
        Cells family = phase.sinceWorkerEggs() <= 9
                ? Cells.SWARM
                : phase.sinceWorkerEggs() <= 16 ? Cells.EMERGENCY : Cells.NONE;
        move(at, phase, weight, next, Status.VIRGIN, days, family, queenright ? GIVEN_FOR_A_REASON * share : share);
    }

    /** Cells on a test frame: what was hopeless has a queen on the way. */
    static Belief cellsBegun(Belief belief) {
        return belief.after(Happenings::begun);
    }

    private static void begun(int at, Phase phase, double weight, double[] next) {
        switch (phase.status()) {
            case HOPELESSLY_QUEENLESS, RECENTLY_QUEENLESS ->
                move(at, phase, weight, next, Status.CELLS, 1, Cells.EMERGENCY, 0.95);
            case LAYING_WORKERS -> move(at, phase, weight, next, Status.CELLS, 1, Cells.EMERGENCY, 0.3);
            case LAYING_QUEEN, VIRGIN, CELLS, JUST_SWARMED, DRONE_LAYER, TWO_QUEENS -> next[at] += weight;
        }
    }

    private static void cellsDestroyed(int at, Phase phase, double weight, double[] next) {
        switch (phase.status()) {
            case CELLS -> {
                if (phase.cells() == Cells.EMERGENCY && phase.days() > 5) {
                    move(at, phase, weight, next, Status.HOPELESSLY_QUEENLESS, 0, Cells.NONE, 0.9);
                } else if (phase.cells() == Cells.EMERGENCY) {
                    move(at, phase, weight, next, Status.RECENTLY_QUEENLESS, phase.days() + 1, Cells.NONE, 0.9);
                } else {
                    move(at, phase, weight, next, Status.LAYING_QUEEN, Phase.cap(Status.LAYING_QUEEN), Cells.NONE, 0.9);
                }
            }
            case JUST_SWARMED -> move(at, phase, weight, next, Status.RECENTLY_QUEENLESS, phase.days(), Cells.NONE,
                    0.9);
            case LAYING_QUEEN, VIRGIN, DRONE_LAYER, LAYING_WORKERS, HOPELESSLY_QUEENLESS, TWO_QUEENS,
                    RECENTLY_QUEENLESS ->
                next[at] += weight;
        }
    }

    private static void move(int at, Phase phase, double weight, double[] next, Status status, int days, Cells cells,
            double share) {
        Course.put(next, status, days, cells, weight * share);
        next[at] += weight * (1 - share);
    }
}
