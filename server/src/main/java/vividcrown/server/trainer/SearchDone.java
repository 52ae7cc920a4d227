package vividcrown.server.trainer;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import vividcrown.core.search.SearchAct;
import vividcrown.core.trainer.HiveToSearch;
import vividcrown.server.problem.Refusal;
import vividcrown.server.search.SearchAsked;

/**
 * What was done so far in a made-up hive.
 *
 * @param acts in the order in which they were done; what a side showed need not be said
 */
public record SearchDone(@NotNull @Valid ExerciseAsked exercise,
        @NotNull @Size(max = 120) List<SearchAsked.@NotNull @Valid ActInput> acts) {

    HiveToSearch hive() {
        return Refusal.checked(() -> HiveToSearch.of(exercise.exercise()), "exercise.skill");
    }

    List<SearchAct> done() {
        return SearchAsked.done(acts);
    }
}
