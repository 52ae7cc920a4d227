package vividcrown.server.split;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.forecast.Forecaster;
import vividcrown.core.mite.BroodBreak;
import vividcrown.core.reason.Sentence;
import vividcrown.core.settings.Settings;
import vividcrown.core.split.OwnDrift;
import vividcrown.core.split.Place;
import vividcrown.core.split.SplitPlan;
import vividcrown.core.split.SplitPlanner;
import vividcrown.core.split.SplitQuestion;
import vividcrown.core.split.SplitQuestion.Stock;
import vividcrown.core.split.SplitQuestion.Wanted;
import vividcrown.core.split.recipe.Gets;
import vividcrown.core.split.recipe.RecipeKind;
import vividcrown.core.split.recipe.Recipes;
import vividcrown.core.split.recipe.SplitRecipe;
import vividcrown.core.store.Store;
import vividcrown.core.store.Thing;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.yard.YardDeed;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.journal.DeedJson;
import vividcrown.server.mite.BroodBreakView;
import vividcrown.server.problem.Refusal;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.store.InStore;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** What the operation's own hives can be split into. */
@RestController
@RequestMapping("/api/v1/splits")
class SplitController {

    private static final double SECONDS = 3;
    private static final int WEEK = 7;
    /** A virgin at hand has mostly been out so long. Common practice. */
    private static final int VIRGIN_DAYS = 4;
    /** Flyers find home from nearer. Common practice. */
    private static final double BEYOND_FLIGHT_KM = 5;

    /** @param goes into a new unit; otherwise it stays */
    record HeldFast(@NotNull @Size(max = 20) String hive, @Min(1) @Max(12) int box, @Min(1) @Max(24) int slot,
            boolean goes) {
    }

    /**
     * @param yard whose hives may give; all if left out
     * @param day on which it is to be done, at most two weeks ahead; today if left out
     * @param most units wanted; as many as can be had if left out
     * @param unitsAt where the new units stand; as the recipe says if left out
     * @param kilometres from the hives to another yard, where the units go there
     * @param boxes in stock; as many as are needed if left out
     * @param drawn drawn combs in stock
     * @param queens ripe cells, virgins or mated queens at hand, as the recipe wants them
     * @param held frames that go or stay whatever the plan would say
     * @param own name of a recipe of the operation's own, in place of the trade's
     * @param to yard in which the new units stand; left out, the one that their place calls for
     */
    record SplitAsk(@NotNull RecipeKind recipe, @Nullable UUID yard, @Nullable LocalDate day,
            @Nullable @Min(1) @Max(400) Integer most, @Nullable Place unitsAt,
            @Nullable @Min(0) @Max(500) Double kilometres, @Nullable @Min(0) @Max(10_000) Integer boxes,
            @Nullable @Min(0) @Max(10_000) Integer drawn, @Nullable @Min(0) @Max(10_000) Integer queens,
            @Nullable @Size(max = 500) List<@Valid HeldFast> held,
            @Nullable @Size(max = 60) String own, @Nullable UUID to) {
    }

    /**
     * @param units hives that were asked, as they were last read
     * @param toYard where the new units stand
     * @param kilometres from the hives that were asked to there
     * @param sheet the plan as it can be taken to the yard; left out where there is nothing to make, or frames of several
     *        formats would meet in one unit
     * @param atHand cells and queens that will be at hand on the day, by the record
     * @param inStock what was taken to lie in the store, where nobody said otherwise
     * @param ownDrift by the operation's own counts, so many times the usual share of bees flies home
     * @param driftCounts units counted after they were made that this rests on; 0 if it is the trade's
     * @param broodBreak days without sealed brood that it opens: in the new unit, or in the hive that loses its queen; left out if
     *        it opens none
     * @param framesMeant frames that other splits are to take: they are left for them
     */
    record SplitPage(Asking.ReckonedWith with, List<Asking.UnitLine> units, SplitPlanView plan, String toYard,
            double kilometres,
            @Schema(ref = "#/components/schemas/SplitSheet") @Nullable JsonNode sheet, QueensAtHand.AtHand atHand,
            StockTaken inStock, int framesMeant, double ownDrift, int driftCounts,
            @Nullable BroodBreakView broodBreak) {
    }

    /**
     * @param boxes nuc boxes; left out if nobody keeps count of them
     * @param drawn drawn combs
     */
    record StockTaken(@Nullable Integer boxes, @Nullable Integer drawn) {
    }

    private final Hives hives;
    private final Yards yards;
    private final Asking asking;
    private final SettingsInForce settings;
    private final Makings makings;
    private final Sheets sheets;
    private final InStore store;
    private final QueensAtHand queensAtHand;

    SplitController(Hives hives, Yards yards, Asking asking, SettingsInForce settings, Makings makings, Sheets sheets,
            InStore store, QueensAtHand queensAtHand) {
        this.hives = hives;
        this.yards = yards;
        this.asking = asking;
        this.settings = settings;
        this.makings = makings;
        this.sheets = sheets;
        this.store = store;
        this.queensAtHand = queensAtHand;
    }

    @PostMapping("/plan")
    @Operation(operationId = "planSplits", summary = "The best set of splits out of the operation's own hives")
    SplitPage plan(@Valid @RequestBody SplitAsk ask) {
        SplitRecipe recipe = recipe(ask);
        Place place = Optional.ofNullable(ask.unitsAt()).orElse(recipe.place());
        Roads roads = roads(ask, place);
        Asking.Asked asked = asking.of(ask.yard(), ask.day(), roads.nearest(), Purpose.PRODUCTION, Purpose.DRONE_COLONY,
                Purpose.NUC).without(place == Place.AWAY ? Optional.of(roads.to()) : Optional.empty());
        Optional<Integer> queens = Optional.ofNullable(ask.queens());
        Store now = store.current();
        boolean mini = recipe.kind() == RecipeKind.MINI_MATING_NUC;
        StockTaken inStock = new StockTaken(now.pieces(mini ? Thing.MINI_NUCS : Thing.NUC_BOXES).orElse(null),
                now.pieces(Thing.DRAWN_COMBS).orElse(null));
        Stock stock = new Stock(Optional.ofNullable(ask.boxes()).or(() -> Optional.ofNullable(inStock.boxes())),
                Optional.ofNullable(ask.drawn()).or(() -> Optional.ofNullable(inStock.drawn())),
                now.pieces(Thing.FOUNDATION_FRAMES), now.pieces(Thing.FEEDERS), now.of(Thing.SYRUP_LITRES), queens,
                queens, queens);
        List<SplitQuestion.Lock> locks = new ArrayList<>();
        if (ask.held() != null) {
            ask.held().forEach(held -> locks
                    .add(new SplitQuestion.Lock(held.hive(), new FrameAt(held.box(), held.slot()), held.goes())));
        }
        OwnDrift drift = asking.ownDrift();
        // what another split is to take is left for it
        List<Makings.FrameMeant> meant = makings.framesMeant(asked.with().day()).stream()
                .filter(frame -> asked.known().stream().anyMatch(unit -> unit.code().equals(frame.code())
                        && unit.frames().stream().anyMatch(one -> one.at().equals(frame.at()))))
                .toList();
        meant.forEach(frame -> locks.add(new SplitQuestion.Lock(frame.code(), frame.at(), false)));
        SplitQuestion question = new SplitQuestion(asked.at(), asked.known(),
                List.of(new Wanted(recipe, Optional.ofNullable(ask.most()))), Optional.ofNullable(ask.unitsAt()), stock,
                Map.of(), locks, roads.kilometres(), asked.with().ownGrowth(), drift.factor());
        SplitPlan plan = SplitPlanner.plan(question, SECONDS);
        JsonNode sheet = sheets.of(plan, asked.hives(), roads.to())
                .map(one -> (JsonNode) DeedJson.MAPPER.valueToTree(one)).orElse(null);
        return new SplitPage(asked.with(), asked.lines(), SplitPlanView.of(plan), roads.to().name(),
                Math.round(10 * roads.nearest()) / 10.0, sheet, queensAtHand.on(asked.with().day()), inStock,
                meant.size(), Math.round(100 * drift.factor()) / 100.0, drift.pairs(), broodBreak(plan, asked));
    }

    /**
     * @param forecast left out if it was never read frame by frame
     * @param unread why there is none
     */
    record HiveForecastPage(Asking.ReckonedWith with, @Nullable ForecastView forecast, @Nullable String unread) {
    }

    @GetMapping("/forecast/{hive}")
    @Operation(operationId = "forecastOfHive", summary = "What a hive will be in the next eight weeks, as it was last read")
    HiveForecastPage forecast(@PathVariable UUID hive) {
        Hive row = hives.findById(hive).filter(one -> !one.isEnded())
                .orElseThrow(() -> Refusal.notHere(HiveDeed.HIVE, hive));
        Asking.Asked asked = asking.of(row.yardId(), null, 0, row.purpose());
        HiveUnits.HiveUnit known = asked.hives().stream().filter(one -> one.hive().id().equals(hive)).findFirst()
                .orElseThrow(() -> Refusal.notHere(HiveDeed.HIVE, hive));
        return new HiveForecastPage(asked.with(),
                known.unit().map(unit -> ForecastView.of(row.code(),
                        Forecaster.of(unit, asked.at().fed(asked.with().ownGrowth()), Forecaster.DAYS), WEEK))
                        .orElse(null),
                known.unread().map(Sentence::toString).orElse(null));
    }

    /**
     * A unit that stands by.
     *
     * @param forWhat what for
     */
    record ReserveLine(UUID id, String code, String yard, String forWhat) {
    }

    @GetMapping("/reserve")
    @Operation(operationId = "reserve", summary = "Units that stand by, with what they stand by for")
    List<ReserveLine> reserve() {
        Map<UUID, Yard> places = yards.byId();
        return hives.findByEndedOnIsNullOrderByCode().stream().filter(hive -> !hive.reservedFor().isEmpty())
                .map(hive -> new ReserveLine(hive.id(), hive.code(),
                        Optional.ofNullable(places.get(hive.yardId())).map(Yard::name).orElse(""), hive.reservedFor()))
                .toList();
    }

    /**
     * @param trade the trade's ways, as data
     * @param own the operation's own, copied from these and changed
     */
    record RecipesPage(List<SplitRecipe> trade, List<Settings.OwnRecipe> own) {
    }

    @GetMapping("/recipes")
    @Operation(operationId = "recipes", summary = "Ways of making increase: the trade's, and the operation's own")
    RecipesPage recipes() {
        return new RecipesPage(Stream.of(RecipeKind.values()).map(Recipes::of).toList(), settings.current().recipes());
    }

    private static @Nullable BroodBreakView broodBreak(SplitPlan plan, Asking.Asked asked) {
        LocalDate day = asked.with().day();
        return plan.newUnits().stream().findFirst().map(unit -> BroodBreakView.of(BroodBreak.of(switch (unit.gets()) {
            // where the old queen goes along it is her hive that has none
            case RAISES_ITS_OWN, THE_OLD_QUEEN -> BroodBreak.Plan.RAISES_ITS_OWN;
            case RIPE_CELL -> BroodBreak.Plan.CELL_GIVEN;
            case VIRGIN -> BroodBreak.Plan.VIRGIN_GIVEN;
            case MATED_QUEEN -> BroodBreak.Plan.QUEEN_GIVEN;
        }, DatedSpan.on(day), unit.gets() == Gets.RIPE_CELL ? day.plusDays(1) : day, VIRGIN_DAYS, true, false,
                asked.at().year(), asked.at().assumptions()))).orElse(null);
    }

    private SplitRecipe recipe(SplitAsk ask) {
        String own = ask.own();
        if (own == null) {
            return Recipes.of(ask.recipe());
        }
        return settings.current().recipes().stream().filter(one -> one.name().equals(own)).findFirst()
                .map(Settings.OwnRecipe::recipe)
                .orElseThrow(() -> Refusal.invalid("own", Sentence.of("split.noSuchRecipe", own)));
    }

    /**
     * Where the new units stand, and how far that is.
     *
     * @param kilometres from there to each yard that gives, by its name
     */
    private record Roads(Yard to, Map<String, Double> kilometres) {
        /** From the nearest: its flyers are the first to find home. */
        double nearest() {
            return kilometres.values().stream().mapToDouble(Double::doubleValue).min().orElse(0);
        }
    }

    /** In another yard: the nearest beyond the bees' flight, or the furthest there is. */
    private Roads roads(SplitAsk ask, Place place) {
        List<Yard> open = yards.byId().values().stream().filter(yard -> yard.closedOn().isEmpty())
                .sorted(Comparator.comparing(Yard::walkOrder)).toList();
        List<Yard> giving = open.stream().filter(yard -> ask.yard() == null || yard.id().equals(ask.yard()))
                .filter(yard -> !hives.findByYardIdAndPurposeInAndEndedOnIsNull(yard.id(),
                        List.of(Purpose.PRODUCTION, Purpose.DRONE_COLONY, Purpose.NUC)).isEmpty())
                .toList();
        Yard from = giving.stream().findFirst().or(() -> open.stream().findFirst())
                .orElseThrow(() -> Refusal.notFound(Sentence.of("split.noYard")));
        Yard to = Optional.ofNullable(ask.to()).map(id -> open.stream().filter(yard -> yard.id().equals(id)).findFirst()
                .orElseThrow(() -> Refusal.notHere(YardDeed.YARD, id))).orElseGet(() -> place == Place.AWAY
                        ? away(from, open)
                        : from);
        Map<String, Double> roads = new HashMap<>();
        giving.stream().filter(yard -> place != Place.AWAY || !yard.id().equals(to.id()))
                .forEach(yard -> roads.put(yard.name(), ask.kilometres() != null && !yard.id().equals(to.id())
                        ? ask.kilometres()
                        : yard.kilometresTo(to)));
        return new Roads(to, roads);
    }

    private static Yard away(Yard from, List<Yard> open) {
        List<Yard> others = open.stream().filter(yard -> !yard.id().equals(from.id()))
                .sorted(Comparator.comparingDouble(yard -> from.kilometresTo(yard))).toList();
        return others.stream().filter(yard -> from.kilometresTo(yard) >= BEYOND_FLIGHT_KM).findFirst()
                .orElse(others.isEmpty() ? from : others.getLast());
    }

}
