package vividcrown.core.split;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import vividcrown.core.hive.FrameKind;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.hive.forecast.Forecast;
import vividcrown.core.hive.forecast.Forecaster;
import vividcrown.core.hive.forecast.Units;
import vividcrown.core.split.SplitPlan.NewUnit;
import vividcrown.core.split.recipe.RecipeKind;
import vividcrown.core.split.recipe.Recipes;
import vividcrown.core.split.recipe.SplitRecipe;
import vividcrown.core.split.recipe.SplitRecipe.Target;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.yard.Flow;

/** Measures plans of large yards, and the planner against two rules of thumb. Prints, asserts nothing. */
@EnabledIfSystemProperty(named = "crown.bench", matches = "true")
class SplitBench {

    private static final LocalDate JUN_8 = SplitPlannerTest.JUN_8;
    private static final int YARDS = 100;
    private static final int AFTER_DAYS = 30;
    /** A nuc stands if it most likely has two frames of bees then, one even in a poor run, one queen, and no sick comb in it. */
    private static final double STANDS_FRAMES = 2;
    private static final double EVEN_IN_A_POOR_RUN = 1;
    /** A donor keeps its crop if it has most of the bees that it would have had. */
    private static final double KEEPS_CROP = 0.75;

    @Test
    void large_yards() {
        for (RecipeKind kind : List.of(RecipeKind.CELL_NUC, RecipeKind.MATED_QUEEN_SPLIT, RecipeKind.WALK_AWAY)) {
            List<Unit> hives = RandomYard.of(80, JUN_8, new Random(1));
            SplitPlan plan = SplitPlanner.plan(SplitPlannerTest.ask(SplitPlannerTest.on(JUN_8, Flow.GOOD), kind, hives),
                    5);
            long start = System.nanoTime();
            SplitPlan again = SplitPlanner.plan(
                    SplitPlannerTest.ask(SplitPlannerTest.on(JUN_8, Flow.GOOD), kind, hives),
                    5);
            print("80 hives, %s: %d units, proven %s, gap %.3f %%, %.2f s to the plan, %.2f s in all; twice the same: %s",
                    kind, plan.newUnits().size(), plan.proven(), 100 * plan.gap(), again.seconds(),
                    (System.nanoTime() - start) / 1e9, again.newUnits().stream().map(NewUnit::moves).toList()
                            .equals(plan.newUnits().stream().map(NewUnit::moves).toList()));
        }
        List<Unit> nucs = new ArrayList<>();
        Random luck = new Random(2);
        for (int nuc = 0; nuc < 400; nuc++) {
            nucs.add(nuc("N " + nuc, luck.nextInt(5), luck));
        }
        EqualisePlan plan = Equaliser.plan(new EqualiseQuestion(SplitPlannerTest.on(JUN_8, Flow.GOOD), nucs,
                new Target(2, 2), Map.of(), false, Optional.empty()), 5);
        print("400 nucs equalised: %d moves, %d opened, proven %s, gap %.3f %%, %.2f s", plan.gifts().size(),
                plan.opened(), plan.proven(), 100 * plan.gap(), plan.seconds());
        List<Unit> many = RandomYard.of(500, JUN_8, new Random(3));
        for (int round = 0; round < 3; round++) {
            long start = System.nanoTime();
            many.forEach(unit -> Forecaster.of(unit, Units.on(JUN_8, Flow.GOOD), 56));
            print("500 hives foreseen for 56 days: %.0f ms", (System.nanoTime() - start) / 1e6);
        }
    }

    private static Unit nuc(String code, int brood, Random luck) {
        List<FrameSeen> frames = new ArrayList<>();
        for (int slot = 1; slot <= 5; slot++) {
            boolean nest = slot > 1 && slot <= brood + 1;
            frames.add(FrameSeen.of(slot, slot == 1 ? FrameKind.HONEY : nest ? FrameKind.BROOD : FrameKind.DRAWN,
                    nest ? 1 : 0.3 + luck.nextDouble() / 2));
        }
        return new Unit(code, "Larch", Purpose.NUC, JUN_8, Units.DEEP, 5, frames, Optional.empty(),
                UnitQueen.of(UnitQueen.Is.LAYING), Set.of(), Optional.empty(), Optional.empty());
    }

    private static void print(String format, Object... values) {
        System.out.printf(Locale.ROOT, format + "%n", values);
    }

    // --- rules of thumb ----------------------------------------------------------------------------------------------

    /** What a way of splitting came to. */
    private static final class Score {
        private int units;
        private int stand;
        private int donors;
        private int keepCrop;
        private int frames;
    }

    private static boolean stands(Forecast forecast) {
        return forecast.in(AFTER_DAYS).framesOfBees().likely() >= STANDS_FRAMES
                && forecast.in(AFTER_DAYS).framesOfBees().least() >= EVEN_IN_A_POOR_RUN;
    }

    /**
     * "Two brood frames out of everything over eight", "halve the strongest", and the planner, on a hundred yards: each makes
     * splits with a mated queen that stand in the same yard. Where they end is told by the same forecast for all.
     */
    @Test
    void against_rules_of_thumb() {
        Map<String, Score> scores = new HashMap<>();
        for (int seed = 0; seed < YARDS; seed++) {
            List<Unit> yard = RandomYard.of(10, JUN_8, new Random(seed + 77));
            SplitQuestion question = new SplitQuestion(SplitPlannerTest.on(JUN_8, Flow.GOOD), yard,
                    List.of(new SplitQuestion.Wanted(withoutFood(), Optional.empty())), Optional.empty(),
                    SplitQuestion.Stock.WHATEVER, Map.of(), List.of(), Map.of());
            planned(SplitPlanner.plan(question, 1), yard, scores.computeIfAbsent("the planner", _ -> new Score()));
            twoOfEverythingOverEight(yard,
                    scores.computeIfAbsent("two out of everything over eight", _ -> new Score()));
            halveTheStrongest(yard, scores.computeIfAbsent("halve the strongest", _ -> new Score()));
        }
        scores.forEach((rule, score) -> print(
                "%s: %d units, %d stand after %d days (%.0f %%); of %d donors %d keep their crop (%.0f %%); %.1f frames moved for"
                        + " each that stands",
                rule, score.units, score.stand, AFTER_DAYS, 100.0 * score.stand / Math.max(1, score.units),
                score.donors,
                score.keepCrop, 100.0 * score.keepCrop / Math.max(1, score.donors),
                (double) score.frames / Math.max(1, score.stand)));
    }

    /** The rules of thumb take no food along: all are fed. */
    private static SplitRecipe withoutFood() {
        SplitRecipe mated = Recipes.of(RecipeKind.MATED_QUEEN_SPLIT);
        return new SplitRecipe(mated.kind(), new SplitRecipe.Frames(2, 3, 0, 1, 0, 1), mated.beesLeast(), mated.slots(),
                mated.feedLitres(), mated.gets(), mated.place(), mated.donor(), mated.when(), mated.dayTen(),
                mated.handsOffDays());
    }

    private static void planned(SplitPlan plan, List<Unit> yard, Score score) {
        for (NewUnit unit : plan.newUnits()) {
            score.units++;
            score.frames += unit.moves().size();
            score.stand += stands(unit.forecast()) ? 1 : 0;
        }
        plan.donors().forEach(donor -> {
            score.donors++;
            score.keepCrop += donor.withSplit().in(AFTER_DAYS).framesOfBees().likely() >= KEEPS_CROP
                    * donor.without().in(AFTER_DAYS).framesOfBees().likely() ? 1 : 0;
        });
    }

    /** Nobody looks at queens or disease, nobody shakes: frames go with the bees on them, and a third flies home. */
    private static void twoOfEverythingOverEight(List<Unit> yard, Score score) {
        List<FrameSeen> pool = new ArrayList<>();
        boolean sick = false;
        for (Unit hive : yard) {
            if (hive.broodFrames() > 8) {
                List<FrameSeen> taken = hive.framesWithBees().stream().filter(one -> one.comb().isOfBrood()).limit(2)
                        .toList();
                pool.addAll(taken);
                sick |= hive.is(UnitTrait.SUSPECT);
                donor(hive, taken, score);
            }
        }
        for (int at = 0; at + 1 < pool.size(); at += 2) {
            made(pool.subList(at, at + 2), sick, score);
        }
    }

    private static void halveTheStrongest(List<Unit> yard, Score score) {
        Unit strongest = yard.stream().max(Comparator.comparingDouble(Unit::framesOfBees)).orElseThrow();
        List<FrameSeen> half = new ArrayList<>();
        List<FrameSeen> frames = strongest.framesWithBees();
        for (int at = 0; at < frames.size(); at += 2) {
            half.add(frames.get(at));
        }
        donor(strongest, half, score);
        made(half, strongest.is(UnitTrait.SUSPECT), score);
    }

    private static void donor(Unit hive, List<FrameSeen> taken, Score score) {
        List<FrameSeen> left = new ArrayList<>();
        for (FrameSeen one : hive.framesWithBees()) {
            boolean gone = taken.stream().anyMatch(other -> other.at().equals(one.at()));
            left.add(gone ? new FrameSeen(1, one.slot(), FrameKind.DRAWN.usual(), 0, false, true, false) : one);
        }
        double gone = taken.stream().mapToDouble(FrameSeen::covered).sum();
        // the flyers among them come home; a queen that went along is lost to it
        boolean herToo = taken.stream().anyMatch(FrameSeen::queen);
        Unit after = hive.with(left, Math.max(0.1, hive.framesOfBees() - 0.68 * gone));
        Unit queenless = after.with(UnitQueen.of(UnitQueen.Is.NONE));
        score.donors++;
        score.keepCrop += Forecaster.of(herToo ? queenless : after, Units.on(JUN_8, Flow.GOOD), AFTER_DAYS)
                .in(AFTER_DAYS)
                .framesOfBees().likely() >= KEEPS_CROP * Forecaster.of(hive, Units.on(JUN_8, Flow.GOOD), AFTER_DAYS)
                        .in(AFTER_DAYS).framesOfBees().likely() ? 1 : 0;
    }

    private static void made(List<FrameSeen> taken, boolean sick, Score score) {
        List<FrameSeen> frames = new ArrayList<>();
        for (FrameSeen one : taken) {
            frames.add(new FrameSeen(1, frames.size() + 1, one.comb(), one.covered(), false, true, false));
        }
        double bees = 0.68 * taken.stream().mapToDouble(FrameSeen::covered).sum();
        boolean fights = taken.stream().anyMatch(FrameSeen::queen);
        Unit unit = new Unit("new", "Home", Purpose.NUC, JUN_8, Units.DEEP, Math.max(5, frames.size()), frames,
                Optional.of(bees), UnitQueen.of(UnitQueen.Is.KEPT), Set.of(),
                Optional.of(DatedSpan.on(JUN_8)), Optional.of(0.1));
        score.units++;
        score.frames += taken.size();
        score.stand += !fights && !sick && stands(Forecaster.of(unit, Units.on(JUN_8, Flow.GOOD), AFTER_DAYS)) ? 1 : 0;
    }
}
