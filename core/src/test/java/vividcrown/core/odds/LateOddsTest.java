package vividcrown.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;

class LateOddsTest {

    private static final Rate MATING = Rate.of(8, 2);
    private static final LateOdds ODDS = new LateOdds(MATING, Assumptions.standard());

    @Test
    void before_she_can_lay_a_look_tells_nothing() {
        assertThat(ODDS.stillComesGood(8)).isCloseTo(0.8, within(1e-12));
    }

    @Test
    void from_the_day_of_drones_only_there_is_no_hope() {
        assertThat(ODDS.stillComesGood(28)).isZero();
    }

    @Property
    void odds_only_fall_with_time(@ForAll @DoubleRange(max = 35) double day,
            @ForAll @DoubleRange(max = 5) double later) {
        assertThat(ODDS.stillComesGood(day + later)).isLessThanOrEqualTo(ODDS.stillComesGood(day));
    }

    /** A hundred thousand invented virgins, counted. Three standard errors of a share are under 0.015 here. */
    @Test
    void agrees_with_counting_simulated_virgins() {
        Random random = new Random(46);
        int waiting = 0;
        int good = 0;
        for (int virgin = 0; virgin < 100_000; virgin++) {
            boolean mates = random.nextDouble() < 0.8;
            double lays = random.nextDouble() < 0.9 ? triangular(random.nextDouble()) : 16 + 12 * random.nextDouble();
            if (!mates || lays > 14) {
                waiting++;
                good += mates ? 1 : 0;
            }
        }
        assertThat(ODDS.stillComesGood(14)).isCloseTo((double) good / waiting, within(0.015));
    }

    /** Triangular 8, 11, 16 by inverting its distribution function by hand. */
    private static double triangular(double u) {
        double atPeak = 3.0 / 8;
        return u < atPeak ? 8 + Math.sqrt(u * 8 * 3) : 16 - Math.sqrt((1 - u) * 8 * 5);
    }
}
