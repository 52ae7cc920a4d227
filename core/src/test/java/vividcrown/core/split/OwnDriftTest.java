package vividcrown.core.split;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import vividcrown.core.split.OwnDrift.Pair;

/** The trade's share of bees taken with mixed frames that fly home: 25–40 % in the same yard, none beyond 5 km (common practice). */
class OwnDriftTest {

    private static Pair inTheYard(double put, double stayed) {
        return new Pair(Place.SAME_YARD, put, stayed);
    }

    @Test
    void without_counts_it_is_the_trades() {
        assertThat(OwnDrift.of(List.of())).isEqualTo(OwnDrift.UNKNOWN);
        // in another yard: how far away it was nobody knows any more
        assertThat(OwnDrift.of(List.of(new Pair(Place.AWAY, 3, 1)))).isEqualTo(OwnDrift.UNKNOWN);
    }

    @Test
    void a_single_split_says_little_and_fifty_say_nearly_all() {
        double one = OwnDrift.of(List.of(inTheYard(3, 1.2))).factor();
        assertThat(one).isBetween(1.02, 1.2);
        // 60 % lost where the trade says 32: nearly twice as many
        assertThat(OwnDrift.of(Collections.nCopies(50, inTheYard(3, 1.2))).factor()).isBetween(1.6, 1.9);
        assertThat(OwnDrift.of(Collections.nCopies(50, inTheYard(3, 1.2))).pairs()).isEqualTo(50);
    }

    @Test
    void splits_that_lose_what_the_trade_says_change_nothing_and_gains_are_no_drift() {
        assertThat(OwnDrift.of(Collections.nCopies(20, inTheYard(1, 1 - 0.32))).factor()).isEqualTo(1, within(1e-9));
        assertThat(OwnDrift.of(Collections.nCopies(200, inTheYard(2, 3))).factor()).isBetween(0.3, 0.35);
    }

    @Test
    void half_as_many_fly_home_with_the_entrance_turned() {
        Drift turned = Drift.of(Place.TURNED_ENTRANCE, 0).times(2);
        assertThat(turned.fromFrames().likely()).isEqualTo(Drift.of(Place.SAME_YARD, 0).fromFrames().likely(),
                within(1e-9));
    }
}
