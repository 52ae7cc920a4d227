package vividcrown.core.split;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.split.SplitPlan.Hanging;
import vividcrown.core.split.SplitPlan.Move;
import vividcrown.core.split.SplitPlan.NewUnit;
import vividcrown.core.split.SplitQuestion.Stock;
import vividcrown.core.split.SplitQuestion.Wanted;
import vividcrown.core.split.recipe.RecipeKind;
import vividcrown.core.split.recipe.Recipes;
import vividcrown.core.split.recipe.SplitRecipe;
import vividcrown.core.yard.Flow;

/** Two hundred random yards: every plan is replayed frame by frame by a checker that knows only the rules of the trade. */
class SplitTrialTest {

    private static final int YARDS = 200;
    private static final List<RecipeKind> KINDS = List.of(RecipeKind.CELL_NUC, RecipeKind.WALK_AWAY,
            RecipeKind.MATED_QUEEN_SPLIT, RecipeKind.STRIP_DOWN, RecipeKind.OLD_QUEEN_NUC_BEFORE_CELLS,
            RecipeKind.ONE_FRAME_EMERGENCY);

    @Test
    void no_plan_breaks_a_rule() {
        int made = 0;
        for (int seed = 0; seed < YARDS; seed++) {
            Random luck = new Random(seed);
            List<Unit> yard = RandomYard.of(2 + luck.nextInt(7), SplitPlannerTest.JUN_8, luck);
            RecipeKind kind = KINDS.get(seed % KINDS.size());
            SplitPlan plan = SplitPlanner.plan(
                    SplitPlannerTest.ask(SplitPlannerTest.on(SplitPlannerTest.JUN_8, Flow.GOOD), kind, yard), 0.2);
            made += plan.newUnits().size();
            replay("yard " + seed + " " + kind, plan, yard);
        }
        assertThat(made).isGreaterThan(YARDS);
    }

    private static void replay(String yard, SplitPlan plan, List<Unit> hives) {
        Map<String, Unit> byCode = new HashMap<>();
        hives.forEach(hive -> byCode.put(hive.code(), hive));
        Set<String> moved = new HashSet<>();
        Map<String, Integer> broodGone = new HashMap<>();
        Map<String, Integer> shaken = new HashMap<>();
        Set<String> queensTaken = new HashSet<>();
        for (NewUnit unit : plan.newUnits()) {
            boolean withQueen = unit.recipe().donor() == SplitRecipe.Donor.ONE_HIVE_WITH_QUEEN;
            int brood = 0;
            int eggs = 0;
            Set<Integer> nest = new HashSet<>();
            Set<String> sources = new HashSet<>();
            for (Hanging hanging : unit.layout()) {
                if (hanging.frame().isEmpty()) {
                    continue;
                }
                Move move = hanging.frame().get();
                Unit hive = byCode.get(move.fromHive());
                FrameSeen frame = hive.frames().stream().filter(one -> one.at().equals(move.from())).findFirst()
                        .orElseThrow();
                sources.add(hive.code());
                assertThat(moved.add(move.fromHive() + " " + move.from())).as("%s: no frame twice", yard).isTrue();
                mayGive(yard, hive);
                assertThat(frame.cells()).as("%s: cells stay", yard).isFalse();
                if (frame.queen()) {
                    assertThat(withQueen).as("%s: her frame stays", yard).isTrue();
                    queensTaken.add(hive.code());
                }
                boolean known = hive.frames().stream().anyMatch(FrameSeen::queen) || frame.searched() || withQueen;
                assertThat(known || unit.mayHoldHer().contains(hive.code())).as("%s: said that she may be there", yard)
                        .isTrue();
                if (frame.comb().brood() >= 0.25) {
                    brood++;
                    nest.add(hanging.slot());
                    broodGone.merge(hive.code(), 1, Integer::sum);
                }
                eggs += frame.comb().eggs() > 0.02 ? 1 : 0;
            }
            unit.shakes().forEach(shakes -> {
                mayGive(yard, byCode.get(shakes.fromHive()));
                shaken.merge(shakes.fromHive(), (int) Math.round(shakes.frames()), Integer::sum);
            });
            assertThat(brood).as("%s: enough brood", yard)
                    .isGreaterThanOrEqualTo(unit.recipe().frames().broodLeast());
            if (unit.recipe().frames().withEggs() > 0) {
                assertThat(eggs).as("%s: eggs to raise a queen on", yard).isPositive();
            }
            if (!nest.isEmpty()) {
                int first = nest.stream().min(Integer::compare).orElseThrow();
                assertThat(nest).as("%s: brood together", yard)
                        .isEqualTo(new HashSet<>(IntStream.range(first, first + nest.size()).boxed().toList()));
            }
            if (unit.recipe().donor() == SplitRecipe.Donor.STRIPS_ONE_HIVE || withQueen) {
                assertThat(sources).as("%s: all out of one hive", yard).hasSizeLessThanOrEqualTo(1);
            }
            assertThat(unit.layout()).hasSizeLessThanOrEqualTo(unit.recipe().slots());
        }
        boolean strips = plan.newUnits().stream()
                .anyMatch(unit -> unit.recipe().donor() == SplitRecipe.Donor.STRIPS_ONE_HIVE);
        broodGone.forEach((code, gone) -> {
            Unit hive = byCode.get(code);
            int floor = strips ? 1 : hive.is(UnitTrait.FOR_THE_CROP) ? 6 : 5;
            assertThat(hive.broodFrames() - gone).as("%s: %s keeps its brood", yard, code)
                    .isGreaterThanOrEqualTo(floor);
            int shakes = shaken.getOrDefault(code, 0);
            assertThat(shakes).as("%s: no frame of %s shaken twice", yard, code)
                    .isLessThanOrEqualTo(hive.broodFrames() - gone + (hive.is(UnitTrait.HAS_SUPERS) ? 6 : 0));
        });
        plan.donors().forEach(donor -> {
            assertThat(donor.bees().likely()).as("%s: bees stay in %s", yard, donor.code()).isGreaterThan(2.9);
            Unit hive = byCode.get(donor.code());
            long out = moved.stream().filter(one -> one.startsWith(donor.code() + " ")).count();
            long stay = donor.closes().stream().filter(one -> one.was().isPresent()).count();
            if (out > 0) {
                assertThat(stay + out).as("%s: every frame of %s is somewhere", yard, donor.code())
                        .isEqualTo(hive.frames().size());
            }
            if (queensTaken.contains(donor.code())) {
                assertThat(donor.notes().toString()).contains("queen");
            }
        });
    }

    private static void mayGive(String yard, Unit hive) {
        assertThat(hive.traits()).as("%s: %s may give", yard, hive.code()).doesNotContain(UnitTrait.SUSPECT,
                UnitTrait.DEFENSIVE, UnitTrait.TREATED, UnitTrait.HANDS_OFF, UnitTrait.ROBBED);
        assertThat(hive.queen().is()).as("%s: %s has a queen", yard, hive.code()).isIn(UnitQueen.Is.LAYING,
                UnitQueen.Is.UNKNOWN);
    }

    /**
     * As many units as an exhaustive search over all sets of frames finds: each set that hives may lose is tried, and the units it
     * makes are counted. Bees are left out by a recipe that needs none.
     */
    @Test
    void it_makes_as_many_units_as_exhaustive_search() {
        SplitRecipe cell = Recipes.of(RecipeKind.CELL_NUC);
        SplitRecipe recipe = new SplitRecipe(cell.kind(), new SplitRecipe.Frames(2, 3, 1, 0, 1, 0), 0, 5, 0,
                cell.gets(),
                cell.place(), cell.donor(), cell.when(), cell.dayTen(), 14);
        int found = 0;
        for (int seed = 0; seed < 100; seed++) {
            Random luck = new Random(seed + 5_000);
            List<Unit> yard = RandomYard.of(2 + luck.nextInt(2), SplitPlannerTest.JUN_8, luck);
            Stock noSyrup = new Stock(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(),
                    Optional.of(0.0), Optional.empty(), Optional.empty(), Optional.empty());
            SplitQuestion question = new SplitQuestion(SplitPlannerTest.on(SplitPlannerTest.JUN_8, Flow.GOOD), yard,
                    List.of(new Wanted(recipe, Optional.empty())), Optional.empty(), noSyrup, Map.of(), List.of(),
                    Map.of());
            int best = exhaustive(question, recipe);
            found += best;
            assertThat(SplitPlanner.plan(question, 0.8).newUnits()).as("yard %d", seed).hasSize(best);
        }
        assertThat(found).isPositive();
    }

    private static int exhaustive(SplitQuestion question, SplitRecipe recipe) {
        // of what the donors may give: brood with eggs that is not mostly sealed, mostly sealed without eggs, other brood, food
        List<int[]> sums = new ArrayList<>(List.of(new int[4]));
        for (Unit hive : question.hives()) {
            if (DonorRules.refuses(hive, question.conditions().day()).isPresent()
                    || hive.is(UnitTrait.SWARM_CELLS)) {
                continue;
            }
            SplitQuestion.Floor floor = DonorRules.floor(hive, question.conditions().year(),
                    question.conditions().day());
            List<FrameSeen> offered = hive.frames().stream().filter(one -> !one.queen() && !one.cells()
                    && (one.comb().isOfBrood() || one.comb().isOfFood())).toList();
            Set<String> seen = new HashSet<>();
            List<int[]> next = new ArrayList<>();
            for (int set = 0; set < 1 << offered.size(); set++) {
                int[] of = new int[4];
                int brood = 0;
                double bees = 0;
                for (int at = 0; at < offered.size(); at++) {
                    if ((set >> at & 1) == 1) {
                        FrameSeen one = offered.get(at);
                        brood += one.comb().isOfBrood() ? 1 : 0;
                        bees += Math.round(100 * one.covered());
                        of[one.comb().isOfFood()
                                ? 3
                                : one.comb().isMostlySealed() ? 1 : one.comb().hasEggs() ? 0 : 2]++;
                    }
                }
                double canGive = Math.max(0, Math.round(100 * hive.framesOfBees()) - Math.round(100 * floor.bees()));
                if (brood <= Math.max(0, hive.broodFrames() - floor.brood()) && bees <= canGive
                        && seen.add(java.util.Arrays.toString(of))) {
                    for (int[] sum : sums) {
                        next.add(new int[]{sum[0] + of[0], sum[1] + of[1], sum[2] + of[2], sum[3] + of[3]});
                    }
                }
            }
            sums = next;
        }
        int best = 0;
        for (int[] sum : sums) {
            int units = Math.min(sum[0], Math.min(sum[3], (sum[0] + sum[1] + sum[2]) / 2));
            best = Math.max(best, units);
        }
        return best;
    }
}
