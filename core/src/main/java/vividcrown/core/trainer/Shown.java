package vividcrown.core.trainer;

import java.util.List;
import java.util.Set;
import vividcrown.core.introduction.CageReading;
import vividcrown.core.reading.CellLook;

/** What is shown and is to be read. */
public sealed interface Shown {

    /**
     * A queen cell on a comb.
     *
     * @param across 0 at the left, 1 at the right
     * @param down 0 at the top bar, 1 at the bottom bar
     */
    record CellAt(double across, double down, CellLook look) {
    }

    /** One side of a comb, and the queen cells on it. */
    record Comb(CombPicture picture, List<CellAt> cells) implements Shown {
        public Comb {
            cells = List.copyOf(cells);
        }
    }

    /** A queen cell from near by. */
    record OneCell(CellLook look) implements Shown {
    }

    /** Bees at a cage on the top bars. @param minutes for which they were watched */
    record Cage(Set<CageReading.Behaviour> behaviours, double minutes) implements Shown {
        public Cage {
            behaviours = Set.copyOf(behaviours);
        }
    }
}
