package vividcrown.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/** What settles a judgement, and what does not: common practice. Intervals: Jeffreys, by hand from tables of the Beta. */
class TrackRecordTest {

    private static final LocalDate JUN_1 = LocalDate.of(2026, 6, 1);
    private static final Reading EGGS = Reading.of(JUN_1, Sign.EGGS_SINGLE);
    private static final Reading FLAT = Reading.of(JUN_1.plusDays(10), Sign.EGGS_SINGLE, Sign.SEALED_WORKER);

    @Test
    void flat_brood_ten_days_later_settles_that_a_queen_laid() {
        assertThat(TrackRecord.settledOn(JUN_1, List.of(EGGS, FLAT), List.of())).contains(Status.LAYING_QUEEN);
    }

    @Test
    void what_was_done_in_between_settles_nothing() {
        assertThat(TrackRecord.settledOn(JUN_1, List.of(EGGS, FLAT),
                List.of(new ColonyEvent(JUN_1.plusDays(3), EventKind.BROOD_GIVEN)))).isEmpty();
        assertThat(TrackRecord.settledOn(JUN_1, List.of(EGGS), List.of())).isEmpty();
        // sealed brood alone may be from before
        assertThat(TrackRecord.settledOn(JUN_1, List.of(Reading.of(JUN_1, Sign.CALM), FLAT), List.of())).isEmpty();
    }

    @Test
    void workers_and_drone_layers_are_settled_within_the_week() {
        Reading workers = Reading
                .of(JUN_1.plusDays(5), Sign.EGGS_SEVERAL, Sign.EGGS_ON_WALLS, Sign.SEALED_DRONE_SCATTERED)
                .without(Sign.SEALED_WORKER);
        Reading drones = Reading.of(JUN_1.plusDays(5), Sign.EGGS_SINGLE, Sign.SEALED_DRONE_SCATTERED)
                .without(Sign.SEALED_WORKER);
        assertThat(TrackRecord.settledOn(JUN_1, List.of(EGGS, workers), List.of())).contains(Status.LAYING_WORKERS);
        assertThat(TrackRecord.settledOn(JUN_1, List.of(EGGS, drones), List.of())).contains(Status.DRONE_LAYER);
    }

    /** 7 of 10: Jeffreys' interval is 0.40 to 0.90 (Brown, Cai and DasGupta 2001, value from memory). */
    @Test
    void answers_of_one_chance_are_counted_together() {
        List<TrackRecord.Settled> settled = new ArrayList<>();
        for (int one = 0; one < 10; one++) {
            settled.add(new TrackRecord.Settled(JUN_1, Status.LAYING_QUEEN, 0.75, one < 7));
        }
        settled.add(new TrackRecord.Settled(JUN_1, Status.VIRGIN, 1, true));
        TrackRecord.Line line = TrackRecord.lines(settled).getFirst();
        assertThat(line.from()).isEqualTo(0.7);
        assertThat(line.so()).isEqualTo(7);
        assertThat(line.low()).isCloseTo(0.40, within(0.02));
        assertThat(line.high()).isCloseTo(0.90, within(0.02));
        assertThat(TrackRecord.lines(settled).getLast().from()).isEqualTo(0.9);
        assertThat(TrackRecord.byState(settled)).containsOnlyKeys(Status.LAYING_QUEEN, Status.VIRGIN);
    }

    /** Sixty of the trade's colonies against thirty of one's own: (0.06 × 60 + 30) ÷ 90. */
    @Test
    void own_cases_move_the_table_as_far_as_they_carry() {
        OwnSigns own = OwnSigns.NONE;
        for (int one = 0; one < 30; one++) {
            own = own.with(Reading.of(JUN_1, Sign.MOANING), Status.LAYING_QUEEN);
        }
        assertThat(Likelihoods.standard().laidOver(own).of(Sign.MOANING).chance(Status.LAYING_QUEEN, true))
                .isCloseTo((0.06 * 60 + 30) / 90, within(1e-9));
        Reading roar = Reading.of(JUN_1, Sign.MOANING);
        double trade = new Judge(Assumptions.standard(), Season.NORTHERN).judge(List.of(roar), List.of(), JUN_1)
                .chance(Status.LAYING_QUEEN);
        double here = new Judge(Assumptions.standard(), Season.NORTHERN, own).judge(List.of(roar), List.of(), JUN_1)
                .chance(Status.LAYING_QUEEN);
        assertThat(here).isGreaterThan(trade);
        assertThat(Likelihoods.standard().laidOver(OwnSigns.NONE)).isSameAs(Likelihoods.standard());
    }

    @Test
    void three_verdicts_never_one_for_all() {
        LocalDate june = LocalDate.of(2026, 6, 10);
        LocalDate march = LocalDate.of(2026, 3, 1);
        Reading gaps = Reading.of(june, Sign.SEALED_WORKER_SPOTTY);
        assertThat(brood(gaps, june)).isEqualTo(ThreeVerdicts.Brood.SPOTTY);
        assertThat(brood(gaps, march)).isEqualTo(ThreeVerdicts.Brood.GAPS_OF_THE_SEASON);
        assertThat(brood(Reading.of(june, Sign.SEALED_RING), june)).isEqualTo(ThreeVerdicts.Brood.BETWEEN_CYCLES);
        assertThat(brood(Reading.of(june).without(Sign.BROOD), june)).isEqualTo(ThreeVerdicts.Brood.NONE);
        assertThat(brood(Reading.of(march).without(Sign.BROOD), march)).isEqualTo(ThreeVerdicts.Brood.RESTS);
        assertThat(brood(Reading.of(june, Sign.EGGS), june)).isEqualTo(ThreeVerdicts.Brood.TOO_YOUNG);
        assertThat(brood(Reading.of(june, Sign.CALM), june)).isEqualTo(ThreeVerdicts.Brood.NOT_LOOKED_AT);
        ThreeVerdicts weak = ThreeVerdicts.of(Reading.of(june, Sign.SEALED_WORKER_SOLID), Optional.of(3.0), june,
                Season.NORTHERN);
        assertThat(weak.brood()).isEqualTo(ThreeVerdicts.Brood.SOLID);
        assertThat(weak.strength()).isEqualTo(ThreeVerdicts.Strength.WEAK);
    }

    private static ThreeVerdicts.Brood brood(Reading reading, LocalDate day) {
        return ThreeVerdicts.of(reading, Optional.empty(), day, Season.NORTHERN).brood();
    }
}
