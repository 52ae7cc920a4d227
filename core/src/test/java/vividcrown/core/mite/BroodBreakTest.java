package vividcrown.core.mite;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.climate.Climate;
import vividcrown.core.climate.ClimateOfPlace;
import vividcrown.core.mite.BroodBreak.Days;
import vividcrown.core.mite.BroodBreak.Plan;
import vividcrown.core.time.DatedSpan;

/** Worker brood is sealed on day 8–9 and out on day 21, drone brood on day 10 and 24 (Winston 1987, from memory). */
class BroodBreakTest {

    private static final LocalDate JUN_8 = LocalDate.of(2026, 6, 8);
    private static final BeeYear YEAR = new BeeYear(false, new ClimateOfPlace(Climate.UPLAND, 550, false, List.of()));
    private static final Assumptions TRADE = Assumptions.standard();

    private static BroodBreak caged(int days, boolean drones) {
        return BroodBreak.of(Plan.QUEEN_CAGED, DatedSpan.on(JUN_8), JUN_8.plusDays(days), 0, drones, false, YEAR,
                TRADE);
    }

    private static BroodBreak of(Plan plan) {
        return BroodBreak.of(plan, DatedSpan.on(JUN_8), JUN_8, 0, true, true, YEAR, TRADE);
    }

    /** Last egg + 21, 24 with drone comb: the first day with no sealed brood (common practice). */
    @Test
    void a_queen_caged_for_twenty_five_days_leaves_a_week_or_more_without_sealed_brood() {
        BroodBreak workers = caged(25, false);
        assertThat(workers.all().likely().orElseThrow().first()).isEqualTo(JUN_8.plusDays(21));
        BroodBreak drones = caged(25, true);
        assertThat(drones.all().likely().orElseThrow().first()).isEqualTo(JUN_8.plusDays(24));
        assertThat(drones.worker().likely().orElseThrow().first()).isEqualTo(JUN_8.plusDays(21));
        Days sure = drones.all().sure().orElseThrow();
        assertThat(sure.count()).isBetween(4, 12);
        assertThat(drones.acts().toString()).contains("every mite sits on a bee");
    }

    @Test
    void caged_for_ten_days_opens_no_window() {
        BroodBreak break_ = caged(10, true);
        assertThat(break_.all().likely()).isEmpty();
        assertThat(break_.cautions().toString()).contains("No day without sealed brood");
    }

    @Test
    void a_part_that_raises_its_own_is_without_sealed_brood_for_days_and_a_mated_queen_leaves_none() {
        assertThat(of(Plan.RAISES_ITS_OWN).all().likely().orElseThrow().count()).isBetween(5, 25);
        assertThat(of(Plan.QUEEN_GIVEN).all().likely()).isEmpty();
        // a cell given on day 0: eggs about day 12, sealed about day 20, the last old brood is out on day 21
        assertThat(of(Plan.CELL_GIVEN).worker().sure()).isEmpty();
    }

    @Test
    void without_a_next_queen_the_window_has_no_end_and_workers_will_lay() {
        BroodBreak none = of(Plan.NOTHING);
        assertThat(none.all().sure().orElseThrow().last()).isEmpty();
        assertThat(none.cautions().toString()).contains("workers begin to lay");
    }

    @Test
    void honey_boxes_are_off_first_and_no_dose_is_ever_said() {
        assertThat(of(Plan.RAISES_ITS_OWN).acts().toString()).contains("Honey boxes off");
        assertThat(of(Plan.RAISES_ITS_OWN).cautions().toString()).contains("No dose is given here");
        assertThat(caged(25, true).acts().toString()).doesNotContain("Honey boxes off");
    }

    @Test
    void a_queen_caged_longer_costs_more_bees_and_hardly_any_in_winter() {
        assertThat(caged(25, true).bees().likely()).isGreaterThan(caged(15, true).bees().likely());
        LocalDate dec = LocalDate.of(2026, 12, 1);
        assertThat(BroodBreak.of(Plan.QUEEN_CAGED, DatedSpan.on(dec), dec.plusDays(25), 0, false, false, YEAR, TRADE)
                .bees().likely()).isLessThan(2_000);
        assertThatThrownBy(() -> caged(-1, true)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> caged(61, true)).isInstanceOf(IllegalArgumentException.class);
    }

    /** A colony day by day: cells are laid, sealed and emptied one by one; a sure day has no sealed cell, whatever the dice say. */
    @Test
    void on_no_sure_day_is_a_cell_sealed_in_two_hundred_colonies_lived_day_by_day() {
        Random dice = new Random(26);
        for (int colony = 0; colony < 200; colony++) {
            int cagedDays = 15 + dice.nextInt(25);
            boolean drones = dice.nextBoolean();
            BroodBreak plan = caged(cagedDays, drones);
            int firstEgg = cagedDays + 1 + dice.nextInt(4);
            TreeSet<Integer> sealed = new TreeSet<>();
            for (int egg = -30; egg < firstEgg + 30; egg++) {
                if (egg > 0 && egg < firstEgg) {
                    continue;
                }
                add(sealed, egg, 8 + dice.nextInt(2), 20 + dice.nextInt(2));
                if (drones) {
                    add(sealed, egg, 10, 24);
                }
            }
            Optional<Days> sure = plan.all().sure();
            sure.ifPresent(days -> {
                for (LocalDate day = days.first(); !day.isAfter(days.last().orElseThrow()); day = day.plusDays(1)) {
                    assertThat(sealed).as("caged %d days, drones %s, %s", cagedDays, drones, day)
                            .doesNotContain((int) (day.toEpochDay() - JUN_8.toEpochDay()));
                }
            });
        }
    }

    private static void add(TreeSet<Integer> sealed, int egg, int sealedAt, int outAt) {
        for (int day = egg + sealedAt; day < egg + outAt; day++) {
            sealed.add(day);
        }
    }
}
