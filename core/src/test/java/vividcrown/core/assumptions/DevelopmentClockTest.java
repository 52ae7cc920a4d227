package vividcrown.core.assumptions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividcrown.core.reason.Source;
import vividcrown.core.time.DaySpan;

class DevelopmentClockTest {

    @ParameterizedTest(name = "{0}: hatched {1}, sealed {2}, emerged {3} days after the egg ({4})")
    @CsvSource({"QUEEN, 3, 8, 16, 'Winston 1987, table of development; from memory'",
            "WORKER, 3, 9, 21, 'Winston 1987, table of development; from memory'",
            "DRONE, 3, 10, 24, 'Winston 1987, table of development; from memory'"})
    void likely_days_agree_with_the_published_table(String caste, int hatched, int sealed, int emerged,
            String source) {
        DevelopmentClock clock = clock(caste);
        assertThat(clock.hatches()).as(source).isEqualTo(DaySpan.ofDays(hatched));
        assertThat(clock.sealed().likelyHours()).as(source).isEqualTo(sealed * 24);
        assertThat(clock.emerges()).as(source).isEqualTo(DaySpan.ofDays(emerged - 1, emerged, emerged + 1));
    }

    @Test
    void a_queen_is_ready_first_and_a_drone_last() {
        assertThat(DevelopmentClock.QUEEN.emerges().latestHours())
                .isLessThan(DevelopmentClock.WORKER.emerges().earliestHours());
        assertThat(DevelopmentClock.WORKER.emerges().latestHours())
                .isLessThan(DevelopmentClock.DRONE.emerges().earliestHours());
    }

    @Test
    void brood_that_emerges_before_it_is_sealed_is_refused() {
        assertThatThrownBy(() -> new DevelopmentClock(DaySpan.ofDays(3), DaySpan.ofDays(9), DaySpan.ofDays(8),
                Source.WINSTON_1987)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageStartingWith("Brood hatches, then is sealed, then emerges; got hatching");
    }

    private static DevelopmentClock clock(String caste) {
        return switch (caste) {
            case "QUEEN" -> DevelopmentClock.QUEEN;
            case "WORKER" -> DevelopmentClock.WORKER;
            default -> DevelopmentClock.DRONE;
        };
    }
}
