package vividcrown.core.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.trainer.LivedBrood;

/**
 * Hives of its own, that know nothing of the guide: brood as two months of laying leave it ({@link LivedBrood}); then somebody searches, and she walks on. How
 * she walks as common practice says.
 */
final class LivedSearch {

    private static final double LEAVES_A_LIFT = 0.02;

    private final RandomGenerator random;
    private final int combs;
    private final LivedBrood brood;
    private int queen;

    LivedSearch(int combs, long seed) {
        this.random = new SplittableRandom(seed);
        this.combs = combs;
        this.brood = new LivedBrood(combs, _ -> 1, random);
        this.queen = brood.queen();
    }

    Shows shows(int side) {
        return brood.shows(side, 0);
    }

    /** The hive as somebody read it so many days ago. @param seen she was seen then, too */
    HiveSearched read(int daysAgo, boolean seen) {
        List<CombThere> all = new ArrayList<>();
        for (int slot = 1; slot <= combs; slot++) {
            all.add(new CombThere(slot, brood.signs(2 * slot - 2, daysAgo), brood.signs(2 * slot - 1, daysAgo),
                    Optional.empty(),
                    false));
        }
        Optional<HiveSearched.LastSeen> last = seen
                ? Optional.of(new HiveSearched.LastSeen(LivedBrood.placeOf(brood.queen(daysAgo)), daysAgo))
                : Optional.empty();
        return new HiveSearched(List.of(new BoxThere(false, combs, false, all)), daysAgo, last, 0.99);
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
        RandomGenerator luck = new SplittableRandom(random.nextLong());
        List<Lifted> soFar = new ArrayList<>();
        for (int lift = 1; lift <= mostLifts; lift++) {
            int slot = way.next(soFar);
            walk(luck, slot);
            if (queen / 2 + 1 == slot && luck.nextDouble() < sees) {
                return lift;
            }
            soFar.add(new Lifted(slot, shows(2 * slot - 2), shows(2 * slot - 1)));
        }
        return mostLifts + 1;
    }

    private void walk(RandomGenerator luck, int lifted) {
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
