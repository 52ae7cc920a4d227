package vividcrown.core.trainer;

import java.util.List;
import java.util.function.IntToDoubleFunction;
import java.util.function.ToIntFunction;
import java.util.random.RandomGenerator;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.reading.Sign;
import vividcrown.core.search.Place;
import vividcrown.core.search.Shows;

/**
 * A brood nest as two months of laying leave it: a queen walks from comb to comb, lays where cells are empty and near, and leaves brood of every age behind her.
 * It knows nothing of how one searches. Days of brood from Winston 1987 (from memory); how she walks and rests as common practice says.
 */
public final class LivedBrood {

    public static final int DAYS = 60;
    private static final int EGG_DAYS = 3;
    private static final int SEALED_AFTER_DAYS = 9;
    private static final int EMERGES_AFTER_DAYS = 21;
    private static final double CELLS_A_SIDE = 3_000;
    private static final double MOST_EGGS_A_DAY = 1_100;
    private static final double LEAST_EGGS_A_DAY = 600;
    private static final double HARDLY_ONE = 0.005;
    private static final int MOST_MOVES_A_DAY = 12;
    private static final double NEAR = 1.6;
    private static final double LAYS_THERE = 0.65;
    private static final double IN_THE_NEST = 0.93;
    private static final double MANY = 0.25;
    private static final double SOME = 0.02;
    private static final double EMPTIED = 0.3;
    private static final double PATCH = 0.05;

    private final RandomGenerator random;
    private final int combs;
    private final double centre;
    private final double radius;
    private final double eggsADay;
    /** Share of each side that was laid on a day, by side and day. */
    private final double[][] laid;
    private final int[] whereOn;
    private final int queen;

    /**
     * @param combs in one box, side by side
     * @param layingOn by day, 0 two months ago: of her full laying, what she does, 0–1
     */
    public LivedBrood(int combs, IntToDoubleFunction layingOn, RandomGenerator random) {
        this.random = random;
        this.combs = combs;
        this.centre = combs - 1 + (random.nextDouble() - 0.5) * combs * 0.5;
        this.radius = combs * (0.55 + 0.3 * random.nextDouble());
        this.eggsADay = LEAST_EGGS_A_DAY + (MOST_EGGS_A_DAY - LEAST_EGGS_A_DAY) * random.nextDouble();
        this.laid = new double[2 * combs][DAYS];
        this.whereOn = new int[DAYS];
        this.queen = restOf(live(layingOn));
    }

    boolean isNest(int side) {
        return Math.abs(side - centre) <= radius;
    }

    /** Share of a side that can hold brood: further out it is smaller. */
    double patch(int side) {
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

    /** @return the side on which she was at the end */
    private int live(IntToDoubleFunction layingOn) {
        int at = (int) Math.round(centre);
        for (int day = 0; day < DAYS; day++) {
            whereOn[day] = at;
            double left = eggsADay / CELLS_A_SIDE * layingOn.applyAsDouble(day);
            for (int moves = 0; moves < MOST_MOVES_A_DAY && left > HARDLY_ONE; moves++) {
                double here = Math.min(left, free(at, day));
                laid[at][day] += here;
                left -= here;
                whereOn[day] = at;
                if (left > HARDLY_ONE) {
                    at = next(at, day);
                }
            }
        }
        return at;
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

    /** Share of a side that was laid so many days ago. */
    double laid(int side, int daysAgo) {
        return laid[side][DAYS - 1 - daysAgo];
    }

    /** What a side showed so many days ago, by its largest part. @param side from 0, two to a comb */
    public Shows shows(int side, int daysAgo) {
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
        if (open > PATCH && open > sealed) {
            return Shows.OPEN;
        }
        return sealed > PATCH ? Shows.SEALED : Shows.FOOD;
    }

    /** As somebody notes it: the largest part first, eggs wherever there are any. */
    public List<Sign> signs(int side, int daysAgo) {
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

    /** Where she rests now. */
    public int queen() {
        return queen;
    }

    /** Where she laid last on a day. */
    public int queen(int daysAgo) {
        return whereOn[DAYS - 1 - daysAgo];
    }

    /** @param side from 0, two to a comb */
    public static Place.OnComb placeOf(int side) {
        return new Place.OnComb(1, side / 2 + 1, side % 2 == 0 ? FrameSide.NEAR : FrameSide.FAR);
    }

    static int sideOf(Place.OnComb place) {
        return 2 * (place.slot() - 1) + (place.side() == FrameSide.NEAR ? 0 : 1);
    }
}
