package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static vividcrown.core.season.Seasons.builder;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.order;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.LossStep;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.StepKind;
import vividcrown.core.season.BatchLock;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.Crew;
import vividcrown.core.season.DroneColony;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.sheet.BuilderSheet;
import vividcrown.core.season.sheet.DroneSheet;
import vividcrown.core.season.sheet.Shopping;
import vividcrown.core.season.supply.SupplyBand;

/** What follows from a plan: sheets for builders and drones, shopping, the band of supply, and what a move breaks. */
class AfterThePlanTest {

    private static final List<Demand> DEMANDS = List.of(order("A", Product.MATED_QUEENS, 20, 40, 44),
            order("B", Product.RIPE_CELLS, 10, 90, 91), order("C", Product.NUCS_WITH_QUEEN, 6, 70, 74));
    private static final SeasonBrief BRIEF = Seasons.brief(DEMANDS, List.of(builder("B 1", 45), builder("B 2", 45)),
            100, Crew.EVERY_DAY);
    private static SeasonPlan plan;

    @BeforeAll
    static void plan() {
        plan = SeasonPlanner.plan(BRIEF, 5, SolveWatch.untilInterrupted());
    }

    private static PlannedBatch batchFor(String demand) {
        return plan.batches().stream().filter(one -> one.shares().stream().anyMatch(s -> s.demand().equals(demand)))
                .findFirst().orElseThrow();
    }

    private static List<PlannedBatch> with(PlannedBatch old, PlannedBatch instead) {
        List<PlannedBatch> all = new ArrayList<>(plan.batches());
        all.set(all.indexOf(old), instead);
        return all;
    }

    private static PlannedBatch moved(PlannedBatch batch, LocalDate day) {
        return new PlannedBatch(day, batch.builder(), batch.breeder(), batch.line(), batch.cups(), batch.shares(),
                false, batch.grafter());
    }

    /** Common practice: one bar of dark and one of grey larvae in a builder are one load of it. */
    @Test
    void a_builder_that_was_to_take_two_lines_is_one_graft_of_the_plan_before() {
        SeasonBrief brief = Seasons.brief(DEMANDS, List.of(builder("B 1", 45), builder("B 2", 45)), 100,
                Crew.EVERY_DAY, List.of(),
                List.of(new BatchLock("B 1", day(20), 10, Optional.of("dark")),
                        new BatchLock("B 1", day(20), 25, Optional.of("grey"))),
                List.of());
        List<BuilderClass> classes = BuilderClass.of(brief.means().builders(), Set.of(), brief.today(), _ -> 100);
        assertThat(LoadsBefore.of(brief, classes).on(day(20))).containsOnly(Map.entry(0, 1));
        assertThat(LoadsBefore.of(brief, classes).notMade(Map.of())).isEqualTo(PlanCost.CHANGED_GRAFT);
        assertThat(PlanChanges.of(brief, List.of())).singleElement().satisfies(change -> {
            assertThat(change.kind()).isEqualTo(SeasonPlan.Change.Kind.DROPPED);
            assertThat(change.cups()).isEqualTo(35);
        });
    }

    @Test
    void a_plan_left_as_it_is_breaks_nothing_and_has_the_same_odds() {
        PlanCheck check = PlanCheck.of(BRIEF, plan.batches(), List.of());
        assertThat(check.breaks()).isEmpty();
        plan.promises().forEach(promise -> assertThat(check.chances().get(promise.demand().id()))
                .isCloseTo(promise.chance(), within(1e-9)));
    }

    @Test
    void a_graft_moved_too_late_is_not_ready_and_its_order_falls() {
        PlannedBatch batch = batchFor("A");
        PlanCheck check = PlanCheck.of(BRIEF, with(batch, moved(batch, day(30))), List.of());
        assertThat(check.breaks().toString()).contains("nothing is ready for A");
        assertThat(check.chances().get("A")).isLessThan(0.7);
        assertThat(check.chances().get("B")).isGreaterThanOrEqualTo(0.9);
    }

    @Test
    void two_loads_too_close_and_too_many_cups_are_named() {
        PlannedBatch a = batchFor("A");
        PlannedBatch extra = new PlannedBatch(a.day().plusDays(2), a.builder(), "Runa", "dark", 60, List.of(), false,
                Optional.empty());
        List<PlannedBatch> all = new ArrayList<>(plan.batches());
        all.add(extra);
        String breaks = PlanCheck.of(BRIEF, all, List.of()).breaks().toString();
        assertThat(breaks).contains("too soon").contains("would have 60 cups");
    }

    @Test
    void the_band_of_supply_meets_the_demand_on_the_last_day() {
        List<SupplyBand> bands = SupplyBand.of(BRIEF, plan.batches());
        assertThat(bands).extracting(SupplyBand::kind).containsExactly(SupplyKind.CELLS, SupplyKind.QUEENS);
        SupplyBand.Point end = bands.get(1).days().getLast();
        assertThat(end.demanded()).isEqualTo(26);
        assertThat(end.low()).isLessThanOrEqualTo(end.middle());
        assertThat(end.middle()).isBetween(26, 60);
        assertThat(end.high()).isGreaterThan(end.middle());
        assertThat(bands.get(1).days().getFirst().high()).isZero();
    }

    @Test
    void too_many_nucs_too_many_hours_and_days_off_are_named() {
        PlannedBatch a = batchFor("A");
        SeasonBrief tight = Seasons.brief(DEMANDS, List.of(builder("B 1", 45), builder("B 2", 45)), 12,
                new Crew(1, Set.of(a.day().getDayOfWeek()), Set.of(a.day().plusDays(11))));
        String breaks = PlanCheck.of(tight, plan.batches(), List.of()).breaks().toString();
        assertThat(breaks).contains("nucs would be taken, but there are 12").contains("is a day off")
                .contains("hours; there are 1");
        String past = PlanCheck.of(BRIEF, with(a, moved(a, day(-3))), List.of()).breaks().toString();
        assertThat(past).contains("lies in the past").contains("does not fit A");
        String ripe = PlanCheck.of(Seasons.brief(DEMANDS, List.of(builder("B 1", 45), builder("B 2", 45)), 100,
                new Crew(16, Set.of(), Set.of(a.day().plusDays(10)))), plan.batches(), List.of()).breaks()
                .toString();
        assertThat(ripe).contains("are ripe on");
    }

    @Test
    void queens_on_their_way_are_in_the_band_and_cells_only_where_they_are_set_aside() {
        RunningBatch virgins = new RunningBatch("26-01", Optional.of("dark"), day(-15), 20,
                List.of(LossStep.TAKE, LossStep.SOUND,
                        LossStep.EMERGENCE),
                Around.NOTHING_KNOWN);
        SeasonBrief brief = Seasons.brief(DEMANDS, List.of(builder("B 1", 45)), 100, Crew.EVERY_DAY, List.of(virgins),
                List.of(), List.of());
        List<SupplyBand> bands = SupplyBand.of(brief, List.of());
        assertThat(bands.get(0).kind()).isEqualTo(SupplyKind.CELLS);
        assertThat(bands.get(0).days().getLast().high()).isZero();
        assertThat(bands.get(1).days().getLast().middle()).isBetween(10, 20);
        assertThat(bands.get(1).days().getFirst().middle()).isZero();
    }

    @Test
    void what_it_uses_up_is_listed_by_week_and_in_all() {
        Shopping shopping = Shopping.of(BRIEF, plan.batches(), plan.deliveries());
        int cups = plan.batches().stream().mapToInt(PlannedBatch::cups).sum();
        assertThat(shopping.list()).containsEntry(Shopping.Material.CELL_CUPS, cups)
                .containsEntry(Shopping.Material.QUEENS_TO_PAINT, 26).containsEntry(Shopping.Material.QUEEN_CAGES, 20)
                .containsEntry(Shopping.Material.NUC_FRAMES, 30).containsEntry(Shopping.Material.CANDY_GRAMS, 400);
        assertThat(shopping.weeks().keySet()).allSatisfy(week -> assertThat(week.getDayOfWeek().getValue()).isOne());
    }

    /** Drone comb 38–40 days before the first flights, one colony for 25–50 virgins: Büchler et al. 2013, from memory. */
    @Test
    void drone_comb_goes_in_five_to_six_weeks_before_the_flights_and_mothers_sons_are_warned_of() {
        SeasonBrief brief = Seasons.withDrones(BRIEF, List.of(new DroneColony("D 1", batchFor("C").breeder(), day(0)),
                new DroneColony("D 2", "Orla", day(0))), List.of());
        List<DroneSheet> sheets = DroneSheet.of(brief, plan.batches(), plan.droneStarts());
        assertThat(sheets).extracting(DroneSheet::graft).doesNotContain(batchFor("B").day());
        DroneSheet sheet = sheets.getLast();
        assertThat(sheet.comb().earliest()).isEqualTo(sheet.flights().earliest().minusDays(40));
        assertThat(sheet.comb().latest()).isEqualTo(sheet.flights().earliest().minusDays(38));
        assertThat(sheet.coloniesWanted()).isOne();
        assertThat(sheet.coloniesReady()).isOne();
        assertThat(sheet.warnings().toString()).contains("her sons would meet their sisters");
    }

    @Test
    void a_builders_sheet_has_its_steps_and_its_rest() {
        List<PlannedBatch> weekly = new ArrayList<>();
        for (int week = 0; week < 5; week++) {
            weekly.add(
                    new PlannedBatch(day(7 * week + (week == 4 ? 10 : 0)), "S", "Runa", "dark", 20, List.of(), false,
                            Optional.empty()));
        }
        CellBuilder box = new CellBuilder("S", BuilderSchool.STARTER_FINISHER, 45, day(0), List.of());
        SeasonBrief brief = Seasons.brief(List.of(), List.of(box), 10, Crew.EVERY_DAY);
        BuilderSheet sheet = BuilderSheet.of(brief, weekly).getFirst();
        assertThat(sheet.loads()).hasSize(5);
        assertThat(sheet.loads().getFirst().steps()).extracting(step -> step.kind())
                .contains(StepKind.MAKE_UP_BUILDER, StepKind.RESTOCK_BUILDER, StepKind.CHECK_ROGUE_CELLS)
                .doesNotContain(StepKind.MOVE_TO_FINISHER);
        assertThat(sheet.rests()).singleElement().satisfies(rest -> {
            assertThat(rest.earliest()).isEqualTo(day(28));
            assertThat(rest.latest()).isEqualTo(day(37));
        });
        assertThat(PlanCheck.of(brief, weekly, List.of()).breaks()).isEmpty();
        assertThat(Optional.of(new CellBuilder("x", BuilderSchool.STARTER_FINISHER, 45, day(0), List.of()).rhythm()
                .restStretchDays())).contains(38);
    }

    /** An order is delivered or declined while its grafts are still planned: they are for nobody then. */
    @Test
    void what_is_meant_for_somebody_who_asks_no_longer_is_checked_all_the_same() {
        PlannedBatch batch = plan.batches().getFirst();
        PlannedBatch forNobody = batch.with(batch.cups(),
                List.of(new PlannedBatch.Share("gone", batch.cups(), batch.day().plusDays(40))));
        PlanCheck check = PlanCheck.of(BRIEF, List.of(forNobody), List.of());
        assertThat(check.chances()).doesNotContainKey("gone").hasSameSizeAs(BRIEF.demands());
    }
}
