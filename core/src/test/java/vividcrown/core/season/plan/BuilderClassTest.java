package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
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

    /** Whatever the class as a whole keeps, each of its builders keeps when they are taken in turn. */
    @Property(tries = 300)
    void taken_in_turn_each_keeps_its_days_and_its_rest(@ForAll @IntRange(min = 1, max = 5) int builders,
            @ForAll long seed) {
        BuilderRhythm rhythm = BuilderRhythm.of(BuilderSchool.values()[(int) Math.floorMod(seed, 3)]);
        Random random = new Random(seed);
        List<LocalDate> loads = new ArrayList<>();
        for (int number = 0; number < 120; number++) {
            LocalDate day = START.plusDays(number);
            for (int wanted = random.nextInt(builders + 1); wanted > 0; wanted--) {
                boolean fits = within(loads, day, rhythm.daysBetweenLoads()) < builders
                        && within(loads, day, rhythm.restStretchDays()) < builders * rhythm.loadsBeforeRest();
                if (fits) {
                    loads.add(day);
                }
            }
        }
        for (int turn = 0; turn < builders; turn++) {
            int mine = turn;
            List<LocalDate> own = IntStream.range(0, loads.size()).filter(index -> index % builders == mine)
                    .mapToObj(loads::get).toList();
            for (LocalDate day : own) {
                assertThat(within(own, day, rhythm.daysBetweenLoads())).isOne();
                assertThat(within(own, day, rhythm.restStretchDays())).isLessThanOrEqualTo(rhythm.loadsBeforeRest());
            }
        }
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
