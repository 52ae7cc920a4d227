package vividcrown.core.assumptions;

import vividcrown.core.reason.Source;
import vividcrown.core.time.DaySpan;

/** A day-count of the trade that an operation may replace by its own. All are days, never negative. */
public enum Figure {
    /** From the egg to the sealed queen cell. */
    QUEEN_SEALED(DevelopmentClock.QUEEN.sealed(), Source.WINSTON_1987),
    /** From the egg to the virgin. */
    QUEEN_EMERGES(DevelopmentClock.QUEEN.emerges(), Source.WINSTON_1987),
    /** From the egg to sealed worker brood. */
    WORKER_SEALED(DevelopmentClock.WORKER.sealed(), Source.WINSTON_1987),
    /** From the egg to the young worker. */
    WORKER_EMERGES(DevelopmentClock.WORKER.emerges(), Source.WINSTON_1987),
    /** From the egg to sealed drone brood. */
    DRONE_SEALED(DevelopmentClock.DRONE.sealed(), Source.WINSTON_1987),
    /** From the egg to the drone. */
    DRONE_EMERGES(DevelopmentClock.DRONE.emerges(), Source.WINSTON_1987),
    /** Development days in which a sealed cell is easily hurt: do not jar, tilt or chill. */
    UNTOUCHABLE(DaySpan.ofDays(9, 11, 13), Source.COMMON_PRACTICE),
    /** From placing a ripe cell to looking whether the virgin is out. */
    EMERGENCE_CHECK(DaySpan.ofDays(2, 3, 4), Source.COMMON_PRACTICE),
    /** From emergence in an incubator cage to giving the virgin to a nuc. */
    VIRGIN_INTRODUCTION(DaySpan.ofDays(1, 1, 3), Source.COMMON_PRACTICE),
    /** From emergence to sexual maturity. */
    MATURITY(DaySpan.ofDays(5, 6, 7), Source.WINSTON_1987),
    /** From emergence to the days on which she may fly. */
    MATING_FLIGHTS(DaySpan.ofDays(5, 9, 14), Source.WINSTON_1987),
    /** From emergence to her first eggs. */
    FIRST_EGGS(DaySpan.ofDays(8, 11, 16), Source.COMMON_PRACTICE),
    /** From placing a ripe cell to the first look for eggs. */
    FIRST_LOOK(DaySpan.ofDays(14, 14, 21), Source.COMMON_PRACTICE),
    /** Days after emergence from which missing eggs are called late. */
    LATE(DaySpan.ofDays(21), Source.COMMON_PRACTICE),
    /** Days after emergence from which an unmated queen will only lay drones. */
    DRONES_ONLY(DaySpan.ofDays(28), Source.COMMON_PRACTICE),
    /** From her first eggs to a patch of flat sealed worker brood. */
    FLAT_SEALED_BROOD(DaySpan.ofDays(9), Source.derived("worker brood is sealed nine days after the egg")),
    /** From a look without eggs to the next. */
    LOOK_AGAIN(DaySpan.ofDays(5, 7, 7), Source.COMMON_PRACTICE),
    /** From a drone's emergence to his first mating. */
    DRONE_MATURITY(DaySpan.ofDays(12, 14, 16), Source.BUECHLER_2013),
    /** From drone comb laid up to the first mating flights. */
    DRONE_LEAD(DaySpan.ofDays(38, 39, 40), Source.BUECHLER_2013);

    private final DaySpan standard;
    private final Source source;

    Figure(DaySpan standard, Source source) {
        this.standard = standard;
        this.source = source;
    }

    /** The trade's value. */
    public DaySpan standard() {
        return standard;
    }

    /** Where the trade's value comes from. */
    public Source source() {
        return source;
    }
}
