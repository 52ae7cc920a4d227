package vividcrown.core.season;

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
import java.util.stream.Collectors;
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

    /** Of the time that is left once the recipes are found, the share for the plan itself; the rest looks for ways out. */
    private static final double FOR_THE_PLAN = 0.6;
    private static final double SHORTEST_SEARCH_SECONDS = 0.3;
    /** Below this a virgin started is a gamble. */
    private static final double GAMBLE = 0.8;
    /** Building a model and reading its answer take time too. */
    private static final double SAFELY_WITHIN = 0.92;

    private final SeasonBrief brief;
    private final Deadline deadline;
    private final SolveWatch watch;
    private final Supply supply;
    private final List<PromiseGroup> groups;
    private final RunningShares running;

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

    private SeasonPlanner(SeasonBrief brief, double mostSeconds, SolveWatch watch) {
        this.brief = brief;
        this.deadline = new Deadline(mostSeconds * SAFELY_WITHIN);
        this.watch = watch;
        this.supply = new Supply(brief);
        this.groups = PromiseGroup.of(brief.demands(), brief.today());
        this.running = new RunningShares(brief, groups, supply);
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
        return new SeasonPlanner(brief, mostSeconds, watch).plan();
    }

    private SeasonPlan plan() {
        List<List<Recipe>> recipes = recipes(brief, RecipeFinder.LATE_BY);
        List<BuilderClass> classes = BuilderClass.of(brief.builders(), SeasonModel.alone(brief), brief.today());
        SeasonModel model = new SeasonModel(brief, groups, recipes, classes, Optional.empty(), Optional.empty());
        SeasonModel.Solution solution = model.solve(deadline.secondsLeft() * FOR_THE_PLAN, watch)
                .orElseThrow(() -> new IllegalArgumentException(Sentence.of("plan.fault.locksClash").toString()));
        if (allHold(solution.choices()) && !solution.proven() && !watch.isStopped()) {
            // nothing to find a way out for: the rest of the time makes the plan better
            SeasonModel.Solution better = new SeasonModel(brief, groups, recipes, classes, Optional.empty(),
                    Optional.of(solution)).solve(deadline.secondsLeft(), watch).orElse(solution);
            solution = better.after(solution);
        }
        List<PlannedBatch> batches = new BatchSheet(brief, groups, classes, model.lines()).batches(solution);
        List<SeasonPlan.WayOut> waysOut = new ArrayList<>();
        if (!allHold(solution.choices()) && !watch.isStopped()) {
            waysOut.addAll(waysOut(solution, recipes, classes));
        }
        return new SeasonPlan(batches, promises(solution, recipes, waysOut), changes(batches), waysOut,
                hours(solution), new SeasonPlan.Search(solution.proven(), solution.cost(), solution.bound(),
                        solution.firstSeconds(), solution.seconds()));
    }

    private List<List<Recipe>> recipes(SeasonBrief with, List<Integer> delays) {
        RecipeFinder finder = new RecipeFinder(with, supply, running);
        return groups.stream().map(group -> lineIsThere(group) ? finder.of(group, delays) : List.<Recipe>of()).toList();
    }

    private boolean lineIsThere(PromiseGroup group) {
        return group.line().isEmpty()
                || brief.breeders().stream().anyMatch(one -> one.line().equals(group.line().get()));
    }

    private double hours(SeasonModel.Solution solution) {
        double minutes = 0;
        for (Optional<Recipe> choice : solution.choices()) {
            minutes += choice.map(Recipe::minutes).orElse(0);
        }
        for (int[] used : solution.loads().values()) {
            for (int one : used) {
                minutes += one * WorkTime.LOAD;
            }
        }
        return minutes / 60;
    }

    // --- promises ----------------------------------------------------------------------------------------------------

    private boolean allHold(List<Optional<Recipe>> choices) {
        return holding(choices).size() == groups.size();
    }

    private Set<PromiseGroup> holding(List<Optional<Recipe>> choices) {
        Set<PromiseGroup> holding = new LinkedHashSet<>();
        for (int index = 0; index < groups.size(); index++) {
            PromiseGroup group = groups.get(index);
            if (choices.get(index).filter(one -> state(group, one) == Promise.State.HOLDS).isPresent()) {
                holding.add(group);
            }
        }
        return holding;
    }

    private static Promise.State state(PromiseGroup group, Recipe recipe) {
        if (recipe.assurance() < group.assurance() - 1e-9) {
            return Promise.State.AT_RISK;
        }
        return recipe.daysLate() > 0 ? Promise.State.LATE : Promise.State.HOLDS;
    }

    private List<Promise> promises(SeasonModel.Solution solution, List<List<Recipe>> recipes,
            List<SeasonPlan.WayOut> waysOut) {
        List<Promise> promises = new ArrayList<>();
        for (int index = 0; index < groups.size(); index++) {
            PromiseGroup group = groups.get(index);
            Optional<Recipe> recipe = solution.choices().get(index);
            int before = 0;
            for (Demand demand : group.demands()) {
                before += demand.count();
                promises.add(promise(group, demand, before, recipe, recipes.get(index), waysOut));
            }
        }
        promises.sort(
                Comparator.comparing((Promise one) -> one.demand().until()).thenComparing(one -> one.demand().id()));
        return promises;
    }

    /** @param upToHere queens of the group for this demand and those served before it */
    private Promise promise(PromiseGroup group, Demand demand, int upToHere, Optional<Recipe> recipe,
            List<Recipe> all, List<SeasonPlan.WayOut> waysOut) {
        List<Reason> reasons = new ArrayList<>();
        Yield yield = running.of(group);
        running.shares(group)
                .forEach(share -> reasons.add(Reason.of(Source.derived("what is on its way, by its own losses"),
                        "plan.running", share.alive(), share.batch().id())));
        if (recipe.isEmpty()) {
            reasons.addAll(whyNot(group, all, waysOut));
            return new Promise(demand, Promise.State.UNMET, yield.atLeast(upToHere), Optional.empty(), 0, 0, reasons);
        }
        Recipe taken = recipe.get();
        for (Recipe.Graft graft : taken.grafts()) {
            LocalDate had = group.product() == Product.RIPE_CELLS
                    ? graft.day().plusDays(brief.ripeAfter())
                    : taken.delivery();
            yield = yield.plus(supply.yield(group.product(), graft.day(), had, graft.cups()));
            reasons.addAll(becauseOf(supply, group.product(), graft.day(), graft.cups()));
        }
        if (group.demands().size() > 1) {
            reasons.add(Reason.of(Source.derived("one distribution for all of them"), "plan.together",
                    group.demands().size(), group.count()));
        }
        Promise.State state = state(group, taken);
        if (state != Promise.State.HOLDS) {
            reasons.addAll(whyNot(group, all, waysOut));
        }
        return new Promise(demand, state, yield.atLeast(upToHere), Optional.of(taken.delivery()), taken.daysLate(),
                taken.cups(), reasons);
    }

    static Reason becauseOf(RunningShares.Share share) {
        return Reason.of(Source.derived("what is on its way, by its own losses"), "plan.running", share.alive(),
                share.batch().id());
    }

    static List<Reason> becauseOf(Supply supply, Product product, LocalDate graft, int cups) {
        List<Reason> because = new ArrayList<>();
        because.add(Reason.of(Source.derived("the smallest number that does, by the exact distribution"), "plan.graft",
                cups, graft));
        if (product.losses().size() > 3) {
            because.add(Reason.of(Source.derived("chance of two fit afternoons, emergence + 5 to + 21"), "plan.weather",
                    Math.round(supply.matingWeather(graft) * 100) + " %"));
        }
        return because;
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

    private List<SeasonPlan.WayOut> waysOut(SeasonModel.Solution solution, List<List<Recipe>> recipes,
            List<BuilderClass> classes) {
        Set<PromiseGroup> before = holding(solution.choices());
        List<SeasonPlan.WayOut> ways = new ArrayList<>();
        Relaxation[] kinds = Relaxation.values();
        for (int index = 0; index < kinds.length; index++) {
            if (watch.isStopped() || deadline.isOver()) {
                break;
            }
            Relaxation kind = kinds[index];
            double seconds = Math.max(SHORTEST_SEARCH_SECONDS,
                    deadline.secondsLeft() / (kinds.length - index) * FOR_THE_PLAN);
            relaxed(kind, recipes, classes, solution).solve(seconds, SolveWatch.NONE)
                    .flatMap(relaxed -> wayOut(kind, before, relaxed)).ifPresent(ways::add);
        }
        ways.sort(Comparator.comparingInt((SeasonPlan.WayOut way) -> -way.helps().size())
                .thenComparing(SeasonPlan.WayOut::kind));
        return ways;
    }

    /** The same season with one thing more. */
    private SeasonModel relaxed(Relaxation kind, List<List<Recipe>> recipes, List<BuilderClass> classes,
            SeasonModel.Solution found) {
        Optional<SeasonModel.Solution> known = Optional.of(found);
        return switch (kind) {
            case NUCS, HOURS, CAGES -> new SeasonModel(brief, groups, recipes, classes, Optional.of(kind), known);
            case LATER -> {
                List<Integer> delays = new ArrayList<>(RecipeFinder.LATE_BY);
                delays.addAll(RecipeFinder.MUCH_LATER);
                yield new SeasonModel(brief, groups, recipes(brief, delays), classes, Optional.of(kind), known);
            }
            case DAYS_OFF -> {
                SeasonBrief with = brief
                        .withCrew(new Crew(brief.crew().hoursADay(), Set.of(), brief.crew().closed()));
                yield new SeasonModel(with, groups, recipes(with, RecipeFinder.LATE_BY), classes, Optional.of(kind),
                        known);
            }
            case BUILDERS -> {
                List<BuilderClass> more = new ArrayList<>(classes);
                more.add(new BuilderClass(List.of(new CellBuilder("+", BuilderSchool.STARTER_THEN_FINISHER, 30,
                        brief.today().plusDays(2), List.of()))));
                yield new SeasonModel(brief, groups, recipes(withBuilder(brief), RecipeFinder.LATE_BY), more,
                        Optional.of(kind), known);
            }
        };
    }

    /** With more builders a day takes more cups; without this no recipe would use them. */
    private SeasonBrief withBuilder(SeasonBrief with) {
        List<CellBuilder> more = new ArrayList<>(with.builders());
        for (int index = 0; index < 4; index++) {
            more.add(new CellBuilder("+" + index, BuilderSchool.STARTER_THEN_FINISHER, 30, with.today().plusDays(2),
                    List.of()));
        }
        return new SeasonBrief(with.today(), with.until(), with.demands(), with.breeders(), more, with.nucs(),
                with.busyNucs(), with.cages(), with.drones(), with.crew(), with.rates(), with.climate(),
                with.running(), with.before(), with.locks(), with.how(), with.assumptions());
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
            boolean better = one.getValue().filter(recipe -> state(group, recipe) == Promise.State.HOLDS
                    || kind == Relaxation.LATER && state(group, recipe) == Promise.State.LATE).isPresent();
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
