package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import vividcrown.core.season.BatchLock;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.WorkTime;

/**
 * What all recipes offer to graft, and what a day costs by the cups that are grafted on it, as if builders needed no rest, nucs were without
 * number and days without end: no plan is cheaper than the cheapest of these. In plain arrays, for they are gone over some thousand times.
 *
 * @param days on which anything may be grafted, in order
 * @param cost of each recipe, minutes with penalties, all groups' recipes in one row
 * @param place of each recipe: which of its group's
 * @param recipesOf of each group: which of that row
 * @param withoutGraft of each group: what it costs to graft nothing for it
 * @param graftsOf of each recipe: which grafts
 * @param cups of each graft
 * @param dayOf of each graft: which of the days
 * @param onDay of each day: the grafts of each group that could graft then
 * @param dayCost of each day, by cups: its loads and what better builders save, up to what all builders hold
 */
record OfferedGrafts(List<LocalDate> days, int[] cost, int[] place, int[][] recipesOf, int[] withoutGraft,
        int[][] graftsOf, int[] cups,
        int[] dayOf, int[][][] onDay, double[][] dayCost) {

    static OfferedGrafts of(SeasonBrief brief, List<PromiseGroup> groups, List<List<Recipe>> recipes,
            List<BuilderClass> classes) {
        PlanCost plan = PlanCost.of(brief);
        LoadsBefore before = LoadsBefore.of(brief, classes);
        List<LocalDate> inOrder = List.copyOf(SeasonModel.graftDays(brief, recipes));
        List<Integer> cost = new ArrayList<>();
        List<Integer> place = new ArrayList<>();
        List<int[]> graftsOf = new ArrayList<>();
        List<Integer> cups = new ArrayList<>();
        List<Integer> dayOf = new ArrayList<>();
        List<Map<Integer, List<Integer>>> onDay = new ArrayList<>();
        inOrder.forEach(_ -> onDay.add(new TreeMap<>()));
        int[][] recipesOf = new int[groups.size()][];
        int[] withoutGraft = new int[groups.size()];
        for (int group = 0; group < groups.size(); group++) {
            withoutGraft[group] = plan.ofUnmet(groups.get(group));
            List<Integer> its = new ArrayList<>();
            for (int number = 0; number < recipes.get(group).size(); number++) {
                Recipe recipe = recipes.get(group).get(number);
                int costs = plan.of(recipe, groups.get(group));
                if (recipe.grafts().isEmpty()) {
                    withoutGraft[group] = Math.min(withoutGraft[group], costs);
                    continue;
                }
                its.add(cost.size());
                cost.add(costs);
                place.add(number);
                int[] itsGrafts = new int[recipe.grafts().size()];
                for (int graft = 0; graft < itsGrafts.length; graft++) {
                    itsGrafts[graft] = cups.size();
                    int day = inOrder.indexOf(recipe.grafts().get(graft).day());
                    onDay.get(day).computeIfAbsent(group, _ -> new ArrayList<>()).add(cups.size());
                    cups.add(recipe.grafts().get(graft).cups());
                    dayOf.add(day);
                }
                graftsOf.add(itsGrafts);
            }
            recipesOf[group] = ints(its);
        }
        int[] cupsOf = ints(cups);
        int[][][] byGroup = onDay.stream()
                .map(one -> one.values().stream().map(OfferedGrafts::ints).toArray(int[][]::new))
                .toArray(int[][][]::new);
        return new OfferedGrafts(inOrder, ints(cost), ints(place), recipesOf, withoutGraft,
                graftsOf.toArray(int[][]::new), cupsOf,
                ints(dayOf), byGroup,
                IntStream.range(0, inOrder.size()).mapToObj(day -> dayCost(brief, classes, before, inOrder.get(day),
                        IntStream.range(0, byGroup[day].length).map(
                                group -> IntStream.of(byGroup[day][group]).map(graft -> cupsOf[graft]).max().orElse(0))
                                .sum()))
                        .toArray(double[][]::new));
    }

    private static int[] ints(List<Integer> numbers) {
        return numbers.stream().mapToInt(Integer::intValue).toArray();
    }

    /** The roomiest builders first: with others it costs no less. @param most cups that anybody could want of that day */
    private static double[] dayCost(SeasonBrief brief, List<BuilderClass> classes, LoadsBefore kept, LocalDate day,
            int most) {
        List<BatchLock> locks = brief.underway().locks().stream().filter(lock -> lock.day().equals(day)).toList();
        Set<String> locked = locks.stream().map(BatchLock::builder).collect(Collectors.toSet());
        int before = kept.on(day).values().stream().mapToInt(Integer::intValue).sum();
        List<Integer> rooms = classes.stream()
                .filter(one -> !day.isBefore(one.readyFrom()) && locked.stream().noneMatch(one::has))
                .flatMap(one -> one.builders().stream().map(_ -> one.load() * one.percent()))
                .sorted(Comparator.reverseOrder()).toList();
        int best = classes.stream().mapToInt(BuilderClass::percent).max().orElse(100);
        int lockedCups = locks.stream().mapToInt(BatchLock::cups).sum();
        int lockedRoom = lockedCups * best;
        int all = lockedRoom + rooms.stream().mapToInt(Integer::intValue).sum();
        double[] costs = new double[Math.min(most, all / 100) + 1];
        int loads = locks.size();
        int room = lockedRoom;
        for (int cups = 0; cups < costs.length; cups++) {
            while (room < cups * 100) {
                room += rooms.get(loads++ - locks.size());
            }
            costs[cups] = Double.POSITIVE_INFINITY;
            // a graft of the plan before that is left out costs more than to make it
            for (int made = loads; made <= Math.max(loads, before); made++) {
                costs[cups] = Math.min(costs[cups],
                        (double) made * WorkTime.LOAD + (double) PlanCost.CHANGED_GRAFT * Math.max(0, before - made));
            }
            int grafted = lockedCups + Math.ceilDiv(Math.max(0, cups * 100 - lockedRoom), best);
            costs[cups] += (double) (grafted - cups) * WorkTime.GRAFT_A_CUP;
        }
        return costs;
    }

    /** Only these recipes; their numbers and those of their grafts stay. */
    OfferedGrafts only(BitSet kept) {
        BitSet offered = new BitSet();
        kept.stream().flatMap(recipe -> IntStream.of(graftsOf[recipe])).forEach(offered::set);
        return new OfferedGrafts(days, cost, place,
                Arrays.stream(recipesOf).map(its -> IntStream.of(its).filter(kept::get).toArray())
                        .toArray(int[][]::new),
                withoutGraft, graftsOf, cups, dayOf,
                Arrays.stream(onDay).map(there -> Arrays.stream(there)
                        .map(its -> IntStream.of(its).filter(offered::get).toArray()).filter(its -> its.length > 0)
                        .toArray(int[][]::new)).toArray(int[][][]::new),
                dayCost);
    }

    int groups() {
        return recipesOf.length;
    }
}
