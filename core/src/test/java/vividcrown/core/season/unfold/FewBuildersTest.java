package vividcrown.core.season.unfold;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.core.season.Seasons.builder;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.order;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.LossStep;
import vividcrown.core.season.Crew;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.supply.Supply;

/** A small unit that wants cells and queens of the same builders (common practice: a box loaded is busy until its cells are sealed). */
class FewBuildersTest {

    private static final Crew SUNDAYS_OFF = new Crew(16, Set.of(DayOfWeek.SUNDAY), Set.of());
    private static final LocalDate CELLS_ON = LocalDate.of(2026, 5, 5);
    private static final Demand FIVE_CELLS = order("cells", Product.RIPE_CELLS, 5, 14, 14);
    private static final Demand TWELVE_QUEENS = order("queens", Product.MATED_QUEENS, 12, 31, 35);

    private static SeasonBrief brief(int builders, Demand... orders) {
        return Seasons.brief(List.of(orders),
                IntStream.rangeClosed(1, builders).mapToObj(one -> builder("B " + one, 45)).toList(), 200,
                SUNDAYS_OFF);
    }

    private static List<WeekAhead.Grafts> grafts(SeasonBrief brief) {
        return WeekAhead.of(brief).steps().stream().map(WeekAhead.Grafts.class::cast).toList();
    }

    /** Its cells are grafted on a Tuesday, or their day is lost; what room they leave in the only box is all that the queens get that week. */
    @Test
    void queens_are_grafted_beside_the_cells_for_which_the_only_builder_is_kept() {
        List<WeekAhead.Grafts> grafts = grafts(brief(1, FIVE_CELLS, TWELVE_QUEENS));
        assertThat(grafts).extracting(WeekAhead.Grafts::day).containsOnly(CELLS_ON);
        assertThat(grafts).extracting(WeekAhead.Grafts::kind)
                .containsExactlyInAnyOrder(SupplyKind.CELLS, SupplyKind.QUEENS);
        assertThat(grafts.stream().mapToInt(WeekAhead.Grafts::cups).sum()).isLessThanOrEqualTo(45);
        // five of eight or so are there on average; more than twice that only takes room that queens want
        assertThat(grafts).filteredOn(one -> one.kind() == SupplyKind.CELLS).first()
                .satisfies(one -> assertThat(one.cups()).isBetween(8, 20));
        Map<String, Double> odds = Lives.odds(brief(1, FIVE_CELLS, TWELVE_QUEENS), 60).chances();
        assertThat(odds.get("cells")).isGreaterThan(0.85);
        assertThat(odds.get("queens")).isGreaterThan(0.75);
    }

    @Test
    void it_is_said_for_whom_a_builder_is_kept() {
        assertThat(WeekAhead.of(brief(1, FIVE_CELLS, TWELVE_QUEENS)).notes()).extracting(one -> one.fact().toString())
                .singleElement().asString().contains("are kept for cells or virgins");
        assertThat(WeekAhead.of(brief(4, FIVE_CELLS, TWELVE_QUEENS)).notes()).isEmpty();
    }

    /** A box that nobody needs for cells is not kept from queens: they hang already, no mother of the line is there, or nobody grafts on their only day. */
    @Test
    void a_builder_is_kept_only_for_cells_that_can_and_must_be_grafted() {
        Demand virgins = order("virgins", Product.VIRGINS, 5, 16, 19);
        Demand noMother = new Demand("cells", Product.RIPE_CELLS, 5, day(14), day(14), Optional.of("of nobody"), 1,
                0.9);
        Demand ofASunday = order("cells", Product.RIPE_CELLS, 5, 19, 19);
        SeasonBrief hanging = Seasons.brief(List.of(virgins, TWELVE_QUEENS), List.of(builder("B 1", 45)), 200,
                SUNDAYS_OFF, List.of(new RunningBatch("R", Optional.empty(), day(-1), 30, List.of(LossStep.TAKE),
                        Around.NOTHING_KNOWN)),
                List.of(), List.of());
        assertThat(List.of(hanging, brief(1, noMother, TWELVE_QUEENS), brief(1, ofASunday, TWELVE_QUEENS)))
                .allSatisfy(one -> assertThat(grafts(one)).as("%s", one.demands())
                        .anySatisfy(graft -> assertThat(graft.kind()).isEqualTo(SupplyKind.QUEENS)));
        assertThat(WeekAhead.of(brief(1, ofASunday, TWELVE_QUEENS)).notes())
                .noneMatch(one -> one.fact().toString().contains("are kept for"));
    }

    /** Nothing makes up later for cells that nobody grafted. */
    @Test
    void cells_that_no_builder_brings_up_are_told_before_it_is_too_late() {
        Demand theDayAfter = order("the day after", Product.RIPE_CELLS, 5, 15, 15);
        assertThat(WeekAhead.of(brief(1, FIVE_CELLS, theDayAfter)).notes()).extracting(one -> one.fact().toString())
                .singleElement().asString().contains("no graft helps the day after any more").contains("5 of 5");
        assertThat(WeekAhead.of(brief(1, order("hundred", Product.RIPE_CELLS, 100, 14, 14))).notes())
                .extracting(one -> one.fact().toString()).singleElement().asString()
                .contains("no graft helps hundred any more");
        assertThat(WeekAhead.of(brief(2, FIVE_CELLS, theDayAfter)).notes()).isEmpty();
    }

    /** They may be grafted today or tomorrow: then today's cups are shared, and the box is not kept from queens. */
    @Test
    void cells_that_a_graft_of_today_serves_keep_no_builder_for_tomorrow() {
        List<WeekAhead.Grafts> grafts = grafts(brief(1, order("cells", Product.RIPE_CELLS, 5, 10, 14),
                order("queens", Product.MATED_QUEENS, 12, 27, 31)));
        assertThat(grafts).filteredOn(one -> one.day().equals(day(0))).extracting(WeekAhead.Grafts::kind)
                .contains(SupplyKind.QUEENS);
    }

    /** No graft is told on a day on which the only builder is busy, and none of a cup or two beside one that has just been made. */
    @ParameterizedTest
    @CsvSource({"3", "6", "9"})
    void whoever_has_one_builder_is_not_told_to_load_it_twice(int later) {
        List<WeekAhead.Grafts> grafts = grafts(brief(1,
                order("virgins", Product.VIRGINS, 5, 18 + later, 18 + later),
                order("queens", Product.MATED_QUEENS, 12, 31 + later, 35 + later)));
        assertThat(grafts).isNotEmpty();
        List<LocalDate> days = grafts.stream().map(WeekAhead.Grafts::day).distinct().toList();
        for (int at = 1; at < days.size(); at++) {
            assertThat(days.get(at)).isAfterOrEqualTo(days.get(at - 1).plusDays(5));
        }
    }

    /** Sixty queens and thirty cells for two builders: cells take no more of the last cups than these save. */
    @Test
    void who_needs_the_last_cup_most_gets_it() {
        Demand cells = order("cells", Product.RIPE_CELLS, 30, 17, 17);
        Demand queens = order("queens", Product.MATED_QUEENS, 60, 34, 38);
        Map<String, Double> odds = Lives.odds(brief(2, cells, queens), 60).chances();
        assertThat(odds.get("cells")).isGreaterThan(0.85);
        assertThat(odds.get("queens")).isGreaterThan(0.5);
    }

    private static GraftDays days(SeasonBrief brief) {
        return GraftDays.of(new Timing(brief, new Supply(brief)));
    }

    private static FreeBuilders builders(int many) {
        return new FreeBuilders(brief(many).means().builders());
    }

    @Test
    void only_cells_that_take_all_builders_share_their_day() {
        assertThat(days(brief(1, FIVE_CELLS)).next(CELLS_ON, builders(1))).containsKey(SupplyKind.QUEENS);
        assertThat(days(brief(2, FIVE_CELLS)).next(CELLS_ON, builders(2))).doesNotContainKey(SupplyKind.QUEENS);
        assertThat(days(brief(2, FIVE_CELLS, order("five more", Product.RIPE_CELLS, 5, 14, 14)))
                .next(CELLS_ON, builders(2))).as("one box does for both").doesNotContainKey(SupplyKind.QUEENS);
        assertThat(days(brief(1, TWELVE_QUEENS)).next(CELLS_ON, builders(1))).doesNotContainKey(SupplyKind.QUEENS);
    }

    /** Loaded on the Monday it is busy on the Friday. */
    @Test
    void the_next_day_is_one_on_which_a_builder_is_free() {
        LocalDate monday = LocalDate.of(2026, 5, 4);
        assertThat(days(brief(2)).next(monday, builders(2))).containsEntry(SupplyKind.QUEENS, monday.plusDays(4))
                .containsEntry(SupplyKind.CELLS, monday.plusDays(1));
        assertThat(days(brief(1)).next(monday, builders(1))).containsEntry(SupplyKind.QUEENS, monday.plusDays(7))
                .containsEntry(SupplyKind.CELLS, monday.plusDays(5));
        FreeBuilders two = builders(2);
        two.load(monday, 45);
        assertThat(days(brief(2)).next(monday.plusDays(4), two)).as("the first is free again on the Saturday")
                .containsEntry(SupplyKind.CELLS, monday.plusDays(5));
    }
}
