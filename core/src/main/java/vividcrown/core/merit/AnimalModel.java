package vividcrown.core.merit;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.ConjugateGradient;
import org.hipparchus.linear.RealLinearOperator;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import vividcrown.core.lineage.Inverse;
import vividcrown.core.lineage.Kinship;

/**
 * Scores are what yard and year give to all beside one another, what a queen passes on, and chance. Yard-years are fixed, queens
 * are drawn with the kinship of bees as variance: the mixed-model equations (Henderson 1975; from memory), with the inverse of the
 * relationship written down from the descent itself. Solved exactly: by Cholesky where small, otherwise by conjugate gradients to
 * one in 10¹⁰.
 */
final class AnimalModel {

    /** Equations up to which the inverse is reckoned, and with it how sure each value is. */
    private static final int SMALL = 900;
    private static final int MOST_ROUNDS = 20_000;
    private static final double ENOUGH = 1e-10;
    /** Cholesky takes the matrix as it is summed, equal to both sides within rounding. */
    private static final double ROUNDING = 1e-9;

    private final Kinship kinship;
    private final Inverse inverse;
    private final List<Score> scores;
    private final double ratio;
    private final Map<Score.Side, Integer> sides = new HashMap<>();
    private final int[] sideOf;
    private final int[] queenOf;
    private final int size;
    private final double[] diagonal;

    AnimalModel(Kinship kinship, List<Score> scores, double heritability) {
        this.kinship = kinship;
        this.scores = scores;
        this.ratio = (1 - heritability) / heritability;
        this.inverse = Inverse.above(kinship, scores.stream().map(Score::queen).toList());
        this.sideOf = new int[scores.size()];
        this.queenOf = new int[scores.size()];
        for (int at = 0; at < scores.size(); at++) {
            sideOf[at] = sides.computeIfAbsent(scores.get(at).side(), _ -> sides.size());
            queenOf[at] = inverse.at(scores.get(at).queen());
        }
        this.size = sides.size() + inverse.size();
        this.diagonal = new double[size];
        for (int at = 0; at < scores.size(); at++) {
            diagonal[sideOf[at]]++;
            diagonal[sides.size() + queenOf[at]]++;
        }
        double[] ofKin = inverse.diagonal();
        for (int node = 0; node < ofKin.length; node++) {
            diagonal[sides.size() + node] += ratio * ofKin[node];
        }
    }

    /** @param exact its reliabilities are those of the equations themselves */
    record Solved(Kinship kinship, Inverse inverse, double[] values, double[] reliability, boolean exact) {
        /** One who has neither scores nor scored offspring is expected to be as her mother and her mates are. */
        double value(String queen) {
            return inverse.fromAbove(queen, values);
        }

        double reliability(String queen) {
            return inverse.knows(queen) ? reliability[inverse.at(queen)] : inverse.fromAbove(queen, reliability) / 2;
        }
    }

    Solved solve() {
        double[] right = new double[size];
        for (int at = 0; at < scores.size(); at++) {
            right[sideOf[at]] += scores.get(at).value();
            right[sides.size() + queenOf[at]] += scores.get(at).value();
        }
        boolean small = size <= SMALL;
        double[] values = new double[inverse.size()];
        double[] reliability = new double[inverse.size()];
        if (small) {
            CholeskyDecomposition decomposed = new CholeskyDecomposition(dense(), ROUNDING, ROUNDING * ROUNDING);
            RealVector solution = decomposed.getSolver().solve(new ArrayRealVector(right, false));
            RealMatrix error = decomposed.getSolver().getInverse();
            for (int node = 0; node < values.length; node++) {
                values[node] = solution.getEntry(sides.size() + node);
                double missed = ratio * error.getEntry(sides.size() + node, sides.size() + node);
                reliability[node] = Math.clamp(1 - missed / inverse.variance(node), 0, 1);
            }
        } else {
            RealVector solution = new ConjugateGradient(MOST_ROUNDS, ENOUGH, false).solve(operator(this::times),
                    operator(this::byDiagonal),
                    new ArrayRealVector(right, false), new ArrayRealVector(size));
            for (int node = 0; node < values.length; node++) {
                values[node] = solution.getEntry(sides.size() + node);
            }
            approximate(reliability);
        }
        return new Solved(kinship, inverse, values, reliability, small);
    }

    private RealMatrix dense() {
        RealMatrix all = new Array2DRowRealMatrix(size, size);
        double[] unit = new double[size];
        double[] column = new double[size];
        for (int at = 0; at < size; at++) {
            unit[at] = 1;
            times(unit, column);
            all.setColumn(at, column);
            unit[at] = 0;
        }
        return all;
    }

    private void times(double[] values, double[] result) {
        Arrays.fill(result, 0);
        inverse.times(values, result, sides.size(), ratio);
        for (int at = 0; at < sideOf.length; at++) {
            int side = sideOf[at];
            int queen = sides.size() + queenOf[at];
            double both = values[side] + values[queen];
            result[side] += both;
            result[queen] += both;
        }
    }

    /** @param made of some values others of the same number; they may be written over */
    private RealLinearOperator operator(UnaryOperator<double[]> made) {
        return new RealLinearOperator() {
            @Override
            public int getRowDimension() {
                return size;
            }

            @Override
            public int getColumnDimension() {
                return size;
            }

            @Override
            public RealVector operate(RealVector values) {
                return new ArrayRealVector(made.apply(values.toArray()), false);
            }
        };
    }

    private double[] times(double[] values) {
        double[] result = new double[size];
        times(values, result);
        return result;
    }

    /** By the diagonal alone: near enough to the inverse to be in time. */
    private double[] byDiagonal(double[] values) {
        for (int at = 0; at < size; at++) {
            values[at] /= diagonal[at];
        }
        return values;
    }

    /**
     * Own scores, less what it takes to know their yards and years; daughters, each by what is known of her; then the mother, by all but
     * this daughter: added up as pieces of information (after Misztal &amp; Wiggans 1988; from memory). Approximate: told as such.
     */
    private void approximate(double[] reliability) {
        double[] own = new double[inverse.size()];
        int[] beside = new int[sides.size()];
        for (int side : sideOf) {
            beside[side]++;
        }
        for (int at = 0; at < sideOf.length; at++) {
            own[queenOf[at]] += 1 - 1.0 / beside[sideOf[at]];
        }
        double[] pieces = own.clone();
        double[] said = new double[inverse.size()];
        inverse.eachDaughterFirst((daughter, mother) -> {
            double sure = pieces[daughter] / (pieces[daughter] + ratio);
            // a daughter says of half of her mother: as one of many half-sisters does
            said[daughter] = ratio * sure / (4 - sure);
            pieces[mother] += said[daughter];
        });
        inverse.eachMotherFirst((daughter, mother) -> {
            double ofOthers = pieces[mother] - said[daughter];
            double quarter = ofOthers / (ofOthers + ratio) / 4;
            pieces[daughter] += ratio * quarter / (1 - quarter);
        });
        for (int node = 0; node < reliability.length; node++) {
            reliability[node] = pieces[node] / (pieces[node] + ratio);
        }
    }

}
