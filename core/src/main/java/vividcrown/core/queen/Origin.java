package vividcrown.core.queen;

import java.util.Optional;
import java.util.UUID;
import vividcrown.core.journal.Faults;

/**
 * Where a queen comes from who was not grafted here.
 *
 * @param from whom, or which hive or swarm, in words; may be empty, at most 200 characters
 * @param hive of this operation in which she was raised, or from which the swarm went; empty if it is not known or was another's
 */
public record Origin(Kind kind, String from, Optional<UUID> hive) {

    /** In which way she came. */
    public enum Kind {
        BOUGHT,
        /** She came with a swarm; whose daughter she is nobody knows. */
        SWARM,
        /** Bees that were about to swarm raised her. */
        SWARM_CELL,
        /** Bees that had lost their queen raised her. */
        EMERGENCY_CELL,
        /** Bees raised her beside a queen that was failing. */
        SUPERSEDURE_CELL,
        /** Bees of the operation raised her by themselves; why, nobody saw. */
        OWN_CELL, UNKNOWN;

        /** Whether a hive of the operation can be where she is from. */
        public boolean isOfHive() {
            return this != BOUGHT && this != UNKNOWN;
        }
    }

    /** @throws IllegalArgumentException if a queen from elsewhere is said to be from a hive of one's own */
    public Origin {
        new Faults().text("from", from, 0, 200).unless(hive.isEmpty() || kind.isOfHive(), "fault.originHive", kind)
                .refuse();
    }

    public Origin(Kind kind, String from) {
        this(kind, from, Optional.empty());
    }
}
