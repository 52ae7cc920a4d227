package vividcrown.server.rearing;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.GraftFold;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.GraftShare;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;
import vividcrown.core.rearing.RearingDeed;
import vividcrown.core.rearing.StepKind;

/** A batch: larvae of one mother, grafted by one person on one day into one builder. */
@Entity(name = "Graft")
@Table(name = "graft")
class GraftRow implements Graft {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private String code;
    private UUID motherId;
    private UUID builderId;
    private String grafter;
    private Instant plannedFor;
    private LocalDate graftDay;
    private boolean grafted;
    private boolean cancelled;
    @Enumerated(EnumType.STRING)
    private LarvaAge larvaAge;
    @Enumerated(EnumType.STRING)
    @Column(name = "cell_placing")
    private Placing placing;
    private double incubatorCelsius;
    private int bars;
    private int cupsPerBar;
    private String[] stepsDone;
    @JdbcTypeCode(SqlTypes.JSON)
    private List<GraftShare> shares;
    private boolean fixed;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected GraftRow() {
    }

    GraftRow(UUID id, GraftFold.State state) {
        RearingDeed.Planned planned = state.planned();
        this.id = id;
        this.code = planned.code();
        this.motherId = planned.mother();
        this.builderId = planned.builder();
        this.grafter = planned.grafter();
        this.plannedFor = planned.plannedFor().toInstant();
        this.graftDay = state.graftDay();
        this.grafted = state.isDone();
        this.cancelled = state.isCancelled();
        this.larvaAge = planned.larvaAge();
        this.placing = planned.placing();
        this.incubatorCelsius = planned.incubatorCelsius();
        this.bars = planned.bars();
        this.cupsPerBar = planned.cupsPerBar();
        this.shares = List.copyOf(state.shares());
        this.fixed = planned.fixed();
        this.stepsDone = state.steps().stream().sorted().map(Enum::name).toArray(String[]::new);
    }

    @Override
    public GraftPlan plan(BuilderSchool school) {
        return new GraftPlan(graftDay, larvaAge, school, placing, incubatorCelsius);
    }

    @Override
    public RearingDeed.Planned plannedAgain(UUID again, ZonedDateTime when) {
        return new RearingDeed.Planned(again, "", motherId, builderId, grafter, when, larvaAge, placing,
                incubatorCelsius,
                bars, cupsPerBar, shares, true);
    }

    @Override
    public UUID id() {
        return id;
    }

    @Override
    public String code() {
        return code;
    }

    @Override
    public UUID motherId() {
        return motherId;
    }

    @Override
    public UUID builderId() {
        return builderId;
    }

    @Override
    public String grafter() {
        return grafter;
    }

    @Override
    public Instant plannedFor() {
        return plannedFor;
    }

    @Override
    public LocalDate graftDay() {
        return graftDay;
    }

    @Override
    public boolean grafted() {
        return grafted;
    }

    @Override
    public boolean cancelled() {
        return cancelled;
    }

    @Override
    public LarvaAge larvaAge() {
        return larvaAge;
    }

    @Override
    public Placing placing() {
        return placing;
    }

    @Override
    public int bars() {
        return bars;
    }

    @Override
    public int cupsPerBar() {
        return cupsPerBar;
    }

    @Override
    public List<GraftShare> shares() {
        return shares;
    }

    @Override
    public boolean fixed() {
        return fixed;
    }

    @Override
    public Set<StepKind> stepsDone() {
        return Arrays.stream(stepsDone).map(StepKind::valueOf)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(StepKind.class)));
    }
}
