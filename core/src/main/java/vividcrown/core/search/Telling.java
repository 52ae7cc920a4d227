package vividcrown.core.search;

import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import vividcrown.core.hive.FrameSide;

/**
 * What a side tells of where she is in its box, read some days ago or lifted a moment ago, by how near to it a place hangs: eggs of today draw her near, those of
 * a week ago are larvae now and leave no room, food keeps her away. Every side of the box tells its own, and these add up as log-odds (a choice among the sides of
 * a box, conditional logit; McFadden 1974, from memory). Figures: the likeliest for 18,000 queens whose laying was lived through comb by comb for two
 * months, with some of the combs unread and some lifted in vain, but for the emptied middle of today, which common practice thinks more of. Read longer ago
 * than the last row it fades. Out of season brood tells little.
 */
final class Telling {

    /** How near a place is to the side that tells. In the box, but none of the others: nothing is told. */
    private enum Near {
        SAME_SIDE, BACK, FACING, NEXT_COMB, TWO_ON, THREE_ON
    }

    /** In the order of the columns below. */
    private static final Shows[] TOLD = {Shows.MANY_EGGS, Shows.EGGS, Shows.OPEN, Shows.EMPTIED, Shows.SEALED,
            Shows.FOOD};
    /** Comb without anything tells as food does, but not as much; foundation more. */
    private static final double BARE_OF_FOOD = 0.5;
    private static final double FOUNDATION_OF_FOOD = 1.3;
    /** In a box with this side she is so much likelier than in any other. */
    private static final Map<Shows, Double> IN_ITS_BOX = new EnumMap<>(Map.of(Shows.NOTHING, 1.0, Shows.MANY_EGGS, 2.4,
            Shows.EGGS, 1.8, Shows.OPEN, 1.3, Shows.EMPTIED, 1.25, Shows.SEALED, 1.05, Shows.BARE, 0.8, Shows.FOOD, 0.7,
            Shows.FOUNDATION, 0.75));

    private static final TreeMap<Integer, Map<Near, double[]>> BY_DAYS = new TreeMap<>();

    static {
        day(0, row(2.34, 2.14, -1.04, 0, -1.04, -1.4), row(0.83, 0.14, -0.66, 0.3, -0.16, -0.15),
                row(1.15, 0.68, -0.04, 0.4, 0.01, -0.36), row(0.79, 0.41, 0.01, 0.16, -0.04, -0.12),
                row(0.45, 0.34, 0.17, 0.14, 0.05, 0), row(0.17, 0.12, 0.21, 0.12, 0.09, 0.02));
        day(1, row(1.24, 1.67, -1.45, 0.47, -0.75, -0.58), row(1.09, 0.24, -0.43, 0.19, 0.09, -0.57),
                row(1.14, 0.27, -0.29, 0.23, 0.05, -0.56), row(0.89, 0.24, -0.18, 0.12, 0.03, -0.13),
                row(0.61, 0.19, 0.02, 0.12, 0.06, -0.01), row(0.38, 0.15, 0.18, 0.12, 0.12, 0.05));
        day(2, row(0.04, 1.11, -1.51, 1.06, -0.21, -0.53), row(0.93, 0.31, -0.47, 0.01, -0.1, -0.73),
                row(1.23, 0.5, -0.23, 0.18, 0.09, -0.59), row(0.87, 0.22, -0.19, 0.12, 0.04, -0.14),
                row(0.64, 0.22, 0.04, 0.14, 0.11, 0), row(0.42, 0.16, 0.13, 0.09, 0.1, 0.04));
        day(3, row(-0.45, 0.3, -1.41, 1.37, 0.19, -0.44), row(0.63, 0.45, -0.55, -0.06, -0.17, -0.74),
                row(0.99, 0.74, -0.23, 0.29, 0.08, -0.56), row(0.77, 0.43, -0.24, 0.14, 0.05, -0.18),
                row(0.6, 0.27, 0.03, 0.15, 0.11, 0), row(0.41, 0.25, 0.17, 0.14, 0.14, 0.05));
        day(5, row(-0.56, -0.63, -1.23, 1.18, 0.55, -0.58), row(0.12, 0.12, -0.62, 0.09, -0.19, -0.79),
                row(0.51, 0.56, -0.37, 0.42, 0.17, -0.59), row(0.51, 0.32, -0.23, 0.27, 0.1, -0.18),
                row(0.5, 0.27, -0.07, 0.16, 0.11, -0.06), row(0.38, 0.23, 0.11, 0.14, 0.13, 0.04));
        day(7, row(-0.76, -0.8, -1.21, 0.96, 0.68, -0.66), row(-0.21, -0.21, -0.64, 0.13, -0.11, -0.75),
                row(0.23, 0.15, -0.35, 0.49, 0.28, -0.53), row(0.24, 0.16, -0.29, 0.34, 0.14, -0.2),
                row(0.39, 0.25, -0.09, 0.25, 0.16, -0.05), row(0.31, 0.22, 0.06, 0.17, 0.11, 0.04));
        day(10, row(-1.01, -1.12, -0.84, 0.68, 0.8, -0.83), row(-0.52, -0.57, -0.47, 0.06, -0.08, -0.74),
                row(-0.21, -0.15, -0.19, 0.4, 0.31, -0.58), row(-0.1, -0.03, -0.09, 0.32, 0.18, -0.15),
                row(0.04, 0.02, 0.06, 0.29, 0.14, -0.04), row(0.11, 0.12, 0.09, 0.19, 0.11, 0.02));
        day(14, row(-1.36, -1.08, 0.5, 0.41, 0.68, -0.89), row(-0.67, -0.48, 0.1, 0.01, -0.06, -0.64),
                row(-0.4, -0.28, 0.41, 0.34, 0.33, -0.47), row(-0.36, -0.21, 0.29, 0.23, 0.12, -0.16),
                row(-0.14, -0.09, 0.19, 0.28, 0.14, 0.03), row(0.01, 0.03, 0.07, 0.24, 0.14, 0.03));
        day(17, row(-1.08, -0.77, 1.24, 0.02, 0.21, -0.97), row(-0.42, -0.27, 0.19, -0.04, -0.11, -0.7),
                row(-0.13, -0.01, 0.48, 0.18, 0.19, -0.56), row(-0.18, -0.04, 0.29, 0.15, 0.08, -0.11),
                row(-0.04, 0.09, 0.18, 0.23, 0.11, 0.03), row(0.01, 0.09, 0.07, 0.19, 0.11, 0.03));
        day(21, row(0.95, 0.37, 0.53, -0.41, -0.32, -1.24), row(0.18, -0.03, 0.27, -0.09, -0.04, -0.41),
                row(0.31, 0.19, 0.44, 0.02, 0.13, -0.51), row(0.11, 0.07, 0.19, 0.02, 0.02, -0.11),
                row(0.07, 0.08, 0.12, 0.1, 0.07, 0.03), row(0.02, 0, 0.14, 0.14, 0.08, 0.03));
        day(24, row(1.03, 0.78, 0.08, -0.25, -0.21, -1.18), row(0.44, 0.15, 0.06, -0.02, 0.02, -0.4),
                row(0.53, 0.33, 0.17, 0.07, 0.06, -0.51), row(0.32, 0.14, 0.11, 0.04, 0.02, -0.1),
                row(0.14, 0.09, 0.12, 0.08, 0.02, 0.01), row(0.11, 0.1, 0.18, 0.12, 0.06, 0.03));
        day(28, row(0.58, 0.51, -0.35, 0.41, 0.14, -1.06), row(0.46, 0.31, -0.1, 0.07, -0.02, -0.5),
                row(0.59, 0.48, -0.03, 0.17, 0.08, -0.55), row(0.42, 0.23, -0.03, 0.06, 0, -0.17),
                row(0.38, 0.19, 0.06, 0.11, 0.04, 0), row(0.32, 0.16, 0.11, 0.11, 0.09, 0.02));
        day(35, row(-0.17, -0.35, -0.38, 0.45, 0.47, -1.12), row(-0.06, -0.28, -0.2, 0.07, -0.06, -0.57),
                row(0.11, -0.07, -0.01, 0.25, 0.2, -0.59), row(0.16, -0.07, -0.03, 0.21, 0.1, -0.13),
                row(0.16, -0.02, 0.01, 0.18, 0.11, -0.01), row(0.19, 0.04, 0.03, 0.13, 0.13, 0.02));
        day(42, row(0.05, 0.01, 0.48, 0.06, 0.2, -1.03), row(-0.13, -0.05, 0.17, 0.11, 0.15, -0.48),
                row(-0.06, -0.03, 0.26, 0.14, 0.23, -0.57), row(-0.1, -0.04, 0.09, 0.11, 0.15, -0.11),
                row(-0.02, 0.06, 0.11, 0.15, 0.17, 0.03), row(0.04, 0.07, 0.08, 0.14, 0.22, 0.01));
    }

    private static final int OLDEST = BY_DAYS.lastKey();
    /** Of each day since it was seen, of what is near and of what is shown. */
    private static final double[][][] TABLE = new double[OLDEST + 1][Near.values().length][Shows.values().length];

    static {
        for (int days = 0; days <= OLDEST; days++) {
            for (Near near : Near.values()) {
                for (Shows shows : Shows.values()) {
                    TABLE[days][near.ordinal()][shows.ordinal()] = OnceRead.between(BY_DAYS, days,
                            rows -> of(Objects.requireNonNull(rows.get(near)), shows));
                }
            }
        }
    }

    private final double direction;

    Telling(Circumstances under) {
        this.direction = Prior.direction(under.laying());
    }

    private static void day(int days, double[]... rows) {
        Map<Near, double[]> byNear = new EnumMap<>(Near.class);
        for (Near near : Near.values()) {
            byNear.put(near, rows[near.ordinal()]);
        }
        BY_DAYS.put(days, byNear);
    }

    private static double[] row(double... told) {
        return told;
    }

    /**
     * How much likelier it makes her at a place on a comb of the same box than far from it.
     *
     * @param days since it showed that, 0 or more
     * @return log-odds
     */
    double of(Shows shows, int days, Place.OnComb told, Place place) {
        int apart = apart(told, place);
        if (apart >= Near.values().length) {
            return 0;
        }
        return stillTells(days) * TABLE[Math.min(days, OLDEST)][apart][shows.ordinal()]
                * (shows.isBrood() ? direction : 1);
    }

    /** How far a reading still tells anything: all of it within the days of the table, then less and less. @return 0–1 */
    static double stillTells(int days) {
        double fades = Math.min(1, (double) OLDEST / Math.max(1, days));
        return fades * fades;
    }

    /** In which box she is, beside all others. @return times */
    static double ofBox(Shows shows) {
        return Objects.requireNonNull(IN_ITS_BOX.get(shows));
    }

    private static double of(double[] row, Shows shows) {
        double food = row[TOLD.length - 1];
        return switch (shows) {
            case NOTHING -> 0;
            case BARE -> BARE_OF_FOOD * food;
            case FOUNDATION -> FOUNDATION_OF_FOOD * food;
            case MANY_EGGS, EGGS, OPEN, EMPTIED, SEALED, FOOD -> {
                int at = 0;
                while (TOLD[at] != shows) {
                    at++;
                }
                yield row[at];
            }
        };
    }

    /** @return which of {@link Near}; as many as there are if it is further away */
    private static int apart(Place.OnComb told, Place place) {
        return switch (place) {
            case Place.OnComb side when side.box() == told.box() -> apart(told, side);
            case Place.InHole(int box, int slot) when box == told.box() -> slot == told.slot()
                    ? Near.BACK.ordinal()
                    : apart(told, new Place.OnComb(box, slot, told.side()));
            case Place.OnComb _,Place.InHole _,Place.Lid _,Place.Walls _,Place.Excluder _,Place.Floor _ ->
                Near.values().length;
        };
    }

    private static int apart(Place.OnComb told, Place.OnComb side) {
        int combs = side.slot() - told.slot();
        if (combs == 0) {
            return (side.side() == told.side() ? Near.SAME_SIDE : Near.BACK).ordinal();
        }
        boolean facing = Math.abs(combs) == 1 && side.side() != told.side()
                && combs > 0 == (told.side() == FrameSide.FAR);
        return facing
                ? Near.FACING.ordinal()
                : Math.min(Near.BACK.ordinal() + 1 + Math.abs(combs), Near.values().length);
    }
}
