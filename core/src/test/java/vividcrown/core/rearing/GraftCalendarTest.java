package vividcrown.core.rearing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.time.DatedSpan;

class GraftCalendarTest {

    private static final LocalDate JUN_1 = LocalDate.of(2026, 6, 1);
    private static final Assumptions STANDARD = Assumptions.standard();

    private static GraftCalendar usual(BuilderSchool school, Placing placing) {
        return GraftCalendar.of(GraftPlan.usual(JUN_1, school, placing), STANDARD);
    }

    private static GraftCalendar toNucs() {
        return usual(BuilderSchool.STARTER_THEN_FINISHER, Placing.CELLS_TO_NUCS);
    }

    private static int day(LocalDate date) {
        return (int) ChronoUnit.DAYS.between(JUN_1, date);
    }

    @ParameterizedTest(name = "{0} on graft + {1} to {2} ({3})")
    @CsvSource({"MAKE_UP_BUILDER, -1, -1, common practice", "COUNT_TAKE, 1, 1, 'common practice: 24 h'",
            "MOVE_TO_FINISHER, 1, 5, common practice", "SEALED, 4, 5, 'derived: sealed 7.5-8.5 less 3.5'",
            "HANDS_OFF_CELLS, 5, 9, 'derived: development days 9-13 less 4'", "CULL, 9, 10, common practice",
            "PLACE_CELLS, 10, 10, 'Büchler et al. 2013, from memory; common practice'",
            "EMERGENCE, 11, 13, 'derived: 15-17 less 4'", "CHECK_EMERGENCE, 12, 14, 'common practice: 2-4 days after'",
            "FIRST_LOOK, 24, 31, 'common practice: 14 days after placing, not later than 21'",
            "CONFINE_BREEDER, -9, -4, common practice"})
    void steps_fall_on_the_days_of_the_trade(StepKind kind, int first, int last, String source) {
        DatedSpan when = toNucs().when(kind).orElseThrow();
        assertThat(day(when.earliest())).as(source).isEqualTo(first);
        assertThat(day(when.latest())).as(source).isEqualTo(last);
    }

    @Test
    void likely_emergence_is_twelve_days_after_the_graft() {
        // derived: 16 less 4
        assertThat(day(toNucs().when(StepKind.EMERGENCE).orElseThrow().likely())).isEqualTo(12);
    }

    /** Handbook of the trade: 38–40 days before the flights, which begin at graft + 16. Büchler et al. 2013, from memory. */
    @Test
    void drone_comb_is_laid_up_about_three_weeks_before_the_graft() {
        DatedSpan when = toNucs().when(StepKind.DRONE_COMB).orElseThrow();
        assertThat(day(when.earliest())).isEqualTo(16 - 40);
        assertThat(day(when.latest())).isEqualTo(16 - 38);
    }

    /** Derived: a drone emerges 24 days after the egg and matures in 12–16 more, so the trade's 38–40 days lie inside. */
    @Test
    void the_drone_lead_agrees_with_the_drones_own_clock() {
        int emerged = STANDARD.drone().emerges().likelyHours();
        assertThat(STANDARD.span(Figure.DRONE_LEAD).earliestHours())
                .isGreaterThanOrEqualTo(emerged + STANDARD.span(Figure.DRONE_MATURITY).earliestHours());
        assertThat(STANDARD.span(Figure.DRONE_LEAD).latestHours())
                .isLessThanOrEqualTo(emerged + STANDARD.span(Figure.DRONE_MATURITY).latestHours());
    }

    @Test
    void nucs_stay_shut_from_the_first_flight_to_the_day_before_the_first_look() {
        DatedSpan shut = toNucs().when(StepKind.HANDS_OFF_MATING).orElseThrow();
        assertThat(day(shut.earliest())).isEqualTo(11 + 5);
        assertThat(day(shut.latest())).isEqualTo(23);
    }

    @ParameterizedTest
    @EnumSource(BuilderSchool.class)
    void every_school_is_followed_to_its_end(BuilderSchool school) {
        for (Placing placing : Placing.values()) {
            GraftCalendar calendar = usual(school, placing);
            assertThat(calendar.when(StepKind.MOVE_TO_FINISHER).isPresent())
                    .isEqualTo(school == BuilderSchool.STARTER_THEN_FINISHER);
            assertThat(calendar.when(StepKind.RESTOCK_BUILDER).isPresent())
                    .isEqualTo(school == BuilderSchool.STARTER_FINISHER);
            assertThat(calendar.when(StepKind.PLACE_CELLS).isPresent()).isEqualTo(placing == Placing.CELLS_TO_NUCS);
            assertThat(calendar.when(StepKind.CAGE_CELLS).isPresent())
                    .isEqualTo(placing == Placing.EMERGE_IN_INCUBATOR);
            assertThat(calendar.when(StepKind.JUDGE_BROOD)).isPresent();
        }
    }

    @Test
    void the_builder_is_looked_through_before_the_cells_must_not_be_jarred() {
        GraftCalendar calendar = toNucs();
        assertThat(calendar.when(StepKind.CHECK_ROGUE_CELLS).orElseThrow().latest())
                .isBefore(calendar.when(StepKind.HANDS_OFF_CELLS).orElseThrow().earliest());
    }

    @Test
    void cells_are_moved_before_the_first_virgin_can_be_out_whatever_the_larvae() {
        for (LarvaAge age : LarvaAge.values()) {
            GraftCalendar calendar = GraftCalendar.of(
                    new GraftPlan(JUN_1, age, BuilderSchool.STARTER_FINISHER, Placing.CELLS_TO_NUCS, 34.5), STANDARD);
            assertThat(calendar.when(StepKind.PLACE_CELLS).orElseThrow().latest()).as(age.name())
                    .isBeforeOrEqualTo(calendar.when(StepKind.EMERGENCE).orElseThrow().earliest());
        }
    }

    @Nested
    class In_an_incubator {

        private GraftPlan at(double celsius) {
            return new GraftPlan(JUN_1, LarvaAge.FROM_12_TO_24_H, BuilderSchool.STARTER_FINISHER,
                    Placing.EMERGE_IN_INCUBATOR, celsius);
        }

        @Test
        void a_degree_too_cool_delays_by_half_a_day_for_the_whole_sealed_stage() {
            // common practice: half a day a degree over the 8 sealed days; 2 of them are spent in the incubator
            assertThat(GraftCalendar.coldDelayHours(at(33.5), STANDARD)).isEqualTo(3);
            assertThat(GraftCalendar.coldDelayHours(at(34.5), STANDARD)).isZero();
            assertThat(GraftCalendar.coldDelayHours(at(36), STANDARD)).isZero();
        }

        @Test
        void the_proper_warmth_gives_no_caution_about_it() {
            assertThat(GraftCalendar.of(at(34.5), STANDARD).cautions()).hasSize(1);
            assertThat(GraftCalendar.of(at(34.5), STANDARD).cautions().getFirst().fact())
                    .hasToString("More are lost with virgins introduced than with ripe cells placed.");
        }

        @Test
        void below_thirty_or_above_thirty_seven_the_brood_is_said_to_be_at_risk() {
            assertThat(GraftCalendar.of(at(29.5), STANDARD).cautions().getLast().fact().toString())
                    .startsWith("The incubator at 29.5 °C puts the brood at risk");
            assertThat(GraftCalendar.of(at(37.5), STANDARD).cautions().getLast().fact().toString())
                    .startsWith("The incubator at 37.5 °C puts the brood at risk");
        }

        @Test
        void an_impossible_warmth_is_refused() {
            assertThatThrownBy(() -> at(60))
                    .hasMessage("incubatorCelsius must lie between 20 and 45 °C, but is 60.0");
        }
    }

    @Test
    void old_larvae_are_warned_of_and_emerge_earlier() {
        GraftCalendar old = GraftCalendar.of(new GraftPlan(JUN_1, LarvaAge.FROM_24_TO_36_H,
                BuilderSchool.STARTER_FINISHER, Placing.CELLS_TO_NUCS, 34.5), STANDARD);
        assertThat(old.cautions()).singleElement().satisfies(
                caution -> assertThat(caution.fact().toString()).startsWith("Larvae over 24 h old make lesser queens"));
        assertThat(day(old.when(StepKind.EMERGENCE).orElseThrow().earliest())).isEqualTo(10);
    }

    @Test
    void every_step_has_a_reason_that_can_be_said() {
        toNucs().steps().forEach(step -> assertThat(step.reasons()).allSatisfy(reason -> {
            assertThat(reason.fact().toString()).isNotBlank().doesNotContain("{");
            assertThat(reason.source().citation()).isNotBlank();
        }));
    }
}
