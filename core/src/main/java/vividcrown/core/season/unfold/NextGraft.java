package vividcrown.core.season.unfold;

import java.util.Arrays;
import vividcrown.core.season.recipe.WorkTime;

/**
 * The next graft, for orders that nothing after it can help, or that want more than one graft: how many cups it takes, at the best, and what that costs with all that stays missing. When it is
 * made, what today's grafts come to is not known yet: one number has to do for all that may have become of them (open-loop
 * feedback control; Bertsekas, Dynamic Programming and Optimal Control, vol. 1; from memory). To count on knowing what is missing
 * would make waiting look better than it is.
 */
final class NextGraft {

    private final Counted drawn;
    /** By draw and ripe cells placed: queens that come in time. */
    private final int[][] come;
    /** The same, with those that come too late. */
    private final int[][] comeInTheEnd;
    private final double placing;
    private final double over;

    /**
     * @param share of those that lay in the end that do in time, 0–1
     * @param placing minutes for a cell placed
     * @param over minutes for a queen that comes and is not wanted
     */
    NextGraft(Counted drawn, double share, double placing, double over) {
        this.drawn = drawn;
        this.come = drawn.come(share);
        this.comeInTheEnd = drawn.come(Counted.IN_THE_END);
        this.placing = placing;
        this.over = over;
    }

    /**
     * @param cost with all that stays missing, without its load: orders share loads
     * @param cups that are grafted for it
     */
    record Least(double cost, int cups) {
    }

    /**
     * The least that it costs, on average of some draws.
     *
     * @param alike the draws that nobody can tell apart when it is made
     * @param missing by draw: queens
     * @param costs of so many that stay missing
     * @param price of a cup, where others want it too; not in what it costs
     */
    Least least(int[] alike, int[] missing, double[] costs, double price) {
        int place = Cheapest.of(drawn.cups(), cells -> with(drawn.cups(), cells, alike, missing, costs));
        int many = Cheapest.of(drawn.cups(), some -> with(some, place, alike, missing, costs) + price * some);
        return new Least(with(many, place, alike, missing, costs), many);
    }

    /** The least that it costs in all draws where so many are missing. */
    double alone(int missing, double[] costs) {
        int[] all = new int[drawn.draws()];
        int[] every = new int[drawn.draws()];
        Arrays.setAll(all, draw -> draw);
        Arrays.fill(every, missing);
        return least(all, every, costs, 0).cost();
    }

    /** What it costs, on average, to graft so many and to place no more of their cells than that. */
    private double with(int many, int place, int[] alike, int[] missing, double[] costs) {
        double sum = 0;
        int placed = 0;
        for (int draw : alike) {
            int cells = drawn.placed(draw, many, place);
            placed += cells;
            int stillMissing = Math.max(0, missing[draw] - come[draw][cells]);
            sum += costs[stillMissing] + over * (comeInTheEnd[draw][cells] - (missing[draw] - stillMissing));
        }
        return many * WorkTime.GRAFT_A_CUP + (placing * placed + sum) / alike.length;
    }
}
