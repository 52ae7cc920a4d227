package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static vividcrown.core.season.Seasons.builder;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.order;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.LossStep;
import vividcrown.core.rearing.BuilderRhythm;
import vividcrown.core.season.BatchLock;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.Crew;
import vividcrown.core.season.DroneColony;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.Underway;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.RecipeFinder;
import vividcrown.core.season.recipe.RecipeShelf;

class SeasonPlannerTest {

    private static final List<CellBuilder> TWO = List.of(builder("B 1", 45), builder("B 2", 45));

    private static SeasonPlan plan(SeasonBrief brief) {
        return SeasonPlanner.plan(brief, 4, SolveWatch.untilInterrupted());
    }

    private static SeasonPlan planOf(Demand... demands) {
        return plan(Seasons.brief(List.of(demands), TWO, 100, Crew.EVERY_DAY));
    }

    private static Promise only(SeasonPlan plan) {
        assertThat(plan.promises()).hasSize(1);
        return plan.promises().getFirst();
    }

    @Test
    void forty_queens_for_the_twelfth_of_june_hold_with_nine_in_ten() {
        SeasonPlan plan = planOf(order("forty", Product.MATED_QUEENS, 40, 38, 42));
        assertThat(only(plan).state()).isEqualTo(Promise.State.HOLDS);
        assertThat(only(plan).chance()).isBetween(0.9, 0.97);
        assertThat(plan.search().proven()).isTrue();
        assertThat(plan.batches()).allSatisfy(batch -> {
            // ripe on + 10, first look 14 days later at the earliest
            assertThat(batch.day()).isBeforeOrEqualTo(day(42 - 24));
            assertThat(batch.shares()).extracting(PlannedBatch.Share::demand).containsOnly("forty");
        });
    }

    /** Ripe cells are handed over ten days after the graft: Büchler et al. 2013, value from memory. */
    @Test
    void ripe_cells_are_grafted_ten_days_before_a_day_of_the_window() {
        SeasonPlan plan = planOf(order("cells", Product.RIPE_CELLS, 20, 33, 34));
        assertThat(plan.batches()).extracting(PlannedBatch::day).isSubsetOf(day(23), day(24));
        assertThat(only(plan).chance()).isGreaterThanOrEqualTo(0.9);
    }

    @Test
    void the_chance_promised_is_what_comes_out_of_a_simulation() {
        SeasonPlan plan = planOf(order("A", Product.MATED_QUEENS, 25, 40, 44));
        Promise promise = only(plan);
        Map<LocalDate, Integer> cups = new TreeMap<>();
        plan.batches().forEach(batch -> cups.merge(batch.day(), batch.cups(), Integer::sum));
        SeasonBrief brief = Seasons.brief(List.of(), TWO, 100, Crew.EVERY_DAY);
        SimulatedSeason luck = new SimulatedSeason(brief, 11);
        int met = 0;
        for (int run = 0; run < 20_000; run++) {
            int queens = 0;
            for (Map.Entry<LocalDate, Integer> graft : cups.entrySet()) {
                queens += luck.comesOf(Product.MATED_QUEENS, graft.getKey(), promise.delivery().orElseThrow(),
                        graft.getValue());
            }
            met += queens >= 25 ? 1 : 0;
        }
        assertThat(met / 20_000.0).isCloseTo(promise.chance(), within(0.01));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6})
    void on_small_seasons_nothing_is_cheaper_by_trying_everything(long seed) {
        List<Demand> demands = new ArrayList<>();
        java.util.Random random = new java.util.Random(seed);
        for (String id : List.of("A", "B", "C")) {
            int until = 36 + random.nextInt(12);
            demands.add(new Demand(id, random.nextInt(3) == 0 ? Product.RIPE_CELLS : Product.MATED_QUEENS,
                    4 + random.nextInt(9), day(until - 2), day(until), Optional.empty(), 1 + random.nextInt(3), 0.8));
        }
        SeasonBrief brief = Seasons.brief(demands, List.of(builder("B 1", 30), builder("B 2", 30)),
                28 + random.nextInt(10), new Crew(6, Set.of(DayOfWeek.SUNDAY), Set.of()));
        Exhaustive everything = new Exhaustive(brief);
        SeasonModel.Solution solution = everything.model().solve(0, new Effort(30, 60), SolveWatch.untilInterrupted())
                .orElseThrow();
        assertThat(solution.proven()).isTrue();
        assertThat(solution.cost()).isCloseTo(everything.cheapest(), within(1.0));
    }

    @ParameterizedTest
    @ValueSource(longs = {21, 22, 23})
    void no_day_has_more_in_use_than_there_is_and_the_cost_is_not_under_the_bound(long seed) {
        SeasonBrief brief = Seasons.random(12, 4, 150, seed);
        SeasonPlan plan = plan(brief);
        assertThat(LimitsBroken.by(plan, brief)).isEmpty();
        assertThat(plan.search().bound()).isLessThanOrEqualTo(plan.search().cost() + 1);
        // a bound by hand: each group as if it had all boxes to itself
        assertThat(plan.search().cost()).isGreaterThanOrEqualTo(new Exhaustive(brief).boundByHand() - 1);
    }

    @Test
    void orders_that_fall_due_together_need_less_than_each_alone() {
        List<Demand> three = List.of(order("A", Product.MATED_QUEENS, 8, 40, 44),
                order("B", Product.MATED_QUEENS, 8, 41, 45), order("C", Product.MATED_QUEENS, 8, 40, 45));
        int together = cups(plan(Seasons.brief(three, TWO, 200, Crew.EVERY_DAY)));
        int alone = three.stream()
                .mapToInt(one -> cups(plan(Seasons.brief(List.of(one), TWO, 200, Crew.EVERY_DAY)))).sum();
        assertThat(together).isLessThan(alone);
    }

    private static int cups(SeasonPlan plan) {
        return plan.batches().stream().mapToInt(PlannedBatch::cups).sum();
    }

    @Test
    void the_first_of_those_served_together_has_the_better_chance() {
        Demand first = new Demand("first", Product.MATED_QUEENS, 10, day(40), day(44), Optional.empty(), 1, 0.9);
        Demand last = new Demand("last", Product.MATED_QUEENS, 10, day(40), day(44), Optional.empty(), 3, 0.9);
        SeasonPlan plan = planOf(last, first);
        Map<String, Double> chances = new TreeMap<>();
        plan.promises().forEach(one -> chances.put(one.demand().id(), one.chance()));
        assertThat(chances.get("first")).isGreaterThan(chances.get("last"));
        assertThat(chances.get("last")).isGreaterThanOrEqualTo(0.9);
    }

    @Test
    void what_is_on_its_way_counts_and_what_happened_stays() {
        RunningBatch virgins = new RunningBatch("26-04", Optional.of("dark"), day(-14), 30,
                List.of(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE), Around.NOTHING_KNOWN);
        SeasonPlan plan = plan(Seasons.brief(List.of(order("A", Product.MATED_QUEENS, 12, 12, 18)), TWO, 100,
                Crew.EVERY_DAY, List.of(virgins), List.of(), List.of()));
        assertThat(only(plan).state()).isEqualTo(Promise.State.HOLDS);
        assertThat(plan.batches()).isEmpty();
        assertThat(only(plan).reasons()).anySatisfy(reason -> assertThat(reason.toString()).contains("26-04"));
    }

    /** A ripe cell opens within two days: it cannot wait for a later order. */
    @Test
    void cells_on_their_bars_serve_only_the_days_on_which_they_are_ripe() {
        RunningBatch cells = new RunningBatch("26-05", Optional.of("dark"), day(-9), 38, List.of(LossStep.TAKE),
                Around.NOTHING_KNOWN);
        for (int late : new int[]{0, 6}) {
            SeasonPlan plan = plan(Seasons.brief(List.of(order("A", Product.RIPE_CELLS, 15, 1 + late, 3 + late)), TWO,
                    100, Crew.EVERY_DAY, List.of(cells), List.of(), List.of()));
            assertThat(only(plan).state() == Promise.State.HOLDS).isEqualTo(late == 0);
        }
    }

    @Test
    void asked_again_with_nothing_new_nothing_changes_and_a_new_order_changes_little() {
        List<Demand> demands = List.of(order("A", Product.MATED_QUEENS, 20, 40, 44),
                order("B", Product.RIPE_CELLS, 15, 50, 53), order("C", Product.MATED_QUEENS, 20, 70, 74));
        SeasonPlan first = plan(Seasons.brief(demands, TWO, 100, Crew.EVERY_DAY));
        SeasonBrief known = Seasons.after(first, Seasons.brief(demands, TWO, 100, Crew.EVERY_DAY));
        SeasonPlan same = plan(known);
        assertThat(same.changes()).isEmpty();
        List<Demand> more = new ArrayList<>(demands);
        more.add(order("D", Product.MATED_QUEENS, 5, 90, 94));
        SeasonPlan again = plan(known.withDemands(more));
        assertThat(again.changes()).extracting(SeasonPlan.Change::kind)
                .containsOnly(SeasonPlan.Change.Kind.ADDED);
        assertThat(again.holds()).isTrue();
    }

    /** Common practice: whoever is told of a plan twice wants to hear what changed, and little did. */
    @Test
    void a_plan_of_before_is_gone_through_on_its_own_days_first() {
        SeasonBrief brief = Seasons.random(12, 4, 160, 3);
        SeasonBrief known = Seasons.after(plan(brief), brief);
        Set<LocalDate> planned = known.underway().before().stream().map(BatchLock::day).collect(Collectors.toSet());
        Drafts drafts = Drafts.of(known, new RecipeShelf());
        List<List<Recipe>> ways = drafts.book().of(drafts.running()::of, RecipeFinder.LATE_BY, List.of());
        SeasonModel.Solution before = drafts.asBefore(ways, Effort.SHORTEST).orElseThrow();
        Set<LocalDate> days = before.loads().entrySet().stream()
                .filter(day -> IntStream.of(day.getValue()).sum() > 0).map(Map.Entry::getKey)
                .collect(Collectors.toSet());
        long kept = days.stream().filter(planned::contains).count();
        assertThat(kept).isGreaterThanOrEqualTo(planned.size() * 3L / 4).isGreaterThanOrEqualTo(days.size() * 3L / 4);
        assertThat(before.choices()).doesNotContain(Optional.empty());
        assertThat(Drafts.of(brief, new RecipeShelf()).asBefore(ways, Effort.SHORTEST)).isEmpty();
    }

    @Test
    void a_plan_asked_in_a_hurry_breaks_no_limit_and_keeps_its_locks() {
        SeasonBrief brief = Seasons.random(12, 4, 160, 3);
        SeasonPlan first = SeasonPlanner.plan(brief, 0.5, SolveWatch.untilInterrupted());
        assertThat(first.batches()).isNotEmpty();
        assertThat(LimitsBroken.by(first, brief)).isEmpty();
        SeasonBrief known = Seasons.after(first, brief);
        BatchLock lock = known.underway().before().getFirst();
        SeasonBrief fixed = new SeasonBrief(known.today(), known.until(), known.demands(), known.means(),
                known.drones(), new Underway(List.of(), known.underway().before(), List.of(lock)), known.expected());
        SeasonPlan again = SeasonPlanner.plan(fixed, 0.5, SolveWatch.untilInterrupted());
        assertThat(LimitsBroken.by(again, fixed)).isEmpty();
        assertThat(again.batches()).anySatisfy(batch -> {
            assertThat(batch.locked()).isTrue();
            assertThat(batch.builder()).isEqualTo(lock.builder());
            assertThat(batch.day()).isEqualTo(lock.day());
            assertThat(batch.cups()).isEqualTo(lock.cups());
        });
    }

    @Test
    void a_graft_fixed_by_hand_stays_and_is_used() {
        BatchLock lock = new BatchLock("B 2", day(16), 40, Optional.of("grey"));
        SeasonPlan plan = plan(Seasons.brief(List.of(order("A", Product.MATED_QUEENS, 12, 40, 44)), TWO, 100,
                Crew.EVERY_DAY, List.of(), List.of(), List.of(lock)));
        assertThat(plan.batches()).anySatisfy(batch -> {
            assertThat(batch.locked()).isTrue();
            assertThat(batch.day()).isEqualTo(day(16));
            assertThat(batch.cups()).isEqualTo(40);
            assertThat(batch.line()).isEqualTo("grey");
            assertThat(batch.shares()).isNotEmpty();
        });
    }

    @Test
    void the_more_assurance_the_more_work() {
        double before = 0;
        for (double assurance : new double[]{0.8, 0.9, 0.95}) {
            SeasonPlan plan = planOf(new Demand("A", Product.MATED_QUEENS, 20, day(40), day(44), Optional.empty(), 2,
                    assurance));
            assertThat(only(plan).chance()).isGreaterThanOrEqualTo(assurance);
            assertThat(plan.search().cost()).isGreaterThan(before);
            before = plan.search().cost();
        }
    }

    // --- what cannot be met ------------------------------------------------------------------------------------------

    @Test
    void too_few_nucs_are_named_and_with_as_many_more_it_does_hold() {
        List<Demand> demands = List.of(order("big", Product.MATED_QUEENS, 40, 40, 44));
        SeasonPlan plan = plan(Seasons.brief(demands, TWO, 40, Crew.EVERY_DAY));
        assertThat(only(plan).state()).isNotEqualTo(Promise.State.HOLDS);
        SeasonPlan.WayOut more = plan.waysOut().stream().filter(way -> way.kind() == Relaxation.NUCS).findFirst()
                .orElseThrow();
        assertThat(more.helps()).containsExactly("big");
        assertThat(only(plan).reasons()).contains(more.reason());
        assertThat(plan(Seasons.brief(demands, TWO, 40 + more.amount(), Crew.EVERY_DAY)).holds()).isTrue();
        assertThat(plan(Seasons.brief(demands, TWO, 40 + more.amount() - 8, Crew.EVERY_DAY)).holds()).isFalse();
    }

    @Test
    void too_few_builders_are_named() {
        SeasonPlan plan = plan(Seasons.brief(List.of(order("big", Product.RIPE_CELLS, 60, 40, 40)),
                List.of(builder("B 1", 45)), 200, Crew.EVERY_DAY));
        assertThat(only(plan).state()).isNotEqualTo(Promise.State.HOLDS);
        assertThat(plan.waysOut()).extracting(SeasonPlan.WayOut::kind).contains(Relaxation.BUILDERS);
    }

    @Test
    void an_order_that_comes_too_late_says_since_when_and_what_is_the_soonest() {
        SeasonPlan plan = planOf(order("late", Product.MATED_QUEENS, 5, 5, 8));
        Promise promise = only(plan);
        assertThat(promise.state()).isIn(Promise.State.LATE, Promise.State.UNMET, Promise.State.AT_RISK);
        assertThat(promise.reasons().toString()).contains("It had to be grafted by").contains("Mon 25 May");
    }

    @Test
    void queens_for_late_october_are_told_of_the_weather() {
        SeasonBrief brief = Seasons.brief(List.of(order("A", Product.MATED_QUEENS, 10, 170, 177)), TWO, 100,
                Crew.EVERY_DAY);
        Promise promise = only(plan(new SeasonBrief(brief.today(), day(200), brief.demands(), brief.means(),
                brief.drones(), brief.underway(), brief.expected())));
        assertThat(promise.state()).isNotEqualTo(Promise.State.HOLDS);
        assertThat(promise.reasons().toString()).contains("choose an earlier day");
    }

    @Test
    void more_than_all_builders_bring_up_is_said_at_once() {
        assertThat(only(planOf(order("huge", Product.MATED_QUEENS, 300, 60, 64))).reasons().toString())
                .contains("Not even all builders together, 90 cups a day");
    }

    @Test
    void an_order_beyond_the_days_planned_says_so() {
        assertThat(only(planOf(order("far", Product.MATED_QUEENS, 5, 190, 195))).reasons().toString())
                .contains("the last day that is planned");
    }

    @Test
    void a_line_without_a_breeder_says_which_lines_there_are() {
        SeasonPlan plan = planOf(new Demand("A", Product.VIRGINS, 5, day(40), day(44), Optional.of("golden"), 1, 0.9));
        assertThat(only(plan).state()).isEqualTo(Promise.State.UNMET);
        assertThat(only(plan).reasons().toString()).contains("no breeder of line golden").contains("dark, grey");
    }

    @Test
    void drones_that_are_not_ripe_hold_back_the_first_grafts() {
        SeasonBrief brief = Seasons.brief(List.of(order("A", Product.MATED_QUEENS, 10, 38, 60)), TWO, 100,
                Crew.EVERY_DAY);
        DroneColony late = new DroneColony("D 1", "Orla", day(34));
        SeasonPlan plan = plan(Seasons.withDrones(brief, List.of(late), List.of()));
        // flights begin five days after emergence, which is 11–13 days after the graft
        assertThat(plan.batches()).allSatisfy(batch -> assertThat(batch.day()).isAfterOrEqualTo(day(34 - 18)));
    }

    /** Nucs enough for an even chance, but not for nine in ten: as sure as they allow, and that is said. */
    @Test
    void what_cannot_be_as_sure_as_wanted_is_as_sure_as_there_is_room_for() {
        SeasonBrief brief = Seasons.brief(List.of(order("forty", Product.MATED_QUEENS, 40, 38, 42)), TWO, 68,
                Crew.EVERY_DAY);
        SeasonPlan plan = plan(brief);
        assertThat(only(plan).state()).isEqualTo(Promise.State.AT_RISK);
        assertThat(only(plan).chance()).isBetween(0.55, 0.89);
        assertThat(LimitsBroken.by(plan, brief)).isEmpty();
        SeasonPlan.WayOut less = plan.waysOut().stream().filter(way -> way.kind() == Relaxation.ASSURANCE).findFirst()
                .orElseThrow();
        assertThat(less.amount()).isEqualTo((int) Math.floor(only(plan).chance() * 100));
        assertThat(less.text().toString()).contains("sure enough").contains("forty");
        assertThat(plan.waysOut()).extracting(SeasonPlan.WayOut::kind).contains(Relaxation.NUCS);
    }

    // --- bad input ---------------------------------------------------------------------------------------------------

    @Test
    void what_makes_planning_senseless_is_refused_with_what_to_change() {
        List<Demand> one = List.of(order("A", Product.MATED_QUEENS, 5, 40, 44));
        Crew never = new Crew(8, Set.of(DayOfWeek.values()), Set.of());
        assertThatThrownBy(() -> plan(Seasons.brief(one, TWO, 100, never))).hasMessageContaining("no day is left");
        assertThatThrownBy(() -> plan(Seasons.brief(one, List.of(), 100, Crew.EVERY_DAY)))
                .hasMessageContaining("no cell builder");
        assertThatThrownBy(() -> plan(Seasons.brief(List.of(one.getFirst(), one.getFirst()), TWO, 100,
                Crew.EVERY_DAY))).hasMessageContaining("two demands called A");
        BatchLock first = new BatchLock("B 1", day(10), 20, Optional.empty());
        assertThatThrownBy(() -> plan(Seasons.brief(one, TWO, 100, Crew.EVERY_DAY, List.of(), List.of(),
                List.of(first, new BatchLock("B 1", day(13), 20, Optional.empty())))))
                .hasMessageContaining("overlap").hasMessageContaining("Sat 16 May");
        assertThatThrownBy(() -> plan(Seasons.brief(one, TWO, 100, Crew.EVERY_DAY, List.of(), List.of(),
                List.of(new BatchLock("B 1", day(10), 60, Optional.empty())))))
                .hasMessageContaining("between 1 and 45");
        assertThatThrownBy(() -> order("A", Product.MATED_QUEENS, 0, 1, 2)).hasMessageContaining("between 1 and 300");
        assertThatThrownBy(() -> order("A", Product.MATED_QUEENS, 1, 3, 2)).hasMessageContaining("lies before");
    }

    @Test
    void a_search_that_is_stopped_keeps_the_best_plan_so_far() {
        List<Double> costs = new ArrayList<>();
        SeasonPlan plan = SeasonPlanner.plan(Seasons.random(30, 8, 300, 5), 10, new SolveWatch() {
            @Override
            public void found(int plans, double cost, double bound, double seconds) {
                costs.add(cost);
            }

            @Override
            public boolean isStopped() {
                return !costs.isEmpty();
            }
        });
        assertThat(costs).isNotEmpty();
        assertThat(plan.batches()).isNotEmpty();
        assertThat(plan.search().cost()).isLessThanOrEqualTo(costs.getFirst());
    }

    @Test
    void with_no_demand_there_is_nothing_to_graft() {
        assertThat(planOf().batches()).isEmpty();
        assertThat(planOf().holds()).isTrue();
    }

    /** 15–20 cups in a strong queenless builder, up to 45 in an exceptional one: common practice. */
    @Test
    void a_builder_is_loaded_by_its_strength() {
        assertThat(BuilderRhythm.load(4)).isZero();
        assertThat(BuilderRhythm.load(7)).isEqualTo(15);
        assertThat(BuilderRhythm.load(9)).isEqualTo(20);
        assertThat(BuilderRhythm.load(20)).isEqualTo(45);
    }

    @Test
    void whoever_is_patient_gets_the_same_plan_on_a_busy_machine_as_on_a_quiet_one() throws InterruptedException {
        SeasonBrief brief = Seasons.random(12, 4, 100, 6);
        double patience = 60;
        SeasonPlan quiet = SeasonPlanner.plan(brief, new RecipeShelf(), 1, patience, SolveWatch.untilInterrupted());
        AtomicBoolean over = new AtomicBoolean();
        List<Thread> others = IntStream.range(0, 3 * Runtime.getRuntime().availableProcessors())
                .mapToObj(_ -> Thread.ofPlatform().start(() -> {
                    while (!over.get()) {
                        Thread.onSpinWait();
                    }
                })).toList();
        SeasonPlan busy = SeasonPlanner.plan(brief, new RecipeShelf(), 1, patience, SolveWatch.untilInterrupted());
        over.set(true);
        for (Thread other : others) {
            other.join();
        }
        assertThat(busy.batches()).isEqualTo(quiet.batches());
        assertThat(busy.search().cost()).isEqualTo(quiet.search().cost());
    }

    /** The crew knows the plan: who is first cancels, or wants three queens more, and hardly any of its grafts moves. */
    @Test
    void a_small_change_asked_with_a_second_moves_little() {
        double patience = 60;
        SeasonBrief brief = Seasons.brief(
                IntStream.range(0, 9).mapToObj(one -> Seasons.order("order " + one, Product.MATED_QUEENS, 20 + one,
                        38 + 5 * one, 40 + 5 * one)).toList(),
                IntStream.range(0, 5).mapToObj(one -> Seasons.builder("B " + one, 45)).toList(), 300, Crew.EVERY_DAY);
        SeasonPlan before = SeasonPlanner.plan(brief, new RecipeShelf(), 2, patience, SolveWatch.untilInterrupted());
        SeasonBrief known = Seasons.after(before, brief);
        Demand first = brief.demands().stream().min(Comparator.comparing(Demand::until)).orElseThrow();
        List<Demand> fewer = brief.demands().stream().filter(one -> !one.equals(first)).toList();
        List<Demand> bigger = new ArrayList<>(fewer);
        bigger.add(first.of(first.count() + 3));
        int ofIt = (int) before.batches().stream()
                .filter(batch -> batch.shares().stream().anyMatch(share -> share.demand().equals(first.id()))).count();
        for (List<Demand> changed : List.of(fewer, bigger)) {
            SeasonPlan after = SeasonPlanner.plan(known.withDemands(changed), new RecipeShelf(), 1, patience,
                    SolveWatch.untilInterrupted());
            assertThat(after.changes()).filteredOn(one -> one.kind() != SeasonPlan.Change.Kind.RESIZED)
                    .hasSizeLessThanOrEqualTo(2 + ofIt);
            assertThat(holding(after)).isGreaterThanOrEqualTo(holding(before) - 1);
        }
    }

    private static long holding(SeasonPlan plan) {
        return plan.promises().stream().filter(one -> one.state() == Promise.State.HOLDS).count();
    }
}
