package vividcrown.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What "every frame looked at" says of what was not noted. Common practice. */
class EveryFrameTest {

    private static final LocalDate DAY = LocalDate.of(2026, 6, 1);
    private static final List<Sign> LOOKED_FOR = List.of(Sign.EGGS, Sign.LARVAE, Sign.SEALED_WORKER,
            Sign.SEALED_DRONE_SCATTERED, Sign.QUEEN_CELLS);

    private static List<Sign> absent(Reading reading) {
        return LOOKED_FOR.stream().filter(reading.everyFrameLookedAt()::missed).toList();
    }

    @Test
    void what_was_not_noted_was_not_there() {
        assertThat(absent(Reading.of(DAY))).containsExactlyElementsOf(LOOKED_FOR);
        assertThat(absent(Reading.of(DAY, Sign.SEALED_WORKER_SOLID, Sign.EGGS_SINGLE))).containsExactly(Sign.LARVAE,
                Sign.SEALED_DRONE_SCATTERED, Sign.QUEEN_CELLS);
    }

    @Test
    void brood_noted_only_in_general_is_not_denied_in_particular() {
        assertThat(absent(Reading.of(DAY, Sign.BROOD))).containsExactly(Sign.QUEEN_CELLS);
        assertThat(absent(Reading.of(DAY, Sign.OPEN_BROOD))).containsExactly(Sign.SEALED_WORKER,
                Sign.SEALED_DRONE_SCATTERED, Sign.QUEEN_CELLS);
        assertThat(absent(Reading.of(DAY, Sign.SEALED_BROOD))).containsExactly(Sign.EGGS, Sign.LARVAE,
                Sign.QUEEN_CELLS);
        assertThat(absent(Reading.of(DAY, Sign.SEALED_DRONE))).doesNotContain(Sign.SEALED_DRONE_SCATTERED)
                .contains(Sign.SEALED_WORKER);
    }

    @Test
    void living_cells_are_not_denied_and_empty_ones_are_no_cells() {
        assertThat(absent(Reading.of(DAY).with(CellLook.RIPE, CombPlace.FACE, 1))).doesNotContain(Sign.QUEEN_CELLS);
        assertThat(absent(Reading.of(DAY).with(CellLook.EMERGED, CombPlace.FACE, 1))).contains(Sign.QUEEN_CELLS);
    }

    @Test
    void what_was_said_to_be_absent_stays_so() {
        assertThat(new Reading(DAY, Set.of(), Set.of(Sign.POLLEN), List.of()).everyFrameLookedAt().missed(Sign.POLLEN))
                .isTrue();
    }

    /** A suspicion stands until sealed brood was looked at again. Common practice. */
    @Test
    void signs_of_disease_stand_until_sealed_brood_was_looked_at_without_them() {
        Reading suspect = Reading.of(DAY, Sign.SEALED_WORKER, Sign.CAPS_SUNKEN);
        Reading quick = Reading.of(DAY.plusDays(2), Sign.EGGS);
        Reading thorough = Reading.of(DAY.plusDays(9), Sign.SEALED_WORKER_SOLID);
        assertThat(Suspicion.of(List.of(suspect))).contains(DAY);
        assertThat(Suspicion.of(List.of(suspect, quick))).contains(DAY);
        assertThat(Suspicion.of(List.of(suspect, Reading.of(DAY.plusDays(3), Sign.SEALED_DRONE)))).contains(DAY);
        assertThat(Suspicion.of(List.of(suspect, quick, thorough))).isEqualTo(Optional.empty());
        assertThat(Suspicion.of(List.of(suspect, thorough, suspect))).contains(DAY);
    }
}
