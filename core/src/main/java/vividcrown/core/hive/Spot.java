package vividcrown.core.hive;

import java.util.UUID;

/** One end of a frame's way, as whoever moved it says it. */
public sealed interface Spot {

    /** Where the frame is then. */
    FramePlace place();

    /**
     * In a box of a hive.
     *
     * @param slot from 1, as seen from the entrance
     */
    record InHive(UUID hive, UUID box, int slot) implements Spot {
        public InHive {
            new FramePlace.InBox(box, slot);
        }

        @Override
        public FramePlace place() {
            return new FramePlace.InBox(box, slot);
        }
    }

    /** @param where which store, freezer or shed */
    record InStock(String where) implements Spot {
        public InStock {
            new FramePlace.Stored(where);
        }

        @Override
        public FramePlace place() {
            return new FramePlace.Stored(where);
        }
    }

    /** Melted, burnt, sold with its bees. */
    record Away() implements Spot {
        @Override
        public FramePlace place() {
            return new FramePlace.Gone();
        }
    }
}
