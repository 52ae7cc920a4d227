package vividcrown.core.split.recipe;

import vividcrown.core.split.Place;
import vividcrown.core.split.recipe.SplitRecipe.Donor;
import vividcrown.core.split.recipe.SplitRecipe.Frames;
import vividcrown.core.split.recipe.SplitRecipe.Target;
import vividcrown.core.split.recipe.SplitRecipe.When;
import vividcrown.core.yard.Flow;

/**
 * Pooled autumn split: one or two frames from each of several strong hives, four or better five of brood, a mated queen, heavy
 * feeding. About half come through the winter; a good colony is never halved for it. Common practice.
 */
final class PooledAutumnSplit {

    private PooledAutumnSplit() {
    }

    static SplitRecipe recipe() {
        return new SplitRecipe(RecipeKind.POOLED_AUTUMN_SPLIT, new Frames(4, 5, 0, 2, 2, 0), 5, 10, 8,
                Gets.MATED_QUEEN, Place.TURNED_ENTRANCE, Donor.SEVERAL, new When(110, true, 4, Flow.DEARTH, true),
                new Target(3, 5), 7);
    }
}
