package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static vividcrown.core.season.Seasons.builder;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.order;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vividcrown.core.demand.Product;
import vividcrown.core.season.BatchLock;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.Crew;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.supply.Heirs;
import vividcrown.core.season.supply.Yield;

/** What one order has over goes to the next; and cups are fitted to it. */
class HandedOnTest {

    private static final List<CellBuilder> TWO = List.of(builder("B 1", 45), builder("B 2", 45));
    private static final Demand FIRST = order("first", Product.MATED_QUEENS, 20, 40, 44);
    private static final Demand SECOND = order("second", Product.MATED_QUEENS, 20, 52, 56);

    private static SeasonBrief brief(Demand... demands) {
        return Seasons.brief(List.of(demands), TWO, 200, Crew.EVERY_DAY);
    }

    private static int cups(SeasonPlan plan) {
        return plan.batches().stream().mapToInt(PlannedBatch::cups).sum();
    }

    @Test
    void what_is_left_once_so_many_were_taken_by_hand() {
        Yield yield = new Yield(new double[]{0.1, 0.2, 0.3, 0.4});
        assertThat(yield.over(2).chances()).containsExactly(new double[]{0.6, 0.4}, within(1e-12));
        assertThat(yield.over(0)).isEqualTo(yield);
        assertThat(yield.over(7).chances()[0]).isCloseTo(1, within(1e-12));
    }

    @Test
    void the_next_order_needs_less_and_both_hold() {
        SeasonPlan together = SeasonPlanner.plan(brief(FIRST, SECOND), 5, SolveWatch.untilInterrupted());
        int alone = cups(SeasonPlanner.plan(brief(FIRST), 5, SolveWatch.untilInterrupted()))
                + cups(SeasonPlanner.plan(brief(SECOND), 5, SolveWatch.untilInterrupted()));
        assertThat(cups(together)).isLessThan(alone - 5);
        assertThat(together.promises()).allSatisfy(promise -> {
            assertThat(promise.state()).isEqualTo(Promise.State.HOLDS);
            assertThat(promise.chance()).isBetween(0.9, 0.95);
        });
        assertThat(together.promises().getLast().reasons().toString()).contains("more than they want come of first")
                .contains("bank");
    }

    /** Lived through twenty thousand times, queens counted one by one, what is over kept for the next. */
    @Test
    void the_chance_of_the_second_is_what_comes_out_of_a_simulation() {
        SeasonBrief brief = brief(FIRST, SECOND);
        SeasonPlan plan = SeasonPlanner.plan(brief, 5, SolveWatch.untilInterrupted());
        SimulatedSeason luck = new SimulatedSeason(brief, 23);
        Map<String, Map<LocalDate, Integer>> grafts = new HashMap<>();
        Map<String, LocalDate> delivery = new HashMap<>();
        for (PlannedBatch batch : plan.batches()) {
            for (PlannedBatch.Share share : batch.shares()) {
                grafts.computeIfAbsent(share.demand(), _ -> new HashMap<>()).merge(batch.day(), share.cups(),
                        Integer::sum);
                delivery.put(share.demand(), share.delivery());
            }
        }
        int met = 0;
        int runs = 20_000;
        for (int run = 0; run < runs; run++) {
            int there = 0;
            for (String demand : List.of("first", "second")) {
                for (Map.Entry<LocalDate, Integer> graft : grafts.get(demand).entrySet()) {
                    there += luck.comesOf(Product.MATED_QUEENS, graft.getKey(), delivery.get(demand),
                            graft.getValue());
                }
                met += demand.equals("second") && there >= 20 ? 1 : 0;
                there = Math.max(0, there - 20);
            }
        }
        assertThat((double) met / runs).isCloseTo(plan.promises().getLast().chance(), within(0.01));
    }

    @Test
    void queens_are_handed_on_only_where_they_fit_and_keep() {
        assertThat(giver(order("B", Product.NUCS_WITH_QUEEN, 5, 50, 54))).contains("first");
        assertThat(giver(order("B", Product.RIPE_CELLS, 5, 50, 54))).isEmpty();
        assertThat(giver(order("B", Product.MATED_QUEENS, 5, 62, 66))).as("three weeks in a bank").isEmpty();
        assertThat(giver(order("B", Product.JUDGED_QUEENS, 5, 46, 50))).as("no flat brood yet").isEmpty();
        assertThat(giver(order("B", Product.JUDGED_QUEENS, 5, 56, 60))).contains("first");
        assertThat(giver(new Demand("B", Product.MATED_QUEENS, 5, day(50), day(54), Optional.of("dark"), 2, 0.9)))
                .as("of whatever line they are").isEmpty();
    }

    private static Optional<String> giver(Demand heir) {
        List<PromiseGroup> groups = PromiseGroup.of(List.of(FIRST, heir), Seasons.MAY_1);
        return Heirs.of(groups).giver(groups.getLast()).map(PromiseGroup::names);
    }

    @Test
    void nobody_gives_twice() {
        List<PromiseGroup> groups = PromiseGroup.of(List.of(FIRST, order("B", Product.MATED_QUEENS, 5, 49, 50),
                order("C", Product.MATED_QUEENS, 5, 55, 56)), Seasons.MAY_1);
        Heirs heirs = Heirs.of(groups);
        assertThat(heirs.giver(groups.get(1)).map(PromiseGroup::names)).contains("first");
        assertThat(heirs.giver(groups.get(2)).map(PromiseGroup::names)).contains("B");
        assertThat(heirs.giver(groups.getFirst())).isEmpty();
    }

    @Test
    void cups_are_fitted_so_that_one_fewer_would_not_do() {
        SeasonBrief brief = brief(FIRST);
        SeasonPlan plan = SeasonPlanner.plan(brief, 5, SolveWatch.untilInterrupted());
        List<PlannedBatch> fewer = new ArrayList<>(plan.batches());
        PlannedBatch batch = fewer.getLast();
        PlannedBatch.Share share = batch.shares().getFirst();
        fewer.set(fewer.size() - 1, batch.with(batch.cups() - 1,
                List.of(new PlannedBatch.Share(share.demand(), share.cups() - 1, share.delivery()))));
        assertThat(PlanCheck.of(brief, plan.batches(), List.of()).chances().get("first")).isGreaterThanOrEqualTo(0.9);
        assertThat(PlanCheck.of(brief, fewer, List.of()).chances().get("first")).isLessThan(0.9);
    }

    @Test
    void a_graft_of_before_is_not_made_smaller_for_a_cup_or_two() {
        SeasonBrief plain = brief(FIRST);
        SeasonPlan plan = SeasonPlanner.plan(plain, 5, SolveWatch.untilInterrupted());
        List<BatchLock> before = plan.batches().stream().map(one -> new BatchLock(one.builder(), one.day(),
                Math.min(45, one.cups() + 2), Optional.of(one.line()))).toList();
        SeasonPlan again = SeasonPlanner.plan(Seasons.brief(List.of(FIRST), TWO, 200, Crew.EVERY_DAY, List.of(),
                before, List.of()), 5, SolveWatch.untilInterrupted());
        assertThat(again.changes()).isEmpty();
        assertThat(again.batches()).extracting(PlannedBatch::cups)
                .containsExactlyElementsOf(before.stream().map(BatchLock::cups).toList());
    }
}
