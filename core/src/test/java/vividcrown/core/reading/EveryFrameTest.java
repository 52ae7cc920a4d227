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

    /** A suspicion stands until every frame was looked at on a later day, sealed brood among them. Common practice. */
    @Test
    void signs_of_disease_stand_until_every_frame_was_looked_at_without_them() {
        Reading suspect = Reading.of(DAY, Sign.SEALED_WORKER, Sign.CAPS_SUNKEN);
        Reading thorough = Reading.of(DAY.plusDays(9), Sign.SEALED_WORKER_SOLID).everyFrameLookedAt();
        Reading again = Reading.of(DAY.plusDays(10), Sign.CAPS_SUNKEN);
        assertThat(Suspicion.of(List.of(suspect)).lastSeen()).contains(DAY);
        assertThat(Suspicion.of(List.of(suspect, thorough)).stops()).isFalse();
        assertThat(Suspicion.of(List.of(thorough, suspect)).stops()).as("in whatever order").isFalse();
        assertThat(Suspicion.of(List.of(suspect, thorough, again)).lastSeen()).contains(DAY.plusDays(10));
    }

    @Test
    void what_could_not_have_shown_the_signs_lifts_nothing() {
        Reading suspect = Reading.of(DAY, Sign.SEALED_WORKER, Sign.CAPS_SUNKEN, Sign.FOUL_SMELL);
        LocalDate later = DAY.plusDays(9);
        assertThat(List.of(Reading.of(later, Sign.EGGS), Reading.of(later, Sign.SEALED_WORKER_SOLID),
                Reading.of(later, Sign.SEALED_DRONE).everyFrameLookedAt(), Reading.of(later).everyFrameLookedAt(),
                Reading.of(DAY, Sign.SEALED_WORKER).everyFrameLookedAt(),
                Reading.of(later).without(Sign.CAPS_SUNKEN, Sign.FOUL_SMELL),
                Reading.of(later, Sign.SEALED_WORKER).without(Sign.CAPS_SUNKEN)))
                .allSatisfy(look -> assertThat(Suspicion.of(List.of(suspect, look)).stops()).isTrue());
    }

    @Test
    void a_sign_that_is_still_there_holds_though_the_others_went() {
        Reading suspect = Reading.of(DAY, Sign.SEALED_WORKER, Sign.CAPS_SUNKEN, Sign.FOUL_SMELL);
        Reading half = Reading.of(DAY.plusDays(9), Sign.SEALED_WORKER, Sign.FOUL_SMELL).everyFrameLookedAt();
        assertThat(Suspicion.of(List.of(suspect, half)).standing()).containsOnlyKeys(Sign.FOUL_SMELL);
    }
}
