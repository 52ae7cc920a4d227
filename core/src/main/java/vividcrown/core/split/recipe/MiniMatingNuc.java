package vividcrown.core.split.recipe;

import vividcrown.core.split.Place;
import vividcrown.core.split.recipe.SplitRecipe.Donor;
import vividcrown.core.split.recipe.SplitRecipe.Frames;
import vividcrown.core.split.recipe.SplitRecipe.Target;
import vividcrown.core.split.recipe.SplitRecipe.When;
import vividcrown.core.yard.Flow;

/**
 * Mini mating nuc: a cup of bees (about 1,000), strips of comb, candy, a cell or a virgin; shut in cool and dark for three days.
 * Common practice.
 */
final class MiniMatingNuc {

    private MiniMatingNuc() {
    }

    static SplitRecipe recipe() {
        return new SplitRecipe(RecipeKind.MINI_MATING_NUC, new Frames(0, 0, 0, 0, 0, 0), 0.4, 4, 0.3, Gets.RIPE_CELL,
                Place.SHUT_IN, Donor.ANY, new When(85, false, 8, Flow.DEARTH, false), new Target(0, 0.35), 14);
    }
}
