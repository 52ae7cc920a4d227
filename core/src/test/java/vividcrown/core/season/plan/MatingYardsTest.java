package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static vividcrown.core.season.Seasons.builder;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.order;
import static vividcrown.core.season.Seasons.yard;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.junit.jupiter.api.Test;
import vividcrown.core.demand.Product;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.Rate;
import vividcrown.core.reason.Reason;
import vividcrown.core.season.Crew;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.Means;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.supply.Supply;

/** A season whose nucs stand in several yards: situations of the trade (common practice). */
class MatingYardsTest {

    /** Hardly two fit afternoons in a virgin's time. */
    private static final MatingClimate WINDY = _ -> 0.12;

    private static SeasonBrief brief(int hoursADay, List<Demand> demands, MatingYard... yards) {
        return Seasons.at(Seasons.brief(demands, List.of(builder("B 1", 45), builder("B 2", 45)), 0,
                new Crew(hoursADay, Set.of(), Set.of())), yards);
    }

    private static SeasonBrief forty(MatingYard... yards) {
        return brief(16, List.of(order("forty", Product.MATED_QUEENS, 40, 38, 42)), yards);
    }

    private static SeasonPlan plan(SeasonBrief brief) {
        return SeasonPlanner.plan(brief, 3, SolveWatch.untilInterrupted());
    }

    private static MatingYard with(MatingYard yard, Optional<MatingClimate> climate, String... lines) {
        return new MatingYard(yard.id(), yard.nucs(), yard.busy(), climate, Set.of(lines), yard.driveMinutes());
    }

    private static YardUse use(SeasonPlan plan, String yard) {
        return plan.yards().stream().filter(one -> one.yard().equals(yard)).findFirst().orElseThrow();
    }

    private static List<String> said(List<Reason> reasons) {
        return reasons.stream().map(one -> one.fact().toString()).toList();
    }

    private static Demand dark(int count) {
        return new Demand("dark", Product.MATED_QUEENS, count, day(38), day(42), Optional.of("dark"), 2, 0.9);
    }

    @Test
    void where_they_stand_changes_nothing_for_who_has_them_at_home() {
        SeasonPlan somewhere = plan(Seasons.brief(forty().demands(), forty().means().builders(), 100,
                Crew.EVERY_DAY));
        SeasonPlan home = plan(forty(yard("Home", 100, 0)));
        assertThat(home.hours()).isEqualTo(somewhere.hours());
        assertThat(home.promises().getFirst().chance()).isEqualTo(somewhere.promises().getFirst().chance());
        assertThat(somewhere.yards()).isEmpty();
        assertThat(use(home, "Home").cells()).isBetween(75, 90);
    }

    @Test
    void driving_is_in_the_hours_once_for_all_that_is_done_there_that_day() {
        SeasonPlan home = plan(forty(yard("Home", 100, 0)));
        SeasonPlan far = plan(forty(yard("Far", 100, 60)));
        assertThat(use(far, "Far").hours()).isEqualTo(use(far, "Far").trips());
        assertThat(far.hours() - home.hours()).isCloseTo(use(far, "Far").hours(), within(3.0));
        // two batches at the most: placed, seen to be out, looked at, and one day for catching
        assertThat(use(far, "Far").trips()).isBetween(4, 7);
    }

    @Test
    void who_cannot_drive_there_and_work_in_a_day_is_told_so() {
        SeasonBrief brief = brief(3, List.of(order("forty", Product.MATED_QUEENS, 40, 38, 42)), yard("Far", 100, 240));
        SeasonPlan plan = plan(brief);
        assertThat(plan.promises().getFirst().state()).isEqualTo(Promise.State.UNMET);
        assertThat(plan.waysOut()).anyMatch(way -> way.kind() == Relaxation.HOURS && way.helps().contains("forty"));
        assertThat(plan(brief(9, brief.demands(), yard("Far", 100, 240))).holds()).isTrue();
    }

    /** An order is not told to be late because half of the nucs stand on a windy ridge where nobody would place its cells. */
    @Test
    void a_poor_yard_that_nobody_needs_does_not_count() {
        SeasonPlan plan = plan(forty(with(yard("Ridge", 120, 0), Optional.of(WINDY)), yard("Valley", 120, 60)));
        assertThat(plan.holds()).isTrue();
        assertThat(use(plan, "Ridge").cells()).isZero();
        assertThat(use(plan, "Valley").mating()).isCloseTo(0.775, within(0.01));
    }

    /** Where all the nucs there are stand on the ridge, more cups are grafted, and where they are not enough it is said. */
    @Test
    void the_weather_of_the_yard_is_the_weather_of_the_plan() {
        SeasonPlan few = plan(forty(with(yard("Ridge", 120, 0), Optional.of(WINDY))));
        assertThat(few.promises().getFirst().state()).isEqualTo(Promise.State.AT_RISK);
        assertThat(said(use(few, "Ridge").reasons())).anyMatch(text -> text.startsWith("A gamble"));
        assertThat(said(few.promises().getFirst().reasons())).anyMatch(text -> text.contains("look for a warmer yard"));
        SeasonPlan many = plan(forty(with(yard("Ridge", 300, 0), Optional.of(_ -> 0.22))));
        assertThat(many.holds()).isTrue();
        assertThat(many.promises().getFirst().grafts()).as("104 where the weather is sure").isGreaterThan(115);
    }

    @Test
    void two_orders_that_both_want_the_good_yard_do_not_count_on_it_twice() {
        List<Demand> two = List.of(order("one", Product.MATED_QUEENS, 30, 38, 42),
                new Demand("two", Product.JUDGED_QUEENS, 30, day(41), day(45), Optional.empty(), 2, 0.9));
        SeasonBrief brief = brief(16, two, yard("Valley", 75, 0), with(yard("Ridge", 120, 0), Optional.of(_ -> 0.2)));
        SeasonPlan plan = plan(brief);
        assertThat(use(plan, "Valley").most()).isLessThanOrEqualTo(76);
        assertThat(use(plan, "Ridge").cells()).isPositive();
        Promise first = plan.promises().getFirst();
        assertThat(first.chance()).isCloseTo(lived(new Supply(brief), plan, first.demand(), 20_000), within(0.015));
    }

    /** The same plan lived through, each virgin at her own yard, one luck for all of a day at each step: what is said of it is so. */
    private static double lived(Supply supply, SeasonPlan plan, Demand demand, int lives) {
        UniformRandomProvider random = new SplittableRandom(5)::nextLong;
        int met = 0;
        for (int life = 0; life < lives; life++) {
            Map<LocalDate, double[]> luck = new HashMap<>();
            int had = 0;
            for (PlannedBatch batch : plan.batches()) {
                double[] ofDay = luck.computeIfAbsent(batch.day(),
                        _ -> new double[]{random.nextDouble(), random.nextDouble(), random.nextDouble(),
                                random.nextDouble()});
                for (PlannedBatch.Share share : batch.shares()) {
                    had += share.demand().equals(demand.id())
                            ? come(supply, batch, share, demand, ofDay, random)
                            : 0;
                }
            }
            met += had >= demand.count() ? 1 : 0;
        }
        return (double) met / lives;
    }

    private static int come(Supply supply, PlannedBatch batch, PlannedBatch.Share share, Demand demand, double[] luck,
            UniformRandomProvider random) {
        int come = 0;
        for (Map.Entry<String, Integer> there : batch.sharedOut(share.cups())) {
            List<Rate> steps = supply.steps(demand.product(), batch.day(), share.delivery(), List.of(),
                    batch.around().with(Circumstance.YARD, there.getKey()));
            double chance = 1;
            for (int step = 0; step < steps.size(); step++) {
                chance *= BetaDistribution.of(steps.get(step).successes(), steps.get(step).failures())
                        .inverseCumulativeProbability(luck[step]);
            }
            come += chance <= 0
                    ? 0
                    : BinomialDistribution.of(there.getValue(), Math.min(1, chance)).createSampler(random).sample();
        }
        return come;
    }

    @Test
    void a_line_is_promised_as_many_as_the_nucs_where_it_may_mate_bear() {
        MatingYard station = with(yard("Station", 30, 60), Optional.empty(), "dark");
        SeasonPlan small = plan(brief(16, List.of(dark(40)), station, yard("Home", 200, 0)));
        assertThat(small.promises().getFirst().state()).isEqualTo(Promise.State.UNMET);
        assertThat(small.waysOut()).anyMatch(way -> way.kind() == Relaxation.NUCS
                && way.text().toString().contains("more nucs at Station"));
        assertThat(small.waysOut()).anyMatch(way -> way.kind() == Relaxation.FEWER && way.amount() < 15);
        SeasonPlan large = plan(brief(16, List.of(dark(40), order("any", Product.MATED_QUEENS, 30, 38, 42)),
                new MatingYard("Station", 90, Means.NucsTaken.NONE, Optional.empty(), Set.of("dark"), 60),
                yard("Home", 200, 0)));
        assertThat(large.holds()).isTrue();
        large.batches().stream().filter(batch -> batch.shares().stream().anyMatch(
                share -> share.demand().equals("dark"))).forEach(batch -> assertThat(batch.at())
                        .extracting(
                                PlannedBatch.At::yard)
                        .containsExactly("Station"));
        assertThat(said(use(large, "Station").reasons())).contains("dark mates here: it is wished.");
    }

    @Test
    void a_line_without_any_yard_is_not_promised_and_the_others_are() {
        MatingYard blue = with(yard("Station", 90, 0), Optional.empty(), "blue");
        SeasonPlan plan = plan(brief(16, List.of(dark(20), order("any", Product.MATED_QUEENS, 20, 46, 50)), blue));
        assertThat(plan.promises().stream().collect(Collectors.toMap(one -> one.demand().id(), Promise::state)))
                .containsEntry("dark", Promise.State.UNMET).containsEntry("any", Promise.State.HOLDS);
        assertThat(said(plan.promises().getFirst().reasons()))
                .anyMatch(text -> text.startsWith("No mating yard takes"));
    }

    @Test
    void in_autumn_the_warm_yard_keeps_the_promise_though_it_is_further() {
        MatingClimate low = MatingClimate.byMonth(List.of(0.0, 0.0, 0.1, 0.3, 0.5, 0.7, 0.7, 0.7, 0.6, 0.3, 0.0, 0.0));
        SeasonPlan plan = plan(brief(16,
                List.of(order("autumn", Product.MATED_QUEENS, 20, 153, 157)), yard("High", 100, 0),
                with(yard("Low", 100, 40), Optional.of(low))).withDemands(
                        List.of(order("autumn", Product.MATED_QUEENS, 20, 153, 157))));
        assertThat(plan.promises().getFirst().state()).isNotEqualTo(Promise.State.UNMET);
        assertThat(use(plan, "Low").cells()).isGreaterThan(use(plan, "High").cells());
    }

    @Test
    void a_plan_made_by_hand_is_told_when_a_yard_has_too_few_nucs() {
        SeasonBrief brief = forty(yard("Near", 30, 10), yard("Far", 100, 60));
        SeasonPlan plan = plan(brief);
        List<PlannedBatch> all = plan.batches().stream()
                .map(batch -> batch.with(List.of(new PlannedBatch.At("Near", 1)))).toList();
        assertThat(PlanCheck.of(brief, plan.batches(), List.of()).breaks()).isEmpty();
        assertThat(PlanCheck.of(brief, all, List.of()).breaks()).extracting(Object::toString)
                .anyMatch(text -> text.contains("at Near") && text.contains("30"));
    }

    @Test
    void a_yard_that_there_is_not_is_told_with_those_that_there_are() {
        SeasonBrief brief = forty(yard("Near", 30, 10), yard("Far", 100, 60));
        List<PlannedBatch> planned = plan(brief).batches().stream()
                .map(batch -> batch.with(List.of(new PlannedBatch.At("Nowhere", 5)))).toList();
        assertThat(PlanCheck.of(brief, planned, List.of()).breaks()).extracting(Object::toString)
                .anyMatch(text -> text.contains("Nowhere") && text.contains("Far, Near"));
    }

    /** What was written by hand has no yard: it is looked at where it had better mate, beside what stands where it was said. */
    @Test
    void grafts_without_a_yard_are_looked_at_where_there_is_room_beside_those_that_have_one() {
        SeasonBrief brief = forty(yard("Near", 30, 10), yard("Far", 100, 60));
        List<PlannedBatch> planned = plan(brief).batches();
        List<PlannedBatch> open = planned.stream().map(batch -> batch.with(List.<PlannedBatch.At>of())).toList();
        PlanCheck check = PlanCheck.of(brief, open, List.of());
        assertThat(check.breaks()).isEmpty();
        assertThat(check.batches()).allSatisfy(batch -> assertThat(batch.at()).isNotEmpty());

        List<PlannedBatch> mixed = new ArrayList<>(open);
        mixed.set(0, open.getFirst().with(List.of(new PlannedBatch.At("Far", 5))));
        List<PlannedBatch> beside = PlanCheck.of(brief, mixed, List.of()).batches();
        assertThat(beside.getFirst().at()).containsExactly(new PlannedBatch.At("Far", 5));
        assertThat(beside).allSatisfy(batch -> assertThat(batch.at()).isNotEmpty());

        PlannedBatch one = open.getFirst();
        PlannedBatch told = one.with(List.of(new PlannedBatch.At("Near", 5)));
        SeasonBrief tight = forty(yard("Near", told.cups(), 10), yard("Far", 100, 10));
        assertThat(PlanCheck.of(tight, List.of(told, one), List.of()).batches().getLast().at())
                .as("the nucs near are taken by those that were told to go there").first()
                .extracting(PlannedBatch.At::yard).isEqualTo("Far");
    }

    @Test
    void whoever_starts_cells_in_the_cold_of_spring_is_told_to_wait() {
        SeasonPlan plan = plan(forty(with(yard("Ridge", 60, 0), Optional.of(
                MatingClimate.byMonth(List.of(0.0, 0.0, 0.0, 0.02, 0.08, 0.15, 0.4, 0.4, 0.1, 0.0, 0.0, 0.0))))));
        assertThat(said(plan.promises().getFirst().reasons())).anyMatch(text -> text.contains("choose a later day"));
    }
}
