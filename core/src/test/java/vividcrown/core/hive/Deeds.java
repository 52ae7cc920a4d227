package vividcrown.core.hive;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.Role;
import vividcrown.core.reading.Looked;
import vividcrown.core.reading.Sign;

/** A record of hives, written down in the order of recording. */
final class Deeds {

    static final LocalDate MAY_1 = LocalDate.of(2026, 5, 1);
    static final UUID YARD = new UUID(0, 1);
    static final UUID ONE = new UUID(0, 11);
    static final UUID TWO = new UUID(0, 12);
    static final UUID THREE = new UUID(0, 13);

    private final List<Entry> entries = new ArrayList<>();

    /** Hive one, two and three, each with a box of ten Dadant frames. */
    static Deeds ofThreeHives() {
        Deeds deeds = new Deeds();
        for (UUID hive : List.of(ONE, TWO, THREE)) {
            deeds.on(0, setUp(hive));
        }
        return deeds;
    }

    static HiveDeed.SetUp setUp(UUID hive) {
        return new HiveDeed.SetUp(hive, YARD, "H " + hive.getLeastSignificantBits(), 1, Purpose.PRODUCTION,
                List.of(box(hive)));
    }

    static Box box(UUID hive) {
        return Box.brood(new UUID(2, hive.getLeastSignificantBits()), "Dadant", 10);
    }

    static Spot.InHive at(UUID hive, int slot) {
        return new Spot.InHive(hive, box(hive).id(), slot);
    }

    static HiveDeed.FramesMoved moved(UUID frame, Spot from, Spot to, Sign... signs) {
        return new HiveDeed.FramesMoved(List.of(new FrameMove(frame, from, to, Set.of(signs))));
    }

    static HiveDeed.Read read(UUID hive, int slot, Sign near, Sign far) {
        return new HiveDeed.Read(hive, new ReadingNotes(Set.of(), Set.of(), List.of(),
                List.of(new ReadingNotes.Side(1, slot, FrameSide.NEAR, List.of(near)),
                        new ReadingNotes.Side(1, slot, FrameSide.FAR, List.of(far))),
                List.of(), ReadingNotes.NOTHING.framesOfBees(), ReadingNotes.NOTHING.temper(),
                ReadingNotes.NOTHING.pollenColours(), ReadingNotes.NOTHING.lift(), ReadingNotes.NOTHING.weather(),
                ReadingNotes.NOTHING.looked(), Optional.empty(), Optional.empty()));
    }

    static HiveDeed.Read saw(UUID hive, Sign... signs) {
        return saw(hive, Optional.empty(), signs);
    }

    static HiveDeed.Read everyFrame(UUID hive, Sign... signs) {
        return saw(hive, Optional.of(Looked.EVERY_FRAME), signs);
    }

    private static HiveDeed.Read saw(UUID hive, Optional<Looked> looked, Sign... signs) {
        ReadingNotes none = ReadingNotes.NOTHING;
        return new HiveDeed.Read(hive, new ReadingNotes(Set.of(signs), Set.of(), List.of(), List.of(), List.of(),
                none.framesOfBees(), none.temper(), none.pollenColours(), none.lift(), none.weather(), looked,
                Optional.empty(), Optional.empty()));
    }

    /** @param day after 1 May */
    Deeds on(int day, Deed deed) {
        entries.add(new Entry(new UUID(9, entries.size()), MAY_1.plusDays(day), entries.size(), deed));
        return this;
    }

    UUID last() {
        return entries.getLast().id();
    }

    /** What bears on one thing. */
    List<Entry> of(UUID thing) {
        return entries.stream().filter(entry -> entry.deed().touches().stream()
                .anyMatch(touch -> touch.id().equals(thing) && !touch.role().equals(Role.CONTEXT))).toList();
    }
}
