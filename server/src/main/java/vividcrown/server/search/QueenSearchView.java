package vividcrown.server.search;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.search.AtTheHive;
import vividcrown.core.search.Circumstances;
import vividcrown.core.search.Closing;
import vividcrown.core.search.Held;
import vividcrown.core.search.HiveSearched;
import vividcrown.core.search.Leaving;
import vividcrown.core.search.Next;
import vividcrown.core.search.Place;
import vividcrown.core.search.Search;
import vividcrown.core.search.SearchWord;
import vividcrown.core.search.Step;
import vividcrown.core.search.Stop;
import vividcrown.server.problem.Refusal;
import vividcrown.server.search.SearchAsked.PlaceAt;
import vividcrown.server.wire.ReasonView;

/**
 * Where she may be and what to do next.
 *
 * @param stop whether to go on
 * @param say what to do, as said to whoever stands there
 * @param next the step that finds her in the fewest lifts to be expected; left out when it is time to stop
 * @param order of steps from the next on, as long as nothing is seen that is not known: for whoever has no signal; empty when it is time to stop
 * @param places the likeliest places now, the likeliest first; in all at most thirty
 * @param combs the chance of each comb
 * @param notHere the chance that she is not in this hive, 0–1
 * @param missed the chance that this search would have missed her, were she here, 0–1; 1 before the first look
 * @param passes times through all combs that the looks so far make
 * @param minutes that it has taken
 * @param unsearched sides of combs that nobody has looked over
 * @param closing in which order to close it
 * @param leaving whether combs may leave
 */
public record QueenSearchView(Stop stop, String say, @Nullable SearchStepView next, List<OrderedStep> order,
        List<PlaceChance> places,
        List<CombChance> combs, double notHere, double missed, double passes, double minutes, List<PlaceAt> unsearched,
        List<ReasonView> reasons, List<String> cautions, List<String> closing, List<CombLeavingView> leaving) {

    private static final int MOST_PLACES = 30;
    private static final int MOST_STEPS = 40;
    private static final double DIGITS = 10_000;

    /**
     * One step.
     *
     * @param look what to look at, the lid or a wall; left out where a comb is lifted
     * @param box of the comb to lift
     * @param slot of the comb to lift
     * @param first which side to look at first
     * @param forRoom it comes out first because it gives room, and stands outside until the hive is closed
     * @param boxesOff boxes that must come off before
     * @param chance that it finds her, 0–1
     * @param lifts to be expected from here until she is found, if she is here
     */
    public record SearchStepView(@Nullable PlaceAt look, @Nullable Integer box, @Nullable Integer slot,
            @Nullable FrameSide first, boolean forRoom, int boxesOff, double chance, double lifts) {
        static SearchStepView of(Next next) {
            double chance = rounded(next.chance());
            double lifts = Math.round(next.lifts() * 10) / 10.0;
            return switch (next.step()) {
                case Step.Lift(int box, int slot, FrameSide first, boolean forRoom, int off) ->
                    new SearchStepView(null, box, slot, first, forRoom, off, chance, lifts);
                case Step.LookAt(Place place, int off) ->
                    new SearchStepView(PlaceAt.of(place), null, null, null, false, off, chance, lifts);
            };
        }
    }

    /**
     * A step as it is said.
     *
     * @param say what to do
     * @param look what to look at; left out where a comb is lifted
     * @param box of the comb to lift
     * @param slot of the comb to lift
     * @param first which side to look at first
     */
    public record OrderedStep(String say, @Nullable PlaceAt look, @Nullable Integer box, @Nullable Integer slot,
            @Nullable FrameSide first) {
        static OrderedStep of(Step step) {
            String say = step.sentence().toString();
            return switch (step) {
                case Step.Lift lift -> new OrderedStep(say, null, lift.box(), lift.slot(), lift.first());
                case Step.LookAt look -> new OrderedStep(say, PlaceAt.of(look.place()), null, null, null);
            };
        }
    }

    /** @param chance that she is there, 0–1 */
    public record PlaceChance(PlaceAt place, String name, double chance) {
    }

    /** @param chance that she is on it, 0–1 */
    public record CombChance(int box, int slot, double chance) {
        public static List<CombChance> of(List<Search.CombChance> combs) {
            return combs.stream().map(one -> new CombChance(one.box(), one.slot(), rounded(one.chance()))).toList();
        }
    }

    /**
     * Whether a comb may leave.
     *
     * @param level which gate it passes
     * @param chance that she goes along, 0–1
     * @param say what is so and what to do
     */
    public record CombLeavingView(int box, int slot, Leaving.Level level, double chance, String say) {
    }

    /** @throws Refusal if an act cannot be */
    public static QueenSearchView of(HiveSearched hive, Circumstances under, AtTheHive there, SearchAsked asked,
            Instant now) {
        Search search = Refusal.checked(() -> Search.after(hive, under, asked.done()), "acts");
        SearchWord word = SearchWord.of(search, asked.wantedFor(), there);
        List<CombLeavingView> leaving = new ArrayList<>();
        Optional<Held> held = search.found().map(_ -> asked.kept());
        Optional<Instant> verified = search.found().map(_ -> asked.verified(now));
        List<SearchAsked.CombAt> wanted = SearchAsked.orNone(asked.leaving());
        for (int at = 0; at < wanted.size(); at++) {
            SearchAsked.CombAt comb = wanted.get(at);
            Leaving told = Refusal.checked(
                    () -> Leaving.comb(search, comb.inBox(), comb.slot(), held, verified, now), "leaving[" + at + "]");
            leaving.add(new CombLeavingView(comb.inBox(), comb.slot(), told.level(), rounded(told.chance()),
                    told.sentence().toString()));
        }
        return new QueenSearchView(word.stop(), word.next().map(next -> next.step().sentence())
                .orElse(word.stop().sentence()).toString(), word.next().map(SearchStepView::of).orElse(null),
                word.stop() == Stop.GO_ON
                        ? search.order(MOST_STEPS).stream().map(OrderedStep::of).toList()
                        : List.of(),
                SearchWord.likeliest(search, MOST_PLACES).stream()
                        .map(one -> new PlaceChance(PlaceAt.of(one.getKey()), one.getKey().sentence().toString(),
                                rounded(one.getValue())))
                        .toList(),
                CombChance.of(search.combs()), rounded(search.notHere()), rounded(search.missed()),
                Math.round(search.passes() * 100) / 100.0,
                Math.round(search.minutes() * 10) / 10.0, search.unsearched().stream().map(PlaceAt::of).toList(),
                ReasonView.of(word.reasons()), word.cautions().stream().map(Object::toString).toList(),
                Closing.order(search, asked.kept(), asked.wantedFor()).stream().map(Object::toString).toList(),
                leaving);
    }

    private static double rounded(double chance) {
        return Math.round(chance * DIGITS) / DIGITS;
    }
}
