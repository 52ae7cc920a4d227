package vividcrown.core.hive.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import vividcrown.core.hive.Unit;
import vividcrown.core.yard.Flow;

/** Derived: a normal mean, shrunk as if eight pairs had been exactly right. */
class OwnGrowthTest {

    private static final LocalDate MAY = LocalDate.of(2026, 5, 10);

    private static List<OwnGrowth.Pair> pairs(int many, double times, int days) {
        List<OwnGrowth.Pair> pairs = new ArrayList<>();
        for (int pair = 0; pair < many; pair++) {
            Unit unit = Units.production("H " + pair, MAY, 5 + pair % 3);
            Surroundings there = Units.on(MAY, Flow.LITTLE);
            double foreseen = Forecaster.of(unit, there, days).in(days).framesOfBees().likely();
            pairs.add(new OwnGrowth.Pair(unit, MAY.plusDays(days), times * foreseen, there));
        }
        return pairs;
    }

    @Test
    void counts_that_were_foreseen_leave_it_as_it_is() {
        assertThat(OwnGrowth.of(pairs(10, 1, 28)).factor()).isCloseTo(1, within(1e-6));
        assertThat(OwnGrowth.of(List.of())).isEqualTo(OwnGrowth.UNKNOWN);
    }

    /** Half as many as foreseen, eight times: as far again from the trade's figures as they are. */
    @Test
    void few_counts_move_it_a_little_and_many_move_it_far() {
        assertThat(OwnGrowth.of(pairs(8, 0.5, 28)).factor()).isCloseTo(Math.sqrt(0.5), within(0.01));
        assertThat(OwnGrowth.of(pairs(2, 0.5, 28)).factor()).isBetween(0.85, 0.9);
        assertThat(OwnGrowth.of(pairs(100, 1.2, 28)).factor()).isBetween(1.15, 1.2);
    }

    @Test
    void what_lies_too_near_or_too_far_apart_or_cannot_be_growth_tells_nothing() {
        assertThat(OwnGrowth.of(pairs(10, 0.5, 3)).pairs()).isZero();
        assertThat(OwnGrowth.of(pairs(10, 0.5, 60)).pairs()).isZero();
        assertThat(OwnGrowth.of(pairs(10, 0.2, 28)).pairs()).isZero();
    }
}
