package vividcrown.core.season.unfold;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.core.season.Seasons.builder;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.yard;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.LossStep;
import vividcrown.core.season.Crew;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.Means;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.Underway;
import vividcrown.core.season.demand.Demand;

/** Ripe cells of the week and the yards that they go to: situations of the trade (common practice). */
class PlacingAtYardsTest {

    private static final Means.NucsTaken ALL = _ -> 1_000;

    private static WeekAhead week(Optional<String> asked, MatingYard... yards) {
        Demand forty = new Demand("forty", Product.MATED_QUEENS, 40, day(25), day(29), asked, 2, 0.9);
        SeasonBrief brief = Seasons.at(
                Seasons.brief(List.of(forty), List.of(builder("B 1", 45)), 0, Crew.EVERY_DAY), yards);
        return WeekAhead.of(new SeasonBrief(brief.today(), brief.until(), brief.demands(), brief.means(),
                brief.drones(), new Underway(List.of(batch("G 1", -9, "dark"), batch("G 2", -6, "grey")), List.of(),
                        List.of()),
                brief.expected()));
    }

    private static RunningBatch batch(String id, int graft, String line) {
        return new RunningBatch(id, Optional.of(line), day(graft), 30, List.of(LossStep.TAKE), Around.NOTHING_KNOWN);
    }

    private static WeekAhead.Places placing(WeekAhead week, String batch) {
        return week.steps().stream().filter(WeekAhead.Places.class::isInstance).map(WeekAhead.Places.class::cast)
                .filter(one -> one.batch().equals(batch)).findFirst().orElseThrow();
    }

    private static Map<String, Integer> at(WeekAhead.Places placing) {
        return placing.at().stream()
                .collect(Collectors.toMap(PlannedBatch.At::yard, PlannedBatch.At::cells));
    }

    private static MatingYard station(int nucs, Means.NucsTaken taken) {
        return new MatingYard("Station", nucs, taken, Optional.empty(), Set.of("dark"), 60);
    }

    @Test
    void what_is_placed_is_placed_somewhere_and_nowhere_twice() {
        WeekAhead week = week(Optional.empty(), yard("Near", 20, 10), yard("Far", 40, 30));
        WeekAhead.Places one = placing(week, "G 1");
        WeekAhead.Places two = placing(week, "G 2");
        assertThat(at(one).values().stream().mapToInt(Integer::intValue).sum()).isEqualTo(one.place()).isPositive();
        assertThat(at(two).values().stream().mapToInt(Integer::intValue).sum()).isEqualTo(two.place()).isPositive();
        assertThat(at(one).getOrDefault("Far", 0) + at(two).getOrDefault("Far", 0)).isBetween(1, 40);
        assertThat(at(one).getOrDefault("Near", 0) + at(two).getOrDefault("Near", 0)).isLessThanOrEqualTo(20);
    }

    @Test
    void a_line_that_is_asked_for_waits_for_a_nuc_where_it_may_mate() {
        WeekAhead full = week(Optional.of("dark"), station(30, ALL), yard("Home", 100, 0));
        assertThat(placing(full, "G 1").place()).isZero();
        assertThat(placing(full, "G 1").reasons().getLast().fact().toString())
                .contains("at Station, where dark is to mate");
        WeekAhead small = week(Optional.of("dark"), station(12, Means.NucsTaken.NONE), yard("Home", 100, 0));
        assertThat(at(placing(small, "G 1"))).isEqualTo(Map.of("Station", 12));
        WeekAhead any = week(Optional.empty(), station(30, Means.NucsTaken.NONE), yard("Home", 100, 0));
        assertThat(at(placing(any, "G 2"))).as("the station is kept for the dark ones").containsOnlyKeys("Home");
    }

    @Test
    void no_more_of_a_line_is_grafted_than_it_has_nucs_to_mate_in() {
        WeekAhead free = week(Optional.of("dark"), station(100, Means.NucsTaken.NONE), yard("Home", 100, 0));
        WeekAhead full = week(Optional.of("dark"), station(100, ALL), yard("Home", 100, 0));
        assertThat(cups(free)).isPositive();
        assertThat(cups(full)).isZero();
    }

    private static int cups(WeekAhead week) {
        return week.steps().stream().filter(WeekAhead.Grafts.class::isInstance).map(WeekAhead.Grafts.class::cast)
                .mapToInt(WeekAhead.Grafts::cups).sum();
    }

    @Test
    void a_line_that_no_yard_takes_is_placed_nowhere_and_that_is_said() {
        WeekAhead week = week(Optional.of("dark"), new MatingYard("Station", 60, Means.NucsTaken.NONE,
                Optional.empty(), Set.of("blue"), 0));
        assertThat(placing(week, "G 1").place()).isZero();
        assertThat(placing(week, "G 1").reasons().getLast().fact().toString())
                .startsWith("No mating yard takes line dark");
    }

    @Test
    void a_windy_yard_is_left_for_a_better_one() {
        WeekAhead week = week(Optional.empty(), new MatingYard("Ridge", 100, Means.NucsTaken.NONE,
                Optional.of(_ -> 0.1), Set.of(), 0), yard("Valley", 100, 40));
        assertThat(at(placing(week, "G 1"))).containsOnlyKeys("Valley");
    }
}
