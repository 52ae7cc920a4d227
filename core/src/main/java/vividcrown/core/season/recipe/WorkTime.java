package vividcrown.core.season.recipe;

/** Minutes of work, as the plan weighs them. Common practice, from memory; they decide between plans, not wages. */
public final class WorkTime {
    /** Make up or restock a builder, check it for rogue cells, count the take, cull. */
    public static final int LOAD = 90;
    public static final int GRAFT_A_CUP = 1;
    public static final int PLACE_A_CELL = 3;
    /** Emergence check, first look, feed. */
    public static final int VISIT_A_NUC = 8;
    public static final int CATCH_A_QUEEN = 6;
    static final int CAGE_A_CELL = 1;

    private WorkTime() {
    }
}
