package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import vividcrown.core.demand.Product;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.RecipeFinder;
import vividcrown.core.season.recipe.WorkTime;
import vividcrown.core.season.supply.RunningShares;
import vividcrown.core.season.supply.Supply;

/** Tries every choice of recipes; for seasons of three groups and builders that are alike. */
final class Exhaustive {

    private final SeasonBrief brief;
    private final List<PromiseGroup> groups;
    private final List<List<Recipe>> recipes = new ArrayList<>();
    private double best = Double.MAX_VALUE;

    Exhaustive(SeasonBrief brief) {
        this.brief = brief;
        this.groups = PromiseGroup.of(brief.demands(), brief.today());
        Supply supply = new Supply(brief);
        RecipeFinder finder = new RecipeFinder(brief, supply, new RunningShares(brief, groups, supply)::of);
        groups.forEach(group -> recipes.add(finder.of(group, RecipeFinder.LATE_BY, Optional.empty())));
    }

    /** The same season as the solver sees it: the recipes to choose from are the same. */
    SeasonModel model() {
        List<BuilderClass> classes = BuilderClass.of(brief.means().builders(), Set.of(), brief.today(), _ -> 100);
        return new SeasonModel(brief, groups, recipes, classes, Optional.empty(),
                new GreedyStart(brief, groups, recipes, classes).plan(8, SolveWatch.untilInterrupted()));
    }

    double cheapest() {
        choose(0, new ArrayList<>(), 0);
        return best;
    }

    /** No plan costs less than every group's cheapest recipe with the fewest loads it can be grafted in. */
    double boundByHand() {
        double sum = 0;
        for (int index = 0; index < groups.size(); index++) {
            PromiseGroup group = groups.get(index);
            sum += recipes.get(index).stream().mapToDouble(one -> PlanCost.of(brief).of(one, group))
                    .min().orElse(PlanCost.of(brief).ofUnmet(group));
        }
        return sum;
    }

    private void choose(int index, List<Optional<Recipe>> chosen, double cost) {
        if (cost >= best) {
            return;
        }
        if (index == groups.size()) {
            cost(chosen).ifPresent(loads -> best = Math.min(best, cost + loads));
            return;
        }
        PromiseGroup group = groups.get(index);
        for (Recipe recipe : recipes.get(index)) {
            chosen.add(Optional.of(recipe));
            choose(index + 1, chosen, cost + PlanCost.of(brief).of(recipe, group));
            chosen.removeLast();
        }
        chosen.add(Optional.empty());
        choose(index + 1, chosen, cost + PlanCost.of(brief).ofUnmet(group));
        chosen.removeLast();
    }

    /** Cost of the loads, empty if something does not suffice. */
    private Optional<Double> cost(List<Optional<Recipe>> chosen) {
        Map<LocalDate, Integer> cups = new TreeMap<>();
        Map<LocalDate, Double> nucs = new TreeMap<>();
        Map<LocalDate, Integer> minutes = new TreeMap<>();
        for (int index = 0; index < groups.size(); index++) {
            if (chosen.get(index).isEmpty()) {
                continue;
            }
            Recipe recipe = chosen.get(index).get();
            PromiseGroup group = groups.get(index);
            minutes.merge(recipe.delivery(), group.count() * WorkTime.CATCH_A_QUEEN, Integer::sum);
            for (Recipe.Graft graft : recipe.grafts()) {
                cups.merge(graft.day(), graft.cups(), Integer::sum);
                minutes.merge(graft.day(), graft.cups() * WorkTime.GRAFT_A_CUP, Integer::sum);
                if (group.product() != Product.RIPE_CELLS) {
                    LocalDate in = graft.day().plusDays(10);
                    minutes.merge(in, (int) Math.round(graft.placed() * WorkTime.PLACE_A_CELL), Integer::sum);
                    in.datesUntil(recipe.delivery())
                            .forEach(day -> nucs.merge(day, tenths(graft.placed()), Double::sum));
                }
            }
        }
        CellBuilder one = brief.means().builders().getFirst();
        Map<LocalDate, Integer> loads = new TreeMap<>();
        cups.forEach((day, count) -> loads.put(day, Math.ceilDiv(count, one.load())));
        loads.forEach((day, count) -> minutes.merge(day, count * WorkTime.LOAD / 2, Integer::sum));
        boolean fits = nucs.values().stream().allMatch(used -> used <= brief.means().nucs() + 1e-9)
                && minutes.values().stream().allMatch(used -> used <= brief.means().crew().minutesADay())
                && stretch(loads, one.rhythm().daysBetweenLoads(), 1)
                && stretch(loads, one.rhythm().restStretchDays(), one.rhythm().loadsBeforeRest());
        return fits
                ? Optional.of((double) WorkTime.LOAD * loads.values().stream().mapToInt(Integer::intValue).sum())
                : Optional.empty();
    }

    private boolean stretch(Map<LocalDate, Integer> loads, int days, int each) {
        return loads.keySet().stream().allMatch(end -> loads.entrySet().stream()
                .filter(one -> one.getKey().isAfter(end.minusDays(days)) && !one.getKey().isAfter(end))
                .mapToInt(Map.Entry::getValue).sum() <= each * brief.means().builders().size());
    }

    /** Places are counted to a tenth. */
    private static double tenths(double placed) {
        return Math.round(10 * placed) / 10.0;
    }
}
