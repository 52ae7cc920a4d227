package vividcrown.core.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.ToIntFunction;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.reading.Sign;

/**
 * Hives of its own, that know nothing of the guide: a queen walks from comb to comb for two months, lays where cells are empty and near, and leaves brood of
 * every age behind her; then somebody searches, and she walks on. Days of brood from Winston 1987 (from memory); how she walks as common practice says.
 */
final class LivedSearch {

    private static final int DAYS = 60;
    private static final int EGG_DAYS = 3;
    private static final int SEALED_AFTER_DAYS = 9;
    private static final int EMERGES_AFTER_DAYS = 21;
    private static final double CELLS_A_SIDE = 3_000;
    private static final double MOST_EGGS_A_DAY = 1_100;
    private static final double LEAST_EGGS_A_DAY = 600;
    private static final double NEAR = 1.6;
    private static final double LAYS_THERE = 0.65;
    private static final double IN_THE_NEST = 0.93;
    private static final double LEAVES_A_LIFT = 0.02;
    private static final double MANY = 0.25;
    private static final double SOME = 0.02;
    private static final double EMPTIED = 0.3;

    private final Random random;
    private final int combs;
    private final double centre;
    private final double radius;
    private final double eggsADay;
    /** Share of each side that was laid on a day, by side and day. */
    private final double[][] laid;
    private final int[] whereOn;
    private int queen;

    LivedSearch(int combs, long seed) {
        this.random = new Random(seed);
        this.combs = combs;
        this.centre = combs - 1 + (random.nextDouble() - 0.5) * combs * 0.5;
        this.radius = combs * (0.55 + 0.3 * random.nextDouble());
        this.eggsADay = LEAST_EGGS_A_DAY + (MOST_EGGS_A_DAY - LEAST_EGGS_A_DAY) * random.nextDouble();
        this.laid = new double[2 * combs][DAYS];
        this.whereOn = new int[DAYS];
        live();
    }

    private boolean isNest(int side) {
        return Math.abs(side - centre) <= radius;
    }

    /** A side further out has a smaller patch. */
    private double patch(int side) {
        double away = (side - centre) / (radius + 0.5);
        return Math.max(0, 1 - away * away) * 0.85;
    }

    private double free(int side, int day) {
        double taken = 0;
        for (int before = Math.max(0, day - EMERGES_AFTER_DAYS); before <= day; before++) {
            taken += laid[side][before];
        }
        return Math.max(0, patch(side) - taken);
    }

    private void live() {
        int at = (int) Math.round(centre);
        for (int day = 0; day < DAYS; day++) {
            double left = eggsADay / CELLS_A_SIDE;
            for (int moves = 0; moves < 12 && left > 0.005; moves++) {
                double here = Math.min(left, free(at, day));
                laid[at][day] += here;
                left -= here;
                whereOn[day] = at;
                if (left > 0.005) {
                    at = next(at, day);
                }
            }
        }
        queen = restOf(at);
    }

    private int next(int at, int day) {
        return drawn(side -> isNest(side) && side != at
                ? (int) (1e6 * (free(side, day) + 0.01) * Math.exp(-Math.abs(side - at) / NEAR))
                : 0);
    }

    private int restOf(int at) {
        double draw = random.nextDouble();
        if (draw < LAYS_THERE) {
            return at;
        }
        return draw < IN_THE_NEST
                ? drawn(side -> isNest(side) ? (int) (1e6 * Math.exp(-Math.abs(side - at) / 3.0)) : 0)
                : random.nextInt(2 * combs);
    }

    private int drawn(ToIntFunction<Integer> weight) {
        long all = 0;
        for (int side = 0; side < 2 * combs; side++) {
            all += weight.applyAsInt(side);
        }
        long draw = (long) (random.nextDouble() * all);
        for (int side = 0; side < 2 * combs; side++) {
            draw -= weight.applyAsInt(side);
            if (draw < 0) {
                return side;
            }
        }
        return (int) Math.clamp(Math.round(centre), 0, 2L * combs - 1);
    }

    private double share(int side, int day, int from, int until) {
        double sum = 0;
        for (int age = from; age < until; age++) {
            if (day - age >= 0) {
                sum += laid[side][day - age];
            }
        }
        return sum;
    }

    /** What a side showed so many days ago. */
    Shows shows(int side, int daysAgo) {
        int day = DAYS - 1 - daysAgo;
        double eggs = share(side, day, 0, EGG_DAYS);
        double open = share(side, day, EGG_DAYS, SEALED_AFTER_DAYS);
        double sealed = share(side, day, SEALED_AFTER_DAYS, EMERGES_AFTER_DAYS);
        double empty = free(side, day);
        if (isNest(side) && eggs <= SOME && empty > EMPTIED && empty > open + sealed) {
            return Shows.EMPTIED;
        }
        if (eggs > MANY) {
            return Shows.MANY_EGGS;
        }
        if (eggs > SOME) {
            return Shows.EGGS;
        }
        if (open > 0.05 && open > sealed) {
            return Shows.OPEN;
        }
        if (sealed > 0.05) {
            return Shows.SEALED;
        }
        return Shows.FOOD;
    }

    /** The hive as somebody read it so many days ago. @param seen she was seen then, too */
    HiveSearched read(int daysAgo, boolean seen) {
        List<CombThere> all = new ArrayList<>();
        for (int slot = 1; slot <= combs; slot++) {
            all.add(new CombThere(slot, signs(2 * slot - 2, daysAgo), signs(2 * slot - 1, daysAgo), Optional.empty(),
                    false));
        }
        Optional<HiveSearched.LastSeen> last = seen
                ? Optional.of(new HiveSearched.LastSeen(placeOf(whereOn[DAYS - 1 - daysAgo]), daysAgo))
                : Optional.empty();
        return new HiveSearched(List.of(new BoxThere(false, combs, false, all)), daysAgo, last, 0.99);
    }

    /** As somebody notes it: the largest part first, eggs wherever there are any. */
    private List<Sign> signs(int side, int daysAgo) {
        return switch (shows(side, daysAgo)) {
            case MANY_EGGS -> List.of(Sign.EGGS, Sign.LARVAE);
            case EGGS -> List.of(Sign.SEALED_WORKER, Sign.EGGS);
            case OPEN -> List.of(Sign.LARVAE);
            case SEALED -> List.of(Sign.SEALED_WORKER);
            case EMPTIED -> List.of(Sign.POLISHED_CELLS);
            case FOOD -> List.of(Sign.SEALED_HONEY);
            case NOTHING, BARE, FOUNDATION -> List.of();
        };
    }

    static Place.OnComb placeOf(int side) {
        return new Place.OnComb(1, side / 2 + 1, side % 2 == 0 ? FrameSide.NEAR : FrameSide.FAR);
    }

    /** How one goes through a hive. */
    interface Way {
        /** @return slot of the comb to lift, from 1 */
        int next(List<Lifted> soFar);
    }

    /** @param near what its near side showed */
    record Lifted(int slot, Shows near, Shows far) {
        boolean hasEggs() {
            return isEggs(near) || isEggs(far);
        }

        private static boolean isEggs(Shows shows) {
            return shows == Shows.EGGS || shows == Shows.MANY_EGGS;
        }
    }

    /** @return lifts until she was seen; one more than the most if she was not */
    int search(Way way, double sees, int mostLifts) {
        Random luck = new Random(random.nextLong());
        List<Lifted> soFar = new ArrayList<>();
        for (int lift = 1; lift <= mostLifts; lift++) {
            int slot = way.next(soFar);
            walk(luck, slot);
            if (queen / 2 + 1 == slot && luck.nextDouble() < sees) {
                return lift;
            }
            soFar.add(new Lifted(slot, shows(2 * slot - 2, 0), shows(2 * slot - 1, 0)));
        }
        return mostLifts + 1;
    }

    private void walk(Random luck, int lifted) {
        if (luck.nextDouble() >= LEAVES_A_LIFT) {
            return;
        }
        int step = luck.nextDouble() < 0.45 ? (queen % 2 == 0 ? 1 : -1) : queen % 2 == 0 ? -1 : 1;
        int to = queen + step;
        boolean crosses = to / 2 != queen / 2;
        boolean inHand = queen / 2 + 1 == lifted || to / 2 + 1 == lifted;
        if (to >= 0 && to < 2 * combs && !(crosses && inHand)) {
            queen = to;
        }
    }

    int queen() {
        return queen;
    }

    // --- rules of thumb ----------------------------------------------------------------------------------------------

    /** An outer comb for room, then from the middle outwards, again and again. */
    static Way middleOutwards(int combs) {
        List<Integer> order = new ArrayList<>();
        for (int slot = 1; slot <= combs; slot++) {
            order.add(slot);
        }
        order.sort(Comparator.comparingDouble(slot -> Math.abs(slot - (combs + 1) / 2.0)));
        return soFar -> soFar.isEmpty() ? 1 : order.get((soFar.size() - 1) % combs);
    }

    static Way oneSideToTheOther(int combs) {
        return soFar -> soFar.size() % combs + 1;
    }

    /** From the middle to whichever side shows the younger brood; what was searched last of all when nothing else is left. */
    static Way towardsYoungerBrood(int combs) {
        return soFar -> {
            if (soFar.isEmpty()) {
                return 1;
            }
            int[] times = new int[combs + 1];
            soFar.forEach(one -> times[one.slot()]++);
            int least = Integer.MAX_VALUE;
            for (int slot = 1; slot <= combs; slot++) {
                least = Math.min(least, times[slot]);
            }
            int best = 1;
            double most = Double.NEGATIVE_INFINITY;
            for (int slot = 1; slot <= combs; slot++) {
                if (times[slot] > least) {
                    continue;
                }
                double worth = -0.01 * Math.abs(slot - (combs + 1) / 2.0);
                for (Lifted one : soFar) {
                    int apart = Math.abs(one.slot() - slot);
                    double young = Math.max(young(one.near()), young(one.far()));
                    worth = Math.max(worth, young - 0.5 * (apart - 1) + (facesYounger(one, slot) ? 0.4 : 0));
                }
                if (worth > most) {
                    most = worth;
                    best = slot;
                }
            }
            return best;
        };
    }

    private static boolean facesYounger(Lifted one, int slot) {
        return slot > one.slot() ? young(one.far()) > young(one.near()) : young(one.near()) > young(one.far());
    }

    private static double young(Shows shows) {
        return switch (shows) {
            case MANY_EGGS -> 3;
            case EGGS -> 2;
            case EMPTIED -> 1.5;
            case OPEN -> 1;
            case SEALED -> 0.5;
            case FOOD, BARE, FOUNDATION, NOTHING -> 0;
        };
    }

    /** As the guide says. */
    static Way asTheGuideSays(HiveSearched hive, Circumstances under) {
        List<SearchAct> acts = new ArrayList<>();
        return soFar -> {
            if (!soFar.isEmpty()) {
                Lifted last = soFar.getLast();
                acts.add(new SearchAct.Looked(new Place.OnComb(1, last.slot(), FrameSide.NEAR), last.near()));
                acts.add(new SearchAct.Looked(new Place.OnComb(1, last.slot(), FrameSide.FAR), last.far()));
            }
            while (true) {
                Step step = Search.after(hive, under, acts).next().orElseThrow().step();
                if (step instanceof Step.Lift lift) {
                    return lift.slot();
                }
                acts.add(new SearchAct.Looked(((Step.LookAt) step).place(), Shows.NOTHING));
            }
        };
    }
}
