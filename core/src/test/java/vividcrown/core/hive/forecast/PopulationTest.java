package vividcrown.core.hive.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.junit.jupiter.api.Test;

/** The age-structured colony against its closed form, and against the published model of two compartments. */
class PopulationTest {

    private static final Growth STEADY = new Growth(2000, 1.85, 1, 0.0075, 0.14, 0.0055, 1);

    private static Population settled(double eggs, Growth growth, int days) {
        Population colony = new Population(growth);
        colony.bees(0, 15_000);
        for (int day = 0; day < days; day++) {
            colony.next(eggs, 1);
        }
        return colony;
    }

    /** Derived: E(1 − (1 − μ)ⁿ)/μ bees in the hive and E(1 − μ)ⁿ/m foragers. */
    @Test
    void its_steady_state_is_that_of_the_closed_form() {
        Population colony = settled(1500, STEADY, 600);
        double inHive = 1500 * (1 - Math.pow(1 - STEADY.hiveBeeLoss(), Growth.NURSE_DAYS)) / STEADY.hiveBeeLoss();
        double foragers = 1500 * Math.pow(1 - STEADY.hiveBeeLoss(), Growth.NURSE_DAYS) / STEADY.foragerLoss();
        assertThat(colony.hiveBees()).isCloseTo(inHive, within(1.0));
        assertThat(colony.foragers()).isCloseTo(foragers, within(1.0));
        assertThat(colony.broodCells()).isCloseTo(1500 * 21, within(1e-6));
    }

    /** A strong colony in season has up to about forty thousand workers, about a third of them foragers. Common practice. */
    @Test
    void a_colony_in_full_season_is_as_big_as_the_trade_knows_it() {
        Population colony = settled(Growth.LIKELY.eggsADay(), Growth.LIKELY, 400);
        assertThat(colony.bees()).isBetween(30_000.0, 42_000.0);
        assertThat(colony.foragers() / colony.bees()).isBetween(0.2, 0.38);
    }

    private static final double LAID = 2000;
    private static final double HALF = 27_000;
    private static final double ALPHA = 0.25;
    private static final double SIGMA = 0.75;

    /** Hive bees and foragers of Khoury, Myerscough and Barron 2011, equations 1 to 5. */
    private static double[] khoury(double mortality, double days) {
        OrdinaryDifferentialEquation model = new OrdinaryDifferentialEquation() {
            @Override
            public int getDimension() {
                return 2;
            }

            @Override
            public double[] computeDerivatives(double time, double[] y) {
                double all = y[0] + y[1];
                double recruited = y[0] * (ALPHA - SIGMA * y[1] / all);
                return new double[]{LAID * all / (HALF + all) - recruited, recruited - mortality * y[1]};
            }
        };
        return new DormandPrince853Integrator(1e-3, 1, 1e-6, 1e-8)
                .integrate(model, new ODEState(0, new double[]{16_000, 8_000}), days).getPrimaryState();
    }

    private static double closed(double mortality) {
        double j = (ALPHA - SIGMA - mortality
                + Math.sqrt(Math.pow(ALPHA - SIGMA - mortality, 2) + 4 * ALPHA * mortality)) / (2 * mortality);
        return LAID * (1 + j) / (mortality * j) - HALF;
    }

    /** Khoury et al. 2011: the equilibrium, and the collapse above a forager loss of about 0.355 a day; from memory. */
    @Test
    void the_published_model_stands_at_its_equilibrium_and_collapses_above_its_threshold() {
        double[] at = khoury(0.24, 2_000);
        assertThat(at[0] + at[1]).isCloseTo(closed(0.24), within(1.0));
        assertThat(closed(0.354)).isPositive();
        assertThat(closed(0.357)).isNegative();
        double[] lost = khoury(0.40, 2_000);
        assertThat(lost[0] + lost[1]).isLessThan(50);
    }

    /** Both models of one colony: as many eggs, the same forager loss. The published one has no loss in the hive. */
    @Test
    void it_is_about_as_big_as_in_the_published_model() {
        double[] at = khoury(0.14, 2_000);
        double all = at[0] + at[1];
        double eggs = LAID * all / (HALF + all);
        Population ours = settled(eggs, new Growth(2000, 1.85, 1, 0, 0.14, 0, 1), 600);
        assertThat(ours.bees()).isBetween(0.6 * all, 1.6 * all);
    }
}
