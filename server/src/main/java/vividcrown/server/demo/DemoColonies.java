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
import org.jspecify.annotations.Nullable;
import vividcrown.core.colony.FrameFormat;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.CombPlace;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Sign;
import vividcrown.core.swarm.SwarmSchool;
import vividcrown.core.swarm.SwarmStep;
import vividcrown.server.journal.CellsDetail;
import vividcrown.server.journal.Detail;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.ReadingDetail;
import vividcrown.server.journal.ReadingDetail.Side;
import vividcrown.server.journal.ReadingDetail.SideDetail;

/** The demo's production colonies: twelve hives, one of nearly every state. All made up. */
final class DemoColonies {

    /** Writes an entry of a hive. */
    interface Book {
        void colony(String code, String yard, int position, int frames, String format);

        void entry(String code, LocalDate day, EntryKind kind, Detail detail);
    }

    private static final String FORMAT = FrameFormat.DADANT.label();
    private static final int FRAMES = 10;

    private final Book book;
    private final LocalDate today;

    DemoColonies(Book book, LocalDate today) {
        this.book = book;
        this.today = today;
    }

    void write() {
        for (int hive = 1; hive <= 12; hive++) {
            book.colony("H " + hive, hive <= 7 ? "Quarry Terrace" : "Weir Bend", 60 + hive, FRAMES, FORMAT);
        }
        strong("H 1", 17, 7);
        read("H 2", 9, nest(), List.of(EGGS_SINGLE, CROWDED), List.of(QUEEN_CELLS));
        read("H 2", 1, nest(), List.of(EGGS_SINGLE, CROWDED), List.of(), cells(CellLook.LONG, CombPlace.BOTTOM_EDGE, 5),
                cells(CellLook.JELLY, CombPlace.BOTTOM_EDGE, 3));
        strong("H 3", 18, 18);
        read("H 3", 1, null, List.of(OLD_LARVAE, SEALED_WORKER, FEW_BEES), List.of(EGGS, QUEEN),
                cells(CellLook.SEALED, CombPlace.BOTTOM_EDGE, 9));
        read("H 4", 15, null, List.of(EGGS_SINGLE, SEALED_WORKER, CROWDED), List.of(),
                cells(CellLook.LONG, CombPlace.BOTTOM_EDGE, 7));
        swarmStep("H 4", 15, SwarmStep.Kind.CATCH_QUEEN, SwarmStep.Kind.MAKE_NUC, SwarmStep.Kind.SHAKE_AND_DESTROY);
        read("H 4", 7, null, List.of(SEALED_WORKER), List.of(OPEN_BROOD),
                cells(CellLook.SEALED, CombPlace.FACE, 1));
        swarmStep("H 4", 7, SwarmStep.Kind.RETURN_AND_REDUCE, SwarmStep.Kind.CHECK_NUC);
        read("H 5", 30, null, List.of(), List.of(OPEN_BROOD, QUEEN));
        read("H 5", 3, null, List.of(EGGS_SEVERAL, EGGS_ON_WALLS, SEALED_DRONE_SCATTERED, Sign.BEES_OLD),
                List.of(SEALED_WORKER));
        read("H 6", 2, null, List.of(Sign.CALM), List.of(Sign.BROOD, QUEEN_CELLS, QUEEN));
        read("H 7", 4, null, List.of(EGGS_SINGLE, SEALED_DRONE_SCATTERED), List.of(SEALED_WORKER));
        strong("H 8", 27, 16);
        read("H 9", 4, null, List.of(EGGS_SINGLE, LARVAE, SEALED_WORKER_SOLID), List.of(),
                cells(CellLook.SEALED, CombPlace.FACE, 2));
        happened("H 10", 9, EventKind.QUEEN_REMOVED);
        read("H 10", 1, null, List.of(EGGS), List.of());
        strong("H 11", 10, 3);
        read("H 12", 2, null, List.of(SEALED_WORKER, CAPS_SUNKEN, Sign.FOUL_SMELL, POLISHED_CELLS), List.of());
    }

    private void strong(String hive, int firstDaysAgo, int lastDaysAgo) {
        read(hive, firstDaysAgo, nest(), List.of(EGGS_SINGLE, LARVAE, QUEEN_MARKED), List.of(QUEEN_CELLS));
        if (lastDaysAgo < firstDaysAgo) {
            read(hive, lastDaysAgo, nest(), List.of(EGGS_SINGLE, LARVAE), List.of(QUEEN_CELLS, QUEEN));
        }
    }

    /** Ten frames as they stand in a good hive in June, food outside, brood in the middle. */
    private static List<SideDetail> nest() {
        List<List<Sign>> frames = List.of(List.of(SEALED_HONEY), List.of(SEALED_HONEY, POLLEN),
                List.of(SEALED_WORKER, POLLEN, SEALED_HONEY), List.of(SEALED_WORKER, YOUNG_LARVAE),
                List.of(EGGS_SINGLE, OLD_LARVAE, SEALED_WORKER), List.of(EGGS_SINGLE, YOUNG_LARVAE),
                List.of(SEALED_WORKER, OLD_LARVAE, EMPTY_COMB), List.of(SEALED_WORKER, POLLEN),
                List.of(NECTAR, POLLEN, EMPTY_COMB), List.of(FOUNDATION));
        List<SideDetail> sides = new ArrayList<>();
        for (int slot = 1; slot <= frames.size(); slot++) {
            List<Sign> signs = frames.get(slot - 1);
            sides.add(new SideDetail(slot, Side.NEAR, signs));
            sides.add(new SideDetail(slot, Side.FAR, slot < 4 || signs.size() < 2 ? signs : signs.reversed()));
        }
        return sides;
    }

    private static CellsDetail cells(CellLook look, CombPlace place, int count) {
        return new CellsDetail(look, place, count, null);
    }

    private void read(String hive, int daysAgo, @Nullable List<SideDetail> frames, List<Sign> seen, List<Sign> absent,
            CellsDetail... cells) {
        book.entry(hive, today.minusDays(daysAgo), EntryKind.READ, Detail.ofReading(
                new ReadingDetail(seen, absent, List.of(cells), frames, frames == null ? null : 8.0,
                        null, null, null, null)));
    }

    private void swarmStep(String hive, int daysAgo, SwarmStep.Kind... steps) {
        for (SwarmStep.Kind step : steps) {
            book.entry(hive, today.minusDays(daysAgo), EntryKind.SWARM_STEP_DONE,
                    Detail.ofSwarmStep(step, SwarmSchool.DESTROY_AND_RETURN));
        }
    }

    private void happened(String hive, int daysAgo, EventKind kind) {
        book.entry(hive, today.minusDays(daysAgo), EntryKind.HAPPENED, Detail.ofEvent(kind));
    }
}
