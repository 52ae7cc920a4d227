package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static vividcrown.core.season.Seasons.day;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vividcrown.core.season.BatchLock;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.Crew;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.RecipeFinder;
import vividcrown.core.season.recipe.RecipeShelf;
import vividcrown.core.season.recipe.WorkTime;

/** The season day by day without its narrower limits: against trying every choice, and against what the solver finds with them. */
class DaysInTurnTest {

    private static final Effort WIDE = new Effort(2, 60);

    private record Asked(Drafts drafts, List<List<Recipe>> recipes) {
        static Asked of(SeasonBrief brief) {
            Drafts drafts = Drafts.of(brief, new RecipeShelf());
            return new Asked(drafts, drafts.book().of(drafts.running()::of, RecipeFinder.LATE_BY, List.of()));
        }

        DaysInTurn.Found found(double known, Effort effort) {
            return DaysInTurn.of(drafts.brief(), drafts.groups(), recipes, drafts.classes(), known, effort);
        }

        /** Any plan will do for one that is known. */
        double known() {
            return drafts.greedy(recipes, WIDE, SolveWatch.untilInterrupted()).cost() + 500;
        }

        SeasonModel.Solution solved(Effort effort) {
            return drafts.model(recipes, drafts.greedy(recipes, WIDE, SolveWatch.untilInterrupted()))
                    .solve(0, effort, SolveWatch.untilInterrupted()).orElseThrow();
        }
    }

    /** Builders enough that are all alike, no need of rest. */
    private static SeasonBrief roomy(int orders, long seed) {
        return Seasons.brief(Seasons.random(orders, 1, 60, seed).demands(),
                IntStream.rangeClosed(1, 8).mapToObj(number -> Seasons.builder("B " + number, 45)).toList(), 4000,
                Crew.EVERY_DAY);
    }

    /** Every choice of every group, its loads counted from the cups of each day alone. */
    private static double cheapest(Asked asked) {
        return cheapest(asked, 0, new HashMap<>(), 0, new double[]{Double.MAX_VALUE});
    }

    private static double cheapest(Asked asked, int group, Map<LocalDate, Integer> cups, double cost, double[] best) {
        if (group == asked.recipes().size()) {
            double loads = cups.values().stream().mapToInt(all -> Math.ceilDiv(all, 45)).sum();
            best[0] = Math.min(best[0], cost + loads * WorkTime.LOAD);
            return best[0];
        }
        PromiseGroup wanted = asked.drafts().groups().get(group);
        List<Optional<Recipe>> ways = new ArrayList<>(asked.recipes().get(group).stream().map(Optional::of).toList());
        ways.add(Optional.empty());
        for (Optional<Recipe> way : ways) {
            double more = way.map(one -> PlanCost.of(asked.drafts().brief()).of(one, wanted))
                    .orElse(PlanCost.of(asked.drafts().brief()).ofUnmet(wanted));
            if (cost + more < best[0]) {
                way.ifPresent(
                        one -> one.grafts().forEach(graft -> cups.merge(graft.day(), graft.cups(), Integer::sum)));
                cheapest(asked, group + 1, cups, cost + more, best);
                way.ifPresent(
                        one -> one.grafts().forEach(graft -> cups.merge(graft.day(), -graft.cups(), Integer::sum)));
            }
        }
        return best[0];
    }

    private static double costOf(Asked asked, List<Optional<Recipe>> choices) {
        Map<LocalDate, Integer> cups = new HashMap<>();
        double cost = 0;
        for (int group = 0; group < choices.size(); group++) {
            PromiseGroup wanted = asked.drafts().groups().get(group);
            cost += choices.get(group).map(one -> PlanCost.of(asked.drafts().brief()).of(one, wanted))
                    .orElse(PlanCost.of(asked.drafts().brief()).ofUnmet(wanted));
            choices.get(group).ifPresent(
                    one -> one.grafts().forEach(graft -> cups.merge(graft.day(), graft.cups(), Integer::sum)));
        }
        return cost + cups.values().stream().mapToInt(all -> Math.ceilDiv(all, 45)).sum() * (double) WorkTime.LOAD;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void of_a_few_orders_it_finds_the_cheapest_of_all_choices(long seed) {
        Asked asked = Asked.of(roomy(4, seed));
        double cheapest = cheapest(asked);
        DaysInTurn.Found found = asked.found(asked.known(), WIDE);
        assertThat(found.bound()).isCloseTo(cheapest, within(1e-6));
        assertThat(costOf(asked, found.choices().orElseThrow())).isCloseTo(cheapest, within(1e-6));
    }

    /** However little is followed, and whatever is known: it never says more than the cheapest costs. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void with_little_effort_it_says_less_but_never_too_much(long seed) {
        Asked asked = Asked.of(roomy(4, seed));
        double cheapest = cheapest(asked);
        for (double known : new double[]{cheapest, cheapest + 100, 2 * cheapest}) {
            assertThat(asked.found(known, new Effort(0.001, 60)).bound()).isLessThanOrEqualTo(cheapest + 1e-6)
                    .isGreaterThan(cheapest * 0.9);
        }
        // told of a plan that there cannot be, it does not claim that there is none dearer
        assertThat(asked.found(cheapest * 0.9, WIDE).bound()).isLessThanOrEqualTo(cheapest + 1e-6);
    }

    /** With rests, few nucs and hours, grafts that are fixed and builders of different worth a plan costs more, never less. */
    @ParameterizedTest
    @ValueSource(longs = {21, 22, 23, 24, 25, 26})
    void no_plan_within_all_limits_costs_less(long seed) {
        SeasonBrief scarce = Seasons.withRecords(Seasons.random(6, 2, 40, seed), seed);
        List<CellBuilder> builders = scarce.means().builders();
        SeasonBrief fixed = Seasons.brief(scarce.demands(), builders, 40, scarce.means().crew(), List.of(),
                List.of(new BatchLock(builders.getFirst().id(), day(20), 12, Optional.empty())),
                List.of(new BatchLock(builders.getLast().id(), day(33), 30, Optional.empty())));
        for (SeasonBrief brief : Set.of(scarce, fixed)) {
            Asked asked = Asked.of(brief);
            SeasonModel.Solution solved = asked.solved(new Effort(1, 60));
            assertThat(asked.found(asked.known(), WIDE).bound()).isLessThanOrEqualTo(solved.cost() + 1e-6);
            assertThat(asked.found(solved.cost(), new Effort(0.2, 60)).bound())
                    .isLessThanOrEqualTo(solved.cost() + 1e-6);
        }
    }

    @Test
    void a_large_season_is_bounded_closely_and_its_plan_begun_well() {
        Asked asked = Asked.of(Seasons.random(40, 12, 400, 7));
        double greedy = asked.drafts().greedy(asked.recipes(), WIDE, SolveWatch.untilInterrupted()).cost();
        DaysInTurn.Found found = asked.found(greedy, new Effort(0.5, 60));
        assertThat(costOf(asked, found.choices().orElseThrow())).isLessThan(greedy)
                .isBetween(found.bound(), found.bound() * 1.01);
    }
}
