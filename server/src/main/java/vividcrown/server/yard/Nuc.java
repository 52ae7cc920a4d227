package vividcrown.server.yard;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;

/** A mating nuc. Who is in it is kept up by the queens' projection. */
@Entity
@Table(name = "nuc")
public class Nuc {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private UUID yardId;
    private String code;
    private int position;
    private LocalDate setUpOn;
    private @Nullable UUID queenId;
    private @Nullable LocalDate emptySince;
    private int rounds;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected Nuc() {
    }

    Nuc(UUID id) {
        this.id = id;
        this.code = "";
    }

    void setUp(BoxSetUp setUp, LocalDate day) {
        this.yardId = setUp.yard();
        this.code = setUp.code();
        this.position = setUp.position();
        this.setUpOn = day;
        if (queenId == null && rounds == 0) {
            this.emptySince = day;
        }
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

    /** The queen or cell in it. */
    public Optional<UUID> queenId() {
        return Optional.ofNullable(queenId);
    }

    public Optional<LocalDate> emptySince() {
        return Optional.ofNullable(emptySince);
    }

    /** Cells and virgins given so far. */
    public int rounds() {
        return rounds;
    }
}
