package vividcrown.core.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class DaySpanTest {

    private static final LocalDate JUN_1 = LocalDate.of(2026, 6, 1);

    @Test
    void half_days_are_rounded_outwards_on_the_calendar() {
        DatedSpan sealed = DaySpan.ofHours(84, 96, 108).from(JUN_1);
        assertThat(sealed).isEqualTo(
                new DatedSpan(LocalDate.of(2026, 6, 4), LocalDate.of(2026, 6, 5), LocalDate.of(2026, 6, 6)));
    }

    @Test
    void a_window_to_act_in_is_rounded_inwards() {
        assertThat(DaySpan.ofHours(228, 240, 252).windowFrom(JUN_1)).isEqualTo(DatedSpan.on(LocalDate.of(2026, 6, 11)));
    }

    @Test
    void a_window_without_a_whole_day_is_its_likely_day() {
        assertThat(DaySpan.ofHours(30, 36, 40).windowFrom(JUN_1)).isEqualTo(DatedSpan.on(LocalDate.of(2026, 6, 3)));
    }

    @Test
    void ends_in_the_wrong_order_are_refused() {
        assertThatThrownBy(() -> DaySpan.ofHours(48, 24, 72)).isInstanceOf(IllegalArgumentException.class)
                .hasMessage("A span runs earliest ≤ likely ≤ latest, but got 48, 24, 72 hours");
    }

    @Property
    void sums_do_not_depend_on_the_order(@ForAll("spans") DaySpan a, @ForAll("spans") DaySpan b,
            @ForAll("spans") DaySpan c) {
        assertThat(a.plus(b)).isEqualTo(b.plus(a));
        assertThat(a.plus(b).plus(c)).isEqualTo(a.plus(b.plus(c)));
    }

    @Property
    void counting_back_twice_is_counting_forward(@ForAll("spans") DaySpan span) {
        assertThat(span.negated().negated()).isEqualTo(span);
        assertThat(span.negated().earliestHours()).isEqualTo(-span.latestHours());
    }

    /** Whatever hour within the span the thing happens, its day lies inside the dated span. */
    @Property
    void the_true_day_always_lies_inside(@ForAll("spans") DaySpan span, @ForAll @IntRange(max = 1000) int share) {
        int hour = span.earliestHours() + (span.latestHours() - span.earliestHours()) * share / 1000;
        LocalDate day = JUN_1.atStartOfDay().plusHours(hour).toLocalDate();
        assertThat(span.from(JUN_1).contains(day)).isTrue();
    }

    @Property
    void a_window_lies_inside_the_span_or_is_one_day(@ForAll("spans") DaySpan span) {
        DatedSpan window = span.windowFrom(JUN_1);
        assertThat(span.from(JUN_1).encloses(window)).isTrue();
    }

    @Provide
    Arbitrary<DaySpan> spans() {
        Arbitrary<Integer> hours = Arbitraries.integers().between(-1000, 1000);
        Arbitrary<Integer> more = Arbitraries.integers().between(0, 300);
        return Combinators.combine(hours, more, more)
                .as((first, second, third) -> DaySpan.ofHours(first, first + second, first + second + third));
    }
}
