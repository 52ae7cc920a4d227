package vividcrown.core.season.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.supply.Supply;
import vividcrown.core.season.supply.Yield;

/** The recipes of all groups, for this season or one that is a little different. */
public record RecipeBook(SeasonBrief brief, List<PromiseGroup> groups, Supply supply) {

    /**
     * @param with the season that is asked about
     * @param there what a group has without any graft
     * @param delays how many days late is thought of
     * @param kept the choices of a plan, group by group, that are to be among them; empty if there is none
     */
    public List<List<Recipe>> of(SeasonBrief with, Function<PromiseGroup, Yield> there, List<Integer> delays,
            List<Optional<Recipe>> kept) {
        RecipeFinder finder = new RecipeFinder(with, supply, there);
        List<List<Recipe>> recipes = new ArrayList<>();
        for (int index = 0; index < groups.size(); index++) {
            int at = index;
            recipes.add(lineIsThere(groups.get(index))
                    ? finder.of(groups.get(index), delays, kept.isEmpty() ? Optional.empty() : kept.get(at))
                    : List.of());
        }
        return recipes;
    }

    public boolean lineIsThere(PromiseGroup group) {
        return group.line().isEmpty()
                || brief.means().breeders().stream().anyMatch(one -> one.line().equals(group.line().get()));
    }
}
