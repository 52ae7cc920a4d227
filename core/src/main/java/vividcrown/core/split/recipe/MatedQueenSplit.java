package vividcrown.core.split.recipe;

import vividcrown.core.split.Place;
import vividcrown.core.split.recipe.SplitRecipe.Donor;
import vividcrown.core.split.recipe.SplitRecipe.Frames;
import vividcrown.core.split.recipe.SplitRecipe.Target;
import vividcrown.core.split.recipe.SplitRecipe.When;
import vividcrown.core.yard.Flow;

/** Two or three frames of brood, food, bees and a mated queen in a cage: no weeks are lost. Common practice. */
final class MatedQueenSplit {

    private MatedQueenSplit() {
    }

    static SplitRecipe recipe() {
        return new SplitRecipe(RecipeKind.MATED_QUEEN_SPLIT, new Frames(2, 3, 0, 1, 1, 1), 3, 5, 1, Gets.MATED_QUEEN,
                Place.TURNED_ENTRANCE, Donor.ANY, new When(75, false, 4, Flow.DEARTH, true), new Target(2, 3.2), 7);
    }
}
