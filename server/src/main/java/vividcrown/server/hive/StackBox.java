package vividcrown.server.hive;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import vividcrown.core.hive.BoxKind;

/**
 * A box with the frames in it.
 *
 * @param level place in the stack, from 1 at the bottom; 0 in the store
 * @param store where it is stored, empty while it stands on a hive
 */
public record StackBox(UUID id, BoxKind kind, String format, int slots, int level, String store,
        List<StackFrame> frames) {

    /** @param since the day it came into this slot */
    public record StackFrame(UUID id, int slot, LocalDate since) {
    }
}
