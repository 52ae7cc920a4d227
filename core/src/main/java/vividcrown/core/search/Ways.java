package vividcrown.core.search;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import vividcrown.core.hive.FrameSide;

/**
 * The places of a hive in a row, and from each of them the places she can walk to. Of all who leave a comb's side, common practice, most go over
 * the edge or across the gap to the comb that faces it; few go to the walls, up or down.
 */
final class Ways {

    private static final double OVER_THE_EDGE = 0.35;
    private static final double ACROSS = 0.45;
    private static final double TO_THE_WALL = 0.05;
    private static final double FROM_THE_OUTERMOST_TO_THE_WALL = 0.2;
    private static final double UP_OR_DOWN = 0.08;
    private static final double THROUGH_AN_EXCLUDER = 0.02;
    private static final double SMALL_THROUGH_AN_EXCLUDER = 0.4;
    private static final double TO_A_HOLE = 0.04;
    private static final double TO_LID_OR_FLOOR = 0.02;
    private static final double TO_THE_EXCLUDER = 0.02;

    private final List<Place> places;
    private final Map<Place, Integer> index = new HashMap<>();
    /** For each place: where to, and how gladly. */
    private final int[][] to;
    private final double[][] weight;
    /** The comb of each place, those of a box numbered in a row; below 0 off the combs. */
    private final int[] comb;
    private final int[] boxOfComb;

    Ways(HiveSearched hive, Circumstances under) {
        this.places = hive.places();
        for (int at = 0; at < places.size(); at++) {
            index.put(places.get(at), at);
        }
        List<Map<Integer, Double>> edges = new ArrayList<>();
        places.forEach(_ -> edges.add(new HashMap<>()));
        boolean slips = under.is(QueenTrait.VIRGIN) || under.is(QueenTrait.SMALL);
        for (int box = 1; box <= hive.boxes().size(); box++) {
            combs(hive, box, slips, edges);
        }
        this.comb = new int[places.size()];
        this.boxOfComb = new int[hive.boxes().stream().mapToInt(box -> box.combs().size()).sum()];
        number(hive);
        this.to = new int[places.size()][];
        this.weight = new double[places.size()][];
        for (int at = 0; at < places.size(); at++) {
            List<Map.Entry<Integer, Double>> all = edges.get(at).entrySet().stream().sorted(Map.Entry.comparingByKey())
                    .toList();
            to[at] = all.stream().mapToInt(Map.Entry::getKey).toArray();
            weight[at] = all.stream().mapToDouble(Map.Entry::getValue).toArray();
        }
    }

    private void number(HiveSearched hive) {
        Arrays.fill(comb, Wandering.NONE);
        int nth = 0;
        for (int box = 1; box <= hive.boxes().size(); box++) {
            for (CombThere one : hive.box(box).combs()) {
                for (FrameSide side : FrameSide.values()) {
                    comb[of(new Place.OnComb(box, one.slot(), side))] = nth;
                }
                if (one.holes()) {
                    comb[of(new Place.InHole(box, one.slot()))] = nth;
                }
                boxOfComb[nth++] = box;
            }
        }
    }

    /** Whether a place is on a comb of that box, or in a hole of one. */
    boolean isIn(int box, int place) {
        return comb[place] != Wandering.NONE && boxOfComb[comb[place]] == box;
    }

    private void combs(HiveSearched hive, int box, boolean slips, List<Map<Integer, Double>> edges) {
        BoxThere there = hive.box(box);
        List<CombThere> combs = there.combs();
        int walls = of(new Place.Walls(box));
        for (int nth = 0; nth < combs.size(); nth++) {
            int slot = combs.get(nth).slot();
            int near = of(new Place.OnComb(box, slot, FrameSide.NEAR));
            int far = of(new Place.OnComb(box, slot, FrameSide.FAR));
            both(edges, near, far, OVER_THE_EDGE);
            if (nth + 1 < combs.size()) {
                both(edges, far, of(new Place.OnComb(box, combs.get(nth + 1).slot(), FrameSide.NEAR)), ACROSS);
            }
            both(edges, near, walls, nth == 0 ? FROM_THE_OUTERMOST_TO_THE_WALL : TO_THE_WALL);
            both(edges, far, walls, nth == combs.size() - 1 ? FROM_THE_OUTERMOST_TO_THE_WALL : TO_THE_WALL);
            for (int side : new int[]{near, far}) {
                if (combs.get(nth).holes()) {
                    both(edges, side, of(new Place.InHole(box, slot)), TO_A_HOLE);
                }
                if (box == 1) {
                    both(edges, side, of(new Place.Floor()), TO_LID_OR_FLOOR);
                }
                if (box == hive.boxes().size()) {
                    both(edges, side, of(new Place.Lid()), TO_LID_OR_FLOOR);
                } else {
                    up(hive, box, side, nth, slips, edges);
                }
            }
        }
    }

    private void up(HiveSearched hive, int box, int side, int nth, boolean slips, List<Map<Integer, Double>> edges) {
        boolean barred = hive.box(box).excluderAbove();
        if (barred) {
            both(edges, side, of(new Place.Excluder(box)), TO_THE_EXCLUDER);
        }
        List<CombThere> above = hive.box(box + 1).combs();
        int slot = above.get(Math.min(above.size() - 1, nth)).slot();
        double passes = barred ? slips ? SMALL_THROUGH_AN_EXCLUDER : THROUGH_AN_EXCLUDER : 1;
        FrameSide facing = ((Place.OnComb) places.get(side)).side();
        both(edges, side, of(new Place.OnComb(box + 1, slot, facing)), UP_OR_DOWN * passes);
    }

    private static void both(List<Map<Integer, Double>> edges, int one, int other, double gladly) {
        edges.get(one).merge(other, gladly, Math::max);
        edges.get(other).merge(one, gladly, Math::max);
    }

    int of(Place place) {
        return Objects.requireNonNull(index.get(place));
    }

    boolean has(Place place) {
        return index.containsKey(place);
    }

    Place at(int place) {
        return places.get(place);
    }

    int size() {
        return places.size();
    }

    int comb(int place) {
        return comb[place];
    }

    int boxOfComb(int number) {
        return boxOfComb[number];
    }

    int[] to(int place) {
        return to[place];
    }

    double[] gladly(int place) {
        return weight[place];
    }
}
