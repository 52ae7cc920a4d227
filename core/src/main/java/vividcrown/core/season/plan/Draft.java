package vividcrown.core.season.plan;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.supply.Outcome;
import vividcrown.core.season.supply.Supply;

/**
 * A whole plan: what the solver chose, and what it comes to once its cups are fitted.
 *
 * @param recipes those there were to choose from, by group
 */
record Draft(List<PromiseGroup> groups, List<List<Recipe>> recipes, SeasonModel.Solution solution,
        List<PlannedBatch> batches, List<DroneStart> droneStarts, Outcome outcome) {

    boolean allHold() {
        return holding().size() == groups.size();
    }

    Set<PromiseGroup> holding() {
        Set<PromiseGroup> holding = new LinkedHashSet<>();
        for (int index = 0; index < groups.size(); index++) {
            if (state(index) == Promise.State.HOLDS) {
                holding.add(groups.get(index));
            }
        }
        return holding;
    }

    Promise.State state(int group) {
        Optional<Recipe> recipe = solution.choices().get(group);
        return recipe.map(one -> Promise.holds(chance(group), groups.get(group).assurance())
                ? inTime(one)
                : Promise.State.AT_RISK).orElse(Promise.State.UNMET);
    }

    double chance(int group) {
        return outcome.of(groups.get(group)).all().atLeast(groups.get(group).count());
    }

    private static Promise.State inTime(Recipe recipe) {
        return recipe.daysLate() > 0 ? Promise.State.LATE : Promise.State.HOLDS;
    }

    /** What it is worth, as the model weighs it, but from what it really comes to. */
    double weighed(SeasonBrief brief, Supply supply) {
        double sum = new Workload(brief, supply, batches).hours() * 60;
        for (int index = 0; index < groups.size(); index++) {
            PromiseGroup group = groups.get(index);
            double missed = Math.max(0, group.assurance() - chance(index));
            sum += solution.choices().get(index)
                    .map(one -> PlanCost.ofMissing(group, one.daysLate(), missed))
                    .orElse(PlanCost.ofUnmet(group));
        }
        long dropped = PlanChanges.of(brief, batches).stream()
                .filter(one -> one.kind() == SeasonPlan.Change.Kind.DROPPED).count();
        return sum + dropped * PlanCost.CHANGED_GRAFT;
    }
}
