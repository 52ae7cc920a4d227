package vividcrown.core.judgement;

import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.CellsSeen;
import vividcrown.core.reading.CombPlace;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/**
 * How often queen cells of a look, place and number are seen in each phase. Common practice: on the bottom edge for a
 * swarm, few on the face for a supersedure, scattered on worker brood of one age where a queen was lost.
 */
final class CellEvidence {

    private static final int EMERGENCY_LARVA_DAYS = 5;
    private static final int SEALED_AT_SWARMING = 8;
    private static final int FEW = 3;

    private CellEvidence() {
    }

    static boolean isTold(Reading reading) {
        return reading.missed(Sign.QUEEN_CELLS) || reading.saw(Sign.QUEEN_CELLS)
                || reading.cells().stream().anyMatch(cells -> cells.look().provesVirgin());
    }

    static double chance(Phase phase, Reading reading) {
        if (!isTold(reading)) {
            return 1;
        }
        double chance = reading.missed(Sign.QUEEN_CELLS) ? 1 - seesLiving(phase) : 1;
        if (reading.saw(Sign.QUEEN_CELLS)) {
            chance *= seesLiving(phase) * kindOf(phase, reading);
        }
        if (reading.cells().stream().anyMatch(cells -> cells.look().provesVirgin())) {
            chance *= seesEmpty(phase);
        }
        return chance;
    }

    private static double seesLiving(Phase phase) {
        return switch (phase.status()) {
            case CELLS -> 0.94;
            case JUST_SWARMED -> 0.9;
            case VIRGIN -> phase.days() <= 3 ? 0.2 : 0.03;
            case RECENTLY_QUEENLESS -> phase.days() >= 1 ? 0.25 : 0.05;
            // with a queen and living cells the state is "cells under way"
            case LAYING_QUEEN -> 0.001;
            case TWO_QUEENS -> 0.01;
            case DRONE_LAYER -> 0.1;
            case LAYING_WORKERS -> 0.05;
            case HOPELESSLY_QUEENLESS -> 0.02;
        };
    }

    private static double seesEmpty(Phase phase) {
        return switch (phase.status()) {
            case VIRGIN -> phase.days() <= 12 ? 0.6 : 0.2;
            case JUST_SWARMED -> phase.days() >= 6 ? 0.3 : 0.08;
            case CELLS -> 0.05;
            case LAYING_QUEEN, TWO_QUEENS -> phase.days() < 10 ? 0.25 : 0.02;
            case DRONE_LAYER -> 0.06;
            case RECENTLY_QUEENLESS, HOPELESSLY_QUEENLESS, LAYING_WORKERS -> 0.05;
        };
    }

    /** Look, place and number of the living cells, where there are any. */
    private static double kindOf(Phase phase, Reading reading) {
        double chance = 1;
        int living = 0;
        int oldest = -1;
        for (CellsSeen cells : reading.cells()) {
            if (cells.look().isAlive()) {
                living += cells.count();
                oldest = Math.max(oldest, cells.look().ordinal());
                chance *= place(phase, cells.place());
            }
        }
        if (living == 0) {
            return 1;
        }
        return chance * number(phase, living) * age(phase, CellLook.values()[oldest]);
    }

    private static double place(Phase phase, CombPlace place) {
        return switch (place) {
            case NOT_RECORDED -> 1;
            case BOTTOM_EDGE -> forKind(phase, 0.65, 0.1, 0.12);
            case SIDE_EDGE -> forKind(phase, 0.2, 0.15, 0.13);
            case FACE -> forKind(phase, 0.1, 0.7, 0.2);
            case AMONG_WORKER_BROOD -> forKind(phase, 0.05, 0.05, 0.55);
        };
    }

    private static double number(Phase phase, int living) {
        return living <= FEW ? forKind(phase, 0.25, 0.85, 0.4) : forKind(phase, 0.75, 0.15, 0.6);
    }

    private static double forKind(Phase phase, double swarm, double supersedure, double emergency) {
        return switch (phase.cells()) {
            case SWARM -> swarm;
            case SUPERSEDURE -> supersedure;
            case EMERGENCY -> emergency;
            case NONE -> (swarm + supersedure + emergency) / 3;
        };
    }

    /** Whether the oldest cell is as old as the phase would have it, give or take a day. */
    private static double age(Phase phase, CellLook oldest) {
        int expected = switch (phase.status()) {
            case CELLS -> phase.cells() == Phase.Cells.EMERGENCY ? phase.days() + EMERGENCY_LARVA_DAYS : phase.days();
            case JUST_SWARMED -> phase.days() + SEALED_AT_SWARMING;
            case VIRGIN, LAYING_QUEEN, TWO_QUEENS, DRONE_LAYER, LAYING_WORKERS, HOPELESSLY_QUEENLESS,
                    RECENTLY_QUEENLESS ->
                -1;
        };
        if (expected < 0) {
            return 0.4;
        }
        int youngest = switch (oldest) {
            case CUP_EGG, CUP_EMPTY -> 0;
            case JELLY -> 3;
            case LONG -> 5;
            case SEALED -> 8;
            case RIPE, EMERGED, TORN_SIDE, TORN_DOWN -> 14;
        };
        int latest = switch (oldest) {
            case CUP_EGG, CUP_EMPTY -> 3;
            case JELLY -> 5;
            case LONG -> 8;
            case SEALED, RIPE, EMERGED, TORN_SIDE, TORN_DOWN -> 16;
        };
        return expected >= youngest - 1 && expected <= latest + 1 ? 0.9 : 0.04;
    }
}
