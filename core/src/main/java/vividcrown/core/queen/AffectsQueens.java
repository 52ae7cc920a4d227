package vividcrown.core.queen;

import java.util.Optional;
import java.util.UUID;
import vividcrown.core.journal.Deed;

/** A deed, of whatever part of the job, that is an event in the life of a queen. */
public interface AffectsQueens extends Deed {

    /** What it is in her life; empty if it is nothing to her. */
    Optional<QueenEvent> eventFor(UUID queen);
}
