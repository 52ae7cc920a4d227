package vividcrown.core.season.unfold;

import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import vividcrown.core.season.demand.Demand;

/**
 * What lives, handed out to the orders in every draw: who is due first is served first, from what keeps least; who takes any line leaves those
 * asked for by name to the last.
 *
 * @param from in the order in which they are given
 * @param missing by order and draw: queens or cells that are lacking
 * @param given by batch and draw
 */
record HandedOut(List<Holding> from, int[][] missing, int[][] given) {

    private static final Comparator<Holding> NAMED_LAST_THEN_BY_KEEPING = Comparator
            .comparing((Holding one) -> one.line().isPresent()).thenComparing(Holding::keeps);

    /**
     * Where each order was served before.
     *
     * @param orders as they are served
     * @return of an order that was not served before, where it stands itself
     */
    static int[] before(List<Wanted> orders) {
        Map<Demand, Integer> last = new HashMap<>();
        int[] before = new int[orders.size()];
        for (int at = 0; at < before.length; at++) {
            Integer served = last.put(orders.get(at).demand(), at);
            before[at] = served == null ? at : served;
        }
        return before;
    }

    /**
     * @param before of an order that is served late, where it was served before: it gets what was lacking then
     * @param draws how many
     */
    static HandedOut of(List<Wanted> orders, int[] before, List<Holding> all, int draws) {
        List<Holding> from = all.stream().sorted(NAMED_LAST_THEN_BY_KEEPING).toList();
        int[][] missing = new int[orders.size()][];
        int[][] given = new int[from.size()][draws];
        for (int at = 0; at < missing.length; at++) {
            int[] need = orders.get(at).late() ? missing[before[at]].clone() : new int[draws];
            if (!orders.get(at).late()) {
                Arrays.fill(need, orders.get(at).demand().count());
            }
            for (int one = 0; one < given.length; one++) {
                int[] had = from.get(one).had()[at];
                if (had != Holding.NOBODY) {
                    give(had, given[one], need);
                }
            }
            missing[at] = need;
        }
        return new HandedOut(from, missing, given);
    }

    private static void give(int[] had, int[] given, int[] need) {
        for (int draw = 0; draw < need.length; draw++) {
            int gives = Math.max(0, Math.min(need[draw], had[draw] - given[draw]));
            given[draw] += gives;
            need[draw] -= gives;
        }
    }

    /** Those that nobody takes while they keep, in all draws together, of one batch. */
    int left(int batch) {
        int[] total = from.get(batch).total();
        int left = 0;
        for (int draw = 0; draw < total.length; draw++) {
            left += total[draw] - given[batch][draw];
        }
        return left;
    }
}
