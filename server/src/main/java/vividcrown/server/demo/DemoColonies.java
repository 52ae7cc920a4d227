package vividcrown.server.demo;

import static vividcrown.core.reading.Sign.CAPS_SUNKEN;
import static vividcrown.core.reading.Sign.CROWDED;
import static vividcrown.core.reading.Sign.EGGS;
import static vividcrown.core.reading.Sign.EGGS_ON_WALLS;
import static vividcrown.core.reading.Sign.EGGS_SEVERAL;
import static vividcrown.core.reading.Sign.EGGS_SINGLE;
import static vividcrown.core.reading.Sign.EMPTY_COMB;
import static vividcrown.core.reading.Sign.FEW_BEES;
import static vividcrown.core.reading.Sign.FOUNDATION;
import static vividcrown.core.reading.Sign.LARVAE;
import static vividcrown.core.reading.Sign.NECTAR;
import static vividcrown.core.reading.Sign.OLD_LARVAE;
import static vividcrown.core.reading.Sign.OPEN_BROOD;
import static vividcrown.core.reading.Sign.POLISHED_CELLS;
import static vividcrown.core.reading.Sign.POLLEN;
import static vividcrown.core.reading.Sign.QUEEN;
import static vividcrown.core.reading.Sign.QUEEN_CELLS;
import static vividcrown.core.reading.Sign.QUEEN_MARKED;
import static vividcrown.core.reading.Sign.SEALED_DRONE_SCATTERED;
import static vividcrown.core.reading.Sign.SEALED_HONEY;
import static vividcrown.core.reading.Sign.SEALED_WORKER;
import static vividcrown.core.reading.Sign.SEALED_WORKER_SOLID;
import static vividcrown.core.reading.Sign.YOUNG_LARVAE;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividcrown.core.hive.Box;
import vividcrown.core.hive.BoxKind;
import vividcrown.core.hive.FrameFormat;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.ReadingNotes;
import vividcrown.core.introduction.CageReading;
import vividcrown.core.introduction.IntroductionDeed;
import vividcrown.core.introduction.method.Method;
import vividcrown.core.journal.Deed;
import vividcrown.core.mite.MiteDeed;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.CombPlace;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Sign;
import vividcrown.core.swarm.SwarmDeed;
import vividcrown.core.swarm.SwarmSchool;
import vividcrown.core.swarm.SwarmStep;

/** The demo's production colonies: twelve hives, one of nearly every state. All made up. */
final class DemoColonies {

    /** Writes deeds, and knows things by the names that the demo gives them. */
    interface Book {
        UUID hive(String code);

        UUID yard(String name);

        UUID box(String code, int level);

        void entry(LocalDate day, Deed deed);
    }

    private static final String FORMAT = FrameFormat.DADANT.label();
    private static final int FRAMES = 10;
    private static final LocalDate SET_UP = LocalDate.of(2026, 4, 6);
    private static final LocalDate DRONE_COMB = LocalDate.of(2026, 4, 16);
    private static final int NUC_FRAMES = 5;
    private static final int MINI_FRAMES = 3;
    private static final LocalDate SECOND_BOX = LocalDate.of(2026, 4, 28);
    private static final LocalDate SMALL_ONES = LocalDate.of(2026, 5, 20);
    private static final LocalDate HONEY_BOXES = LocalDate.of(2026, 5, 9);

    private static final double USUAL_BEES = 8;

    private final Book book;
    private final LocalDate today;

    DemoColonies(Book book, LocalDate today) {
        this.book = book;
        this.today = today;
    }

    /**
     * Twelve hives; three are kept for their drones, four have a honey box, one has two brood boxes below it. Four five-frame
     * nucs for increase, two mini nucs for mating.
     */
    void setUp() {
        small("K ", 1, 4, Purpose.NUC, NUC_FRAMES, 80);
        small("L ", 33, 34, Purpose.MINI_NUC, MINI_FRAMES, 0);
        for (int number = 1; number <= 12; number++) {
            String code = "H " + number;
            boolean drones = number == 3 || number == 8 || number == 11;
            UUID hive = book.hive(code);
            book.entry(SET_UP, new HiveDeed.SetUp(hive, book.yard(number <= 7 ? "Quarry Terrace" : "Weir Bend"), code,
                    60 + number, drones && number != 3 ? Purpose.DRONE_COLONY : Purpose.PRODUCTION,
                    List.of(Box.brood(book.box(code, 1), FORMAT, FRAMES))));
            if (drones) {
                book.entry(DRONE_COMB, new HiveDeed.DroneCombIn(hive));
            }
            if (number == 8) {
                book.entry(SECOND_BOX, new HiveDeed.BoxPutOn(hive, Box.brood(book.box(code, 3), FORMAT, FRAMES), 2));
            }
            if (number == 1 || number == 2 || number == 8 || number == 9) {
                book.entry(HONEY_BOXES,
                        new HiveDeed.BoxPutOn(hive, new Box(book.box(code, 2), BoxKind.HONEY, FORMAT, FRAMES,
                                FRAMES - 1), number == 8 ? 3 : 2));
            }
        }
    }

    private void small(String prefix, int first, int last, Purpose purpose, int frames, int after) {
        for (int number = first; number <= last; number++) {
            String code = prefix + number;
            book.entry(SMALL_ONES, new HiveDeed.SetUp(book.hive(code), book.yard("Larch Step"), code, after + number,
                    purpose, List.of(Box.brood(book.box(code, 1), FORMAT, frames))));
        }
    }

    void write() {
        read("H 1", 17, nest(), List.of(EGGS_SINGLE, LARVAE, QUEEN_MARKED), List.of(QUEEN_CELLS));
        counted("H 1", 7, frames(FULL_NEST), 9, List.of(EGGS_SINGLE, LARVAE), List.of(QUEEN_CELLS, QUEEN));
        read("H 2", 9, nest(), List.of(EGGS_SINGLE, CROWDED), List.of(QUEEN_CELLS));
        read("H 2", 1, nest(), List.of(EGGS_SINGLE, CROWDED), List.of(), cells(CellLook.LONG, CombPlace.BOTTOM_EDGE, 5),
                cells(CellLook.JELLY, CombPlace.BOTTOM_EDGE, 3));
        strong("H 3", 18, 18);
        read("H 3", 1, List.of(), List.of(OLD_LARVAE, SEALED_WORKER, FEW_BEES), List.of(EGGS, QUEEN),
                cells(CellLook.SEALED, CombPlace.BOTTOM_EDGE, 9));
        read("H 4", 15, List.of(), List.of(EGGS_SINGLE, SEALED_WORKER, CROWDED), List.of(),
                cells(CellLook.LONG, CombPlace.BOTTOM_EDGE, 7));
        swarmStep("H 4", 15, SwarmStep.Kind.CATCH_QUEEN, SwarmStep.Kind.MAKE_NUC, SwarmStep.Kind.SHAKE_AND_DESTROY);
        read("H 4", 7, List.of(), List.of(SEALED_WORKER), List.of(OPEN_BROOD),
                cells(CellLook.SEALED, CombPlace.FACE, 1));
        swarmStep("H 4", 7, SwarmStep.Kind.RETURN_AND_REDUCE, SwarmStep.Kind.CHECK_NUC);
        read("H 5", 30, List.of(), List.of(), List.of(OPEN_BROOD, QUEEN));
        read("H 5", 3, List.of(), List.of(EGGS_SEVERAL, EGGS_ON_WALLS, SEALED_DRONE_SCATTERED, Sign.BEES_OLD),
                List.of(SEALED_WORKER));
        read("H 6", 2, List.of(), List.of(Sign.CALM), List.of(Sign.BROOD, QUEEN_CELLS, QUEEN));
        read("H 7", 4, List.of(), List.of(EGGS_SINGLE, SEALED_DRONE_SCATTERED), List.of(SEALED_WORKER));
        strong("H 8", 27, 16);
        read("H 9", 4, List.of(), List.of(EGGS_SINGLE, LARVAE, SEALED_WORKER_SOLID), List.of(),
                cells(CellLook.SEALED, CombPlace.FACE, 2));
        happened("H 10", 9, EventKind.QUEEN_REMOVED);
        read("H 10", 1, List.of(), List.of(EGGS), List.of());
        read("H 11", 10, nest(), List.of(EGGS_SINGLE, LARVAE, QUEEN_MARKED), List.of(QUEEN_CELLS));
        counted("H 11", 3, frames(FULL_NEST), 9.5, List.of(EGGS_SINGLE, LARVAE), List.of(QUEEN_CELLS));
        read("H 12", 2, List.of(), List.of(SEALED_WORKER, CAPS_SUNKEN, Sign.FOUL_SMELL, POLISHED_CELLS), List.of());
        // made up three weeks ago: one has more than it needs, one too little
        counted("K 1", 2, frames(STRONG_NUC), 4, List.of(EGGS_SINGLE, LARVAE, QUEEN_MARKED), List.of(QUEEN_CELLS));
        counted("K 2", 2, frames(WEAK_NUC), 1.5, List.of(EGGS_SINGLE, LARVAE, QUEEN_MARKED), List.of(QUEEN_CELLS));
        counted("K 3", 2, frames(EVEN_NUC), 2.5, List.of(EGGS_SINGLE, LARVAE, QUEEN_MARKED), List.of(QUEEN_CELLS));
    }

    /** Some hives were washed, one of them twice, one dusted with sugar, under one a board lay. */
    void countMites() {
        mites("H 1", 48, MiteDeed.Way.WASH, 1, 0, 300, 0);
        mites("H 1", 6, MiteDeed.Way.WASH, 4, 1, 310, 0);
        mites("H 2", 6, MiteDeed.Way.WASH, 7, 1, 290, 0);
        mites("H 8", 5, MiteDeed.Way.SUGAR, 2, 0, 300, 0);
        mites("H 9", 4, MiteDeed.Way.NATURAL_FALL, 21, 0, 0, 5);
        book.entry(today.minusDays(20), new MiteDeed.TreatmentPlanned(book.hive("H 9"), today.plusDays(150)));
    }

    private void mites(String hive, int daysAgo, MiteDeed.Way way, int first, int second, int bees, int days) {
        book.entry(today.minusDays(daysAgo), new MiteDeed.MitesCounted(book.hive(hive), way, first,
                way == MiteDeed.Way.WASH ? Optional.of(second) : Optional.empty(),
                bees > 0 ? Optional.of(bees) : Optional.empty(), bees > 0,
                days > 0 ? Optional.of(days) : Optional.empty(), true, bees > 0));
    }

    /** A bought queen hangs in a nuc since three days; the bees were read once. */
    void introduceOne() {
        UUID one = book.hive("introduction of 25-60");
        book.entry(today.minusDays(12), new HiveDeed.Happened(book.hive("K 4"), EventKind.SPLIT_WITHOUT_QUEEN));
        book.entry(today.minusDays(3), new IntroductionDeed.Begun(one, book.hive("K 4"), Optional.empty(), "25-60",
                Method.CAGE_BY_HAND, today, Optional.empty(), false, 25));
        book.entry(today.minusDays(3), new HiveDeed.Happened(book.hive("K 4"), EventKind.QUEEN_GIVEN));
        book.entry(today.minusDays(1), new IntroductionDeed.CageRead(one,
                Set.of(CageReading.Behaviour.FEEDING, CageReading.Behaviour.BRUSHES_OFF), 5));
    }

    private void strong(String hive, int firstDaysAgo, int lastDaysAgo) {
        read(hive, firstDaysAgo, nest(), List.of(EGGS_SINGLE, LARVAE, QUEEN_MARKED), List.of(QUEEN_CELLS));
        if (lastDaysAgo < firstDaysAgo) {
            read(hive, lastDaysAgo, nest(), List.of(EGGS_SINGLE, LARVAE), List.of(QUEEN_CELLS, QUEEN));
        }
    }

    /** Ten frames as they stand in a good hive in June, food outside, brood in the middle. */
    private static final List<List<Sign>> GOOD_NEST = List.of(List.of(SEALED_HONEY), List.of(SEALED_HONEY, POLLEN),
            List.of(SEALED_WORKER, POLLEN, SEALED_HONEY), List.of(SEALED_WORKER, YOUNG_LARVAE),
            List.of(EGGS_SINGLE, OLD_LARVAE, SEALED_WORKER), List.of(EGGS_SINGLE, YOUNG_LARVAE),
            List.of(SEALED_WORKER, OLD_LARVAE, EMPTY_COMB), List.of(SEALED_WORKER, POLLEN),
            List.of(NECTAR, POLLEN, EMPTY_COMB), List.of(FOUNDATION));
    /** One that has brood nearly from wall to wall. */
    private static final List<List<Sign>> FULL_NEST = List.of(List.of(SEALED_HONEY, POLLEN),
            List.of(SEALED_WORKER, SEALED_HONEY), List.of(SEALED_WORKER, POLLEN), List.of(SEALED_WORKER),
            List.of(EGGS_SINGLE, OLD_LARVAE, SEALED_WORKER), List.of(EGGS_SINGLE, YOUNG_LARVAE),
            List.of(OLD_LARVAE, SEALED_WORKER), List.of(SEALED_WORKER, EGGS_SINGLE), List.of(SEALED_WORKER, POLLEN),
            List.of(SEALED_WORKER, SEALED_HONEY));
    private static final List<List<Sign>> STRONG_NUC = List.of(List.of(SEALED_HONEY), List.of(SEALED_WORKER, POLLEN),
            List.of(EGGS_SINGLE, YOUNG_LARVAE, SEALED_WORKER), List.of(SEALED_WORKER, EGGS_SINGLE),
            List.of(SEALED_WORKER, SEALED_HONEY));
    private static final List<List<Sign>> EVEN_NUC = List.of(List.of(SEALED_HONEY),
            List.of(SEALED_WORKER, EGGS_SINGLE), List.of(EGGS_SINGLE, YOUNG_LARVAE), List.of(SEALED_HONEY, POLLEN),
            List.of(EMPTY_COMB));
    private static final List<List<Sign>> WEAK_NUC = List.of(List.of(SEALED_HONEY), List.of(EGGS_SINGLE, SEALED_WORKER),
            List.of(NECTAR, EMPTY_COMB), List.of(EMPTY_COMB), List.of(FOUNDATION));

    private static List<ReadingNotes.Side> nest() {
        return frames(GOOD_NEST);
    }

    private static List<ReadingNotes.Side> frames(List<List<Sign>> frames) {
        List<ReadingNotes.Side> sides = new ArrayList<>();
        for (int slot = 1; slot <= frames.size(); slot++) {
            List<Sign> signs = frames.get(slot - 1);
            sides.add(new ReadingNotes.Side(1, slot, FrameSide.NEAR, signs));
            sides.add(new ReadingNotes.Side(1, slot, FrameSide.FAR,
                    slot < 4 || signs.size() < 2 ? signs : signs.reversed()));
        }
        return sides;
    }

    private static ReadingNotes.Cells cells(CellLook look, CombPlace place, int count) {
        return ReadingNotes.Cells.of(look, place, count);
    }

    private void read(String hive, int daysAgo, List<ReadingNotes.Side> sides, List<Sign> seen, List<Sign> absent,
            ReadingNotes.Cells... cells) {
        read(hive, daysAgo, sides, sides.isEmpty() ? Optional.empty() : Optional.of(USUAL_BEES), seen, absent, cells);
    }

    private void counted(String hive, int daysAgo, List<ReadingNotes.Side> sides, double framesOfBees, List<Sign> seen,
            List<Sign> absent) {
        read(hive, daysAgo, sides, Optional.of(framesOfBees), seen, absent);
    }

    private void read(String hive, int daysAgo, List<ReadingNotes.Side> sides, Optional<Double> framesOfBees,
            List<Sign> seen, List<Sign> absent, ReadingNotes.Cells... cells) {
        book.entry(today.minusDays(daysAgo), new HiveDeed.Read(book.hive(hive), new ReadingNotes(Set.copyOf(seen),
                Set.copyOf(absent), List.of(cells), sides, List.of(), framesOfBees,
                Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(),
                Optional.empty(), Optional.empty())));
    }

    private void swarmStep(String hive, int daysAgo, SwarmStep.Kind... steps) {
        for (SwarmStep.Kind step : steps) {
            book.entry(today.minusDays(daysAgo), new SwarmDeed.StepDone(book.hive(hive), step,
                    SwarmSchool.DESTROY_AND_RETURN));
        }
    }

    private void happened(String hive, int daysAgo, EventKind kind) {
        book.entry(today.minusDays(daysAgo), new HiveDeed.Happened(book.hive(hive), kind));
    }
}
