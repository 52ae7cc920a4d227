package vividcrown.core.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Optional;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

class DatedSpanTest {

    private static final LocalDate JUN_1 = LocalDate.of(2026, 6, 1);

    private static DatedSpan june(int earliest, int likely, int latest) {
        return new DatedSpan(JUN_1.withDayOfMonth(earliest), JUN_1.withDayOfMonth(likely),
                JUN_1.withDayOfMonth(latest));
    }

    @Test
    void both_ends_count() {
        assertThat(june(3, 4, 5).contains(LocalDate.of(2026, 6, 5))).isTrue();
        assertThat(june(3, 4, 5).contains(LocalDate.of(2026, 6, 6))).isFalse();
        assertThat(june(3, 4, 5).lengthInDays()).isEqualTo(3);
    }

    @Test
    void a_look_that_finds_it_still_closed_cuts_the_days_before() {
        assertThat(june(5, 6, 9).notBefore(LocalDate.of(2026, 6, 8))).isEqualTo(june(8, 8, 9));
    }

    @Test
    void what_is_not_there_after_the_last_day_is_late_not_impossible() {
        assertThat(june(5, 6, 9).notBefore(LocalDate.of(2026, 6, 12))).isEqualTo(june(12, 12, 12));
    }

    @Test
    void spans_that_only_abut_have_no_day_in_common() {
        assertThat(june(1, 1, 3).intersection(june(4, 5, 6))).isEmpty();
        assertThat(june(1, 1, 4).intersection(june(4, 5, 6))).isEqualTo(Optional.of(june(4, 4, 4)));
    }

    @Test
    void ends_in_the_wrong_order_are_refused() {
        assertThatThrownBy(() -> june(4, 3, 5))
                .hasMessage("A span runs earliest ≤ likely ≤ latest, but got 2026-06-04, 2026-06-03, 2026-06-05");
    }

    @Property
    void the_common_days_are_enclosed_by_both_and_both_by_the_union(@ForAll("spans") DatedSpan a,
            @ForAll("spans") DatedSpan b) {
        assertThat(a.span(b).encloses(a)).isTrue();
        assertThat(a.span(b).encloses(b)).isTrue();
        assertThat(a.intersection(b).isPresent()).isEqualTo(a.overlaps(b));
        a.intersection(b).ifPresent(common -> {
            assertThat(a.encloses(common)).isTrue();
            assertThat(b.encloses(common)).isTrue();
        });
    }

    @Property
    void narrowing_never_widens(@ForAll("spans") DatedSpan span, @ForAll("days") LocalDate day) {
        if (!span.isOverBy(day)) {
            assertThat(span.encloses(span.notBefore(day))).isTrue();
        }
        if (!span.earliest().isAfter(day)) {
            assertThat(span.encloses(span.notAfter(day))).isTrue();
        }
    }

    @Provide
    Arbitrary<LocalDate> days() {
        return Arbitraries.integers().between(-200, 200).map(JUN_1::plusDays);
    }

    @Provide
    Arbitrary<DatedSpan> spans() {
        Arbitrary<Integer> more = Arbitraries.integers().between(0, 40);
        return Combinators.combine(days(), more, more).as((first, second, third) -> new DatedSpan(first,
                first.plusDays(second), first.plusDays(second + third)));
    }
}
