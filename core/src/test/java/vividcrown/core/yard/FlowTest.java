package vividcrown.core.yard;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Nectar in most hives is a flow, in hardly any a dearth (common practice; where the lines lie is from memory). */
class FlowTest {

    @ParameterizedTest
    @CsvSource({"10, 0, DEARTH", "10, 2, DEARTH", "10, 3, LITTLE", "10, 5, LITTLE", "10, 6, GOOD", "2, 2, GOOD"})
    void fresh_nectar_tells_what_bees_find(int looked, int found, Flow flow) {
        assertThat(Flow.ofNectar(looked, found)).contains(flow);
    }

    @Test
    void one_hive_says_nothing_of_a_place() {
        assertThat(Flow.ofNectar(1, 1)).isEmpty();
        assertThat(Flow.ofNectar(0, 0)).isEmpty();
    }
}
