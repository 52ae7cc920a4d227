package vividcrown.core.lineage;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * How broad a stock stands.
 *
 * @param founders as many equal founders would give as much variety (Lacy 1989: one over the sum of squared shares; from memory)
 * @param strangers share of alleles that came with drones nobody knows, 0–1
 * @param lines as many equal lines would be as mixed
 * @param kinship of two drawn from it
 * @param byFounder share of each founder, the largest first
 * @param apart pairs of lines that are too near one another, the nearest first
 */
public record Breadth(double founders, double strangers, double lines, double kinship, List<Share> byFounder,
        List<Pair> apart) {

    /** @param share of the alleles, 0–1 */
    public record Share(String id, double share) {
    }

    /** @param kinship mean of those of the one with those of the other */
    public record Pair(String one, String other, double kinship) {
    }

    private static final int SHOWN = 20;
    private static final int OF_A_LINE = 30;

    public Breadth {
        byFounder = List.copyOf(byFounder);
        apart = List.copyOf(apart);
    }

    /**
     * @param living by the line of each, the queens that are to go on; not empty
     * @param bound two lines with more kinship than that are to be kept apart, 0–1
     */
    public static Breadth of(Kinship kinship, Map<String, List<String>> living, double bound) {
        List<String> all = living.values().stream().flatMap(List::stream).toList();
        int[] chosen = all.stream().mapToInt(kinship.pedigree()::at).toArray();
        double[] shares = kinship.contributions(chosen);
        double known = 0;
        double squares = 0;
        List<Share> byFounder = new ArrayList<>();
        for (int queen = 0; queen < shares.length; queen++) {
            known += shares[queen];
            squares += shares[queen] * shares[queen];
            if (shares[queen] > 0) {
                byFounder.add(new Share(kinship.pedigree().queens().get(queen).id(), shares[queen]));
            }
        }
        byFounder.sort(Comparator.comparingDouble(Share::share).reversed());
        return new Breadth(known > 0 ? known * known / squares : 0, Math.max(0, 1 - known), effective(living),
                kinship.mean(chosen), byFounder.subList(0, Math.min(SHOWN, byFounder.size())),
                apart(kinship, living, bound));
    }

    private static double effective(Map<String, List<String>> living) {
        double all = living.values().stream().mapToInt(List::size).sum();
        return 1 / living.values().stream().mapToDouble(line -> line.size() / all).map(share -> share * share).sum();
    }

    private static List<Pair> apart(Kinship kinship, Map<String, List<String>> living, double bound) {
        List<String> some = new ArrayList<>();
        Map<String, List<Integer>> at = new TreeMap<>();
        living.forEach((line, queens) -> queens.stream().limit(OF_A_LINE).forEach(queen -> {
            at.computeIfAbsent(line, _ -> new ArrayList<>()).add(some.size());
            some.add(queen);
        }));
        double[][] kin = kinship.among(some);
        Map<Pair, Double> pairs = new HashMap<>();
        at.forEach((one, ones) -> at.forEach((other, others) -> {
            if (one.compareTo(other) < 0) {
                double mean = ones.stream()
                        .mapToDouble(a -> others.stream().mapToDouble(b -> kin[a][b]).average().orElse(0)).average()
                        .orElse(0);
                pairs.put(new Pair(one, other, mean), mean);
            }
        }));
        return pairs.keySet().stream().filter(pair -> pair.kinship() > bound)
                .sorted(Comparator.comparingDouble(Pair::kinship).reversed()).toList();
    }
}
