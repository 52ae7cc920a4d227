package vividcrown.core.lineage;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import vividcrown.core.journal.Faults;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Wrong;

/**
 * Queens by their mothers and matings, laid out so that everybody comes after those she descends from. Beside the queens stand
 * two kinds of node that have no record: the drones that a mother mated with (a pool, from which each daughter draws one), and a
 * group of sister drone mothers.
 */
public final class Pedigree {

    /**
     * One queen.
     *
     * @param id 1–60 characters
     * @param mother empty if nobody knows
     * @param mating with whom she mated herself
     * @param born year; 0 if nobody knows
     */
    public record Descent(String id, Optional<String> mother, Mating mating, int born) {
        public Descent {
            new Faults().text("id", id, 1, 60)
                    .unless(born == 0 || born >= 1900 && born <= 2200, "fault.emergenceYear", String.valueOf(born))
                    .unless(mother.filter(id::equals).isEmpty(), "fault.ownMother").refuse();
        }

        public static Descent founder(String id) {
            return new Descent(id, Optional.empty(), Mating.UNKNOWN, 0);
        }

        public static Descent of(String id, String mother) {
            return new Descent(id, Optional.of(mother), Mating.UNKNOWN, 0);
        }

        public Descent mated(Mating with) {
            return new Descent(id, mother, with, born);
        }
    }

    static final int NONE = -1;

    /** Drones are drawn from it: {@code same} is the chance that two of them are one. */
    record Pool(int[] sources, double[] shares, double same) {
    }

    private final Map<String, Integer> index;
    private final List<Descent> queens;
    private final List<Sentence> flags;
    /** By node: of a queen or a group the mother and her pool, of a pool nothing. */
    final int[] mother;
    final int[] pool;
    /** Sisters in it; 1 for a single queen, 0 for a pool. */
    final int[] sisters;
    /** By node; null for what is no pool. */
    private final Map<Integer, Pool> pools;
    /** By queen: the pool of her own mating. */
    private final int[] poolOf;
    final int nodes;
    /** Nodes in order, nobody before those she descends from. */
    final int[] order;
    final int[] place;

    /**
     * What can be put right is flagged, what cannot is refused with what to change.
     *
     * @throws IllegalArgumentException for a queen written down twice differently, one that is her own ancestor, or a daughter
     *     older than her mother
     */
    public static Pedigree of(Collection<Descent> descents) {
        return new Builder().build(descents);
    }

    private Pedigree(Builder built) {
        this.index = built.index;
        this.queens = List.copyOf(built.queens);
        this.flags = List.copyOf(built.flags);
        this.mother = built.mothers.clone(built.count);
        this.pool = built.poolsOfMothers.clone(built.count);
        this.sisters = built.sisters.clone(built.count);
        this.pools = built.pools;
        this.poolOf = built.poolOf.clone(queens.size());
        this.nodes = built.count;
        this.order = sorted();
        this.place = new int[nodes];
        for (int at = 0; at < nodes; at++) {
            place[order[at]] = at;
        }
    }

    /** What was put right, or cannot be known: a mother or drone mother who has no record of her own. */
    public List<Sentence> flags() {
        return flags;
    }

    public List<Descent> queens() {
        return queens;
    }

    public int size() {
        return queens.size();
    }

    public boolean knows(String id) {
        return index.containsKey(id);
    }

    /** @throws IllegalArgumentException if she is not in it */
    public Descent queen(String id) {
        return queens.get(at(id));
    }

    int at(String id) {
        Integer at = index.get(id);
        if (at == null) {
            throw Wrong.of("wrong.Pedigree.unknown", id);
        }
        return at;
    }

    Optional<Pool> asPool(int node) {
        return Optional.ofNullable(pools.get(node));
    }

    /** The drones that a queen mated with; none where nobody knows them and she has no daughter in the record. */
    int poolOf(int queen) {
        return poolOf[queen];
    }

    private int[] parentsOf(int node) {
        Pool drones = pools.get(node);
        if (drones != null) {
            return drones.sources();
        }
        return mother[node] == NONE ? new int[0] : new int[]{mother[node], pool[node]};
    }

    /** Parents first. */
    private int[] sorted() {
        int[] waitsFor = new int[nodes];
        int[] children = new int[nodes];
        for (int node = 0; node < nodes; node++) {
            for (int parent : parentsOf(node)) {
                children[parent]++;
                waitsFor[node]++;
            }
        }
        int[][] ofParent = new int[nodes][];
        Arrays.setAll(ofParent, node -> new int[children[node]]);
        for (int node = 0; node < nodes; node++) {
            for (int parent : parentsOf(node)) {
                ofParent[parent][--children[parent]] = node;
            }
        }
        int[] sorted = new int[nodes];
        int count = 0;
        Deque<Integer> ready = new ArrayDeque<>();
        for (int node = 0; node < nodes; node++) {
            if (waitsFor[node] == 0) {
                ready.add(node);
            }
        }
        while (!ready.isEmpty()) {
            int node = ready.remove();
            sorted[count++] = node;
            for (int child : ofParent[node]) {
                if (--waitsFor[child] == 0) {
                    ready.add(child);
                }
            }
        }
        if (count < nodes) {
            BitSet stuck = new BitSet();
            for (int node = 0; node < queens.size(); node++) {
                stuck.set(node, waitsFor[node] > 0);
            }
            throw Wrong.of("wrong.Pedigree.ownAncestor", queens.get(Math.max(0, stuck.nextSetBit(0))).id());
        }
        return sorted;
    }

    /** Grows as it is filled. */
    private static final class Numbers {
        private int[] values = new int[16];
        private int size;

        void add(int value) {
            if (size == values.length) {
                values = Arrays.copyOf(values, 2 * size);
            }
            values[size++] = value;
        }

        int[] clone(int length) {
            return Arrays.copyOf(values, length);
        }
    }

    private static final class Builder {
        private final Map<String, Integer> index = new HashMap<>();
        private final List<Descent> queens = new ArrayList<>();
        private final List<Sentence> flags = new ArrayList<>();
        private final Numbers mothers = new Numbers();
        private final Numbers poolsOfMothers = new Numbers();
        private final Numbers sisters = new Numbers();
        private final Numbers poolOf = new Numbers();
        private final Map<Integer, Pool> pools = new HashMap<>();
        private final Map<Mating.Sisters, Integer> groups = new LinkedHashMap<>();
        private int count;

        Pedigree build(Collection<Descent> descents) {
            for (Descent one : descents) {
                Integer before = index.putIfAbsent(one.id(), queens.size());
                if (before == null) {
                    queens.add(one);
                } else if (!queens.get(before).equals(one)) {
                    throw Wrong.of("wrong.Pedigree.twice", one.id(), queens.get(before).mother().orElse("?"),
                            one.mother().orElse("?"));
                }
            }
            for (int queen = 0; queen < queens.size(); queen++) {
                Descent one = queens.get(queen);
                one.mother().ifPresent(mother -> known(mother, one.id()));
                droneMothers(one.mating()).forEach(mother -> known(mother, one.id()));
            }
            for (int queen = 0; queen < queens.size(); queen++) {
                node(1);
                poolOf.add(NONE);
            }
            for (int queen = 0; queen < queens.size(); queen++) {
                Descent one = queens.get(queen);
                if (one.mother().isPresent()) {
                    int mother = Objects.requireNonNull(index.get(one.mother().get()));
                    older(one, queens.get(mother));
                    descends(queen, mother, pool(mother));
                }
                if (!one.mating().equals(Mating.UNKNOWN)) {
                    pool(queen);
                }
            }
            return new Pedigree(this);
        }

        /** Whoever is named and has no line of her own begins a line. */
        private void known(String id, String daughter) {
            if (!index.containsKey(id)) {
                index.put(id, queens.size());
                queens.add(Descent.founder(id));
                flags.add(Sentence.of("pedigree.flag.noRecord", id, daughter));
            }
        }

        private static Collection<String> droneMothers(Mating mating) {
            return switch (mating) {
                case Mating.OneDrone one -> List.of(one.droneMother());
                case Mating.Sisters group -> List.of(group.mother());
                case Mating.Flying flying -> flying.shares().keySet();
            };
        }

        private static void older(Descent daughter, Descent mother) {
            if (daughter.born() != 0 && mother.born() != 0 && daughter.born() < mother.born()) {
                throw Wrong.of("wrong.Pedigree.older", daughter.id(), daughter.born(), mother.id(), mother.born());
            }
        }

        private int node(int inGroup) {
            mothers.add(NONE);
            poolsOfMothers.add(NONE);
            sisters.add(inGroup);
            return count++;
        }

        private void descends(int node, int mother, int drones) {
            mothers.values[node] = mother;
            poolsOfMothers.values[node] = drones;
        }

        private int pool(int queen) {
            if (poolOf.values[queen] == NONE) {
                Mating mating = queens.get(queen).mating();
                int drones = node(0);
                poolOf.values[queen] = drones;
                pools.put(drones, sources(mating));
            }
            return poolOf.values[queen];
        }

        private Pool sources(Mating mating) {
            double same = 1.0 / mating.drones();
            return switch (mating) {
                case Mating.OneDrone one -> new Pool(new int[]{at(one.droneMother())}, new double[]{1}, same);
                case Mating.Sisters group -> new Pool(new int[]{group(group)}, new double[]{1}, same);
                case Mating.Flying flying -> {
                    int[] sources = new int[flying.shares().size()];
                    double[] shares = new double[sources.length];
                    int filled = 0;
                    for (Map.Entry<String, Double> one : flying.shares().entrySet()) {
                        sources[filled] = at(one.getKey());
                        shares[filled++] = one.getValue();
                    }
                    yield new Pool(sources, shares, same);
                }
            };
        }

        private int group(Mating.Sisters group) {
            Mating.Sisters whoever = new Mating.Sisters(group.mother(), group.sisters(), 1);
            Integer known = groups.get(whoever);
            if (known != null) {
                return known;
            }
            int mother = at(group.mother());
            int made = node(group.sisters());
            groups.put(whoever, made);
            descends(made, mother, pool(mother));
            return made;
        }

        private int at(String id) {
            return Objects.requireNonNull(index.get(id));
        }
    }
}
