package vividcrown.core.trainer;

import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import vividcrown.core.reason.Wrong;

/**
 * One exercise. The same four make the same hive or picture, everywhere and always: nothing of it need be kept.
 *
 * @param level 1 a small unit, few bees; 2 a full box; 3 crowded, with honey on top, read long ago
 * @param season of hives to search
 * @param seed of its luck, 0–{@link #MOST_SEEDS}
 */
public record Exercise(Skill skill, int level, Season season, long seed) {

    public static final int LEVELS = 3;
    /** What a browser's number holds exactly, and more than anybody lives to see. */
    private static final long RESPECTS = 10_000;
    public static final long MOST_SEEDS = 1_000_000_000L;

    public Exercise {
        if (level < 1 || level > LEVELS) {
            throw Wrong.of("wrong.trainer.level", LEVELS, level);
        }
        if (seed < 0 || seed > MOST_SEEDS) {
            throw Wrong.of("wrong.trainer.seed", MOST_SEEDS, seed);
        }
    }

    /**
     * Its luck in one respect, from the beginning. Exercises whose seeds lie side by side have nothing in common.
     *
     * @param respect what is decided by it, 0–9,999: each respect has a luck of its own
     */
    RandomGenerator luck(int respect) {
        return new SplittableRandom(seed * RESPECTS + respect);
    }

    /** What it is made of. */
    RandomGenerator luck() {
        return luck(level * 10 + season.ordinal());
    }
}
