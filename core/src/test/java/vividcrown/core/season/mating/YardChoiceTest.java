package vividcrown.core.season.mating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static vividcrown.core.season.Seasons.MAY_1;
import static vividcrown.core.season.Seasons.builder;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.yard;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.LossStep;
import vividcrown.core.season.Crew;
import vividcrown.core.season.DroneColony;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.Means;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.supply.Supply;

/** Where ripe cells go: situations of the trade (common practice), and every other way written out. */
class YardChoiceTest {

    private static final SeasonBrief BRIEF = Seasons.brief(List.of(), List.of(builder("B 1", 45)), 100,
            Crew.EVERY_DAY);
    /** A place where three afternoons in ten are fit, all year: half of the virgins' weather. */
    private static final MatingClimate WINDY = _ -> 0.12;

    private static Lot lot(int graft, int cells) {
        return lot(graft, cells, Optional.empty());
    }

    private static Lot lot(int graft, int cells, Optional<String> line) {
        return new Lot(day(graft), line, line.isPresent() ? cells : 0, Optional.of("Runa"),
                List.of(new Lot.Stay(cells, day(graft + 34))), Lot.RAISING_MINUTES);
    }

    private static Map<String, Integer> chosen(SeasonBrief brief, List<DroneColony> drones, Lot lot) {
        return chosen(brief, drones, List.of(lot)).getFirst();
    }

    private static List<Map<String, Integer>> chosen(SeasonBrief brief, List<DroneColony> drones, List<Lot> lots) {
        return YardChoice.of(brief, new Supply(brief), lots, drones).stream().map(
                at -> at.stream().collect(Collectors.toMap(PlannedBatch.At::yard, PlannedBatch.At::cells))).toList();
    }

    private static MatingYard with(MatingYard yard, MatingClimate climate) {
        return new MatingYard(yard.id(), yard.nucs(), yard.busy(), Optional.of(climate), yard.lines(),
                yard.driveMinutes());
    }

    private static MatingYard forLine(MatingYard yard, String line) {
        return new MatingYard(yard.id(), yard.nucs(), yard.busy(), yard.climate(), Set.of(line), yard.driveMinutes());
    }

    @Test
    void who_has_one_yard_has_no_choice_and_who_has_none_is_not_asked() {
        assertThat(chosen(Seasons.at(BRIEF, yard("Home", 40, 0)), List.of(), lot(20, 30)))
                .isEqualTo(Map.of("Home", 30));
        assertThat(chosen(BRIEF, List.of(), lot(20, 30))).isEmpty();
    }

    @Test
    void the_near_yard_is_filled_first_and_what_has_no_nuc_there_goes_on() {
        SeasonBrief brief = Seasons.at(BRIEF, yard("Far", 60, 90), yard("Near", 24, 10));
        assertThat(chosen(brief, List.of(), lot(20, 20))).isEqualTo(Map.of("Near", 20));
        assertThat(chosen(brief, List.of(), List.of(lot(20, 20), lot(22, 20))))
                .as("two batches, and one way to the far yard").containsExactlyInAnyOrder(Map.of("Near", 20),
                        Map.of("Far", 20));
    }

    @Test
    void nucs_that_are_taken_there_are_not_given_away() {
        MatingYard near = yard("Near", 24, 10);
        SeasonBrief brief = Seasons.at(BRIEF, yard("Far", 60, 30),
                new MatingYard(near.id(), 24, on -> on.isBefore(day(50)) ? 20 : 0, Optional.empty(), Set.of(), 10));
        assertThat(chosen(brief, List.of(), lot(20, 20)).get("Far")).isGreaterThanOrEqualTo(16);
        assertThat(chosen(brief, List.of(), lot(45, 20))).as("free again by then").isEqualTo(Map.of("Near", 20));
    }

    @Test
    void a_windy_yard_is_left_for_one_an_hour_away_if_queens_enough_depend_on_it() {
        SeasonBrief brief = Seasons.at(BRIEF, with(yard("Ridge", 60, 0), WINDY), yard("Valley", 60, 60));
        assertThat(chosen(brief, List.of(), lot(30, 30))).isEqualTo(Map.of("Valley", 30));
        assertThat(chosen(brief, List.of(), lot(30, 4))).as("nobody drives four hours for two queens")
                .isEqualTo(Map.of("Ridge", 4));
    }

    /** In autumn the low yard has fit afternoons still, the high one has none. */
    @Test
    void in_autumn_it_is_the_yard_that_still_has_afternoons() {
        MatingClimate late = MatingClimate.byMonth(List.of(0.0, 0.0, 0.1, 0.3, 0.5, 0.7, 0.7, 0.7, 0.6, 0.3, 0.0, 0.0));
        SeasonBrief brief = Seasons.at(BRIEF, yard("High", 60, 0), with(yard("Low", 60, 40), late));
        assertThat(chosen(brief, List.of(), lot(125, 20))).isEqualTo(Map.of("Low", 20));
        assertThat(chosen(brief, List.of(), lot(60, 20))).isEqualTo(Map.of("High", 20));
    }

    @Test
    void the_own_record_of_a_yard_counts() {
        SeasonBrief brief = Seasons.withRates(Seasons.at(BRIEF, yard("Pond", 60, 0), yard("Orchard", 60, 15)),
                Seasons.twoGroups(LossStep.MATING, Circumstance.YARD, "Orchard", 0.85, "Pond", 0.45));
        assertThat(chosen(brief, List.of(), lot(40, 20))).isEqualTo(Map.of("Orchard", 20));
    }

    @Test
    void a_line_that_is_asked_for_mates_where_it_is_wished_and_nowhere_else() {
        SeasonBrief brief = Seasons.at(BRIEF, forLine(with(yard("Station", 30, 120), WINDY), "dark"),
                yard("Home", 60, 0));
        assertThat(chosen(brief, List.of(), lot(30, 20, Optional.of("dark")))).isEqualTo(Map.of("Station", 20));
        assertThat(chosen(brief, List.of(), lot(30, 20, Optional.of("grey")))).isEqualTo(Map.of("Home", 20));
        assertThat(chosen(brief, List.of(), lot(30, 20))).as("of whatever line: the station is kept")
                .isEqualTo(Map.of("Home", 20));
        Lot grey = new Lot(day(30), Optional.of("grey"), 0, Optional.of("Tessa"),
                List.of(new Lot.Stay(70, day(64))), Lot.RAISING_MINUTES);
        assertThat(chosen(brief, List.of(), grey)).as("nobody asks for its line: better there than without a nuc")
                .isEqualTo(Map.of("Home", 60, "Station", 10));
    }

    @Test
    void of_a_batch_for_two_orders_those_that_ask_for_the_line_go_to_its_yard_and_the_others_need_not() {
        SeasonBrief brief = Seasons.at(BRIEF, forLine(with(yard("Station", 15, 0), WINDY), "dark"),
                yard("Home", 60, 0));
        Lot both = new Lot(day(30), Optional.of("dark"), 12, Optional.of("Runa"),
                List.of(new Lot.Stay(12, day(64)), new Lot.Stay(20, day(60))), Lot.RAISING_MINUTES);
        assertThat(chosen(brief, List.of(), both)).isEqualTo(Map.of("Station", 12, "Home", 20));
    }

    @Test
    void virgins_go_where_drones_fly_that_are_not_their_brothers() {
        SeasonBrief brief = Seasons.at(BRIEF, yard("East", 60, 0), yard("West", 60, 20));
        List<DroneColony> west = List.of(new DroneColony("D 1", "Orla", day(0), Set.of("West")),
                new DroneColony("D 2", "Ilva", day(0), Set.of("West")));
        assertThat(chosen(brief, west, lot(30, 20))).isEqualTo(Map.of("West", 20));
        List<DroneColony> sons = List.of(new DroneColony("D 1", "Runa", day(0), Set.of("East")),
                new DroneColony("D 2", "Ilva", day(0), Set.of("East")),
                new DroneColony("D 3", "Orla", day(0), Set.of("West")),
                new DroneColony("D 4", "Selva", day(0), Set.of("West")));
        assertThat(chosen(brief, sons, lot(30, 20))).isEqualTo(Map.of("West", 20));
        List<DroneColony> late = List.of(new DroneColony("D 1", "Orla", day(90), Set.of("West")),
                new DroneColony("D 2", "Ilva", day(90), Set.of("West")));
        assertThat(chosen(brief, late, lot(30, 20))).as("drones that are not ripe are none")
                .isEqualTo(Map.of("East", 20));
    }

    /** Nobody is left without a nuc by a choice of yards, and what cannot stand anywhere is still told where. */
    @Test
    void more_cells_than_nucs_are_shared_out_all_the_same() {
        SeasonBrief brief = Seasons.at(BRIEF, yard("A", 10, 0), yard("B", 10, 0));
        assertThat(chosen(brief, List.of(), lot(30, 26)).values().stream().mapToInt(Integer::intValue).sum())
                .isEqualTo(26);
    }

    @Test
    void looks_go_with_other_visits_where_they_can_and_fall_on_working_days() {
        Crew sixDays = new Crew(16, Set.of(DayOfWeek.SUNDAY), Set.of());
        SeasonBrief brief = BRIEF.with(BRIEF.means().with(sixDays));
        Visits visits = new Visits(brief, new Supply(brief));
        // grafted on the 1st: cells on the 11th, out between the 14th and the 17th, caught on 4 June
        List<Visits.Visit> one = visits.of(MAY_1, List.of(day(34)));
        assertThat(visits.fewest(one)).hasSize(4).contains(day(10), day(34));
        // a second batch four days on is placed when the first is looked at
        List<Visits.Visit> both = new ArrayList<>(one);
        both.addAll(visits.of(day(4), List.of(day(34))));
        assertThat(visits.fewest(both)).hasSizeLessThan(8).contains(day(10), day(14), day(34));
        assertThat(visits.fewest(both)).noneMatch(day -> day.getDayOfWeek() == DayOfWeek.SUNDAY);
        assertThat(visits.of(MAY_1, List.of(day(10)))).as("taken out on the day they came").allMatch(
                visit -> visit.isMadeOn(day(10)));
    }

    /** Every way to share three small lots out over two or three yards written out, and its cost reckoned apart from the solver. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void no_other_way_costs_less(long seed) {
        Random random = new Random(seed);
        MatingYard[] yards = new MatingYard[2 + random.nextInt(2)];
        for (int at = 0; at < yards.length; at++) {
            double fit = 0.1 + 0.5 * random.nextDouble();
            yards[at] = with(yard("Y" + at, 4 + random.nextInt(5), random.nextInt(6) * 10), _ -> fit);
        }
        SeasonBrief brief = Seasons.at(BRIEF, yards);
        List<Lot> lots = new ArrayList<>();
        for (int number = 0; number < 3; number++) {
            lots.add(lot(20 + random.nextInt(25), 2 + random.nextInt(3)));
        }
        Supply supply = new Supply(brief);
        List<Map<String, Integer>> chosen = chosen(brief, List.of(), lots);
        double least = cheapest(brief, supply, lots, new ArrayList<>());
        assertThat(cost(brief, supply, lots, chosen)).isCloseTo(least, within(1.5));
    }

    private static double cheapest(SeasonBrief brief, Supply supply, List<Lot> lots, List<Map<String, Integer>> upTo) {
        if (upTo.size() == lots.size()) {
            return cost(brief, supply, lots, upTo);
        }
        double least = Double.MAX_VALUE;
        for (Map<String, Integer> way : ways(brief.means().yards(), lots.get(upTo.size()).cells())) {
            List<Map<String, Integer>> next = new ArrayList<>(upTo);
            next.add(way);
            least = Math.min(least, cheapest(brief, supply, lots, next));
        }
        return least;
    }

    private static List<Map<String, Integer>> ways(List<MatingYard> yards, int cells) {
        if (yards.size() == 1) {
            return List.of(Map.of(yards.getFirst().id(), cells));
        }
        List<Map<String, Integer>> ways = new ArrayList<>();
        for (int here = 0; here <= cells; here++) {
            for (Map<String, Integer> rest : ways(yards.subList(1, yards.size()), cells - here)) {
                Map<String, Integer> way = new TreeMap<>(rest);
                way.put(yards.getFirst().id(), here);
                ways.add(way);
            }
        }
        return ways;
    }

    /** Minutes: an hour for each queen that another yard would have given, driving, and no nuc for a cell. */
    private static double cost(SeasonBrief brief, Supply supply, List<Lot> lots, List<Map<String, Integer>> ways) {
        Visits visits = new Visits(brief, supply);
        double cost = 0;
        for (MatingYard yard : brief.means().yards()) {
            List<Visits.Visit> wanted = new ArrayList<>();
            int over = 0;
            for (LocalDate day = MAY_1; day.isBefore(day(100)); day = day.plusDays(1)) {
                int standing = 0;
                for (int at = 0; at < lots.size(); at++) {
                    Lot lot = lots.get(at);
                    boolean stands = !day.isBefore(lot.graft().plusDays(10)) && day.isBefore(lot.last());
                    standing += stands ? ways.get(at).getOrDefault(yard.id(), 0) : 0;
                }
                over = Math.max(over, standing - yard.nucs());
            }
            for (int at = 0; at < lots.size(); at++) {
                Lot lot = lots.get(at);
                int here = ways.get(at).getOrDefault(yard.id(), 0);
                double best = brief.means().yards().stream().mapToDouble(one -> lays(supply, one, lot)).max()
                        .orElseThrow();
                cost += here * 60 * (best - lays(supply, yard, lot));
                if (here > 0) {
                    wanted.addAll(visits.of(lot.graft(), List.of(lot.last())));
                }
            }
            cost += over * 2_000.0 + visits.fewest(wanted).size() * yard.driveMinutes();
        }
        return cost;
    }

    private static double lays(Supply supply, MatingYard yard, Lot lot) {
        return supply.rate(LossStep.MATING, lot.graft(), Around.NOTHING_KNOWN.with(Circumstance.YARD, yard.id()))
                .mean();
    }

    @Test
    void what_makes_no_sense_is_refused_with_what_to_change() {
        assertThatThrownBy(() -> yard("A", -1, 0)).hasMessageContaining("A").hasMessageContaining("-1");
        assertThatThrownBy(() -> yard("A", 10, 9_000)).hasMessageContaining("600");
        Means means = BRIEF.means();
        assertThatThrownBy(() -> new Means(means.breeders(), means.builders(), 100, Means.NucsTaken.NONE,
                List.of(yard("A", 10, 0)), 60, means.crew())).hasMessageContaining("10").hasMessageContaining("100");
    }
}
