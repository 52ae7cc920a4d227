package vividcrown.core.search;

import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;

/**
 * How much likelier she is on a side of the brood nest than on any other, by what it showed so many days ago. She lays where cells are empty: where the eggs
 * stood a week ago there is no room now, and what was sealed then is emptied. Counted over 4,000 queens whose laying was lived through comb by comb for two months, drawn to 1
 * the more the older the reading, for no real queen lays so evenly; worker brood is sealed on day 9 and comes out on day 21 (Winston 1987, from memory).
 */
final class OnceRead {

    /** By days since the reading, for many eggs, eggs, open, emptied, sealed, bare, food, foundation. */
    private static final TreeMap<Integer, Map<Shows, Double>> TIMES = new TreeMap<>(Map.of(0,
            row(5.8, 6.3, 0.45, 0.9, 0.42, 0.3, 0.12, 0.06), 1, row(2.7, 4.9, 0.45, 1.8, 0.67, 0.4, 0.17, 0.06), 3,
            row(0.6, 1.3, 0.4, 2.7, 1.2, 0.5, 0.17, 0.07), 7, row(0.5, 0.5, 0.45, 1.8, 1.7, 0.6, 0.17, 0.1), 14,
            row(0.6, 0.6, 1.2, 1.1, 1.6, 0.7, 0.2, 0.2), 21, row(1.8, 1.4, 1.5, 0.9, 1, 0.8, 0.25, 0.3), 42,
            row(1.1, 1, 1.2, 1, 1.1, 0.9, 0.5, 0.6)));

    private OnceRead() {
    }

    private static Map<Shows, Double> row(double many, double eggs, double open, double emptied, double sealed,
            double bare, double food, double foundation) {
        return Map.of(Shows.MANY_EGGS, many, Shows.EGGS, eggs, Shows.OPEN, open, Shows.EMPTIED, emptied, Shows.SEALED,
                sealed, Shows.BARE, bare, Shows.FOOD, food, Shows.FOUNDATION, foundation);
    }

    /** @param shows of a side that was read @param days ago */
    static double times(Shows shows, int days) {
        return between(TIMES, days, row -> Objects.requireNonNull(row.get(shows)));
    }

    /** Of days between two of the rows, a share of both. */
    static <T> double between(TreeMap<Integer, T> byDays, int days, ToDoubleFunction<T> figure) {
        int before = Objects.requireNonNull(byDays.floorKey(days));
        Integer after = byDays.higherKey(days);
        double then = figure.applyAsDouble(Objects.requireNonNull(byDays.get(before)));
        if (after == null) {
            return then;
        }
        double share = (double) (days - before) / (after - before);
        return then * (1 - share) + figure.applyAsDouble(Objects.requireNonNull(byDays.get(after))) * share;
    }
}
