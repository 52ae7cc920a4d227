package vividcrown.core.search;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.reason.Wrong;

/**
 * A hive that is searched, with what is known of it before the lid is off.
 *
 * @param boxes from the bottom up; at least one
 * @param readDays days since what its combs carry was read, 0–400
 * @param lastSeen where she was last seen, if anybody knows
 * @param chance that she is in it at all, as it is judged, above 0 and below 1
 */
public record HiveSearched(List<BoxThere> boxes, int readDays, Optional<LastSeen> lastSeen, double chance) {

    /** Where a judgement says nothing. */
    public static final double USUALLY_HERE = 0.95;
    private static final int MOST_BOXES = 12;
    /** Nothing that is older tells anything. */
    public static final int LONGEST_DAYS = 400;
    private static final double NEVER_SURE = 0.001;

    /** @param days ago, 0–400 */
    public record LastSeen(Place place, int days) {
        public LastSeen {
            if (days < 0 || days > LONGEST_DAYS) {
                throw Wrong.of("wrong.search.days", LONGEST_DAYS, days);
            }
        }
    }

    public HiveSearched {
        boxes = List.copyOf(boxes);
        if (boxes.isEmpty() || boxes.size() > MOST_BOXES) {
            throw Wrong.of("wrong.search.boxes", MOST_BOXES, boxes.size());
        }
        if (readDays < 0 || readDays > LONGEST_DAYS) {
            throw Wrong.of("wrong.search.days", LONGEST_DAYS, readDays);
        }
        if (!(chance >= 0 && chance <= 1)) {
            throw Wrong.of("wrong.search.chance", chance);
        }
        // whoever is sure need not search, and has been wrong
        chance = Math.clamp(chance, NEVER_SURE, 1 - NEVER_SURE);
        List<Place> places = placesOf(boxes);
        lastSeen.ifPresent(seen -> {
            if (!places.contains(seen.place())) {
                throw Wrong.of("wrong.search.noPlace", seen.place().sentence());
            }
        });
    }

    /** Every place in it: both sides of each comb, holes, walls, excluders, lid and floor. */
    public List<Place> places() {
        return placesOf(boxes);
    }

    /** Every place in a hive of these boxes, from the bottom up. */
    public static List<Place> placesOf(List<BoxThere> boxes) {
        List<Place> all = new ArrayList<>();
        for (int box = 1; box <= boxes.size(); box++) {
            BoxThere there = boxes.get(box - 1);
            for (CombThere comb : there.combs()) {
                all.add(new Place.OnComb(box, comb.slot(), FrameSide.NEAR));
                all.add(new Place.OnComb(box, comb.slot(), FrameSide.FAR));
                if (comb.holes()) {
                    all.add(new Place.InHole(box, comb.slot()));
                }
            }
            all.add(new Place.Walls(box));
            if (there.excluderAbove()) {
                all.add(new Place.Excluder(box));
            }
        }
        all.add(new Place.Lid());
        all.add(new Place.Floor());
        return all;
    }

    BoxThere box(int box) {
        return boxes.get(box - 1);
    }

    /** @return empty if no comb hangs there */
    Optional<CombThere> comb(int box, int slot) {
        if (box < 1 || box > boxes.size()) {
            return Optional.empty();
        }
        return box(box).combs().stream().filter(one -> one.slot() == slot).findFirst();
    }

    /** An excluder lies somewhere beneath that box. */
    boolean isAboveExcluder(int box) {
        return boxes.subList(0, box - 1).stream().anyMatch(BoxThere::excluderAbove);
    }
}
