package vividcrown.core.judgement.act;

import vividcrown.core.reason.Sentence;

/** What must be true before something is done. */
public enum Gate {
    /** Every frame was searched for a queen, lately and in vain. */
    NO_QUEEN_FOUND,
    /** Every frame was searched for queen cells, lately and in vain. */
    NO_CELLS,
    /** She is in hand, or was seen elsewhere. */
    QUEEN_IN_HAND,
    /** The brood was looked over for disease. */
    NO_DISEASE,
    /** A warm day without rain. */
    WARM_DAY;

    public Sentence sentence() {
        return Sentence.of("gate." + name());
    }
}
