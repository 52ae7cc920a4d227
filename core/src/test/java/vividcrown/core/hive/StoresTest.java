package vividcrown.core.hive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class StoresTest {

    private static final LocalDate AUGUST = LocalDate.of(2026, 8, 10);

    @Test
    void a_full_deep_frame_of_honey_holds_two_and_a_half_to_three_kilograms() {
        // common practice: a deep Langstroth frame of sealed honey gives 2.5–3 kg
        Stores frame = Stores
                .of(Optional.empty(), OptionalDouble.of(2), FrameFormat.DEEP_LANGSTROTH.sideSquareDecimetres())
                .orElseThrow();
        assertThat(frame.leastKg()).isBetween(2.3, 2.7);
        assertThat(frame.mostKg()).isBetween(2.8, 3.3);
    }

    @Test
    void lift_and_count_narrow_each_other_down() {
        Stores both = Stores.of(Optional.of(Lift.FAIR), OptionalDouble.of(6), 11.3).orElseThrow();
        assertThat(both.leastKg()).isCloseTo(9.5, within(0.1));
        assertThat(both.mostKg()).isEqualTo(12);
        assertThat(both.reasons()).hasSize(2);
    }

    @Test
    void where_they_disagree_the_count_is_believed_and_that_is_said() {
        Stores both = Stores.of(Optional.of(Lift.FULL), OptionalDouble.of(1), 8.8).orElseThrow();
        assertThat(both.mostKg()).isLessThan(2);
        assertThat(both.reasons()).last().asString().contains("disagree");
    }

    @Test
    void what_was_neither_lifted_nor_counted_is_not_guessed() {
        assertThat(Stores.of(Optional.empty(), OptionalDouble.empty(), 8.8)).isEmpty();
    }

    @Test
    void before_winter_a_light_hive_wants_sugar_for_eighteen_kilograms() {
        Stores light = Stores.of(Optional.of(Lift.LIGHT), OptionalDouble.empty(), 8.8).orElseThrow();
        Stores.FeedPlan plan = light.feed(AUGUST, false, false);
        assertThat(plan.targetKg()).isEqualTo(18);
        assertThat(plan.sugarMostKg()).isEqualTo(15);
        assertThat(plan.judgeAgain()).isEqualTo(AUGUST.plusDays(10));
        assertThat(light.feed(AUGUST, true, false).targetKg()).as("August is winter in the south").isEqualTo(10);
    }

    @Test
    void feed_that_was_left_untouched_stops_the_feeding() {
        Stores light = Stores.of(Optional.of(Lift.LIGHT), OptionalDouble.empty(), 8.8).orElseThrow();
        assertThat(light.feed(AUGUST, false, true).isNeeded()).isFalse();
    }
}
