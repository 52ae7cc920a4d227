package vividcrown.core.season.unfold;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.core.season.Seasons.day;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.LossStep;
import vividcrown.core.season.Crew;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.supply.Supply;

/**
 * Seven laying queens, and twelve wanted today: who gets them. What follows from the numbers by hand; that who cannot be served whole is asked to wait
 * where another can be is common practice.
 */
class KeptBackTest {

    private static final Demand DUE = order("due", 12, 0);
    private static final Demand EIGHT = order("eight", 8, 6);

    private static Demand order(String id, int count, int until) {
        return Seasons.order(id, Product.MATED_QUEENS, count, until - 2, until);
    }

    private static Demand of(Demand order, int priority, Optional<String> line) {
        return new Demand(order.id(), order.product(), order.count(), order.from(), order.until(), line, priority,
                order.assurance());
    }

    private static Stock stock(String id, int graft, int alive, List<LossStep> passed, Optional<String> line) {
        return new Stock(new RunningBatch(id, line, day(graft), alive, passed, Around.NOTHING_KNOWN),
                SupplyKind.QUEENS, alive, false);
    }

    private static Stock laying(int graft, int alive) {
        return stock("laying", graft, alive, Draws.WAY, Optional.empty());
    }

    /** Begun to lay within the week for certain. */
    private static Stock soon(int alive) {
        return stock("soon", -19, alive, Draws.WAY, Optional.empty());
    }

    private static int given(List<Demand> orders, Demand order, Stock... stocks) {
        return given(orders, order, SeasonWorth.USUAL, stocks);
    }

    private static int given(List<Demand> orders, Demand order, SeasonWorth worth, Stock... stocks) {
        SeasonBrief brief = Seasons.brief(orders, List.of(Seasons.builder("B 1", 45)), 100, Crew.EVERY_DAY).with(worth);
        Supply supply = new Supply(brief);
        LocalDate monday = day(3);
        return new KeptBack(brief, supply, new Draws(supply, 64, 1), monday).given(order, List.of(stocks));
    }

    @Test
    void five_are_kept_for_an_order_that_they_make_whole() {
        assertThat(given(List.of(DUE, EIGHT), DUE, laying(-30, 7), soon(3))).isEqualTo(2);
    }

    @Test
    void none_are_kept_for_an_order_that_is_not_whole_with_them_either() {
        assertThat(given(List.of(DUE, EIGHT), DUE, laying(-30, 7))).isEqualTo(7);
    }

    @Test
    void none_are_kept_for_an_order_that_is_whole_without_them() {
        assertThat(given(List.of(DUE, EIGHT), DUE, laying(-30, 7), soon(8))).isEqualTo(7);
    }

    @Test
    void whoever_is_whole_today_gets_all_of_his() {
        Demand seven = order("seven", 7, 0);
        assertThat(given(List.of(seven, EIGHT), seven, laying(-30, 7), soon(3))).isEqualTo(7);
    }

    @Test
    void of_two_that_are_due_today_the_smaller_is_made_whole() {
        Demand six = order("six", 6, 0);
        assertThat(given(List.of(DUE, six), DUE, laying(-30, 7))).isEqualTo(1);
        assertThat(given(List.of(DUE, six), six, laying(-30, 7))).isEqualTo(6);
    }

    /** Three of the ten make nobody whole: they are his. */
    @Test
    void no_more_are_kept_than_make_the_other_whole() {
        Demand seven = order("seven", 7, 0);
        assertThat(given(List.of(DUE, seven, order("ten", 10, 3)), DUE, laying(-30, 10))).isEqualTo(3);
    }

    @Test
    void whoever_waits_for_weeks_gets_what_the_next_does_not_want() {
        Demand waits = order("waits", 4, -5);
        assertThat(given(List.of(waits, EIGHT), waits, laying(-30, 7), soon(3))).isEqualTo(2);
        assertThat(given(List.of(waits), waits, laying(-30, 7))).isEqualTo(4);
    }

    @Test
    void queens_that_are_too_old_by_then_are_not_kept() {
        assertThat(given(List.of(DUE, order("late", 8, 14)), DUE, laying(-36, 7), soon(3))).isEqualTo(7);
    }

    @Test
    void queens_of_another_line_are_not_kept() {
        Demand grey = of(EIGHT, 2, Optional.of("grey"));
        Stock dark = stock("dark", -30, 7, Draws.WAY, Optional.of("dark"));
        assertThat(given(List.of(DUE, grey), DUE, dark, soon(3))).isEqualTo(7);
    }

    @Test
    void queens_of_a_line_that_is_asked_for_are_kept_and_the_others_go_first() {
        Demand grey = of(order("grey", 3, 6), 2, Optional.of("grey"));
        Stock greys = stock("greys", -31, 3, Draws.WAY, Optional.of("grey"));
        assertThat(given(List.of(DUE, grey), DUE, greys, laying(-30, 4))).isEqualTo(4);
    }

    @Test
    void nobody_waits_for_whoever_matters_less() {
        assertThat(given(List.of(of(DUE, 1, Optional.empty()), EIGHT), of(DUE, 1, Optional.empty()), laying(-30, 7),
                soon(3))).isEqualTo(7);
        assertThat(given(List.of(of(DUE, 3, Optional.empty()), EIGHT), of(DUE, 3, Optional.empty()), laying(-30, 7),
                soon(3))).isEqualTo(2);
    }

    @Test
    void what_a_later_graft_can_bring_is_not_kept() {
        assertThat(given(List.of(DUE, order("far", 8, 40)), DUE, laying(-8, 7), soon(3)))
                .as("none of hers lays yet").isLessThanOrEqualTo(7);
        assertThat(given(List.of(DUE, order("far", 10, 19)), DUE, laying(-25, 7), soon(3)))
                .as("no graft of today is there by then").isZero();
        assertThat(given(List.of(DUE, order("far", 10, 45)), DUE, laying(-25, 7), soon(3))).isEqualTo(7);
    }

    @Test
    void virgins_that_may_lay_yet_are_not_handed_over() {
        Stock virgins = stock("virgins", -26, 9, Draws.WAY.subList(0, 3), Optional.empty());
        assertThat(given(List.of(DUE), DUE, virgins)).isZero();
        assertThat(given(List.of(DUE), DUE, virgins, laying(-30, 5))).isEqualTo(5);
    }

    @Test
    void what_is_worth_nothing_is_not_kept_for() {
        assertThat(given(List.of(DUE, EIGHT), DUE, new SeasonWorth(60, 0, 20, 0.2), laying(-30, 7), soon(3)))
                .isEqualTo(7);
    }
}
