package vividcrown.server.split;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.Unit;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.BoostPlan;
import vividcrown.core.split.Booster;
import vividcrown.core.split.EqualisePlan;
import vividcrown.core.split.EqualiseQuestion;
import vividcrown.core.split.Equaliser;
import vividcrown.core.split.LateSeason;
import vividcrown.core.split.UnitePlan;
import vividcrown.core.split.UnitePlanner;
import vividcrown.core.split.UniteQuestion;
import vividcrown.core.split.Weather;
import vividcrown.core.split.moving.MoveSheet;
import vividcrown.core.split.recipe.SplitRecipe;
import vividcrown.server.hive.Hive;
import vividcrown.server.journal.DeedJson;
import vividcrown.server.problem.Refusal;
import vividcrown.server.split.MovesView.BoostView;
import vividcrown.server.split.MovesView.EqualiseView;
import vividcrown.server.split.MovesView.LateSeasonView;
import vividcrown.server.split.MovesView.UniteView;
import vividcrown.server.weather.Weathers;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Strength that is moved between the operation's own hives: equalising, boosting, uniting, the late season. */
@RestController
@RequestMapping("/api/v1/splits")
class MovesController {

    private static final double SECONDS = 3;

    /**
     * @param units hives that were asked, as they were last read
     * @param sheet the plan as it can be taken to the yard; left out where nobody gives anything
     */
    record EqualisePage(Asking.ReckonedWith with, List<Asking.UnitLine> units, EqualiseView plan,
            @Schema(ref = "#/components/schemas/MoveSheet") @Nullable JsonNode sheet) {
    }

    /** @param units hives that were asked, as they were last read */
    record LateSeasonPage(Asking.ReckonedWith with, List<Asking.UnitLine> units, LateSeasonView plan) {
    }

    /**
     * @param unit the weak one
     * @param units hives that were asked, as they were last read
     * @param celsius of the afternoon, as the station has it or as is usual
     * @param sheets each way, in its order, as it can be taken to the yard
     */
    record BoostPage(Asking.ReckonedWith with, String unit, List<Asking.UnitLine> units, BoostView plan,
            double celsius, List<SheetOfWay> sheets) {
    }

    /**
     * @param way which one, as it is called in the plan
     * @param sheet as it can be taken to the yard
     */
    record SheetOfWay(String way, @Schema(ref = "#/components/schemas/MoveSheet") JsonNode sheet) {
    }

    /**
     * @param metres between the two; left out if they stand in one yard and nobody said
     * @param celsius of the afternoon, as the station has it or as is usual
     * @param sheets the ways that may be begun, as they can be taken to the yard: their gates are kept there
     */
    record UnitePage(Asking.ReckonedWith with, @Nullable Double metres, UniteView plan, double celsius,
            List<SheetOfWay> sheets) {
    }

    private final Asking asking;
    private final Makings makings;
    private final MoveSheets sheets;
    private final Yards yards;
    private final Weathers weathers;

    MovesController(Asking asking, Makings makings, MoveSheets sheets, Yards yards, Weathers weathers) {
        this.asking = asking;
        this.makings = makings;
        this.sheets = sheets;
        this.yards = yards;
        this.weathers = weathers;
    }

    @GetMapping("/boost")
    @Operation(operationId = "boost", summary = "How a weak unit is made stronger, and out of which hives")
    BoostPage boost(@RequestParam UUID unit, @RequestParam(defaultValue = "false") boolean rain) {
        Asking.Asked asked = asking.of(null, null, 0, Purpose.PRODUCTION, Purpose.DRONE_COLONY, Purpose.NUC,
                Purpose.MATING_NUC);
        HiveUnits.HiveUnit weak = hive(asked, unit, "unit");
        Weather weather = weather(asked, weak, rain);
        List<Unit> donors = asked.hives().stream().filter(one -> !one.hive().id().equals(unit))
                .filter(one -> !one.hive().purpose().isForMating()).flatMap(one -> one.unit().stream()).toList();
        Map<String, Double> roads = new HashMap<>();
        Yard here = yards.findById(weak.hive().yardId()).orElseThrow();
        yards.byId().values().forEach(yard -> roads.put(yard.name(), here.kilometresTo(yard)));
        BoostPlan plan = Booster.plan(asked.at(), weather, weak.unit().orElseThrow(), donors, roads);
        List<SheetOfWay> ways = plan.ways().stream().flatMap(way -> sheets.of(way, weak.hive().code(), asked)
                .map(sheet -> new SheetOfWay(way.how().name(), json(sheet))).stream()).toList();
        return new BoostPage(asked.with(), weak.hive().code(), asked.lines(),
                BoostView.of(weak.hive().code(), plan), weather.celsius(), ways);
    }

    @GetMapping("/unite")
    @Operation(operationId = "unite", summary = "How two hives become one without putting the better queen at risk")
    UnitePage unite(@RequestParam UUID one, @RequestParam UUID other,
            @RequestParam(required = false) @Min(0) @Max(100_000) @Nullable Double metres,
            @RequestParam(defaultValue = "false") boolean found, @RequestParam(defaultValue = "false") boolean melt,
            @RequestParam(defaultValue = "false") boolean rain) {
        if (one.equals(other)) {
            throw Refusal.invalid("other", Sentence.of("split.oneHiveTwice"));
        }
        Asking.Asked asked = asking.of(null, null, 0, Purpose.PRODUCTION, Purpose.DRONE_COLONY, Purpose.NUC,
                Purpose.MATING_NUC);
        HiveUnits.HiveUnit first = hive(asked, one, "one");
        HiveUnits.HiveUnit second = hive(asked, other, "other");
        Weather weather = weather(asked, first, rain);
        Optional<Double> apart = Optional.ofNullable(metres).or(() -> apart(first.hive(), second.hive()));
        UniteQuestion question = new UniteQuestion(asked.at(), weather, first.unit().orElseThrow(),
                second.unit().orElseThrow(), apart, found,
                melt ? UniteQuestion.Combs.MELT : UniteQuestion.Combs.USE);
        UnitePlan plan = UnitePlanner.plan(question);
        boolean firstStays = plan.keeps().filter(first.hive().code()::equals).isPresent();
        HiveUnits.HiveUnit keeps = firstStays ? first : second;
        HiveUnits.HiveUnit gives = firstStays ? second : first;
        List<SheetOfWay> ways = plan.ways().stream().filter(MovesController::mayBegin)
                .map(way -> new SheetOfWay(way.how().name(), json(sheets.of(way, keeps.hive(), gives.hive(), asked))))
                .toList();
        return new UnitePage(asked.with(), apart.map(Math::rint).orElse(null), UniteView.of(plan),
                weather.celsius(), ways);
    }

    /** Whether her queen was found is asked at the open hive; what the weather and the place forbid is not begun. */
    private static boolean mayBegin(UnitePlan.Way way) {
        return way.mayBeDone() || way.wants().stream().allMatch(want -> want.key().equals("unite.wants.found"));
    }

    private static JsonNode json(MoveSheet sheet) {
        return DeedJson.MAPPER.valueToTree(sheet);
    }

    private static HiveUnits.HiveUnit hive(Asking.Asked asked, UUID id, String field) {
        HiveUnits.HiveUnit hive = asked.hives().stream().filter(one -> one.hive().id().equals(id)).findFirst()
                .orElseThrow(() -> Refusal.notHere(HiveDeed.HIVE, id));
        if (hive.unit().isEmpty()) {
            throw Refusal.invalid(field, Sentence.of("split.readFirst", hive.hive().code()));
        }
        return hive;
    }

    private Weather weather(Asking.Asked asked, HiveUnits.HiveUnit at, boolean rain) {
        Yard yard = yards.findById(at.hive().yardId()).orElseThrow();
        double celsius = weathers.at(yard, asked.at().day()).on(asked.at().day()).flatMap(Weathers.Known::celsius)
                .orElseGet(() -> Weather.usual(asked.at()).celsius());
        return new Weather(Math.round(10 * celsius) / 10.0, rain);
    }

    /** Between two yards; within one nobody measured. */
    private Optional<Double> apart(Hive one, Hive other) {
        return one.yardId().equals(other.yardId())
                ? Optional.empty()
                : Optional.of(1000 * yards.findById(one.yardId()).orElseThrow()
                        .kilometresTo(yards.findById(other.yardId()).orElseThrow()));
    }

    @GetMapping("/equalise")
    @Operation(operationId = "equalise", summary = "Each unit against its target, and who gives what to whom")
    EqualisePage equalise(@RequestParam @Min(0) @Max(20) double brood, @RequestParam @Min(0) @Max(20) double bees,
            @RequestParam(required = false) @Nullable UUID yard) {
        Asking.Asked asked = asking.of(yard, null, 0, Purpose.PRODUCTION, Purpose.NUC, Purpose.MATING_NUC);
        EqualiseQuestion question = new EqualiseQuestion(asked.at(), asked.known(), new SplitRecipe.Target(brood, bees),
                Map.of(), false, Optional.empty());
        EqualisePlan plan = Equaliser.plan(question, SECONDS);
        return new EqualisePage(asked.with(), asked.lines(), EqualiseView.of(plan),
                sheets.of(plan, asked).map(MovesController::json).orElse(null));
    }

    @GetMapping("/late")
    @Operation(operationId = "lateSeason", summary = "What becomes of each unit before winter, with the day to decide")
    LateSeasonPage late(@RequestParam(defaultValue = "0") @Min(0) @Max(10_000) int queens,
            @RequestParam(required = false) @Nullable UUID yard) {
        Asking.Asked asked = asking.of(yard, null, 0, Purpose.PRODUCTION, Purpose.DRONE_COLONY, Purpose.NUC);
        return new LateSeasonPage(asked.with(), asked.lines(), LateSeasonView
                .of(LateSeason.plan(asked.at(), asked.known(), queens, makings.autumnSplits(asked.at().day()),
                        SECONDS)));
    }
}
