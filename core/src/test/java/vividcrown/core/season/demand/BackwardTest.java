package vividcrown.core.season.demand;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.demand.Product;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.Placing;
import vividcrown.core.rearing.StepKind;
import vividcrown.core.time.DatedSpan;

/** The days are derived from Büchler et al. 2013 and Winston 1987 (from memory) and common practice. */
class BackwardTest {

    private static final LocalDate JUL_12 = LocalDate.of(2026, 7, 12);
    private static final LocalDate MAY_1 = LocalDate.of(2026, 5, 1);

    private static Backward backward(Product product, LocalDate delivery, LocalDate today) {
        return Backward.from(product, delivery, today,
                GraftPlan.usual(today, BuilderSchool.STARTER_THEN_FINISHER, Placing.CELLS_TO_NUCS),
                Assumptions.standard(), MatingClimate.UPLAND_46_NORTH);
    }

    private static DatedSpan before(int earliest, int likely, int latest) {
        return new DatedSpan(JUL_12.minusDays(earliest), JUL_12.minusDays(likely), JUL_12.minusDays(latest));
    }

    @Test
    void a_queen_laying_on_the_day_was_grafted_twenty_to_twenty_nine_days_before() {
        assertThat(backward(Product.LAYING_QUEENS, JUL_12, MAY_1).graft()).isEqualTo(before(29, 23, 20));
    }

    @Test
    void seen_laying_at_the_first_look_and_taken_is_twenty_four_to_thirty_one() {
        DatedSpan graft = backward(Product.MATED_QUEENS, JUL_12, MAY_1).graft();
        assertThat(graft.earliest()).isEqualTo(JUL_12.minusDays(31));
        assertThat(graft.latest()).isEqualTo(JUL_12.minusDays(24));
    }

    @Test
    void ripe_cells_are_ten_days_and_virgins_eleven_to_thirteen() {
        assertThat(backward(Product.RIPE_CELLS, JUL_12, MAY_1).graft()).isEqualTo(before(10, 10, 10));
        assertThat(backward(Product.VIRGINS, JUL_12, MAY_1).graft()).isEqualTo(before(13, 12, 11));
    }

    @Test
    void drone_eggs_are_laid_about_three_weeks_before_the_graft() {
        Backward backward = backward(Product.LAYING_QUEENS, JUL_12, MAY_1);
        DatedSpan drones = backward.calendar().when(StepKind.DRONE_COMB).orElseThrow();
        LocalDate graft = backward.graft().likely();
        assertThat(drones.latest()).isBetween(graft.minusDays(24), graft.minusDays(20));
    }

    @Test
    void too_late_gives_the_first_day_on_which_it_can_be_had() {
        Backward late = backward(Product.MATED_QUEENS, JUL_12, JUL_12.minusDays(10));
        assertThat(late.feasible()).isFalse();
        assertThat(late.earliestDelivery()).isEqualTo(JUL_12.minusDays(10).plusDays(24));
        assertThat(late.reasons()).anySatisfy(
                reason -> assertThat(reason.fact().toString()).contains("at the earliest"));
    }

    @Test
    void queens_for_late_october_are_a_gamble() {
        assertThat(backward(Product.MATED_QUEENS, LocalDate.of(2026, 10, 20), MAY_1).reasons())
                .anySatisfy(reason -> assertThat(reason.fact().toString()).contains("a gamble"));
    }
}
