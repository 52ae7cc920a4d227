package vividcrown.server.trainer;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.SecureRandom;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.reason.Sentence;
import vividcrown.core.trainer.Drill;
import vividcrown.core.trainer.Exercise;
import vividcrown.core.trainer.Quality;
import vividcrown.core.trainer.Repetition;
import vividcrown.core.trainer.SearchScore;
import vividcrown.core.trainer.Season;
import vividcrown.core.trainer.Skill;
import vividcrown.core.trainer.Task;
import vividcrown.server.clock.Today;
import vividcrown.server.person.People;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;
import vividcrown.server.search.SearchAsked;

/** What somebody practised, and what comes next. Their own: others see it only if both wish. */
@RestController
@RequestMapping("/api/v1/trainer")
class TrainerController {

    private static final int ALL_POINTS = 100;
    /** A curve of more cannot be read. */
    private static final int MOST_POINTS = 300;

    /**
     * What one knows.
     *
     * @param tasks one's own, one after the other
     * @param weak what is due, the weakest first
     * @param shown one wishes to be compared
     * @param crew others who wish it too; nobody as long as one does not
     */
    record TrainerPage(List<TaskProgress> tasks, List<WeakSpot> weak, boolean shown, List<CrewProgress> crew) {
    }

    /**
     * One's way in a task.
     *
     * @param level that comes next, 1–3
     * @param points of what was done in it, in that order: the last 300
     */
    record TaskProgress(Task task, int level, List<PointsOn> points) {
    }

    /** @param points 0–100 */
    record PointsOn(LocalDate on, int points) {
    }

    /**
     * What is to be drilled again.
     *
     * @param text its name
     * @param due since when
     * @param times it was done
     * @param known so many of them it was known
     */
    record WeakSpot(Skill skill, Task task, String text, LocalDate due, int times, int known) {
    }

    /** Somebody else's way. */
    record CrewProgress(String name, List<TaskProgress> tasks) {
    }

    /**
     * What one wants to practise.
     *
     * @param skill of the task, whatever is due; what is due if left out
     * @param level as it comes next if left out
     * @param season any if left out
     */
    record NextAsked(@NotNull Task task, @Nullable Skill skill, @Nullable @Min(1) @Max(3) Integer level,
            @Nullable Season season) {
    }

    /**
     * An exercise that was done.
     *
     * @param id made by whoever sends it: sent twice, it counts once
     * @param acts of a search
     * @param answer of every other task
     * @param sureness of the answer; FAIRLY if left out
     * @param seconds it took
     * @param beside of a search, how often somebody pointed at another bee; 0 if left out
     */
    record DoneAsked(@NotNull UUID id, @NotNull @Valid ExerciseAsked exercise,
            @Nullable @Size(max = 120) List<SearchAsked.@NotNull @Valid ActInput> acts, @Nullable Skill answer,
            Quality.@Nullable Sureness sureness, @NotNull @Min(0) @Max(86_400) Integer seconds,
            @Nullable @Min(0) @Max(1000) Integer beside) {
    }

    /**
     * What it was worth.
     *
     * @param right she was found, or the answer was right
     * @param points 0–100
     * @param truth what it was
     * @param why by what it is told, and what is done about it
     * @param due when it comes again
     * @param search how the search went, step by step; of the task FIND
     */
    record DoneView(boolean right, int points, String truth, String why, LocalDate due,
            @Nullable SearchScoreView search) {
    }

    /** @param shown one wishes to be compared with others who wish it too */
    record ShownAsked(@NotNull Boolean shown) {
    }

    private final Trainings trainings;
    private final People people;
    private final Today today;
    private final SecureRandom luck = new SecureRandom();

    TrainerController(Trainings trainings, People people, Today today) {
        this.trainings = trainings;
        this.people = people;
        this.today = today;
    }

    private static Drill drill(List<TrainingRow> rows) {
        return Drill.after(rows.stream().map(TrainingRow::done).toList());
    }

    @GetMapping
    @Operation(operationId = "trainer", summary = "What one practised, what is weak, and others who wish to be compared")
    @Transactional(readOnly = true)
    public TrainerPage page() {
        UUID me = SignedIn.require().id();
        List<TrainingRow> mine = trainings.of(me);
        Drill drill = drill(mine);
        List<WeakSpot> weak = drill.due(today.day()).stream().map(skill -> weak(skill, drill, mine)).toList();
        boolean shown = trainings.isShown(me);
        return new TrainerPage(progress(mine), weak, shown, shown ? crew(me) : List.of());
    }

    private static WeakSpot weak(Skill skill, Drill drill, List<TrainingRow> rows) {
        List<TrainingRow> done = rows.stream().filter(row -> row.skill() == skill).toList();
        return new WeakSpot(skill, skill.task(), skill.sentence().toString(), due(drill, skill), done.size(),
                (int) done.stream().filter(row -> row.quality().compareTo(Quality.HARDLY) >= 0).count());
    }

    private static LocalDate due(Drill drill, Skill skill) {
        return Optional.ofNullable(drill.known().get(skill)).map(Repetition::due).orElseThrow();
    }

    private static List<TaskProgress> progress(List<TrainingRow> rows) {
        Drill drill = drill(rows);
        return Arrays.stream(Task.values())
                .map(task -> new TaskProgress(task, drill.level(task),
                        newest(rows.stream().filter(row -> row.skill().task() == task).toList()).stream()
                                .map(row -> new PointsOn(row.day(), row.points())).toList()))
                .toList();
    }

    private static List<TrainingRow> newest(List<TrainingRow> rows) {
        return rows.subList(Math.max(0, rows.size() - MOST_POINTS), rows.size());
    }

    private List<CrewProgress> crew(UUID me) {
        Map<UUID, String> names = people.names();
        return trainings.shown().stream().filter(one -> !one.equals(me))
                .map(one -> new CrewProgress(names.getOrDefault(one, ""), progress(trainings.of(one))))
                .sorted(Comparator.comparing(CrewProgress::name)).toList();
    }

    @PostMapping("/exercises")
    @Operation(operationId = "nextExercise", summary = "The next exercise of a task: what is due, the weakest first; then something new")
    @Transactional(readOnly = true)
    public ExerciseView next(@Valid @RequestBody NextAsked asked) {
        Drill drill = drill(trainings.of(SignedIn.require().id()));
        if (asked.skill() != null && asked.skill().task() != asked.task()) {
            throw Refusal.invalid("skill", Sentence.of("refusal.trainer.otherTask", asked.skill().sentence()));
        }
        Skill skill = asked.skill() == null ? drill.next(asked.task(), today.day(), luck) : asked.skill();
        Season season = asked.season() == null
                ? Season.values()[luck.nextInt(Season.values().length)]
                : asked.season();
        return ExerciseView.of(new Exercise(skill, asked.level() == null ? drill.level(asked.task()) : asked.level(),
                season, luck.nextLong(Exercise.MOST_SEEDS)));
    }

    private record Told(Trainings.Worth worth, boolean right, Optional<SearchScore> search) {
    }

    private static Told told(DoneAsked asked, Exercise exercise) {
        if (exercise.skill().task() == Task.FIND) {
            if (asked.acts() == null) {
                throw Refusal.invalid("acts", Sentence.of("refusal.trainer.acts"));
            }
            SearchScore score = SearchScoreView.score(new SearchDone(asked.exercise(), asked.acts()));
            return new Told(
                    new Trainings.Worth(score.quality(asked.beside() == null ? 0 : asked.beside()), score.points(),
                            asked.seconds()),
                    score.found(),
                    Optional.of(score));
        }
        if (asked.answer() == null) {
            throw Refusal.invalid("answer", Sentence.of("refusal.trainer.answer"));
        }
        if (asked.answer().task() != exercise.skill().task()) {
            throw Refusal.invalid("answer", Sentence.of("refusal.trainer.otherTask", asked.answer().sentence()));
        }
        boolean right = asked.answer() == exercise.skill();
        Quality quality = Quality.of(right, asked.sureness() == null ? Quality.Sureness.FAIRLY : asked.sureness());
        return new Told(new Trainings.Worth(quality, right ? ALL_POINTS : 0, asked.seconds()), right, Optional.empty());
    }

    @PostMapping("/done")
    @Operation(operationId = "exerciseDone", summary = "Keeps an exercise that was done, and says what it was worth")
    public DoneView done(@Valid @RequestBody DoneAsked asked) {
        UUID me = SignedIn.require().id();
        Exercise exercise = asked.exercise().exercise();
        Told told = told(asked, exercise);
        trainings.keep(asked.id(), me, today.recordedAt(), today.day(), exercise, told.worth());
        return new DoneView(told.right(), told.worth().points(), exercise.skill().sentence().toString(),
                exercise.skill().why().toString(), due(drill(trainings.of(me)), exercise.skill()),
                told.search().map(SearchScoreView::of).orElse(null));
    }

    @PutMapping("/shown")
    @Operation(operationId = "showTraining", summary = "Whether one wishes to be compared with others who wish it too")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void shown(@Valid @RequestBody ShownAsked asked) {
        trainings.show(SignedIn.require().id(), asked.shown());
    }
}
