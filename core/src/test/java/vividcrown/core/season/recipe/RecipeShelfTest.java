package vividcrown.core.season.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.order;
import static vividcrown.core.season.Seasons.yard;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.demand.Product;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.StepOdds;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.Crew;
import vividcrown.core.season.Expectation;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.Means;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonRates;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.Underway;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.supply.RunningShares;
import vividcrown.core.season.supply.Supply;
import vividcrown.core.time.DaySpan;

/** What is kept from one plan to the next is what would have been found, whatever changed in between; so nothing outside is asked for. */
class RecipeShelfTest {

    private static final List<Demand> ORDERS = List.of(order("cells", Product.RIPE_CELLS, 20, 40, 42),
            order("virgins", Product.VIRGINS, 12, 44, 47), order("queens", Product.MATED_QUEENS, 20, 66, 70));
    /** Few nucs where they mate well: who counts for how many, and what is taken there, matters. */
    private static final MatingYard NEAR = yard("near", 24, 10);
    private static final MatingYard FAR = far(Means.NucsTaken.NONE, 0.3, Set.of());
    private static final SeasonBrief SEASON = Seasons.withRates(Seasons.at(
            Seasons.brief(ORDERS, List.of(Seasons.builder("B 1", 45), Seasons.builder("B 2", 45)), 100,
                    new Crew(16, Set.of(), Set.of(), Optional.of("Ida"))),
            NEAR, FAR), Seasons.twoGroups(LossStep.TAKE, Circumstance.PERSON, "Ida", 0.9, "Veit", 0.4));

    private static MatingYard far(Means.NucsTaken busy, double fit, Set<String> lines) {
        return new MatingYard("far", 60, busy, Optional.of(_ -> fit), lines, 60);
    }

    /** Each changes one thing of a season. */
    enum Change {
        NOTHING(UnaryOperator.identity()),
        AN_ORDER_MORE(season -> season.withDemands(and(order("more", Product.MATED_QUEENS, 9, 60, 64)))),
        THE_LARGEST_ORDER_MORE(season -> season.withDemands(and(order("most", Product.MATED_QUEENS, 45, 60, 64)))),
        AN_ORDER_LESS(season -> season.withDemands(ORDERS.subList(0, 2))),
        ANOTHER_DAY(season -> season.withDemands(
                List.of(ORDERS.getFirst(), ORDERS.get(1), order("queens", Product.MATED_QUEENS, 20, 68, 72)))),
        A_BUILDER_LESS(season -> season.with(means(season, season.means().builders().subList(0, 1),
                season.means().yards(), season.means().crew()))),
        ANOTHER_GRAFTER(season -> season.with(means(season, season.means().builders(), season.means().yards(),
                new Crew(16, Set.of(), Set.of(), Optional.of("Veit"))))),
        NUCS_TAKEN(season -> Seasons.at(season,
                new MatingYard("near", 24, day -> day.isBefore(Seasons.day(90)) ? 20 : 0, Optional.empty(), Set.of(),
                        10),
                FAR)),
        A_YARD_KEPT_FOR_A_LINE(season -> Seasons.at(season, NEAR, far(Means.NucsTaken.NONE, 0.3, Set.of("dark")))),
        WEATHER_AT_A_YARD(season -> Seasons.at(season, NEAR, far(Means.NucsTaken.NONE, 0.2, Set.of()))),
        WEATHER(season -> expecting(season, new Expectation(season.expected().rates(),
                MatingClimate.byMonth(Collections.nCopies(12, 0.3)), season.expected().how(),
                season.expected().assumptions(), season.expected().worth()))),
        A_TAKE_COUNTED(season -> Seasons.withRates(season, new SeasonRates(
                Map.of(LossStep.TAKE, StepOdds.counted(LossStep.TAKE.prior(), 18, 40))))),
        OWN_FIGURES(season -> expecting(season, new Expectation(season.expected().rates(),
                season.expected().climate(), season.expected().how(),
                new Assumptions(Map.of(Figure.FIRST_EGGS, DaySpan.ofDays(9, 14, 20))), season.expected().worth()))),
        NUC_DAYS_DEARER(season -> season.with(new SeasonWorth(60, 2_400, 20, 5))),
        A_DAY_LATER(season -> new SeasonBrief(day(1), season.until(), season.demands(), season.means(),
                season.drones(), season.underway(), season.expected())),
        SOMETHING_RUNNING(season -> new SeasonBrief(season.today(), season.until(), season.demands(),
                season.means(), season.drones(), new Underway(List.of(new RunningBatch("R", Optional.empty(),
                        day(-10), 12, List.of(LossStep.TAKE, LossStep.SOUND), Around.NOTHING_KNOWN)),
                        List.of(), List.of()),
                season.expected()));

        private final UnaryOperator<SeasonBrief> change;

        Change(UnaryOperator<SeasonBrief> change) {
            this.change = change;
        }
    }

    private static List<Demand> and(Demand more) {
        List<Demand> all = new ArrayList<>(ORDERS);
        all.add(more);
        return all;
    }

    private static Means means(SeasonBrief season, List<CellBuilder> builders,
            List<MatingYard> yards, Crew crew) {
        return new Means(season.means().breeders(), builders, season.means().nucs(), season.means().busyNucs(), yards,
                season.means().cages(), crew);
    }

    private static SeasonBrief expecting(SeasonBrief season, Expectation expected) {
        return new SeasonBrief(season.today(), season.until(), season.demands(), season.means(), season.drones(),
                season.underway(), expected);
    }

    private static List<PromiseGroup> groups(SeasonBrief season) {
        return PromiseGroup.of(season.demands(), season.today());
    }

    private static List<List<Recipe>> all(RecipeBook book) {
        return book.of(new RunningShares(book.brief(), book.groups(), book.supply())::of, RecipeFinder.LATE_BY,
                List.of());
    }

    @ParameterizedTest
    @EnumSource
    void whatever_changed_recipes_are_those_of_the_season_as_it_is(Change one) {
        RecipeShelf shelf = new RecipeShelf();
        all(shelf.book(SEASON, groups(SEASON)));
        SeasonBrief changed = one.change.apply(SEASON);
        RecipeBook kept = shelf.book(changed, groups(changed));
        RecipeBook anew = new RecipeBook(changed, groups(changed), new Supply(changed));
        assertThat(all(kept)).isEqualTo(all(anew));
        assertThat(kept.supply().rate(LossStep.MATING, day(30), kept.supply().usual()))
                .isEqualTo(anew.supply().rate(LossStep.MATING, day(30), anew.supply().usual()));
    }

    /** The same brief made anew: from a database, or from what somebody sent. */
    private static SeasonBrief again(SeasonBrief season) {
        LocalDate today = LocalDate.ofEpochDay(season.today().toEpochDay());
        return new SeasonBrief(today, season.until(), List.copyOf(season.demands()),
                means(season, season.means().builders(), SEASON.means().yards(),
                        new Crew(16, Set.of(), Set.of(), Optional.of("Ida"))),
                season.drones(), season.underway(), season.expected());
    }

    @Test
    void only_what_an_order_more_wants_is_sought() {
        RecipeShelf shelf = new RecipeShelf();
        RecipeBook first = shelf.book(SEASON, groups(SEASON));
        all(first);
        int before = first.size();
        RecipeBook same = shelf.book(again(SEASON), groups(SEASON));
        all(same);
        assertThat(same.size()).isEqualTo(before).isPositive();
        SeasonBrief changed = Change.AN_ORDER_MORE.change.apply(again(SEASON));
        RecipeBook more = shelf.book(changed, groups(changed));
        all(more);
        RecipeBook alone = new RecipeBook(changed, groups(changed), new Supply(changed));
        all(alone);
        assertThat(more.size() - before).isPositive().isLessThan(alone.size() / 2);
    }

    @Test
    void seasons_that_nobody_asks_for_any_more_are_put_away() {
        RecipeShelf shelf = new RecipeShelf();
        RecipeBook first = shelf.book(SEASON, groups(SEASON));
        all(first);
        for (int day = 1; day <= 8; day++) {
            SeasonBrief later = new SeasonBrief(day(day), SEASON.until(), SEASON.demands(), SEASON.means(),
                    SEASON.drones(), SEASON.underway(), SEASON.expected());
            shelf.book(later, groups(later));
        }
        assertThat(shelf.book(SEASON, groups(SEASON)).size()).isZero();
    }
}
