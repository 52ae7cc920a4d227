package vividcrown.core.season;

import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.rearing.GraftPlan;

/**
 * What the plan reckons with.
 *
 * @param rates how many come through each step of loss
 * @param how how it is grafted; its day is left out of account
 * @param worth what is worth how much to who plans
 */
public record Expectation(SeasonRates rates, MatingClimate climate, GraftPlan how, Assumptions assumptions,
        SeasonWorth worth) {

    public Expectation with(SeasonRates others) {
        return new Expectation(others, climate, how, assumptions, worth);
    }

    Expectation with(SeasonWorth other) {
        return new Expectation(rates, climate, how, assumptions, other);
    }
}
