package vividcrown.server.trainer;

import jakarta.validation.constraints.NotNull;
import org.jspecify.annotations.Nullable;
import vividcrown.core.trainer.Exercise;
import vividcrown.core.trainer.Season;
import vividcrown.core.trainer.Skill;
import vividcrown.server.problem.Refusal;

/**
 * An exercise. The same four make the same one, always.
 *
 * @param skill what is trained
 * @param level 1–3, 1 the easiest; 1 if left out
 * @param season SUMMER if left out
 * @param seed its luck, 0–1,000,000,000; 0 if left out
 */
public record ExerciseAsked(@NotNull Skill skill, @Nullable Integer level, @Nullable Season season,
        @Nullable Long seed) {

    static ExerciseAsked of(Exercise exercise) {
        return new ExerciseAsked(exercise.skill(), exercise.level(), exercise.season(), exercise.seed());
    }

    Exercise exercise() {
        return Refusal.checked(() -> new Exercise(skill, level == null ? 1 : level,
                season == null ? Season.SUMMER : season, seed == null ? 0 : seed), "exercise");
    }
}
