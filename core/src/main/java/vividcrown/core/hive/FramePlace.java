package vividcrown.core.hive;

import java.util.UUID;
import vividcrown.core.reason.Wrong;

/** Where a frame is. */
public sealed interface FramePlace {

    /**
     * In a box, wherever that box stands.
     *
     * @param slot from 1, as seen from the entrance
     */
    record InBox(UUID box, int slot) implements FramePlace {
        public InBox {
            if (slot < 1 || slot > Box.MOST_SLOTS) {
                throw Wrong.of("wrong.FramePlace", Box.MOST_SLOTS, slot);
            }
        }
    }

    /**
     * In the comb stock: a store, a freezer.
     *
     * @param where in words
     */
    record Stored(String where) implements FramePlace {
        public Stored {
            if (where.isBlank()) {
                throw Wrong.of("wrong.FramePlace.2");
            }
        }
    }

    /** Melted, burnt, sold with its bees. */
    record Gone() implements FramePlace {
    }
}
