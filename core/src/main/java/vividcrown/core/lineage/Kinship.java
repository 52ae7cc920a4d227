package vividcrown.core.lineage;

import java.util.Arrays;
import java.util.BitSet;
import java.util.Deque;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentLinkedDeque;

/**
 * Kinship of queens and of the drones they mated with: the chance that an allele drawn from the one and an allele drawn from the
 * other come from the same allele of a founder, at a place that drones carry once (that of an X-linked locus). A queen is
 * (1 + F)/2 akin to herself, a drone 1 (Crow &amp; Roberts 1950; from memory).
 *
 * <p>A queen's alleles are half her mother's, half a drone's that was drawn from her mother's mates. The matrix of kinship is
 * T·D·T', where T follows the descent and D is what each draw adds (Henderson 1976; for groups of drone mothers Brascamp &amp;
 * Bijma 2014; from memory). Inbreeding is found by going up the ancestors of a mother and of her mates (after Meuwissen &amp; Luo
 * 1992), many pairs by going up and down once for each (Colleau 2002).
 */
public final class Kinship {

    private final Pedigree pedigree;
    /** By node: what its own draw adds. */
    private final double[] adds;
    /** By node: kinship with itself, drawn twice. */
    private final double[] self;
    /** By pool: kinship of the mother with the drones she mated with: the inbreeding of her daughters. */
    private final double[] ofDaughters;
    private final Climb climb;

    public Kinship(Pedigree pedigree) {
        this.pedigree = pedigree;
        this.adds = new double[pedigree.nodes];
        this.self = new double[pedigree.nodes];
        this.ofDaughters = new double[pedigree.nodes];
        this.climb = new Climb();
        Arrays.fill(ofDaughters, Double.NaN);
        for (int node : pedigree.order) {
            Optional<Pedigree.Pool> drones = pedigree.asPool(node);
            if (drones.isPresent()) {
                mates(node, drones.get());
            } else {
                bees(node);
            }
        }
    }

    public Pedigree pedigree() {
        return pedigree;
    }

    double adds(int node) {
        return adds[node];
    }

    double self(int node) {
        return self[node];
    }

    private void bees(int node) {
        int mother = pedigree.mother[node];
        if (mother == Pedigree.NONE) {
            self[node] = 0.5;
            adds[node] = 0.5;
            return;
        }
        int drones = pedigree.pool[node];
        double inbreeding = daughtersOf(mother, drones);
        double sisters = (self[mother] + 2 * inbreeding + self[drones]) / 4;
        double alone = (1 + inbreeding) / 2;
        adds[node] = (alone - sisters) / pedigree.sisters[node];
        self[node] = sisters + adds[node];
    }

    private void mates(int node, Pedigree.Pool drones) {
        Climb.Shares above = climb.from(drones.sources(), drones.shares());
        double between = above.kinship(above);
        adds[node] = drones.same() * (1 - between);
        self[node] = between + adds[node];
        above.free();
    }

    /** Reckoned once for all daughters. */
    private double daughtersOf(int mother, int drones) {
        if (Double.isNaN(ofDaughters[drones])) {
            ofDaughters[drones] = kinship(mother, drones);
        }
        return ofDaughters[drones];
    }

    private double kinship(int one, int other) {
        if (one == other) {
            return self[one];
        }
        Climb.Shares a = climb.from(one);
        Climb.Shares b = climb.from(other);
        double kin = a.kinship(b);
        a.free();
        b.free();
        return kin;
    }

    /** Kinship of two queens, 0–1. @throws IllegalArgumentException if one of them is not in the pedigree */
    public double of(String one, String other) {
        return kinship(pedigree.at(one), pedigree.at(other));
    }

    /** Her own inbreeding, 0–1: that her two alleles come from one. */
    public double inbreeding(String id) {
        return 2 * self[pedigree.at(id)] - 1;
    }

    /** The same for all, in the order of {@link Pedigree#queens()}. */
    public double[] inbreeding() {
        double[] all = new double[pedigree.size()];
        Arrays.setAll(all, queen -> 2 * self[queen] - 1);
        return all;
    }

    /** How much two queens share, 1 for twins: kinship over the root of what each has with herself (Wright 1922). */
    public double relatedness(String one, String other) {
        return of(one, other) / Math.sqrt(self[pedigree.at(one)] * self[pedigree.at(other)]);
    }

    /** Kinship of each of these with each, in their order. */
    public double[][] among(List<String> ids) {
        int[] chosen = ids.stream().mapToInt(pedigree::at).toArray();
        BitSet above = new BitSet(pedigree.nodes);
        for (int node : chosen) {
            climb.mark(node, above);
        }
        double[] down = new double[pedigree.nodes];
        double[][] kin = new double[chosen.length][chosen.length];
        for (int row = 0; row < chosen.length; row++) {
            Climb.Shares up = climb.from(chosen[row]);
            for (int at = above.nextSetBit(0); at >= 0; at = above.nextSetBit(at + 1)) {
                int node = pedigree.order[at];
                down[node] = up.of(node) * adds[node] + fromAbove(node, down);
            }
            for (int column = 0; column < chosen.length; column++) {
                kin[row][column] = chosen[row] == chosen[column] ? self[chosen[row]] : down[chosen[column]];
            }
            up.free();
        }
        return kin;
    }

    private double fromAbove(int node, double[] values) {
        Optional<Pedigree.Pool> drones = pedigree.asPool(node);
        if (drones.isPresent()) {
            double sum = 0;
            for (int at = 0; at < drones.get().sources().length; at++) {
                sum += drones.get().shares()[at] * values[drones.get().sources()[at]];
            }
            return sum;
        }
        int mother = pedigree.mother[node];
        return mother == Pedigree.NONE ? 0 : (values[mother] + values[pedigree.pool[node]]) / 2;
    }

    /** Kinship of a queen with an allele of each kind of drone that a mating would bring, and what follows for her workers. */
    Meeting meeting(String queen, Mating mating) {
        return meeting(pedigree.at(queen), mating, false);
    }

    /** The same for a daughter of hers, who is yet to be raised. */
    Meeting meetingOfDaughter(String mother, Mating mating) {
        return meeting(pedigree.at(mother), mating, true);
    }

    /**
     * @param brood inbreeding of the workers: the chance that their two alleles come from one
     * @param mates kinship of two drones drawn among those she mates with
     * @param own kinship of the queen with herself
     */
    record Meeting(double brood, double mates, double own) {
        /** Mean relatedness of two workers: kinship of two of them over that of one with herself. */
        double workers() {
            return (own + 2 * brood + mates) / 4 / ((1 + brood) / 2);
        }
    }

    private Meeting meeting(int queen, Mating mating, boolean daughter) {
        int drones = pedigree.poolOf(queen);
        Climb.Shares her = daughter && drones != Pedigree.NONE
                ? climb.from(new int[]{queen, drones}, new double[]{0.5, 0.5})
                : daughter
                        ? climb.from(new int[]{queen}, new double[]{0.5})
                        : climb.from(queen);
        Climb.Shares theirs = mating(mating);
        double brood = her.kinship(theirs);
        double between = theirs.kinship(theirs) + sistersAlike(mating);
        double same = 1.0 / mating.drones();
        double own = daughter
                ? (1 + (drones == Pedigree.NONE ? 0 : daughtersOf(queen, drones))) / 2
                : self[queen];
        her.free();
        theirs.free();
        return new Meeting(brood, same + (1 - same) * between, own);
    }

    private Climb.Shares mating(Mating mating) {
        return switch (mating) {
            case Mating.OneDrone one -> climb.from(pedigree.at(one.droneMother()));
            case Mating.Sisters group -> {
                int mother = pedigree.at(group.mother());
                int drones = pedigree.poolOf(mother);
                yield drones == Pedigree.NONE
                        ? climb.from(new int[]{mother}, new double[]{0.5})
                        : climb.from(new int[]{mother, drones}, new double[]{0.5, 0.5});
            }
            case Mating.Flying flying -> climb.from(flying.shares().keySet().stream().mapToInt(pedigree::at).toArray(),
                    flying.shares().values().stream().mapToDouble(Double::doubleValue).toArray());
        };
    }

    /** Two drones may come from one of the sisters: then they share more than those of two sisters do. */
    private double sistersAlike(Mating mating) {
        if (!(mating instanceof Mating.Sisters group)) {
            return 0;
        }
        int mother = pedigree.at(group.mother());
        int drones = pedigree.poolOf(mother);
        double strangers = 1.0 / Mating.USUAL_DRONES;
        double inbreeding = drones == Pedigree.NONE ? 0 : daughtersOf(mother, drones);
        double sisters = (self[mother] + 2 * inbreeding + (drones == Pedigree.NONE ? strangers : self[drones])) / 4;
        double unseen = drones == Pedigree.NONE ? strangers / 4 : 0;
        return unseen + ((1 + inbreeding) / 2 - sisters) / group.sisters();
    }

    /** Of which founders the alleles of these come, together at most 1; the rest came with strangers. */
    double[] contributions(int[] chosen) {
        double[] shares = new double[chosen.length];
        Arrays.fill(shares, 1.0 / chosen.length);
        Climb.Shares up = climb.from(chosen, shares);
        double[] all = new double[pedigree.size()];
        for (int queen = 0; queen < all.length; queen++) {
            all[queen] = pedigree.mother[queen] == Pedigree.NONE ? up.of(queen) : 0;
        }
        up.free();
        return all;
    }

    /** Kinship of two drawn among these, with replacement. */
    double mean(int[] chosen) {
        double[] shares = new double[chosen.length];
        Arrays.fill(shares, 1.0 / chosen.length);
        Climb.Shares up = climb.from(chosen, shares);
        double mean = up.kinship(up);
        up.free();
        return mean;
    }

    /** Goes up from somebody to all she descends from, and says which share of her alleles passed through each. */
    private final class Climb {

        private final Deque<double[]> spare = new ConcurrentLinkedDeque<>();

        Shares from(int node) {
            return from(new int[]{node}, new double[]{1});
        }

        Shares from(int[] from, double[] shares) {
            Shares up = new Shares(Objects.requireNonNullElseGet(spare.poll(), () -> new double[pedigree.nodes]));
            for (int at = 0; at < from.length; at++) {
                up.add(from[at], shares[at]);
            }
            for (int at = up.passed.previousSetBit(pedigree.nodes); at >= 0; at = up.passed.previousSetBit(at - 1)) {
                int node = pedigree.order[at];
                double share = up.share[node];
                Optional<Pedigree.Pool> drones = pedigree.asPool(node);
                if (drones.isPresent()) {
                    for (int source = 0; source < drones.get().sources().length; source++) {
                        up.add(drones.get().sources()[source], share * drones.get().shares()[source]);
                    }
                } else if (pedigree.mother[node] != Pedigree.NONE) {
                    up.add(pedigree.mother[node], share / 2);
                    up.add(pedigree.pool[node], share / 2);
                }
            }
            return up;
        }

        void mark(int from, BitSet above) {
            Shares up = from(from);
            above.or(up.passed);
            up.free();
        }

        final class Shares {
            private final double[] share;
            private final BitSet passed = new BitSet();

            private Shares(double[] share) {
                this.share = share;
            }

            private void add(int node, double part) {
                share[node] += part;
                passed.set(pedigree.place[node]);
            }

            double of(int node) {
                return share[node];
            }

            double kinship(Shares other) {
                double sum = 0;
                for (int at = passed.nextSetBit(0); at >= 0; at = passed.nextSetBit(at + 1)) {
                    int node = pedigree.order[at];
                    sum += share[node] * other.share[node] * adds[node];
                }
                return sum;
            }

            /** Its numbers can be used again. */
            void free() {
                for (int at = passed.nextSetBit(0); at >= 0; at = passed.nextSetBit(at + 1)) {
                    share[pedigree.order[at]] = 0;
                }
                spare.push(share);
            }
        }
    }
}
