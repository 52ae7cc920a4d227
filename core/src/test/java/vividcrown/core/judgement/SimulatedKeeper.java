package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.CellsSeen;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.CombPlace;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/**
 * Somebody who opens simulated hives, misses things, mistakes things, does things and writes most of it down. The rates are
 * common practice, and this simulation's own.
 */
final class SimulatedKeeper {

    private final Random luck;
    final List<Reading> readings = new ArrayList<>();
    final List<ColonyEvent> events = new ArrayList<>();

    SimulatedKeeper(Random luck) {
        this.luck = luck;
    }

    private boolean chance(double of) {
        return luck.nextDouble() < of;
    }

    /** What was looked at, seen and missed. */
    private final class Notes {
        final Set<Sign> seen = EnumSet.noneOf(Sign.class);
        final Set<Sign> absent = EnumSet.noneOf(Sign.class);
        final List<CellsSeen> cells = new ArrayList<>();

        void say(Sign sign, boolean there, double missed, double mistaken) {
            (chance(there ? 1 - missed : mistaken) ? seen : absent).add(sign);
        }
    }

    private static double sum(double[] brood, int from, int to) {
        double sum = 0;
        for (int age = from; age <= to && age < brood.length; age++) {
            sum += brood[age];
        }
        return sum;
    }

    /** Opens the hive and writes down what is seen. */
    void read(SimulatedHive hive) {
        Notes notes = new Notes();
        boolean thorough = chance(0.65);
        if (thorough || chance(0.7)) {
            brood(hive, notes);
        }
        if (thorough || chance(0.4)) {
            cells(hive, notes);
        }
        if (chance(0.55)) {
            queen(hive, notes);
        }
        if (chance(0.5)) {
            bees(hive, notes);
        }
        Set<Sign> absent = EnumSet.noneOf(Sign.class);
        absent.addAll(notes.absent);
        for (CellsSeen cells : notes.cells) {
            if (cells.look().isAlive()) {
                absent.remove(Sign.QUEEN_CELLS);
            }
        }
        Reading reading;
        try {
            reading = new Reading(hive.day, notes.seen, absent, notes.cells);
        } catch (IllegalArgumentException both) {
            // who notes "no larvae" and "old larvae" is asked again, and notes the look without
            return;
        }
        readings.add(reading);
    }

    private void brood(SimulatedHive hive, Notes notes) {
        double eggs = sum(hive.worker, 0, 2) + sum(hive.drone, 0, 2);
        double larvae = sum(hive.worker, 3, 8) + sum(hive.drone, 3, 9);
        double sealed = sum(hive.worker, 9, 21);
        notes.say(Sign.EGGS, eggs > 0.05, eggs < 0.7 ? 0.3 : 0.06, 0.01);
        if (notes.seen.contains(Sign.EGGS) && chance(0.6)) {
            notes.seen.remove(Sign.EGGS);
            boolean workers = hive.workersLay >= 0 && sum(hive.worker, 0, 2) < 0.05;
            boolean young = hive.queen == SimulatedHive.Queen.LAYS && hive.queenDays < 8;
            boolean several = chance(workers ? 0.88 : young ? 0.12 : 0.01);
            notes.seen.add(several ? Sign.EGGS_SEVERAL : Sign.EGGS_SINGLE);
            if (workers && chance(0.6)) {
                notes.seen.add(Sign.EGGS_ON_WALLS);
            }
        }
        notes.say(Sign.LARVAE, larvae > 0.05, larvae < 0.7 ? 0.2 : 0.03, 0.01);
        notes.say(Sign.SEALED_WORKER, sealed > 0.1, sealed < 0.7 ? 0.15 : 0.015, 0.01);
        boolean domed = sum(hive.drone, 10, 23) > 0.5;
        notes.say(Sign.SEALED_DRONE_SCATTERED, domed, 0.1, 0.01);
        if (notes.seen.contains(Sign.SEALED_WORKER) && chance(0.4)) {
            boolean poor = hive.queen == SimulatedHive.Queen.FAILS;
            notes.seen.add(chance(poor ? 0.6 : 0.12) ? Sign.SEALED_WORKER_SPOTTY : Sign.SEALED_WORKER_SOLID);
        }
    }

    private void cells(SimulatedHive hive, Notes notes) {
        for (SimulatedHive.Cell cell : hive.cells) {
            double missed = cell.age < 3 ? 0.6 : cell.age < 6 ? 0.2 : 0.12;
            if (chance(1 - missed)) {
                notes.cells.add(new CellsSeen(look(cell.age), place(cell.why), 1));
            }
        }
        if (hive.emptyCellsFor > 0 && chance(0.6)) {
            notes.cells.add(new CellsSeen(CellLook.EMERGED, CombPlace.NOT_RECORDED, 1));
        }
        if (hive.tornFor > 0 && chance(0.5)) {
            notes.cells.add(new CellsSeen(CellLook.TORN_SIDE, CombPlace.NOT_RECORDED, 1));
        }
        if (notes.cells.stream().noneMatch(seen -> seen.look().isAlive())) {
            notes.absent.add(Sign.QUEEN_CELLS);
        }
        if (hive.cups && chance(0.7)) {
            notes.seen.add(Sign.CUPS);
        }
    }

    private CellLook look(int age) {
        int seen = chance(0.12) ? age + (chance(0.5) ? 1 : -1) : age;
        return seen <= 3
                ? CellLook.CUP_EGG
                : seen <= 5
                        ? CellLook.JELLY
                        : seen <= 7
                                ? CellLook.LONG
                                : seen <= 13 ? CellLook.SEALED : chance(0.5) ? CellLook.RIPE : CellLook.SEALED;
    }

    private CombPlace place(SimulatedHive.Why why) {
        double draw = luck.nextDouble();
        if (draw < 0.1) {
            return CombPlace.NOT_RECORDED;
        }
        return switch (why) {
            case SWARM -> draw < 0.65 ? CombPlace.BOTTOM_EDGE : draw < 0.85 ? CombPlace.SIDE_EDGE : CombPlace.FACE;
            case SUPERSEDURE -> draw < 0.75 ? CombPlace.FACE : draw < 0.9 ? CombPlace.SIDE_EDGE : CombPlace.BOTTOM_EDGE;
            case EMERGENCY ->
                draw < 0.6 ? CombPlace.AMONG_WORKER_BROOD : draw < 0.85 ? CombPlace.FACE : CombPlace.BOTTOM_EDGE;
            case GIVEN -> CombPlace.FACE;
        };
    }

    private void queen(SimulatedHive hive, Notes notes) {
        double seen = switch (hive.queen) {
            case NONE -> 0.005;
            case VIRGIN -> 0.18;
            case MATED -> 0.3;
            case LAYS, FAILS, UNMATED -> hive.marked ? 0.7 : 0.45;
        };
        if (!chance(seen)) {
            notes.absent.add(Sign.QUEEN);
        } else if (hive.queen == SimulatedHive.Queen.VIRGIN) {
            notes.seen.add(chance(0.8) ? Sign.VIRGIN : Sign.QUEEN);
        } else if (hive.two && chance(0.3)) {
            notes.seen.add(Sign.TWO_QUEENS);
        } else {
            notes.seen.add(hive.marked ? Sign.QUEEN_MARKED : chance(0.5) ? Sign.QUEEN_UNMARKED : Sign.QUEEN);
        }
    }

    private void bees(SimulatedHive hive, Notes notes) {
        boolean queenless = hive.queen == SimulatedHive.Queen.NONE;
        if (chance(0.6)) {
            notes.seen.add(chance(queenless ? 0.6 : 0.8) ? Sign.CALM : Sign.DEFENSIVE);
        }
        if (chance(queenless ? 0.35 : 0.06)) {
            notes.seen.add(Sign.MOANING);
        }
        boolean noYoung = hive.worker[21] < 0.05 && sum(hive.worker, 9, 21) < 0.1;
        if (chance(0.5)) {
            notes.seen.add(chance(noYoung ? 0.6 : 0.06) ? Sign.BEES_OLD : Sign.BEES_YOUNG);
        }
        boolean expects = hive.queen == SimulatedHive.Queen.VIRGIN || hive.queen == SimulatedHive.Queen.MATED;
        if (chance(expects ? 0.7 : queenless ? 0.25 : 0.45)) {
            notes.seen.add(Sign.POLISHED_CELLS);
        }
        if (chance(queenless && hive.cells.isEmpty() ? 0.4 : hive.hasOpenSwarmCells() ? 0.3 : 0.06)) {
            notes.seen.add(Sign.NECTAR_IN_NEST);
        }
        if (chance(hive.bees < 0.6 ? 0.5 : 0.1)) {
            notes.seen.add(Sign.FEW_BEES);
        }
        if (hive.hasOpenSwarmCells() ? chance(0.55) : chance(0.15)) {
            notes.seen.add(Sign.CROWDED);
        }
    }

    /** What was done, mostly written down. */
    void note(LocalDate day, EventKind kind) {
        if (chance(0.98)) {
            events.add(new ColonyEvent(day, kind));
        }
    }

    /** Reads the frame that was given some days ago. */
    void readTestFrame(SimulatedHive hive) {
        boolean begun = hive.queen == SimulatedHive.Queen.NONE
                && hive.cells.stream().anyMatch(cell -> cell.why == SimulatedHive.Why.EMERGENCY);
        Notes notes = new Notes();
        notes.say(Sign.CELLS_ON_TEST_FRAME, begun, 0.05, 0.01);
        readings.add(new Reading(hive.day, notes.seen, notes.absent, List.of()));
    }
}
