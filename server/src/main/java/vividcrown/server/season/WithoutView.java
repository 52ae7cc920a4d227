package vividcrown.server.season;

import java.util.List;
import vividcrown.core.season.plan.Without;

/**
 * What a no to an order would free.
 *
 * @param hours of work, negative if it takes more
 * @param cups larvae that are not grafted then
 * @param nucDays of mating nucs
 * @param gains demands that hold then and do not with it
 * @param loses demands that stand less firmly then
 * @param others the other demands, with it and without it
 */
public record WithoutView(String demand, double hours, int cups, int nucDays, List<String> gains, List<String> loses,
        List<OtherView> others) {

    /**
     * @param with chance of its whole number with the order, 0–1
     * @param without the same without it
     */
    public record OtherView(String demand, double with, double without) {
    }

    static WithoutView of(Without without) {
        return new WithoutView(without.demand().id(), Math.round(without.hours() * 10) / 10.0, without.cups(),
                without.nucDays(), without.gains(), without.loses(),
                without.chances().entrySet().stream()
                        .map(one -> new OtherView(one.getKey(), one.getValue().with(), one.getValue().without()))
                        .toList());
    }
}
