package vividcrown.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vividcrown.core.hive.FrameSide;

/** When to go on, when to stop, how to hold her and what may leave. Common practice. */
class SearchWordTest {

    private static final HiveSearched HIVE = Searches.unread(6);
    private static final AtTheHive FAIR = new AtTheHive(Optional.empty(), false, false, Optional.empty(),
            Optional.empty(), false, false, false);
    private static final Instant NOW = Instant.parse("2026-06-12T10:00:00Z");

    private static Search after(Circumstances under, double chance, int passes) {
        List<SearchAct> acts = new ArrayList<>();
        for (int pass = 0; pass < passes; pass++) {
            for (int slot = 1; slot <= 6; slot++) {
                for (FrameSide side : FrameSide.values()) {
                    acts.add(new SearchAct.Looked(new Place.OnComb(1, slot, side), Shows.NOTHING));
                }
            }
        }
        return Search.after(new HiveSearched(HIVE.boxes(), 0, Optional.empty(), chance), under, acts);
    }

    private static Circumstances of(QueenTrait... traits) {
        return new Circumstances(Set.of(traits), 1, false, false, false, Searches.EXPERIENCED);
    }

    private static AtTheHive there(double celsius, boolean robbing, Optional<Integer> given, Optional<Integer> virgin) {
        return new AtTheHive(Optional.of(celsius), false, robbing, given, virgin, false, false, false);
    }

    private static Stop stop(Search search, WhySearch why) {
        return SearchWord.of(search, why, FAIR).stop();
    }

    @Test
    void after_two_passes_close_and_come_back() {
        assertThat(stop(after(of(), 0.95, 1), WhySearch.SHOW)).isEqualTo(Stop.GO_ON);
        assertThat(stop(after(of(), 0.95, 2), WhySearch.SHOW)).isEqualTo(Stop.COME_BACK);
    }

    @Test
    void who_must_find_her_sieves_but_never_a_virgin_or_a_small_queen() {
        assertThat(stop(after(of(), 0.95, 2), WhySearch.TAKE_OUT)).isEqualTo(Stop.SIEVE);
        assertThat(stop(after(of(QueenTrait.VIRGIN), 0.95, 2), WhySearch.TAKE_OUT)).isEqualTo(Stop.COME_BACK);
        assertThat(stop(after(of(QueenTrait.SMALL), 0.95, 2), WhySearch.TAKE_OUT)).isEqualTo(Stop.COME_BACK);
    }

    @Test
    void a_marked_queen_not_seen_in_a_doubtful_hive_is_likelier_gone_than_missed() {
        assertThat(stop(after(of(QueenTrait.MARKED), 0.7, 1), WhySearch.TAKE_OUT)).isEqualTo(Stop.DOUBT_SHE_IS_HERE);
        // a virgin is missed more often than seen: the same search says little of her
        assertThat(stop(after(of(QueenTrait.VIRGIN), 0.7, 1), WhySearch.TAKE_OUT)).isEqualTo(Stop.GO_ON);
    }

    @Test
    void cold_robbing_a_queen_just_given_and_a_virgin_that_mates_leave_it_shut() {
        Search fresh = after(of(), 0.95, 0);
        AtTheHive mayMate = new AtTheHive(Optional.of(22.0), false, false, Optional.empty(), Optional.empty(), true,
                false, false);
        List<AtTheHive> forbidden = List.of(mayMate, there(8, false, Optional.empty(), Optional.empty()),
                there(22, true, Optional.empty(), Optional.empty()),
                there(22, false, Optional.of(3), Optional.empty()),
                there(22, false, Optional.empty(), Optional.of(9)));
        assertThat(forbidden).allSatisfy(there -> {
            SearchWord word = SearchWord.of(fresh, WhySearch.MARK, there);
            assertThat(word.stop()).isEqualTo(Stop.LEAVE_SHUT);
            assertThat(word.next()).isEmpty();
            assertThat(word.reasons()).isNotEmpty();
        });
        assertThat(SearchWord.of(fresh, WhySearch.MARK, there(22, false, Optional.of(9), Optional.of(20))).stop())
                .isEqualTo(Stop.GO_ON);
    }

    @Test
    void a_hive_that_already_stands_open_is_closed_sooner_when_it_is_cold() {
        List<SearchAct> acts = List.of(new SearchAct.Looked(new Place.OnComb(1, 1, FrameSide.NEAR), Shows.FOOD,
                Optional.of(12.0)));
        Search long12 = Search.after(HIVE, of(), acts);
        assertThat(SearchWord.of(long12, WhySearch.SHOW, there(13, false, Optional.empty(), Optional.empty())).stop())
                .isEqualTo(Stop.CLOSE_NOW);
        assertThat(SearchWord.of(long12, WhySearch.SHOW, there(24, false, Optional.empty(), Optional.empty())).stop())
                .isEqualTo(Stop.GO_ON);
    }

    @Test
    void a_hive_that_was_closed_is_not_gone_on_with_and_its_minutes_count_anew() {
        List<SearchAct> acts = new ArrayList<>();
        acts.add(new SearchAct.Looked(new Place.OnComb(1, 1, FrameSide.NEAR), Shows.FOOD, Optional.of(24.0)));
        acts.add(new SearchAct.Closed(Optional.of(2.0)));
        assertThat(stop(Search.after(HIVE, of(), acts), WhySearch.SHOW)).isEqualTo(Stop.COME_BACK);
        acts.add(new SearchAct.Opened(Optional.of(24 * 60.0)));
        assertThat(stop(Search.after(HIVE, of(), acts), WhySearch.SHOW)).isEqualTo(Stop.GO_ON);
    }

    @Test
    void heavy_smoke_is_a_reason_to_doubt_a_failed_search() {
        Circumstances smoked = new Circumstances(Set.of(), 1, true, false, false, Searches.EXPERIENCED);
        SearchWord word = SearchWord.of(after(smoked, 0.95, 1), WhySearch.MARK, FAIR);
        assertThat(word.cautions()).anyMatch(one -> one.toString().contains("says less"));
    }

    @Test
    void where_she_is_caged_or_hardly_there_that_is_said_before_a_comb_is_lifted() {
        AtTheHive caged = new AtTheHive(Optional.of(22.0), false, false, Optional.empty(), Optional.empty(), false,
                true, false);
        assertThat(SearchWord.of(after(of(), 0.95, 0), WhySearch.SHOW, caged).cautions().getFirst().toString())
                .contains("look into the cage first");
        assertThat(SearchWord.of(after(of(), 0.1, 0), WhySearch.SHOW, FAIR).reasons())
                .anyMatch(one -> one.fact().toString().contains("look for eggs on every comb"));
    }

    @Test
    void whoever_has_her_in_hand_renews_a_worn_mark() {
        Search found = Search.after(HIVE, of(QueenTrait.MARK_WORN),
                List.of(new SearchAct.Found(new Place.OnComb(1, 3, FrameSide.FAR))));
        SearchWord word = SearchWord.of(found, WhySearch.CAGE, FAIR);
        assertThat(word.stop()).isEqualTo(Stop.FOUND);
        assertThat(word.cautions()).anyMatch(one -> one.toString().contains("mark her while she is in hand"));
        assertThat(word.cautions()).anyMatch(one -> one.toString().contains("never grip"));
    }

    @Test
    void her_comb_goes_in_with_its_side_and_the_one_outside_is_looked_over_again() {
        List<SearchAct> acts = new ArrayList<>();
        acts.add(new SearchAct.Looked(new Place.OnComb(1, 1, FrameSide.NEAR), Shows.FOOD));
        acts.add(new SearchAct.Found(new Place.OnComb(1, 4, FrameSide.FAR)));
        List<String> found = Closing.order(Search.after(HIVE, of(), acts), Held.NOTED, WhySearch.KEEP_SAFE).stream()
                .map(Object::toString)
                .toList();
        assertThat(found).anyMatch(one -> one.contains("Her comb last") && one.contains("slot 4"));
        acts.removeLast();
        List<String> unseen = Closing.order(Search.after(HIVE, of(), acts), Held.NOTED, WhySearch.KEEP_SAFE).stream()
                .map(Object::toString)
                .toList();
        assertThat(unseen).anyMatch(one -> one.contains("slot 1") && one.contains("once more"));
    }

    /** Common practice: a queen under a press-in cage is on her comb all the same. */
    @Test
    void a_queen_under_a_press_in_cage_goes_back_with_her_comb_last() {
        Search found = Search.after(HIVE, of(), List.of(new SearchAct.Found(new Place.OnComb(1, 4, FrameSide.FAR))));
        for (Held held : Held.values()) {
            String order = Closing.order(found, held, WhySearch.KEEP_SAFE).toString();
            boolean onIt = held == Held.PRESS_IN_CAGE || held == Held.NOTED || held == Held.COMB_APART;
            assertThat(order.contains("Her comb last")).as(held + " " + order).isEqualTo(onIt);
            assertThat(order.contains("still caged")).as(held.toString())
                    .isEqualTo(held == Held.PRESS_IN_CAGE || held == Held.CATCHER || held == Held.CAGE);
        }
    }

    /** Common practice: of two queens in one hive the better one may be the one that dies. */
    @Test
    void who_takes_a_queen_out_is_told_while_she_is_in_the_hive_still() {
        Search found = Search.after(HIVE, of(), List.of(new SearchAct.Found(new Place.OnComb(1, 4, FrameSide.FAR))));
        for (Held held : Held.values()) {
            boolean stillIn = held == Held.PRESS_IN_CAGE || held == Held.NOTED || held == Held.COMB_APART;
            assertThat(Closing.order(found, held, WhySearch.TAKE_OUT).toString().contains("in this hive still"))
                    .as(held.toString())
                    .isEqualTo(stillIn);
        }
        assertThat(Closing.order(found, Held.NOTED, WhySearch.SHOW).toString()).doesNotContain("in this hive still");
        assertThat(Closing.order(Search.after(HIVE, of(), List.of()), Held.NOTED, WhySearch.TAKE_OUT).toString())
                .doesNotContain("in this hive still");
    }

    @Test
    void a_secured_queen_counts_only_until_she_was_last_verified() {
        assertThat(Held.NOTED.isSafe(NOW.minus(Duration.ofMinutes(4)), NOW)).isTrue();
        assertThat(Held.NOTED.isSafe(NOW.minus(Duration.ofMinutes(20)), NOW)).isFalse();
        assertThat(Held.PRESS_IN_CAGE.isSafe(NOW.minus(Duration.ofDays(2)), NOW)).isTrue();
        assertThat(Held.PRESS_IN_CAGE.isSafe(NOW.minus(Duration.ofDays(5)), NOW)).isFalse();
        assertThat(Held.CAGE.isSafe(NOW.plus(Duration.ofDays(1)), NOW)).as("verified tomorrow").isFalse();
    }

    @Test
    void a_comb_leaves_by_one_of_two_gates_or_stays() {
        Search begun = after(of(), 0.95, 0);
        assertThat(leaving(begun, 3, Optional.empty(), 0)).isEqualTo(Leaving.Level.NOT_SAFE);
        Search searched = Search.after(HIVE, of(QueenTrait.MARKED), both(3));
        assertThat(leaving(Search.after(HIVE, of(QueenTrait.VIRGIN), both(3)), 3, Optional.empty(), 0))
                .as("a virgin is missed too often").isEqualTo(Leaving.Level.NOT_SAFE);
        assertThat(leaving(searched, 3, Optional.empty(), 0)).isEqualTo(Leaving.Level.BOTH_SIDES_SEARCHED);
        assertThat(leaving(searched, 4, Optional.empty(), 0)).as("another comb").isEqualTo(Leaving.Level.NOT_SAFE);
        List<SearchAct> since = new ArrayList<>(both(3));
        since.addAll(both(5));
        assertThat(leaving(Search.after(HIVE, of(), since), 3, Optional.empty(), 0)).as("put back since")
                .isEqualTo(Leaving.Level.NOT_SAFE);
        Search found = Search.after(HIVE, of(), List.of(new SearchAct.Found(new Place.OnComb(1, 4, FrameSide.FAR))));
        assertThat(leaving(found, 3, Optional.of(Held.NOTED), 2)).isEqualTo(Leaving.Level.SEEN_ELSEWHERE);
        assertThat(leaving(found, 3, Optional.of(Held.NOTED), 30)).isEqualTo(Leaving.Level.NOT_SAFE);
        assertThat(leaving(found, 4, Optional.of(Held.NOTED), 1)).as("her own comb").isEqualTo(Leaving.Level.NOT_SAFE);
        assertThat(leaving(found, 4, Optional.of(Held.PRESS_IN_CAGE), 1)).as("caged on it")
                .isEqualTo(Leaving.Level.NOT_SAFE);
        assertThat(leaving(found, 4, Optional.of(Held.CATCHER), 1)).isEqualTo(Leaving.Level.SEEN_ELSEWHERE);
    }

    private static List<SearchAct> both(int slot) {
        return List.of(new SearchAct.Looked(new Place.OnComb(1, slot, FrameSide.NEAR), Shows.NOTHING),
                new SearchAct.Looked(new Place.OnComb(1, slot, FrameSide.FAR), Shows.NOTHING));
    }

    private static Leaving.Level leaving(Search search, int slot, Optional<Held> held, int minutesAgo) {
        return Leaving.comb(search, 1, slot, held, held.map(_ -> NOW.minus(Duration.ofMinutes(minutesAgo))), NOW)
                .level();
    }
}
