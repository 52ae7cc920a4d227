package vividcrown.core.season;

import com.google.ortools.Loader;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;

/**
 * Plans a season: groups the demands, works out what is on its way for them, finds their recipes, has the solver choose,
 * and turns its choice into grafts with a builder, a mother and a purpose each. Where something does not hold it asks
 * again with one thing more, to find the cheapest way out.
 */
public final class SeasonPlanner {

    /** Shares of the time that is left; what remains looks for ways out. */
    private static final double FOR_THE_FIRST_DRAFT = 0.3;
    private static final double FOR_EACH_DRAFT = 0.5;
    private static final int MOST_DRAFTS = 4;
    private static final double MUCH_DEARER = 1.05;
    /** Queens over, on average, from which it is worth asking again. */
    private static final double WORTH_HANDING_ON = 0.5;
    private static final double SHORTEST_SEARCH_SECONDS = 0.3;
    /** Below this a virgin started is a gamble. */
    private static final double GAMBLE = 0.8;
    /** Building a model and reading its answer take time too. */
    private static final double SAFELY_WITHIN = 0.88;

    private final SeasonBrief brief;
    private final Deadline deadline;
    private final SolveWatch watch;
    private final Supply supply;
    private final List<PromiseGroup> groups;
    private final RunningShares running;
    private final List<BuilderClass> classes;

    /** Seconds that are left; counted by the machine's running clock, no time of day. */
    private static final class Deadline {
        private final long endNanos;

        Deadline(double seconds) {
            this.endNanos = System.nanoTime() + (long) (seconds * 1e9);
        }

        double secondsLeft() {
            return Math.max(SHORTEST_SEARCH_SECONDS, (endNanos - System.nanoTime()) / 1e9);
        }

        boolean isOver() {
            return System.nanoTime() >= endNanos;
        }
    }

    /** The solver is no Java; it is unpacked once, which may take seconds, and before any time is counted. */
    static void loadSolver() {
        Loader.loadNativeLibraries();
    }

    private SeasonPlanner(SeasonBrief brief, double mostSeconds, SolveWatch watch) {
        this.brief = brief;
        this.deadline = new Deadline(mostSeconds * SAFELY_WITHIN);
        this.watch = watch;
        this.supply = new Supply(brief);
        this.groups = PromiseGroup.of(brief.demands(), brief.today());
        this.running = new RunningShares(brief, groups, supply);
        this.classes = BuilderClass.of(brief.builders(), SeasonModel.alone(brief), brief.today(),
                id -> supply.percent(supply.usual().with(Circumstance.BUILDER, id)));
    }

    /**
     * @param mostSeconds time for all of it, above 0
     * @throws IllegalArgumentException if it is senseless to plan; see {@link SeasonBrief#faults()}
     */
    public static SeasonPlan plan(SeasonBrief brief, double mostSeconds, SolveWatch watch) {
        List<Sentence> faults = brief.faults();
        if (!faults.isEmpty()) {
            throw new IllegalArgumentException(
                    faults.stream().map(Sentence::toString).collect(Collectors.joining(" ")));
        }
        loadSolver();
        return new SeasonPlanner(brief, mostSeconds, watch).plan();
    }

    /** A whole plan: what the solver chose, and what it comes to once its cups are fitted. */
    private record Draft(List<List<Recipe>> recipes, SeasonModel.Solution solution, List<PlannedBatch> batches,
            List<DroneStart> droneStarts, Outcome outcome) {
    }

    private SeasonPlan plan() {
        List<List<Recipe>> ways = recipes(brief, running::of, RecipeFinder.LATE_BY, Optional.empty());
        Draft draft = draft(ways, new GreedyStart(brief, groups, ways, classes).plan(),
                deadline.secondsLeft() * FOR_THE_FIRST_DRAFT)
                .orElseThrow(() -> new IllegalArgumentException(Sentence.of("plan.fault.locksClash").toString()));
        Draft latest = draft;
        double seconds = draft.solution().seconds();
        for (int again = 1; again < MOST_DRAFTS && !watch.isStopped() && mayBeBettered(latest, again == 1); again++) {
            // now that it is known what orders have over, later ones need less
            SeasonModel.Solution known = latest.solution();
            Optional<Draft> next = draft(
                    recipes(brief, thereWith(latest), RecipeFinder.LATE_BY, Optional.of(known)), known,
                    deadline.secondsLeft() * (allHold(latest) ? 1 : FOR_EACH_DRAFT));
            if (next.isEmpty()) {
                break;
            }
            latest = next.get();
            seconds += latest.solution().seconds();
            draft = weighed(latest) <= weighed(draft) ? latest : draft;
        }
        List<SeasonPlan.WayOut> waysOut = new ArrayList<>();
        if (!allHold(draft) && !watch.isStopped()) {
            waysOut.addAll(waysOut(draft));
        }
        return new SeasonPlan(draft.batches(), promises(draft, waysOut), changes(draft.batches()), waysOut,
                new Workload(brief, supply, draft.batches()).hours(), draft.droneStarts(), search(draft, seconds));
    }

    /** What a group has without any graft: what is on its way, and what others had over in this draft. */
    private Function<PromiseGroup, Yield> thereWith(Draft draft) {
        return group -> running.of(group).plus(draft.outcome().handedTo(group));
    }

    private SeasonPlan.Search search(Draft draft, double seconds) {
        SeasonModel.Solution solution = draft.solution();
        // cups fitted to their boxes may cost less than the model thought; the bound speaks of the model
        double cost = Math.max(weighed(draft), solution.cost());
        return new SeasonPlan.Search(solution.proven(), cost, solution.bound(), solution.firstSeconds(), seconds);
    }

    /** While it is not proven, or what orders hand on is not what was counted on. */
    private boolean mayBeBettered(Draft draft, boolean first) {
        if (first) {
            return !draft.solution().proven() || groups.stream()
                    .anyMatch(group -> draft.outcome().handedTo(group).mean() >= WORTH_HANDING_ON);
        }
        return weighed(draft) > draft.solution().cost() * MUCH_DEARER;
    }

    /** @return empty if the locks cannot be kept */
    private Optional<Draft> draft(List<List<Recipe>> recipes, SeasonModel.Solution known, double seconds) {
        return new SeasonModel(brief, groups, recipes, classes, Optional.empty(), known)
                .solve(seconds, watch).map(solution -> fitted(recipes, solution));
    }

    private Draft fitted(List<List<Recipe>> recipes, SeasonModel.Solution solution) {
        ParentsModel.Parents parents = new ParentsModel(brief, supply,
                new BatchSheet(brief, groups, classes).loads(solution)).solve();
        Map<PromiseGroup, Double> aims = new LinkedHashMap<>();
        for (int index = 0; index < groups.size(); index++) {
            PromiseGroup group = groups.get(index);
            solution.choices().get(index).ifPresent(recipe -> aims.put(group, recipe.assurance()));
        }
        Outcome outcome = Outcome.of(brief, supply, groups, running, parents.batches());
        List<PlannedBatch> fitted = Fitting.fit(brief, supply, outcome, aims, parents.batches());
        return new Draft(recipes, solution, fitted, parents.droneStarts(),
                Outcome.of(brief, supply, groups, running, fitted));
    }

    /** What a plan is worth, as the model weighs it, but from what it really comes to. */
    private double weighed(Draft draft) {
        double sum = new Workload(brief, supply, draft.batches()).hours() * 60;
        for (int index = 0; index < groups.size(); index++) {
            PromiseGroup group = groups.get(index);
            Optional<Recipe> recipe = draft.solution().choices().get(index);
            double missed = Math.max(0, group.assurance() - draft.outcome().of(group).all().atLeast(group.count()));
            sum += recipe.map(one -> SeasonModel.costOfMissing(group, one.daysLate(), missed))
                    .orElse(SeasonModel.costOfUnmet(group));
        }
        return sum + changes(draft.batches()).size() * SeasonModel.CHANGED_GRAFT;
    }

    /** @param kept a plan whose recipes are to be among them */
    private List<List<Recipe>> recipes(SeasonBrief with, Function<PromiseGroup, Yield> there, List<Integer> delays,
            Optional<SeasonModel.Solution> kept) {
        RecipeFinder finder = new RecipeFinder(with, supply, there);
        List<List<Recipe>> recipes = new ArrayList<>();
        for (int index = 0; index < groups.size(); index++) {
            int at = index;
            recipes.add(lineIsThere(groups.get(index))
                    ? finder.of(groups.get(index), delays, kept.flatMap(one -> one.choices().get(at)))
                    : List.of());
        }
        return recipes;
    }

    private boolean lineIsThere(PromiseGroup group) {
        return group.line().isEmpty()
                || brief.breeders().stream().anyMatch(one -> one.line().equals(group.line().get()));
    }

    // --- promises ----------------------------------------------------------------------------------------------------

    private boolean allHold(Draft draft) {
        return holding(draft).size() == groups.size();
    }

    private Set<PromiseGroup> holding(Draft draft) {
        Set<PromiseGroup> holding = new LinkedHashSet<>();
        for (int index = 0; index < groups.size(); index++) {
            if (state(draft, index) == Promise.State.HOLDS) {
                holding.add(groups.get(index));
            }
        }
        return holding;
    }

    private Promise.State state(Draft draft, int index) {
        PromiseGroup group = groups.get(index);
        Optional<Recipe> recipe = draft.solution().choices().get(index);
        if (recipe.isEmpty()) {
            return Promise.State.UNMET;
        }
        boolean holds = Promise.holds(draft.outcome().of(group).all().atLeast(group.count()), group.assurance());
        return holds ? inTime(recipe.get()) : Promise.State.AT_RISK;
    }

    private static Promise.State inTime(Recipe recipe) {
        return recipe.daysLate() > 0 ? Promise.State.LATE : Promise.State.HOLDS;
    }

    private List<Promise> promises(Draft draft, List<SeasonPlan.WayOut> waysOut) {
        Map<String, Double> chances = draft.outcome().chances();
        List<Promise> promises = new ArrayList<>();
        for (int index = 0; index < groups.size(); index++) {
            PromiseGroup group = groups.get(index);
            Promise.State state = state(draft, index);
            Optional<Recipe> recipe = draft.solution().choices().get(index);
            List<Reason> reasons = new ArrayList<>(draft.outcome().of(group).reasons());
            if (group.demands().size() > 1) {
                reasons.add(Reason.of(Source.derived("one distribution for all of them"), "plan.together",
                        group.demands().size(), group.count()));
            }
            if (state != Promise.State.HOLDS) {
                reasons.addAll(whyNot(group, draft.recipes().get(index), waysOut));
            }
            int cups = draft.batches().stream().flatMap(batch -> batch.shares().stream())
                    .filter(share -> group.wants(share.demand())).mapToInt(PlannedBatch.Share::cups).sum();
            for (Demand demand : group.demands()) {
                promises.add(new Promise(demand, state, chances.get(demand.id()), recipe.map(Recipe::delivery),
                        recipe.map(Recipe::daysLate).orElse(0), cups, reasons));
            }
        }
        promises.sort(
                Comparator.comparing((Promise one) -> one.demand().until()).thenComparing(one -> one.demand().id()));
        return promises;
    }

    /** Why it does not hold: no day left, no mother, or what would make it hold. */
    private List<Reason> whyNot(PromiseGroup group, List<Recipe> all, List<SeasonPlan.WayOut> waysOut) {
        List<Reason> why = new ArrayList<>();
        if (!lineIsThere(group)) {
            why.add(Reason.of(Source.derived("the mothers given"), "plan.noLine", group.line().orElse(""),
                    brief.breeders().stream().map(BreederQueen::line).distinct().sorted().collect(
                            Collectors.joining(", "))));
            return why;
        }
        boolean inTime = all.stream().anyMatch(one -> one.daysLate() == 0
                && one.assurance() >= group.assurance() - 1e-9);
        LocalDate lastGraft = group.until().minusDays(supply.soonest(group.product()));
        if (!inTime && lastGraft.isAfter(brief.until())) {
            why.add(Reason.of(Source.derived("the last day that is planned"), "plan.beyond", brief.until()));
        } else if (!inTime && lastGraft.isBefore(brief.today())) {
            why.add(Reason.of(Source.derived("the day promised less the days it takes"), "plan.tooLate", lastGraft,
                    brief.today().plusDays(supply.soonest(group.product()))));
        } else if (!inTime) {
            why.add(Reason.of(Source.derived("every graft day that is left, up to the most cups"), "plan.tooMany",
                    brief.builders().stream().mapToInt(CellBuilder::load).sum()));
        } else {
            why.add(Reason.of(Source.derived("the plan with one thing more"), "plan.full"));
        }
        double weather = supply.matingWeather(lastGraft);
        if (group.product().losses().size() > 3 && weather < GAMBLE) {
            why.add(Reason.of(Source.derived("chance of two fit afternoons, emergence + 5 to + 21"), "plan.gamble",
                    Math.round(weather * 100) + " %"));
        }
        waysOut.stream().filter(way -> group.demands().stream().anyMatch(one -> way.helps().contains(one.id())))
                .forEach(way -> why.add(way.reason()));
        return why;
    }

    // --- ways out ----------------------------------------------------------------------------------------------------

    private List<SeasonPlan.WayOut> waysOut(Draft draft) {
        Set<PromiseGroup> before = holding(draft);
        List<SeasonPlan.WayOut> ways = new ArrayList<>();
        Relaxation[] kinds = Relaxation.values();
        for (int index = 0; index < kinds.length; index++) {
            // one is asked for even when time is up: nobody is left without a way out
            if (watch.isStopped() || index > 0 && deadline.isOver()) {
                break;
            }
            Relaxation kind = kinds[index];
            double seconds = Math.max(SHORTEST_SEARCH_SECONDS,
                    deadline.secondsLeft() / (kinds.length - index) * FOR_EACH_DRAFT);
            relaxed(kind, draft).solve(seconds, SolveWatch.NONE)
                    .flatMap(relaxed -> wayOut(kind, before, relaxed)).ifPresent(ways::add);
        }
        ways.sort(Comparator.comparingInt((SeasonPlan.WayOut way) -> -way.helps().size())
                .thenComparing(SeasonPlan.WayOut::kind));
        return ways;
    }

    /** The same season with one thing more. */
    private SeasonModel relaxed(Relaxation kind, Draft draft) {
        SeasonModel.Solution known = draft.solution();
        Function<PromiseGroup, Yield> there = thereWith(draft);
        return switch (kind) {
            case NUCS, HOURS, CAGES ->
                new SeasonModel(brief, groups, draft.recipes(), classes, Optional.of(kind), known);
            case LATER -> {
                List<Integer> delays = new ArrayList<>(RecipeFinder.LATE_BY);
                delays.addAll(RecipeFinder.MUCH_LATER);
                yield new SeasonModel(brief, groups, recipes(brief, there, delays, Optional.of(known)), classes,
                        Optional.of(kind), known);
            }
            case DAYS_OFF -> {
                SeasonBrief with = brief.withCrew(brief.crew().withoutDaysOff());
                yield new SeasonModel(with, groups, recipes(with, there, RecipeFinder.LATE_BY, Optional.of(known)),
                        classes,
                        Optional.of(kind), known);
            }
            case BUILDERS -> {
                List<BuilderClass> more = new ArrayList<>(classes);
                more.add(new BuilderClass(List.of(new CellBuilder("+", BuilderSchool.STARTER_THEN_FINISHER, 30,
                        brief.today().plusDays(2), List.of())), 100));
                yield new SeasonModel(brief, groups,
                        recipes(withBuilder(), there, RecipeFinder.LATE_BY, Optional.of(known)), more,
                        Optional.of(kind), known);
            }
        };
    }

    /** With more builders a day takes more cups; without this no recipe would use them. */
    private SeasonBrief withBuilder() {
        List<CellBuilder> more = new ArrayList<>(brief.builders());
        for (int index = 0; index < 4; index++) {
            more.add(new CellBuilder("+" + index, BuilderSchool.STARTER_THEN_FINISHER, 30, brief.today().plusDays(2),
                    List.of()));
        }
        return brief.withBuilders(more);
    }

    private Optional<SeasonPlan.WayOut> wayOut(Relaxation kind, Set<PromiseGroup> before,
            SeasonModel.Solution relaxed) {
        Map<PromiseGroup, Optional<Recipe>> now = new LinkedHashMap<>();
        for (int index = 0; index < groups.size(); index++) {
            now.put(groups.get(index), relaxed.choices().get(index));
        }
        List<String> helps = new ArrayList<>();
        int later = 0;
        for (Map.Entry<PromiseGroup, Optional<Recipe>> one : now.entrySet()) {
            PromiseGroup group = one.getKey();
            boolean better = one.getValue()
                    .filter(recipe -> recipe.assurance() >= group.assurance() - 1e-9)
                    .filter(recipe -> kind == Relaxation.LATER || inTime(recipe) == Promise.State.HOLDS).isPresent();
            if (better && !before.contains(group)) {
                group.demands().forEach(demand -> helps.add(demand.id()));
                later = Math.max(later, one.getValue().orElseThrow().daysLate());
            }
        }
        int amount = kind == Relaxation.LATER ? later : relaxed.extra();
        boolean nothingNew = helps.isEmpty() || amount == 0 && kind != Relaxation.DAYS_OFF;
        if (nothingNew) {
            return Optional.empty();
        }
        Sentence text = Sentence.of("plan.wayOut." + kind.name(), amount, String.join(", ", helps));
        return Optional.of(new SeasonPlan.WayOut(kind, amount, helps, text,
                Reason.of(Source.derived("the plan asked again with one thing more"), "plan.wayOut." + kind.name(),
                        amount, String.join(", ", helps))));
    }

    // --- changes -----------------------------------------------------------------------------------------------------

    private List<SeasonPlan.Change> changes(List<PlannedBatch> batches) {
        Map<String, Integer> before = new HashMap<>();
        brief.before().forEach(one -> before.merge(one.day() + " " + one.builder(), one.cups(), Integer::sum));
        Map<String, Integer> now = new LinkedHashMap<>();
        batches.forEach(one -> now.merge(one.day() + " " + one.builder(), one.cups(), Integer::sum));
        List<SeasonPlan.Change> changes = new ArrayList<>();
        if (brief.before().isEmpty()) {
            return changes;
        }
        batches.stream().collect(Collectors.groupingBy(one -> one.day() + " " + one.builder(), LinkedHashMap::new,
                Collectors.toList())).forEach((key, all) -> {
                    PlannedBatch one = all.getFirst();
                    int cups = now.get(key);
                    Optional<Integer> was = Optional.ofNullable(before.get(key));
                    if (was.isEmpty()) {
                        changes.add(new SeasonPlan.Change(SeasonPlan.Change.Kind.ADDED, one.day(), one.builder(), cups,
                                was));
                    } else if (was.get() != cups) {
                        changes.add(new SeasonPlan.Change(SeasonPlan.Change.Kind.RESIZED, one.day(), one.builder(),
                                cups, was));
                    }
                });
        brief.before().stream().filter(one -> !now.containsKey(one.day() + " " + one.builder()))
                .forEach(one -> changes.add(new SeasonPlan.Change(SeasonPlan.Change.Kind.DROPPED, one.day(),
                        one.builder(), one.cups(), Optional.of(one.cups()))));
        changes.sort(Comparator.comparing(SeasonPlan.Change::day).thenComparing(SeasonPlan.Change::builder));
        return changes;
    }
}
