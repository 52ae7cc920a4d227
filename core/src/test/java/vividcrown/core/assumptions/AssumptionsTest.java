package vividcrown.core.assumptions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.Test;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.GraftCalendar;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;
import vividcrown.core.rearing.StepKind;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.time.DaySpan;

class AssumptionsTest {

    private static final LocalDate JUN_1 = LocalDate.of(2026, 6, 1);

    @Test
    void an_own_figure_takes_the_place_of_the_default_and_names_itself_as_the_source() {
        Assumptions own = new Assumptions(Map.of(Figure.FIRST_LOOK, DaySpan.ofDays(16, 17, 20)));
        GraftPlan plan = new GraftPlan(JUN_1, LarvaAge.FROM_12_TO_24_H, BuilderSchool.STARTER_FINISHER,
                Placing.CELLS_TO_NUCS, GraftPlan.PROPER_INCUBATOR_CELSIUS);
        var look = GraftCalendar.of(plan, own).step(StepKind.FIRST_LOOK).orElseThrow();
        assertThat(look.when().earliest()).isEqualTo(JUN_1.plusDays(10 + 16));
        assertThat(look.when().latest()).isEqualTo(JUN_1.plusDays(10 + 20));
        Reason reason = look.reasons().getFirst();
        assertThat(reason.source()).isInstanceOf(Source.OwnRecord.class);
        assertThat(reason.fact().toString()).contains("16–20 days");
        assertThat(GraftCalendar.of(plan, Assumptions.standard()).when(StepKind.FIRST_LOOK).orElseThrow().earliest())
                .isEqualTo(JUN_1.plusDays(24));
    }

    @Test
    void every_clock_follows_its_own_figures() {
        Assumptions slow = new Assumptions(Map.of(Figure.WORKER_EMERGES, DaySpan.ofDays(21, 22, 24)));
        assertThat(slow.worker().emerges()).isEqualTo(DaySpan.ofDays(21, 22, 24));
        assertThat(slow.worker().sealed()).isEqualTo(Assumptions.standard().worker().sealed());
        assertThat(slow.queen()).isEqualTo(Assumptions.standard().queen());
    }

    @Test
    void figures_that_cannot_all_be_true_are_refused() {
        assertThatThrownBy(() -> new Assumptions(Map.of(Figure.QUEEN_EMERGES, DaySpan.ofDays(7, 7, 8))))
                .hasMessageContaining("then emerges");
        assertThatThrownBy(() -> new Assumptions(Map.of(Figure.LATE, DaySpan.ofDays(30))))
                .hasMessageContaining("LATE (30 days)");
        assertThatThrownBy(() -> new Assumptions(Map.of(Figure.FIRST_LOOK, DaySpan.ofDays(14, 14, 900))))
                .hasMessageContaining("between 0 and 90 days");
        assertThatThrownBy(() -> new Assumptions(Map.of(Figure.FIRST_LOOK, DaySpan.ofDays(-1, 3, 4))))
                .hasMessageContaining("FIRST_LOOK");
    }
}
