package vividcrown.core.judgement;

import vividcrown.core.judgement.Phase.Cells;
import vividcrown.core.judgement.Phase.Queen;

/**
 * How a colony left alone goes on from day to day. Days follow the operation's own figures ({@link Clock}); chances a day are
 * common practice put into numbers (15–30 % of virgins are lost, nearly all on their flights; a prime swarm leaves about when
 * the first cell is sealed; laying workers after three to four weeks without open brood).
 */
final class Course {

    private static final double QUEEN_LOST = 0.001;
    private static final double SUPERSEDED = 0.0012;
    private static final double FAILS = 0.0008;
    private static final double VIRGIN_LOST_INSIDE = 0.005;
    /** Of a virgin's life up to her flights so many are lost in the hive. */
    private static final double LOST_BEFORE_FLYING = 0.05;
    /** On a fit day a ripe virgin flies; of those that fly so many have mated enough. */
    private static final double FLIES = 0.75;
    private static final double MATED_ON_FLIGHT = 0.58;
    private static final double MATES_LATE = 0.35;
    private static final double LAYS_DRONES = 0.15;
    private static final double EMERGENCY_FAILS = 0.08;
    private static final double SWARM_CELL_FAILS = 0.03;
    private static final double GIVEN_CELL_FAILS = 0.1;
    /** Where workers lay, a cell given is most often torn down. */
    private static final double FAILS_AMONG_WORKERS = 0.6;
    private static final double[] BEGIN_CELLS = {0, 0.5, 0.7, 0.6};
    private static final double[] LARVA_CHOSEN = {0.35, 0.4, 0.25};
    /** Of those who would begin cells without a queen, so many do beside one in a cage: two in ten in all. */
    private static final double BESIDE_A_CAGE = 0.06;
    private static final int OUT_OF_HER_CAGE_DAYS = 3;
    private static final double GIVEN_BESIDE_CELLS_LOST = 0.04;
    private static final double TORN_DOWN_FOR_HER = 0.06;
    private static final double KILLED_BY_A_VIRGIN = 0.9;
    private static final int WORKERS_FROM = 22;
    private static final int WORKERS_OFTEN_FROM = 30;

    /** Takes what goes over. */
    @FunctionalInterface
    interface Sink {
        void put(Phase phase, double weight);
    }

    /**
     * What changes through the year at a place.
     *
     * @param swarms chance a day that a settled colony begins swarm cells
     * @param fit chance of an afternoon fit for mating
     * @param mates share of virgins that come to lay where the weather lets them
     * @param stops chance a day that a laying queen stops for the winter
     * @param starts chance a day that one who rests begins again
     * @param rests share of those who would begin to lay and rest until spring instead
     */
    record Rates(double swarms, double fit, double mates, double stops, double starts, double rests) {
    }

    private final Clock clock;
    private final Rates rates;
    private final double lostOnFlight;

    Course(Clock clock, Rates rates) {
        this.clock = clock;
        this.rates = rates;
        // nearly all losses fall on the flights: so many that the share comes out
        double ofThoseThatFly = Math.clamp(rates.mates() / (1 - LOST_BEFORE_FLYING), 0.3, 0.99);
        this.lostOnFlight = MATED_ON_FLIGHT * (1 / ofThoseThatFly - 1);
    }

    void step(Phase phase, double weight, Sink next) {
        int since = phase.since() + 1;
        switch (phase.queen()) {
            case NONE -> {
                if (phase.workersLay()) {
                    workers(phase, since, weight, next);
                } else if (phase.hasCells()) {
                    cells(phase, since, weight, next);
                } else {
                    queenless(since, weight, next);
                }
            }
            case VIRGIN -> virgin(phase, since, weight, next);
            case MATED -> {
                double lays = clock.beginsToLay(phase.days() + 1);
                next.put(Phase.queenless(since), weight * 0.004);
                begins(since, weight * 0.996 * lays, next);
                next.put(Phase.of(Queen.MATED, phase.days() + 1, since), weight * 0.996 * (1 - lays));
            }
            case LAYING -> laying(phase, since, weight, next);
            case TWO -> {
                next.put(Phase.settled(Cells.NONE, 0), weight * 0.01);
                next.put(phase, weight * 0.99);
            }
            case UNMATED -> {
                next.put(Phase.queenless(since), weight * 0.006);
                next.put(Phase.of(Queen.UNMATED, phase.days() + 1, since), weight * 0.994);
            }
            case FAILING -> {
                next.put(Phase.queenless(phase.days() + 1), weight * 0.006);
                next.put(Phase.of(Queen.FAILING, phase.days() + 1, phase.days() + 1), weight * 0.994);
            }
            case CAGED, GIVEN -> {
                if (phase.hasCells()) {
                    besideCells(phase, since, weight, next);
                } else if (phase.queen() == Queen.GIVEN) {
                    given(phase, since, begun(phase, since, weight, next), next);
                } else {
                    next.put(Phase.queenless(since), weight * 0.002);
                    next.put(Phase.of(Queen.CAGED, 0, since), begun(phase, since, weight * 0.998, next));
                }
            }
            case HIVED -> {
                next.put(Phase.queenless(since), weight * 0.004);
                begins(Phase.GONE, weight * 0.996 * 0.35, next);
                next.put(Phase.of(Queen.HIVED, 0, since), weight * 0.996 * 0.65);
            }
            case RESTING -> {
                next.put(Phase.queenless(since), weight * QUEEN_LOST);
                next.put(Phase.laying(0, since), weight * (1 - QUEEN_LOST) * rates.starts());
                next.put(Phase.of(Queen.RESTING, 0, since), weight * (1 - QUEEN_LOST) * (1 - rates.starts()));
            }
        }
    }

    private void queenless(int since, double weight, Sink next) {
        double begins = beginsCells(since);
        double workers = since < WORKERS_FROM ? 0 : since < WORKERS_OFTEN_FROM ? 0.025 : 0.055;
        putCells(Queen.NONE, since, weight * begins, next);
        next.put(Phase.workersLaying(0, since), weight * workers);
        next.put(Phase.queenless(since), weight * (1 - begins - workers));
    }

    private static double beginsCells(int since) {
        return since > Clock.OLDEST_LARVA_DAYS ? 0 : BEGIN_CELLS[Math.min(since, BEGIN_CELLS.length - 1)];
    }

    /** Cells begun today on larvae that are there. */
    private void putCells(Queen queen, int since, double weight, Sink next) {
        if (weight <= 0) {
            return;
        }
        double all = 0;
        for (int age = clock.hatchesAt() + 1, index = 0; index < LARVA_CHOSEN.length; index++) {
            all += age + index >= since ? LARVA_CHOSEN[index] : 0;
        }
        for (int age = clock.hatchesAt() + 1, index = 0; index < LARVA_CHOSEN.length; index++) {
            if (age + index >= since) {
                next.put(new Phase(queen, 0, Cells.EMERGENCY, age + index, since, false),
                        weight * LARVA_CHOSEN[index] / all);
            }
        }
    }

    /** Some begin cells beside a queen in a cage, who gives them too little of her scent. @return the weight of those who do not */
    private double begun(Phase phase, int since, double weight, Sink next) {
        boolean free = phase.queen() == Queen.GIVEN && phase.days() >= OUT_OF_HER_CAGE_DAYS;
        double begins = free ? 0 : BESIDE_A_CAGE * beginsCells(since);
        putCells(phase.queen(), since, weight * begins, next);
        return weight * (1 - begins);
    }

    /** She waits in her cage: they keep their cells, or tear them down for her; the first virgin out is her end. */
    private void besideCells(Phase phase, int since, double weight, Sink next) {
        boolean given = phase.queen() == Queen.GIVEN;
        double lost = given ? GIVEN_BESIDE_CELLS_LOST : 0.002;
        double tornDown = given ? TORN_DOWN_FOR_HER : 0;
        next.put(Phase.queenlessWith(phase.cells(), phase.cellDays() + 1, since), weight * lost);
        next.put(Phase.of(phase.queen(), given ? OUT_OF_HER_CAGE_DAYS : 0, since), weight * (1 - lost) * tornDown);
        double stays = weight * (1 - lost) * (1 - tornDown);
        double opens = clock.opens(phase.cellDays() + 1);
        double killed = (1 - EMERGENCY_FAILS) * KILLED_BY_A_VIRGIN;
        next.put(Phase.virgin(0, since, true), stays * opens * killed);
        next.put(Phase.of(phase.queen(), 0, since), stays * opens * (1 - killed));
        next.put(new Phase(phase.queen(), 0, phase.cells(), phase.cellDays() + 1, since, false), stays * (1 - opens));
    }

    private void workers(Phase phase, int since, double weight, Sink next) {
        if (!phase.hasCells()) {
            // on brood that was given they begin a cell now and then
            double begins = since <= Clock.OLDEST_LARVA_DAYS ? 0.12 : 0;
            next.put(new Phase(Queen.NONE, phase.days(), Cells.EMERGENCY, clock.hatchesAt() + 2, since, true),
                    weight * begins);
            next.put(Phase.workersLaying(phase.days() + 1, since), weight * (1 - begins));
            return;
        }
        double opens = clock.opens(phase.cellDays() + 1);
        double fails = phase.cells() == Cells.GIVEN ? FAILS_AMONG_WORKERS : EMERGENCY_FAILS;
        next.put(new Phase(Queen.VIRGIN, 0, Cells.NONE, 0, Phase.GONE, true), weight * opens * (1 - fails));
        next.put(Phase.workersLaying(phase.days(), since), weight * opens * fails);
        next.put(new Phase(Queen.NONE, phase.days(), phase.cells(), phase.cellDays() + 1, since, true),
                weight * (1 - opens));
    }

    private void cells(Phase phase, int since, double weight, Sink next) {
        double opens = clock.opens(phase.cellDays() + 1);
        double fails = switch (phase.cells()) {
            case SWARM -> SWARM_CELL_FAILS;
            case GIVEN -> GIVEN_CELL_FAILS;
            case EMERGENCY, SUPERSEDURE, NONE -> EMERGENCY_FAILS;
        };
        boolean several = phase.cells() == Cells.SWARM || phase.cells() == Cells.EMERGENCY;
        next.put(Phase.virgin(0, since, several), weight * opens * (1 - fails));
        next.put(Phase.queenless(since), weight * opens * fails);
        next.put(Phase.queenlessWith(phase.cells(), phase.cellDays() + 1, since), weight * (1 - opens));
    }

    private void virgin(Phase phase, int since, double weight, Sink next) {
        int age = phase.days() + 1;
        double goes = clock.mature(age) * rates.fit() * FLIES
                * (age <= clock.matesUntil() ? 1 : age < clock.laysDronesFrom() ? MATES_LATE : 0);
        double lost = VIRGIN_LOST_INSIDE + Math.min(1 - MATED_ON_FLIGHT, lostOnFlight) * goes;
        double mated = goes * MATED_ON_FLIGHT;
        double drones = age < clock.laysDronesFrom() ? 0 : age >= Phase.VIRGIN_DAYS ? 1 - lost : LAYS_DRONES;
        if (phase.workersLay()) {
            next.put(Phase.workersLaying(Phase.WORKERS_SETTLED, Phase.GONE), weight * lost);
        } else {
            next.put(Phase.queenless(since), weight * lost);
        }
        next.put(Phase.of(Queen.MATED, 0, since), weight * mated);
        next.put(Phase.of(Queen.UNMATED, 0, since), weight * drones);
        next.put(new Phase(Queen.VIRGIN, age, phase.cells(), phase.cellDays(), since, phase.workersLay()),
                weight * (1 - lost - mated - drones));
    }

    private void laying(Phase phase, int since, double weight, Sink next) {
        if (phase.days() < Phase.SETTLED) {
            double stops = phase.days() > 3 ? rates.stops() : 0;
            next.put(Phase.queenless(0), weight * 2 * QUEEN_LOST);
            next.put(Phase.of(Queen.RESTING, 0, 1), weight * stops);
            next.put(Phase.laying(phase.days() + 1, since), weight * (1 - 2 * QUEEN_LOST - stops));
            return;
        }
        switch (phase.cells()) {
            case SWARM -> swarming(phase, weight, next);
            case SUPERSEDURE -> {
                double opens = clock.opens(phase.cellDays() + 1);
                next.put(new Phase(Queen.TWO, Phase.SETTLED, Cells.NONE, 0, Phase.GONE, false), weight * opens * 0.4);
                next.put(Phase.settled(Cells.NONE, 0), weight * opens * 0.2);
                next.put(Phase.virgin(0, 1, false), weight * opens * 0.4);
                next.put(Phase.queenlessWith(Cells.SUPERSEDURE, phase.cellDays() + 1, 0), weight * (1 - opens) * 0.02);
                next.put(Phase.settled(Cells.SUPERSEDURE, phase.cellDays() + 1), weight * (1 - opens) * 0.98);
            }
            case NONE, EMERGENCY, GIVEN -> {
                next.put(Phase.queenless(0), weight * QUEEN_LOST);
                next.put(Phase.settled(Cells.SWARM, 0), weight * rates.swarms());
                next.put(Phase.settled(Cells.SUPERSEDURE, 0), weight * SUPERSEDED);
                next.put(Phase.of(Queen.FAILING, 0, 0), weight * FAILS);
                next.put(Phase.of(Queen.RESTING, 0, 1), weight * rates.stops());
                next.put(phase, weight * (1 - QUEEN_LOST - rates.swarms() - SUPERSEDED - FAILS - rates.stops()));
            }
        }
    }

    /** The prime swarm leaves about when the oldest cell is sealed, later if the weather holds it back. */
    private void swarming(Phase phase, double weight, Sink next) {
        int age = phase.cellDays() + 1;
        int sealed = clock.sealedAt();
        double leaves = age < sealed - 1 ? 0 : age == sealed - 1 ? 0.1 : age < clock.emergesAt() ? 0.38 : 1;
        double givesUp = 0.02;
        next.put(Phase.queenlessWith(Cells.SWARM, age, 1), weight * leaves);
        next.put(Phase.settled(Cells.NONE, 0), weight * (1 - leaves) * givesUp);
        next.put(Phase.settled(Cells.SWARM, age), weight * (1 - leaves) * (1 - givesUp));
    }

    /** Out of the cage after some days, and most often kept: whoever is not is dead by then. */
    private void given(Phase phase, int since, double weight, Sink next) {
        int days = phase.days() + 1;
        double lays = days < 2 ? 0.15 : days < Phase.GIVEN_DAYS ? 0.3 : 1;
        next.put(Phase.queenless(since), weight * 0.01);
        begins(since, weight * 0.99 * lays, next);
        next.put(Phase.of(Queen.GIVEN, days, since), weight * 0.99 * (1 - lays));
    }

    /** She begins to lay; late in the year many begin in spring only. */
    private void begins(int since, double weight, Sink next) {
        next.put(Phase.laying(0, since), weight * (1 - rates.rests()));
        next.put(Phase.of(Queen.RESTING, 0, since), weight * rates.rests());
    }
}
