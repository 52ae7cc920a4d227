package vividcrown.core.season.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.reason.Sentence;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.RecipeBook;
import vividcrown.core.season.recipe.RecipeFinder;
import vividcrown.core.season.supply.Outcome;
import vividcrown.core.season.supply.RunningShares;
import vividcrown.core.season.supply.Supply;
import vividcrown.core.season.supply.Yield;
import vividcrown.core.solver.Solver;

/**
 * Plans a season: groups the demands, works out what is on its way for them, finds their recipes, has the solver choose,
 * and turns its choice into grafts with a builder, a mother and a purpose each. Where something does not hold it asks
 * again with one thing more, to find the cheapest way out.
 */
public final class SeasonPlanner {

    /** Shares of the time that is left; what remains looks for ways out. */
    private static final double FOR_THE_FIRST_DRAFT = 0.3;
    private static final double FOR_EACH_DRAFT = 0.5;
    private static final int MOST_DRAFTS = 3;
    private static final double MUCH_DEARER = 1.05;
    private static final double MAY_BE_LESS = 0.2;
    /** Of all the time: for choosing mothers and fitting cups after the solver has done. */
    private static final double TO_FINISH = 0.08;
    /** Queens over, on average, from which it is worth asking again. */
    private static final double WORTH_HANDING_ON = 0.5;
    /** What is not counted takes time too. */
    private static final double SAFELY_WITHIN = 0.9;

    private final SeasonBrief brief;
    private final Deadline deadline;
    private final double finishSeconds;
    private final Counting watch;
    private final Supply supply;
    private final List<PromiseGroup> groups;
    private final RunningShares running;
    private final List<BuilderClass> classes;
    private final RecipeBook book;

    /** Tells of all drafts as of one search: plans and seconds go on counting. */
    private static final class Counting implements SolveWatch {
        private final SolveWatch told;
        private int plans;
        private double firstSeconds;
        private double secondsBefore;

        Counting(SolveWatch told) {
            this.told = told;
        }

        @Override
        public void found(int ofDraft, double cost, double bound, double seconds) {
            if (plans == 0) {
                firstSeconds = seconds;
            }
            told.found(++plans, cost, bound, secondsBefore + seconds);
        }

        @Override
        public boolean isStopped() {
            return told.isStopped();
        }
    }

    private SeasonPlanner(SeasonBrief brief, double mostSeconds, SolveWatch watch) {
        this.brief = brief;
        this.deadline = new Deadline(mostSeconds * SAFELY_WITHIN);
        this.finishSeconds = mostSeconds * TO_FINISH;
        this.watch = new Counting(watch);
        this.supply = new Supply(brief);
        this.groups = PromiseGroup.of(brief.demands(), brief.today());
        this.running = new RunningShares(brief, groups, supply);
        this.book = new RecipeBook(brief, groups, supply);
        this.classes = BuilderClass.of(brief.means().builders(), SeasonModel.alone(brief), brief.today(),
                id -> supply.percent(supply.usual().with(Circumstance.BUILDER, id)));
    }

    /**
     * @param mostSeconds time for all of it, above 0
     * @throws IllegalArgumentException if it is senseless to plan; see {@link SeasonBrief#refuse()}
     */
    public static SeasonPlan plan(SeasonBrief brief, double mostSeconds, SolveWatch watch) {
        brief.refuse();
        // before any time is counted
        Solver.load();
        return new SeasonPlanner(brief, mostSeconds, watch).plan();
    }

    private SeasonPlan plan() {
        List<List<Recipe>> ways = book.of(brief, running::of, RecipeFinder.LATE_BY, List.of());
        Draft draft = draft(ways, new GreedyStart(brief, groups, ways, classes).plan(),
                FOR_THE_FIRST_DRAFT)
                .orElseThrow(() -> new IllegalArgumentException(Sentence.of("plan.fault.locksClash").toString()));
        Draft latest = draft;
        for (int again = 1; again < MOST_DRAFTS && !watch.isStopped() && mayBeBettered(latest, again == 1); again++) {
            // now that it is known what orders have over, later ones need less
            SeasonModel.Solution known = latest.solution();
            Optional<Draft> next = draft(
                    book.of(brief, thereWith(latest), RecipeFinder.LATE_BY, known.choices()), known,
                    latest.allHold() ? 1 : FOR_EACH_DRAFT);
            if (next.isEmpty()) {
                break;
            }
            latest = next.get();
            draft = latest.weighed(brief, supply) <= draft.weighed(brief, supply) ? latest : draft;
        }
        List<SeasonPlan.WayOut> waysOut = new ArrayList<>();
        if (!draft.allHold() && !watch.isStopped()) {
            waysOut.addAll(new WaysOut(book, classes).of(draft, thereWith(draft), watch, deadline));
        }
        return new SeasonPlan(draft.batches(), new Promises(book).of(draft, waysOut),
                PlanChanges.of(brief, draft.batches()), waysOut,
                new Workload(brief, supply, draft.batches()).hours(), draft.droneStarts(), search(draft));
    }

    /**
     * What a group has without any graft: what is on its way, and what others had over in this draft; a little less of it,
     * for in the next draft they may have less over.
     */
    private Function<PromiseGroup, Yield> thereWith(Draft draft) {
        return group -> {
            Yield handed = draft.outcome().handedTo(group);
            return running.of(group).plus(handed.over((int) Math.ceil(handed.mean() * MAY_BE_LESS)));
        };
    }

    private SeasonPlan.Search search(Draft draft) {
        SeasonModel.Solution solution = draft.solution();
        // cups fitted to their boxes may cost less than the model thought; the bound speaks of the model
        double cost = Math.max(draft.weighed(brief, supply), solution.cost());
        return new SeasonPlan.Search(solution.proven(), cost, solution.bound(), watch.firstSeconds,
                watch.secondsBefore);
    }

    /** While it is not proven, or what orders hand on is not what was counted on. */
    private boolean mayBeBettered(Draft draft, boolean first) {
        if (first) {
            return !draft.solution().proven() || groups.stream()
                    .anyMatch(group -> draft.outcome().handedTo(group).mean() >= WORTH_HANDING_ON);
        }
        return draft.weighed(brief, supply) > draft.solution().cost() * MUCH_DEARER;
    }

    /**
     * @param share of the time that is left for the solver
     * @return empty if the locks cannot be kept
     */
    private Optional<Draft> draft(List<List<Recipe>> recipes, SeasonModel.Solution known, double share) {
        SeasonModel model = new SeasonModel(brief, groups, recipes, classes, Optional.empty(), known);
        double seconds = Math.max(Deadline.SHORTEST_SEARCH_SECONDS,
                (deadline.secondsLeft() - finishSeconds) * share);
        return model.solve(seconds, watch).map(solution -> {
            watch.secondsBefore += solution.seconds();
            return fitted(recipes, solution);
        });
    }

    private Draft fitted(List<List<Recipe>> recipes, SeasonModel.Solution solution) {
        ParentsModel.Parents parents = new ParentsModel(brief, supply,
                new BatchSheet(brief, groups, classes).loads(solution)).solve();
        Map<PromiseGroup, Double> aims = new LinkedHashMap<>();
        for (int index = 0; index < groups.size(); index++) {
            PromiseGroup group = groups.get(index);
            // what could only be had less surely is made as sure as there is room for
            solution.choices().get(index).ifPresent(_ -> aims.put(group, group.assurance()));
        }
        Outcome outcome = Outcome.of(brief, supply, groups, running, parents.batches());
        List<PlannedBatch> fitted = Fitting.fit(brief, supply, outcome, aims, parents.batches());
        return new Draft(groups, recipes, solution, fitted, parents.droneStarts(),
                Outcome.of(brief, supply, groups, running, fitted));
    }
}
