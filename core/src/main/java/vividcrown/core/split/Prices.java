package vividcrown.core.split;

import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.yard.Flow;

/**
 * What a split costs, in points that only compare: a unit more is worth more than all that a plan may cost it. The first frames out of
 * a big colony cost its crop little, further ones more and more (common practice).
 */
final class Prices {

    /** Of a unit that is made. */
    static final long UNIT = 100_000;
    /** Of a thousand cells of brood in the new units: stronger ones stand sooner. */
    static final long THOUSAND_CELLS = 25;
    static final long OPENED = 150;
    static final long KILOMETRE = 20;
    static final long VISIT = 120;
    static final long SHAKE = 40;
    static final long SHAKE_FROM_ABOVE_EXCLUDER = 25;
    static final long DRAWN = 15;
    static final long FOUNDATION_INSTEAD = 60;
    static final long MISSING_FOOD = 160;
    static final long OPEN_FOR_SEALED = 80;
    private static final long SEARCH = 30;
    private static final long[] BROOD = {60, 90, 200, 320, 460, 620, 800, 1000, 1200, 1400};
    private static final double BIG = 9;

    private Prices() {
    }

    /** What the n-th frame of brood costs a hive, from 0. */
    static long brood(Unit hive, int nth) {
        double weight = hive.is(UnitTrait.BREEDER) || hive.is(UnitTrait.DRONE_MOTHER)
                ? 2.5
                : hive.is(UnitTrait.FOR_THE_CROP) ? 1.3 : 0.8;
        return Math.round(BROOD[Math.min(nth, BROOD.length - 1)] * weight * BIG / Math.max(4, hive.broodFrames()));
    }

    /** What it costs to take this very frame. */
    static long frame(Unit hive, FrameSeen frame, Flow flow) {
        long price = 0;
        if (frame.comb().isOfFood()) {
            price += flow == Flow.DEARTH ? 120 : 50;
        }
        boolean sheIsKnown = hive.queensFrame().isPresent();
        if (frame.comb().isOfBrood() && !sheIsKnown && !frame.searched()) {
            price += SEARCH;
        }
        return price;
    }

    /** What a frame adds to the strength of a new unit. */
    static long worth(Unit hive, FrameSeen frame) {
        return THOUSAND_CELLS * hive.side().cells(2 * frame.comb().brood()) / 1000;
    }
}
