package vividcrown.core.hive;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.reason.Sentence;

/**
 * Follows one frame from place to place. Of two deeds that cannot both be true the later counts, and is reported.
 */
public final class FrameFold {

    /**
     * Where it was, and since when.
     *
     * @param entry the deed that brought it there
     */
    public record Stay(FramePlace place, LocalDate since, UUID entry, long sequence) {
    }

    /**
     * @param stays the oldest first; empty if the frame is not known
     * @param contradictions deeds that clash with earlier ones, in order
     */
    public record Folded(List<Stay> stays, List<Contradiction> contradictions) {

        /** Where it is now. */
        public Optional<Stay> last() {
            return stays.isEmpty() ? Optional.empty() : Optional.of(stays.getLast());
        }
    }

    private FrameFold() {
    }

    /** @param record everything that touches the frame, in any order */
    public static Folded fold(UUID frame, List<Entry> record) {
        List<Stay> stays = new ArrayList<>();
        List<Contradiction> contradictions = new ArrayList<>();
        List<Entry> ordered = record.stream().sorted(Entry.AS_IT_HAPPENED).toList();
        Stream.concat(ordered.stream().filter(FrameFold::brings), ordered.stream().filter(one -> !brings(one)))
                .forEach(entry -> arrival(frame, entry).ifPresent(arrived -> {
                    if (!stays.isEmpty() && comesInItsBox(entry)) {
                        return;
                    }
                    if (!stays.isEmpty()
                            && arrived.from().map(from -> !from.equals(stays.getLast().place())).orElse(true)) {
                        contradictions.add(new Contradiction(entry.id(), Sentence.of("clash.frameElsewhere",
                                said(stays.getLast().place()), stays.getLast().since())));
                    }
                    stays.add(new Stay(arrived.to(), entry.day(), entry.id(), entry.sequence()));
                }));
        return new Folded(List.copyOf(stays), List.copyOf(contradictions));
    }

    /** A deed that brings frames into the record comes before all that moves them. */
    private static boolean brings(Entry entry) {
        return comesInItsBox(entry) || entry.deed() instanceof HiveDeed.FramesAdded;
    }

    /** A box that is known already comes as it is, with what hangs in it now. */
    private static boolean comesInItsBox(Entry entry) {
        return entry.deed() instanceof HiveDeed.SetUp || entry.deed() instanceof HiveDeed.BoxPutOn;
    }

    /** @param from where it says it came from, empty if it was not there before */
    private record Arrival(Optional<FramePlace> from, FramePlace to) {
    }

    private static Optional<Arrival> arrival(UUID frame, Entry entry) {
        if (!(entry.deed() instanceof HiveDeed deed)) {
            return Optional.empty();
        }
        return switch (deed) {
            case HiveDeed.SetUp one -> one.stack().stream().flatMap(box -> inBox(box, frame).stream()).findFirst();
            case HiveDeed.BoxPutOn one -> inBox(one.box(), frame);
            case HiveDeed.FramesAdded one ->
                one.frames().stream().filter(added -> added.frame().equals(frame)).findFirst()
                        .map(added -> new Arrival(Optional.empty(), added.to().place()));
            case HiveDeed.FramesMoved one -> one.moves().stream().filter(move -> move.frame().equals(frame)).findFirst()
                    .map(move -> new Arrival(Optional.of(move.from().place()), move.to().place()));
            case HiveDeed.Moved _,HiveDeed.Renamed _,HiveDeed.Repurposed _,HiveDeed.Ended _,HiveDeed.BoxTakenOff _,HiveDeed.Read _,HiveDeed.Happened _,HiveDeed.DroneCombIn _,HiveDeed.DroneCombOut _,HiveDeed.DroneCombMeant _,HiveDeed.DroneCombNotMeant _,HiveDeed.Reserved _,HiveDeed.BeesShaken _,HiveDeed.Noted _ ->
                Optional.empty();
        };
    }

    private static Optional<Arrival> inBox(Box box, UUID frame) {
        int slot = box.allFrames().indexOf(frame) + 1;
        return slot == 0
                ? Optional.empty()
                : Optional.of(new Arrival(Optional.empty(), new FramePlace.InBox(box.id(), slot)));
    }

    private static Sentence said(FramePlace place) {
        return switch (place) {
            case FramePlace.InBox(UUID _, int slot) -> Sentence.of("place.slot", slot);
            case FramePlace.Stored(String where) -> Sentence.of("place.stored", where);
            case FramePlace.Gone _ -> Sentence.of("place.gone");
        };
    }
}
