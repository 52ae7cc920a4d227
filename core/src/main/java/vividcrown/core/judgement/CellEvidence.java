package vividcrown.core.judgement;

import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.judgement.Phase.Cells;
import vividcrown.core.judgement.Phase.Queen;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.CellsSeen;
import vividcrown.core.reading.CombPlace;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/**
 * How often queen cells of a look, place and number are seen in each phase. Common practice: on the bottom edge, of all ages
 * and with cups for a swarm; few, of one age, on the face for a supersedure; scattered on worker brood where a queen was lost.
 */
final class CellEvidence {

    private static final int FEW = 3;
    private static final double OF_THAT_LOOK = 0.9;
    private static final double A_DAY_BESIDE = 0.3;
    private static final double OF_ANOTHER_LOOK = 0.03;
    private static final int EMPTY_STANDS_DAYS = 9;

    private final Clock clock;

    CellEvidence(Clock clock) {
        this.clock = clock;
    }

    static boolean isTold(Reading reading) {
        return reading.missed(Sign.QUEEN_CELLS) || reading.saw(Sign.QUEEN_CELLS)
                || reading.cells().stream().anyMatch(cells -> cells.look().provesVirgin());
    }

    /** Chance of all that a reading says about cells. */
    Likelihood chance(Reading reading) {
        boolean seen = reading.saw(Sign.QUEEN_CELLS);
        boolean missed = !seen && reading.missed(Sign.QUEEN_CELLS);
        boolean empty = reading.cells().stream().anyMatch(cells -> cells.look().provesVirgin());
        Living living = Living.of(reading);
        return (_, phase) -> {
            double chance = 1;
            if (seen) {
                chance *= seesLiving(phase) * kindOf(phase, living);
            } else if (missed) {
                chance *= 1 - seesLiving(phase);
            }
            return empty ? chance * seesEmpty(phase) : chance;
        };
    }

    /** The living cells of a reading. */
    private record Living(int number, Optional<CellLook> oldest, boolean mixed, Set<CombPlace> places) {

        static Living of(Reading reading) {
            List<CellsSeen> alive = reading.cells().stream().filter(cells -> cells.look().isAlive()).toList();
            Set<CombPlace> places = EnumSet.noneOf(CombPlace.class);
            alive.forEach(cells -> places.add(cells.place()));
            return new Living(alive.stream().mapToInt(CellsSeen::count).sum(),
                    alive.stream().map(CellsSeen::look).max(Comparator.naturalOrder()),
                    alive.stream().map(CellsSeen::look).distinct().count() > 1 || reading.saw(Sign.CUPS), places);
        }
    }

    private double seesLiving(Phase phase) {
        if (phase.queen() == Queen.VIRGIN && phase.hasCells()) {
            return 0.6;
        }
        if (phase.hasCells()) {
            int age = phase.cellDays();
            return age <= 2 ? 0.3 : age <= clock.hatchesAt() + 1 ? 0.8 : 0.94;
        }
        return switch (phase.queen()) {
            case VIRGIN -> phase.days() <= 4 ? 0.08 : 0.015;
            case MATED -> 0.01;
            case UNMATED, FAILING -> 0.05;
            case NONE -> phase.workersLay() ? 0.05 : phase.since() <= 3 ? 0.05 : 0.02;
            case LAYING -> phase.days() < Phase.SETTLED ? 0.008 : 0.005;
            case TWO -> 0.02;
            // bees begin cells beside a queen who is caged: some that nobody counted on
            case CAGED -> 0.03;
            case GIVEN, HIVED, RESTING -> 0.01;
        };
    }

    private static double seesEmpty(Phase phase) {
        return switch (phase.queen()) {
            case VIRGIN -> phase.days() <= EMPTY_STANDS_DAYS ? 0.6 : 0.2;
            case MATED -> 0.2;
            case NONE -> phase.hasCells()
                    ? phase.cellDays() >= Phase.CELL_DAYS - 3 ? 0.2 : 0.04
                    : phase.since() > 9 && phase.since() < Phase.GONE ? 0.1 : 0.03;
            case LAYING -> phase.days() < 10 ? 0.25 : phase.hasCells() ? 0.04 : 0.012;
            case TWO -> 0.08;
            case UNMATED, FAILING -> 0.05;
            case CAGED, GIVEN, HIVED, RESTING -> 0.015;
        };
    }

    /** Look, place and number of the living cells, where there are any. */
    private double kindOf(Phase phase, Living living) {
        if (living.oldest().isEmpty()) {
            return 1;
        }
        double chance = 1;
        for (CombPlace place : living.places()) {
            chance *= place(phase.cells(), place);
        }
        chance *= living.mixed() ? forKind(phase.cells(), 0.6, 0.12, 0.3) : forKind(phase.cells(), 0.4, 0.88, 0.7);
        return chance * number(phase.cells(), living.number()) * age(phase, living.oldest().get());
    }

    private static double place(Cells kind, CombPlace place) {
        return switch (place) {
            case NOT_RECORDED -> 1;
            case BOTTOM_EDGE -> forKind(kind, 0.62, 0.1, 0.12);
            case SIDE_EDGE -> forKind(kind, 0.22, 0.15, 0.13);
            case FACE -> forKind(kind, 0.1, 0.65, 0.25);
            case AMONG_WORKER_BROOD -> forKind(kind, 0.06, 0.1, 0.5);
        };
    }

    private static double number(Cells kind, int living) {
        return living <= FEW ? forKind(kind, 0.3, 0.85, 0.35) : forKind(kind, 0.7, 0.15, 0.65);
    }

    private static double forKind(Cells kind, double swarm, double supersedure, double emergency) {
        return switch (kind) {
            case SWARM -> swarm;
            case SUPERSEDURE -> supersedure;
            case EMERGENCY -> emergency;
            case NONE, GIVEN -> (swarm + supersedure + emergency) / 3;
        };
    }

    /** Whether the oldest cell looks as old as the phase would have it, give or take a day. */
    private double age(Phase phase, CellLook oldest) {
        if (!phase.hasCells()) {
            return 0.35;
        }
        int hatched = clock.hatchesAt();
        int sealed = clock.sealedAt();
        int ripe = clock.emergesAt() - 2;
        int youngest = switch (oldest) {
            case CUP_EGG, CUP_EMPTY -> 0;
            case JELLY -> hatched;
            case LONG -> hatched + 2;
            case SEALED -> sealed;
            case RIPE, EMERGED, TORN_SIDE, TORN_DOWN -> ripe;
        };
        int latest = switch (oldest) {
            case CUP_EGG, CUP_EMPTY -> hatched;
            case JELLY -> hatched + 2;
            case LONG -> sealed;
            case SEALED, RIPE, EMERGED, TORN_SIDE, TORN_DOWN -> Phase.CELL_DAYS;
        };
        int age = phase.cellDays();
        if (age >= youngest && age <= latest) {
            return OF_THAT_LOOK;
        }
        return age == youngest - 1 || age == latest + 1 ? A_DAY_BESIDE : OF_ANOTHER_LOOK;
    }
}
