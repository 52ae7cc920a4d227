package vividcrown.core.judgement;

import java.time.LocalDate;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.judgement.Phase.Cells;
import vividcrown.core.judgement.Phase.Queen;

/** What is thought of any colony that somebody opens at this time of year, before anything is known of it. Common practice. */
final class Prior {

    private Prior() {
    }

    static Belief on(LocalDate day, Assumptions assumptions, Season season) {
        Clock clock = new Clock(assumptions);
        double[] weights = new double[Phase.all().size()];
        double swarms = season.swarmShare(day);
        boolean rearing = season.hasDrones(day);
        double swarmCells = 8 * swarms;
        double superseding = 0.016;
        double virgin = rearing ? 0.055 : 0.006;
        double rests = 1 - season.layShare(day);
        for (int age = 0; age < clock.sealedAt() + 3; age++) {
            put(weights, Phase.settled(Cells.SWARM, age), swarmCells / (clock.sealedAt() + 3));
        }
        for (int age = 0; age < Phase.CELL_DAYS; age++) {
            put(weights, Phase.settled(Cells.SUPERSEDURE, age), superseding / Phase.CELL_DAYS);
        }
        for (int age = clock.sealedAt(); age <= clock.emergesAt(); age++) {
            put(weights, Phase.queenlessWith(Cells.SWARM, age, age - clock.sealedAt() + 1),
                    (0.001 + 4 * swarms) / (clock.emergesAt() - clock.sealedAt() + 1));
        }
        for (int days = 0; days <= 28; days++) {
            double share = virgin / 29;
            // of an emergency most, of a swarm some, and of a cell given into a box without brood
            put(weights, Phase.virgin(days, 11 + days, false), share * 0.45);
            put(weights, Phase.virgin(days, 8 + days, days <= Phase.RIVALS_DAYS), share * 0.3);
            put(weights, Phase.virgin(days, Phase.GONE, false), share * 0.25);
        }
        for (int days = 0; days < Phase.MATED_DAYS - 4; days++) {
            put(weights, Phase.of(Queen.MATED, days, Phase.GONE - 3), virgin * 0.03);
        }
        for (int age = 4; age <= clock.emergesAt(); age++) {
            put(weights, Phase.queenlessWith(Cells.EMERGENCY, age, age - 4), 0.022 / (clock.emergesAt() - 3));
        }
        for (int since = 0; since <= 2; since++) {
            put(weights, Phase.queenless(since), 0.004);
        }
        for (int since = 9; since <= 55; since++) {
            put(weights, Phase.queenless(since), 0.022 / 47);
        }
        for (int days = 0; days <= Phase.WORKERS_SETTLED; days++) {
            put(weights, Phase.workersLaying(days, Phase.GONE), days == Phase.WORKERS_SETTLED ? 0.008 : 0.003 / 14);
        }
        for (int days = 0; days <= Phase.UNMATED_DAYS; days++) {
            put(weights, Phase.of(Queen.UNMATED, days, Phase.GONE), 0.006 / 31);
        }
        for (int days = 0; days <= Phase.GONE; days++) {
            put(weights, Phase.of(Queen.FAILING, days, days), days == Phase.GONE ? 0.003 : 0.009 / Phase.GONE);
        }
        put(weights, new Phase(Queen.TWO, Phase.SETTLED, Cells.NONE, 0, Phase.GONE, false), 0.01);
        double others = 0;
        for (double weight : weights) {
            others += weight;
        }
        double queenright = 1 - others;
        for (int since = 1; since <= Phase.GONE; since++) {
            put(weights, Phase.of(Queen.RESTING, 0, since),
                    queenright * rests * (since == Phase.GONE ? 0.7 : 0.3 / (Phase.GONE - 1)));
        }
        double lays = queenright * (1 - rests);
        for (int days = 0; days < Phase.SETTLED; days++) {
            put(weights, Phase.laying(days, Phase.GONE), lays * (rests > 0.05 ? 0.3 : 0.07) / Phase.SETTLED);
        }
        put(weights, Phase.settled(Cells.NONE, 0), lays * (rests > 0.05 ? 0.7 : 0.93));
        return Belief.of(weights);
    }

    private static void put(double[] weights, Phase phase, double weight) {
        weights[phase.place()] += weight;
    }
}
