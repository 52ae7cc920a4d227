package vividcrown.core.season;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.demand.Product;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.StepOdds;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.plan.SeasonPlan;

/** Invented seasons to plan. */
public final class Seasons {

    public static final LocalDate MAY_1 = LocalDate.of(2026, 5, 1);
    public static final GraftPlan HOW = new GraftPlan(MAY_1, LarvaAge.FROM_12_TO_24_H,
            BuilderSchool.STARTER_THEN_FINISHER,
            Placing.CELLS_TO_NUCS, GraftPlan.PROPER_INCUBATOR_CELSIUS);
    public static final List<BreederQueen> BREEDERS = List.of(new BreederQueen("Runa", "dark"),
            new BreederQueen("Selva", "dark"), new BreederQueen("Tessa", "grey"));

    private Seasons() {
    }

    public static LocalDate day(int number) {
        return MAY_1.plusDays(number);
    }

    public static Demand order(String id, Product product, int count, int from, int until) {
        return new Demand(id, product, count, day(from), day(until), Optional.empty(), 2, 0.9);
    }

    public static CellBuilder builder(String id, int load) {
        return new CellBuilder(id, BuilderSchool.STARTER_THEN_FINISHER, load, MAY_1, List.of());
    }

    public static SeasonBrief brief(List<Demand> demands, List<CellBuilder> builders, int nucs, Crew crew) {
        return brief(demands, builders, nucs, crew, List.of(), List.of(), List.of());
    }

    public static SeasonBrief brief(List<Demand> demands, List<CellBuilder> builders, int nucs, Crew crew,
            List<RunningBatch> running, List<BatchLock> before, List<BatchLock> locks) {
        return new SeasonBrief(MAY_1, day(120), demands,
                new Means(BREEDERS, builders, nucs, Means.NucsTaken.NONE, 60, crew), Drones.TAKEN_TO_BE_THERE,
                new Underway(running, before, locks), new Expectation(SeasonRates.OF_THE_TRADE,
                        MatingClimate.UPLAND_46_NORTH, HOW, Assumptions.standard(), SeasonWorth.USUAL));
    }

    /** The same season once this plan of it is known. */
    public static SeasonBrief after(SeasonPlan plan, SeasonBrief brief) {
        List<BatchLock> before = plan.batches().stream()
                .map(one -> new BatchLock(one.builder(), one.day(), one.cups(), Optional.of(one.line()))).toList();
        return new SeasonBrief(brief.today(), brief.until(), brief.demands(), brief.means(), brief.drones(),
                new Underway(brief.underway().running(), before, brief.underway().locks()), brief.expected());
    }

    /** The same season with another number of nucs. */
    public static SeasonBrief withNucs(SeasonBrief brief, int nucs) {
        Means means = brief.means();
        return brief.with(new Means(means.breeders(), means.builders(), nucs, Means.NucsTaken.NONE, means.cages(),
                means.crew()));
    }

    /** A season of so many orders, in a random but repeatable way. */
    public static SeasonBrief random(int orders, int builders, int nucs, long seed) {
        Random random = new Random(seed);
        List<Demand> demands = new ArrayList<>();
        for (int number = 1; number <= orders; number++) {
            int draw = random.nextInt(10);
            Product product = draw < 6
                    ? Product.MATED_QUEENS
                    : draw < 8 ? Product.RIPE_CELLS : draw < 9 ? Product.NUCS_WITH_QUEEN : Product.VIRGINS;
            int until = 34 + random.nextInt(84);
            Optional<String> line = random.nextInt(3) == 0
                    ? Optional.of(random.nextBoolean() ? "dark" : "grey")
                    : Optional.empty();
            demands.add(new Demand("O" + number, product, 2 + random.nextInt(nucs / orders * 2), day(until - 4),
                    day(until), line, 1 + random.nextInt(3), 0.9));
        }
        List<CellBuilder> boxes = new ArrayList<>();
        for (int number = 1; number <= builders; number++) {
            boxes.add(new CellBuilder("B" + number,
                    number % 3 == 0 ? BuilderSchool.STARTER_FINISHER : BuilderSchool.STARTER_THEN_FINISHER,
                    number % 2 == 0 ? 30 : 45, MAY_1, List.of()));
        }
        return brief(demands, boxes, nucs, new Crew(16, Set.of(DayOfWeek.SUNDAY), Set.of()));
    }

    /** Two hundred counted batches of a season's builders and mothers, some good, some poor. */
    public static SeasonBrief withRecords(SeasonBrief brief, long seed) {
        Random random = new Random(seed);
        Map<String, Double> builders = new HashMap<>();
        brief.means().builders().forEach(one -> builders.put(one.id(), random.nextGaussian() * 0.5));
        Map<String, Double> mothers = new HashMap<>();
        brief.means().breeders().forEach(one -> mothers.put(one.id(), random.nextGaussian() * 0.3));
        Map<LossStep, StepOdds> steps = new EnumMap<>(LossStep.class);
        for (LossStep step : List.of(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE, LossStep.MATING)) {
            List<StepOdds.Batch> counted = new ArrayList<>();
            for (int number = 0; number < 200; number++) {
                String builder = brief.means().builders().get(random.nextInt(brief.means().builders().size())).id();
                String mother = brief.means().breeders().get(random.nextInt(brief.means().breeders().size())).id();
                double mean = step.prior().mean();
                double share = 1 / (1 + (1 - mean) / mean * Math.exp(-builders.get(builder) - mothers.get(mother)));
                int came = 0;
                for (int cup = 0; cup < 30; cup++) {
                    came += random.nextDouble() < share ? 1 : 0;
                }
                counted.add(new StepOdds.Batch(Around.NOTHING_KNOWN.with(Circumstance.BUILDER, builder)
                        .with(Circumstance.MOTHER, mother), new StepOdds.Count(30, came)));
            }
            steps.put(step, StepOdds.learnt(step.prior(), counted));
        }
        return withRates(brief, new SeasonRates(steps));
    }

    /** The same season with its nucs at these yards. */
    public static SeasonBrief at(SeasonBrief brief, MatingYard... yards) {
        Means means = brief.means();
        int nucs = Arrays.stream(yards).mapToInt(MatingYard::nucs).sum();
        return brief.with(new Means(means.breeders(), means.builders(), nucs,
                on -> Arrays.stream(yards).mapToInt(yard -> yard.busy().on(on)).sum(), List.of(yards), means.cages(),
                means.crew()));
    }

    /** A yard with the season's own weather, for whatever line. */
    public static MatingYard yard(String id, int nucs, int driveMinutes) {
        return new MatingYard(id, nucs, Means.NucsTaken.NONE, Optional.empty(), Set.of(), driveMinutes);
    }

    public static SeasonBrief withRates(SeasonBrief brief, SeasonRates rates) {
        return new SeasonBrief(brief.today(), brief.until(), brief.demands(), brief.means(), brief.drones(),
                brief.underway(), brief.expected().with(rates));
    }

    public static SeasonBrief withDrones(SeasonBrief brief, List<DroneColony> drones, List<DroneMother> droneMothers) {
        return new SeasonBrief(brief.today(), brief.until(), brief.demands(), brief.means(),
                new Drones(drones, droneMothers), brief.underway(), brief.expected());
    }

    /** Forty batches of one step, half of the one group, half of the other, each with its share. */
    public static SeasonRates twoGroups(LossStep step, Circumstance kind, String good, double high, String poor,
            double low) {
        List<StepOdds.Batch> batches = new ArrayList<>();
        for (int number = 0; number < 20; number++) {
            batches.add(new StepOdds.Batch(Around.NOTHING_KNOWN.with(kind, good),
                    new StepOdds.Count(40, (int) Math.round(40 * high) - number % 2)));
            batches.add(new StepOdds.Batch(Around.NOTHING_KNOWN.with(kind, poor),
                    new StepOdds.Count(40, (int) Math.round(40 * low) + number % 2)));
        }
        return new SeasonRates(Map.of(step, StepOdds.learnt(step.prior(), batches)));
    }
}
