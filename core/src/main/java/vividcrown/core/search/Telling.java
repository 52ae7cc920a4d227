package vividcrown.core.search;

import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import vividcrown.core.hive.FrameSide;

/**
 * What a side that was lifted tells of where she is: eggs raise their neighbourhood, food lowers it. How often a side shows each thing, by how near to her it
 * hangs: from queens whose laying was lived through comb by comb for two months, the emptied middle raised as common practice has it. Out of season the
 * trail tells little, and what was known from the last reading is not news.
 */
final class Telling {

    /** How near a place is to the side that was looked at. */
    enum Near {
        SAME_SIDE, BACK, FACING, NEXT_COMBS, SAME_BOX, ELSEWHERE
    }

    private static final int NEXT = 2;
    /** Sides near each other show alike, so each tells only part of its own: as much as makes the odds true in hives that were lived through. */
    private static final double OF_ITS_OWN = 0.5;
    private static final Map<Near, Map<Shows, Double>> CHANCE = new EnumMap<>(Near.class);

    static {
        shows(Near.SAME_SIDE, 0.4, 0.25, 0.07, 0.13, 0.1, 0.02, 0.025, 0.005);
        shows(Near.BACK, 0.19, 0.08, 0.14, 0.19, 0.28, 0.04, 0.07, 0.01);
        shows(Near.FACING, 0.19, 0.08, 0.14, 0.19, 0.28, 0.04, 0.07, 0.01);
        shows(Near.NEXT_COMBS, 0.08, 0.06, 0.15, 0.13, 0.34, 0.05, 0.16, 0.03);
        shows(Near.SAME_BOX, 0.025, 0.025, 0.09, 0.08, 0.24, 0.08, 0.39, 0.07);
        shows(Near.ELSEWHERE, 0.012, 0.015, 0.07, 0.07, 0.24, 0.09, 0.43, 0.073);
    }

    private final Circumstances under;

    Telling(Circumstances under) {
        this.under = under;
    }

    /** @param chance of each thing that can be shown, in the order of {@link Shows} */
    private static void shows(Near near, double... chance) {
        Shows[] told = {Shows.MANY_EGGS, Shows.EGGS, Shows.OPEN, Shows.EMPTIED, Shows.SEALED, Shows.BARE, Shows.FOOD,
                Shows.FOUNDATION};
        Map<Shows, Double> all = new EnumMap<>(Shows.class);
        for (int at = 0; at < told.length; at++) {
            all.put(told[at], chance[at]);
        }
        CHANCE.put(near, all);
    }

    /**
     * How much likelier it makes her at a place on a comb, beside being in another box.
     *
     * @param news how much of it was not known before, 0–1
     */
    double of(Shows shows, Place.OnComb looked, Place place, double news) {
        if (shows == Shows.NOTHING) {
            return 1;
        }
        double at = chance(near(looked, place), shows);
        double elsewhere = chance(Near.ELSEWHERE, shows);
        return Math.pow(at / elsewhere, OF_ITS_OWN * news * (shows.isBrood() ? Prior.direction(under.laying()) : 1));
    }

    private static double chance(Near near, Shows shows) {
        return Objects.requireNonNull(Objects.requireNonNull(CHANCE.get(near)).get(shows));
    }

    /** @param place on a comb or in a hole of one */
    private static Near near(Place.OnComb looked, Place place) {
        return switch (place) {
            case Place.OnComb side -> side(looked, side);
            case Place.InHole(int box, int slot) -> slot == looked.slot() && box == looked.box()
                    ? Near.BACK
                    : side(looked, new Place.OnComb(box, slot, looked.side()));
            case Place.Lid _,Place.Walls _,Place.Excluder _,Place.Floor _ -> Near.SAME_BOX;
        };
    }

    private static Near side(Place.OnComb looked, Place.OnComb side) {
        if (side.box() != looked.box()) {
            return Near.ELSEWHERE;
        }
        if (side.slot() == looked.slot()) {
            return side.side() == looked.side() ? Near.SAME_SIDE : Near.BACK;
        }
        int apart = side.slot() - looked.slot();
        boolean facing = Math.abs(apart) == 1 && side.side() != looked.side()
                && apart > 0 == (looked.side() == FrameSide.FAR);
        return facing ? Near.FACING : Math.abs(apart) <= NEXT ? Near.NEXT_COMBS : Near.SAME_BOX;
    }
}
