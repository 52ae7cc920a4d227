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
import org.junit.jupiter.api.Test;
import vividcrown.core.hive.FrameKind;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.hive.forecast.Units;
import vividcrown.core.split.EqualisePlan.Gift;
import vividcrown.core.split.EqualisePlan.Stands;
import vividcrown.core.split.EqualisePlan.What;
import vividcrown.core.split.recipe.SplitRecipe.Target;
import vividcrown.core.yard.Flow;

/** Who gives what to whom. What is expected is common practice. */
class EqualiserTest {

    private static Unit nuc(String code, int brood, UnitQueen.Is queen, UnitTrait... traits) {
        List<FrameSeen> frames = new ArrayList<>();
        frames.add(FrameSeen.of(1, FrameKind.HONEY, 0.6));
        for (int frame = 0; frame < brood; frame++) {
            frames.add(FrameSeen.of(frames.size() + 1, frame % 2 == 0 ? FrameKind.BROOD : FrameKind.SEALED_BROOD, 1));
        }
        frames.add(FrameSeen.of(frames.size() + 1, FrameKind.DRAWN, 0.5));
        return new Unit(code, "Larch", Purpose.NUC, SplitPlannerTest.JUN_8, Units.DEEP, 8, frames, Optional.empty(),
                UnitQueen.of(queen), Set.of(traits), Optional.empty(), Optional.empty());
    }

    private static EqualisePlan plan(double brood, List<Unit> units, Optional<Integer> inAll) {
        return Equaliser.plan(new EqualiseQuestion(SplitPlannerTest.on(SplitPlannerTest.JUN_8, Flow.GOOD), units,
                new Target(brood, 0), Map.of(), false, inAll), 2);
    }

    private static Stands stands(EqualisePlan plan, String code) {
        return plan.verdicts().stream().filter(one -> one.code().equals(code)).findFirst().orElseThrow().stands();
    }

    /** At one frame or less where two were to be the unit was over-split, and gets a boost. */
    @Test
    void day_ten_says_who_was_over_split_and_who_can_give() {
        EqualisePlan plan = plan(2, List.of(nuc("N 1", 4, UnitQueen.Is.LAYING), nuc("N 2", 1, UnitQueen.Is.LAYING),
                nuc("N 3", 2, UnitQueen.Is.LAYING)), Optional.empty());
        assertThat(stands(plan, "N 1")).isEqualTo(Stands.CAN_GIVE);
        assertThat(stands(plan, "N 2")).isEqualTo(Stands.OVER_SPLIT);
        assertThat(stands(plan, "N 3")).isEqualTo(Stands.RIGHT);
        Gift gift = plan.gifts().getFirst();
        assertThat(plan.gifts()).hasSize(1);
        assertThat(gift.from()).isEqualTo("N 1");
        assertThat(gift.to()).isEqualTo("N 2");
        assertThat(gift.because().toString()).contains("mostly sealed");
        assertThat(gift.search()).isTrue();
    }

    @Test
    void nothing_goes_out_of_or_into_a_suspect_and_no_unit_with_a_virgin_is_opened() {
        EqualisePlan plan = plan(2,
                List.of(nuc("N 1", 4, UnitQueen.Is.LAYING, UnitTrait.SUSPECT), nuc("N 2", 0, UnitQueen.Is.VIRGIN),
                        nuc("N 3", 0, UnitQueen.Is.NONE), nuc("N 4", 4, UnitQueen.Is.CELL),
                        nuc("N 5", 1, UnitQueen.Is.LAYING_WORKERS), nuc("N 6", 0, UnitQueen.Is.LAYING),
                        nuc("N 7", 5, UnitQueen.Is.LAYING, UnitTrait.SWARM_CELLS),
                        nuc("N 8", 5, UnitQueen.Is.LAYING, UnitTrait.ROBBED)),
                Optional.empty());
        assertThat(plan.gifts()).isEmpty();
        assertThat(plan.verdicts()).allMatch(one -> one.stands() == Stands.WAITS);
    }

    @Test
    void who_is_in_another_yard_gives_only_if_frames_may_be_driven() {
        Unit far = nuc("N 1", 5, UnitQueen.Is.LAYING);
        Unit there = new Unit("N 9", "Far", far.purpose(), far.readOn(), far.side(), 8, far.frames(), far.seams(),
                far.queen(), far.traits(), far.lastEgg(), far.flyers());
        List<Unit> units = List.of(there, nuc("N 2", 1, UnitQueen.Is.LAYING));
        assertThat(plan(2, units, Optional.empty()).gifts()).isEmpty();
        assertThat(Equaliser.plan(new EqualiseQuestion(SplitPlannerTest.on(SplitPlannerTest.JUN_8, Flow.GOOD), units,
                new Target(2, 0), Map.of(), true, Optional.empty()), 2).gifts()).hasSize(1);
    }

    @Test
    void where_nobody_can_give_the_weak_are_pooled() {
        EqualisePlan plan = plan(3, List.of(nuc("N 1", 1, UnitQueen.Is.LAYING), nuc("N 2", 1, UnitQueen.Is.LAYING)),
                Optional.empty());
        assertThat(plan.gifts()).isEmpty();
        assertThat(plan.pools()).hasSize(1);
    }

    /** A sample of a yard: three of ten over-split says that between a few and half of the rest are. Beta(1 + 3, 1 + 7). */
    @Test
    void a_sample_says_what_the_rest_is_likely_to_be() {
        List<Unit> units = new ArrayList<>();
        for (int unit = 0; unit < 10; unit++) {
            units.add(nuc("N " + unit, unit < 3 ? 1 : 2, UnitQueen.Is.LAYING));
        }
        EqualisePlan.Sample sample = plan(2, units, Optional.of(60)).sample().orElseThrow();
        assertThat(sample.overSplit().low()).isBetween(0.1, 0.2);
        assertThat(sample.overSplit().high()).isBetween(0.5, 0.6);
    }

    /**
     * Against exhaustive search on a hundred small yards: as many frames are given as can be, as many units as possible get one, and
     * the fewest hives are opened to give them.
     */
    @Test
    void it_gives_most_from_fewest_hives() {
        int moved = 0;
        for (int seed = 0; seed < 100; seed++) {
            Random luck = new Random(seed);
            List<Unit> units = new ArrayList<>();
            for (int unit = 0; unit < 4 + luck.nextInt(4); unit++) {
                units.add(nuc("N " + unit, luck.nextInt(6), UnitQueen.Is.LAYING));
            }
            EqualiseQuestion question = new EqualiseQuestion(SplitPlannerTest.on(SplitPlannerTest.JUN_8, Flow.GOOD),
                    units, new Target(2, 0), Map.of(), false, Optional.empty());
            EqualisePlan plan = Equaliser.plan(question, 2);
            List<Integer> spare = units.stream().map(unit -> Math.max(0, Math.min(4, unit.broodFrames() - 2))).toList();
            // who is said to lay and has no brood at all is looked at first
            List<Integer> lacks = units.stream()
                    .map(unit -> unit.broodFrames() == 0 ? 0 : Math.max(0, 2 - unit.broodFrames())).toList();
            int most = Math.min(spare.stream().mapToInt(Integer::intValue).sum(),
                    lacks.stream().mapToInt(Integer::intValue).sum());
            assertThat(plan.gifts()).as("yard %d", seed).hasSize(most);
            long lacking = lacks.stream().filter(lack -> lack > 0).count();
            assertThat(plan.gifts().stream().map(Gift::to).distinct().count()).isEqualTo(Math.min(lacking, most));
            assertThat(plan.gifts().stream().map(Gift::from).distinct().count()).as("yard %d", seed)
                    .isEqualTo(fewestGivers(spare, most));
            moved += most;
            replay(plan, units);
        }
        assertThat(moved).isPositive();
    }

    private static int fewestGivers(List<Integer> spare, int wanted) {
        int fewest = wanted == 0 ? 0 : Integer.MAX_VALUE;
        for (int set = 0; set < 1 << spare.size(); set++) {
            int sum = 0;
            for (int at = 0; at < spare.size(); at++) {
                sum += (set >> at & 1) == 1 ? spare.get(at) : 0;
            }
            if (sum >= wanted && wanted > 0) {
                fewest = Math.min(fewest, Integer.bitCount(set));
            }
        }
        return fewest;
    }

    private static void replay(EqualisePlan plan, List<Unit> units) {
        Map<String, Unit> byCode = new HashMap<>();
        units.forEach(unit -> byCode.put(unit.code(), unit));
        Set<String> moved = new HashSet<>();
        Map<String, Integer> left = new HashMap<>();
        for (Gift gift : plan.gifts()) {
            if (gift.what() == What.BROOD_WITH_ITS_BEES) {
                assertThat(moved.add(gift.from() + gift.frame().orElseThrow())).as("no frame twice").isTrue();
                left.merge(gift.from(), 1, Integer::sum);
            }
            assertThat(gift.from()).isNotEqualTo(gift.to());
        }
        left.forEach((code, gone) -> assertThat(byCode.get(code).broodFrames() - gone).isGreaterThanOrEqualTo(2));
    }
}
