package vividcrown.core.search;

import vividcrown.core.reason.Sentence;

/** Whether to go on searching. */
public enum Stop {
    GO_ON,
    /** She is found. */
    FOUND,
    /** Not today: leave it shut. */
    LEAVE_SHUT,
    /** Cold, rain, robbing, or open for long: close now. */
    CLOSE_NOW,
    /** Everything was gone through twice: close, and come back another day. */
    COME_BACK,
    /** It is likelier by now that she is not here: look for eggs, give a test frame. */
    DOUBT_SHE_IS_HERE,
    /** She has to be found today: sieve the bees through an excluder. */
    SIEVE;

    public Sentence sentence() {
        return Sentence.of("search.stop." + name());
    }
}
