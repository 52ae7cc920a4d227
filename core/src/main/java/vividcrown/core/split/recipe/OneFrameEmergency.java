package vividcrown.core.split.recipe;

import vividcrown.core.split.Place;
import vividcrown.core.split.recipe.SplitRecipe.Donor;
import vividcrown.core.split.recipe.SplitRecipe.Frames;
import vividcrown.core.split.recipe.SplitRecipe.Target;
import vividcrown.core.split.recipe.SplitRecipe.When;
import vividcrown.core.yard.Flow;

/**
 * One frame with eggs or a cell, its bees and those of another shaken in, one of food: the smallest unit that raises a queen. Only
 * in warm weather, and only as a means in need. Common practice.
 */
final class OneFrameEmergency {

    private OneFrameEmergency() {
    }

    static SplitRecipe recipe() {
        return new SplitRecipe(RecipeKind.ONE_FRAME_EMERGENCY, new Frames(1, 1, 1, 0, 1, 1), 1.5, 3, 1,
                Gets.RAISES_ITS_OWN, Place.AWAY, Donor.ANY, new When(50, false, 9, Flow.LITTLE, false),
                new Target(0.5, 1.5), 28);
    }
}
