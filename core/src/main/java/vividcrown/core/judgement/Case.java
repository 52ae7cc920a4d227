package vividcrown.core.judgement;

/** What is in a hive, as far as it matters for what to do. Exactly one holds at a time. */
public enum Case {
    LAYING,
    /** Mated, and kept from laying: caged, just given, just hived, resting in winter. */
    KEPT,
    /** Mated, in a cage, while the bees raise another: the first virgin out would be her end. */
    KEPT_BESIDE_CELLS, TWO_QUEENS,
    /** She lays, and cells for a swarm are open: weeks can be won. */
    SWARM_CELLS_OPEN,
    /** She lays, and cells for a swarm are sealed: it leaves any day. */
    SWARM_CELLS_SEALED,
    /** She lays, and a few cells will replace her. */
    SUPERSEDING,
    /** The swarm left; cells stay behind. */
    SWARMED,
    /** Cells begun because the queen was lost. */
    EMERGENCY_CELLS,
    /** A cell that the keeper gave. */
    CELL_GIVEN,
    /** A virgin who has her time still before her. */
    VIRGIN_IN_TIME,
    /** A virgin who should have laid by now. */
    VIRGIN_LATE,
    /** Mated within days, no egg yet. */
    MATED, UNMATED, FAILING, LAYING_WORKERS,
    /** No queen, and larvae young enough to raise one. */
    RECENTLY_QUEENLESS,
    /** No queen, and no means to raise one. */
    HOPELESS;

    static Case of(Phase phase, Clock clock) {
        return switch (phase.queen()) {
            case LAYING -> switch (phase.cells()) {
                case SWARM -> phase.cellDays() < clock.sealedAt() ? SWARM_CELLS_OPEN : SWARM_CELLS_SEALED;
                case SUPERSEDURE -> SUPERSEDING;
                case NONE, EMERGENCY, GIVEN -> LAYING;
            };
            case TWO -> TWO_QUEENS;
            case CAGED, GIVEN -> phase.hasCells() ? KEPT_BESIDE_CELLS : KEPT;
            case HIVED, RESTING -> KEPT;
            case VIRGIN -> phase.days() < clock.matesUntil() ? VIRGIN_IN_TIME : VIRGIN_LATE;
            case MATED -> MATED;
            case UNMATED -> UNMATED;
            case FAILING -> FAILING;
            case NONE -> {
                if (phase.workersLay()) {
                    yield LAYING_WORKERS;
                }
                yield switch (phase.cells()) {
                    case SWARM, SUPERSEDURE -> SWARMED;
                    case EMERGENCY -> EMERGENCY_CELLS;
                    case GIVEN -> CELL_GIVEN;
                    case NONE -> phase.since() <= Clock.OLDEST_LARVA_DAYS ? RECENTLY_QUEENLESS : HOPELESS;
                };
            }
        };
    }

    /** Whether a mated queen is in there who lays or will. */
    public boolean isQueenright() {
        return switch (this) {
            case LAYING, KEPT, KEPT_BESIDE_CELLS, TWO_QUEENS, SWARM_CELLS_OPEN, SWARM_CELLS_SEALED, SUPERSEDING,
                    MATED ->
                true;
            case SWARMED, EMERGENCY_CELLS, CELL_GIVEN, VIRGIN_IN_TIME, VIRGIN_LATE, UNMATED, FAILING, LAYING_WORKERS,
                    RECENTLY_QUEENLESS, HOPELESS ->
                false;
        };
    }

    /** Whether a young queen is on the way or out in good time: she would be lost to whoever gives another. */
    public boolean hasYoungQueen() {
        return switch (this) {
            case VIRGIN_IN_TIME, MATED, CELL_GIVEN, EMERGENCY_CELLS, SWARMED -> true;
            case LAYING, KEPT, KEPT_BESIDE_CELLS, TWO_QUEENS, SWARM_CELLS_OPEN, SWARM_CELLS_SEALED, SUPERSEDING,
                    VIRGIN_LATE, UNMATED,
                    FAILING,
                    LAYING_WORKERS, RECENTLY_QUEENLESS, HOPELESS ->
                false;
        };
    }
}
