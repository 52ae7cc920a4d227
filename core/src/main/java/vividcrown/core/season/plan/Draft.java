package vividcrown.core.season.plan;

import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.demand.Demand;
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
        return IntStream.range(0, groups.size()).allMatch(at -> state(at) == Promise.State.HOLDS);
    }

    /** Demands that do not hold, or only late. */
    Set<String> wanting() {
        return states().entrySet().stream().filter(one -> one.getValue() != Promise.State.HOLDS)
                .map(one -> one.getKey().id()).collect(Collectors.toSet());
    }

    /** Where a demand's group is. */
    int indexOf(String demand) {
        return IntStream.range(0, groups.size()).filter(at -> groups.get(at).wants(demand)).findFirst().orElseThrow();
    }

    /** How firmly each demand can be promised, by its own chance: who is served first may hold where the last of a group does not. */
    Map<Demand, Promise.State> states() {
        Map<String, Double> chances = outcome.chances();
        Map<Demand, Promise.State> states = new LinkedHashMap<>();
        groups.forEach(group -> group.demands().forEach(
                demand -> states.put(demand, stateOf(demand, Objects.requireNonNull(chances.get(demand.id()))))));
        return states;
    }

    private Promise.State stateOf(Demand demand, double chance) {
        if (daysLate(demand) > 0) {
            return Promise.holds(chance, demand.assurance()) ? Promise.State.LATE : Promise.State.AT_RISK;
        }
        return Promise.standing(chance, demand.assurance());
    }

    /** Days after the last that is wanted; 0 if it is not met at all. */
    int daysLate(Demand demand) {
        return solution.choices().get(indexOf(demand.id())).filter(one -> one.daysLate() > 0)
                .map(one -> (int) Math.max(0, ChronoUnit.DAYS.between(demand.until(), one.delivery()))).orElse(0);
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

    /** No plan of these recipes costs less: each group served as cheaply as it could be alone, the builders for nothing. */
    double atLeast(SeasonBrief brief) {
        PlanCost costs = PlanCost.of(brief);
        double sum = 0;
        for (int index = 0; index < groups.size(); index++) {
            PromiseGroup group = groups.get(index);
            sum += recipes.get(index).stream().mapToInt(one -> costs.of(one, group)).min()
                    .orElse(costs.ofUnmet(group));
        }
        return sum;
    }

    /** What it is worth, as the model weighs it, but from what it really comes to. */
    double weighed(SeasonBrief brief, Supply supply) {
        PlanCost costs = PlanCost.of(brief);
        Workload work = new Workload(brief, supply, batches);
        // a nuc may be worth more or less to an operation than the work it makes
        double sum = work.hours() * 60
                + work.nucDays() * (brief.expected().worth().nucDay() - SeasonWorth.USUAL.nucDay());
        for (int index = 0; index < groups.size(); index++) {
            PromiseGroup group = groups.get(index);
            double missed = Math.max(0, group.assurance() - chance(index));
            sum += solution.choices().get(index)
                    .map(one -> costs.ofMissing(group, one.daysLate(), missed))
                    .orElse(costs.ofUnmet(group));
        }
        long dropped = PlanChanges.of(brief, batches).stream()
                .filter(one -> one.kind() == SeasonPlan.Change.Kind.DROPPED).count();
        return sum + dropped * PlanCost.CHANGED_GRAFT;
    }
}
