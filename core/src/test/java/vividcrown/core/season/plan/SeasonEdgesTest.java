package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static vividcrown.core.season.Seasons.builder;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.order;

import java.time.DayOfWeek;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.odds.StepOdds;
import vividcrown.core.season.Crew;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.RecipeFinder;
import vividcrown.core.season.supply.RunningShares;
import vividcrown.core.season.supply.Supply;
import vividcrown.core.season.supply.SupplyBand;
import vividcrown.core.season.supply.Yield;

/** What lies at the edges of a season: days off, several orders together, what is written twice. Facts of the trade. */
class SeasonEdgesTest {

    private static final List<LossStep> TO_THE_VIRGIN = List.of(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE);

    private static SeasonBrief running(List<Demand> demands, RunningBatch... batches) {
        return Seasons.brief(demands, List.of(builder("B 1", 45)), 200, Crew.EVERY_DAY, List.of(batches), List.of(),
                List.of());
    }

    private static RunningBatch virgins(String id, int alive) {
        return new RunningBatch(id, Optional.empty(), day(-15), alive, TO_THE_VIRGIN, Around.NOTHING_KNOWN);
    }

    private static Yield shareOf(SeasonBrief brief) {
        List<PromiseGroup> groups = PromiseGroup.of(brief.demands(), brief.today());
        return new RunningShares(brief, groups, new Supply(brief)).of(groups.getFirst());
    }

    /** 1 May 2026 is a Friday; day 44 is a Sunday. */
    /** Their days are past, their customers wait: due today, whether they stand alone or together. */
    @Test
    void overdue_orders_are_due_today() {
        List<Demand> overdue = List.of(order("first", Product.MATED_QUEENS, 10, -14, -10),
                order("second", Product.MATED_QUEENS, 10, -13, -9), order("third", Product.MATED_QUEENS, 10, -4, 3));
        assertThat(PromiseGroup.of(overdue, day(0))).singleElement()
                .satisfies(group -> assertThat(group.until()).isEqualTo(day(0)));
        assertThat(PromiseGroup.of(overdue.subList(0, 1), day(0))).singleElement()
                .satisfies(group -> assertThat(group.until()).isEqualTo(day(0)));
    }

    @Test
    void nothing_wanted_on_a_day_off_is_handed_over_before_its_time_and_called_kept() {
        Crew noSundays = new Crew(16, Set.of(DayOfWeek.SUNDAY), Set.of());
        SeasonPlan plan = SeasonPlanner.plan(Seasons.brief(List.of(order("A", Product.MATED_QUEENS, 10, 44, 44)),
                List.of(builder("B 1", 45)), 100, noSundays), 3, SolveWatch.untilInterrupted());
        Promise only = plan.promises().getFirst();
        assertThat(only.state()).isNotEqualTo(Promise.State.HOLDS);
        assertThat(only.delivery()).hasValueSatisfying(day -> assertThat(day).isAfter(day(44)));
        SeasonPlan twoDays = SeasonPlanner.plan(Seasons.brief(List.of(order("A", Product.MATED_QUEENS, 10, 43, 44)),
                List.of(builder("B 1", 45)), 100, noSundays), 3, SolveWatch.untilInterrupted());
        assertThat(twoDays.promises().getFirst().delivery()).contains(day(43));
    }

    @Test
    void what_is_on_its_way_waits_for_the_next_working_day_too() {
        SeasonBrief brief = Seasons.brief(List.of(order("A", Product.MATED_QUEENS, 5, 16, 16)),
                List.of(builder("B 1", 45)), 100, new Crew(16, Set.of(DayOfWeek.SUNDAY), Set.of()),
                List.of(virgins("r", 40)), List.of(), List.of());
        Promise only = SeasonPlanner.plan(brief, 3, SolveWatch.untilInterrupted()).promises().getFirst();
        assertThat(only.delivery()).contains(day(17));
        assertThat(only.state()).isEqualTo(Promise.State.LATE);
        assertThat(only.daysLate()).isEqualTo(1);
    }

    @Test
    void an_order_that_is_served_first_holds_though_the_last_of_its_group_does_not() {
        SeasonPlan plan = SeasonPlanner.plan(running(List.of(order("first", Product.MATED_QUEENS, 5, 10, 14),
                order("last", Product.MATED_QUEENS, 50, 11, 15)), virgins("r", 20)), 3,
                SolveWatch.untilInterrupted());
        assertThat(plan.promises()).extracting(one -> one.demand().id(), Promise::state).contains(
                org.assertj.core.groups.Tuple.tuple("first", Promise.State.HOLDS));
        assertThat(plan.promises().getLast().state()).isNotEqualTo(Promise.State.HOLDS);
    }

    @Test
    void a_recipe_without_grafts_is_no_recipe_to_keep() {
        SeasonBrief brief = running(List.of(order("A", Product.MATED_QUEENS, 10, 40, 44)));
        PromiseGroup group = PromiseGroup.of(brief.demands(), brief.today()).getFirst();
        Recipe none = new Recipe(List.of(), day(44), 0, 0.9, 0.95, 0);
        assertThat(new RecipeFinder(brief, new Supply(brief), _ -> Yield.ofBatch(0, List.of())).of(group,
                RecipeFinder.LATE_BY, Optional.of(none))).isNotEmpty();
    }

    /** Two rows of one graft day share its luck: together as one row of their sum. */
    @Test
    void rows_of_one_day_are_one_batch_however_they_are_written_and_under_one_name_too() {
        List<Demand> wanted = List.of(order("A", Product.MATED_QUEENS, 40, 12, 16));
        Yield one = shareOf(running(wanted, virgins("r", 40)));
        for (Yield two : List.of(shareOf(running(wanted, virgins("r", 20), virgins("s", 20))),
                shareOf(running(wanted, virgins("r", 30), virgins("r", 10))))) {
            assertThat(two.chances()).hasSize(one.chances().length);
            assertThat(two.atLeast(32)).isCloseTo(one.atLeast(32), within(1e-9));
        }
    }

    /** Beta-binomial: a thousand batches counted say what days are like on average, not which day comes next (common practice). */
    @Test
    void thousands_of_counts_make_a_rate_sure_but_not_the_day() {
        Rate prior = LossStep.MATING.prior();
        Rate counted = StepOdds.counted(prior, 7_000, 10_000).at(Around.NOTHING_KNOWN);
        assertThat(counted.mean()).isCloseTo(0.7, within(0.01));
        // a fifth of what was not known beforehand was the operation's own share, and that is known now
        assertThat(counted.variance()).isCloseTo(0.8 * prior.variance() * 0.7 * 0.3 / (0.775 * 0.225), within(0.0005));
        assertThat(StepOdds.counted(prior, 0, 0).at(Around.NOTHING_KNOWN).mean()).isCloseTo(prior.mean(), within(1e-9));
        Rate few = StepOdds.counted(prior, 5, 10).at(Around.NOTHING_KNOWN);
        assertThat(few.mean()).isBetween(0.6, prior.mean());
    }

    @Test
    void a_table_by_weeks_ends_with_the_season_whatever_an_order_says() {
        List<SupplyBand> bands = SupplyBand.of(running(List.of(new Demand("A", Product.MATED_QUEENS, 5, day(40),
                java.time.LocalDate.of(9999, 1, 1), Optional.empty(), 2, 0.9))), List.of());
        assertThat(bands.getFirst().days().size()).isLessThan(40);
    }
}
