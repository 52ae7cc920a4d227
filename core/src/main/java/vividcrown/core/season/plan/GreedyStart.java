package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import vividcrown.core.season.BatchLock;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.WorkTime;

/**
 * A plan to begin the search with: one group after the other, those of the first priority first, takes the recipe that
 * costs least of those that still fit. It keeps every limit of {@link SeasonModel}, so the solver has a whole plan from its
 * first moment and only betters it.
 */
final class GreedyStart {

    /** Another graft day costs some minutes more: nobody is badly served by it. */
    private static final int NO_TROUBLE = 240;

    private final SeasonBrief brief;
    private final PlanCost costs;
    private final LoadsBefore before;
    private final List<PromiseGroup> groups;
    private final List<List<Recipe>> recipes;
    private final List<BuilderClass> classes;
    private final List<Optional<String>> lines;
    private Map<LocalDate, Grafting> days = new TreeMap<>();
    private final NucsAndCages places;
    private final Hours hours;
    private Map<Taken, Integer> taken = new HashMap<>();
    private Map<LocalDate, Double> minutes = new HashMap<>();
    private Set<LocalDate> out = new HashSet<>();
    private final Map<PromiseGroup, List<NucsAndCages.Limit>> limits = new IdentityHashMap<>();
    /** Asked over and over, and nothing that is tried changes it. */
    private final Map<Taken, Integer> most = new HashMap<>();

    private record Taken(NucsAndCages.Limit limit, LocalDate day) {
    }

    /** What is loaded on a day, by class and line; what it gives and what is wanted of it, in hundredths of a cup. */
    private static final class Grafting {
        private final int[] loads;
        private final int[][] cups;
        private final boolean[] fixed;
        private final int[] wanted;

        Grafting(int classes, int lines) {
            this.loads = new int[classes];
            this.cups = new int[classes][lines];
            this.fixed = new boolean[classes];
            this.wanted = new int[lines];
        }

        Grafting copy() {
            Grafting copy = new Grafting(loads.length, wanted.length);
            System.arraycopy(loads, 0, copy.loads, 0, loads.length);
            System.arraycopy(fixed, 0, copy.fixed, 0, fixed.length);
            System.arraycopy(wanted, 0, copy.wanted, 0, wanted.length);
            for (int index = 0; index < cups.length; index++) {
                copy.cups[index] = cups[index].clone();
            }
            return copy;
        }
    }

    GreedyStart(SeasonBrief brief, List<PromiseGroup> groups, List<List<Recipe>> recipes, List<BuilderClass> classes) {
        this.brief = brief;
        this.costs = PlanCost.of(brief);
        this.groups = groups;
        this.recipes = recipes;
        this.classes = classes;
        this.lines = SeasonModel.linesAsked(groups);
        this.before = LoadsBefore.of(brief, classes);
        this.places = new NucsAndCages(brief);
        this.hours = new Hours(brief);
        groups.forEach(group -> limits.put(group, places.limits(group, groups)));
        brief.underway().locks().forEach(this::fix);
    }

    /**
     * Whoever is served badly comes earlier in the next round, and the cheapest of all rounds is taken ("squeaky wheel"; Joslin &amp;
     * Clements, Journal of Artificial Intelligence Research 10, 1999; from memory).
     *
     * @param rounds at most, 1 or more
     */
    SeasonModel.Solution plan(int rounds, SolveWatch watch) {
        Saved empty = save();
        List<Integer> order = new ArrayList<>(IntStream.range(0, groups.size()).boxed()
                .sorted(Comparator.comparing((Integer index) -> groups.get(index).priority())
                        .thenComparing(index -> groups.get(index).until()))
                .toList());
        SeasonModel.Solution best = served(order, nobodys());
        SeasonModel.Solution last = best;
        for (int round = 1; round < rounds && !watch.isStopped(); round++) {
            SeasonModel.Solution before = last;
            int[] trouble = IntStream.range(0, groups.size()).map(index -> trouble(index, before)).toArray();
            if (IntStream.of(trouble).sum() == 0) {
                break;
            }
            order.sort(Comparator.comparingInt(index -> -trouble[index]));
            restore(empty);
            last = served(order, nobodys());
            best = last.cost() < best.cost() ? last : best;
        }
        return best;
    }

    /** How much dearer a group is served than it could be alone, in minutes with penalties. */
    private int trouble(int index, SeasonModel.Solution plan) {
        PromiseGroup group = groups.get(index);
        int least = recipes.get(index).stream().mapToInt(one -> costs.of(one, group)).min()
                .orElse(costs.ofUnmet(group));
        int cost = plan.choices().get(index).map(one -> costs.of(one, group)).orElse(costs.ofUnmet(group));
        return cost - least > NO_TROUBLE ? cost - least : 0;
    }

    /** Each group takes the recipe that was thought of for it, if that fits; those whose does not, the cheapest that does. */
    SeasonModel.Solution near(List<Optional<Recipe>> thoughtOf) {
        return served(IntStream.range(0, groups.size()).boxed().toList(), thoughtOf);
    }

    private List<Optional<Recipe>> nobodys() {
        return groups.stream().map(_ -> Optional.<Recipe>empty()).toList();
    }

    /** One group after the other takes the way thought of, then the others the cheapest that still fits. */
    private SeasonModel.Solution served(List<Integer> order, List<Optional<Recipe>> thoughtOf) {
        List<Optional<Recipe>> choices = new ArrayList<>(nobodys());
        order.forEach(index -> choices.set(index,
                thoughtOf.get(index).flatMap(wanted -> recipes.get(index).stream().filter(wanted::isLike).findFirst())
                        .filter(recipe -> fits(groups.get(index), recipe))));
        order.stream().filter(index -> choices.get(index).isEmpty())
                .forEach(index -> choices.set(index, cheapest(groups.get(index), recipes.get(index))));
        Map<LocalDate, int[]> loads = new TreeMap<>();
        Map<LocalDate, int[][]> cups = new TreeMap<>();
        days.forEach((day, grafting) -> {
            loads.put(day, grafting.loads);
            cups.put(day, grafting.cups);
        });
        double cost = loads.values().stream().flatMapToInt(IntStream::of).sum() * (double) WorkTime.LOAD
                + (double) out.size() * hours.leastDrive() + before.notMade(loads);
        for (int index = 0; index < groups.size(); index++) {
            PromiseGroup group = groups.get(index);
            cost += choices.get(index).map(recipe -> costs.of(recipe, group))
                    .orElse(costs.ofUnmet(group));
        }
        return new SeasonModel.Solution(choices, loads, cups, 0, cost, 0, false, 0);
    }

    private void fix(BatchLock lock) {
        int at = IntStream.range(0, classes.size()).filter(index -> classes.get(index).has(lock.builder())).findFirst()
                .orElseThrow();
        Grafting day = on(lock.day());
        int line = lines.indexOf(lock.line().filter(one -> lines.contains(Optional.of(one))));
        day.loads[at] = 1;
        day.fixed[at] = true;
        day.cups[at][line] = lock.cups();
        isInHours(hours.load(lock.day()));
    }

    private Grafting on(LocalDate day) {
        return days.computeIfAbsent(day, _ -> new Grafting(classes.size(), lines.size()));
    }

    private Optional<Recipe> cheapest(PromiseGroup group, List<Recipe> ways) {
        Optional<Recipe> best = Optional.empty();
        int least = costs.ofUnmet(group);
        Saved before = save();
        Saved after = before;
        for (Recipe recipe : ways) {
            int cost = costs.of(recipe, group);
            if (cost < least) {
                OptionalLoads added = take(group, recipe);
                int more = added.loads() * WorkTime.LOAD + (out.size() - before.out().size()) * hours.leastDrive();
                if (added.fits() && cost + more < least) {
                    least = cost + more;
                    best = Optional.of(recipe);
                    after = save();
                }
                restore(before);
            }
        }
        restore(after);
        return best;
    }

    private boolean fits(PromiseGroup group, Recipe recipe) {
        Saved before = save();
        boolean fits = take(group, recipe).fits();
        if (!fits) {
            restore(before);
        }
        return fits;
    }

    private record Saved(Map<LocalDate, Grafting> days, Map<Taken, Integer> taken, Map<LocalDate, Double> minutes,
            Set<LocalDate> out) {
    }

    private record OptionalLoads(boolean fits, int loads) {
    }

    private Saved save() {
        return new Saved(days, taken, minutes, out);
    }

    /** Days are copied before they are changed, so what was saved stays as it was. */
    private void restore(Saved saved) {
        days = saved.days();
        taken = saved.taken();
        minutes = saved.minutes();
        out = saved.out();
    }

    private OptionalLoads take(PromiseGroup group, Recipe recipe) {
        days = new TreeMap<>(days);
        taken = new HashMap<>(taken);
        minutes = new HashMap<>(minutes);
        out = new HashSet<>(out);
        int loads = 0;
        for (Recipe.Graft graft : recipe.grafts()) {
            OptionalLoads added = graft(graft.day(), graft.cups(), lines.indexOf(group.line()));
            if (!added.fits() || !places(group, recipe, graft)) {
                return new OptionalLoads(false, 0);
            }
            loads += added.loads();
        }
        boolean inHours = isInHours(hours.delivering(recipe.delivery(), group.count()));
        if (hours.leastDrive() > 0) {
            for (LocalDate day : hours.outings(recipe, group.product())) {
                inHours &= !out.add(day) || isInHours(new Hours.Work(day, hours.leastDrive()));
            }
        }
        return new OptionalLoads(inHours, loads);
    }

    private boolean isInHours(Hours.Work work) {
        return minutes.merge(work.day(), work.minutes(), Double::sum) <= hours.most();
    }

    private boolean places(PromiseGroup group, Recipe recipe, Recipe.Graft graft) {
        boolean fits = isInHours(hours.grafting(graft.day(), graft.cups()));
        fits &= hours.placing(graft.day(), group.product(), graft.placed()).map(this::isInHours).orElse(true);
        for (NucsAndCages.Limit limit : Objects.requireNonNull(limits.get(group))) {
            for (LocalDate day : places.days(graft.day(), recipe.delivery()).toList()) {
                Taken here = new Taken(limit, day);
                fits &= taken.merge(here, NucsAndCages.tenths(graft.placed()), Integer::sum) <= NucsAndCages.TENTHS
                        * most.computeIfAbsent(here, _ -> places.most(limit, day));
            }
        }
        return fits;
    }

    /** Room in boxes that are loaded anyway comes first, then further boxes, the best first. */
    private OptionalLoads graft(LocalDate day, int cups, int line) {
        Grafting here = on(day).copy();
        days.put(day, here);
        here.wanted[line] += cups * 100;
        int none = lines.size() - 1;
        int loads = line == none ? 0 : fill(day, here, line, here.wanted[line] - gives(here, line));
        if (loads >= 0) {
            int all = IntStream.of(here.wanted).sum() - IntStream.range(0, lines.size()).map(one -> gives(here, one))
                    .sum();
            int more = fill(day, here, line, all);
            loads = more < 0 ? more : loads + more;
        }
        boolean fits = loads >= 0;
        for (int load = 0; load < loads; load++) {
            fits &= isInHours(hours.load(day));
        }
        return new OptionalLoads(fits, Math.max(0, loads));
    }

    private int gives(Grafting day, int line) {
        int sum = 0;
        for (int index = 0; index < classes.size(); index++) {
            sum += day.cups[index][line] * classes.get(index).percent();
        }
        return sum;
    }

    /** @return how many boxes more were loaded; −1 if there are not enough */
    private int fill(LocalDate day, Grafting here, int line, int missing) {
        List<Integer> best = IntStream.range(0, classes.size()).boxed()
                .sorted(Comparator.comparingInt(index -> -classes.get(index).percent() * classes.get(index).load()))
                .toList();
        int left = missing;
        int loads = 0;
        for (boolean another : new boolean[]{false, true}) {
            for (int index : best) {
                BuilderClass box = classes.get(index);
                while (left > 0 && !here.fixed[index]) {
                    int room = here.loads[index] * box.load() - IntStream.of(here.cups[index]).sum();
                    if (room == 0 && another && mayLoad(index, day, here)) {
                        here.loads[index]++;
                        loads++;
                        room = box.load();
                    }
                    if (room == 0) {
                        break;
                    }
                    int taken = Math.min(room, Math.ceilDiv(left, box.percent()));
                    here.cups[index][line] += taken;
                    left -= taken * box.percent();
                }
            }
        }
        return left > 0 ? -1 : loads;
    }

    /** Every stretch of days that holds this one must bear a load more. */
    private boolean mayLoad(int index, LocalDate day, Grafting here) {
        BuilderClass box = classes.get(index);
        return !day.isBefore(box.readyFrom()) && here.loads[index] < box.count()
                && BuilderRest.of(box.rhythm()).stretches().stream().allMatch(stretch -> bears(index, day, stretch));
    }

    private boolean bears(int index, LocalDate day, BuilderRest.Stretch stretch) {
        BuilderClass box = classes.get(index);
        return day.datesUntil(day.plusDays(stretch.days())).allMatch(end -> {
            int used = days.entrySet().stream()
                    .filter(one -> !one.getKey().isBefore(stretch.begin(end)) && !one.getKey().isAfter(end))
                    .mapToInt(one -> one.getValue().loads[index]).sum();
            return used + 1 <= stretch.left(box.count(), box.grafts(), end);
        });
    }
}
