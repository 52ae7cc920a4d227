package vividcrown.server.reckon;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import vividcrown.core.split.Place;
import vividcrown.core.split.SplitQuestion.Wanted;
import vividcrown.core.split.recipe.Gets;
import vividcrown.core.split.recipe.RecipeKind;
import vividcrown.core.split.recipe.Recipes;
import vividcrown.core.split.recipe.SplitRecipe;

/**
 * A recipe, as it is or changed.
 *
 * @param recipe which one
 * @param most units wanted of it; as many as can be had if left out
 * @param broodLeast frames of brood at least, in place of the recipe's
 * @param broodBest frames of brood at best
 * @param withEggs of these with eggs or young larvae
 * @param mostlySealed of these mostly sealed
 * @param food frames of food
 * @param drawn drawn combs from the stock
 * @param beesLeast frames of bees once the flyers have gone home
 * @param slots places of its box
 * @param feedLitres syrup in its first two weeks
 * @param gets what becomes its queen
 * @param place where it stands
 */
record RecipeInput(@NotNull RecipeKind recipe, @Nullable @Min(0) @Max(400) Integer most, @Nullable Integer broodLeast,
        @Nullable Integer broodBest, @Nullable Integer withEggs, @Nullable Integer mostlySealed, @Nullable Integer food,
        @Nullable Integer drawn, @Nullable Double beesLeast, @Nullable Integer slots, @Nullable Double feedLitres,
        @Nullable Gets gets, @Nullable Place place) {

    static RecipeInput of(RecipeKind kind) {
        return new RecipeInput(kind, null, null, null, null, null, null, null, null, null, null, null, null);
    }

    /** @throws IllegalArgumentException if what was changed cannot be */
    Wanted wanted() {
        SplitRecipe usual = Recipes.of(recipe);
        SplitRecipe.Frames frames = usual.frames();
        int least = or(broodLeast, frames.broodLeast());
        int best = or(broodBest, Math.max(least, frames.broodBest()));
        SplitRecipe own = new SplitRecipe(recipe,
                new SplitRecipe.Frames(least, best, or(withEggs, Math.min(best, frames.withEggs())),
                        or(mostlySealed, Math.min(best, frames.mostlySealed())), or(food, frames.food()),
                        or(drawn, frames.drawn())),
                or(beesLeast, usual.beesLeast()), or(slots, usual.slots()), or(feedLitres, usual.feedLitres()),
                or(gets, usual.gets()), or(place, usual.place()), usual.donor(), usual.when(), usual.dayTen(),
                usual.handsOffDays());
        return new Wanted(own, Optional.ofNullable(most));
    }

    private static <T> T or(@Nullable T own, T usual) {
        return own == null ? usual : own;
    }
}
