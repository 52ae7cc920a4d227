package vividcrown.core.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Sentence;

/** Facts of the trade, common practice: where she is seldom, where she often is, what a search in vain is worth. */
class SearchTest {

    private static final List<Sign> EGGS = List.of(Sign.EGGS);
    private static final List<Sign> SEALED = List.of(Sign.SEALED_WORKER_SOLID, Sign.SEALED_HONEY);
    private static final List<Sign> HONEY = List.of(Sign.SEALED_HONEY);
    private static final List<Sign> UNKNOWN = List.of();

    private static CombThere comb(int slot, List<Sign> near, List<Sign> far) {
        return new CombThere(slot, near, far, Optional.empty(), false);
    }

    /** Honey, sealed brood ringed by honey, eggs, eggs, sealed, honey. */
    private static HiveSearched nest() {
        return box(List.of(comb(1, HONEY, HONEY), comb(2, HONEY, SEALED), comb(3, SEALED, EGGS), comb(4, EGGS, SEALED),
                comb(5, SEALED, HONEY), comb(6, HONEY, HONEY)), 6);
    }

    private static HiveSearched box(List<CombThere> combs, int slots) {
        return new HiveSearched(List.of(new BoxThere(false, slots, false, combs)), 0, Optional.empty(), 0.95);
    }

    private static Search begin(HiveSearched hive) {
        return Search.after(hive, Searches.USUAL, List.of());
    }

    private static Circumstances of(QueenTrait... traits) {
        return new Circumstances(Set.of(traits), 1, false, false, false, Searches.EXPERIENCED);
    }

    private static SearchAct.Looked looked(int slot, FrameSide side, Shows shows) {
        return new SearchAct.Looked(new Place.OnComb(1, slot, side), shows);
    }

    private static List<SearchAct> both(int slot, Shows shows) {
        return List.of(looked(slot, FrameSide.NEAR, shows), looked(slot, FrameSide.FAR, shows));
    }

    private static List<SearchAct> passes(int combs, int times) {
        List<SearchAct> acts = new ArrayList<>();
        for (int pass = 0; pass < times; pass++) {
            for (int slot = 1; slot <= combs; slot++) {
                acts.addAll(both(slot, Shows.NOTHING));
            }
        }
        return acts;
    }

    private static double sum(Search search) {
        return search.odds().values().stream().mapToDouble(Double::doubleValue).sum() + search.notHere();
    }

    @Test
    void near_the_thickest_eggs_seldom_on_sealed_brood_ringed_by_honey_hardly_on_honey() {
        Search search = begin(nest());
        assertThat(search.on(1, 3) + search.on(1, 4)).isGreaterThan(0.6);
        assertThat(search.on(1, 2)).isLessThan(search.on(1, 3) / 2);
        assertThat(search.on(1, 1)).isLessThan(0.05);
        assertThat(sum(search)).isCloseTo(1, within(1e-9));
    }

    @Test
    void no_place_is_ever_at_nought() {
        List<SearchAct> acts = new ArrayList<>();
        for (int nth = 0; nth < 40; nth++) {
            acts.addAll(both(1 + nth % 6, Shows.FOOD));
        }
        Search search = Search.after(nest(), Searches.USUAL, acts);
        assertThat(search.odds().values()).allMatch(one -> one > 0);
        assertThat(search.notHere()).isBetween(0.5, 0.9999);
    }

    @Test
    void without_brood_she_is_in_the_middle_of_the_cluster() {
        List<CombThere> combs = new ArrayList<>();
        for (int slot = 1; slot <= 8; slot++) {
            combs.add(new CombThere(slot, UNKNOWN, UNKNOWN, Optional.of(slot >= 5 && slot <= 7 ? 1.2 : 0.0), false));
        }
        Search search = begin(box(combs, 8));
        assertThat(search.on(1, 6)).isGreaterThan(search.on(1, 2) * 2);
    }

    @Test
    void in_winter_the_trail_of_the_eggs_leads_nowhere() {
        Circumstances winter = new Circumstances(Set.of(), 0.02, false, false, false, Searches.EXPERIENCED);
        List<CombThere> combs = new ArrayList<>(List.of(CombThere.unread(1), comb(2, EGGS, EGGS)));
        for (int slot = 3; slot <= 8; slot++) {
            combs.add(new CombThere(slot, UNKNOWN, UNKNOWN, Optional.of(slot >= 5 ? 1.2 : 0.3), false));
        }
        HiveSearched eggsAtTheEdge = box(combs, 8);
        assertThat(begin(eggsAtTheEdge).on(1, 2))
                .isGreaterThan(1.5 * Search.after(eggsAtTheEdge, winter, List.of()).on(1, 2));
        List<SearchAct> eggs = List.of(looked(5, FrameSide.NEAR, Shows.MANY_EGGS));
        HiveSearched unread = Searches.unread(8);
        double told = Search.after(unread, Searches.USUAL, eggs).on(1, 5) / begin(unread).on(1, 5);
        double hardly = Search.after(unread, winter, eggs).on(1, 5)
                / Search.after(unread, winter, List.of()).on(1, 5);
        assertThat(hardly).isLessThan(told);
    }

    @Test
    void eggs_raise_the_neighbourhood_not_one_side_alone() {
        HiveSearched hive = Searches.unread(10);
        Search nothing = Search.after(hive, Searches.USUAL, List.of(looked(4, FrameSide.FAR, Shows.NOTHING)));
        Search eggs = Search.after(hive, Searches.USUAL, List.of(looked(4, FrameSide.FAR, Shows.MANY_EGGS)));
        assertThat(eggs.on(1, 5)).isGreaterThan(nothing.on(1, 5) * 1.3);
        assertThat(eggs.on(1, 4)).isGreaterThan(nothing.on(1, 4) * 1.3);
        assertThat(eggs.on(1, 9)).isLessThan(nothing.on(1, 9));
    }

    @Test
    void sealed_brood_without_an_egg_in_the_whole_box_sends_to_the_other_box() {
        List<Sign> old = List.of(Sign.SEALED_WORKER, Sign.OLD_LARVAE);
        List<CombThere> lower = List.of(comb(1, old, old), comb(2, old, old), comb(3, old, old));
        List<CombThere> upper = List.of(comb(1, UNKNOWN, UNKNOWN), comb(2, UNKNOWN, UNKNOWN),
                comb(3, UNKNOWN, UNKNOWN));
        Search search = begin(new HiveSearched(
                List.of(new BoxThere(false, 3, false, lower), new BoxThere(false, 3, false, upper)), 0,
                Optional.empty(), 0.95));
        double below = search.on(1, 1) + search.on(1, 2) + search.on(1, 3);
        assertThat(below).isLessThan(0.4);
    }

    @Test
    void above_an_excluder_she_is_hardly_ever_a_virgin_may_be() {
        List<CombThere> combs = List.of(comb(1, UNKNOWN, UNKNOWN), comb(2, UNKNOWN, UNKNOWN));
        HiveSearched hive = new HiveSearched(
                List.of(new BoxThere(false, 3, true, combs), new BoxThere(true, 3, false, combs)), 0,
                Optional.empty(), 0.95);
        double laying = begin(hive).on(2, 1);
        double virgin = Search.after(hive, of(QueenTrait.VIRGIN), List.of()).on(2, 1);
        assertThat(laying).isBetween(0.0001, 0.03);
        assertThat(virgin).isGreaterThan(laying * 5);
    }

    @Test
    void a_virgin_or_a_runner_may_be_on_lid_and_walls_too() {
        Place lid = new Place.Lid();
        double calm = odds(begin(nest()), lid);
        assertThat(odds(Search.after(nest(), of(QueenTrait.VIRGIN), List.of()), lid)).isGreaterThan(calm * 2);
        assertThat(odds(Search.after(nest(), of(QueenTrait.RUNNER), List.of()), lid)).isGreaterThan(calm * 2);
    }

    private static double odds(Search search, Place place) {
        return search.odds().entrySet().stream().filter(one -> one.getKey().equals(place)).map(Map.Entry::getValue)
                .findFirst().orElseThrow();
    }

    @Test
    void where_she_was_last_seen_fades_within_days() {
        HiveSearched today = seen(0);
        HiveSearched aWeekAgo = seen(7);
        assertThat(begin(today).on(1, 6)).isGreaterThan(0.4);
        assertThat(begin(aWeekAgo).on(1, 6)).isLessThan(0.1);
        Circumstances winter = new Circumstances(Set.of(), 0.02, false, false, false, Searches.EXPERIENCED);
        assertThat(Search.after(aWeekAgo, winter, List.of()).on(1, 6)).isGreaterThan(begin(aWeekAgo).on(1, 6));
    }

    private static HiveSearched seen(int days) {
        return new HiveSearched(nest().boxes(), 0,
                Optional.of(new HiveSearched.LastSeen(new Place.OnComb(1, 6, FrameSide.FAR), days)), 0.95);
    }

    @Test
    void a_marked_queen_not_seen_says_more_than_a_virgin_not_seen() {
        List<SearchAct> once = passes(6, 1);
        double marked = Search.after(nest(), of(QueenTrait.MARKED), once).missed();
        double unmarked = Search.after(nest(), of(), once).missed();
        double virgin = Search.after(nest(), of(QueenTrait.VIRGIN), once).missed();
        // common practice, from memory: marked 85 %, unmarked 55 %, virgin 20 % on the side where she is
        assertThat(marked).isBetween(0.12, 0.3);
        assertThat(unmarked).isBetween(0.4, 0.55);
        assertThat(virgin).isBetween(0.75, 0.9);
    }

    @Test
    void much_smoke_and_a_beginner_make_a_failed_search_weaker() {
        Circumstances smoked = USUAL_SMOKED;
        Circumstances beginner = new Circumstances(Set.of(QueenTrait.MARKED), 1, false, false, false,
                Searcher.of(true, 0, 0));
        double usual = Search.after(nest(), of(QueenTrait.MARKED), passes(6, 1)).missed();
        assertThat(Search.after(nest(), smoked, passes(6, 1)).missed()).isGreaterThan(usual);
        assertThat(Search.after(nest(), beginner, passes(6, 1)).missed()).isGreaterThan(usual);
        List<SearchAct> smokeFirst = new ArrayList<>(List.of(new SearchAct.Smoked(Optional.empty())));
        smokeFirst.addAll(passes(6, 1));
        Search during = Search.after(nest(), of(QueenTrait.MARKED), smokeFirst);
        assertThat(during.missed()).isGreaterThan(usual);
        assertThat(during.muchSmoke()).isTrue();
    }

    private static final Circumstances USUAL_SMOKED = new Circumstances(Set.of(QueenTrait.MARKED), 1, true, false,
            false, Searches.EXPERIENCED);

    @Test
    void ones_own_record_moves_what_a_look_is_worth() {
        Searcher sharp = Searcher.of(false, 60, 54);
        Searcher blind = Searcher.of(false, 60, 12);
        // Beta-binomial: twenty looks of the trade beside sixty of one's own
        assertThat(sharp.sees(0.55)).isCloseTo((20 * 0.55 + 54) / 80, within(1e-9));
        assertThat(blind.sees(0.55)).isLessThan(0.35);
        assertThat(Searcher.of(false, 200, 110).sees(0.85)).as("as good as the trade, and she is marked")
                .isCloseTo(0.85, within(1e-9));
        assertThat(Searcher.of(false, 200, 200).sees(0.85)).as("no eye is perfect").isEqualTo(0.95);
        OwnRecord onlyFound = new OwnRecord(11, 40);
        assertThat(Searcher.byTheRecord(false, onlyFound).sees(0.55)).as("searches in vain were not written down")
                .isLessThanOrEqualTo(1.2 * 0.55);
        assertThat(Searcher.byTheRecord(false, new OwnRecord(40, 5)).sees(0.55)).isLessThan(0.2);
        assertThat(Searcher.of(true, 200, 110).sees(0.55)).as("no beginner any longer, by the record")
                .isGreaterThan(0.5);
    }

    @Test
    void an_outer_comb_comes_out_first_where_there_is_no_room() {
        Next next = begin(nest()).next().orElseThrow();
        assertThat(next.step()).isInstanceOfSatisfying(Step.Lift.class, lift -> {
            assertThat(lift.forRoom()).isTrue();
            assertThat(lift.slot()).isIn(1, 6);
        });
        HiveSearched roomy = box(nest().box(1).combs(), 8);
        assertThat(begin(roomy).next().orElseThrow().step()).isInstanceOfSatisfying(Step.Lift.class, lift -> {
            assertThat(lift.forRoom()).isFalse();
            assertThat(lift.slot()).isIn(3, 4);
        });
    }

    @Test
    void nobody_is_sent_twice_in_a_row_to_the_same_comb_or_to_the_lid() {
        List<SearchAct> acts = new ArrayList<>();
        Optional<Step> before = Optional.empty();
        Circumstances runner = of(QueenTrait.RUNNER);
        for (int nth = 0; nth < 25; nth++) {
            Step step = Search.after(Searches.unread(6), runner, acts).next().orElseThrow().step();
            assertThat(before.map(SearchTest::where)).isNotEqualTo(Optional.of(where(step)));
            switch (step) {
                case Step.Lift lift -> acts.addAll(both(lift.slot(), Shows.SEALED));
                case Step.LookAt look -> acts.add(new SearchAct.Looked(look.place(), Shows.NOTHING));
            }
            before = Optional.of(step);
        }
    }

    private static Object where(Step step) {
        return switch (step) {
            case Step.Lift lift -> lift.slot();
            case Step.LookAt look -> look.place();
        };
    }

    /** Common practice: without brood she is in the middle of her bees, in whatever month. */
    @Test
    void where_only_food_was_read_the_middle_is_likeliest() {
        List<CombThere> combs = IntStream.rangeClosed(1, 7).mapToObj(slot -> new CombThere(slot,
                List.of(Sign.SEALED_HONEY), List.of(Sign.SEALED_HONEY), Optional.empty(), false)).toList();
        Search search = Search.after(
                new HiveSearched(List.of(new BoxThere(false, 10, false, combs)), 0, Optional.empty(), 0.95),
                Searches.USUAL, List.of());
        assertThat(search.on(1, 4)).isGreaterThan(2 * search.on(1, 7)).isGreaterThan(2 * search.on(1, 1));
    }

    @Test
    void the_comb_outside_keeps_her_if_she_is_on_it() {
        List<SearchAct> acts = new ArrayList<>(both(1, Shows.NOTHING));
        acts.addAll(both(3, Shows.MANY_EGGS));
        double before = Search.after(seenOn1(), of(QueenTrait.RUNNER), acts).on(1, 1);
        acts.add(new SearchAct.Looked(new Place.Lid(), Shows.NOTHING, Optional.of(15.0)));
        Search search = Search.after(seenOn1(), of(QueenTrait.RUNNER), acts);
        assertThat(search.outside()).containsExactly(new Place.OnComb(1, 1, FrameSide.NEAR));
        // fifteen minutes, in which a runner would leave any comb that hangs in the box
        assertThat(search.on(1, 1)).isGreaterThan(before).isGreaterThan(0.25);
    }

    private static HiveSearched seenOn1() {
        return new HiveSearched(nest().boxes(), 0,
                Optional.of(new HiveSearched.LastSeen(new Place.OnComb(1, 1, FrameSide.NEAR), 0)), 0.95);
    }

    @Test
    void a_lower_box_wants_the_boxes_above_taken_off() {
        List<CombThere> honey = List.of(comb(1, HONEY, HONEY), comb(2, HONEY, HONEY));
        HiveSearched hive = new HiveSearched(
                List.of(new BoxThere(false, 7, true, nest().box(1).combs()), new BoxThere(true, 3, false, honey)), 0,
                Optional.empty(), 0.95);
        Step first = begin(hive).next().orElseThrow().step();
        assertThat(first).isInstanceOfSatisfying(Step.Lift.class, lift -> {
            assertThat(lift.box()).isEqualTo(1);
            assertThat(lift.boxesOff()).isEqualTo(1);
        });
        assertThat(first.sentence().toString()).startsWith("Take a box off");
    }

    @Test
    void a_hive_that_was_shut_and_left_in_peace_is_searched_anew() {
        List<SearchAct> acts = new ArrayList<>(passes(6, 1));
        double after = Search.after(nest(), Searches.USUAL, acts).on(1, 3);
        acts.add(new SearchAct.Closed(Optional.empty()));
        acts.add(new SearchAct.Opened(Optional.of(24 * 60.0)));
        Search again = Search.after(nest(), Searches.USUAL, acts);
        assertThat(again.on(1, 3) / (1 - again.notHere()))
                .isCloseTo(begin(nest()).on(1, 3) / 0.95, within(0.02));
        assertThat(again.on(1, 3)).isGreaterThan(after);
        assertThat(again.outside()).isEmpty();
    }

    /** Common practice: smoke has gone and she has settled by the next day, not within minutes. */
    @Test
    void smoke_is_gone_by_the_next_day_and_not_within_minutes() {
        List<SearchAct> acts = new ArrayList<>(List.of(new SearchAct.Smoked(Optional.empty()),
                new SearchAct.Closed(Optional.empty()), new SearchAct.Opened(Optional.of(10.0))));
        assertThat(Search.after(nest(), Searches.USUAL, acts).muchSmoke()).isTrue();
        acts.set(2, new SearchAct.Opened(Optional.of(24 * 60.0)));
        Search next = Search.after(nest(), Searches.USUAL, acts);
        assertThat(next.muchSmoke()).isFalse();
        assertThat(next.on(1, 3)).as("as if nobody had been there").isCloseTo(begin(nest()).on(1, 3), within(0.005));
    }

    // --- bad input ---------------------------------------------------------------------------------------------------

    @Test
    void a_side_that_does_not_exist() {
        assertThatThrownBy(() -> Search.after(nest(), Searches.USUAL, both(7, Shows.EGGS)))
                .hasMessageContaining("no such place").hasMessageContaining("comb 7");
    }

    @Test
    void found_twice_in_two_places() {
        List<SearchAct> acts = List.of(new SearchAct.Found(new Place.OnComb(1, 3, FrameSide.FAR)),
                new SearchAct.Found(new Place.Lid()));
        assertThatThrownBy(() -> Search.after(nest(), Searches.USUAL, acts)).hasMessageContaining("found")
                .hasMessageContaining("Take one back");
    }

    @Test
    void a_search_of_a_closed_hive() {
        List<SearchAct> acts = List.of(new SearchAct.Closed(Optional.empty()),
                looked(3, FrameSide.NEAR, Shows.EGGS));
        assertThatThrownBy(() -> Search.after(nest(), Searches.USUAL, acts)).hasMessageContaining("closed")
                .hasMessageContaining("Open it again");
    }

    @Test
    void what_cannot_be_is_refused_with_a_way_out() {
        assertThatThrownBy(() -> box(List.of(), 5)).hasMessageContaining("without combs");
        assertThatThrownBy(() -> box(List.of(CombThere.unread(2), CombThere.unread(2)), 5))
                .hasMessageContaining("slot 2");
        assertThatThrownBy(() -> box(List.of(CombThere.unread(9)), 5)).hasMessageContaining("9");
        assertThatThrownBy(() -> Searcher.of(false, 2, 3)).hasMessageContaining("3");
        assertThatThrownBy(() -> of(QueenTrait.VIRGIN, QueenTrait.OLD)).hasMessageContaining("virgin");
        assertThatThrownBy(() -> of(QueenTrait.MARKED, QueenTrait.MARK_WORN)).hasMessageContaining("mark");
    }

    @Test
    void every_word_of_a_search_is_in_the_catalogue() {
        for (Shows shows : Shows.values()) {
            assertThat(Sentence.of("search.shows." + shows).toString()).isNotBlank();
            assertThat(Sentence.of("search.reason.shows." + shows).toString()).isNotBlank();
        }
        for (QueenTrait trait : QueenTrait.values()) {
            assertThat(Sentence.of("search.trait." + trait).toString()).isNotBlank();
        }
        for (WhySearch why : WhySearch.values()) {
            assertThat(why.hold().toString()).isNotBlank();
        }
    }
}
