package vividcrown.core.season.plan;

import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;

/**
 * What the search weighs a plan by: minutes of work, with penalties for what is late, at risk or unmet. The penalties are those of an operation of the
 * usual worths; to whom a queen that is not there or an order that is not whole is worth more or less than usual, they weigh so much more or
 * less.
 */
final class PlanCost {

    /** Heavier than any work: nobody is left without queens to save hours. */
    static final int UNMET_EACH = 20_000;
    static final int LATE_A_DAY_EACH = 60;
    /** For each queen of a group whose assurance is missed, times the share by which it is missed. */
    static final int AT_RISK_EACH = 6_000;
    static final int CHANGED_GRAFT = 120;
    /** Those of the third priority count once, of the first three times. */
    private static final int LAST_PRIORITY = 3;

    /** Whatever something is worth: a promise is still a promise, and one is not kept at any price. */
    private static final double LEAST_WORTH = 0.05;
    private static final double MOST_WORTH = 20;
    /** An order that fails is short of some queens, besides not being whole. */
    private static final int SHORT_BY = 10;

    private final double late;
    private final double risk;

    private PlanCost(SeasonWorth worth) {
        this.late = times(worth.lateQueen(), SeasonWorth.USUAL.lateQueen());
        this.risk = times(ofAFailure(worth), ofAFailure(SeasonWorth.USUAL));
    }

    static PlanCost of(SeasonBrief brief) {
        return new PlanCost(brief.expected().worth());
    }

    private static double ofAFailure(SeasonWorth worth) {
        return worth.lateOrder() + SHORT_BY * worth.lateQueen();
    }

    private static double times(double worth, double usual) {
        return Math.clamp(worth / usual, LEAST_WORTH, MOST_WORTH);
    }

    /** What a recipe costs, in minutes with penalties. */
    int of(Recipe recipe, PromiseGroup group) {
        return recipe.minutes() + ofMissing(group, recipe.daysLate(),
                Math.max(0, group.assurance() - recipe.assurance()));
    }

    /** @param missed by how much the assurance wanted is missed, 0–1 */
    int ofMissing(PromiseGroup group, int daysLate, double missed) {
        return (int) Math.round(late * daysLate * group.count() * LATE_A_DAY_EACH * weight(group))
                + (int) Math.round(risk * missed * group.count() * AT_RISK_EACH * weight(group));
    }

    int ofUnmet(PromiseGroup group) {
        return (int) Math.round(Math.max(1, Math.max(late, risk)) * group.count() * UNMET_EACH * weight(group));
    }

    /** What one more of it is weighed as. */
    static int ofMore(Relaxation kind) {
        return switch (kind) {
            case NUCS -> 120;
            case BUILDERS -> 600;
            case HOURS -> 30;
            case CAGES -> 20;
            case DAYS_OFF, LATER, ASSURANCE, FEWER, BUY_IN, SAY_NO -> 0;
        };
    }

    private static int weight(PromiseGroup group) {
        return LAST_PRIORITY + 1 - group.priority();
    }
}
