package vividcrown.core.swarm;

import vividcrown.core.reason.Sentence;

/** How far it has come; the oldest cell found decides. */
public enum Rung {
    /** Nothing, or empty cups: give room, knock the cups down. */
    CUPS_ONLY,
    /** Eggs or young larvae in cups. */
    YOUNG_CELLS,
    /** Long or sealed cells: make the swarm yourself. */
    ARTIFICIAL_SWARM,
    /** A virgin is out: too late to reduce cells safely. */
    VIRGIN_OUT,
    /** Few cells of one age on the face: they replace their queen; let them. */
    SUPERSEDURE,
    /** The swarm has left: nobody is caught, and what they have is their cells. */
    SWARMED,
    /** The queen was lost: they raise another. */
    EMERGENCY,
    /** A queen was caged or given in there, and they raise another: the first virgin out would be her end. */
    BESIDE_HER;

    public Sentence sentence() {
        return Sentence.of("rung." + name());
    }
}
