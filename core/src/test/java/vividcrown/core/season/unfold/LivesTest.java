package vividcrown.core.season.unfold;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static vividcrown.core.season.Seasons.day;

import java.time.DayOfWeek;
import java.util.ArrayList;
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
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.Crew;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;

/** The odds with planning again, against what follows by hand and against seasons that know nothing of them. */
class LivesTest {

    private static final Demand FIRST = Seasons.order("first", Product.MATED_QUEENS, 30, 0, 2);
    private static final Demand SECOND = Seasons.order("second", Product.MATED_QUEENS, 10, 8, 10);

    /** Nothing can be grafted in time: twenty queens are there, twelve more in a week. Whether one plans again or not is then the same. */
    private static SeasonBrief twentyAndTwelve(List<Demand> orders) {
        List<RunningBatch> running = List.of(laying("old", -26, 20), laying("young", -18, 12));
        CellBuilder later = new CellBuilder("B 1", BuilderSchool.STARTER_THEN_FINISHER, 45, day(100), List.of());
        return Seasons.brief(orders, List.of(later), 60, Crew.EVERY_DAY, running, List.of(), List.of());
    }

    /** @param behind whether it is to be settled who waits */
    private static double second(List<Demand> orders, boolean behind) {
        SeasonBrief brief = twentyAndTwelve(orders);
        double second = Lives.odds(brief, 8).chances().get("second");
        WeekAhead week = WeekAhead.of(brief);
        assertThat(week.orders()).filteredOn(one -> one.demand().id().equals("second")).singleElement()
                .satisfies(one -> assertThat(one.ifNothingMore()).isEqualTo(second));
        assertThat(week.notes()).as("that it stands behind another")
                .filteredOn(one -> one.fact().toString().contains("still waits"))
                .hasSize(behind ? 1 : 0);
        return second;
    }

    private static RunningBatch laying(String id, int graft, int alive) {
        return new RunningBatch(id, Optional.empty(), day(graft), alive, Draws.WAY, Around.NOTHING_KNOWN);
    }

    /** Whoever is ten short still waits, and of the twelve that come a week later ten make the next whole: he gets two. */
    @Test
    void what_makes_the_next_whole_is_not_given_to_whoever_waits() {
        assertThat(second(List.of(SECOND), false)).isOne();
        assertThat(second(List.of(FIRST, SECOND), true)).isOne();
        assertThat(second(List.of(FIRST.of(20), SECOND), false)).as("the first is whole").isOne();
        Demand muchLater = Seasons.order("second", Product.MATED_QUEENS, 10, 24, 26);
        assertThat(second(List.of(FIRST, muchLater), true)).isOne();
        Demand longAgo = Seasons.order("first", Product.MATED_QUEENS, 30, -20, -14);
        assertThat(second(List.of(longAgo, SECOND), false)).as("nobody waits for more than two weeks").isOne();
    }

    /** Nobody waits for whoever matters less: the first gets ten of the twelve. */
    @Test
    void whoever_matters_more_is_served_though_the_next_is_not_whole_then() {
        Demand important = new Demand("first", Product.MATED_QUEENS, 30, day(0), day(2), Optional.empty(), 1, 0.9);
        assertThat(second(List.of(important, SECOND), false)).isZero();
    }

    /** To whom an order that is not whole is worth nothing hands out what comes as it comes. */
    @Test
    void by_what_it_is_worth_to_an_operation() {
        SeasonBrief brief = twentyAndTwelve(List.of(FIRST, SECOND)).with(new SeasonWorth(60, 0, 20, 0.2));
        assertThat(Lives.odds(brief, 8).chances()).containsEntry("second", 0.0);
    }

    /** Seven are there of the twelve that are due today; eight are due in six days, for whom three more begin to lay. */
    private static WeekAhead dueToday(RunningBatch... more) {
        List<RunningBatch> running = new ArrayList<>(List.of(laying("seven", -30, 7), laying("three", -19, 3)));
        running.addAll(List.of(more));
        return WeekAhead.of(Seasons.brief(
                List.of(Seasons.order("due", Product.MATED_QUEENS, 12, -2, 0),
                        Seasons.order("eight", Product.MATED_QUEENS, 8, 4, 6)),
                List.of(Seasons.builder("B 1", 45)), 60, Crew.EVERY_DAY, running, List.of(), List.of()));
    }

    /** Ninety are wanted today, nobody has looked at thirty virgins of four weeks yet: they are not enough for him, and more than enough for the next. */
    @Test
    void whoever_cannot_be_whole_does_not_take_what_nobody_has_looked_at() {
        SeasonBrief brief = Seasons.brief(
                List.of(Seasons.order("ninety", Product.MATED_QUEENS, 90, -2, 0),
                        Seasons.order("ten", Product.MATED_QUEENS, 10, 4, 6)),
                List.of(Seasons.builder("B 1", 45)), 60, Crew.EVERY_DAY,
                List.of(new RunningBatch("not looked at", Optional.empty(), day(-28), 30, Draws.WAY.subList(0, 3),
                        Around.NOTHING_KNOWN)),
                List.of(), List.of());
        WeekAhead week = WeekAhead.of(brief);
        assertThat(ifNothingMore(week, "ten")).isGreaterThan(0.9);
        assertThat(week.notes()).extracting(one -> one.fact().toString())
                .anySatisfy(said -> assertThat(said).startsWith("ten stands at")
                        .contains("at 0 % if he gets what comes first"));
    }

    /** The same where the ninety matter more than the ten: nobody waits for whoever matters less. */
    @Test
    void whoever_matters_more_takes_what_nobody_has_looked_at() {
        Demand ninety = new Demand("ninety", Product.MATED_QUEENS, 90, day(-2), day(0), Optional.empty(), 1, 0.9);
        SeasonBrief brief = Seasons.brief(List.of(ninety, Seasons.order("ten", Product.MATED_QUEENS, 10, 4, 6)),
                List.of(Seasons.builder("B 1", 45)), 60, Crew.EVERY_DAY,
                List.of(new RunningBatch("not looked at", Optional.empty(), day(-28), 30, Draws.WAY.subList(0, 3),
                        Around.NOTHING_KNOWN)),
                List.of(), List.of());
        assertThat(ifNothingMore(WeekAhead.of(brief), "ten")).isLessThan(0.1);
    }

    /** Fifteen are there for fifteen and ten, both due today: who is served first leaves none, though ten would be whole with them. */
    @Test
    void what_is_there_is_handed_out_once() {
        SeasonBrief brief = Seasons.brief(
                List.of(Seasons.order("a", Product.MATED_QUEENS, 15, -2, 0),
                        Seasons.order("b", Product.MATED_QUEENS, 10, -2, 0)),
                List.of(Seasons.builder("B 1", 45)), 60, Crew.EVERY_DAY, List.of(laying("fifteen", -30, 15)),
                List.of(), List.of());
        WeekAhead week = WeekAhead.of(brief);
        assertThat(ifNothingMore(week, "a")).isOne();
        assertThat(ifNothingMore(week, "b")).isZero();
        assertThat(keptBack(week)).isEmpty();
    }

    private static List<WeekAhead.KeepsBack> keptBack(WeekAhead week) {
        return week.steps().stream().filter(WeekAhead.KeepsBack.class::isInstance)
                .map(WeekAhead.KeepsBack.class::cast).toList();
    }

    private static double ifNothingMore(WeekAhead week, String order) {
        return week.orders().stream().filter(one -> one.demand().id().equals(order)).findFirst().orElseThrow()
                .ifNothingMore();
    }

    @Test
    void for_whom_queens_of_today_are_kept_is_said_by_name_and_counted_on() {
        WeekAhead week = dueToday();
        assertThat(keptBack(week)).singleElement().satisfies(one -> {
            assertThat(one.demand().id()).isEqualTo("due");
            assertThat(one.there()).isEqualTo(7);
            assertThat(one.give()).isEqualTo(2);
            assertThat(one.others()).containsExactly("eight");
            assertThat(one.reasons()).extracting(why -> why.fact().toString())
                    .contains("due is not whole today: of 12 that are missing 7 are there.",
                            "By what is kept eight stands at 100 % instead of 0 %.");
        });
        assertThat(week.notes()).as("said once").noneMatch(one -> one.fact().toString().contains("still waits"));
        assertThat(ifNothingMore(week, "eight")).isOne();
        assertThat(ifNothingMore(week, "due")).isZero();
    }

    /** Of ten virgins of four weeks at whom nobody has looked most lay: who is due today is whole once somebody has. */
    @Test
    void where_nobody_has_looked_yet_nothing_is_kept_from_whoever_is_due() {
        WeekAhead week = dueToday(new RunningBatch("not looked at", Optional.empty(), day(-28), 10,
                Draws.WAY.subList(0, 3), Around.NOTHING_KNOWN));
        assertThat(ifNothingMore(week, "due")).isBetween(0.5, 0.99);
        assertThat(keptBack(week)).isEmpty();
    }

    /** A first order that few nucs suffice for, and a second some weeks after it: lived through a hundred times by a season that is blind to it. */
    @ParameterizedTest
    @CsvSource({"26, 66", "26, 70", "20, 63"})
    void what_is_said_is_kept(int count, int until) {
        SeasonBrief brief = Seasons.brief(List.of(Seasons.order("first", Product.MATED_QUEENS, 60, 36, 40),
                Seasons.order("second", Product.MATED_QUEENS, count, until - 4, until)),
                List.of(Seasons.builder("B 1", 45), Seasons.builder("B 2", 45)), 72,
                new Crew(16, Set.of(DayOfWeek.SUNDAY), Set.of()));
        Map<String, Double> said = Lives.odds(brief, 150).chances();
        List<Set<String>> kept = IntStream.range(0, 100).parallel().mapToObj(life -> {
            LivedSeason lived = new LivedSeason(brief, 77_000L + life, 0);
            lived.live(new Keepers.Program(SeasonWorth.USUAL, Set.of(DayOfWeek.MONDAY, DayOfWeek.FRIDAY), 32));
            return lived.keptOrders();
        }).toList();
        said.forEach((order, odds) -> assertThat(odds).as(order)
                // two and a half times the luck of both
                .isCloseTo(kept.stream().filter(one -> one.contains(order)).count() / 100.0, within(0.13)));
    }
}
