package vividcrown.server.split;

import com.fasterxml.uuid.Generators;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import vividcrown.core.hive.Box;
import vividcrown.core.hive.BoxKind;
import vividcrown.core.hive.FrameMove;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.HiveEnd;
import vividcrown.core.hive.Spot;
import vividcrown.core.journal.Deed;
import vividcrown.core.queen.Leaving;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.SplitPlan.Filled;
import vividcrown.core.split.making.SplitDeed.How;
import vividcrown.core.split.moving.MoveSheet;
import vividcrown.core.split.moving.MoveStep;
import vividcrown.core.split.moving.Moving;
import vividcrown.core.store.StoreDeed;
import vividcrown.core.store.Thing;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.StackBox;

/**
 * What moving strength does to the record: frames go, a hive that was given up ends
 * and its boxes stand on the other.
 *
 * @param stacks of all hives that are named, as they are now
 * @param hives all of them
 */
record MovingDeeds(UUID operation, Moving moving, Map<UUID, List<StackBox>> stacks, Map<UUID, Hive> hives) {

    /** Everything that is recorded with it if it is done. */
    List<Deed> of(MoveStep step, How how) {
        return switch (step) {
            case MoveStep.Frame frame -> frame(frame);
            case MoveStep.Close(MoveSheet.Stand giver) -> closed(giver);
            case MoveStep.TakeOut(MoveSheet.Stand gives) -> takenOut(gives, how);
            case MoveStep.Join join -> joined(join);
            case MoveStep.Shaken shaken -> List.of(new HiveDeed.BeesShaken(shaken.at().hive(), shaken.to().hive(),
                    shaken.gift().framesOfBees()));
            case MoveStep.Find _,MoveStep.OwnQueen _,MoveStep.OverPaper _,MoveStep.Guard _ ->
                List.of();
            case MoveStep.OldSpot(MoveSheet.Stand gives, MoveSheet.Stand keeps, boolean takesPlace) -> takesPlace
                    ? Optional.ofNullable(hives.get(gives.hive()))
                            .<Deed>map(old -> new HiveDeed.Moved(keeps.hive(), old.yardId(), old.position())).stream()
                            .toList()
                    : List.of();
        };
    }

    private List<Deed> frame(MoveStep.Frame frame) {
        MoveSheet.Goes goes = frame.goes();
        List<FrameMove> moves = new ArrayList<>();
        // it may have been pushed aside by an earlier gift
        goes.makesRoom().ifPresent(room -> slotOf(frame.to().hive(), room).ifPresent(slot -> moves.add(new FrameMove(
                room.frame(), new Spot.InHive(frame.to().hive(), room.box(), slot), new Spot.InStock(store()),
                Set.of()))));
        moves.addAll(pushedAside(frame.to().hive(), goes));
        moves.add(new FrameMove(goes.frame(), new Spot.InHive(frame.at().hive(), goes.box(), goes.at().slot()),
                new Spot.InHive(frame.to().hive(), goes.toBox(), goes.toSlot()), goes.signs()));
        return List.of(new HiveDeed.FramesMoved(moves));
    }

    private Optional<Integer> slotOf(UUID hive, MoveSheet.Room room) {
        return stacks.getOrDefault(hive, List.of()).stream().filter(box -> box.id().equals(room.box()))
                .flatMap(box -> box.frames().stream()).filter(comb -> comb.id().equals(room.frame()))
                .map(StackBox.StackFrame::slot).findFirst();
    }

    /** The combs between its place and the nearest free one go one on: the nest stays together. */
    private List<FrameMove> pushedAside(UUID hive, MoveSheet.Goes goes) {
        Optional<StackBox> box = stacks.getOrDefault(hive, List.of()).stream()
                .filter(one -> one.id().equals(goes.toBox())).findFirst();
        boolean isThere = box.stream().flatMap(one -> one.frames().stream())
                .anyMatch(one -> one.id().equals(goes.frame()));
        if (box.isEmpty() || isThere) {
            return List.of();
        }
        Map<Integer, UUID> hanging = new HashMap<>();
        box.get().frames().forEach(one -> hanging.put(one.slot(), one.id()));
        goes.makesRoom().flatMap(room -> slotOf(hive, room)).ifPresent(hanging::remove);
        Optional<Integer> free = IntStream.rangeClosed(1, box.get().slots()).boxed()
                .filter(slot -> !hanging.containsKey(slot))
                .min(Comparator.comparingInt(slot -> Math.abs(slot - goes.toSlot())));
        List<FrameMove> moves = new ArrayList<>();
        free.ifPresent(gap -> {
            int way = Integer.signum(gap - goes.toSlot());
            for (int slot = goes.toSlot(); slot != gap; slot += way) {
                moves.add(new FrameMove(Objects.requireNonNull(hanging.get(slot)),
                        new Spot.InHive(hive, goes.toBox(), slot), new Spot.InHive(hive, goes.toBox(), slot + way),
                        Set.of()));
            }
        });
        return moves;
    }

    /** Comb comes where frames left. */
    private List<Deed> closed(MoveSheet.Stand giver) {
        List<HiveDeed.FramesAdded.Added> added = MoveStep.of(moving.sheet()).stream()
                .filter(step -> step instanceof MoveStep.Frame && step.at().equals(giver))
                .filter(step -> moving.how(step).filter(how -> how != How.LEFT).isPresent())
                .map(step -> ((MoveStep.Frame) step).goes())
                .filter(goes -> isFree(giver.hive(), goes)).map(
                        goes -> new HiveDeed.FramesAdded.Added(Generators.timeBasedEpochGenerator().generate(),
                                new Spot.InHive(giver.hive(), goes.box(), goes.at().slot()),
                                Set.of(giver.comb() == Filled.DRAWN ? Sign.EMPTY_COMB : Sign.FOUNDATION)))
                .toList();
        return added.isEmpty()
                ? List.of()
                : List.of(new HiveDeed.FramesAdded(added), new StoreDeed.Changed(operation,
                        giver.comb() == Filled.DRAWN ? Thing.DRAWN_COMBS : Thing.FOUNDATION_FRAMES, -added.size(),
                        giver.code()));
    }

    private boolean isFree(UUID hive, MoveSheet.Goes goes) {
        return stacks.getOrDefault(hive, List.of()).stream().filter(box -> box.id().equals(goes.box()))
                .allMatch(box -> box.frames().stream().noneMatch(frame -> frame.slot() == goes.at().slot()));
    }

    private List<Deed> takenOut(MoveSheet.Stand gives, How how) {
        if (how != How.IN_HAND && how != How.KILLED) {
            return List.of();
        }
        List<Deed> deeds = new ArrayList<>(
                List.of(new HiveDeed.Happened(gives.hive(), EventKind.QUEEN_REMOVED)));
        Optional.ofNullable(hives.get(gives.hive())).filter(hive -> how == How.KILLED && hive.queens() == 1)
                .flatMap(Hive::queenId)
                .ifPresent(queen -> deeds.add(new QueenDeed.TakenOut(queen, "", Optional.of(Leaving.KILLED))));
        return deeds;
    }

    /** The record goes on with the hive whose queen stays; over paper the other's brood boxes stand on it, or under it. */
    private List<Deed> joined(MoveStep.Join join) {
        List<StackBox> boxes = stacks.getOrDefault(join.at().hive(), List.of());
        List<Deed> deeds = new ArrayList<>();
        deeds.add(new HiveDeed.Ended(join.at().hive(), HiveEnd.UNITED, boxes.stream().map(StackBox::id).toList(),
                store()));
        int level = stacks.getOrDefault(join.keeps().hive(), List.of()).size();
        switch (join.how()) {
            case PAPER -> {
                for (StackBox box : broodBoxes(boxes)) {
                    deeds.add(putOn(join, box, ++level));
                }
            }
            case NUC_INTO_HIVE -> {
                // the nuc stands in the middle of the other's combs: the two are one hive, on the other's place
                for (StackBox box : broodBoxes(boxes).reversed()) {
                    deeds.add(putOn(join, box, 1));
                }
                Optional.ofNullable(hives.get(join.at().hive())).ifPresent(old -> deeds
                        .add(new HiveDeed.Moved(join.keeps().hive(), old.yardId(), old.position())));
            }
            case SHAKE_OUT_GUARDED, SHAKE_OUT_FAR -> {
                // only bees come; its boxes lie in the store
            }
        }
        deeds.add(new HiveDeed.Happened(join.keeps().hive(), EventKind.UNITED));
        return deeds;
    }

    private static List<StackBox> broodBoxes(List<StackBox> boxes) {
        return boxes.stream().filter(box -> box.kind() == BoxKind.BROOD || box.kind() == BoxKind.HONEY).toList();
    }

    private static Deed putOn(MoveStep.Join join, StackBox box, int level) {
        return new HiveDeed.BoxPutOn(join.keeps().hive(),
                new Box(box.id(), box.kind(), box.format(), box.slots(), 0), level);
    }

    private static String store() {
        return Sentence.of("stack.store").toString();
    }
}
