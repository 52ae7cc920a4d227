package vividcrown.core.season.supply;

import java.util.HashMap;
import java.util.Map;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.season.SeasonRates;

/**
 * What all days of one operation have in common, which nobody knows beforehand: with one that takes worse than is believed every batch does.
 * Told apart from the luck of each day, so that together they are as wide as the belief about a day.
 */
public final class OwnShares {

    private static final int GUESSES = 64;
    /** However much is the operation's own, some of it is always the day's. */
    private static final double MOST = 0.9;
    private static final double HARDLY_ANY = 1e-4;

    /**
     * @param shares equally likely guesses at the operation's own share, the lowest first
     * @param dayWeight how closely its days lie around that: weight of the Beta of a day
     */
    public record Guesses(double[] shares, double dayWeight) {

        /** @param standing 0 to below 1: how the operation stands among those it may be */
        public double at(double standing) {
            return shares[(int) (standing * shares.length)];
        }
    }

    private final SeasonRates rates;
    private final Map<LossStep, Map<Rate, Guesses>> known = new HashMap<>();

    OwnShares(SeasonRates rates) {
        this.rates = rates;
    }

    /** @param day what is believed of the step on a day */
    public Guesses of(LossStep step, Rate day) {
        return known.computeIfAbsent(step, _ -> new HashMap<>()).computeIfAbsent(day, _ -> guesses(step, day));
    }

    private Guesses guesses(LossStep step, Rate day) {
        Rate own = rates.own(step);
        double chance = day.mean() * (1 - day.mean());
        double common = Math.min(MOST * day.variance(), own.variance() * chance / (own.mean() * (1 - own.mean())));
        Rate believed = Rate.ofMeanAndVariance(day.mean(), common);
        double[] shares = new double[GUESSES];
        for (int guess = 0; guess < GUESSES; guess++) {
            shares[guess] = Math.clamp(believed.quantile((guess + 0.5) / GUESSES), HARDLY_ANY, 1 - HARDLY_ANY);
        }
        return new Guesses(shares, (chance - common) / (day.variance() - common) - 1);
    }
}
