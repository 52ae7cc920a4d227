package vividcrown.core.hive.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static vividcrown.core.hive.FrameKind.BROOD;
import static vividcrown.core.hive.FrameKind.DRAWN;
import static vividcrown.core.hive.FrameKind.EGGS;
import static vividcrown.core.hive.FrameKind.FOUNDATION;
import static vividcrown.core.hive.FrameKind.HONEY;
import static vividcrown.core.hive.FrameKind.SEALED_BROOD;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.climate.Climate;
import vividcrown.core.climate.ClimateOfPlace;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.hive.forecast.Forecast.What;
import vividcrown.core.hive.forecast.Forecast.Wintering;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.yard.Flow;

/** What a hive will be. Values beside each check are common practice unless said otherwise. */
class ForecasterTest {

    private static final LocalDate JUN_15 = LocalDate.of(2026, 6, 15);

    private static Forecast of(Unit unit, Flow flow) {
        return Forecaster.of(unit, Units.on(unit.readOn(), flow), Forecaster.DAYS);
    }

    private static Unit with(Unit unit, UnitQueen queen, double seams, double flyers) {
        return new Unit(unit.code(), unit.yard(), unit.purpose(), unit.readOn(), unit.side(), unit.slots(),
                unit.frames(),
                Optional.of(seams), queen, Set.of(), unit.lastEgg(), Optional.of(flyers));
    }

    /** Stripped to its queen and a frame of bees, and all flyers home, in flow near midsummer: two frames by day ten. */
    @Test
    void a_colony_stripped_at_midsummer_has_two_frames_of_brood_by_day_ten() {
        Unit stripped = with(Units.unit("H 1", JUN_15, UnitQueen.Is.LAYING, 1, DRAWN, EGGS, DRAWN, DRAWN, DRAWN, DRAWN),
                UnitQueen.of(UnitQueen.Is.LAYING), 4, 0.7);
        assertThat(of(stripped, Flow.GOOD).in(10).broodFrames().likely()).isBetween(1.4, 2.6);
    }

    /** Two frames of sealed brood with their nurses double a tiny nuc at once, and again when they have emerged. */
    @Test
    void a_tiny_nuc_doubles_when_its_gift_emerges() {
        Unit boosted = with(Units.unit("N 1", JUN_15, UnitQueen.Is.LAYING, 1, SEALED_BROOD, BROOD, SEALED_BROOD, DRAWN),
                UnitQueen.of(UnitQueen.Is.LAYING), 2, 0.1);
        Forecast forecast = of(boosted, Flow.GOOD);
        assertThat(forecast.in(13).framesOfBees().likely()).isGreaterThan(3.6);
    }

    /** No young bees before day twenty-one after a queen begins to lay. */
    @Test
    void no_young_bees_before_day_twenty_one() {
        Unit nuc = with(Units.unit("N 2", JUN_15, UnitQueen.Is.CELL, 1, HONEY, DRAWN, DRAWN),
                UnitQueen.laysFrom(UnitQueen.Is.CELL, new DatedSpan(JUN_15.plusDays(10), JUN_15.plusDays(13),
                        JUN_15.plusDays(20))),
                2.5, 0.1);
        Forecast forecast = of(nuc, Flow.LITTLE);
        for (int day = 1; day <= 10 + 20; day++) {
            assertThat(forecast.in(day).bees().most()).isLessThan(forecast.in(day - 1).bees().most());
        }
        assertThat(forecast.milestone(What.YOUNG_BEES).orElseThrow().when().earliest()).isEqualTo(JUN_15.plusDays(30));
    }

    /** A box without queen or brood: old bees only, its end is told before it comes. */
    @Test
    void the_collapse_of_a_broodless_box_is_told_before_it_comes() {
        Unit broodless = Units.unit("H 9", JUN_15, UnitQueen.Is.NONE, 0.7, HONEY, DRAWN, DRAWN, DRAWN, DRAWN);
        Unit since = new Unit("H 9", "Home", Purpose.PRODUCTION, JUN_15, broodless.side(), 10, broodless.frames(),
                Optional.empty(), broodless.queen(), Set.of(),
                Optional.of(DatedSpan.on(JUN_15.minusDays(30))), Optional.empty());
        Forecast forecast = of(since, Flow.LITTLE);
        Forecast.Milestone end = forecast.milestone(What.COLLAPSES).orElseThrow();
        assertThat(end.when().latest()).isBefore(JUN_15.plusDays(30));
        assertThat(forecast.in(28).bees().likely()).isLessThan(0.4 * forecast.in(0).bees().likely());
    }

    /** A nuc without food comb starves within days of rain; fed it does not. */
    @Test
    void a_nuc_without_food_starves_within_days() {
        Unit hungry = Units.unit("N 3", JUN_15, UnitQueen.Is.LAYING, 0.8, BROOD, SEALED_BROOD, DRAWN, DRAWN, DRAWN);
        Forecast unfed = Forecaster.of(hungry, Units.on(JUN_15, Flow.DEARTH).with(false), Forecaster.DAYS);
        assertThat(unfed.milestone(What.STARVES).orElseThrow().when().likely()).isBetween(JUN_15.plusDays(2),
                JUN_15.plusDays(10));
        assertThat(unfed.feedLitres()).isGreaterThan(2);
        assertThat(unfed.in(30).bees().likely()).isLessThan(of(hungry, Flow.DEARTH).in(30).bees().likely() / 3);
    }

    /** Six frames of bees in autumn winter well, two do not; a colony of early August is read in October by the model. */
    @Test
    void wintering_is_told_from_what_it_will_have_in_autumn() {
        LocalDate aug = LocalDate.of(2026, 8, 5);
        Forecast strong = of(Units.production("H 2", aug, 7), Flow.LITTLE);
        Forecast weak = of(Units.unit("N 4", aug, UnitQueen.Is.NONE, 0.6, HONEY, DRAWN, DRAWN), Flow.LITTLE);
        assertThat(strong.winter().verdict()).isEqualTo(Wintering.WELL);
        assertThat(strong.winter().chance()).isGreaterThan(0.75);
        assertThat(strong.winter().on().getMonthValue()).isBetween(10, 11);
        assertThat(weak.winter().verdict()).isEqualTo(Wintering.NOT_ALONE);
        assertThat(weak.winter().chance()).isLessThan(0.1);
    }

    /** In December a southern colony grows and one in an upland valley of the north rests. */
    @Test
    void seasons_are_half_a_year_apart_in_the_south() {
        LocalDate dec = LocalDate.of(2026, 12, 5);
        Unit colony = Units.production("S 1", dec, 4);
        BeeYear south = new BeeYear(true, new ClimateOfPlace(Climate.UPLAND, 550, true, List.of()));
        Surroundings there = new Surroundings(dec, south, Flow.GOOD, true, 1, Assumptions.standard());
        assertThat(Forecaster.of(colony, there, 28).in(28).broodFrames().likely()).isGreaterThan(4);
        assertThat(of(colony, Flow.DEARTH).in(28).broodFrames().likely()).isLessThan(0.5);
    }

    /** Where it never gets cold a colony keeps brood the year round. From memory of tropical beekeeping. */
    @Test
    void at_the_equator_there_is_no_winter_rest() {
        BeeYear year = new BeeYear(false, new ClimateOfPlace(Climate.TROPICAL_HIGHLAND, 1700, false, List.of()));
        for (int month = 1; month <= 12; month++) {
            assertThat(year.laying(LocalDate.of(2026, month, 15))).isGreaterThan(0.4);
        }
    }

    /** Runs part with time and never cross: least ≤ likely ≤ most on each day. */
    @Test
    void spans_widen_with_time() {
        Forecast forecast = of(Units.production("H 3", JUN_15, 8), Flow.GOOD);
        double first = forecast.in(0).bees().most() - forecast.in(0).bees().least();
        double last = forecast.in(56).bees().most() - forecast.in(56).bees().least();
        assertThat(last).isGreaterThan(first);
        assertThat(forecast.course()).hasSize(57);
    }

    @Test
    void what_cannot_be_foreseen_is_refused_in_words() {
        Unit unit = Units.unit("H 5", JUN_15, UnitQueen.Is.LAYING, 1, BROOD, FOUNDATION);
        assertThatThrownBy(() -> Forecaster.of(unit, Units.on(JUN_15.plusDays(200), Flow.GOOD), 10))
                .hasMessageContaining("Read it again");
        assertThatThrownBy(() -> Units.unit("H 6", JUN_15, UnitQueen.Is.LAYING, 1.5,
                java.util.Collections.nCopies(20, BROOD).toArray(vividcrown.core.hive.FrameKind[]::new)))
                .hasMessageContaining("forty thousand");
    }
}
