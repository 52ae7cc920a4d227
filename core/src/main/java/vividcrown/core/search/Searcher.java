package vividcrown.core.search;

import vividcrown.core.reason.Wrong;

/**
 * Who searches.
 *
 * @param beginner has found few so far
 * @param looks sides looked over on which she proved to be, in this person's own record
 * @param seen on so many of them she was seen
 */
public record Searcher(boolean beginner, int looks, int seen) {

    /** So many looks the figures of the trade count for beside one's own. */
    private static final double WEIGHT_OF_THE_TRADE = 20;
    private static final double BEGINNER = 0.6;

    public Searcher {
        if (looks < 0 || seen < 0 || seen > looks) {
            throw Wrong.of("wrong.search.record", seen, looks);
        }
    }

    /** @param usual chance that an experienced eye sees her, 0–1 */
    double sees(double usual) {
        double trade = beginner ? usual * BEGINNER : usual;
        return (WEIGHT_OF_THE_TRADE * trade + seen) / (WEIGHT_OF_THE_TRADE + looks);
    }
}
