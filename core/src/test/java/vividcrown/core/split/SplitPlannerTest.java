package vividcrown.core.split;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.climate.Climate;
import vividcrown.core.climate.ClimateOfPlace;
import vividcrown.core.hive.FrameKind;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.hive.forecast.Units;
import vividcrown.core.split.SplitPlan.Donor;
import vividcrown.core.split.SplitPlan.NewUnit;
import vividcrown.core.split.SplitQuestion.Stock;
import vividcrown.core.split.SplitQuestion.Wanted;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.core.split.recipe.RecipeKind;
import vividcrown.core.split.recipe.Recipes;
import vividcrown.core.yard.Flow;

/** Splits of real frames. What is expected beside each is common practice. */
class SplitPlannerTest {

    static final LocalDate JUN_8 = LocalDate.of(2026, 6, 8);

    static Conditions on(LocalDate day, Flow flow) {
        return new Conditions(day, Units.UPLAND, flow, false, 0, Assumptions.standard());
    }

    static SplitQuestion ask(Conditions at, RecipeKind kind, List<Unit> hives) {
        return new SplitQuestion(at, hives, List.of(new Wanted(Recipes.of(kind), Optional.empty())), Optional.empty(),
                Stock.WHATEVER, Map.of(), List.of(), Map.of());
    }

    static SplitPlan plan(RecipeKind kind, Unit... hives) {
        return SplitPlanner.plan(ask(on(JUN_8, Flow.GOOD), kind, List.of(hives)), 3);
    }

    private static Unit withQueenOn(Unit hive, int slot) {
        List<FrameSeen> frames = new ArrayList<>();
        hive.frames().forEach(one -> frames.add(new FrameSeen(one.box(), one.slot(), one.comb(), one.covered(),
                one.slot() == slot, one.searched(), one.cells())));
        return hive.with(frames, hive.framesOfBees());
    }

    /** One or two frames out of nine cost little; a nine-frame colony gives three and stands. */
    @Test
    void a_nine_frame_colony_gives_three_and_stands() {
        SplitPlan plan = plan(RecipeKind.WALK_AWAY,
                Units.with(Units.production("H 1", JUN_8, 9), UnitTrait.FOR_THE_CROP));
        Donor donor = plan.donors().getFirst();
        assertThat(donor.keeps()).isEqualTo(6);
        assertThat(donor.withSplit().in(42).framesOfBees().likely()).isGreaterThan(7);
        assertThat(plan.newUnits()).hasSize(1);
        assertThat(plan.proven()).isTrue();
    }

    @Test
    void the_queens_frame_stays_and_is_named() {
        SplitPlan plan = plan(RecipeKind.MATED_QUEEN_SPLIT, withQueenOn(Units.production("H 1", JUN_8, 9), 5));
        assertThat(plan.newUnits()).isNotEmpty();
        assertThat(plan.newUnits()).flatExtracting(NewUnit::moves).noneMatch(move -> move.from().slot() == 5);
        assertThat(plan.donors().getFirst().search()).isEmpty();
        assertThat(plan.donors().getFirst().notes().toString()).contains("See her");
        assertThat(plan.newUnits()).allMatch(unit -> unit.mayHoldHer().isEmpty());
    }

    @Test
    void where_she_was_not_seen_the_unit_may_hold_her_and_is_looked_at_in_four_days() {
        SplitPlan plan = plan(RecipeKind.MATED_QUEEN_SPLIT, Units.production("H 1", JUN_8, 9));
        NewUnit unit = plan.newUnits().getFirst();
        assertThat(unit.mayHoldHer()).containsExactly("H 1");
        assertThat(unit.calendar()).anyMatch(step -> step.work() == Due.Work.MAY_HOLD_HER
                && step.when().likely().equals(JUN_8.plusDays(4)));
        assertThat(plan.donors().getFirst().search()).hasSameSizeAs(plan.newUnits().stream()
                .flatMap(one -> one.moves().stream()).toList());
    }

    /** Nothing leaves a hive with signs of disease, a bad-tempered one, one with a virgin, one without a queen. */
    @Test
    void who_must_not_give_gives_nothing_and_says_why() {
        SplitPlan plan = plan(RecipeKind.CELL_NUC, Units.with(Units.production("H 1", JUN_8, 9), UnitTrait.SUSPECT),
                Units.with(Units.production("H 2", JUN_8, 9), UnitTrait.DEFENSIVE),
                Units.with(Units.production("H 3", JUN_8, 9), UnitTrait.TREATED),
                Units.production("H 4", JUN_8, 9).with(UnitQueen.of(UnitQueen.Is.VIRGIN)),
                Units.production("H 5", JUN_8, 9).with(UnitQueen.of(UnitQueen.Is.NONE)),
                Units.with(Units.production("H 6", JUN_8, 9), UnitTrait.SWARM_CELLS),
                Units.production("H 7", JUN_8.minusDays(60), 9), Units.production("H 8", JUN_8, 4));
        assertThat(plan.newUnits()).isEmpty();
        assertThat(plan.leftOut()).hasSize(8);
        assertThat(plan.objections()).anyMatch(Objection::refuses);
    }

    @Test
    void old_readings_are_used_and_said() {
        SplitPlan plan = plan(RecipeKind.CELL_NUC, Units.production("H 1", JUN_8.minusDays(24), 9));
        assertThat(plan.donors().getFirst().notes().toString()).contains("24 days ago");
    }

    /** A queenless split needs eggs or young larvae, or it can raise nothing. */
    @Test
    void who_raises_its_own_queen_gets_eggs() {
        SplitPlan plan = plan(RecipeKind.WALK_AWAY, Units.production("H 1", JUN_8, 10),
                Units.production("H 2", JUN_8, 10));
        assertThat(plan.newUnits()).isNotEmpty()
                .allMatch(unit -> unit.moves().stream().anyMatch(move -> move.because().toString().contains("eggs")));
        Unit sealedOnly = Units.unit("H 3", JUN_8, UnitQueen.Is.LAYING, 1, FrameKind.HONEY, FrameKind.HONEY,
                FrameKind.SEALED_BROOD, FrameKind.SEALED_BROOD, FrameKind.SEALED_BROOD, FrameKind.SEALED_BROOD,
                FrameKind.SEALED_BROOD, FrameKind.SEALED_BROOD, FrameKind.SEALED_BROOD, FrameKind.SEALED_BROOD,
                FrameKind.SEALED_BROOD, FrameKind.POLLEN);
        assertThat(plan(RecipeKind.WALK_AWAY, sealedOnly).newUnits()).isEmpty();
    }

    /** Strip-down needs flow, midsummer, warm nights and no beetle; from four to two nucs out of one hive. */
    @Test
    void a_strip_down_is_for_midsummer_in_flow_without_beetles() {
        Unit strong = Units.production("H 1", JUN_8, 9);
        SplitPlan plan = plan(RecipeKind.STRIP_DOWN, strong);
        assertThat(plan.newUnits()).hasSizeBetween(2, 4);
        assertThat(plan.donors().getFirst().keeps()).isBetween(1, 5);
        assertThat(plan.donors().getFirst().bees().likely()).isGreaterThan(3);
        Conditions dearth = on(JUN_8, Flow.DEARTH);
        Conditions beetles = new Conditions(JUN_8, Units.UPLAND, Flow.STRONG, true, 0, Assumptions.standard());
        Conditions april = on(LocalDate.of(2026, 4, 12), Flow.GOOD);
        for (Conditions wrong : List.of(dearth, beetles, april)) {
            assertThat(SplitPlanner.plan(ask(wrong, RecipeKind.STRIP_DOWN, List.of(strong)), 2).newUnits()).isEmpty();
        }
    }

    /** Never halve a good colony in autumn, never fewer than four frames of brood, from several hives. */
    @Test
    void an_autumn_split_is_pooled_from_several_hives_and_has_four_frames() {
        LocalDate aug = LocalDate.of(2026, 8, 28);
        List<Unit> hives = List.of(Units.production("H 1", aug, 8), Units.production("H 2", aug, 8),
                Units.production("H 3", aug, 8), Units.production("H 4", aug, 8));
        SplitPlan plan = SplitPlanner.plan(ask(on(aug, Flow.LITTLE), RecipeKind.POOLED_AUTUMN_SPLIT, hives), 3);
        assertThat(plan.newUnits()).isNotEmpty();
        assertThat(plan.newUnits()).allSatisfy(unit -> {
            assertThat(unit.moves().stream().map(SplitPlan.Move::fromHive).distinct().count())
                    .isGreaterThanOrEqualTo(2);
            assertThat(unit.moves()).hasSizeGreaterThanOrEqualTo(4);
        });
        assertThat(plan.donors()).allMatch(donor -> donor.keeps() >= 6);
        for (RecipeKind kind : List.of(RecipeKind.WALK_AWAY, RecipeKind.CELL_NUC, RecipeKind.MATED_QUEEN_SPLIT)) {
            assertThat(SplitPlanner.plan(ask(on(LocalDate.of(2026, 9, 15), Flow.LITTLE), kind, hives.stream()
                    .map(hive -> Units.production(hive.code(), LocalDate.of(2026, 9, 15), 8)).toList()), 2).newUnits())
                    .as(kind.name()).isEmpty();
        }
    }

    @Test
    void in_the_south_december_is_june() {
        LocalDate dec = LocalDate.of(2026, 12, 8);
        BeeYear south = new BeeYear(true, new ClimateOfPlace(Climate.UPLAND, 550, true, List.of()));
        Conditions there = new Conditions(dec, south, Flow.GOOD, false, 0, Assumptions.standard());
        List<Unit> hives = List.of(Units.production("S 1", dec, 10));
        assertThat(SplitPlanner.plan(ask(there, RecipeKind.CELL_NUC, hives), 2).newUnits()).isNotEmpty();
        assertThat(SplitPlanner.plan(ask(on(dec, Flow.DEARTH), RecipeKind.CELL_NUC, hives), 2).objections())
                .anyMatch(Objection::refuses);
    }

    /** The old queen's nuc takes her frame, one of mostly sealed brood, one of food; the hive keeps eggs to raise another. */
    @Test
    void the_old_queen_goes_with_her_frame() {
        Unit hive = Units.with(withQueenOn(Units.production("H 1", JUN_8, 9), 4), UnitTrait.SWARM_CELLS);
        SplitPlan plan = plan(RecipeKind.OLD_QUEEN_NUC, hive);
        assertThat(plan.newUnits()).hasSize(1);
        assertThat(plan.newUnits().getFirst().mayHoldHer()).isEmpty();
        assertThat(plan.donors().getFirst().notes().toString()).contains("queen goes with her frame");
    }

    @Test
    void stock_bounds_the_plan_and_is_said() {
        SplitQuestion many = ask(on(JUN_8, Flow.GOOD), RecipeKind.CELL_NUC,
                List.of(Units.production("H 1", JUN_8, 10), Units.production("H 2", JUN_8, 10)));
        Stock two = new Stock(Optional.of(2), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(),
                Optional.of(5), Optional.empty(), Optional.empty());
        SplitPlan plan = SplitPlanner
                .plan(new SplitQuestion(many.conditions(), many.hives(), many.wanted(), many.place(), two,
                        many.floors(), many.locks(), many.roads()), 3);
        assertThat(plan.newUnits()).hasSize(2);
        assertThat(plan.whyNotMore().orElseThrow().toString()).contains("missing");
        Stock noComb = new Stock(Optional.empty(), Optional.of(0), Optional.of(0), Optional.empty(), Optional.empty(),
                Optional.empty(), Optional.empty(), Optional.empty());
        assertThat(SplitPlanner.plan(new SplitQuestion(many.conditions(), many.hives(), many.wanted(), many.place(),
                noComb, many.floors(), many.locks(), many.roads()), 3).objections()).anyMatch(Objection::refuses);
    }

    /** Brood together in the middle, food at the walls; the donor's nest closes up. */
    @Test
    void brood_hangs_together() {
        SplitPlan plan = plan(RecipeKind.WALK_AWAY, Units.production("H 1", JUN_8, 10),
                Units.production("H 2", JUN_8, 10));
        NewUnit unit = plan.newUnits().getFirst();
        assertThat(unit.layout().getFirst().frame().orElseThrow().because().toString()).contains("honey");
        assertThat(unit.layout().stream().map(SplitPlan.Hanging::slot).toList())
                .isEqualTo(IntStream.rangeClosed(1, unit.layout().size()).boxed().toList());
    }

    @Test
    void a_frame_held_fast_goes_or_stays() {
        SplitQuestion free = ask(on(JUN_8, Flow.GOOD), RecipeKind.MATED_QUEEN_SPLIT,
                List.of(Units.production("H 1", JUN_8, 9)));
        SplitPlan plan = SplitPlanner.plan(free, 2);
        FrameSeen.FrameAt taken = plan.newUnits().getFirst().moves().stream().filter(move -> move.from().slot() > 2)
                .findFirst().orElseThrow().from();
        SplitPlan without = SplitPlanner.plan(new SplitQuestion(free.conditions(), free.hives(), free.wanted(),
                free.place(),
                free.stock(), free.floors(), List.of(new SplitQuestion.Lock("H 1", taken, false)), free.roads()), 2);
        assertThat(without.newUnits()).hasSameSizeAs(plan.newUnits());
        assertThat(without.newUnits()).flatExtracting(NewUnit::moves).noneMatch(move -> move.from().equals(taken));
    }

    /** Held to go, the queen's frame stays all the same, and it is said. */
    @Test
    void the_queens_frame_cannot_be_held_to_go() {
        SplitQuestion free = ask(on(JUN_8, Flow.GOOD), RecipeKind.MATED_QUEEN_SPLIT,
                List.of(withQueenOn(Units.production("H 1", JUN_8, 9), 5)));
        SplitPlan plan = SplitPlanner
                .plan(new SplitQuestion(free.conditions(), free.hives(), free.wanted(), free.place(),
                        free.stock(), free.floors(),
                        List.of(new SplitQuestion.Lock("H 1", new FrameSeen.FrameAt(1, 5), true)), free.roads()), 2);
        assertThat(plan.newUnits()).flatExtracting(NewUnit::moves).noneMatch(move -> move.from().slot() == 5);
        assertThat(plan.objections().toString()).contains("held to go, but stays");
    }

    /** In March it is too early to mate, in September too late. */
    @Test
    void too_early_and_too_late_are_two_things() {
        LocalDate march = LocalDate.of(2026, 3, 25);
        LocalDate september = LocalDate.of(2026, 9, 15);
        assertThat(SplitPlanner.plan(ask(on(march, Flow.GOOD), RecipeKind.WALK_AWAY,
                List.of(Units.production("H 1", march, 9))), 1).objections().toString()).contains("too early");
        assertThat(SplitPlanner.plan(ask(on(september, Flow.GOOD), RecipeKind.WALK_AWAY,
                List.of(Units.production("H 1", september, 9))), 1).objections().toString()).contains("too late");
    }

    /** Two recipes at once: out of a hive with swarm cells only its old queen's nuc is made, no comb goes to another. */
    @Test
    void beside_another_recipe_a_hive_with_swarm_cells_gives_its_old_queens_nuc_only() {
        SplitQuestion one = ask(on(JUN_8, Flow.GOOD), RecipeKind.CELL_NUC, List.of(
                Units.with(Units.production("H 1", JUN_8, 12), UnitTrait.SWARM_CELLS),
                Units.production("H 2", JUN_8, 6),
                Units.production("H 3", JUN_8, 9)));
        SplitPlan plan = SplitPlanner.plan(new SplitQuestion(one.conditions(), one.hives(),
                List.of(new Wanted(Recipes.of(RecipeKind.CELL_NUC), Optional.empty()),
                        new Wanted(Recipes.of(RecipeKind.OLD_QUEEN_NUC), Optional.empty())),
                one.place(), one.stock(), one.floors(), one.locks(), one.roads()), 2);
        assertThat(plan.newUnits()).extracting(unit -> unit.recipe().kind()).contains(RecipeKind.CELL_NUC,
                RecipeKind.OLD_QUEEN_NUC);
        assertThat(plan.newUnits()).filteredOn(unit -> unit.recipe().kind() == RecipeKind.CELL_NUC)
                .allSatisfy(unit -> {
                    assertThat(unit.moves()).noneMatch(move -> move.fromHive().equals("H 1"));
                    assertThat(unit.shakes()).noneMatch(shakes -> shakes.fromHive().equals("H 1"));
                });
    }

    /** Nurses shaken off brood frames of a hive whose queen nobody saw: she is found first, or they come from above an excluder. */
    @Test
    void no_brood_frame_is_shaken_before_the_queen_is_found() {
        SplitPlan unseen = plan(RecipeKind.MINI_MATING_NUC, Units.production("H 1", JUN_8, 9));
        assertThat(unseen.donors().getFirst().notes().toString()).contains("find the queen before a frame is shaken");
        assertThat(unseen.newUnits()).allMatch(unit -> unit.mayHoldHer().contains("H 1"));
        SplitPlan above = plan(RecipeKind.MINI_MATING_NUC,
                Units.with(Units.production("H 1", JUN_8, 9), UnitTrait.HAS_SUPERS));
        assertThat(above.donors().getFirst().notes().toString()).doesNotContain("find the queen");
        assertThat(above.newUnits()).allMatch(unit -> unit.mayHoldHer().isEmpty());
    }

    @Test
    void whoever_gives_it_no_time_is_told_so_and_not_that_something_cannot_be() {
        SplitPlan plan = SplitPlanner.plan(ask(on(JUN_8, Flow.GOOD), RecipeKind.WALK_AWAY,
                List.of(Units.production("H 1", JUN_8, 10))), 1e-9);
        assertThat(plan.newUnits()).isEmpty();
        assertThat(plan.objections()).singleElement()
                .satisfies(one -> assertThat(one.words().toString()).contains("too little time"));
    }
}
