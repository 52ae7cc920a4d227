package vividcrown.server.trainer;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import vividcrown.core.introduction.CageReading;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.Sign;
import vividcrown.core.search.BoxThere;
import vividcrown.core.search.CombThere;
import vividcrown.core.search.QueenTrait;
import vividcrown.core.trainer.Exercise;
import vividcrown.core.trainer.HiveToSearch;
import vividcrown.core.trainer.Question;
import vividcrown.core.trainer.Season;
import vividcrown.core.trainer.Shown;
import vividcrown.core.trainer.Skill;
import vividcrown.core.trainer.Task;

/**
 * An exercise as it is set.
 *
 * @param exercise by which it is set again
 * @param hive to search; of the task FIND
 * @param question to answer; of every other task
 */
public record ExerciseView(ExerciseAsked exercise, Task task, @Nullable TrainerHive hive,
        @Nullable TrainerQuestion question) {

    /**
     * A made-up hive.
     *
     * @param boxes from the bottom up
     * @param readDays days since what is said of its combs was read
     * @param traits of the queen
     * @param minutes until it must be shut; left out if there is time
     * @param trail there are eggs by which to follow her
     */
    public record TrainerHive(Season season, List<TrainerBox> boxes, int readDays, Set<QueenTrait> traits,
            @Nullable Double minutes, boolean trail) {
    }

    /** @param slots places for frames @param combs from slot 1 */
    public record TrainerBox(boolean honey, int slots, List<TrainerComb> combs) {
    }

    /** @param near what stood on the side towards slot 1 when it was read @param far on the other side */
    public record TrainerComb(int slot, List<Sign> near, List<Sign> far) {
    }

    /**
     * A picture to read.
     *
     * @param rows of a comb, a letter a cell, the letters of a look; left out if it is no comb
     * @param cells queen cells on the comb
     * @param look of a single queen cell; left out if it is none
     * @param behaviours of bees at a cage; left out if it is none
     * @param watched minutes for which they were watched
     * @param answers to choose from
     * @param said the picture in words
     */
    public record TrainerQuestion(@Nullable List<String> rows, List<TrainerCell> cells, @Nullable CellLook look,
            @Nullable Set<CageReading.Behaviour> behaviours, @Nullable Double watched, List<TrainerAnswer> answers,
            List<String> said) {
    }

    /** @param across 0 at the left, 1 at the right @param down 0 at the top bar, 1 at the bottom bar */
    public record TrainerCell(double across, double down, CellLook look) {
    }

    /** @param text as it is offered */
    public record TrainerAnswer(Skill skill, String text) {
    }

    /** @throws vividcrown.server.problem.Refusal if there is no such exercise */
    public static ExerciseView of(ExerciseAsked asked) {
        return of(asked.exercise());
    }

    static ExerciseView of(Exercise exercise) {
        Task task = exercise.skill().task();
        ExerciseAsked again = ExerciseAsked.of(exercise);
        return task == Task.FIND
                ? new ExerciseView(again, task, hive(HiveToSearch.of(exercise)), null)
                : new ExerciseView(again, task, null, question(Question.of(exercise)));
    }

    private static TrainerHive hive(HiveToSearch hive) {
        return new TrainerHive(hive.exercise().season(), hive.hive().boxes().stream().map(ExerciseView::box).toList(),
                hive.hive().readDays(), hive.under().traits(),
                hive.minutes().isPresent() ? hive.minutes().getAsDouble() : null, hive.hasTrail());
    }

    private static TrainerBox box(BoxThere box) {
        return new TrainerBox(box.honey(), box.slots(),
                box.combs().stream().map((CombThere comb) -> new TrainerComb(comb.slot(), comb.near(), comb.far()))
                        .toList());
    }

    private static TrainerQuestion question(Question asked) {
        List<TrainerAnswer> answers = asked.answers().stream()
                .map(one -> new TrainerAnswer(one, one.sentence().toString())).toList();
        List<String> said = asked.said().stream().map(Object::toString).toList();
        return switch (asked.shown()) {
            case Shown.Comb comb -> new TrainerQuestion(comb.picture().rows(), comb.cells().stream()
                    .map(cell -> new TrainerCell(cell.across(), cell.down(), cell.look())).toList(), null, null, null,
                    answers, said);
            case Shown.OneCell cell -> new TrainerQuestion(null, List.of(), cell.look(), null, null, answers, said);
            case Shown.Cage cage -> new TrainerQuestion(null, List.of(), null, cage.behaviours(), cage.minutes(),
                    answers, said);
        };
    }
}
