package vividcrown.server.journal;

import java.time.Instant;
import java.time.ZonedDateTime;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.journal.Deed;

/**
 * A deed to be recorded.
 *
 * @param id made by whoever records it; the same id twice is one entry
 * @param happenedAt when, by the clock of the place
 * @param recordedAt when it was written down
 * @param by who wrote it down
 * @param corrects the entry in whose place it comes, if it corrects one
 */
public record NewEntry(UUID id, ZonedDateTime happenedAt, Instant recordedAt, UUID by, Deed deed,
        Optional<UUID> corrects) {
}
