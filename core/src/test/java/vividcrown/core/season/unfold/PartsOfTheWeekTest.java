package vividcrown.core.season.unfold;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static vividcrown.core.season.Seasons.builder;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.order;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.odds.StepOdds;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.Crew;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonRates;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.supply.Supply;

/** What the week ahead is made of: builders that rest, days on which it is grafted, what lives, who can still be helped. Common practice. */
class PartsOfTheWeekTest {

    private static final List<CellBuilder> ONE = List.of(builder("B 1", 45));

    private static SeasonBrief brief(List<Demand> demands, Crew crew, RunningBatch... running) {
        return Seasons.brief(demands, ONE, 100, crew, List.of(running), List.of(), List.of());
    }

    private static RunningBatch batch(String id, int graft, int alive, LossStep... passed) {
        return new RunningBatch(id, Optional.empty(), day(graft), alive, List.of(passed), Around.NOTHING_KNOWN);
    }

    @Nested
    class Builders {

        @Test
        void one_that_is_loaded_is_busy_until_its_cells_are_sealed() {
            FreeBuilders builders = new FreeBuilders(ONE);
            assertThat(builders.cups(day(0))).isEqualTo(45);
            builders.load(day(0), 10);
            assertThat(builders.cups(day(4))).as("however few it was given").isZero();
            assertThat(builders.cups(day(5))).isEqualTo(45);
        }

        @Test
        void after_four_loads_it_rests() {
            FreeBuilders builders = new FreeBuilders(ONE);
            for (int load = 0; load < 4; load++) {
                assertThat(builders.cups(day(5 * load))).isEqualTo(45);
                builders.load(day(5 * load), 45);
            }
            assertThat(builders.cups(day(20))).isZero();
            assertThat(builders.cups(day(29))).isZero();
            assertThat(builders.cups(day(30))).isEqualTo(45);
        }

        @Test
        void what_one_does_not_take_goes_into_the_next() {
            FreeBuilders builders = new FreeBuilders(
                    List.of(builder("B 1", 45), builder("B 2", 30), builder("B 3", 30)));
            assertThat(builders.usualLoad()).isEqualTo(35);
            builders.load(day(0), 60);
            assertThat(builders.cups(day(1))).as("the third is free still").isEqualTo(30);
        }

        @Test
        void grafts_of_the_record_count_and_one_that_is_not_made_up_yet_takes_nothing() {
            FreeBuilders grafted = new FreeBuilders(List.of(new CellBuilder("B 1", BuilderSchool.STARTER_THEN_FINISHER,
                    45, day(0), List.of(day(-2)))));
            assertThat(grafted.cups(day(2))).isZero();
            assertThat(grafted.cups(day(3))).isEqualTo(45);
            FreeBuilders coming = new FreeBuilders(
                    List.of(new CellBuilder("B 1", BuilderSchool.STARTER_THEN_FINISHER, 45, day(6), List.of())));
            assertThat(coming.cups(day(5))).isZero();
            assertThat(coming.cups(day(6))).isEqualTo(45);
        }
    }

    @Nested
    class Days {

        private final FreeBuilders builders = new FreeBuilders(List.of(Seasons.builder("B 1", 45),
                Seasons.builder("B 2", 45)));

        private static GraftDays graftDays(List<Demand> orders, Crew crew) {
            SeasonBrief brief = brief(orders, crew);
            return GraftDays.of(new Timing(brief, new Supply(brief)));
        }

        @Test
        void queens_are_grafted_on_two_days_of_a_week_cells_on_any() {
            GraftDays days = graftDays(List.of(), Crew.EVERY_DAY);
            List<LocalDate> queens = Stream.iterate(LocalDate.of(2026, 5, 4), date -> date.plusDays(1)).limit(7)
                    .filter(date -> days.next(date, builders).containsKey(SupplyKind.QUEENS)).toList();
            assertThat(queens).containsExactly(LocalDate.of(2026, 5, 4), LocalDate.of(2026, 5, 7));
            assertThat(days.next(LocalDate.of(2026, 5, 5), builders)).containsOnlyKeys(SupplyKind.CELLS,
                    SupplyKind.VIRGINS);
        }

        @Test
        void the_next_day_is_one_on_which_somebody_works_and_again_when_its_cells_are_ripe() {
            // ripe ten days on: a graft of a Thursday would be ripe on a Sunday
            Crew crew = new Crew(8, Set.of(DayOfWeek.SUNDAY), Set.of());
            GraftDays days = graftDays(List.of(), crew);
            LocalDate next = days.next(LocalDate.of(2026, 5, 4), builders).get(SupplyKind.QUEENS);
            assertThat(next).isEqualTo(LocalDate.of(2026, 5, 8));
            assertThat(crew.works(next.plusDays(10))).isTrue();
        }

        @Test
        void a_week_in_which_nobody_works_is_passed_over() {
            Crew weekend = new Crew(8, Set.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.WEDNESDAY,
                    DayOfWeek.THURSDAY, DayOfWeek.FRIDAY, DayOfWeek.SATURDAY, DayOfWeek.SUNDAY), Set.of());
            GraftDays days = graftDays(List.of(), weekend);
            assertThat(days.next(LocalDate.of(2026, 5, 4), builders).get(SupplyKind.CELLS))
                    .isAfter(LocalDate.of(2026, 5, 4));
        }
    }

    @Nested
    class WhatLives {

        @Test
        void cells_go_to_whoever_wants_cells_in_their_time_the_rest_are_queens_to_be() {
            SeasonBrief brief = brief(List.of(order("cells", Product.RIPE_CELLS, 10, 2, 2)), Crew.EVERY_DAY,
                    batch("r", -8, 40, LossStep.TAKE));
            List<Stock> stocks = Stocks.of(brief);
            int cells = stocks.stream().filter(one -> one.kind() == SupplyKind.CELLS).mapToInt(Stock::meant).sum();
            assertThat(cells).isBetween(10, 16);
            assertThat(stocks.stream().filter(one -> one.kind() == SupplyKind.QUEENS).mapToInt(Stock::meant).sum())
                    .isEqualTo(40 - cells);
        }

        @Test
        void two_rows_that_are_alike_are_two() {
            assertThat(Stocks.of(brief(List.of(), Crew.EVERY_DAY, batch("r", -8, 20), batch("r", -8, 20)))).hasSize(2);
        }

        @Test
        void a_batch_of_which_nothing_is_left_is_none() {
            assertThat(Stocks.of(brief(List.of(), Crew.EVERY_DAY, batch("r", -8, 0)))).isEmpty();
        }
    }

    @Nested
    class Time {

        private final Timing timing = timing(brief(List.of(), Crew.EVERY_DAY));

        private static Timing timing(SeasonBrief brief) {
            return new Timing(brief, new Supply(brief));
        }

        private Wanted wanted(Product product, int from, int until) {
            return timing.wanted(order("A", product, 10, from, until));
        }

        @ParameterizedTest
        @CsvSource({"RIPE_CELLS, 12, 2, true", "RIPE_CELLS, 12, 3, false", "MATED_QUEENS, 40, 10, true",
                "MATED_QUEENS, 40, 30, false", "VIRGINS, 20, 7, true", "VIRGINS, 20, 9, false"})
        void a_graft_helps_as_long_as_what_comes_of_it_can_be_there(Product product, int until, int graft,
                boolean helps) {
            assertThat(timing.helpsStill(wanted(product, until - 2, until), day(graft))).isEqualTo(helps);
        }

        @Test
        void queens_of_a_graft_long_ago_are_too_old_for_an_order() {
            Wanted order = wanted(Product.MATED_QUEENS, 60, 64);
            assertThat(timing.ready(order, day(0))).isEqualTo(-1);
            assertThat(timing.ready(order, day(40))).isBetween(0.5, 1.0);
        }

        @Test
        void cells_ripe_before_they_are_wanted_are_nothing_to_whoever_wants_them() {
            Wanted order = wanted(Product.RIPE_CELLS, 20, 21);
            assertThat(timing.ready(order, day(9))).isEqualTo(-1);
            assertThat(timing.ready(order, day(10))).isEqualTo(1);
            assertThat(timing.ready(order, day(12))).isEqualTo(-1);
        }

        @Test
        void an_order_that_no_graft_brings_in_time_is_served_later_if_its_customer_waits() {
            Demand soon = order("soon", Product.MATED_QUEENS, 10, 16, 20);
            List<Wanted> orders = timing(brief(List.of(soon), Crew.EVERY_DAY)).ordersAndLater();
            assertThat(orders).extracting(Wanted::late).containsExactly(false, true);
            Demand lately = order("lately", Product.MATED_QUEENS, 10, -20, -5);
            assertThat(timing(brief(List.of(lately), Crew.EVERY_DAY)).ordersAndLater())
                    .as("no graft of today is in time while he waits, what lives may be")
                    .extracting(Wanted::day).containsExactly(day(0), day(9));
            Demand longAgo = order("long ago", Product.MATED_QUEENS, 10, -40, -20);
            assertThat(timing(brief(List.of(longAgo), Crew.EVERY_DAY)).ordersAndLater())
                    .as("nobody waits for weeks").extracting(Wanted::late).containsExactly(false);
        }

        @Test
        void whoever_waits_is_served_before_those_who_are_due_then() {
            Demand first = order("first", Product.MATED_QUEENS, 10, 16, 20);
            Demand between = order("between", Product.MATED_QUEENS, 10, 22, 26);
            Demand cells = order("cells", Product.RIPE_CELLS, 10, 23, 23);
            Demand after = order("after", Product.MATED_QUEENS, 10, 60, 64);
            List<Wanted> orders = timing(brief(List.of(first, between, cells, after), Crew.EVERY_DAY)).ordersAndLater();
            assertThat(orders).extracting(one -> one.demand().id() + (one.late() ? " late " : " ")
                    + (one.day().toEpochDay() - day(0).toEpochDay())).containsExactly("first 20", "cells 23",
                            "first late 26", "between 26", "first late 28", "after 64");
        }

        @Test
        void autumn_is_nothing_to_wait_for() {
            assertThat(timing.helpsStill(wanted(Product.MATED_QUEENS, 210, 214), day(180))).isFalse();
        }

        @Test
        void an_order_on_a_day_off_is_handed_over_on_the_working_day_before_or_after_if_that_were_too_early() {
            Crew crew = new Crew(8, Set.of(DayOfWeek.SUNDAY), Set.of());
            SeasonBrief brief = brief(List.of(), crew);
            LocalDate sunday = LocalDate.of(2026, 6, 14);
            int at = (int) (sunday.toEpochDay() - Seasons.MAY_1.toEpochDay());
            assertThat(timing(brief).wanted(order("A", Product.MATED_QUEENS, 1, at - 4, at)).day())
                    .isEqualTo(sunday.minusDays(1));
            assertThat(timing(brief).wanted(order("A", Product.MATED_QUEENS, 1, at, at)).day())
                    .isEqualTo(sunday.plusDays(1));
        }
    }

    /** What is drawn has the means that are believed: law of large numbers. */
    @Nested
    class Luck {

        private static final int MANY = 1_500;
        private static final int CUPS = 40;

        private static double taken(Draws.Drawn drawn) {
            return share(drawn.took());
        }

        private static double share(boolean[][] came) {
            long sum = 0;
            for (boolean[] draw : came) {
                for (boolean one : draw) {
                    sum += one ? 1 : 0;
                }
            }
            return (double) sum / (came.length * CUPS);
        }

        @Test
        void on_average_so_many_take_as_are_believed_to() {
            SeasonBrief brief = brief(List.of(), Crew.EVERY_DAY);
            Supply supply = new Supply(brief);
            Draws draws = new Draws(supply, MANY, 46);
            Draws.Drawn drawn = draws.of(day(0), CUPS, List.of(), supply.usual());
            assertThat(taken(drawn)).isCloseTo(supply.rate(LossStep.TAKE, day(0), supply.usual()).mean(),
                    Offset.offset(0.01));
            assertThat(share(drawn.virgin())).isCloseTo(
                    supply.rate(LossStep.EMERGENCE, day(0), supply.usual()).mean(), Offset.offset(0.01));
            assertThat(share(draws.of(day(0), CUPS, List.of(LossStep.TAKE), supply.usual()).took())).isEqualTo(1);
        }

        @Test
        void a_builder_with_a_record_of_its_own_shares_the_luck_of_the_day_not_its_level() {
            SeasonBrief brief = Seasons.withRecords(Seasons.random(4, 3, 100, 7), 7);
            Supply supply = new Supply(brief);
            Draws draws = new Draws(supply, MANY, 46);
            double known = supply.rate(LossStep.TAKE, day(0), supply.usual()).mean();
            double widest = 0;
            for (String builder : List.of("B1", "B2", "B3")) {
                Around its = Around.NOTHING_KNOWN.with(Circumstance.BUILDER, builder);
                double apart = supply.rate(LossStep.TAKE, day(0), its).mean() - known;
                double drawn = taken(draws.of(day(0), CUPS, List.of(), its))
                        - taken(draws.of(day(0), CUPS, List.of(), supply.usual()));
                assertThat(drawn).as(builder).isCloseTo(apart, Offset.offset(0.015));
                widest = Math.max(widest, Math.abs(apart));
            }
            assertThat(widest).as("else nothing is shown").isGreaterThan(0.03);
        }

        @Test
        void grafts_of_one_day_share_their_luck_those_of_two_days_only_the_operation() {
            SeasonBrief brief = brief(List.of(), Crew.EVERY_DAY);
            Supply supply = new Supply(brief);
            Draws draws = new Draws(supply, MANY, 46);
            List<Double> first = each(draws.of(day(0), CUPS, List.of(), supply.usual()));
            List<Double> same = each(draws.of(day(0), CUPS, List.of(), supply.usual()));
            List<Double> other = each(draws.of(day(3), CUPS, List.of(), supply.usual()));
            assertThat(correlation(first, same)).isGreaterThan(0.4);
            // a fifth of what is not known of a day, less for the chance of each cup
            assertThat(correlation(first, other)).isBetween(0.08, 0.25);
        }

        /** Beta-binomial of ten thousand counts: what the operation's days have in common is known, the day is not (common practice). */
        @Test
        void where_thousands_were_counted_days_have_nothing_unknown_in_common() {
            Rate prior = LossStep.TAKE.prior();
            SeasonBrief brief = Seasons.withRates(brief(List.of(), Crew.EVERY_DAY), new SeasonRates(
                    Map.of(LossStep.TAKE, StepOdds.counted(prior, 8_500, 10_000))));
            Supply supply = new Supply(brief);
            Draws draws = new Draws(supply, MANY, 46);
            Draws.Drawn drawn = draws.of(day(0), CUPS, List.of(), supply.usual());
            assertThat(taken(drawn)).isCloseTo(0.85, Offset.offset(0.015));
            assertThat(correlation(each(drawn), each(draws.of(day(3), CUPS, List.of(), supply.usual()))))
                    .isBetween(-0.06, 0.06);
        }

        private static List<Double> each(Draws.Drawn drawn) {
            List<Double> shares = new ArrayList<>();
            for (boolean[] draw : drawn.took()) {
                double sum = 0;
                for (boolean one : draw) {
                    sum += one ? 1 : 0;
                }
                shares.add(sum / CUPS);
            }
            return shares;
        }

        private static double correlation(List<Double> one, List<Double> two) {
            double ones = one.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
            double twos = two.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
            double both = 0;
            double squares = 0;
            double otherSquares = 0;
            for (int draw = 0; draw < one.size(); draw++) {
                both += (one.get(draw) - ones) * (two.get(draw) - twos);
                squares += Math.pow(one.get(draw) - ones, 2);
                otherSquares += Math.pow(two.get(draw) - twos, 2);
            }
            return both / Math.sqrt(squares * otherSquares);
        }
    }

    @Test
    void what_is_worth_nothing_or_more_than_a_year_is_refused_by_name() {
        assertThatThrownBy(() -> new SeasonWorth(0, 1, 1, 1)).hasMessageContaining("lateQueen");
        assertThatThrownBy(() -> new SeasonWorth(60, -1, 1, 1)).hasMessageContaining("lateOrder");
        assertThatThrownBy(() -> new SeasonWorth(60, 1, 200_000, 1)).hasMessageContaining("wastedQueen");
        assertThatThrownBy(() -> new SeasonWorth(60, 1, 1, Double.NaN)).hasMessageContaining("nucDay");
        assertThat(new SeasonWorth(60, 0, 0, 0).nucDay()).isZero();
    }

    /** Worked by hand; the method as published. */
    @Nested
    class WhatCanOnlyFall {

        @Test
        void numbers_that_lie_the_wrong_way_round_are_averaged_and_others_left_alone() {
            assertThat(Falling.of(42, 37, 32)).containsExactly(42, 37, 32);
            assertThat(Falling.of(45, 28, 31)).containsExactly(45, 30, 30);
            assertThat(Falling.of(30, 42, 25)).containsExactly(36, 36, 25);
            assertThat(Falling.of(1, 2, 3)).containsExactly(2, 2, 2);
            assertThat(Falling.of(9, 9)).containsExactly(9, 9);
            assertThat(Falling.of()).isEmpty();
        }
    }
}
