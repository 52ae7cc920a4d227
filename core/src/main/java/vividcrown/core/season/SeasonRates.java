package vividcrown.core.season;

import java.util.EnumMap;
import java.util.Map;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.odds.StepOdds;

/**
 * What is believed about each loss, by what surrounds a batch.
 *
 * @param steps in place of the trade's belief
 */
public record SeasonRates(Map<LossStep, StepOdds> steps) {

    public static final SeasonRates OF_THE_TRADE = new SeasonRates(Map.of());

    public SeasonRates {
        steps = Map.copyOf(steps);
    }

    public Rate at(LossStep step, Around around) {
        StepOdds learnt = steps.get(step);
        return learnt == null ? step.prior() : learnt.at(around);
    }

    /** Belief about the operation's own share: what its days have in common, without the luck of any. */
    public Rate own(LossStep step) {
        StepOdds learnt = steps.get(step);
        return (learnt == null ? StepOdds.of(step.prior()) : learnt).overall();
    }

    /** Of each step that was counted, whatever surrounds a batch. */
    public Map<LossStep, Rate> overall() {
        Map<LossStep, Rate> overall = new EnumMap<>(LossStep.class);
        steps.forEach((step, odds) -> overall.put(step, odds.at(Around.NOTHING_KNOWN)));
        return overall;
    }
}
