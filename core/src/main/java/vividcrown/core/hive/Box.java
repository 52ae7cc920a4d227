package vividcrown.core.hive;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import vividcrown.core.reason.Wrong;

/**
 * A part of a stack, as it comes into the record.
 *
 * @param format name of its frame format; empty where no frames hang in it
 * @param slots places for frames, 1–24; 0 where no frames hang in it
 * @param frames how many frames hang in it when it comes, in slots 1 and up
 */
public record Box(UUID id, BoxKind kind, String format, int slots, int frames) {

    /** The widest boxes in use. */
    public static final int MOST_SLOTS = 24;

    public Box {
        if (kind.hasFrames() && (slots < 1 || slots > MOST_SLOTS)) {
            throw Wrong.of("wrong.Box", MOST_SLOTS, slots);
        }
        if (kind.hasFrames() && format.isBlank()) {
            throw Wrong.of("wrong.Box.2");
        }
        if (!kind.hasFrames() && slots != 0) {
            throw Wrong.of("wrong.Box.3", kind, slots);
        }
        if (frames < 0 || frames > slots) {
            throw Wrong.of("wrong.Box.4", slots, frames);
        }
    }

    /** A brood box, full of frames. */
    public static Box brood(UUID id, String format, int slots) {
        return new Box(id, BoxKind.BROOD, format, slots, slots);
    }

    /** The frame that hung in a slot when the box came: its identity follows from the box, so that nobody must name it. */
    public UUID frame(int slot) {
        return frameOf(id, slot);
    }

    static UUID frameOf(UUID box, int slot) {
        return UUID.nameUUIDFromBytes((box + " frame " + slot).getBytes(StandardCharsets.UTF_8));
    }

    /** Every frame that came with it, in slot order. */
    public List<UUID> allFrames() {
        List<UUID> all = new ArrayList<>();
        for (int slot = 1; slot <= frames; slot++) {
            all.add(frame(slot));
        }
        return all;
    }
}
