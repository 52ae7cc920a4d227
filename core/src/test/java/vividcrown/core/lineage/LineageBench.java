package vividcrown.core.lineage;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import vividcrown.core.lineage.Pedigree.Descent;
import vividcrown.core.merit.Breeders;
import vividcrown.core.merit.Merit;
import vividcrown.core.merit.Score;
import vividcrown.core.merit.Trait;

/** Measures large pedigrees, and breeders chosen against a rule of thumb. Prints, asserts nothing. */
@EnabledIfSystemProperty(named = "crown.bench", matches = "true")
class LineageBench {

    private static final int GENERATIONS = 20;
    private static final int MOTHERS = 200;

    /** Two hundred mothers of each generation, drawn from the one before; three kinds of mating. */
    private static List<Descent> stock(int queens, Random luck) {
        List<Descent> all = new ArrayList<>();
        int each = queens / GENERATIONS;
        List<String> mothers = new ArrayList<>();
        for (int generation = 0; generation < GENERATIONS; generation++) {
            List<String> born = new ArrayList<>();
            for (int queen = 0; queen < each; queen++) {
                String id = generation + "-" + queen;
                Optional<String> mother = mothers.isEmpty()
                        ? Optional.empty()
                        : Optional.of(mothers.get(luck.nextInt(mothers.size())));
                Mating mating = queen >= MOTHERS || mothers.isEmpty() ? Mating.UNKNOWN : mating(mothers, luck);
                all.add(new Descent(id, mother, mating, 2000 + generation));
                born.add(id);
            }
            mothers = born.subList(0, Math.min(MOTHERS, born.size()));
        }
        return all;
    }

    private static Mating mating(List<String> mothers, Random luck) {
        String one = mothers.get(luck.nextInt(mothers.size()));
        return switch (luck.nextInt(3)) {
            case 0 -> new Mating.OneDrone(one);
            case 1 -> new Mating.Sisters(one, 8, 12);
            default -> new Mating.Flying(Map.of(one, 0.4), 12);
        };
    }

    @Test
    void large_pedigrees() {
        List<Descent> descents = stock(200_000, new Random(1));
        for (int round = 0; round < 3; round++) {
            long start = System.nanoTime();
            Pedigree pedigree = Pedigree.of(descents);
            double read = seconds(start);
            start = System.nanoTime();
            Kinship kinship = new Kinship(pedigree);
            double[] inbreeding = kinship.inbreeding();
            double reckoned = seconds(start);
            start = System.nanoTime();
            kinship.among(pedigree.queens().stream().map(Descent::id).skip(199_000).toList());
            print("200,000 queens: laid out %.2f s, inbreeding of all %.2f s (mean %.3f), kinship of 1,000 %.2f s, %d MB",
                    read, reckoned, Arrays.stream(inbreeding).average().orElse(0), seconds(start),
                    (Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory()) >> 20);
        }
    }

    @Test
    void merit_of_twenty_thousand() {
        Random luck = new Random(2);
        List<Descent> descents = stock(20_000, luck);
        List<Score> scores = new ArrayList<>();
        for (int score = 0; score < 60_000; score++) {
            scores.add(new Score(descents.get(luck.nextInt(descents.size())).id(), Trait.TEMPER,
                    1 + luck.nextInt(7) / 2.0, "yard " + luck.nextInt(40), 2020 + luck.nextInt(6)));
        }
        for (int round = 0; round < 2; round++) {
            long start = System.nanoTime();
            Merit merit = Merit.of(new Kinship(Pedigree.of(descents)), Trait.TEMPER, scores, 0.3);
            print("merit of %d queens by 60,000 scores, %s: %.2f s", merit.of().size(), merit.way(), seconds(start));
        }
    }

    /** Fifty generations of forty daughters: the program's choice against "the best three mothers". */
    @Test
    void fifty_generations() {
        for (boolean bounded : new boolean[]{true, false}) {
            double gained = 0;
            double brood = 0;
            int runs = 3;
            for (int run = 0; run < runs; run++) {
                Lived lived = new Lived(new Random(run), bounded);
                for (int generation = 0; generation < 50; generation++) {
                    lived.next();
                }
                gained += lived.gained() / runs;
                brood += lived.lost() / runs;
            }
            print("%s: merit gained %.2f, brood lost to equal sex alleles %.1f %%", bounded
                    ? "chosen by the program"
                    : "the best three", gained, 100 * brood);
        }
    }

    /** A closed stock: merit by descent with a draw, sex alleles bee by bee. Who has two equal ones is never born. */
    private static final class Lived {
        private static final int DAUGHTERS = 40;
        private static final int DRONES = 12;
        private static final double SURE = 0.5;
        private final Random luck;
        private final boolean bounded;
        private final List<Descent> descents = new ArrayList<>();
        private final Map<String, Double> truth = new HashMap<>();
        private final Map<String, int[]> alleles = new HashMap<>();
        private List<String> living = new ArrayList<>();
        private double lost;
        private int number;

        Lived(Random luck, boolean bounded) {
            this.luck = luck;
            this.bounded = bounded;
            for (int founder = 0; founder < DAUGHTERS; founder++) {
                String id = "f" + founder;
                descents.add(Descent.founder(id));
                truth.put(id, luck.nextGaussian());
                int one = luck.nextInt(BroodLoss.USUAL_ALLELES);
                alleles.put(id, new int[]{one,
                        (one + 1 + luck.nextInt(BroodLoss.USUAL_ALLELES - 1)) % BroodLoss.USUAL_ALLELES});
                living.add(id);
            }
        }

        void next() {
            Kinship kinship = new Kinship(Pedigree.of(descents));
            Map<String, Double> told = new HashMap<>();
            living.forEach(id -> told.put(id,
                    SURE * of(truth, id) + Math.sqrt(SURE * (1 - SURE)) * luck.nextGaussian()));
            Map<String, Integer> mothers = bounded ? chosen(kinship, told) : best(told);
            List<String> all = List.copyOf(mothers.keySet());
            // a queen mates with drones of the other mothers
            descents.replaceAll(one -> mothers.containsKey(one.id())
                    ? one.mated(Mating.Flying.equally(others(all, one.id()), DRONES))
                    : one);
            List<String> born = new ArrayList<>();
            double equal = 0;
            for (String mother : all) {
                List<String> fathers = others(all, mother);
                int[] drones = new int[DRONES];
                String[] whose = new String[DRONES];
                int[] hers = Objects.requireNonNull(alleles.get(mother));
                for (int drone = 0; drone < DRONES; drone++) {
                    whose[drone] = fathers.get(luck.nextInt(fathers.size()));
                    drones[drone] = Objects.requireNonNull(alleles.get(whose[drone]))[luck.nextInt(2)];
                    equal += drones[drone] == hers[0] || drones[drone] == hers[1] ? 0.5 / DRONES / all.size() : 0;
                }
                for (int daughter = 0; daughter < mothers.get(mother); daughter++) {
                    born.add(daughter(kinship, mother, hers, drones, whose));
                }
            }
            lost = equal;
            living = born;
        }

        private String daughter(Kinship kinship, String mother, int[] hers, int[] drones, String[] whose) {
            int drone = luck.nextInt(DRONES);
            int one = hers[luck.nextInt(2)];
            while (one == drones[drone]) {
                drone = luck.nextInt(DRONES);
                one = hers[luck.nextInt(2)];
            }
            String id = "d" + number++;
            double draw = Math.sqrt(0.6 * Math.max(0.02, 1 - kinship.inbreeding(mother)));
            truth.put(id, (of(truth, mother) + of(truth, whose[drone])) / 2 + draw * luck.nextGaussian());
            alleles.put(id, new int[]{one, drones[drone]});
            descents.add(Descent.of(id, mother));
            return id;
        }

        private static List<String> others(List<String> all, String but) {
            return all.stream().filter(id -> !id.equals(but)).toList();
        }

        private static double of(Map<String, Double> values, String id) {
            return values.getOrDefault(id, 0.0);
        }

        private static Map<String, Integer> best(Map<String, Double> told) {
            Map<String, Integer> best = new HashMap<>();
            told.entrySet().stream().sorted(Comparator.comparingDouble(one -> -one.getValue())).limit(3)
                    .forEach(one -> best.put(one.getKey(), DAUGHTERS / 3 + 1));
            return best;
        }

        private Map<String, Integer> chosen(Kinship kinship, Map<String, Double> told) {
            List<Breeders.Candidate> candidates = living.stream().map(id -> new Breeders.Candidate(id,
                    kinship.pedigree().queen(id).mother().orElse(id), of(told, id), SURE)).toList();
            double[][] kin = kinship.among(living);
            double mean = kinship.mean(living.stream().mapToInt(kinship.pedigree()::at).toArray());
            for (double bound = mean + 0.005; bound < 1.02; bound += 0.005) {
                Optional<Breeders> found = Breeders.choose(candidates, kin,
                        new Breeders.Wish(DAUGHTERS, Math.min(1, bound), 8, 0.1), 1);
                if (found.isPresent()) {
                    Map<String, Integer> all = new HashMap<>();
                    found.get().chosen().forEach(one -> all.put(one.queen(), Math.max(1, one.daughters())));
                    return all;
                }
            }
            return best(told);
        }

        double gained() {
            return living.stream().mapToDouble(id -> of(truth, id)).average().orElse(0);
        }

        double lost() {
            return lost;
        }
    }

    private static double seconds(long start) {
        return (System.nanoTime() - start) / 1e9;
    }

    private static void print(String line, Object... fills) {
        System.out.println(String.format(Locale.ROOT, line, fills));
    }
}
