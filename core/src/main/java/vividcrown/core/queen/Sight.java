package vividcrown.core.queen;

/** What can be seen of one cell or queen in one look, and wants no more words. */
public enum Sight {
    SEALED,
    /** The round lid, or the virgin out of her cell. */
    EMERGED,
    /** The cell was opened or torn down: nothing came of it. */
    DUD, VIRGIN,
    /** The box was looked through for eggs and had none. */
    NO_EGGS_YET,
    /** Eggs, one to a cell. */
    EGGS,
    /** A patch of flat, even sealed worker brood: her laying is judged sound. */
    SEALED_WORKER_BROOD, DRONE_BROOD_ONLY,
    /** Looked for, not seen. Weak evidence; she may still be there. */
    NOT_FOUND, DEAD,
    /** Seen, but her mark is gone. */
    MARK_LOST,
    /** Seen, and her mark can hardly be read any more. */
    MARK_WORN,
    /** One of her forewings is cut short. */
    CLIPPED;

    QueenEvent event() {
        return switch (this) {
            case SEALED -> new QueenEvent.SealedSeen();
            case EMERGED -> new QueenEvent.Emerged();
            case DUD -> new QueenEvent.Dud();
            case VIRGIN -> new QueenEvent.VirginSeen();
            case NO_EGGS_YET -> new QueenEvent.NoEggsYet();
            case EGGS -> new QueenEvent.EggsSeen();
            case SEALED_WORKER_BROOD -> new QueenEvent.SealedWorkerBroodSeen();
            case DRONE_BROOD_ONLY -> new QueenEvent.DroneBroodOnly();
            case NOT_FOUND -> new QueenEvent.NotFound();
            case DEAD -> new QueenEvent.Dead();
            case MARK_LOST -> new QueenEvent.MarkLost();
            case MARK_WORN -> new QueenEvent.MarkWorn();
            case CLIPPED -> new QueenEvent.Clipped();
        };
    }
}
