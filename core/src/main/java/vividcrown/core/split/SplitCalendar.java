package vividcrown.core.split;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.SplitPlan.Step;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.core.split.recipe.Sensible;
import vividcrown.core.split.recipe.SplitRecipe;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/** What follows a split: looks, hands off, the count on day ten, the day on which it is judged. */
final class SplitCalendar {

    /** No eggs of a queen that came along can hide longer. */
    private static final DaySpan OLD_EGGS_GONE = DaySpan.ofDays(4, 4, 5);
    private static final DaySpan COUNT = DaySpan.ofDays(9, 10, 12);
    private static final DaySpan FEED_AGAIN = DaySpan.ofDays(3, 4, 5);
    private static final int RIPE_CELL_AFTER_DAYS = 1;
    private static final int LAST_FALLBACK_DAYS = 35;

    private SplitCalendar() {
    }

    static List<Step> of(SplitRecipe recipe, Place place, Conditions at, boolean mayHoldHer) {
        LocalDate day = at.day();
        Assumptions assumptions = at.assumptions();
        List<Step> steps = new ArrayList<>();
        steps.add(step(DatedSpan.on(day), place == Place.SHUT_IN ? "split.step.shutIn" : "split.step.open"));
        if (place == Place.SHUT_IN) {
            steps.add(step(DaySpan.ofDays(3).from(day), "split.step.openAfter"));
        }
        if (recipe.frames().broodBest() == 0) {
            steps.add(step(DatedSpan.on(day), "split.step.cup"));
        }
        if (recipe.feedLitres() > 0) {
            steps.add(step(DatedSpan.on(day), "split.step.feed"));
            steps.add(step(FEED_AGAIN.from(day), "split.step.feedAgain"));
        }
        if (mayHoldHer) {
            steps.add(step(OLD_EGGS_GONE.from(day), "split.step.mayHoldHer"));
        }
        DatedSpan lays = Sensible.lays(recipe, at);
        switch (recipe.gets()) {
            case RAISES_ITS_OWN -> {
                steps.add(step(DaySpan.ofDays(7, 7, 9).from(day), "split.step.reduceCells"));
                handsOff(steps, DaySpan.ofDays(10, 12, Math.max(12, recipe.handsOffDays())).from(day));
            }
            case RIPE_CELL -> {
                steps.add(step(DaySpan.ofDays(RIPE_CELL_AFTER_DAYS, 1, 2).from(day), "split.step.cell"));
                steps.add(step(assumptions.span(Figure.EMERGENCE_CHECK).plus(DaySpan.ofDays(1)).from(day),
                        "split.step.emerged"));
                handsOff(steps, DaySpan.ofDays(5, 6, Math.max(6, recipe.handsOffDays())).from(day));
            }
            case VIRGIN -> handsOff(steps, DaySpan.ofDays(1, 2, Math.max(2, recipe.handsOffDays())).from(day));
            case MATED_QUEEN -> {
                steps.add(step(DatedSpan.on(day), "split.step.queen"));
                steps.add(step(DaySpan.ofDays(4, 4, 5).from(day), "split.step.released"));
            }
            case THE_OLD_QUEEN -> steps.add(step(DaySpan.ofDays(3, 4, 5).from(day), "split.step.oldQueen"));
        }
        steps.add(step(COUNT.from(day), recipe.gets().mustMate() ? "split.step.countOutside" : "split.step.count"));
        if (recipe.gets().mustMate()) {
            DatedSpan look = lays.plusDays(3);
            steps.add(step(new DatedSpan(lays.latest().minusDays(2), lays.latest(), lays.latest().plusDays(5)),
                    "split.step.eggs"));
            steps.add(step(DatedSpan.on(look.latest().plusDays(4)), "split.step.fallback"));
        } else {
            steps.add(step(lays.plusDays(4), "split.step.eggsOfHers"));
            steps.add(step(DatedSpan.on(day.plusDays(LAST_FALLBACK_DAYS / 2)), "split.step.fallback"));
        }
        steps.sort(Comparator.comparing(step -> step.when().earliest()));
        return steps;
    }

    private static void handsOff(List<Step> steps, DatedSpan when) {
        steps.add(new Step(when, Sentence.of("split.step.handsOff", when), true));
    }

    private static Step step(DatedSpan when, String key) {
        return new Step(when, Sentence.of(key, when), false);
    }
}
