package vividcrown.server.hive;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.BoxFold;
import vividcrown.core.hive.FrameFold;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.HiveFold;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.reason.Sentence;
import vividcrown.server.journal.Contradictions;
import vividcrown.server.journal.Projector;

/** Makes the rows of boxes, hives and frames, in this order. */
final class HiveProjectors {

    private HiveProjectors() {
    }

    /** A row that is known to be new need not be looked for first: of a thousand frames that come in at once each was. */
    private static <T> void write(T row, boolean isKnown, EntityManager entities) {
        if (isKnown) {
            entities.merge(row);
        } else {
            entities.persist(row);
        }
    }

    /** Where each box is. */
    @Component
    @Order(20)
    static class OfBoxes implements Projector {

        private static final String FOUND_IN = "BOX";

        private final HiveBoxTable boxes;
        private final Contradictions contradictions;
        private final EntityManager entities;

        OfBoxes(HiveBoxTable boxes, Contradictions contradictions, EntityManager entities) {
            this.boxes = boxes;
            this.contradictions = contradictions;
            this.entities = entities;
        }

        @Override
        public SubjectKind subjectKind() {
            return HiveDeed.BOX;
        }

        @Override
        public void project(Map<UUID, List<Entry>> records) {
            Set<UUID> known = existing(records.keySet());
            Map<UUID, List<Contradiction>> clashes = new HashMap<>();
            records.forEach((id, record) -> {
                BoxFold.Folded folded = BoxFold.fold(id, record);
                clashes.put(id, folded.contradictions());
                folded.standing().ifPresentOrElse(
                        standing -> write(new HiveBoxRow(id, standing), known.contains(id), entities),
                        () -> boxes.deleteAllByIdInBatch(List.of(id)));
            });
            boxes.flush();
            contradictions.replace(FOUND_IN, records.keySet(), clashes);
        }

        @Override
        public void clear() {
            boxes.deleteAllInBatch();
        }

        @Override
        public Set<UUID> existing(Collection<UUID> subjects) {
            return boxes.findAllById(subjects).stream().map(HiveBoxRow::id).collect(Collectors.toSet());
        }
    }

    /** What each hive is, and the order of its stack. */
    @Component
    @Order(21)
    static class OfHives implements Projector {

        private static final String FOUND_IN = "HIVE";
        private static final String FOUND_IN_CODES = "CODE";

        private final HiveTable hives;
        private final Contradictions contradictions;
        private final EntityManager entities;

        OfHives(HiveTable hives, Contradictions contradictions, EntityManager entities) {
            this.hives = hives;
            this.contradictions = contradictions;
            this.entities = entities;
        }

        @Override
        public SubjectKind subjectKind() {
            return HiveDeed.HIVE;
        }

        @Override
        public void project(Map<UUID, List<Entry>> records) {
            Map<UUID, HiveRow> rows = hives.findAllById(records.keySet()).stream()
                    .collect(Collectors.toMap(HiveRow::id, hive -> hive));
            Map<UUID, List<Contradiction>> clashes = new HashMap<>();
            Set<String> codes = new HashSet<>();
            records.forEach((id, record) -> {
                HiveFold.Folded folded = HiveFold.fold(id, record);
                clashes.put(id, folded.contradictions());
                if (rows.containsKey(id)) {
                    codes.add(rows.get(id).code());
                }
                folded.state().ifPresentOrElse(state -> {
                    HiveRow hive = rows.getOrDefault(id, new HiveRow(id));
                    hive.write(state);
                    codes.add(state.code());
                    write(hive, rows.containsKey(id), entities);
                }, () -> hives.deleteAllByIdInBatch(List.of(id)));
            });
            hives.flush();
            contradictions.replace(FOUND_IN, records.keySet(), clashes);
            flagCodes(codes, records.keySet());
        }

        /** Of hives that stand and are called alike, all but the first to be called so are flagged. */
        private void flagCodes(Set<String> codes, Set<UUID> looked) {
            Map<String, List<HiveRow>> alike = hives.findByCodeIn(codes).stream().filter(hive -> !hive.isEnded())
                    .collect(Collectors.groupingBy(HiveRow::code));
            Map<UUID, List<Contradiction>> clashes = new HashMap<>();
            alike.values().forEach(same -> same.stream()
                    .sorted(Comparator.comparingLong(HiveRow::codedSequence)).skip(1)
                    .forEach(hive -> clashes.put(hive.id(), List.of(new Contradiction(hive.codedBy(),
                            Sentence.of("clash.codeTwice", hive.code()))))));
            Set<UUID> subjects = Stream
                    .concat(looked.stream(), alike.values().stream().flatMap(List::stream).map(HiveRow::id))
                    .collect(Collectors.toSet());
            contradictions.replace(FOUND_IN_CODES, subjects, clashes);
        }

        @Override
        public void clear() {
            hives.deleteAllInBatch();
        }

        @Override
        public Set<UUID> existing(Collection<UUID> subjects) {
            return hives.findAllById(subjects).stream().map(HiveRow::id).collect(Collectors.toSet());
        }
    }

    /** Where each frame is. */
    @Component
    @Order(22)
    static class OfFrames implements Projector {

        private static final String FOUND_IN = "FRAME";
        private static final String FOUND_IN_SLOTS = "SLOT";

        private final Frames frames;
        private final HiveBoxTable boxes;
        private final Contradictions contradictions;
        private final EntityManager entities;

        OfFrames(Frames frames, HiveBoxTable boxes, Contradictions contradictions, EntityManager entities) {
            this.frames = frames;
            this.boxes = boxes;
            this.contradictions = contradictions;
            this.entities = entities;
        }

        @Override
        public SubjectKind subjectKind() {
            return HiveDeed.FRAME;
        }

        @Override
        public void project(Map<UUID, List<Entry>> records) {
            List<Frame> before = frames.findAllById(records.keySet());
            Set<UUID> known = before.stream().map(Frame::id).collect(Collectors.toSet());
            Set<UUID> looked = before.stream().flatMap(frame -> frame.boxId().stream()).collect(Collectors.toSet());
            Map<UUID, List<Contradiction>> clashes = new HashMap<>();
            records.forEach((id, record) -> {
                FrameFold.Folded folded = FrameFold.fold(id, record);
                clashes.put(id, folded.contradictions());
                folded.last().ifPresentOrElse(stay -> {
                    Frame frame = new Frame(id, stay);
                    write(frame, known.contains(id), entities);
                    frame.boxId().ifPresent(looked::add);
                }, () -> frames.deleteAllByIdInBatch(List.of(id)));
            });
            frames.flush();
            contradictions.replace(FOUND_IN, records.keySet(), clashes);
            flagSlots(looked, records.keySet());
        }

        /** Of frames in one slot all but the first to hang there are flagged, and those in a slot that the box has not. */
        private void flagSlots(Set<UUID> inBoxes, Set<UUID> looked) {
            List<Frame> there = frames.findByBoxIdInOrderBySlot(inBoxes);
            Map<UUID, Integer> slots = boxes.findAllById(inBoxes).stream()
                    .collect(Collectors.toMap(HiveBoxRow::id, HiveBox::slots));
            Map<UUID, List<Contradiction>> clashes = new HashMap<>();
            there.stream().collect(Collectors.groupingBy(frame -> frame.boxId().orElseThrow() + " " + frame.slot()))
                    .values()
                    .forEach(same -> same.stream()
                            .sorted(Comparator.comparingLong(Frame::placedSequence)).skip(1)
                            .forEach(frame -> clashes.put(frame.id(), List.of(new Contradiction(frame.placedBy(),
                                    Sentence.of("clash.slotTaken", frame.slot()))))));
            there.stream().filter(frame -> slots.getOrDefault(frame.boxId().orElseThrow(), 0) < frame.slot())
                    .forEach(frame -> clashes.put(frame.id(), List.of(new Contradiction(frame.placedBy(), Sentence
                            .of("clash.noSuchSlot", slots.getOrDefault(frame.boxId().orElseThrow(), 0),
                                    frame.slot())))));
            Set<UUID> subjects = Stream.concat(looked.stream(), there.stream().map(Frame::id))
                    .collect(Collectors.toSet());
            contradictions.replace(FOUND_IN_SLOTS, subjects, clashes);
        }

        @Override
        public void clear() {
            frames.deleteAllInBatch();
        }

        @Override
        public Set<UUID> existing(Collection<UUID> subjects) {
            return frames.findAllById(subjects).stream().map(Frame::id).collect(Collectors.toSet());
        }
    }
}
