package vividcrown.core.colony;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividcrown.core.queen.Stage;

/** Beyond five kilometres, three miles, no field bee finds back; a virgin finds back to the old stand only. Common practice. */
class MoveOfHiveTest {

    private static String words(MoveOfHive move) {
        return move.reasons().stream().map(reason -> reason.fact().toString()).collect(Collectors.joining(" "));
    }

    @ParameterizedTest
    @CsvSource({"0, WITH_CARE", "40, WITH_CARE", "1600, WITH_CARE", "4999, WITH_CARE", "5000, GOOD", "30000, GOOD"})
    void how_far_decides_whether_field_bees_come_back(double metres, MoveOfHive.Verdict verdict) {
        assertThat(MoveOfHive.of(metres, List.of(Stage.LAYING), false).verdict()).isEqualTo(verdict);
    }

    @Test
    void a_virgin_holds_a_hive_where_it_stands_however_far_it_would_go() {
        assertThat(MoveOfHive.of(20_000, List.of(Stage.VIRGIN), false).verdict())
                .isEqualTo(MoveOfHive.Verdict.NOT_NOW);
        assertThat(words(MoveOfHive.of(0, List.of(Stage.VIRGIN), false))).contains("old stand").contains("lays");
    }

    @Test
    void a_cell_travels_with_care_and_never_better_than_a_virgin() {
        assertThat(MoveOfHive.of(20_000, List.of(Stage.SEALED), false).verdict())
                .isEqualTo(MoveOfHive.Verdict.WITH_CARE);
        assertThat(MoveOfHive.of(20_000, List.of(Stage.SEALED, Stage.VIRGIN), false).verdict())
                .isEqualTo(MoveOfHive.Verdict.NOT_NOW);
    }

    @Test
    void disease_goes_nowhere() {
        MoveOfHive move = MoveOfHive.of(20_000, List.of(Stage.JUDGED), true);
        assertThat(move.verdict()).isEqualTo(MoveOfHive.Verdict.NOT_NOW);
        assertThat(words(move)).contains("inspector").doesNotContain("boxes strapped");
    }

    @Test
    void a_distance_that_is_none_is_refused() {
        assertThatThrownBy(() -> MoveOfHive.of(-1, List.of(), false)).hasMessageContaining("metres");
        assertThatThrownBy(() -> MoveOfHive.of(Double.NaN, List.of(), false)).hasMessageContaining("metres");
    }
}
