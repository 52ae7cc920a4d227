package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static vividcrown.core.season.Seasons.builder;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.order;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vividcrown.core.demand.Product;
import vividcrown.core.mating.MatingWeather;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.Crew;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonRates;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.supply.Supply;

/** Builder, mother, person, yard and weather bear on the odds of each graft. */
class OwnRatesInThePlanTest {

    private static final List<CellBuilder> TWO = List.of(builder("B 1", 45), builder("B 2", 45));
    private static final Demand TWENTY = order("A", Product.MATED_QUEENS, 20, 40, 44);

    private static SeasonBrief brief(SeasonRates rates, Crew crew) {
        return Seasons.withRates(Seasons.brief(List.of(TWENTY), TWO, 200, crew), rates);
    }

    private static SeasonPlan plan(SeasonBrief brief) {
        return SeasonPlanner.plan(brief, 5, SolveWatch.untilInterrupted());
    }

    private static int cups(SeasonPlan plan) {
        return plan.batches().stream().mapToInt(PlannedBatch::cups).sum();
    }

    @Test
    void the_better_box_is_loaded_first() {
        SeasonRates rates = Seasons.twoGroups(LossStep.TAKE, Circumstance.BUILDER, "B 2", 0.95, "B 1", 0.55);
        Map<String, Integer> byBuilder = new HashMap<>();
        plan(brief(rates, Crew.EVERY_DAY)).batches()
                .forEach(batch -> byBuilder.merge(batch.builder(), batch.cups(), Integer::sum));
        assertThat(byBuilder.getOrDefault("B 2", 0)).isGreaterThan(byBuilder.getOrDefault("B 1", 0));
    }

    @Test
    void who_grafts_well_needs_fewer_cups_for_the_same_promise() {
        SeasonRates rates = Seasons.twoGroups(LossStep.TAKE, Circumstance.PERSON, "Ilva", 0.95, "Jory", 0.65);
        SeasonPlan ilva = plan(brief(rates, new Crew(16, Set.of(), Set.of(), Optional.of("Ilva"))));
        SeasonPlan jory = plan(brief(rates, new Crew(16, Set.of(), Set.of(), Optional.of("Jory"))));
        assertThat(ilva.promises().getFirst().chance()).isCloseTo(jory.promises().getFirst().chance(), within(0.03));
        assertThat((double) cups(jory) / cups(ilva)).isBetween(0.95 / 0.65 - 0.25, 0.95 / 0.65 + 0.35);
        assertThat(ilva.batches()).extracting(PlannedBatch::grafter).containsOnly(Optional.of("Ilva"));
    }

    /** The luck of each batch drawn from its own builder's and mother's rates, a day's batches together. */
    @Test
    void the_chance_promised_with_own_rates_is_what_comes_out_of_a_simulation() {
        SeasonBrief brief = Seasons.withRecords(Seasons.brief(List.of(TWENTY), TWO, 200, Crew.EVERY_DAY), 5);
        SeasonPlan plan = plan(brief);
        assertThat(plan.batches().stream().map(PlannedBatch::day).distinct().count())
                .as("one batch a day, so that drawing each alone is right").isEqualTo(plan.batches().size());
        SimulatedSeason luck = new SimulatedSeason(brief, 3);
        int met = 0;
        for (int run = 0; run < 20_000; run++) {
            int queens = 0;
            for (PlannedBatch batch : plan.batches()) {
                PlannedBatch.Share share = batch.shares().getFirst();
                queens += luck.comesOf(Product.MATED_QUEENS, batch.day(), share.delivery(), share.cups(),
                        batch.around());
            }
            met += queens >= 20 ? 1 : 0;
        }
        assertThat(met / 20_000.0).isCloseTo(plan.promises().getFirst().chance(), within(0.01));
        assertThat(plan.promises().getFirst().chance()).isGreaterThanOrEqualTo(0.9);
    }

    @Test
    void virgins_in_a_poor_yard_promise_less() {
        SeasonRates rates = Seasons.twoGroups(LossStep.MATING, Circumstance.YARD, "Alm", 0.9, "Bridge", 0.5);
        assertThat(chanceIn("Alm", rates)).isGreaterThan(chanceIn("Bridge", rates) + 0.3);
    }

    private static double chanceIn(String yard, SeasonRates rates) {
        RunningBatch virgins = new RunningBatch("26-04", Optional.of("dark"), day(-14), 20,
                List.of(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE),
                Around.NOTHING_KNOWN.with(Circumstance.YARD, yard));
        SeasonBrief brief = Seasons.withRates(Seasons.brief(List.of(order("A", Product.MATED_QUEENS, 12, 14, 18)), TWO,
                100, Crew.EVERY_DAY, List.of(virgins), List.of(), List.of()), rates);
        return PlanCheck.of(brief, List.of(), List.of()).chances().get("A");
    }

    /** By hand: the mean of a mixture is the weighted mean, its variance the mean variance and the variance of means. */
    @Test
    void mating_is_believed_by_the_weather_that_is_to_be_expected() {
        SeasonRates rates = Seasons.twoGroups(LossStep.MATING, Circumstance.WEATHER, MatingWeather.FINE.name(), 0.85,
                MatingWeather.FAIR.name(), 0.55);
        SeasonBrief brief = brief(rates, Crew.EVERY_DAY);
        Supply supply = new Supply(brief);
        double[] chance = new double[MatingWeather.values().length];
        new vividcrown.core.mating.MatingChance(brief.expected().climate()).weather(day(20 + 12))
                .forEach((kind, share) -> chance[kind.ordinal()] = share);
        double mean = 0;
        double square = 0;
        for (MatingWeather kind : List.of(MatingWeather.POOR, MatingWeather.FAIR, MatingWeather.FINE)) {
            Rate rate = rates.at(LossStep.MATING, Around.NOTHING_KNOWN.with(Circumstance.WEATHER, kind.name()));
            mean += chance[kind.ordinal()] * rate.mean();
            square += chance[kind.ordinal()] * (rate.variance() + rate.mean() * rate.mean());
        }
        Rate believed = supply.rate(LossStep.MATING, day(20), supply.usual());
        assertThat(believed.mean()).isCloseTo(mean, within(1e-9));
        assertThat(believed.variance()).isCloseTo(square - mean * mean, within(1e-9));
        assertThat(supply.rate(LossStep.MATING, day(120), supply.usual()).mean()).as("in September it is seldom fine")
                .isLessThan(believed.mean() - 0.05);
    }

    @Test
    void with_many_different_boxes_and_mothers_no_limit_is_broken() {
        SeasonBrief brief = Seasons.withRecords(Seasons.random(10, 5, 180, 31), 31);
        SeasonPlan plan = SeasonPlanner.plan(brief, 4, SolveWatch.untilInterrupted());
        assertThat(plan.batches()).isNotEmpty();
        assertThat(PlanCheck.of(brief, plan.batches(), List.of()).breaks()).isEmpty();
    }
}
