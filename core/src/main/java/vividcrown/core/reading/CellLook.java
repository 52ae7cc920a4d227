package vividcrown.core.reading;

import vividcrown.core.reason.Sentence;

/** How far a queen cell has come, by its look. */
public enum CellLook {
    /** A cup with nothing in it: weighs little. */
    CUP_EMPTY,
    /** A cup with an egg. */
    CUP_EGG,
    /** A larva floating on jelly, the walls still short. */
    JELLY,
    /** The larva fills it, long walls, still open. */
    LONG, SEALED,
    /** The tip thinned to brown parchment. */
    RIPE,
    /** The lid cut round and hinged: a virgin is out, hours to days ago. */
    EMERGED,
    /** Torn open from the side: a rival killed it. */
    TORN_SIDE,
    /** Torn down to the base: emergence was days ago. */
    TORN_DOWN;

    /** Whether a queen may still come out of it. */
    public boolean isAlive() {
        return switch (this) {
            case CUP_EGG, JELLY, LONG, SEALED, RIPE -> true;
            case CUP_EMPTY, EMERGED, TORN_SIDE, TORN_DOWN -> false;
        };
    }

    /** Whether it proves that a virgin has been out in the colony. */
    public boolean provesVirgin() {
        return switch (this) {
            case EMERGED, TORN_SIDE, TORN_DOWN -> true;
            case CUP_EMPTY, CUP_EGG, JELLY, LONG, SEALED, RIPE -> false;
        };
    }

    public Sentence sentence() {
        return Sentence.of("cell." + name());
    }
}
