package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.core.season.Seasons.MAY_1;
import static vividcrown.core.season.Seasons.day;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vividcrown.core.demand.Product;
import vividcrown.core.rearing.BuilderRhythm;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.season.Crew;
import vividcrown.core.season.Means;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Seasons;

/** The limits of a plan, one by one. Spans and minutes are the trade's, from memory, as beside the rules. */
class LimitsTest {

    private static final SeasonBrief BRIEF = Seasons.brief(List.of(), List.of(Seasons.builder("B 1", 45)), 100,
            Crew.EVERY_DAY);

    private static final NucsAndCages.Limit NUCS = new NucsAndCages.Limit(NucsAndCages.Place.NUC, Set.of());

    private static SeasonBrief withBusyNucs(Means.NucsTaken busy) {
        Means means = BRIEF.means();
        return BRIEF.with(new Means(means.breeders(), means.builders(), means.nucs(), busy, means.cages(),
                means.crew()));
    }

    @Test
    void queens_wait_in_nucs_virgins_in_cages_and_cells_nowhere() {
        assertThat(NucsAndCages.placeOf(Product.RIPE_CELLS)).isEmpty();
        assertThat(NucsAndCages.placeOf(Product.VIRGINS)).contains(NucsAndCages.Place.CAGE);
        for (Product product : List.of(Product.LAYING_QUEENS, Product.MATED_QUEENS, Product.JUDGED_QUEENS,
                Product.NUCS_WITH_QUEEN)) {
            assertThat(NucsAndCages.placeOf(product)).contains(NucsAndCages.Place.NUC);
        }
    }

    /** Ripe cells go into nucs ten days after the graft. Common practice. */
    @Test
    void a_place_is_taken_from_the_ripe_cell_to_the_day_before_delivery() {
        NucsAndCages places = new NucsAndCages(BRIEF);
        assertThat(places.days(MAY_1, day(36)).toList()).startsWith(day(10)).endsWith(day(35)).hasSize(26);
        assertThat(places.days(MAY_1, day(10)).toList()).as("taken out again on the day it came")
                .containsExactly(day(10));
    }

    @Test
    void nucs_that_are_busy_are_not_there_and_never_fewer_than_none() {
        NucsAndCages places = new NucsAndCages(withBusyNucs(on -> on.isBefore(day(20)) ? 70 : 130));
        assertThat(places.most(NUCS, day(12))).isEqualTo(30);
        assertThat(places.most(NUCS, day(25))).isZero();
        assertThat(places.most(new NucsAndCages.Limit(NucsAndCages.Place.CAGE, Set.of()), day(25))).isEqualTo(60);
    }

    @Test
    void work_falls_on_the_day_it_is_done() {
        Hours hours = new Hours(BRIEF);
        assertThat(hours.load(MAY_1)).isEqualTo(new Hours.Work(MAY_1, 45));
        assertThat(hours.grafting(MAY_1, 40)).isEqualTo(new Hours.Work(MAY_1, 40));
        assertThat(hours.placing(MAY_1, Product.MATED_QUEENS, 20)).contains(new Hours.Work(day(10), 60));
        assertThat(hours.placing(MAY_1, Product.RIPE_CELLS, 20)).as("cells are handed over")
                .isEqualTo(Optional.empty());
        assertThat(hours.delivering(day(36), 20)).isEqualTo(new Hours.Work(day(36), 120));
    }

    /** A builder takes a load, then none until the cells before are out of the way, and rests after a row of them. */
    @ParameterizedTest
    @EnumSource(BuilderSchool.class)
    void no_school_lets_a_builder_be_loaded_without_days_between_and_without_rest(BuilderSchool school) {
        BuilderRhythm rhythm = BuilderRhythm.of(school);
        BuilderRest rest = BuilderRest.of(rhythm);
        LocalDate last = day(0);
        assertThat(rest.betweenLoads().left(1, List.of(last), last.plusDays(rhythm.daysBetweenLoads() - 1L))).isZero();
        assertThat(rest.betweenLoads().left(1, List.of(last), last.plusDays(rhythm.daysBetweenLoads()))).isOne();
        List<LocalDate> row = java.util.stream.IntStream.range(0, rhythm.loadsBeforeRest())
                .mapToObj(load -> day(load * rhythm.daysBetweenLoads())).toList();
        LocalDate next = row.getLast().plusDays(rhythm.daysBetweenLoads());
        assertThat(rest.beforeRest().left(1, row, next)).as("the next load would be one too many").isZero();
        assertThat(rest.beforeRest().left(1, row, next.plusDays(rhythm.restDays()))).as("after its rest").isPositive();
    }

    @Test
    void of_several_alike_each_may_take_its_loads() {
        BuilderRest rest = BuilderRest.of(BuilderRhythm.of(BuilderSchool.STARTER_THEN_FINISHER));
        assertThat(rest.betweenLoads().left(3, List.of(), MAY_1)).isEqualTo(3);
    }
}
