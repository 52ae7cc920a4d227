package vividcrown.core.split.recipe;

import java.util.Arrays;
import java.util.List;

/** The recipes of the program: the table of contents, a file each. */
public final class Recipes {

    private Recipes() {
    }

    public static SplitRecipe of(RecipeKind kind) {
        return switch (kind) {
            case WALK_AWAY -> WalkAway.recipe();
            case OLD_QUEEN_NUC, OLD_QUEEN_NUC_LEAVE_ONE -> OldQueenNuc.withCells(kind);
            case OLD_QUEEN_NUC_BEFORE_CELLS -> OldQueenNuc.beforeCells();
            case CELL_NUC -> CellNuc.recipe();
            case MATED_QUEEN_SPLIT -> MatedQueenSplit.recipe();
            case STRIP_DOWN -> StripDown.recipe();
            case MINI_MATING_NUC -> MiniMatingNuc.recipe();
            case POOLED_AUTUMN_SPLIT -> PooledAutumnSplit.recipe();
            case ONE_FRAME_EMERGENCY -> OneFrameEmergency.recipe();
        };
    }

    public static List<SplitRecipe> all() {
        return Arrays.stream(RecipeKind.values()).map(Recipes::of).toList();
    }
}
