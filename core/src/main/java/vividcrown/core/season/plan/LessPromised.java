package vividcrown.core.season.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import java.util.stream.Stream;
import vividcrown.core.reason.Sentence;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.RecipeFinder;
import vividcrown.core.season.supply.Yield;

/** Ways out for whoever promises less: later, less sure or fewer, each planned again, and what is missing then bought in. */
final class LessPromised {

    /** Nobody promises what fails as often as not. */
    private static final double LEAST_PROMISED = 0.5;
    /** Of an order: the largest is sought to a thirtieth of it. */
    private static final int PARTS_TRIED = 5;

    private final Drafts drafts;
    private final Draft draft;
    private final Supplier<Effort> effort;
    private final SolveWatch watch;
    private final BooleanSupplier mayAsk;
    private final boolean quickly;
    private final Map<Demand, Promise.State> before;

    /**
     * @param effort for each question
     * @param mayAsk while there is time
     * @param quickly whether a part that can be promised will do, though a larger one might be
     */
    LessPromised(Drafts drafts, Draft draft, Supplier<Effort> effort, SolveWatch watch, BooleanSupplier mayAsk,
            boolean quickly) {
        this.drafts = drafts;
        this.draft = draft;
        this.effort = effort;
        this.watch = watch;
        this.mayAsk = mayAsk;
        this.quickly = quickly;
        this.before = draft.states();
    }

    /** What to ask for the orders of a group. */
    List<Supplier<List<SeasonPlan.WayOut>>> questions(int group) {
        return standing(group).stream().flatMap(one -> one.isSure()
                ? Stream.<Supplier<List<SeasonPlan.WayOut>>>of(() -> later(one))
                : Stream.<Supplier<List<SeasonPlan.WayOut>>>of(() -> lessSure(one), () -> fewer(one))).toList();
    }

    /**
     * How a demand that does not hold stands in the plan.
     *
     * @param chance of its whole number
     * @param surely so many come as surely as wanted, and in time
     */
    private record Standing(Demand demand, double chance, int daysLate, int surely) {

        boolean isSure() {
            return Promise.holds(chance, demand.assurance());
        }
    }

    /** Each demand of a group by what comes for all of it. */
    private List<Standing> standing(int at) {
        PromiseGroup group = drafts.groups().get(at);
        Yield all = draft.outcome().of(group).all();
        List<Standing> standing = new ArrayList<>();
        int before = 0;
        for (Demand demand : group.demands()) {
            double chance = all.atLeast(before + demand.count());
            int daysLate = draft.daysLate(demand);
            // late queens are none on the day
            standing.add(new Standing(demand, chance, daysLate, daysLate > 0 ? 0 : surely(all, before, demand)));
            before += demand.count();
        }
        return standing.stream().filter(one -> !one.isSure() || one.daysLate() > 0).toList();
    }

    private List<SeasonPlan.WayOut> later(Standing standing) {
        Demand demand = standing.demand();
        Recipe recipe = draft.solution().choices().get(draft.indexOf(demand.id())).orElseThrow();
        return List.of(told(Relaxation.LATER, standing.daysLate(), demand, Sentence.of("plan.wayOut.LATER.one",
                demand.id(), recipe.delivery(), standing.daysLate())));
    }

    private static int surely(Yield all, int before, Demand demand) {
        int surely = demand.count();
        while (surely > 0 && !Promise.holds(all.atLeast(before + surely), demand.assurance())) {
            surely--;
        }
        return surely;
    }

    private static SeasonPlan.WayOut told(Relaxation kind, int amount, Demand demand, Sentence text) {
        return SeasonPlan.WayOut.of(kind, amount, List.of(demand.id()), List.of(), 0, text);
    }

    private List<SeasonPlan.WayOut> lessSure(Standing standing) {
        Demand demand = standing.demand();
        int percent = (int) Math.floor(standing.chance() * 100);
        return standing.daysLate() == 0 && standing.chance() >= LEAST_PROMISED && holdsAs(demand.of(percent / 100.0))
                ? List.of(told(Relaxation.ASSURANCE, percent, demand,
                        Sentence.of("plan.wayOut.ASSURANCE", percent, demand.id())))
                : List.of();
    }

    /** A part can be promised, and the rest is bought in. */
    private List<SeasonPlan.WayOut> fewer(Standing standing) {
        Demand demand = standing.demand();
        List<SeasonPlan.WayOut> ways = new ArrayList<>();
        int part = canBePromised(standing) ? largestPart(standing) : 0;
        if (part > 0) {
            ways.add(told(Relaxation.FEWER, part, demand, Sentence.of("plan.wayOut.FEWER", part, demand.count(),
                    demand.id(), Math.round(100 * demand.assurance()))));
        }
        int bought = demand.count() - Math.max(part, standing.surely());
        ways.add(told(Relaxation.BUY_IN, bought, demand,
                Sentence.of(demand.line().isPresent() ? "plan.wayOut.BUY_IN.line" : "plan.wayOut.BUY_IN", bought,
                        demand.id(), demand.line().orElse(""))));
        return ways;
    }

    private boolean canBePromised(Standing standing) {
        PromiseGroup group = drafts.groups().get(draft.indexOf(standing.demand().id()));
        return standing.daysLate() == 0 && drafts.book().lineIsThere(group) && drafts.book().yardIsThere(group);
    }

    /** About the largest part that is kept without anybody losing by it; 0 if none is found. */
    private int largestPart(Standing standing) {
        Demand demand = standing.demand();
        int asItStands = standing.surely();
        int holds = asItStands > 0 && holdsAs(demand.of(asItStands)) ? asItStands : 0;
        int fails = holds == 0 && asItStands > 0 ? asItStands : demand.count();
        boolean willDo = holds > 0 && quickly;
        for (int tried = 0; tried < PARTS_TRIED && fails - holds > 1 && !willDo; tried++) {
            int middle = (holds + fails) / 2;
            if (holdsAs(demand.of(middle))) {
                holds = middle;
            } else {
                fails = middle;
            }
        }
        return holds;
    }

    private boolean holdsAs(Demand less) {
        if (!mayAsk.getAsBoolean()) {
            return false;
        }
        Drafts with = drafts.with(less);
        List<List<Recipe>> recipes = with.book().of(with.running()::of, RecipeFinder.LATE_BY,
                draft.solution().choices());
        return with.tried(recipes, draft.solution(), effort.get(), watch)
                .filter(then -> then.states().entrySet().stream()
                        .allMatch(one -> one.getKey().id().equals(less.id())
                                ? one.getValue() == Promise.State.HOLDS
                                : one.getValue().compareTo(Objects.requireNonNull(before.get(one.getKey()))) <= 0))
                .isPresent();
    }
}
