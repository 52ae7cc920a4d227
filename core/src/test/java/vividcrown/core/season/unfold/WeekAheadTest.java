package vividcrown.core.season.unfold;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static vividcrown.core.season.Seasons.builder;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.order;

import java.time.DayOfWeek;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.LossStep;
import vividcrown.core.season.Crew;
import vividcrown.core.season.Means;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;

/** What to graft and place this week: situations of the trade (common practice), and whole seasons lived through. */
class WeekAheadTest {

    private static final List<LossStep> TAKEN = List.of(LossStep.TAKE);

    private static SeasonBrief brief(List<Demand> demands, int nucs, Crew crew, RunningBatch... running) {
        return Seasons.brief(demands, List.of(builder("B 1", 45), builder("B 2", 45), builder("B 3", 45)), nucs, crew,
                List.of(running), List.of(), List.of());
    }

    private static RunningBatch batch(int graft, int alive, List<LossStep> passed) {
        return new RunningBatch("r" + graft, Optional.empty(), day(graft), alive, passed, Around.NOTHING_KNOWN);
    }

    private static List<WeekAhead.Grafts> grafts(SeasonBrief brief) {
        return WeekAhead.of(brief).steps().stream().filter(WeekAhead.Grafts.class::isInstance)
                .map(WeekAhead.Grafts.class::cast).toList();
    }

    private static List<WeekAhead.Places> places(SeasonBrief brief) {
        return WeekAhead.of(brief).steps().stream().filter(WeekAhead.Places.class::isInstance)
                .map(WeekAhead.Places.class::cast).toList();
    }

    private static int cups(SeasonBrief brief) {
        return grafts(brief).stream().mapToInt(WeekAhead.Grafts::cups).sum();
    }

    @Test
    void nothing_is_grafted_for_what_is_far_off_or_stands_ready() {
        assertThat(cups(brief(List.of(order("A", Product.MATED_QUEENS, 20, 86, 90)), 200, Crew.EVERY_DAY))).isZero();
        assertThat(cups(brief(List.of(order("A", Product.MATED_QUEENS, 20, 30, 34)), 200, Crew.EVERY_DAY,
                batch(-5, 60, Draws.WAY)))).isZero();
        assertThat(cups(brief(List.of(), 200, Crew.EVERY_DAY))).isZero();
    }

    @Test
    void its_last_graft_buys_an_order_its_safety_an_earlier_one_its_expected_number() {
        int early = cups(brief(List.of(order("A", Product.MATED_QUEENS, 30, 36, 40)), 200, Crew.EVERY_DAY));
        int late = cups(brief(List.of(order("A", Product.MATED_QUEENS, 30, 25, 29)), 200, Crew.EVERY_DAY));
        double even = 30 / 0.56;
        assertThat(late).isGreaterThan((int) (even * 1.1));
        assertThat(early).isPositive();
        assertThat(early).isLessThan(late);
    }

    @Test
    void what_comes_of_the_next_graft_hangs_on_the_takes_of_this_one() {
        List<WeekAhead.Grafts> grafts = grafts(
                brief(List.of(order("A", Product.MATED_QUEENS, 40, 32, 36)), 200, Crew.EVERY_DAY));
        assertThat(grafts).hasSizeGreaterThanOrEqualTo(2);
        List<WeekAhead.If> ifs = grafts.stream().filter(one -> !one.ifs().isEmpty()).findFirst().orElseThrow().ifs();
        assertThat(ifs.getFirst().takes()).isLessThan(ifs.getLast().takes());
        assertThat(ifs.getFirst().cups()).isGreaterThan(ifs.getLast().cups());
    }

    @Test
    void only_cells_that_somebody_is_to_get_are_placed_and_the_rest_is_said_to_be_over() {
        WeekAhead.Places few = places(brief(List.of(order("A", Product.MATED_QUEENS, 10, 24, 28)), 200, Crew.EVERY_DAY,
                batch(-8, 60, TAKEN))).getFirst();
        assertThat(few.place()).isBetween(12, 30);
        assertThat(few.over()).isEqualTo(few.ripe() - few.place());
        assertThat(few.over()).isPositive();
        WeekAhead.Places all = places(brief(List.of(order("A", Product.MATED_QUEENS, 60, 24, 28)), 200, Crew.EVERY_DAY,
                batch(-8, 60, TAKEN))).getFirst();
        assertThat(all.over()).isZero();
        assertThat(places(brief(List.of(order("A", Product.MATED_QUEENS, 60, 24, 28)), 25, Crew.EVERY_DAY,
                batch(-8, 60, TAKEN))).getFirst().place()).as("no more than there are nucs").isLessThanOrEqualTo(25);
    }

    @Test
    void cells_are_grafted_for_the_days_on_which_they_are_wanted() {
        List<WeekAhead.Grafts> grafts = grafts(
                brief(List.of(order("C", Product.RIPE_CELLS, 20, 12, 13)), 200, Crew.EVERY_DAY));
        assertThat(grafts).isNotEmpty().allSatisfy(one -> {
            assertThat(one.kind()).isEqualTo(SupplyKind.CELLS);
            assertThat(one.day().plusDays(10)).isBetween(day(12), day(13));
        });
        assertThat(grafts.stream().mapToInt(WeekAhead.Grafts::cups).sum()).isGreaterThan(26);
    }

    /** Cells keep no time: what is grafted for queens today must leave a builder for the only day on which they can be grafted. */
    @Test
    void queens_leave_a_builder_for_cells_that_can_be_grafted_on_one_day_only() {
        SeasonBrief brief = brief(List.of(order("C", Product.RIPE_CELLS, 30, 14, 14),
                order("A", Product.MATED_QUEENS, 80, 25, 29)), 300, Crew.EVERY_DAY);
        assertThat(grafts(brief)).anySatisfy(one -> {
            assertThat(one.kind()).isEqualTo(SupplyKind.CELLS);
            assertThat(one.day()).isEqualTo(day(4));
            assertThat(one.cups()).isGreaterThan(37);
        });
        assertThat(Lives.odds(brief, 20).chances().get("C")).isGreaterThan(0.5);
    }

    @Test
    void the_rest_of_the_season_is_lived_as_often_as_the_time_allows_and_it_says_how_often() {
        SeasonBrief brief = brief(List.of(order("A", Product.MATED_QUEENS, 5, 36, 40)), 200, Crew.EVERY_DAY);
        assertThat(Lives.odds(brief, 10, 40, 0).lives()).as("no time at all").isEqualTo(10);
        assertThat(Lives.odds(brief, 10, 40, 600).lives()).as("time for all").isEqualTo(40);
        assertThat(Lives.odds(brief, 40)).isEqualTo(Lives.odds(brief, 10, 40, 600));
    }

    /** Too few nucs are told, and whether that makes anybody late: a later graft may still serve them. */
    @Test
    void too_few_nucs_are_told_and_whether_anybody_is_late_by_it() {
        assertThat(notes(brief(List.of(order("soon", Product.MATED_QUEENS, 40, 25, 29)), 10, Crew.EVERY_DAY)))
                .contains("10 nucs are free").contains("or they will be late");
        assertThat(notes(brief(List.of(order("later", Product.MATED_QUEENS, 40, 34, 38)), 10, Crew.EVERY_DAY)))
                .contains("10 nucs are free").contains("A later graft still helps").doesNotContain("late:");
        assertThat(notes(brief(List.of(order("enough", Product.MATED_QUEENS, 40, 34, 38)), 200, Crew.EVERY_DAY)))
                .isEqualTo("[]");
    }

    /** Sixty cells hang and ripen in five days, nucs are there for ten: no more than ten queens come of them (one nuc, one cell: common practice). */
    @Test
    void cells_that_hang_are_counted_on_only_as_far_as_there_are_nucs_for_them() {
        List<Demand> twenty = List.of(order("A", Product.MATED_QUEENS, 20, 20, 24));
        List<Demand> five = List.of(order("A", Product.MATED_QUEENS, 5, 20, 24));
        RunningBatch hanging = batch(-5, 60, TAKEN);
        assertThat(ifNothingMore(brief(twenty, 10, Crew.EVERY_DAY, hanging))).isZero();
        assertThat(ifNothingMore(brief(twenty, 60, Crew.EVERY_DAY, hanging))).isGreaterThan(0.9);
        assertThat(ifNothingMore(brief(five, 10, Crew.EVERY_DAY, hanging))).isGreaterThan(0.8);
        assertThat(ifNothingMore(brief(twenty, 30, Crew.EVERY_DAY, batch(-5, 30, TAKEN),
                new RunningBatch("beside", Optional.empty(), day(-5), 30, TAKEN, Around.NOTHING_KNOWN))))
                .as("two batches share the nucs").isLessThan(0.8);
        assertThat(ifNothingMore(brief(twenty, 10, Crew.EVERY_DAY,
                batch(-13, 40, List.of(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE)))))
                .as("virgins are in nucs, whatever is told of nucs").isGreaterThan(0.8);
        assertThat(Lives.odds(brief(twenty, 10, Crew.EVERY_DAY, hanging), 20).chances().get("A")).isZero();
    }

    /** What ripens on Thursday has the nucs that what ripens on Friday would want, whether or not they are told to be taken by it. */
    @Test
    void nucs_are_given_to_one_batch_of_the_week_only() {
        List<Demand> forty = List.of(order("A", Product.MATED_QUEENS, 40, 20, 24));
        SeasonBrief untold = brief(forty, 25, Crew.EVERY_DAY, batch(-6, 20, TAKEN), batch(-7, 20, TAKEN));
        assertThat(placed(untold)).containsExactly(19, 6);
        Means told = new Means(untold.means().breeders(), untold.means().builders(), 25,
                day -> day.isBefore(day(3)) ? 0 : day.isBefore(day(4)) ? 20 : 40, 0, Crew.EVERY_DAY);
        assertThat(placed(untold.with(told))).containsExactly(19, 5);
        assertThat(placed(brief(forty, 25, Crew.EVERY_DAY, batch(-7, 20, TAKEN), batch(-12, 10, Draws.WAY))))
                .as("what stands in nucs is told by whoever asks").containsExactly(19);
    }

    /** Eighteen are short in three days and wait: what comes in a fortnight goes to them first (common practice), so the next order wants more of its own. */
    @Test
    void more_is_grafted_for_an_order_that_stands_behind_whoever_waits() {
        Demand first = order("first", Product.MATED_QUEENS, 60, -2, 3);
        Demand second = order("second", Product.MATED_QUEENS, 20, 24, 28);
        RunningBatch laying = batch(-34, 42, Draws.WAY);
        RunningBatch hanging = batch(-9, 20, List.of(LossStep.TAKE, LossStep.SOUND));
        int behind = place(brief(List.of(first, second), 200, Crew.EVERY_DAY, laying, hanging));
        int alone = place(brief(List.of(second), 200, Crew.EVERY_DAY, laying, hanging));
        int whole = place(brief(List.of(first.of(42), second), 200, Crew.EVERY_DAY, laying, hanging));
        assertThat(behind).isGreaterThan(alone + 4);
        assertThat(whole).isLessThan(behind);
    }

    private static int place(SeasonBrief brief) {
        return grafts(brief).stream().mapToInt(WeekAhead.Grafts::place).sum();
    }

    /** Cells may be given from the ninth day on (common practice): they stand in nucs that are taken, and are not to be given again. */
    @Test
    void cells_that_were_given_a_day_early_hang_no_longer() {
        List<Demand> five = List.of(order("A", Product.MATED_QUEENS, 5, 20, 24));
        RunningBatch given = new RunningBatch("given", Optional.empty(), day(-9), 12,
                List.of(LossStep.TAKE, LossStep.SOUND), Around.NOTHING_KNOWN.with(Circumstance.YARD, "Alm"));
        SeasonBrief brief = brief(five, 0, Crew.EVERY_DAY, given);
        assertThat(places(brief)).isEmpty();
        assertThat(ifNothingMore(brief)).isGreaterThan(0.8);
    }

    /** Of two batches that ripen one after the other the odds with planning again count each nuc once too. */
    @Test
    void a_life_places_no_two_cells_in_one_nuc() {
        List<Demand> twelve = List.of(order("A", Product.MATED_QUEENS, 12, 16, 20));
        SeasonBrief brief = brief(twelve, 10, Crew.EVERY_DAY, batch(-6, 20, TAKEN), batch(-7, 20, TAKEN));
        assertThat(Lives.odds(brief, 20).chances().get("A")).isZero();
    }

    private static List<Integer> placed(SeasonBrief brief) {
        return places(brief).stream().map(WeekAhead.Places::place).toList();
    }

    private static double ifNothingMore(SeasonBrief brief) {
        return WeekAhead.of(brief).orders().getFirst().ifNothingMore();
    }

    private static String notes(SeasonBrief brief) {
        return WeekAhead.of(brief).notes().stream().map(note -> note.fact().toString()).toList()
                .toString();
    }

    @Test
    void a_line_asked_for_is_not_served_by_another() {
        Demand dark = new Demand("D", Product.MATED_QUEENS, 10, day(25), day(29), Optional.of("dark"), 2, 0.9);
        List<WeekAhead.Grafts> grafts = grafts(brief(List.of(dark), 200, Crew.EVERY_DAY, batch(-2, 60, TAKEN)));
        assertThat(grafts).isNotEmpty().allSatisfy(one -> assertThat(one.line()).contains("dark"));
    }

    @Test
    void old_virgins_and_queens_past_their_time_are_not_counted_on() {
        SeasonBrief old = brief(List.of(order("A", Product.MATED_QUEENS, 10, 25, 29)), 200, Crew.EVERY_DAY,
                batch(-25, 40, Draws.WAY));
        assertThat(cups(old)).as("laying since weeks, and kept too long by then").isPositive();
    }

    @Test
    void nobody_grafts_on_a_day_off_nor_so_that_cells_are_ripe_on_one() {
        Crew crew = new Crew(16, Set.of(DayOfWeek.SUNDAY, DayOfWeek.MONDAY), Set.of());
        assertThat(grafts(brief(List.of(order("A", Product.MATED_QUEENS, 40, 30, 34)), 200, crew)))
                .allSatisfy(one -> {
                    assertThat(crew.works(one.day())).isTrue();
                    assertThat(crew.works(one.day().plusDays(10))).isTrue();
                });
    }

    @Test
    void too_late_for_any_graft_is_said_and_nothing_is_grafted_for_it() {
        WeekAhead week = WeekAhead.of(brief(List.of(order("A", Product.MATED_QUEENS, 10, 8, 12)), 200, Crew.EVERY_DAY));
        assertThat(week.orders().getFirst().helpsUntil()).isEmpty();
        assertThat(week.orders().getFirst().ifNothingMore()).isZero();
        assertThat(week.steps()).isEmpty();
    }

    @Test
    void an_order_that_can_only_be_late_is_still_grafted_for_while_a_customer_would_wait() {
        assertThat(cups(brief(List.of(order("A", Product.MATED_QUEENS, 10, 16, 20)), 200, Crew.EVERY_DAY)))
                .as("a week late").isBetween(10, 30);
        assertThat(cups(brief(List.of(order("A", Product.MATED_QUEENS, 10, 16, 20)), 200, Crew.EVERY_DAY,
                batch(-10, 40, TAKEN)))).as("what is on its way will do").isLessThan(5);
    }

    @Test
    void worth_nothing_is_refused_with_what_would_do() {
        assertThatThrownBy(() -> new SeasonWorth(0, 10, 10, 1)).hasMessageContaining("lateQueen");
        assertThatThrownBy(() -> WeekAhead.of(Seasons.brief(List.of(), List.of(), 10, Crew.EVERY_DAY)))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void a_queen_over_that_costs_more_is_bred_less() {
        SeasonBrief brief = brief(List.of(order("A", Product.MATED_QUEENS, 30, 25, 29)), 200, Crew.EVERY_DAY);
        int usual = cups(brief);
        int sparing = WeekAhead.of(brief.with(new SeasonWorth(60, 1_800, 600, 0.2))).steps().stream()
                .filter(WeekAhead.Grafts.class::isInstance).map(WeekAhead.Grafts.class::cast)
                .mapToInt(one -> Math.min(one.cups(), one.place())).sum();
        assertThat(sparing).isLessThan(usual);
    }

    /** A simulator of its own against the best of the rules of thumb (see UnfoldBench for the whole frontier): seeds fixed. */
    @Test
    void seasons_lived_through_keep_more_orders_with_less_waste_than_a_rule_of_thumb() {
        int seasons = 30;
        int[] program = lived(seasons, new Keepers.Program(SeasonWorth.USUAL,
                Set.of(DayOfWeek.MONDAY, DayOfWeek.FRIDAY), 48));
        int[] rule = lived(seasons, new Keepers.Mondays(0.4, 40));
        assertThat(program[0]).as("orders in time").isGreaterThanOrEqualTo(rule[0]);
        assertThat(program[1]).as("queens wasted").isLessThan((int) (0.6 * rule[1]));
    }

    private static int[] lived(int seasons, LivedSeason.Keeper keeper) {
        return IntStream.range(1, seasons + 1).parallel()
                .mapToObj(seed -> new LivedSeason(Seasons.random(8, 4, 240, seed), seed * 7L, 0).live(keeper))
                .map(one -> new int[]{one.onTime(), one.wasted()})
                .reduce(new int[2], (one, two) -> new int[]{one[0] + two[0], one[1] + two[1]});
    }
}
