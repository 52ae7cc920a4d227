package vividcrown.core.journal;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class CorrectionsTest {

    private record Entry(UUID id, Optional<UUID> corrects, boolean isWithdrawal, long sequence)
            implements
                Corrections.Correctable {
    }

    private static Entry seen(int id) {
        return new Entry(new UUID(0, id), Optional.empty(), false, id);
    }

    private static Entry correction(int id, int of) {
        return new Entry(new UUID(0, id), Optional.of(new UUID(0, of)), false, id);
    }

    private static Entry withdrawal(int id, int of) {
        return new Entry(new UUID(0, id), Optional.of(new UUID(0, of)), true, id);
    }

    private static List<Integer> standing(Entry... entries) {
        return Corrections.standing(List.of(entries)).stream().map(entry -> (int) entry.sequence()).toList();
    }

    @Test
    void without_corrections_everything_stands_in_the_order_of_recording() {
        assertThat(standing(seen(2), seen(1))).containsExactly(1, 2);
    }

    @Test
    void a_correction_takes_the_place_of_what_it_corrects() {
        assertThat(standing(seen(1), seen(2), correction(3, 1))).containsExactly(2, 3);
    }

    @Test
    void a_correction_may_be_corrected() {
        assertThat(standing(seen(1), correction(2, 1), correction(3, 2))).containsExactly(3);
    }

    @Test
    void a_withdrawal_leaves_nothing() {
        assertThat(standing(seen(1), withdrawal(2, 1))).isEmpty();
    }

    @Test
    void of_two_corrections_of_one_entry_the_last_counts() {
        assertThat(standing(seen(1), correction(2, 1), correction(3, 1))).containsExactly(3);
        assertThat(standing(seen(1), correction(2, 1), withdrawal(3, 1))).isEmpty();
    }

    @Test
    void nothing_stays_nothing() {
        assertThat(standing()).isEmpty();
    }
}
