package vividcrown.core.season.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import vividcrown.core.reason.Sentence;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.RecipeFinder;
import vividcrown.core.season.recipe.RecipeShelf;
import vividcrown.core.solver.Solver;

/**
 * What a no to an order would free: the season planned with it and without it.
 *
 * @param hours of work, negative if it takes more
 * @param cups larvae that are not grafted then
 * @param nucDays of mating nucs
 * @param gains demands that hold then and do not with it
 * @param loses demands that hold less firmly then
 * @param chances of the others' whole numbers, with it and without it
 */
public record Without(Demand demand, double hours, int cups, int nucDays, List<String> gains, List<String> loses,
        Map<String, Odds> chances) {

    private static final double SHARE = 0.4;

    /** @param with the order, 0–1 @param without it, 0–1 */
    public record Odds(double with, double without) {
    }

    public Without {
        gains = List.copyOf(gains);
        loses = List.copyOf(loses);
    }

    /**
     * @param id of the demand
     * @param shelf where recipes are kept
     * @param mostSeconds time for both plans, above 0
     * @throws IllegalArgumentException if there is no such demand, or if it is senseless to plan
     */
    public static Without of(SeasonBrief brief, RecipeShelf shelf, String id, double mostSeconds, SolveWatch watch) {
        brief.refuse();
        Demand demand = brief.demands().stream().filter(one -> one.id().equals(id)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException(Sentence.of("plan.fault.noDemand", id).toString()));
        Solver.load();
        Deadline deadline = new Deadline(mostSeconds);
        Drafts.Begun with = Drafts.of(brief, shelf).begun(Effort.of(mostSeconds, SHARE, deadline), deadline, watch)
                .orElseThrow(() -> new IllegalArgumentException(Sentence.of("plan.fault.locksClash").toString()));
        return of(with.drafts(), with.draft(), demand, Effort.of(mostSeconds, SHARE, deadline), watch)
                .orElseThrow(() -> new IllegalArgumentException(Sentence.of("plan.fault.noTime").toString()));
    }

    /**
     * @param with the plan as it is with the order: the search without it begins there
     * @return empty if there was too little time
     */
    static Optional<Without> of(Drafts drafts, Draft with, Demand demand, Effort effort, SolveWatch watch) {
        Drafts fewer = drafts.without(demand);
        List<Optional<Recipe>> kept = fewer.groups().stream()
                .map(group -> with.solution().choices().get(with.indexOf(group.demands().getFirst().id()))).toList();
        List<List<Recipe>> ways = fewer.book().of(fewer.running()::of, RecipeFinder.LATE_BY, kept);
        SeasonModel.Solution before = with.solution();
        SeasonModel.Solution known = new SeasonModel.Solution(kept, before.loads(), before.cups(), 0, before.cost(), 0,
                false, 0);
        return fewer.tried(ways, known, effort, watch).map(then -> compared(drafts, with, fewer, then, demand));
    }

    private static Without compared(Drafts drafts, Draft with, Drafts fewer, Draft then, Demand demand) {
        Compared compared = Compared.of(with, then, false);
        Map<String, Double> chancesWith = with.outcome().chances();
        Map<String, Odds> chances = new LinkedHashMap<>();
        then.outcome().chances().forEach(
                (id, chance) -> chances.put(id, new Odds(Objects.requireNonNull(chancesWith.get(id)), chance)));
        return new Without(demand, drafts.hours(with) - fewer.hours(then), cups(with) - cups(then),
                (int) Math.round(drafts.nucDays(with) - fewer.nucDays(then)), compared.gains(), compared.loses(),
                chances);
    }

    private static int cups(Draft draft) {
        return draft.batches().stream().mapToInt(PlannedBatch::cups).sum();
    }
}
