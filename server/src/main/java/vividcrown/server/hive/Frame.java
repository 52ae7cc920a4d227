package vividcrown.server.hive;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import vividcrown.core.hive.FrameFold;
import vividcrown.core.hive.FramePlace;

/** A frame, wherever it is. */
@Entity
@Table(name = "frame")
class Frame {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private @Nullable UUID boxId;
    private int slot;
    private @Nullable String store;
    private LocalDate since;
    private UUID placedBy;
    private long placedSequence;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected Frame() {
    }

    Frame(UUID id, FrameFold.Stay stay) {
        this.id = id;
        this.since = stay.since();
        this.placedBy = stay.entry();
        this.placedSequence = stay.sequence();
        switch (stay.place()) {
            case FramePlace.InBox(UUID box, int place) -> {
                boxId = box;
                slot = place;
                store = "";
            }
            case FramePlace.Stored(String where) -> store = where;
            case FramePlace.Gone _ -> store = null;
        }
    }

    public UUID id() {
        return id;
    }

    public Optional<UUID> boxId() {
        return Optional.ofNullable(boxId);
    }

    /** From 1; 0 while it hangs in no box. */
    public int slot() {
        return slot;
    }

    /** Which comb stock it is in; empty if it hangs in a box or is gone. */
    public Optional<String> stored() {
        return boxId == null ? Optional.ofNullable(store) : Optional.empty();
    }

    public LocalDate since() {
        return since;
    }

    UUID placedBy() {
        return placedBy;
    }

    long placedSequence() {
        return placedSequence;
    }
}
