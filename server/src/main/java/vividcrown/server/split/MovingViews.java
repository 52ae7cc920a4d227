package vividcrown.server.split;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Deed;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.making.Making;
import vividcrown.core.split.making.Making.Gate;
import vividcrown.core.split.making.SplitDeed.How;
import vividcrown.core.split.moving.MoveSheet;
import vividcrown.core.split.moving.MoveStep;
import vividcrown.core.split.moving.Moving;
import vividcrown.server.clock.Today;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.hive.Stacks;
import vividcrown.server.journal.Deeds;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.split.MakingView.ChoiceView;
import vividcrown.server.split.MakingView.Kind;
import vividcrown.server.split.MakingView.LaterView;
import vividcrown.server.split.MakingView.MakingStepView;
import vividcrown.server.split.MakingView.NeedView;
import vividcrown.server.wire.SpanView;

/** Strength that is moved, step by step, with what each step puts into the record. */
@Component
class MovingViews {

    private final Hives hives;
    private final Stacks stacks;
    private final Deeds deeds;
    private final Today today;

    MovingViews(Hives hives, Stacks stacks, Deeds deeds, Today today) {
        this.hives = hives;
        this.stacks = stacks;
        this.deeds = deeds;
        this.today = today;
    }

    MakingView view(UUID id, Moving moving) {
        MoveSheet sheet = moving.sheet();
        List<Hive> named = hives.findAllById(sheet.hives().stream().map(MoveSheet.Stand::hive).toList());
        Map<UUID, Hive> byId = named.stream().collect(Collectors.toMap(Hive::id, Function.identity()));
        MovingDeeds record = new MovingDeeds(CurrentOperation.require(), moving, stacks.of(named), byId);
        return new MakingView(id, true, sheet.act().sentence().toString(), sheet.day(), false,
                MoveStep.of(sheet).stream().map(step -> view(step, moving, record)).toList(), List.of(),
                moving.ahead().stream().map(this::later).toList(), moving.isMade(), moving.dropped());
    }

    private MakingStepView view(MoveStep step, Moving moving, MovingDeeds record) {
        Gate gate = moving.gate(step, today.day());
        List<ChoiceView> choices = ways(step).map(
                how -> ChoiceView.of(how, deeds, how == How.LEFT ? List.of() : record.of(step, how))).toList();
        Optional<Making.Done> done = moving.standing(step, today.day());
        return new MakingStepView(step.key(), kind(step), step.at().code(), to(step), text(step).toString(),
                step instanceof MoveStep.Frame frame ? frame.goes().at() : null,
                step instanceof MoveStep.Shaken shaken && shaken.gift().aboveExcluder(), gate, needs(step, moving),
                gate == Gate.OPEN ? null : Sentence.of("split.gate." + gate.name()).toString(),
                done.map(Making.Done::how).orElse(null), done.map(Making.Done::day).orElse(null), choices);
    }

    /** What opens it, so that the gate stands without a signal too. */
    private static @Nullable NeedView needs(MoveStep step, Moving moving) {
        if (!(step instanceof MoveStep.Join)) {
            return null;
        }
        Stream<NeedView> all = MoveStep.of(moving.sheet()).stream().flatMap(one -> switch (one) {
            case MoveStep.TakeOut out ->
                Stream.of(new NeedView(out.key(), List.of(How.IN_HAND, How.KILLED, How.SEARCHED),
                        Gate.NO_QUEEN_FIRST));
            case MoveStep.Guard guard -> Stream.of(new NeedView(guard.key(), List.of(How.DONE), Gate.GUARD_FIRST));
            default -> Stream.<NeedView>empty();
        });
        return all.findFirst().orElse(null);
    }

    /** Every way in which it may turn out to have been done; the gate says which of them are open now. */
    private static Stream<How> ways(MoveStep step) {
        return switch (step) {
            case MoveStep.Find _ -> Stream.of(How.SEEN_STAYS, How.IN_HAND, How.NOT_FOUND, How.LEFT);
            case MoveStep.OwnQueen _ -> Stream.of(How.SEEN_STAYS, How.NOT_FOUND, How.LEFT);
            case MoveStep.TakeOut _ ->
                Stream.of(How.KILLED, How.IN_HAND, How.SEARCHED, How.NOT_FOUND, How.LEFT);
            case MoveStep.Frame _ -> Stream.of(How.DONE, How.SEARCHED, How.UNSEARCHED, How.LEFT);
            case MoveStep.Shaken _ -> Stream.of(How.DONE, How.SEARCHED, How.LEFT);
            case MoveStep.Close _,MoveStep.OverPaper _,MoveStep.Guard _,MoveStep.Join _,MoveStep.OldSpot _ ->
                Stream.of(How.DONE, How.LEFT);
        };
    }

    private static Kind kind(MoveStep step) {
        return switch (step) {
            case MoveStep.Find _ -> Kind.FIND;
            case MoveStep.OwnQueen _ -> Kind.OWN_QUEEN;
            case MoveStep.Frame _ -> Kind.FRAME;
            case MoveStep.Shaken _ -> Kind.SHAKE;
            case MoveStep.Close _ -> Kind.CLOSE;
            case MoveStep.OverPaper _ -> Kind.PAPER;
            case MoveStep.TakeOut _ -> Kind.TAKE_OUT;
            case MoveStep.Guard _ -> Kind.GUARD;
            case MoveStep.Join _ -> Kind.JOIN;
            case MoveStep.OldSpot _ -> Kind.OLD_SPOT;
        };
    }

    private static @Nullable String to(MoveStep step) {
        return switch (step) {
            case MoveStep.Frame frame -> frame.to().code();
            case MoveStep.Shaken shaken -> shaken.to().code();
            case MoveStep.Join join -> join.keeps().code();
            case MoveStep.Find _,MoveStep.OwnQueen _,MoveStep.Close _,MoveStep.OverPaper _,MoveStep.TakeOut _,MoveStep.Guard _,MoveStep.OldSpot _ ->
                null;
        };
    }

    /** What to do, as said to whoever does it. */
    static Sentence text(MoveStep step) {
        String at = step.at().code();
        return switch (step) {
            case MoveStep.Find _ -> Sentence.of("making.FIND", at);
            case MoveStep.OwnQueen _ -> Sentence.of("moves.OWN_QUEEN", at);
            case MoveStep.Frame frame -> Sentence.of(
                    frame.goes().makesRoom().isPresent() ? "moves.FRAME_MAKES_ROOM" : "moves.FRAME", at,
                    frame.goes().at().toString(), frame.to().code(), frame.goes().toSlot());
            case MoveStep.Shaken shaken -> Sentence.of(
                    shaken.gift().aboveExcluder() ? "making.SHAKE_ABOVE" : "making.SHAKE", at, shaken.to().code(),
                    shaken.gift().framesOfBees());
            case MoveStep.Close(MoveSheet.Stand giver) -> Sentence.of("moves.CLOSE." + giver.comb().name(), at);
            case MoveStep.OverPaper _ -> Sentence.of("moves.PAPER", at);
            case MoveStep.TakeOut _ -> Sentence.of("moves.TAKE_OUT", at);
            case MoveStep.Guard _ -> Sentence.of("unite.step.guard", at);
            case MoveStep.Join join -> Sentence.of("moves.JOIN." + join.how().name(), at, join.keeps().code());
            case MoveStep.OldSpot spot -> spot.takesPlace()
                    ? Sentence.of("unite.step.givePlace", spot.keeps().code())
                    : Sentence.of("unite.step.oldSpot");
        };
    }

    private LaterView later(Moving.Look look) {
        Stream<ChoiceView> choices = switch (look.after()) {
            case STILL_THERE -> Stream.of(
                    choice(How.SEEN_STAYS,
                            List.of(new HiveDeed.Happened(look.at().hive(), EventKind.SPLIT_WITH_QUEEN))),
                    choice(How.NOT_FOUND, List.of()));
            case PAPER, QUEEN, ALL_IN, GUARD_OFF, TWO_QUEENS, HER_EGGS, EMERGED ->
                Stream.of(choice(How.DONE, List.of()), choice(How.LEFT, List.of()));
            // a reading is the answer
            case COUNT -> Stream.of();
        };
        return new LaterView(look.at().hive(), look.at().code(), look.key(), SpanView.of(look.when()),
                look.words().toString(), choices.toList());
    }

    private ChoiceView choice(How how, List<Deed> record) {
        return ChoiceView.of(how, deeds, record);
    }
}
