package vividcrown.core.hive;

import java.time.LocalDate;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.journal.Faults;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.CellsSeen;
import vividcrown.core.reading.CombPlace;
import vividcrown.core.reading.Looked;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/**
 * A reading as it was noted at the hive: of the whole, box by box, side by side. What stands nowhere was not looked at, and
 * is never taken for absent.
 *
 * @param seen signs of the whole hive
 * @param absent signs looked for on every frame and not there
 * @param cells queen cells and cups
 * @param sides what stood on each frame side that was looked at
 * @param boxes what was noted of a box as a whole
 * @param framesOfBees frames or seams covered with bees in all boxes together, 0–60, halves count
 * @param temper 1 very gentle to 5 must not be worked
 * @param pollenColours how many colours of pollen, 0–12
 * @param lift how heavy the hive felt
 * @param weather what the weather was; temper and flight are read beside it
 * @param looked how far it was looked, if that was said
 * @param search how the queen was searched for, if she was
 * @param mark colour of the mark that was seen on her, as the keeper calls it
 */
public record ReadingNotes(Set<Sign> seen, Set<Sign> absent, List<Cells> cells, List<Side> sides, List<BoxNotes> boxes,
        Optional<Double> framesOfBees, Optional<Integer> temper, Optional<Integer> pollenColours, Optional<Lift> lift,
        Optional<WeatherSeen> weather, Optional<Looked> looked, Optional<QueenSearch> search, Optional<String> mark) {

    private static final int LONGEST_MARK = 30;

    private static final int MOST_BOXES = 8;

    /** Nothing noted yet. */
    public static final ReadingNotes NOTHING = new ReadingNotes(Set.of(), Set.of(), List.of(), List.of(), List.of(),
            Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(),
            Optional.empty(), Optional.empty());

    public ReadingNotes {
        seen = inOrder(seen);
        absent = inOrder(absent);
        cells = List.copyOf(cells);
        sides = List.copyOf(sides);
        boxes = List.copyOf(boxes);
        Faults faults = new Faults();
        framesOfBees.ifPresent(frames -> faults.within("framesOfBees", frames, 0, 60));
        temper.ifPresent(grade -> faults.within("temper", grade, 1, 5));
        mark.ifPresent(colour -> faults.text("mark", colour, 1, LONGEST_MARK));
        pollenColours.ifPresent(count -> faults.within("pollenColours", count, 0, 12));
        Set<String> places = new HashSet<>();
        sides.forEach(side -> faults.unless(places.add(side.box() + " " + side.slot() + " " + side.side()),
                "fault.sideTwice", side.box(), side.slot(),
                side.side()));
        faults.refuse();
        // a sign that is both seen and absent is refused here, not when somebody asks what it means
        reading(LocalDate.EPOCH, seen, absent, cells, sides, boxes);
    }

    /**
     * A search for the queen.
     *
     * @param minutes how long, 0–240
     * @param passes how often every frame was gone through, 1–9
     * @param muchSmoke she runs from it, and a search fails more easily
     */
    public record QueenSearch(int minutes, int passes, boolean muchSmoke) {
        public QueenSearch {
            new Faults().within("minutes", minutes, 0, 240).within("passes", passes, 1, 9).refuse();
        }
    }

    /**
     * Queen cells of one look in one place.
     *
     * @param guessedDays their age in days from the egg as the keeper guesses it, 0–17; beside the age by their look
     * @param count how many, 1–200
     * @param box which box, from 1 at the bottom, if recorded
     * @param slot on which frame, from 1, if recorded
     */
    public record Cells(CellLook look, CombPlace place, int count, Optional<Integer> box, Optional<Integer> slot,
            Optional<Integer> guessedDays) {
        public Cells {
            Faults faults = new Faults().within("count", count, 1, 200);
            guessedDays.ifPresent(days -> faults.within("guessedDays", days, 0, 17));
            box.ifPresent(one -> faults.within("box", one, 1, MOST_BOXES));
            slot.ifPresent(one -> faults.within("slot", one, 1, Box.MOST_SLOTS));
            faults.refuse();
        }

        public static Cells of(CellLook look, CombPlace place, int count) {
            return new Cells(look, place, count, Optional.empty(), Optional.empty(), Optional.empty());
        }
    }

    /**
     * One side of one frame.
     *
     * @param box which box, from 1 at the bottom
     * @param slot place of the frame, from 1, as seen from the entrance
     * @param signs what is on it, the largest part first
     */
    public record Side(int box, int slot, FrameSide side, List<Sign> signs) {
        public Side {
            new Faults().within("box", box, 1, MOST_BOXES).within("slot", slot, 1, Box.MOST_SLOTS).refuse();
            signs = List.copyOf(signs);
        }
    }

    /**
     * What was noted of one box without lifting every frame.
     *
     * @param box from 1 at the bottom
     * @param seams seams covered with bees, halves count
     */
    public record BoxNotes(int box, Optional<Double> seams, Set<Sign> seen) {
        public BoxNotes {
            Faults faults = new Faults().within("box", box, 1, MOST_BOXES);
            seams.ifPresent(covered -> faults.within("seams", covered, 0, Box.MOST_SLOTS + 1));
            faults.refuse();
            seen = inOrder(seen);
        }
    }

    /** The reading that core argues from: the signs of the whole, of each box and of every side together. */
    public Reading on(LocalDate day) {
        Set<Sign> all = EnumSet.noneOf(Sign.class);
        all.addAll(seen);
        weather.filter(WeatherSeen.HOT::equals).ifPresent(_ -> all.add(Sign.HEAT));
        search.filter(QueenSearch::muchSmoke).ifPresent(_ -> all.add(Sign.SMOKED_HEAVILY));
        search.filter(one -> one.passes() > 1).ifPresent(_ -> all.add(Sign.SEARCHED_TWICE));
        all.removeAll(absent);
        Reading noted = reading(day, all, absent, cells, sides, boxes);
        return looked.map(_ -> noted.everyFrameLookedAt()).orElse(noted);
    }

    /**
     * The same, with what shows only beside an earlier look: more sides with sealed worker brood, of those looked at both
     * times, is worker brood laid since.
     */
    public ReadingNotes after(ReadingNotes earlier) {
        int before = 0;
        int now = 0;
        for (Side side : sides) {
            Optional<Side> then = earlier.sides.stream().filter(other -> other.box() == side.box()
                    && other.slot() == side.slot() && other.side() == side.side()).findFirst();
            if (then.isPresent()) {
                before += then.get().signs().contains(Sign.SEALED_WORKER) ? 1 : 0;
                now += side.signs().contains(Sign.SEALED_WORKER) ? 1 : 0;
            }
        }
        if (now <= before || absent.contains(Sign.SEALED_MORE)) {
            return this;
        }
        Set<Sign> more = new LinkedHashSet<>(seen);
        more.add(Sign.SEALED_MORE);
        return new ReadingNotes(more, absent, cells, sides, boxes, framesOfBees, temper, pollenColours, lift, weather,
                looked, search, mark);
    }

    /** Nothing was noted at all. */
    public boolean isEmpty() {
        return equals(NOTHING);
    }

    /** Frames of bees as counted for the whole, or else the seams of the boxes together. */
    public Optional<Double> covered() {
        List<Double> seams = boxes.stream().flatMap(box -> box.seams().stream()).toList();
        return framesOfBees.or(() -> seams.isEmpty()
                ? Optional.empty()
                : Optional.of(seams.stream().mapToDouble(Double::doubleValue).sum()));
    }

    /** What stood on both sides of one frame. */
    public Set<Sign> onFrame(int box, int slot) {
        Set<Sign> signs = EnumSet.noneOf(Sign.class);
        sides.stream().filter(side -> side.box() == box && side.slot() == slot)
                .forEach(side -> signs.addAll(side.signs()));
        return signs;
    }

    /** As they were tapped, so that people find them again. */
    private static Set<Sign> inOrder(Set<Sign> signs) {
        return Collections.unmodifiableSet(new LinkedHashSet<>(signs));
    }

    private static Reading reading(LocalDate day, Set<Sign> seen, Set<Sign> absent, List<Cells> cells, List<Side> sides,
            List<BoxNotes> boxes) {
        Set<Sign> all = EnumSet.noneOf(Sign.class);
        all.addAll(seen);
        sides.forEach(side -> all.addAll(side.signs()));
        boxes.forEach(box -> all.addAll(box.seen()));
        return new Reading(day, all, absent, cells.stream()
                .map(one -> new CellsSeen(one.look(), one.place(), one.count())).toList());
    }
}
