package vividcrown.server.queen;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;
import vividcrown.core.queen.CullReason;
import vividcrown.core.queen.LifeEntry;
import vividcrown.core.queen.Milestone;
import vividcrown.core.queen.Origin;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.QueenEvent;
import vividcrown.core.queen.QueenLife;
import vividcrown.core.queen.Stage;
import vividcrown.core.queen.Whereabouts;
import vividcrown.core.queen.YearColour;

/** A cell, virgin or queen: one row from cup to her end, made from her entries. */
@Entity(name = "Queen")
@Table(name = "queen")
class QueenRow implements Queen, Persistable<UUID> {

    private enum Place {
        BAR, INCUBATOR, HIVE, ELSEWHERE
    }

    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private String code;
    private String name;
    private @Nullable UUID graftId;
    private int bar;
    private int cup;
    private @Nullable UUID motherId;
    private @Nullable String line;
    private boolean breeder;
    private @Nullable Integer wishedDaughters;
    @Enumerated(EnumType.STRING)
    private Origin.@Nullable Kind origin;
    private @Nullable String originFrom;
    private @Nullable UUID originHive;
    @Enumerated(EnumType.STRING)
    private @Nullable YearColour wears;
    @Enumerated(EnumType.STRING)
    private Stage stage;
    private boolean alive;
    @Enumerated(EnumType.STRING)
    private Place whereabouts;
    private @Nullable UUID hiveId;
    private @Nullable UUID matingHiveId;
    private @Nullable UUID placedBy;
    private long placedSequence;
    private boolean placedBeside;
    private @Nullable Integer cage;
    private int emergenceYear;
    private String mark;
    private @Nullable LocalDate graftedOn;
    private @Nullable LocalDate takeCountedOn;
    private @Nullable LocalDate sealedSeenOn;
    private @Nullable LocalDate cagedOn;
    private @Nullable LocalDate placedAsCellOn;
    private @Nullable LocalDate placedAsVirginOn;
    private @Nullable LocalDate emergedSeenOn;
    private @Nullable LocalDate virginSeenOn;
    private @Nullable LocalDate lastLookWithoutEggsOn;
    private @Nullable LocalDate eggsSeenOn;
    private @Nullable LocalDate sealedBroodSeenOn;
    private @Nullable LocalDate droneBroodSeenOn;
    private @Nullable LocalDate notFoundOn;
    private @Nullable LocalDate markedOn;
    private @Nullable LocalDate markLostOn;
    private @Nullable LocalDate markWornOn;
    private @Nullable LocalDate clippedOn;
    private @Nullable LocalDate endedOn;
    @Enumerated(EnumType.STRING)
    private @Nullable CullReason cullReason;

    @Transient
    private boolean isNew;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected QueenRow() {
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return isNew;
    }

    /** A cup of a graft. */
    static QueenRow ofCup(UUID id, String code, UUID graft, int bar, int cup, UUID mother) {
        QueenRow queen = new QueenRow(id, code, "", mother);
        queen.graftId = graft;
        queen.bar = bar;
        queen.cup = cup;
        return queen;
    }

    static QueenRow ofKnown(QueenDeed.Known known) {
        return new QueenRow(known.queen(), known.code(), known.name(), known.mother().orElse(null))
                .stated(known);
    }

    /** The last to speak of her is right. */
    QueenRow stated(QueenDeed.Known known) {
        code = known.code();
        name = known.name();
        motherId = known.mother().orElse(null);
        origin = known.origin().map(Origin::kind).orElse(null);
        originFrom = known.origin().map(Origin::from).filter(from -> !from.isEmpty()).orElse(null);
        originHive = known.origin().flatMap(Origin::hive).orElse(null);
        wears = known.wears().orElse(null);
        line = known.line().isEmpty() ? null : known.line();
        return this;
    }

    private QueenRow(UUID id, String code, String name, @Nullable UUID mother) {
        this.id = id;
        this.isNew = true;
        this.code = code;
        this.name = name;
        this.motherId = mother;
        this.stage = Stage.GRAFTED;
        this.whereabouts = Place.ELSEWHERE;
        this.mark = "";
    }

    /** @param placing the last entry that put her into a hive, empty if none did */
    void write(QueenLife life, Optional<LifeEntry> placing, Optional<UUID> mating, Optional<CullReason> cullReason) {
        stage = life.stage();
        alive = life.isAlive();
        emergenceYear = life.emergenceYear();
        mark = life.mark();
        placedBy = placing.map(LifeEntry::id).orElse(null);
        placedSequence = placing.map(LifeEntry::sequence).orElse(0L);
        placedBeside = placing.map(LifeEntry::event).map(QueenEvent.Placed.class::cast)
                .map(QueenEvent.Placed::besideAnother).orElse(false);
        hiveId = placing.map(LifeEntry::event).map(QueenEvent.Placed.class::cast)
                .map(QueenEvent.Placed::hive).orElse(null);
        matingHiveId = mating.orElse(null);
        this.cullReason = cullReason.orElse(null);
        cage = null;
        switch (life.where()) {
            case Whereabouts.OnTheBar _ -> whereabouts = Place.BAR;
            case Whereabouts.InIncubator(int number) -> {
                whereabouts = Place.INCUBATOR;
                cage = number;
            }
            case Whereabouts.InHive _ -> whereabouts = Place.HIVE;
            case Whereabouts.Elsewhere _ -> whereabouts = Place.ELSEWHERE;
        }
        for (Milestone milestone : Milestone.values()) {
            set(milestone, life.on(milestone).orElse(null));
        }
    }

    @Override
    public QueenLife life() {
        Map<Milestone, LocalDate> milestones = new EnumMap<>(Milestone.class);
        for (Milestone milestone : Milestone.values()) {
            LocalDate day = get(milestone);
            if (day != null) {
                milestones.put(milestone, day);
            }
        }
        return new QueenLife(stage, where(), milestones, emergenceYear, mark);
    }

    private Whereabouts where() {
        return switch (whereabouts) {
            case BAR -> new Whereabouts.OnTheBar();
            case INCUBATOR -> new Whereabouts.InIncubator(Objects.requireNonNull(cage));
            case HIVE -> new Whereabouts.InHive(Objects.requireNonNull(hiveId));
            case ELSEWHERE -> new Whereabouts.Elsewhere();
        };
    }

    private @Nullable LocalDate get(Milestone milestone) {
        return switch (milestone) {
            case GRAFTED -> graftedOn;
            case TAKE_COUNTED -> takeCountedOn;
            case SEALED_SEEN -> sealedSeenOn;
            case CAGED -> cagedOn;
            case PLACED_AS_CELL -> placedAsCellOn;
            case PLACED_AS_VIRGIN -> placedAsVirginOn;
            case EMERGED_SEEN -> emergedSeenOn;
            case VIRGIN_SEEN -> virginSeenOn;
            case LAST_LOOK_WITHOUT_EGGS -> lastLookWithoutEggsOn;
            case EGGS_SEEN -> eggsSeenOn;
            case SEALED_BROOD_SEEN -> sealedBroodSeenOn;
            case DRONE_BROOD_SEEN -> droneBroodSeenOn;
            case NOT_FOUND -> notFoundOn;
            case MARKED -> markedOn;
            case MARK_LOST -> markLostOn;
            case MARK_WORN -> markWornOn;
            case CLIPPED -> clippedOn;
            case ENDED -> endedOn;
        };
    }

    private void set(Milestone milestone, @Nullable LocalDate day) {
        switch (milestone) {
            case GRAFTED -> graftedOn = day;
            case TAKE_COUNTED -> takeCountedOn = day;
            case SEALED_SEEN -> sealedSeenOn = day;
            case CAGED -> cagedOn = day;
            case PLACED_AS_CELL -> placedAsCellOn = day;
            case PLACED_AS_VIRGIN -> placedAsVirginOn = day;
            case EMERGED_SEEN -> emergedSeenOn = day;
            case VIRGIN_SEEN -> virginSeenOn = day;
            case LAST_LOOK_WITHOUT_EGGS -> lastLookWithoutEggsOn = day;
            case EGGS_SEEN -> eggsSeenOn = day;
            case SEALED_BROOD_SEEN -> sealedBroodSeenOn = day;
            case DRONE_BROOD_SEEN -> droneBroodSeenOn = day;
            case NOT_FOUND -> notFoundOn = day;
            case MARKED -> markedOn = day;
            case MARK_LOST -> markLostOn = day;
            case MARK_WORN -> markWornOn = day;
            case CLIPPED -> clippedOn = day;
            case ENDED -> endedOn = day;
        }
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
    public String name() {
        return name;
    }

    @Override
    public Optional<UUID> graftId() {
        return Optional.ofNullable(graftId);
    }

    @Override
    public int bar() {
        return bar;
    }

    @Override
    public int cup() {
        return cup;
    }

    @Override
    public Optional<UUID> motherId() {
        return Optional.ofNullable(motherId);
    }

    @Override
    public String line() {
        return line != null ? line : name.isEmpty() ? code : name;
    }

    @Override
    public Optional<UUID> hiveId() {
        return Optional.ofNullable(hiveId);
    }

    @Override
    public Optional<Integer> cage() {
        return Optional.ofNullable(cage);
    }

    @Override
    public Stage stage() {
        return stage;
    }

    @Override
    public boolean breeder() {
        return breeder;
    }

    @Override
    public Optional<Integer> wishedDaughters() {
        return Optional.ofNullable(wishedDaughters);
    }

    /** @param said whether she is a mother to graft from, and for how many, as somebody said last */
    void breeds(boolean said, Optional<Integer> daughters) {
        breeder = said;
        wishedDaughters = daughters.orElse(null);
    }

    @Override
    public Optional<Origin> origin() {
        return origin == null
                ? Optional.empty()
                : Optional
                        .of(new Origin(origin, originFrom == null ? "" : originFrom, Optional.ofNullable(originHive)));
    }

    @Override
    public Optional<YearColour> wears() {
        return Optional.ofNullable(wears);
    }

    @Override
    public Optional<CullReason> cullReason() {
        return Optional.ofNullable(cullReason);
    }
}
