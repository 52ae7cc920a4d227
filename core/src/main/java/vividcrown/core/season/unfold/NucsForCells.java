package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.util.Map;
import java.util.TreeMap;
import vividcrown.core.season.Means;

/**
 * Nucs that are left for cells that hang, as they ripen one batch after the other. What they will take may be among the nucs that are told to be
 * taken, from the day on which they are ripe, or not: it is counted once.
 */
final class NucsForCells {

    private final Means means;
    private final Map<LocalDate, Integer> placed = new TreeMap<>();

    NucsForCells(Means means) {
        this.means = means;
    }

    /** Before cells of that day are placed, but for those that are placed already. */
    int left(LocalDate ripeOn) {
        int notTold = placed.entrySet().stream().filter(one -> one.getKey().isBefore(ripeOn))
                .mapToInt(one -> Math.max(0, one.getValue() - toldOn(one.getKey()))).sum();
        return Math.max(0, means.freeNucs(ripeOn.minusDays(1)) - notTold - placed.getOrDefault(ripeOn, 0));
    }

    private int toldOn(LocalDate ripeOn) {
        return means.freeNucs(ripeOn.minusDays(1)) - means.freeNucs(ripeOn);
    }

    void place(LocalDate ripeOn, int cells) {
        placed.merge(ripeOn, cells, Integer::sum);
    }
}
