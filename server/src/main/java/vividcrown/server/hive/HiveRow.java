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
@Entity(name = "Hive")
@Table(name = "hive")
class HiveRow implements Hive {
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
    private String reservedFor = "";
    private List<UUID> stack;
    private @Nullable UUID queenId;
    private int queens;
    private @Nullable LocalDate emptySince;
    private int rounds;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected HiveRow() {
    }

    @SuppressWarnings("NullAway") // the rest is written next
    HiveRow(UUID id) {
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
        reservedFor = state.reservedFor();
        stack = state.stack().stream().map(Box::id).toList();
    }

    @Override
    public UUID id() {
        return id;
    }

    @Override
    public UUID yardId() {
        return yardId;
    }

    @Override
    public String code() {
        return code;
    }

    UUID codedBy() {
        return codedBy;
    }

    long codedSequence() {
        return codedSequence;
    }

    @Override
    public int position() {
        return position;
    }

    @Override
    public Purpose purpose() {
        return purpose;
    }

    @Override
    public boolean isEnded() {
        return endedOn != null;
    }

    @Override
    public Optional<LocalDate> endedOn() {
        return Optional.ofNullable(endedOn);
    }

    @Override
    public Optional<HiveEnd> endReason() {
        return Optional.ofNullable(endReason);
    }

    @Override
    public LocalDate setUpOn() {
        return setUpOn;
    }

    @Override
    public List<UUID> stack() {
        return stack;
    }

    @Override
    public Optional<UUID> queenId() {
        return Optional.ofNullable(queenId);
    }

    @Override
    public int queens() {
        return queens;
    }

    @Override
    public Optional<LocalDate> emptySince() {
        return Optional.ofNullable(emptySince);
    }

    @Override
    public int rounds() {
        return rounds;
    }

    @Override
    public Optional<LocalDate> droneCombOn() {
        return Optional.ofNullable(droneCombOn);
    }

    @Override
    public String reservedFor() {
        return reservedFor;
    }

    @Override
    public Optional<DatedSpan> droneCombMeant() {
        return droneCombFrom == null || droneCombUntil == null
                ? Optional.empty()
                : Optional.of(DatedSpan.ofClosed(droneCombFrom, droneCombUntil));
    }

    @Override
    public Optional<LocalDate> lastReadOn() {
        return Optional.ofNullable(lastReadOn);
    }

    @Override
    public LocalDate lastKnownOn() {
        return lastReadOn().orElse(setUpOn);
    }
}
