package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.season.BreederQueen;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;
import vividcrown.core.season.recipe.RecipeBook;

/** What a plan makes of each demand, and why. */
record Promises(RecipeBook book) {

    /** Below this a virgin started is a gamble. */
    private static final double GAMBLE = 0.8;
    /** Below this no number of cups would help: the weather is what stands in the way. */
    private static final double HOPELESS = 0.2;

    /** By the day promised. */
    List<Promise> of(Draft draft, List<SeasonPlan.WayOut> waysOut) {
        Map<String, Double> chances = draft.outcome().chances();
        Map<Demand, Promise.State> states = draft.states();
        List<Promise> promises = new ArrayList<>();
        for (int index = 0; index < draft.groups().size(); index++) {
            PromiseGroup group = draft.groups().get(index);
            boolean allHold = draft.state(index) == Promise.State.HOLDS;
            Optional<Recipe> recipe = draft.solution().choices().get(index);
            List<Reason> reasons = new ArrayList<>(draft.outcome().of(group).reasons());
            if (group.demands().size() > 1) {
                reasons.add(Reason.of(Source.derived("one distribution for all of them"), "plan.together",
                        group.demands().size(), group.count()));
            }
            if (!allHold) {
                reasons.addAll(whyNot(group, draft.recipes().get(index), waysOut));
            }
            int cups = draft.batches().stream().flatMap(batch -> batch.shares().stream())
                    .filter(share -> group.wants(share.demand())).mapToInt(PlannedBatch.Share::cups).sum();
            for (Demand demand : group.demands()) {
                double chance = Objects.requireNonNull(chances.get(demand.id()));
                promises.add(new Promise(demand, Objects.requireNonNull(states.get(demand)), chance,
                        recipe.map(Recipe::delivery),
                        recipe.map(one -> (int) Math.max(0, ChronoUnit.DAYS.between(demand.until(), one.delivery())))
                                .orElse(0),
                        cups, reasons));
            }
        }
        promises.sort(
                Comparator.comparing((Promise one) -> one.demand().until()).thenComparing(one -> one.demand().id()));
        return promises;
    }

    private static boolean mates(PromiseGroup group) {
        return group.product().losses().size() > 3;
    }

    /** In spring the weather gets better from week to week, in autumn worse, wherever in the world that is; at some places it never is good. */
    private String gamble(LocalDate graft, Optional<String> line) {
        boolean neverGood = IntStream.rangeClosed(-26, 26)
                .allMatch(weeks -> book.supply().matingWeather(graft.plusWeeks(weeks), line) < GAMBLE);
        if (neverGood) {
            return "plan.gamble.place";
        }
        boolean warmsUp = book.supply().matingWeather(graft.plusWeeks(3), line) > book.supply()
                .matingWeather(graft.minusWeeks(3), line);
        return warmsUp ? "plan.gamble.spring" : "plan.gamble";
    }

    /** Why it does not hold: no day left, no mother, or what would make it hold. */
    private List<Reason> whyNot(PromiseGroup group, List<Recipe> all, List<SeasonPlan.WayOut> waysOut) {
        List<Reason> why = new ArrayList<>();
        if (!book.lineIsThere(group)) {
            why.add(Reason.of(Source.derived("the mothers given"), "plan.noLine", group.line().orElse(""),
                    book.brief().means().breeders().stream().map(BreederQueen::line).distinct().sorted().collect(
                            Collectors.joining(", "))));
            return why;
        }
        if (!book.yardIsThere(group)) {
            why.add(Reason.of(Source.derived("the lines that yards are kept for"), "plan.noYard",
                    group.line().orElse("")));
            return why;
        }
        boolean inTime = all.stream().anyMatch(one -> one.daysLate() == 0
                && one.assurance() >= group.assurance() - 1e-9);
        LocalDate lastGraft = group.until().minusDays(book.supply().soonest(group.product()));
        if (!inTime && lastGraft.isAfter(book.brief().until())) {
            why.add(Reason.of(Source.derived("the last day that is planned"), "plan.beyond", book.brief().until()));
        } else if (!inTime && lastGraft.isBefore(book.brief().today())) {
            why.add(Reason.of(Source.derived("the day promised less the days it takes"), "plan.tooLate", lastGraft,
                    book.brief().today().plusDays(book.supply().soonest(group.product()))));
        } else if (!inTime && !(mates(group) && book.supply().matingWeather(lastGraft, group.line()) < HOPELESS)) {
            why.add(Reason.of(Source.derived("every graft day that is left, up to the most cups"), "plan.tooMany",
                    book.brief().means().builders().stream().mapToInt(CellBuilder::load).sum()));
        } else if (inTime) {
            why.add(Reason.of(Source.derived("the plan with one thing more"), "plan.full"));
        }
        double weather = book.supply().matingWeather(lastGraft, group.line());
        if (mates(group) && weather < GAMBLE) {
            why.add(Reason.of(Source.derived("chance of two fit afternoons, emergence + 5 to + 21"),
                    gamble(lastGraft, group.line()),
                    Math.round(weather * 100) + " %"));
        }
        waysOut.stream().filter(way -> group.demands().stream().anyMatch(one -> way.helps().contains(one.id())))
                .forEach(way -> why.add(way.reason()));
        return why;
    }
}
