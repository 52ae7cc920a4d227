package vividcrown.core.season.plan;

import java.util.List;
import java.util.Optional;
import vividcrown.core.reason.Sentence;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.RecipeFinder;
import vividcrown.core.season.recipe.RecipeShelf;
import vividcrown.core.solver.Solver;

/**
 * Plans a season: groups the demands, works out what is on its way for them, finds their recipes, has the solver choose,
 * and turns its choice into grafts with a builder, a mother and a purpose each. Where something does not hold it asks
 * again with one thing more, to find the cheapest way out.
 */
public final class SeasonPlanner {

    /**
     * Shares of the effort; what remains looks for ways out. The first draft only tells what orders have over for each other: it is the second,
     * which counts on that, that is worth a long search.
     */
    private static final List<Double> FOR_THE_DRAFTS = List.of(0.12, 0.3, 0.1);
    private static final double FOR_POLISHING = 0.1;
    private static final int MOST_POLISHED = 2;
    /** Where all hold nobody wants ways out. */
    private static final double FOR_ALL_THAT_HOLD = 0.5;
    private static final double MUCH_DEARER = 1.05;
    /** Of all the time: for choosing mothers and fitting cups after the solver has done. */
    private static final double TO_FINISH = 0.08;
    /** Of all the time, so much must be left for counting on no better yards than the average. */
    private static final double TO_ASK_EVENLY = 0.45;
    /** Of all the time, they have so much at least: on a busy machine the plan may have taken it all. */
    private static final double FOR_WAYS_OUT = 0.2;
    /** Queens over, on average, from which it is worth asking again. */
    private static final double WORTH_HANDING_ON = 0.5;
    /** What is not counted takes time too. */
    private static final double SAFELY_WITHIN = 0.9;

    private final double mostSeconds;
    /** Of a quiet machine. */
    private final Deadline asked;
    private final Deadline deadline;
    private final Counting watch;
    private final SeasonBrief brief;
    private final RecipeShelf shelf;

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

    private SeasonPlanner(SeasonBrief brief, RecipeShelf shelf, double mostSeconds, double patience,
            SolveWatch watch) {
        this.shelf = shelf;
        this.mostSeconds = mostSeconds;
        this.asked = new Deadline(mostSeconds * (SAFELY_WITHIN - TO_FINISH));
        this.deadline = new Deadline(mostSeconds * patience * (SAFELY_WITHIN - TO_FINISH));
        this.watch = new Counting(watch);
        this.brief = brief;
    }

    /**
     * A plan of which nothing is kept for the next.
     *
     * @param mostSeconds time for all of it, above 0
     * @throws IllegalArgumentException if it is senseless to plan; see {@link SeasonBrief#refuse()}
     */
    public static SeasonPlan plan(SeasonBrief brief, double mostSeconds, SolveWatch watch) {
        return plan(brief, new RecipeShelf(), mostSeconds, 1, watch);
    }

    /**
     * The plan of a quiet machine on a busy one: as much is searched, and it may take longer.
     *
     * @param shelf where recipes are kept from one plan to the next
     * @param mostSeconds how much is searched: what fits in so many seconds where nothing else runs, above 0
     * @param patience how many times as long it may take, 1 or more
     * @throws IllegalArgumentException if it is senseless to plan; see {@link SeasonBrief#refuse()}
     */
    public static SeasonPlan plan(SeasonBrief brief, RecipeShelf shelf, double mostSeconds, double patience,
            SolveWatch watch) {
        brief.refuse();
        // before any time is counted
        Solver.load();
        return new SeasonPlanner(brief, shelf, mostSeconds, patience, watch).plan();
    }

    private SeasonPlan plan() {
        Drafts.Begun begun = Drafts.of(brief, shelf)
                .begun(forTheFirst(), deadline, watch)
                .orElseThrow(SeasonPlanner::locksClash);
        boolean hasTime = deadline.secondsLeft() > mostSeconds * TO_ASK_EVENLY;
        if (brief.means().yards().size() > 1 && hasTime && !begun.draft().allHold()) {
            Optional<Drafts.Begun> evenly = begun.drafts().evenly()
                    .begun(Effort.of(mostSeconds, FOR_THE_DRAFTS.getFirst() / 2, deadline), deadline, watch);
            begun = evenly.isPresent() && evenly.get().weighed() < begun.weighed() ? evenly.get() : begun;
        }
        Drafts drafts = begun.drafts();
        Draft draft = begun.draft();
        watch.secondsBefore += draft.solution().seconds();
        Draft latest = draft;
        for (int again = 1; again < FOR_THE_DRAFTS.size() && !watch.isStopped() && !deadline.isOver()
                && mayBeBettered(drafts, latest, again == 1); again++) {
            // now that it is known what orders have over, later ones need less
            latest = draft(drafts, latest, again).orElseThrow(SeasonPlanner::locksClash);
            draft = drafts.weighed(latest) <= drafts.weighed(draft) ? latest : draft;
        }
        draft = polished(drafts, draft);
        List<SeasonPlan.WayOut> waysOut = draft.allHold()
                ? List.of()
                : new WaysOut(drafts, draft, watch,
                        new Deadline(Math.max(asked.isOver() ? 0 : asked.secondsLeft(),
                                Math.min(mostSeconds * FOR_WAYS_OUT, deadline.secondsLeft()))),
                        mostSeconds, forTheFirst().isLeast()).all();
        return new SeasonPlan(draft.batches(), new Promises(drafts.book()).of(draft, waysOut),
                PlanChanges.of(drafts.brief(), draft.batches()), waysOut, drafts.hours(draft), draft.droneStarts(),
                new YardPlan(drafts.brief(), drafts.supply(), draft.droneStarts()).uses(draft.batches()),
                search(drafts, draft, latest));
    }

    /** Of the draft that is taken; where a later one is no better, how well that one was searched: it knew what is handed on. */
    private SeasonPlan.Search search(Drafts drafts, Draft taken, Draft latest) {
        Draft draft = latest.solution().bound() > taken.solution().bound() ? latest : taken;
        SeasonModel.Solution solution = draft.solution();
        double bound = Math.max(solution.bound(), draft.atLeast(drafts.brief()));
        // cups fitted to their boxes may cost less than the model thought; the bound speaks of the model
        double ofModel = Math.max(bound, Math.min(solution.cost(), taken.solution().cost()));
        double cost = Math.max(Math.min(drafts.weighed(draft), drafts.weighed(taken)), ofModel);
        return new SeasonPlan.Search(solution.proven(), cost, bound, watch.firstSeconds, watch.secondsBefore);
    }

    /** While it is not proven, or what orders hand on is not what was counted on. */
    private static boolean mayBeBettered(Drafts drafts, Draft draft, boolean first) {
        if (first) {
            return !draft.solution().proven() || drafts.groups().stream()
                    .anyMatch(group -> draft.outcome().handedTo(group).mean() >= WORTH_HANDING_ON);
        }
        return drafts.weighed(draft) > draft.solution().cost() * MUCH_DEARER;
    }

    private static IllegalArgumentException locksClash() {
        return new IllegalArgumentException(Sentence.of("plan.fault.locksClash").toString());
    }

    /** @return empty if the locks cannot be kept */
    private Optional<Draft> draft(Drafts drafts, Draft before, int again) {
        List<List<Recipe>> ways = drafts.book().of(drafts.there(before), RecipeFinder.LATE_BY,
                before.solution().choices());
        boolean near = forTheFirst().isLeast();
        Effort effort = Effort.of(mostSeconds,
                before.allHold() && !near ? FOR_ALL_THAT_HOLD : FOR_THE_DRAFTS.get(again), deadline);
        Optional<Draft> next = near
                ? drafts.againNear(ways, before, effort, watch)
                : drafts.again(ways, before, effort, watch);
        next.ifPresent(draft -> watch.secondsBefore += draft.solution().seconds());
        return next;
    }

    /** Where not all hold what orders have over for each other changes with each draft: as long as it makes a better one it is asked again. */
    private Draft polished(Drafts drafts, Draft draft) {
        Draft best = draft;
        boolean isBetter = !forTheFirst().isLeast();
        for (int round = 0; round < MOST_POLISHED && isBetter && !best.allHold() && !watch.isStopped()
                && !deadline.isOver(); round++) {
            Optional<Draft> next = drafts.polished(best, Effort.of(mostSeconds, FOR_POLISHING, deadline), watch);
            next.ifPresent(one -> watch.secondsBefore += one.solution().seconds());
            double before = drafts.weighed(best);
            best = next.filter(one -> drafts.weighed(one) < before).orElse(best);
            isBetter = drafts.weighed(best) < before;
        }
        return best;
    }

    private Effort forTheFirst() {
        return Effort.of(mostSeconds, FOR_THE_DRAFTS.getFirst(), deadline);
    }
}
