package vividcrown.core.reading;

import vividcrown.core.reason.Sentence;

/** Something that happened to a colony, or was done to it, that bears on its queen and brood. */
public enum EventKind {
    /** Its queen was taken away, killed or found dead; none is known to be left. */
    QUEEN_REMOVED,
    /** A split left this part without the queen. */
    SPLIT_WITHOUT_QUEEN,
    /** A split left this part without the queen, and without eggs and larvae. */
    SPLIT_WITHOUT_EGGS,
    /** A split left the queen in this part. */
    SPLIT_WITH_QUEEN,
    /** The prime swarm left with the old queen. */
    SWARMED,
    /** A later swarm left with a virgin. */
    CAST,
    /** A mated, laying queen was put in, free or in a cage. */
    QUEEN_GIVEN,
    /** A ripe cell was put in. */
    CELL_GIVEN, VIRGIN_GIVEN,
    /** The queen is caged inside and cannot lay. */
    QUEEN_CAGED, QUEEN_RELEASED,
    /** A frame with eggs or larvae from another colony was put in; a test frame too. */
    BROOD_GIVEN,
    /** All brood was taken away. */
    BROOD_TAKEN,
    /** Every queen cell was destroyed, on every frame. */
    CELLS_DESTROYED,
    /** The colony begins here, without brood: a swarm hived, a package, a shaken nuc. */
    STARTED,
    /** United with a colony that has a laying queen. */
    UNITED;

    public Sentence sentence() {
        return Sentence.of("event." + name());
    }
}
