package vividcrown.core.lineage;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import vividcrown.core.hive.Amount;
import vividcrown.core.journal.Faults;

/**
 * What becomes of a closed stock, lived generation by generation: mothers and drone mothers are drawn from the daughters, each
 * daughter mates with drones of the drone mothers, eggs with equal sex alleles never become queens. Two places are followed: the
 * sex locus, and one at which every founder's allele is told apart. Seeded: the same question has the same answer.
 *
 * @param generations from the founders (0) on
 */
public record StockForecast(List<Generation> generations) {

    /**
     * One generation, with what nine in ten runs lie between.
     *
     * @param inbreeding of the workers of its queens, 0–1
     * @param alleles sex alleles that are left
     * @param solid share of eggs that are not lost to equal sex alleles
     */
    public record Generation(int number, Amount inbreeding, Amount alleles, Amount solid) {
    }

    /**
     * What is asked.
     *
     * @param mothers grafted from in each generation, 1–200
     * @param droneMothers whose drones fly, 1–200
     * @param drones each queen mates with, 1–40
     * @param alleles sex alleles in the founders, equally common, 3–100
     * @param generations 1–100
     */
    public record Stock(int mothers, int droneMothers, int drones, int alleles, int generations) {
        public Stock {
            new Faults().within("mothers", mothers, 1, 200).within("droneMothers", droneMothers, 1, 200)
                    .within("drones", drones, 1, 40).within("alleles", alleles, 3, 100)
                    .within("generations", generations, 1, 100).refuse();
        }
    }

    private static final double TAIL = 0.05;
    private static final int MOST_TRIES = 1000;

    public StockForecast {
        generations = List.copyOf(generations);
    }

    /** @param runs 20–5,000 */
    public static StockForecast of(Stock stock, int runs, long seed) {
        new Faults().within("runs", runs, 20, 5_000).refuse();
        double[][] inbreeding = new double[stock.generations() + 1][runs];
        double[][] alleles = new double[stock.generations() + 1][runs];
        double[][] solid = new double[stock.generations() + 1][runs];
        SplittableRandom random = new SplittableRandom(seed);
        SplittableRandom[] ofRun = IntStream.range(0, runs).mapToObj(_ -> random.split())
                .toArray(SplittableRandom[]::new);
        IntStream.range(0, runs).parallel().forEach(run -> {
            Lived lived = new Lived(stock, ofRun[run]);
            for (int generation = 0; generation <= stock.generations(); generation++) {
                inbreeding[generation][run] = lived.inbreeding();
                alleles[generation][run] = lived.allelesLeft();
                solid[generation][run] = lived.solid();
                lived.next();
            }
        });
        List<Generation> all = new ArrayList<>();
        for (int generation = 0; generation <= stock.generations(); generation++) {
            all.add(new Generation(generation, spread(inbreeding[generation]), spread(alleles[generation]),
                    spread(solid[generation])));
        }
        return new StockForecast(all);
    }

    private static Amount spread(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        double mean = Arrays.stream(sorted).average().orElse(0);
        double least = sorted[(int) (TAIL * sorted.length)];
        double most = sorted[(int) Math.min(sorted.length - 1.0, (1 - TAIL) * sorted.length)];
        return new Amount(Math.min(least, mean), mean, Math.max(most, mean));
    }

    /** @param sex her two alleles at the sex locus @param from whose alleles she has at the other place */
    private record Bee(int[] sex, int[] from) {
    }

    /** A drone: one allele of each. */
    private record Drone(int sex, int from) {
    }

    /** One run. */
    private static final class Lived {
        private final Stock stock;
        private final SplittableRandom random;
        private List<Bee> queens = new ArrayList<>();
        private List<List<Drone>> mates = new ArrayList<>();

        Lived(Stock stock, SplittableRandom random) {
            this.stock = stock;
            this.random = random;
            int founders = stock.mothers() + stock.droneMothers();
            for (int founder = 0; founder < founders; founder++) {
                int sex = random.nextInt(stock.alleles());
                int other = (sex + 1 + random.nextInt(stock.alleles() - 1)) % stock.alleles();
                queens.add(new Bee(new int[]{sex, other}, new int[]{2 * founder, 2 * founder + 1}));
            }
            List<Bee> fathers = queens.subList(stock.mothers(), founders);
            List<Bee> mothers = List.copyOf(queens.subList(0, stock.mothers()));
            queens = new ArrayList<>(mothers);
            mates = mate(mothers, List.copyOf(fathers));
        }

        private List<List<Drone>> mate(List<Bee> brides, List<Bee> droneMothers) {
            List<List<Drone>> all = new ArrayList<>();
            brides.forEach(_ -> {
                List<Drone> drones = new ArrayList<>();
                for (int drone = 0; drone < stock.drones(); drone++) {
                    Bee mother = droneMothers.get(random.nextInt(droneMothers.size()));
                    drones.add(new Drone(one(mother.sex()), one(mother.from())));
                }
                all.add(drones);
            });
            return all;
        }

        private int one(int[] two) {
            return two[random.nextInt(2)];
        }

        /** Daughters of the mothers become mothers and drone mothers, and mate with drones of their own generation. */
        void next() {
            List<Bee> daughters = new ArrayList<>();
            for (int wanted = 0; wanted < stock.mothers() + stock.droneMothers(); wanted++) {
                daughters.add(daughter(wanted % queens.size()));
            }
            // else the drone mothers would come of the same few mothers' lines for ever
            Collections.shuffle(daughters, random);
            List<Bee> mothers = new ArrayList<>(daughters.subList(0, stock.mothers()));
            List<Bee> droneMothers = daughters.subList(stock.mothers(), daughters.size());
            mates = mate(mothers, droneMothers);
            queens = mothers;
        }

        private Bee daughter(int of) {
            Bee mother = queens.get(of);
            List<Drone> drones = mates.get(of);
            for (int tried = 0; tried < MOST_TRIES; tried++) {
                Drone father = drones.get(random.nextInt(drones.size()));
                int sex = one(mother.sex());
                if (sex != father.sex()) {
                    return new Bee(new int[]{sex, father.sex()}, new int[]{one(mother.from()), father.from()});
                }
            }
            // every one of her mates has both of hers: only half her brood lives, and some of it does
            Drone father = drones.getFirst();
            int sex = mother.sex()[0] == father.sex() ? mother.sex()[1] : mother.sex()[0];
            return new Bee(new int[]{sex, father.sex()}, new int[]{one(mother.from()), father.from()});
        }

        double inbreeding() {
            double equal = 0;
            double all = 0;
            for (int queen = 0; queen < queens.size(); queen++) {
                Bee her = queens.get(queen);
                for (Drone mate : mates.get(queen)) {
                    equal += (her.from()[0] == mate.from() ? 0.5 : 0) + (her.from()[1] == mate.from() ? 0.5 : 0);
                    all++;
                }
            }
            return equal / all;
        }

        double allelesLeft() {
            return IntStream.concat(queens.stream().flatMapToInt(bee -> Arrays.stream(bee.sex())),
                    mates.stream().flatMap(List::stream).mapToInt(Drone::sex)).distinct().count();
        }

        double solid() {
            double lost = 0;
            double all = 0;
            for (int queen = 0; queen < queens.size(); queen++) {
                int[] hers = queens.get(queen).sex();
                for (Drone mate : mates.get(queen)) {
                    lost += hers[0] == mate.sex() || hers[1] == mate.sex() ? 0.5 : 0;
                    all++;
                }
            }
            return 1 - lost / all;
        }
    }
}
