package vividcrown.server.colony;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import vividcrown.core.time.DatedSpan;

/** A production colony. */
@Entity
@Table(name = "colony")
public class Colony {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private UUID yardId;
    private String code;
    private int position;
    private int frames;
    private String format;
    private @Nullable UUID queenId;
    private LocalDate setUpOn;
    private @Nullable LocalDate lastReadOn;
    private @Nullable LocalDate droneCombOn;
    private @Nullable LocalDate droneCombFrom;
    private @Nullable LocalDate droneCombUntil;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected Colony() {
    }

    Colony(UUID id, ColonySetUp setUp, LocalDate setUpOn, @Nullable LocalDate lastReadOn,
            @Nullable LocalDate droneCombOn, DroneCombMeant meant) {
        this.id = id;
        this.yardId = setUp.yard();
        this.code = setUp.code();
        this.position = setUp.position();
        this.frames = setUp.frames();
        this.format = setUp.format();
        this.queenId = setUp.queen();
        this.setUpOn = setUpOn;
        this.lastReadOn = lastReadOn;
        this.droneCombOn = droneCombOn;
        this.droneCombFrom = meant.from();
        this.droneCombUntil = meant.until();
    }

    public UUID id() {
        return id;
    }

    public UUID yardId() {
        return yardId;
    }

    public String code() {
        return code;
    }

    public int position() {
        return position;
    }

    public int frames() {
        return frames;
    }

    public String format() {
        return format;
    }

    /** Its queen, if she has a record of her own. */
    public Optional<UUID> queenId() {
        return Optional.ofNullable(queenId);
    }

    /** The day its drone comb was put in, if it is kept for its drones. */
    public Optional<LocalDate> droneCombOn() {
        return Optional.ofNullable(droneCombOn);
    }

    /** The days on which the season's plan wants drone comb put in; empty if it does not, or it is in. */
    public Optional<DatedSpan> droneCombMeant() {
        return droneCombFrom == null || droneCombUntil == null || droneCombOn != null
                ? Optional.empty()
                : Optional.of(DatedSpan.ofClosed(droneCombFrom, droneCombUntil));
    }

    /** The day of the newest reading, or of the set-up if it was never read. */
    public LocalDate lastKnownOn() {
        return lastReadOn().orElse(setUpOn);
    }

    public Optional<LocalDate> lastReadOn() {
        return Optional.ofNullable(lastReadOn);
    }
}
