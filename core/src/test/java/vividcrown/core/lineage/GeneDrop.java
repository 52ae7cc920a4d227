package vividcrown.core.lineage;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import vividcrown.core.lineage.Pedigree.Descent;

/**
 * Genes dropped through a pedigree, bee by bee: real drones with one allele each, real sisters at a station. Knows nothing of the
 * matrices that it is held against.
 */
final class GeneDrop {

    private final List<Descent> queens;
    private final Map<String, Integer> at = new HashMap<>();

    GeneDrop(Pedigree pedigree) {
        this.queens = pedigree.queens();
        for (int queen = 0; queen < queens.size(); queen++) {
            at.put(queens.get(queen).id(), queen);
        }
    }

    double[][] run(int drops, long seed) {
        double[][] equal = new double[queens.size()][queens.size()];
        SplittableRandom random = new SplittableRandom(seed);
        for (int drop = 0; drop < drops; drop++) {
            Drop one = new Drop(random);
            int[][] alleles = new int[queens.size()][];
            for (int queen = 0; queen < queens.size(); queen++) {
                alleles[queen] = one.alleles(queen);
            }
            for (int queen = 0; queen < queens.size(); queen++) {
                for (int other = 0; other <= queen; other++) {
                    int same = 0;
                    for (int mine : alleles[queen]) {
                        for (int hers : alleles[other]) {
                            same += mine == hers ? 1 : 0;
                        }
                    }
                    equal[queen][other] += same / 4.0;
                }
            }
        }
        for (double[] row : equal) {
            for (int column = 0; column < row.length; column++) {
                row[column] /= drops;
            }
        }
        return equal;
    }

    private final class Drop {
        private final SplittableRandom random;
        private final Map<Integer, int[]> known = new HashMap<>();
        private final Map<Integer, int[]> drones = new HashMap<>();
        private final Map<String, int[][]> stations = new HashMap<>();
        private int fresh;

        Drop(SplittableRandom random) {
            this.random = random;
        }

        int[] alleles(int queen) {
            int[] before = known.get(queen);
            if (before != null) {
                return before;
            }
            int[] made = queens.get(queen).mother().map(mother -> daughter(at.get(mother)))
                    .orElseGet(() -> new int[]{fresh++, fresh++});
            known.put(queen, made);
            return made;
        }

        private int[] daughter(int mother) {
            int[] hers = alleles(mother);
            int[] mates = matesOf(mother);
            return new int[]{hers[random.nextInt(2)], mates[random.nextInt(mates.length)]};
        }

        private int[] matesOf(int queen) {
            int[] before = drones.get(queen);
            if (before != null) {
                return before;
            }
            Mating mating = queens.get(queen).mating();
            int[] made = new int[mating.drones()];
            for (int drone = 0; drone < made.length; drone++) {
                made[drone] = switch (mating) {
                    case Mating.OneDrone one -> gamete(alleles(at.get(one.droneMother())));
                    case Mating.Sisters group -> {
                        int[][] sisters = station(group);
                        yield gamete(sisters[random.nextInt(sisters.length)]);
                    }
                    case Mating.Flying flying -> flying(flying);
                };
            }
            drones.put(queen, made);
            return made;
        }

        private int[][] station(Mating.Sisters group) {
            String key = group.mother() + " " + group.sisters();
            int[][] before = stations.get(key);
            if (before != null) {
                return before;
            }
            int[][] made = new int[group.sisters()][];
            for (int sister = 0; sister < made.length; sister++) {
                made[sister] = daughter(at.get(group.mother()));
            }
            stations.put(key, made);
            return made;
        }

        private int flying(Mating.Flying flying) {
            double drawn = random.nextDouble();
            for (Map.Entry<String, Double> one : flying.shares().entrySet()) {
                drawn -= one.getValue();
                if (drawn < 0) {
                    return gamete(alleles(at.get(one.getKey())));
                }
            }
            return fresh++;
        }

        private int gamete(int[] two) {
            return two[random.nextInt(2)];
        }
    }
}
