package vividcrown.core.judgement;

import vividcrown.core.judgement.Phase.Cells;

/**
 * How a colony left alone goes on from day to day. Chances a day are common practice put into numbers; the days at which
 * cells open and virgins lay follow the development clock (queen 15–17 days from the egg, first eggs 8–16 days after
 * emergence).
 */
final class Course {

    private static final double QUEEN_LOST = 0.001;
    private static final double SUPERSEDED = 0.001;
    private static final double FAILS = 0.0008;
    private static final double VIRGIN_LOST = 0.009;
    private static final int FIRST_EGGS_FROM = 8;
    private static final int LAYS_DRONES_FROM = 28;
    private static final int LAYING_WORKERS_FROM = 14;

    private Course() {
    }

    static void step(Phase phase, double weight, double swarmShare, double[] next) {
        int day = phase.days() + 1;
        switch (phase.status()) {
            case LAYING_QUEEN -> {
                double swarms = day > Phase.cap(Status.LAYING_QUEEN) ? swarmShare : 0;
                put(next, Status.RECENTLY_QUEENLESS, 0, Cells.NONE, weight * QUEEN_LOST);
                put(next, Status.CELLS, 0, Cells.SWARM, weight * swarms);
                put(next, Status.CELLS, 0, Cells.SUPERSEDURE, weight * SUPERSEDED);
                put(next, Status.DRONE_LAYER, Phase.cap(Status.DRONE_LAYER), Cells.NONE, weight * FAILS);
                put(next, phase.status(), day, Cells.NONE, weight * (1 - QUEEN_LOST - swarms - SUPERSEDED - FAILS));
            }
            case TWO_QUEENS -> {
                put(next, Status.LAYING_QUEEN, Phase.cap(Status.LAYING_QUEEN), Cells.NONE, weight * 0.01);
                put(next, phase.status(), day, Cells.NONE, weight * 0.99);
            }
            case DRONE_LAYER -> {
                put(next, Status.HOPELESSLY_QUEENLESS, 0, Cells.NONE, weight * 0.005);
                put(next, phase.status(), day, Cells.NONE, weight * 0.995);
            }
            case CELLS -> cells(phase, day, weight, next);
            case JUST_SWARMED -> {
                double emerges = day < 4 ? 0 : day < Phase.cap(Status.JUST_SWARMED) ? 0.25 : 1;
                put(next, Status.VIRGIN, 0, Cells.SWARM, weight * emerges * 0.98);
                put(next, Status.HOPELESSLY_QUEENLESS, 0, Cells.NONE, weight * emerges * 0.02);
                put(next, phase.status(), day, Cells.SWARM, weight * (1 - emerges));
            }
            case RECENTLY_QUEENLESS -> {
                double begin = day <= 1 ? 0.45 : day <= 3 ? 0.6 : 0.2;
                double hopeless = day >= Phase.cap(Status.RECENTLY_QUEENLESS) ? 1 - begin : 0;
                put(next, Status.CELLS, Math.max(0, day - 1), Cells.EMERGENCY, weight * begin);
                put(next, Status.HOPELESSLY_QUEENLESS, 0, Cells.NONE, weight * hopeless);
                put(next, phase.status(), day, Cells.NONE, weight * (1 - begin - hopeless));
            }
            case VIRGIN -> virgin(phase, day, weight, next);
            case HOPELESSLY_QUEENLESS -> {
                double workers = day < LAYING_WORKERS_FROM ? 0.002 : 0.06;
                put(next, Status.LAYING_WORKERS, 0, Cells.NONE, weight * workers);
                put(next, phase.status(), day, Cells.NONE, weight * (1 - workers));
            }
            case LAYING_WORKERS -> put(next, phase.status(), day, Cells.NONE, weight);
        }
    }

    private static void cells(Phase phase, int day, double weight, double[] next) {
        switch (phase.cells()) {
            case SWARM -> {
                double leaves = day < 8 ? 0 : day < 11 ? 0.5 : 1;
                put(next, Status.JUST_SWARMED, 0, Cells.SWARM, weight * leaves);
                put(next, Status.LAYING_QUEEN, Phase.cap(Status.LAYING_QUEEN), Cells.NONE,
                        weight * (1 - leaves) * 0.03);
                put(next, Status.CELLS, day, Cells.SWARM, weight * (1 - leaves) * 0.97);
            }
            case SUPERSEDURE -> {
                double emerges = day < Phase.cap(Status.CELLS) ? 0 : 1;
                put(next, Status.TWO_QUEENS, 0, Cells.NONE, weight * emerges * 0.3);
                put(next, Status.LAYING_QUEEN, Phase.cap(Status.LAYING_QUEEN), Cells.NONE, weight * emerges * 0.3);
                put(next, Status.VIRGIN, 0, Cells.SWARM, weight * emerges * 0.4);
                put(next, Status.CELLS, day, Cells.SUPERSEDURE, weight * (1 - emerges));
            }
            case EMERGENCY, NONE -> {
                double emerges = day < 8 ? 0 : day < 13 ? 0.35 : 1;
                put(next, Status.VIRGIN, 0, Cells.EMERGENCY, weight * emerges * 0.93);
                put(next, Status.HOPELESSLY_QUEENLESS, 0, Cells.NONE, weight * emerges * 0.07);
                put(next, Status.CELLS, day, Cells.EMERGENCY, weight * (1 - emerges));
            }
        }
    }

    private static void virgin(Phase phase, int day, double weight, double[] next) {
        double lays = day < FIRST_EGGS_FROM ? 0 : day < 18 ? 0.16 : day < LAYS_DRONES_FROM ? 0.06 : 0.01;
        double drones = day < LAYS_DRONES_FROM ? 0.001 : 0.1;
        double ends = day >= Phase.VIRGIN_DAYS ? 1 - lays - drones - VIRGIN_LOST : 0;
        put(next, Status.LAYING_QUEEN, 0, Cells.NONE, weight * lays);
        put(next, Status.DRONE_LAYER, 0, Cells.NONE, weight * (drones + ends / 2));
        put(next, Status.HOPELESSLY_QUEENLESS, day, Cells.NONE, weight * (VIRGIN_LOST + ends / 2));
        put(next, Status.VIRGIN, day, phase.cells(), weight * (1 - lays - drones - VIRGIN_LOST - ends));
    }

    static void put(double[] next, Status status, int days, Cells cells, double weight) {
        if (weight > 0) {
            next[Belief.at(status, days, cells)] += weight;
        }
    }
}
