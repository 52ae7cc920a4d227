package vividcrown.core.split.recipe;

import vividcrown.core.split.Place;
import vividcrown.core.split.recipe.SplitRecipe.Donor;
import vividcrown.core.split.recipe.SplitRecipe.Frames;
import vividcrown.core.split.recipe.SplitRecipe.Target;
import vividcrown.core.split.recipe.SplitRecipe.When;
import vividcrown.core.yard.Flow;

/**
 * Walk-away: three or four combs of brood with eggs, food, and the bees of two more combs shaken in, best taken to another yard.
 * It raises its own queen: many young bees and food make her as good as any. Common practice.
 */
final class WalkAway {

    private static final int FIRST_LOOK_AFTER_DAYS = 28;

    private WalkAway() {
    }

    static SplitRecipe recipe() {
        return new SplitRecipe(RecipeKind.WALK_AWAY, new Frames(3, 4, 1, 1, 1, 1), 3.5, 6, 1, Gets.RAISES_ITS_OWN,
                Place.AWAY, Donor.ANY, new When(75, false, 5, Flow.LITTLE, true), new Target(1.2, 3.5),
                FIRST_LOOK_AFTER_DAYS);
    }
}
