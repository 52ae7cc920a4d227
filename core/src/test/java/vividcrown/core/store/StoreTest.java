package vividcrown.core.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.Faults;

class StoreTest {

    private static final LocalDate MAY_1 = LocalDate.of(2026, 5, 1);
    private static final UUID OURS = new UUID(0, 1);

    private final List<Entry> record = new ArrayList<>();

    private StoreTest then(int day, StoreDeed deed) {
        record.add(new Entry(new UUID(9, record.size()), MAY_1.plusDays(day), record.size(), deed));
        return this;
    }

    private static StoreDeed counted(double count) {
        return new StoreDeed.Counted(OURS, Thing.NUC_BOXES, count);
    }

    private static StoreDeed changed(double by) {
        return new StoreDeed.Changed(OURS, Thing.NUC_BOXES, by, "for the season");
    }

    @Test
    void what_nobody_counts_is_not_known_to_be_nothing() {
        assertThat(Store.fold(record).of(Thing.NUC_BOXES)).isEmpty();
        assertThat(Store.fold(then(0, changed(-3)).record).of(Thing.NUC_BOXES)).isEmpty();
    }

    @Test
    void a_count_is_right_and_what_came_and_went_since_goes_on_from_it() {
        assertThat(Store.fold(then(0, changed(4)).then(1, counted(20)).then(2, changed(-6)).then(3, changed(2)).record)
                .pieces(Thing.NUC_BOXES)).contains(16);
    }

    @Test
    void what_is_written_down_later_counts_when_it_happened() {
        assertThat(Store.fold(then(5, counted(10)).then(2, changed(-4)).record).pieces(Thing.NUC_BOXES)).contains(10);
    }

    @Test
    void more_than_there_is_cannot_be_used_up() {
        assertThat(Store.fold(then(0, counted(2)).then(1, changed(-5)).then(2, changed(3)).record)
                .pieces(Thing.NUC_BOXES)).contains(3);
    }

    @Test
    void a_count_below_nothing_and_a_change_by_nothing_say_what_to_change() {
        assertThatThrownBy(() -> counted(-1)).isInstanceOf(Faults.Found.class).hasMessageContaining("count");
        assertThatThrownBy(() -> changed(0)).hasMessageContaining("leave it out");
        assertThatThrownBy(() -> counted(Double.NaN)).isInstanceOf(Faults.Found.class);
    }
}
