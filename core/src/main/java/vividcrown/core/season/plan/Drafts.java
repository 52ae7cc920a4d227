package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.RecipeBook;
import vividcrown.core.season.recipe.RecipeFinder;
import vividcrown.core.season.recipe.RecipeShelf;
import vividcrown.core.season.supply.Outcome;
import vividcrown.core.season.supply.RunningShares;
import vividcrown.core.season.supply.Supply;
import vividcrown.core.season.supply.Yield;

/**
 * Makes drafts of one season: has the solver choose among recipes, and turns its choice into grafts with a builder, a mother and cups that fit.
 *
 * @param running what each group has of what is on its way
 * @param classes builders that are alike
 */
record Drafts(RecipeBook book, RunningShares running, List<BuilderClass> classes) {

    /** So much less of what others had over in one draft is counted on in the next, for there they may have less over. */
    private static final double MAY_BE_LESS = 0.2;
    /** Of more there is seldom one whose yard matters to the whole, and no time to ask again. */
    private static final int FEW_BATCHES = 16;

    static Drafts of(SeasonBrief brief, RecipeShelf shelf) {
        return of(shelf.book(brief, PromiseGroup.of(brief.demands(), brief.today())));
    }

    private static Drafts of(RecipeBook book) {
        SeasonBrief brief = book.brief();
        Supply supply = book.supply();
        return new Drafts(book, new RunningShares(brief, book.groups(), supply),
                BuilderClass.of(brief.means().builders(), SeasonModel.alone(brief), brief.today(),
                        id -> supply.percent(supply.usual().with(Circumstance.BUILDER, id))));
    }

    /** @param draft of these */
    record Begun(Drafts drafts, Draft draft) {
        double weighed() {
            return drafts.weighed(draft);
        }
    }

    /**
     * A first draft. Orders that fall due together share batches; where such a group does not hold, its orders are asked for one by one too, so
     * that one can be kept where all cannot.
     *
     * @return empty if the locks cannot be kept
     */
    Optional<Begun> begun(Effort effort, Deadline deadline, SolveWatch watch) {
        Optional<Begun> together = first(effort, watch);
        return together.flatMap(begun -> {
            List<PromiseGroup> more = apart(begun.draft());
            if (more.size() == groups().size() || watch.isStopped() || deadline.isMostlyOver()) {
                return together;
            }
            Drafts apart = of(book.with(brief(), more));
            return apart.first(effort.half(), watch).filter(one -> one.weighed() < begun.weighed())
                    .or(() -> together);
        });
    }

    /**
     * The same season, counting on no better yards than there are on average: where many want the best yards at once, recipes that count on
     * them give too few.
     */
    Drafts evenly() {
        return of(new RecipeBook(brief(), PromiseGroup.of(brief().demands(), brief().today()), supply().evenly()));
    }

    private Optional<Begun> first(Effort effort, SolveWatch watch) {
        List<List<Recipe>> ways = book.of(running::of, RecipeFinder.LATE_BY, List.of());
        // with hardly any time it is the second draft that is worth a search: it knows what orders have over for each other
        Optional<SeasonModel.Solution> before = effort.isLeast() ? asBefore(ways, effort) : Optional.empty();
        return before.or(() -> {
            SeasonModel.Solution greedy = greedy(ways, effort, watch);
            return effort.isLeast()
                    ? Optional.of(start(ways, greedy, effort, watch).plan())
                    : chosen(ways, greedy, effort, watch);
        }).map(solution -> new Begun(this, fitted(ways, solution)));
    }

    /** As far as it goes, only on days on which the plan before grafts too; empty if there is none. */
    Optional<SeasonModel.Solution> asBefore(List<List<Recipe>> ways, Effort effort) {
        Set<LocalDate> planned = plannedDays();
        if (planned.isEmpty()) {
            return Optional.empty();
        }
        List<List<Recipe>> then = ways.stream().map(its -> onDays(planned, its)).toList();
        SeasonModel.Solution simple = new GreedyStart(brief(), groups(), then, classes).near(
                then.stream().map(_ -> Optional.<Recipe>empty()).toList());
        return Optional.of(DaysInTurn.of(brief(), groups(), then, classes, simple.cost(), effort).choices()
                .map(choices -> near(ways, choices)).filter(near -> near.cost() < simple.cost()).orElse(simple));
    }

    /** Days on which the plan before grafts. */
    private Set<LocalDate> plannedDays() {
        return LoadsBefore.of(brief(), classes).byDay().keySet();
    }

    /** Those that graft on these days only; all if there is none. */
    private static List<Recipe> onDays(Set<LocalDate> planned, List<Recipe> ways) {
        List<Recipe> kept = ways.stream().filter(
                recipe -> recipe.grafts().stream().map(Recipe.Graft::day).allMatch(planned::contains)).toList();
        return kept.isEmpty() ? ways : kept;
    }

    /**
     * @param bound no plan costs less
     * @param plan where the search begins
     */
    private record Start(double bound, SeasonModel.Solution plan) {
    }

    /**
     * The season is first gone through day by day without its narrower limits: what that finds is a plan to begin the search with if it is
     * cheaper than the one known, as is the plan before.
     */
    private Start start(List<List<Recipe>> ways, SeasonModel.Solution known, Effort effort, SolveWatch watch) {
        DaysInTurn.Found inTurn = DaysInTurn.of(brief(), groups(), ways, classes, known.cost(), effort);
        SeasonModel.Solution plan = Stream
                .of(Optional.of(known), asBefore(ways, effort),
                        inTurn.choices().map(choices -> near(ways, choices))
                                .map(near -> effort.isLeast() ? near : loaded(near, watch)))
                .flatMap(Optional::stream)
                .min(Comparator.comparingDouble(SeasonModel.Solution::cost)).orElseThrow();
        return new Start(inTurn.bound(), plan);
    }

    /** Chooses among recipes. @return empty if the locks cannot be kept */
    private Optional<SeasonModel.Solution> chosen(List<List<Recipe>> ways, SeasonModel.Solution known, Effort effort,
            SolveWatch watch) {
        Start start = start(ways, known, effort, watch);
        return model(ways, start.plan()).solve(start.bound(), effort, watch);
    }

    /** The same choices in the builders that suit them best: which is loaded today is missing tomorrow. */
    private SeasonModel.Solution loaded(SeasonModel.Solution chosen, SolveWatch watch) {
        List<List<Recipe>> only = chosen.choices().stream().map(choice -> choice.stream().toList()).toList();
        return model(only, chosen).tried(Effort.SHORTEST, watch).filter(one -> one.cost() < chosen.cost())
                .orElse(chosen);
    }

    /** Each group takes its choice where that fits, the others the cheapest that does. */
    SeasonModel.Solution near(List<List<Recipe>> ways, List<Optional<Recipe>> choices) {
        return new GreedyStart(brief(), groups(), ways, classes).near(choices);
    }

    /** Another draft of the season, from the choices of one before. @return empty if the locks cannot be kept */
    Optional<Draft> again(List<List<Recipe>> ways, Draft before, Effort effort, SolveWatch watch) {
        return chosen(ways, near(ways, before.solution().choices()), effort, watch)
                .map(solution -> fitted(ways, solution));
    }

    /**
     * The same where there is hardly any time: whoever holds in the draft keeps to the days of the plan before, and only for the others all is
     * open. As {@link #again} if there was no plan before.
     */
    Optional<Draft> againNear(List<List<Recipe>> ways, Draft before, Effort effort, SolveWatch watch) {
        Set<LocalDate> planned = plannedDays();
        if (planned.isEmpty()) {
            return again(ways, before, effort, watch);
        }
        List<List<Recipe>> near = nearTo(planned, before, ways);
        SeasonModel.Solution known = Stream.concat(Stream.of(near(near, before.solution().choices())),
                asBefore(near, effort).stream()).min(Comparator.comparingDouble(SeasonModel.Solution::cost))
                .orElseThrow();
        // what an order costs that does not hold is far beyond any bound that the days tell
        double bound = before.allHold()
                ? DaysInTurn.of(brief(), groups(), ways, classes, known.cost(), effort).bound()
                : 0;
        return model(near, known).solve(bound, effort, watch)
                // what was not looked at may be cheaper: of that nothing is known but what the days say
                .map(solution -> fitted(ways, solution.boundedBy(bound)));
    }

    /**
     * The same once more, where not all hold: whoever holds keeps to the draft's days, and what its orders now have over for each other is counted on.
     */
    Optional<Draft> polished(Draft before, Effort effort, SolveWatch watch) {
        List<List<Recipe>> ways = book.of(there(before), RecipeFinder.LATE_BY, before.solution().choices());
        List<List<Recipe>> near = near(before, ways);
        return model(near, near(near, before.solution().choices())).solve(0, effort, watch)
                // what was not looked at may be cheaper
                .map(solution -> fitted(ways, solution.boundedBy(0)));
    }

    /** Of these whatever leaves those that hold in the draft on its days. */
    static List<List<Recipe>> near(Draft before, List<List<Recipe>> ways) {
        return nearTo(before.batches().stream().map(PlannedBatch::day).collect(Collectors.toSet()), before, ways);
    }

    private static List<List<Recipe>> nearTo(Set<LocalDate> days, Draft before, List<List<Recipe>> ways) {
        return IntStream.range(0, ways.size())
                .mapToObj(at -> before.state(at) == Promise.State.HOLDS ? onDays(days, ways.get(at)) : ways.get(at))
                .toList();
    }

    private List<PromiseGroup> apart(Draft draft) {
        return IntStream.range(0, groups().size()).boxed()
                .flatMap(at -> draft.state(at) == Promise.State.HOLDS
                        ? Stream.of(groups().get(at))
                        : groups().get(at).apart(brief().today()))
                .toList();
    }

    SeasonBrief brief() {
        return book.brief();
    }

    List<PromiseGroup> groups() {
        return book.groups();
    }

    Supply supply() {
        return book.supply();
    }

    /** The same orders with other means and these builders. */
    Drafts with(SeasonBrief other, List<BuilderClass> builders) {
        return new Drafts(book.with(other, groups()), running, builders);
    }

    /** The same season without one of its orders: what was set aside for it is shared out anew. */
    Drafts without(Demand demand) {
        SeasonBrief fewer = brief().withDemands(
                brief().demands().stream().filter(one -> !one.id().equals(demand.id())).toList());
        return of(book.with(fewer,
                groups().stream().map(group -> group.without(demand.id())).flatMap(Optional::stream).toList()));
    }

    /** The same season with another demand in the place of the one of that name. */
    Drafts with(Demand other) {
        List<Demand> demands = brief().demands().stream().map(one -> one.id().equals(other.id()) ? other : one)
                .toList();
        return of(book.with(brief().withDemands(demands),
                groups().stream().map(group -> group.replacing(other)).toList()));
    }

    /** What a group has without any graft: what is on its way, and what others had over in a draft. */
    Function<PromiseGroup, Yield> there(Draft draft) {
        return group -> {
            Yield handed = draft.outcome().handedTo(group);
            return running.of(group).plus(handed.over((int) Math.ceil(handed.mean() * MAY_BE_LESS)));
        };
    }

    SeasonModel model(List<List<Recipe>> recipes, SeasonModel.Solution known) {
        return new SeasonModel(brief(), groups(), recipes, classes, Optional.empty(), known);
    }

    /** What is found of these recipes; empty if there was too little time. @param known where the search begins */
    Optional<Draft> tried(List<List<Recipe>> recipes, SeasonModel.Solution known, Effort effort, SolveWatch watch) {
        return model(recipes, known).tried(effort, watch).map(solution -> fitted(recipes, solution));
    }

    /** With one thing more, at a price. */
    SeasonModel relaxed(Relaxation kind, List<List<Recipe>> recipes, SeasonModel.Solution known) {
        return new SeasonModel(brief(), groups(), recipes, classes, Optional.of(kind), known);
    }

    SeasonModel.Solution greedy(List<List<Recipe>> recipes, Effort effort, SolveWatch watch) {
        return new GreedyStart(brief(), groups(), recipes, classes).plan(effort.servings(), watch);
    }

    /** What a choice of the solver comes to. */
    Draft fitted(List<List<Recipe>> recipes, SeasonModel.Solution solution) {
        ParentsModel.Parents parents = new ParentsModel(brief(), supply(),
                new BatchSheet(brief(), groups(), classes).loads(solution)).solve();
        Map<PromiseGroup, Double> aims = new LinkedHashMap<>();
        for (int index = 0; index < groups().size(); index++) {
            PromiseGroup group = groups().get(index);
            // what could only be had less surely is made as sure as there is room for
            solution.choices().get(index).ifPresent(_ -> aims.put(group, group.assurance()));
        }
        YardPlan yards = new YardPlan(brief(), supply(), parents.droneStarts());
        Function<List<PlannedBatch>, Draft> draft = batches -> {
            List<PlannedBatch> counted = batches.stream().map(yards::counted).toList();
            return new Draft(groups(), recipes, solution, counted, parents.droneStarts(),
                    Outcome.of(brief(), supply(), groups(), running, counted));
        };
        UnaryOperator<List<PlannedBatch>> fit = placed -> Fitting.fit(brief(), supply(),
                Outcome.of(brief(), supply(), groups(), running, placed), aims, placed);
        Draft usual = draft.apply(fit.apply(yards.placed(parents.batches(), Set.of())));
        if (brief().means().yards().size() < 2 || usual.batches().size() > FEW_BATCHES) {
            return usual;
        }
        // with other cups another yard may be the better one; and what is wanting is worth a longer way
        Draft again = draft.apply(yards.placed(usual.batches(), Set.of()));
        Draft better = weighed(again) < weighed(usual) ? again : usual;
        Set<String> wanting = better.wanting();
        if (wanting.isEmpty()) {
            return better;
        }
        Draft further = draft.apply(fit.apply(yards.placed(parents.batches(), wanting)));
        return weighed(further) < weighed(better) ? further : better;
    }

    double hours(Draft draft) {
        return new Workload(brief(), supply(), draft.batches()).hours();
    }

    double nucDays(Draft draft) {
        return new Workload(brief(), supply(), draft.batches()).nucDays();
    }

    double weighed(Draft draft) {
        return draft.weighed(brief(), supply());
    }
}
