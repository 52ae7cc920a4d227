package vividcrown.core.introduction;

import vividcrown.core.journal.Faults;

/**
 * Whom one wants to give.
 *
 * @param code of the queen
 * @param cagedDays days she has been caged, 0–120
 * @param laidUntilYesterday she laid until she was caged a day ago at most
 * @param withNuc she still lays among her own bees in a nuc that can be given with her
 * @param virginDays days since a virgin came out, 0–60
 * @param cost of her, in whatever money, 0–10,000
 * @param line she is of; blank if nobody asks
 */
public record Given(String code, Kind kind, int cagedDays, boolean laidUntilYesterday,
        boolean withNuc, int virginDays, double cost,
        String line) {

    /** As what she comes. */
    public enum Kind {
        MATED, VIRGIN, CELL
    }

    public Given {
        new Faults().text("code", code, 1, 20).within("cagedDays", cagedDays, 0, 120)
                .within("virginDays", virginDays, 0, 60).within("cost", cost, 0, 10_000).text("line", line, 0, 60)
                .refuse();
    }
}
