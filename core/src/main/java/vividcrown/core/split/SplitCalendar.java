package vividcrown.core.split;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.split.Due.Work;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.core.split.recipe.Sensible;
import vividcrown.core.split.recipe.SplitRecipe;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/** What follows a split: looks, hands off, the count on day ten, the day on which it is judged. */
final class SplitCalendar {

    /** No eggs of a queen that came along can hide longer. */
    private static final DaySpan OLD_EGGS_GONE = DaySpan.ofDays(4, 4, 5);
    private static final DaySpan COUNT_ON = DaySpan.ofDays(9, 10, 12);
    private static final DaySpan FED_AGAIN = DaySpan.ofDays(3, 4, 5);
    private static final int RIPE_CELL_AFTER_DAYS = 1;
    private static final int LAST_FALLBACK_DAYS = 35;

    private SplitCalendar() {
    }

    static List<Due> of(SplitRecipe recipe, Place place, Conditions at, boolean mayHoldHer) {
        LocalDate day = at.day();
        Assumptions assumptions = at.assumptions();
        List<Due> steps = new ArrayList<>();
        steps.add(step(DatedSpan.on(day), place == Place.SHUT_IN ? Work.SHUT_IN : Work.OPEN));
        if (place == Place.SHUT_IN) {
            steps.add(step(DaySpan.ofDays(3).from(day), Work.OPEN_AFTER));
        }
        if (recipe.frames().broodBest() == 0) {
            steps.add(step(DatedSpan.on(day), Work.CUP));
        }
        if (recipe.feedLitres() > 0) {
            steps.add(step(DatedSpan.on(day), Work.FEED));
            steps.add(step(FED_AGAIN.from(day), Work.FEED_AGAIN));
        }
        if (mayHoldHer) {
            steps.add(step(OLD_EGGS_GONE.from(day), Work.MAY_HOLD_HER));
        }
        DatedSpan lays = Sensible.lays(recipe, at);
        switch (recipe.gets()) {
            case RAISES_ITS_OWN -> {
                steps.add(step(DaySpan.ofDays(7, 7, 9).from(day), Work.REDUCE_CELLS));
                handsOff(steps, DaySpan.ofDays(10, 12, Math.max(12, recipe.handsOffDays())).from(day));
            }
            case RIPE_CELL -> {
                steps.add(step(DaySpan.ofDays(RIPE_CELL_AFTER_DAYS, 1, 2).from(day), Work.GIVE_CELL));
                steps.add(step(assumptions.span(Figure.EMERGENCE_CHECK).plus(DaySpan.ofDays(1)).from(day),
                        Work.EMERGED));
                handsOff(steps, DaySpan.ofDays(5, 6, Math.max(6, recipe.handsOffDays())).from(day));
            }
            case VIRGIN -> handsOff(steps, DaySpan.ofDays(1, 2, Math.max(2, recipe.handsOffDays())).from(day));
            case MATED_QUEEN -> {
                steps.add(step(DatedSpan.on(day), Work.GIVE_QUEEN));
                steps.add(step(DaySpan.ofDays(4, 4, 5).from(day), Work.RELEASED));
            }
            case THE_OLD_QUEEN -> steps.add(step(DaySpan.ofDays(3, 4, 5).from(day), Work.OLD_QUEEN));
        }
        steps.add(step(COUNT_ON.from(day), recipe.gets().mustMate() ? Work.COUNT_OUTSIDE : Work.COUNT));
        if (recipe.gets().mustMate()) {
            DatedSpan look = lays.plusDays(3);
            steps.add(step(new DatedSpan(lays.latest().minusDays(2), lays.latest(), lays.latest().plusDays(5)),
                    Work.EGGS));
            steps.add(step(DatedSpan.on(look.latest().plusDays(4)), Work.FALLBACK));
        } else {
            steps.add(step(lays.plusDays(4), Work.EGGS_OF_HERS));
            steps.add(step(DatedSpan.on(day.plusDays(LAST_FALLBACK_DAYS / 2)), Work.FALLBACK));
        }
        steps.sort(Comparator.comparing(due -> due.when().earliest()));
        return steps;
    }

    private static void handsOff(List<Due> steps, DatedSpan when) {
        steps.add(new Due(Work.HANDS_OFF, when));
    }

    private static Due step(DatedSpan when, Due.Work work) {
        return new Due(work, when);
    }
}
