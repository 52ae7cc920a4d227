package vividcrown.core.search;

import vividcrown.core.reason.Wrong;

/**
 * What somebody's searches so far tell of their eye, beside that of the trade.
 *
 * @param expected times that they would have seen her by the figures of the trade, in all their looks, 0 and up
 * @param seen times that they did see her
 */
public record OwnRecord(double expected, int seen) {

    /** Nobody knows. */
    public static final OwnRecord NONE = new OwnRecord(0, 0);
    /** The figures of the trade count for so many queens seen beside one's own: as many as in twenty looks. */
    private static final double WEIGHT_OF_THE_TRADE = 20 * Seeing.UNMARKED;
    private static final double TELLS_FROM = 2;

    public OwnRecord {
        if (!(expected >= 0) || seen < 0) {
            throw Wrong.of("wrong.search.record", seen, expected);
        }
    }

    /** How many times as often as usual they see her. Gamma prior of mean 1, counts as Poisson: common statistics. */
    double times() {
        return (WEIGHT_OF_THE_TRADE + seen) / (WEIGHT_OF_THE_TRADE + expected);
    }

    /** Enough to be worth a word. */
    boolean tells() {
        return expected >= TELLS_FROM;
    }
}
