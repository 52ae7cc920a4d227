package vividcrown.server.reckon;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.forecast.Forecaster;
import vividcrown.core.hive.forecast.Surroundings;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.Booster;
import vividcrown.core.split.EqualiseQuestion;
import vividcrown.core.split.Equaliser;
import vividcrown.core.split.LateSeason;
import vividcrown.core.split.Place;
import vividcrown.core.split.SplitPlanner;
import vividcrown.core.split.SplitQuestion;
import vividcrown.core.split.SplitQuestion.Floor;
import vividcrown.core.split.SplitQuestion.Stock;
import vividcrown.core.split.UnitePlanner;
import vividcrown.core.split.UniteQuestion;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.core.split.recipe.RecipeKind;
import vividcrown.core.split.recipe.SplitRecipe;
import vividcrown.server.problem.Refusal;
import vividcrown.server.split.ForecastView;
import vividcrown.server.split.MovesView.BoostView;
import vividcrown.server.split.MovesView.EqualiseView;
import vividcrown.server.split.MovesView.LateSeasonView;
import vividcrown.server.split.MovesView.UniteView;
import vividcrown.server.split.SplitPlanView;

/**
 * What hives will be, what can be split into what, who gives what to whom, how two become one, what becomes of a yard before winter.
 * Open to everybody, keeps nothing.
 */
@RestController
@RequestMapping("/api/v1/reckon")
class SplitReckonController {

    private static final int MOST_HIVES = 600;
    private static final double SECONDS = 4;
    private static final int MANY = 20;

    /**
     * @param day for which it is asked
     * @param days to follow, 1–112; eight weeks if left out
     * @param fed food is seen to; if not, who starves dies. False if left out
     */
    record ForecastRequest(@NotNull LocalDate day, @Nullable @Valid PlaceInput place,
            @NotNull @Size(min = 1, max = MOST_HIVES) List<@Valid HiveInput> hives,
            @Nullable @Min(1) @Max(112) Integer days, @Nullable Boolean fed) {
    }

    /** @param assumed what was taken for granted because it was not said */
    record ForecastAnswer(List<ForecastView> hives, List<String> assumed) {
    }

    /**
     * What stands ready; what is left out is taken to be there.
     *
     * @param boxes for new units
     * @param drawn drawn combs
     * @param foundation frames with foundation
     * @param syrupLitres ready or to be made
     * @param ripeCells ripe on the day
     * @param matedQueens caged, or to be taken from nucs
     */
    record StockInput(@Nullable @Min(0) @Max(10_000) Integer boxes, @Nullable @Min(0) @Max(10_000) Integer drawn,
            @Nullable @Min(0) @Max(10_000) Integer foundation, @Nullable @Min(0) @Max(10_000) Integer feeders,
            @Nullable @Min(0) @Max(100_000) Double syrupLitres, @Nullable @Min(0) @Max(10_000) Integer ripeCells,
            @Nullable @Min(0) @Max(10_000) Integer virgins, @Nullable @Min(0) @Max(10_000) Integer matedQueens) {
        private Stock stock() {
            return new Stock(Optional.ofNullable(boxes), Optional.ofNullable(drawn), Optional.ofNullable(foundation),
                    Optional.ofNullable(feeders), Optional.ofNullable(syrupLitres), Optional.ofNullable(ripeCells),
                    Optional.ofNullable(virgins), Optional.ofNullable(matedQueens));
        }
    }

    /**
     * @param hive its code
     * @param box 1 if left out
     * @param goes into a new unit; otherwise it stays
     */
    record LockInput(@NotNull @Size(max = 20) String hive, @Nullable @Min(1) @Max(12) Integer box,
            @Min(1) @Max(24) int slot, boolean goes) {
    }

    /**
     * @param recipes one or more; what fits cells and queens in stock if left out
     * @param unitsAt where the new units stand, in place of the recipes' own
     * @param locks frames that go or stay whatever the plan would say
     * @param yardKilometres from where the new units go to each yard, by its name
     */
    record SplitPlanRequest(@NotNull LocalDate day, @Nullable @Valid PlaceInput place,
            @NotNull @Size(min = 1, max = MOST_HIVES) List<@Valid HiveInput> hives,
            @Nullable @Size(max = 10) List<@Valid RecipeInput> recipes, @Nullable Place unitsAt,
            @Nullable @Valid StockInput stock, @Nullable @Size(max = 500) List<@Valid LockInput> locks,
            @Nullable @Size(max = 100) Map<String, @Min(0) @Max(1000) Double> yardKilometres) {
    }

    /** @param assumed what was taken for granted because it was not said */
    record SplitPlanAnswer(SplitPlanView plan, List<String> assumed) {
    }

    /**
     * @param targetBroodFrames frames of brood that each should have; two if left out
     * @param targetFramesOfBees frames of bees that each should have; as many as of brood if left out
     * @param acrossYards frames may be driven to another yard
     * @param unitsInAll how many there are, counted and not
     */
    record EqualiseRequest(@NotNull LocalDate day, @Nullable @Valid PlaceInput place,
            @NotNull @Size(min = 1, max = MOST_HIVES) List<@Valid HiveInput> hives,
            @Nullable @Min(0) @Max(20) Double targetBroodFrames, @Nullable @Min(0) @Max(20) Double targetFramesOfBees,
            @Nullable Boolean acrossYards, @Nullable @Min(1) @Max(100_000) Integer unitsInAll) {
    }

    record EqualiseAnswer(EqualiseView plan, List<String> assumed) {
    }

    /**
     * @param unit that is to be made stronger
     * @param donors hives that may give
     * @param yardKilometres from the unit to each yard, by its name; another yard is far enough if left out
     */
    record BoostRequest(@NotNull LocalDate day, @Nullable @Valid PlaceInput place, @NotNull @Valid HiveInput unit,
            @NotNull @Size(max = MOST_HIVES) List<@Valid HiveInput> donors,
            @Nullable @Size(max = 100) Map<String, @Min(0) @Max(1000) Double> yardKilometres) {
    }

    record BoostAnswer(BoostView plan, List<String> assumed) {
    }

    /**
     * @param metres between the two hives
     * @param otherQueenFound the queen of the poorer one was found and taken out, or it was searched twice and has none
     * @param combs house rule for combs of a hive that is given up; USE if left out
     */
    record UniteRequest(@NotNull LocalDate day, @Nullable @Valid PlaceInput place, @NotNull @Valid HiveInput one,
            @NotNull @Valid HiveInput other, @Nullable @Min(0) @Max(100_000) Double metres,
            @Nullable Boolean otherQueenFound, UniteQuestion.@Nullable Combs combs) {
    }

    record UniteAnswer(UniteView plan, List<String> assumed) {
    }

    /**
     * @param matedQueens queens that can be given; none if left out
     * @param ownSplitsSurvived earlier autumn splits that came through
     * @param ownSplitsLost earlier autumn splits that did not
     */
    record LateSeasonRequest(@NotNull LocalDate day, @Nullable @Valid PlaceInput place,
            @NotNull @Size(min = 1, max = MOST_HIVES) List<@Valid HiveInput> hives,
            @Nullable @Min(0) @Max(10_000) Integer matedQueens,
            @Nullable @Min(0) @Max(10_000) Integer ownSplitsSurvived,
            @Nullable @Min(0) @Max(10_000) Integer ownSplitsLost) {
    }

    record LateSeasonAnswer(LateSeasonView plan, List<String> assumed) {
    }

    /** What was asked, checked. */
    private static final class Asked {
        private final LocalDate day;
        private final List<String> assumed = new ArrayList<>();
        private final List<Refusal.Finding> findings = new ArrayList<>();
        private final Conditions at;
        private final PlaceInput place;

        Asked(LocalDate day, @Nullable PlaceInput place) {
            this.day = day;
            this.place = place == null ? PlaceInput.NOT_SAID : place;
            this.at = this.place.conditions(day, assumed);
        }

        Optional<Unit> unit(String field, HiveInput input) {
            return input.unit(field, day, findings, assumed);
        }

        List<Unit> units(String field, List<HiveInput> inputs) {
            List<Unit> units = new ArrayList<>();
            for (int at = 0; at < inputs.size(); at++) {
                unit(field + "[" + at + "]", inputs.get(at)).ifPresent(units::add);
            }
            refuse();
            return units;
        }

        void refuse() {
            if (!findings.isEmpty()) {
                throw Refusal.invalid(findings);
            }
        }
    }

    @PostMapping("/forecast")
    @Operation(summary = "Bees, brood and food of hives for eight weeks, and what comes to pass", description = """
            Example: {"day": "2026-06-10", "hives": [{"code": "N 1", "queen": "LAYING", "frames": [{"kind": "HONEY"},
            {"kind": "BROOD", "count": 2, "bees": 1}, {"kind": "DRAWN", "count": 2}]}]} tells when it fills its box.""")
    ForecastAnswer forecast(@Valid @RequestBody ForecastRequest asked) {
        Asked of = new Asked(asked.day(), asked.place());
        List<Unit> units = of.units("hives", asked.hives());
        Surroundings at = new Surroundings(asked.day(), of.at.year(), of.at.flow(), Boolean.TRUE.equals(asked.fed()), 1,
                of.at.assumptions());
        int days = asked.days() == null ? Forecaster.DAYS : asked.days();
        List<ForecastView> all = new ArrayList<>();
        for (Unit unit : units) {
            try {
                all.add(ForecastView.of(unit.code(), Forecaster.of(unit, at, days), units.size() > MANY ? 4 : 1));
            } catch (IllegalArgumentException old) {
                of.findings.add(new Refusal.Finding("hives[" + units.indexOf(unit) + "].readOn",
                        String.valueOf(old.getMessage())));
            }
        }
        of.refuse();
        return new ForecastAnswer(all, of.assumed);
    }

    @PostMapping("/split-plan")
    @Operation(summary = "The best set of splits out of real frames of real hives, frame by frame", description = """
            Example: {"day": "2026-06-10", "place": {"flow": "GOOD"}, "recipes": [{"recipe": "MATED_QUEEN_SPLIT", "most": 1}],
            "hives": [{"code": "H 1", "queen": "LAYING", "frames": [{"kind": "HONEY", "count": 2}, {"kind": "BROOD", "count": 8},
            {"kind": "POLLEN", "count": 2}]}]} names the frames that go, where they hang, and what the hive keeps.""")
    SplitPlanAnswer splitPlan(@Valid @RequestBody SplitPlanRequest asked) {
        Asked of = new Asked(asked.day(), asked.place());
        List<Unit> hives = of.units("hives", asked.hives());
        Stock stock = asked.stock() == null ? Stock.WHATEVER : asked.stock().stock();
        List<RecipeInput> recipes = HiveInput.orNone(asked.recipes());
        if (recipes.isEmpty()) {
            RecipeKind likely = likelyRecipe(of.at, stock);
            of.assumed.add(Sentence.of("split.assumed.recipe", likely.sentence()).toString());
            recipes = List.of(RecipeInput.of(likely));
        }
        List<SplitQuestion.Wanted> wanted = new ArrayList<>();
        for (int at = 0; at < recipes.size(); at++) {
            try {
                wanted.add(recipes.get(at).wanted());
            } catch (IllegalArgumentException wrong) {
                of.findings.add(new Refusal.Finding("recipes[" + at + "]", String.valueOf(wrong.getMessage())));
            }
        }
        of.refuse();
        boolean away = wanted.stream()
                .anyMatch(one -> (asked.unitsAt() == null ? one.recipe().place() : asked.unitsAt()) == Place.AWAY);
        if (away && of.at.kilometres() == 0) {
            of.assumed.add(Sentence.of("split.assumed.away").toString());
        }
        Map<String, Floor> floors = new HashMap<>();
        for (int at = 0; at < hives.size(); at++) {
            HiveInput input = asked.hives().get(at);
            Floor usual = SplitPlanner.usualFloor(hives.get(at), of.at);
            if (input.floorBrood() != null || input.floorBees() != null) {
                floors.put(hives.get(at).code(),
                        new Floor(input.floorBrood() == null ? usual.brood() : input.floorBrood(),
                                input.floorBees() == null ? usual.bees() : input.floorBees()));
            }
        }
        List<SplitQuestion.Lock> locks = HiveInput.orNone(asked.locks()).stream().map(lock -> new SplitQuestion.Lock(
                lock.hive(), new FrameAt(lock.box() == null ? 1 : lock.box(), lock.slot()), lock.goes())).toList();
        SplitQuestion question = new SplitQuestion(of.at, hives, wanted, Optional.ofNullable(asked.unitsAt()), stock,
                floors,
                locks, asked.yardKilometres() == null ? Map.of() : asked.yardKilometres());
        return new SplitPlanAnswer(SplitPlanView.of(SplitPlanner.plan(question, SECONDS)), of.assumed);
    }

    private static RecipeKind likelyRecipe(Conditions at, Stock stock) {
        if (at.year().isAutumn(at.day())) {
            return RecipeKind.POOLED_AUTUMN_SPLIT;
        }
        if (stock.ripeCells().orElse(0) > 0) {
            return RecipeKind.CELL_NUC;
        }
        return stock.matedQueens().orElse(0) > 0 ? RecipeKind.MATED_QUEEN_SPLIT : RecipeKind.WALK_AWAY;
    }

    @PostMapping("/equalise")
    @Operation(summary = "Who gives which frame or how many bees to whom, in fewest moves and openings", description = """
            Example: {"day": "2026-06-20", "targetBroodFrames": 2, "hives": [{"code": "N 1", "queen": "LAYING", "frames":
            [{"kind": "BROOD", "count": 4}]}, {"code": "N 2", "queen": "LAYING", "frames": [{"kind": "BROOD"}]}]} moves one
            frame from N 1 to N 2.""")
    EqualiseAnswer equalise(@Valid @RequestBody EqualiseRequest asked) {
        Asked of = new Asked(asked.day(), asked.place());
        List<Unit> units = of.units("hives", asked.hives());
        double brood = asked.targetBroodFrames() == null ? 2 : asked.targetBroodFrames();
        double bees = asked.targetFramesOfBees() == null ? brood : asked.targetFramesOfBees();
        EqualiseQuestion question = new EqualiseQuestion(of.at, units, new SplitRecipe.Target(brood, bees), Map.of(),
                Boolean.TRUE.equals(asked.acrossYards()), Optional.ofNullable(asked.unitsInAll()));
        return new EqualiseAnswer(EqualiseView.of(Equaliser.plan(question, SECONDS)), of.assumed);
    }

    @PostMapping("/boost")
    @Operation(summary = "How a small unit is made stronger: sealed brood with nurses, or bees over paper", description = """
            Example: {"day": "2026-06-20", "unit": {"code": "N 1", "queen": "LAYING", "frames": [{"kind": "BROOD", "bees": 1}]},
            "donors": [{"code": "H 1", "queen": "LAYING", "frames": [{"kind": "SEALED_BROOD", "count": 8}]}]}""")
    BoostAnswer boost(@Valid @RequestBody BoostRequest asked) {
        Asked of = new Asked(asked.day(), asked.place());
        Optional<Unit> unit = of.unit("unit", asked.unit());
        List<Unit> donors = of.units("donors", asked.donors());
        return new BoostAnswer(BoostView.of(asked.unit().code(),
                Booster.plan(of.at, of.place.weather(of.at), unit.orElseThrow(), donors,
                        asked.yardKilometres() == null ? Map.of() : asked.yardKilometres())),
                of.assumed);
    }

    @PostMapping("/unite-plan")
    @Operation(summary = "How two hives become one without putting the better queen at risk", description = """
            Example: {"day": "2026-08-20", "metres": 1, "one": {"code": "H 1", "queen": "LAYING", "frames": [{"kind": "BROOD",
            "count": 5}]}, "other": {"code": "H 2", "queen": "NONE", "frames": [{"kind": "DRAWN", "count": 6, "bees": 0.5}]}}""")
    UniteAnswer unitePlan(@Valid @RequestBody UniteRequest asked) {
        Asked of = new Asked(asked.day(), asked.place());
        Optional<Unit> one = of.unit("one", asked.one());
        Optional<Unit> other = of.unit("other", asked.other());
        of.refuse();
        UniteQuestion question = new UniteQuestion(of.at, of.place.weather(of.at), one.orElseThrow(),
                other.orElseThrow(),
                Optional.ofNullable(asked.metres()), Boolean.TRUE.equals(asked.otherQueenFound()),
                asked.combs() == null ? UniteQuestion.Combs.USE : asked.combs());
        return new UniteAnswer(UniteView.of(UnitePlanner.plan(question)), of.assumed);
    }

    @PostMapping("/late-season")
    @Operation(summary = "What becomes of each unit before winter, and what pooled autumn splits would bring", description = """
            Example: {"day": "2026-09-01", "matedQueens": 2, "hives": [{"code": "H 1", "queen": "LAYING", "frames":
            [{"kind": "HONEY", "count": 3}, {"kind": "BROOD", "count": 5}]}]}""")
    LateSeasonAnswer lateSeason(@Valid @RequestBody LateSeasonRequest asked) {
        Asked of = new Asked(asked.day(), asked.place());
        List<Unit> hives = of.units("hives", asked.hives());
        int[] own = {asked.ownSplitsSurvived() == null ? 0 : asked.ownSplitsSurvived(),
                asked.ownSplitsLost() == null ? 0 : asked.ownSplitsLost()};
        return new LateSeasonAnswer(LateSeasonView.of(LateSeason.plan(of.at, hives,
                asked.matedQueens() == null ? 0 : asked.matedQueens(), own, SECONDS)), of.assumed);
    }
}
