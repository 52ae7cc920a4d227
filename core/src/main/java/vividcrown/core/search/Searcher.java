package vividcrown.core.search;

import vividcrown.core.reason.Wrong;

/**
 * Who searches.
 *
 * @param beginner has found few so far
 * @param own what their own searches tell of their eye
 * @param times how many times as often as usual they see her
 */
public record Searcher(boolean beginner, OwnRecord own, double times) {

    private static final double BEGINNER = 0.6;
    /** However sharp the eye: bees cover her. */
    private static final double SHARPEST = 0.95;
    /** Caution, no measurement: not seeing her must not weigh much more than for others. */
    private static final double SHARPER_BY_THE_RECORD = 1.2;

    /**
     * @param looks sides looked over on which she proved to be, in this person's own record; unmarked laying queens, as most are
     * @param seen on so many of them she was seen
     * @throws IllegalArgumentException if more were seen than looked for
     */
    public static Searcher of(boolean beginner, int looks, int seen) {
        if (looks < 0 || seen > looks) {
            throw Wrong.of("wrong.search.record", seen, looks);
        }
        OwnRecord own = new OwnRecord(looks * byTheTrade(beginner, Seeing.UNMARKED), seen);
        return new Searcher(beginner, own, own.times());
    }

    /** Queens that were found are written down sooner than searches in vain: such a record makes an eye weaker, and a little sharper at most. */
    public static Searcher byTheRecord(boolean beginner, OwnRecord own) {
        return new Searcher(beginner, own, Math.min(SHARPER_BY_THE_RECORD, own.times()));
    }

    private static double byTheTrade(boolean beginner, double usual) {
        return beginner ? usual * BEGINNER : usual;
    }

    /** @param usual chance that an experienced eye sees her, 0–1 */
    double sees(double usual) {
        return Math.min(Math.max(usual, SHARPEST), byTheTrade(beginner, usual) * times);
    }
}
