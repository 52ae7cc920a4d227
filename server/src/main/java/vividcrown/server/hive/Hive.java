package vividcrown.server.hive;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import vividcrown.core.hive.Box;
import vividcrown.core.hive.HiveEnd;
import vividcrown.core.hive.HiveState;
import vividcrown.core.hive.Purpose;
import vividcrown.core.time.DatedSpan;

/** A hive, whatever it is kept for. Who is in it is kept up by the queens' rows. */
@Entity
@Table(name = "hive")
public class Hive {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private UUID yardId;
    private String code;
    private UUID codedBy;
    private long codedSequence;
    private int position;
    @Enumerated(EnumType.STRING)
    private Purpose purpose;
    private UUID purposedBy;
    private long purposedSequence;
    private LocalDate setUpOn;
    private @Nullable LocalDate endedOn;
    private @Nullable UUID endedBy;
    private long endedSequence;
    @Enumerated(EnumType.STRING)
    private @Nullable HiveEnd endReason;
    private @Nullable LocalDate lastReadOn;
    private @Nullable LocalDate droneCombOn;
    private @Nullable LocalDate droneCombFrom;
    private @Nullable LocalDate droneCombUntil;
    private List<UUID> stack;
    private @Nullable UUID queenId;
    private int queens;
    private @Nullable LocalDate emptySince;
    private int rounds;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected Hive() {
    }

    @SuppressWarnings("NullAway") // the rest is written next
    Hive(UUID id) {
        this.id = id;
    }

    void write(HiveState state) {
        yardId = state.yard();
        code = state.code();
        codedBy = state.codedBy().entry();
        codedSequence = state.codedBy().sequence();
        position = state.position();
        purpose = state.purpose();
        purposedBy = state.purposedBy().entry();
        purposedSequence = state.purposedBy().sequence();
        setUpOn = state.setUp();
        endedOn = state.end().map(HiveState.End::day).orElse(null);
        endedBy = state.end().map(end -> end.by().entry()).orElse(null);
        endedSequence = state.end().map(end -> end.by().sequence()).orElse(0L);
        endReason = state.end().map(HiveState.End::why).orElse(null);
        lastReadOn = state.lastRead().orElse(null);
        droneCombOn = state.droneComb().orElse(null);
        droneCombFrom = state.droneCombMeant().map(DatedSpan::earliest).orElse(null);
        droneCombUntil = state.droneCombMeant().map(DatedSpan::latest).orElse(null);
        stack = state.stack().stream().map(Box::id).toList();
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

    UUID codedBy() {
        return codedBy;
    }

    long codedSequence() {
        return codedSequence;
    }

    public int position() {
        return position;
    }

    public Purpose purpose() {
        return purpose;
    }

    public boolean isEnded() {
        return endedOn != null;
    }

    public Optional<LocalDate> endedOn() {
        return Optional.ofNullable(endedOn);
    }

    public Optional<HiveEnd> endReason() {
        return Optional.ofNullable(endReason);
    }

    public LocalDate setUpOn() {
        return setUpOn;
    }

    /** Its boxes from the bottom up, by what was done at this hive. */
    List<UUID> stack() {
        return stack;
    }

    /** The queen or cell in it; the last placed if there are two. */
    public Optional<UUID> queenId() {
        return Optional.ofNullable(queenId);
    }

    /** How many are in it by the record: none, one or two. */
    public int queens() {
        return queens;
    }

    public Optional<LocalDate> emptySince() {
        return Optional.ofNullable(emptySince);
    }

    /** Cells, virgins and queens given so far. */
    public int rounds() {
        return rounds;
    }

    /** The day its drone comb was put in, if it is kept for its drones. */
    public Optional<LocalDate> droneCombOn() {
        return Optional.ofNullable(droneCombOn);
    }

    /** The days on which the season's plan wants drone comb put in; empty if it does not, or it is in. */
    public Optional<DatedSpan> droneCombMeant() {
        return droneCombFrom == null || droneCombUntil == null
                ? Optional.empty()
                : Optional.of(DatedSpan.ofClosed(droneCombFrom, droneCombUntil));
    }

    public Optional<LocalDate> lastReadOn() {
        return Optional.ofNullable(lastReadOn);
    }

    /** The day of the newest reading, or of the set-up if it was never read. */
    public LocalDate lastKnownOn() {
        return lastReadOn().orElse(setUpOn);
    }
}
