package vividcrown.core.lineage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
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

    /** Each step loses 1/(2·Ne) of what is left; sex-linked Ne = 9·Nm·Nf/(4·Nm + 2·Nf) (Wright 1933, from memory). */
    @Test
    void inbreeding_grows_by_the_effective_number() {
        Stock stock = new Stock(10, 10, 12, 60, 12);
        double from = 1 - after(stock, 2).inbreeding().likely();
        double to = 1 - after(stock, 12).inbreeding().likely();
        double rate = 1 - Math.pow(to / from, 1.0 / 10);
        // of ten mothers and ten drone mothers, all females: each generation has twenty of them, and drones are copies of theirs
        assertThat(rate).isBetween(0.5 / 40, 2.5 / 40);
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
