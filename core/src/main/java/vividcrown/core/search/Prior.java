package vividcrown.core.search;

import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.reading.Sign;

/**
 * Where she is likely to be before the lid is off, common practice: near the thickest eggs and the emptied middle, seldom on solid sealed brood ringed
 * by honey, hardly on food or foundation; without brood in the middle of the cluster; a virgin anywhere. She seldom crosses a band of honey. Where
 * she was last seen counts for days. No place is at nought.
 */
final class Prior {

    private static final double RINGED_BY_HONEY = 0.6;
    /** At the middle of the cluster, and at its edge. */
    private static final double MIDDLE = 1.8;
    private static final double EDGE = 0.1;
    private static final double STEEP = 3;
    /** How far the middle counts where it is known what stands on a side. */
    private static final double MIDDLE_STILL = 0.4;
    private static final double BEYOND_HONEY = 0.35;
    private static final double HONEY_BOX = 0.06;
    private static final double ABOVE_EXCLUDER = 0.02;
    private static final double SMALL_ABOVE_EXCLUDER = 0.2;
    /** Sealed brood and old larvae without an egg in the whole box: she is in another. */
    private static final double NO_EGGS_IN_THE_BOX = 0.35;
    private static final int SIDES_READ = 4;
    /**
     * How often signs mislead, of the surest of them: no real queen lays as evenly as those that were lived through, who reads combs errs at times, and where
     * many signs agree they overshoot.
     */
    private static final double MISLED = 0.3;
    private static final double MISLED_SPREAD = 0.3;
    private static final double RESTLESS_SPREAD = 0.6;
    private static final double VIRGIN_SPREAD = 0.3;
    private static final double DIRECTION_IN_WINTER = 0.2;
    private static final double LID = 0.015;
    private static final double WALLS = 0.012;
    private static final double FLOOR = 0.01;
    private static final double EXCLUDER = 0.01;
    private static final double HOLE = 0.008;
    private static final double RESTLESS_OFF_COMBS = 3;
    private static final double LAST_SEEN_TODAY = 0.75;
    private static final double LAST_SEEN_FADES_DAYS = 0.8;
    /** In winter the cluster hardly moves. */
    private static final double LAST_SEEN_FADES_WINTER_DAYS = 8;
    private static final double NEXT_PLACE = 0.45;
    private static final double LEAST = 0.0004;

    private final HiveSearched hive;
    private final Circumstances under;
    private final Ways ways;
    private final Telling telling;

    Prior(HiveSearched hive, Circumstances under, Ways ways) {
        this.hive = hive;
        this.under = under;
        this.ways = ways;
        this.telling = new Telling(under);
    }

    /** For each place, given that she is in the hive; together 1, none at nought. */
    double[] odds() {
        double[] odds = shared(combs());
        hive.lastSeen().ifPresent(seen -> towards(odds, seen));
        double floor = LEAST / odds.length;
        for (int at = 0; at < odds.length; at++) {
            odds[at] = (odds[at] + floor) / (1 + LEAST);
        }
        return odds;
    }

    private double[] combs() {
        double[] signs = byContent();
        if (under.is(QueenTrait.VIRGIN)) {
            return spread(signs, VIRGIN_SPREAD);
        }
        double[] combs = spread(signs, under.isRestless() ? RESTLESS_SPREAD : 1);
        double[] misled = spread(signs, MISLED_SPREAD);
        double surest = Arrays.stream(combs).max().orElse(0);
        double share = MISLED * surest * shareRead() * direction(under.laying());
        Arrays.setAll(combs, at -> (1 - share) * combs[at] + share * misled[at]);
        return combs;
    }

    /** @return together 1; to the power given: below 1 flatter, above it sharper */
    private static double[] spread(double[] combs, double power) {
        double[] spread = Arrays.stream(combs).map(one -> one > 0 ? Math.pow(one, power) : 0).toArray();
        double sum = Arrays.stream(spread).sum();
        return Arrays.stream(spread).map(one -> one / sum).toArray();
    }

    /** Of all sides of combs. */
    private double shareRead() {
        int sides = FrameSide.values().length * hive.boxes().stream().mapToInt(box -> box.combs().size()).sum();
        int read = IntStream.rangeClosed(1, hive.boxes().size()).map(box -> read(box).size()).sum();
        return sides == 0 ? 0 : (double) read / sides;
    }

    private double[] byContent() {
        double[] weights = new double[ways.size()];
        for (int box = 1; box <= hive.boxes().size(); box++) {
            inBox(box, weights);
        }
        return weights;
    }

    /** How likely a box is at all, by what each of its sides shows; on which of them, by what all of them tell together. */
    private void inBox(int box, double[] weights) {
        BoxThere there = hive.box(box);
        double[] middle = middle(there);
        Map<Place.OnComb, Shows> read = read(box);
        // without brood there is no trail: she is in the middle of her bees
        double known = hasBrood(box)
                ? Telling.stillTells(hive.readDays()) * direction(under.laying()) * read.size()
                        / (FrameSide.values().length * there.combs().size())
                : 0;
        double all = 0;
        double sum = 0;
        for (int nth = 0; nth < there.combs().size(); nth++) {
            CombThere comb = there.combs().get(nth);
            double beyond = isBeyondHoney(there, nth) ? BEYOND_HONEY : 1;
            for (FrameSide side : FrameSide.values()) {
                Place.OnComb place = new Place.OnComb(box, comb.slot(), side);
                all += beyond * side(comb.on(side), middle[nth]);
                double told = 0;
                for (Map.Entry<Place.OnComb, Shows> one : read.entrySet()) {
                    told += telling.of(one.getValue(), hive.readDays(), one.getKey(), place);
                }
                double weight = beyond * ringed(comb.on(side)) * Math.pow(middle[nth], 1 - known) * Math.exp(told);
                weights[ways.of(place)] = weight;
                sum += weight;
            }
        }
        for (CombThere comb : there.combs()) {
            for (FrameSide side : FrameSide.values()) {
                weights[ways.of(new Place.OnComb(box, comb.slot(), side))] *= ofBox(box) * all / sum;
            }
        }
    }

    /** What the sides of a box showed that were read. */
    private Map<Place.OnComb, Shows> read(int box) {
        Map<Place.OnComb, Shows> read = new LinkedHashMap<>();
        for (CombThere comb : hive.box(box).combs()) {
            for (FrameSide side : FrameSide.values()) {
                Shows shows = Shows.of(comb.on(side));
                if (shows != Shows.NOTHING) {
                    read.put(new Place.OnComb(box, comb.slot(), side), shows);
                }
            }
        }
        return read;
    }

    private static double ringed(List<Sign> signs) {
        return Shows.of(signs) == Shows.SEALED && signs.contains(Sign.SEALED_HONEY) ? RINGED_BY_HONEY : 1;
    }

    /** What stood on it when it was read, and how near to the middle of the bees it hangs. */
    private double side(List<Sign> signs, double middle) {
        Shows shows = Shows.of(signs);
        if (shows == Shows.NOTHING) {
            return middle;
        }
        double known = OnceRead.times(shows, hive.readDays()) * ringed(signs);
        double counts = shows.isBarrier() ? 1 : direction(under.laying());
        return Math.pow(known, counts) * Math.pow(middle, 1 - (1 - MIDDLE_STILL) * counts);
    }

    /** How far the trail of the eggs leads to her: hardly in winter. */
    static double direction(double laying) {
        return DIRECTION_IN_WINTER + (1 - DIRECTION_IN_WINTER) * Math.min(1, 2 * laying);
    }

    /** For each comb how near it hangs to the middle of the brood, or of the bees where there is none, or of the box. */
    private static double[] middle(BoxThere box) {
        int count = box.combs().size();
        double sum = 0;
        double at = 0;
        for (int nth = 0; nth < count; nth++) {
            CombThere comb = box.combs().get(nth);
            double brood = (Shows.of(comb.near()).isBrood() ? 1 : 0) + (Shows.of(comb.far()).isBrood() ? 1 : 0);
            double bees = comb.bees().map(covered -> 0.2 * covered).orElse(0.0);
            sum += brood + bees;
            at += (brood + bees) * nth;
        }
        double centre = sum > 0 ? at / sum : (count - 1) / 2.0;
        double[] near = new double[count];
        for (int nth = 0; nth < count; nth++) {
            double away = (nth - centre) / Math.max(1, count / 2.0);
            near[nth] = EDGE + (MIDDLE - EDGE) * Math.exp(-STEEP * away * away);
        }
        return near;
    }

    private double ofBox(int box) {
        BoxThere there = hive.box(box);
        boolean slips = under.is(QueenTrait.VIRGIN) || under.is(QueenTrait.SMALL);
        double all = 1;
        if (hive.isAboveExcluder(box) && !hasBrood(box)) {
            all *= slips ? SMALL_ABOVE_EXCLUDER : ABOVE_EXCLUDER;
        } else if (there.honey() && !hasBrood(box)) {
            all *= HONEY_BOX;
        }
        return hive.boxes().size() > 1 && hasOldBroodOnly(box) ? all * NO_EGGS_IN_THE_BOX : all;
    }

    private boolean hasBrood(int box) {
        return read(box).values().stream().anyMatch(Shows::isBrood);
    }

    private boolean hasOldBroodOnly(int box) {
        Collection<Shows> shown = read(box).values();
        return shown.size() >= SIDES_READ && shown.stream().anyMatch(Shows::isBrood)
                && shown.stream().noneMatch(one -> one == Shows.EGGS || one == Shows.MANY_EGGS);
    }

    /** A comb of food on both sides hangs between it and all brood of its box. */
    private static boolean isBeyondHoney(BoxThere box, int nth) {
        List<CombThere> combs = box.combs();
        boolean left = false;
        boolean right = false;
        boolean any = false;
        for (int other = 0; other < combs.size(); other++) {
            boolean brood = Shows.of(combs.get(other).near()).isBrood() || Shows.of(combs.get(other).far()).isBrood();
            if (brood) {
                any = true;
                boolean barred = isBarred(combs, Math.min(nth, other), Math.max(nth, other));
                left |= other <= nth && !barred;
                right |= other >= nth && !barred;
            }
        }
        return any && !left && !right;
    }

    private static boolean isBarred(List<CombThere> combs, int from, int until) {
        for (int between = from + 1; between < until; between++) {
            if (Shows.of(combs.get(between).near()).isBarrier() && Shows.of(combs.get(between).far()).isBarrier()) {
                return true;
            }
        }
        return false;
    }

    /** The combs share what lid, walls, floor, excluders and holes leave. */
    private double[] shared(double[] combs) {
        double[] odds = new double[combs.length];
        double elsewhere = 0;
        double times = under.isRestless() ? RESTLESS_OFF_COMBS : 1;
        for (int at = 0; at < odds.length; at++) {
            odds[at] = times * switch (ways.at(at)) {
                case Place.OnComb _ -> 0;
                case Place.InHole _ -> HOLE;
                case Place.Lid _ -> LID;
                case Place.Walls(int box) -> hive.isAboveExcluder(box) ? WALLS * ABOVE_EXCLUDER : WALLS;
                case Place.Excluder _ -> EXCLUDER;
                case Place.Floor _ -> FLOOR;
            };
            elsewhere += odds[at];
        }
        for (int at = 0; at < odds.length; at++) {
            odds[at] += combs[at] * (1 - elsewhere);
        }
        return odds;
    }

    /** She was seen there; since then she has walked on. */
    private void towards(double[] odds, HiveSearched.LastSeen seen) {
        double fades = LAST_SEEN_FADES_WINTER_DAYS
                + (LAST_SEEN_FADES_DAYS - LAST_SEEN_FADES_WINTER_DAYS) * Math.min(1, 2 * under.laying());
        double still = LAST_SEEN_TODAY * Math.exp(-seen.days() / fades);
        double[] near = new double[odds.length];
        int there = ways.of(seen.place());
        double all = 0;
        for (int step : ways.to(there)) {
            for (int next : ways.to(step)) {
                near[next] += NEXT_PLACE * NEXT_PLACE * gladly(there, step) * gladly(step, next);
            }
            near[step] += NEXT_PLACE * gladly(there, step);
        }
        near[there] += 1 - NEXT_PLACE;
        for (double one : near) {
            all += one;
        }
        for (int at = 0; at < odds.length; at++) {
            odds[at] = (1 - still) * odds[at] + still * near[at] / all;
        }
    }

    private double gladly(int from, int to) {
        double sum = Arrays.stream(ways.gladly(from)).sum();
        for (int way = 0; way < ways.to(from).length; way++) {
            if (ways.to(from)[way] == to) {
                return ways.gladly(from)[way] / sum;
            }
        }
        return 0;
    }
}
