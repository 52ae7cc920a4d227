package vividcrown.core.merit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static vividcrown.core.lineage.Pedigree.Descent.founder;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeMap;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividcrown.core.lineage.Kinship;
import vividcrown.core.lineage.Mating;
import vividcrown.core.lineage.Pedigree;
import vividcrown.core.lineage.Pedigree.Descent;

/** What is told of queens by their scores, against the equations written out and against stocks whose truth is known. */
class MeritTest {

    private static final double HERITABILITY = 0.3;

    /** Queens of some lines, their daughters in some yards; the truth is kept. */
    /** Many stocks, so that chance does not hide a bias. */
    private static final int STOCKS = 12;

    private static final class Stock {
        private final List<Descent> descents = new ArrayList<>();
        private final Map<String, Double> truth = new TreeMap<>();
        private final List<Score> scores = new ArrayList<>();

        Stock(int mothers, int daughters, int yards, long seed) {
            SplittableRandom random = new SplittableRandom(seed);
            double[] ofYard = new double[yards];
            for (int yard = 0; yard < yards; yard++) {
                ofYard[yard] = gauss(random);
            }
            for (int mother = 0; mother < mothers; mother++) {
                String dam = "m" + mother;
                descents.add(founder(dam));
                truth.put(dam, Math.sqrt(HERITABILITY) * gauss(random));
            }
            for (int mother = 0; mother < mothers; mother++) {
                for (int daughter = 0; daughter < daughters; daughter++) {
                    String id = "d" + mother + "-" + daughter;
                    descents.add(Descent.of(id, "m" + mother));
                    // half of her mother, and what twelve strange drones and the draw bring: ¾ of the variance and a little less
                    double own = truth.get("m" + mother) / 2 + Math.sqrt(0.75 * HERITABILITY) * gauss(random);
                    truth.put(id, own);
                    int yard = random.nextInt(yards);
                    scores.add(new Score(id, Trait.TEMPER,
                            2.5 + ofYard[yard] + own + Math.sqrt(1 - HERITABILITY) * gauss(random), "y" + yard, 2026));
                }
            }
        }

        private static double gauss(SplittableRandom random) {
            return Math.sqrt(-2 * Math.log(1 - random.nextDouble())) * Math.cos(2 * Math.PI * random.nextDouble());
        }

        Merit merit() {
            return Merit.of(new Kinship(Pedigree.of(descents)), Trait.TEMPER, scores, HERITABILITY);
        }
    }

    /** Henderson's equations with the relationship written out and inverted by LU: the same values, the same reliabilities. */
    @ParameterizedTest
    @CsvSource({"4,6,2", "6,8,3"})
    void values_and_how_sure_they_are_come_out_of_the_equations_as_they_are_written(int mothers, int daughters,
            int yards) {
        Stock stock = new Stock(mothers, daughters, yards, 11);
        stock.descents.replaceAll(one -> one.id().equals("m0") ? one.mated(new Mating.Sisters("m1", 4, 10)) : one);
        Kinship kinship = new Kinship(Pedigree.of(stock.descents));
        Merit merit = Merit.of(kinship, Trait.TEMPER, stock.scores, HERITABILITY);
        assertThat(merit.way()).isEqualTo(Merit.Way.ANIMAL_MODEL);
        List<String> ids = stock.descents.stream().map(Descent::id).toList();
        RealMatrix relationship = new Array2DRowRealMatrix(kinship.among(ids)).scalarMultiply(2);
        RealMatrix inverse = MatrixUtils.inverse(relationship);
        double ratio = (1 - HERITABILITY) / HERITABILITY;
        int size = yards + ids.size();
        RealMatrix left = new Array2DRowRealMatrix(size, size);
        RealVector right = new ArrayRealVector(size);
        left.setSubMatrix(inverse.scalarMultiply(ratio).getData(), yards, yards);
        for (Score score : stock.scores) {
            int yard = Integer.parseInt(score.yard().substring(1));
            int queen = yards + ids.indexOf(score.queen());
            for (int one : new int[]{yard, queen}) {
                right.addToEntry(one, score.value());
                for (int other : new int[]{yard, queen}) {
                    left.addToEntry(one, other, 1);
                }
            }
        }
        LUDecomposition written = new LUDecomposition(left);
        RealVector solution = written.getSolver().solve(right);
        RealMatrix error = written.getSolver().getInverse();
        merit.of().forEach((queen, told) -> {
            int at = yards + ids.indexOf(queen);
            assertThat(told.value()).as(queen).isCloseTo(solution.getEntry(at), within(1e-7));
            double sure = 1 - ratio * error.getEntry(at, at) / relationship.getEntry(at - yards, at - yards);
            assertThat(told.reliability()).as(queen).isCloseTo(sure, within(1e-7));
        });
    }

    /** True merit known: what is told correlates as its reliability says, and is on average neither too high nor too low (slope 1). */
    @ParameterizedTest
    @CsvSource({"40,10,4", "60,30,6"})
    void in_a_stock_whose_truth_is_known_it_is_as_sure_as_it_says(int mothers, int daughters, int yards) {
        double up = 0;
        double down = 0;
        double spread = 0;
        double sure = 0;
        int told = 0;
        for (int seed = 1; seed <= STOCKS; seed++) {
            Stock stock = new Stock(mothers, daughters, yards, seed);
            Map<String, Merit.Estimate> estimates = stock.merit().of();
            double mean = estimates.values().stream().mapToDouble(Merit.Estimate::value).average().orElseThrow();
            double trueMean = stock.truth.values().stream().mapToDouble(Double::doubleValue).average().orElseThrow();
            for (Map.Entry<String, Double> one : stock.truth.entrySet()) {
                Merit.Estimate estimate = Objects.requireNonNull(estimates.get(one.getKey()));
                double said = estimate.value() - mean;
                double is = one.getValue() - trueMean;
                up += said * is;
                down += said * said;
                spread += is * is;
                sure += estimate.reliability();
                told++;
            }
        }
        assertThat(up * up / down / spread).as("squared correlation").isCloseTo(sure / told, within(0.03));
        assertThat(up / down).as("a mark more told is a mark more true").isCloseTo(1, within(0.04));
    }

    /**
     * A mother by n daughters of strangers, in a yard whose mean is known: 2n/(n + k) of what they are above it, with
     * k = (4 − h²)/h², reliability n/(n + k) (textbook selection index, half-sisters).
     */
    @Test
    void few_scores_are_shrunk_as_the_textbook_shrinks_them() {
        List<Descent> descents = new ArrayList<>(List.of(founder("good"), founder("plain")));
        List<Score> scores = new ArrayList<>();
        for (int daughter = 0; daughter < 6; daughter++) {
            descents.add(Descent.of("g" + daughter, "good"));
            descents.add(Descent.of("p" + daughter, "plain"));
            scores.add(new Score("g" + daughter, Trait.TEMPER, 4, "y", 2026));
            scores.add(new Score("p" + daughter, Trait.TEMPER, 2, "y", 2026));
        }
        Merit merit = Merit.of(new Kinship(Pedigree.of(descents)), Trait.TEMPER, scores, 0.4);
        assertThat(merit.way()).isEqualTo(Merit.Way.SISTER_GROUPS);
        double k = (4 - 0.4) / 0.4;
        Merit.Estimate good = Objects.requireNonNull(merit.of().get("good"));
        assertThat(good.value()).isCloseTo(2 * 6 / (6 + k), within(1e-9));
        assertThat(good.reliability()).isCloseTo(6 / (6 + k), within(1e-9));
        assertThat(merit.reasons().toString()).contains("12 queens");
    }

    @Test
    void a_good_yard_makes_no_good_queen() {
        List<Descent> descents = new ArrayList<>();
        List<Score> scores = new ArrayList<>();
        for (int mother = 0; mother < 4; mother++) {
            descents.add(founder("m" + mother));
            for (int daughter = 0; daughter < 8; daughter++) {
                String id = "d" + mother + daughter;
                descents.add(Descent.of(id, "m" + mother));
                // m0 and m1 stand in both yards; m2 only in the rich one, m3 only in the poor one
                boolean rich = mother == 2 || mother < 2 && daughter % 2 == 0;
                scores.add(new Score(id, Trait.CROP, rich ? 3.5 : 1.5, rich ? "rich" : "poor", 2026));
            }
        }
        Merit merit = Merit.of(new Kinship(Pedigree.of(descents)), Trait.CROP, scores, 0.25);
        assertThat(Objects.requireNonNull(merit.of().get("m2")).value()).isCloseTo(0, within(0.05));
        assertThat(Objects.requireNonNull(merit.of().get("m3")).value()).isCloseTo(0, within(0.05));
    }

    @Test
    void too_little_is_told_as_too_little_and_nonsense_refused() {
        Kinship kinship = new Kinship(Pedigree.of(List.of(founder("a"), founder("b"))));
        Merit two = Merit.of(kinship, Trait.TEMPER, List.of(new Score("a", Trait.TEMPER, 4, "y", 2026),
                new Score("b", Trait.TEMPER, 1, "y", 2026)), 0.4);
        assertThat(two.way()).isEqualTo(Merit.Way.TOO_LITTLE);
        assertThat(two.of()).isEmpty();
        assertThatThrownBy(
                () -> Merit.of(kinship, Trait.TEMPER, List.of(new Score("z", Trait.TEMPER, 4, "y", 2026)), 0.4))
                .hasMessageContaining("no queen z");
        assertThatThrownBy(() -> Score.Scale.USUAL.check(2.3)).hasMessageContaining("nearest is 2.5");
        assertThatThrownBy(() -> Score.Scale.USUAL.check(5)).hasMessageContaining("4");
    }

    /** Large stocks are solved by conjugate gradients: the values are those of the small way. */
    @Test
    void a_large_stock_is_solved_like_a_small_one() {
        Stock large = new Stock(60, 30, 6, 3);
        Merit merit = large.merit();
        assertThat(merit.scores()).isEqualTo(1800);
        assertThat(merit.reasons().toString()).contains("approximate");
        // twice as many scores of the same: the relative order of mothers stays
        Merit.Estimate best = merit.of().entrySet().stream().filter(one -> one.getKey().startsWith("m"))
                .max(Comparator.comparingDouble(one -> one.getValue().value())).orElseThrow().getValue();
        assertThat(best.daughters()).isEqualTo(30);
        assertThat(best.reliability()).isBetween(0.4, 0.9);
        Optional<Merit.Estimate> nobody = Optional.ofNullable(merit.of().get("nobody"));
        assertThat(nobody).isEmpty();
    }
}
