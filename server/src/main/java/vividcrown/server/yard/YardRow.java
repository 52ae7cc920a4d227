package vividcrown.server.yard;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import vividcrown.core.climate.Climate;
import vividcrown.core.yard.Flow;
import vividcrown.core.yard.SiteCondition;
import vividcrown.core.yard.YardDeed;
import vividcrown.core.yard.YardFold;

/** A place where hives stand. */
@Entity(name = "Yard")
@Table(name = "yard")
class YardRow implements Yard {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private String name;
    private String prefix;
    private int walkOrder;
    private double latitude;
    private double longitude;
    private int elevationMetres;
    private String caution;
    @Enumerated(EnumType.STRING)
    private Climate climate;
    private boolean climateSaid;
    private List<Double> ownHighs;
    private boolean stationOn;
    private List<String> conditions;
    private String rules;
    private List<String> matingLines;
    private @Nullable Integer driveMinutes;
    @Enumerated(EnumType.STRING)
    private @Nullable Flow flow;
    private @Nullable LocalDate flowOn;
    private @Nullable LocalDate closedOn;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected YardRow() {
    }

    YardRow(YardFold.State state) {
        YardDeed.Opened opened = state.opened();
        this.flow = state.flow().map(YardFold.FlowNoted::flow).orElse(null);
        this.flowOn = state.flow().map(YardFold.FlowNoted::on).orElse(null);
        this.id = opened.yard();
        this.name = opened.name();
        this.prefix = opened.prefix();
        this.walkOrder = opened.walkOrder();
        this.latitude = opened.latitude();
        this.longitude = opened.longitude();
        this.elevationMetres = opened.elevationMetres();
        this.caution = opened.caution();
        this.climate = state.climateOrLikely();
        this.climateSaid = state.climate().isPresent();
        this.ownHighs = state.climate().map(YardDeed.ClimateSaid::ownHighs).orElse(List.of());
        this.stationOn = state.stationOn();
        this.conditions = state.conditions().stream().map(SiteCondition::name).sorted().toList();
        this.rules = state.rules();
        this.matingLines = state.mating().map(said -> said.lines().stream().sorted().toList()).orElse(List.of());
        this.driveMinutes = state.mating().flatMap(YardDeed.MatingSaid::driveMinutes).orElse(null);
        this.closedOn = state.closedOn().orElse(null);
    }

    @Override
    public UUID id() {
        return id;
    }

    @Override
    public String name() {
        return name;
    }

    @Override
    public int walkOrder() {
        return walkOrder;
    }

    @Override
    public double latitude() {
        return latitude;
    }

    @Override
    public double longitude() {
        return longitude;
    }

    @Override
    public int elevationMetres() {
        return elevationMetres;
    }

    @Override
    public String caution() {
        return caution;
    }

    @Override
    public String prefix() {
        return prefix;
    }

    @Override
    public Climate climate() {
        return climate;
    }

    @Override
    public boolean climateSaid() {
        return climateSaid;
    }

    @Override
    public List<Double> ownHighs() {
        return ownHighs;
    }

    @Override
    public boolean stationOn() {
        return stationOn;
    }

    @Override
    public Set<SiteCondition> conditions() {
        return conditions.stream().map(SiteCondition::valueOf).collect(Collectors.toSet());
    }

    @Override
    public String rules() {
        return rules;
    }

    @Override
    public Set<String> matingLines() {
        return Set.copyOf(matingLines);
    }

    @Override
    public Optional<Integer> driveMinutes() {
        return Optional.ofNullable(driveMinutes);
    }

    @Override
    public Optional<LocalDate> closedOn() {
        return Optional.ofNullable(closedOn);
    }

    @Override
    public Optional<YardFold.FlowNoted> flowSaid() {
        return flow == null || flowOn == null
                ? Optional.empty()
                : Optional.of(new YardFold.FlowNoted(flow, flowOn));
    }
}
