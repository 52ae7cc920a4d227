package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import vividcrown.core.rearing.BuilderRhythm;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.Seasons;

class BuilderClassTest {

    private static final LocalDate START = Seasons.MAY_1;

    /** Whatever the class as a whole keeps, each of its builders keeps, whoever was loaded in the plan before. */
    @Property(tries = 300)
    void each_keeps_its_days_and_its_rest(@ForAll @IntRange(min = 1, max = 5) int builders, @ForAll long seed,
            @ForAll @IntRange(min = 0, max = 3) int before) {
        BuilderSchool school = BuilderSchool.values()[(int) Math.floorMod(seed, 3)];
        BuilderRhythm rhythm = BuilderRhythm.of(school);
        List<CellBuilder> alike = IntStream.range(0, builders)
                .mapToObj(one -> new CellBuilder("B " + one, school, 45, START, List.of())).toList();
        Random random = new Random(seed);
        List<LocalDate> loads = new ArrayList<>();
        Map<LocalDate, Set<String>> planned = new HashMap<>();
        for (int number = 0; number < 120; number++) {
            LocalDate day = START.plusDays(number);
            for (int wanted = random.nextInt(builders + 1); wanted > 0; wanted--) {
                boolean fits = within(loads, day, rhythm.daysBetweenLoads()) < builders
                        && within(loads, day, rhythm.restStretchDays()) < builders * rhythm.loadsBeforeRest();
                if (fits) {
                    loads.add(day);
                }
            }
            if (random.nextInt(4) < before) {
                planned.put(day, Set.of("B " + random.nextInt(builders)));
            }
        }
        List<CellBuilder> taken = Turns.of(new BuilderClass(alike, 100), loads, planned);
        for (CellBuilder builder : alike) {
            List<LocalDate> own = IntStream.range(0, loads.size())
                    .filter(index -> taken.get(index).equals(builder)).mapToObj(loads::get).toList();
            for (LocalDate day : own) {
                assertThat(within(own, day, rhythm.daysBetweenLoads())).isOne();
                assertThat(within(own, day, rhythm.restStretchDays())).isLessThanOrEqualTo(rhythm.loadsBeforeRest());
            }
        }
    }

    /** The crew was told who is loaded when: a load more in the beginning sends nobody to another hive later. */
    @Test
    void a_load_more_leaves_the_others_with_their_builders() {
        BuilderClass alike = new BuilderClass(List.of(Seasons.builder("A", 45), Seasons.builder("B", 45),
                Seasons.builder("C", 45)), 100);
        List<LocalDate> days = Stream.of(0, 3, 10, 12, 20, 23).map(START::plusDays).toList();
        List<CellBuilder> told = Turns.of(alike, days, Map.of());
        assertThat(told).extracting(CellBuilder::id).containsExactly("A", "B", "C", "A", "B", "C");
        Map<LocalDate, Set<String>> before = new HashMap<>();
        IntStream.range(0, days.size()).forEach(load -> before.put(days.get(load), Set.of(told.get(load).id())));
        List<LocalDate> more = new ArrayList<>(days);
        more.add(1, START.plusDays(1));
        assertThat(Turns.of(alike, more, before)).extracting(CellBuilder::id)
                .containsExactly("A", "C", "B", "C", "A", "B", "C");
    }

    /** A was told to take the load of the day after tomorrow: it is not given away for one that another can take. */
    @Test
    void whoever_is_loaded_soon_is_left_for_that() {
        BuilderClass alike = new BuilderClass(List.of(Seasons.builder("A", 45), Seasons.builder("B", 45)), 100);
        assertThat(Turns.of(alike, List.of(START, START.plusDays(2)), Map.of(START.plusDays(2), Set.of("A"))))
                .extracting(CellBuilder::id).containsExactly("B", "A");
    }

    private static int within(List<LocalDate> loads, LocalDate end, int days) {
        return (int) loads.stream().filter(day -> day.isAfter(end.minusDays(days)) && !day.isAfter(end)).count();
    }

    @Test
    void builders_are_alike_only_if_school_load_readiness_and_past_are() {
        List<CellBuilder> builders = List.of(Seasons.builder("A", 45), Seasons.builder("B", 45),
                Seasons.builder("C", 30), new CellBuilder("D", BuilderSchool.STARTER_FINISHER, 45, START, List.of()),
                new CellBuilder("E", BuilderSchool.STARTER_THEN_FINISHER, 45, START.plusDays(4), List.of()),
                new CellBuilder("F", BuilderSchool.STARTER_THEN_FINISHER, 45, START, List.of(START.minusDays(3))));
        assertThat(BuilderClass.of(builders, Set.of(), START, _ -> 100)).extracting(BuilderClass::count)
                .containsExactlyInAnyOrder(2, 1, 1, 1, 1);
        assertThat(BuilderClass.of(builders, Set.of("B"), START, _ -> 100)).hasSize(6);
    }

    @Test
    void what_was_grafted_long_ago_no_longer_counts() {
        List<CellBuilder> builders = List.of(Seasons.builder("A", 45),
                new CellBuilder("B", BuilderSchool.STARTER_THEN_FINISHER, 45, START.minusDays(90),
                        List.of(START.minusDays(80))));
        assertThat(BuilderClass.of(builders, Set.of(), START, _ -> 100)).hasSize(1);
    }
}
