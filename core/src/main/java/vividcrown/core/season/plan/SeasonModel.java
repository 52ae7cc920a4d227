package vividcrown.core.season.plan;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import vividcrown.core.demand.Product;
import vividcrown.core.season.BatchLock;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.WorkTime;
import vividcrown.core.solver.Solver;

/**
 * The season as a model for CP-SAT: each group of demands takes one of its recipes or none, builders are loaded so that
 * the cups fit, and no day has more nucs, cages, builders or hours in use than there are. Cost: minutes of work, with
 * penalties for what is late, at risk, unmet or changed.
 */
final class SeasonModel {

    static final int MOST_EXTRA = 400;

    private final SeasonBrief brief;
    private final PlanCost costs;
    private final List<PromiseGroup> groups;
    private final List<List<Recipe>> recipes;
    private final List<BuilderClass> classes;
    /** Those asked for by name, and none in particular. */
    private final List<Optional<String>> lines;
    private final TreeSet<LocalDate> days;
    private final CpModel model = new CpModel();
    private final LinearExprBuilder cost = LinearExpr.newBuilder();
    private final List<List<BoolVar>> chosen = new ArrayList<>();
    private final List<BoolVar> without = new ArrayList<>();
    private final Map<LocalDate, IntVar[]> loads = new TreeMap<>();
    /** By day, builder class and line. */
    private final Map<LocalDate, IntVar[][]> cups = new TreeMap<>();
    private final Optional<Relaxation> relaxed;
    private final Optional<IntVar> extra;
    private final Solution known;

    static {
        Solver.load();
    }

    /**
     * @param relaxed one thing of which more may be had, at a price
     * @param known a plan to begin the search with
     */
    SeasonModel(SeasonBrief brief, List<PromiseGroup> groups, List<List<Recipe>> recipes, List<BuilderClass> classes,
            Optional<Relaxation> relaxed, Solution known) {
        this.brief = brief;
        this.costs = PlanCost.of(brief);
        this.groups = groups;
        this.recipes = recipes;
        this.classes = classes;
        this.relaxed = relaxed;
        this.known = known;
        this.lines = linesAsked(groups);
        this.days = graftDays(brief, recipes);
        this.extra = relaxed.map(kind -> model.newIntVar(0, kind == Relaxation.BUILDERS ? 8 : MOST_EXTRA, "extra"));
        recipes();
        builders();
        cups();
        nucsAndCages();
        hours();
        keptGrafts();
        hint();
        relaxed.ifPresent(kind -> cost.addTerm(extra.orElseThrow(), PlanCost.ofMore(kind)));
        model.minimize(cost);
    }

    /** Days on which a recipe grafts, a graft is fixed, or the plan before grafts. */
    static TreeSet<LocalDate> graftDays(SeasonBrief brief, List<List<Recipe>> recipes) {
        TreeSet<LocalDate> days = new TreeSet<>();
        recipes.forEach(all -> all.forEach(one -> one.grafts().forEach(graft -> days.add(graft.day()))));
        brief.underway().locks().forEach(lock -> days.add(lock.day()));
        brief.underway().before().stream().map(BatchLock::day).filter(day -> !day.isBefore(brief.today()))
                .forEach(days::add);
        return days;
    }

    private void recipes() {
        for (int index = 0; index < groups.size(); index++) {
            PromiseGroup group = groups.get(index);
            List<BoolVar> choice = new ArrayList<>();
            for (Recipe recipe : recipes.get(index)) {
                BoolVar take = model.newBoolVar("");
                cost.addTerm(take, costs.of(recipe, group));
                choice.add(take);
            }
            BoolVar unmet = model.newBoolVar("");
            cost.addTerm(unmet, costs.ofUnmet(group));
            List<Literal> all = new ArrayList<>(choice);
            all.add(unmet);
            model.addExactlyOne(all);
            chosen.add(choice);
            without.add(unmet);
        }
    }

    private void hint() {
        for (int index = 0; index < groups.size(); index++) {
            boolean found = false;
            for (int option = 0; option < recipes.get(index).size(); option++) {
                boolean taken = !found
                        && known.choices().get(index).filter(recipes.get(index).get(option)::isLike).isPresent();
                found |= taken;
                model.addHint(chosen.get(index).get(option), taken);
            }
            model.addHint(without.get(index), !found);
        }
        loads.forEach((day, used) -> {
            int[] before = known.loads().getOrDefault(day, new int[0]);
            for (int index = 0; index < used.length; index++) {
                model.addHint(used[index], index < before.length ? before[index] : 0);
            }
        });
        cups.forEach((day, grafted) -> {
            int[][] before = known.cups().getOrDefault(day, new int[0][]);
            for (int index = 0; index < grafted.length; index++) {
                for (int line = 0; line < lines.size(); line++) {
                    model.addHint(grafted[index][line], index < before.length ? before[index][line] : 0);
                }
            }
        });
    }

    private void builders() {
        for (LocalDate day : days) {
            IntVar[] used = new IntVar[classes.size()];
            for (int index = 0; index < classes.size(); index++) {
                BuilderClass builders = classes.get(index);
                int most = day.isBefore(builders.readyFrom()) ? 0 : builders.count();
                used[index] = model.newIntVar(0, extraHere(index) ? 8 : most, "");
                cost.addTerm(used[index], WorkTime.LOAD);
            }
            loads.put(day, used);
        }
        for (int index = 0; index < classes.size(); index++) {
            BuilderClass builders = classes.get(index);
            for (BuilderRest.Stretch stretch : BuilderRest.of(builders.rhythm()).stretches()) {
                atMostInStretch(index, stretch);
            }
        }
        for (BatchLock lock : brief.underway().locks()) {
            model.addEquality(Objects.requireNonNull(loads.get(lock.day()))[classOf(lock.builder())], 1);
        }
    }

    /** The last class stands for the builders that one does not have, if more of them may be had. */
    private boolean extraHere(int index) {
        return relaxed.filter(kind -> kind == Relaxation.BUILDERS).isPresent() && index == classes.size() - 1;
    }

    private void atMostInStretch(int index, BuilderRest.Stretch stretch) {
        BuilderClass builders = classes.get(index);
        for (LocalDate end : days) {
            LinearExprBuilder sum = LinearExpr.newBuilder();
            days.subSet(stretch.begin(end), true, end, true)
                    .forEach(day -> sum.add(Objects.requireNonNull(loads.get(day))[index]));
            if (extraHere(index)) {
                sum.addTerm(extra.orElseThrow(), -stretch.loads());
                model.addLessOrEqual(sum, 0);
            } else {
                model.addLessOrEqual(sum, stretch.left(builders.count(), builders.grafts(), end));
            }
        }
    }

    private int classOf(String builder) {
        for (int index = 0; index < classes.size(); index++) {
            if (classes.get(index).has(builder)) {
                return index;
            }
        }
        throw new IllegalArgumentException("no builder " + builder);
    }

    /** The lines that anybody asks for by name, and none in particular: those cups are of whatever line. */
    static List<Optional<String>> linesAsked(List<PromiseGroup> groups) {
        List<Optional<String>> lines = new ArrayList<>(groups.stream().map(PromiseGroup::line)
                .filter(Optional::isPresent).distinct().sorted(Comparator.comparing(Optional::orElseThrow)).toList());
        lines.add(Optional.empty());
        return lines;
    }

    /**
     * What is grafted on a day, by builder and by line, gives what the recipes chosen want of it: a cup in a good builder
     * gives more than a cup of which nothing is known.
     */
    private void cups() {
        for (LocalDate day : days) {
            IntVar[][] grafted = new IntVar[classes.size()][lines.size()];
            LinearExprBuilder gives = LinearExpr.newBuilder();
            for (int index = 0; index < classes.size(); index++) {
                LinearExprBuilder load = LinearExpr.newBuilder();
                for (int line = 0; line < lines.size(); line++) {
                    IntVar here = model.newIntVar(0, (long) classes.get(index).load() * 8, "");
                    grafted[index][line] = here;
                    load.add(here);
                    gives.addTerm(here, classes.get(index).percent());
                    cost.addTerm(here, WorkTime.GRAFT_A_CUP);
                }
                load.addTerm(Objects.requireNonNull(loads.get(day))[index], -classes.get(index).load());
                model.addLessOrEqual(load, 0);
            }
            cups.put(day, grafted);
            addWanted(gives, day, Optional.empty(), -100);
            // cups beyond what is wanted come only from fixed grafts
            model.addGreaterOrEqual(gives, 0);
            addWanted(cost, day, Optional.empty(), -WorkTime.GRAFT_A_CUP);
            for (int line = 0; line < lines.size() - 1; line++) {
                LinearExprBuilder ofLine = LinearExpr.newBuilder();
                for (int index = 0; index < classes.size(); index++) {
                    ofLine.addTerm(grafted[index][line], classes.get(index).percent());
                }
                addWanted(ofLine, day, lines.get(line), -100);
                model.addGreaterOrEqual(ofLine, 0);
            }
        }
        wholeLoads();
        for (BatchLock lock : brief.underway().locks()) {
            LinearExprBuilder fixed = LinearExpr.newBuilder();
            IntVar[] there = Objects.requireNonNull(cups.get(lock.day()))[classOf(lock.builder())];
            Optional<String> asked = lock.line().filter(line -> lines.contains(Optional.of(line)));
            for (int line = 0; line < lines.size(); line++) {
                fixed.add(there[line]);
                if (lock.line().isPresent() && !asked.equals(lines.get(line))) {
                    model.addEquality(there[line], 0);
                }
            }
            model.addEquality(fixed, lock.cups());
        }
    }

    /**
     * Builders are loaded whole: whatever recipe a group takes, its cups of a day take so many loads rounded up. This follows from the limits, but
     * in the solver's linear bound a recipe of ten cups would pay for a quarter of a load.
     */
    private void wholeLoads() {
        int most = classes.stream().mapToInt(one -> one.load() * one.percent()).max().orElse(1);
        for (LocalDate day : days) {
            for (int index = 0; index < groups.size(); index++) {
                LinearExprBuilder loaded = LinearExpr.newBuilder();
                boolean grafts = false;
                for (int option = 0; option < recipes.get(index).size(); option++) {
                    int cups = recipes.get(index).get(option).cupsOn(day);
                    if (cups > 0) {
                        grafts = true;
                        loaded.addTerm(chosen.get(index).get(option), -Math.ceilDiv(cups * 100, most));
                    }
                }
                if (grafts) {
                    loaded.addSum(Objects.requireNonNull(loads.get(day)));
                    model.addGreaterOrEqual(loaded, 0);
                }
            }
        }
    }

    /** Adds, so many times, what the recipes want on that day, of that line or in all. */
    private void addWanted(LinearExprBuilder sum, LocalDate day, Optional<String> line, int times) {
        eachGraft((group, take, graft) -> {
            if (graft.day().equals(day) && (line.isEmpty() || line.equals(group.line()))) {
                sum.addTerm(take, (long) times * graft.cups());
            }
        });
    }

    @FunctionalInterface
    private interface OfGraft {
        void tell(PromiseGroup group, BoolVar take, Recipe.Graft graft);
    }

    private void eachGraft(OfGraft each) {
        for (int index = 0; index < groups.size(); index++) {
            for (int option = 0; option < recipes.get(index).size(); option++) {
                for (Recipe.Graft graft : recipes.get(index).get(option).grafts()) {
                    each.tell(groups.get(index), chosen.get(index).get(option), graft);
                }
            }
        }
    }

    private void nucsAndCages() {
        NucsAndCages places = new NucsAndCages(brief);
        Map<NucsAndCages.Limit, Map<LocalDate, LinearExprBuilder>> taken = new LinkedHashMap<>();
        for (int index = 0; index < groups.size(); index++) {
            for (NucsAndCages.Limit limit : places.limits(groups.get(index), groups)) {
                Map<LocalDate, LinearExprBuilder> used = taken.computeIfAbsent(limit, _ -> new TreeMap<>());
                for (int option = 0; option < recipes.get(index).size(); option++) {
                    Recipe recipe = recipes.get(index).get(option);
                    BoolVar take = chosen.get(index).get(option);
                    recipe.grafts().forEach(graft -> places.days(graft.day(), recipe.delivery())
                            .forEach(day -> used.computeIfAbsent(day, _ -> LinearExpr.newBuilder())
                                    .addTerm(take, NucsAndCages.tenths(graft.placed()))));
                }
            }
        }
        taken.forEach((limit, byDay) -> byDay.forEach((day, used) -> atMost(used,
                NucsAndCages.TENTHS * places.most(limit, day),
                switch (limit.place()) {
                    case NUC -> Relaxation.NUCS;
                    case CAGE -> Relaxation.CAGES;
                }, NucsAndCages.TENTHS)));
    }

    private void hours() {
        Hours hours = new Hours(brief);
        Map<LocalDate, LinearExprBuilder> minutes = new TreeMap<>();
        loads.forEach((day, used) -> {
            for (IntVar one : used) {
                add(minutes, one, hours.load(day));
            }
        });
        eachGraft((group, take, graft) -> {
            add(minutes, take, hours.grafting(graft.day(), graft.cups()));
            hours.placing(graft.day(), group.product(), graft.placed()).ifPresent(work -> add(minutes, take, work));
        });
        for (int index = 0; index < groups.size(); index++) {
            for (int option = 0; option < recipes.get(index).size(); option++) {
                add(minutes, chosen.get(index).get(option),
                        hours.delivering(recipes.get(index).get(option).delivery(), groups.get(index).count()));
            }
        }
        if (hours.leastDrive() > 0) {
            outings(hours, minutes);
        }
        minutes.forEach((_, used) -> atMost(used, hours.most(), Relaxation.HOURS, 60));
    }

    /** On whatever day cells are placed or queens caught, one drives to one yard at the least; to which is chosen after. */
    private void outings(Hours hours, Map<LocalDate, LinearExprBuilder> minutes) {
        Map<LocalDate, BoolVar> out = new TreeMap<>();
        Set<LocalDate> before = new HashSet<>();
        for (int index = 0; index < groups.size(); index++) {
            for (int option = 0; option < recipes.get(index).size(); option++) {
                BoolVar take = chosen.get(index).get(option);
                hours.outings(recipes.get(index).get(option), groups.get(index).product()).forEach(day -> model
                        .addImplication(take, out.computeIfAbsent(day, _ -> model.newBoolVar(""))));
            }
            Product product = groups.get(index).product();
            known.choices().get(index).ifPresent(recipe -> before.addAll(hours.outings(recipe, product)));
        }
        out.forEach((day, drives) -> {
            cost.addTerm(drives, hours.leastDrive());
            add(minutes, drives, new Hours.Work(day, hours.leastDrive()));
            model.addHint(drives, before.contains(day));
        });
    }

    private static void add(Map<LocalDate, LinearExprBuilder> minutes, IntVar times, Hours.Work work) {
        minutes.computeIfAbsent(work.day(), _ -> LinearExpr.newBuilder()).addTerm(times, Math.round(work.minutes()));
    }

    private void atMost(LinearExprBuilder used, int most, Relaxation kind, int unit) {
        if (relaxed.filter(one -> one == kind).isPresent()) {
            used.addTerm(extra.orElseThrow(), -unit);
        }
        model.addLessOrEqual(used, most);
    }

    /** Each graft of the plan before that is not made any more costs as if it were work. */
    private void keptGrafts() {
        LoadsBefore.of(brief, classes).byDay().forEach((day, byClass) -> byClass.forEach((index, count) -> {
            IntVar missing = model.newIntVar(0, count, "");
            model.addGreaterOrEqual(
                    LinearExpr.newBuilder().add(missing).add(Objects.requireNonNull(loads.get(day))[index]), count);
            cost.addTerm(missing, PlanCost.CHANGED_GRAFT);
        }));
    }

    // --- solving -----------------------------------------------------------------------------------------------------

    /**
     * @param choices the recipe of each group, empty where it is unmet
     * @param loads by day, rising, and class: how many builders are loaded
     * @param cups by day, class of builders and line asked for
     * @param extra of what was relaxed
     */
    record Solution(List<Optional<Recipe>> choices, Map<LocalDate, int[]> loads, Map<LocalDate, int[][]> cups,
            int extra, double cost, double bound, boolean proven, double seconds) {

        /** Where more might have been chosen from than was. */
        Solution boundedBy(double less) {
            return new Solution(choices, loads, cups, extra, cost, Math.min(bound, less), proven && bound <= less,
                    seconds);
        }
    }

    /**
     * The best that is found, or the plan that it began with if there was too little time even to take that one up.
     *
     * @param atLeast no plan costs less: with one that costs no more it is done
     * @return empty if the locks cannot be kept together with builders and hours
     */
    Optional<Solution> solve(double atLeast, Effort effort, SolveWatch watch) {
        Searching.Best best = Searching.solve(model, atLeast, effort, watch);
        if (best.infeasible()) {
            return Optional.empty();
        }
        return Optional.of(best.hasPlan()
                ? read(best)
                : new Solution(known.choices(), known.loads(), known.cups(), 0, known.cost(), atLeast,
                        false, best.seconds()));
    }

    /** What is found; empty if there was too little time: the plan that it began with was one of another season. */
    Optional<Solution> tried(Effort effort, SolveWatch watch) {
        Searching.Best best = Searching.solve(model, 0, effort, watch);
        return best.hasPlan() ? Optional.of(read(best)) : Optional.empty();
    }

    private Solution read(Searching.Best best) {
        CpSolver solver = best.solver();
        List<Optional<Recipe>> choices = new ArrayList<>();
        for (int index = 0; index < groups.size(); index++) {
            Optional<Recipe> choice = Optional.empty();
            for (int option = 0; option < recipes.get(index).size(); option++) {
                if (solver.booleanValue(chosen.get(index).get(option))) {
                    choice = Optional.of(recipes.get(index).get(option));
                }
            }
            choices.add(choice);
        }
        Map<LocalDate, int[]> used = new TreeMap<>();
        Map<LocalDate, int[][]> grafted = new TreeMap<>();
        for (LocalDate day : days) {
            int[] perClass = new int[classes.size()];
            int[][] perLine = new int[classes.size()][lines.size()];
            for (int index = 0; index < classes.size(); index++) {
                perClass[index] = (int) solver.value(Objects.requireNonNull(loads.get(day))[index]);
                for (int line = 0; line < lines.size(); line++) {
                    perLine[index][line] = (int) solver.value(Objects.requireNonNull(cups.get(day))[index][line]);
                }
            }
            used.put(day, perClass);
            grafted.put(day, perLine);
        }
        return new Solution(choices, used, grafted, extra.map(one -> (int) solver.value(one)).orElse(0),
                solver.objectiveValue(), Math.max(0, best.bound()), best.proven(), best.seconds());
    }

    /** Builders that stand for themselves because a graft in them is fixed. */
    static Set<String> alone(SeasonBrief brief) {
        return brief.underway().locks().stream().map(BatchLock::builder).collect(Collectors.toSet());
    }
}
