package vividcrown.core.season.plan;

import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.recipe.Recipe;

/** What the search weighs a plan by: minutes of work, with penalties for what is late, at risk or unmet. */
final class PlanCost {

    /** Heavier than any work: nobody is left without queens to save hours. */
    static final int UNMET_EACH = 20_000;
    static final int LATE_A_DAY_EACH = 60;
    /** For each queen of a group whose assurance is missed, times the share by which it is missed. */
    static final int AT_RISK_EACH = 6_000;
    static final int CHANGED_GRAFT = 120;
    /** Those of the third priority count once, of the first three times. */
    private static final int LAST_PRIORITY = 3;

    private PlanCost() {
    }

    /** What a recipe costs, in minutes with penalties. */
    static int of(Recipe recipe, PromiseGroup group) {
        return recipe.minutes() + ofMissing(group, recipe.daysLate(),
                Math.max(0, group.assurance() - recipe.assurance()));
    }

    /** @param missed by how much the assurance wanted is missed, 0–1 */
    static int ofMissing(PromiseGroup group, int daysLate, double missed) {
        return daysLate * group.count() * LATE_A_DAY_EACH * weight(group)
                + (int) Math.round(missed * group.count() * AT_RISK_EACH * weight(group));
    }

    static int ofUnmet(PromiseGroup group) {
        return group.count() * UNMET_EACH * weight(group);
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
