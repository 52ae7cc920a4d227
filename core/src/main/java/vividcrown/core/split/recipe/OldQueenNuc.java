package vividcrown.core.split.recipe;

import vividcrown.core.split.Place;
import vividcrown.core.split.recipe.SplitRecipe.Donor;
import vividcrown.core.split.recipe.SplitRecipe.Frames;
import vividcrown.core.split.recipe.SplitRecipe.Target;
import vividcrown.core.split.recipe.SplitRecipe.When;
import vividcrown.core.yard.Flow;

/**
 * The old queen's nuc of an artificial swarm: she goes with a comb of mostly sealed brood and one of food, nurses shaken in because
 * flyers go home; eggs and strength stay in the old hive to crop. Before there are cells she takes three frames of brood, and drawn
 * comb, not foundation, goes into the gap. Three schools of what is done about cells. Common practice.
 */
final class OldQueenNuc {

    private OldQueenNuc() {
    }

    /** With cells in the hive: all destroyed and back on day 7–10, or one left at once. */
    static SplitRecipe withCells(RecipeKind kind) {
        return new SplitRecipe(kind, new Frames(1, 1, 0, 1, 1, 2), 2.5, 5, 2, Gets.THE_OLD_QUEEN,
                Place.TURNED_ENTRANCE, Donor.ONE_HIVE_WITH_QUEEN, new When(100, false, 4, Flow.DEARTH, true),
                new Target(1, 2.5), 0);
    }

    static SplitRecipe beforeCells() {
        return new SplitRecipe(RecipeKind.OLD_QUEEN_NUC_BEFORE_CELLS, new Frames(3, 3, 0, 2, 1, 1), 3.5, 6, 2,
                Gets.THE_OLD_QUEEN, Place.TURNED_ENTRANCE, Donor.ONE_HIVE_WITH_QUEEN,
                new When(90, false, 4, Flow.LITTLE, true), new Target(2.5, 3.5), 0);
    }
}
