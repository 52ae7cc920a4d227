package vividcrown.server.split;

import com.fasterxml.uuid.Generators;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividcrown.core.hive.Box;
import vividcrown.core.hive.BoxKind;
import vividcrown.core.hive.FrameMove;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.Spot;
import vividcrown.core.journal.Deed;
import vividcrown.core.queen.GivenAs;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Sign;
import vividcrown.core.split.Due;
import vividcrown.core.split.SplitPlan.Filled;
import vividcrown.core.split.making.Making;
import vividcrown.core.split.making.MakingStep;
import vividcrown.core.split.making.SplitDeed.How;
import vividcrown.core.split.making.SplitSheet;
import vividcrown.core.store.StoreDeed;
import vividcrown.core.store.Thing;
import vividcrown.core.swarm.SwarmDeed;
import vividcrown.core.swarm.SwarmSchool;
import vividcrown.core.swarm.SwarmStep;
import vividcrown.server.hive.StackBox;
import vividcrown.server.queen.Queen;

/**
 * What doing a step does to the record: a hive is set up, frames move, comb comes out of the store. So boxes, frames and the
 * judgement of every hive know of it, and not the sheet alone.
 *
 * @param stacks of the hives that give, as they are now
 * @param queens the only queen that the record knows in each of them
 */
record MakingDeeds(UUID operation, Making making, Map<UUID, List<StackBox>> stacks, Map<UUID, UUID> queens) {

    private static final Set<Sign> YOUNG = EnumSet.of(Sign.EGGS, Sign.OPEN_BROOD);

    /** Everything that is recorded with it if it is done. */
    List<Deed> of(MakingStep step, How how) {
        return switch (step) {
            case MakingStep.SetUp(SplitSheet.NewHive unit) -> setUp(unit);
            case MakingStep.Find(SplitSheet.Giver giver) -> found(giver, how);
            case MakingStep.Frame(_, SplitSheet.NewHive unit, int slot, SplitSheet.Comes comes) ->
                List.of(new HiveDeed.FramesMoved(List.of(new FrameMove(comes.frame(),
                        new Spot.InHive(comes.from(), comes.box(), comes.at().slot()),
                        new Spot.InHive(unit.hive(), unit.box(), slot), comes.signs()))));
            case MakingStep.Shaken shaken -> List.of(new HiveDeed.BeesShaken(shaken.giver().hive(),
                    shaken.unit().hive(), shaken.shake().frames()));
            case MakingStep.Load _ -> List.of();
            case MakingStep.Comb(SplitSheet.NewHive unit, List<SplitSheet.Hangs> hangs) -> comb(unit, hangs);
            case MakingStep.Close(SplitSheet.Giver giver) -> closed(giver);
            case MakingStep.AtOnce(SplitSheet.NewHive unit, Due due) -> atOnce(unit, due);
        };
    }

    private List<Deed> setUp(SplitSheet.NewHive unit) {
        boolean mini = making.sheet().isMini();
        return List.of(
                new HiveDeed.SetUp(unit.hive(), making.sheet().yard(), unit.code(), unit.position(),
                        mini ? Purpose.MINI_NUC : Purpose.NUC,
                        List.of(new Box(unit.box(), BoxKind.BROOD, making.sheet().format(), unit.slots(), 0))),
                used(mini ? Thing.MINI_NUCS : Thing.NUC_BOXES, 1, unit.code()));
    }

    /** Where she goes along, what is left of the swarm path begins; where she was seen she stays. */
    private List<Deed> found(SplitSheet.Giver giver, How how) {
        boolean seen = how == How.SEEN_STAYS || how == How.IN_HAND;
        if (!seen) {
            return List.of();
        }
        return List.of(school()
                .<Deed>map(way -> new SwarmDeed.StepDone(giver.hive(), SwarmStep.Kind.CATCH_QUEEN, way))
                .orElseGet(() -> new HiveDeed.Happened(giver.hive(), EventKind.SPLIT_WITH_QUEEN)));
    }

    /** The way of dealing with swarm cells that the recipe belongs to; empty if its queen stays. */
    private Optional<SwarmSchool> school() {
        if (!making.sheet().takesTheQueen()) {
            return Optional.empty();
        }
        return Optional.of(switch (making.sheet().recipe()) {
            case OLD_QUEEN_NUC_LEAVE_ONE -> SwarmSchool.LEAVE_ONE_NOW;
            case OLD_QUEEN_NUC_BEFORE_CELLS -> SwarmSchool.BEFORE_CELLS;
            default -> SwarmSchool.DESTROY_AND_RETURN;
        });
    }

    private List<Deed> comb(SplitSheet.NewHive unit, List<SplitSheet.Hangs> hangs) {
        List<HiveDeed.FramesAdded.Added> added = hangs.stream()
                .map(one -> added(new Spot.InHive(unit.hive(), unit.box(), one.slot()), one.filled())).toList();
        List<Deed> deeds = new ArrayList<>();
        deeds.add(new HiveDeed.FramesAdded(added));
        hangs.stream().map(SplitSheet.Hangs::filled).distinct().forEach(filled -> deeds.add(used(thing(filled),
                hangs.stream().filter(one -> one.filled() == filled).count(), unit.code())));
        return deeds;
    }

    /** As planned if all that was to leave left; otherwise comb comes where a frame is missing. */
    private List<Deed> closed(SplitSheet.Giver giver) {
        List<StackBox> stack = stacks.getOrDefault(giver.hive(), List.of());
        List<Deed> deeds = new ArrayList<>();
        List<FrameMove> moves = new ArrayList<>();
        List<HiveDeed.FramesAdded.Added> added = new ArrayList<>();
        boolean asPlanned = leftAll(giver);
        school().ifPresent(way -> deeds.add(new SwarmDeed.StepDone(giver.hive(), SwarmStep.Kind.MAKE_NUC, way)));
        for (var closes : giver.closes()) {
            Optional<StackBox> box = stack.stream().filter(one -> one.level() == closes.place().box()).findFirst();
            if (box.isEmpty()) {
                continue;
            }
            Spot.InHive to = new Spot.InHive(giver.hive(), box.get().id(), closes.place().slot());
            Optional<UUID> frame = closes.was().filter(_ -> asPlanned).flatMap(was -> frameAt(stack, was));
            frame.filter(_ -> closes.was().filter(closes.place()::equals).isEmpty())
                    .ifPresent(id -> moves.add(new FrameMove(id,
                            new Spot.InHive(giver.hive(), box.get().id(), closes.was().orElseThrow().slot()), to,
                            Set.of())));
            if (closes.was().isEmpty() && (asPlanned || frameAt(stack, closes.place()).isEmpty())) {
                added.add(added(to, closes.otherwise()));
            }
        }
        if (!moves.isEmpty()) {
            deeds.add(new HiveDeed.FramesMoved(moves));
        }
        if (!added.isEmpty()) {
            deeds.add(new HiveDeed.FramesAdded(added));
            for (Filled filled : List.of(Filled.DRAWN, Filled.FOUNDATION)) {
                long count = giver.comesIn(filled);
                if (count > 0 && asPlanned) {
                    deeds.add(used(thing(filled), count, giver.code()));
                }
            }
        }
        return deeds;
    }

    private boolean leftAll(SplitSheet.Giver giver) {
        return MakingStep.of(making.sheet()).stream().noneMatch(
                step -> step instanceof MakingStep.Frame frame && frame.giver().equals(giver) && making.how(step)
                        .filter(how -> how == How.LEFT || how == How.OTHERWISE).isPresent());
    }

    private static Optional<UUID> frameAt(List<StackBox> stack, FrameAt at) {
        return stack.stream().filter(box -> box.level() == at.box()).flatMap(box -> box.frames().stream())
                .filter(frame -> frame.slot() == at.slot()).map(StackBox.StackFrame::id).findFirst();
    }

    private List<Deed> atOnce(SplitSheet.NewHive unit, Due due) {
        return switch (due.work()) {
            case OPEN, SHUT_IN -> begins(unit);
            case FEED -> List.of(used(Thing.SYRUP_LITRES, unit.litres(), unit.code()));
            default -> List.of();
        };
    }

    /** Where she may have come along the judgement is told the likely: eggs seen later tell it otherwise. */
    private List<Deed> begins(SplitSheet.NewHive unit) {
        List<Deed> deeds = new ArrayList<>();
        deeds.add(new HiveDeed.Happened(unit.hive(), beginning(unit)));
        if (making.sheet().takesTheQueen()) {
            unit.hangs().stream().flatMap(hangs -> hangs.comes().stream()).map(SplitSheet.Comes::from).distinct()
                    .flatMap(from -> Optional.ofNullable(queens.get(from)).stream()).findFirst()
                    .ifPresent(queen -> deeds.add(new QueenDeed.Placed(queen, unit.hive(), GivenAs.LAYING_QUEEN,
                            Optional.empty(), false)));
        }
        return deeds;
    }

    private EventKind beginning(SplitSheet.NewHive unit) {
        if (making.sheet().takesTheQueen()) {
            return EventKind.SPLIT_WITH_QUEEN;
        }
        List<SplitSheet.Comes> come = unit.hangs().stream().flatMap(hangs -> hangs.comes().stream()).toList();
        if (come.isEmpty()) {
            return EventKind.STARTED;
        }
        boolean young = come.stream().flatMap(one -> one.signs().stream()).flatMap(sign -> sign.upwards().stream())
                .anyMatch(YOUNG::contains);
        return young ? EventKind.SPLIT_WITHOUT_QUEEN : EventKind.SPLIT_WITHOUT_EGGS;
    }

    /** What the look for a queen who may have come along, or stayed, found. */
    static List<Deed> ofLook(UUID hive, How how) {
        return how == How.SEEN_STAYS
                ? List.of(new HiveDeed.Happened(hive, EventKind.SPLIT_WITH_QUEEN))
                : List.of();
    }

    /**
     * What a later step does: a cell or a queen that was given is known to the judgement.
     *
     * @param cell the ripe cell that is meant for it; empty if none is known
     */
    List<Deed> of(SplitSheet.NewHive unit, Due due, Optional<Queen> cell) {
        return switch (due.work()) {
            case GIVE_CELL -> List.of(cell.<Deed>map(one -> QueenDeed.Placed.cell(one.id(), unit.hive()))
                    .orElseGet(() -> new HiveDeed.Happened(unit.hive(), EventKind.CELL_GIVEN)));
            case GIVE_QUEEN -> List.of(new HiveDeed.Happened(unit.hive(), EventKind.QUEEN_GIVEN));
            default -> List.of();
        };
    }

    private StoreDeed.Changed used(Thing thing, double count, String forWhat) {
        return new StoreDeed.Changed(operation, thing, -count, forWhat);
    }

    private static Thing thing(Filled filled) {
        return filled == Filled.DRAWN ? Thing.DRAWN_COMBS : Thing.FOUNDATION_FRAMES;
    }

    private static HiveDeed.FramesAdded.Added added(Spot to, Filled filled) {
        return new HiveDeed.FramesAdded.Added(Generators.timeBasedEpochGenerator().generate(), to,
                Set.of(filled == Filled.DRAWN ? Sign.EMPTY_COMB : Sign.FOUNDATION));
    }
}
