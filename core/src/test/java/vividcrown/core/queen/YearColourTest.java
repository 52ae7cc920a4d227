package vividcrown.core.queen;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class YearColourTest {

    @ParameterizedTest(name = "{0}: {1} (international marking code, trade standard)")
    @CsvSource({"2020, BLUE", "2021, WHITE", "2022, YELLOW", "2023, RED", "2024, GREEN", "2025, BLUE", "2026, WHITE",
            "2027, YELLOW", "2028, RED", "2029, GREEN"})
    void ten_years_in_a_row_have_the_colours_of_the_code(int year, YearColour colour) {
        assertThat(YearColour.of(year)).isEqualTo(colour);
    }
}
