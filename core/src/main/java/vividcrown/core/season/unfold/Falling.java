package vividcrown.core.season.unfold;

import java.util.Arrays;

/**
 * Numbers that can only fall from one to the next, where draws had their luck in them: what lies the wrong way round is averaged (isotonic regression by
 * pooling adjacent violators; Ayer et al. 1955, Ann. Math. Stat. 26:641; from memory).
 */
final class Falling {

    private Falling() {
    }

    /** @return as many, none higher than the one before it */
    static int[] of(int... numbers) {
        int[] falling = new int[numbers.length];
        int from = 0;
        while (from < numbers.length) {
            int until = numbers.length;
            // the longest of the runs that are highest on average
            for (int end = numbers.length - 1; end > from; end--) {
                if (average(numbers, from, end) > average(numbers, from, until)) {
                    until = end;
                }
            }
            Arrays.fill(falling, from, until, (int) Math.round(average(numbers, from, until)));
            from = until;
        }
        return falling;
    }

    private static double average(int[] numbers, int from, int until) {
        return Arrays.stream(numbers, from, until).average().orElse(0);
    }
}
