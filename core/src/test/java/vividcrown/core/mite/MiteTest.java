package vividcrown.core.mite;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.distribution.discrete.BinomialDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.climate.Climate;
import vividcrown.core.climate.ClimateOfPlace;
import vividcrown.core.hive.Amount;
import vividcrown.core.journal.Faults;
import vividcrown.core.mite.Infestation.Brood;
import vividcrown.core.mite.MiteRule.Says;
import vividcrown.core.mite.MiteRule.School;
import vividcrown.core.mite.MiteRule.Time;

class MiteTest {

    private static final LocalDate JUN_8 = LocalDate.of(2026, 6, 8);
    private static final BeeYear NORTH = new BeeYear(false, new ClimateOfPlace(Climate.UPLAND, 550, false, List.of()));
    private static final BeeYear SOUTH = new BeeYear(true, new ClimateOfPlace(Climate.UPLAND, 550, true, List.of()));

    private static Amount wash(int mites, int bees) {
        return Infestation.of(new MiteCount.Wash(JUN_8, bees, false, mites, Optional.of(0)), Brood.MUCH).percent()
                .orElseThrow();
    }

    /** 1 in 300 is 0.01–1.8 %: the exact binomial interval (Clopper & Pearson 1934). */
    @Test
    void one_in_three_hundred_leaves_two_neighbouring_rules_both_right() {
        assertThat(wash(1, 300).least()).isEqualTo(0.0084, within(0.0005));
        assertThat(wash(1, 300).most()).isEqualTo(1.84, within(0.01));
        assertThat(wash(1, 300).likely()).isEqualTo(0.333, within(0.001));
    }

    /** Values of the published tables of exact limits: 0 of 30 up to 11.6 %, 3 of 30 2.1–26.5 %, 15 of 30 31.3–68.7 % (from memory). */
    @ParameterizedTest
    @CsvSource({"0, 30, 0, 11.57", "3, 30, 2.11, 26.53", "15, 30, 31.30, 68.70", "0, 300, 0, 1.22"})
    void exact_limits_are_those_of_the_published_tables(int mites, int bees, double least, double most) {
        assertThat(wash(mites, bees).least()).isEqualTo(least, within(0.01));
        assertThat(wash(mites, bees).most()).isEqualTo(most, within(0.01));
    }

    /** The definition: at either end a count as far out as this one has a chance of 2.5 % (library's binomial distribution). */
    @Test
    void at_its_ends_the_count_is_just_believable() {
        Amount percent = wash(7, 280);
        double above = 1 - new BinomialDistribution(280, percent.least() / 100).cumulativeProbability(6);
        double below = new BinomialDistribution(280, percent.most() / 100).cumulativeProbability(7);
        assertThat(above).isEqualTo(0.025, within(1e-6));
        assertThat(below).isEqualTo(0.025, within(1e-6));
    }

    @Test
    void a_second_rinse_counts_and_one_that_brings_more_than_the_first_says_why() {
        Infestation twice = Infestation.of(new MiteCount.Wash(JUN_8, 300, false, 2, Optional.of(3)), Brood.MUCH);
        assertThat(twice.percent().orElseThrow().likely()).isEqualTo(100 * 5 / 300.0, within(1e-9));
        assertThat(twice.cautions().toString()).contains("shake for a whole minute");
        assertThat(Infestation.of(new MiteCount.Wash(JUN_8, 90, true, 2, Optional.empty()), Brood.MUCH).cautions())
                .hasSize(3);
    }

    @Test
    void sugar_finds_fewer_so_there_are_more_and_a_board_tells_of_the_colony_alone() {
        Amount sugar = Infestation.of(new MiteCount.Sugar(JUN_8, 300, false, 6), Brood.MUCH).percent().orElseThrow();
        assertThat(sugar.likely()).isEqualTo(2.5, within(1e-9));
        assertThat(sugar.most()).isGreaterThan(wash(6, 300).most());
        Infestation board = Infestation.of(new MiteCount.NaturalFall(JUN_8, 21, 7), Brood.MUCH);
        assertThat(board.percent()).isEmpty();
        // 3 a day in the brood season: 60 to 120 mites (× 20–40, Martin 1998, order of magnitude), wider for so small a count
        assertThat(board.inAll().orElseThrow().likely()).isEqualTo(90, within(1e-9));
        assertThat(board.inAll().orElseThrow().least()).isBetween(30.0, 60.0);
        // the same fall without brood means ten times as many
        assertThat(Infestation.of(new MiteCount.NaturalFall(JUN_8, 21, 7), Brood.NONE).inAll().orElseThrow().likely())
                .isGreaterThan(900);
        assertThat(board.percentOf(30_000).orElseThrow().likely()).isEqualTo(0.3, within(1e-9));
    }

    /** Two in 300 in spring: treat, though under one per cent; none or one: not (common practice). */
    @Test
    void in_spring_the_cautious_act_at_two_in_three_hundred_and_the_others_do_not() {
        List<MiteRule.Word> two = MiteRule.at(Time.SPRING, false, Optional.empty()).stream()
                .map(rule -> rule.to(wash(2, 300))).toList();
        assertThat(two).extracting(MiteRule.Word::says).containsExactly(Says.ACT, Says.LET_BE);
        assertThat(MiteRule.disagree(two)).isTrue();
        assertThat(two).allMatch(MiteRule.Word::doubtful);
        assertThat(MiteRule.at(Time.SPRING, false, Optional.empty()).stream().map(rule -> rule.to(wash(1, 300)).says()))
                .containsOnly(Says.LET_BE);
    }

    /** In autumn two or three in 300 are tolerated because a broodless winter treatment follows; not if it does not (common practice). */
    @Test
    void what_is_tolerated_for_a_treatment_to_come_is_tolerated_no_longer_without_it() {
        MiteRule waits = MiteRule.at(Time.AUTUMN, true, Optional.empty()).getFirst();
        assertThat(waits.school()).isEqualTo(School.CAUTIOUS);
        assertThat(waits.to(wash(3, 300)).says()).isEqualTo(Says.LET_BE);
        assertThat(waits.to(wash(4, 300)).says()).isEqualTo(Says.ACT);
        assertThat(waits.to(wash(3, 300)).words().toString()).contains("not without it");
        assertThat(MiteRule.at(Time.AUTUMN, false, Optional.empty()).getFirst().to(wash(3, 300)).says())
                .isEqualTo(Says.ACT);
        assertThat(MiteRule.at(Time.SUMMER, true, Optional.of(0.5)).getLast().to(wash(2, 300)).says())
                .isEqualTo(Says.ACT);
    }

    @Test
    void spring_and_autumn_are_the_bees_own_on_either_half_of_the_world() {
        assertThat(MiteRule.time(NORTH, LocalDate.of(2026, 4, 10))).isEqualTo(Time.SPRING);
        assertThat(MiteRule.time(NORTH, LocalDate.of(2026, 6, 20))).isEqualTo(Time.SUMMER);
        assertThat(MiteRule.time(NORTH, LocalDate.of(2026, 9, 20))).isEqualTo(Time.AUTUMN);
        assertThat(MiteRule.time(SOUTH, LocalDate.of(2026, 4, 10))).isEqualTo(Time.AUTUMN);
        assertThat(MiteRule.time(SOUTH, LocalDate.of(2026, 10, 10))).isEqualTo(Time.SPRING);
    }

    /** Mites double in four to five weeks with brood, and hardly grow without (Martin 1998, order of magnitude). */
    @Test
    void mites_double_in_a_month_of_brood_and_rest_in_winter() {
        Amount now = Amount.of(1);
        assertThat(MiteCourse.of(now, JUN_8, JUN_8.plusDays(31), NORTH, 0).percent().likely())
                .isEqualTo(2, within(0.05));
        assertThat(MiteCourse.of(now, LocalDate.of(2026, 12, 1), LocalDate.of(2027, 1, 1), NORTH, 0).percent().likely())
                .isLessThan(1.1);
        assertThat(MiteCourse.of(now, JUN_8, JUN_8.plusDays(31), NORTH, 20).percent().likely()).isLessThan(1.3);
        assertThat(MiteCourse.of(now, JUN_8, JUN_8, NORTH, 0).percent().likely()).isEqualTo(1, within(1e-9));
        assertThatThrownBy(() -> MiteCourse.of(now, JUN_8, JUN_8.minusDays(1), NORTH, 0))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** Exact, against counting every way of drawing hives out of a yard. */
    @ParameterizedTest
    @CsvSource({"12, 0.25, 0.9", "20, 0.1, 0.8", "8, 0.5, 0.95", "1, 1, 0.95", "40, 0.05, 0.9"})
    void so_many_hives_find_one_that_is_over(int hives, double share, double chance) {
        int looked = Sampling.toFind(hives, share, chance);
        int over = (int) Math.ceil(share * hives);
        assertThat(1 - none(hives, over, looked)).isGreaterThanOrEqualTo(chance - 1e-12);
        if (looked > 1) {
            assertThat(1 - none(hives, over, looked - 1)).isLessThan(chance);
        }
    }

    private static double none(int hives, int over, int looked) {
        return IntStream.range(0, looked).mapToDouble(at -> Math.max(0, hives - over - at) / (double) (hives - at))
                .reduce(1, (one, other) -> one * other);
    }

    @Test
    void a_large_yard_is_known_within_ten_per_cent_by_about_a_hundred_hives_and_a_small_one_by_nearly_all() {
        // the well-known 96 of the normal approximation for a yard without end, a few more where it is exact
        assertThat(Sampling.toKnow(10_000, 0.1)).isBetween(96, 110);
        assertThat(Sampling.toKnow(12, 0.1)).isBetween(10, 12);
        assertThat(Sampling.toKnow(1, 0.1)).isEqualTo(1);
        assertThatThrownBy(() -> Sampling.toKnow(0, 0.1)).isInstanceOf(Faults.Found.class);
    }

    @Test
    void mites_on_no_bees_say_what_to_change() {
        assertThatThrownBy(() -> new MiteCount.Wash(JUN_8, 0, false, 10, Optional.empty()))
                .isInstanceOf(Faults.Found.class).hasMessageContaining("bees must lie between 1");
        assertThatThrownBy(() -> new MiteCount.Wash(JUN_8, 10, false, 31, Optional.empty()))
                .hasMessageContaining("count the bees again");
    }
}
