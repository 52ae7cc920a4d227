package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;

/** Colonies as they stand in a yard through the season: most of them well, and every trouble of the trade among them. */
final class SimulatedYard {

    /** A colony with what was written down of it, and the truth on the last day. */
    record Known(SimulatedHive truth, List<Reading> readings, List<ColonyEvent> events, LocalDate today) {
    }

    private SimulatedYard() {
    }

    static Known colony(long seed) {
        Random luck = new Random(seed * 7919 + 17);
        LocalDate begin = LocalDate.of(2026, 4, 10).plusDays(luck.nextInt(170));
        SimulatedHive hive = new SimulatedHive(begin, luck);
        SimulatedKeeper keeper = new SimulatedKeeper(luck);
        begin(hive, luck);
        int visits = 1 + luck.nextInt(5);
        int until = luck.nextInt(25);
        for (int day = 0; day < until; day++) {
            hive.next();
        }
        for (int visit = 0; visit < visits; visit++) {
            keeper.read(hive);
            if (visit < visits - 1) {
                work(hive, keeper, luck);
                int gap = 4 + luck.nextInt(9);
                for (int day = 0; day < gap; day++) {
                    hive.next();
                }
            }
        }
        int later = luck.nextDouble() < 0.6 ? 0 : luck.nextInt(4);
        for (int day = 0; day < later; day++) {
            hive.next();
        }
        return new Known(hive, keeper.readings, keeper.events, hive.day);
    }

    private static void begin(SimulatedHive hive, Random luck) {
        double draw = luck.nextDouble();
        if (draw < 0.05) {
            hive.beginSwarm();
        } else if (draw < 0.09) {
            hive.queen = SimulatedHive.Queen.NONE;
        } else if (draw < 0.12) {
            hive.hatchVirgin();
            Arrays.fill(hive.worker, 0, 9, 0);
        } else if (draw < 0.15) {
            hive.queen = SimulatedHive.Queen.NONE;
            Arrays.fill(hive.worker, 0, 7 + luck.nextInt(14), 0);
        } else if (draw < 0.165) {
            hive.queen = SimulatedHive.Queen.UNMATED;
            hive.queenDays = luck.nextInt(20);
            Arrays.fill(hive.worker, 0);
            Arrays.fill(hive.drone, 0, hive.queenDays, 0.8);
        } else if (draw < 0.18) {
            hive.queen = SimulatedHive.Queen.NONE;
            hive.workersLay = luck.nextInt(20);
            Arrays.fill(hive.worker, 0);
            Arrays.fill(hive.drone, 0, hive.workersLay, 0.7);
        } else if (draw < 0.19) {
            hive.queen = SimulatedHive.Queen.FAILS;
            hive.queenDays = luck.nextInt(20);
            Arrays.fill(hive.drone, 0, hive.queenDays, 0.6);
        } else if (draw < 0.2) {
            hive.two = true;
        } else if (draw < 0.22) {
            hive.cells.add(new SimulatedHive.Cell(SimulatedHive.Why.SUPERSEDURE, luck.nextInt(8), luck));
        }
    }

    /** What keepers do between looks, right or wrong, and note. */
    private static void work(SimulatedHive hive, SimulatedKeeper keeper, Random luck) {
        double draw = luck.nextDouble();
        boolean queenless = hive.queen == SimulatedHive.Queen.NONE;
        LocalDate day = hive.day;
        if (hive.hasOpenSwarmCells() && draw < 0.3) {
            boolean missed = luck.nextDouble() < 0.08;
            SimulatedHive.Cell one = hive.cells.getLast();
            hive.cells.clear();
            if (missed) {
                hive.cells.add(one);
            }
            keeper.note(day, EventKind.CELLS_DESTROYED);
        } else if (!queenless && hive.queen == SimulatedHive.Queen.LAYS && draw < 0.06) {
            hive.queen = hive.two ? SimulatedHive.Queen.LAYS : SimulatedHive.Queen.NONE;
            hive.two = false;
            keeper.note(day, EventKind.QUEEN_REMOVED);
        } else if (queenless && hive.cells.isEmpty() && draw < 0.15) {
            hive.cells.add(new SimulatedHive.Cell(SimulatedHive.Why.GIVEN, 14, luck));
            keeper.note(day, EventKind.CELL_GIVEN);
        } else if (queenless && hive.cells.isEmpty() && draw < 0.25) {
            if (luck.nextDouble() < (hive.workersLay >= 0 ? 0.2 : 0.87)) {
                hive.queen = SimulatedHive.Queen.LAYS;
                hive.queenDays = 0;
                hive.marked = true;
                hive.freeIn = 2 + luck.nextInt(3);
            }
            keeper.note(day, EventKind.QUEEN_GIVEN);
        } else if (!hive.hasOpenBrood() && draw < 0.45) {
            for (int age = 0; age < 7; age++) {
                hive.worker[age] = Math.max(hive.worker[age], 0.4);
            }
            keeper.note(day, EventKind.BROOD_GIVEN);
            for (int next = 0; next < 4; next++) {
                hive.next();
            }
            keeper.readTestFrame(hive);
        }
    }
}
