package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/** How likely each phase is: one number for each that is possible, together 1. Not changed once made. */
final class Belief {

    private static final List<Phase> PHASES = Phase.all();
    static final int[] STATUS_OF = PHASES.stream().mapToInt(phase -> phase.status().ordinal()).toArray();
    private static final int STATES = Status.values().length;
    /** What has become less likely than this from one day to the next is not followed any more. */
    private static final double NEGLIGIBLE = 1e-6;
    private static final ThreadLocal<Gathering> GATHERING = ThreadLocal.withInitial(Gathering::new);

    /** Places of the phases that are possible, and their weights. */
    private final int[] places;
    private final double[] weights;

    private Belief(int[] places, double[] weights) {
        this.places = places;
        this.weights = weights;
    }

    /** Weights on their way to their new phases: one array for all, and which of it was touched. */
    private static final class Gathering {
        private final double[] all = new double[PHASES.size()];
        private final int[] touched = new int[PHASES.size()];
        private int count;

        void put(int place, double weight) {
            if (weight > 0) {
                if (all[place] == 0) {
                    touched[count++] = place;
                }
                all[place] += weight;
            }
        }

        /** Together 1, what is less likely than {@code least} left out; leaves nothing behind. */
        Belief gathered(double least) {
            double sum = 0;
            for (int index = 0; index < count; index++) {
                sum += all[touched[index]];
            }
            if (!(sum > 0)) {
                clear();
                throw new IllegalStateException("Impossible state: every phase is ruled out");
            }
            int[] places = new int[count];
            double[] weights = new double[count];
            int kept = 0;
            double keptSum = 0;
            for (int index = 0; index < count; index++) {
                double weight = all[touched[index]];
                if (weight >= least * sum) {
                    places[kept] = touched[index];
                    weights[kept++] = weight;
                    keptSum += weight;
                }
            }
            clear();
            for (int index = 0; index < kept; index++) {
                weights[index] /= keptSum;
            }
            return new Belief(Arrays.copyOf(places, kept), Arrays.copyOf(weights, kept));
        }

        private void clear() {
            for (int index = 0; index < count; index++) {
                all[touched[index]] = 0;
            }
            count = 0;
        }
    }

    /** From weights of all phases that need not sum to 1. */
    static Belief of(double[] weights) {
        Gathering gathering = GATHERING.get();
        for (int place = 0; place < weights.length; place++) {
            gathering.put(place, weights[place]);
        }
        return gathering.gathered(0);
    }

    /** The same colony a day later. */
    Belief dayLater(LocalDate day, Flows.AtPlace place) {
        Gathering gathering = GATHERING.get();
        gathering.count = place.on(day).spread(places, weights, gathering.all, gathering.touched, gathering.count);
        return gathering.gathered(NEGLIGIBLE);
    }

    /** After an event: each phase hands its weight on. */
    Belief after(Moves moves) {
        Gathering gathering = GATHERING.get();
        Course.Sink sink = (phase, weight) -> {
            if (weight > 0) {
                gathering.put(phase.place(), weight);
            }
        };
        for (int index = 0; index < places.length; index++) {
            moves.hand(PHASES.get(places[index]), weights[index], sink);
        }
        return gathering.gathered(0);
    }

    /** Hands the weight of one phase to others; must hand on all of it. */
    interface Moves {
        void hand(Phase phase, double weight, Course.Sink next);
    }

    /** Weighed by how likely each phase makes what was seen or done (Bayes' rule). */
    Belief weighed(Likelihood likelihood) {
        Gathering gathering = GATHERING.get();
        for (int index = 0; index < places.length; index++) {
            int place = places[index];
            gathering.put(place, weights[index] * likelihood.in(place, PHASES.get(place)));
        }
        return gathering.gathered(0);
    }

    /** Mostly this one, for a small share another. */
    Belief mixed(Belief other, double share) {
        Gathering gathering = GATHERING.get();
        for (int index = 0; index < places.length; index++) {
            gathering.put(places[index], (1 - share) * weights[index]);
        }
        for (int index = 0; index < other.places.length; index++) {
            gathering.put(other.places[index], share * other.weights[index]);
        }
        return gathering.gathered(0);
    }

    /**
     * Weighed by several things at once, each looked at once for each phase.
     *
     * @param jointly receives, for each of them, the chance of each state together with it, in the order of {@link Status}
     */
    Belief weighed(List<Likelihood> likelihoods, double[][] jointly) {
        Gathering gathering = GATHERING.get();
        for (int index = 0; index < places.length; index++) {
            int place = places[index];
            Phase phase = PHASES.get(place);
            int state = STATUS_OF[place];
            double weight = weights[index];
            double together = weight;
            for (int one = 0; one < jointly.length; one++) {
                double chance = likelihoods.get(one).in(place, phase);
                jointly[one][state] += weight * chance;
                together *= chance;
            }
            gathering.put(place, together);
        }
        return gathering.gathered(0);
    }

    /** Room for what {@link #weighed(List, double[][])} tells of so many things. */
    static double[][] roomFor(int likelihoods) {
        return new double[likelihoods][STATES];
    }

    /** The same belief with one thing taken for certain; it must be possible. */
    Belief in(Predicate<Phase> certain) {
        return weighed((_, phase) -> certain.test(phase) ? 1 : 0);
    }

    /** Chance of something that each phase makes so likely. */
    double chanceOf(Likelihood likelihood) {
        double chance = 0;
        for (int index = 0; index < places.length; index++) {
            int place = places[index];
            chance += weights[index] * likelihood.in(place, PHASES.get(place));
        }
        return chance;
    }

    /** Is shown a phase that is possible. */
    interface Visit {
        void at(int place, Phase phase, double weight);
    }

    /** Every phase that is possible, with its weight. */
    void each(Visit visit) {
        for (int index = 0; index < places.length; index++) {
            visit.at(places[index], PHASES.get(places[index]), weights[index]);
        }
    }

    double chance(Predicate<Phase> so) {
        return chanceOf((_, phase) -> so.test(phase) ? 1 : 0);
    }

    Map<Status, Double> odds() {
        double[] joint = new double[STATES];
        for (int index = 0; index < places.length; index++) {
            joint[STATUS_OF[places[index]]] += weights[index];
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
