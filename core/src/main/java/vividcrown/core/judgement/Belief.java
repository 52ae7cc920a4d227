package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import vividcrown.core.assumptions.Assumptions;

/** How likely each phase is: one number a phase, together 1. Not changed once made. */
final class Belief {

    private static final List<Phase> PHASES = Phase.all();
    static final int[] STATUS_OF = PHASES.stream().mapToInt(phase -> phase.status().ordinal()).toArray();
    private static final int STATES = Status.values().length;
    /** What is less likely than this is not followed. */
    private static final double NEGLIGIBLE = 1e-8;

    private final double[] weights;

    private Belief(double[] weights) {
        this.weights = weights;
    }

    /** From weights that need not sum to 1; those that are negligible are dropped. */
    static Belief of(double[] weights) {
        double sum = Arrays.stream(weights).sum();
        if (sum <= 0) {
            throw new IllegalStateException("Impossible state: every phase is ruled out");
        }
        double[] scaled = new double[weights.length];
        double kept = 0;
        for (int at = 0; at < weights.length; at++) {
            scaled[at] = weights[at] < NEGLIGIBLE * sum ? 0 : weights[at];
            kept += scaled[at];
        }
        for (int at = 0; at < scaled.length; at++) {
            scaled[at] /= kept;
        }
        return new Belief(scaled);
    }

    /** The same colony a day later. */
    Belief dayLater(LocalDate day, Assumptions assumptions, Season season) {
        return of(Flows.on(day, assumptions, season).dayLater(weights));
    }

    /** After an event: each phase hands its weight on. */
    Belief after(Moves moves) {
        double[] next = new double[weights.length];
        Course.Sink sink = (phase, weight) -> {
            if (weight > 0) {
                next[phase.place()] += weight;
            }
        };
        for (int at = 0; at < weights.length; at++) {
            if (weights[at] > 0) {
                moves.hand(PHASES.get(at), weights[at], sink);
            }
        }
        return of(next);
    }

    /** Hands the weight of one phase to others; must hand on all of it. */
    interface Moves {
        void hand(Phase phase, double weight, Course.Sink next);
    }

    /** Weighed by how likely each phase makes what was seen or done (Bayes' rule). */
    Belief weighed(Likelihood likelihood) {
        double[] next = new double[weights.length];
        for (int at = 0; at < weights.length; at++) {
            next[at] = weights[at] > 0 ? weights[at] * likelihood.in(at, PHASES.get(at)) : 0;
        }
        return of(next);
    }

    /**
     * Chance of each state together with something that each phase makes so likely, in the order of {@link Status}; their
     * sum is the chance of it.
     */
    double[] jointly(Likelihood likelihood) {
        double[] joint = new double[STATES];
        for (int at = 0; at < weights.length; at++) {
            if (weights[at] > 0) {
                joint[STATUS_OF[at]] += weights[at] * likelihood.in(at, PHASES.get(at));
            }
        }
        return joint;
    }

    /** Mostly this one, for a small share another. */
    Belief mixed(Belief other, double share) {
        double[] next = new double[weights.length];
        for (int at = 0; at < weights.length; at++) {
            next[at] = (1 - share) * weights[at] + share * other.weights[at];
        }
        return of(next);
    }

    /** The same belief with one thing taken for certain; it must be possible. */
    Belief in(Predicate<Phase> certain) {
        return weighed((_, phase) -> certain.test(phase) ? 1 : 0);
    }

    /** Chance of something that each phase makes so likely. */
    double chanceOf(Likelihood likelihood) {
        double chance = 0;
        for (int at = 0; at < weights.length; at++) {
            chance += weights[at] > 0 ? weights[at] * likelihood.in(at, PHASES.get(at)) : 0;
        }
        return chance;
    }

    /** Is shown a phase that is possible. */
    interface Visit {
        void at(int place, Phase phase, double weight);
    }

    /** Every phase that is possible, with its weight. */
    void each(Visit visit) {
        for (int at = 0; at < weights.length; at++) {
            if (weights[at] > 0) {
                visit.at(at, PHASES.get(at), weights[at]);
            }
        }
    }

    double chance(Predicate<Phase> so) {
        return chanceOf((_, phase) -> so.test(phase) ? 1 : 0);
    }

    Map<Status, Double> odds() {
        double[] joint = new double[STATES];
        for (int at = 0; at < weights.length; at++) {
            joint[STATUS_OF[at]] += weights[at];
        }
        Map<Status, Double> odds = new EnumMap<>(Status.class);
        for (Status status : Status.values()) {
            odds.put(status, joint[status.ordinal()]);
        }
        return odds;
    }

    /**
     * How unsure chances are, in bits: 0 if one is certain, about 3.2 if nine are alike. Entropy, Shannon 1948.
     *
     * @param chances not negative; need not sum to 1
     */
    static double bits(double[] chances) {
        double sum = Arrays.stream(chances).sum();
        double bits = 0;
        for (double chance : chances) {
            if (chance > 0) {
                bits -= chance / sum * Math.log(chance / sum) / Math.log(2);
            }
        }
        return bits;
    }
}
