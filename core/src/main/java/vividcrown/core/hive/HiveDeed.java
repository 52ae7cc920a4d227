package vividcrown.core.hive;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Faults;
import vividcrown.core.journal.Role;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.journal.Touch;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Wrong;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.yard.YardDeed;

/** What people do to hives, boxes and frames, and what they see in them. */
public sealed interface HiveDeed extends Deed {

    SubjectKind HIVE = new SubjectKind("HIVE");
    SubjectKind BOX = new SubjectKind("BOX");
    SubjectKind FRAME = new SubjectKind("FRAME");

    /** In one yard's row. */
    int MOST_PLACES = 10_000;
    int MOST_LEVELS = 12;

    /**
     * A hive comes into the record, with its stack and the frames in it.
     *
     * @param code painted on it, 1–20 characters
     * @param position place in the yard's row, from 1
     * @param stack boxes from the bottom up; at least one that holds frames
     */
    record SetUp(UUID hive, UUID yard, String code, int position, Purpose purpose,
            List<Box> stack) implements HiveDeed {
        public SetUp {
            stack = List.copyOf(stack);
            new Faults().text("code", code, 1, 20).within("position", position, 1, MOST_PLACES)
                    .unless(stack.stream().anyMatch(box -> box.kind().hasFrames()),
                            "fault.noFrames")
                    .unless(stack.stream().map(Box::id).distinct().count() == stack.size(),
                            "fault.boxTwice")
                    .within("boxes of the stack", stack.size(), 1, MOST_LEVELS).refuse();
        }

        @Override
        public List<Touch> touches() {
            List<Touch> touches = new ArrayList<>();
            touches.add(Touch.itself(HIVE, hive));
            touches.add(new Touch(YardDeed.YARD, yard, Role.CONTEXT));
            stack.forEach(box -> touches.addAll(touched(box)));
            return touches;
        }
    }

    /** A hive went to another yard, or to another place in its row. */
    record Moved(UUID hive, UUID yard, int position) implements HiveDeed {
        public Moved {
            new Faults().within("position", position, 1, MOST_PLACES).refuse();
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HIVE, hive), new Touch(YardDeed.YARD, yard, Role.CONTEXT));
        }
    }

    /** It is called otherwise from now on. */
    record Renamed(UUID hive, String code) implements HiveDeed {
        public Renamed {
            new Faults().text("code", code, 1, 20).refuse();
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HIVE, hive));
        }
    }

    /** It is kept for something else from now on. */
    record Repurposed(UUID hive, Purpose purpose) implements HiveDeed {
        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HIVE, hive));
        }
    }

    /**
     * A hive is no more. Its boxes go to the store with the frames that are in them.
     *
     * @param store where its boxes went, in words
     */
    record Ended(UUID hive, HiveEnd why, List<UUID> boxes, String store) implements HiveDeed {
        public Ended {
            boxes = List.copyOf(boxes);
            new Faults().text("store", store, 1, 60).refuse();
        }

        @Override
        public List<Touch> touches() {
            List<Touch> touches = new ArrayList<>();
            touches.add(Touch.itself(HIVE, hive));
            boxes.forEach(box -> touches.add(Touch.itself(BOX, box)));
            return touches;
        }
    }

    /**
     * A box was put on a hive: a new one with its frames, or one from the store as it is.
     *
     * @param level place in the stack, from 1 at the bottom; what was there and above moves up
     */
    record BoxPutOn(UUID hive, Box box, int level) implements HiveDeed {
        public BoxPutOn {
            new Faults().within("level", level, 1, MOST_LEVELS).refuse();
        }

        @Override
        public List<Touch> touches() {
            List<Touch> touches = new ArrayList<>();
            touches.add(new Touch(HIVE, hive, Role.TO));
            touches.addAll(touched(box));
            return touches;
        }
    }

    /**
     * A box was taken off, with what hangs in it.
     *
     * @param store where it went, in words
     */
    record BoxTakenOff(UUID hive, UUID box, String store) implements HiveDeed {
        public BoxTakenOff {
            new Faults().text("store", store, 1, 60).refuse();
        }

        @Override
        public List<Touch> touches() {
            return List.of(new Touch(HIVE, hive, Role.FROM), Touch.itself(BOX, box));
        }
    }

    /** Frames that were not in the record before: bought combs, foundation; put into boxes or into the stock. */
    record FramesAdded(List<Added> frames) implements HiveDeed {
        /** @param signs what is on it: foundation, drawn comb, honey */
        public record Added(UUID frame, Spot to, Set<Sign> signs) {
            public Added {
                signs = Set.copyOf(signs);
            }
        }

        public FramesAdded {
            frames = List.copyOf(frames);
            checkFrames(frames.stream().map(Added::frame).toList());
        }

        @Override
        public List<Touch> touches() {
            List<Touch> touches = new ArrayList<>();
            frames.forEach(one -> {
                touches.add(Touch.itself(FRAME, one.frame()));
                touches.addAll(touched(one.to(), Role.TO));
            });
            return distinct(touches);
        }
    }

    /**
     * Frames went from place to place, all at once: one to another hive, two that changed places, a nuc's worth to a new
     * box.
     */
    record FramesMoved(List<FrameMove> moves) implements HiveDeed {
        public FramesMoved {
            moves = List.copyOf(moves);
            checkFrames(moves.stream().map(FrameMove::frame).toList());
            Set<Spot> taken = new HashSet<>();
            for (FrameMove move : moves) {
                if (move.to() instanceof Spot.InHive && !taken.add(move.to())) {
                    throw Wrong.of("wrong.HiveDeed", move.to());
                }
            }
        }

        @Override
        public List<Touch> touches() {
            List<Touch> touches = new ArrayList<>();
            moves.forEach(move -> {
                touches.add(Touch.itself(FRAME, move.frame()));
                touches.addAll(touched(move.from(), Role.FROM));
                touches.addAll(touched(move.to(), Role.TO));
            });
            return distinct(touches);
        }
    }

    /**
     * Bees without combs were shaken from one hive into another.
     *
     * @param framesOfBees of so many frames, above 0, at most 20
     */
    record BeesShaken(UUID from, UUID to, double framesOfBees) implements HiveDeed {
        public BeesShaken {
            new Faults().within("framesOfBees", framesOfBees, 0.01, 20)
                    .unless(!from.equals(to), "fault.bees.toItself").refuse();
        }

        @Override
        public List<Touch> touches() {
            return List.of(new Touch(HIVE, from, Role.FROM), new Touch(HIVE, to, Role.TO));
        }
    }

    /** The hive was read. */
    record Read(UUID hive, ReadingNotes notes) implements HiveDeed {
        public Read {
            if (notes.isEmpty()) {
                throw Wrong.of("wrong.HiveDeed.2");
            }
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HIVE, hive));
        }
    }

    /**
     * Something happened to its colony, or was done to it, that bears on its queen and brood.
     *
     * @param cell how far a cell that was given had come; a ripe one if nothing is said
     * @param virginDays how old a virgin that was given was, 0–90 days
     */
    record Happened(UUID hive, EventKind event, Optional<CellLook> cell, Optional<Integer> virginDays)
            implements
                HiveDeed {

        public Happened {
            virginDays.ifPresent(days -> new Faults().within("virginDays", days, 0, 90).refuse());
        }

        public Happened(UUID hive, EventKind event) {
            this(hive, event, Optional.empty(), Optional.empty());
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HIVE, hive));
        }
    }

    /** @param text 1–2,000 characters */
    record Noted(UUID hive, String text) implements HiveDeed {
        public Noted {
            new Faults().text("text", text, 1, 2_000).refuse();
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HIVE, hive));
        }
    }

    /** Drone comb was put in: it is kept for its drones. */
    record DroneCombIn(UUID hive) implements HiveDeed {
        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HIVE, hive));
        }
    }

    /** Its drone comb was taken or cut out: it is kept for its drones no longer. */
    record DroneCombOut(UUID hive) implements HiveDeed {
        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HIVE, hive));
        }
    }

    /** The season's plan means it to be given drone comb on these days. */
    record DroneCombMeant(UUID hive, DatedSpan days) implements HiveDeed {
        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HIVE, hive));
        }
    }

    /** The season's plan means it to be given drone comb no longer. */
    record DroneCombNotMeant(UUID hive) implements HiveDeed {
        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HIVE, hive));
        }
    }

    /**
     * It stands by for something: queens in reserve, a boost before winter, a swarm to hive.
     *
     * @param forWhat up to 80 characters; blank if it stands by no longer
     */
    record Reserved(UUID hive, String forWhat) implements HiveDeed {
        public Reserved {
            new Faults().text("forWhat", forWhat, 0, 80).refuse();
        }

        @Override
        public List<Touch> touches() {
            return List.of(Touch.itself(HIVE, hive));
        }
    }

    private static List<Touch> touched(Box box) {
        List<Touch> touches = new ArrayList<>();
        touches.add(Touch.itself(BOX, box.id()));
        box.allFrames().forEach(frame -> touches.add(Touch.itself(FRAME, frame)));
        return touches;
    }

    private static List<Touch> touched(Spot spot, Role role) {
        return switch (spot) {
            case Spot.InHive(UUID hive, UUID box, int _) ->
                List.of(new Touch(HIVE, hive, role), new Touch(BOX, box, Role.CONTEXT));
            case Spot.InStock _,Spot.Away _ -> List.of();
        };
    }

    private static List<Touch> distinct(List<Touch> touches) {
        return touches.stream().distinct().toList();
    }

    private static void checkFrames(List<UUID> frames) {
        if (frames.isEmpty()) {
            throw Wrong.of("wrong.HiveDeed.3");
        }
        if (new HashSet<>(frames).size() < frames.size()) {
            throw Wrong.of("wrong.HiveDeed.4");
        }
    }
}
