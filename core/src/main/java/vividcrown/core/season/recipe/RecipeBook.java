package vividcrown.core.season.recipe;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.IntStream;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.supply.Supply;
import vividcrown.core.season.supply.Yield;

/** The recipes of all groups of a season: each is found once, and kept for the same season with other means or fewer orders. */
public final class RecipeBook {

    private final SeasonBrief brief;
    private final List<PromiseGroup> groups;
    private final Supply supply;
    private final Map<RecipeFinder.Asked, Optional<Recipe>> known;

    public RecipeBook(SeasonBrief brief, List<PromiseGroup> groups, Supply supply) {
        this(brief, groups, supply, new ConcurrentHashMap<>());
    }

    private RecipeBook(SeasonBrief brief, List<PromiseGroup> groups, Supply supply,
            Map<RecipeFinder.Asked, Optional<Recipe>> known) {
        this.brief = brief;
        this.groups = List.copyOf(groups);
        this.supply = supply;
        this.known = known;
    }

    /** How many were found, or found not to be. */
    int size() {
        return known.size();
    }

    public SeasonBrief brief() {
        return brief;
    }

    public List<PromiseGroup> groups() {
        return groups;
    }

    public Supply supply() {
        return supply;
    }

    /**
     * @param there what a group has without any graft
     * @param delays how many days late is thought of
     * @param kept the choices of a plan, group by group, that are to be among them; empty if there is none
     */
    public List<List<Recipe>> of(Function<PromiseGroup, Yield> there, List<Integer> delays,
            List<Optional<Recipe>> kept) {
        RecipeFinder finder = new RecipeFinder(brief, supply, there, known);
        return IntStream.range(0, groups.size()).parallel()
                .mapToObj(at -> lineIsThere(groups.get(at)) && yardIsThere(groups.get(at))
                        ? finder.of(groups.get(at), delays, kept.isEmpty() ? Optional.empty() : kept.get(at))
                        : List.<Recipe>of())
                .toList();
    }

    /** Other orders with other means, the same chances. */
    public RecipeBook with(SeasonBrief other, List<PromiseGroup> left) {
        return new RecipeBook(other, left, supply, known);
    }

    /** Whether queens of its line have a yard to mate at. */
    public boolean yardIsThere(PromiseGroup group) {
        return SupplyKind.of(group.product()) != SupplyKind.QUEENS
                || brief.means().hasYardFor(group.line());
    }

    public boolean lineIsThere(PromiseGroup group) {
        return group.line().isEmpty()
                || brief.means().breeders().stream().anyMatch(one -> one.line().equals(group.line().get()));
    }
}
