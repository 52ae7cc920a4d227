package vividcrown.core.rearing;

import vividcrown.core.reason.Wrong;

/**
 * How often a cell builder can be loaded. Common practice, the numbers from memory; an operation that knows its builders
 * better says so.
 *
 * @param daysBetweenLoads from one graft to the next in the same builder
 * @param loadsBeforeRest loads in a row before it is broken up, rested and made up anew
 * @param restDays days between the end of one row of loads and the next graft, over and above {@code daysBetweenLoads}
 */
public record BuilderRhythm(int daysBetweenLoads, int loadsBeforeRest, int restDays) {

    public BuilderRhythm {
        if (daysBetweenLoads < 1 || loadsBeforeRest < 1 || restDays < 0) {
            throw Wrong.of("wrong.BuilderRhythm", daysBetweenLoads, loadsBeforeRest, restDays);
        }
    }

    /**
     * A starter with its finisher takes a load every five days: cells are sealed then and ask no more care. A
     * starter-finisher is restocked weekly. A queenright one keeps its cells until they are ripe.
     */
    public static BuilderRhythm of(BuilderSchool school) {
        return switch (school) {
            case STARTER_THEN_FINISHER -> new BuilderRhythm(5, 4, 10);
            case STARTER_FINISHER -> new BuilderRhythm(7, 4, 10);
            case QUEENRIGHT_EXCLUDER -> new BuilderRhythm(10, 6, 7);
        };
    }

    /** In a stretch of this many days there are at most {@link #loadsBeforeRest} grafts. */
    public int restStretchDays() {
        return loadsBeforeRest * daysBetweenLoads + restDays;
    }

    /**
     * Cups that a builder of this strength brings up: 15–20 in a strong queenless one, up to 45 in an exceptional one
     * (common practice); none in one that cannot be crowded with nurses.
     *
     * @param framesOfBees frames densely covered with bees
     */
    public static int load(double framesOfBees) {
        if (framesOfBees < 5) {
            return 0;
        }
        if (framesOfBees < 8) {
            return 15;
        }
        if (framesOfBees < 11) {
            return 20;
        }
        return framesOfBees < 14 ? 30 : BuilderSchool.EXCEPTIONAL_LOAD;
    }
}
