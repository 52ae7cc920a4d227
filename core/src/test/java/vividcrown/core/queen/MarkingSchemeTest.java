package vividcrown.core.queen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static vividcrown.core.queen.YearColour.BLUE;
import static vividcrown.core.queen.YearColour.GREEN;
import static vividcrown.core.queen.YearColour.RED;
import static vividcrown.core.queen.YearColour.WHITE;
import static vividcrown.core.queen.YearColour.YELLOW;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividcrown.core.reason.Source;

class MarkingSchemeTest {

    @ParameterizedTest(name = "{0}: {1} (international marking code, trade standard)")
    @CsvSource({"2020, BLUE", "2021, WHITE", "2022, YELLOW", "2023, RED", "2024, GREEN", "2025, BLUE", "2026, WHITE",
            "2027, YELLOW", "2028, RED", "2029, GREEN"})
    void ten_years_in_a_row_have_the_colours_of_the_code(int year, YearColour colour) {
        assertThat(MarkingScheme.INTERNATIONAL.colourOf(year)).contains(colour);
    }

    @Test
    void an_operation_may_have_its_own_colours_and_says_so() {
        MarkingScheme own = new MarkingScheme(List.of(BLUE, GREEN, RED, YELLOW, WHITE));
        assertThat(own.colourOf(2026)).contains(BLUE);
        assertThat(own.colourOf(2030)).contains(WHITE);
        assertThat(own.source()).isInstanceOf(Source.OwnRecord.class);
        assertThat(MarkingScheme.INTERNATIONAL.source()).isEqualTo(Source.MARKING_CODE);
    }

    @Test
    void colours_that_tell_no_year_are_a_scheme_too() {
        MarkingScheme none = new MarkingScheme(List.of());
        assertThat(none.colourOf(2026)).isEmpty();
        assertThat(none.yearOf(WHITE, 2026)).isEmpty();
    }

    /** International code; that hardly a queen lives five years: common practice. */
    @Test
    void a_colour_tells_the_last_year_that_had_it() {
        assertThat(MarkingScheme.INTERNATIONAL.yearOf(WHITE, 2026)).hasValue(2026);
        assertThat(MarkingScheme.INTERNATIONAL.yearOf(BLUE, 2026)).hasValue(2025);
        assertThat(MarkingScheme.INTERNATIONAL.yearOf(YELLOW, 2026)).hasValue(2022);
        assertThat(MarkingScheme.INTERNATIONAL.yearOf(YearColour.PINK, 2026)).isEmpty();
        assertThat(MarkingScheme.INTERNATIONAL.colourOf(0)).isEmpty();
    }

    @Test
    void a_colour_for_two_years_would_tell_nobody_which() {
        assertThatThrownBy(() -> new MarkingScheme(List.of(WHITE, WHITE, RED, GREEN, BLUE)))
                .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("none twice");
        assertThatThrownBy(() -> new MarkingScheme(List.of(WHITE, RED))).hasMessageContaining("each of five years");
    }
}
