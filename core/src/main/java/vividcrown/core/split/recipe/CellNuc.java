package vividcrown.core.split.recipe;

import vividcrown.core.split.Place;
import vividcrown.core.split.recipe.SplitRecipe.Donor;
import vividcrown.core.split.recipe.SplitRecipe.Frames;
import vividcrown.core.split.recipe.SplitRecipe.Target;
import vividcrown.core.split.recipe.SplitRecipe.When;
import vividcrown.core.yard.Flow;

/**
 * Cell nuc: a frame of brood, one of honey, one of honey and pollen, bees, made up a day or two before cells are ripe; shut for
 * two weeks after the cell. Common practice.
 */
final class CellNuc {

    private CellNuc() {
    }

    static SplitRecipe recipe() {
        return new SplitRecipe(RecipeKind.CELL_NUC, new Frames(1, 2, 0, 0, 2, 1), 2, 5, 1, Gets.RIPE_CELL, Place.AWAY,
                Donor.ANY, new When(95, false, 5, Flow.DEARTH, true), new Target(0.6, 2.2), 14);
    }
}
