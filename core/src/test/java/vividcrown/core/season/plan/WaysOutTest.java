package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static vividcrown.core.season.Seasons.builder;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.order;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vividcrown.core.demand.Product;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.Crew;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.RecipeFinder;
import vividcrown.core.season.recipe.RecipeShelf;
import vividcrown.core.season.supply.Supply;

/** What is told to whoever cannot have everything: situations of the trade (common practice). */
class WaysOutTest {

    private static final List<CellBuilder> THREE = List.of(builder("B 1", 45), builder("B 2", 45), builder("B 3", 45));

    private static SeasonPlan plan(SeasonBrief brief) {
        return SeasonPlanner.plan(brief, 4, SolveWatch.untilInterrupted());
    }

    private static List<SeasonPlan.WayOut> ways(SeasonPlan plan, Relaxation kind, String helps) {
        return plan.waysOut().stream().filter(way -> way.kind() == kind && way.helps().contains(helps)).toList();
    }

    /** Boxes for seven in ten: whatever stands badly is told something that can be done about it. */
    @ParameterizedTest
    @ValueSource(longs = {7, 9})
    void whoever_is_not_served_is_told_a_way_out(long seed) {
        SeasonPlan plan = plan(Seasons.random(12, 3, 35, seed).with(Seasons.random(12, 3, 22, seed).means()));
        Set<String> helped = plan.waysOut().stream().flatMap(way -> way.helps().stream()).collect(Collectors.toSet());
        Set<String> open = plan.promises().stream().filter(one -> one.state() != Promise.State.HOLDS)
                .map(one -> one.demand().id()).collect(Collectors.toSet());
        assertThat(open).isNotEmpty();
        assertThat(helped).containsAll(open);
        plan.promises().stream().filter(one -> open.contains(one.demand().id())).forEach(one -> assertThat(
                one.reasons()).anySatisfy(
                        why -> assertThat(plan.waysOut())
                                .extracting(SeasonPlan.WayOut::reason).contains(why)));
    }

    @Test
    void so_many_are_bought_in_that_the_rest_comes_as_surely_as_wanted() {
        SeasonPlan plan = plan(
                Seasons.brief(List.of(order("forty", Product.MATED_QUEENS, 40, 38, 42)), THREE, 68, Crew.EVERY_DAY));
        SeasonPlan.WayOut bought = ways(plan, Relaxation.BUY_IN, "forty").getFirst();
        SeasonPlan.WayOut fewer = ways(plan, Relaxation.FEWER, "forty").getFirst();
        assertThat(fewer.amount() + bought.amount()).isEqualTo(40);
        assertThat(bought.amount()).isBetween(1, 15);
        SeasonPlan promised = plan(Seasons.brief(List.of(order("some", Product.MATED_QUEENS, fewer.amount(), 38, 42)),
                THREE, 68, Crew.EVERY_DAY));
        assertThat(promised.holds()).as("that many can be promised").isTrue();
    }

    /** As many as can be had on two days, whose luck differs, not those that the plan for all forty would bring surely. */
    @Test
    void the_largest_part_that_can_be_promised_is_sought() {
        SeasonPlan plan = plan(
                Seasons.brief(List.of(order("forty", Product.MATED_QUEENS, 40, 38, 42)), THREE, 68, Crew.EVERY_DAY));
        int part = ways(plan, Relaxation.FEWER, "forty").getFirst().amount();
        SeasonPlan more = plan(Seasons.brief(List.of(order("more", Product.MATED_QUEENS, part + 4, 38, 42)), THREE, 68,
                Crew.EVERY_DAY));
        assertThat(more.holds()).as("four more than %d", part).isFalse();
    }

    /** One builder, three nucs, two orders of two: whoever does what is told, and asks again, finds it so. */
    @Test
    void in_a_tiny_unit_what_is_told_holds_once_it_is_done() {
        List<Demand> orders = List.of(order("first", Product.MATED_QUEENS, 2, 38, 42),
                order("second", Product.MATED_QUEENS, 2, 46, 50));
        SeasonBrief tiny = Seasons.brief(orders, List.of(builder("B 1", 30)), 3, Crew.EVERY_DAY);
        SeasonPlan plan = plan(tiny);
        List<SeasonPlan.WayOut> nucs = plan.waysOut().stream().filter(way -> way.kind() == Relaxation.NUCS).toList();
        assertThat(nucs).anyMatch(way -> way.helps().size() == 2);
        assertThat(nucs).allSatisfy(way -> {
            SeasonPlan then = plan(Seasons.withNucs(tiny, 3 + way.amount()));
            assertThat(then.promises()).filteredOn(one -> way.helps().contains(one.demand().id()))
                    .allSatisfy(one -> assertThat(one.state()).as("%s", way.text()).isEqualTo(Promise.State.HOLDS));
        });
        // none that helps the same with more
        assertThat(nucs).extracting(SeasonPlan.WayOut::helps).doesNotHaveDuplicates();
    }

    /** Three nucs take three cells: on average no more come ripe than there is room for. Cells are taken ten days after the graft (common practice). */
    @Test
    void a_tiny_unit_is_not_filled_beyond_its_nucs() {
        SeasonBrief tiny = Seasons.brief(List.of(order("two", Product.MATED_QUEENS, 2, 38, 42)),
                List.of(builder("B 1", 30)), 3, Crew.EVERY_DAY);
        SeasonPlan plan = plan(tiny);
        Supply supply = new Supply(tiny);
        assertThat(plan.batches()).isNotEmpty();
        assertThat(plan.batches().stream()
                .mapToDouble(one -> supply.ripeOnAverage(one.day(), one.cups(), one.around())).sum())
                .isLessThanOrEqualTo(3.05);
    }

    @Test
    void an_order_whose_day_is_too_near_is_bought_in_whole_or_comes_later() {
        SeasonPlan plan = plan(
                Seasons.brief(List.of(order("soon", Product.MATED_QUEENS, 12, 5, 8)), THREE, 100, Crew.EVERY_DAY));
        assertThat(ways(plan, Relaxation.BUY_IN, "soon").stream().map(SeasonPlan.WayOut::amount))
                .allMatch(amount -> amount == 12);
        assertThat(ways(plan, Relaxation.FEWER, "soon")).isEmpty();
        assertThat(ways(plan, Relaxation.LATER, "soon")).isNotEmpty()
                .allSatisfy(way -> assertThat(way.amount()).isBetween(7, 56));
    }

    @Test
    void each_of_two_is_told_what_it_takes_for_itself() {
        // of different assurance: served apart
        Demand big = new Demand("big", Product.MATED_QUEENS, 40, day(40), day(44), Optional.empty(), 2, 0.9);
        Demand small = new Demand("small", Product.MATED_QUEENS, 15, day(41), day(45), Optional.empty(), 2, 0.8);
        SeasonPlan plan = plan(Seasons.brief(List.of(big, small), THREE, 20, Crew.EVERY_DAY));
        List<SeasonPlan.WayOut> nucs = plan.waysOut().stream().filter(way -> way.kind() == Relaxation.NUCS).toList();
        int both = nucs.stream().filter(way -> way.helps().size() == 2).mapToInt(SeasonPlan.WayOut::amount).findFirst()
                .orElseThrow();
        int alone = nucs.stream().filter(way -> way.helps().equals(List.of("small")))
                .mapToInt(SeasonPlan.WayOut::amount).findFirst().orElseThrow();
        assertThat(alone).isLessThan(both);
        SeasonPlan with = plan(Seasons.brief(List.of(small), THREE, 20 + alone, Crew.EVERY_DAY));
        assertThat(with.holds()).isTrue();
    }

    @Test
    void a_no_to_a_small_order_that_lets_a_large_one_hold_is_told_with_its_price() {
        Demand large = new Demand("large", Product.MATED_QUEENS, 40, day(40), day(44), Optional.empty(), 3, 0.9);
        Demand little = new Demand("little", Product.MATED_QUEENS, 12, day(40), day(44), Optional.empty(), 1, 0.95);
        SeasonPlan plan = plan(Seasons.brief(List.of(large, little), THREE, 100, Crew.EVERY_DAY));
        assertThat(plan.promises()).filteredOn(one -> one.demand().id().equals("large")).first()
                .satisfies(one -> assertThat(one.state()).isNotEqualTo(Promise.State.HOLDS));
        SeasonPlan.WayOut no = ways(plan, Relaxation.SAY_NO, "large").getFirst();
        assertThat(no.loses()).containsExactly("little");
        assertThat(no.amount()).isEqualTo(12);
        assertThat(no.text().toString()).contains("With a no to little (12) these hold: large.");
        assertThat(plan(Seasons.brief(List.of(large), THREE, 100, Crew.EVERY_DAY)).holds()).isTrue();
    }

    /** Nucs for one of two orders that fall due together: better one customer served than none. */
    @Test
    void where_two_that_share_their_batches_cannot_both_be_kept_one_is() {
        Demand large = new Demand("large", Product.MATED_QUEENS, 24, day(38), day(42), Optional.empty(), 2, 0.9);
        Demand little = new Demand("little", Product.MATED_QUEENS, 12, day(40), day(44), Optional.empty(), 3, 0.9);
        SeasonPlan plan = plan(Seasons.brief(List.of(large, little), THREE, 30, Crew.EVERY_DAY));
        assertThat(plan.promises()).filteredOn(one -> one.demand().equals(little)).first()
                .satisfies(one -> assertThat(one.state()).isEqualTo(Promise.State.HOLDS));
        assertThat(plan.batches()).isNotEmpty();
    }

    @Test
    void of_an_order_that_is_far_too_large_a_part_can_be_promised() {
        Demand huge = order("huge", Product.MATED_QUEENS, 60, 40, 44);
        SeasonPlan plan = plan(Seasons.brief(List.of(huge), THREE, 45, Crew.EVERY_DAY));
        SeasonPlan.WayOut part = ways(plan, Relaxation.FEWER, "huge").getFirst();
        assertThat(part.amount()).isBetween(10, 30);
        assertThat(plan(Seasons.brief(List.of(order("part", Product.MATED_QUEENS, part.amount(), 40, 44)), THREE, 45,
                Crew.EVERY_DAY)).holds()).isTrue();
    }

    @Test
    void in_autumn_the_weather_is_the_reason_not_the_builders() {
        SeasonBrief may = Seasons.brief(List.of(order("autumn", Product.MATED_QUEENS, 10, 176, 180)), THREE, 100,
                Crew.EVERY_DAY);
        SeasonPlan plan = plan(new SeasonBrief(day(140), day(200), may.demands(), may.means(), may.drones(),
                may.underway(), may.expected()));
        assertThat(plan.promises().getFirst().reasons().toString()).contains("find two fit afternoons")
                .doesNotContain("Not even all builders");
    }

    @Test
    void queens_of_a_line_are_bought_in_of_that_line() {
        SeasonPlan plan = plan(Seasons.brief(List.of(new Demand("golden five", Product.MATED_QUEENS, 5, day(40),
                day(44), Optional.of("golden"), 2, 0.9)), THREE, 100, Crew.EVERY_DAY));
        assertThat(ways(plan, Relaxation.BUY_IN, "golden five").getFirst().text())
                .hasToString("Buy in 5 of line golden for golden five.");
    }

    @Test
    void a_season_is_planned_the_same_however_busy_the_machine_is() {
        SeasonBrief brief = Seasons.random(12, 3, 80, 5);
        SeasonModel.Solution alone = solved(brief);
        Thread busy = Thread.ofPlatform().daemon().start(
                () -> SeasonPlanner.plan(Seasons.random(12, 4, 100, 6), 6, SolveWatch.untilInterrupted()));
        SeasonModel.Solution beside = solved(brief);
        busy.interrupt();
        assertThat(beside.choices()).isEqualTo(alone.choices());
        assertThat(beside.bound()).isEqualTo(alone.bound());
    }

    private static SeasonModel.Solution solved(SeasonBrief brief) {
        Drafts drafts = Drafts.of(brief, new RecipeShelf());
        List<List<Recipe>> ways = drafts.book().of(drafts.running()::of, RecipeFinder.LATE_BY, List.of());
        return drafts.model(ways, drafts.greedy(ways, new Effort(0.5, 60), SolveWatch.untilInterrupted()))
                .solve(0, new Effort(0.5, 60), SolveWatch.untilInterrupted())
                .orElseThrow();
    }

    // --- what a no frees -----------------------------------------------------------------------------------------------

    @Test
    void a_no_frees_the_work_and_the_nucs_of_an_order() {
        SeasonBrief brief = Seasons.brief(List.of(order("A", Product.MATED_QUEENS, 20, 40, 44),
                order("B", Product.MATED_QUEENS, 15, 70, 74)), THREE, 100, Crew.EVERY_DAY);
        Without without = Without.of(brief, new RecipeShelf(), "B", 4, SolveWatch.untilInterrupted());
        assertThat(without.cups()).isBetween(15, 60);
        assertThat(without.hours()).isBetween(1.0, 15.0);
        assertThat(without.nucDays()).isBetween(150, 1500);
        assertThat(without.gains()).as("the other holds anyway").isEmpty();
        assertThat(without.chances()).containsOnlyKeys("A");
    }

    @Test
    void a_no_to_the_only_order_frees_everything() {
        SeasonBrief brief = Seasons.brief(List.of(order("A", Product.MATED_QUEENS, 20, 40, 44)), THREE, 100,
                Crew.EVERY_DAY);
        Without without = Without.of(brief, new RecipeShelf(), "A", 2, SolveWatch.untilInterrupted());
        SeasonPlan plan = plan(brief);
        assertThat(without.hours()).isGreaterThan(1);
        assertThat(without.cups())
                .isEqualTo(plan.batches().stream().mapToInt(batch -> batch.cups()).sum());
        assertThat(without.chances()).isEmpty();
    }

    @Test
    void a_no_to_nobody_is_refused_by_name() {
        SeasonBrief brief = Seasons.brief(List.of(order("A", Product.MATED_QUEENS, 20, 40, 44)), THREE, 100,
                Crew.EVERY_DAY);
        assertThatThrownBy(() -> Without.of(brief, new RecipeShelf(), "Z", 2, SolveWatch.untilInterrupted()))
                .hasMessageContaining("no demand called Z");
    }
}
