package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;

/**
 * A hive of which everything is known: brood by the day, queen, cells, workers that lay. Written from the biology alone
 * (development: Winston 1987; losses, swarming and laying workers: common practice), with rates of its own; it knows nothing of
 * the table of likelihoods, nor of the chain that judges it.
 */
final class SimulatedHive {

    /** The queen of the hive as she is. */
    enum Queen {
        NONE, VIRGIN, MATED, LAYS, UNMATED, FAILS
    }

    /** Why cells were begun. */
    enum Why {
        SWARM, SUPERSEDURE, EMERGENCY, GIVEN
    }

    /** One queen cell. */
    static final class Cell {
        final Why why;
        int age;
        final int opensAt;

        Cell(Why why, int age, Random luck) {
            this.why = why;
            this.age = age;
            double draw = luck.nextDouble();
            this.opensAt = draw < 0.2 ? 15 : draw < 0.8 ? 16 : 17;
        }
    }

    private static final int SEALED_CELL = 8;
    private static final double[] FIT = {0, 0, 0.03, 0.18, 0.42, 0.58, 0.66, 0.6, 0.25, 0.03, 0, 0};

    final Random luck;
    LocalDate day;
    Queen queen = Queen.LAYS;
    /** A second queen, her mother or her daughter, lays too. */
    boolean two;
    int queenDays = 200;
    boolean marked;
    boolean caged;
    /** She lays no more this year. */
    boolean rests;
    /** Given in a cage, free on a later day. */
    int freeIn;
    List<Cell> cells = new ArrayList<>();
    boolean cups;
    /** Eggs laid on each of the last days that are alive, fertilised and not, the youngest first. */
    final double[] worker = new double[22];
    final double[] drone = new double[25];
    /** Days since workers began to lay; negative if they do not. */
    int workersLay = -1;
    int daysWithoutOpenBrood;
    int emptyCellsFor;
    int tornFor;
    int flightsLeft;
    int maturesAt;
    int laysIn;
    double bees = 1;
    int swarmedDaysAgo = 999;

    SimulatedHive(LocalDate day, Random luck) {
        this.day = day;
        this.luck = luck;
        marked = luck.nextDouble() < 0.6;
        lastFertilised = day;
        lastQueens = day;
        Arrays.fill(worker, 1);
    }

    double fit() {
        return FIT[day.getMonthValue() - 1];
    }

    boolean hasOpenBrood() {
        for (int age = 0; age < 9; age++) {
            if (worker[age] > 0.02) {
                return true;
            }
        }
        return false;
    }

    void hatchVirgin() {
        queen = Queen.VIRGIN;
        queenDays = 0;
        marked = false;
        flightsLeft = 1 + luck.nextInt(2);
        maturesAt = 5 + luck.nextInt(3);
    }

    /** A day goes by. */
    void next() {
        day = day.plusDays(1);
        System.arraycopy(worker, 0, worker, 1, worker.length - 1);
        System.arraycopy(drone, 0, drone, 1, drone.length - 1);
        worker[0] = 0;
        drone[0] = 0;
        queenDays++;
        swarmedDaysAgo++;
        emptyCellsFor = Math.max(0, emptyCellsFor - 1);
        tornFor = Math.max(0, tornFor - 1);
        lay();
        queenGoesOn();
        cellsGoOn();
        beginCells();
        daysWithoutOpenBrood = hasOpenBrood() ? 0 : daysWithoutOpenBrood + 1;
        boolean layer = queen == Queen.LAYS || queen == Queen.UNMATED || queen == Queen.FAILS;
        if (workersLay < 0 && !layer && queen != Queen.MATED && daysWithoutOpenBrood > 13
                && (queen == Queen.NONE || daysWithoutOpenBrood > 30)) {
            double begins = daysWithoutOpenBrood > 21 ? 0.06 : 0.02;
            workersLay = luck.nextDouble() < begins ? 0 : -1;
        } else if (workersLay >= 0) {
            workersLay = layer ? -1 : workersLay + 1;
        }
        bees *= queen == Queen.LAYS && worker[21] > 0 ? 1.0 : 0.992;
    }

    /** The last day on which a fertilised egg was laid here. */
    LocalDate lastFertilised;
    /** The last day on which a queen laid, mated or not. */
    LocalDate lastQueens;

    private void lay() {
        if (caged || freeIn > 0 || rests) {
            return;
        }
        switch (queen) {
            case LAYS -> {
                boolean slims = cells.stream().anyMatch(cell -> cell.why == Why.SWARM && cell.age >= 6);
                worker[0] = slims ? 0.4 : queenDays < 2 ? 0.3 : 1;
            }
            case FAILS -> {
                worker[0] = Math.max(0, 0.5 - queenDays * 0.02);
                drone[0] = 0.6;
            }
            case UNMATED -> drone[0] = queenDays < 2 ? 0.3 : 0.8;
            case NONE, VIRGIN, MATED -> {
                // nobody lays, unless workers do
            }
        }
        if (worker[0] > 0) {
            lastFertilised = day;
        }
        if (worker[0] > 0 || drone[0] > 0) {
            lastQueens = day;
        }
        if (workersLay >= 0) {
            drone[0] = Math.max(drone[0], workersLay < 3 ? 0.3 : 0.7);
        }
    }

    private void queenGoesOn() {
        double month = day.getMonthValue();
        if (freeIn > 0 && --freeIn == 0) {
            queenDays = 0;
        }
        switch (queen) {
            case LAYS -> {
                if (luck.nextDouble() < 0.0009) {
                    queen = Queen.NONE;
                } else if (luck.nextDouble() < 0.0005) {
                    queen = Queen.FAILS;
                    queenDays = 0;
                }
                double stops = month == 10 ? 0.01 : month == 11 ? 0.03 : month == 12 ? 0.03 : 0;
                double starts = month == 1 ? 0.015 : month == 2 ? 0.04 : month == 3 ? 0.07 : month < 10 ? 0.2 : 0;
                rests = rests ? luck.nextDouble() >= starts : luck.nextDouble() < stops;
            }
            case VIRGIN -> {
                if (luck.nextDouble() < 0.004) {
                    queen = Queen.NONE;
                } else if (queenDays >= maturesAt && queenDays < 30 && luck.nextDouble() < fit() * 0.8) {
                    if (luck.nextDouble() < 0.1) {
                        queen = Queen.NONE;
                    } else if (--flightsLeft <= 0) {
                        queen = Queen.MATED;
                        laysIn = 2 + luck.nextInt(3);
                    }
                } else if (queenDays > 28 && luck.nextDouble() < 0.15) {
                    queen = Queen.UNMATED;
                    queenDays = 0;
                }
            }
            case MATED -> {
                if (--laysIn <= 0) {
                    queen = Queen.LAYS;
                    queenDays = 0;
                    rests = month >= 11 && luck.nextDouble() < 0.7;
                }
            }
            case NONE, UNMATED, FAILS -> {
                if (queen != Queen.NONE && luck.nextDouble() < 0.005) {
                    queen = Queen.NONE;
                }
            }
        }
    }

    private void cellsGoOn() {
        cells.forEach(cell -> cell.age++);
        int oldest = cells.stream().mapToInt(cell -> cell.age).max().orElse(0);
        boolean swarmCells = cells.stream().anyMatch(cell -> cell.why == Why.SWARM);
        boolean bad = luck.nextDouble() < 0.3;
        if (queen == Queen.LAYS && swarmCells && oldest >= SEALED_CELL && (!bad || oldest > 13)) {
            swarm();
        }
        Cell opens = cells.stream().filter(cell -> cell.age >= cell.opensAt).findFirst().orElse(null);
        if (opens == null) {
            return;
        }
        cells.remove(opens);
        boolean dud = luck.nextDouble() < (opens.why == Why.GIVEN ? workersLay >= 0 ? 0.6 : 0.08 : 0.05);
        if (dud) {
            return;
        }
        emptyCellsFor = 7;
        if (queen == Queen.LAYS) {
            supersede(opens);
        } else if (queen == Queen.NONE) {
            hatchVirgin();
        }
        if (!cells.isEmpty()) {
            tornFor = 8;
            // the first one out tears the others down within days
            cells.clear();
        }
    }

    private void supersede(Cell from) {
        if (from.why != Why.SUPERSEDURE) {
            return;
        }
        double draw = luck.nextDouble();
        if (draw < 0.35) {
            two = true;
        } else if (draw < 0.8) {
            hatchVirgin();
        }
    }

    void swarm() {
        swarmedDaysAgo = 0;
        queen = Queen.NONE;
        two = false;
        bees *= 0.45;
    }

    private void beginCells() {
        if (queen == Queen.NONE && cells.isEmpty() && freeIn == 0) {
            for (int larva = 4; larva <= 6; larva++) {
                if (worker[larva] > 0.05 && luck.nextDouble() < (workersLay >= 0 ? 0.05 : 0.3)) {
                    int many = 2 + luck.nextInt(8);
                    for (int one = 0; one < many; one++) {
                        cells.add(new Cell(Why.EMERGENCY, Math.max(3, larva - luck.nextInt(2)), luck));
                    }
                    return;
                }
            }
        }
        double spring = fit() > 0.1 && day.getMonthValue() < 8 ? 1 : 0;
        if (queen == Queen.LAYS && !two && cells.isEmpty() && queenDays > 24 && bees > 0.9) {
            cups = luck.nextDouble() < 0.35 * spring + 0.05;
            if (luck.nextDouble() < 0.005 * spring * Math.min(1, fit() / 0.4)) {
                beginSwarm();
            } else if (luck.nextDouble() < 0.001) {
                int many = 1 + luck.nextInt(3);
                for (int one = 0; one < many; one++) {
                    cells.add(new Cell(Why.SUPERSEDURE, 0, luck));
                }
            }
        } else if (queen == Queen.LAYS && !cells.isEmpty() && cells.getFirst().why == Why.SWARM && cells.size() < 14
                && luck.nextDouble() < 0.6) {
            cells.add(new Cell(Why.SWARM, 0, luck));
        }
    }

    void beginSwarm() {
        cells.add(new Cell(Why.SWARM, 0, luck));
        cells.add(new Cell(Why.SWARM, 0, luck));
        cups = true;
    }

    /** What one word would say of it. */
    Status status() {
        boolean queenCells = cells.stream().anyMatch(cell -> cell.age < 18);
        return switch (queen) {
            case LAYS -> two ? Status.TWO_QUEENS : queenCells ? Status.CELLS : Status.LAYING_QUEEN;
            case VIRGIN, MATED -> Status.VIRGIN;
            case UNMATED, FAILS -> Status.DRONE_LAYER;
            case NONE -> {
                if (workersLay >= 0) {
                    yield Status.LAYING_WORKERS;
                }
                if (queenCells) {
                    yield cells.getFirst().why == Why.SWARM ? Status.JUST_SWARMED : Status.CELLS;
                }
                boolean young = false;
                for (int age = 0; age <= 6; age++) {
                    young |= worker[age] > 0.05;
                }
                yield young ? Status.RECENTLY_QUEENLESS : Status.HOPELESSLY_QUEENLESS;
            }
        };
    }

    boolean isQueenright() {
        return queen == Queen.LAYS || queen == Queen.MATED;
    }

    boolean hasOpenSwarmCells() {
        return queen == Queen.LAYS && cells.stream().anyMatch(cell -> cell.why == Why.SWARM);
    }
}
