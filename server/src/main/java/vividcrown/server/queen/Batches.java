package vividcrown.server.queen;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Map;
import java.util.UUID;
import vividcrown.core.rearing.GraftPlan;

/** What queens must know of the grafts they come from. Whoever keeps the grafts answers. */
public interface Batches {

    /** @param graftDay the day it was done; @param plan as core reckons with it */
    record Batch(UUID graft, LocalDate graftDay, GraftPlan plan) {
    }

    /** By the graft; one that is not known is not in it. */
    Map<UUID, Batch> of(Collection<UUID> grafts);
}
