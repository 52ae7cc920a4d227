package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import org.hipparchus.random.RandomDataGenerator;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.LossStep;
import vividcrown.core.season.supply.OwnShares;
import vividcrown.core.season.supply.Supply;

/**
 * What may come of grafts, drawn many times over: the operation's own share at each step, each day's luck around it, each cup its own. The same
 * luck stands behind every choice that is compared (common random numbers; sample average approximation: Kleywegt, Shapiro &amp; Homem-de-Mello
 * 2002, SIAM J. Optim. 12:479; from memory).
 */
final class Draws {

    static final List<LossStep> WAY = List.of(LossStep.TAKE, LossStep.SOUND, LossStep.EMERGENCE, LossStep.MATING);

    static final double NEVER = 2;

    private static final long SEEDS_APART = 1_000_003;

    /**
     * One batch, in every draw.
     *
     * @param took by draw and cup: whether its larva is accepted
     * @param ripe by draw and cup: whether it comes to a ripe cell
     * @param virgin by draw and cup: whether a virgin comes of the ripe cell
     * @param laysAt by draw and cup: when she lays, 0–1 of the time that queens take; {@link #NEVER} if she does not
     */
    record Drawn(LocalDate graft, boolean[][] took, boolean[][] ripe, boolean[][] virgin, double[][] laysAt) {
    }

    private final Supply supply;
    private final Around usual;
    private final int many;
    private final long seed;
    private final SplittableRandom seeds;
    /** By graft day, draw and step. */
    private final Map<LocalDate, double[][]> luck;
    /** By step and draw, 0 to below 1: how the operation stands among those it may be, on all its days. */
    private final double[][] standing;

    Draws(Supply supply, int many, long seed) {
        this(supply, many, seed, new HashMap<>());
    }

    /** @param luck of the days that were drawn with this seed before; those that are drawn here are added */
    Draws(Supply supply, int many, long seed, Map<LocalDate, double[][]> luck) {
        this.supply = supply;
        this.usual = supply.usual();
        this.many = many;
        this.seed = seed;
        this.seeds = new SplittableRandom(seed);
        this.luck = luck;
        this.standing = new double[WAY.size()][];
        SplittableRandom random = new SplittableRandom(seed * SEEDS_APART - 1);
        for (int step = 0; step < standing.length; step++) {
            standing[step] = spread(many, random);
        }
    }

    /** One from each of so many equal parts, in any order: few draws then stand for all operations. */
    private static double[] spread(int many, SplittableRandom random) {
        double[] spread = new double[many];
        for (int part = 0; part < many; part++) {
            int other = random.nextInt(part + 1);
            spread[part] = spread[other];
            spread[other] = (part + random.nextDouble()) / many;
        }
        return spread;
    }

    int many() {
        return many;
    }

    /** @param passed losses that lie behind its cups */
    Drawn of(LocalDate graft, int cups, List<LossStep> passed, Around around) {
        double[][] days = around.equals(usual)
                ? luck.computeIfAbsent(graft, this::lucky)
                : shifted(luck.computeIfAbsent(graft, this::lucky), graft, around);
        Set<LossStep> behind = passed.isEmpty() ? EnumSet.noneOf(LossStep.class) : EnumSet.copyOf(passed);
        boolean[][] took = new boolean[many][cups];
        boolean[][] ripe = new boolean[many][cups];
        boolean[][] virgin = new boolean[many][cups];
        double[][] laysAt = new double[many][cups];
        SplittableRandom random = seeds.split();
        for (int draw = 0; draw < many; draw++) {
            for (int cup = 0; cup < cups; cup++) {
                took[draw][cup] = passes(LossStep.TAKE, behind, days[draw], random);
                ripe[draw][cup] = passes(LossStep.SOUND, behind, days[draw], random) && took[draw][cup];
                virgin[draw][cup] = passes(LossStep.EMERGENCE, behind, days[draw], random);
                boolean mates = passes(LossStep.MATING, behind, days[draw], random);
                double when = random.nextDouble();
                laysAt[draw][cup] = !mates ? NEVER : behind.contains(LossStep.MATING) ? 0 : when;
            }
        }
        return new Drawn(graft, took, ripe, virgin, laysAt);
    }

    private static boolean passes(LossStep step, Set<LossStep> behind, double[] day, SplittableRandom random) {
        double chance = random.nextDouble();
        return behind.contains(step) || chance < day[WAY.indexOf(step)];
    }

    private double[][] lucky(LocalDate graft) {
        double[][] days = new double[many][WAY.size()];
        RandomDataGenerator random = new RandomDataGenerator(
                new SplittableRandom(seed * SEEDS_APART + graft.toEpochDay()).nextLong());
        for (int step = 0; step < WAY.size(); step++) {
            OwnShares.Guesses own = supply.ownShares().of(WAY.get(step), supply.rate(WAY.get(step), graft, usual));
            for (int draw = 0; draw < many; draw++) {
                double share = own.at(standing[step][draw]);
                days[draw][step] = random.nextBeta(share * own.dayWeight(), (1 - share) * own.dayWeight());
            }
        }
        return days;
    }

    /** The same luck for what does better or worse than usual: by the difference of their log-odds. */
    private double[][] shifted(double[][] days, LocalDate graft, Around around) {
        double[][] shifted = new double[many][WAY.size()];
        for (int step = 0; step < WAY.size(); step++) {
            double shift = logOdds(supply.rate(WAY.get(step), graft, around).mean())
                    - logOdds(supply.rate(WAY.get(step), graft, usual).mean());
            for (int draw = 0; draw < many; draw++) {
                shifted[draw][step] = 1 / (1 + Math.exp(-logOdds(days[draw][step]) - shift));
            }
        }
        return shifted;
    }

    private static double logOdds(double share) {
        return Math.log(share / (1 - share));
    }
}
