package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.core.season.Seasons.builder;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.order;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import vividcrown.core.demand.Product;
import vividcrown.core.season.BreederQueen;
import vividcrown.core.season.Crew;
import vividcrown.core.season.DroneColony;
import vividcrown.core.season.DroneMother;
import vividcrown.core.season.Means;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.sheet.DroneSheet;
import vividcrown.core.season.supply.Supply;

/** Which mothers, which drone colonies, and from when. */
class ParentsModelTest {

    private static final Demand MANY = order("A", Product.MATED_QUEENS, 200, 90, 119);

    private static SeasonBrief brief(List<DroneColony> drones, List<DroneMother> mothers) {
        return Seasons.withDrones(Seasons.brief(List.of(MANY), List.of(builder("B 1", 45)), 400, Crew.EVERY_DAY),
                drones, mothers);
    }

    /** So many cups on each of these days, all for the one order. */
    private static List<Load> loads(int cups, Optional<String> line, int... days) {
        List<Load> loads = new ArrayList<>();
        for (int number : days) {
            loads.add(new Load(day(number), "B 1", line, cups,
                    List.of(new PlannedBatch.Share("A", cups, day(number + 30))), false));
        }
        return loads;
    }

    private static ParentsModel.Parents solve(SeasonBrief brief, List<Load> loads) {
        return new ParentsModel(brief, new Supply(brief), loads).solve();
    }

    @Test
    void mothers_have_about_even_shares() {
        Map<String, Integer> cups = new TreeMap<>();
        solve(brief(List.of(), List.of()), loads(20, Optional.empty(), 10, 15, 20, 25, 30, 35)).batches()
                .forEach(batch -> cups.merge(batch.breeder(), batch.cups(), Integer::sum));
        assertThat(cups).containsExactlyInAnyOrderEntriesOf(Map.of("Runa", 40, "Selva", 40, "Tessa", 40));
    }

    @Test
    void as_many_daughters_of_each_as_were_wished() {
        SeasonBrief even = brief(List.of(), List.of());
        Means means = even.means();
        SeasonBrief wished = even.with(new Means(List.of(new BreederQueen("Runa", "dark", OptionalInt.of(60)),
                new BreederQueen("Selva", "dark", OptionalInt.of(20)),
                new BreederQueen("Tessa", "grey", OptionalInt.of(20))),
                means.builders(), means.nucs(), means.busyNucs(), means.cages(), means.crew()));
        Map<String, Integer> cups = new TreeMap<>();
        solve(wished, loads(20, Optional.empty(), 10, 15, 20, 25, 30)).batches()
                .forEach(batch -> cups.merge(batch.breeder(), batch.cups(), Integer::sum));
        assertThat(cups).containsExactlyInAnyOrderEntriesOf(Map.of("Runa", 60, "Selva", 20, "Tessa", 20));
    }

    @Test
    void of_whom_nothing_was_said_as_many_are_wished_as_of_the_others_on_average() {
        List<BreederQueen> all = List.of(new BreederQueen("a", "x", OptionalInt.of(30)),
                new BreederQueen("b", "x", OptionalInt.of(10)), new BreederQueen("c", "x"));
        assertThat(all.stream().mapToDouble(one -> one.share(all)).toArray()).containsExactly(0.5, 10 / 60.0,
                20 / 60.0);
    }

    @Test
    void a_line_asked_for_is_given() {
        assertThat(solve(brief(List.of(), List.of()), loads(20, Optional.of("dark"), 10, 15, 20, 25)).batches())
                .extracting(PlannedBatch::line).containsOnly("dark");
    }

    /** A daughter's eggs from her brothers' seed are half inbred: Crow &amp; Roberts 1950, from memory (F = 0.25). */
    @Test
    void a_mother_whose_sons_fly_is_left_out_while_others_will_do() {
        SeasonBrief brief = brief(
                List.of(new DroneColony("D 1", "Runa", day(0)), new DroneColony("D 2", "Orla", day(0)),
                        new DroneColony("D 3", "Selva", day(45))),
                List.of());
        List<PlannedBatch> batches = solve(brief, loads(20, Optional.empty(), 5, 10, 15, 40, 45, 50)).batches();
        assertThat(batches).extracting(PlannedBatch::breeder).doesNotContain("Runa");
        // from the third on, flights 16 days after the graft meet the second's sons too
        assertThat(batches.subList(3, 6)).extracting(PlannedBatch::breeder).containsOnly("Tessa");
    }

    /** Comb in 38–40 days before the flights, one colony for up to 50 virgins: Büchler et al. 2013, from memory. */
    @Test
    void drone_comb_is_put_in_as_late_and_in_as_few_colonies_as_will_do() {
        List<DroneMother> mothers = List.of(new DroneMother("H 1", "Orla", false),
                new DroneMother("H 2", "Perla", false), new DroneMother("H 3", "Ruta", false),
                new DroneMother("H 4", "Sina", false));
        List<Load> loads = new ArrayList<>(loads(40, Optional.empty(), 30));
        // 160 cups within a week give about 126 virgins, which want a third colony
        loads.addAll(loads(40, Optional.empty(), 60, 62, 64, 66));
        SeasonBrief brief = brief(List.of(), mothers);
        List<DroneStart> starts = solve(brief, loads).droneStarts();
        assertThat(starts).hasSize(3);
        assertThat(starts.subList(0, 2)).extracting(DroneStart::firstGraft).containsOnly(day(30));
        assertThat(starts.getLast().firstGraft()).isEqualTo(day(60));
        // virgins of a graft are out on day 11 at the soonest and fly from five days later
        assertThat(starts.getFirst().combIn().latest()).isEqualTo(day(30 + 16 - 38));
        assertThat(starts.getFirst().combIn().earliest()).isEqualTo(day(30 + 16 - 40));
    }

    @Test
    void what_the_crew_was_told_is_kept_and_what_flies_already_counts() {
        List<DroneMother> mothers = List.of(new DroneMother("H 1", "Orla", false),
                new DroneMother("H 2", "Perla", true));
        List<DroneStart> starts = solve(brief(List.of(new DroneColony("D 1", "Ruta", day(0))), mothers),
                loads(30, Optional.empty(), 40)).droneStarts();
        assertThat(starts).extracting(DroneStart::colony).containsExactly("H 2");
    }

    @Test
    void too_late_for_drones_of_its_own_a_graft_starts_none() {
        assertThat(solve(brief(List.of(), List.of(new DroneMother("H 1", "Orla", false))),
                loads(30, Optional.empty(), 10)).droneStarts()).isEmpty();
    }

    /** What is to be given comb counts as ripe from the day its drones can be. */
    @Test
    void the_sheet_of_a_graft_counts_the_colonies_that_the_plan_gives_comb() {
        SeasonBrief brief = Seasons.withDrones(Seasons.brief(List.of(order("A", Product.MATED_QUEENS, 15, 80, 84)),
                List.of(builder("B 1", 45)), 100, Crew.EVERY_DAY), List.of(),
                List.of(new DroneMother("H 1", "Orla", false), new DroneMother("H 2", "Perla", false)));
        SeasonPlan plan = SeasonPlanner.plan(brief, 3, SolveWatch.untilInterrupted());
        assertThat(plan.droneStarts()).hasSize(2);
        assertThat(DroneSheet.of(brief, plan.batches(), plan.droneStarts())).isNotEmpty()
                .allSatisfy(sheet -> assertThat(sheet.coloniesReady()).isEqualTo(2))
                .allSatisfy(sheet -> assertThat(sheet.warnings()).isEmpty());
    }
}
