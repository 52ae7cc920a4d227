package vividcrown.core.lineage;

import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;

/**
 * The inverse of the relationship (twice the kinship) of some queens and all they descend from, never written out: each of them
 * is what comes from above and a draw of its own, so the inverse is (I − P)'·D⁻¹·(I − P) / 2 (Henderson 1976; from memory).
 * Pools of drones and groups of sisters stand in it beside the queens.
 */
public final class Inverse {

    /** A draw that adds nothing would make everything certain. */
    private static final double LEAST = 1e-9;

    private final Kinship kinship;
    private final Map<Integer, Integer> index = new HashMap<>();
    private final int[] node;
    private final int[][] parents;
    private final double[][] shares;
    private final double[] weight;

    private Inverse(Kinship kinship, int[] nodes) {
        this.kinship = kinship;
        this.node = nodes;
        Pedigree pedigree = kinship.pedigree();
        this.parents = new int[nodes.length][];
        this.shares = new double[nodes.length][];
        this.weight = new double[nodes.length];
        for (int at = 0; at < nodes.length; at++) {
            index.put(nodes[at], at);
        }
        for (int at = 0; at < nodes.length; at++) {
            Optional<Pedigree.Pool> drones = pedigree.asPool(nodes[at]);
            if (drones.isPresent()) {
                parents[at] = Arrays.stream(drones.get().sources()).map(this::inIt).toArray();
                shares[at] = drones.get().shares();
            } else if (pedigree.mother[nodes[at]] == Pedigree.NONE) {
                parents[at] = new int[0];
                shares[at] = new double[0];
            } else {
                parents[at] = new int[]{inIt(pedigree.mother[nodes[at]]), inIt(pedigree.pool[nodes[at]])};
                shares[at] = new double[]{0.5, 0.5};
            }
            weight[at] = 1 / Math.max(LEAST, 2 * kinship.adds(nodes[at]));
        }
    }

    /** These and everybody above them. */
    public static Inverse above(Kinship kinship, Collection<String> ids) {
        Pedigree pedigree = kinship.pedigree();
        BitSet wanted = new BitSet(pedigree.nodes);
        ids.forEach(id -> wanted.set(pedigree.place[pedigree.at(id)]));
        for (int at = wanted.previousSetBit(pedigree.nodes); at >= 0; at = wanted.previousSetBit(at - 1)) {
            int one = pedigree.order[at];
            pedigree.asPool(one).ifPresent(drones -> {
                for (int source : drones.sources()) {
                    wanted.set(pedigree.place[source]);
                }
            });
            if (pedigree.mother[one] != Pedigree.NONE) {
                wanted.set(pedigree.place[pedigree.mother[one]]);
                wanted.set(pedigree.place[pedigree.pool[one]]);
            }
        }
        return new Inverse(kinship, wanted.stream().map(at -> pedigree.order[at]).toArray());
    }

    private int inIt(int one) {
        Integer at = index.get(one);
        return at == null ? Pedigree.NONE : at;
    }

    public int size() {
        return node.length;
    }

    public boolean knows(String id) {
        return index.containsKey(kinship.pedigree().at(id));
    }

    /** @throws IllegalArgumentException if she is not in it */
    public int at(String id) {
        return inIt(kinship.pedigree().at(id));
    }

    /** Variance of one, for a variance of 1 of a founder: twice its kinship with itself. */
    public double variance(int at) {
        return 2 * kinship.self(node[at]);
    }

    public double[] diagonal() {
        double[] all = weight.clone();
        for (int at = 0; at < node.length; at++) {
            for (int parent = 0; parent < parents[at].length; parent++) {
                all[parents[at][parent]] += shares[at][parent] * shares[at][parent] * weight[at];
            }
        }
        return all;
    }

    /**
     * Adds the inverse times {@code values} to {@code result}.
     *
     * @param from where its first stands in both
     * @param times so many times
     */
    public void times(double[] values, double[] result, int from, double times) {
        for (int at = 0; at < node.length; at++) {
            double draw = values[from + at];
            for (int parent = 0; parent < parents[at].length; parent++) {
                draw -= shares[at][parent] * values[from + parents[at][parent]];
            }
            double weighed = times * weight[at] * draw;
            result[from + at] += weighed;
            for (int parent = 0; parent < parents[at].length; parent++) {
                result[from + parents[at][parent]] -= shares[at][parent] * weighed;
            }
        }
    }

    /** What is expected of one: her own value where she is in it, otherwise that of her mother and her mother's mates. */
    public double fromAbove(String id, double[] values) {
        Pedigree pedigree = kinship.pedigree();
        int one = pedigree.at(id);
        int inIt = inIt(one);
        if (inIt != Pedigree.NONE) {
            return values[inIt];
        }
        if (pedigree.mother[one] == Pedigree.NONE) {
            return 0;
        }
        int mother = inIt(pedigree.mother[one]);
        int drones = inIt(pedigree.pool[one]);
        double mean = (mother == Pedigree.NONE ? 0 : values[mother]) / 2;
        return mean + (drones == Pedigree.NONE ? 0 : values[drones]) / 2;
    }

    /** The youngest first: each queen with her mother, as they stand in it. */
    public void eachDaughterFirst(BiConsumer<Integer, Integer> daughterAndMother) {
        for (int at = node.length - 1; at >= 0; at--) {
            int mother = kinship.pedigree().mother[node[at]];
            if (mother != Pedigree.NONE) {
                daughterAndMother.accept(at, inIt(mother));
            }
        }
    }

    /** The oldest first: each queen with her mother, as they stand in it. */
    public void eachMotherFirst(BiConsumer<Integer, Integer> daughterAndMother) {
        for (int at = 0; at < node.length; at++) {
            int mother = kinship.pedigree().mother[node[at]];
            if (mother != Pedigree.NONE) {
                daughterAndMother.accept(at, inIt(mother));
            }
        }
    }
}
