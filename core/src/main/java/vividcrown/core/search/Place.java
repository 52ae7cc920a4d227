package vividcrown.core.search;

import java.util.Optional;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.reason.Sentence;

/** Where a queen may be in an open hive. Boxes count from 1 at the bottom, slots from 1 as seen from the entrance. */
public sealed interface Place {

    /** What a place is. */
    enum Kind {
        COMB, HOLE, LID, WALLS, EXCLUDER, FLOOR
    }

    Sentence sentence();

    /** @param slot of a comb or a hole @param side of a comb */
    static Place of(Kind kind, int box, int slot, Optional<FrameSide> side) {
        return switch (kind) {
            case COMB -> new OnComb(box, slot, side.orElseThrow());
            case HOLE -> new InHole(box, slot);
            case LID -> new Lid();
            case WALLS -> new Walls(box);
            case EXCLUDER -> new Excluder(box);
            case FLOOR -> new Floor();
        };
    }

    /** On one side of a comb. */
    record OnComb(int box, int slot, FrameSide side) implements Place {
        @Override
        public Sentence sentence() {
            return Sentence.of("search.place.comb", box, slot, Sentence.of("search.side." + side));
        }

        public OnComb otherSide() {
            return new OnComb(box, slot, side == FrameSide.NEAR ? FrameSide.FAR : FrameSide.NEAR);
        }
    }

    /** In a hole of a comb, or between a broken comb and its bar. */
    record InHole(int box, int slot) implements Place {
        @Override
        public Sentence sentence() {
            return Sentence.of("search.place.hole", box, slot);
        }
    }

    /** Under the lid. */
    record Lid() implements Place {
        @Override
        public Sentence sentence() {
            return Sentence.of("search.place.lid");
        }
    }

    /** On the walls of a box. */
    record Walls(int box) implements Place {
        @Override
        public Sentence sentence() {
            return Sentence.of("search.place.walls", box);
        }
    }

    /** On the excluder that lies on a box. */
    record Excluder(int box) implements Place {
        @Override
        public Sentence sentence() {
            return Sentence.of("search.place.excluder", box);
        }
    }

    record Floor() implements Place {
        @Override
        public Sentence sentence() {
            return Sentence.of("search.place.floor");
        }
    }
}
