package vividcrown.core.season.unfold;

import vividcrown.core.season.recipe.WorkTime;

/**
 * The next graft, for orders that nothing after it can help: how many cups it takes, at the best, and what that costs with all that stays missing. When it is
 * made, what today's grafts come to is not known yet: one number has to do for all that may have become of them (open-loop
 * feedback control; Bertsekas, Dynamic Programming and Optimal Control, vol. 1; from memory). To count on knowing what is missing
 * would make waiting look better than it is.
 */
final class NextGraft {

    private final Counted drawn;
    /** By draw and ripe cells placed: queens that come in time. */
    private final int[][] come;
    private final double placing;

    /**
     * @param share of those that lay in the end that do in time, 0–1
     * @param placing minutes for a cell placed
     */
    NextGraft(Counted drawn, double share, double placing) {
        this.drawn = drawn;
        this.come = drawn.come(share);
        this.placing = placing;
    }

    /**
     * The least that it costs, on average of some draws, without its load: orders share loads.
     *
     * @param alike the draws that nobody can tell apart when it is made
     * @param missing by draw: queens
     * @param costs of so many that stay missing
     */
    double least(int[] alike, int[] missing, double[] costs) {
        int place = Cheapest.of(drawn.cups(), cells -> with(drawn.cups(), cells, alike, missing, costs));
        int many = Cheapest.of(drawn.cups(), some -> with(some, place, alike, missing, costs));
        return with(many, place, alike, missing, costs);
    }

    /** What it costs, on average, to graft so many and to place no more of their cells than that. */
    private double with(int many, int place, int[] alike, int[] missing, double[] costs) {
        double sum = 0;
        int placed = 0;
        for (int draw : alike) {
            int cells = Math.min(place, drawn.ripe(draw, many));
            placed += cells;
            sum += costs[Math.max(0, missing[draw] - come[draw][cells])];
        }
        return many * WorkTime.GRAFT_A_CUP + (placing * placed + sum) / alike.length;
    }
}
