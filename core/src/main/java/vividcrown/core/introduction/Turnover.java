package vividcrown.core.introduction;

import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/**
 * When a colony is hers: temper follows the daughters. Old workers live four to six weeks in summer; every day as many go as come.
 *
 * @param firstDaughters the first of them come out
 * @param half of the bees are hers
 * @param all of them are
 */
public record Turnover(DatedSpan firstDaughters, DatedSpan half, DatedSpan all) {

    /** A summer worker's days. Common practice. */
    private static final DaySpan LIFE = DaySpan.ofDays(28, 35, 42);

    /** @param firstEggs of the new queen, in season; late in the year she may begin in spring only */
    public static Turnover of(DatedSpan firstEggs, BeeYear year, Assumptions assumptions) {
        DatedSpan eggs = year.mayRestUntil(firstEggs.likely())
                .map(spring -> new DatedSpan(firstEggs.earliest(), spring, spring)).orElse(firstEggs);
        DatedSpan out = eggs.plus(assumptions.span(Figure.WORKER_EMERGES));
        DaySpan halfALife = DaySpan.ofDays(LIFE.earliestDay() / 2, LIFE.likelyDay() / 2, LIFE.latestDay() / 2);
        return new Turnover(out, out.plus(halfALife), out.plus(LIFE));
    }
}
