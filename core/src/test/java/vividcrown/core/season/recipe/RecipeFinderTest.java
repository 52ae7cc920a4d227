package vividcrown.core.season.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static vividcrown.core.season.Seasons.builder;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.order;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.LossStep;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.Crew;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.supply.GraftsNeeded;
import vividcrown.core.season.supply.RunningShares;
import vividcrown.core.season.supply.Supply;

/** The ways to meet a demand, before anybody chooses among them. */
class RecipeFinderTest {

    private static final Supply.Virgins TWENTY = Supply.Virgins.of(Optional.empty(), 20);

    private static final List<CellBuilder> FOUR = List.of(builder("B 1", 45), builder("B 2", 45), builder("B 3", 45),
            builder("B 4", 45));

    private final SeasonBrief brief = Seasons.brief(List.of(order("A", Product.RIPE_CELLS, 20, 40, 42),
            order("B", Product.MATED_QUEENS, 20, 70, 74)), FOUR, 200, Crew.EVERY_DAY);
    private final Supply supply = new Supply(brief);
    private final List<PromiseGroup> groups = PromiseGroup.of(brief.demands(), brief.today());
    private final RecipeFinder finder = new RecipeFinder(brief, supply, new RunningShares(brief, groups, supply)::of);

    private List<Recipe> inTime(int group) {
        return finder.of(groups.get(group), RecipeFinder.LATE_BY, Optional.empty()).stream()
                .filter(one -> one.daysLate() == 0 && one.assurance() == 0.9).toList();
    }

    /** Cells need no weather, so a single day must ask for just what the exact reckoning of one order does. */
    @Test
    void one_day_of_cells_asks_for_the_same_number_as_the_reckoning_for_one_order() {
        int needed = GraftsNeeded.forDemand(Product.RIPE_CELLS, 20, 0.9, 1, Map.of()).grafts().orElseThrow();
        assertThat(inTime(0)).filteredOn(one -> one.grafts().size() == 1).hasSize(3)
                .allSatisfy(one -> assertThat(one.cups()).isEqualTo(needed));
    }

    @Test
    void two_days_ask_for_the_same_number_as_the_reckoning_with_two_batches() {
        int needed = GraftsNeeded.forDemand(Product.RIPE_CELLS, 20, 0.9, 2, Map.of()).grafts().orElseThrow();
        assertThat(inTime(0)).filteredOn(one -> one.grafts().size() == 2).isNotEmpty()
                .allSatisfy(one -> assertThat(one.cups()).isEqualTo(needed));
        assertThat(needed).as("two days share the luck out")
                .isLessThan(GraftsNeeded.forDemand(Product.RIPE_CELLS, 20, 0.9, 1, Map.of()).grafts().orElseThrow());
    }

    @Test
    void each_recipe_does_with_its_cups_and_not_with_one_fewer() {
        for (Recipe recipe : inTime(1)) {
            assertThat(recipe.chance()).isGreaterThanOrEqualTo(0.9);
            if (recipe.grafts().size() == 1) {
                LocalDate day = recipe.grafts().getFirst().day();
                assertThat(
                        supply.yield(Product.MATED_QUEENS, TWENTY, day, recipe.delivery(), recipe.cups() - 1)
                                .atLeast(20))
                        .isLessThan(0.9);
            }
        }
    }

    @Test
    void the_earlier_the_graft_the_more_lay_and_the_fewer_are_needed_but_nucs_are_taken_longer() {
        List<Recipe> singles = inTime(1).stream().filter(one -> one.grafts().size() == 1)
                .sorted(Comparator.comparing(one -> one.grafts().getFirst().day())).toList();
        Recipe early = singles.getFirst();
        Recipe late = singles.getLast();
        assertThat(early.cups()).isLessThan(late.cups());
        assertThat(early.grafts().getFirst().day()).isBefore(late.grafts().getFirst().day());
    }

    @Test
    void late_and_risky_ways_are_offered_too() {
        List<Recipe> all = finder.of(groups.get(1), RecipeFinder.LATE_BY, Optional.empty());
        assertThat(all).extracting(Recipe::daysLate).contains(0, 3, 7, 14);
        assertThat(all).extracting(Recipe::assurance).contains(0.9, 0.8, 0.5);
        assertThat(all.stream().filter(one -> one.assurance() == 0.5).mapToInt(Recipe::cups).min().orElseThrow())
                .isLessThan(inTime(1).stream().mapToInt(Recipe::cups).min().orElseThrow());
    }

    @Test
    void what_is_too_much_for_two_days_is_spread_over_more() {
        SeasonBrief big = Seasons.brief(List.of(order("big", Product.MATED_QUEENS, 60, 70, 74)),
                List.of(builder("B 1", 45)), 400, Crew.EVERY_DAY);
        Supply ofBig = new Supply(big);
        List<PromiseGroup> one = PromiseGroup.of(big.demands(), big.today());
        assertThat(new RecipeFinder(big, ofBig, new RunningShares(big, one, ofBig)::of).of(one.getFirst(), List.of(0),
                Optional.empty()))
                .isNotEmpty().filteredOn(recipe -> recipe.assurance() == 0.9)
                .allSatisfy(recipe -> assertThat(recipe.grafts().size()).isGreaterThan(2));
    }

    /** Odds of the losses one by one, multiplied: of 100 cups about 54 lay in good weather. By hand from the priors. */
    @Test
    void what_comes_through_on_average_is_the_product_of_the_steps() {
        double through = supply.through(Product.MATED_QUEENS, TWENTY, day(50), day(90));
        double byHand = 0.85 * 0.925 * 0.925 * 0.775 * supply.matingWeather(day(50));
        assertThat(through).isCloseTo(byHand, within(0.01));
    }

    // --- groups and what is on its way -------------------------------------------------------------------------------

    private static List<PromiseGroup> grouped(Demand... demands) {
        return PromiseGroup.of(List.of(demands), Seasons.MAY_1);
    }

    @Test
    void only_what_is_of_one_kind_line_and_assurance_and_due_together_is_grouped() {
        Demand base = order("A", Product.MATED_QUEENS, 10, 40, 44);
        assertThat(grouped(base, order("B", Product.MATED_QUEENS, 10, 43, 47))).hasSize(1);
        assertThat(grouped(base, order("B", Product.MATED_QUEENS, 10, 45, 49))).hasSize(2);
        assertThat(grouped(base, order("B", Product.RIPE_CELLS, 10, 40, 44))).hasSize(2);
        assertThat(
                grouped(base, new Demand("B", Product.MATED_QUEENS, 10, day(40), day(44), Optional.of("dark"), 2, 0.9)))
                .hasSize(2);
        assertThat(grouped(base, new Demand("B", Product.MATED_QUEENS, 10, day(40), day(44), Optional.empty(), 2, 0.8)))
                .hasSize(2);
        assertThat(grouped(base, order("B", Product.MATED_QUEENS, 55, 40, 44))).as("too much for one batch's luck")
                .hasSize(2);
        PromiseGroup both = grouped(base, order("B", Product.MATED_QUEENS, 10, 42, 47)).getFirst();
        assertThat(both.from()).isEqualTo(day(42));
        assertThat(both.until()).isEqualTo(day(44));
    }

    @Test
    void a_line_asked_for_by_name_is_not_given_to_those_who_take_any() {
        List<LossStep> laying = List.of(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE, LossStep.MATING);
        RunningBatch grey = new RunningBatch("grey", Optional.of("grey"), day(-40), 10, laying, Around.NOTHING_KNOWN);
        RunningBatch dark = new RunningBatch("dark", Optional.of("dark"), day(-40), 10, laying, Around.NOTHING_KNOWN);
        Demand any = order("any", Product.MATED_QUEENS, 10, 2, 5);
        Demand named = new Demand("named", Product.MATED_QUEENS, 10, day(20), day(24), Optional.of("grey"), 2, 0.9);
        SeasonBrief both = Seasons.brief(List.of(any, named), FOUR, 100, Crew.EVERY_DAY, List.of(grey, dark), List.of(),
                List.of());
        List<PromiseGroup> two = PromiseGroup.of(both.demands(), both.today());
        RunningShares shares = new RunningShares(both, two, new Supply(both));
        assertThat(shares.shares(two.get(0))).extracting(one -> one.batch().id()).containsExactly("dark");
        assertThat(shares.shares(two.get(1))).extracting(one -> one.batch().id()).containsExactly("grey");
        assertThat(shares.of(two.get(1)).atLeast(10)).isEqualTo(1);
    }

    @Test
    void no_more_is_set_aside_than_the_assurance_asks_for() {
        RunningBatch virgins = new RunningBatch("v", Optional.of("dark"), day(-20), 60,
                List.of(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE), Around.NOTHING_KNOWN);
        SeasonBrief few = Seasons.brief(List.of(order("A", Product.MATED_QUEENS, 5, 10, 14)), FOUR, 100,
                Crew.EVERY_DAY, List.of(virgins), List.of(), List.of());
        List<PromiseGroup> one = PromiseGroup.of(few.demands(), few.today());
        RunningShares shares = new RunningShares(few, one, new Supply(few));
        assertThat(shares.shares(one.getFirst()).getFirst().alive()).isBetween(6, 15);
        assertThat(shares.of(one.getFirst()).atLeast(5)).isGreaterThanOrEqualTo(0.9);
    }
}
