package vividcrown.core.season;

import java.time.LocalDate;
import java.time.Month;
import java.util.Map;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;

/**
 * What is believed about each loss in each month of the graft.
 *
 * @param overall in place of the trade's belief
 * @param byMonth where the months differ
 */
public record SeasonRates(Map<LossStep, Rate> overall, Map<Month, Map<LossStep, Rate>> byMonth) {

    public static final SeasonRates OF_THE_TRADE = new SeasonRates(Map.of(), Map.of());

    public SeasonRates {
        overall = Map.copyOf(overall);
        byMonth = Map.copyOf(byMonth);
    }

    public Rate at(LossStep step, LocalDate graft) {
        Rate usual = overall.getOrDefault(step, step.prior());
        return byMonth.getOrDefault(graft.getMonth(), Map.of()).getOrDefault(step, usual);
    }
}
