package vividcrown.core.trainer;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.random.RandomGenerator;

/** What somebody knows, and what is drilled next. */
public final class Drill {

    /** So many known in a row make the next ones harder. */
    private static final int IN_A_ROW = 3;

    /** @param level as of {@link Exercise} @param on the day on which it was done */
    public record Done(Skill skill, int level, Quality quality, LocalDate on) {
    }

    private final Map<Skill, Repetition> known = new EnumMap<>(Skill.class);
    private final List<Done> done;
    private Optional<Skill> last = Optional.empty();

    private Drill(List<Done> done) {
        this.done = List.copyOf(done);
    }

    /** @param done in the order in which it was done */
    public static Drill after(List<Done> done) {
        Drill drill = new Drill(done);
        for (Done one : done) {
            drill.known.merge(one.skill(), Repetition.first(one.quality(), one.on()),
                    (before, _) -> before.after(one.quality(), one.on()));
            drill.last = Optional.of(one.skill());
        }
        return drill;
    }

    /** How hard the next one of a task should be: harder once the last three were known, easier again once the last three were not. */
    public int level(Task task) {
        int level = 1;
        int known = 0;
        for (Done one : done) {
            if (one.skill().task() != task) {
                continue;
            }
            if (one.level() != level) {
                level = one.level();
                known = 0;
            }
            boolean well = one.quality().compareTo(Quality.WELL) >= 0;
            known = well ? Math.max(0, known) + 1 : Math.min(0, known) - 1;
            if (Math.abs(known) == IN_A_ROW) {
                level = Math.clamp(level + Integer.signum(known), 1, Exercise.LEVELS);
                known = 0;
            }
        }
        return level;
    }

    /** What was drilled, and when it is again. */
    public Map<Skill, Repetition> known() {
        return Map.copyOf(known);
    }

    /** What is due on a day, the weakest first. */
    public List<Skill> due(LocalDate day) {
        return known.entrySet().stream().filter(one -> !one.getValue().due().isAfter(day))
                .sorted(Comparator.comparingDouble(one -> one.getValue().ease())).map(Map.Entry::getKey).toList();
    }

    /**
     * What comes next of a task: what is due, the weakest first; then something new; then what was due soonest. The same is not asked twice running, or one would know
     * the answer, unless there is nothing else.
     */
    public Skill next(Task task, LocalDate day, RandomGenerator luck) {
        List<Skill> all = Skill.of(task);
        List<Skill> others = all.stream().filter(skill -> last.filter(skill::equals).isEmpty()).toList();
        List<Skill> due = due(day).stream().filter(others::contains).toList();
        if (!due.isEmpty()) {
            return due.getFirst();
        }
        List<Skill> fresh = others.stream().filter(skill -> !known.containsKey(skill)).toList();
        if (!fresh.isEmpty()) {
            return task == Task.FIND ? fresh.getFirst() : fresh.get(luck.nextInt(fresh.size()));
        }
        return others.stream().min(Comparator.comparing(skill -> Objects.requireNonNull(known.get(skill)).due()))
                .orElse(all.getFirst());
    }
}
