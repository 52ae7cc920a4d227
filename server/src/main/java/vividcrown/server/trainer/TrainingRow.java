package vividcrown.server.trainer;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.jspecify.annotations.Nullable;
import vividcrown.core.trainer.Drill;
import vividcrown.core.trainer.Exercise;
import vividcrown.core.trainer.Quality;
import vividcrown.core.trainer.Season;
import vividcrown.core.trainer.Skill;

/** An exercise that somebody did. */
@Entity
@Table(name = "training")
class TrainingRow {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    private UUID personId;
    private Instant doneAt;
    private LocalDate day;
    @Enumerated(EnumType.STRING)
    private Skill skill;
    private int level;
    @Enumerated(EnumType.STRING)
    private Season season;
    private long seed;
    @Enumerated(EnumType.STRING)
    private Quality quality;
    private int points;
    private int seconds;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected TrainingRow() {
    }

    TrainingRow(UUID id, UUID personId, Instant doneAt, LocalDate day, Exercise exercise, Trainings.Worth worth) {
        this.id = id;
        this.personId = personId;
        this.doneAt = doneAt;
        this.day = day;
        this.skill = exercise.skill();
        this.level = exercise.level();
        this.season = exercise.season();
        this.seed = exercise.seed();
        this.quality = worth.quality();
        this.points = worth.points();
        this.seconds = worth.seconds();
    }

    UUID personId() {
        return personId;
    }

    LocalDate day() {
        return day;
    }

    Skill skill() {
        return skill;
    }

    int points() {
        return points;
    }

    Quality quality() {
        return quality;
    }

    boolean isOf(Exercise exercise) {
        return skill == exercise.skill() && level == exercise.level() && season == exercise.season()
                && seed == exercise.seed();
    }

    Drill.Done done() {
        return new Drill.Done(skill, level, quality, day);
    }
}
