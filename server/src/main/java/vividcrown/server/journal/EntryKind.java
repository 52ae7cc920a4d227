package vividcrown.server.journal;

/** What an entry records. The first group concerns a queen, and is what people tap; the rest set things up. */
public enum EntryKind {
    TOOK, DID_NOT_TAKE, SEALED, CULLED, PLACED_IN_NUC, CAGED_IN_INCUBATOR, EMERGED, DUD, VIRGIN_SEEN, NO_EGGS_YET,
    EGGS_SEEN, SEALED_WORKER_BROOD, DRONE_BROOD_ONLY, NOT_FOUND, DEAD, MARKED, MARK_LOST, TAKEN_OUT, NOTE,
    /** A colony was read. */
    READ,
    /** Something happened to a colony, or was done to it, that bears on its queen. */
    HAPPENED,
    /** A step of a swarm plan was done at a colony. */
    SWARM_STEP_DONE,
    /** Drone comb was put into a colony. */
    DRONE_COMB_IN,
    /** A frame left a hive for another. */
    FRAME_TAKEN,
    /** A frame came into a hive from another. */
    FRAME_GIVEN,
    /** A job of the round could not be done today; concerns a queen, a nuc or a graft. */
    NOT_POSSIBLE,
    /** Takes the corrected entry away. */
    WITHDRAWN,
    /** A queen that was here before the record, or was bought. */
    KNOWN,
    /** A step of a graft's calendar was done. */
    STEP_DONE, GRAFT_PLANNED,
    /** A planned graft was given to orders. */
    GRAFT_MEANT_FOR, GRAFTED, GRAFT_CANCELLED, YARD_OPENED, BUILDER_SET_UP, NUC_SET_UP,
    /** The operation does something its own way. */
    SETTINGS_CHANGED,
    /** An action was chosen for a colony; brings its follow-ups. */
    ACTION_CHOSEN, COLONY_SET_UP,
    /** The season's plan means a colony to be given drone comb, or no longer. */
    DRONE_COMB_MEANT,
    /** An order was taken, an own need set down, or either changed. */
    ORDER_TAKEN,
    /** An order was promised, delivered or declined. */
    ORDER_MOVED_ON, QUEENS_PROMISED,
    /** Queens are no longer promised to an order. */
    QUEENS_LET_GO, QUEENS_DELIVERED;

    /** Whether people may send it through the journal's own door; the others have doors of their own. */
    public boolean isTapped() {
        return switch (this) {
            case TOOK, DID_NOT_TAKE, SEALED, CULLED, PLACED_IN_NUC, CAGED_IN_INCUBATOR, EMERGED, DUD, VIRGIN_SEEN,
                    NO_EGGS_YET, EGGS_SEEN, SEALED_WORKER_BROOD, DRONE_BROOD_ONLY, NOT_FOUND, DEAD, MARKED, MARK_LOST,
                    TAKEN_OUT, NOTE, READ, HAPPENED, SWARM_STEP_DONE, DRONE_COMB_IN, FRAME_TAKEN, FRAME_GIVEN,
                    NOT_POSSIBLE,
                    WITHDRAWN, STEP_DONE ->
                true;
            case KNOWN, GRAFT_PLANNED, GRAFT_MEANT_FOR, GRAFTED, GRAFT_CANCELLED, YARD_OPENED, BUILDER_SET_UP,
                    NUC_SET_UP,
                    SETTINGS_CHANGED, ACTION_CHOSEN, COLONY_SET_UP, DRONE_COMB_MEANT, ORDER_TAKEN, ORDER_MOVED_ON,
                    QUEENS_PROMISED,
                    QUEENS_LET_GO, QUEENS_DELIVERED ->
                false;
        };
    }
}
