package vividcrown.server.split;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.hive.Unit;
import vividcrown.core.journal.Deed;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.Due;
import vividcrown.core.split.SplitPlan.Filled;
import vividcrown.core.split.making.Making;
import vividcrown.core.split.making.MakingStep;
import vividcrown.core.split.making.SplitDeed;
import vividcrown.core.split.making.SplitDeed.How;
import vividcrown.core.split.making.SplitSheet;
import vividcrown.core.split.moving.MoveSheet;
import vividcrown.core.split.moving.Moving;
import vividcrown.server.clock.Today;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.hive.Stacks;
import vividcrown.server.journal.Deeds;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.Queen;
import vividcrown.server.split.MakingView.ChoiceView;
import vividcrown.server.split.MakingView.Kind;
import vividcrown.server.split.MakingView.LaterView;
import vividcrown.server.split.MakingView.MadeUnitView;
import vividcrown.server.split.MakingView.MakingStepView;
import vividcrown.server.wire.SpanView;
import vividcrown.server.yard.Yards;

/** Splits that are being made, step by step. */
@RestController
@RequestMapping("/api/v1/splits/making")
class MakingController {

    /**
     * A split that is followed.
     *
     * @param units codes of its new units, or of the hives that it names
     * @param made every step was done or left
     */
    record MakingLine(UUID id, LocalDate day, String recipeText, List<String> units, boolean made) {
    }

    private final Makings makings;
    private final MovingViews movings;
    private final Hives hives;
    private final Stacks stacks;
    private final HiveUnits hiveUnits;
    private final QueensAtHand queensAtHand;
    private final Yards yards;
    private final Deeds deeds;
    private final Today today;

    MakingController(Makings makings, MovingViews movings, Hives hives, Stacks stacks, HiveUnits hiveUnits,
            QueensAtHand queensAtHand, Yards yards, Deeds deeds,
            Today today) {
        this.makings = makings;
        this.movings = movings;
        this.hives = hives;
        this.stacks = stacks;
        this.hiveUnits = hiveUnits;
        this.queensAtHand = queensAtHand;
        this.yards = yards;
        this.deeds = deeds;
        this.today = today;
    }

    @GetMapping
    @Operation(operationId = "makings", summary = "Splits that are followed, the newest first")
    List<MakingLine> all() {
        Stream<MakingLine> splits = makings.followed(today.day()).entrySet().stream().map(one -> {
            SplitSheet sheet = one.getValue().sheet();
            return new MakingLine(one.getKey(), sheet.day(), sheet.recipe().sentence().toString(),
                    sheet.units().stream().map(SplitSheet.NewHive::code).toList(), one.getValue().isMade());
        });
        Stream<MakingLine> moves = makings.movesFollowed(today.day()).entrySet().stream().map(one -> {
            MoveSheet sheet = one.getValue().sheet();
            return new MakingLine(one.getKey(), sheet.day(), sheet.act().sentence().toString(),
                    sheet.hives().stream().map(MoveSheet.Stand::code).toList(), one.getValue().isMade());
        });
        return Stream.concat(splits, moves).sorted(Comparator.comparing(MakingLine::day).reversed()).toList();
    }

    @GetMapping("/{id}")
    @Operation(operationId = "making", summary = "A split step by step: what was planned, what was done, what may be done now")
    MakingView one(@PathVariable UUID id) {
        Optional<Moving> moving = makings.movesOf(id);
        if (moving.isPresent()) {
            return movings.view(id, moving.get());
        }
        Making making = makings.of(id).orElseThrow(() -> Refusal.notHere(SplitDeed.SPLIT, id));
        SplitSheet sheet = making.sheet();
        List<Hive> giving = hives.findAllById(sheet.givers().stream().map(SplitSheet.Giver::hive).toList());
        Map<UUID, UUID> only = new HashMap<>();
        giving.stream().filter(hive -> hive.queens() == 1)
                .forEach(hive -> hive.queenId().ifPresent(queen -> only.put(hive.id(), queen)));
        MakingDeeds record = new MakingDeeds(CurrentOperation.require(), making, stacks.of(giving), only);
        Map<UUID, Queen> cells = cells(making);
        List<MakingStepView> steps = MakingStep.of(sheet).stream().map(step -> view(step, making, record)).toList();
        Map<UUID, Unit> counted = counted(sheet.units().stream().map(SplitSheet.NewHive::hive).toList());
        return new MakingView(id, false, sheet.recipe().sentence().toString(), sheet.day(),
                sheet.takesTheQueen(), steps,
                sheet.units().stream().map(unit -> unit(unit, making, record, counted, cells)).toList(),
                sheet.givers().stream().flatMap(giver -> making.ahead(giver).map(due -> later(giver.hive(),
                        giver.code(), Making.keyOf(giver), due, Optional.empty(), List.of())).stream()).toList(),
                making.isMade(), making.dropped());
    }

    private Map<UUID, Unit> counted(Collection<UUID> units) {
        List<Hive> standing = hives.findAllById(units).stream().filter(hive -> !hive.isEnded()).toList();
        return hiveUnits.of(standing, yards.byId(), today.day()).stream().filter(one -> one.unit().isPresent())
                .collect(Collectors.toMap(one -> one.hive().id(), one -> one.unit().orElseThrow()));
    }

    /** For each unit that waits for one a ripe cell of its own. */
    private Map<UUID, Queen> cells(Making making) {
        List<SplitSheet.NewHive> wait = making.sheet().units().stream().filter(making::stands)
                .filter(unit -> making.ahead(unit).stream().anyMatch(due -> due.work() == Due.Work.GIVE_CELL)).toList();
        List<Queen> ripe = wait.isEmpty() ? List.of() : queensAtHand.ripeOn(today.day());
        Map<UUID, Queen> cells = new HashMap<>();
        for (int at = 0; at < Math.min(wait.size(), ripe.size()); at++) {
            cells.put(wait.get(at).hive(), ripe.get(at));
        }
        return cells;
    }

    private MadeUnitView unit(SplitSheet.NewHive unit, Making making, MakingDeeds record, Map<UUID, Unit> counted,
            Map<UUID, Queen> cells) {
        Optional<Queen> cell = Optional.ofNullable(cells.get(unit.hive()));
        Optional<Unit> now = Optional.ofNullable(counted.get(unit.hive()));
        return new MadeUnitView(unit.hive(), unit.code(), making.stands(unit), making.mayHoldHer(unit), unit.target(),
                now.map(one -> ForecastView.tenth(one.framesOfBees())).orElse(null),
                now.map(Unit::broodFrames).orElse(null), now.map(Unit::readOn).orElse(null),
                making.stands(unit)
                        ? making.ahead(unit).stream().map(due -> later(unit.hive(), unit.code(),
                                Making.keyOf(unit, due.work()), due, cell, record.of(unit, due, cell))).toList()
                        : List.of());
    }

    private LaterView later(UUID hive, String code, String key, Due due, Optional<Queen> cell, List<Deed> record) {
        Sentence text = cell.filter(_ -> due.work() == Due.Work.GIVE_CELL)
                .map(one -> Sentence.of("making.CELL", due.words(), one.code())).orElse(due.words());
        boolean forHer = due.work() == Due.Work.MAY_HOLD_HER || due.work() == Due.Work.STILL_THERE;
        List<ChoiceView> choices = forHer
                ? Stream.of(How.SEEN_STAYS, How.NOT_FOUND)
                        .map(how -> ChoiceView.of(how, deeds, MakingDeeds.ofLook(hive, how)))
                        .toList()
                : List.of(ChoiceView.of(How.DONE, deeds, record), ChoiceView.of(How.LEFT, deeds, List.of()));
        return new LaterView(hive, code, key, SpanView.of(due.when()), text.toString(), choices);
    }

    private MakingStepView view(MakingStep step, Making making, MakingDeeds record) {
        Making.Gate gate = making.gate(step, today.day());
        List<ChoiceView> choices = ways(step, making.sheet().takesTheQueen())
                .map(how -> ChoiceView.of(how, deeds, how == How.LEFT ? List.of() : record.of(step, how))).toList();
        Optional<Making.Done> done = making.standing(step, today.day());
        return new MakingStepView(step.key(), kind(step), at(step), unit(step), text(step, making).toString(),
                step instanceof MakingStep.Frame frame ? frame.comes().at() : null,
                step instanceof MakingStep.Shaken shaken && shaken.shake().aboveExcluder(), gate, null,
                gate == Making.Gate.OPEN ? null : Sentence.of("split.gate." + gate.name()).toString(),
                done.map(Making.Done::how).orElse(null), done.map(Making.Done::day).orElse(null), choices);
    }

    /** Every way in which it may turn out to have been done; the gate says which of them are open now. */
    private static Stream<How> ways(MakingStep step, boolean takesTheQueen) {
        return switch (step) {
            case MakingStep.Find _ -> takesTheQueen
                    ? Stream.of(How.IN_HAND, How.NOT_FOUND, How.LEFT)
                    : Stream.of(How.SEEN_STAYS, How.IN_HAND, How.NOT_FOUND, How.LEFT);
            case MakingStep.Frame _ -> Stream.of(How.DONE, How.SEARCHED, How.UNSEARCHED, How.LEFT);
            case MakingStep.Shaken _ -> Stream.of(How.DONE, How.SEARCHED, How.LEFT);
            case MakingStep.SetUp _,MakingStep.Comb _,MakingStep.Close _,MakingStep.Load _,MakingStep.AtOnce _ ->
                Stream.of(How.DONE, How.LEFT);
        };
    }

    private static Kind kind(MakingStep step) {
        return switch (step) {
            case MakingStep.SetUp _ -> Kind.SET_UP;
            case MakingStep.Find _ -> Kind.FIND;
            case MakingStep.Frame _ -> Kind.FRAME;
            case MakingStep.Shaken _ -> Kind.SHAKE;
            case MakingStep.Comb _ -> Kind.COMB;
            case MakingStep.Close _ -> Kind.CLOSE;
            case MakingStep.Load _ -> Kind.LOAD;
            case MakingStep.AtOnce _ -> Kind.AT_ONCE;
        };
    }

    private static String at(MakingStep step) {
        return switch (step) {
            case MakingStep.SetUp(SplitSheet.NewHive unit) -> unit.code();
            case MakingStep.Find(SplitSheet.Giver giver) -> giver.code();
            case MakingStep.Frame frame -> frame.giver().code();
            case MakingStep.Shaken shaken -> shaken.giver().code();
            case MakingStep.Comb(SplitSheet.NewHive unit, _) -> unit.code();
            case MakingStep.Close(SplitSheet.Giver giver) -> giver.code();
            case MakingStep.Load(List<SplitSheet.NewHive> units) -> codes(units);
            case MakingStep.AtOnce(SplitSheet.NewHive unit, _) -> unit.code();
        };
    }

    private static String codes(List<SplitSheet.NewHive> units) {
        return units.stream().map(SplitSheet.NewHive::code).collect(Collectors.joining(", "));
    }

    private static @Nullable String unit(MakingStep step) {
        return switch (step) {
            case MakingStep.SetUp(SplitSheet.NewHive unit) -> unit.code();
            case MakingStep.Frame frame -> frame.unit().code();
            case MakingStep.Shaken shaken -> shaken.unit().code();
            case MakingStep.Comb(SplitSheet.NewHive unit, _) -> unit.code();
            case MakingStep.AtOnce(SplitSheet.NewHive unit, _) -> unit.code();
            case MakingStep.Find _,MakingStep.Close _,MakingStep.Load _ -> null;
        };
    }

    /** What to do, as said to whoever does it. */
    static Sentence text(MakingStep step, Making making) {
        return switch (step) {
            case MakingStep.SetUp(SplitSheet.NewHive unit) ->
                Sentence.of("making.SET_UP", unit.code(), unit.slots());
            case MakingStep.Find(SplitSheet.Giver giver) ->
                Sentence.of(making.sheet().takesTheQueen() ? "making.CATCH" : "making.FIND", giver.code());
            case MakingStep.Frame(SplitSheet.Giver giver, SplitSheet.NewHive unit, int slot, SplitSheet.Comes comes) ->
                Sentence.of("making.FRAME", giver.code(), comes.at().toString(), unit.code(), slot);
            case MakingStep.Shaken(SplitSheet.Giver giver, SplitSheet.NewHive unit, SplitSheet.Shake shake) ->
                Sentence.of(shake.aboveExcluder() ? "making.SHAKE_ABOVE" : "making.SHAKE", giver.code(), unit.code(),
                        shake.frames());
            case MakingStep.Comb(SplitSheet.NewHive unit, List<SplitSheet.Hangs> hangs) -> Sentence.of("making.COMB",
                    unit.code(), combs(hangs.stream().filter(one -> one.filled() == Filled.DRAWN).count(),
                            hangs.stream().filter(one -> one.filled() == Filled.FOUNDATION).count()));
            case MakingStep.Close(SplitSheet.Giver giver) -> Sentence.of(
                    making.how(new MakingStep.Find(giver)).filter(How.IN_HAND::equals).isPresent()
                            && !making.sheet().takesTheQueen() ? "making.CLOSE_WITH_HER" : "making.CLOSE",
                    giver.code(), combs(giver.comesIn(Filled.DRAWN), giver.comesIn(Filled.FOUNDATION)));
            case MakingStep.Load(List<SplitSheet.NewHive> units) -> Sentence.of("making.LOAD", codes(units));
            case MakingStep.AtOnce(SplitSheet.NewHive unit, Due due) ->
                Sentence.of("making.AT_ONCE", unit.code(), due.words());
        };
    }

    private static Sentence combs(long drawn, long foundation) {
        if (drawn > 0 && foundation > 0) {
            return Sentence.of("making.combs.BOTH", drawn, foundation);
        }
        return drawn > 0
                ? Sentence.of("making.combs.DRAWN", drawn)
                : Sentence.of("making.combs.FOUNDATION", foundation);
    }
}
