package vividcrown.core.hive;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import vividcrown.core.journal.Entry;
import vividcrown.core.reading.Sign;

/**
 * Where one frame has been, and what was seen on it there: its own moves, those of the boxes it hung in, and the readings of
 * the hives in which they stood.
 *
 * <p>Cost: folds the record of each hive once for each reading that may concern the frame.
 */
public final class FrameHistory {

    /**
     * @param hive the hive its box stood on, empty if it hung in no box or the box was in the store
     * @param level of the box when it was last read there, from 1 at the bottom
     * @param until the day it left; empty if it is still there
     * @param seen what stood on it, at each reading
     */
    public record Stay(FramePlace place, Optional<UUID> hive, Optional<Integer> level, LocalDate since,
            Optional<LocalDate> until, List<Sight> seen) {
    }

    /** Both sides of it, as they were read. */
    public record Sight(LocalDate day, List<Sign> near, List<Sign> far) {
    }

    /** A moment of the record: the day, and the order of recording within it. */
    private record Moment(LocalDate day, long sequence) implements Comparable<Moment> {
        static final Moment END = new Moment(LocalDate.MAX, Long.MAX_VALUE);

        static Moment of(Entry entry) {
            return new Moment(entry.day(), entry.sequence());
        }

        @Override
        public int compareTo(Moment other) {
            int byDay = day.compareTo(other.day);
            return byDay != 0 ? byDay : Long.compare(sequence, other.sequence);
        }
    }

    private record Stretch(Optional<UUID> hive, Moment from, Moment until) {
    }

    private final Function<UUID, List<Entry>> recordOf;

    private FrameHistory(Function<UUID, List<Entry>> recordOf) {
        this.recordOf = recordOf;
    }

    /**
     * @param recordOf what stands of the record of a frame, box or hive
     * @return the oldest first; empty if the frame is not known
     */
    public static List<Stay> of(UUID frame, Function<UUID, List<Entry>> recordOf) {
        return new FrameHistory(recordOf).stays(FrameFold.fold(frame, recordOf.apply(frame)).stays());
    }

    private List<Stay> stays(List<FrameFold.Stay> places) {
        List<Stay> stays = new ArrayList<>();
        for (int index = 0; index < places.size(); index++) {
            FrameFold.Stay place = places.get(index);
            Moment from = new Moment(place.since(), place.sequence());
            Moment until = index + 1 < places.size()
                    ? new Moment(places.get(index + 1).since(), places.get(index + 1).sequence())
                    : Moment.END;
            switch (place.place()) {
                case FramePlace.InBox box -> stays.addAll(inBox(box, from, until));
                case FramePlace.Stored _,FramePlace.Gone _ -> stays.add(new Stay(place.place(), Optional.empty(),
                        Optional.empty(), place.since(), day(until), List.of()));
            }
        }
        return stays;
    }

    private List<Stay> inBox(FramePlace.InBox box, Moment from, Moment until) {
        List<Stay> stays = new ArrayList<>();
        for (Stretch stretch : stretches(box.box())) {
            Moment first = later(from, stretch.from());
            Moment last = earlier(until, stretch.until());
            if (first.compareTo(last) < 0) {
                stays.add(stay(box, stretch.hive(), first, last));
            }
        }
        return stays;
    }

    /** Where the box stood from when until when. */
    private List<Stretch> stretches(UUID box) {
        List<Stretch> stretches = new ArrayList<>();
        Moment since = Moment.END;
        Optional<UUID> hive = Optional.empty();
        for (Entry entry : recordOf.apply(box).stream().sorted(Entry.AS_IT_HAPPENED).toList()) {
            Optional<Optional<UUID>> now = BoxFold.hiveAfter(box, entry);
            if (now.isPresent()) {
                if (!since.equals(Moment.END)) {
                    stretches.add(new Stretch(hive, since, Moment.of(entry)));
                }
                since = Moment.of(entry);
                hive = now.get();
            }
        }
        if (!since.equals(Moment.END)) {
            stretches.add(new Stretch(hive, since, Moment.END));
        }
        return stretches;
    }

    private Stay stay(FramePlace.InBox place, Optional<UUID> hive, Moment from, Moment until) {
        List<Sight> seen = new ArrayList<>();
        Optional<Integer> level = Optional.empty();
        if (hive.isPresent()) {
            List<Entry> record = recordOf.apply(hive.get());
            for (Entry entry : record.stream().sorted(Entry.AS_IT_HAPPENED).toList()) {
                boolean meanwhile = Moment.of(entry).compareTo(from) >= 0 && Moment.of(entry).compareTo(until) < 0;
                if (meanwhile && entry.deed() instanceof HiveDeed.Read read) {
                    int at = levelOf(place.box(), hive.get(), record, Moment.of(entry));
                    level = Optional.of(at).filter(one -> one > 0).or(() -> Optional.of(1));
                    sight(read.notes(), entry.day(), at, place.slot()).ifPresent(seen::add);
                }
            }
        }
        return new Stay(place, hive, level, from.day(), day(until), List.copyOf(seen));
    }

    private static int levelOf(UUID box, UUID hive, List<Entry> record, Moment at) {
        List<Entry> until = record.stream().filter(entry -> Moment.of(entry).compareTo(at) <= 0).toList();
        List<UUID> stack = HiveFold.fold(hive, until).state().map(state -> state.stack().stream().map(Box::id).toList())
                .orElse(List.of());
        return stack.indexOf(box) + 1;
    }

    private static Optional<Sight> sight(ReadingNotes notes, LocalDate day, int level, int slot) {
        List<ReadingNotes.Side> sides = notes.sides().stream()
                .filter(side -> side.box() == level && side.slot() == slot).toList();
        return sides.isEmpty()
                ? Optional.empty()
                : Optional.of(new Sight(day, signs(sides, FrameSide.NEAR), signs(sides, FrameSide.FAR)));
    }

    private static List<Sign> signs(List<ReadingNotes.Side> sides, FrameSide which) {
        return sides.stream().filter(side -> side.side() == which).flatMap(side -> side.signs().stream()).toList();
    }

    private static Optional<LocalDate> day(Moment until) {
        return until.equals(Moment.END) ? Optional.empty() : Optional.of(until.day());
    }

    private static Moment later(Moment a, Moment b) {
        return a.compareTo(b) >= 0 ? a : b;
    }

    private static Moment earlier(Moment a, Moment b) {
        return a.compareTo(b) <= 0 ? a : b;
    }
}
