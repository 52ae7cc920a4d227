package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.order;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import vividcrown.core.demand.Product;
import vividcrown.core.season.Crew;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.supply.Supply;

/** What an operation says is worth how much weighs in its plan. */
class PlanCostTest {

    private static SeasonBrief brief() {
        return Seasons.brief(List.of(order("A", Product.MATED_QUEENS, 20, 40, 54)),
                IntStream.rangeClosed(1, 3).mapToObj(number -> Seasons.builder("B " + number, 45)).toList(), 400,
                Crew.EVERY_DAY);
    }

    private static PlanCost costs(double lateQueen, double lateOrder) {
        return PlanCost.of(brief().with(new SeasonWorth(lateQueen, lateOrder, 20, 0.2)));
    }

    private static PromiseGroup group() {
        return PromiseGroup.of(brief().demands(), brief().today()).getFirst();
    }

    @Test
    void who_minds_more_that_a_queen_is_late_has_lateness_weigh_more() {
        int usual = costs(60, 2_400).ofMissing(group(), 3, 0);
        assertThat(costs(120, 2_400).ofMissing(group(), 3, 0)).isEqualTo(2 * usual);
        assertThat(costs(15, 2_400).ofMissing(group(), 3, 0)).isEqualTo(usual / 4);
    }

    @Test
    void who_minds_more_that_an_order_is_not_whole_has_its_safety_weigh_more() {
        int usual = costs(60, 2_400).ofMissing(group(), 0, 0.1);
        // a day's work instead of a week's, besides ten queens that are late
        assertThat(costs(60, 480).ofMissing(group(), 0, 0.1)).isEqualTo(Math.round(usual * 1_080f / 3_000));
        assertThat(costs(60, 9_000).ofMissing(group(), 0, 0.1)).isGreaterThan(3 * usual);
    }

    /** A promise is worth something to whoever says nothing of it, and nothing is kept at any price. */
    @Test
    void no_worth_is_so_small_or_so_large_that_a_plan_makes_no_sense() {
        assertThat(costs(1, 0).ofMissing(group(), 0, 0.1)).isPositive();
        for (double much : new double[]{60, 600, 100_000}) {
            PlanCost costs = costs(much, much);
            assertThat(costs.ofUnmet(group())).isPositive()
                    .isGreaterThan(costs.ofMissing(group(), 14, group().assurance()));
        }
    }

    /** Common practice: a nuc that costs much a day is not filled a week before its queen is wanted. */
    @Test
    void with_dear_nucs_it_is_grafted_as_late_as_will_do() {
        assertThat(nucDays(5)).isLessThan(nucDays(0));
    }

    /** What nucs are worth is weighed, not worked. */
    @Test
    void dear_nucs_make_no_longer_days() {
        SeasonBrief dear = brief().with(new SeasonWorth(60, 2_400, 20, 1_000));
        SeasonPlan plan = SeasonPlanner.plan(dear, 2, SolveWatch.untilInterrupted());
        assertThat(plan.hours()).isLessThan(25);
        assertThat(plan.search().gap()).isLessThan(0.01);
    }

    private static double nucDays(double nucDay) {
        SeasonBrief brief = brief().with(new SeasonWorth(60, 2_400, 20, nucDay));
        SeasonPlan plan = SeasonPlanner.plan(brief, 2, SolveWatch.untilInterrupted());
        assertThat(plan.promises()).allMatch(one -> one.state() == Promise.State.HOLDS);
        return new Workload(brief, new Supply(brief), plan.batches()).nucDays();
    }
}
