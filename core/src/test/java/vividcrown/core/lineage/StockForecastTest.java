package vividcrown.core.lineage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividcrown.core.lineage.StockForecast.Generation;
import vividcrown.core.lineage.StockForecast.Stock;

/** A closed stock against theory: viability of the founders, growth of inbreeding, the way to two alleles. */
class StockForecastTest {

    private static Generation after(Stock stock, int generations) {
        return StockForecast.of(stock, 400, 7).generations().get(generations);
    }

    /** n equally common alleles: 1 − 1/n of the eggs live where nobody is akin; founders here have two different ones each. */
    @Test
    void founders_lose_what_the_number_of_alleles_says() {
        Generation founders = after(new Stock(40, 40, 12, 10, 1), 0);
        assertThat(founders.solid().likely()).isCloseTo(0.9, within(0.01));
        assertThat(founders.inbreeding().likely()).isZero();
    }

    /**
     * Simulated against reckoned: the kinship of mothers and drone mothers from one generation to the next, written out (Wright's and Malécot's
     * coefficients; textbook). A drone hands on a gamete of his mother; daughters of one mother by one drone have all of him in common. Sex
     * alleles that must differ, sixty of them, change little.
     */
    @ParameterizedTest
    @CsvSource({"10, 10", "20, 5", "6, 30", "3, 3"})
    void inbreeding_grows_as_kinship_from_generation_to_generation_says(int mothers, int droneMothers) {
        Stock stock = new Stock(mothers, droneMothers, MATES, 60, 12);
        List<Generation> lived = StockForecast.of(stock, 4_000, 7).generations();
        double[] reckoned = inbreeding(mothers, droneMothers, 12);
        for (int generation : new int[]{1, 2, 6, 12}) {
            assertThat(lived.get(generation).inbreeding().likely()).as("generation %d", generation)
                    .isCloseTo(reckoned[generation], within(0.003 + 0.04 * reckoned[generation]));
        }
    }

    private static final int MATES = 12;

    /** Of the workers of each generation's mothers. */
    private static double[] inbreeding(int mothers, int droneMothers, int generations) {
        double[] ofWorkers = new double[generations + 1];
        double sisters = sisters(mothers, mothers + droneMothers);
        double herOwn = 0;
        double kinship = 0;
        for (int generation = 1; generation <= generations; generation++) {
            double ofHerself = (1 + herOwn) / 2;
            double ofDrones = ofHerself / droneMothers + (1 - 1.0 / droneMothers) * kinship;
            double maternal = sisters * ofHerself + (1 - sisters) * kinship;
            double paternal = sisters * (1.0 / MATES + (1 - 1.0 / MATES) * ofDrones) + (1 - sisters) * ofDrones;
            herOwn = kinship;
            // of two queens each has half of her mother, half of a drone's: both maternal, both paternal, or one of each
            kinship = (maternal + paternal + 2 * herOwn) / 4;
            ofWorkers[generation] = kinship;
        }
        return ofWorkers;
    }

    /** Chance that two daughters have the same mother: they are taken from one mother after the other. */
    private static double sisters(int mothers, int daughters) {
        int same = 0;
        for (int one = 0; one < daughters; one++) {
            for (int two = 0; two < daughters; two++) {
                same += one != two && one % mothers == two % mothers ? 1 : 0;
            }
        }
        return (double) same / (daughters * (daughters - 1));
    }

    @Test
    void few_mothers_lose_alleles_and_brood_many_keep_them() {
        Generation few = after(new Stock(2, 2, 12, 12, 10), 10);
        Generation many = after(new Stock(20, 20, 12, 12, 10), 10);
        assertThat(few.alleles().likely()).isLessThan(many.alleles().likely());
        assertThat(few.solid().likely()).isLessThan(many.solid().likely() - 0.05);
        assertThat(few.alleles().least()).isGreaterThanOrEqualTo(2);
        assertThat(few.solid().likely()).isBetween(0.5, 0.95);
    }

    @Test
    void the_same_question_has_the_same_answer_and_nonsense_none() {
        Stock stock = new Stock(5, 5, 12, 8, 5);
        assertThat(StockForecast.of(stock, 50, 3)).isEqualTo(StockForecast.of(stock, 50, 3));
        assertThatThrownBy(() -> new Stock(0, 5, 12, 8, 5)).hasMessageContaining("mothers");
        assertThatThrownBy(() -> StockForecast.of(stock, 3, 3)).hasMessageContaining("runs");
    }
}
