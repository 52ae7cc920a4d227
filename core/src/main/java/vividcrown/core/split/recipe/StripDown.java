package vividcrown.core.split.recipe;

import vividcrown.core.split.Place;
import vividcrown.core.split.recipe.SplitRecipe.Donor;
import vividcrown.core.split.recipe.SplitRecipe.Frames;
import vividcrown.core.split.recipe.SplitRecipe.Target;
import vividcrown.core.split.recipe.SplitRecipe.When;
import vividcrown.core.yard.Flow;

/**
 * Strip-down: three or four nucs out of each hive at once, its queen left with a frame or two and the flyers that come home; she
 * is driven to rebuild. Near the longest day, in full flow, with warm nights, and only where there is no small hive beetle. Common
 * practice.
 */
final class StripDown {

    private StripDown() {
    }

    static SplitRecipe recipe() {
        return new SplitRecipe(RecipeKind.STRIP_DOWN, new Frames(2, 3, 0, 0, 1, 1), 2, 5, 1, Gets.RIPE_CELL,
                Place.SAME_YARD, Donor.STRIPS_ONE_HIVE, new When(35, false, 9, Flow.GOOD, false),
                new Target(1.2, 2.2), 14);
    }
}
