package vividcrown.core.trainer;

import java.util.Arrays;
import java.util.List;
import vividcrown.core.reason.Sentence;

/** One thing that can be known or not: what is drilled again until it is. Within a task they are the answers to choose from. */
public enum Skill {
    // --- whom to find
    /** A laying queen without a mark. */
    FIND_LAYING(Task.FIND),
    /** There is no brood that would lead to her. */
    FIND_BROODLESS(Task.FIND), FIND_VIRGIN(Task.FIND), FIND_OLD(Task.FIND), FIND_RUNNER(Task.FIND),
    /** Bees of other hives rob: minutes are left. */
    FIND_ROBBING(Task.FIND),
    // --- what a comb says of the colony
    LAYS_WELL(Task.PATTERN),
    /** An emptied middle, laid in again, inside a ring of sealed brood: no gaps. */
    BETWEEN_CYCLES(Task.PATTERN),
    /** Many gaps in sealed brood, every age side by side. */
    SHOT_BROOD(Task.PATTERN),
    /** Single eggs, domed caps in worker cells. */
    DRONE_LAYER(Task.PATTERN), LAYING_WORKERS(Task.PATTERN),
    /** Polished cells, no brood: they expect a queen to lay. */
    QUEEN_EXPECTED(Task.PATTERN),
    /** Nectar in the place of the brood nest: they expect none. */
    NO_QUEEN_EXPECTED(Task.PATTERN),
    /** Sunken, perforated caps, discoloured larvae. */
    DISEASE_SUSPECTED(Task.PATTERN), CHALK_BROOD(Task.PATTERN),
    // --- why they build queen cells
    CUPS_ONLY(Task.CELL_KIND), SWARM_CELLS(Task.CELL_KIND), SUPERSEDURE_CELLS(Task.CELL_KIND), EMERGENCY_CELLS(
            Task.CELL_KIND),
    // --- how far a queen cell has come
    LOOK_CUP_EMPTY(Task.CELL_LOOK), LOOK_CUP_EGG(Task.CELL_LOOK), LOOK_JELLY(Task.CELL_LOOK), LOOK_LONG(
            Task.CELL_LOOK),
    LOOK_SEALED(Task.CELL_LOOK), LOOK_RIPE(Task.CELL_LOOK), LOOK_EMERGED(
            Task.CELL_LOOK),
    LOOK_TORN_SIDE(Task.CELL_LOOK), LOOK_TORN_DOWN(Task.CELL_LOOK),
    // --- what the bees at a cage mean
    CAGE_FRIENDLY(Task.CAGE),
    /** A glance: nothing hostile, too short to trust. */
    CAGE_WATCH_LONGER(Task.CAGE), CAGE_HOSTILE(Task.CAGE),
    /** They ball the cage: she is taken out. */
    CAGE_BALLED(Task.CAGE);

    private final Task task;

    Skill(Task task) {
        this.task = task;
    }

    public Task task() {
        return task;
    }

    /** All of a task: the answers there are. */
    public static List<Skill> of(Task task) {
        return Arrays.stream(values()).filter(skill -> skill.task == task).toList();
    }

    public Sentence sentence() {
        return Sentence.of("trainer.skill." + name());
    }

    /** By what it is told, and what is done about it. */
    public Sentence why() {
        return Sentence.of("trainer.why." + name());
    }
}
