package vividcrown.core.judgement;

import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Wrong;

/**
 * One line of the table of likelihoods: how often a sign is seen, by the state of the colony, when somebody looks for it.
 * The reason for each line is the sentence {@code like.} and the sign's name.
 *
 * @param group lines of one group say much the same; of the signs seen in one group only the strongest counts
 * @param seen chance of seeing it in each state, 0–1, both excluded
 * @param finer where the chance depends on more than the state in one word; wins over {@code seen}
 */
record SignOdds(Sign sign, Group group, Map<Status, Double> seen, Optional<Finer> finer) {

    /** Signs that depend on each other beyond the state itself. */
    enum Group {
        /** How the bees sound and behave: the weakest evidence. */
        BEHAVIOUR,
        /** What is done with the place of the brood nest. */
        NEST,
        /** Age and number of the bees. */
        BEES,
        /** Strength and season: what goes before a swarm. */
        SWARM_MOOD,
        /** How the eggs lie. */
        EGG_PATTERN, EGG_WALLS, DRONE_BROOD, PATTERN, QUEEN,
        /** What a queen who is seen looks like and does. */
        QUEEN_LOOKS, CELLS, TEST, DRONES_LATE
    }

    /** Chance of seeing it in a phase, 0–1, or a negative number where the state's own chance holds. */
    @FunctionalInterface
    interface Finer {
        double seen(Phase phase, Reading reading);
    }

    SignOdds {
        seen = Map.copyOf(seen);
        seen.forEach((status, chance) -> {
            if (chance <= 0 || chance >= 1) {
                throw Wrong.of("wrong.SignOdds", sign, status, chance);
            }
        });
    }

    /** A line that says the same for every state, to be told apart by {@link #in}. */
    static SignOdds line(Sign sign, Group group, double otherwise) {
        Map<Status, Double> all = new EnumMap<>(Status.class);
        for (Status status : Status.values()) {
            all.put(status, otherwise);
        }
        return new SignOdds(sign, group, all, Optional.empty());
    }

    SignOdds in(Status status, double chance) {
        Map<Status, Double> all = new EnumMap<>(seen);
        all.put(status, chance);
        return new SignOdds(sign, group, all, finer);
    }

    SignOdds finer(Finer by) {
        return new SignOdds(sign, group, seen, Optional.of(by));
    }

    double chance(Status status, boolean isSeen) {
        double chance = Objects.requireNonNull(seen.get(status));
        return isSeen ? chance : 1 - chance;
    }

    /** @param weight how much it tells, 0–1: less where the same was told before */
    Likelihood byPhase(boolean isSeen, double weight, Reading reading) {
        double[] perState = new double[Status.values().length];
        for (Status status : Status.values()) {
            perState[status.ordinal()] = weighed(chance(status, isSeen), weight);
        }
        if (finer.isEmpty()) {
            return (place, _) -> perState[Belief.STATUS_OF[place]];
        }
        Finer by = finer.get();
        return (place, phase) -> {
            double chance = by.seen(phase, reading);
            return chance < 0 ? perState[Belief.STATUS_OF[place]] : weighed(isSeen ? chance : 1 - chance, weight);
        };
    }

    private static double weighed(double chance, double weight) {
        return weight == 1 ? chance : Math.pow(chance, weight);
    }

    /** How much further apart than any other the sign puts two states, in logarithms. */
    double spread(boolean isSeen) {
        double least = Double.MAX_VALUE;
        double most = 0;
        for (Status status : Status.values()) {
            double chance = chance(status, isSeen);
            least = Math.min(least, chance);
            most = Math.max(most, chance);
        }
        return Math.log(most / least);
    }
}
