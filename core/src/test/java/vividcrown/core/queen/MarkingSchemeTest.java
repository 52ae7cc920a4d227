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
        assertThat(MarkingScheme.INTERNATIONAL.colourOf(year)).isEqualTo(colour);
    }

    @Test
    void an_operation_may_have_its_own_colours_and_says_so() {
        MarkingScheme own = new MarkingScheme(List.of(BLUE, GREEN, RED, YELLOW, WHITE));
        assertThat(own.colourOf(2026)).isEqualTo(BLUE);
        assertThat(own.colourOf(2030)).isEqualTo(WHITE);
        assertThat(own.source()).isInstanceOf(Source.OwnRecord.class);
        assertThat(MarkingScheme.INTERNATIONAL.source()).isEqualTo(Source.MARKING_CODE);
    }

    @Test
    void a_colour_for_two_years_would_tell_nobody_which() {
        assertThatThrownBy(() -> new MarkingScheme(List.of(WHITE, WHITE, RED, GREEN, BLUE)))
                .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("none twice");
        assertThatThrownBy(() -> new MarkingScheme(List.of(WHITE, RED))).hasMessageContaining("each of five years");
    }
}
