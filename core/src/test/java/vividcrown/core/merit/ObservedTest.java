package vividcrown.core.merit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vividcrown.core.merit.Observed.Brood;
import vividcrown.core.merit.Observed.Crop;
import vividcrown.core.merit.Observed.Look;
import vividcrown.core.merit.Observed.Mites;
import vividcrown.core.merit.Observed.Winter;

/** Marks that follow from the record (how looks become marks: common practice, from memory). */
class ObservedTest {

    private static final LocalDate JUNE = LocalDate.of(2026, 6, 10);

    private static Look look(int day, Integer temper, Brood brood, boolean swarm, boolean looked) {
        return new Look(JUNE.plusDays(day), Optional.ofNullable(temper), brood, swarm, looked);
    }

    @Test
    void a_year_of_looks_is_one_mark_for_each_trait() {
        List<Score> scores = Observed.of("q", "Weir", List.of(look(0, 1, Brood.SOLID, false, true),
                look(9, 2, Brood.SPOTTY, false, true), look(18, null, Brood.NOT_LOOKED_AT, false, true)),
                List.of(new Mites(JUNE, 0.2), new Mites(JUNE.plusDays(60), 6)));
        assertThat(scores).extracting(Score::trait, Score::value).containsExactlyInAnyOrder(
                tuple(Trait.TEMPER, 3.5), tuple(Trait.PATTERN, 3.0), tuple(Trait.SWARMING, 4.0),
                tuple(Trait.MITES, 2.5));
    }

    @Test
    void cells_not_looked_for_are_no_sign_of_a_queen_that_does_not_swarm() {
        assertThat(Observed.of("q", "Weir", List.of(look(0, null, Brood.NOT_LOOKED_AT, false, true),
                look(9, null, Brood.NOT_LOOKED_AT, false, false)), List.of())).isEmpty();
        assertThat(Observed.of("q", "Weir", List.of(look(0, null, Brood.NOT_LOOKED_AT, true, true)), List.of()))
                .extracting(Score::value).containsExactly(1.0);
    }

    @Test
    void a_crop_counts_only_beside_others_of_its_yard_and_year() {
        assertThat(Observed.crops(List.of(new Crop("a", "Weir", 2026, 30), new Crop("b", "Weir", 2026, 10),
                new Crop("c", "Hill", 2026, 60), new Crop("d", "Weir", 2025, 5))))
                .extracting(Score::queen, Score::value).containsExactlyInAnyOrder(tuple("a", 4.0), tuple("b", 1.0));
        assertThat(Observed.crops(List.of(new Crop("a", "Weir", 2026, 20), new Crop("b", "Weir", 2026, 20))))
                .extracting(Score::value).containsOnly(2.5);
    }

    @Test
    void a_winter_is_marked_by_the_bees_that_are_left_and_not_by_a_count_that_nobody_made() {
        assertThat(Observed.winters(List.of(winter("a", 10.0, 8.0, false), winter("b", 10.0, 3.0, false),
                winter("c", null, 8.0, false), winter("d", 0.0, 8.0, false), winter("e", 9.0, null, true))))
                .extracting(Score::queen, Score::value)
                .containsExactly(tuple("a", 4.0), tuple("b", 1.5), tuple("e", 1.0));
    }

    private static Winter winter(String queen, Double before, Double after, boolean died) {
        return new Winter(queen, "Weir", 2026, Optional.ofNullable(before), Optional.ofNullable(after), died);
    }
}
