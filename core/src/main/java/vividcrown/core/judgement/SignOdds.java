package vividcrown.core.judgement;

import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Wrong;

/**
 * One line of the table of likelihoods: how often a sign is seen, by the state of the colony, when somebody looks for it.
 * The reason for each line is the sentence {@code like.} and the sign's name.
 *
 * @param group lines of one group say much the same; of the signs seen in one group only the strongest counts
 * @param seen chance of seeing it in each state, 0–1, both excluded
 */
record SignOdds(Sign sign, Group group, Map<Status, Double> seen) {

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
        EGG_PATTERN, EGG_WALLS, DRONE_BROOD, PATTERN, QUEEN, CELLS, TEST, DRONES_LATE
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
        return new SignOdds(sign, group, all);
    }

    SignOdds in(Status status, double chance) {
        Map<Status, Double> all = new EnumMap<>(seen);
        all.put(status, chance);
        return new SignOdds(sign, group, all);
    }

    double chance(Status status, boolean isSeen) {
        double chance = Objects.requireNonNull(seen.get(status));
        return isSeen ? chance : 1 - chance;
    }
}
