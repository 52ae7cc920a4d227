package vividcrown.core.trainer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.search.Place;
import vividcrown.core.search.Search;
import vividcrown.core.search.SearchAct;
import vividcrown.core.search.Shows;
import vividcrown.core.search.Step;

/** Made-up hives are searched: whether she walks as the odds say, and whether good searching is told from luck. */
class SearchScoreTest {

    private static HiveToSearch hive(Skill skill, int level, long seed) {
        return HiveToSearch.of(new Exercise(skill, level, Season.SUMMER, seed));
    }

    private static SearchAct look(Place place) {
        return new SearchAct.Looked(place, Shows.NOTHING);
    }

    private static Place.OnComb side(int slot, FrameSide side) {
        return new Place.OnComb(1, slot, side);
    }

    private static List<SearchAct> asTheGuideSays(HiveToSearch hive, int lifts) {
        List<SearchAct> done = new ArrayList<>();
        for (int lift = 0; lift < lifts; lift++) {
            switch (hive.search(done).next().orElseThrow().step()) {
                case Step.Lift comb -> {
                    Place.OnComb first = new Place.OnComb(comb.box(), comb.slot(), comb.first());
                    done.add(look(first));
                    done.add(look(first.otherSide()));
                }
                case Step.LookAt glance -> done.add(look(glance.place()));
            }
        }
        return done;
    }

    @Test
    void who_searches_as_the_guide_does_throws_nothing_away() {
        SearchScore score = SearchScore.of(hive(Skill.FIND_LAYING, 2, 11),
                asTheGuideSays(hive(Skill.FIND_LAYING, 2, 11), 5));
        assertThat(score.points()).as("but it was given up").isEqualTo((int) Math.round(500 / score.best()));
        assertThat(SearchScore.of(hive(Skill.FIND_LAYING, 2, 11),
                asTheGuideSays(hive(Skill.FIND_LAYING, 2, 11), (int) Math.ceil(score.best()))).points()).isEqualTo(100);
        assertThat(score.steps()).allMatch(step -> step.better().isEmpty());
        assertThat(score.lifts()).isEqualTo(5);
    }

    /** Common practice: honey combs get only a glance, an outer comb comes first for room. */
    @Test
    void who_begins_in_the_honey_or_tears_out_the_middle_pays_for_it() {
        HiveToSearch hive = hive(Skill.FIND_LAYING, 3, 5);
        SearchScore honey = SearchScore.of(hive, IntStream.rangeClosed(1, 8)
                .mapToObj(slot -> look(new Place.OnComb(2, slot, FrameSide.NEAR))).toList());
        assertThat(honey.points()).isLessThan(40);
        assertThat(honey.steps()).filteredOn(step -> step.better().isPresent()).hasSizeGreaterThan(3)
                .allSatisfy(step -> assertThat(step.sentence().toString()).startsWith("Better: "));
        SearchScore torn = SearchScore.of(hive(Skill.FIND_LAYING, 2, 5), List.of(look(side(5, FrameSide.NEAR))));
        assertThat(torn.steps().getFirst().noRoom()).isTrue();
        assertThat(torn.steps().getFirst().sentence().toString()).contains("outer comb first");
    }

    @Test
    void what_is_thrown_away_does_not_hang_on_where_she_happened_to_be() {
        HiveToSearch hive = hive(Skill.FIND_LAYING, 1, 3);
        List<SearchAct> begun = asTheGuideSays(hive, 1);
        assertThat(SearchScore.of(hive, begun).steps()).allMatch(step -> step.lost() < 0.05);
        Place there = hive.queenAfter(begun);
        List<SearchAct> lucky = new ArrayList<>(begun);
        lucky.add(new SearchAct.Found(there, Optional.of(0.0)));
        List<SearchAct> blind = new ArrayList<>(begun);
        blind.add(new SearchAct.Looked(there, Shows.NOTHING, Optional.of(0.0)));
        assertThat(SearchScore.of(hive, lucky).found()).isTrue();
        assertThat(SearchScore.of(hive, lucky).steps().getLast().lost())
                .isEqualTo(SearchScore.of(hive, blind).steps().getLast().lost());
    }

    @Test
    void she_is_found_where_she_is_and_nowhere_else() {
        HiveToSearch hive = hive(Skill.FIND_OLD, 1, 8);
        Place where = hive.queenAfter(List.of());
        List<SearchAct> found = List.of(new SearchAct.Found(where, Optional.of(0.0)));
        assertThat(hive.queenAfter(found)).as("no time to walk").isEqualTo(where);
        SearchScore score = SearchScore.of(hive, found);
        assertThat(score.found()).isTrue();
        assertThat(score.quality(5)).as("pointed at everything").isEqualTo(Quality.HARDLY);
        Place other = hive.hive().places().stream().filter(place -> !place.equals(where)).findFirst().orElseThrow();
        assertThatIllegalArgumentException()
                .isThrownBy(() -> SearchScore.of(hive, List.of(new SearchAct.Found(other, Optional.of(0.0)))))
                .withMessageContaining("She was not there");
    }

    @Test
    void who_looks_at_her_and_goes_on_is_told() {
        HiveToSearch hive = hive(Skill.FIND_LAYING, 1, 21);
        Place where = hive.queenAfter(List.of());
        SearchScore score = SearchScore.of(hive, List.of(new SearchAct.Looked(where, Shows.NOTHING, Optional.of(0.0))));
        assertThat(score.there()).isEqualTo(1);
        assertThat(score.steps().getFirst().missed()).isTrue();
        assertThat(score.steps().getFirst().sentence().toString()).isEqualTo("She was here, and you went on");
        assertThat(score.quality(0)).isLessThan(Quality.HARDLY);
    }

    @Test
    void what_cannot_have_been_done_is_refused() {
        HiveToSearch hive = hive(Skill.FIND_LAYING, 1, 8);
        Place where = hive.queenAfter(List.of());
        SearchAct found = new SearchAct.Found(where, Optional.of(0.0));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> SearchScore.of(hive, List.of(found, look(new Place.Lid()))));
        assertThatIllegalArgumentException().isThrownBy(
                () -> SearchScore.of(hive, List.of(new SearchAct.Closed(Optional.empty()), look(new Place.Lid()))));
        assertThatIllegalArgumentException().isThrownBy(() -> SearchScore.of(hive, List.of(look(new Place.Walls(3)))));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> SearchScore.of(hive, Collections.nCopies(121, look(new Place.Lid()))))
                .withMessageContaining("120");
        SearchScore closed = SearchScore.of(hive, List.of(look(new Place.Lid()), new SearchAct.Closed(Optional.of(1.0)),
                new SearchAct.Opened(Optional.of(60.0)), look(side(1, FrameSide.NEAR))));
        assertThat(closed.lifts()).as("shutting it is no lift").isEqualTo(2);
        assertThat(SearchScore.of(hive, List.of()).points()).as("nothing was done").isZero();
        assertThat(SearchScore.of(hive, List.of()).quality(0)).as("nothing was done").isLessThan(Quality.HARDLY);
    }

    @Test
    void what_was_done_before_is_not_changed_by_what_is_done_after() {
        HiveToSearch hive = hive(Skill.FIND_RUNNER, 2, 4);
        List<SearchAct> done = asTheGuideSays(hive, 4);
        List<Place> first = IntStream.rangeClosed(0, 4).mapToObj(acts -> hive.queenAfter(done.subList(0, acts)))
                .toList();
        HiveToSearch again = hive(Skill.FIND_RUNNER, 2, 4);
        List<SearchAct> other = new ArrayList<>(done.subList(0, 4));
        other.add(look(new Place.Lid()));
        again.queenAfter(other);
        assertThat(IntStream.rangeClosed(0, 4).mapToObj(acts -> again.queenAfter(other.subList(0, acts))).toList())
                .isEqualTo(first);
    }

    /**
     * Queens who are drawn from the odds and walk as they say are where they say, so often: the check of the draw and of the walk against the filter, over 600
     * virgins, before the lid is off and after eight minutes in which an outer comb is in the hand; three standard errors are allowed.
     */
    @Test
    void she_walks_as_the_odds_say() {
        int times = 600;
        List<SearchAct> waits = List.of(
                new SearchAct.Looked(side(1, FrameSide.NEAR), Shows.NOTHING, Optional.of(8.0)));
        for (List<SearchAct> done : List.of(List.<SearchAct>of(), waits)) {
            double said = 0;
            int there = 0;
            int walked = 0;
            for (long seed = 1; seed <= times; seed++) {
                HiveToSearch hive = hive(Skill.FIND_VIRGIN, 1, seed);
                Place place = hive.queenAfter(done);
                there += place instanceof Place.OnComb(int _, int slot, var _) && (slot == 2 || slot == 3) ? 1 : 0;
                walked += place.equals(hive.queenAfter(List.of())) ? 0 : 1;
                Search odds = Search.after(hive.hive(), hive.under(), done);
                said += odds.on(1, 2) + odds.on(1, 3);
            }
            double share = said / times;
            assertThat((double) there / times).isCloseTo(share, within(3 * Math.sqrt(share * (1 - share) / times)));
            assertThat(walked).isGreaterThan(done.isEmpty() ? -1 : times / 4);
        }
        assertThat(hive(Skill.FIND_VIRGIN, 1, 0).hasTrail()).as("the old queen left with the swarm").isFalse();
    }

    @ParameterizedTest
    @EnumSource(value = Skill.class, names = "FIND_.*", mode = EnumSource.Mode.MATCH_ALL)
    void every_hive_can_be_searched_and_the_guide_finds_most(Skill skill) {
        int found = 0;
        for (long seed = 0; seed < 12; seed++) {
            found += SearchScore.of(hive(skill, 1, seed), List.of()).guide().isPresent() ? 1 : 0;
        }
        assertThat(found).isGreaterThan(9);
    }

    @ParameterizedTest
    @EnumSource(Season.class)
    void what_stands_on_a_comb_is_what_is_said_of_it(Season season) {
        for (long seed = 0; seed < 10; seed++) {
            HiveToSearch hive = HiveToSearch.of(new Exercise(Skill.FIND_LAYING, 2, season, seed));
            for (int slot = 1; slot <= 10; slot++) {
                for (FrameSide side : FrameSide.values()) {
                    String cells = String.join("", hive.picture(side(slot, side)).rows());
                    long eggs = cells.chars().filter(one -> one == CellContent.EGG.letter()).count();
                    switch (hive.shows(side(slot, side))) {
                        case MANY_EGGS -> assertThat(eggs).isGreaterThan(cells.length() / 5);
                        case EGGS -> assertThat(eggs).isGreaterThan(0);
                        case FOOD, SEALED, OPEN, EMPTIED -> assertThat(eggs).isLessThan(cells.length() / 30);
                        case NOTHING, BARE, FOUNDATION -> assertThat(eggs).isZero();
                    }
                }
            }
        }
    }

    @Test
    void a_day_of_robbing_has_minutes_and_a_broodless_hive_no_trail() {
        HiveToSearch robbed = hive(Skill.FIND_ROBBING, 2, 1);
        assertThat(robbed.minutes()).hasValue(4);
        assertThat(SearchScore.of(robbed, asTheGuideSays(robbed, 4)).points()).as("shut in time").isEqualTo(100);
        assertThat(hive(Skill.FIND_LAYING, 2, 1).minutes()).isEmpty();
        for (int level = 1; level <= Exercise.LEVELS; level++) {
            for (long seed = 0; seed < 30; seed++) {
                assertThat(hive(Skill.FIND_LAYING, level, seed).hasTrail()).as("she lays").isTrue();
            }
        }
        assertThat(hive(Skill.FIND_BROODLESS, 2, 1).hasTrail()).isFalse();
    }
}
