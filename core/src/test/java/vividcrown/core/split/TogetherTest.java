package vividcrown.core.split;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.core.hive.FrameKind.BROOD;
import static vividcrown.core.hive.FrameKind.DRAWN;
import static vividcrown.core.hive.FrameKind.HONEY;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.hive.forecast.Units;
import vividcrown.core.split.BoostPlan.How;
import vividcrown.core.split.LateSeasonPlan.Fate;
import vividcrown.core.split.LateSeasonPlan.Use;
import vividcrown.core.split.UniteQuestion.Combs;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.core.yard.Flow;

/** Boosting, uniting, the late season. What is expected is common practice; half is what must not be advised. */
class TogetherTest {

    private static final LocalDate JUN_20 = LocalDate.of(2026, 6, 20);
    private static final LocalDate AUG_20 = LocalDate.of(2026, 8, 20);
    private static final Weather WARM = new Weather(22, false);

    private static Conditions on(LocalDate day) {
        return SplitPlannerTest.on(day, Flow.GOOD);
    }

    private static Unit in(String yard, Unit unit) {
        return new Unit(unit.code(), yard, unit.purpose(), unit.readOn(), unit.side(), unit.slots(), unit.frames(),
                unit.seams(), unit.queen(), unit.traits(), unit.lastEgg(), unit.flyers());
    }

    private static Unit tiny(LocalDate day) {
        Unit unit = Units.unit("N 1", day, UnitQueen.Is.LAYING, 0.8, HONEY, BROOD, DRAWN);
        return new Unit(unit.code(), unit.yard(), Purpose.NUC, day, unit.side(), 5, unit.frames(), unit.seams(),
                unit.queen(), unit.traits(), unit.lastEgg(), unit.flyers());
    }

    private static BoostPlan boost(Unit unit, Weather weather, Unit... donors) {
        return Booster.plan(on(unit.readOn()), weather, unit, List.of(donors), Map.of("Far", 8.0));
    }

    @Test
    void sealed_brood_with_nurses_goes_to_the_side_away_from_its_queen() {
        BoostPlan plan = boost(tiny(JUN_20), WARM, Units.production("H 1", JUN_20, 9));
        BoostPlan.Way way = plan.ways().getFirst();
        assertThat(way.how()).isEqualTo(How.SEALED_BROOD_WITH_NURSES);
        assertThat(way.steps().toString()).contains("away from her");
        assertThat(way.look().getFirst().when().latest()).isEqualTo(JUN_20.plusDays(3));
        assertThat(way.with().in(14).framesOfBees().likely())
                .isGreaterThan(1.8 * plan.without().in(14).framesOfBees().likely());
    }

    /** Bees of hives in the same yard fly home; of three far ones with supers they come in equal shares over paper. */
    @Test
    void bees_over_paper_come_in_equal_shares_from_far_hives() {
        Unit[] far = {in("Far", Units.with(Units.production("F 1", JUN_20, 9), UnitTrait.HAS_SUPERS)),
                in("Far", Units.with(Units.production("F 2", JUN_20, 9), UnitTrait.HAS_SUPERS)),
                in("Far", Units.with(Units.production("F 3", JUN_20, 9), UnitTrait.HAS_SUPERS))};
        BoostPlan.Way paper = boost(tiny(JUN_20), WARM, far).ways().stream()
                .filter(way -> way.how() == How.BEES_OVER_PAPER).findFirst().orElseThrow();
        assertThat(paper.parts()).hasSize(3).allMatch(part -> part.framesOfBees() == 0.8 && !part.search());
        assertThat(boost(tiny(JUN_20), WARM, Units.production("H 1", JUN_20, 9), Units.production("H 2", JUN_20, 9),
                Units.production("H 3", JUN_20, 9)).ways()).noneMatch(way -> way.how() == How.BEES_OVER_PAPER);
    }

    @Test
    void nobody_is_boosted_in_rain_without_a_queen_or_out_of_a_suspect() {
        Unit donor = Units.production("H 1", JUN_20, 9);
        assertThat(boost(tiny(JUN_20), new Weather(22, true), donor).ways()).isEmpty();
        assertThat(boost(tiny(JUN_20).with(UnitQueen.of(UnitQueen.Is.NONE)), WARM, donor).ways()).isEmpty();
        assertThat(boost(tiny(JUN_20).with(UnitQueen.of(UnitQueen.Is.VIRGIN)), WARM, donor).ways()).isEmpty();
        assertThat(boost(tiny(JUN_20).with(UnitQueen.of(UnitQueen.Is.LAYING_WORKERS)), WARM, donor).ways()).isEmpty();
        assertThat(boost(tiny(JUN_20), WARM, Units.with(donor, UnitTrait.SUSPECT)).ways()).isEmpty();
        assertThat(boost(tiny(JUN_20), WARM, Units.with(donor, UnitTrait.DEFENSIVE)).ways()).isEmpty();
    }

    // --- uniting -----------------------------------------------------------------------------------------------------

    private static Unit box(UnitQueen.Is queen, double chance, UnitTrait... traits) {
        Unit unit = Units.unit("H 2", AUG_20, queen, 0.6, HONEY, DRAWN, DRAWN, DRAWN, DRAWN, DRAWN);
        return new Unit("H 2", unit.yard(), unit.purpose(), AUG_20, unit.side(), 10, unit.frames(), unit.seams(),
                new UnitQueen(queen, Optional.empty(), Optional.empty(), chance), Set.of(traits), Optional.empty(),
                Optional.empty());
    }

    private static UnitePlan unite(Unit one, Unit other, double metres, boolean found, Weather weather) {
        return UnitePlanner
                .plan(new UniteQuestion(on(AUG_20), weather, one, other, Optional.of(metres), found, Combs.USE));
    }

    private static UnitePlan.Way way(UnitePlan plan, UnitePlan.How how) {
        return plan.ways().stream().filter(one -> one.how() == how).findFirst().orElseThrow();
    }

    /** A queenless box beside a good one may hold a virgin that was missed: guarded, until it was searched twice. */
    @Test
    void a_queenless_box_beside_a_good_one_is_guarded_until_it_was_searched_twice() {
        Unit good = Units.production("H 1", AUG_20, 6);
        UnitePlan unsure = unite(good, box(UnitQueen.Is.NONE, 0.9), 1, false, WARM);
        assertThat(unsure.keeps()).contains("H 1");
        assertThat(unsure.ways().getFirst().how()).isEqualTo(UnitePlan.How.SHAKE_OUT_GUARDED);
        assertThat(unsure.ways().getFirst().steps().getFirst().toString()).contains("Excluder");
        assertThat(way(unsure, UnitePlan.How.PAPER).mayBeDone()).isFalse();
        UnitePlan searched = unite(good, box(UnitQueen.Is.NONE, 0.9), 1, true, WARM);
        assertThat(searched.ways().getFirst().how()).isEqualTo(UnitePlan.How.PAPER);
        assertThat(searched.united().orElseThrow().in(0).framesOfBees().likely())
                .isGreaterThan(searched.alone().orElseThrow().in(0).framesOfBees().likely());
    }

    /** Only for neighbours, only on a warm dry day; elsewhere they scatter, and cold bees on the ground die. */
    @Test
    void a_shake_out_is_for_neighbours_on_a_warm_day() {
        Unit good = Units.production("H 1", AUG_20, 6);
        Unit poor = box(UnitQueen.Is.DRONE_LAYER, 1);
        assertThat(way(unite(good, poor, 1, false, WARM), UnitePlan.How.SHAKE_OUT_GUARDED).mayBeDone()).isTrue();
        assertThat(way(unite(good, poor, 30, false, WARM), UnitePlan.How.SHAKE_OUT_GUARDED).mayBeDone()).isFalse();
        assertThat(
                way(unite(good, poor, 1, false, new Weather(11, false)), UnitePlan.How.SHAKE_OUT_GUARDED).mayBeDone())
                .isFalse();
        assertThat(way(unite(good, poor, 1, false, new Weather(22, true)), UnitePlan.How.SHAKE_OUT_GUARDED).mayBeDone())
                .isFalse();
    }

    @Test
    void the_sick_the_robbed_and_those_with_a_virgin_are_not_united() {
        Unit good = Units.production("H 1", AUG_20, 6);
        assertThat(unite(good, box(UnitQueen.Is.NONE, 1, UnitTrait.SUSPECT), 1, true, WARM).ways()).isEmpty();
        assertThat(unite(good, box(UnitQueen.Is.NONE, 1, UnitTrait.ROBBED), 1, true, WARM).ways()).isEmpty();
        assertThat(unite(good, box(UnitQueen.Is.VIRGIN, 1), 1, false, WARM).ways()).isEmpty();
        assertThat(unite(box(UnitQueen.Is.NONE, 1), Units.unit("H 3", AUG_20, UnitQueen.Is.NONE, 0.5, DRAWN), 1, true,
                WARM).ways()).isEmpty();
        assertThat(unite(good, box(UnitQueen.Is.NONE, 1), 1, true, new Weather(6, false)).ways()).isEmpty();
    }

    /** Two laying queens: none is killed; the other is found and kept first. */
    @Test
    void of_two_good_queens_none_is_lost() {
        UnitePlan plan = unite(Units.production("H 1", AUG_20, 6), Units.production("H 3", AUG_20, 5), 1, false, WARM);
        assertThat(plan.keeps()).contains("H 1");
        assertThat(plan.ways()).noneMatch(UnitePlan.Way::mayBeDone);
        assertThat(plan.objections().toString()).contains("keep her in a nuc");
    }

    @Test
    void laying_workers_are_shaken_out_far_off() {
        UnitePlan plan = unite(Units.production("H 1", AUG_20, 6), box(UnitQueen.Is.LAYING_WORKERS, 1), 1, false, WARM);
        assertThat(plan.ways()).extracting(UnitePlan.Way::how).containsExactly(UnitePlan.How.SHAKE_OUT_FAR);
    }

    @Test
    void a_nuc_with_a_laying_queen_goes_into_a_queenless_hive() {
        UnitePlan plan = unite(tiny(AUG_20), box(UnitQueen.Is.NONE, 1), 1, true, WARM);
        assertThat(plan.keeps()).contains("N 1");
        assertThat(plan.ways().getFirst().how()).isEqualTo(UnitePlan.How.NUC_INTO_HIVE);
    }

    // --- the late season ---------------------------------------------------------------------------------------------

    private static Fate fate(LateSeasonPlan plan, String code) {
        return plan.fates().stream().filter(one -> one.code().equals(code)).findFirst().orElseThrow();
    }

    private static LateSeasonPlan late(LocalDate day, int queens, Unit... hives) {
        return LateSeason.plan(SplitPlannerTest.on(day, Flow.LITTLE), List.of(hives), queens, new int[]{0, 0}, 1);
    }

    @Test
    void each_unit_gets_its_best_use_and_a_day_two_weeks_before_the_cold() {
        LocalDate sep = LocalDate.of(2026, 9, 1);
        Unit queenless = Units.unit("H 4", sep, UnitQueen.Is.NONE, 0.5, HONEY, DRAWN, DRAWN, DRAWN);
        LateSeasonPlan plan = late(sep, 0, Units.production("H 1", sep, 7), queenless,
                Units.unit("H 5", sep, UnitQueen.Is.LAYING_WORKERS, 0.6, DRAWN, DRAWN, DRAWN),
                Units.unit("N 2", sep, UnitQueen.Is.UNKNOWN, 0.6, DRAWN, DRAWN, DRAWN),
                Units.with(Units.production("H 6", sep, 6), UnitTrait.SUSPECT));
        assertThat(fate(plan, "H 4").use()).isEqualTo(Use.UNITE);
        assertThat(fate(plan, "H 4").into()).contains("H 1");
        // old bees without a queen are worth nothing long before it is cold
        assertThat(fate(plan, "H 4").decideBy()).isBetween(sep, plan.lastWarmDay().minusDays(14));
        assertThat(fate(plan, "H 1").decideBy()).isEqualTo(plan.lastWarmDay().minusDays(14));
        assertThat(fate(plan, "H 5").use()).isEqualTo(Use.SHAKE_OUT);
        assertThat(fate(plan, "N 2").use()).isEqualTo(Use.LOOK);
        assertThat(fate(plan, "H 6").use()).isEqualTo(Use.SETTLE_DISEASE);
        assertThat(fate(plan, "H 1").use()).isIn(Use.LEAVE, Use.FEED);
        assertThat(plan.lastWarmDay()).isBetween(LocalDate.of(2026, 9, 25), LocalDate.of(2026, 10, 20));
    }

    @Test
    void a_queen_at_hand_is_given_while_there_is_time_and_in_winter_nothing_is_opened() {
        LocalDate aug = LocalDate.of(2026, 8, 20);
        Unit strong = Units.unit("H 4", aug, UnitQueen.Is.NONE, 0.9, HONEY, DRAWN, DRAWN, DRAWN, DRAWN, DRAWN);
        assertThat(fate(late(aug, 1, strong, Units.production("H 1", aug, 7)), "H 4").use()).isEqualTo(Use.GIVE_QUEEN);
        LocalDate dec = LocalDate.of(2026, 12, 1);
        Unit winter = Units.unit("H 4", dec, UnitQueen.Is.NONE, 0.9, HONEY, DRAWN, DRAWN, DRAWN);
        assertThat(
                fate(late(dec, 3, winter, Units.unit("H 1", dec, UnitQueen.Is.LAYING, 0.9, HONEY, DRAWN, DRAWN)), "H 4")
                        .use())
                .isEqualTo(Use.LEAVE);
    }

    /** About half of autumn splits come through: common practice, with its spread; the own record moves it. */
    @Test
    void autumn_splits_are_told_with_their_survival() {
        LocalDate aug = LocalDate.of(2026, 8, 28);
        Unit[] strong = {Units.production("H 1", aug, 8), Units.production("H 2", aug, 8),
                Units.production("H 3", aug, 8),
                Units.production("H 4", aug, 8)};
        LateSeasonPlan plan = late(aug, 3, strong);
        assertThat(plan.splits().made()).isPositive();
        assertThat(plan.splits().survive()).isEqualTo(0.5 * plan.splits().made());
        LateSeasonPlan own = LateSeason.plan(SplitPlannerTest.on(aug, Flow.LITTLE), List.of(strong), 3,
                new int[]{18, 2}, 1);
        assertThat(own.splits().survive()).isGreaterThan(0.7 * own.splits().made());
        assertThat(late(aug, 0, strong).splits().made()).isZero();
    }

    /** Cells stand: the hive is dealt with first. It gives and gets nothing, and takes nobody in. */
    @Test
    void a_hive_with_swarm_cells_is_left_to_its_own_plan() {
        Unit cells = Units.with(Units.production("H 1", AUG_20, 9), UnitTrait.SWARM_CELLS);
        assertThat(boost(tiny(AUG_20), WARM, cells).ways()).isEmpty();
        assertThat(
                boost(Units.with(tiny(AUG_20), UnitTrait.SWARM_CELLS), WARM, Units.production("H 3", AUG_20, 9)).ways())
                .isEmpty();
        assertThat(unite(cells, box(UnitQueen.Is.NONE, 1), 1, true, WARM).ways()).isEmpty();
        LateSeasonPlan plan = late(AUG_20, 0, cells, box(UnitQueen.Is.NONE, 1));
        assertThat(fate(plan, "H 1").use()).isEqualTo(Use.LOOK);
        assertThat(fate(plan, "H 2").into()).isEmpty();
    }

    /** Nobody found a queen: before one is given, or the bees go to a good one, every frame is searched for a virgin. */
    @Test
    void a_queenless_box_is_searched_before_anything_is_put_together() {
        LateSeasonPlan plan = late(AUG_20, 0, Units.production("H 1", AUG_20, 7), box(UnitQueen.Is.NONE, 0.9));
        assertThat(fate(plan, "H 2").use()).isEqualTo(Use.UNITE);
        assertThat(fate(plan, "H 2").words().toString()).contains("Search every frame twice");
    }
}
