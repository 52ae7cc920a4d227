package vividcrown.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.trainer.Exercise;
import vividcrown.core.trainer.HiveToSearch;
import vividcrown.core.trainer.SearchScore;
import vividcrown.core.trainer.Season;
import vividcrown.core.trainer.Skill;

/** Measures the guide: lifts until she is found against rules of thumb, and the time for a next lift. Prints, asserts nothing of it. */
@EnabledIfSystemProperty(named = "crown.bench", matches = "true")
class SearchBench {

    private static final int SEARCHES = 10_000;
    private static final int COMBS = 10;
    private static final int MOST_LIFTS = 3 * COMBS;
    private static final double SEES = 0.55;

    @Test
    void lifts_until_she_is_found() {
        Map<String, Function<LivedSearch, LivedSearch.Way>> ways = new LinkedHashMap<>();
        ways.put("one side to the other", _ -> LivedSearch.oneSideToTheOther(COMBS));
        ways.put("middle outwards", _ -> LivedSearch.middleOutwards(COMBS));
        ways.put("towards younger brood", _ -> LivedSearch.towardsYoungerBrood(COMBS));
        for (int days : new int[]{3, 7, 14}) {
            ways.put("the guide, read %d days ago".formatted(days),
                    hive -> LivedSearch.asTheGuideSays(hive.read(days, false), Searches.USUAL));
        }
        ways.put("the guide, never read",
                _ -> LivedSearch.asTheGuideSays(Searches.unread(COMBS), Searches.USUAL));
        System.out.printf("%n%d searches of %d combs, an unmarked queen%n", SEARCHES, COMBS);
        ways.forEach((name, way) -> {
            double all = 0;
            int inTwoPasses = 0;
            for (int seed = 1; seed <= SEARCHES; seed++) {
                LivedSearch hive = new LivedSearch(COMBS, seed);
                int lifts = hive.search(way.apply(hive), SEES, MOST_LIFTS);
                all += lifts;
                inTwoPasses += lifts <= 2 * COMBS ? 1 : 0;
            }
            System.out.printf(Locale.ROOT, "%-28s %5.2f lifts, %4.1f minutes, %4.1f %% in two passes%n", name,
                    all / SEARCHES, all / SEARCHES * Looking.MINUTES_A_COMB, 100.0 * inTwoPasses / SEARCHES);
            assertThat(all).isPositive();
        });
    }

    /** In made-up hives of the trainer: what the guide expects before the first lift, and what it needs. */
    @Test
    void lifts_expected_and_needed() {
        int hives = 60;
        double expected = 0;
        double needed = 0;
        for (long seed = 0; seed < hives; seed++) {
            SearchScore score = SearchScore.of(
                    HiveToSearch.of(new Exercise(Skill.FIND_LAYING, 2, Season.SUMMER, seed)), List.of());
            expected += score.best();
            needed += score.guide().orElse(2 * MOST_LIFTS);
        }
        System.out.printf(Locale.ROOT, "%d full boxes: %.1f lifts expected, %.1f needed%n", hives, expected / hives,
                needed / hives);
        assertThat(needed).isPositive();
    }

    @Test
    void the_next_lift_in_four_boxes_of_forty_combs() {
        List<BoxThere> boxes = new ArrayList<>();
        for (int box = 0; box < 4; box++) {
            boxes.add(new BoxThere(false, COMBS, false, Searches.unread(COMBS).box(1).combs()));
        }
        HiveSearched hive = new HiveSearched(boxes, 0, Optional.empty(), 0.95);
        List<SearchAct> acts = new ArrayList<>();
        double worst = 0;
        double all = 0;
        int times = 60;
        for (int time = -20; time < times; time++) {
            long start = System.nanoTime();
            Step step = Search.after(hive, Searches.USUAL, acts).next().orElseThrow().step();
            double millis = (System.nanoTime() - start) / 1e6;
            if (time >= 0) {
                worst = Math.max(worst, millis);
                all += millis;
            }
            switch (step) {
                case Step.Lift lift -> {
                    for (FrameSide side : FrameSide.values()) {
                        acts.add(new SearchAct.Looked(new Place.OnComb(lift.box(), lift.slot(), side), Shows.SEALED));
                    }
                }
                case Step.LookAt look -> acts.add(new SearchAct.Looked(look.place(), Shows.NOTHING));
            }
        }
        System.out.printf(Locale.ROOT, "%na next lift in four boxes: %.0f ms on average, %.0f ms at most%n",
                all / times,
                worst);
        assertThat(all).isPositive();
    }
}
