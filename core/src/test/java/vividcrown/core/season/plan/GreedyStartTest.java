package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.core.season.Seasons.day;

import java.time.DayOfWeek;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vividcrown.core.demand.Product;
import vividcrown.core.season.BatchLock;
import vividcrown.core.season.Crew;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.RecipeFinder;
import vividcrown.core.season.recipe.WorkTime;
import vividcrown.core.season.supply.RunningShares;
import vividcrown.core.season.supply.Supply;

/** The plan that the search begins with. */
class GreedyStartTest {

    private record Begun(SeasonBrief brief, List<PromiseGroup> groups, List<List<Recipe>> recipes,
            SeasonModel.Solution plan, List<PlannedBatch> batches) {
    }

    private static Begun begin(SeasonBrief brief) {
        List<PromiseGroup> groups = PromiseGroup.of(brief.demands(), brief.today());
        Supply supply = new Supply(brief);
        RecipeFinder finder = new RecipeFinder(brief, supply, new RunningShares(brief, groups, supply)::of);
        List<List<Recipe>> recipes = groups.stream()
                .map(group -> finder.of(group, RecipeFinder.LATE_BY, Optional.empty())).toList();
        List<BuilderClass> classes = BuilderClass.of(brief.means().builders(), SeasonModel.alone(brief), brief.today(),
                _ -> 100);
        SeasonModel.Solution plan = new GreedyStart(brief, groups, recipes, classes)
                .plan(8, SolveWatch.untilInterrupted());
        List<Load> loads = new BatchSheet(brief, groups, classes).loads(plan);
        return new Begun(brief, groups, recipes, plan, new ParentsModel(brief, supply, loads).solve().batches());
    }

    /** Counted from the grafts alone, by another way than it was made. */
    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14, 15, 16, 17, 18})
    void no_limit_is_broken(long seed) {
        Begun begun = begin(Seasons.random(15, 4, 150, seed));
        assertThat(begun.batches()).isNotEmpty();
        assertThat(PlanCheck.of(begun.brief(), begun.batches(), List.of()).breaks()).isEmpty();
    }

    @Test
    void with_room_for_all_everybody_gets_the_cheapest_way() {
        SeasonBrief brief = Seasons.brief(Seasons.random(6, 1, 60, 3).demands(),
                IntStream.rangeClosed(1, 20).mapToObj(number -> Seasons.builder("B " + number, 45)).toList(), 2000,
                Crew.EVERY_DAY);
        Begun begun = begin(brief);
        for (int index = 0; index < begun.groups().size(); index++) {
            PromiseGroup group = begun.groups().get(index);
            int least = begun.recipes().get(index).stream().mapToInt(one -> PlanCost.of(brief).of(one, group)).min()
                    .orElseThrow();
            Recipe taken = begun.plan().choices().get(index).orElseThrow();
            // a way that needs one box fewer may cost up to a load more
            assertThat(PlanCost.of(brief).of(taken, group)).isBetween(least, least + WorkTime.LOAD);
        }
    }

    @Test
    void fixed_grafts_are_in_it_and_what_is_first_is_served_first() {
        Demand first = new Demand("first", Product.MATED_QUEENS, 12, day(40), day(44), Optional.empty(), 1, 0.9);
        Demand last = new Demand("last", Product.MATED_QUEENS, 12, day(36), day(39), Optional.empty(), 3, 0.9);
        SeasonBrief brief = Seasons.brief(List.of(last, first), List.of(Seasons.builder("B 1", 45)), 26,
                new Crew(16, Set.of(DayOfWeek.SUNDAY), Set.of()), List.of(), List.of(),
                List.of(new BatchLock("B 1", day(60), 20, Optional.of("grey"))));
        Begun begun = begin(brief);
        assertThat(begun.batches()).anySatisfy(batch -> {
            assertThat(batch.day()).isEqualTo(day(60));
            assertThat(batch.cups()).isEqualTo(20);
            assertThat(batch.line()).isEqualTo("grey");
            assertThat(batch.locked()).isTrue();
        });
        assertThat(begun.batches()).flatExtracting(PlannedBatch::shares).extracting(PlannedBatch.Share::demand)
                .contains("first");
    }

    /** However short the time and busy the machine, the plan begun with is kept. */
    @Test
    void a_search_without_time_keeps_the_plan_it_began_with() {
        Begun begun = begin(Seasons.random(15, 4, 150, 12));
        List<BuilderClass> classes = BuilderClass.of(begun.brief().means().builders(), Set.of(), begun.brief().today(),
                _ -> 100);
        SeasonModel.Solution none = new SeasonModel(begun.brief(), begun.groups(), begun.recipes(), classes,
                Optional.empty(), begun.plan()).solve(0, new Effort(10, 1e-6), SolveWatch.untilInterrupted())
                .orElseThrow();
        assertThat(none.choices()).isEqualTo(begun.plan().choices());
        assertThat(none.cost()).isEqualTo(begun.plan().cost()).isPositive();
    }

    /** What it says it costs is what the solver reckons for the same plan, or the solver found a cheaper one. */
    @Test
    void the_solver_never_does_worse() {
        Begun begun = begin(Seasons.random(10, 4, 150, 14));
        List<BuilderClass> classes = BuilderClass.of(begun.brief().means().builders(), Set.of(), begun.brief().today(),
                _ -> 100);
        SeasonModel.Solution solved = new SeasonModel(begun.brief(), begun.groups(), begun.recipes(), classes,
                Optional.empty(), begun.plan()).solve(0, new Effort(2, 20), SolveWatch.untilInterrupted())
                .orElseThrow();
        assertThat(solved.cost()).isLessThanOrEqualTo(begun.plan().cost() + 1e-6);
    }
}
