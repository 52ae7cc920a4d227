package vividcrown.core.season.plan;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IntSummaryStatistics;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;

/**
 * Goes through the season day by day and decides whose grafts begin, as if builders needed no rest and nucs and hours were without number. What
 * counts for the days to come is only who is still without grafts and how many cups are to be grafted on which day: of all ways that lead
 * there the cheapest is kept. What the prices of grafts say about the days to come (see {@link GraftPrices}) shows which of them may still
 * become the best plan; of these so many are kept, and the cheapest that was dropped bounds what is not known (dynamic programming with bounds; Morin and
 * Marsten, Operations Research 24, 1976; from memory).
 */
final class DaysInTurn {

    /**
     * @param bound no plan costs less, minutes with penalties
     * @param choices of each group, the cheapest that was found
     */
    record Found(double bound, Optional<List<Optional<Recipe>>> choices) {
    }

    /** Of sums of prices. */
    private static final double ROUNDING = 1e-6;
    /** On a day no more is looked at than so many times what is kept: where much falls due at once there is no end of it. */
    private static final int LOOKED_AT = 60;
    private static final Comparator<Standing> BEST_FIRST = Comparator.comparingDouble(Standing::atLeast)
            .thenComparing(Standing::cost).thenComparing(Standing::cups, Arrays::compare)
            .thenComparing(one -> one.open().toString());

    private final OfferedGrafts grafts;
    private final GraftPrices prices;
    private final int breadth;
    /** Of each day and group: the recipes whose first graft is then. */
    private final int[][][] begin;
    /** Of each day and group: what it costs at the least, as charged, if it is begun on that day or later, or never. */
    private final double[][] later;
    /** Of each day: what it and all after it cost at the least, less what is charged. */
    private final double[] daysLater;
    private final Standing start;
    private final double notDearerThan;
    private double dropped = Double.POSITIVE_INFINITY;

    /**
     * Where one stands after a day.
     *
     * @param open groups for which nothing was begun
     * @param cups to be grafted on each of the days to come, because recipes were begun
     * @param charged for these
     * @param cost of what was begun, and of the days that are over
     * @param atLeast no plan from here costs less
     * @param begun on that day
     */
    private record Standing(BitSet open, int[] cups, double[] charged, double cost, double atLeast,
            Optional<Standing> before, List<Integer> begun) {
    }

    /** What the days to come depend on. */
    private record Ahead(BitSet open, int[] cups) {
        @Override
        public boolean equals(Object other) {
            return other instanceof Ahead that && open.equals(that.open) && Arrays.equals(cups, that.cups);
        }

        @Override
        public int hashCode() {
            return 31 * open.hashCode() + Arrays.hashCode(cups);
        }
    }

    private DaysInTurn(GraftPrices prices, double known, int breadth) {
        this.grafts = prices.left();
        this.prices = prices;
        this.notDearerThan = known;
        this.breadth = breadth;
        int days = grafts.days().size();
        this.begin = new int[days][grafts.groups()][];
        this.later = new double[days + 1][grafts.groups()];
        this.daysLater = new double[days + 1];
        int most = 0;
        for (int group = 0; group < grafts.groups(); group++) {
            Map<Integer, List<Integer>> its = new HashMap<>();
            for (int recipe : grafts.recipesOf()[group]) {
                IntSummaryStatistics on = IntStream.of(grafts.graftsOf()[recipe]).map(one -> grafts.dayOf()[one])
                        .summaryStatistics();
                its.computeIfAbsent(on.getMin(), _ -> new ArrayList<>()).add(recipe);
                most = Math.max(most, on.getMax() - on.getMin());
            }
            later[days][group] = grafts.withoutGraft()[group];
            for (int day = days - 1; day >= 0; day--) {
                begin[day][group] = its.getOrDefault(day, List.of()).stream().mapToInt(Integer::intValue).toArray();
                later[day][group] = Math.min(later[day + 1][group],
                        IntStream.of(begin[day][group]).mapToDouble(prices::ofRecipe).min().orElse(Double.MAX_VALUE));
            }
        }
        for (int day = days - 1; day >= 0; day--) {
            daysLater[day] = daysLater[day + 1] + prices.ofDay(day);
        }
        BitSet all = new BitSet();
        all.set(0, grafts.groups());
        this.start = new Standing(all, new int[most + 1], new double[most + 1], 0,
                daysLater[0] + DoubleStream.of(later[0]).sum(), Optional.empty(), List.of());
    }

    /**
     * @param known cost of a plan: what must cost more is not followed
     * @param effort how many rounds for the prices, and how many ways are followed at once
     */
    static Found of(SeasonBrief brief, List<PromiseGroup> groups, List<List<Recipe>> recipes,
            List<BuilderClass> classes,
            double known, Effort effort) {
        OfferedGrafts grafts = OfferedGrafts.of(brief, groups, recipes, classes);
        GraftPrices prices = GraftPrices.of(grafts, known, effort.rounds());
        return new DaysInTurn(prices, known, effort.breadth()).found(recipes);
    }

    private Found found(List<List<Recipe>> recipes) {
        List<Standing> here = List.of(start);
        for (int day = 0; day < grafts.days().size(); day++) {
            here = kept(new Beginning(day).from(here));
        }
        // after the last day nothing is left to guess
        Optional<Standing> best = here.stream().min(Comparator.comparingDouble(Standing::atLeast));
        double followed = Math.min(dropped, best.map(Standing::atLeast).orElse(dropped));
        // what was left out costs more than the plan that is known, nobody knows how much more
        double bound = Math.min(notDearerThan, Math.max(prices.bound(), followed));
        return new Found(Math.ceil(bound - ROUNDING), best.map(one -> choices(one, recipes)));
    }

    private List<Standing> kept(Map<Ahead, Standing> next) {
        List<Standing> kept = new ArrayList<>(next.values());
        // of equals the same on every machine
        kept.sort(BEST_FIRST);
        if (kept.size() > breadth) {
            dropped = Math.min(dropped, kept.get(breadth).atLeast());
            return kept.subList(0, breadth);
        }
        return kept;
    }

    private List<Optional<Recipe>> choices(Standing last, List<List<Recipe>> recipes) {
        Set<Integer> begun = new HashSet<>();
        for (Optional<Standing> at = Optional.of(last); at.isPresent(); at = at.get().before()) {
            begun.addAll(at.get().begun());
        }
        List<Optional<Recipe>> choices = new ArrayList<>();
        for (int group = 0; group < grafts.groups(); group++) {
            int at = group;
            choices.add(IntStream.of(grafts.recipesOf()[group]).filter(begun::contains)
                    .mapToObj(number -> recipes.get(at).get(grafts.place()[number])).findFirst()
                    .or(() -> recipes.get(at).stream().filter(one -> one.grafts().isEmpty()).findFirst()));
        }
        return choices;
    }

    /**
     * All that may be begun on a day, from where one stands: one group after the other begins nothing or one of its recipes. What is begun already and
     * what the groups that follow could add at the best shows early which of it leads nowhere.
     */
    private final class Beginning {
        private final int day;
        /** Groups of which something may begin; the others cost the same whether it is this day or later. */
        private final int[] beginners;
        private final double[][] ahead;
        private final Map<Ahead, Standing> next = new HashMap<>();
        /** The dearest first, of as many as are kept. */
        private final PriorityQueue<Double> kept = new PriorityQueue<>(Comparator.reverseOrder());
        private int looked;

        private Standing from;
        private BitSet open = new BitSet();
        private int[] cups = new int[0];
        private double[] charged = new double[0];
        private final Deque<Integer> begun = new ArrayDeque<>();
        private double cost;

        Beginning(int day) {
            this.day = day;
            this.beginners = IntStream.range(0, grafts.groups()).filter(group -> begin[day][group].length > 0)
                    .toArray();
            this.ahead = ahead(day, beginners);
            this.from = start;
        }

        Map<Ahead, Standing> from(List<Standing> standings) {
            for (Standing standing : standings) {
                from = standing;
                open = (BitSet) standing.open().clone();
                cups = standing.cups().clone();
                charged = standing.charged().clone();
                cost = standing.cost();
                on(0, standing.atLeast() - (daysLater[day] - daysLater[day + 1]));
            }
            return next;
        }

        /**
         * @param at which of those of which something may begin
         * @param less what any plan from here costs at the least, without this day
         */
        private void on(int at, double less) {
            if (cups[0] >= ahead[at].length) {
                return;
            }
            double atLeast = less + ahead[at][cups[0]] - charged[0];
            if (atLeast > most() || ++looked > LOOKED_AT * breadth) {
                dropped = Math.min(dropped, atLeast);
                return;
            }
            if (at == beginners.length) {
                end(atLeast);
                return;
            }
            int group = beginners[at];
            on(at + 1, open.get(group) ? less + later[day + 1][group] - later[day][group] : less);
            if (open.get(group)) {
                open.clear(group);
                for (int recipe : begin[day][group]) {
                    change(recipe, 1);
                    begun.push(recipe);
                    on(at + 1, less + prices.ofRecipe(recipe) - later[day][group]);
                    begun.pop();
                    change(recipe, -1);
                }
                open.set(group);
            }
        }

        /** Nothing dearer is followed: it is in no better plan, or there are enough that are cheaper. */
        private double most() {
            return kept.size() < breadth ? notDearerThan : Math.min(notDearerThan, kept.element());
        }

        private void change(int recipe, int times) {
            cost += times * grafts.cost()[recipe];
            for (int graft : grafts.graftsOf()[recipe]) {
                int on = grafts.dayOf()[graft] - day;
                cups[on] += times * grafts.cups()[graft];
                charged[on] += times * prices.of(graft);
            }
        }

        private void end(double atLeast) {
            double after = cost + grafts.dayCost()[day][cups[0]];
            Ahead there = new Ahead((BitSet) open.clone(), Arrays.copyOfRange(cups, 1, cups.length + 1));
            Standing known = next.get(there);
            if (known == null || after < known.cost()) {
                next.put(there,
                        new Standing(there.open(), there.cups(), Arrays.copyOfRange(charged, 1, charged.length + 1),
                                after, atLeast, Optional.of(from), List.copyOf(begun)));
            }
            if (known == null) {
                kept.add(atLeast);
                if (kept.size() > breadth) {
                    kept.remove();
                }
            }
        }
    }

    /** By group, that one and those after it, and cups that are to be grafted on that day: the least that the day costs, less what they are charged. */
    private double[][] ahead(int day, int[] beginners) {
        double[][] ahead = new double[beginners.length + 1][];
        ahead[beginners.length] = grafts.dayCost()[day];
        for (int at = beginners.length - 1; at >= 0; at--) {
            double[] after = ahead[at + 1];
            double[] with = after.clone();
            for (int recipe : begin[day][beginners[at]]) {
                for (int graft : grafts.graftsOf()[recipe]) {
                    int its = grafts.cups()[graft];
                    for (int cups = 0; grafts.dayOf()[graft] == day && cups + its < with.length; cups++) {
                        with[cups] = Math.min(with[cups], after[cups + its] - prices.of(graft));
                    }
                }
            }
            ahead[at] = with;
        }
        return ahead;
    }
}
